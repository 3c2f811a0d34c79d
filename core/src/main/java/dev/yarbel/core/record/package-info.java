/** What was really lifted. It knows nothing of plans. */
package dev.yarbel.core.record;
