package dev.yarbel.web.plan;

import dev.yarbel.core.block.Slot;
import dev.yarbel.core.block.TrainingDay;
import dev.yarbel.web.page.NotFoundException;
import dev.yarbel.web.page.Person;
import dev.yarbel.web.page.Typed;
import dev.yarbel.web.page.UnreadableException;
import dev.yarbel.web.page.Words;
import dev.yarbel.web.roster.LifterCard;
import dev.yarbel.web.roster.Roster;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.BiConsumer;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.support.TransactionOperations;

/**
 * Edits of a block that follow to the blocks given from it. Each of them follows by itself and has the edit in its own
 * ledger; where an edit does not go, the block stays as it is and its lifter is named.
 */
@Service
class Followers {

    private final BlockRepository blocks;
    private final Plans plans;
    private final BlockDesk desk;
    private final Templates templates;
    private final Roster roster;
    private final TransactionOperations transactions;
    private final Words words;

    Followers(
            BlockRepository blocks,
            Plans plans,
            BlockDesk desk,
            Templates templates,
            Roster roster,
            TransactionOperations transactions,
            Words words) {
        this.blocks = blocks;
        this.plans = plans;
        this.desk = desk;
        this.templates = templates;
        this.roster = roster;
        this.transactions = transactions;
        this.words = words;
    }

    /**
     * Has what changed in cells of a day follow, and what their weeks are for, where the same slot asks for what it asked
     * for here before. What differs there, what was lifted and what stands behind a closed gate is left as it is.
     *
     * @param touched the cells that this coach changed just now, and nobody else
     * @return what became of it in words; empty when nothing had changed
     */
    Optional<String> cells(Person coach, LifterPlan before, LifterPlan after, int day, Set<CellKey> touched) {
        Map<CellKey, String> was = doses(before, day);
        Map<CellKey, String> changed = doses(after, day);
        changed.keySet().retainAll(touched);
        changed.entrySet().removeIf(cell -> cell.getValue().equals(was.getOrDefault(cell.getKey(), "")));
        if (changed.isEmpty()) {
            return Optional.empty();
        }
        Set<Integer> weeks = changed.keySet().stream().map(CellKey::week).collect(Collectors.toSet());
        return Optional.of(each(coach, before, (theirs, open) -> {
            Map<Long, Long> twins = slotTwins(before, theirs);
            changed.forEach((cell, dose) -> {
                CellKey twin = new CellKey(twins.getOrDefault(cell.slotId(), -1L), cell.week());
                if (open.goes(twin, dose) && open.draft.cell(twin).equals(was.getOrDefault(cell, ""))) {
                    open.draft.cell(twin, dose);
                }
            });
            weeks.stream()
                    .filter(week -> week < open.draft.weeks.size()
                            && open.draft
                                    .weeks
                                    .get(week)
                                    .equals(before.block().shape().get(week)))
                    .forEach(week ->
                            open.draft.weeks.set(week, after.block().shape().get(week)));
        }));
    }

    /** Has a change of weeks, days or slots follow; what became of it in words. */
    String change(Person coach, LifterPlan plan, BlockChanges.Kind kind, Typed typed) {
        return each(coach, plan, (theirs, open) -> BlockChanges.make(open, kind, there(plan, theirs, typed)));
    }

    /** Has a template that was put in follow; what became of it in words. */
    String template(Person coach, LifterPlan plan, Typed typed) {
        return each(coach, plan, (theirs, open) -> templates.put(coach, open, there(plan, theirs, typed)));
    }

    private String each(Person coach, LifterPlan plan, BiConsumer<LifterPlan, BlockDesk.Open> edit) {
        int followed = 0;
        List<String> not = new ArrayList<>();
        for (BlockEntity copy : blocks.findByClubIdAndGivenFrom(plan.lifter().clubId(), plan.blockId())) {
            Optional<LifterCard> lifter = ownLifter(coach, copy.lifterId());
            if (lifter.isEmpty()) {
                continue;
            }
            LifterPlan theirs = plans.open(lifter.get(), coach.zone(), Optional.of(copy.id()))
                    .orElseThrow(NotFoundException::new);
            if (follows(coach, plan, theirs, edit)) {
                followed++;
            } else {
                not.add(lifter.get().name());
            }
        }
        String told = words.say("plan.followed", followed);
        return followed == 0 || not.isEmpty()
                ? told
                : told + " " + words.say("plan.followed.not", String.join(", ", not));
    }

