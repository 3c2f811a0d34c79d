package dev.yarbel.web.calls;

import java.time.Instant;

/**
 * A slip's answer.
 *
 * @param who gave it
 * @param how the code of the answer: taken, changed or left
 */
record SlipAnswer(String who, String how, Instant at) {}
