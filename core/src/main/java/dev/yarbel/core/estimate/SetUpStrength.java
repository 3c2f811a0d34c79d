package dev.yarbel.core.estimate;

import dev.yarbel.core.measure.Percent;
import dev.yarbel.core.record.SetUp;

/**
 * What is believed of a set-up of a lift that has numbers of its own.
 *
 * @param estimate as it stands on the bar
 * @param ofThePlainLift what the lifter does in it as a share of the plain lift
 * @param low of the range that holds that share four times of five
 * @param high of it
 */
public record SetUpStrength(SetUp setUp, MaxEstimate estimate, Percent ofThePlainLift, Percent low, Percent high) {}
