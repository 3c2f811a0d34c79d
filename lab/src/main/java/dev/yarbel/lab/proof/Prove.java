package dev.yarbel.lab.proof;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;

/** Writes what was measured into a folder: {@code ./yarbel prove}. */
public final class Prove {

    /** Figures are chosen on the first seeds, and reported on others. */
    private static final long REPORTED_FROM = 1_000_000;

    private static final int LIFTERS = 200;
    private static final int WEEKS = 52;

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
        Path written = Files.createDirectories(Path.of(folder[0])).resolve("README.md");
        Files.writeString(written, report());
        System.out.println(written);
    }

    private static String report() {
        StandingMaxProof standing = StandingMaxProof.of(StandingMaxProof.methods(), REPORTED_FROM, LIFTERS, WEEKS);
        return """
                # What the estimates are worth

                Written by `./yarbel prove`, which gives the same figures each time. The lifters are simulated: of nobody alive is the
                true max known from week to week. What is assumed of them stands in
                [`lab/lifter`](../../lab/src/main/java/dev/yarbel/lab/lifter): a max that follows training (Banister et al. 1975), day's form
                that runs on from day to day, fatigue, rep curves of four shapes with a steepness of their own, ratings that lean to one
                side and scatter with a heavy tail, sessions and weeks missed, and one set in a hundred written down wrong. What follows is
                a claim about these lifters, and about real ones only as far as they are like them.

                ## The standing max

                %s.
                The error is the root mean square of what was said less the true standing max, which is what the lifter can do without the
                day's form and fatigue, as a share of it. A formula takes the best of the sets of the last four weeks, each with its
                repetitions and those said to be left, without those that lie a quarter off the middle. "Of the best formula's" divides by
                the error of the formula that did best, which nobody knows beforehand. The range is to hold the truth four times of five.

                %s""".formatted(standing.ground(), standing.table());
    }
}
