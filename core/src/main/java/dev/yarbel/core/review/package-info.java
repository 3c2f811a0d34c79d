/** Judging a block before it is trained: marks on a plan, each with its reason, and the gates before a few schemes. */
package dev.yarbel.core.review;
