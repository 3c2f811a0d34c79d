package dev.yarbel.web;

import static org.assertj.core.api.Assertions.assertThat;

import dev.yarbel.web.roster.LifterCard;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.openqa.selenium.By;
import org.openqa.selenium.Keys;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.web.server.LocalServerPort;

/** The coach's desk in a browser: a block from a school, changed by keyboard only, given to three lifters, put on paper. */
@YarbelTest
class PlanDeskJourneyTest {

    private static final String ROW = "#grid tbody tr:first-child ";

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

    private List<String> row() {
        return browser.all(ROW + "textarea.dose").stream()
                .map(cell -> cell.getAttribute("value"))
                .toList();
    }

    /** Waits until a row holds these doses, on the page and as they are kept. */
    private void waitForRow(String... doses) {
        browser.waitFor(d -> row().equals(List.of(doses))
                        && d.findElements(By.cssSelector(ROW + "input[type=hidden]")).stream()
                                .map(was -> was.getAttribute("value"))
                                .toList()
                                .equals(List.of(doses))
                ? true
                : null);
    }

    @Test
    void aBlockIsBuiltFromASchoolChangedByKeyboardGivenToThreeAndPutOnPaper() {
        build();
        changeByKeyboard();
        fillAndUndo();
        give();
        print();
    }

    private void build() {
        browser.open(club.url("/plan/new"));
        browser.assertSound();
        // eight weeks with a deload, before anybody has answered anything
        browser.waitForText("#drawn .whole", "deload");
        assertThat(browser.all("#drawn .whole thead th")).hasSize(9);
        browser.type("input[name=weeks]", "4");
        for (int i = 1; i <= 2; i++) {
            browser.find("select[name='lifts[" + i + "].lift'] option[value='']")
                    .click();
        }
        browser.find("select[name='lifts[0].school'] option[value=heavy-light]").click();
        browser.type("input[name=every]", "0");
        browser.press(Keys.TAB);
        // what the answers come to is drawn beside them anew as they change, and stays as they are
        browser.waitForText("#drawn", "Heavy day and light day, not kept yet");
        browser.waitFor(d -> browser.all("#drawn .whole thead th").size() == 5
                        && !browser.find("#drawn .whole").getText().contains("deload")
                ? true
                : null);
        browser.assertSound();
        browser.click("button[name=keep]");
        browser.waitFor(d -> browser.address().contains("block=") ? true : null);
        waitForRow("3x5 80%", "3x5 83%", "3x4 85.5%", "3x3 87%");
        browser.assertSound();
    }

    private void changeByKeyboard() {
        browser.tabTo(ROW + "textarea.dose");
        // typing opens the cell and puts the new dose in place of the old; the load stands there before it is kept
        browser.press(Keys.ARROW_RIGHT);
        browser.press("3x5 75%");
        browser.waitForText(ROW + "td:nth-child(3) .foot", "150 kg");
        browser.press(Keys.ENTER);
        waitForRow("3x5 80%", "3x5 75%", "3x4 85.5%", "3x3 87%");
        // Escape puts back what the cell held
        browser.press(Keys.ARROW_UP, Keys.ENTER);
        browser.press("q", Keys.ESCAPE);
        assertThat(row().get(1)).isEqualTo("3x5 75%");
        // two cells are copied and put in further right
        browser.press(Keys.ARROW_LEFT);
        browser.hold(Keys.SHIFT, Keys.ARROW_RIGHT);
        assertThat(browser.all("td.taken")).hasSize(2);
        browser.hold(Keys.CONTROL, "c");
        browser.press(Keys.ARROW_RIGHT, Keys.ARROW_RIGHT);
        browser.hold(Keys.CONTROL, "v");
        waitForRow("3x5 80%", "3x5 75%", "3x5 80%", "3x5 75%");
        browser.press(Keys.DELETE);
        waitForRow("3x5 80%", "3x5 75%", "", "3x5 75%");
        // the shorthand is explained where it is typed
        browser.press("?");
        browser.waitForText("#doses", "a top single, then back-offs under it");
        browser.assertSound();
        browser.press(Keys.ESCAPE);
        browser.waitFor(d -> browser.all("#doses[open]").isEmpty());
    }

