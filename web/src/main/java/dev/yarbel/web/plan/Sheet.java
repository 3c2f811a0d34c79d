package dev.yarbel.web.plan;

import dev.yarbel.core.block.Slot;
import dev.yarbel.core.block.TrainingDay;
import dev.yarbel.core.equipment.Fit;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.prescription.Dose;
import dev.yarbel.core.prescription.DoseParser;
import dev.yarbel.core.session.Prescription;
import dev.yarbel.core.session.ResolvedLoad;
import dev.yarbel.web.book.Ledger;
import dev.yarbel.web.page.ChangeKind;
import dev.yarbel.web.page.Person;
import dev.yarbel.web.page.Words;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The sheet: showing one day across the weeks, and keeping what is typed into its cells. */
@Service
class Sheet {

    /** As far as the ledger is searched for who wrote a dose. */
    private static final int ENTRIES = 500;

    private static final int[] TINTS = {50, 60, 70, 80, 90};

    private final DayRepository days;
    private final DoseCellRepository cells;
    private final Ledger ledger;
    private final Words words;

    Sheet(DayRepository days, DoseCellRepository cells, Ledger ledger, Words words) {
        this.days = days;
        this.cells = cells;
        this.ledger = ledger;
        this.words = words;
    }

    /** What a cell held when it was sent to the page, and what is typed in it now. */
    record Typed(String was, String text) {}

    /** The sheet as it is kept. */
    SheetView view(LifterPlan plan, int day) {
        return view(plan, day, Map.of(), Map.of());
    }

    /**
     * The sheet with text typed into some cells.
     *
     * @param typed the text of those cells; readable doses among them show what they come to
     * @param troubles what kept text from being kept
     */
    SheetView view(LifterPlan plan, int day, Map<CellKey, String> typed, Map<CellKey, CellView.Trouble> troubles) {
        TrainingDay trainingDay = plan.block().days().get(day);
        List<Long> slotIds = plan.slotIds().get(day);
        List<List<CellView>> columns = new ArrayList<>();
        for (int week = 0; week < plan.block().weeks(); week++) {
            columns.add(column(plan, day, week, typed, troubles));
        }
        List<SheetView.Row> rows = new ArrayList<>();
        for (int s = 0; s < slotIds.size(); s++) {
            int slot = s;
            rows.add(new SheetView.Row(
                    trainingDay.slots().get(s).letter(),
                    trainingDay.slots().get(s).lift(),
                    kit(plan, trainingDay.slots().get(s).lift()),
                    plan.lifter()
                            .aching(
                                    trainingDay.slots().get(s).lift(),
                                    plan.standing().catalogue()),
                    columns.stream().map(column -> column.get(slot)).toList()));
        }
        List<SheetView.Tab> tabs = new ArrayList<>();
        for (int d = 0; d < plan.block().days().size(); d++) {
            tabs.add(new SheetView.Tab(d, plan.block().days().get(d).name(), d == day));
        }
        List<SheetView.Week> weeks = new ArrayList<>();
        for (int w = 0; w < plan.block().weeks(); w++) {
            weeks.add(new SheetView.Week(
                    w + 1, plan.block().date(day, w), w == plan.currentWeek(), plan.isFinished(day, w)));
        }
        return new SheetView(day, tabs, weeks, rows);
    }

    /** What a lift's loads are made with, in words; null when the gym has nothing for it. */
    private String kit(LifterPlan plan, Lift lift) {
        return plan.resolver()
                .kit(lift)
                .map(loads ->
                        words.madeWith(plan.standing().catalogue().of(lift).implement(), loads.name()))
                .orElse(null);
    }

