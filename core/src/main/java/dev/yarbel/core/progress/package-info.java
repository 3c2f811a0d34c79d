/** The one-step laws by which a dose follows from the one before, and the ways a row of weeks is filled. */
package dev.yarbel.core.progress;
