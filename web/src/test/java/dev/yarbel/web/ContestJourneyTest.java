package dev.yarbel.web;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.openqa.selenium.By;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.web.server.LocalServerPort;

/** Contests in a browser: one that is moved twice, and one of five events. */
@YarbelTest
class ContestJourneyTest {

    @LocalServerPort
    private int port;

    @Autowired
    private Clubs4Tests clubs;

    private Clubs4Tests.TestClub club;
    private Browser browser;

    @BeforeEach
    void open() {
        club = clubs.club();
        browser = new Browser("http://127.0.0.1:" + port).desk();
        browser.signIn(club.coachName(), club.password());
    }

    @AfterEach
    void close() {
        browser.close();
    }

    private void setDay(String form, LocalDate day) {
        browser.script("document.querySelector('" + form + " input[name=on]').value = '" + day + "'");
    }

    private void begin(String name, LocalDate day, String rules) {
        browser.open("/contests");
        browser.find(".contestform");
        browser.type(".contestform input[name=name]", name);
        setDay(".contestform", day);
        browser.find(".contestform option[value=" + rules + "]").click();
        browser.click(".contestform button.act");
        browser.waitForText("h1", name);
    }

    private void enterLifter() {
        browser.click("form[action$='/entries'] button.act");
        browser.waitForText("table.entries tbody", club.lifter.name());
    }

    private Optional<LocalDate> leadsTo() {
        return club.plan().block().contest();
    }

    /** A contest that the plan leads to is moved, and moved again; each time the coach sees both plans and takes the new one. */
    @Test
    void aContestMovedTwice() {
        LocalDate day = club.plan().block().end();
        int weeks = club.plan().block().weeks();
        begin("Twice Moved Open", day, "ipf-classic");
        enterLifter();
        browser.click("table.entries tbody a");
        browser.click(".toward button[value=CONTEST_SHAPE]");
        browser.waitFor(d -> leadsTo().equals(Optional.of(day)) ? true : null);

        for (int by : List.of(4, 2)) {
            browser.open("/contests");
            browser.click(".contestlines a.what");
            browser.unfold("details.panel > summary");
            setDay(".contestform", day.plusWeeks(by));
            browser.click(".contestform button.act");
            browser.waitForText("dl.facts, .facts", day.plusWeeks(by).getYear() + "");
            // the call comes once the change is heard of
            browser.waitFor(d -> {
                browser.open("/calls");
                return browser.shows(".queue", "its day moved") ? true : null;
            });
            browser.click(".queue a");
            browser.waitForText("table.bothplans thead", "As proposed");
            assertThat(browser.text("table.bothplans tbody")).contains("contest");
            browser.assertSound();
            browser.click("form[action*='/leave'] button[formaction*='/take']");
            browser.waitForText("[role=status]", "Taken");
            LocalDate moved = day.plusWeeks(by);
            assertThat(leadsTo()).contains(moved);
        }
        assertThat(club.plan().block().weeks()).isEqualTo(weeks + 2);
    }

    /** A flag dragged along the season's line shows what would follow, and keeps nothing. */
    @Test
    void aContestIsDraggedAlongTheSeason() {
        LocalDate day = club.plan().block().end();
        begin("Dragged Open", day, "ipf-classic");
        enterLifter();
        browser.open(club.url("/season"));
        browser.find("svg.season .flag[data-contest]");
        browser.dragBy("svg.season .flag[data-contest] path", 20);
        browser.waitForText("#moving h2", "Dragged Open on");
        browser.assertSound();
        assertThat(browser.address()).contains("to=");
        browser.click("#moving form button");
        browser.waitForText("[role=status]", "Moved.");
    }

    // ---- strongman

    private void guest(String name) {
        browser.unfold("section details > summary");
        browser.type("input[name=name]", name);
        browser.click("section details button");
        browser.waitForText("table.entries tbody", name);
    }

    private void event(String name, String measure) {
        browser.type("input[name=name]", name);
        browser.find("select[name=measure] option[value=" + measure + "]").click();
        browser.click("form[action$='/events'] button.act");
        browser.waitForText(".eventline:last-child", name);
    }

    /** The results of one lifter, in the events' order. */
    private void results(String name, String... written) {
        for (int i = 0; i < written.length; i++) {
            String label = "[aria-label^='" + name + ",']";
            var field = browser.find("table.points tbody")
                    .findElements(By.cssSelector(label))
                    .get(i);
            browser.tap(field);
            field.sendKeys(written[i]);
        }
    }

    private String points(String name) {
        return browser.all("table.points tbody tr").stream()
                .filter(row -> row.getText().contains(name))
                .map(row -> row.findElement(By.cssSelector("td:last-child")).getText())
                .findFirst()
                .orElseThrow();
    }

    /**
     * Five events of three lifters on a phone, worked by hand: three points for the best, those who are alike share theirs. Anne 3 + 2.5 + 1 + 3 +
     * 2 = 11.5, Bea 2 + 2.5 + 3 + 1 + 3 = 11.5, the lifter 1 + 1 + 2 + 2 + 1 = 7.
     */
    @Test
    void aStrongmanContestOfFiveEvents() {
        begin("Five Events", club.plan().block().end(), "strongman");
        enterLifter();
        guest("Anne");
        guest("Bea");
        String contest = browser.address();
        browser.phone().open(contest + "/events");
        event("Log", "REPS");
        event("Deadlift", "LOAD");
        event("Yoke", "TIME");
        event("Carry", "DISTANCE");
        event("Stones", "PIECES");
        results("Anne", "9", "300", "20.5", "41", "5 / 38");
        results("Bea", "8", "300", "14.2", "25", "5 / 31.5");
        results(club.lifter.name(), "~7", "280", "~16", "~30", "~4");
        browser.assertSound();
        browser.click("form[action$='/events/results'] > button.act");
        browser.waitForText("[role=status]", "Kept");
        assertThat(points("Anne")).isEqualTo("11.5");
        assertThat(points("Bea")).isEqualTo("11.5");
        assertThat(points(club.lifter.name())).isEqualTo("7");
        assertThat(browser.text(".cheapest")).contains("Log");

        // what is typed wrong is said beside its field, and the others stay as they were typed
        results("Anne", "", "x");
        browser.click("form[action$='/events/results'] > button.act");
        browser.find("table.points .bad");
        assertThat(browser.all("table.points [aria-invalid=true]")).hasSize(1);
        browser.assertSound();
    }
}
