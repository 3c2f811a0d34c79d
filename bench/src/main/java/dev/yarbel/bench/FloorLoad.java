package dev.yarbel.bench;

import java.io.IOException;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.Callable;
import java.util.concurrent.CyclicBarrier;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicInteger;

/**
 * Many lifters who log their sets at the same moments, each by their own sign-in. Run by {@code bench/floor}: {@code ADDRESS
 * FIRST-LIFTER LIFTERS SETS}. All of them send their first set at once, then all their second; that is harder than any gym.
 * Then the same with each lifter at a moment of their own within half a minute a set.
 */
public final class FloorLoad {

    private static final long SPREAD_MILLIS = 30_000;

    // as the phone does with a server that cannot take a set now
    private static final long TRY_AGAIN_MILLIS = 5_000;
    private static final AtomicInteger AGAIN = new AtomicInteger();

    private FloorLoad() {}

    public static void main(String[] arguments) throws Exception {
        long first = Long.parseLong(arguments[1]);
        int lifters = Integer.parseInt(arguments[2]);
        int sets = Integer.parseInt(arguments[3]);
        List<CoachSession> sessions = new ArrayList<>();
        for (int i = 1; i <= lifters; i++) {
            CoachSession session = CoachSession.signIn(arguments[0], "floor-" + i, "made-up-for-measuring");
            session.get("/lifters/" + (first + i - 1) + "/floor");
            sessions.add(session);
        }
        System.out.printf(Locale.ROOT, "%d lifters, signed in; each set answered with the floor's next%n", lifters);
        System.out.printf(
                Locale.ROOT, "%-34s %10s %10s %10s %12s%n", "", "median ms", "p99 ms", "most ms", "sent again");
        int half = sets / 2;
        report("all in the same moment", run(sessions, first, 1, half, 0));
        report("spread over half a minute", run(sessions, first, half + 1, sets, SPREAD_MILLIS));
    }

    private static List<Double> run(List<CoachSession> sessions, long first, int from, int to, long spread)
            throws Exception {
        CyclicBarrier together = new CyclicBarrier(sessions.size());
        ExecutorService pool = Executors.newFixedThreadPool(sessions.size());
        List<Callable<List<Double>>> lifters = new ArrayList<>();
        for (int i = 0; i < sessions.size(); i++) {
            CoachSession session = sessions.get(i);
            String page = "/lifters/" + (first + i) + "/floor/sets";
            long own = spread * i / sessions.size();
            lifters.add(() -> {
                List<Double> millis = new ArrayList<>();
                for (int set = from; set <= to; set++) {
                    together.await(5, TimeUnit.MINUTES);
                    Thread.sleep(own);
                    long start = System.nanoTime();
                    log(session, page, set(set));
                    millis.add((System.nanoTime() - start) / 1e6);
                }
                return millis;
            });
        }
        List<Double> all = new ArrayList<>();
        for (Future<List<Double>> done : pool.invokeAll(lifters)) {
            all.addAll(done.get());
        }
        pool.shutdown();
        return all;
    }

    private static void log(CoachSession session, String page, Map<String, String> set) throws Exception {
        int status = session.send(page, set, true).statusCode();
        while (status >= 500) {
            AGAIN.incrementAndGet();
            Thread.sleep(TRY_AGAIN_MILLIS);
            status = session.send(page, set, true).statusCode();
        }
        if (status != 200) {
            throw new IOException("a set was answered " + status);
        }
    }

    private static Map<String, String> set(int number) {
        Map<String, String> fields = new LinkedHashMap<>();
        fields.put("day", "0");
        fields.put("week", "1");
        fields.put("task", "A." + number);
        fields.put("token", UUID.randomUUID().toString());
        fields.put("load", "126");
        fields.put("reps", "5");
        fields.put("effort", "8");
        return fields;
    }

    private static void report(String what, List<Double> millis) {
        double[] sorted = millis.stream().mapToDouble(Double::doubleValue).toArray();
        Arrays.sort(sorted);
        System.out.printf(
                Locale.ROOT,
                "%-34s %10.0f %10.0f %10.0f %12d%n",
                what,
                sorted[sorted.length / 2],
                sorted[(int) Math.ceil(sorted.length * 0.99) - 1],
                sorted[sorted.length - 1],
                AGAIN.getAndSet(0));
    }
}
