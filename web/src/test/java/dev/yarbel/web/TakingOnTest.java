package dev.yarbel.web;

import static org.assertj.core.api.Assertions.assertThat;

import dev.yarbel.core.lifter.HealthQuestion;
import java.util.Locale;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.openqa.selenium.By;
import org.openqa.selenium.Keys;
import org.openqa.selenium.WebElement;
import org.openqa.selenium.support.ui.Select;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.web.server.LocalServerPort;

/** A coach takes lifters on in a real browser: one in pounds with a home gym, one without a max, one for events. */
@YarbelTest
class TakingOnTest {

    private static final String NEW_NOTE = "#notes form:last-of-type textarea";

    @LocalServerPort
    private int port;

    @Autowired
    private Clubs4Tests clubs;

    private Clubs4Tests.TestClub club;
    private Browser browser;

    @BeforeEach
    void openBrowser() {
        club = clubs.club();
        browser = new Browser("http://127.0.0.1:" + port).desk();
        browser.signIn(club.coachName(), club.password());
    }

    @AfterEach
    void closeBrowser() {
        browser.close();
    }

    private void takeOn(String name, String unit, String gym) {
        browser.open("/lifters").unfold(".takeon summary");
        browser.type(".takeon input[name=name]", name);
        choose(".takeon select[name=unit]", unit);
        choose(".takeon select[name=gym]", gym);
        browser.assertSound();
        browser.click(".takeon button[type=submit]");
        browser.waitForText("h1", name);
    }

    private void choose(String css, String words) {
        new Select(browser.find(css)).selectByVisibleText(words);
    }

    /** Leaves a field of the profile with something in it; it is kept by itself. */
    private void keep(String field, String value) {
        WebElement control = browser.find("#" + field + "-value");
        boolean day = "date".equals(control.getAttribute("type"));
        if (control.getTagName().equals("select")) {
            new Select(control).selectByVisibleText(value);
        } else {
            browser.type("#" + field + "-value", value);
            browser.press(Keys.TAB);
            if (day) {
                // over its calendar
                browser.press(Keys.TAB);
            }
        }
        browser.waitFor(d -> (Boolean) d.executeScript(
                "const f = document.getElementById(arguments[0]); return f.tagName === 'SELECT'"
                        + " ? f.selectedOptions[0].defaultSelected : f.defaultValue === f.value && f.value !== ''",
                field + "-value"));
    }

    /** Fills a new line on a shelf and adds it. */
    private void add(String shelf, String... fields) {
        String form = "form.newpiece[action$='/" + shelf + "']";
        int before = browser.all("." + shelf + " form.piece").size();
        for (int i = 0; i < fields.length; i += 2) {
            String name = form + " [name='fields[" + fields[i].toUpperCase(Locale.ROOT) + "]']";
            WebElement control = browser.find(name);
            if (control.getTagName().equals("select")) {
                new Select(control).selectByVisibleText(fields[i + 1]);
            } else {
                browser.type(name, fields[i + 1]);
            }
        }
        browser.click(form + " button[type=submit]");
        browser.waitFor(d -> browser.all("." + shelf + " form.piece").size() == before + 1);
    }

