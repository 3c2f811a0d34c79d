package dev.yarbel.bench;

import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.TimeUnit;
import java.util.regex.Pattern;

/**
 * Visits the main pages of a running Yarbel as one coach, over eight connections. Run by {@code bench/load}, in two modes:
 *
 * <pre>
 * statements ADDRESS LIFTER GYM SERVER_LOG     what each page asks of the database, from the server's log
 * time ADDRESS LIFTER GYM STATEMENTS           the table: time, statements as counted before, bytes
 * </pre>
 */
public final class PageLoad {

    private static final int CONNECTIONS = 8;
    private static final int WARM_UP = 50;
    private static final int VISITS = 100;
    private static final Pattern STATEMENT =
            Pattern.compile("LOG:  (execute [^:]+|statement): (?!BEGIN|COMMIT|ROLLBACK|SET )");

    private final String address;
    private final List<String> pages;

    private PageLoad(String address, String lifter, String gym) {
        this.address = address;
        String base = "/lifters/" + lifter;
        this.pages = List.of(
                "/lifters",
                "/lifters?whole=true",
                "/lifters?whole=true&q=48",
                "/calls",
                base + "/plan",
                base + "/floor",
                base + "/book",
                base + "/book/curves",
                base + "/book/lifts",
                base + "/book/lifts/squat",
                base + "/profile",
                base + "/gyms",
                "/kit/" + gym);
    }

    public static void main(String[] arguments) throws Exception {
        PageLoad load = new PageLoad(arguments[1], arguments[2], arguments[3]);
        if (arguments[0].equals("statements")) {
            load.countStatements(Path.of(arguments[4]));
        } else {
            load.takeTime(Files.readAllLines(Path.of(arguments[4])));
        }
    }

    private void countStatements(Path log) throws Exception {
        CoachSession coach = CoachSession.signIn(address);
        for (String page : pages) {
            coach.get(page).length();
            long from = Files.size(log);
            coach.get(page).length();
            // the log is written by another process, a moment later
            TimeUnit.MILLISECONDS.sleep(300);
            byte[] bytes = Files.readAllBytes(log);
            String written = new String(bytes, (int) from, bytes.length - (int) from, StandardCharsets.UTF_8);
            System.out.println(STATEMENT.matcher(written).results().count());
        }
    }

    private void takeTime(List<String> statements) throws Exception {
        List<CoachSession> coaches = new ArrayList<>();
        for (int i = 0; i < CONNECTIONS; i++) {
            coaches.add(CoachSession.signIn(address));
        }
        ExecutorService pool = Executors.newFixedThreadPool(CONNECTIONS);
        System.out.printf(
                Locale.ROOT, "%-30s %10s %10s %10s %12s%n", "page", "median ms", "p99 ms", "statements", "bytes");
        for (int p = 0; p < pages.size(); p++) {
            String page = pages.get(p);
            visit(pool, coaches, page, WARM_UP);
            double[] millis = visit(pool, coaches, page, VISITS);
            Arrays.sort(millis);
            System.out.printf(
                    Locale.ROOT,
                    "%-30s %10.1f %10.1f %10s %12d%n",
                    page,
                    millis[millis.length / 2],
                    millis[(int) Math.ceil(millis.length * 0.99) - 1],
                    statements.get(p),
                    coaches.get(0).get(page).length());
        }
        pool.shutdown();
    }

    /** So many visits on each connection; their times in milliseconds. */
    private double[] visit(ExecutorService pool, List<CoachSession> coaches, String page, int visits) throws Exception {
        List<Callable<double[]>> work = new ArrayList<>();
        for (CoachSession coach : coaches) {
            work.add(() -> {
                double[] millis = new double[visits];
                for (int i = 0; i < visits; i++) {
                    long start = System.nanoTime();
                    coach.get(page).length();
                    millis[i] = (System.nanoTime() - start) / 1e6;
                }
                return millis;
            });
        }
        double[] all = new double[0];
        for (Future<double[]> one : pool.invokeAll(work)) {
            int at = all.length;
            all = Arrays.copyOf(all, at + visits);
            System.arraycopy(one.get(), 0, all, at, visits);
        }
        return all;
    }
}
