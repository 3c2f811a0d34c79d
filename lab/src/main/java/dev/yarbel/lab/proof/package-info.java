/** Measures estimates against lifters whose true max is known because they are simulated; {@code ./yarbel prove} runs it. */
package dev.yarbel.lab.proof;
