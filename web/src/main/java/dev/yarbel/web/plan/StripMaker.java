package dev.yarbel.web.plan;

import dev.yarbel.core.block.Block;
import dev.yarbel.core.block.Phase;
import dev.yarbel.core.lift.Catalogue;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.MassUnit;
import dev.yarbel.core.measure.Percent;
import dev.yarbel.core.rehearsal.Likely;
import dev.yarbel.core.rehearsal.MaxOutlook;
import dev.yarbel.core.rehearsal.Rehearsal;
import dev.yarbel.core.tally.BlockTally;
import dev.yarbel.core.tally.Exposure;
import dev.yarbel.core.tally.WorkLine;
import dev.yarbel.web.block.Blocks;
import dev.yarbel.web.block.LifterBlock;
import dev.yarbel.web.block.Strips;
import dev.yarbel.web.book.LifterRecord;
import dev.yarbel.web.book.SessionLog;
import dev.yarbel.web.book.StripSource;
import dev.yarbel.web.kit.AvailableKit;
import dev.yarbel.web.page.Strip;
import dev.yarbel.web.page.Words;
import dev.yarbel.web.roster.LifterCard;
import java.time.LocalDate;
import java.time.ZoneId;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Component;

/** Draws a block as a strip: what was lifted filled, what is to come in outline. */
@Component
class StripMaker implements Strips, StripSource {

    private static final int LABELS = 150;
    private static final int WIDTH = 1180;
    private static final int HEADER = 20;
    /** Room for what weeks are for, and the contest. */
    private static final int SECOND_LINE = 14;

    private static final int LANE = 30;
    private static final int MOST_HEIGHT = 26;
    /** Where today's max lies in a lane, and how much a percent of it is. */
    private static final int MIDDLE = 14;

    private static final double PIXELS = 1.2;

    private final Blocks blocks;
    private final Words words;

    StripMaker(Blocks blocks, Words words) {
        this.blocks = blocks;
        this.words = words;
    }

    @Override
    public Optional<Strip> strip(LifterCard lifter, ZoneId zone, LifterRecord known, AvailableKit kit) {
        return blocks.onFloor(lifter, zone, known, kit).map(this::draw);
    }

    /** A lane's work on one day of one week. */
    private record Place(Lift root, int day, int week) {}

    @Override
    public Strip draw(LifterBlock plan) {
        Catalogue catalogue = plan.standing().catalogue();
        BlockTally reckoning = BlockTally.of(plan.block(), plan.projection(), plan.resolver(), plan.log(), catalogue);
        Map<Place, List<WorkLine>> work = new HashMap<>();
        for (WorkLine line : reckoning.lines()) {
            if (line.share().isPresent()) {
                work.computeIfAbsent(
                                new Place(catalogue.root(line.lift()), line.day(), line.week()),
                                place -> new ArrayList<>())
                        .add(line);
            }
        }
        List<Lift> roots = lanes(reckoning, catalogue);
        List<Strip.Phase> phases = phases(plan);
        Strip.Flag contest = contest(plan);
        int header = header(plan);
        List<Strip.Lane> lanes = new ArrayList<>();
        for (Lift root : roots) {
            int bottom = header + LANE * (lanes.size() + 1);
            lanes.add(new Strip.Lane(words.lift(root), bottom, marks(plan, root, work, bottom)));
        }
        boolean within = !plan.today().isBefore(plan.block().start())
                && !plan.today().isAfter(plan.block().end());
        int today = within ? x(plan, plan.today()) + dayWidth(plan) / 2 : -1;
        return new Strip(
                plan.lifter().id(),
                plan.blockId(),
                plan.name(),
                WIDTH,
                header + LANE * Math.max(1, roots.size()) + 4,
                weeks(plan),
                phases,
                today,
                contest,
                lanes);
    }

    private static int header(LifterBlock plan) {
        return phases(plan).isEmpty() && plan.block().contest().isEmpty() ? HEADER : HEADER + SECOND_LINE;
    }

    /**
     * A max as it may become, over its lane.
     *
     * @param area four times of five within it, as a drawn path
     * @param told in words
     */
    record Fan(String area, String told) {}

