package dev.yarbel.lab.lifter;

import dev.yarbel.core.effort.Effort;
import dev.yarbel.core.effort.RepCurve;
import dev.yarbel.core.effort.RepsInAll;
import dev.yarbel.core.effort.Rpe;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.MassUnit;
import dev.yarbel.core.record.LiftedSession;
import dev.yarbel.core.record.LiftedSet;
import dev.yarbel.core.record.SetDetails;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;

/**
 * A lifter who trains three times a week, gains strength from it, tires, has good and bad days, rates with a leaning of their own,
 * stays away and comes back, is ill at times, and sometimes writes down something wrong.
 *
 * <p>The true max follows an impulse-response model (Banister et al. 1975): training adds to a slow gain that fades within
 * six weeks, and to a fatigue that fades within nine days. Day's form wanders on from day to day. What can be done on
 * a day is the standing max, less the fatigue, times the form. The same seed lives the same life.
 */
public final class SimulatedLifter {

    private static final LocalDate FIRST_DAY = LocalDate.of(2026, 1, 5);
    private static final double GAIN_FADES = Math.exp(-1 / 42.0);
    private static final double FATIGUE_FADES = Math.exp(-1 / 9.0);
    private static final double FORM_STAYS = 0.7;
    /** So many impulses a day in steady training: three sessions a week, each of two lifts of three. */
    private static final double USUAL = 2.0 / 7;
    /** As a share of the max, if nobody trained for ever. */
    private static final double LOST_WITHOUT_TRAINING = 0.06;

    private static final double TIRED_BY_A_SET = 0.004;
    private static final double BREAKS = 0.4;
    private static final int ILL_FOR = 9;
    private static final double ILL = 0.94;
    private static final int BELT_OFF_FROM = 30;
    private static final double BARE = 0.94;
    private static final double GUESS_OF_THE_COACH = 0.03;
    private static final double TEST_OFF = 0.02;
    private static final int[] TRAINING_DAYS = {0, 2, 4};
    private static final List<List<Lift>> SESSIONS = List.of(
            List.of(Lift.SQUAT, Lift.BENCH_PRESS),
            List.of(Lift.DEADLIFT, Lift.BENCH_PRESS),
            List.of(Lift.SQUAT, Lift.DEADLIFT));
    private static final int[] TOP_REPS = {1, 2, 3, 5};
    private static final int BACK_OFFS = 3;
    private static final int BACK_OFF_REPS = 5;
    private static final int BACK_OFF_LEFT = 3;

    private final Random random;
    private final Traits traits;
    private final Map<Lift, Strength> strengths = new LinkedHashMap<>();
    private final Map<Lift, Life.Speed> speeds = new LinkedHashMap<>();
    private double form;
    private int daysIll;
    private int jumpsIn;
    private double jumpsBy;
    private double jumped = 1;
    private boolean bare;
    /** Draws of its own, so that a lifter with a sensor lives as they would without. */
    private Random sensor;

    private boolean goesToTheLimit;
    private BeltOff beltOff = BeltOff.NEVER;

    /** Whether a lifter who wears a belt leaves it off for some weeks, and says so. */
    public enum BeltOff {
        NEVER,
        UNSAID,
        SAID
    }

    private SimulatedLifter(Random random, Traits traits) {
        this.random = random;
        this.traits = traits;
        traits.lifts().forEach((lift, of) -> strengths.put(lift, new Strength(of)));
    }

    public static SimulatedLifter of(long seed) {
        Random random = new Random(seed);
        return new SimulatedLifter(random, Traits.draw(random));
    }

    /** The speed of the last repetition of each set is measured. */
    public SimulatedLifter measured() {
        sensor = new Random(Double.doubleToLongBits(traits.noise()));
        speeds.clear();
        traits.lifts().keySet().forEach(lift -> speeds.put(lift, Life.Speed.draw(sensor)));
        return this;
    }

    /** The last set of each lift of a session in every fourth week goes on until nothing more goes, and is marked as one. */
    public SimulatedLifter toTheLimit() {
        goesToTheLimit = true;
        return this;
    }

    /** In four weeks of the second half of the year squats and pulls are done without the belt that is worn in all others, and some less goes. */
    public SimulatedLifter withoutBelt(BeltOff said) {
        beltOff = said;
        return this;
    }

    /** What training has made of one lift; steady training at first. */
    private static final class Strength {

        private final Traits.InLift of;
        private double gain = 1;
        private double fatigue = 1;

        private Strength(Traits.InLift of) {
            this.of = of;
        }

        void train() {
            gain += (1 - GAIN_FADES) / USUAL;
            fatigue += (1 - FATIGUE_FADES) / USUAL;
        }

        void rest() {
            gain *= GAIN_FADES;
            fatigue *= FATIGUE_FADES;
        }

        /** Without the day's form and fatigue: what it was at first, what was added since, and what staying away took. */
        double standing(double trained, double jumped) {
            return of.max() * jumped * (1 + of.gain() * trained + LOST_WITHOUT_TRAINING * (gain - 1));
        }
    }

    /** A year, or so many weeks. */
    public Life live(int weeks) {
        return live(weeks, random.nextDouble() < BREAKS ? 8 + random.nextInt(Math.max(1, weeks - 12)) : -1, false);
    }

    /**
     * So many weeks in which the standing max stays as it is but for one jump at the beginning of a week; without a break.
     *
     * @param jump as a share of the max; nothing for none at all
     */
    public Life liveSteadily(int weeks, int inWeek, double jump) {
        jumpsIn = inWeek;
        jumpsBy = jump;
        return live(weeks, -1, true);
    }

