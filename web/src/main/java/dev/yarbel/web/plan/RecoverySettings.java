package dev.yarbel.web.plan;

import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.measure.Percent;
import dev.yarbel.core.recovery.RecoveryFigures;
import dev.yarbel.core.recovery.RecoveryKnown;
import dev.yarbel.web.block.LifterBlock;
import dev.yarbel.web.page.ChangeKind;
import dev.yarbel.web.page.ChangeLog;
import dev.yarbel.web.page.Person;
import dev.yarbel.web.page.UnreadableException;
import dev.yarbel.web.roster.LifterCard;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** How long lifts need to recover, as the club and a lifter's coach have set it; else as it usually is. */
@Service
@Transactional
class RecoverySettings {

    private final RecoveryFigureRepository figures;
    private final ChangeLog changes;

    RecoverySettings(RecoveryFigureRepository figures, ChangeLog changes) {
        this.figures = figures;
        this.changes = changes;
    }

    /**
     * What was set.
     *
     * @param club and own, the hours of lifts, for the club and for the lifter
     * @param clubLikeness and ownLikeness, how much of a lift's wake another one feels
     */
    record Figures(
            Map<Lift, Integer> club,
            Map<Lift, Integer> own,
            Map<RecoveryFigures.Pair, Percent> clubLikeness,
            Map<RecoveryFigures.Pair, Percent> ownLikeness) {

        private static Figures of(List<RecoveryFigure> all) {
            Predicate<RecoveryFigure> ofClub = RecoveryFigure::isOfClub;
            return new Figures(
                    hours(all, ofClub),
                    hours(all, ofClub.negate()),
                    likeness(all, ofClub),
                    likeness(all, ofClub.negate()));
        }

        private static Map<Lift, Integer> hours(List<RecoveryFigure> all, Predicate<RecoveryFigure> which) {
            return all.stream()
                    .filter(which)
                    .filter(figure -> figure.then().isEmpty())
                    .collect(Collectors.toMap(RecoveryFigure::lift, RecoveryFigure::figure));
        }

        private static Map<RecoveryFigures.Pair, Percent> likeness(
                List<RecoveryFigure> all, Predicate<RecoveryFigure> which) {
            Map<RecoveryFigures.Pair, Percent> likeness = new HashMap<>();
            all.stream()
                    .filter(which)
                    .filter(figure -> figure.then().isPresent())
                    .forEach(figure -> likeness.put(figure.pair(), figure.share()));
            return likeness;
        }

        /** As it holds for the lifter. */
        RecoveryFigures all() {
            return RecoveryFigures.START.with(club, clubLikeness).ownedBy(own, ownLikeness);
        }
    }

    /** What was set for a lifter and their club. */
    @Transactional(readOnly = true)
    public Figures figures(LifterCard lifter) {
        return Figures.of(figures.findFor(lifter.clubId(), lifter.id()));
    }

    /** All that is known of how a lifter recovers. */
    @Transactional(readOnly = true)
    public RecoveryKnown known(LifterBlock plan) {
        return new RecoveryKnown(figures(plan.lifter()).all(), WakeMaker.recovers(plan));
    }

    /**
     * What was typed of a lift: blank for as it is without it, empty for as it is kept.
     *
     * @param then the lift that feels a share of the other's wake; empty where hours are meant
     */
    record Typed(Lift lift, Optional<Lift> then, Optional<String> club, Optional<String> own) {}

    /**
     * Sets a lift's figures, for the whole club and for the lifter.
     *
     * @throws UnreadableException when one is no figure of its range
     */
    public void set(Person coach, LifterCard lifter, Typed typed) {
        boolean percent = typed.then().isPresent();
        Optional<Optional<Integer>> club = typed.club().map(text -> read(text, percent, "club"));
        Optional<Optional<Integer>> own = typed.own().map(text -> read(text, percent, "own"));
        List<RecoveryFigure> held = figures.findFor(lifter.clubId(), lifter.id()).stream()
                .filter(each -> each.lift().equals(typed.lift()) && each.then().equals(typed.then()))
                .toList();
        club.ifPresent(figure -> set(coach, lifter, true, typed, held, figure));
        own.ifPresent(figure -> set(coach, lifter, false, typed, held, figure));
    }

    private void set(
            Person coach,
            LifterCard lifter,
            boolean ofClub,
            Typed typed,
            List<RecoveryFigure> all,
            Optional<Integer> figure) {
        Optional<RecoveryFigure> held =
                all.stream().filter(each -> each.isOfClub() == ofClub).findFirst();
        Optional<Integer> before = held.map(RecoveryFigure::figure);
        if (before.equals(figure)) {
            return;
        }
        String lift = typed.lift().key();
        Optional<String> then = typed.then().map(Lift::key);
        if (figure.isPresent()) {
            figures.set(lifter.clubId(), ofClub ? null : lifter.id(), lift, then.orElse(null), figure.get());
        } else {
            figures.remove(lifter.clubId(), held.orElseThrow().id());
        }
        changes.write(
                coach,
                ofClub ? Optional.empty() : Optional.of(lifter.id()),
                ChangeKind.RECOVERY,
                List.of(lift, then.orElse("")),
                Optional.empty(),
                said(before),
                said(figure));
    }

    private static String said(Optional<Integer> figure) {
        return figure.map(String::valueOf).orElse("");
    }

    private static Optional<Integer> read(String typed, boolean percent, String field) {
        String text = typed.strip().replaceAll("\\s*(h|%)$", "");
        if (text.isEmpty()) {
            return Optional.empty();
        }
        int least = percent ? 0 : RecoveryFigures.LEAST;
        int most = percent ? 100 : RecoveryFigures.MOST;
        if (text.matches("\\d{1,3}") && Integer.parseInt(text) >= least && Integer.parseInt(text) <= most) {
            return Optional.of(Integer.parseInt(text));
        }
        throw new UnreadableException(
                        percent ? "recovers.error.percent" : "recovers.error.hours",
                        String.valueOf(least),
                        String.valueOf(most))
                .in(field);
    }
}
