package dev.yarbel.web.book;

import dev.yarbel.core.lift.Catalogue;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.lift.Ratio;
import dev.yarbel.core.lift.Variation;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.session.LiftNumbers;
import dev.yarbel.core.session.Numbers;
import dev.yarbel.web.page.NotFoundException;
import java.time.LocalDate;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;

/**
 * What the book knows of a lifter: each lift's numbers, and the sessions they came from, oldest first.
 *
 * @param since the log holds every session from this day on
 * @param catalogue the lifts that the lifter's club knows
 */
public record Standing(LocalDate since, Catalogue catalogue, List<LiftStanding> lifts, List<SessionLog> log) {

    public Standing {
        lifts = List.copyOf(lifts);
        log = List.copyOf(log);
    }

    public Optional<LiftStanding> of(Lift lift) {
        return lifts.stream().filter(s -> s.lift().equals(lift)).findFirst();
    }

    /**
     * The lift of a key.
     *
     * @throws NotFoundException when the club knows none
     */
    Variation variation(String key) {
        return catalogue.all().stream()
                .filter(variation -> variation.lift().key().equals(key))
                .findFirst()
                .orElseThrow(NotFoundException::new);
    }

    /** What loads can hang on, for each lift and for its variations by their ratios. */
    public Numbers numbers() {
        Map<Lift, Ratio> ratios = new HashMap<>(catalogue.ratios());
        for (LiftStanding lift : lifts) {
            lift.ratio()
                    .ifPresent(share -> ratios.computeIfPresent(
                            lift.lift(), (l, ratio) -> new Ratio(ratio.to(), share, Ratio.Source.COACH)));
        }
        Map<Lift, Mass> last = lastTime();
        Map<Lift, LiftNumbers> own = new HashMap<>();
        lifts.forEach(lift -> own.put(lift.lift(), lift.numbers(Optional.ofNullable(last.get(lift.lift())))));
        last.forEach((lift, load) ->
                own.computeIfAbsent(lift, l -> LiftStanding.none(l).numbers(Optional.of(load))));
        return Numbers.of(own, ratios);
    }

    /** The heaviest work load of each lift in the last finished session with it: one of a plan before one of none. */
    private Map<Lift, Mass> lastTime() {
        Map<Lift, Mass> last = lastTime(false);
        last.putAll(lastTime(true));
        return last;
    }

    private Map<Lift, Mass> lastTime(boolean planned) {
        Map<Lift, Mass> last = new HashMap<>();
        for (SessionLog session : log) {
            if (session.finished() && session.planned().isPresent() == planned) {
                Map<Lift, Mass> heaviest = new HashMap<>();
                session.sets().stream()
                        .filter(done -> !done.task().warmUp() && done.set().made())
                        .forEach(done ->
                                heaviest.merge(done.set().lift(), done.set().load(), Mass::max));
                last.putAll(heaviest);
            }
        }
        return last;
    }

    /** The sessions by the day of the plan they answer; those that answer none are not among them. */
    public Map<PlannedDay, SessionLog> byPlannedDay() {
        return log.stream()
                .filter(session -> session.planned().isPresent())
                .collect(Collectors.toMap(session -> session.planned().get(), Function.identity()));
    }
}
