package dev.yarbel.web.book;

import dev.yarbel.core.estimate.MaxEstimate;
import java.util.List;
import java.util.Optional;

/** One lift on the book's page, with the movement that made its estimate what it is. */
record LiftView(LiftStanding standing, Optional<MaxEstimate.Movement> latest) {

    static LiftView of(LiftStanding standing) {
        List<MaxEstimate.Movement> movements =
                standing.estimate().map(MaxEstimate::movements).orElse(List.of());
        return new LiftView(
                standing, movements.isEmpty() ? Optional.empty() : Optional.of(movements.get(movements.size() - 1)));
    }
}
