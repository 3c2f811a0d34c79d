package dev.yarbel.web.plan;

import dev.yarbel.core.block.Block;
import dev.yarbel.core.lift.Catalogue;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.lift.Mastery;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.MassUnit;
import dev.yarbel.core.measure.Percent;
import dev.yarbel.core.prescription.KindOfWork;
import dev.yarbel.core.school.BlockRequest;
import dev.yarbel.core.school.BlockWriter;
import dev.yarbel.core.school.LiftRequest;
import dev.yarbel.core.school.Means;
import dev.yarbel.core.school.School;
import dev.yarbel.core.school.SchoolRefused;
import dev.yarbel.core.school.WeakPoint;
import dev.yarbel.core.session.Best;
import dev.yarbel.core.session.LiftNumbers;
import dev.yarbel.core.session.Numbers;
import dev.yarbel.core.shape.Deload;
import dev.yarbel.web.book.LiftStanding;
import dev.yarbel.web.book.Standing;
import dev.yarbel.web.kit.AtHand;
import dev.yarbel.web.page.Reading;
import dev.yarbel.web.page.Typed;
import dev.yarbel.web.page.UnreadableException;
import dev.yarbel.web.page.Words;
import dev.yarbel.web.roster.LifterCard;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
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
     * @param announced loads of events that were said in the form
     */
    record Asked(Block block, String origin, Map<Lift, Mass> announced) {}

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
        Map<Lift, Mass> announced = announced(lifter, lifts, typed);
        Numbers numbers = standing.numbers();
        BlockRequest request = BlockRequest.of(start, weeks, days, lifts)
                .withDeload(
                        typed.read("deload-every", text -> Reading.number(text, 0, 12)),
                        typed.read("deload", text -> Reading.choice(Deload.class, text)))
                .toward(contest)
                .in(
                        lifter.unit(),
                        lifter.unit() == MassUnit.KG ? Mass.of("2.5", MassUnit.KG) : Mass.ofLb(5),
                        lifter.rounding())
                .withMilestones(typed.isTicked("milestones"))
                .with(lift -> withAnnounced(numbers.of(lift), Optional.ofNullable(announced.get(lift))))
                .with(means(standing, kit));
        Block block;
        try {
            block = BlockWriter.write(
                    request, day -> words.say("new-block.day", day + 1), purpose -> words.say("purpose." + purpose));
        } catch (SchoolRefused refused) {
            throw unreadable(refused, row(typed, refused.lift()));
        }
        String name = typed.readIfAny("name", text -> BlockForms.line(text, 40)).orElseGet(() -> name(lifts));
        String origin = lifts.entrySet().stream()
                .map(lift ->
                        lift.getKey().key() + ":" + lift.getValue().school().key())
                .sorted()
                .collect(Collectors.joining(" "));
        return new Asked(block.named(name), origin, announced);
    }

    /** Why a school cannot draw it, beside the field that says so. */
    private UnreadableException unreadable(SchoolRefused refused, int row) {
        String school = words.say("school." + refused.school().key());
        return switch (refused.why()) {
            case TOO_LONG ->
                new UnreadableException(
                                "new-block.too-long", school, refused.school().mostWeeks())
                        .in("weeks");
            case ONE_LIFT -> new UnreadableException("new-block.one-lift", school).in("school" + row);
            case EVENT_LOAD -> new UnreadableException("new-block.event-load").in("event" + row);
        };
    }

    private static Map<Lift, Mass> announced(LifterCard lifter, Map<Lift, LiftRequest> lifts, Typed typed) {
        Map<Lift, Mass> announced = new HashMap<>();
        for (Lift lift : lifts.keySet()) {
            typed.readIfAny("event" + row(typed, lift), text -> Reading.mass(text, lifter.unit()))
                    .ifPresent(load -> announced.put(lift, load));
        }
        return announced;
    }

    /** The row of the form a lift stands in, from 1. */
    private static int row(Typed typed, Lift lift) {
        return IntStream.rangeClosed(1, LIFTS)
                .filter(i -> typed.text("lift" + i).equals(lift.key()))
                .findFirst()
                .orElseThrow();
    }

    private static LiftNumbers withAnnounced(LiftNumbers numbers, Optional<Mass> announced) {
        return announced
                .map(load -> numbers.with(numbers.references().withEvent(load)))
                .orElse(numbers);
    }

    /** Chains and bands are for the advanced; one set-up of them for intermediates, none for anybody else. */
    private static Means means(Standing standing, AtHand kit) {
        Catalogue catalogue = standing.catalogue();
        List<Best.PastSet> past = standing.pastSets();
        return new Means(
                catalogue,
                lift -> catalogue.find(lift).isPresent()
                        && kit.loads(catalogue.of(lift)).isPresent(),
                lift -> {
                    Optional<Mastery> mastery = standing.of(lift).flatMap(LiftStanding::mastery);
                    int most = mastery.map(level -> switch (level) {
                                case BEGINNER -> 0;
                                case INTERMEDIATE -> 1;
                                case ADVANCED -> kit.changing().size();
                            })
                            .orElse(0);
                    return kit.changing().stream().limit(most).toList();
                },
                setUp -> past.stream()
                        .filter(set -> set.set().lift().equals(setUp.lift())
                                && set.kind().built() == KindOfWork.Built.CLIMB
                                && set.kind().changing().equals(setUp.changing()))
                        .map(Best.PastSet::on)
                        .max(LocalDate::compareTo));
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
            Lift lift = typed.read("lift" + i, key -> BlockForms.lift(catalogue, key));
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
                                            text.replace("%", "").strip(), 30, 100))),
                            typed.readIfAny("weak" + i, text -> Reading.choice(WeakPoint.class, text))));
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