    /** What a rehearsal of a block says of the maxes, from today on: a percent of the max is a little more than a pixel, today's middle lies in the middle of the lane. */
    List<Fan> fans(LifterBlock plan, Rehearsal rehearsal) {
        Catalogue catalogue = plan.standing().catalogue();
        BlockTally reckoning = BlockTally.of(plan.block(), plan.projection(), plan.resolver(), plan.log(), catalogue);
        List<Lift> roots = lanes(reckoning, catalogue);
        List<Fan> fans = new ArrayList<>();
        for (MaxOutlook max : rehearsal.maxes()) {
            int lane = roots.indexOf(max.lift());
            if (lane >= 0) {
                fans.add(new Fan(area(plan, max, header(plan) + LANE * (lane + 1)), told(plan, max)));
            }
        }
        return fans;
    }

    private String told(LifterBlock plan, MaxOutlook max) {
        MassUnit unit = plan.lifter().unit();
        return words.say(
                "rehearsal.fan",
                words.lift(max.lift()),
                words.about(RehearsalView.whole(max.after().low(), unit), unit),
                words.about(RehearsalView.whole(max.after().high(), unit), unit));
    }

    private static String area(LifterBlock plan, MaxOutlook max, int bottom) {
        double now = max.now().middle();
        LocalDate from =
                plan.today().isBefore(plan.block().start()) ? plan.block().start() : plan.today();
        StringBuilder area =
                new StringBuilder("M").append(point(x(plan, from), max.now().high(), now, bottom));
        StringBuilder back = new StringBuilder(point(x(plan, from), max.now().low(), now, bottom)).append('Z');
        for (int week = 0; week < max.weeks().size(); week++) {
            LocalDate end = plan.block().start().plusWeeks(week + 1L);
            if (end.isAfter(from)) {
                Likely then = max.weeks().get(week);
                area.append('L').append(point(x(plan, end), then.high(), now, bottom));
                back.insert(0, point(x(plan, end), then.low(), now, bottom) + "L");
            }
        }
        return area.append('L').append(back).toString();
    }

    private static String point(int x, double kg, double now, int bottom) {
        double percent = 100 * (kg / now - 1);
        double up = Math.max(1, Math.min(LANE - 2.0, MIDDLE + PIXELS * percent));
        return String.format(Locale.ROOT, "%d %.1f", x, bottom - up);
    }

    /** The families of contest lifts and events; where a block has none, all. */
    private static List<Lift> lanes(BlockTally reckoning, Catalogue catalogue) {
        List<Lift> contested = reckoning.families().stream()
                .filter(root -> catalogue.of(root).contest()
                        || reckoning.lines().stream()
                                .anyMatch(line -> catalogue.root(line.lift()).equals(root)
                                        && catalogue.of(line.lift()).contest()))
                .toList();
        return contested.isEmpty() ? reckoning.families() : contested;
    }

    private static List<Strip.Week> weeks(LifterBlock plan) {
        List<Strip.Week> weeks = new ArrayList<>();
        Block block = plan.block();
        for (int week = 0; week < block.weeks(); week++) {
            int x = x(plan, block.start().plusWeeks(week));
            int next = x(plan, block.start().plusWeeks(week + 1L));
            weeks.add(new Strip.Week(
                    week + 1,
                    x,
                    next - x,
                    week == plan.currentWeek(),
                    block.shape().get(week).deload() || block.isGap(week),
                    week >= plan.firstOpenWeek()));
        }
        return weeks;
    }

    private static List<Strip.Phase> phases(LifterBlock plan) {
        List<Strip.Phase> phases = new ArrayList<>();
        Block block = plan.block();
        int from = 0;
        for (int week = 1; week <= block.weeks(); week++) {
            Phase phase = block.shape().get(from).phase();
            if (week == block.weeks() || block.shape().get(week).phase() != phase) {
                if (phase != Phase.GENERAL) {
                    int x = x(plan, block.start().plusWeeks(from));
                    int end = x(plan, block.start().plusWeeks(week));
                    phases.add(new Strip.Phase(phase.name().toLowerCase(Locale.ROOT), x, end - x));
                }
                from = week;
            }
        }
        return phases;
    }

