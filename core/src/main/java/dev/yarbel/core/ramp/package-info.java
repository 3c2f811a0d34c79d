/** The warm-up ramp: which loads lead from the empty bar to the day's top, as a search over stacks of plates. */
package dev.yarbel.core.ramp;
