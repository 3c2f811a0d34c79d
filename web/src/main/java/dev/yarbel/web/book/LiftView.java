package dev.yarbel.web.book;

import dev.yarbel.core.estimate.MaxEstimate;
import dev.yarbel.core.estimate.RecordedMax;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/** One lift on the book's page, with the movement that made its estimate what it is. */
record LiftView(LiftRecord standing, Optional<MaxEstimate.Movement> latest) {

    static LiftView of(LiftRecord standing) {
        List<MaxEstimate.Movement> movements =
                standing.estimate().map(MaxEstimate::movements).orElse(List.of());
        return new LiftView(
                standing, movements.isEmpty() ? Optional.empty() : Optional.of(movements.get(movements.size() - 1)));
    }

    /** The newest contest max, rep max and goal, beside what everything starts from. */
    public List<RecordedMax> shown() {
        return Stream.of(RecordedMax.Kind.CONTEST, RecordedMax.Kind.REP_MAX, RecordedMax.Kind.GOAL)
                .flatMap(kind -> standing.newest(kind).stream())
                .toList();
    }
}
