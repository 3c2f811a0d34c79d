package dev.yarbel.web;

import static org.assertj.core.api.Assertions.assertThat;
import static org.awaitility.Awaitility.await;

import dev.yarbel.core.effort.Effort;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.record.LiftedSet;
import dev.yarbel.core.session.DoneSet;
import dev.yarbel.core.session.TaskKey;
import dev.yarbel.web.Clubs4Tests.TestClub;
import dev.yarbel.web.book.Sessions;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.openqa.selenium.Keys;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.web.server.LocalServerPort;
import org.springframework.jdbc.core.simple.JdbcClient;

/** The week of a squad, answered slip by slip without a mouse; and what comes of it on a lifter's phone. */
@YarbelTest
class CallsByKeyboardTest {

    private static final String DAY =
            "A\tsquat\t3x5 75%\t150kg\nB\tbench-press\t3x5 75%\t90kg\nC\tdeadlift\t3x5 75%\t180kg\n";

    @LocalServerPort
    private int port;

    @Autowired
    private Clubs4Tests clubs;

    @Autowired
    private Sessions sessions;

    @Autowired
    private JdbcClient jdbc;

    private TestClub club;
    private Browser browser;

    @BeforeEach
    void open() {
        club = clubs.club("squat 3x5 75%", "bench-press 3x5 75%", "deadlift 3x5 75%");
        browser = new Browser("http://127.0.0.1:" + port).desk();
    }

    @AfterEach
    void close() {
        browser.close();
    }

    /** Today's session with one set of each lift, such as {@code 150x0 missed}; blank for none. */
    private void lifted(Optional<String> pain, String... sets) {
        List<Lift> lifts = List.of(Lift.SQUAT, Lift.BENCH_PRESS, Lift.DEADLIFT);
        List<DoneSet> done = new ArrayList<>();
        for (int i = 0; i < sets.length; i++) {
            if (!sets[i].isBlank()) {
                String[] parts = sets[i].split("[ x]");
                done.add(new DoneSet(
                        TaskKey.work(String.valueOf((char) ('A' + i)), 1),
                        new LiftedSet(
                                lifts.get(i),
                                Mass.ofKg(Long.parseLong(parts[0])),
                                Integer.parseInt(parts[1]),
                                Effort.parse(parts[2]))));
            }
        }
        var day = club.plan().planned(0, 1);
        sessions.addHistory(club.lifter, Optional.of(day), DAY, TestSettings.TODAY, TestSettings.NOW, done, false);
        sessions.reopen(club.lifterPerson, club.lifter, day);
        sessions.finish(club.lifter, day, Sessions.Finish.of(pain));
        await().untilAsserted(() -> assertThat(
                        jdbc.sql("select count(*) from event_publication where completion_date is null")
                                .query(Integer.class)
                                .single())
                .isZero());
    }

    private void calls() {
        browser.signIn(club.coachName(), club.password());
        browser.find("html.js");
        browser.press("2");
        browser.find("html.js .slip h2");
    }

    private int waiting() {
        return browser.all(".queue:not(.quietqueue) a").size();
    }

    @Test
    void aKeyASlipAndOneTakesTheLastAnswerBack() {
        lifted(Optional.empty(), "150x0 missed", "90x0 missed", "180x4 missed");
        clubs.grow(club, 3, 3, 1);
        await().untilAsserted(() -> assertThat(openSlips()).isEqualTo(6));
        calls();
        assertThat(waiting()).isEqualTo(6);
        browser.assertSound();
        // there and back without answering
        String first = browser.text(".slip h2");
        browser.press("j");
        browser.waitFor(d -> !browser.text("html.js .slip h2").equals(first));
        browser.press("k");
        browser.waitFor(d -> browser.text("html.js .slip h2").equals(first));
        browser.press("a");
        browser.waitForText("html.js .note", "Taken");
        assertThat(waiting()).isEqualTo(5);
        browser.press("u");
        browser.waitForText("html.js .note", "Taken back");
        assertThat(openSlips()).isEqualTo(6);
        browser.press("2");
        for (int left = 5; left > 0; left--) {
            browser.find("html.js .slip");
            browser.press("a");
            int still = left;
            browser.waitFor(d -> openSlips() == still ? true : null);
            browser.waitForText("html.js .note", "Taken");
        }
        browser.press("d");
        browser.waitForText("html.js .note", "Left as it was");
        assertThat(openSlips()).isZero();
        browser.waitForText(".empty", "No decision waits");
    }

    private long openSlips() {
        return jdbc.sql("select count(*) from slip where club_id = ? and status = 'OPEN'")
                .param(club.lifter.clubId())
                .query(Long.class)
                .single();
    }

    /** Whatever key is pressed, nothing rises while something hurts; what hurts less may be put off. */
    @Test
    void painStopsARise() {
        lifted(Optional.of("left knee"), "150x5 8");
        calls();
        browser.waitForText(".slip .stop", "doctor");
        browser.press("s");
        browser.waitFor(d -> browser.focused("input[name=own]"));
        browser.press("210", Keys.ENTER);
        browser.waitForText("#change-own-says", "No rise");
        assertThat(browser.find(".changing[open] input[name=own]").getAttribute("value"))
                .isEqualTo("210");
        browser.assertSound();
        assertThat(club.workingMax()).isEqualTo(Mass.ofKg(200));
        browser.press(Keys.ESCAPE);
        browser.open("/calls");
        browser.find("html.js .slip");
        browser.press("w");
        browser.waitFor(d -> browser.focused("input[name=until]"));
        browser.press(Keys.ENTER);
        browser.waitForText("html.js .note", "Put off");
        browser.waitForText(".quietqueue", "One put off");
    }

    @Test
    void aQuestionIsAnsweredOnThePhone() {
        lifted(Optional.empty(), "150x0 missed");
        calls();
        browser.press("a");
        browser.waitForText("html.js .note", "Taken");
        browser.phone().signIn(club.lifterName(), club.password()).open(club.url("/home"));
        browser.waitForText("section[id^=question]", "What happened?");
        browser.assertSound();
        browser.type("section[id^=question] input[name=words]", "slept badly");
        browser.click("section[id^=question] button[value=SLEEP_OR_STRESS]");
        browser.waitFor(d -> browser.all("section[id^=question]").isEmpty());
        await().untilAsserted(() -> assertThat(jdbc.sql("select rule from slip where club_id = ? and status = 'OPEN'")
                        .param(club.lifter.clubId())
                        .query(String.class)
                        .list())
                .containsExactly("miss-excused"));
    }

    @Test
    void theRulesAndTheSignsOfFatigueCanBeReadByAnybody() {
        browser.signIn(club.coachName(), club.password());
        browser.open("/calls/rules");
        browser.waitForText("#hard-once", "Held, not punished");
        browser.assertSound();
        browser.open(club.url("/readiness"));
        browser.find(".readiness");
        browser.assertSound();
    }
}
