package dev.yarbel.bench;

import java.time.LocalDate;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.Locale;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * The coach's desk, one coach at a time: draws up a block of 16 weeks, 4 days and 6 slots a day for a lifter, opens its
 * sheet, has doses previewed and keeps them. Run by {@code bench/load}: {@code ADDRESS LIFTER [USERNAME PASSWORD]}; without
 * a name as the made-up coach, for a lifter with two years of sessions.
 */
public final class DeskLoad {

    private static final int WARM_UP = 60;
    private static final int TIMES = 300;
    private static final Pattern WAS = Pattern.compile("name=\"was\\.(\\d+\\.\\d+)\" value=\"([^\"]*)\"");

    private DeskLoad() {}

    private interface Step {
        int run(int turn) throws Exception;
    }

    public static void main(String[] arguments) throws Exception {
        String lifter = arguments[1];
        CoachSession coach = arguments.length > 3
                ? CoachSession.signIn(arguments[0], arguments[2], arguments[3])
                : CoachSession.signIn(arguments[0]);
        String base = "/lifters/" + lifter + "/plan";
        coach.get(base + "/new");
        String block = coach.post(base + "/new", request(), false).uri().getQuery();
        for (int day = 0; day < 4; day++) {
            addSlots(coach, base, block, day);
        }
        String sheet = coach.get(base + "?" + block + "&day=0");
        Map<String, String> cells = cells(sheet);
        System.out.printf(Locale.ROOT, "%nthe desk, one coach, %d cells on the sheet%n", cells.size());
        System.out.printf(Locale.ROOT, "%-30s %10s %10s %12s%n", "", "median ms", "p99 ms", "bytes");
        measure("open the sheet", turn -> coach.get(base + "?" + block + "&day=0")
                .length());
        String cell = cells.keySet().iterator().next();
        measure("preview a dose", turn -> coach.get(base + "/days/0/preview?" + block + "&dose." + cell + "=4x"
                        + (1 + turn % 9) + "+7" + turn % 10 + "%25")
                .length());
        String[] kept = {cells.get(cell)};
        measure("keep a dose", turn -> {
            String dose = "4x" + (1 + turn % 9) + " 7" + turn % 10 + "%";
            Map<String, String> fields = new LinkedHashMap<>();
            fields.put("was." + cell, kept[0]);
            fields.put("dose." + cell, dose);
            int bytes =
                    coach.post(base + "/days/0?" + block, fields, true).body().length();
            kept[0] = dose;
            return bytes;
        });
    }

    private static Map<String, String> request() {
        Map<String, String> form = new LinkedHashMap<>();
        form.put("start", LocalDate.now().plusDays(60).toString());
        form.put("weeks", "16");
        form.put("every", "5");
        form.put("deload", "HALF_SETS");
        form.put("days", "0,1,3,5");
        String[] lifts = {"squat", "bench-press", "deadlift", "overhead-press"};
        for (int i = 0; i < lifts.length; i++) {
            form.put("lifts[" + i + "].lift", lifts[i]);
            form.put("lifts[" + i + "].school", "phases");
        }
        form.put("keep", "1");
        return form;
    }

    /** Fills a day up to six slots. */
    private static void addSlots(CoachSession coach, String base, String block, int day) throws Exception {
        String sheet = coach.get(base + "?" + block + "&day=" + day);
        int slots = (int)
                Pattern.compile("data-slot=\"\\d+\"").matcher(sheet).results().count();
        for (int i = slots; i < 6; i++) {
            Map<String, String> fields = new LinkedHashMap<>();
            fields.put("stamp", first("name=\"stamp\" value=\"([^\"]+)\"", sheet));
            fields.put("day", first("name=\"day\" value=\"(\\d+)\"", sheet));
            fields.put("lift", "front-squat");
            fields.put("reason", "measured");
            fields.put("kind", "SLOT_ADD");
            sheet = coach.post(base + "/change?" + block + "&at=" + day, fields, false)
                    .body();
        }
    }

    private static String first(String pattern, String text) {
        Matcher matcher = Pattern.compile(pattern).matcher(text);
        if (!matcher.find()) {
            throw new IllegalStateException("nothing like " + pattern + " on the page");
        }
        return matcher.group(1);
    }

    private static Map<String, String> cells(String sheet) {
        Map<String, String> cells = new LinkedHashMap<>();
        Matcher matcher = WAS.matcher(sheet);
        while (matcher.find()) {
            cells.put(matcher.group(1), matcher.group(2));
        }
        return cells;
    }

    private static void measure(String what, Step step) throws Exception {
        for (int turn = 0; turn < WARM_UP; turn++) {
            step.run(turn);
        }
        double[] millis = new double[TIMES];
        int bytes = 0;
        for (int turn = 0; turn < TIMES; turn++) {
            long start = System.nanoTime();
            bytes = step.run(WARM_UP + turn);
            millis[turn] = (System.nanoTime() - start) / 1e6;
        }
        Arrays.sort(millis);
        System.out.printf(
                Locale.ROOT,
                "%-30s %10.1f %10.1f %12d%n",
                what,
                millis[TIMES / 2],
                millis[(int) Math.ceil(TIMES * 0.99) - 1],
                bytes);
    }
}
