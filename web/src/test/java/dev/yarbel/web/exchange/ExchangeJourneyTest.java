package dev.yarbel.web.exchange;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;

import dev.yarbel.web.Browser;
import dev.yarbel.web.Clubs4Tests;
import dev.yarbel.web.Clubs4Tests.TestClub;
import dev.yarbel.web.YarbelTest;
import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.openqa.selenium.support.ui.Select;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.web.server.LocalServerPort;
import org.springframework.test.web.servlet.MockMvc;

/** A coach brings years of a lifter's spreadsheet along, by hand. */
@YarbelTest
class ExchangeJourneyTest {

    /** As it leaves a German spreadsheet: semicolons, commas in figures, Windows-1252, a title, cells merged, slips of the pen. */
    private static final String LOG = """
            Training 2024;;;;
            Datum;Übung;Gewicht;Wdh;RPE
            12.03.2024;Kniebeuge;140;5;7,5
            ;;150;5;8,25
            14.03.2024;Kniebeuge;320;5;8
            19.03.2024;Kniebeuge;147,5;5;8
            21.03.2024;Squta;150;3;9
            21.03.2024;Zugschlitten;40;12;
            23.03.2024;Kniebeuge;#REF!;3;
            """;

    @Autowired
    private MockMvc mvc;

    @LocalServerPort
    private int port;

    @Autowired
    private Clubs4Tests clubs;

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

    private void choose(String css, String value) {
        new Select(browser.find(css)).selectByValue(value);
    }

    /** Larger than anything else that is sent: it goes past everything that stands before the application. */
    @Test
    void aLogOfYearsIsBroughtInOnePiece() throws Exception {
        TestClub club = clubs.club();
        StringBuilder log = new StringBuilder("Date,Exercise,Weight (kg),Reps,RPE,Notes\n");
        for (int set = 0; set < 40_000; set++) {
            log.append(LocalDate.of(1995, 1, 1).plusDays(set / 12))
                    .append(",Squat,")
                    .append(100 + set % 12)
                    .append(",5,8,\n");
        }
        Path file = Files.writeString(folder.resolve("years.csv"), log);
        assertThat(Files.size(file)).isGreaterThan(1_000_000);
        browser.desk().signIn(club.coachName(), club.password());
        browser.open("/exchange?lifter=" + club.lifter.id());
        browser.find("input[name=file]").sendKeys(file.toString());
        browser.click("form.bring button[type=submit]");
        browser.waitForText(".result", "40,000 sets on 3,334 days");
        browser.click("button[formaction$='/take']");
        browser.waitForText("#main", "Taken in: 40,000 sets");
    }

    @Test
    void aSpreadsheetIsLookedAtCorrectedTakenInAndTakenBack() throws Exception {
        TestClub club = clubs.club();
        Path file = Files.writeString(folder.resolve("Wren 2024.csv"), LOG, Charset.forName("windows-1252"));
        browser.desk().signIn(club.coachName(), club.password());
        browser.open("/exchange");
        browser.assertSound();
        browser.find("input[name=file]").sendKeys(file.toString());
        browser.click("form.bring button[type=submit]");
        browser.waitForText(".mustsay", "whose log");
        assertThat(browser.text("#main")).contains("windows-1252", "semicolons");

        choose("select[name=lifter]", "" + club.lifter.id());
        browser.click(".comesin button.quietact");
        browser.waitForText(".result", "3 sets on 2 days");
        browser.assertSound();
        assertThat(browser.text(".troublelines")).contains("#REF!", "8,25", "pounds, or kilograms");
        assertThat(browser.find("button[formaction$='/take']").isEnabled()).isFalse();

        choose("tr:nth-child(2) select[name^=asked]", "-");
        browser.click("input[name=slips][value=OTHER_UNIT]");
        browser.click(".comesin button.quietact");
        browser.waitForText(".result", "5 sets on 4 days");
        assertThat(browser.text(".sampleread")).contains("145.15 kg", "14 Mar 2024");
        browser.click("button[formaction$='/take']");
        browser.waitForText("#main", "Taken in: 5 sets on 4 days");
        browser.assertSound();

        browser.open(club.url("/book/decisions?about=LOG"));
        assertThat(browser.text("#main")).contains("Sessions from a file", "Wren 2024.csv", "5 sets");
        browser.open("/exchange");
        browser.click(".broughtlines a");
        browser.click("form[action$='/take-back'] button");
        browser.waitForText("#main", "was taken back");
    }

    @Test
    void aLifterMovesToAnotherClubWithAllOfTheirs() throws Exception {
        TestClub left = clubs.club();
        String file = mvc.perform(get("/exchange/lifter.json").with(left.asLifter()))
                .andReturn()
                .getResponse()
                .getContentAsString(StandardCharsets.UTF_8);
        Path kept = Files.writeString(folder.resolve("mine.json"), file.replace(left.lifter.name(), "Wren Newcome"));
        TestClub reached = clubs.club();
        browser.desk().signIn(reached.coachName(), reached.password());
        browser.open("/exchange/whole");
        browser.assertSound();
        browser.find("input[name=file]").sendKeys(kept.toString());
        browser.click("main form[enctype] button[type=submit]");
        browser.waitForText(".sampleread", "Wren Newcome");
        browser.assertSound();
        browser.pressUntil(
                () -> browser.click("form[action$='/take'] button"), () -> browser.shows("#main", "came in with it"));
        browser.assertSound();
        browser.open("/lifters");
        assertThat(browser.text("#main")).contains("Wren Newcome");

        browser.open("/exchange/whole");
        browser.click(".broughtlines a.what");
        browser.pressUntil(
                () -> browser.click("form[action$='/take-back'] button"),
                () -> browser.shows("#main", "put in the archive"));
        browser.open("/lifters");
        assertThat(browser.all("main a[href*='/lifters/']"))
                .noneMatch(link -> link.getText().contains("Wren Newcome"));
    }

    @Test
    void maxesUnderHeadsNobodyKnowsComeInOnceSomebodySaysWhatTheyAre() {
        TestClub club = clubs.club();
        browser.desk().signIn(club.coachName(), club.password());
        browser.open("/exchange/maxes");
        choose("select[name=kind]", "TESTED");
        browser.script("document.querySelector('input[name=on]').value = '2026-03-01'");
        browser.type("textarea[name=text]", "Wer;KB\n" + club.lifter.name() + ";151");
        browser.click("main form[enctype] .panel button[type=submit]");
        browser.waitForText("#main", "What its columns hold");
        browser.assertSound();
        choose("select[name='holds[0]']", "lifter");
        choose("select[name='holds[1]']", "max:squat");
        browser.click("main details button[type=submit]");
        browser.waitForText(".result", "1 ");
        browser.assertSound();
        browser.click("button[formaction$='/take']");
        browser.waitForText(".note", "1 ");
        browser.open(club.url("/book/lifts/squat"));
        assertThat(browser.text("#main")).contains("151");
    }
}
