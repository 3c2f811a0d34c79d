package dev.yarbel.core.lift;

import dev.yarbel.core.lifter.Sex;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.Percent;
import java.math.BigDecimal;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * The mastery that what is known of a lifter in one lift speaks for, with its reasons. The coach decides.
 *
 * <p>History in that very lift, consistency and strength each speak for a level. Of three the middle one stands; of two
 * the lower. Advanced is rare: only all three together make an advanced lifter. Somebody who gasses after fifteen squats
 * with the body alone or four push-ups is a beginner whatever the bar says (common practice, no source). Bounds of history:
 * 6 and 96 months. Strength is the max beside the
 * body mass raised to two thirds, as strength grows with muscle cross-section while mass grows with volume (Lietzke 1956,
 * Science 124, on weightlifting totals); its bounds, as multiples of body mass for a man of 90 kg and a woman of 65 kg,
 * are our own starting values, and exist for the squat, bench press, deadlift and overhead press only.
 *
 * @param reasons what each piece of evidence speaks for
 */
public record MasterySuggestion(Mastery level, List<Reason> reasons) {

    private static final int BEGINNER_UNDER_MONTHS = 6;
    private static final int ADVANCED_FROM_MONTHS = 96;
    private static final double MAN_KG = 90;
    private static final double WOMAN_KG = 65;
    private static final double TWO_THIRDS = 2.0 / 3;

    /** Multiples of body mass from which a lifter is intermediate and advanced. */
    private record Bounds(double intermediate, double advanced) {}

    private static final Map<Lift, Bounds> MEN = Map.of(
            Lift.SQUAT, new Bounds(1.4, 2.5),
            Lift.BENCH_PRESS, new Bounds(1.0, 1.75),
            Lift.DEADLIFT, new Bounds(1.7, 2.9),
            Lift.OVERHEAD_PRESS, new Bounds(0.65, 1.1));
    private static final Map<Lift, Bounds> WOMEN = Map.of(
            Lift.SQUAT, new Bounds(1.1, 2.0),
            Lift.BENCH_PRESS, new Bounds(0.65, 1.15),
            Lift.DEADLIFT, new Bounds(1.4, 2.4),
            Lift.OVERHEAD_PRESS, new Bounds(0.45, 0.75));

    public MasterySuggestion {
        reasons = List.copyOf(reasons);
    }

    /** A piece of evidence and the level it speaks for. */
    public sealed interface Reason {

        Mastery speaksFor();

        /** Whether it is weighed against the others; shortness of breath only ever holds back. */
        boolean isWeighed();

        /** Asks what kind this is. */
        <T> T accept(Visitor<T> visitor);

        /** What somebody makes of each of them. */
        interface Visitor<T> {

            T history(History history);

            T alike(Alike alike);

            T breath(Breath breath);

            T strength(Strength strength);
        }

        /** So many months in that very lift. */
        record History(long months, Mastery speaksFor) implements Reason {
            @Override
            public <T> T accept(Visitor<T> visitor) {
                return visitor.history(this);
            }

            @Override
            public boolean isWeighed() {
                return true;
            }
        }

        /** How alike the repetitions look. */
        record Alike(Consistency consistency, Mastery speaksFor) implements Reason {
            @Override
            public <T> T accept(Visitor<T> visitor) {
                return visitor.alike(this);
            }

            @Override
            public boolean isWeighed() {
                return true;
            }
        }

        /** Out of breath after little work with the body alone. */
        record Breath(Mastery speaksFor) implements Reason {
            @Override
            public <T> T accept(Visitor<T> visitor) {
                return visitor.breath(this);
            }

            @Override
            public boolean isWeighed() {
                return false;
            }
        }

        /**
         * The max as a share of body mass.
         *
         * @param intermediateFrom the share from which somebody of this sex and body mass is intermediate
         * @param advancedFrom the share from which they are advanced
         */
        record Strength(Percent ofBodyMass, Percent intermediateFrom, Percent advancedFrom, Mastery speaksFor)
                implements Reason {
            @Override
            public <T> T accept(Visitor<T> visitor) {
                return visitor.strength(this);
            }

            @Override
            public boolean isWeighed() {
                return true;
            }
        }
    }

