/** Findings and calls: what was seen in a log, what it means, and what is proposed. The coach decides. */
package dev.yarbel.core.adjust;
