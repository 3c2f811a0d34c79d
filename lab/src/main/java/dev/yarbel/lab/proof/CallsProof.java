package dev.yarbel.lab.proof;

import dev.yarbel.lab.lifter.TrainedLifter;
import dev.yarbel.lab.plan.Lived;
import dev.yarbel.lab.plan.PlainWays;
import dev.yarbel.lab.plan.UnderYarbel;
import dev.yarbel.lab.plan.Way;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.function.Function;
import java.util.stream.LongStream;

/** What the calls are worth: the same lifters under several ways of planning, half a year each. */
final class CallsProof {

    static final String TAKEN = "Yarbel, every slip taken";
    static final String LEFT = "Yarbel, every slip left";
    static final String RATED = "Yarbel, ratings for all sets, every slip taken";
    static final String FIXED = "fixed percentages";

    private static final int WEEKS = 24;
    private static final long WITHIN = 10;

    private final Map<String, List<Lived>> lives = new LinkedHashMap<>();

    private CallsProof() {}

    static CallsProof of(long firstSeed, int lifters) {
        Map<String, Function<TrainedLifter, Way>> ways = new LinkedHashMap<>();
        ways.put(TAKEN, lifter -> new UnderYarbel(lifter, true, false));
        ways.put(LEFT, lifter -> new UnderYarbel(lifter, false, false));
        ways.put(RATED, lifter -> new UnderYarbel(lifter, true, true));
        ways.put(FIXED, PlainWays::fixed);
        ways.put("by feel, no slips", lifter -> PlainWays.byFeel());
        ways.put("+2.5 kg if it went well", PlainWays::crude);
        CallsProof proof = new CallsProof();
        ways.forEach((name, way) -> proof.lives.put(name, live(firstSeed, lifters, way)));
        return proof;
    }

    private static List<Lived> live(long firstSeed, int lifters, Function<TrainedLifter, Way> way) {
        return LongStream.range(firstSeed, firstSeed + lifters)
                .mapToObj(seed -> {
                    TrainedLifter lifter = TrainedLifter.of(seed);
                    return Lived.of(lifter, way.apply(lifter), WEEKS);
                })
                .toList();
    }

    double onTarget(String way) {
        return share(way, Lived::onTarget);
    }

    double missed(String way) {
        return share(way, Lived::missed);
    }

    private double share(String way, Function<Lived, Integer> of) {
        List<Lived> all = lives.get(way);
        return all.stream().mapToInt(of::apply).sum()
                / (double) all.stream().mapToInt(Lived::sets).sum();
    }

    double gain(String way) {
        return lives.get(way).stream().mapToDouble(Lived::gain).average().orElseThrow();
    }

    String table() {
        StringBuilder table = new StringBuilder("""
                | way of planning | sets on target | sets missed | gain | over-reached, a half year |
                |---|---:|---:|---:|---:|
                """);
        lives.forEach((way, all) -> table.append(String.format(
                Locale.ROOT,
                "| %s | %.0f %% | %.1f %% | %+.1f %% | %.2f |%n",
                way,
                100 * onTarget(way),
                100 * missed(way),
                100 * gain(way),
                all.stream().mapToInt(Lived::episodes).average().orElseThrow())));
        return table.toString();
    }

    /** How over-reaching was found, where every slip is taken, and where none is, so that it runs its course. */
    String deloads() {
        StringBuilder table = new StringBuilder("""
                | | times over-reached | found | within ten days | days until, in the middle | false alarms, a lifter and half year |
                |---|---:|---:|---:|---:|---:|
                """);
        List.of(TAKEN, RATED, LEFT).forEach(way -> table.append(row(way)));
        return table.toString();
    }

    private String row(String way) {
        List<Lived> all = lives.get(way);
        int episodes = all.stream().mapToInt(Lived::episodes).sum();
        List<Double> found = new ArrayList<>();
        all.forEach(lived -> lived.found().forEach(days -> found.add((double) days)));
        return String.format(
                Locale.ROOT,
                "| %s | %d | %.0f %% | %.0f %% | %s | %.2f |%n",
                way,
                episodes,
                100.0 * found.size() / Math.max(1, episodes),
                100 * within(way),
                found.isEmpty() ? "–" : String.format(Locale.ROOT, "%.0f", Lives.median(found)),
                falseAlarms(way));
    }

    private double within(String way) {
        long episodes = lives.get(way).stream().mapToInt(Lived::episodes).sum();
        long soon = lives.get(way).stream()
                .flatMap(lived -> lived.found().stream())
                .filter(days -> days <= WITHIN)
                .count();
        return soon / (double) Math.max(1, episodes);
    }

    private double falseAlarms(String way) {
        return lives.get(way).stream().mapToInt(Lived::falseAlarms).average().orElseThrow();
    }

    /** What was aimed at, and whether it was reached. */
    String aims() {
        return String.format(
                Locale.ROOT,
                """
                | aim, beside fixed percentages | slips taken, fives in percent | slips taken, ratings for all sets |
                |---|---:|---:|
                | on target 1.5 times as often | %.2f times | %.2f times |
                | misses halved | %.2f of them | %.2f of them |
                | gain no less | %+.1f points | %+.1f points |
                | over-reaching found within ten days in 80 %% | %.0f %% | %.0f %% |
                | one false alarm at most in half a year | %.2f | %.2f |
                """,
                onTarget(TAKEN) / onTarget(FIXED),
                onTarget(RATED) / onTarget(FIXED),
                missed(TAKEN) / missed(FIXED),
                missed(RATED) / missed(FIXED),
                100 * (gain(TAKEN) - gain(FIXED)),
                100 * (gain(RATED) - gain(FIXED)),
                100 * within(TAKEN),
                100 * within(RATED),
                falseAlarms(TAKEN),
                falseAlarms(RATED));
    }
}
