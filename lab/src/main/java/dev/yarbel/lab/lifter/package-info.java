/**
 * Lifters who do not exist, with a true max that nobody in life ever sees, to measure estimates against. What is assumed of
 * them stands where it is drawn; none of it is anybody's data.
 */
package dev.yarbel.lab.lifter;
