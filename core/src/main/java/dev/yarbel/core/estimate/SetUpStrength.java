package dev.yarbel.core.estimate;

import dev.yarbel.core.record.SetUp;

/**
 * What is believed of a set-up of a lift that has numbers of its own.
 *
 * @param estimate as it stands on the bar
 * @param ofThePlainLift what the lifter does in it as a share of the plain lift
 */
public record SetUpStrength(SetUp setUp, MaxEstimate estimate, ShareEstimate ofThePlainLift) {}