    private void fillAndUndo() {
        // closing the shorthand leads back to the cell it was asked from
        assertThat(browser.focused(ROW + "td:nth-child(4) textarea.dose")).isTrue();
        browser.press(Keys.ARROW_LEFT, Keys.ARROW_LEFT);
        browser.hold(Keys.CONTROL, Keys.ARROW_RIGHT);
        browser.waitFor(d -> browser.focused("#fill [name=rule]"));
        browser.find("#fill [name=rule] option[value=shrinking]").click();
        browser.type("#fill [name=goal]", "90");
        browser.press(Keys.ENTER);
        waitForRow("3x5 80%", "3x5 85%", "3x4 87.5%", "3x4 90%");
        // one line says what happened, and the cell it was asked from has the focus again
        browser.waitForText("#told", "filled to the right");
        browser.waitFor(d -> browser.focused(ROW + "td:nth-child(2) textarea.dose"));
        undo();
        waitForRow("3x5 80%", "3x5 75%", "", "3x5 75%");
        browser.waitForText(".note", "Taken back");
        undo();
        waitForRow("3x5 80%", "3x5 75%", "3x5 80%", "3x5 75%");
        browser.hold(Keys.CONTROL, "y");
        waitForRow("3x5 80%", "3x5 75%", "", "3x5 75%");
        undo();
        waitForRow("3x5 80%", "3x5 75%", "3x5 80%", "3x5 75%");
        // Esc leads back to the cell; Enter fills from a choice too
        browser.waitFor(d -> browser.focused(ROW + "td:nth-child(2) textarea.dose"));
        browser.hold(Keys.CONTROL, Keys.ARROW_RIGHT);
        browser.waitFor(d -> browser.focused("#fill [name=rule]"));
        browser.press(Keys.ESCAPE);
        browser.waitFor(d -> browser.focused(ROW + "td:nth-child(2) textarea.dose"));
        browser.hold(Keys.CONTROL, Keys.ARROW_RIGHT);
        browser.waitFor(d -> browser.focused("#fill [name=rule]"));
        browser.press(Keys.ENTER);
        waitForRow("3x5 80%", "3x5 80%", "3x5 80%", "3x5 80%");
        browser.waitFor(d -> browser.focused(ROW + "td:nth-child(2) textarea.dose"));
        undo();
        waitForRow("3x5 80%", "3x5 75%", "3x5 80%", "3x5 75%");
    }

    private void undo() {
        browser.waitFor(d -> browser.focused("textarea.dose") || browser.focused("body") ? true : null);
        browser.hold(Keys.CONTROL, "z");
    }

    private void give() {
        List<LifterCard> others = new ArrayList<>();
        for (int i = 0; i < 3; i++) {
            others.add(clubs.grow(club, 1, 3, 1));
        }
        browser.click(".planlinks a[href*='/give']");
        browser.waitForText("h1", "Give Heavy day and light day");
        for (LifterCard other : others) {
            browser.click("input[name=to][value='" + other.id() + "']");
        }
        browser.click("main form button[type=submit]");
        // each of them is in a block of their own; those who were ticked still are
        browser.waitForText("#give-start-says", "this block takes its place");
        assertThat(browser.all("input[name=to]:checked")).hasSize(3);
        browser.assertSound();
        browser.click("main form button[name=confirmed]");
        browser.waitForText(".given", "Given. Look these over");
        assertThat(browser.all(".given h3 a")).hasSize(3);
        browser.assertSound();
        String theirs = browser.find(".given h3 a").getDomAttribute("href");
        follow();
        browser.open(theirs);
        // 75 % of their own 120 kg
        browser.waitForText(ROW + "td:nth-child(3) .foot", "90 kg");
        waitForRow("3x5 80%", "3x5 75%", "3x5 80%", "3x5 80%", "3x5 75%");
    }

    /** A week is repeated, by the others who got the block as well. */
    private void follow() {
        browser.click("main > p a");
        browser.click("input[name=follow]");
        browser.unfold("#change summary");
        browser.type("#change input[name=week]", "3");
        browser.click("#change button[value=WEEK_COPY]");
        browser.waitForText("#told", "Followed to 3 blocks.");
        waitForRow("3x5 80%", "3x5 75%", "3x5 80%", "3x5 80%", "3x5 75%");
        assertThat(browser.find("input[name=follow]").isSelected()).isTrue();
    }

    private void print() {
        browser.click(".planlinks a[href*='/print']");
        browser.waitForText(".paper", "Pain means stop");
        assertThat(browser.all(".paper .session").size()).isPositive();
        assertThat(browser.all(".paper .block").size()).isEqualTo(1);
        browser.assertSound();
    }
}