    private Life live(int weeks, int away, boolean steady) {
        Map<Lift, Double> tested = new LinkedHashMap<>();
        strengths.forEach(
                (lift, strength) -> tested.put(lift, strength.standing(0, 1) * (1 + TEST_OFF * random.nextGaussian())));
        List<LiftedSession> sessions = new ArrayList<>();
        List<Life.Week> truth = new ArrayList<>();
        int weeksAway = 2 + random.nextInt(3);
        for (int week = 0; week < weeks; week++) {
            double trained = steady ? 0 : Math.min(1, week / 40.0);
            jumped = week >= jumpsIn ? 1 + jumpsBy : 1;
            boolean gone = week >= away && week < away + weeksAway && away > 0;
            if (random.nextDouble() < traits.fallsIll()) {
                daysIll = ILL_FOR;
            }
            for (int day = 0; day < 7; day++) {
                LocalDate date = FIRST_DAY.plusDays(7L * week + day);
                form = FORM_STAYS * form
                        + traits.dayForm() * Math.sqrt(1 - FORM_STAYS * FORM_STAYS) * random.nextGaussian();
                strengths.values().forEach(Strength::rest);
                daysIll = Math.max(0, daysIll - 1);
                for (int session = 0; session < TRAINING_DAYS.length; session++) {
                    if (day == TRAINING_DAYS[session] && !gone && random.nextDouble() > traits.missesSession()) {
                        sessions.add(train(date, SESSIONS.get(session), trained, week));
                    }
                }
            }
            Map<Lift, Double> standing = new LinkedHashMap<>();
            strengths.forEach((lift, strength) -> standing.put(lift, strength.standing(trained, jumped)));
            truth.add(new Life.Week(FIRST_DAY.plusDays(7L * week + 6), standing, gone));
        }
        Map<Lift, Life.Habit> habits = new LinkedHashMap<>();
        traits.lifts().forEach((lift, of) -> habits.put(lift, of.habit()));
        return new Life(FIRST_DAY, tested, sessions, truth, habits, Map.copyOf(speeds));
    }

    private LiftedSession train(LocalDate date, List<Lift> lifts, double trained, int week) {
        List<LiftedSet> sets = new ArrayList<>();
        boolean limit = goesToTheLimit && week % 4 == 3;
        for (Lift lift : lifts) {
            bare = beltOff != BeltOff.NEVER
                    && week >= BELT_OFF_FROM
                    && week < BELT_OFF_FROM + 4
                    && !lift.equals(Lift.BENCH_PRESS);
            Strength strength = strengths.get(lift);
            double standing = strength.standing(trained, jumped);
            double today = standing
                    * (1 - traits.fatigue() * strength.fatigue)
                    * (1 + form)
                    * (daysIll > 0 ? ILL : 1)
                    * (bare ? BARE : 1);
            double believed = standing * (bare ? BARE : 1) * (1 + GUESS_OF_THE_COACH * random.nextGaussian());
            int top = TOP_REPS[random.nextInt(TOP_REPS.length)];
            int left = 1 + random.nextInt(3);
            sets.add(lift(lift, strength.of, believed * share(top + left), top, today));
            for (int i = 1; i <= BACK_OFFS; i++) {
                double tired = today * (1 - TIRED_BY_A_SET * i);
                double load = believed * share(BACK_OFF_REPS + BACK_OFF_LEFT);
                sets.add(
                        limit && i == BACK_OFFS
                                ? limit(lift, strength.of, load, tired)
                                : lift(lift, strength.of, load, BACK_OFF_REPS, tired));
            }
            strength.train();
        }
        return new LiftedSession(date, sets);
    }

    /** What the coach plans by: the same curve for everybody. */
    private static double share(int reps) {
        return RepCurve.DEFAULT.share(RepsInAll.toTheLimit(reps)).share().doubleValue();
    }

    /** One set: as many as asked, or as many as can be done; and what is said and written of it. */
    private LiftedSet lift(Lift lift, Traits.InLift of, double wanted, int asked, double today) {
        double load = loaded(wanted);
        double borrowed = asked > 1 ? today * (1 + of.flatters()) : today;
        double can = of.curve().repsAt(load / borrowed, of.steepness());
        int done = (int) Math.min(asked, Math.floor(can));
        Effort said = done < asked ? new Effort.Missed() : traits.said(can - done + of.bias(), random);
        boolean slip = random.nextDouble() < traits.slips();
        boolean unit = slip && random.nextBoolean();
        int reps = slip && !unit && done > 2 ? done - 2 : done;
        LiftedSet set = inItsKit(new LiftedSet(lift, mass(unit ? load * 2.2046 : load), reps, said));
        return sensor == null || done < asked
                ? set
                : set.with(set.details().with(speeds.get(lift).measured(load / borrowed, done, of, sensor)));
    }

    private LiftedSet inItsKit(LiftedSet set) {
        return bare && beltOff == BeltOff.SAID ? set.with(set.details().worn(Set.of())) : set;
    }

    private static double loaded(double wanted) {
        return Math.max(20, Math.round(wanted / 2.5) * 2.5);
    }

    /** As many as go; at least one does of what others leave three of. */
    private LiftedSet limit(Lift lift, Traits.InLift of, double wanted, double today) {
        double load = loaded(wanted);
        int done =
                (int) Math.max(1, Math.floor(of.curve().repsAt(load / (today * (1 + of.flatters())), of.steepness())));
        return new LiftedSet(lift, mass(load), done, Effort.rated(Rpe.LIMIT))
                .with(SetDetails.NONE.proven(SetDetails.Proof.LIMIT_SET));
    }

    private static Mass mass(double kg) {
        return Mass.of(BigDecimal.valueOf(kg).setScale(1, RoundingMode.HALF_UP), MassUnit.KG);
    }
}
