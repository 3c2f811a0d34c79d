package dev.yarbel.web.contest;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;

/**
 * A contest got another day or lost it, is not held or held after all, or somebody is in it no more. It is handled after it is kept, at least once;
 * listeners must bear hearing it twice.
 *
 * @param was the day it was on before; empty where it had none, or was not held
 * @param lifterIds those of the club whom it concerns
 */
public record ContestMoved(long clubId, long contestId, Optional<LocalDate> was, List<Long> lifterIds) {}
