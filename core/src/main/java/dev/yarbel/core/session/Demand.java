package dev.yarbel.core.session;

import dev.yarbel.core.effort.RepsInAll;
import dev.yarbel.core.effort.Rpe;
import dev.yarbel.core.equipment.AccommodatingResistance;
import dev.yarbel.core.lift.Tempo;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.Percent;
import dev.yarbel.core.prescription.Part;
import dev.yarbel.core.prescription.SetModifier;
import dev.yarbel.core.record.SetUp;
import java.time.Duration;
import java.util.EnumSet;
import java.util.Map;
import java.util.Optional;

/**
 * What sets take of a lifter beyond plain ones of the same load and repetitions: what chains and bands do to the load, a
 * slow beat, short rests, many sets at one load, and another lift before that used the same muscles. Predictions, loads by a
 * rating and marks all ask here.
 *
 * <p>That each of these counts is common practice, no source; the figures are starting values of ours, and those of
 * {@link Figures} a coach may change for a lifter:
 *
 * <ul>
 *   <li>a beat of more than 3 s a repetition: 1 point lighter for each further second, 5 to 15 in all;
 *   <li>rests under 45 s: 10 points lighter, under 90 s: 5;
 *   <li>after another lift that used the same muscles hard: 2.5 points lighter; all of these together 20 at most;
 *   <li>a fifth of a point on the rating for each set of three repetitions or more after the first: the sixth set of five
 *       rates a point above the first;
 *   <li>a cluster of singles with short rests is as hard as three fifths of them in a row, density work as two fifths of
 *       the goal;
 *   <li>a lifter holds 120 % at the top of a lift of what they lift from the bottom.
 * </ul>
 *
 * @param share of the plain load that is as hard
 * @param halves half repetitions that the last set is harder than the first
 */
public record Demand(Percent share, int halves, Optional<AccommodatingResistance> changing) {

    /** What a lifter holds at the top, as a share of what they lift from the bottom. */
    public static final Percent AT_THE_TOP = Percent.of(120);

    public static final Percent TIRED = Percent.of("2.5");
    public static final Percent LIGHTEST = Percent.of(80);

    private static final int PLAIN_SECONDS = 3;
    private static final Percent SLOW_LEAST = Percent.of(5);
    private static final Percent SLOW_MOST = Percent.of(15);
    private static final Percent HALF = Percent.of(50);
    private static final int SHORT_REST = 45;
    private static final int SHORTISH_REST = 90;
    private static final int REPS_THAT_TIRE = 3;
    private static final int MOST_HALVES = 4;

    /**
     * The figures that a coach may change for a lifter.
     *
     * @param aSecond points lighter for each second of a repetition beyond three, 0 to 3
     * @param shortRest points lighter for rests under 45 s, half of it under 90 s, 0 to 20
     * @param tired points lighter after another lift that used the same muscles hard, 0 to 10
     * @param drift points on the rating for each further set of three repetitions or more, 0 to 1
     */
    public record Figures(Percent aSecond, Percent shortRest, Percent tired, Percent drift) {

        /** The starting values. */
        public static final Figures START = new Figures(Percent.of(1), Percent.of(10), TIRED, Percent.of("0.2"));
    }

    /** What the sets of a part take of a lifter. */
    public static Demand of(PrescribedSets prescription, LiftNumbers numbers) {
        return of(prescription.part(), prescription.tired(), numbers.figures());
    }

    /** What the sets of a part take of a lifter at the start of a session. */
    public static Demand of(Part part, LiftNumbers numbers) {
        return of(part, false, numbers.figures());
    }

    private static Demand of(Part part, boolean tired, Figures figures) {
        if (!tired
                && part.tempo().isEmpty()
                && part.rest().isEmpty()
                && part.changing().isEmpty()) {
            return new Demand(Percent.HUNDRED, further(part, figures), Optional.empty());
        }
        Percent off = slow(part, figures).plus(hurried(part, figures)).plus(tired ? figures.tired : Percent.ZERO);
        Percent share = Percent.HUNDRED.minus(off);
        return new Demand(share.isLessThan(LIGHTEST) ? LIGHTEST : share, further(part, figures), part.changing());
    }

    private static Percent slow(Part part, Figures figures) {
        int over = part.tempo().map(Tempo::seconds).orElse(0) - PLAIN_SECONDS;
        if (over <= 0 || figures.aSecond.equals(Percent.ZERO)) {
            return Percent.ZERO;
        }
        Percent off = figures.aSecond.times(Percent.of(100L * over));
        return off.isLessThan(SLOW_LEAST) ? SLOW_LEAST : off.isGreaterThan(SLOW_MOST) ? SLOW_MOST : off;
    }

