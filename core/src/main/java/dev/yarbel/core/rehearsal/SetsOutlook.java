package dev.yarbel.core.rehearsal;

import dev.yarbel.core.lift.Lift;

/**
 * What may come of the sets of one part of a day.
 *
 * @param day from 0
 * @param week from 0
 * @param part from 0, as the day asks for them
 * @param sets that are asked for
 * @param missed how likely it is that a repetition of any of them is missed, 0 to 1
 * @param left repetitions really left after the last one; below nothing where it was missed
 * @param load of the last one, in kg
 */
public record SetsOutlook(int day, int week, int part, Lift lift, int sets, double missed, Likely left, Likely load) {}