    @Test
    void aPowerlifterInPoundsWithAHomeGymIsTakenOn() {
        takeOn("Signe Aalto", "lb", "At home: a bar, plates to come");
        assertThat(browser.text(".cautions")).contains("The health questions have not all been answered.");
        browser.assertSound();
        keep("sport", "Powerlifting, classic");
        // the sport makes the weight class worth asking
        keep("weight-class", "165 lb");
        keep("sex", "female");
        keep("height", "66");
        assertThat(browser.find("#height-value").getAttribute("value")).isEqualTo("66 in");
        String profile = browser.address().replaceFirst("#.*", "");

        // what is typed elsewhere outlives a field that was kept
        browser.type(NEW_NOTE, "A half-typed note");
        browser.type("#sleep-value", "never");
        browser.press(Keys.TAB);
        browser.waitForText("#sleep .bad", "A number from 2 to 14.");
        assertThat(browser.find("#sleep-value").getAttribute("value")).isEqualTo("never");
        assertThat(browser.find(NEW_NOTE).getAttribute("value")).isEqualTo("A half-typed note");
        keep("sleep", "7");
        browser.type("#body-mass input[name=figure]", "163.5");
        browser.click("#body-mass form button[type=submit]");
        browser.waitForText("#body-mass .measured", "163.5 lb");

        // the gym at home gets its few plates
        browser.open(profile.replace("/profile", "/gyms")).click("article h2 a");
        browser.waitForText(".tabs a[aria-current]", "Signe Aalto, at home");
        add("plates", "mass", "45", "count", "4");
        add("plates", "mass", "25", "count", "2");
        add("plates", "mass", "10", "count", "2");
        add("plates", "mass", "5", "count", "2");
        browser.assertSound();
        browser.type("#try input[name=load]", "250");
        browser.waitForText("#try", "250 lb cannot be made here");
        // 45 lb bar and 45 + 45 + 10 a side, and with 5 more
        assertThat(browser.text("#try")).contains("245 lb (111.1 kg) below", "255 lb (115.7 kg) above");

        // a max in pounds: what was typed as kg is asked about
        browser.open(profile.replace("/profile", "/book/lifts/squat"));
        browser.assertSound();
        browser.type("#maxes input[name=load]", "290");
        browser.type("#maxes input[name=source]", "Harbour meet");
        browser.click("#maxes form:not([id]) > button");
        browser.waitForText("#maxes .measured", "290 lb");
        browser.type("#maxes input[name=load]", "131.5");
        browser.click("#maxes form:not([id]) > button");
        browser.waitForText("#maxes .bad", "The last entry was 290 lb: is the unit right?");
        browser.type("#maxes input[name=load]", "131.5 kg");
        browser.click("#maxes form:not([id]) > button:not([name])");
        browser.waitForText("#maxes .measured", "131.5 kg");
        // 95 % of 290 is 275.5, a number and not a load: pounds are shown whole
        assertThat(browser.text(".hanging tr.used")).contains("276 lb", "205 lb");
        assertThat(browser.text("#hangs")).contains("Made with the 45 lb bar of Signe Aalto, at home.");
    }

    @Test
    void aNoviceWithoutAMaxFindsAStartingWorkingMax() {
        takeOn("Tove Brandal", "kg", "Gym");
        String profile = browser.address().replaceFirst("#.*", "");
        for (HealthQuestion question : HealthQuestion.values()) {
            answerNo(question);
        }
        browser.waitForText("#health", "Every answer is no.");
        keep("novice-since", "03102026");

        browser.open(profile.replace("/profile", "/book/lifts"));
        browser.assertSound();
        browser.open(profile.replace("/profile", "/book/lifts/squat")).click("#hangs a");
        browser.waitForText("h1", "First numbers: Squat, Tove Brandal");
        browser.assertSound();
        assertThat(browser.text("main")).contains("End it when form breaks or anything hurts");
        browser.click(".picker button[value=easy]");
        browser.waitFor(d -> browser.all("ol.measured li").size() == 1);
        String second = browser.text(".nowload .big");
        assertThat(second).isNotEqualTo("20 kg");
        browser.click(".picker button[value=easy]");
        browser.waitFor(d -> browser.all("ol.measured li").size() == 2);
        browser.click(".picker button[value='7']");
        browser.waitForText("main", "Three left: that is enough.");
        browser.assertSound();
        String found = browser.all(".numbers dd b").get(1).getText();
        browser.click("form[action$='/start/end'] button");
        browser.waitForText(".hanging tr.used", found);
        assertThat(browser.text("#maxes")).contains("guided test");
        // the front squat starts from it by its ratio
        browser.open(profile.replace("/profile", "/book/lifts/front-squat"));
        assertThat(browser.text(".hanging tr.used")).contains("Working max, by its ratio");
    }

