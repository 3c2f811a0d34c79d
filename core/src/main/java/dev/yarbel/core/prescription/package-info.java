/** A dose: how many sets and repetitions, what the load hangs on, tempo and rest, and the shorthand coaches type. */
package dev.yarbel.core.prescription;
