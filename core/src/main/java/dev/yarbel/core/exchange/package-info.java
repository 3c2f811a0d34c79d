/** Tables that came from elsewhere: what their columns hold, and what was lifted as people write it into their cells. */
package dev.yarbel.core.exchange;
