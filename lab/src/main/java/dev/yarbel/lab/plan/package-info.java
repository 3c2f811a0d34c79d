/** Ways of planning that simulated lifters live under, so that one can be held against another. */
package dev.yarbel.lab.plan;
