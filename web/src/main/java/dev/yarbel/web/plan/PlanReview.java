package dev.yarbel.web.plan;

import dev.yarbel.core.estimate.MaxEstimate;
import dev.yarbel.core.estimate.RecordedMax;
import dev.yarbel.core.lift.Ache;
import dev.yarbel.core.lift.Catalogue;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.lift.Mastery;
import dev.yarbel.core.lift.Muscle;
import dev.yarbel.core.lift.Tissue;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.MassUnit;
import dev.yarbel.core.measure.Percent;
import dev.yarbel.core.recovery.RecoveryKnown;
import dev.yarbel.core.review.BlockReview;
import dev.yarbel.core.review.Gate;
import dev.yarbel.core.review.Judged;
import dev.yarbel.core.review.LifterKnown;
import dev.yarbel.core.review.Mark;
import dev.yarbel.core.review.UnderReview;
import dev.yarbel.core.school.School;
import dev.yarbel.core.session.Projection;
import dev.yarbel.core.session.ResolvedLoad;
import dev.yarbel.core.tally.BlockTally;
import dev.yarbel.core.tally.Habit;
import dev.yarbel.core.tally.Prilepin;
import dev.yarbel.core.tally.SessionTime;
import dev.yarbel.core.tally.Totals;
import dev.yarbel.core.tally.WorkLine;
import dev.yarbel.web.block.BlockSummary;
import dev.yarbel.web.block.LifterBlock;
import dev.yarbel.web.book.LiftRecord;
import dev.yarbel.web.book.SessionLog;
import dev.yarbel.web.page.Words;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;

/** Looks a lifter's plan over and adds it up, and puts both into words. */
@Component
class PlanReview {

    private static final int WIDTH = 300;
    private static final int HEIGHT = 40;
    private static final int SMALL = 14;
    private static final int SMALL_WIDTH = 6;
    private static final int TISSUES = 3;
    private static final int MOST_LIFTS = 3;

    private final RecoverySettings settings;
    private final Words words;

    PlanReview(RecoverySettings settings, Words words) {
        this.settings = settings;
        this.words = words;
    }

    /** A plan's reckoning and its marks. */
    record Result(UnderReview plan, Habit habit, List<Mark> marks) {

        BlockTally reckoning() {
            return plan.reckoning();
        }
    }

    /** @param blocks all the lifter's blocks */
    Result review(LifterBlock plan, List<BlockSummary> blocks) {
        return review(plan, blocks, plan.log(), recovery(plan));
    }

    /** How long lifts need, for the lifter of a plan. */
    RecoveryKnown recovery(LifterBlock plan) {
        return settings.known(plan);
    }

    /** @param log what counts as lifted of it */
    Result review(LifterBlock plan, List<BlockSummary> blocks, Projection.Log log, RecoveryKnown recovery) {
        Catalogue catalogue = plan.standing().catalogue();
        Habit habit = Habit.of(
                plan.standing().log().stream()
                        .filter(SessionLog::finished)
                        .map(SessionLog::lifted)
                        .toList(),
                plan.block().start().isBefore(plan.today()) ? plan.block().start() : plan.today(),
                plan.resolver(),
                catalogue);
        UnderReview under = UnderReview.of(
                plan.block(), plan.projection(), plan.resolver(), log, new Known(plan, blocks, habit, recovery));
        return new Result(under, habit, BlockReview.of(under));
    }

