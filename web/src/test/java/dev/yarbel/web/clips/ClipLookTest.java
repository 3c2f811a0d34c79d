package dev.yarbel.web.clips;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;

import dev.yarbel.web.Clubs4Tests;
import dev.yarbel.web.Clubs4Tests.TestClip;
import dev.yarbel.web.Clubs4Tests.TestClub;
import dev.yarbel.web.YarbelTest;
import java.nio.charset.StandardCharsets;
import java.util.Locale;
import java.util.Map;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.mock.web.MockHttpServletResponse;
import org.springframework.test.web.servlet.MockMvc;
import org.springframework.test.web.servlet.request.MockHttpServletRequestBuilder;
import org.springframework.test.web.servlet.request.RequestPostProcessor;

/** What is said of a clip: repetitions, ratings by half a point, and how fast the bar was. The set is 140 kg for five at an eight. */
@YarbelTest
class ClipLookTest {

    @Autowired
    private MockMvc mvc;

    @Autowired
    private Clubs4Tests clubs;

    @Autowired
    private JdbcClient jdbc;

    private TestClub club;
    private TestClip clip;

    @BeforeEach
    void gather() {
        club = clubs.club();
        clip = clubs.clip(club);
    }

    private String here() {
        return club.url("/clips/" + clip.clip());
    }

    private MockHttpServletResponse say(RequestPostProcessor who, String what, Map<String, String> fields)
            throws Exception {
        MockHttpServletRequestBuilder asked = post(here() + what).with(who).with(csrf());
        fields.forEach(asked::param);
        return mvc.perform(asked).andReturn().getResponse();
    }

    private Document page(RequestPostProcessor who) throws Exception {
        MockHttpServletResponse answer =
                mvc.perform(get(here()).with(who)).andReturn().getResponse();
        assertThat(answer.getStatus()).isEqualTo(200);
        return Jsoup.parse(answer.getContentAsString(StandardCharsets.UTF_8));
    }

    private String kept(String column) {
        return jdbc.sql("select " + column + " from logged_set where token = ?")
                .param(clip.set())
                .query(String.class)
                .optional()
                .orElse(null);
    }

    @ParameterizedTest
    @CsvSource({"6, 7.5", "7.5, 7.5", "9, 8.5", "10, 8.5"})
    void aCoachsRatingMovesTheLiftersByHalfAPointAtMost(String says, String counts) throws Exception {
        assertThat(say(club.asCoach(), "/judged", Map.of("rating", says)).getStatus())
                .isEqualTo(302);

        assertThat(page(club.asCoach()).select("#on-record").text()).isEqualTo("counts as " + counts);
        assertThat(kept("effort")).as("what the lifter said stays").isEqualTo("8");
    }

    @Test
    void theSlowestPartMovesItByHalfAPointAndWithTheCoachByNoMore() throws Exception {
        say(club.asLifter(), "/found", Map.of("video", "HARDER"));
        assertThat(page(club.asLifter()).select("#on-record").text()).isEqualTo("counts as 8.5");
        say(club.asCoach(), "/judged", Map.of("rating", "10"));
        assertThat(page(club.asLifter()).select("#on-record").text()).isEqualTo("counts as 8.5");
        say(club.asCoach(), "/judged", Map.of("rating", "7"));
        assertThat(page(club.asLifter()).select("#on-record"))
                .as("as many find it harder as easier")
                .isEmpty();
    }

    @Test
    void whatACoachMarksIsWhatTheySawOfTheRepetitions() throws Exception {
        say(club.asCoach(), "/judged", Map.of("marks", "4000 broken, 1200 clean, 3800 slowest"));
        assertThat(kept("coach_reps_seen")).isEqualTo("2");
        assertThat(kept("coach_form")).isEqualTo("BROKEN");
        assertThat(page(club.asCoach()).select("[data-says] [name=marks]").val())
                .isEqualTo("1200 clean, 4000 broken, 3800 slowest");

        say(club.asCoach(), "/judged", Map.of("marks", "1 clean, 2 clean, 3 clean, 4 clean, 5 clean"));
        assertThat(kept("coach_reps_seen")).isEmpty();
        assertThat(kept("coach_form")).isEqualTo("CLEAN");
    }

    @Test
    void marksFeedTheFigureAtWhichFormBreaks() throws Exception {
        assertThat(squat()).doesNotContain("stop being clean at about");
        say(club.asCoach(), "/judged", Map.of("marks", "1200 clean, 4000 broken"));
        String after = squat();
        assertThat(after).contains("stop being clean at about");
        say(club.asCoach(), "/judged", Map.of("marks", "1 clean, 2 clean, 3 clean, 4 clean, 5 clean"));
        assertThat(squat()).contains("stop being clean at about").isNotEqualTo(after);
    }

