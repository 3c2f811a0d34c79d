package dev.yarbel.web.plan;

import dev.yarbel.core.block.Block;
import dev.yarbel.core.block.Slot;
import dev.yarbel.core.block.TrainingDay;
import dev.yarbel.core.equipment.Fit;
import dev.yarbel.core.estimate.MaxEstimate;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.Percent;
import dev.yarbel.core.prescription.Part;
import dev.yarbel.core.prescription.Reference;
import dev.yarbel.core.progress.ExpectedGain;
import dev.yarbel.core.progress.Step;
import dev.yarbel.core.review.Mark;
import dev.yarbel.core.session.Demand;
import dev.yarbel.core.session.LiftNumbers;
import dev.yarbel.core.session.PredictedEffort;
import dev.yarbel.core.session.PrescribedSets;
import dev.yarbel.core.session.ResolvedLoad;
import dev.yarbel.web.block.Blocks;
import dev.yarbel.web.block.LifterBlock;
import dev.yarbel.web.book.LiftRecord;
import dev.yarbel.web.page.Words;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;

/** The sheet: one training day across the weeks, or one week with all its days, with what the doses come to. */
@Service
class Sheet {

    private static final int[] TINTS = {50, 60, 70, 80, 90};

    private final Blocks blocks;
    private final PlanReview review;
    private final Words words;

    Sheet(Blocks blocks, PlanReview review, Words words) {
        this.blocks = blocks;
        this.review = review;
        this.words = words;
    }

    /** The sheet as it is kept. */
    SheetView view(LifterBlock plan, Lens lens) {
        return view(plan, lens, Map.of(), Map.of());
    }

    /**
     * The sheet with text typed into some cells.
     *
     * @param typed the text of those cells; readable doses among them show what they come to, and count
     * @param troubles what kept text from being kept
     */
    SheetView view(LifterBlock plan, Lens lens, Map<CellKey, String> typed, Map<CellKey, CellView.Trouble> troubles) {
        LifterBlock asTyped = typed.isEmpty() ? plan : plan.with(typedInto(plan, typed));
        PlanReview.Result result = review.review(asTyped, blocks.of(plan.lifter()));
        Map<CellKey, List<String>> marks = marksByCell(asTyped, result.marks());
        List<SheetView.Row> rows = new ArrayList<>();
        for (int day : lens.days(plan.block())) {
            for (Slot slot : plan.block().days().get(day).slots()) {
                List<CellView> cells = new ArrayList<>();
                for (int week : lens.weeks(plan.block())) {
                    CellKey key = new CellKey(slot.id(), week);
                    cells.add(cell(plan, asTyped, day, slot, key, typed, troubles, marks));
                }
                rows.add(row(plan, day, slot, cells));
            }
        }
        return new SheetView(
                lens,
                tabs(plan, lens),
                heads(plan, lens),
                weeks(asTyped, lens.day()),
                rows,
                Mark.together(result.marks()).stream()
                        .map(alike -> review.inWords(asTyped, alike))
                        .toList(),
                review.inWords(asTyped, result, lens.day()));
    }

    private SheetView.Row row(LifterBlock plan, int day, Slot slot, List<CellView> cells) {
        return new SheetView.Row(
                day,
                slot.id(),
                slot.letter(),
                slot.lift(),
                kit(plan, slot.lift()),
                slot.school().map(key -> words.say("school." + key)).orElse(null),
                slot.reason().orElse(null),
                growth(plan, slot),
                plan.lifter().aching(slot.lift(), plan.standing().catalogue()),
                cells);
    }

    /** One cell with what is typed into it, and its marks. */
    CellView cell(LifterBlock plan, int day, CellKey key, String text) {
        Map<CellKey, String> typed = Map.of(key, text);
        LifterBlock asTyped = plan.with(typedInto(plan, typed));
        PlanReview.Result result = review.review(asTyped, blocks.of(plan.lifter()));
        Slot slot = plan.block().slot(key.slot()).orElseThrow();
        return cell(plan, asTyped, day, slot, key, typed, Map.of(), marksByCell(asTyped, result.marks()));
    }