    private Strip.Flag contest(LifterBlock plan) {
        Optional<LocalDate> contest = plan.block().contest();
        if (contest.isEmpty()) {
            return null;
        }
        long days = ChronoUnit.DAYS.between(plan.today(), contest.get());
        String text = days < 0
                ? words.say("strip.contest.past", words.day(contest.get()))
                : words.say("strip.contest", words.day(contest.get()), days / 7, days % 7);
        int x = Math.min(x(plan, contest.get()), WIDTH - 6);
        return new Strip.Flag(Math.max(LABELS, x), text);
    }

    private static int dayWidth(LifterBlock plan) {
        return Math.max(2, (WIDTH - LABELS) / (7 * plan.block().weeks()));
    }

    private static int x(LifterBlock plan, LocalDate date) {
        long days = ChronoUnit.DAYS.between(plan.block().start(), date);
        return LABELS + (int) ((WIDTH - LABELS) * days / (7 * plan.block().weeks()));
    }

    private List<Strip.Mark> marks(LifterBlock plan, Lift root, Map<Place, List<WorkLine>> work, int bottom) {
        List<Strip.Mark> marks = new ArrayList<>();
        for (int week = 0; week < plan.block().weeks(); week++) {
            for (int day = 0; day < plan.block().days().size(); day++) {
                List<WorkLine> lines = work.get(new Place(root, day, week));
                if (lines != null) {
                    marks.add(mark(plan, root, lines, day, week, bottom));
                }
            }
        }
        return marks;
    }

    private Strip.Mark mark(LifterBlock plan, Lift root, List<WorkLine> lines, int day, int week, int bottom) {
        Percent share = lines.stream()
                .map(line -> line.share().orElseThrow())
                .max(Percent::compareTo)
                .orElseThrow();
        Mass heaviest = lines.stream()
                .filter(line -> line.share().orElseThrow().equals(share))
                .map(line -> line.load().orElse(Mass.ZERO))
                .max(Mass::compareTo)
                .orElseThrow();
        int hardReps =
                lines.stream().mapToInt(line -> line.hardSets() * line.reps()).sum();
        boolean done = lines.get(0).done();
        Exposure.Judgement judgement = done ? judgement(plan, root, day, week) : Exposure.Judgement.AS_PLANNED;
        double above = Math.max(0, share.figure().doubleValue() - 40) / 60;
        int height = (int) Math.round(Math.max(4, Math.min(MOST_HEIGHT, 4 + above * (MOST_HEIGHT - 4))));
        int width = Math.min(dayWidth(plan), 6 + hardReps / 2);
        LocalDate date = plan.block().date(day, week);
        int x = x(plan, date) + (dayWidth(plan) - width) / 2;
        String text = words.say(
                done ? "strip.mark.done." + judgement : "strip.mark.planned",
                words.lift(root),
                words.day(date),
                words.load(heaviest, plan.lifter().unit()),
                words.percent(share),
                hardReps);
        return new Strip.Mark(date, day, week, x, bottom - height, width, height, done, hardReps == 0, judgement, text);
    }

    /** How what was lifted of a family compares with what was asked: the worst of its lifts. */
    private static Exposure.Judgement judgement(LifterBlock plan, Lift root, int day, int week) {
        Catalogue catalogue = plan.standing().catalogue();
        List<Exposure.Judgement> judgements = plan.session(day, week).stream()
                .map(SessionLog::sets)
                .flatMap(sets -> sets.stream()
                        .map(done -> done.set().lift())
                        .distinct()
                        .filter(lift -> catalogue.root(lift).equals(root))
                        .flatMap(lift ->
                                Exposure.done(plan.resolver(), plan.projection().prescriptions(day, week), sets, lift)
                                        .stream()))
                .map(Exposure::judgement)
                .toList();
        return judgements.contains(Exposure.Judgement.OVER)
                ? Exposure.Judgement.OVER
                : judgements.contains(Exposure.Judgement.UNDER)
                        ? Exposure.Judgement.UNDER
                        : Exposure.Judgement.AS_PLANNED;
    }
}
