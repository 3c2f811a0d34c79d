package dev.yarbel.lab.proof;

import dev.yarbel.core.effort.RepFormula;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.lab.lifter.Life;
import dev.yarbel.lab.lifter.SimulatedLifter;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;

/** Writes what was measured into a folder: {@code ./yarbel prove}. */
public final class Prove {

    /** Three times so many lifters. */
    private static final long[] REPORTED_FROM = {1_000_000, 2_000_000, 3_000_000};

    private static final int LIFTERS = 200;
    private static final int COACHED = 100;
    private static final int CONTESTED = 500;
    private static final int WEEKS = 52;
    private static final double JUMP = 0.03;
    /** The row of the estimate in a table of methods, and the last of its head. */
    private static final int FIRST_ROW = 2;

    private Prove() {}

    /**
     * @param folder one argument: where it is written
     */
    public static void main(String... folder) throws IOException {
        if (folder.length != 1) {
            System.err.println("one argument: the folder to write to");
            System.exit(2);
            return;
        }
        Path into = Files.createDirectories(Path.of(folder[0]));
        List<Life> lives = lives(REPORTED_FROM[0]);
        StandingMaxProof standing = StandingMaxProof.of(StandingMaxProof.methods(), lives);
        Files.writeString(into.resolve("errors.svg"), Plots.errors(standing.scores()));
        Files.writeString(
                into.resolve("ranges.svg"),
                Plots.calibration(standing.scores().values().iterator().next()));
        Files.writeString(
                into.resolve("example.svg"), Plots.example(Plots.withABreak(lives), Lift.SQUAT, RepFormula.OCONNER));
        RehearsalProof rehearsals = RehearsalProof.of(REPORTED_FROM[0], COACHED);
        Files.writeString(into.resolve("rehearsal.svg"), Plots.reliability(rehearsals.bins()));
        Files.writeString(into.resolve("README.md"), report(lives, standing, rehearsals));
        System.out.println(into);
    }

    private static List<Life> lives(long firstSeed) {
        return Lives.of(firstSeed, LIFTERS, lifter -> lifter.live(WEEKS));
    }

    /** The same on other lifters: the row of the estimate alone. */
    private static String again(long firstSeed) {
        String table = StandingMaxProof.of(StandingMaxProof.methods(), lives(firstSeed))
                .table();
        return table.lines()
                .skip(FIRST_ROW)
                .findFirst()
                .orElseThrow()
                .replace("| Yarbel |", "| Yarbel, seeds from " + firstSeed + " |");
    }

    private static String report(List<Life> lives, StandingMaxProof standing, RehearsalProof rehearsals) {
        String others = List.of(REPORTED_FROM[1], REPORTED_FROM[2]).stream()
                .map(Prove::again)
                .collect(Collectors.joining("\n"));
        String notices = NoticeProof.of(REPORTED_FROM[0], LIFTERS, JUMP).row("3 % more")
                + NoticeProof.of(REPORTED_FROM[0], LIFTERS, -JUMP).row("3 % less")
                + NoticeProof.of(REPORTED_FROM[0], LIFTERS, 0).row("nothing");
        return TEXT.formatted(
                standing.table() + others,
                HabitProof.of(lives).table(),
                limits(lives),
                SpeedProof.of(Lives.of(REPORTED_FROM[0], LIFTERS, lifter -> lifter.measured()
                                .live(WEEKS)))
                        .table(),
                kit(),
                notices,
                StandingMaxProof.of(StandingMaxProof.ablations(), lives).ablationTable(),
                calls(),
                rehearsals.table(),
                AttemptsProof.of(REPORTED_FROM[0], CONTESTED).table());
    }

    /** What the calls are worth. */
    private static String calls() {
        CallsProof calls = CallsProof.of(REPORTED_FROM[0], COACHED);
        return calls.table() + "\n" + calls.deloads() + "\n" + calls.aims();
    }

    /** What a set to the limit now and then is worth: the same lifters with and without. */
    private static String limits(List<Life> lives) {
        List<Life> shown = Lives.of(
                REPORTED_FROM[0], LIFTERS, lifter -> lifter.toTheLimit().live(WEEKS));
        return HabitProof.of(lives).biasRow("no set to the limit, but for misses")
                + HabitProof.of(shown).biasRow("the last set of a lift in every fourth week");
    }

    /** What it is worth to say that kit was left off. */
    private static String kit() {
        StringBuilder rows = new StringBuilder();
        for (SimulatedLifter.BeltOff said : SimulatedLifter.BeltOff.values()) {
            List<Life> lives = Lives.of(REPORTED_FROM[0], LIFTERS, lifter -> lifter.withoutBelt(said)
                    .live(WEEKS));
            Score score = StandingMaxProof.of(List.of(StandingMaxProof.yarbel()), lives)
                    .scores()
                    .values()
                    .iterator()
                    .next();
            rows.append(String.format(
                    Locale.ROOT,
                    "| %s | %.2f %% | %.2f %% | %+.1f %% | %.0f %% |%n",
                    switch (said) {
                        case NEVER -> "worn all year";
                        case UNSAID -> "left off for four weeks, and nobody says so";
                        case SAID -> "left off for four weeks, and said";
                    },
                    100 * score.ofTheMedianLifter(),
                    100 * score.pooled(),
                    100 * score.leaning(),
                    100 * score.coverage()));
        }
        return rows.toString();
    }

