package dev.yarbel.web.resilience;

import static org.assertj.core.api.Assertions.assertThat;
import static org.awaitility.Awaitility.await;

import dev.yarbel.web.Browser;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.SQLException;
import java.time.Duration;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.springframework.core.io.ClassPathResource;

/**
 * A session on a phone whose line is cut in the middle, whose tab is killed, and whose server and database go away and come
 * back between sets.
 */
class NoSignalTest {

    private static final String WAITING = "#waiting";
    private static final String DONE = ".now button.wide[value=easy]";

    @TempDir
    private Path folder;

    private OwnDatabase database;
    private Browser phone;

    @BeforeEach
    void comeBack() throws Exception {
        database = Copies.asAtTheStart();
    }

    @AfterEach
    void closePhone() {
        if (phone != null) {
            phone.close();
        }
    }

    private long logged(String where) throws SQLException {
        return database.count("select count(*) from logged_set l join training_session s on s.id = l.session_id"
                + " where s.lifter_id = 1 and s.plan_week = 2 and " + where);
    }

    private void waitForSets(long sets) {
        await().atMost(Duration.ofSeconds(60)).until(() -> logged("true") == sets);
        waitUntilHeard();
    }

    /** A set may be in the log before the phone has heard so: a line cut in between leaves it waiting, rightly. */
    private void waitUntilHeard() {
        phone.waitFor(d -> Long.valueOf(0).equals(phone.script("""
                        const request = indexedDB.open('yarbel-floor', 1);
                        const store = await new Promise((resolve) => { request.onsuccess = () => resolve(request.result); });
                        const sets = store.transaction('sets').objectStore('sets').getAll();
                        await new Promise((resolve) => { sets.onsuccess = resolve; });
                        store.close();
                        return sets.result.filter((set) => set.state !== 'sent').length;""")) ? true : null);
        phone.waitFor(d -> phone.all(WAITING + "[hidden]").isEmpty() ? null : true);
    }

    /** Whether the page of the day, with all its sets, is kept for later. */
    private boolean isKept() {
        return Boolean.TRUE.equals(phone.script("""
                const name = (await caches.keys()).find((key) => key.startsWith('yarbel-pages-'));
                if (!name || document.getElementById('main').dataset.kept !== 'true') { return false; }
                const page = await (await caches.open(name)).match('/lifters/1/floor?day=0&week=2');
                return Boolean(page) && (await page.text()).includes('floor-cards');"""));
    }

    private void openFloor(Line line) {
        phone = new Browser("http://127.0.0.1:" + line.localPort());
        phone.phone().signIn("wren", "slack-water-low");
        phone.waitForText(".now h2", "warm-up 1 of");
        await().atMost(Duration.ofSeconds(60)).until(this::isKept);
    }

    @Test
    void whatIsLoggedWithoutALineGoesUpInOrderOnceEachWithItsOwnTime() throws Exception {
        Copy first = Copies.alone();
        try (Line line = new Line("127.0.0.1", first.port())) {
            openFloor(line);
            phone.click(DONE);
            waitForSets(1);

            line.cut();
            phone.waitForText(".now h2", "warm-up 2 of");
            phone.click(DONE);
            phone.waitForText(".now h2", "warm-up 3 of");
            phone.click(DONE);
            phone.waitForText(WAITING, "2 sets are still here");
            phone.waitForText(WAITING, "No line");
            phone.waitForText(".now h2", "warm-up 4 of");

            // the tab is killed; the page opens without a line and knows what was logged
            phone.newTab().phone().open("/lifters/1/floor");
            phone.waitForText(WAITING, "2 sets are still here");
            phone.waitForText(".now h2", "warm-up 4 of");
            phone.click(DONE);
            phone.waitForText(".now h2", "set 1 of 1");

            // a top heavier than planned moves the back-offs here already
            phone.type(".now input[name=load]", "175");
            phone.click(".now .picker button[value='8']");
            phone.waitForText(".now h2", "B Squat");
            phone.waitForText(".now .nowload", "140 kg");
            phone.waitForText(WAITING, "4 sets are still here");
            assertThat(logged("true")).isOne();

            // server and database go and come back
            first.kill();
            database.execute("select pg_terminate_backend(pid) from pg_stat_activity"
                    + " where datname = current_database() and pid <> pg_backend_pid()");
            Copy second = Copies.first();
            line.turnTo(second.port());
            line.mend();
            waitForSets(5);
            assertThat(database.count(
                            "select count(distinct task) from logged_set l join training_session s on s.id = l.session_id"
                                    + " where s.lifter_id = 1 and s.plan_week = 2"))
                    .isEqualTo(5);
            assertThat(database.count(
                            "select count(*) from (select task, logged_at, lag(logged_at) over (order by l.id) as before"
                                    + " from logged_set l join training_session s on s.id = l.session_id"
                                    + " where s.lifter_id = 1 and s.plan_week = 2) o where logged_at < before"))
                    .as("in order")
                    .isZero();
            assertThat(logged("l.task in ('A.w2', 'A.w3') and l.received_at - l.logged_at > interval '3 seconds'"))
                    .as("with their own times")
                    .isEqualTo(2);
            phone.waitForText(".now .nowload", "140 kg");
        }
    }