    /** What each cell shows as it is kept, without marks. */
    Map<CellKey, CellView> cells(LifterBlock plan, Lens lens) {
        Map<CellKey, CellView> cells = new HashMap<>();
        for (int day : lens.days(plan.block())) {
            for (Slot slot : plan.block().days().get(day).slots()) {
                for (int week : lens.weeks(plan.block())) {
                    CellKey key = new CellKey(slot.id(), week);
                    cells.put(key, cell(plan, plan, day, slot, key, Map.of(), Map.of(), Map.of()));
                }
            }
        }
        return cells;
    }

    /**
     * The whole block.
     *
     * @param marks and what it adds up to
     */
    record Whole(BlockOverview overview, List<SheetView.MarkView> marks, TallyView reckoning) {}

    /** The whole block as it is kept, or as it is looked at before it is. */
    Whole whole(LifterBlock plan) {
        PlanReview.Result result = review.review(plan, blocks.of(plan.lifter()));
        Map<CellKey, List<String>> marks = marksByCell(plan, result.marks());
        Map<CellKey, CellView> cells = new HashMap<>();
        for (int day = 0; day < plan.block().days().size(); day++) {
            for (Slot slot : plan.block().days().get(day).slots()) {
                for (int week = 0; week < plan.block().weeks(); week++) {
                    CellKey key = new CellKey(slot.id(), week);
                    cells.put(key, cell(plan, plan, day, slot, key, Map.of(), Map.of(), marks));
                }
            }
        }
        return new Whole(
                BlockOverview.of(plan, cells::get, slot -> words.lift(slot.lift())),
                Mark.together(result.marks()).stream()
                        .map(alike -> review.inWords(plan, alike))
                        .toList(),
                review.inWords(plan, result, -1));
    }

    /** A sheet of no day yet, for a block that has none. */
    SheetView empty(LifterBlock plan) {
        PlanReview.Result result = review.review(plan, List.of());
        return new SheetView(
                Lens.day(-1),
                List.of(),
                List.of(),
                weeks(plan, -1),
                List.of(),
                List.of(),
                review.inWords(plan, result, -1));
    }

    private static List<SheetView.Tab> tabs(LifterBlock plan, Lens lens) {
        List<SheetView.Tab> tabs = new ArrayList<>();
        for (int d = 0; d < plan.block().days().size(); d++) {
            TrainingDay day = plan.block().days().get(d);
            tabs.add(new SheetView.Tab(d, day.name(), day.offset(), d == lens.day()));
        }
        return tabs;
    }

    private static List<SheetView.DayHead> heads(LifterBlock plan, Lens lens) {
        return lens.week()
                .map(week -> lens.days(plan.block()).stream()
                        .map(day -> new SheetView.DayHead(
                                day,
                                plan.block().days().get(day).name(),
                                plan.block().date(day, week),
                                plan.isFinished(day, week),
                                isUnderWay(plan, day, week),
                                PlanReview.minutes(plan, day, week)))
                        .toList())
                .orElse(List.of());
    }

    private static boolean isUnderWay(LifterBlock plan, int day, int week) {
        return plan.session(day, week).isPresent() && !plan.isFinished(day, week);
    }

    private static List<SheetView.Week> weeks(LifterBlock plan, int day) {
        List<SheetView.Week> weeks = new ArrayList<>();
        for (int w = 0; w < plan.block().weeks(); w++) {
            weeks.add(new SheetView.Week(
                    w + 1,
                    day < 0 ? plan.block().start().plusWeeks(w) : plan.block().date(day, w),
                    w == plan.currentWeek(),
                    day >= 0 && plan.isFinished(day, w),
                    day >= 0 && isUnderWay(plan, day, w),
                    plan.block().shape().get(w),
                    plan.block().isGap(w),
                    day < 0 ? 0 : PlanReview.minutes(plan, day, w),
                    w >= plan.firstOpenWeek()));
        }
        return weeks;
    }

    /** The block with what is typed, where it can be read. */
    private static Block typedInto(LifterBlock plan, Map<CellKey, String> typed) {
        return plan.block().withSlots(slot -> {
            Slot with = slot;
            for (int week = 0; week < slot.doses().size(); week++) {
                String text = typed.get(new CellKey(slot.id(), week));
                if (text != null) {
                    with = with.with(week, TypedDoses.read(plan, text));
                }
            }
            return with;
        });
    }