    /**
     * What is known of a lifter in a lift.
     *
     * @param since when they began with that lift
     * @param soonOutOfBreath they gasp after fifteen squats with the body alone or four push-ups
     */
    public record Evidence(
            Optional<LocalDate> since,
            Optional<Consistency> consistency,
            Optional<Mass> max,
            Optional<Mass> bodyMass,
            Optional<Sex> sex,
            boolean soonOutOfBreath) {

        /** Of somebody whose breath lasts. */
        public Evidence(
                Optional<LocalDate> since,
                Optional<Consistency> consistency,
                Optional<Mass> max,
                Optional<Mass> bodyMass,
                Optional<Sex> sex) {
            this(since, consistency, max, bodyMass, sex, false);
        }
    }

    /** The suggestion for a lift; empty when nothing is known that speaks for any level. */
    public static Optional<MasterySuggestion> of(Lift lift, Evidence evidence, LocalDate today) {
        List<Reason> reasons = new ArrayList<>();
        evidence.since().map(since -> history(since, today)).ifPresent(reasons::add);
        evidence.consistency().map(MasterySuggestion::alike).ifPresent(reasons::add);
        if (evidence.soonOutOfBreath()) {
            reasons.add(new Reason.Breath(Mastery.BEGINNER));
        }
        strength(lift, evidence).ifPresent(reasons::add);
        if (reasons.isEmpty()) {
            return Optional.empty();
        }
        List<Mastery> levels = reasons.stream()
                .filter(Reason::isWeighed)
                .map(Reason::speaksFor)
                .sorted(Comparator.naturalOrder())
                .toList();
        if (levels.isEmpty()) {
            return Optional.of(new MasterySuggestion(Mastery.BEGINNER, reasons));
        }
        Mastery level = levels.size() == 3 ? levels.get(1) : levels.get(0);
        boolean all = levels.size() == 3 && levels.get(0) == Mastery.ADVANCED;
        if (level == Mastery.ADVANCED && !all) {
            level = Mastery.INTERMEDIATE;
        }
        if (evidence.soonOutOfBreath()) {
            level = Mastery.BEGINNER;
        }
        return Optional.of(new MasterySuggestion(level, reasons));
    }

    private static Reason history(LocalDate since, LocalDate today) {
        long months = Math.max(0, ChronoUnit.MONTHS.between(since, today));
        Mastery level = months < BEGINNER_UNDER_MONTHS
                ? Mastery.BEGINNER
                : months < ADVANCED_FROM_MONTHS ? Mastery.INTERMEDIATE : Mastery.ADVANCED;
        return new Reason.History(months, level);
    }

    private static Reason alike(Consistency consistency) {
        return new Reason.Alike(
                consistency,
                switch (consistency) {
                    case VARIES -> Mastery.BEGINNER;
                    case HOLDS_WHEN_LIGHT -> Mastery.INTERMEDIATE;
                    case HOLDS -> Mastery.ADVANCED;
                });
    }

    private static Optional<Reason> strength(Lift lift, Evidence evidence) {
        if (evidence.max().isEmpty()
                || evidence.bodyMass().isEmpty()
                || evidence.sex().isEmpty()) {
            return Optional.empty();
        }
        boolean woman = evidence.sex().get() == Sex.FEMALE;
        Bounds bounds = (woman ? WOMEN : MEN).get(lift);
        if (bounds == null) {
            return Optional.empty();
        }
        Mass bodyMass = evidence.bodyMass().get();
        double kg = bodyMass.kilograms();
        double lighter = Math.pow(kg / (woman ? WOMAN_KG : MAN_KG), TWO_THIRDS - 1);
        Percent share = evidence.max().get().percentOf(bodyMass);
        Percent intermediate = share(bounds.intermediate * lighter);
        Percent advanced = share(bounds.advanced * lighter);
        Mastery level = share.isLessThan(intermediate)
                ? Mastery.BEGINNER
                : share.isLessThan(advanced) ? Mastery.INTERMEDIATE : Mastery.ADVANCED;
        return Optional.of(new Reason.Strength(share, intermediate, advanced, level));
    }

    private static Percent share(double share) {
        return Percent.ofShare(BigDecimal.valueOf(share));
    }
}