    private boolean follows(
            Person coach, LifterPlan plan, LifterPlan theirs, BiConsumer<LifterPlan, BlockDesk.Open> edit) {
        try {
            return Boolean.TRUE.equals(transactions.execute(status -> {
                BlockDesk.Open open = desk.open(theirs);
                edit.accept(theirs, open);
                return desk.keep(
                                coach,
                                open,
                                BlockDesk.Told.of("followed", plan.lifter().name()))
                        > 0;
            }));
        } catch (BlockDesk.Refused | UnreadableException doesNotGoThere) {
            return false;
        }
    }

    private Optional<LifterCard> ownLifter(Person coach, long id) {
        try {
            return Optional.of(roster.lifter(coach, id));
        } catch (NotFoundException notTheirs) {
            return Optional.empty();
        }
    }

    private static Map<CellKey, String> doses(LifterPlan plan, int day) {
        Map<CellKey, String> doses = new HashMap<>();
        List<Slot> slots = plan.block().days().get(day).slots();
        for (int s = 0; s < slots.size(); s++) {
            for (int week = 0; week < plan.block().weeks(); week++) {
                doses.put(
                        new CellKey(plan.slotIds().get(day).get(s), week),
                        slots.get(s)
                                .doses()
                                .get(week)
                                .map(dose -> dose.shorthand())
                                .orElse(""));
            }
        }
        return doses;
    }

    // ---- what stands where this does

    /** What was typed for a block, about the day and the slot that stand there in another. */
    private static Typed there(LifterPlan plan, LifterPlan theirs, Typed typed) {
        Map<String, String> values = new HashMap<>(typed.values());
        values.computeIfPresent("slot", (field, id) -> twin(slotTwins(plan, theirs), id));
        values.computeIfPresent("day", (field, id) -> twin(dayTwins(plan, theirs), id));
        return new Typed(values);
    }

    private static String twin(Map<Long, Long> twins, String id) {
        return twins.entrySet().stream()
                .filter(twin -> String.valueOf(twin.getKey()).equals(id))
                .map(twin -> String.valueOf(twin.getValue()))
                .findFirst()
                .orElseThrow(() -> new BlockDesk.Refused("gone"));
    }

    /** The days of the same name, those at the same place first. */
    private static Map<Long, Long> dayTwins(LifterPlan plan, LifterPlan theirs) {
        Map<Long, Long> twins = new HashMap<>();
        for (int d = 0; d < plan.dayIds().size(); d++) {
            int there = sameDay(plan, d, theirs);
            if (there >= 0) {
                twins.put(plan.dayIds().get(d), theirs.dayIds().get(there));
            }
        }
        return twins;
    }

    private static int sameDay(LifterPlan plan, int day, LifterPlan theirs) {
        List<String> names =
                theirs.block().days().stream().map(TrainingDay::name).toList();
        String name = plan.block().days().get(day).name();
        return day < names.size() && names.get(day).equals(name) ? day : names.indexOf(name);
    }

    /** The slots of the same letter and lift on a day of the same name. */
    private static Map<Long, Long> slotTwins(LifterPlan plan, LifterPlan theirs) {
        Map<Long, Long> twins = new HashMap<>();
        for (int d = 0; d < plan.dayIds().size(); d++) {
            int there = sameDay(plan, d, theirs);
            if (there < 0) {
                continue;
            }
            List<Slot> ours = plan.block().days().get(d).slots();
            List<Slot> others = theirs.block().days().get(there).slots();
            for (int s = 0; s < ours.size(); s++) {
                for (int o = 0; o < others.size(); o++) {
                    if (others.get(o).letter().equals(ours.get(s).letter())
                            && others.get(o).lift().equals(ours.get(s).lift())) {
                        twins.put(
                                plan.slotIds().get(d).get(s),
                                theirs.slotIds().get(there).get(o));
                    }
                }
            }
        }
        return twins;
    }
}
