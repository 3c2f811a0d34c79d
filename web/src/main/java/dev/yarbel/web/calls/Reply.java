package dev.yarbel.web.calls;

import java.util.Optional;

/**
 * A coach's answer to a slip.
 *
 * @param shown the mark of what they were shown
 * @param own their own figure
 * @param meant they were asked about that figure and stand by it
 */
record Reply(String shown, String own, boolean meant, Optional<String> why) {}
