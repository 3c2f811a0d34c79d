/**
 * Immutable quantities with their unit in the type: masses and percentages. Everything else in the core stands on these,
 * so that no bare number crosses a package and no unit is converted twice.
 */
package dev.yarbel.core.measure;
