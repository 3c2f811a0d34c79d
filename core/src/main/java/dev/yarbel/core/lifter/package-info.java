/** What is known of the person who lifts, apart from any lift. */
package dev.yarbel.core.lifter;
