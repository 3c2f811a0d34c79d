package dev.yarbel.web.resilience;

import static org.assertj.core.api.Assertions.assertThat;
import static org.awaitility.Awaitility.await;

import dev.yarbel.web.Browser;
import java.math.BigDecimal;
import java.sql.SQLException;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** The day of a contest on phones in a hall whose line comes and goes. */
class ContestDayTest {

    /** Wren's contest in three weeks: she is the only one of Bryn's in it. */
    private static final String OPEN = "/contests/2/day";
    /** The contest that is under way: Hanno's second bench press is named. */
    private static final String QUAY = "/contests/1/day";
    /** The strongman contest, of whose events something is expected. */
    private static final String GAMES = "/contests/5/events";

    private OwnDatabase database;
    private final List<Browser> phones = new ArrayList<>();

    @BeforeEach
    void comeBack() throws Exception {
        database = Copies.asAtTheStart();
    }

    @AfterEach
    void closePhones() {
        phones.forEach(Browser::close);
    }

    private Browser phone(int port, String who, String path) {
        Browser phone = new Browser("http://127.0.0.1:" + port);
        phones.add(phone);
        phone.phone().signIn(who, "harbour-light");
        phone.phone().open(path);
        return phone;
    }

    private static String card(long entry) {
        return "#card-" + entry;
    }

    private static void waitUntilKept(Browser phone, String path) {
        await().atMost(Duration.ofSeconds(60)).until(() -> Boolean.TRUE.equals(phone.script("""
                const name = (await caches.keys()).find((key) => key.startsWith('yarbel-pages-'));
                return Boolean(name) && Boolean(await (await caches.open(name)).match('%s'));""".formatted(path))));
    }

    private long entry(String name) throws SQLException {
        return database.count("select id from contest_entry where name = '" + name + "'");
    }

    private long attempts(long entry, String where) throws SQLException {
        return database.count("select count(*) from contest_attempt where entry_id = " + entry + " and " + where);
    }

    /** Names what stands in the field, and says how it went. */
    private static void lift(Browser phone, String card, String outcome) {
        phone.waitFor(d -> phone.all(card + " .naming[open] form.name").isEmpty() ? null : true);
        phone.click(card + " form.name button.act");
        phone.waitFor(d -> phone.all(card + " .sayings:not([hidden])").isEmpty() ? null : true);
        phone.click(card + " .sayings button[value=" + outcome + "]");
    }

    @Test
    void aWholeDayWithTheLineCutInTheMiddle() throws Exception {
        Copy copy = Copies.alone();
        long wren = entry("Wren Halloway");
        String card = card(wren);
        try (Line line = new Line("127.0.0.1", copy.port())) {
            Browser phone = phone(line.localPort(), "bryn", OPEN);
            phone.waitForText(card + " .which", "Opener");
            lift(phone, card, "EASY");
            phone.waitForText(card + " .which", "Second");
            waitUntilKept(phone, OPEN);

            // the hall's line goes: the second as worked out beforehand, and a third after a miss that is the same
            // again
            await().atMost(Duration.ofSeconds(30)).until(() -> attempts(wren, "outcome is not null") == 1);
            line.cut();
            lift(phone, card, "MISSED");
            phone.waitForText("#line-away", "No line");
            phone.waitForText(card + " .which", "Third");
            String second = phone.text(card + " .tries li:nth-child(2) span");
            assertThat(phone.find(card + " form.name input[name=load]").getDomProperty("value"))
                    .startsWith(second);
            phone.assertSound();

            // why, and the lights, wait for the line as well
            phone.click(card + " .whys [value=TECHNIQUE]");
            phone.click(card + " .whys [name=lights][value='0']");

            // the tab is killed and opened again without a line: nothing is lost
            phone.newTab().phone().open(OPEN);
            phone.waitForText(card + " .which", "Third");
            assertThat(phone.all(card + " .whys [aria-pressed=true]")).hasSize(2);
            lift(phone, card, "SOLID");
            assertThat(attempts(wren, "true")).isOne();

            line.mend();
            await().atMost(Duration.ofSeconds(60)).until(() -> attempts(wren, "outcome is not null") == 3);
            assertThat(attempts(wren, "number = 2 and outcome = 'MISSED' and why = 'TECHNIQUE' and lights = 0"))
                    .isOne();
            assertThat(attempts(wren, "number = 3 and outcome = 'SOLID'")).isOne();
            phone.waitFor(d -> phone.all("#line-away[hidden]").isEmpty() ? null : true);

            for (String lift : List.of("bench-press", "deadlift")) {
                phone.open(OPEN + "?lift=" + lift);
                for (String number : List.of("Opener", "Second", "Third")) {
                    phone.waitForText(card + " .which", number);
                    lift(phone, card, "SOLID");
                }
                await().atMost(Duration.ofSeconds(30))
                        .until(() -> attempts(wren, "lift = '" + lift + "' and outcome is not null") == 3);
            }
            phone.open(OPEN);
            long tenths = database.count("select (10 * sum(best))::bigint from (select max(load) as best"
                    + " from contest_attempt where entry_id = " + wren
                    + " and outcome in ('EASY', 'SOLID') group by lift) b");
            String total = BigDecimal.valueOf(tenths, 1).stripTrailingZeros().toPlainString();
            phone.waitForText("table.board tbody", total);
            assertThat(phone.all("table.board tbody td.num").size()).isGreaterThan(6);
            phone.assertSound();
        }
    }

