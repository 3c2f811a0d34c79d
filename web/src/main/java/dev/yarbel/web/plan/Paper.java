package dev.yarbel.web.plan;

import dev.yarbel.core.block.Block;
import dev.yarbel.core.equipment.AvailableLoads;
import dev.yarbel.core.equipment.LoadedBar;
import dev.yarbel.core.equipment.PlateStack;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.lift.SetUpMeasure;
import dev.yarbel.core.lift.Tempo;
import dev.yarbel.core.lift.Variation;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.MassUnit;
import dev.yarbel.core.prescription.Part;
import dev.yarbel.core.prescription.SetModifier;
import dev.yarbel.core.ramp.Ramp;
import dev.yarbel.core.ramp.RampStep;
import dev.yarbel.core.session.LoadChart;
import dev.yarbel.core.session.PrescribedSets;
import dev.yarbel.core.session.Rest;
import dev.yarbel.core.session.SessionPlan;
import dev.yarbel.web.block.LifterBlock;
import dev.yarbel.web.book.Book;
import dev.yarbel.web.page.SpecialWords;
import dev.yarbel.web.page.Words;
import java.time.Duration;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;

/** What goes on paper for a lifter without a phone: sessions to write in, and the lifter's own loads. */
@Service
class Paper {

    /** More boxes than this to a slot nobody writes in. */
    private static final int MOST_BOXES = 10;

    private final Book book;
    private final SpecialWords special;
    private final Words words;

    Paper(Book book, SpecialWords special, Words words) {
        this.book = book;
        this.special = special;
        this.words = words;
    }

    /** One session on paper. */
    record Session(String name, LocalDate date, String gym, List<Line> lines) {}

    /**
     * A part of a slot on paper.
     *
     * @param dose its sets and what their load hangs on
     * @param special what makes the sets others than plain ones, in words
     * @param setUp the lifter's card for the lift, with where its safeties stand, in words
     * @param ramp the warm-up, load × repetitions; null where there is none
     * @param load in the lifter's unit; null where it cannot be said
     * @param other the same in the other unit
     * @param plates what goes on each side; null where no plates do
     * @param rest between sets; null where it is free
     * @param boxes as many to write in
     */
    record Line(
            String letter,
            String lift,
            String dose,
            List<String> special,
            String cue,
            List<String> setUp,
            String ramp,
            String load,
            String other,
            String plates,
            String rest,
            String tempo,
            int boxes) {}

    /** The sessions of a week, from 0, in its order. */
    List<Session> sessions(LifterBlock plan, int week) {
        Map<Lift, Map<SetUpMeasure, String>> cards = book.setUpCards(plan.lifter());
        List<Session> sessions = new ArrayList<>();
        for (int day : plan.block().daysByDate()) {
            List<PrescribedSets> asked = plan.projection().prescriptions(day, week);
            if (!asked.isEmpty()) {
                SessionPlan session = SessionPlan.of(plan.resolver(), asked, List.of());
                Set<Lift> told = new LinkedHashSet<>();
                sessions.add(new Session(
                        plan.block().days().get(day).name(),
                        plan.block().date(day, week),
                        plan.kit().gymName(),
                        session.slots().stream()
                                .map(slot -> line(
                                        plan, slot, told.add(slot.prescription().lift()) ? cards : Map.of()))
                                .toList()));
            }
        }
        return sessions;
    }

    private Line line(LifterBlock plan, SessionPlan.SlotPlan slot, Map<Lift, Map<SetUpMeasure, String>> cards) {
        MassUnit unit = plan.lifter().unit();
        PrescribedSets asked = slot.prescription();
        Part part = asked.part();
        Variation variation = plan.standing().catalogue().of(asked.lift());
        // a blind set shows its plates, not its load
        boolean blind = part.is(SetModifier.BLIND);
        Optional<Mass> load = slot.planned().load();
        return new Line(
                asked.letter(),
                words.lift(asked.lift()),
                words.dose(part.with(part.details().ofTheSets()).shorthand()),
                special.of(part, load, variation, plan.lifter().bodyMass(), unit),
                part.details().cue().orElse(null),
                setUp(plan, variation, cards),
                blind ? null : ramp(slot, unit),
                blind ? null : load.map(mass -> words.load(mass, unit)).orElse(null),
                blind ? null : load.map(mass -> words.other(mass, unit)).orElse(null),
                plates(plan, slot, unit),
                part.is(SetModifier.FREE_REST) ? null : rest(part),
                part.tempo().map(Tempo::toString).orElse(null),
                Math.min(MOST_BOXES, asked.sets()));
    }

    private List<String> setUp(LifterBlock plan, Variation variation, Map<Lift, Map<SetUpMeasure, String>> cards) {
        List<String> setUp = new ArrayList<>();
        if (cards.isEmpty()) {
            return setUp;
        }
        cards.getOrDefault(variation.lift(), Map.of())
                .forEach((measure, figure) ->
                        setUp.add(words.say("special.measure", words.say("set-up." + measure), figure)));
        plan.kit().safetyHeight(variation).ifPresent(height -> setUp.add(words.say("print.safeties", height)));
        return setUp;
    }

    private String ramp(SessionPlan.SlotPlan slot, MassUnit unit) {
        return slot.ramp()
                .map(ramp -> ramp.steps().stream().map(step -> step(step, unit)).collect(Collectors.joining(", ")))
                .orElse(null);
    }

    private String step(RampStep step, MassUnit unit) {
        return words.figure(step.loading().total(), unit) + "×" + step.reps();
    }

    private String plates(LifterBlock plan, SessionPlan.SlotPlan slot, MassUnit unit) {
        return plan.resolver()
                .kit(slot.prescription().lift())
                .filter(AvailableLoads::takesPlates)
                .flatMap(kit -> slot.planned().known())
                .map(known -> slot.ramp().map(Ramp::top).orElse(known.fit().loading()))
                .map(LoadedBar::stack)
                .map(stack -> words.plates(PlateStack.EMPTY.addedFor(stack), unit))
                .filter(plates -> !plates.isEmpty())
                .orElse(null);
    }

    private String rest(Part part) {
        String least = clock(Rest.after(part));
        return part.details()
                .mostRest()
                .map(most -> words.say("print.rest.range", least, clock(most)))
                .orElse(least);
    }

    private static String clock(Duration rest) {
        return rest.toMinutes() + ":" + String.format("%02d", rest.toSecondsPart());
    }

    /** What the contest lifts that the block trains come to for so many repetitions with so many left. */
    List<LoadChart> charts(LifterBlock plan) {
        return lifts(plan.block()).stream()
                .map(plan.standing().catalogue()::root)
                .distinct()
                .flatMap(lift -> LoadChart.of(lift, plan.resolver()).stream())
                .toList();
    }

    private static Set<Lift> lifts(Block block) {
        return block.days().stream()
                .flatMap(day -> day.slots().stream())
                .map(slot -> slot.lift())
                .collect(Collectors.toCollection(LinkedHashSet::new));
    }
}