    /** A film of more than a mebibyte: what is added after its end is nothing that is seen. */
    private Path film() throws IOException {
        byte[] film = new ClassPathResource("demo/clips/squat.mp4").getContentAsByteArray();
        int more = 1_500_000;
        return Files.write(
                folder.resolve("squat.mp4"),
                ByteBuffer.allocate(film.length + more)
                        .put(film)
                        .putInt(more)
                        .put("free".getBytes(StandardCharsets.ISO_8859_1))
                        .array());
    }

    private String clipsOf(String task) throws SQLException {
        return database.text("select coalesce(string_agg(c.file::text, ' '), '') from clip c"
                + " join logged_set l on l.token = c.set_token join training_session s on s.id = l.session_id"
                + " where s.lifter_id = 1 and s.plan_week = 2 and l.task = '" + task + "'");
    }

    /** Where the clip that waits goes on. */
    private String uploadOnThePhone() {
        return (String) phone.script("""
                const request = indexedDB.open('yarbel-clips', 1);
                const store = await new Promise((resolve) => { request.onsuccess = () => resolve(request.result); });
                const all = store.transaction('clips').objectStore('clips').getAll();
                await new Promise((resolve) => { all.onsuccess = resolve; });
                store.close();
                return all.result.map((clip) => clip.url || '').join(' ');""");
    }

    @Test
    void aClipChosenWithoutALineGoesUpPartByPartBehindItsSetAndIsKeptOnce() throws Exception {
        Copy first = Copies.alone();
        try (Line line = new Line("127.0.0.1", first.port())) {
            openFloor(line);
            assertThat(phone.all(".clipit[hidden]")).hasSize(1);
            phone.click(DONE);
            waitForSets(1);

            line.cut();
            phone.waitForText(".now h2", "warm-up 2 of");
            phone.click(DONE);
            phone.waitForText(".now h2", "warm-up 3 of");
            phone.find(".clipit input[type=file]").sendKeys(film().toString());
            phone.waitForText(".clipit", "squat.mp4: waits here for a line");
            phone.assertSound();

            // the tab is killed; the clip is still there
            phone.newTab().phone().open("/lifters/1/floor");
            phone.waitForText(".clipit", "squat.mp4: waits here for a line");

            // the line comes back, a poor one, and breaks in the middle; meanwhile the server is killed
            phone.slow();
            line.mend();
            waitForSets(2);
            phone.waitFor(d -> phone.text(".clipit").matches("(?s).*is being sent, [2-9]\\d %.*") ? true : null);
            line.cut();
            phone.waitForText(".clipit", "squat.mp4: waits here for a line");
            String upload = uploadOnThePhone();
            assertThat(upload).contains("/lifters/1/clips/parts/");
            assertThat(clipsOf("A.w2")).isEmpty();
            first.kill();
            line.turnTo(Copies.first().port());
            line.mend();

            await().atMost(Duration.ofSeconds(120)).until(() -> !clipsOf("A.w2").isEmpty());
            assertThat(clipsOf("A.w2"))
                    .as("the one that was begun was brought to its end")
                    .isEqualTo(upload.substring(upload.lastIndexOf('/') + 1));
            phone.waitFor(d -> phone.all(".clipit li").isEmpty() ? true : null);
        }
    }

    @Test
    void changesOfTheDayAndItsEndWaitForTheLineBehindTheSets() throws Exception {
        Copy copy = Copies.first();
        try (Line line = new Line("127.0.0.1", copy.port())) {
            openFloor(line);
            phone.click(DONE);
            waitForSets(1);

            line.cut();
            phone.waitForText(".now h2", "warm-up 2 of");
            phone.click("#change-C");
            phone.click(".change[data-letter=C] button[value=skip]");
            phone.waitForText(WAITING, "change of C");
            phone.click(DONE);
            phone.waitForText(".now h2", "warm-up 3 of");
            phone.click("form.ending button[type=submit]");
            phone.waitForText("form.ending .bad", "not logged. Finish all the same?");
            phone.click("form.ending button[type=submit]");
            phone.waitForText(WAITING, "the end of the session");
            assertThat(phone.find("#floor").getAttribute("class")).contains("finishing");
            assertThat(logged("true")).isOne();
            assertThat(database.count("select count(*) from amendment")).isZero();

            // the page opens without a line, and knows that the session has ended here
            phone.newTab().phone().open("/lifters/1/floor");
            phone.waitForText(WAITING, "the end of the session");
            line.mend();
            await().atMost(Duration.ofSeconds(60))
                    .until(() -> database.count("select count(*) from training_session where lifter_id = 1"
                                    + " and plan_week = 2 and finished_at is not null")
                            == 1);
            assertThat(logged("true")).isEqualTo(2);
            assertThat(database.count("select count(*) from amendment")).isOne();
            phone.waitForText(".finished h2", "Finished");
            phone.click(".finished button");
            await().atMost(Duration.ofSeconds(60))
                    .until(() -> database.count("select count(*) from training_session where lifter_id = 1"
                                    + " and plan_week = 2 and finished_at is null")
                            == 1);
            phone.waitForText(".now h2", "warm-up 3 of");
        }
    }

