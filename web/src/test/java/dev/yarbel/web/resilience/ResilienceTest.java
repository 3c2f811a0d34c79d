package dev.yarbel.web.resilience;

import static org.assertj.core.api.Assertions.assertThat;
import static org.awaitility.Awaitility.await;

import java.io.IOException;
import java.net.URI;
import java.net.http.HttpResponse;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.Duration;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** What holds when things break: real processes, really killed, on a database of their own. */
class ResilienceTest {

    private static final URI SERVER = URI.create(System.getenv("YARBEL_DB_URL").substring("jdbc:".length()));
    private static final String USER = System.getenv("YARBEL_DB_USER");
    private static final String PASSWORD = System.getenv("YARBEL_DB_PASSWORD");
    private static final String DATABASE = "yarbel_resilience";
    /** Wren's session of the day; a single of 200 kg to the limit parts estimate and working max for sure. */
    private static final String FLOOR = "/lifters/1/floor?day=0&week=2";

    @TempDir
    private Path folder;

    private Connection database;

    @BeforeEach
    void makeDatabase() throws SQLException {
        try (Connection server = DriverManager.getConnection(url(SERVER.getPort(), "postgres"), USER, PASSWORD);
                Statement statement = server.createStatement()) {
            statement.execute("drop database if exists " + DATABASE + " with (force)");
            statement.execute("create database " + DATABASE);
        }
        database = DriverManager.getConnection(url(SERVER.getPort(), DATABASE), USER, PASSWORD);
    }

    @AfterEach
    void dropDatabase() throws SQLException {
        database.close();
        try (Connection server = DriverManager.getConnection(url(SERVER.getPort(), "postgres"), USER, PASSWORD);
                Statement statement = server.createStatement()) {
            statement.execute("drop database if exists " + DATABASE + " with (force)");
        }
    }

    private static String url(int port, String name) {
        return "jdbc:postgresql://" + SERVER.getHost() + ":" + port + "/" + name;
    }

    private long count(String query) throws SQLException {
        try (Statement statement = database.createStatement();
                ResultSet rows = statement.executeQuery(query)) {
            rows.next();
            return rows.getLong(1);
        }
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

    private static final Map<String, String> FINISH = Map.of("day", "0", "week", "2", "pain", "");

    @Test
    void aSetLoggedOutlivesAKillAndASessionFinishedBeforeItGivesItsSlipOnce() throws Exception {
        Copy.Visitor wren = new Copy.Visitor();
        try (Copy first = Copy.start(folder, url(SERVER.getPort(), DATABASE))) {
            await().until(() -> count("select count(*) from event_publication where completion_date is null") == 0);
            wren.signIn(first, "wren", "slack-water");
            assertThat(wren.post(first, FLOOR, "/lifters/1/floor/sets", set("A.1", "200"))
                            .statusCode())
                    .isEqualTo(200);
            first.kill();
        }
        assertThat(count("select count(*) from logged_set where load = 200 and task = 'A.1'"))
                .isOne();

        long slips = count("select count(*) from slip where lifter_id = 1");
        try (Copy second = Copy.start(folder, url(SERVER.getPort(), DATABASE))) {
            assertThat(wren.get(second, FLOOR).body())
                    .as("the set, to the same browser")
                    .contains("200 kg × 1");
            // whoever writes the slip must wait: so the kill falls between the session and its slip
            database.setAutoCommit(false);
            try (Statement statement = database.createStatement()) {
                statement.execute("lock table slip in exclusive mode");
            }
            assertThat(wren.post(second, FLOOR, "/lifters/1/floor/finish", FINISH)
                            .statusCode())
                    .isEqualTo(200);
            second.kill();
            database.rollback();
            database.setAutoCommit(true);
        }
        assertThat(count("select count(*) from training_session where lifter_id = 1 and plan_week = 2"
                        + " and finished_at is not null"))
                .isOne();
        assertThat(count("select count(*) from slip where lifter_id = 1")).isEqualTo(slips);

        try (Copy third = Copy.start(folder, url(SERVER.getPort(), DATABASE))) {
            await().atMost(Duration.ofSeconds(30))
                    .until(() -> count("select count(*) from slip where lifter_id = 1") == slips + 1);
            assertThat(new Copy.Visitor()
                            .signIn(third, "bryn", "harbour-light")
                            .get(third, "/calls")
                            .body())
                    .contains("Wren Halloway");
        }
    }

    @Test
    void ofTwoCopiesOneGoesOnWhereTheOtherWasAndEachEventIsHandledOnce() throws Exception {
        String url = url(SERVER.getPort(), DATABASE);
        try (Copy one = Copy.start(folder, url)) {
            Copy.Visitor wren = new Copy.Visitor().signIn(one, "wren", "slack-water");
            wren.post(one, FLOOR, "/lifters/1/floor/sets", set("A.1", "200"));
            long slips = count("select count(*) from slip where lifter_id = 1");
            // the first copy's listener is held in the middle of its work while the second starts and hears of it too
            database.setAutoCommit(false);
            try (Statement statement = database.createStatement()) {
                statement.execute("lock table slip in exclusive mode");
            }
            assertThat(wren.post(one, FLOOR, "/lifters/1/floor/finish", FINISH).statusCode())
                    .isEqualTo(200);
            try (Copy two = Copy.start(folder, url)) {
                database.rollback();
                database.setAutoCommit(true);
                assertThat(wren.get(two, FLOOR).body())
                        .as("signed in on one, at work on the other")
                        .contains("200 kg × 1", "Every set is in the book");
                await().atMost(Duration.ofSeconds(60))
                        .until(() ->
                                count("select count(*) from event_publication where completion_date is null") == 0);
                assertThat(count("select count(*) from slip where lifter_id = 1"))
                        .isEqualTo(slips + 1);
                long id = count("select max(id) from slip where lifter_id = 1");
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
        }
    }

    @Test
    void aDatabaseThatIsAwayIsSaidWithinSecondsAndTheApplicationComesBackByItself() throws Exception {
        try (Line line = new Line(SERVER.getHost(), SERVER.getPort());
                Copy copy = Copy.start(folder, url(line.localPort(), DATABASE))) {
            Copy.Visitor bryn = new Copy.Visitor().signIn(copy, "bryn", "harbour-light");
            assertThat(bryn.get(copy, "/lifters").statusCode()).isEqualTo(200);

            line.cut();
            assertSaidSoon(bryn, copy);
            line.mend();
            await().atMost(Duration.ofSeconds(20))
                    .until(() -> bryn.get(copy, "/lifters").statusCode() == 200);

            line.fallSilent();
            assertSaidSoon(bryn, copy);
            line.mend();
            await().atMost(Duration.ofSeconds(20))
                    .until(() -> bryn.get(copy, "/lifters").body().contains("Wren Halloway"));
        }
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