    private static Percent hurried(Part part, Figures figures) {
        if (part.sets() < 2
                || part.is(SetModifier.SPEED)
                || part.work().straight().isEmpty()) {
            return Percent.ZERO;
        }
        long rest = part.rest().map(Duration::toSeconds).orElse((long) SHORTISH_REST);
        return rest < SHORT_REST
                ? figures.shortRest
                : rest < SHORTISH_REST ? figures.shortRest.times(HALF) : Percent.ZERO;
    }

    private static int further(Part part, Figures figures) {
        return part.work().straight().isPresent() && part.reps() >= REPS_THAT_TIRE && !part.is(SetModifier.SPEED)
                ? Math.min(
                        MOST_HALVES,
                        figures.drift
                                .times(Percent.of(200L * (part.sets() - 1)))
                                .figure()
                                .intValue())
                : 0;
    }

    /** How the sets of a part are to be done; a rest says something of them where they follow one another at working weight. */
    public static SetUp setUp(Part part) {
        EnumSet<SetUp.Manner> manners = EnumSet.noneOf(SetUp.Manner.class);
        part.details().manners().forEach(manner -> manner(manner).ifPresent(manners::add));
        boolean rests = part.sets() > 1
                && !part.is(SetModifier.SPEED)
                && part.work().straight().isPresent();
        return new SetUp(
                manners,
                part.tempo(),
                part.rest().filter(rest -> rests || rest.toSeconds() >= SHORTISH_REST),
                part.changing(),
                part.details().with(),
                part.details().without(),
                Map.of());
    }

    private static Optional<SetUp.Manner> manner(SetModifier modifier) {
        return switch (modifier) {
            case PARTIAL -> Optional.of(SetUp.Manner.PARTIAL);
            case ASSISTED -> Optional.of(SetUp.Manner.ASSISTED);
            case LOWERING -> Optional.of(SetUp.Manner.LOWERING);
            case PAUSED -> Optional.of(SetUp.Manner.PAUSED);
            case SPEED,
                    TO_POSITION,
                    EACH_SIDE,
                    STAGES,
                    BLIND,
                    CHOICE,
                    CHOICE_OF_STRENGTH,
                    CHOICE_OF_WEAKNESS,
                    FREE_REST,
                    APART -> Optional.empty();
        };
    }

    /** Whether such sets say nothing of the plain lift. */
    public boolean isOfItsOwnKind() {
        return changing.isPresent() || share.isLessThan(Percent.HUNDRED.minus(TIRED));
    }

    /** The plain load that is as hard as so much on the bar, at the point of the lift where that is hardest. */
    public Mass plain(Mass bar) {
        Mass held = changing.map(c -> Mass.max(c.atBottom(bar), c.atTop(bar).asShareOf(AT_THE_TOP)))
                .orElse(bar);
        return share.equals(Percent.HUNDRED) ? held : held.asShareOf(share);
    }

    /** What may be on the bar so that it is no harder than a plain load anywhere in the lift; nothing where that is too much. */
    public Mass bar(Mass plain) {
        Mass held = share.equals(Percent.HUNDRED) ? plain : plain.times(share);
        return changing.map(
                        c -> Mass.max(Mass.ZERO, Mass.min(c.barForBottom(held), c.barForTop(held.times(AT_THE_TOP)))))
                .orElse(held);
    }

    /** The repetitions that the last set amounts to at a rating, as a set of its own. */
    public RepsInAll inAll(Part part, Rpe rpe) {
        return new RepsInAll(halvesOf(part) + rpe.halvesLeft());
    }

    /** The half repetitions done in what the last set amounts to. */
    int halvesOf(Part part) {
        boolean inPieces =
                part.work().clusters().isPresent() || part.work().density().isPresent();
        return alone(part) + (inPieces ? 0 : halves);
    }

    /** The half repetitions that a set of a part amounts to, whatever was done before it; a round of small sets and density work are one. */
    public static int alone(Part part) {
        return part.work()
                .clusters()
                .map(clusters -> Math.max(2 * clusters.each(), 2 * clusters.reps() * 3 / 5))
                .or(() -> part.work()
                        .density()
                        .map(density -> Math.max(2 * density.reps(), 2 * density.sets() * density.reps() * 2 / 5)))
                .orElse(2 * part.reps());
    }
}