    private String squat() throws Exception {
        MockHttpServletResponse answer = mvc.perform(
                        get(club.url("/book/lifts/squat")).with(club.asCoach()))
                .andReturn()
                .getResponse();
        return Jsoup.parse(answer.getContentAsString(StandardCharsets.UTF_8)).text();
    }

    @Test
    void whatALifterMarksIsTheirs() throws Exception {
        say(club.asLifter(), "/found", Map.of("marks", "1200 clean, 4000 broken"));
        assertThat(kept("reps_seen")).isEqualTo("2");
        assertThat(kept("coach_reps_seen")).isNull();
    }

    @Test
    void moreMarksThanRepetitionsAreSaidAndStay() throws Exception {
        String six = "1 clean, 2 clean, 3 clean, 4 clean, 5 clean, 6 clean";
        MockHttpServletResponse answer = say(club.asCoach(), "/judged", Map.of("marks", six, "note", "Sit back."));

        assertThat(answer.getStatus()).isEqualTo(422);
        Document page = Jsoup.parse(answer.getContentAsString(StandardCharsets.UTF_8));
        assertThat(page.select("#seen-marks-says").text()).contains("More are marked than the 5");
        assertThat(page.select("[data-says] [name=marks]").val()).isEqualTo(six);
        assertThat(page.select("[name=note]").val()).isEqualTo("Sit back.");
        assertThat(kept("coach_note")).isNull();
    }

    /** Five times half a metre up in a second, from rest to rest. */
    private static String track(double likeness) {
        StringBuilder pictures = new StringBuilder();
        for (int picture = 0; picture <= 30 * 16; picture++) {
            double second = picture / 30.0;
            double turn = (second - 0.5) % 3;
            double height = second < 0.5 || second > 15.5
                    ? 0.5
                    : turn < 1 ? 0.5 * (1 - ease(turn)) : turn < 2 ? 0.5 * ease(turn - 1) : 0.5;
            pictures.append(String.format(
                    Locale.ROOT, "%d 160.00 %.2f %.2f%n", Math.round(1000 * second), 300 - 200 * height, likeness));
        }
        return pictures.toString();
    }

    private static double ease(double share) {
        return share * share * (3 - 2 * share);
    }

    private int follow(double likeness) throws Exception {
        return say(
                        club.asCoach(),
                        "/bar",
                        Map.of("rimX", "160", "rimY", "200", "rimWidth", "90", "pictures", track(likeness)))
                .getStatus();
    }

    @Test
    void theSpeedOfTheLastRepetitionStandsByTheSetAsFromAClip() throws Exception {
        assertThat(follow(0.95)).isEqualTo(302);

        Document page = page(club.asCoach());
        assertThat(page.select(".barspeeds tbody tr")).hasSize(5);
        assertThat(Integer.parseInt(kept("speed"))).isBetween(500, 540);
        assertThat(kept("speed_filmed")).isEqualTo("t");
        assertThat(page.select("#bar").text()).contains("stands by the set as evidence");
        assertThat(page.select("path.way").attr("d")).startsWith("M160.0 200.");
    }

    @Test
    void whatASensorMeasuredStays() throws Exception {
        jdbc.sql("update logged_set set speed = 310 where token = ?")
                .param(clip.set())
                .update();
        follow(0.95);

        assertThat(kept("speed")).isEqualTo("310");
        assertThat(kept("speed_filmed")).isEqualTo("f");
    }

    @Test
    void whatIsNotToBeReliedOnIsShownAsThatAndCountsForNothing() throws Exception {
        follow(0.7);

        assertThat(kept("speed")).isNull();
        assertThat(page(club.asCoach()).select("#bar .watch").text())
                .contains("Not to be relied on", "hardly to be told");
    }

    @Test
    void aRimThatIsNoneIsSaidBesideIt() throws Exception {
        for (String width : new String[] {"3", "", "NaN", "x"}) {
            MockHttpServletResponse answer = say(
                    club.asCoach(),
                    "/bar",
                    Map.of("rimX", "160", "rimY", "200", "rimWidth", width, "pictures", "0 1 1 1"));
            assertThat(answer.getStatus()).as(width).isEqualTo(422);
            Document page = Jsoup.parse(answer.getContentAsString(StandardCharsets.UTF_8));
            assertThat(page.select("#track-rimWidth-says").text()).as(width).isNotEmpty();
            assertThat(page.select("[name=rimX]").val()).isEqualTo("160");
        }
    }
}
