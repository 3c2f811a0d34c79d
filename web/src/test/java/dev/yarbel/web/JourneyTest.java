package dev.yarbel.web;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.openqa.selenium.By;
import org.openqa.selenium.Keys;
import org.openqa.selenium.WebElement;
import org.springframework.boot.test.web.server.LocalServerPort;

/** One turn of the main job in a real browser: the coach plans, the lifter lifts, the coach decides, the loads move. */
@YarbelTest
class JourneyTest {

    private static final String BACK_OFF_WEEK_4 = "tbody tr:nth-child(2) td:nth-child(5)";
    private static final String PERCENT_WEEK_4 = "tbody tr:nth-child(3) td:nth-child(5)";

    @LocalServerPort
    private int port;

    private Browser browser;

    @BeforeEach
    void openBrowser() {
        browser = new Browser("http://127.0.0.1:" + port);
    }

    @AfterEach
    void closeBrowser() {
        browser.close();
    }

    @Test
    void fromThePlanOverTheFloorAndTheBookToTheCallAndBack() {
        browser.desk().open("/sign-in").assertSound();
        browser.signIn("bryn", "harbour-light");
        coachPlans();
        browser.phone().signIn("wren", "slack-water-low");
        lifterLifts();
        browser.desk().signIn("bryn", "harbour-light");
        coachDecides();
    }

    private void coachPlans() {
        assertThat(browser.text("main")).contains("Wren Halloway", "Tobin Marsh", "Ottilie Strand");
        browser.assertSound();
        browser.open("/lifters/1/plan?day=0");
        browser.assertSound();
        String dose = BACK_OFF_WEEK_4 + " textarea.dose";
        String foot = BACK_OFF_WEEK_4 + " .foot";
        String before = browser.text(foot);

        // a mark of the strip leads to its day: what is planned to the sheet, at its week
        assertThat(browser.find(".strip a[href$='&day=0#week-4']").getAttribute("aria-label"))
                .contains("planned", "of the max");
        assertThat(browser.find(".strip a[href$='floor?day=0&week=0']").getAttribute("aria-label"))
                .contains("done");

        // what cannot be read is marked at its character while typing, and the text stays
        browser.type(dose, "5x5 -18q");
        browser.waitForText(foot + " mark", "q");
        assertThat(browser.text(foot)).contains("A drop under the top is a percentage");
        assertThat(browser.find(dose).getAttribute("value")).isEqualTo("5x5 -18q");

        // the load appears while typing, before anything is kept
        browser.type(dose, "5×5 −12,5 %");
        browser.waitFor(d ->
                browser.text(foot).startsWith("about") && !browser.text(foot).equals(before));
        String preview = browser.text(foot);
        browser.find(dose).sendKeys(Keys.ENTER);
        browser.waitFor(d -> "5x5 -12.5%"
                .equals(d.findElement(By.cssSelector(BACK_OFF_WEEK_4 + " input[type=hidden]"))
                        .getAttribute("value")));
        browser.open("/lifters/1/plan?day=0");
        assertThat(browser.find(dose).getAttribute("value")).isEqualTo("5x5 -12.5%");
        assertThat(browser.text(foot)).isEqualTo(preview);
    }