    @Test
    void aStrongmanCompetitorTrainsWithWhatTheGymHas() {
        browser.open("/kit");
        browser.waitForText(".tabs a[aria-current]", "Gym");
        add("bars", "implement", "log", "name", "Long log", "mass", "32");
        add("bars", "implement", "yoke", "name", "Yoke", "mass", "90");
        add("bars", "implement", "carry handles", "name", "Handles", "mass", "14");
        add("pieces", "implement", "stone", "name", "Grey stone", "mass", "110");
        browser.assertSound();
        takeOn("Halvard Moe", "kg", "Gym");
        String profile = browser.address().replaceFirst("#.*", "");
        keep("sport", "Strongman");
        keep("weight-class", "105 kg");

        browser.open(profile.replace("/profile", "/book/lifts/stone-over-bar"));
        browser.type("#maxes input[name=load]", "130");
        browser.click("#maxes form:not([id]) > button");
        browser.waitForText("#maxes .measured", "130 kg");
        // whatever share: the one stone there is
        assertThat(browser.text(".hanging tr.used")).contains("110 kg");
        assertThat(browser.text("#hangs")).contains("Made with the stone of Gym.");
        browser.assertSound();
        browser.open(profile.replace("/profile", "/book/lifts"));
        assertThat(browser.text(".catalogue")).contains("Long log", "not in the gym: keg");

        // an ache that the log press loads shows there
        browser.open(profile).unfold("#aches details summary");
        choose("#aches select[name=place]", "shoulder");
        browser.type("#aches input[name=words]", "left, overhead");
        browser.click("#aches details form button");
        browser.waitForText("#aches .ache", "left, overhead");
        browser.assertSound();
        browser.open(profile.replace("/profile", "/book/lifts/log-press"));
        assertThat(browser.text(".cautions")).contains("left, overhead");
        browser.open(profile.replace("/profile", "/book/lifts/yoke-walk"));
        assertThat(browser.all(".cautions .watch")).isEmpty();

        // a sold yoke is missed by nobody's plan yet, and comes back
        browser.open("/kit");
        WebElement yoke = browser.all(".bars form.piece").stream()
                .filter(row ->
                        !row.findElements(By.cssSelector("input[value='Yoke']")).isEmpty())
                .findFirst()
                .orElseThrow();
        yoke.findElement(By.cssSelector("button.textact")).click();
        browser.waitForText(".undo", "Removed.");
        assertThat(browser.all(".bars input[value='Yoke']")).isEmpty();
        browser.click(".undo button");
        browser.waitFor(d -> browser.all(".bars input[value='Yoke']").size() == 1);
    }

    /** Chooses no, and waits until it is kept: the page is laid out anew with each answer, and what is clicked may move away. */
    private void answerNo(HealthQuestion question) {
        String no = "#health input[value=no][name='answers[" + question + "]']";
        browser.waitFor(d -> {
            if (!browser.find(no).isSelected()) {
                browser.click(no);
            }
            return (Boolean) browser.script("return document.querySelector(arguments[0]).defaultChecked", no)
                    ? true
                    : null;
        });
    }

    /** What a coach does with hand and keys. */
    private int interactions;

    private void click(String css) {
        interactions++;
        browser.click(css);
    }

    private void type(String css, String text) {
        interactions++;
        browser.type(css, text);
    }

    private void pick(String css, String words) {
        interactions++;
        choose(css, words);
    }

    @Test
    void aNewLifterHasABlockInFewerThanSixtyInteractions() {
        browser.open("/lifters");
        interactions++;
        browser.unfold(".takeon summary");
        type(".takeon input[name=name]", "Nela Varga");
        pick(".takeon select[name=unit]", "kg");
        pick(".takeon select[name=gym]", "Gym");
        click(".takeon button[type=submit]");
        browser.waitForText("h1", "Nela Varga");
        for (HealthQuestion question : HealthQuestion.values()) {
            interactions++;
            answerNo(question);
        }
        browser.waitForText("#health", "Every answer is no.");
        // a page that is empty says the one next thing to do
        click(".rooms a[href$='/plan']");
        browser.waitForText("main", "First the maxes");
        click("main a[href$='/book/maxes']");
        type("input[name='load[squat]']", "160");
        type("input[name='load[bench-press]']", "105");
        type("input[name='load[deadlift]']", "190");
        browser.assertSound();
        click("main form button[type=submit]");
        browser.waitForText("main h2", "The lifts as they stand");
        click(".rooms a[href$='/plan']");
        browser.waitForText("main", "Then a block");
        browser.assertSound();
        click("main a[href$='/plan/new']");
        browser.waitForText("#drawn", "not kept yet");
        type("#draw input[name=weeks]", "8");
        interactions++;
        browser.press(Keys.TAB);
        browser.waitFor(d -> browser.all("#drawn .whole thead th").size() == 9 ? true : null);
        assertThat(browser.text("#drawn .whole")).contains("Squat", "Bench press", "Deadlift");
        click("#drawn button[name=keep]");
        browser.waitFor(d -> browser.find("#grid textarea.dose"));
        // kept with loads that the gym makes
        assertThat(browser.text("#grid")).contains("kg");
        assertThat(interactions).isLessThan(60);
    }
}
