package dev.yarbel.web.contest;

import dev.yarbel.core.contest.ContestRules;
import dev.yarbel.core.contest.DayStrength;
import dev.yarbel.core.lifter.Sex;
import dev.yarbel.core.measure.Mass;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.time.LocalDate;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.type.SqlTypes;

/** Somebody who lifts in a contest: one of the club's lifters, or somebody else beside them. */
@Entity
@Table(name = "contest_entry")
class EntryEntity {

    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    private Long id;

    private long clubId;
    private long contestId;
    private Long lifterId;
    private String name;

    @Enumerated(EnumType.STRING)
    private Sex sex;

    private Mass bodyMass;
    private Integer lot;
    private int flight = 1;
    private Integer attemptsBefore;

    @Enumerated(EnumType.STRING)
    private Way way = Way.SHARES;

    private Mass asked;
    private Mass expected;
    private Mass classLimit;

    @Enumerated(EnumType.STRING)
    private Priority priority = Priority.PEAKED_FOR;

    @JdbcTypeCode(SqlTypes.ARRAY)
    private double[] believed;

    private LocalDate believedOn;
    private Instant loggedAt;
    private Instant removedAt;

    protected EntryEntity() {}

    EntryEntity(ContestEntity contest, Optional<Long> lifter, String name) {
        this.clubId = contest.clubId();
        this.contestId = contest.id();
        this.lifterId = lifter.orElse(null);
        this.name = name;
    }

    /**
     * What is set of an entry.
     *
     * @param asked the total that is asked for
     * @param expected the total that is expected of a rival
     * @param classLimit of the class they mean to lift in
     */
    record Set(
            Optional<Sex> sex,
            Optional<Mass> bodyMass,
            Optional<Integer> lot,
            int flight,
            Way way,
            Optional<Mass> asked,
            Optional<Mass> expected,
            Optional<Mass> classLimit,
            Priority priority) {

        /** The same in another class. */
        Set of(Mass limit) {
            return new Set(sex, bodyMass, lot, flight, way, asked, expected, Optional.of(limit), priority);
        }

        /** Of somebody who is just entered. */
        static Set begun(Optional<Sex> sex, Optional<Mass> bodyMass) {
            return new Set(
                    sex,
                    bodyMass,
                    Optional.empty(),
                    1,
                    Way.SHARES,
                    Optional.empty(),
                    Optional.empty(),
                    Optional.empty(),
                    Priority.PEAKED_FOR);
        }
    }

    Set set() {
        return new Set(sex(), bodyMass(), lot(), flight, way, asked(), expected(), classLimit(), priority);
    }

    void set(Set to) {
        sex = to.sex().orElse(null);
        bodyMass = to.bodyMass().orElse(null);
        lot = to.lot().orElse(null);
        flight = to.flight();
        way = to.way();
        asked = to.asked().orElse(null);
        expected = to.expected().orElse(null);
        classLimit = to.classLimit().orElse(null);
        priority = to.priority();
    }

    void attemptsBefore(Integer before) {
        attemptsBefore = before;
    }

    /** Of their flight before their first one, as the sheet in the hall has it. */
    public Optional<Integer> attemptsBefore() {
        return Optional.ofNullable(attemptsBefore);
    }

    void believe(DayStrength day, LocalDate today) {
        believed = day.figures().stream().mapToDouble(Double::doubleValue).toArray();
        believedOn = today;
    }

    /** What was believed of the day; empty where nothing is known, or the contest has other lifts now. */
    Optional<DayStrength> day(ContestRules rules) {
        List<Double> figures =
                believed == null ? List.of() : Arrays.stream(believed).boxed().toList();
        return DayStrength.ofFigures(rules.lifts(), figures);
    }

    public Optional<LocalDate> believedOn() {
        return Optional.ofNullable(believedOn);
    }

    public long id() {
        return id;
    }

    long contestId() {
        return contestId;
    }

    public Optional<Long> lifterId() {
        return Optional.ofNullable(lifterId);
    }

    public String name() {
        return name;
    }

    public Optional<Sex> sex() {
        return Optional.ofNullable(sex);
    }

    public Optional<Mass> bodyMass() {
        return Optional.ofNullable(bodyMass);
    }

    public Optional<Integer> lot() {
        return Optional.ofNullable(lot);
    }

    public int flight() {
        return flight;
    }

    public Way way() {
        return way;
    }

    public Optional<Mass> asked() {
        return Optional.ofNullable(asked);
    }

    public Optional<Mass> expected() {
        return Optional.ofNullable(expected);
    }

    /** The upper limit of the class they mean to lift in. */
    public Optional<Mass> classLimit() {
        return Optional.ofNullable(classLimit);
    }

    public Priority priority() {
        return priority;
    }

    /** Whether their plan does not lead there on purpose. */
    public boolean isTrainedThrough() {
        return priority == Priority.THROUGH;
    }

    /** When what was lifted was written into the lifter's log; empty while it was not. */
    public Optional<Instant> loggedAt() {
        return Optional.ofNullable(loggedAt);
    }

    void logged(Instant at) {
        loggedAt = at;
    }

    boolean isRemoved() {
        return removedAt != null;
    }

    void removed(Instant at) {
        removedAt = at;
    }
}