    private List<CellView> column(
            LifterPlan plan, int day, int week, Map<CellKey, String> typed, Map<CellKey, CellView.Trouble> troubles) {
        List<Slot> slots = plan.block().days().get(day).slots();
        List<Long> slotIds = plan.slotIds().get(day);
        Map<Integer, Integer> placeOfSlot = new HashMap<>();
        List<Prescription> prescriptions = new ArrayList<>();
        List<CellView> column = new ArrayList<>();
        for (int s = 0; s < slots.size(); s++) {
            CellKey key = new CellKey(slotIds.get(s), week);
            Optional<Dose> kept = slots.get(s).doses().get(week);
            String keptText = kept.map(Dose::shorthand).orElse("");
            String text = typed.getOrDefault(key, keptText);
            Optional<CellView.Trouble> trouble = Optional.ofNullable(troubles.get(key));
            Optional<Dose> dose = kept;
            if (typed.containsKey(key)) {
                DoseParser.Result result = DoseParser.parse(text);
                dose = result instanceof DoseParser.Read read ? Optional.of(read.dose()) : Optional.empty();
                if (result instanceof DoseParser.Unreadable unreadable && !text.isBlank()) {
                    trouble = Optional.of(CellView.Unreadable.of(text, unreadable));
                }
            }
            if (dose.isPresent()) {
                placeOfSlot.put(s, prescriptions.size());
                prescriptions.add(
                        new Prescription(slots.get(s).letter(), slots.get(s).lift(), dose.get()));
            }
            column.add(new CellView(key, text, keptText, Optional.empty(), trouble, plan.isFinished(day, week)));
        }
        List<ResolvedLoad> loads = plan.resolver().resolve(prescriptions);
        for (int s = 0; s < slots.size(); s++) {
            Lift lift = slots.get(s).lift();
            CellView cell = column.get(s);
            if (cell.lifted()) {
                column.set(s, cell.withLoad(lifted(plan, day, week, slots.get(s).letter(), lift)));
            } else if (placeOfSlot.containsKey(s)) {
                column.set(s, cell.withLoad(Optional.of(load(plan, lift, loads.get(placeOfSlot.get(s))))));
            }
        }
        return column;
    }

    /** What was lifted there: the heaviest work set of the slot. */
    private Optional<CellView.LoadView> lifted(LifterPlan plan, int day, int week, String letter, Lift lift) {
        return plan.session(day, week).stream()
                .flatMap(session -> session.sets().stream())
                .filter(done -> done.task().letter().equals(letter)
                        && !done.task().warmUp()
                        && done.set().lift().equals(lift))
                .map(done -> done.set().load())
                .max(Mass::compareTo)
                .map(load -> new CellView.LoadView(
                        words.load(load, plan.lifter().unit()),
                        words.other(load, plan.lifter().unit()),
                        false,
                        null,
                        null,
                        null,
                        0));
    }

    private CellView.LoadView load(LifterPlan plan, Lift lift, ResolvedLoad load) {
        if (load instanceof ResolvedLoad.Unknown unknown) {
            return new CellView.LoadView(
                    null, null, false, null, null, unknown.why().name(), 0);
        }
        Fit fit = ((ResolvedLoad.Known) load).fit();
        return new CellView.LoadView(
                words.load(fit.load(), plan.lifter().unit()),
                words.other(fit.load(), plan.lifter().unit()),
                load.isAbout(),
                fit.limit() == Fit.Limit.NONE ? null : fit.limit().name(),
                words.about(fit.asked(), plan.lifter().unit()),
                null,
                tint(plan, lift, fit.load()));
    }

    private static int tint(LifterPlan plan, Lift lift, Mass load) {
        var numbers = plan.resolver().numbers(lift);
        double share = numbers.estimate()
                .or(numbers::workingMax)
                .map(max -> load.percentOf(max).figure().doubleValue())
                .orElse(0.0);
        int tint = 0;
        while (tint < TINTS.length && share >= TINTS[tint]) {
            tint++;
        }
        return tint;
    }

