package dev.yarbel.web.contest;

import static dev.yarbel.web.kept.Field.day;
import static dev.yarbel.web.kept.Field.figures;
import static dev.yarbel.web.kept.Field.lift;
import static dev.yarbel.web.kept.Field.moment;
import static dev.yarbel.web.kept.Field.number;
import static dev.yarbel.web.kept.Field.own;
import static dev.yarbel.web.kept.Field.refers;
import static dev.yarbel.web.kept.Field.text;
import static dev.yarbel.web.kept.Field.time;
import static dev.yarbel.web.kept.Field.whole;
import static dev.yarbel.web.kept.Field.within;
import static dev.yarbel.web.kept.Field.yes;

import dev.yarbel.core.contest.EventMeasure;
import dev.yarbel.core.contest.NoLift;
import dev.yarbel.core.contest.Outcome;
import dev.yarbel.core.lifter.Sex;
import dev.yarbel.web.kept.ClubParts;
import dev.yarbel.web.kept.Kept;
import java.util.List;
import org.springframework.stereotype.Component;

/** Contests with their events, who lifts in them, and what came of it. */
@Component
class ContestsOfClub implements ClubParts {

    @Override
    public List<Kept> parts() {
        return List.of(Kept.ofClub(
                        "contests",
                        "contest",
                        "held_on, id",
                        own("number", "contest"),
                        text("name"),
                        text("place"),
                        day("day", "held_on"),
                        day("until", "held_until"),
                        time("weighIn", "weigh_in"),
                        time("begins", "begins"),
                        text("rules"),
                        number("step"),
                        whole("secondsToName"),
                        yes("fourth"),
                        yes("cancelled"),
                        text("bring"),
                        text("plates"),
                        moment("struckAt", "removed_at"),
                        within(EVENTS),
                        within(FLIGHTS),
                        within(ENTRIES))
                .knownBy("name", "day", "struckAt"));
    }

    private static final Kept EVENTS = Kept.within(
            "events",
            "contest_event",
            "contest_id",
            "place, id",
            own("number", "event"),
            whole("place"),
            text("name"),
            lift("lift"),
            text("measure").of(EventMeasure.class),
            number("load"),
            text("series"),
            number("course"),
            whole("seconds"),
            time("begins", "begins"),
            whole("minutes"),
            moment("struckAt", "removed_at"));

    private static final Kept FLIGHTS = Kept.within(
            "flights",
            "contest_flight",
            "contest_id",
            "id",
            lift("lift"),
            whole("flight"),
            moment("startsAt", "starts_at"),
            whole("bars"),
            whole("pace"));

    private static final Kept ATTEMPTS = Kept.within(
            "attempts",
            "contest_attempt",
            "entry_id",
            "id",
            lift("lift"),
            whole("number"),
            number("load"),
            text("outcome").of(Outcome.class),
            whole("changes"),
            text("by", "said_by"),
            moment("at", "said_at"),
            text("otherOutcome").of(Outcome.class),
            text("otherBy"),
            text("why").of(NoLift.class),
            whole("lights"));

    private static final Kept RESULTS = Kept.within(
            "results",
            "contest_result",
            "entry_id",
            "id",
            refers("event", "event_id", "event"),
            text("written"),
            text("by", "said_by"),
            moment("at", "said_at"));

    private static final Kept ENTRIES = Kept.within(
            "entries",
            "contest_entry",
            "contest_id",
            "id",
            own("number", "entry"),
            refers("lifter", "lifter_id", "lifter"),
            text("name"),
            text("sex").of(Sex.class),
            number("bodyMass"),
            number("classLimit"),
            whole("lot"),
            whole("flight"),
            text("priority").of(Priority.class),
            whole("attemptsBefore"),
            text("way").of(Way.class),
            number("asked"),
            number("expected"),
            figures("believed", "believed"),
            day("believedOn", "believed_on"),
            moment("loggedAt", "logged_at"),
            moment("struckAt", "removed_at"),
            within(ATTEMPTS),
            within(RESULTS));
}
