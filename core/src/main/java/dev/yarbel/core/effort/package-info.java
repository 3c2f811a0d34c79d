/** How hard a set was, rated by the repetitions left, and how repetitions and load trade against each other. */
package dev.yarbel.core.effort;
