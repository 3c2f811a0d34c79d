package dev.yarbel.web.roster;

import java.time.LocalDate;
import java.util.Collection;
import java.util.Map;

/** What rooms further on know of the training of lifters, for the list of them. */
public interface TrainingOverview {

    /** How things stand with each of these lifters on a day; every one of them is among them. */
    Map<Long, InTraining> of(long clubId, Collection<Long> lifterIds, LocalDate today);
}
