package dev.yarbel.web.plan;

import dev.yarbel.core.block.Slot;
import dev.yarbel.core.block.SlotId;
import dev.yarbel.core.rehearsal.SetsOutlook;
import dev.yarbel.web.block.LifterBlock;
import dev.yarbel.web.page.Words;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseBody;
import org.springframework.web.servlet.ModelAndView;

/** A block lifted beforehand: what it may come to. */
@Controller
@RequestMapping("/lifters/{id}/plan/rehearsal")
class RehearsalController {

    private final RehearsalMaker rehearsals;
    private final StripMaker strips;

    private final Words words;

    RehearsalController(RehearsalMaker rehearsals, StripMaker strips, Words words) {
        this.rehearsals = rehearsals;
        this.strips = strips;
        this.words = words;
    }

    /**
     * What is laid over a cell of the sheet.
     *
     * @param cell as the sheet names it: the slot's number and the week, from 0
     * @param chance in percent that a set of its likeliest part to be missed is
     * @param band the same in tens, 1 to 10
     * @param told in words
     */
    record Odds(String cell, String chance, int band, String told) {}

    /** The quiet band over the sheet: the cells in which a miss is to be reckoned with. Asked for once the sheet stands. */
    @GetMapping("/odds")
    @ResponseBody
    List<Odds> odds(LifterBlock plan) {
        Map<CellKey, SetsOutlook> worst = new LinkedHashMap<>();
        rehearsals.planned(plan).stream()
                .flatMap(rehearsal -> rehearsal.sets().stream())
                .filter(sets -> sets.missed() >= RehearsalView.DOUBTFUL)
                .forEach(sets -> slot(plan, sets)
                        .ifPresent(slot -> worst.merge(
                                new CellKey(slot, sets.week()),
                                sets,
                                (one, other) -> one.missed() < other.missed() ? other : one)));
        return worst.entrySet().stream()
                .map(entry -> odds(entry.getKey(), entry.getValue()))
                .toList();
    }

    private static Optional<SlotId> slot(LifterBlock plan, SetsOutlook sets) {
        String letter = plan.projection()
                .prescriptions(sets.day(), sets.week())
                .get(sets.part())
                .letter();
        return plan.block().days().get(sets.day()).slots().stream()
                .filter(slot -> slot.letter().equals(letter))
                .map(Slot::id)
                .findFirst();
    }

    private Odds odds(CellKey cell, SetsOutlook sets) {
        int percent = RehearsalView.percent(sets.missed());
        String chance = words.say("rehearsal.chance", percent);
        return new Odds(
                cell.slot() + "-" + cell.week(),
                chance,
                Math.max(1, Math.min(10, Math.round(percent / 10f))),
                words.say(
                        "rehearsal.odds",
                        chance,
                        words.figure(RehearsalView.halves(sets.left().middle()))));
    }

    @GetMapping
    ModelAndView rehearsal(LifterBlock plan) {
        return new ModelAndView("plan/rehearsal")
                .addObject("lifter", plan.lifter())
                .addObject("plan", plan)
                .addObject("strip", strips.draw(plan))
                .addObject(
                        "view",
                        rehearsals
                                .both(plan)
                                .map(both -> RehearsalView.of(plan, both))
                                .orElse(null));
    }
}