    private Map<CellKey, List<String>> marksByCell(LifterBlock plan, List<Mark> marks) {
        Map<CellKey, List<String>> byCell = new HashMap<>();
        for (Mark mark : marks) {
            mark.place().filter(place -> place.from() == place.to()).ifPresent(place -> {
                Slot slot = plan.block().days().get(place.day()).slots().get(place.slot());
                byCell.computeIfAbsent(new CellKey(slot.id(), place.from()), k -> new ArrayList<>())
                        .add(review.inWords(plan, mark));
            });
        }
        return byCell;
    }

    /** The mean gain that loads which grow from session to session, or hang on a goal, count on; null where none do. */
    private String growth(LifterBlock plan, Slot slot) {
        boolean grows = slot.doses().stream()
                .flatMap(Optional::stream)
                .flatMap(dose -> dose.parts().stream())
                .map(part -> part.basis())
                .anyMatch(basis -> basis.stepOnLast().filter(Mass::isPositive).isPresent()
                        || basis.isShareOf(Reference.Named.GOAL));
        ExpectedGain gain = plan.resolver().numbers(slot.lift()).gain();
        return grows ? words.say("plan.growth", words.percent(gain.aWeek()), words.percent(gain.doubt())) : null;
    }

    /** What a lift's loads are made with, in words; null when the gym has nothing for it. */
    private String kit(LifterBlock plan, Lift lift) {
        return plan.resolver()
                .kit(lift)
                .map(loads ->
                        words.madeWith(plan.standing().catalogue().of(lift).implement(), loads.name()))
                .orElse(null);
    }

    private CellView cell(
            LifterBlock plan,
            LifterBlock asTyped,
            int day,
            Slot slot,
            CellKey key,
            Map<CellKey, String> typed,
            Map<CellKey, CellView.Trouble> troubles,
            Map<CellKey, List<String>> marks) {
        int week = key.week();
        String kept =
                slot.doses().get(week).map(dose -> words.dose(dose.shorthand())).orElse("");
        String text = typed.getOrDefault(key, kept);
        Optional<CellView.Trouble> trouble = Optional.ofNullable(troubles.get(key));
        if (trouble.isEmpty() && typed.containsKey(key)) {
            trouble = TypedDoses.trouble(plan, slot.lift(), text);
        }
        boolean lifted = plan.isFinished(day, week);
        List<CellView.LoadView> loads =
                lifted ? lifted(plan, day, week, slot.letter(), slot.lift()) : loads(asTyped, day, week, slot.letter());
        return new CellView(key, text, kept, loads, trouble, lifted, marks.getOrDefault(key, List.of()));
    }

    private List<CellView.LoadView> loads(LifterBlock plan, int day, int week, String letter) {
        List<PrescribedSets> prescriptions = plan.projection().prescriptions(day, week);
        List<ResolvedLoad> loads = plan.projection().loads(day, week);
        List<CellView.LoadView> views = new ArrayList<>();
        for (int i = 0; i < prescriptions.size(); i++) {
            if (prescriptions.get(i).letter().equals(letter)) {
                views.add(load(plan, prescriptions.get(i), loads.get(i)));
            }
        }
        return views;
    }

    /** What was lifted there: the heaviest work set of the slot. */
    private List<CellView.LoadView> lifted(LifterBlock plan, int day, int week, String letter, Lift lift) {
        return plan.session(day, week).stream()
                .flatMap(session -> session.sets().stream())
                .filter(done -> done.task().letter().equals(letter)
                        && !done.task().warmUp()
                        && done.set().lift().equals(lift))
                .map(done -> done.set().load())
                .max(Mass::compareTo)
                .map(load -> new CellView.LoadView(
                        words.load(load, plan.lifter().unit()),
                        words.figure(load, plan.lifter().unit()),
                        words.other(load, plan.lifter().unit()),
                        false,
                        null,
                        null,
                        null,
                        null,
                        null,
                        null,
                        0))
                .stream()
                .toList();
    }

