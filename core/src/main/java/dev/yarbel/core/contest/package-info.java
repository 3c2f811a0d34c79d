/** The day of a contest: its rules, what may be there, which attempts to take, what they are worth beside others'. */
package dev.yarbel.core.contest;
