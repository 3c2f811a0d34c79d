package dev.yarbel.bench;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Locale;

/**
 * What history costs a page: the processor time of a whole running Yarbel per visit, for a lifter of four weeks and one of
 * two years in turn, so that what else the machine does falls on both alike. Run by {@code bench/history}:
 *
 * <pre>
 * ADDRESS PID LIFTER SLIP LIFTER SLIP     of the newcomer, then of the other
 * </pre>
 */
public final class HistoryCost {

    private static final int WARM_UP = 60;
    private static final int ROUNDS = 8;
    private static final int VISITS = 20;
    /** Of {@code /proc/PID/stat}, as Linux has it. */
    private static final double TICKS_A_SECOND = 100;

    private static final int USER_TIME = 11;

    private final CoachSession coach;
    private final Path stat;

    private HistoryCost(CoachSession coach, long pid) {
        this.coach = coach;
        this.stat = Path.of("/proc", String.valueOf(pid), "stat");
    }

    private record Page(String name, String ofNewcomer, String ofOther) {}

    public static void main(String[] arguments) throws Exception {
        String newcomer = "/lifters/" + arguments[2];
        String other = "/lifters/" + arguments[4];
        List<Page> pages = List.of(
                new Page("bare", "/how", "/how"),
                new Page("plan", newcomer + "/plan", other + "/plan"),
                new Page("floor", newcomer + "/floor?day=0&week=4", other + "/floor?day=0&week=4"),
                new Page("book", newcomer + "/book", other + "/book"),
                new Page("calls", "/calls/" + arguments[3], "/calls/" + arguments[5]));
        CoachSession coach = CoachSession.signIn(arguments[0], "history", "made-up-for-measuring");
        new HistoryCost(coach, Long.parseLong(arguments[1])).measure(pages);
    }

    private void measure(List<Page> pages) throws Exception {
        for (int i = 0; i < WARM_UP; i++) {
            for (Page page : pages) {
                coach.get(page.ofNewcomer);
                coach.get(page.ofOther);
            }
        }
        System.out.printf("%-8s %18s %18s %8s%n", "page", "four weeks, ms", "two years, ms", "ratio");
        for (Page page : pages) {
            double few = 0;
            double many = 0;
            for (int round = 0; round < ROUNDS; round++) {
                few += millis(page.ofNewcomer);
                many += millis(page.ofOther);
            }
            int visits = ROUNDS * VISITS;
            System.out.printf(
                    Locale.ROOT, "%-8s %18.1f %18.1f %8.2f%n", page.name, few / visits, many / visits, many / few);
        }
    }

    private double millis(String page) throws IOException, InterruptedException {
        double before = processorTime();
        for (int i = 0; i < VISITS; i++) {
            coach.get(page);
        }
        return processorTime() - before;
    }

    /** Milliseconds of all threads so far, in user and system mode. */
    private double processorTime() throws IOException {
        String all = Files.readString(stat);
        // the name in brackets may hold anything
        String[] fields = all.substring(all.lastIndexOf(')') + 2).split(" ");
        return (Long.parseLong(fields[USER_TIME]) + Long.parseLong(fields[USER_TIME + 1])) * 1000 / TICKS_A_SECOND;
    }
}
