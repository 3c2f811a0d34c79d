package dev.yarbel.web.plan;

import dev.yarbel.core.block.Block;
import dev.yarbel.core.lift.Catalogue;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.MassUnit;
import dev.yarbel.core.measure.Percent;
import dev.yarbel.core.school.BlockRequest;
import dev.yarbel.core.school.BlockWriter;
import dev.yarbel.core.school.LiftRequest;
import dev.yarbel.core.school.School;
import dev.yarbel.core.session.Numbers;
import dev.yarbel.core.shape.Deload;
import dev.yarbel.web.book.Standing;
import dev.yarbel.web.kit.AtHand;
import dev.yarbel.web.page.Reading;
import dev.yarbel.web.page.Typed;
import dev.yarbel.web.page.UnreadableException;
import dev.yarbel.web.page.Words;
import dev.yarbel.web.roster.LifterCard;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;

/** Reads what a coach asks a new block to be drawn up from, and draws it. */
@Component
class BlockRequests {

    /** Lifts that can be asked for at once. */
    static final int LIFTS = 6;

    private final Words words;

    BlockRequests(Words words) {
        this.words = words;
    }

    /**
     * What was asked for.
     *
     * @param origin the same for every run of the same
     */
    record Asked(String name, Block block, String origin) {}

    /**
     * Draws a block from the form.
     *
     * @throws UnreadableException when a field cannot be used
     */
    Asked draw(LifterCard lifter, Standing standing, AtHand kit, Typed typed) {
        LocalDate start = typed.read("start", Reading::day);
        int weeks = typed.read("weeks", text -> Reading.number(text, 1, Block.MOST_WEEKS));
        Map<Lift, LiftRequest> lifts = lifts(standing.catalogue(), typed, weeks);
        List<Integer> days = days(typed);
        Optional<LocalDate> contest = typed.readIfAny("contest", text -> {
            LocalDate day = Reading.day(text);
            if (day.isBefore(start.plusDays(1)) || day.isAfter(start.plusWeeks(weeks + 4L))) {
                throw new UnreadableException("new-block.contest-outside");
            }
            return day;
        });
        Numbers numbers = standing.numbers();
        Catalogue catalogue = standing.catalogue();
        Block block = BlockWriter.write(
                new BlockRequest(
                        start,
                        weeks,
                        days,
                        lifts,
                        typed.read("deload-every", text -> Reading.number(text, 0, 12)),
                        typed.read("deload", text -> Reading.choice(Deload.class, text)),
                        contest,
                        lifter.unit(),
                        lifter.unit() == MassUnit.KG ? Mass.of("2.5", MassUnit.KG) : Mass.ofLb(5),
                        typed.isTicked("milestones"),
                        numbers::of,
                        lift -> catalogue.find(lift).isPresent()
                                && kit.loads(catalogue.of(lift)).isPresent(),
                        catalogue,
                        lifter.rounding()),
                day -> words.say("new-block.day", day + 1),
                purpose -> words.say("purpose." + purpose));
        String name =
                typed.readIfAny("name", text -> BlockChanges.line(text, 40)).orElseGet(() -> name(lifts));
        String origin = lifts.entrySet().stream()
                .map(lift ->
                        lift.getKey().key() + ":" + lift.getValue().school().key())
                .sorted()
                .collect(Collectors.joining(" "));
        return new Asked(name, block, origin);
    }

    private String name(Map<Lift, LiftRequest> lifts) {
        return words.say("school."
                + lifts.values().stream().findFirst().orElseThrow().school().key());
    }

    private static Map<Lift, LiftRequest> lifts(Catalogue catalogue, Typed typed, int weeks) {
        Map<Lift, LiftRequest> lifts = new LinkedHashMap<>();
        for (int i = 1; i <= LIFTS; i++) {
            if (typed.isBlank("lift" + i)) {
                continue;
            }
            Lift lift = typed.read("lift" + i, key -> catalogue.all().stream()
                    .map(variation -> variation.lift())
                    .filter(each -> each.key().equals(key))
                    .findFirst()
                    .orElseThrow(() -> new UnreadableException("plan.no-such-lift")));
            if (lifts.containsKey(lift)) {
                throw new UnreadableException("new-block.lift-twice").in("lift" + i);
            }
            School school = typed.read("school" + i, key -> School.of(key)
                    .orElseThrow(() -> new UnreadableException("new-block.which-school")));
            if (weeks < school.leastWeeks()) {
                throw new UnreadableException("new-block.too-short", school.leastWeeks()).in("weeks");
            }
            lifts.put(
                    lift,
                    new LiftRequest(
                            school,
                            typed.readIfAny("sessions" + i, text -> Reading.number(text, 1, 7)),
                            typed.readIfAny(
                                    "from" + i,
                                    text -> Percent.of(Reading.decimal(
                                            text.replace("%", "").strip(), 30, 100)))));
        }
        if (lifts.isEmpty()) {
            throw new UnreadableException("new-block.no-lift").in("lift1");
        }
        return lifts;
    }

    private static List<Integer> days(Typed typed) {
        List<Integer> days = new ArrayList<>();
        for (int day = 0; day < 7; day++) {
            if (typed.isTicked("day" + day)) {
                days.add(day);
            }
        }
        if (days.isEmpty()) {
            throw new UnreadableException("new-block.no-day").in("days");
        }
        return days;
    }
}
