/** Counting what was planned or done: which sets are hard, and what a lift was exposed to on a day. */
package dev.yarbel.core.tally;
