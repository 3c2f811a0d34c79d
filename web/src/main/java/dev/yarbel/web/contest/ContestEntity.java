package dev.yarbel.web.contest;

import dev.yarbel.core.contest.ContestRules;
import dev.yarbel.core.measure.Mass;
import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.util.Optional;

/** A contest of a club. */
@Entity
@Table(name = "contest")
class ContestEntity {

    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    private Long id;

    private long clubId;
    private String name;
    private String place;
    private LocalDate heldOn;
    private LocalTime weighIn;
    private LocalTime begins;
    private String rules;
    private Mass step;
    private int secondsToName;
    private boolean fourth;
    private boolean cancelled;
    private Instant removedAt;

    protected ContestEntity() {}

    ContestEntity(long clubId) {
        this.clubId = clubId;
    }

    /**
     * What is set of a contest.
     *
     * @param on empty while nobody knows when it will be
     */
    record Set(
            String name,
            Optional<String> place,
            Optional<LocalDate> on,
            Optional<LocalTime> weighIn,
            Optional<LocalTime> begins,
            ContestRules rules,
            boolean cancelled) {

        /** The same on another day, or on none. */
        Set on(Optional<LocalDate> day) {
            return new Set(name, place, day, weighIn, begins, rules, cancelled);
        }
    }

    void set(Set to) {
        name = to.name();
        place = to.place().orElse(null);
        heldOn = to.on().orElse(null);
        weighIn = to.weighIn().orElse(null);
        begins = to.begins().orElse(null);
        rules = to.rules().key();
        step = to.rules().step();
        secondsToName = (int) to.rules().toName().toSeconds();
        fourth = to.rules().fourth();
        cancelled = to.cancelled();
    }

    Set set() {
        return new Set(name, place(), on(), weighIn(), begins(), rules(), cancelled);
    }

    public long id() {
        return id;
    }

    long clubId() {
        return clubId;
    }

    public String name() {
        return name;
    }

    public Optional<String> place() {
        return Optional.ofNullable(place);
    }

    /** Empty while nobody knows when it will be. */
    public Optional<LocalDate> on() {
        return Optional.ofNullable(heldOn);
    }

    public Optional<LocalTime> weighIn() {
        return Optional.ofNullable(weighIn);
    }

    public Optional<LocalTime> begins() {
        return Optional.ofNullable(begins);
    }

    public ContestRules rules() {
        return ContestRules.named(rules).with(step, Duration.ofSeconds(secondsToName), fourth);
    }

    public boolean isCancelled() {
        return cancelled;
    }

    boolean isRemoved() {
        return removedAt != null;
    }

    void removed(Instant at) {
        removedAt = at;
    }
}
