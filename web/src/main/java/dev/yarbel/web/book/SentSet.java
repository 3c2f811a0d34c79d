package dev.yarbel.web.book;

import dev.yarbel.core.session.DoneSet;
import java.time.Instant;
import java.util.UUID;

/**
 * A set as it comes from a phone.
 *
 * @param token made by whoever sends it
 * @param at when it was lifted, which may be long before it comes
 */
public record SentSet(UUID token, DoneSet done, Instant at) {}
