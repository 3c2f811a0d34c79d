package dev.yarbel.core.exchange;

import dev.yarbel.core.record.LiftedSet;
import java.time.LocalDate;

/**
 * A set as a table has it.
 *
 * @param line of the table, from 1
 * @param column in which it stands, from 0
 * @param lifter as the table names them; blank where it names none
 * @param warmUp whether the table calls it one
 * @param doubtful whether something about it is asked
 */
public record ReadSet(
        int line, int column, String lifter, LocalDate day, LiftedSet set, boolean warmUp, boolean doubtful) {}
