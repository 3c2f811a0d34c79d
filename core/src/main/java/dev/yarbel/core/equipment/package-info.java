/** Bars, collars and plates: what a gym owns, which loads can be put together from it, and which plates go where. */
package dev.yarbel.core.equipment;