    /** Results of events that are typed without a line stay in the phone, the tab may be killed, and they go once there is one. */
    @Test
    void strongmanResultsWaitForTheLine() throws Exception {
        Copy copy = Copies.alone();
        String cell = "[aria-label='Colm Tarrow, Log']";
        try (Line line = new Line("127.0.0.1", copy.port())) {
            Browser phone = phone(line.localPort(), "bryn", GAMES);
            phone.find(cell);
            waitUntilKept(phone, GAMES);
            line.cut();
            phone.type(cell, "8");
            phone.click("form[action$='/events/results'] > button.act");
            phone.waitForText("#line-away", "No line");

            phone.newTab().phone().open(GAMES);
            phone.waitForText("#line-away", "No line");
            assertThat(phone.find(cell).getDomProperty("value")).isEqualTo("8");
            phone.assertSound();

            line.mend();
            await().atMost(Duration.ofSeconds(60))
                    .until(() ->
                            database.count("select count(*) from contest_result where written = '8' and entry_id = "
                                            + entry("Colm Tarrow"))
                                    == 1);
            phone.waitFor(d -> phone.all("#line-away[hidden]").isEmpty() ? null : true);
        }
    }

    /** One phone of the crew has no line for a while and says otherwise than another: both see it, and see which stands. */
    @Test
    void twoPhonesOfACrewSeeTheSameDay() throws Exception {
        Copy copy = Copies.alone();
        long hanno = entry("Hanno Dray");
        String card = card(hanno);
        try (Line line = new Line("127.0.0.1", copy.port())) {
            Browser away = phone(line.localPort(), "bryn", QUAY);
            Browser there = phone(copy.port(), "maren", QUAY);
            there.waitForText(card + " .which", "Second");
            waitUntilKept(away, QUAY);

            line.cut();
            away.click(card + " .sayings button[value=SOLID]");
            away.waitForText("#line-away", "No line");
            there.click(card + " .sayings button[value=MISSED]");
            await().atMost(Duration.ofSeconds(30))
                    .until(() -> attempts(hanno, "lift = 'bench-press' and outcome = 'MISSED'") == 1);

            line.mend();
            // the later word stands: the one at the table saw it after the one without a line
            for (Browser phone : List.of(away, there)) {
                phone.waitForText(card + " .watch", "said by Maren Quill");
                phone.waitForText(card + " .watch", "Bryn Castellan said made, one left");
            }
            assertThat(attempts(hanno, "lift = 'bench-press' and number = 2")).isOne();
        }
    }

    /** The warm-up room's clock goes on without a line, and a late start moves it with one tap. */
    @Test
    void theWarmUpRoomNeedsNoLine() throws Exception {
        String room = "/contests/1/warm-up?lift=deadlift";
        Copy copy = Copies.alone();
        database.execute("update contest_flight set starts_at = now() + interval '40 minutes'");
        try (Line line = new Line("127.0.0.1", copy.port())) {
            Browser phone = phone(line.localPort(), "bryn", room);
            // whoever is first, by what is thought to be there that day
            phone.waitFor(d -> phone.text(".nowdo .what").isBlank() ? null : true);
            phone.assertSound();
            waitUntilKept(phone, room + "&flight=1");
            String first = phone.text(".turnlist li:first-child .at");

            phone.click("button[name=by][value='5']");
            phone.waitFor(d -> phone.text(".turnlist li:first-child .at").equals(first) ? null : true);
            assertThat(database.count(
                            "select count(*) from contest_flight where starts_at > now() + interval '43 minutes'"))
                    .isOne();

            line.cut();
            phone.open(room + "&flight=1");
            String second = phone.text(".turnlist li:first-child .at");
            phone.click("button[name=by][value='5']");
            phone.waitFor(d -> phone.text(".turnlist li:first-child .at").equals(second) ? null : true);
            phone.waitForText("#line-away", "No line");
            phone.waitForText(".nowdo .big", "in");
        }
    }
}
