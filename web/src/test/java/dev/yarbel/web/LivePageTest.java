package dev.yarbel.web;

import static org.assertj.core.api.Assertions.assertThat;

import dev.yarbel.core.effort.Effort;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.record.LiftedSet;
import dev.yarbel.core.session.DoneSet;
import dev.yarbel.core.session.TaskKey;
import dev.yarbel.web.Clubs4Tests.TestClub;
import dev.yarbel.web.book.Sessions;
import java.util.UUID;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.web.server.LocalServerPort;

/** The coach at the desk, and a lifter with a phone, at the same time. */
@YarbelTest
class LivePageTest {

    @LocalServerPort
    private int port;

    @Autowired
    private Clubs4Tests clubs;

    @Autowired
    private Sessions sessions;

    private Browser desk;
    private Browser phone;

    @BeforeEach
    void openBrowsers() {
        desk = new Browser("http://127.0.0.1:" + port);
        phone = new Browser("http://127.0.0.1:" + port);
    }

    @AfterEach
    void closeBrowsers() {
        desk.close();
        phone.close();
    }

    private static void waitUntilListening(Browser browser) {
        browser.waitFor(d -> browser.all("#main[data-listening=true]").isEmpty() ? null : true);
    }

    private void log(TestClub club, String letter, int set) throws Exception {
        DoneSet done =
                new DoneSet(TaskKey.work(letter, set), new LiftedSet(Lift.SQUAT, Mass.ofKg(150), 5, Effort.parse("8")));
        sessions.log(
                club.lifterPerson,
                club.lifter,
                club.plan().planned(0, 1),
                TestSettings.TODAY,
                new Sessions.Sent(UUID.randomUUID(), done, TestSettings.NOW),
                "");
    }

    @Test
    void whatIsLiftedIsOnTheDeskAndWhatIsGivenThereOnThePhone() throws Exception {
        TestClub club = clubs.club("squat 4x5 75%", "bench-press 3x5 90kg");
        phone.phone().signIn(club.lifterName(), club.password());
        phone.click(".stair .step.top");
        phone.waitForText(".now h2", "set 1 of 4");
        waitUntilListening(phone);
        desk.desk().signIn(club.coachName(), club.password());
        desk.open("/live?lifter=" + club.lifter.id());
        waitUntilListening(desk);
        desk.waitForText(".side .present", "Squat");

        phone.click(".now .picker button[value='8']");
        desk.waitForText(".side .last", "150 kg × 5 two");
        desk.assertSound();

        // what is typed stays while something moves, and what it was typed for is asked about
        desk.type(".side input[name=load]", "145");
        log(club, "A", 2);
        phone.waitForText(".now h2", "set 3 of 4");
        desk.click(".side .give button");
        desk.waitForText(".side .bad", "They went on meanwhile");
        assertThat(desk.find(".side input[name=load]").getAttribute("value")).isEqualTo("145");
        desk.assertSound();
        desk.click(".side .give button");
        phone.waitForText(".now .nowload", "145 kg");
    }
}