    @Test
    void aConflictIsShownAndTheLifterDecides() throws Exception {
        Copy copy = Copies.first();
        try (Line line = new Line("127.0.0.1", copy.port())) {
            openFloor(line);
            phone.click(".stair .step.top");
            phone.waitForText(".now h2", "set 1 of 1");
            line.cut();
            phone.type(".now input[name=load]", "170");
            phone.click(".now .picker button[value='8']");
            phone.waitForText(WAITING, "1 set is still here");
            // meanwhile the same set is logged elsewhere
            new Copy.Visitor()
                    .signIn(copy, "wren", "slack-water-low")
                    .post(
                            copy,
                            "/lifters/1/floor?day=0&week=2",
                            "/lifters/1/floor/sets",
                            Map.of(
                                    "day",
                                    "0",
                                    "week",
                                    "2",
                                    "task",
                                    "A.1",
                                    "token",
                                    UUID.randomUUID().toString(),
                                    "load",
                                    "180",
                                    "reps",
                                    "1",
                                    "effort",
                                    "9"));
            line.mend();
            phone.waitForText("#held", "in the log already, as 180 kg × 1");
            assertThat(logged("l.load = 180")).isOne();
            assertThat(logged("true")).isOne();
            phone.click("#held button");
            await().atMost(Duration.ofSeconds(60)).until(() -> logged("l.load = 170") == 1);
            assertThat(database.count(
                            "select count(*) from change_entry where kind = 'SET_CORRECTED' and before like '180 kg%'"))
                    .isOne();
            waitUntilHeard();

            // what the server asks about comes back into the hand; the sets after it are in all the same
            phone.waitForText(".now h2", "B Squat set 1 of");
            line.cut();
            phone.type(".now input[name=load]", "300");
            phone.click(".now .picker button[value='8']");
            phone.waitForText(".now h2", "B Squat set 2 of");
            phone.click(".now .picker button[value='8']");
            phone.waitForText(WAITING, "2 sets are still here");
            line.mend();
            phone.waitForText("#held", "B Squat, set 1 of 4: 300 × 5");
            phone.waitForText("#held", "is the unit right?");
            phone.waitForText(".slots article[data-letter=B] .tally", "1 of 4");
            assertThat(logged("l.task = 'B.2'")).isOne();
            phone.click("#held button");
            phone.waitForText(".now h2", "B Squat set 1 of");
            assertThat(phone.find(".now input[name=load]").getAttribute("value"))
                    .isEqualTo("300");
            phone.click(".now .picker button[value='8']");
            await().atMost(Duration.ofSeconds(60)).until(() -> logged("l.task = 'B.1' and l.load = 300") == 1);
            phone.waitFor(d -> phone.all("#held[hidden]").isEmpty() ? null : true);
            phone.waitForText(".now h2", "B Squat set 3 of");
        }
    }

    @Test
    void anEndedSignInKeepsTheSetsAndSigningOutWithThemWarns() throws Exception {
        Copy copy = Copies.first();
        try (Line line = new Line("127.0.0.1", copy.port())) {
            openFloor(line);
            database.execute("delete from spring_session");
            phone.click(DONE);
            phone.waitForText(WAITING, "Sign in again");
            assertThat(logged("true")).isZero();

            // somebody else signs in on this phone: the sets are not theirs, and the pages are gone
            phone.signIn("tobin", "slack-water-low");
            phone.open("/lifters/2/floor");
            phone.waitForText(WAITING, "another sign-in");
            await().atMost(Duration.ofSeconds(60))
                    .until(() -> Boolean.TRUE.equals(phone.script(
                            "const keys = await caches.keys(); const pages = keys.filter((k) => k.startsWith('yarbel-pages-'));"
                                    + "return pages.length === 1 && !(await (await caches.open(pages[0])).match("
                                    + "'/lifters/1/floor?day=0&week=2'));")));
            assertThat(logged("true")).isZero();

            phone.signIn("wren", "slack-water-low");
            waitForSets(1);

            line.cut();
            phone.waitForText(".now h2", "warm-up 2 of");
            phone.click(DONE);
            phone.waitForText(WAITING, "1 set is still here");
            phone.unfold(".me summary");
            phone.click("form[action='/sign-out'] button");
            assertThat(phone.dismiss()).contains("have not been sent");
            line.mend();
            waitForSets(2);
            phone.click("form[action='/sign-out'] button");
            phone.waitFor(d -> d.getCurrentUrl().contains("/sign-in") ? true : null);
            assertThat(phone.script(
                            "return (await caches.keys()).filter((k) => k.startsWith('yarbel-pages-')).length;"))
                    .isEqualTo(0L);
        }
    }
}
