package dev.yarbel.web.roster;

import dev.yarbel.core.equipment.Rounding;
import dev.yarbel.core.lift.Ache;
import dev.yarbel.core.lift.HealedAche;
import dev.yarbel.core.lift.Tissue;
import dev.yarbel.core.lifter.HealthCheck;
import dev.yarbel.core.lifter.HealthQuestion;
import dev.yarbel.core.lifter.Sex;
import dev.yarbel.core.lifter.Sport;
import dev.yarbel.core.measure.Length;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.MassUnit;
import dev.yarbel.core.measure.Percent;
import dev.yarbel.core.recovery.DeloadDue;
import dev.yarbel.core.session.Demand;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import java.math.BigDecimal;
import java.time.Instant;
import java.time.LocalDate;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.type.SqlTypes;

/** A lifter's row. What a coach may change of it, field by field, is in {@link ProfileField}. */
@Entity
class Lifter {

    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    private Long id;

    private long clubId;
    String name;
    private long coachId;

    @Enumerated(EnumType.STRING)
    MassUnit unit;

    @Enumerated(EnumType.STRING)
    Rounding rounding;

    Percent shareOfEstimate;
    LocalDate noviceSince;
    Integer birthYear;

    @Enumerated(EnumType.STRING)
    Sex sex;

    Length height;

    @Enumerated(EnumType.STRING)
    Sport sport;

    Instant wordsAt;
    boolean wordsWaiting;
    LocalDate weekWritten;

    String weightClass;
    Integer days;
    Integer minutes;

    @Enumerated(EnumType.STRING)
    WarmUpStyle warmUps;

    @Enumerated(EnumType.STRING)
    AskedBefore beforeSession;

    @Enumerated(EnumType.STRING)
    LetBe autopilot;

    @Enumerated(EnumType.STRING)
    Breath breath;

    BigDecimal beatPoints;
    BigDecimal restPoints;
    BigDecimal tiredPoints;
    BigDecimal setDrift;

    String job;

    @Enumerated(EnumType.STRING)
    Tissue jobStrains;

    BigDecimal sleep;

    @Enumerated(EnumType.STRING)
    Dieting dieting;

    @Enumerated(EnumType.STRING)
    Stress stress;

    String guardian;

    @JdbcTypeCode(SqlTypes.ARRAY)
    private List<String> healthYes = List.of();

    @JdbcTypeCode(SqlTypes.ARRAY)
    private List<String> healthNo = List.of();

    private String clearedBy;
    private LocalDate clearedOn;
    private Instant archivedAt;
    private LocalDate leavesOn;

    protected Lifter() {}

    Lifter(NewLifter lifter) {
        this.clubId = lifter.clubId();
        this.name = lifter.name();
        this.coachId = lifter.coachId();
        this.unit = lifter.unit();
        this.rounding = lifter.rounding();
        this.shareOfEstimate = lifter.shareOfEstimate();
        this.noviceSince = lifter.noviceSince().orElse(null);
    }

    long id() {
        return id;
    }

    long coachId() {
        return coachId;
    }

    void handTo(long coach) {
        coachId = coach;
    }

    void archive(Instant at) {
        archivedAt = at;
    }

    LocalDate clearedOn() {
        return clearedOn;
    }

    HealthCheck health() {
        Map<HealthQuestion, Boolean> answers = new EnumMap<>(HealthQuestion.class);
        healthYes.forEach(question -> answers.put(HealthQuestion.valueOf(question), true));
        healthNo.forEach(question -> answers.put(HealthQuestion.valueOf(question), false));
        return new HealthCheck(answers, Optional.ofNullable(clearedBy));
    }

    void health(HealthCheck check) {
        healthYes = named(check, true);
        healthNo = named(check, false);
        if (check.clearedBy().isEmpty()) {
            clearedBy = null;
            clearedOn = null;
        }
    }

    void clear(String by, LocalDate on) {
        clearedBy = by;
        clearedOn = on;
    }

    private static List<String> named(HealthCheck check, boolean answer) {
        return check.answers().entrySet().stream()
                .filter(entry -> entry.getValue() == answer)
                .map(entry -> entry.getKey().name())
                .sorted()
                .toList();
    }

    /** In a list, where nobody asked what aches or weighs. */
    LifterCard card() {
        return card(List.of(), List.of(), Optional.empty());
    }

    LifterCard card(List<Ache> aches, List<HealedAche> healed, Optional<Mass> bodyMass) {
        return new LifterCard(
                id,
                clubId,
                name,
                unit,
                rounding,
                shareOfEstimate,
                Optional.ofNullable(noviceSince),
                Optional.ofNullable(sex),
                Optional.ofNullable(sport),
                Optional.ofNullable(birthYear),
                Optional.ofNullable(guardian),
                health(),
                aches,
                healed,
                bodyMass,
                Optional.ofNullable(minutes),
                Optional.ofNullable(days),
                dieting == Dieting.HARD,
                warmUps == WarmUpStyle.EVEN,
                beforeSession == AskedBefore.YES,
                autopilot == LetBe.YES,
                breath == Breath.GASPS,
                new DeloadDue(
                        Optional.empty(),
                        dieting != null && dieting != Dieting.NO,
                        jobStrains != null,
                        Optional.ofNullable(sleep).map(BigDecimal::doubleValue),
                        stress == Stress.MUCH,
                        Optional.ofNullable(birthYear)),
                Optional.ofNullable(jobStrains),
                demand(),
                Optional.ofNullable(wordsAt),
                wordsWaiting,
                Optional.ofNullable(weekWritten),
                Optional.ofNullable(leavesOn),
                archivedAt != null);
    }

    /** The day on which everything of theirs is deleted; empty where nobody asked for that. */
    Optional<LocalDate> leavesOn() {
        return Optional.ofNullable(leavesOn);
    }

    void leavesOn(Optional<LocalDate> day) {
        leavesOn = day.orElse(null);
    }

    private Demand.Figures demand() {
        Demand.Figures start = Demand.Figures.START;
        return new Demand.Figures(
                beatPoints == null ? start.aSecond() : Percent.of(beatPoints),
                restPoints == null ? start.shortRest() : Percent.of(restPoints),
                tiredPoints == null ? start.tired() : Percent.of(tiredPoints),
                setDrift == null ? start.drift() : Percent.of(setDrift));
    }
}
