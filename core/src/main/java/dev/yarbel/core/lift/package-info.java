/** The lifts that are planned and lifted. */
package dev.yarbel.core.lift;