    /** What a review asks of the book, the roster and the blocks before. */
    private record Known(LifterBlock plan, List<BlockSummary> blocks, Habit habit, RecoveryKnown recovery)
            implements LifterKnown {

        private Stream<LiftRecord> family(Lift lift) {
            Catalogue catalogue = plan.standing().catalogue();
            return Stream.of(lift, catalogue.root(lift)).flatMap(l -> plan.standing().of(l).stream());
        }

        @Override
        public Optional<Mastery> mastery(Lift lift) {
            return family(lift).flatMap(standing -> standing.mastery().stream()).findFirst();
        }

        @Override
        public Optional<LocalDate> lastSeen(Lift lift) {
            return family(lift)
                    .flatMap(standing -> Stream.concat(
                            standing.maxes().stream()
                                    .filter(max -> max.kind() != RecordedMax.Kind.GOAL)
                                    .map(RecordedMax::on),
                            standing.estimate().stream()
                                    .flatMap(estimate -> estimate.movements().stream())
                                    .map(MaxEstimate.Movement::date)))
                    .max(LocalDate::compareTo);
        }

        @Override
        public Optional<Mass> gainAWeek(Lift lift) {
            return plan.standing().of(lift).flatMap(LiftRecord::estimate).flatMap(MaxEstimate::gainAWeek);
        }

        @Override
        public List<Ache> aches() {
            return plan.lifter().aches();
        }

        @Override
        public boolean dietsHard() {
            return plan.lifter().dietsHard();
        }

        @Override
        public MassUnit unit() {
            return plan.lifter().unit();
        }

        @Override
        public Optional<Integer> age() {
            return plan.lifter().birthYear().map(year -> plan.today().getYear() - year);
        }

        @Override
        public List<LocalDate> contests() {
            return blocks.stream()
                    .filter(block -> block.id() != plan.blockId())
                    .flatMap(block -> block.contest().stream())
                    .toList();
        }

        @Override
        public Optional<Integer> minutesAtHand() {
            return plan.lifter().minutes();
        }

        @Override
        public Optional<Integer> daysAWeek() {
            return plan.lifter().daysAWeek();
        }

        private Optional<BlockSummary> own() {
            return blocks.stream().filter(block -> block.id() == plan.blockId()).findFirst();
        }

        @Override
        public Optional<Integer> daysOfBlockPutAside() {
            return blocks.stream()
                    .filter(block -> block.id() != plan.blockId()
                            && block.start().isBefore(plan.block().start()))
                    .findFirst()
                    .flatMap(block ->
                            block.putAside().map(aside -> (int) ChronoUnit.DAYS.between(block.start(), aside)));
        }

        @Override
        public int run() {
            String origin = own().map(BlockSummary::origin).orElse("");
            return origin.isEmpty()
                    ? 1
                    : (int) blocks.stream()
                            .filter(block -> block.origin().equals(origin)
                                    && !block.start().isAfter(plan.block().start()))
                            .count();
        }

        @Override
        public boolean isLifted(int day, int week) {
            return plan.isFinished(day, week);
        }

        @Override
        public Set<Gate> confirmed(int day, int slot) {
            return plan.opened(plan.block().days().get(day).slots().get(slot).id());
        }

        @Override
        public LocalDate today() {
            return plan.today();
        }
    }

    // ---- words

    /** A mark in words, as it stands at its cell. */
    String inWords(LifterBlock plan, Mark mark) {
        return text(plan, mark.kind(), mark.lift().stream().toList(), mark.facts());
    }

    /** Marks of one kind in words, with their places. */
    SheetView.MarkView inWords(LifterBlock plan, Mark.Together marks) {
        String text = text(plan, marks.kind(), marks.lifts(), marks.facts());
        List<SheetView.PlaceView> places = marks.places().stream()
                .map(place -> new SheetView.PlaceView(where(plan, place), place.day(), place.from() + 1))
                .distinct()
                .toList();
        boolean stop = marks.kind() == Mark.Kind.ACHE || marks.kind() == Mark.Kind.GATED;
        LocalDate contest = marks.kind() == Mark.Kind.CONTEST_UNSHAPED
                ? (LocalDate) marks.facts().get(0)
                : null;
        String said = places.size() == 1 ? words.say("mark.at", places.get(0).text(), text) : text;
        return new SheetView.MarkView(marks.kind().name(), stop, said, places, contest);
    }

    /** A line of the checklist in words. */
    String inWords(LifterBlock plan, Judged.Line line) {
        if (line.saying() == Judged.Saying.MARKED) {
            return inWords(plan, (Mark.Together) line.facts().get(0)).text();
        }
        return words.say(
                "checklist.says." + line.saying(),
                line.facts().stream()
                        .map(fact -> fact instanceof Percent share
                                ? words.wholePercent(share)
                                : fact(fact, plan.lifter().unit()))
                        .toArray());
    }

    private String text(LifterBlock plan, Mark.Kind kind, List<Lift> lifts, List<Object> of) {
        List<Object> facts = new ArrayList<>();
        facts.add(lifts.stream().limit(MOST_LIFTS).map(words::lift).collect(Collectors.joining(", "))
                + (lifts.size() > MOST_LIFTS ? words.say("mark.more-lifts", lifts.size() - MOST_LIFTS) : ""));
        of.forEach(fact -> facts.add(fact(fact, plan.lifter().unit())));
        String code = "mark." + kind;
        if (kind == Mark.Kind.GATED) {
            code += of.get(1).equals(true) ? ".open" : ".closed";
        }
        return words.say(code, facts.toArray());
    }