    private void lifterLifts() {
        assertThat(browser.text(".floorhead")).contains("Squat day", "today");
        assertThat(browser.all(".stair .step").size()).isGreaterThanOrEqualTo(4);
        browser.assertSound();
        int warmUps = browser.all(".stair .step").size() - 1;
        for (int i = 1; i <= warmUps; i++) {
            browser.waitForText(".now h2", "warm-up " + i + " of");
            browser.clickUntil(
                    "button.wide[value=easy]", ".now h2", i < warmUps ? "warm-up " + (i + 1) + " of" : "set 1 of 1");
        }
        browser.unfold(".ending summary");
        browser.type("input[name=pain]", "a half-typed note");
        assertThat(browser.text(".now .watch")).contains("spotters or set safeties");
        browser.assertSound();

        String planned = browser.text(".slots article:nth-child(2) .figure");
        browser.type("input[name=load]", "187.5");
        browser.click(".picker button[value='8']");
        browser.waitForText(".slots article:nth-child(2) s", planned);
        // what was typed elsewhere on the page outlives the set that was logged
        assertThat(browser.find("input[name=pain]").getAttribute("value")).isEqualTo("a half-typed note");
        browser.find("input[name=pain]").clear();
        // 20 % under the 187.5 kg lifted
        assertThat(browser.text(".slots article:nth-child(2)")).contains("150 kg", "under the 187.5 kg you lifted");
        assertThat(browser.text(".now .nowload")).contains(planned, "150 kg");
        assertThat(browser.text(".now s")).contains(planned);
        // the stair, which back-offs push aside on a phone, holds what was lifted
        assertThat(browser.all(".stair .step.top .stepload").get(0).getDomProperty("textContent"))
                .isEqualTo("187.5");
        browser.assertSound();

        for (int set = 1; set <= 4; set++) {
            browser.waitForText(".now h2", "B Squat set " + set + " of 4");
            browser.clickUntil(
                    ".picker button[value='6.5']",
                    ".now h2",
                    set < 4 ? "B Squat set " + (set + 1) + " of 4" : "C Bench press");
        }
        browser.click(".finish button[type=submit]");
        browser.waitForText(".finish .bad", "not logged. Finish all the same?");
        browser.click(".finish button[type=submit]");
        browser.waitForText(".finished", "Every set is in the book");
        browser.assertSound();

        browser.click(".finished a");
        browser.waitForText("main h2", "The lifts as they stand");
        browser.assertSound();
        browser.click(".stand tbody tr:first-child a");
        browser.waitForText(".evidence caption", "The sets that moved it");
        assertThat(browser.text("main")).contains("187.5 kg × 1", "150 kg × 5");
        browser.assertSound();
    }

    private void coachDecides() {
        browser.waitFor(d -> {
            browser.open("/calls");
            return d.findElements(By.cssSelector(".queue a")).stream()
                    .filter(e -> e.getText().contains("Wren Halloway"))
                    .findFirst()
                    .orElse(null);
        });
        List<WebElement> queue = browser.all(".queue a");
        queue.stream()
                .filter(e -> e.getText().contains("Wren Halloway"))
                .findFirst()
                .orElseThrow()
                .click();
        browser.waitForText(".slip h2", "Wren Halloway, Squat");
        browser.assertSound();
        List<WebElement> figures = browser.all(".proposal .figure");
        String workingMax = figures.get(1).getText();
        assertThat(workingMax).isNotEqualTo(figures.get(0).getText());
        List<WebElement> change = browser.all(".changes tbody tr").stream()
                .filter(row -> row.getText().contains("3x3 77.5%"))
                .findFirst()
                .orElseThrow()
                .findElements(By.cssSelector(".num"));
        String before = change.get(0).getText();
        String after = change.get(1).getText();
        assertThat(after).isNotEqualTo(before);

        browser.type("input[name=reason]", "moved well all week");
        browser.click(".three button:first-child");
        browser.waitForText(".note", "Taken");

        browser.open("/lifters/1/plan?day=1");
        assertThat(browser.text(PERCENT_WEEK_4 + " .load")).isEqualTo(after);
        browser.open("/lifters/1/floor?day=1&week=3");
        assertThat(browser.text(".slots article:nth-child(3) .figure")).isEqualTo(after);
        browser.open("/lifters/1/book/decisions");
        // the ledger keeps a figure more than a slip shows
        String figure = workingMax.replace(" kg", "");
        assertThat(browser.text(".ledger"))
                .contains("Bryn Castellan", "Call taken", figure, "moved well all week", "5x5 -12.5%");
        browser.assertSound();
    }
}