    /**
     * Keeps what was typed into a day's cells. What cannot be read is left as it was kept, and so is what somebody else
     * wrote meanwhile or what has been lifted; the rest is kept, and the ledger says so.
     *
     * @return what kept text from being kept, by cell
     */
    @Transactional
    public Map<CellKey, CellView.Trouble> save(Person coach, LifterPlan plan, int day, Map<CellKey, Typed> typed) {
        Map<CellKey, CellView.Trouble> troubles = new HashMap<>();
        Map<CellKey, String> overtaken = new HashMap<>();
        List<Long> slotIds = plan.slotIds().get(day);
        // whoever keeps doses of the same day at the same moment waits here, and then sees what was kept
        days.lock(plan.lifter().clubId(), plan.dayIds().get(day));
        Map<CellKey, DoseCell> kept = new HashMap<>();
        cells.findByClubIdAndSlotIdIn(plan.lifter().clubId(), slotIds)
                .forEach(cell -> kept.put(new CellKey(cell.slotId(), cell.week()), cell));
        typed.forEach((key, entry) -> {
            int slot = slotIds.indexOf(key.slotId());
            if (slot < 0 || key.week() < 0 || key.week() >= plan.block().weeks()) {
                return;
            }
            Optional<DoseCell> cell = Optional.ofNullable(kept.get(key));
            String now = cell.map(c -> c.dose().shorthand()).orElse("");
            DoseParser.Result result = DoseParser.parse(entry.text());
            if (result instanceof DoseParser.Unreadable unreadable
                    && !entry.text().isBlank()) {
                troubles.put(key, CellView.Unreadable.of(entry.text(), unreadable));
                return;
            }
            Optional<Dose> dose = result instanceof DoseParser.Read read ? Optional.of(read.dose()) : Optional.empty();
            String wanted = dose.map(Dose::shorthand).orElse("");
            if (wanted.equals(now) || wanted.equals(entry.was())) {
                return;
            }
            if (plan.isFinished(day, key.week())) {
                troubles.put(key, new CellView.Lifted());
            } else if (!entry.was().equals(now)) {
                overtaken.put(key, now);
            } else {
                write(coach, plan, day, slot, key, cell, dose, now, wanted);
            }
        });
        troubles.putAll(overtaken(plan, day, overtaken));
        return troubles;
    }

    private void write(
            Person coach,
            LifterPlan plan,
            int day,
            int slot,
            CellKey key,
            Optional<DoseCell> cell,
            Optional<Dose> dose,
            String before,
            String after) {
        if (dose.isEmpty()) {
            cell.ifPresent(cells::delete);
        } else if (cell.isPresent()) {
            cell.get().dose(dose.get());
        } else {
            cells.save(new DoseCell(plan.lifter().clubId(), key.slotId(), key.week(), dose.get()));
        }
        ledger.write(
                coach, plan.lifter(), ChangeKind.DOSE, subject(plan, day, slot, key), Optional.empty(), before, after);
    }

    /** A cell as the ledger names it: the lift, the day, the slot and the week. */
    private static List<String> subject(LifterPlan plan, int day, int slot, CellKey key) {
        TrainingDay trainingDay = plan.block().days().get(day);
        Slot cell = trainingDay.slots().get(slot);
        return List.of(cell.lift().key(), trainingDay.name(), cell.letter(), String.valueOf(key.week() + 1));
    }

    /** Who wrote what stands in these cells now, by one look at the ledger. */
    private Map<CellKey, CellView.Trouble> overtaken(LifterPlan plan, int day, Map<CellKey, String> now) {
        if (now.isEmpty()) {
            return Map.of();
        }
        Map<List<String>, String> writers = new HashMap<>();
        ledger.latest(plan.lifter(), ChangeKind.DOSE, ENTRIES)
                .forEach(change -> writers.putIfAbsent(change.subject(), change.who()));
        Map<CellKey, CellView.Trouble> troubles = new HashMap<>();
        now.forEach((key, dose) -> {
            int slot = plan.slotIds().get(day).indexOf(key.slotId());
            String who = writers.getOrDefault(subject(plan, day, slot, key), words.say("plan.somebody"));
            troubles.put(key, new CellView.Overtaken(who, dose));
        });
        return troubles;
    }
}
