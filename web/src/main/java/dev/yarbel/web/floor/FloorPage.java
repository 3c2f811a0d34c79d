package dev.yarbel.web.floor;

import dev.yarbel.core.lift.Tissue;
import dev.yarbel.core.record.SetDetails;
import dev.yarbel.core.record.Worn;
import dev.yarbel.web.block.Strips;
import dev.yarbel.web.book.SessionRatings;
import dev.yarbel.web.book.SetUps;
import dev.yarbel.web.page.FormState;
import java.time.Clock;
import java.util.List;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;
import org.springframework.ui.Model;

/** Puts the floor's page, or its part that changes, before the reader. */
@Component
class FloorPage {

    private static final int KEPT_AHEAD = 2;

    private final DayWriter writer;
    private final SetUps setUps;
    private final Strips strips;
    private final SpeedSensors sensors;
    private final Clock clock;

    FloorPage(DayWriter writer, SetUps setUps, Strips strips, SpeedSensors sensors, Clock clock) {
        this.writer = writer;
        this.setUps = setUps;
        this.strips = strips;
        this.sensors = sensors;
        this.clock = clock;
    }

    /** The page, or its part that changes. */
    String show(Model model, FloorDay floor, Focus focus, FormState state, boolean fragment) {
        model.addAttribute("lifter", floor.plan().lifter());
        model.addAttribute("floor", writer.write(floor, focus, state));
        model.addAttribute("state", state);
        model.addAttribute("aches", floor.plan().lifter().aches());
        model.addAttribute("catalogue", floor.plan().standing().catalogue());
        model.addAttribute("cards", setUps.cards(floor.plan().lifter()));
        model.addAttribute("choices", CHOICES);
        model.addAttribute(
                "speeds",
                floor.finished() || !fragment && floor.log().isEmpty()
                        ? List.of()
                        : sensors.since(floor.plan().lifter(), floor.key(), floor.log(), clock.instant()));
        if (fragment) {
            return "floor/floor :: floor";
        }
        model.addAttribute("strip", strips.draw(floor.plan()));
        model.addAttribute("served", clock.millis());
        model.addAttribute("following", following(floor));
        return "floor/page";
    }

    /** Where the next sessions are, for a phone that keeps them for later. */
    private static String following(FloorDay floor) {
        return floor.following(KEPT_AHEAD).stream()
                .map(place -> "/lifters/" + floor.plan().lifter().id() + "/floor?day=" + place.day() + "&week="
                        + place.week())
                .collect(Collectors.joining(" "));
    }

    private static final Choices CHOICES = new Choices();

    /** What can be chosen in the fields of the floor. */
    public static final class Choices {

        public SetDetails.MissedBy[] missedBy() {
            return SetDetails.MissedBy.values();
        }

        public SetDetails.Video[] videos() {
            return SetDetails.Video.values();
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
