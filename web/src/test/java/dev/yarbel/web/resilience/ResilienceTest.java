package dev.yarbel.web.resilience;

import static org.assertj.core.api.Assertions.assertThat;
import static org.awaitility.Awaitility.await;

import java.io.IOException;
import java.net.http.HttpResponse;
import java.time.Duration;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.CopyOnWriteArrayList;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.MethodOrderer;
import org.junit.jupiter.api.Order;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestMethodOrder;

/**
 * What holds when things break: real processes, really killed, on a database of their own. Those that need one copy come before
 * those that need two, so that few are started.
 */
@TestMethodOrder(MethodOrderer.OrderAnnotation.class)
class ResilienceTest {

    /** Wren's session of the day; a single of 200 kg to the limit parts estimate and working max for sure. */
    private static final String FLOOR = "/lifters/1/floor?day=0&week=2";

    private OwnDatabase database;

    @BeforeEach
    void comeBack() throws Exception {
        database = Copies.asAtTheStart();
    }

    private static Map<String, String> set(String task, String load) {
        return Map.of(
                "day",
                "0",
                "week",
                "2",
                "task",
                task,
                "token",
                UUID.randomUUID().toString(),
                "load",
                load,
                "reps",
                "1",
                "effort",
                "10");
    }

    private static final Map<String, String> FINISH = Map.of("day", "0", "week", "2", "pain", "", "left", "99");

    @Test
    @Order(2)
    void aSetLoggedOutlivesAKillAndASessionFinishedBeforeItGivesItsSlipOnce() throws Exception {
        Copy.Visitor wren = new Copy.Visitor();
        Copy first = Copies.alone();
        wren.signIn(first, "wren", "slack-water-low");
        assertThat(wren.post(first, FLOOR, "/lifters/1/floor/sets", set("A.1", "200"))
                        .statusCode())
                .isEqualTo(200);
        first.kill();
        assertThat(database.count("select count(*) from logged_set where load = 200 and task = 'A.1'"))
                .isOne();

        long slips = database.count("select count(*) from slip where lifter_id = 1");
        Copy second = Copies.first();
        assertThat(wren.get(second, FLOOR).body())
                .as("the set, to the same browser")
                .contains("200 kg × 1");
        // whoever writes the slip must wait: so the kill falls between the session and its slip
        database.holdSlips();
        assertThat(wren.post(second, FLOOR, "/lifters/1/floor/finish", FINISH).statusCode())
                .isEqualTo(200);
        second.kill();
        database.releaseSlips();
        assertThat(database.count("select count(*) from training_session where lifter_id = 1 and plan_week = 2"
                        + " and finished_at is not null"))
                .isOne();
        assertThat(database.count("select count(*) from slip where lifter_id = 1"))
                .isEqualTo(slips);

        Copy third = Copies.first();
        await().atMost(Duration.ofSeconds(60))
                .until(() -> database.count("select count(*) from slip where lifter_id = 1") == slips + 1);
        assertThat(new Copy.Visitor()
                        .signIn(third, "bryn", "harbour-light")
                        .get(third, "/calls")
                        .body())
                .contains("Wren Halloway");
    }

    @Test
    @Order(3)
    void ofTwoCopiesOneGoesOnWhereTheOtherWasAndEachEventIsHandledOnce() throws Exception {
        Copy one = Copies.alone();
        Copy.Visitor wren = new Copy.Visitor().signIn(one, "wren", "slack-water-low");
        wren.post(one, FLOOR, "/lifters/1/floor/sets", set("A.1", "200"));
        long slips = database.count("select count(*) from slip where lifter_id = 1");
        // the first copy's listener is held in the middle of its work while the second starts and hears of it too
        database.holdSlips();
        assertThat(wren.post(one, FLOOR, "/lifters/1/floor/finish", FINISH).statusCode())
                .isEqualTo(200);
        Copy two = Copies.second();
        database.releaseSlips();
        assertThat(wren.get(two, FLOOR).body())
                .as("signed in on one, at work on the other")
                .contains("200 kg × 1", "Every set is in the book");
        await().atMost(Duration.ofSeconds(60))
                .until(() ->
                        database.count("select count(*) from event_publication where completion_date is null") == 0);
        assertThat(database.count("select count(*) from slip where lifter_id = 1"))
                .isEqualTo(slips + 1);
        long id = database.count("select max(id) from slip where lifter_id = 1");
        Copy.Visitor bryn = new Copy.Visitor().signIn(two, "bryn", "harbour-light");
        HttpResponse<String> slip = bryn.get(two, "/calls/" + id);
        assertThat(bryn.post(one, "/calls/" + id, "/calls/" + id + "/leave", Map.of("reason", ""))
                        .body())
                .contains("Left as it was");
        assertThat(slip.statusCode()).isEqualTo(200);
        assertThat(bryn.post(two, "/lifters", "/calls/" + id + "/leave", Map.of("reason", ""))
                        .body())
                .contains("Bryn Castellan left this slip");
    }

