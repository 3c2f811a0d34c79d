package dev.yarbel.web.floor;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.entry;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;

import dev.yarbel.core.estimate.RecordedMax;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.lift.SetUpMeasure;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.MassUnit;
import dev.yarbel.core.record.RepsSeen;
import dev.yarbel.core.record.SetDetails;
import dev.yarbel.web.Clubs4Tests;
import dev.yarbel.web.Clubs4Tests.TestClub;
import dev.yarbel.web.TestSettings;
import dev.yarbel.web.YarbelTest;
import dev.yarbel.web.book.Book;
import java.util.Set;
import java.util.UUID;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
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

    @Autowired
    private Book book;

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
                "squat 3x5 @8 position | Position before load",
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
        return send(club, "A.1", "100", reps, "8", more);
    }

    private MockHttpServletResponse send(
            TestClub club, String task, String load, String reps, String effort, String... more) throws Exception {
        MockHttpServletRequestBuilder request = post(club.url("/floor/sets"))
                .with(club.asLifter())
                .with(csrf())
                .param("day", "0")
                .param("week", "1")
                .param("task", task)
                .param("token", "" + UUID.randomUUID())
                .param("load", load)
                .param("reps", reps)
                .param("effort", effort);
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

    @Test
    void speedWorkTakesOneTapAndCanBeRated() throws Exception {
        TestClub club = clubs.club("squat 8x2 50% speed", "squat 3x5 75%");
        Document card = card(club, "A.1");
        assertThat(card.select(".now .verdict button[value=done]")).hasSize(1);
        assertThat(card.select(".now .rated .picker")).hasSize(1);
        assertThat(card(club, "B.1").select(".now .verdict")).isEmpty();
        send(club, "A.1", "100", "2", "done");
        assertThat(club.plan()
                        .session(0, 1)
                        .orElseThrow()
                        .sets()
                        .get(0)
                        .set()
                        .effort()
                        .isUnrated())
                .isTrue();
    }

    @Test
    void whereTheCoachAsksForItRepsLeftAreAskedForWithThePositionHeld() throws Exception {
        assertThat(card(clubs.club("squat 3x5 @8 position"), "A.1")
                        .select(".picker legend")
                        .text())
                .isEqualTo("How many more could you have done with the position held?");
        assertThat(card(clubs.club("squat 3x5 @8"), "A.1")
                        .select(".picker legend")
                        .text())
                .doesNotContain("position");
    }

    // ---- what was really done

    @Test
    void whatWasSetUpOtherwiseAndWhichRepsBrokeIsKeptAndSaid() throws Exception {
        TestClub club = clubs.club("squat 3x5 100kg");
        Document card = card(club, "A.1");
        assertThat(card.select(".now input[name='used[STANCE]']")).hasSize(1);
        assertThat(card.select(".now input[name=broken]")).hasSize(5);
        assertThat(log(club, "5", "used[STANCE]", "50 cm", "used[RACK_HEIGHT]", " ", "broken", "4", "broken", "5")
                        .getStatus())
                .isEqualTo(302);
        var details =
                club.plan().session(0, 1).orElseThrow().sets().get(0).set().details();
        assertThat(details.setUp()).containsExactly(entry(SetUpMeasure.STANCE, "50 cm"));
        assertThat(details.reps()).contains(RepsSeen.parse("4 5"));
        assertThat(card(club, "A.2").select(".slots").text()).contains("Stance: 50 cm", "broken: rep 4, 5");
        // what was said stands in its form again
        Document again = card(club, "A.1");
        assertThat(again.select(".now input[name='used[STANCE]']").val()).isEqualTo("50 cm");
        assertThat(again.select(".now input[name=broken][checked]").eachAttr("value"))
                .containsExactly("4", "5");
    }

    @Test
    void nobodyWhoDidNotLookSaysThatRepsWereClean() throws Exception {
        TestClub club = clubs.club("squat 3x5 100kg");
        log(club, "5");
        assertThat(club.plan()
                        .session(0, 1)
                        .orElseThrow()
                        .sets()
                        .get(0)
                        .set()
                        .details()
                        .reps())
                .isEmpty();
        TestClub other = clubs.club("squat 3x5 100kg");
        log(other, "5", "clean", "true");
        assertThat(other.plan()
                        .session(0, 1)
                        .orElseThrow()
                        .sets()
                        .get(0)
                        .set()
                        .details()
                        .reps())
                .contains(RepsSeen.CLEAN);
    }

    @Test
    void aRepThatWasNotMadeCannotHaveBroken() throws Exception {
        TestClub club = clubs.club("squat 3x3 100kg");
        MockHttpServletResponse refused = log(club, "3", "broken", "5");
        assertThat(refused.getStatus()).isEqualTo(422);
        assertThat(Jsoup.parse(refused.getContentAsString()).select(".now .bad").text())
                .contains("Only 3 reps were made.");
    }

    @ParameterizedTest
    @EnumSource(SetDetails.MissedBy.class)
    void everyReasonForAMissIsOfferedAndKept(SetDetails.MissedBy why) throws Exception {
        TestClub club = clubs.club("squat 3x5 100kg");
        assertThat(card(club, "A.1").select(".now select[name=why] option").eachAttr("value"))
                .contains(why.name());
        send(club, "A.1", "100", "3", "missed", "why", why.name());
        assertThat(club.plan()
                        .session(0, 1)
                        .orElseThrow()
                        .sets()
                        .get(0)
                        .set()
                        .details()
                        .missedBy())
                .contains(why);
    }

    @Test
    void theCoachMarksBrokenRepsOneByOne() throws Exception {
        TestClub club = clubs.club("squat 3x5 100kg");
        log(club, "5");
        MockHttpServletRequestBuilder seen = post(club.url("/floor/review/sets"))
                .with(club.asCoach())
                .with(csrf())
                .param("day", "0")
                .param("week", "1")
                .param("task", "A.1");
        mvc.perform(seen.param("broken", "3, 5"));
        assertThat(club.plan()
                        .session(0, 1)
                        .orElseThrow()
                        .sets()
                        .get(0)
                        .set()
                        .details()
                        .coach()
                        .reps())
                .contains(RepsSeen.parse("3 5"));
        Document page = Jsoup.parse(
                mvc.perform(get(club.url("/floor/review?day=0&week=1")).with(club.asCoach()))
                        .andReturn()
                        .getResponse()
                        .getContentAsString());
        assertThat(page.select("input[name=broken]").val()).isEqualTo("3 5");
        MockHttpServletRequestBuilder wrong = post(club.url("/floor/review/sets"))
                .with(club.asCoach())
                .with(csrf())
                .param("day", "0")
                .param("week", "1")
                .param("task", "A.1")
                .param("broken", "some");
        assertThat(mvc.perform(wrong).andReturn().getResponse().getStatus()).isEqualTo(422);
    }

    // ---- the coach's figure, and a start where there is none

    @Test
    void theFigureTheCoachWroteStaysInSightWhereTheGymMakesAnother() throws Exception {
        TestClub club = clubs.club("squat 3x5 72.5kg", "squat 3x5 60kg");
        assertThat(card(club, "A.1").select(".now .watch").text()).doesNotContain("nearest");
        // with 20s and 25s alone there is 70 kg, and nothing between that and 110
        jdbc.sql("update piece set removed_at = now() where gym_id = ? and shelf = 'PLATES'"
                        + " and fields ->> 'MASS' !~ '^2[05]\\D*$'")
                .param(club.gym)
                .update();
        assertThat(card(club, "A.1").select(".now .watch").text())
                .contains("The plan asks for 72.5 kg; this is the nearest");
        assertThat(card(club, "B.1").select(".now .watch").text()).doesNotContain("nearest");
    }

    @Test
    void withoutANumberTheCardProposesAStartAndCarriesOnWhatWasUsed() throws Exception {
        TestClub club = clubs.club("front-squat 3x5 100kg", "deadlift 3x5 @8");
        book.setDown(
                club.coach,
                club.lifter,
                new RecordedMax(
                        new Lift("romanian-deadlift"),
                        RecordedMax.Kind.TESTED,
                        Mass.ofKg(140),
                        1,
                        TestSettings.TODAY.minusDays(7),
                        Set.of(),
                        ""),
                MassUnit.KG);
        Document card = card(club, "B.1");
        assertThat(card.select(".now .kinstart").text()).contains("By your Romanian deadlift");
        assertThat(card.select(".now input[name=load]").val())
                .as("proposed, never filled in")
                .isEmpty();
        String start = card.select(".now [data-put]").attr("data-put");
        send(club, "B.1", start, "5", "7");
        assertThat(card(club, "B.2").select(".now input[name=load]").val()).isEqualTo(start);
    }
}
