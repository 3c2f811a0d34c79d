package dev.yarbel.web.practice;

import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.lift.Start;
import dev.yarbel.core.practice.DrawnSet;
import dev.yarbel.core.practice.Hindsight;
import dev.yarbel.core.practice.PracticeScore;
import dev.yarbel.core.record.LiftedSet;
import dev.yarbel.web.book.LiftRecord;
import dev.yarbel.web.book.LifterRecord;
import dev.yarbel.web.book.SessionLog;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.IntStream;

/**
 * The page of practice in rating.
 *
 * @param lifts that can be practised: those that have numbers
 * @param lift that is practised; null where nothing is lifted yet
 * @param number of the set that is drawn
 * @param drawn null where there is no lift
 * @param begins the phase that a repetition of it begins with; null where there is none
 * @param last the guess that was just made; null where none was
 * @param drawnOnes what was guessed of drawn sets
 * @param liftedOnes the same of sets of their own, before they were lifted
 * @param limits what sets to the limit showed of ratings, the latest first
 */
record PracticeView(
        List<Lift> lifts,
        Lift lift,
        long number,
        DrawnSet drawn,
        Start begins,
        Guesses.Kept last,
        Scored drawnOnes,
        Scored liftedOnes,
        List<Limit> limits) {

    private static final int MOST_LIMITS = 5;

    /**
     * Guesses with what they are worth.
     *
     * @param guesses the latest, oldest first
     * @param score empty before the first
     */
    record Scored(List<Guesses.Kept> guesses, Optional<PracticeScore> score) {

        static Scored of(List<Guesses.Kept> all, Guesses.Kind kind) {
            List<Guesses.Kept> some =
                    all.stream().filter(guess -> guess.kind() == kind).toList();
            return new Scored(some, Guesses.score(some));
        }
    }

    /** What one set to the limit showed of the other sets of its session. */
    record Limit(LocalDate on, LiftedSet set, List<Hindsight> seen) {}

    static PracticeView of(
            LifterRecord standing, Optional<Lift> wanted, long number, Optional<Long> guessed, List<Guesses.Kept> all) {
        List<Lift> lifts = lifts(standing);
        Lift lift = wanted.filter(lifts::contains).orElse(lifts.isEmpty() ? null : lifts.get(0));
        return new PracticeView(
                lifts,
                lift,
                number,
                lift == null ? null : drawn(standing, lift, number),
                lift == null ? null : standing.catalogue().of(lift).start(),
                guessed.flatMap(drawn -> all.stream()
                                .filter(guess -> guess.kind() == Guesses.Kind.DRAWN && guess.number() == drawn)
                                .findFirst())
                        .orElse(null),
                Scored.of(all, Guesses.Kind.DRAWN),
                Scored.of(all, Guesses.Kind.LIFTED),
                limits(standing));
    }

    static DrawnSet drawn(LifterRecord standing, Lift lift, long number) {
        return DrawnSet.of(standing.of(lift).flatMap(known -> known.learnt().speeds()), number);
    }

    /** Those with speeds of the lifter's own first. */
    static List<Lift> lifts(LifterRecord standing) {
        Map<Boolean, List<Lift>> lifts = standing.lifts().stream()
                .filter(LiftRecord::hasNumbers)
                .collect(Collectors.partitioningBy(
                        known -> known.learnt()
                                .speeds()
                                .filter(table -> !table.isThin())
                                .isPresent(),
                        Collectors.mapping(LiftRecord::lift, Collectors.toList())));
        List<Lift> all = new ArrayList<>(lifts.get(true));
        all.addAll(lifts.get(false));
        return all;
    }

    private static List<Limit> limits(LifterRecord standing) {
        List<Limit> limits = new ArrayList<>();
        List<SessionLog> latestFirst = new ArrayList<>(standing.log());
        Collections.reverse(latestFirst);
        for (SessionLog session : latestFirst) {
            session.lifted().sets().stream()
                    .collect(Collectors.groupingBy(LiftedSet::lift))
                    .forEach((lift, sets) -> standing.of(lift)
                            .map(known -> Hindsight.of(sets, known.curve()))
                            .filter(seen -> !seen.isEmpty())
                            .ifPresent(seen -> limits.add(
                                    new Limit(session.date(), seen.get(0).limit(), seen))));
            if (limits.size() >= MOST_LIMITS) {
                break;
            }
        }
        return limits;
    }

    /** What can be guessed. */
    public List<Integer> answers() {
        return IntStream.rangeClosed(0, DrawnSet.MOST_LEFT).boxed().toList();
    }
}
