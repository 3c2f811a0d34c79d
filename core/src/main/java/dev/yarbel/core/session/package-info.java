/**
 * A day's doses made concrete for one lifter and one kit: what each comes to, the ramp that leads there, and what follows
 * from the sets already lifted.
 */
package dev.yarbel.core.session;
