/** A block lifted beforehand, many times over, by lifters that the log allows. */
package dev.yarbel.core.rehearsal;
