package dev.yarbel.web.clips;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dev.yarbel.web.Browser;
import dev.yarbel.web.Clubs4Tests;
import dev.yarbel.web.Clubs4Tests.TestClip;
import dev.yarbel.web.Clubs4Tests.TestClub;
import dev.yarbel.web.YarbelTest;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.openqa.selenium.Keys;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.web.server.LocalServerPort;
import org.springframework.core.io.ClassPathResource;
import org.springframework.jdbc.core.simple.JdbcClient;

/** A lifter adds a clip beside a set, and their coach holds it against an earlier one, frame by frame, by keys. */
@YarbelTest
class ClipsJourneyTest {

    private static final double FRAME = 1.0 / 30;

    @LocalServerPort
    private int port;

    @Autowired
    private Clubs4Tests clubs;

    @Autowired
    private Clips clips;

    @Autowired
    private JdbcClient jdbc;

    @TempDir
    private Path folder;

    private Browser browser;

    @BeforeEach
    void openBrowser() {
        browser = new Browser("http://127.0.0.1:" + port);
    }

    @AfterEach
    void closeBrowser() {
        browser.close();
    }

    private double at(int film) {
        return ((Number) browser.script("return document.querySelectorAll('video')[" + film + "].currentTime"))
                .doubleValue();
    }

    private boolean stands() {
        return (Boolean)
                browser.script("return [...document.querySelectorAll('video')].every((v) => v.paused && !v.seeking)");
    }

    private void press(CharSequence keys) {
        browser.press(keys);
        browser.waitFor(d -> stands() ? true : null);
    }

    @Test
    void aClipIsAddedOnThePhoneAndSeenThere() throws Exception {
        TestClub club = clubs.club();
        TestClip set = clubs.clip(club);
        jdbc.sql("delete from clip where id = ?").param(set.clip()).update();
        try (InputStream bytes = new ClassPathResource("demo/clips/squat.mp4").getInputStream()) {
            Files.copy(bytes, folder.resolve("squat.mp4"));
        }
        browser.phone().signIn(club.lifterName(), club.password());
        browser.open(club.url("/clips/of?task=A.1&session=" + set.session()));
        browser.assertSound();
        assertThat(browser.text("#main")).contains("There is no clip of this set yet.");

        browser.find("input[name=file]").sendKeys(folder.resolve("squat.mp4").toString());
        browser.click("form[enctype] button[type=submit]");
        browser.waitFor(d -> browser.all("video").size() == 1 ? true : null);
        browser.waitFor(
                d -> (Boolean) browser.script("return document.querySelector('video').readyState >= 1") ? true : null);
        assertThat(((Number) browser.script("return document.querySelector('video').videoWidth")).intValue())
                .isEqualTo(320);
        browser.assertSound();
        browser.click("form[action$='/remove'] button");
        browser.waitForText("#main", "There is no clip of this set yet.");
    }

    @Test
    void twoClipsGoInStepByKeys() {
        TestClub club = clubs.club();
        TestClip earlier = clubs.clip(club);
        TestClip later = clubs.clip(club);
        jdbc.sql("delete from clip where club_id = ?")
                .param(club.lifter.clubId())
                .update();
        jdbc.sql("update training_session set held_on = '2026-03-09' where id = ?")
                .param(later.session())
                .update();
        clips.add(club.coach, club.lifter, earlier.set(), new ClassPathResource("demo/clips/squat-before.mp4"));
        clips.add(club.coach, club.lifter, later.set(), new ClassPathResource("demo/clips/squat.mp4"));
        browser.desk().signIn(club.coachName(), club.password());
        browser.open(club.url("/clips/of?task=A.1&session=" + later.session()));
        browser.click("#main section a[href*='/pair']");
        browser.waitFor(d -> browser.all("[data-instep][data-ready]").isEmpty() ? null : true);
        browser.assertSound();

        // in the second film the bar starts five frames in
        for (int frame = 0; frame < 5; frame++) {
            press(Keys.ARROW_RIGHT);
        }
        browser.click("[data-starts='1'] button");
        browser.waitForText("[data-said]", "Kept.");
        press(Keys.HOME);
        assertThat(at(0)).isCloseTo(0, within(0.01));
        assertThat(at(1)).isCloseTo(5 * FRAME, within(0.01));
        press(Keys.ARROW_RIGHT);
        assertThat(at(0)).isCloseTo(FRAME, within(0.01));
        assertThat(at(1)).isCloseTo(6 * FRAME, within(0.01));

        browser.press(Keys.ARROW_DOWN, Keys.ARROW_DOWN);
        assertThat(browser.text("[data-speed]")).contains("0.25");
        browser.press(" ");
        browser.waitFor(d -> at(0) > 0.3 ? true : null);
        press(" ");
        assertThat(at(1) - at(0)).isCloseTo(5 * FRAME, within(0.01));

        // it is kept for the next time
        browser.open(browser.address());
        browser.waitFor(d -> browser.all("[data-instep][data-ready]").isEmpty() ? null : true);
        browser.waitFor(d -> stands() ? true : null);
        assertThat(at(1) - at(0)).isCloseTo(5 * FRAME, within(0.01));
    }
}