    private static final String TEXT = """
            # What the estimates and the calls are worth

            Written by `./yarbel prove`, which gives the same figures each time. The lifters are simulated: of nobody alive is the
            true max known from week to week. What is assumed of them stands in
            [`lab/lifter`](../../lab/src/main/java/dev/yarbel/lab/lifter): a max that follows training (Banister et al. 1975), day's form
            that runs on from day to day, fatigue, rep curves of four shapes with a steepness of their own, of which one is the shape that Yarbel
            starts from, ratings that lean to one side and scatter with a heavy tail, pulls that flatter the single, sessions and weeks missed,
            illness that nobody notes, and one set in a hundred written down wrong. What follows is a claim about these lifters, and about
            real ones only as far as they are like them.

            The estimate's own figures were chosen on the seeds 1 to 600 and 5000 to 5149; what stands here was measured on others: 200 lifters
            from seed 1000000 where nothing else is said.

            ![One year of a lifter](example.svg)

            ## The standing max

            200 lifters, 52 weeks, three lifts each, told once a week from week 9 on.
            The error is the root mean square of what was said less the true standing max, which is what the lifter can do without the
            day's form and fatigue, as a share of it. A formula takes the best of the sets of the last four weeks, each with its
            repetitions and those said to be left, without those that lie a quarter off the middle. "Of the best formula's" divides by
            the error of the formula that did best, which nobody knows beforehand. "After a break" is the error over all in the four weeks after
            two weeks or more away. The range is to hold the truth four times of five.

            %s

            ![The errors, from the lifter at one tenth to the one at nine tenths](errors.svg)

            ![How often ranges of different widths hold the truth](ranges.svg)

            ## How they rate, and how load falls with repetitions

            After the year, lift by lift. Who learns nothing takes every rating as it is said, and the usual curve for everybody.

            %s

            The same where the last set of a lift goes on, in every fourth week, until nothing more goes, and is marked as one.

            | sets to the limit | rating bias, error in the middle | nine of ten within | in the 80 %% range |
            |---|---:|---:|---:|
            %s
            ## How fast they lift

            The same lifters with a sensor, each lift along a load–speed line of its own. The table is that of the last half year, of ratings as they were said. Held against
            it is how fast the last of four repetitions moves with so many left as this lifter would say.

            %s
            ## Kit left off

            The same lifters, squats and pulls without the belt in four weeks, by which 6 %% less goes.

            | the belt | error, median lifter | error, all | leaning | in the 80 %% range |
            |---|---:|---:|---:|---:|
            %s
            ## A change that is noticed

            Lifters who train steadily; in week 21 their standing maxes jump by so much, or do not. The trend that the book shows is looked at once
            a week, ten times. The last column counts every lift of which the trend once said within these ten weeks that it changed when it had not.

            | what changed | noticed within ten weeks | weeks until, in the middle | wrong at a look | wrong in any of ten |
            |---|---:|---:|---:|---:|
            %s
            ## What each part of the estimate is worth

            The same lifters, with one part taken out at a time.

            %s
            ## What the calls are worth

            100 lifters from seed 1000000, 24 weeks each, the same lifters under each way of planning. These lifters become what they are made to do
            ([`TrainedLifter`](../../lab/src/main/java/dev/yarbel/lab/lifter/TrainedLifter.java)): what a set gives and what it takes depends on how many
            repetitions were left, what is taken adds up, and beyond what one can bear it takes from every lift until it is rested off. Some weeks life takes
            as well. Each session asks of two lifts for a set of three with two left, then three sets of five with three left. Under Yarbel the three is asked
            for by its rating, its load is what the estimate makes of it, and the fives stand in percent of the working max, or at a rating too; the rules of
            judgement are asked after each session, and what they propose is taken as it stands, the deload among it, or left. The others hang on
            the max that was tested before the first day, or on how the next set feels, judged with the same unsure and leaning sense that sets are rated with;
            each of them takes every sixth week easy. A set is on target with one repetition more or less left than was wanted; easy weeks are not
            counted. What the calls cannot be blamed or praised for: what the lifters are like is invented, above all how fatigue builds up.

            %s
            ## What a rehearsal is worth

            100 lifters of the same kind from seed 1000000. For a quarter of a year they train in percent of a max that was tested, and what they lift and say
            is logged; then a block of eight weeks is rehearsed that climbs from what is easy to more than most can do, threes from 80 to 94 %% of the estimate and
            sets of five from 73 to 87 %%, and each lifter does it as it stands, whatever happens. What was said of a part of a day is held against whether a
            set of it was missed. Who came over-reached has lifted below what they are, and their estimate knows no better: for them a rehearsal is too gloomy, so they
            are counted apart. The rehearsal knows nothing of how these lifters tire over weeks.

            ![How often sets are missed that a rehearsal says will be](rehearsal.svg)

            %s
            ## What advised attempts are worth

            500 lifters of that kind, a week of rest after their quarter of a year, in a contest of three lifts, the same day again for each way to choose. The estimate
            says what may be there; what an attempt leaves is what they say of it; four of a hundred are turned down. "What was there" is what the three lifts
            had on the day before the first attempt. A day without a total counts as nothing: the ways differ by how often that happens more than by
            what they bring else.

            %s""";
}
