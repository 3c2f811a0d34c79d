package dev.yarbel.web.clips;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static org.awaitility.Awaitility.await;

import dev.yarbel.web.Browser;
import dev.yarbel.web.Clubs4Tests;
import dev.yarbel.web.Clubs4Tests.TestClip;
import dev.yarbel.web.Clubs4Tests.TestClub;
import dev.yarbel.web.YarbelTest;
import java.time.Duration;
import java.util.List;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.openqa.selenium.By;
import org.openqa.selenium.Keys;
import org.openqa.selenium.WebElement;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.web.server.LocalServerPort;
import org.springframework.core.io.ClassPathResource;
import org.springframework.jdbc.core.simple.JdbcClient;

/** A coach looks at a clip closely: marks by keys, a rating, and the bar followed through films that the simulated camera made. */
@YarbelTest
class ClipLookJourneyTest {

    /** What a bar does that goes up 0.55 m in 0.8 and in 1.0 s as the camera has it: its mean while faster than 0.05 m/s. */
    private static final double[] KNOWN = {0.725, 0.585};

    @LocalServerPort
    private int port;

    @Autowired
    private Clubs4Tests clubs;

    @Autowired
    private Clips clips;

    @Autowired
    private JdbcClient jdbc;

    private Browser browser;
    private TestClub club;
    private TestClip clip;

    @BeforeEach
    void openBrowser() {
        browser = new Browser("http://127.0.0.1:" + port);
        club = clubs.club();
        clip = clubs.clip(club);
        jdbc.sql("delete from clip where id = ?").param(clip.clip()).update();
    }

    @AfterEach
    void closeBrowser() {
        browser.close();
    }

    private void open(String film) {
        clips.add(club.coach, club.lifter, clip.set(), new ClassPathResource("clips/" + film + ".mp4"));
        long id = jdbc.sql("select max(id) from clip where club_id = ?")
                .param(club.lifter.clubId())
                .query(Long.class)
                .single();
        browser.desk().signIn(club.coachName(), club.password());
        browser.open(club.url("/clips/" + id));
        browser.waitFor(d -> browser.all("[data-instep][data-ready]").isEmpty() ? null : true);
    }

    private double at() {
        return ((Number) browser.script("return document.querySelector('video').currentTime")).doubleValue();
    }

    @Test
    void marksByKeysAreWhatTheCoachSawAndTheRatingMovesByHalfAPoint() {
        open("clean");
        browser.assertSound();
        for (int press = 0; press < 3; press++) {
            browser.hold(Keys.SHIFT, Keys.ARROW_RIGHT);
        }
        browser.waitFor(d -> at() > 0.99 ? true : null);
        browser.press("c");
        browser.hold(Keys.SHIFT, Keys.ARROW_RIGHT);
        browser.waitFor(d -> at() > 1.3 ? true : null);
        browser.press("b");
        browser.press("s");
        assertThat(browser.all("[data-marks] li")).hasSize(3);
        assertThat(browser.text("[data-marks]")).contains("1 clean 1.00 s", "2 broken 1.33 s", "slowest 1.33 s");

        // one too many is taken off again
        browser.press(Keys.HOME);
        browser.waitFor(d -> at() < 0.1 ? true : null);
        browser.press("b");
        assertThat(browser.all("[data-marks] li")).hasSize(4);
        browser.find("[data-marks] li:first-child button:last-child").click();
        assertThat(browser.all("[data-marks] li")).hasSize(3);

        browser.find("select[name=rating]")
                .findElement(By.cssSelector("option[value='9.5']"))
                .click();
        browser.click("[data-says] button[type=submit]");
        browser.waitForText("#on-record", "counts as 8.5");
        assertThat(browser.text("[data-marks]")).contains("2 broken");
        assertThat(jdbc.sql("select coach_reps_seen from logged_set where token = ?")
                        .param(clip.set())
                        .query(String.class)
                        .single())
                .isEqualTo("2");
    }

    /** From the left edge of the plate to the right one, as a hand draws it: the plate stands at its highest, 0.55 m up. */
    private void markRim() {
        browser.click("[data-mark-rim]");
        browser.script("""
                const svg = document.querySelector('[data-over]');
                const box = svg.getBoundingClientRect();
                const y = box.top + 213.4 / 480 * box.height;
                const send = (type, x) => svg.dispatchEvent(new PointerEvent(type,
                  { clientX: box.left + x / 320 * box.width, clientY: y, pointerId: 1, bubbles: true }));
                svg.setPointerCapture = () => {};
                send('pointerdown', 115); send('pointermove', 160); send('pointerup', 205);""");
        assertThat(Double.parseDouble(browser.find("input[name=rimWidth]").getDomProperty("value")))
                .isCloseTo(90, within(0.5));
    }

    private void follow() {
        markRim();
        browser.click("[data-follow] button[type=submit]");
        // on a machine that is busy the film is played once more, slower
        await().atMost(Duration.ofMinutes(3))
                .ignoreExceptions()
                .until(() -> !browser.all("#bar .barspeeds, #bar .watch").isEmpty());
    }

    private long tracked() {
        return jdbc.sql("select count(*) from clip_track where club_id = ?")
                .param(club.lifter.clubId())
                .query(Long.class)
                .single();
    }

    @Test
    void theBarsSpeedIsFoundAsItIsKnown() {
        open("clean");
        follow();
        for (int again = 0; again < 3 && !browser.all("#bar .watch").isEmpty(); again++) {
            // a machine with much else to do leaves pictures out, and says so
            browser.open(browser.address().replace("#bar", ""));
            browser.waitFor(d -> browser.all("[data-instep][data-ready]").isEmpty() ? null : true);
            jdbc.sql("delete from clip_track where club_id = ?")
                    .param(club.lifter.clubId())
                    .update();
            browser.click("[data-follow] button[type=submit]");
            await().atMost(Duration.ofMinutes(3)).until(() -> tracked() == 1);
            browser.open(browser.address().replace("#bar", ""));
        }

        assertThat(browser.all("#bar .watch").stream().map(WebElement::getText)).isEmpty();
        List<Double> found = browser.all(".barspeeds tbody td b").stream()
                .map(cell -> Double.valueOf(cell.getText()))
                .toList();
        assertThat(found).hasSize(KNOWN.length);
        for (int rep = 0; rep < KNOWN.length; rep++) {
            assertThat(found.get(rep)).isCloseTo(KNOWN[rep], within(0.05 * KNOWN[rep]));
        }
        assertThat(browser.all(".barspeeds [data-seek]").size())
                .as("each sticks somewhere")
                .isEqualTo(4);
        // every picture of the film was looked at: thirty a second of it
        String pictures = jdbc.sql("select pictures from clip_track where club_id = ?")
                .param(club.lifter.clubId())
                .query(String.class)
                .single();
        List<String> lines = pictures.lines().toList();
        double seconds = Double.parseDouble(lines.get(lines.size() - 1).split(" ")[0]) / 1000;
        assertThat(lines.size()).isGreaterThan((int) (0.9 * 30 * seconds));
        browser.assertSound();
    }

    @ParameterizedTest
    @CsvSource({"shaky, the camera shook", "dark, hardly to be told", "crossed, out of sight"})
    void whatIsFilmedBadlyIsSaidToBeUnsureAndCountsForNothing(String film, String says) {
        open(film);
        follow();

        assertThat(browser.text("#bar .watch")).contains("Not to be relied on", says);
        assertThat(jdbc.sql("select count(*) from logged_set where token = ? and speed is not null")
                        .param(clip.set())
                        .query(Integer.class)
                        .single())
                .isZero();
    }
}
