/** What a lifter could lift once today, how sure that is, and which sets say so. */
package dev.yarbel.core.estimate;
