package dev.yarbel.web.floor;

import dev.yarbel.core.record.LiftedSet;
import java.util.UUID;

/**
 * A lifter guessed what a set would leave before they lifted it.
 *
 * @param token of the set as it was sent
 * @param left repetitions
 */
public record SetGuessed(long clubId, long lifterId, UUID token, LiftedSet set, int left) {}
