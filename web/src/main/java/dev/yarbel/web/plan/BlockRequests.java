package dev.yarbel.web.plan;

import dev.yarbel.core.block.Block;
import dev.yarbel.core.lift.Catalogue;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.lift.Mastery;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.prescription.KindOfWork;
import dev.yarbel.core.school.BlockRequest;
import dev.yarbel.core.school.BlockWriter;
import dev.yarbel.core.school.LiftRequest;
import dev.yarbel.core.school.Means;
import dev.yarbel.core.school.School;
import dev.yarbel.core.school.SchoolRefused;
import dev.yarbel.core.session.Best;
import dev.yarbel.core.session.LiftNumbers;
import dev.yarbel.core.session.Numbers;
import dev.yarbel.web.book.LiftRecord;
import dev.yarbel.web.book.LifterRecord;
import dev.yarbel.web.kit.AvailableKit;
import dev.yarbel.web.page.Reading;
import dev.yarbel.web.page.UnreadableException;
import dev.yarbel.web.page.Words;
import dev.yarbel.web.roster.LifterCard;
import java.time.LocalDate;
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

    /** A contest further off than so many weeks after a block is not what that block leads to yet; its date is kept. */
    private static final long WEEKS_TOWARD_A_CONTEST = 4;

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
    Asked draw(LifterCard lifter, LifterRecord standing, AvailableKit kit, NewBlockForm form) {
        LocalDate start = form.start();
        int weeks = form.weeks();
        Map<Lift, LiftRequest> lifts = lifts(standing.catalogue(), form);
        if (form.days().isEmpty()) {
            throw new UnreadableException("new-block.no-day").in("days");
        }
        Optional<LocalDate> contest = Optional.ofNullable(form.contest());
        contest.filter(day -> day.isBefore(start.plusDays(1))).ifPresent(before -> {
            throw new UnreadableException("new-block.contest-before").in("contest");
        });
        Map<Lift, Mass> announced = announced(lifter, form);
        Numbers numbers = standing.numbers();
        BlockRequest request = BlockRequest.of(start, weeks, form.days(), lifts)
                .withDeload(form.every(), form.deload())
                .toward(contest.filter(day -> !day.isAfter(start.plusWeeks(weeks + WEEKS_TOWARD_A_CONTEST))))
                .in(BlockRequest.Steps.in(lifter.unit(), lifter.rounding()))
                .withMilestones(Boolean.TRUE.equals(form.milestones()))
                .with(lift -> withAnnounced(numbers.of(lift), Optional.ofNullable(announced.get(lift))))
                .with(means(standing, kit));
        Block block;
        try {
            block = BlockWriter.write(
                    request, day -> words.say("new-block.day", day + 1), purpose -> words.say("purpose." + purpose));
        } catch (SchoolRefused refused) {
            throw unreadable(refused, row(form, refused.lift()));
        }
        String name = Reading.fieldIfAny("name", form.name(), text -> BlockForms.line(text, 40))
                .orElseGet(() -> name(lifts));
        String origin = lifts.entrySet().stream()
                .map(lift ->
                        lift.getKey().key() + ":" + lift.getValue().school().key())
                .sorted()
                .collect(Collectors.joining(" "));
        return new Asked(block.named(name).toward(contest), origin, announced);
    }

    /** Why a school cannot draw it, beside the field that says so. */
    private UnreadableException unreadable(SchoolRefused refused, int row) {
        String school = words.say("school." + refused.school().key());
        return switch (refused.why()) {
            case TOO_LONG ->
                new UnreadableException(
                                "new-block.too-long", school, refused.school().mostWeeks())
                        .in("weeks");
            case ONE_LIFT -> new UnreadableException("new-block.one-lift", school).in(field(row, "school"));
            case EVENT_LOAD -> new UnreadableException("new-block.event-load").in(field(row, "event"));
        };
    }

    private static String field(int row, String name) {
        return "lifts[" + row + "]." + name;
    }

    private static Map<Lift, Mass> announced(LifterCard lifter, NewBlockForm form) {
        Map<Lift, Mass> announced = new HashMap<>();
        for (int i = 0; i < form.lifts().size(); i++) {
            NewBlockForm.Row row = form.lifts().get(i);
            if (row.lift() != null) {
                Reading.fieldIfAny(field(i, "event"), row.event(), text -> Reading.mass(text, lifter.unit()))
                        .ifPresent(load -> announced.put(row.lift(), load));
            }
        }
        return announced;
    }

    /** The row of the form a lift stands in, from 0. */
    private static int row(NewBlockForm form, Lift lift) {
        return IntStream.range(0, form.lifts().size())
                .filter(i -> lift.equals(form.lifts().get(i).lift()))
                .findFirst()
                .orElseThrow();
    }

    private static LiftNumbers withAnnounced(LiftNumbers numbers, Optional<Mass> announced) {
        return announced
                .map(load -> numbers.with(numbers.references().withEvent(load)))
                .orElse(numbers);
    }

    /** Chains and bands are for the advanced; one set-up of them for intermediates, none for anybody else. */
    static Means means(LifterRecord standing, AvailableKit kit) {
        Catalogue catalogue = standing.catalogue();
        List<Best.PastSet> past = standing.pastSets();
        return new Means(
                catalogue,
                lift -> catalogue.find(lift).isPresent()
                        && kit.loads(catalogue.of(lift)).isPresent(),
                lift -> {
                    Optional<Mastery> mastery = standing.of(lift).flatMap(LiftRecord::mastery);
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

    private static Map<Lift, LiftRequest> lifts(Catalogue catalogue, NewBlockForm form) {
        Map<Lift, LiftRequest> lifts = new LinkedHashMap<>();
        for (int i = 0; i < form.lifts().size(); i++) {
            NewBlockForm.Row row = form.lifts().get(i);
            if (row.lift() == null) {
                continue;
            }
            Lift lift = BlockForms.lift(catalogue, field(i, "lift"), row.lift());
            School school = Reading.needed(field(i, "school"), row.school());
            if (form.weeks() < school.leastWeeks()) {
                throw new UnreadableException("new-block.too-short", school.leastWeeks()).in("weeks");
            }
            if (lifts.put(lift, row.request()) != null) {
                throw new UnreadableException("new-block.lift-twice").in(field(i, "lift"));
            }
        }
        if (lifts.isEmpty()) {
            throw new UnreadableException("new-block.no-lift").in(field(0, "lift"));
        }
        return lifts;
    }
}
