/** A lifter's week as it was: what was asked, what was done, and what it says of each lift. */
package dev.yarbel.core.weekly;
