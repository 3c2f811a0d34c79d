package dev.yarbel.web.plan;

import dev.yarbel.core.equipment.AvailableLoads;
import dev.yarbel.core.equipment.LoadedBar;
import dev.yarbel.core.equipment.PlateStack;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.measure.MassUnit;
import dev.yarbel.core.prescription.Dose;
import dev.yarbel.core.prescription.SetModifier;
import dev.yarbel.core.ramp.Ramp;
import dev.yarbel.core.ramp.RampStep;
import dev.yarbel.core.session.PrescribedSets;
import dev.yarbel.core.session.SessionPlan;
import dev.yarbel.web.block.Blocks;
import dev.yarbel.web.block.LifterBlock;
import dev.yarbel.web.page.NotFoundException;
import dev.yarbel.web.page.Person;
import dev.yarbel.web.page.Words;
import dev.yarbel.web.roster.Roster;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;

/** Sheets for a lifter without a phone: a week's sessions, and the whole block on a page. */
@Controller
class PrintController {

    private final Roster roster;
    private final Blocks blocks;
    private final Words words;

    PrintController(Roster roster, Blocks blocks, Words words) {
        this.roster = roster;
        this.blocks = blocks;
        this.words = words;
    }

    /** One session on paper. */
    record Session(String name, LocalDate date, List<Line> lines) {}

    /**
     * A part of a slot on paper.
     *
     * @param ramp the warm-up, load × repetitions
     * @param load in both units; null where it cannot be said
     * @param plates what goes on each side; null where no plates do
     * @param sets as many boxes to write in
     */
    record Line(
            String letter,
            Lift lift,
            String dose,
            String ramp,
            String load,
            String plates,
            String cue,
            String reason,
            int sets) {}

    /** A slot through the weeks. */
    record Row(String day, String letter, Lift lift, List<String> doses) {}

    @GetMapping("/lifters/{id}/plan/print")
    String print(
            @AuthenticationPrincipal Person person,
            @PathVariable long id,
            @RequestParam Optional<Long> block,
            @RequestParam Optional<Integer> week,
            Model model) {
        LifterBlock plan =
                blocks.open(roster.lifter(person, id), person.zone(), block).orElseThrow(NotFoundException::new);
        int shown = week.map(w -> w - 1).orElse(plan.currentWeek());
        if (shown < 0 || shown >= plan.block().weeks()) {
            throw new NotFoundException();
        }
        model.addAttribute("lifter", plan.lifter());
        model.addAttribute("plan", plan);
        model.addAttribute("week", shown + 1);
        model.addAttribute("sessions", sessions(plan, shown));
        model.addAttribute("rows", rows(plan));
        return "plan/print";
    }

    private List<Session> sessions(LifterBlock plan, int week) {
        List<Session> sessions = new ArrayList<>();
        for (int day = 0; day < plan.block().days().size(); day++) {
            List<PrescribedSets> asked = plan.projection().prescriptions(day, week);
            if (!asked.isEmpty()) {
                SessionPlan session = SessionPlan.of(plan.resolver(), asked, List.of());
                sessions.add(new Session(
                        plan.block().days().get(day).name(),
                        plan.block().date(day, week),
                        session.slots().stream().map(slot -> line(plan, slot)).toList()));
            }
        }
        return sessions;
    }

    private Line line(LifterBlock plan, SessionPlan.SlotPlan slot) {
        MassUnit unit = plan.lifter().unit();
        PrescribedSets asked = slot.prescription();
        // a blind set shows its plates, not its load
        boolean blind = asked.part().is(SetModifier.BLIND);
        String ramp = slot.ramp()
                .map(r -> r.steps().stream().map(step -> step(step, unit)).collect(Collectors.joining(", ")))
                .orElse(null);
        String load = slot.planned()
                .load()
                .map(mass -> words.load(mass, unit) + " (" + words.other(mass, unit) + ")")
                .orElse(null);
        String plates = plan.resolver()
                .kit(asked.lift())
                .filter(AvailableLoads::takesPlates)
                .flatMap(kit -> slot.planned().known())
                .map(known ->
                        plates(slot.ramp().map(Ramp::top).orElse(known.fit().loading()), unit))
                .orElse(null);
        return new Line(
                asked.letter(),
                asked.lift(),
                asked.part().shorthand(),
                blind ? null : ramp,
                blind ? null : load,
                plates,
                asked.part().details().cue().orElse(null),
                asked.part().details().reason().orElse(null),
                asked.part().sets());
    }

    private static String step(RampStep step, MassUnit unit) {
        return step.loading().total().figure(unit, 2) + "×" + step.reps();
    }

    private String plates(LoadedBar loading, MassUnit unit) {
        return words.plates(PlateStack.EMPTY.addedFor(loading.stack()), unit);
    }

    private static List<Row> rows(LifterBlock plan) {
        List<Row> rows = new ArrayList<>();
        plan.block().days().forEach(day -> day.slots()
                .forEach(slot -> rows.add(new Row(
                        day.name(),
                        slot.letter(),
                        slot.lift(),
                        slot.doses().stream()
                                .map(dose -> dose.map(Dose::shorthand).orElse(""))
                                .toList()))));
        return rows;
    }
}
