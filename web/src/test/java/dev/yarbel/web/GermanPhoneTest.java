package dev.yarbel.web;

import static org.assertj.core.api.Assertions.assertThat;

import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.MassUnit;
import dev.yarbel.web.Clubs4Tests.TestClub;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.web.server.LocalServerPort;

/** A session on the phone of somebody who reads and writes commas. */
@YarbelTest
class GermanPhoneTest {

    @LocalServerPort
    private int port;

    @Autowired
    private Clubs4Tests clubs;

    private Browser browser;

    @BeforeEach
    void openBrowser() {
        browser = new Browser("http://127.0.0.1:" + port).phone().reads("de");
    }

    @AfterEach
    void closeBrowser() {
        browser.close();
    }

    @Test
    void aSetIsLoadedByTappedPlatesAndLoggedWithItsComma() {
        TestClub club = clubs.club("squat 1 100kg then 2x5 -20%");
        browser.signIn(club.lifterName(), club.password());
        browser.waitForText(".now h2", "Aufwärmsatz 1 von");
        browser.click(".stair .step.top");
        browser.waitForText(".now h2", "Satz 1 von 1");
        browser.click("[data-rack=open]");
        browser.click(".rackplates .plate:not(.on)[data-plate='6']");
        String load = browser.find(".now input[name=load]").getAttribute("value");
        assertThat(load).matches("10\\d,5");
        assertThat(browser.text(".now .load")).isEqualTo(load + " kg");

        browser.click(".picker button[value='8']");
        browser.waitForText(".slots article", load + " kg");
        browser.waitFor(d -> club.plan().session(0, 1).isPresent() ? true : null);
        assertThat(club.plan().session(0, 1).orElseThrow().sets().get(0).set().load())
                .isEqualTo(Mass.parse(load, MassUnit.KG));
        assertThat(browser.text(".now .load")).isEqualTo("82,5 kg");
    }
}
