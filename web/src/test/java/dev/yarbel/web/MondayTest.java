package dev.yarbel.web;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import dev.yarbel.web.Clubs4Tests.TestClub;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.openqa.selenium.Keys;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.web.server.LocalServerPort;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.test.web.servlet.MockMvc;
import org.springframework.test.web.servlet.request.MockHttpServletRequestBuilder;

/** A coach's Monday, half past seven, without a mouse: who needs me, the calls, a word on the last session, what is next. */
@YarbelTest
class MondayTest {

    @LocalServerPort
    private int port;

    @Autowired
    private Clubs4Tests clubs;

    @Autowired
    private JdbcClient jdbc;

    @Autowired
    private MockMvc mvc;

    private TestClub club;
    private Browser browser;
    private int keys;

    @BeforeEach
    void open() {
        club = clubs.club();
        browser = new Browser("http://127.0.0.1:" + port).desk();
    }

    @AfterEach
    void close() {
        browser.close();
    }

    private void press(CharSequence... pressed) {
        keys += pressed.length;
        browser.press(pressed);
    }

    private void goTo(String key, String address) {
        press(key);
        browser.waitFor(d -> browser.address().startsWith(address) ? true : null);
    }

    @Test
    void theCallsAreAnsweredAndTheLastSessionGetsItsWordByAFewKeys() throws Exception {
        lift();
        clubs.grow(club, 2, 3, 1);
        browser.waitFor(d -> slips() == 2 ? true : null);
        browser.signIn(club.coachName(), club.password());

        // who needs them comes first, and why
        browser.waitForText("table.morning tbody tr:first-child .needs", "call");
        goTo("2", "/calls");
        browser.waitForText("html.js .slip h2", "Squat");
        press("a");
        browser.waitFor(d -> slips() == 1 ? true : null);
        browser.waitForText("#main", "Taken");

        goTo("1", "/lifters");
        browser.find("html.js table.morning tbody tr:nth-child(2)");
        for (int lines = 0; lines < 3 && !heldIn("table.morning tbody tr:has(.lastheld a)"); lines++) {
            press(Keys.ARROW_DOWN);
        }
        for (int steps = 0; steps < 3 && !heldIn(".lastheld"); steps++) {
            press(Keys.TAB);
        }
        press(Keys.ENTER);
        browser.waitFor(d -> browser.address().contains("/floor/review"));
        browser.find("input[name=note]");
        for (int steps = 0; steps < 20 && !browser.focused("form.row input[name=note]"); steps++) {
            press(Keys.TAB);
        }
        assertThat(keys).isLessThanOrEqualTo(25);
        browser.press("Well paced. Sleep more.", Keys.ENTER);
        browser.waitFor(d -> notes() == 1 ? true : null);

        // the page of the words may come again after they are kept
        browser.pressUntil(() -> browser.press("3"), () -> browser.address().contains("/plan"));
        browser.waitFor(d -> browser.find(".grid, .planlinks"));
    }

    private boolean heldIn(String part) {
        return (Boolean) browser.script("return document.activeElement.closest(arguments[0]) !== null", part);
    }

    /** The lifter did one set of today's session, and ended it, saying so. */
    private void lift() throws Exception {
        Map<String, String> set = Map.of("task", "A.1", "load", "187.5", "reps", "1", "effort", "8");
        send("/floor/sets", set);
        send("/floor/finish", Map.of("left", "99", "count", "CUT"));
    }

    private void send(String path, Map<String, String> fields) throws Exception {
        MockHttpServletRequestBuilder sent = post(club.url(path))
                .with(club.asLifter())
                .with(csrf())
                .param("day", "0")
                .param("week", "1")
                .param("token", UUID.randomUUID().toString());
        fields.forEach(sent::param);
        mvc.perform(sent).andExpect(status().isFound());
    }

    private long slips() {
        return jdbc.sql("select count(*) from slip where club_id = ? and status = 'OPEN'")
                .param(club.lifter.clubId())
                .query(Long.class)
                .single();
    }

    private long notes() {
        return jdbc.sql(
                        "select count(*) from training_session where club_id = ? and coach_note = 'Well paced. Sleep more.'")
                .param(club.lifter.clubId())
                .query(Long.class)
                .single();
    }
}
