package dev.yarbel.web.plan;

import dev.yarbel.core.block.Block;
import dev.yarbel.core.block.Slot;
import dev.yarbel.core.block.SlotId;
import dev.yarbel.core.rehearsal.Rehearsal;
import dev.yarbel.core.rehearsal.SetsOutlook;
import dev.yarbel.web.block.Blocks;
import dev.yarbel.web.block.LifterBlock;
import dev.yarbel.web.page.Person;
import dev.yarbel.web.page.Words;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseBody;
import org.springframework.web.servlet.ModelAndView;

/** A block lifted beforehand: what it may come to. */
@Controller
@RequestMapping("/lifters/{id}/plan/rehearsal")
class RehearsalController {

    private final RehearsalMaker rehearsals;
    private final StripMaker strips;
    private final Blocks blocks;
    private final OtherPlans others;
    private final PlansBeside beside;
    private final Words words;

    RehearsalController(
            RehearsalMaker rehearsals,
            StripMaker strips,
            Blocks blocks,
            OtherPlans others,
            PlansBeside beside,
            Words words) {
        this.rehearsals = rehearsals;
        this.blocks = blocks;
        this.others = others;
        this.beside = beside;
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

    /**
     * What a rehearsal lays over sheet and strip.
     *
     * @param cells in which a miss is to be reckoned with
     * @param fans of the maxes, over their lanes
     */
    record Laid(List<Odds> cells, List<StripMaker.Fan> fans) {}

    /** The quiet band over the sheet and the fans over the strip. Asked for once the sheet stands, with what is being typed as if it were kept. */
    @GetMapping("/odds")
    @ResponseBody
    Laid odds(LifterBlock kept, @RequestParam Map<String, String> parameters) {
        LifterBlock plan = typed(kept, CellKey.texts(parameters));
        Optional<Rehearsal> rehearsal = rehearsals.planned(plan);
        Map<CellKey, SetsOutlook> worst = new LinkedHashMap<>();
        rehearsal.stream()
                .flatMap(each -> each.sets().stream())
                .filter(sets -> sets.missed() >= RehearsalView.DOUBTFUL)
                .forEach(sets -> slot(plan, sets)
                        .ifPresent(slot -> worst.merge(
                                new CellKey(slot, sets.week()),
                                sets,
                                (one, other) -> one.missed() < other.missed() ? other : one)));
        return new Laid(
                worst.entrySet().stream()
                        .map(entry -> odds(entry.getKey(), entry.getValue()))
                        .toList(),
                rehearsal.map(each -> strips.fans(plan, each)).orElse(List.of()));
    }

    /** The block with doses that nobody kept yet, as far as they can be read. */
    private static LifterBlock typed(LifterBlock plan, Map<CellKey, String> texts) {
        Block block = plan.block().withSlots(slot -> {
            Slot with = slot;
            for (Map.Entry<CellKey, String> text : texts.entrySet()) {
                boolean here = text.getKey().slot().equals(slot.id())
                        && text.getKey().week() < plan.block().weeks();
                if (here
                        && TypedDoses.trouble(plan, slot.lift(), text.getValue())
                                .isEmpty()) {
                    with = with.with(text.getKey().week(), TypedDoses.read(plan, text.getValue()));
                }
            }
            return with;
        });
        return block.equals(plan.block()) ? plan : plan.with(block);
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

    /** @param with what it is held beside, as {@link OtherPlans} names it; nothing where it stands alone */
    @GetMapping
    ModelAndView rehearsal(
            @AuthenticationPrincipal Person coach, LifterBlock plan, @RequestParam(defaultValue = "") String with) {
        List<OtherPlans.Group> groups = others.groups(coach, plan, blocks.of(plan.lifter()));
        Optional<RehearsalMaker.Both> both = rehearsals.both(plan);
        ModelAndView page = new ModelAndView("plan/rehearsal")
                .addObject("lifter", plan.lifter())
                .addObject("plan", plan)
                .addObject("strip", strips.draw(plan))
                .addObject("with", with)
                .addObject("others", groups)
                .addObject("view", both.map(of -> RehearsalView.of(plan, of)).orElse(null));
        if (both.isPresent() && !with.isBlank()) {
            Optional<PlansBeside.Beside> laid = others.open(coach, plan, groups, with)
                    .flatMap(other -> rehearsals
                            .planned(other.plan())
                            .map(then -> beside.of(
                                    new PlansBeside.Side(
                                            plan, plan.name(), both.get().planned()),
                                    new PlansBeside.Side(other.plan(), other.name(), then))));
            page.addObject("beside", laid.orElse(null)).addObject("cannot", laid.isEmpty());
        }
        return page;
    }
}
