package dev.yarbel.web;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Locale;
import org.junit.jupiter.api.Test;
import org.springframework.boot.test.web.server.LocalServerPort;

/**
 * Measures how soon a slow phone shows the floor and takes a set; run by {@code bench/phone}, not by the tests. The form of
 * the set works from the first paint on; from when the scripts are ready it works without a line too.
 */
@YarbelTest
class PhoneSpeed {

    private static final int VISITS = 15;
    private static final String FLOOR = "/lifters/1/floor";

    @LocalServerPort
    private int port;

    @Test
    void ofTheFloor() {
        try (Browser browser = new Browser("http://127.0.0.1:" + port)) {
            browser.phone().signIn("wren", "slack-water-low");
            for (int i = 0; i < VISITS; i++) {
                // the server's own code warms up
                browser.open(FLOOR);
            }
            browser.slow();
            List<List<Long>> first = new ArrayList<>();
            List<List<Long>> again = new ArrayList<>();
            for (int i = 0; i < VISITS; i++) {
                browser.open("/favicon.svg").forget();
                first.add(visit(browser));
                again.add(visit(browser));
            }
            System.out.printf(Locale.ROOT, "%n%-44s %8s %8s %8s%n", "ms, over " + VISITS, "least", "median", "most");
            report("a first visit: the set in hand is painted", first, 0);
            report("a first visit: the scripts are ready", first, 1);
            report("another visit: the set in hand is painted", again, 0);
            report("another visit: the scripts are ready", again, 1);
        }
    }

    private static List<Long> visit(Browser browser) {
        browser.open(FLOOR);
        browser.waitForText(".now h2", "A ");
        Object times = browser.script("""
                while (!performance.getEntriesByName('floor-ready').length || !window.shown) {
                  await new Promise((resolve) => setTimeout(resolve, 50));
                  new PerformanceObserver((list) => { window.shown = list.getEntries().pop().startTime; })
                    .observe({ type: 'largest-contentful-paint', buffered: true });
                }
                await new Promise((resolve) => setTimeout(resolve, 1500));
                return [window.shown, performance.getEntriesByName('floor-ready')[0].startTime].map(Math.round);""");
        return ((List<?>) times)
                .stream().map(time -> ((Number) time).longValue()).toList();
    }

    private static void report(String what, List<List<Long>> visits, int which) {
        List<Long> times =
                new ArrayList<>(visits.stream().map(visit -> visit.get(which)).toList());
        Collections.sort(times);
        System.out.printf(
                Locale.ROOT,
                "%-44s %8d %8d %8d%n",
                what,
                times.get(0),
                times.get(times.size() / 2),
                times.get(times.size() - 1));
    }
}