    private String where(LifterBlock plan, Mark.Place place) {
        String day = plan.block().days().get(place.day()).name();
        String letter =
                plan.block().days().get(place.day()).slots().get(place.slot()).letter();
        return place.from() == place.to()
                ? words.say("mark.place.week", day, letter, place.from() + 1)
                : words.say("mark.place", day, letter);
    }

    private Object fact(Object fact, MassUnit unit) {
        if (fact instanceof Mass mass) {
            return words.about(mass, unit);
        }
        if (fact instanceof Percent percent) {
            return words.percent(percent);
        }
        if (fact instanceof Lift lift) {
            return words.lift(lift);
        }
        if (fact instanceof Gate gate) {
            return words.say("gate." + gate);
        }
        if (fact instanceof School school) {
            return words.say("school." + school.key());
        }
        if (fact instanceof LocalDate day) {
            return words.day(day);
        }
        if (fact instanceof Tissue tissue) {
            return words.say("tissue." + tissue);
        }
        if (fact instanceof ResolvedLoad.Why why) {
            return words.say("load.why." + why);
        }
        return fact instanceof BigDecimal figure ? words.figure(figure.toPlainString()) : fact;
    }

    /** Minutes a day of a week will take; 0 where nothing is asked for. */
    static int minutes(LifterBlock plan, int day, int week) {
        return (int) SessionTime.of(
                        plan.projection().prescriptions(day, week),
                        plan.projection().loads(day, week),
                        plan.resolver())
                .toMinutes();
    }

    // ---- the reckoning

    TallyView inWords(LifterBlock plan, Result result, int openDay) {
        BlockTally reckoning = result.reckoning();
        MassUnit unit = plan.lifter().unit();
        Totals all = reckoning.all();
        return new TallyView(
                weeks(plan, reckoning, unit),
                lifts(plan, result, unit),
                muscles(reckoning, unit),
                tissues(plan, reckoning),
                zones(plan, reckoning, openDay),
                words.figure(all.hardSets().toPlainString()),
                String.valueOf(all.reps()),
                tonnage(all.tonnage(), unit),
                all.mean().map(words::wholePercent).orElse(null),
                all.peak().map(words::wholePercent).orElse(null),
                reckoning.specificity().map(words::wholePercent).orElse(null));
    }

    private List<TallyView.Week> weeks(LifterBlock plan, BlockTally reckoning, MassUnit unit) {
        int count = reckoning.weeks();
        List<Totals> totals =
                IntStream.range(0, count).mapToObj(reckoning::week).toList();
        int most = Math.max(
                1, totals.stream().mapToInt(Totals::hardSetHalves).max().orElse(1));
        int width = WIDTH / count;
        List<TallyView.Week> weeks = new ArrayList<>();
        for (int week = 0; week < count; week++) {
            Totals total = totals.get(week);
            int w = week;
            boolean done = reckoning.lines().stream().anyMatch(line -> line.week() == w && line.done());
            weeks.add(new TallyView.Week(
                    week + 1,
                    week * width,
                    width,
                    total.hardSetHalves() * HEIGHT / most,
                    total.mean()
                            .map(mean -> HEIGHT - (int) (mean.figure().doubleValue() - 50) * HEIGHT / 50)
                            .map(y -> Math.max(2, Math.min(HEIGHT - 2, y)))
                            .orElse(-1),
                    plan.block().shape().get(week).deload(),
                    done,
                    words.figure(total.hardSets().toPlainString()),
                    total.reps(),
                    tonnage(total.tonnage(), unit),
                    total.mean().map(words::wholePercent).orElse(null),
                    total.peak().map(words::wholePercent).orElse(null),
                    reckoning.specificity(week).map(words::wholePercent).orElse(null)));
        }
        return weeks;
    }

    private List<TallyView.Line> lifts(LifterBlock plan, Result result, MassUnit unit) {
        BlockTally reckoning = result.reckoning();
        List<TallyView.Line> lines = new ArrayList<>();
        for (Lift root : reckoning.families()) {
            List<Totals> totals = IntStream.range(0, reckoning.weeks())
                    .mapToObj(week -> reckoning.family(root, week))
                    .toList();
            int frequency = IntStream.range(0, reckoning.weeks())
                    .map(week -> reckoning.frequency(root, week))
                    .max()
                    .orElse(0);
            Habit habit = result.habit();
            boolean contested = plan.standing().catalogue().of(root).contest();
            String used = habit.weeks() == 0 || !contested
                    ? words.say("reckoning.frequency", frequency)
                    : words.say(
                            "reckoning.used-to",
                            frequency,
                            words.figure(totals.get(0).hardSets().toPlainString()),
                            words.figure(BigDecimal.valueOf(Math.round(habit.hardSets(root) * 2) / 2.0)
                                    .stripTrailingZeros()
                                    .toPlainString()),
                            habit.weeks());
            lines.add(line(words.lift(root), totals, reckoning.family(root), used, unit));
        }
        return lines;
    }

