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
import java.util.List;
import java.util.Optional;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.type.SqlTypes;

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
    private LocalDate heldUntil;
    private String bring;
    private String plates;

    @JdbcTypeCode(SqlTypes.LOCAL_TIME)
    private LocalTime weighIn;

    @JdbcTypeCode(SqlTypes.LOCAL_TIME)
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
     * @param on the day, or the first of a window; empty while nobody knows when it will be
     * @param until the last of a window; empty where the day is known
     * @param bring what to bring, one thing a line
     * @param plates beside each bar of the warm-up room, one of each pair; empty where it is the usual
     */
    record Set(
            String name,
            Optional<String> place,
            Optional<LocalDate> on,
            Optional<LocalDate> until,
            Optional<LocalTime> weighIn,
            Optional<LocalTime> begins,
            ContestRules rules,
            boolean cancelled,
            Optional<String> bring,
            List<Mass> plates) {

        /** The same on another day, or on none. */
        Set on(Optional<LocalDate> day) {
            return new Set(name, place, day, Optional.empty(), weighIn, begins, rules, cancelled, bring, plates);
        }
    }

    void set(Set to) {
        name = to.name();
        place = to.place().orElse(null);
        heldOn = to.on().orElse(null);
        heldUntil = to.until().orElse(null);
        bring = to.bring().orElse(null);
        plates = MassList.kept(to.plates()).orElse(null);
        weighIn = to.weighIn().orElse(null);
        begins = to.begins().orElse(null);
        rules = to.rules().key();
        step = to.rules().step();
        secondsToName = (int) to.rules().toName().toSeconds();
        fourth = to.rules().fourth();
        cancelled = to.cancelled();
    }

    Set set() {
        return new Set(
                name,
                place(),
                on(),
                until(),
                weighIn(),
                begins(),
                rules(),
                cancelled,
                Optional.ofNullable(bring),
                plates());
    }

    /** Whether its day is today, or was before. */
    boolean isCome(LocalDate today) {
        return on().filter(day -> !day.isAfter(today)).isPresent();
    }

    /** Beside each bar of the warm-up room, one of each pair; empty where it is the usual. */
    public List<Mass> plates() {
        return MassList.of(plates);
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

    /** The day, or the first of a window: plans lead there. Empty while nobody knows when it will be. */
    public Optional<LocalDate> on() {
        return Optional.ofNullable(heldOn);
    }

    /** The last day of a window; empty where the day is known. */
    public Optional<LocalDate> until() {
        return Optional.ofNullable(heldUntil);
    }

    /** What to bring. */
    public List<String> toBring() {
        return bring == null
                ? List.of()
                : bring.lines()
                        .filter(line -> !line.isBlank())
                        .map(String::strip)
                        .toList();
    }

    /** As it was typed. */
    public String bring() {
        return bring == null ? "" : bring;
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
