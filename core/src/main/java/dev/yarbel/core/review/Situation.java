package dev.yarbel.core.review;

import dev.yarbel.core.tally.Exposure;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.Collections;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.OptionalLong;
import java.util.Set;

/**
 * Where a lifter stands on a day, as far as a coach asks in the morning who needs them. Its spans of days are starting values
 * of our own, without a published source.
 *
 * @param today the day that is asked about
 * @param stopped the health questions or a guardian's consent stand in the way of training
 * @param calls how many decisions wait; 0 or more
 * @param aching an ache is open
 * @param last the last session that was begun
 * @param missed the planned days before today without a session, of the time that is looked at
 * @param next the first planned day from today on that is not finished yet
 * @param planEnds the last planned day from today on
 * @param contest the day of the contest that the plan leads to
 */
public record Situation(
        LocalDate today,
        boolean stopped,
        long calls,
        boolean aching,
        Optional<Last> last,
        List<LocalDate> missed,
        Optional<LocalDate> next,
        Optional<LocalDate> planEnds,
        Optional<LocalDate> contest) {

    /** How long a session says something about today, and a missed one is still worth a word. */
    public static final int RECENT_DAYS = 7;

    /** A plan that ends within so many days wants the next one. */
    public static final int ENDING_DAYS = 7;

    /** Away for so many days, a lifter comes back to lower loads. */
    public static final int AWAY_DAYS = 10;

    /** A contest within so many days is near: the last heavy sessions before it are at hand. */
    public static final int CONTEST_DAYS = 28;

    public Situation {
        missed = List.copyOf(missed);
    }

    /**
     * A session that was begun.
     *
     * @param on the day it was held
     * @param finished the lifter ended it
     * @param judgement how it compares with what was asked; empty where nothing was asked, or it is still open
     * @param pain something hurt in it
     * @param cutShort the lifter said that sets were left out
     */
    public record Last(
            LocalDate on, boolean finished, Optional<Exposure.Judgement> judgement, boolean pain, boolean cutShort) {}

    /** The same in the light of what other rooms know. */
    public Situation with(boolean mayNotTrain, long open, boolean hurts) {
        return new Situation(today, mayNotTrain, open, hurts, last, missed, next, planEnds, contest);
    }

    /** Why this lifter needs their coach, the most urgent first; empty when all is well. */
    public Set<Need> needs() {
        EnumSet<Need> needs = EnumSet.noneOf(Need.class);
        addIf(needs, stopped, Need.CLEARANCE);
        addIf(needs, calls > 0, Need.CALLS);
        addIf(needs, aching, Need.ACHE);
        addIf(needs, !recentlyMissed().isEmpty(), Need.MISSED);
        addIf(needs, planEnds.isEmpty(), Need.NOTHING_PLANNED);
        addIf(needs, planEnds.filter(end -> daysTo(end) < ENDING_DAYS).isPresent(), Need.PLAN_ENDS);
        addIf(needs, daysAway().orElse(0) >= AWAY_DAYS, Need.NOT_SEEN);
        addIf(
                needs,
                contest.filter(day -> daysTo(day) >= 0 && daysTo(day) <= CONTEST_DAYS)
                        .isPresent(),
                Need.CONTEST);
        last.filter(session -> isRecent(session.on())).ifPresent(session -> {
            addIf(needs, session.pain(), Need.PAIN);
            addIf(needs, session.cutShort(), Need.CUT_SHORT);
            addIf(
                    needs,
                    session.judgement().filter(Exposure.Judgement.OVER::equals).isPresent(),
                    Need.OVER);
            addIf(
                    needs,
                    session.judgement().filter(Exposure.Judgement.UNDER::equals).isPresent(),
                    Need.UNDER);
        });
        return Collections.unmodifiableSet(needs);
    }

    /** The missed days that are still worth a word. */
    public List<LocalDate> recentlyMissed() {
        return missed.stream().filter(this::isRecent).toList();
    }

    /** How many days ago the lifter trained last; empty where they never have. */
    public OptionalLong daysAway() {
        return last.map(session -> OptionalLong.of(-daysTo(session.on()))).orElseGet(OptionalLong::empty);
    }

    private long daysTo(LocalDate day) {
        return ChronoUnit.DAYS.between(today, day);
    }

    private boolean isRecent(LocalDate day) {
        return daysTo(day) >= -RECENT_DAYS;
    }

    private static void addIf(Set<Need> needs, boolean holds, Need need) {
        if (holds) {
            needs.add(need);
        }
    }
}
