package dev.yarbel.web.floor;

import dev.yarbel.core.lift.Tissue;
import dev.yarbel.core.record.SetDetails;
import dev.yarbel.core.record.Worn;
import dev.yarbel.web.block.Strips;
import dev.yarbel.web.book.Book;
import dev.yarbel.web.book.SessionRatings;
import dev.yarbel.web.page.FormState;
import dev.yarbel.web.page.Htmx;
import java.time.Clock;
import java.util.List;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;
import org.springframework.web.servlet.ModelAndView;

/** Puts the floor's page, or its part that changes, before the reader. */
@Component
class FloorPage {

    private static final int KEPT_AHEAD = 2;
    private static final Choices CHOICES = new Choices();

    private final FloorDays days;
    private final DayWriter writer;
    private final Book book;
    private final Strips strips;
    private final SpeedSensors sensors;
    private final FloorWords spoken;
    private final CoachDecided decided;
    private final Clock clock;

    FloorPage(
            FloorDays days,
            DayWriter writer,
            Book book,
            Strips strips,
            SpeedSensors sensors,
            FloorWords spoken,
            CoachDecided decided,
            Clock clock) {
        this.days = days;
        this.writer = writer;
        this.book = book;
        this.strips = strips;
        this.sensors = sensors;
        this.spoken = spoken;
        this.decided = decided;
        this.clock = clock;
    }

    /** The page, or its part that changes. */
    ModelAndView show(FloorDay floor, Focus focus, FormState state, Htmx htmx) {
        ModelAndView page = new ModelAndView(htmx.asks() ? "floor/floor :: floor" : "floor/page")
                .addObject("lifter", floor.plan().lifter())
                .addObject("floor", writer.write(floor, focus, state))
                .addObject("state", state)
                .addObject("aches", floor.plan().lifter().aches())
                .addObject("catalogue", floor.plan().standing().catalogue())
                .addObject("cards", book.setUpCards(floor.plan().lifter()))
                .addObject("choices", CHOICES)
                .addObject("said", spoken.lately(floor.plan().lifter()))
                .addObject("token", UUID.randomUUID())
                .addObject(
                        "speeds",
                        floor.finished() || !htmx.asks() && floor.log().isEmpty()
                                ? List.of()
                                : sensors.since(floor.plan().lifter(), floor.key(), floor.log(), clock.instant()));
        return htmx.asks()
                ? page
                : page.addObject("strip", strips.draw(floor.plan()))
                        .addObject("decided", decided.lately(floor.plan().lifter()))
                        .addObject("served", clock.millis())
                        .addObject("following", following(floor));
    }

    /** The same day with what was typed into a form that could not be used. */
    ModelAndView show(FloorDay floor, FormState state, Htmx htmx) {
        return show(floor, Focus.NEXT, state, htmx);
    }

    /** The day after something was logged or changed on it; a browser goes there. */
    ModelAndView after(FloorDay floor, Htmx htmx) {
        return htmx.asks() ? show(days.again(floor), FormState.NONE, htmx) : back(floor);
    }

    static ModelAndView back(FloorDay floor) {
        return new ModelAndView("redirect:" + address(floor, floor.day(), floor.week()));
    }

    private static String address(FloorDay floor, int day, int week) {
        return "/lifters/" + floor.plan().lifter().id() + "/floor?day=" + day + "&week=" + week;
    }

    /** Where the next sessions are, for a phone that keeps them for later. */
    private static String following(FloorDay floor) {
        return floor.following(KEPT_AHEAD).stream()
                .map(place -> address(floor, place.day(), place.week()))
                .collect(Collectors.joining(" "));
    }

    /** What can be chosen in the fields of the floor. */
    public static final class Choices {

        public SetDetails.MissedBy[] missedBy() {
            return SetDetails.MissedBy.values();
        }

        public SetDetails.Video[] videos() {
            return SetDetails.Video.values();
        }

        /** What can be guessed that a set will leave. */
        public List<Integer> guesses() {
            return SetSent.GUESSES;
        }

        public SetDetails.Proof[] proofs() {
            return SetDetails.Proof.values();
        }

        public Worn[] worn() {
            return Worn.values();
        }

        public Tissue[] places() {
            return Tissue.values();
        }

        public List<String> before() {
            return SessionRatings.BEFORE;
        }

        public SessionRatings.CountSaid[] counts() {
            return SessionRatings.CountSaid.values();
        }
    }
}