    private CellView.LoadView load(LifterBlock plan, PrescribedSets prescription, ResolvedLoad load) {
        if (load.missing().isPresent()) {
            ResolvedLoad.Why why = load.missing().get();
            boolean silent = why == ResolvedLoad.Why.BY_FEEL
                    && !prescription.part().work().countsReps();
            return new CellView.LoadView(
                    null, null, null, false, null, null, null, null, null, silent ? null : why.name(), 0);
        }
        ResolvedLoad.Known known = load.known().orElseThrow();
        Fit fit = known.fit();
        Lift lift = prescription.lift();
        LiftNumbers numbers = plan.resolver().numbers(lift);
        return new CellView.LoadView(
                words.load(fit.load(), plan.lifter().unit()),
                words.figure(fit.load(), plan.lifter().unit()),
                words.other(fit.load(), plan.lifter().unit()),
                load.isAbout(),
                beside(plan, prescription, known),
                PredictedEffort.of(prescription, fit.load(), numbers)
                        .map(this::effort)
                        .orElse(null),
                ofToday(prescription.part(), fit.load(), numbers),
                fit.miss() == Fit.Miss.NONE ? null : fit.miss().name(),
                words.about(fit.asked(), plan.lifter().unit()),
                null,
                tint(numbers, Demand.of(prescription, numbers).plain(fit.load())));
    }

    /** What stands beside the load, with what its law did where that is more than a step. */
    private String beside(LifterBlock plan, PrescribedSets prescription, ResolvedLoad.Known known) {
        String upTo = Optional.ofNullable(upTo(plan, prescription.part(), known))
                .or(() -> doubt(plan, prescription.lift(), known))
                .orElse(null);
        Optional<Step> after = known.origin().lawStep().filter(Step::isNoted);
        if (after.isEmpty()) {
            return upTo;
        }
        String law = words.say(
                "plan.law." + after.get().answer(),
                prescription.part().sets() + "×" + prescription.part().reps());
        return upTo == null ? law : law + " · " + upTo;
    }

    /** The loads between which it lies four times of five, where the estimate it hangs on is a wide one. */
    private Optional<String> doubt(LifterBlock plan, Lift lift, ResolvedLoad.Known known) {
        if (!(known.origin() instanceof ResolvedLoad.Origin.FromEstimate from)) {
            return Optional.empty();
        }
        return plan.standing()
                .of(lift)
                .flatMap(LiftRecord::estimate)
                .filter(MaxEstimate::isWide)
                .flatMap(estimate -> plan.resolver().kit(lift).map(loads -> {
                    Percent share = known.fit().asked().percentOf(from.estimate());
                    Mass low = loads.fit(
                                    estimate.low().times(share), plan.lifter().rounding())
                            .load();
                    Mass high = loads.fit(
                                    estimate.high().times(share), plan.lifter().rounding())
                            .load();
                    return words.say(
                            "plan.doubt",
                            words.figure(low, plan.lifter().unit()),
                            words.figure(high, plan.lifter().unit()));
                }));
    }

    /** A range's upper end, sets that drop, or what chains and bands make of it. */
    private String upTo(LifterBlock plan, Part part, ResolvedLoad.Known known) {
        var unit = plan.lifter().unit();
        if (known.upTo().isPresent()) {
            return words.say("plan.up-to", words.load(known.upTo().get().load(), unit));
        }
        if (known.steps().size() > 1) {
            return known.steps().stream()
                    .skip(1)
                    .map(fit -> words.figure(fit.load(), unit))
                    .collect(Collectors.joining(" · "));
        }
        return part.changing()
                .map(changing -> words.say(
                        "plan.changing",
                        words.about(changing.atBottom(known.fit().load()), unit),
                        words.about(changing.atTop(known.fit().load()), unit)))
                .orElse(null);
    }

    private String effort(PredictedEffort effort) {
        return effort.rating()
                .map(rpe -> words.say("plan.effort.about", rpe.toString()))
                .orElseGet(() -> words.say(effort.isBeyondReach() ? "plan.effort.beyond" : "plan.effort.light"));
    }

    /** Percentages of a goal or a contest max are shown as shares of today's estimate too. */
    private String ofToday(Part part, Mass load, LiftNumbers numbers) {
        boolean elsewhere =
                part.basis().isShareOf(Reference.Named.GOAL) || part.basis().isShareOf(Reference.Named.CONTEST);
        return elsewhere
                ? numbers.estimate()
                        .map(estimate -> words.say("plan.of-today", words.wholePercent(load.percentOf(estimate))))
                        .orElse(null)
                : null;
    }

    private static int tint(LiftNumbers numbers, Mass load) {
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
}
