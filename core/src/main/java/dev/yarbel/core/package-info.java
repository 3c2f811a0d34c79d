/**
 * What Yarbel knows of strength training, as plain Java: rules take what they need as arguments and return results that
 * carry their reasons. No framework, no clock, no I/O. Each package may use those named before it in {@code
 * CoreLayersTest}, never those after it.
 */
package dev.yarbel.core;