    private List<TallyView.Line> muscles(BlockTally reckoning, MassUnit unit) {
        List<TallyView.Line> lines = new ArrayList<>();
        for (Muscle muscle : Muscle.values()) {
            List<Totals> totals = IntStream.range(0, reckoning.weeks())
                    .mapToObj(week -> reckoning.muscle(muscle, week))
                    .toList();
            if (totals.stream().anyMatch(total -> total.sets() > 0)) {
                lines.add(line(words.say("muscle." + muscle), totals, null, null, unit));
            }
        }
        return lines;
    }

    private TallyView.Line line(String name, List<Totals> weeks, Totals all, String note, MassUnit unit) {
        int most = weeks.stream().mapToInt(Totals::hardSetHalves).max().orElse(0);
        StringBuilder bars = new StringBuilder();
        for (int week = 0; week < weeks.size(); week++) {
            int height = 1 + (most == 0 ? 0 : weeks.get(week).hardSetHalves() * SMALL / most);
            bars.append('M')
                    .append(week * SMALL_WIDTH)
                    .append(" 15h4v-")
                    .append(height)
                    .append("h-4z");
        }
        return new TallyView.Line(
                name,
                weeks.size(),
                bars.toString(),
                words.figure(BigDecimal.valueOf(most / 2.0).stripTrailingZeros().toPlainString()),
                all == null ? null : String.valueOf(all.reps()),
                all == null ? null : tonnage(all.tonnage(), unit),
                note);
    }

    /** What each day loads most, by the sets of its fullest week. */
    private List<TallyView.Tissues> tissues(LifterBlock plan, BlockTally reckoning) {
        List<TallyView.Tissues> days = new ArrayList<>();
        for (int d = 0; d < plan.block().days().size(); d++) {
            int day = d;
            int week = IntStream.range(0, reckoning.weeks())
                    .boxed()
                    .max(Comparator.comparingInt(w -> reckoning.lines().stream()
                            .filter(line -> line.week() == w && line.day() == day)
                            .mapToInt(WorkLine::sets)
                            .sum()))
                    .orElse(0);
            String loaded = Stream.of(Tissue.values())
                    .map(tissue -> new Object[] {
                        tissue, reckoning.tissue(tissue, day, week).sets()
                    })
                    .filter(pair -> (int) pair[1] > 0)
                    .sorted(Comparator.comparingInt(pair -> -(int) pair[1]))
                    .limit(TISSUES)
                    .map(pair -> words.say("reckoning.tissue", words.say("tissue." + pair[0]), pair[1]))
                    .reduce((a, b) -> a + ", " + b)
                    .orElse("");
            if (!loaded.isEmpty()) {
                days.add(new TallyView.Tissues(plan.block().days().get(day).name(), loaded));
            }
        }
        return days;
    }

    private List<TallyView.Zone> zones(LifterBlock plan, BlockTally reckoning, int day) {
        int week = plan.currentWeek();
        List<TallyView.Zone> zones = new ArrayList<>();
        for (Lift root : reckoning.families()) {
            if (!plan.standing().catalogue().of(root).contest()) {
                continue;
            }
            List<WorkLine> lines = reckoning.lines().stream()
                    .filter(line -> line.day() == day
                            && line.week() == week
                            && plan.standing().catalogue().root(line.lift()).equals(root))
                    .toList();
            for (Prilepin.Opinion opinion : Prilepin.of(lines)) {
                zones.add(new TallyView.Zone(
                        words.say(
                                "reckoning.zone." + opinion.verdict(),
                                words.lift(root),
                                words.say("reckoning.zone.name." + opinion.zone()),
                                opinion.reps(),
                                opinion.zone().least(),
                                opinion.zone().most()),
                        opinion.verdict() == Prilepin.Verdict.WITHIN));
            }
        }
        return zones;
    }

    /** Tonnage in tonnes of kilograms, or in thousands of pounds. */
    private String tonnage(Mass mass, MassUnit unit) {
        if (mass.isZero()) {
            return "–";
        }
        BigDecimal thousands = mass.in(unit).movePointLeft(3).setScale(1, RoundingMode.HALF_UP);
        return words.say("reckoning.tonnage." + unit, words.figure(thousands.toPlainString()));
    }
}
