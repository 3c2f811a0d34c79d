package dev.yarbel.core.lift;

import java.time.LocalDate;

/**
 * An ache that somebody cleared.
 *
 * @param by who cleared it, in words
 * @param on the day from which it was over
 */
public record HealedAche(Ache ache, String by, LocalDate on) {}
