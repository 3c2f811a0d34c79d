/** A block of training as the coach draws it up: weeks, the days of each week, the slots of each day. */
package dev.yarbel.core.block;