    @Test
    @Order(4)
    void whatIsLoggedOnOneCopyIsHeardOfOnTheOtherAlsoAfterTheDatabaseWentAway() throws Exception {
        Copy one = Copies.first();
        Copy two = Copies.second();
        Copy.Visitor wren = new Copy.Visitor().signIn(one, "wren", "slack-water-low");
        Copy.Visitor bryn = new Copy.Visitor().signIn(two, "bryn", "harbour-light");
        List<String> heard = new CopyOnWriteArrayList<>();
        bryn.listen(two, "/live/events", heard::add);
        await().atMost(Duration.ofSeconds(60)).until(() -> heard.contains(":open"));

        wren.post(one, FLOOR, "/lifters/1/floor/sets", set("A.1", "200"));
        await().atMost(Duration.ofSeconds(60))
                .until(() ->
                        heard.contains("event:moved") && heard.stream().anyMatch(line -> line.startsWith("data:1/")));

        database.execute(
                "select pg_terminate_backend(pid) from pg_stat_activity" + " where application_name = 'yarbel floor'");
        await().atMost(Duration.ofSeconds(60)).until(() -> heard.contains("event:missed"));
        int before = heard.size();
        wren.post(one, FLOOR, "/lifters/1/floor/sets", set("B.1", "182.5"));
        await().atMost(Duration.ofSeconds(60))
                .until(() -> heard.subList(before, heard.size()).contains("event:moved"));
    }

    @Test
    @Order(5)
    void aCopyThatLivesTakesOverWhatOneThatDiedHadBegun() throws Exception {
        Copy one = Copies.first();
        Copy two = Copies.second();
        Copy.Visitor wren = new Copy.Visitor().signIn(one, "wren", "slack-water-low");
        wren.post(one, FLOOR, "/lifters/1/floor/sets", set("A.1", "200"));
        long slips = database.count("select count(*) from slip where lifter_id = 1");
        database.holdSlips();
        wren.post(one, FLOOR, "/lifters/1/floor/finish", FINISH);
        one.kill();
        database.releaseSlips();
        // no start helps here: the other copy looks for what nobody has handled
        await().atMost(Duration.ofSeconds(60))
                .until(() -> database.count("select count(*) from slip where lifter_id = 1") == slips + 1);
        assertThat(wren.get(two, FLOOR).body()).contains("Every set is in the book");
    }

    @Test
    @Order(1)
    void aDatabaseThatIsAwayIsSaidWithinSecondsAndTheApplicationComesBackByItself() throws Exception {
        Line line = Copies.line();
        Copy copy = Copies.alone();
        Copy.Visitor bryn = new Copy.Visitor().signIn(copy, "bryn", "harbour-light");
        assertThat(bryn.get(copy, "/lifters").statusCode()).isEqualTo(200);
        try {
            line.cut();
            assertSaidSoon(bryn, copy);
            line.mend();
            await().atMost(Duration.ofSeconds(60))
                    .until(() -> bryn.get(copy, "/lifters").statusCode() == 200);

            line.fallSilent();
            assertSaidSoon(bryn, copy);
        } finally {
            line.mend();
        }
        await().atMost(Duration.ofSeconds(60))
                .until(() -> bryn.get(copy, "/lifters").body().contains("Wren Halloway"));
    }

    private static void assertSaidSoon(Copy.Visitor visitor, Copy copy) throws IOException, InterruptedException {
        long start = System.nanoTime();
        HttpResponse<String> page = visitor.get(copy, "/lifters");
        assertThat(Duration.ofNanos(System.nanoTime() - start)).isLessThan(Duration.ofSeconds(15));
        assertThat(page.statusCode()).isEqualTo(503);
        assertThat(page.body())
                .contains("The database is away", "yarbel.css")
                .doesNotContain("Exception", "at dev.yarbel", "org.postgresql");
        for (String file :
                new String[] {"/css/yarbel.css", "/js/yarbel.js", "/webjars/htmx.org/2.0.8/dist/htmx.min.js"}) {
            long asked = System.nanoTime();
            assertThat(visitor.get(copy, file).statusCode()).as(file).isEqualTo(200);
            assertThat(Duration.ofNanos(System.nanoTime() - asked)).isLessThan(Duration.ofSeconds(2));
        }
    }
}
