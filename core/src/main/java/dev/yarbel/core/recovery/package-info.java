/** How a lifter stands up to training: what tells of fatigue, and when to back off. */
package dev.yarbel.core.recovery;
