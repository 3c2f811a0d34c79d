package dev.yarbel.web.floor;

import dev.yarbel.core.estimate.MaxEstimate;
import dev.yarbel.core.measure.MassUnit;
import dev.yarbel.core.prescription.SetModifier;
import dev.yarbel.core.session.Best;
import dev.yarbel.core.session.DoneSet;
import dev.yarbel.core.session.PrescribedSets;
import dev.yarbel.core.session.SessionPlan.SlotPlan;
import dev.yarbel.core.tally.Exposure;
import dev.yarbel.web.book.LiftRecord;
import dev.yarbel.web.book.SessionLog;
import dev.yarbel.web.page.Words;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;

/** Writes what a finished session was, for whoever lifted it. */
@Component
class AfterwardsWriter {

    private final Words words;
    private final Amounts amounts;

    AfterwardsWriter(Words words, Amounts amounts) {
        this.words = words;
        this.amounts = amounts;
    }

    Afterwards write(FloorDay day) {
        MassUnit unit = day.plan().lifter().unit();
        LocalDate held = day.log().map(SessionLog::date).orElseGet(day::date);
        List<Best.PastSet> before = day.plan().standing().log().stream()
                .filter(session -> session.finished()
                        && !session.date().isAfter(held)
                        && day.log().filter(own -> own.id() == session.id()).isEmpty())
                .flatMap(session -> Best.PastSet.of(session.date(), session.asked(), session.sets()).stream())
                .toList();
        List<Best.PastSet> today = day.log().stream()
                .flatMap(log -> Best.PastSet.of(held, log.asked(), log.sets()).stream())
                .toList();
        return new Afterwards(
                day.session().slots().stream()
                        .map(slot -> line(day, slot, today, before, unit))
                        .toList(),
                moved(day, held, unit),
                next(day));
    }

    private Afterwards.Line line(
            FloorDay day, SlotPlan slot, List<Best.PastSet> today, List<Best.PastSet> before, MassUnit unit) {
        PrescribedSets asked = slot.prescription();
        List<DoneSet> done = day.done().stream()
                .filter(set -> !set.task().warmUp() && SlotWriter.answers(slot, set.task()))
                .toList();
        boolean blind = asked.part().is(SetModifier.BLIND);
        Optional<DoneSet> heaviest = done.stream()
                .filter(set -> set.set().made())
                .max(Comparator.comparing(set -> set.set().load()));
        return new Afterwards.Line(
                asked.letter(),
                asked.lift(),
                done.size(),
                asked.sets(),
                heaviest.filter(set -> !blind).map(set -> said(set, unit)).orElse(null),
                done.isEmpty() ? null : Exposure.judgement(List.of(asked), done).name(),
                !blind && done.stream().anyMatch(set -> isBest(set, today, before)));
    }

    private static boolean isBest(DoneSet set, List<Best.PastSet> today, List<Best.PastSet> before) {
        return today.stream()
                .filter(past -> past.set().equals(set.set()))
                .findFirst()
                .filter(past -> Best.isNew(past, before))
                .isPresent();
    }

    private String said(DoneSet set, MassUnit unit) {
        String amount = amounts.done(set.set(), unit);
        return set.set().load().isZero()
                ? amount
                : words.say("set.done", words.load(set.set().load(), unit), amount);
    }

    /** The estimates that this very session moved. */
    private List<Afterwards.Moved> moved(FloorDay day, LocalDate held, MassUnit unit) {
        List<Afterwards.Moved> moved = new ArrayList<>();
        for (LiftRecord lift : day.plan().standing().lifts()) {
            lift.estimate().map(MaxEstimate::movements).stream()
                    .flatMap(List::stream)
                    .filter(movement -> movement.date().equals(held))
                    .reduce((first, last) -> last)
                    .filter(movement ->
                            !words.about(movement.before(), unit).equals(words.about(movement.after(), unit)))
                    .ifPresent(movement -> moved.add(new Afterwards.Moved(
                            lift.lift(), words.about(movement.before(), unit), words.about(movement.after(), unit))));
        }
        return moved;
    }

    private static Afterwards.Next next(FloorDay day) {
        return Stream.of(day.following(1))
                .flatMap(List::stream)
                .map(place -> new Afterwards.Next(
                        day.plan().block().days().get(place.day()).name(),
                        day.plan().block().date(place.day(), place.week()),
                        place.day(),
                        place.week()))
                .findFirst()
                .orElse(null);
    }
}
