package dev.yarbel.web.floor;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;

import dev.yarbel.web.Clubs4Tests;
import dev.yarbel.web.Clubs4Tests.TestClub;
import dev.yarbel.web.YarbelTest;
import java.util.UUID;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.mock.web.MockHttpServletResponse;
import org.springframework.test.web.servlet.MockMvc;
import org.springframework.test.web.servlet.request.MockHttpServletRequestBuilder;

/** What makes a set special is said large; what its dose leaves open is asked and never made up. */
@YarbelTest
class SpecialSetsTest {

    @Autowired
    private MockMvc mvc;

    @Autowired
    private Clubs4Tests clubs;

    @Autowired
    private JdbcClient jdbc;

    private Document card(TestClub club, String task) throws Exception {
        return Jsoup.parse(
                mvc.perform(get(club.url("/floor?day=0&week=1&task=" + task)).with(club.asLifter()))
                        .andReturn()
                        .getResponse()
                        .getContentAsString());
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "squat 3x3 100kg +bands 10/35kg | Bands add 10 kg to 35 kg: you hold 110 kg at the bottom, 135 kg at the top",
                "squat 3x3 100kg +chains 15kg | Chains add 0 kg to 15 kg: you hold 100 kg at the bottom, 115 kg at the top",
                "squat 3x3 100kg +bands 10/35kg blind | Bands add 10 kg at the bottom, 35 kg at the top",
                "squat 3x5 60% lowering tempo 5010 | Lower slowly, 5 s",
                "squat 3x5 60% lowering | Lower slowly",
                "squat 3x5 60% assisted | With a helper",
                "squat 8x2 50% speed | as fast as you can",
                "squat 3x5 60% partial | Part of the way only",
                "squat 3x5 60% paused | Hold it still",
                "squat 3x5 60% rest free | Rest as long as it takes",
                "barbell-row 3x10 feel choice bad | one you are bad at"
            })
    void theCardSaysLargeWhatMakesASetSpecial(String slot, String words) throws Exception {
        TestClub club = clubs.club(slot);
        assertThat(card(club, "A.1").select(".now .special").text()).contains(words);
        // what it says of a set to come, and of one that was done, is the same without figures
        assertThat(card(club, "A.1").select(".next b").text()).isNotEmpty();
    }

    @ParameterizedTest
    @ValueSource(strings = {"squat 3x5 75%", "squat 1 @8"})
    void aPlainSetSaysNothingMore(String slot) throws Exception {
        assertThat(card(clubs.club(slot), "A.1").select(".special")).isEmpty();
    }

    @Test
    void aWarmUpIsPlainWhateverItLeadsTo() throws Exception {
        assertThat(card(clubs.club("squat 3x3 140kg +bands 10/35kg"), "A.w1").select(".special"))
                .isEmpty();
    }

    private MockHttpServletResponse log(TestClub club, String reps, String... more) throws Exception {
        MockHttpServletRequestBuilder request = post(club.url("/floor/sets"))
                .with(club.asLifter())
                .with(csrf())
                .param("day", "0")
                .param("week", "1")
                .param("task", "A.1")
                .param("token", "" + UUID.randomUUID())
                .param("load", "100")
                .param("reps", reps)
                .param("effort", "8");
        for (int i = 0; i < more.length; i += 2) {
            request.param(more[i], more[i + 1]);
        }
        return mvc.perform(request).andReturn().getResponse();
    }

    @ParameterizedTest
    @CsvSource({
        "squat 3x8-12 @8, Reps made, 8, true",
        "squat 1x5+ 75%, Reps made, 5, false",
        "squat max to @9 80%, Reps made,, false",
        "squat 20 reps feel, Reps made,, false",
        "squat rounds in 10min, Rounds made,, false"
    })
    void whatTheDoseLeavesOpenIsAskedAndNotMadeUp(String slot, String label, Integer least, boolean likely)
            throws Exception {
        TestClub club = clubs.club(slot);
        Document card = card(club, "A.1");
        assertThat(card.select(".now input[name=reps]").attr("value")).isEmpty();
        assertThat(card.select(".now input[name=reps]").hasAttr("required")).isTrue();
        assertThat(card.select(".now .fields").text()).contains(label);
        // a thumb counts up from the least, or fills in a count of the range in one tap
        if (least != null) {
            assertThat(card.select(".counting").attr("data-least")
                            + card.select(".likely button").eachText())
                    .isEqualTo(likely ? "[8, 9, 10, 11, 12]" : least + "[]");
        }
        MockHttpServletResponse refused = log(club, "");
        assertThat(refused.getStatus()).isEqualTo(422);
        assertThat(Jsoup.parse(refused.getContentAsString()).select(".now .bad").text())
                .contains("How many did you make?");
        assertThat(club.plan().session(0, 1)).isEmpty();
        assertThat(log(club, "9").getStatus()).isEqualTo(302);
    }

    @ParameterizedTest
    @ValueSource(strings = {"squat 3x5 75%", "squat 3x5+ 75%", "squat 10x1 in 10min gap 30s 90%"})
    void whatTheDoseSettlesStandsThere(String slot) throws Exception {
        Document card = card(clubs.club(slot), "A.1");
        assertThat(card.select(".now input[name=reps]").attr("value")).isNotEmpty();
        assertThat(card.select(".counting")).isEmpty();
    }

    @Test
    void whoeverChoosesTheExerciseSaysWhich() throws Exception {
        TestClub club = clubs.club("barbell-row 3x10 feel choice");
        assertThat(card(club, "A.1").select(".now input[name=note]").hasAttr("required"))
                .isTrue();
        MockHttpServletResponse refused = log(club, "10");
        assertThat(refused.getStatus()).isEqualTo(422);
        assertThat(Jsoup.parse(refused.getContentAsString()).select(".now .bad").text())
                .contains("Which exercise");
        assertThat(log(club, "10", "note", "chest-supported rows").getStatus()).isEqualTo(302);
        assertThat(card(club, "A.2").select(".slots .done").text())
                .contains("Your choice of exercise", "chest-supported rows");
    }

    /** Whoever thinks in pounds is told in pounds. */
    @ParameterizedTest
    @CsvSource({"KG, up to 1000 kg", "LB, up to 2204 lb"})
    void aLoadThatCannotBeReadIsExplainedInTheLiftersUnit(String unit, String words) throws Exception {
        TestClub club = clubs.club();
        jdbc.sql("update lifter set unit = ? where id = ?")
                .params(unit, club.lifter.id())
                .update();
        MockHttpServletResponse refused = mvc.perform(post(club.url("/floor/sets"))
                        .with(club.asLifter())
                        .with(csrf())
                        .param("day", "0")
                        .param("week", "1")
                        .param("task", "A.1")
                        .param("token", "" + UUID.randomUUID())
                        .param("load", "abc")
                        .param("reps", "1")
                        .param("effort", "8"))
                .andReturn()
                .getResponse();
        assertThat(Jsoup.parse(refused.getContentAsString()).select(".now .bad").text())
                .contains(words);
    }
}
