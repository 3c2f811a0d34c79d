package dev.yarbel.web.plan;

import dev.yarbel.core.lift.Catalogue;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.MassUnit;
import dev.yarbel.core.measure.Percent;
import dev.yarbel.core.recovery.Wake;
import dev.yarbel.core.rehearsal.Compared;
import dev.yarbel.core.rehearsal.Likely;
import dev.yarbel.core.rehearsal.MaxOutlook;
import dev.yarbel.core.rehearsal.Rehearsal;
import dev.yarbel.core.tally.BlockTally;
import dev.yarbel.web.block.LifterBlock;
import dev.yarbel.web.page.Words;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;

/** Tells what two plans ask of a lifter and what they risk, side by side, and how sure it is that they differ. */
@Component
class PlansBeside {

    private final WakeMaker wakes;
    private final Words words;

    PlansBeside(WakeMaker wakes, Words words) {
        this.wakes = wakes;
        this.words = words;
    }

    /**
     * A plan with what a rehearsal of it came to.
     *
     * @param reckoning what it adds up to
     */
    record Side(LifterBlock plan, String name, Rehearsal rehearsal, BlockTally reckoning) {

        Side(LifterBlock plan, String name, Rehearsal rehearsal) {
            this(plan, name, rehearsal, WakeMaker.reckoning(plan));
        }
    }

    /**
     * Two plans side by side.
     *
     * @param lines one for each figure
     * @param said how sure it is what differs
     * @param weeks of both as they are drawn, on one scale
     */
    record Beside(
            String first, String second, List<Line> lines, List<String> said, List<List<RehearsalView.Week>> weeks) {}

    /** A figure of both. */
    record Line(String what, String first, String second) {

        public boolean isDifferent() {
            return !first.equals(second);
        }
    }

    Beside of(Side first, Side second) {
        int longest = Math.max(first.plan.block().weeks(), second.plan.block().weeks());
        return new Beside(
                first.name,
                second.name,
                lines(first, second),
                said(first, second),
                Stream.of(first, second)
                        .map(side -> RehearsalView.weeks(side.plan, side.rehearsal, longest))
                        .toList());
    }

    private List<Line> lines(Side first, Side second) {
        List<Line> lines = new ArrayList<>();
        Asked one = Asked.of(first);
        Asked other = Asked.of(second);
        lines.add(line(
                "ends",
                words.day(first.plan.block().end()),
                words.day(second.plan.block().end())));
        lines.add(line("ahead", one.weeks, other.weeks));
        lines.add(line("hard-sets", one.hardSets, other.hardSets));
        lines.add(line("heaviest", share(one), share(other)));
        RehearsalView.Sum missed = RehearsalView.sum(first.rehearsal);
        RehearsalView.Sum missedThen = RehearsalView.sum(second.rehearsal);
        lines.add(line("missed", sets(missed), sets(missedThen)));
        lines.add(line("over", missed.over(), missedThen.over()));
        List<Wake> both = wakes.wakes(first, second);
        lines.add(line("soon", hours(both.get(0)), hours(both.get(1))));
        for (MaxOutlook max : contested(first)) {
            max(second, max)
                    .ifPresent(then -> lines.add(new Line(
                            words.say("beside.ready", words.lift(max.lift())),
                            range(first, max.ready()),
                            range(first, then.ready()))));
        }
        return lines;
    }

    private String share(Asked asked) {
        return asked.heaviest.map(words::wholePercent).orElse("");
    }

    private String sets(RehearsalView.Sum sum) {
        return words.say("beside.missed-of", words.figure(sum.missed()), sum.sets());
    }

    private String hours(Wake wake) {
        return words.say("wake.h", wake.tooSoon());
    }

    private String range(Side side, Likely likely) {
        Mass low = RehearsalView.whole(likely.low(), side.plan.lifter().unit());
        Mass high = RehearsalView.whole(likely.high(), side.plan.lifter().unit());
        return words.say(
                "rehearsal.range",
                words.figure(low, side.plan.lifter().unit()),
                words.about(high, side.plan.lifter().unit()));
    }

    private Line line(String what, Object first, Object second) {
        return new Line(words.say("beside." + what), String.valueOf(first), String.valueOf(second));
    }

    private static List<MaxOutlook> contested(Side side) {
        Catalogue catalogue = side.plan.standing().catalogue();
        return side.rehearsal.maxes().stream()
                .filter(max -> catalogue.of(max.lift()).contest())
                .toList();
    }

    private static Optional<MaxOutlook> max(Side side, MaxOutlook like) {
        return side.rehearsal.maxes().stream()
                .filter(max -> max.lift().equals(like.lift()))
                .findFirst();
    }

    /**
     * What is asked for in the weeks that something is still rehearsed of.
     *
     * @param weeks how many
     * @param hardSets a week in the mean, rounded; a squat or pull weighs one and a half as everywhere
     * @param heaviest share of a max
     */
    private record Asked(int weeks, long hardSets, Optional<Percent> heaviest) {

        static Asked of(Side side) {
            List<Integer> ahead = IntStream.range(0, side.plan.block().weeks())
                    .filter(week -> side.rehearsal.weeks().get(week).sets() > 0)
                    .boxed()
                    .toList();
            double hard = ahead.stream()
                    .mapToDouble(week -> side.reckoning.week(week).hardSets().doubleValue())
                    .average()
                    .orElse(0);
            return new Asked(
                    ahead.size(),
                    Math.round(hard),
                    ahead.stream()
                            .flatMap(week -> side.reckoning.week(week).peak().stream())
                            .max(Percent::compareTo));
        }
    }

    /** In the middle of all lifters, in tenths. */
    private String by(Side side, Compared.Difference ready) {
        MassUnit unit = side.plan.lifter().unit();
        Mass by = RehearsalView.mass(ready.middle());
        String sign = by.isPositive() ? "+" : by.equals(Mass.ZERO) ? "" : "−";
        return sign + words.about(by.abs(), unit);
    }

    private List<String> said(Side first, Side second) {
        Compared compared = Compared.of(first.rehearsal, second.rehearsal);
        List<String> said = new ArrayList<>();
        Compared.Difference missed = compared.missed();
        said.add(
                missed.more() + missed.less() == 0
                        ? words.say("beside.said.missed-same")
                        : words.say(
                                "beside.said.missed",
                                RehearsalView.percent(missed.more()),
                                RehearsalView.percent(missed.less())));
        for (MaxOutlook max : contested(first)) {
            Compared.Difference ready = compared.ready().get(max.lift());
            if (Objects.isNull(ready)) {
                continue;
            }
            int more = RehearsalView.percent(ready.more());
            int less = RehearsalView.percent(ready.less());
            boolean same = more + less == 0;
            said.add(
                    same
                            ? words.say("beside.said.ready-same", words.lift(max.lift()))
                            : words.say("beside.said.ready", words.lift(max.lift()), more, less, by(first, ready)));
        }
        return said;
    }
}
