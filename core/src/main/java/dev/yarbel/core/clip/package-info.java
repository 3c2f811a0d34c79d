/** Judging a set by a clip of it: what it is held against, and what the bar did. */
package dev.yarbel.core.clip;
