package dev.yarbel.web.book;

import static dev.yarbel.web.OnPage.shows;
import static dev.yarbel.web.OnPage.tagged;
import static org.assertj.core.api.Assertions.assertThat;
import static org.hamcrest.Matchers.allOf;
import static org.hamcrest.Matchers.containsString;
import static org.hamcrest.Matchers.not;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.content;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.lift.Mastery;
import dev.yarbel.core.lift.Muscle;
import dev.yarbel.core.lift.Tissue;
import dev.yarbel.core.lift.Variation;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.web.Clubs4Tests;
import dev.yarbel.web.Clubs4Tests.TestClub;
import dev.yarbel.web.YarbelTest;
import dev.yarbel.web.page.ChangeKind;
import java.util.Optional;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.test.web.servlet.MockMvc;
import org.springframework.test.web.servlet.ResultActions;
import org.springframework.test.web.servlet.request.MockHttpServletRequestBuilder;

/** What a lifter's loads hang on before the first session: maxes, ratios, mastery, and a novice's start. */
@YarbelTest
class StartingNumbersTest {

    private static final Lift FRONT_SQUAT = new Lift("front-squat");

    @Autowired
    private MockMvc mvc;

    @Autowired
    private Clubs4Tests clubs;

    @Autowired
    private Book book;

    @Autowired
    private Ledger ledger;

    @Autowired
    private JdbcClient jdbc;

    private TestClub club;

    @BeforeEach
    void makeClub() {
        club = clubs.club();
    }

    private ResultActions send(String lift, String path, String... fields) throws Exception {
        MockHttpServletRequestBuilder request = post(club.url("/book/lifts/" + lift + path))
                .with(club.asCoach())
                .with(csrf());
        for (int i = 0; i < fields.length; i += 2) {
            request.param(fields[i], fields[i + 1]);
        }
        return mvc.perform(request);
    }

    private ResultActions max(String lift, String kind, String load, String on, String... more) throws Exception {
        String[] fields = new String[6 + more.length];
        System.arraycopy(new String[] {"kind", kind, "load", load, "on", on}, 0, fields, 0, 6);
        System.arraycopy(more, 0, fields, 6, more.length);
        return send(lift, "/max", fields);
    }

    private Document page(String lift) throws Exception {
        return Jsoup.parse(mvc.perform(get(club.url("/book/lifts/" + lift)).with(club.asCoach()))
                .andExpect(status().isOk())
                .andReturn()
                .getResponse()
                .getContentAsString());
    }

    private Optional<Mass> workingMax(String lift) {
        return book.standing(club.lifter).of(new Lift(lift)).flatMap(LiftRecord::workingMax);
    }

    private Change latest() {
        return ledger.latest(club.lifter, 1).get(0);
    }

    // ---- maxes

    @Test
    void theFirstMaxOfALiftAlsoSetsItsWorkingMaxAtTheCoachsShare() throws Exception {
        jdbc.sql("update lifter set share_of_estimate = 95 where id = ?")
                .param(club.lifter.id())
                .update();
        max("bench-press", "CONTEST", "120", "2026-02-14", "source", "Winter open", "worn", "BELT")
                .andExpect(status().isFound());
        // 95 % of 120 is 114; a working max is a number, not a load
        assertThat(workingMax("bench-press")).contains(Mass.ofKg(114));
        assertThat(page("bench-press").select("#maxes li").text())
                .contains("Contest max 120 kg 14 Feb 2026", "Winter open", "belt", club.coach.personName());
        max("bench-press", "TESTED", "125", "2026-03-01").andExpect(status().isFound());
        assertThat(workingMax("bench-press")).contains(Mass.ofKg(114));
    }

    @ParameterizedTest
    @CsvSource({
        "CONTEST, 1900, 2026-03-01, '', A load above 0 and up to 1000 kg",
        "CONTEST, -5, 2026-03-01, '', A load above 0 and up to 1000 kg",
        "CONTEST, heavy, 2026-03-01, '', A load above 0 and up to 1000 kg",
        "CONTEST, 180, 2026-03-11, '', This day has not come yet.",
        "CONTEST, 180, 31 March, '', 'A day, such as 2026-03-10.'",
        "REP_MAX, 160, 2026-03-01, 1, A number from 2 to 20.",
        "REP_MAX, 160, 2026-03-01, many, A number from 2 to 20.",
        "BEST, 160, 2026-03-01, '', Choose one from the list."
    })
    void aMaxThatCannotBeIsRefusedBesideItsFieldWithWhatWasTyped(
            String kind, String load, String on, String reps, String says) throws Exception {
        max("squat", kind, load, on, "reps", reps, "source", "half typed")
                .andExpect(status().isUnprocessableContent())
                .andExpect(
                        content().string(allOf(containsString(says), tagged(".form-control", "value=\"half typed\""))));
        assertThat(book.standing(club.lifter).of(Lift.SQUAT).orElseThrow().maxes())
                .hasSize(1);
    }

    @Test
    void aGoalMayLieAheadAndMovesNothing() throws Exception {
        max("bench-press", "GOAL", "140", "2026-09-01").andExpect(status().isFound());
        assertThat(workingMax("bench-press")).isEmpty();
        assertThat(book.standing(club.lifter).of(Lift.BENCH_PRESS).orElseThrow().estimate())
                .isEmpty();
    }

    @Test
    void poundsTypedAsKilogramsAreAskedAboutAndKeptWhenStoodBy() throws Exception {
        // the last entry is 200 kg, which is 440.9 lb
        max("squat", "TESTED", "441", "2026-03-01")
                .andExpect(status().isUnprocessableContent())
                .andExpect(content()
                        .string(allOf(
                                shows("#max-load-says", "The last entry was 200 kg"), shows(".act", "Yes, 441"))));
        max("squat", "TESTED", "441 lb", "2026-03-01").andExpect(status().isFound());
        max("squat", "TESTED", "441", "2026-03-01", "confirmed", "441").andExpect(status().isFound());
        // what was typed in lb is shown in lb
        assertThat(page("squat").select("#maxes li").text()).contains("441 lb", "441 kg");
    }

    @Test
    void aStruckMaxCanBeBroughtBackAndTheLedgerHasBoth() throws Exception {
        max("bench-press", "CONTEST", "120", "2026-02-14");
        long id = jdbc.sql("select max(id) from recorded_max where lifter_id = ?")
                .param(club.lifter.id())
                .query(Long.class)
                .single();
        send("maxes", "/" + id + "/remove").andExpect(status().isFound());
        assertThat(page("bench-press").select("#maxes li")).isEmpty();
        assertThat(latest().before()).isEqualTo("120 kg");
        send("maxes", "/" + id + "/restore").andExpect(status().isFound());
        assertThat(page("bench-press").select("#maxes li")).hasSize(1);
    }

    // ---- what a share hangs on

    @Test
    void eachReferenceSaysWhatAShareOfItWouldLoadAndHowOldItIs() throws Exception {
        max("squat", "CONTEST", "190", "2025-11-01");
        max("squat", "GOAL", "215", "2026-06-01");
        max("squat", "REP_MAX", "170", "2026-02-20", "reps", "5");
        String hanging = page("squat?share=75").select(".hanging tbody").text();
        // 75 % of 200, 190, 215 and 170 to the nearest 2.5 kg, halves down
        assertThat(hanging)
                .contains("Working max 200 kg 150 kg the plan hangs on this")
                .contains("Contest max 190 kg 142.5 kg 1 Nov 2025 18 weeks old")
                .contains("Goal 215 kg 160 kg 1 Jun 2026")
                .contains("5RM 170 kg 127.5 kg 20 Feb 2026");
        assertThat(page("squat?share=75").text()).contains("Made with the bar of Gym.");
        mvc.perform(get(club.url("/book/lifts/squat?share=500")).with(club.asCoach()))
                .andExpect(status().isUnprocessableContent());
    }

    @Test
    void aRepMaxIsReadByEveryPublishedFormula() throws Exception {
        max("deadlift", "REP_MAX", "200", "2026-03-01", "reps", "5");
        String reading = page("deadlift").select("section:has(#reading-title)").text();
        // Epley 1985: 200 × (1 + 5/30) = 233.3; Brzycki 1993: 200 × 36/32 = 225; O'Conner et al. 1989: 200 × 1.125 =
        // 225
        assertThat(reading).contains("Epley 233.3 kg", "Brzycki 225 kg", "O’Conner et al. 225 kg");
        // Mayhew et al. 1992: 100·200 / (52.2 + 41.9·e^−0.275) = 238.0, the highest
        assertThat(reading).contains("Between 225 kg and 238 kg by the published formulas");
    }

    @Test
    void aRepMaxOfManyRepsIsShownButStartsNoEstimate() throws Exception {
        max("deadlift", "REP_MAX", "120", "2026-03-01", "reps", "20");
        assertThat(page("deadlift").text()).contains("it starts no estimate");
        assertThat(book.standing(club.lifter).of(Lift.DEADLIFT).orElseThrow().estimate())
                .isEmpty();
    }

    @Test
    void theWorkingMaxIsSetByTheCoachAndRecorded() throws Exception {
        send("squat", "/working-max", "load", "190").andExpect(status().isFound());
        assertThat(workingMax("squat")).contains(Mass.ofKg(190));
        assertThat(latest().kind()).isEqualTo(ChangeKind.WORKING_MAX);
        assertThat(latest().before()).isEqualTo("200 kg");
        send("squat", "/working-max", "load", "418")
                .andExpect(status().isUnprocessableContent())
                .andExpect(content().string(shows("#working-max-load-says", "is the unit right?")));
        send("squat", "/working-max", "load", "0").andExpect(status().isUnprocessableContent());
    }

    // ---- variations

    @Test
    void aVariationTakesItsParentsNumbersByItsRatioAndSaysSo() throws Exception {
        assertThat(page("front-squat").text()).contains("75 % of it until more is known");
        assertThat(page("front-squat").select(".hanging tbody").text())
                .contains("Working max, by its ratio 150 kg 112.5 kg");
        send("front-squat", "/ratio", "ratio", "80").andExpect(status().isFound());
        assertThat(page("front-squat").text()).contains("80 % of it, set by the coach");
        assertThat(book.standing(club.lifter).numbers().of(FRONT_SQUAT).workingMax())
                .contains(Mass.ofKg(160));
        send("front-squat", "/ratio", "ratio", "").andExpect(status().isFound());
        assertThat(book.standing(club.lifter).numbers().of(FRONT_SQUAT).workingMax())
                .contains(Mass.ofKg(150));
        send("front-squat", "/ratio", "ratio", "300").andExpect(status().isUnprocessableContent());
        send("squat", "/ratio", "ratio", "80").andExpect(status().isNotFound());
    }

    @Test
    void anEachMaxOfItsOwnOutweighsTheRatio() throws Exception {
        max("front-squat", "TESTED", "140", "2026-03-01");
        assertThat(book.standing(club.lifter).numbers().of(FRONT_SQUAT).workingMax())
                .contains(Mass.ofKg(140));
    }

    @Test
    void aCoachAddsAVariationTheWholeClubHas() throws Exception {
        MockHttpServletRequestBuilder add = post(club.url("/book/lifts"))
                .with(club.asCoach())
                .with(csrf())
                .param("name", "Squat to a low box")
                .param("parent", "squat")
                .param("ratio", "70")
                .param("implement", "BARBELL")
                .param("card", "BOX_HEIGHT");
        mvc.perform(add).andExpect(status().isFound());
        Document page = page("own-squat-to-a-low-box");
        assertThat(page.select("h1").text()).startsWith("Squat to a low box");
        assertThat(page.select("#card").text()).contains("Box height");
        assertThat(page.select(".hanging tbody").text()).contains("140 kg");
        mvc.perform(add)
                .andExpect(status().isUnprocessableContent())
                .andExpect(content()
                        .string(allOf(
                                shows("#own-name-says", "There is a lift by that name."),
                                tagged(".form-control", "value=\"Squat to a low box\""))));
        TestClub other = clubs.club();
        mvc.perform(get(other.url("/book/lifts/own-squat-to-a-low-box")).with(other.asCoach()))
                .andExpect(status().isNotFound());
    }

    /** A sled, a hanging band: they are no variation of anything. */
    @Test
    void aLiftOfOnesOwnNeedsNoParent() throws Exception {
        mvc.perform(post(club.url("/book/lifts"))
                        .with(club.asCoach())
                        .with(csrf())
                        .param("name", "Sled push")
                        .param("parent", "")
                        .param("ratio", "")
                        .param("implement", "BODY"))
                .andExpect(status().isUnprocessableContent());
        mvc.perform(post(club.url("/book/lifts"))
                        .with(club.asCoach())
                        .with(csrf())
                        .param("name", "Sled push")
                        .param("parent", "")
                        .param("ratio", "")
                        .param("implement", "BODY")
                        .param("trains", "QUADS")
                        .param("loads", "KNEE"))
                .andExpect(status().isFound());
        Variation sled = book.catalogue(club.lifter.clubId()).of(new Lift("own-sled-push"));
        assertThat(sled.parent()).isEmpty();
        assertThat(sled.trains()).containsExactly(Muscle.QUADS);
        assertThat(sled.loads()).containsExactly(Tissue.KNEE);
        assertThat(page("own-sled-push").text()).contains("Sled push");
    }

    @Test
    void aSetUpCardIsKeptAndShownOnTheFloor() throws Exception {
        send("squat", "/set-up", "card[RACK_HEIGHT]", "hole 14", "card[STANCE]", "42 cm")
                .andExpect(status().isFound());
        mvc.perform(get(club.url("/floor")).with(club.asLifter()))
                .andExpect(content().string(allOf(shows(".facts", "hole 14"), shows(".facts", "42 cm"))));
        send("squat", "/set-up", "card[RACK_HEIGHT]", "hole 13", "card[STANCE]", "")
                .andExpect(status().isFound());
        mvc.perform(get(club.url("/floor")).with(club.asLifter()))
                .andExpect(content().string(allOf(shows(".facts", "hole 13"), not(containsString("42 cm")))));
        assertThat(ledger.latest(club.lifter, 2))
                .extracting(Change::before)
                .containsExactlyInAnyOrder("hole 14", "42 cm");
    }

    // ---- mastery

    @Test
    void masteryIsSuggestedWithItsReasonsAndDecidedByTheCoach() throws Exception {
        assertThat(page("squat").select("#mastery").text()).contains("Nothing is known yet");
        send("squat", "/mastery", "since", "2025-12-01", "consistency", "VARIES", "mastery", "")
                .andExpect(status().isFound());
        assertThat(page("squat").select("#mastery").text())
                .contains("speaks for a beginner", "3 months with this lift: beginner", "every rep looks different");
        send("squat", "/mastery", "since", "2025-12-01", "consistency", "VARIES", "mastery", "INTERMEDIATE");
        assertThat(book.standing(club.lifter).of(Lift.SQUAT).orElseThrow().mastery())
                .contains(Mastery.INTERMEDIATE);
        // of this lift alone
        assertThat(book.standing(club.lifter).of(Lift.DEADLIFT)).isEmpty();
        send("squat", "/mastery", "since", "2027-01-01").andExpect(status().isUnprocessableContent());
    }

    // ---- a novice's start

    @Test
    void theDeadliftsTestBeginsWithFullSizeDiscsAndGoesOnFromBlocks() throws Exception {
        assertThat(test("deadlift").select(".nowload .big").first().text()).isEqualTo("60 kg");
        assertThat(test("deadlift").text()).doesNotContain("lies too low");
        assertThat(test("squat").select(".nowload .big").first().text()).isEqualTo("20 kg");
        send("deadlift", "/start/sets", "number", "1", "load", "60", "effort", "missed")
                .andExpect(status().isFound());
        assertThat(test("deadlift").select(".nowload .big").first().text()).isEqualTo("30 kg");
        assertThat(test("deadlift").text()).contains("lies too low");
    }

    private Document test(String lift) throws Exception {
        return Jsoup.parse(
                mvc.perform(get(club.url("/book/lifts/" + lift + "/start")).with(club.asCoach()))
                        .andReturn()
                        .getResponse()
                        .getContentAsString());
    }

    private void set(int number, String load, String effort) throws Exception {
        send("bench-press", "/start/sets", "number", "" + number, "load", load, "effort", effort)
                .andExpect(status().isFound());
    }

    @Test
    void theGuidedTestClimbsInFivesAndEndsInAStartingWorkingMax() throws Exception {
        assertThat(test("bench-press").select(".nowload .big").first().text()).isEqualTo("20 kg");
        set(1, "20", "easy");
        String second = test("bench-press").select(".nowload .big").first().text();
        assertThat(Mass.parse(second, null)).isGreaterThan(Mass.ofKg(20));
        set(2, "40", "7");
        assertThat(test("bench-press").text()).contains("Three left: that is enough.");
        send("bench-press", "/start/end").andExpect(status().isFound());
        // five at three left are eight in all; the working max is below the max they speak for
        LiftRecord bench = book.standing(club.lifter).of(Lift.BENCH_PRESS).orElseThrow();
        assertThat(bench.workingMax().orElseThrow()).isBetween(Mass.ofKg(40), Mass.ofKg(53));
        assertThat(bench.maxes().get(0).source()).isEqualTo("guided test");
    }

    @Test
    void aSetOfTheTestSentTwiceCountsOnceAndCanBeTakenBack() throws Exception {
        set(1, "20", "easy");
        set(1, "20", "easy");
        assertThat(test("bench-press").select("ol.measured li")).hasSize(1);
        send("bench-press", "/start/back").andExpect(status().isFound());
        assertThat(test("bench-press").select("ol.measured li")).isEmpty();
        send("bench-press", "/start/sets", "number", "1", "load", "a lot", "effort", "7")
                .andExpect(status().isUnprocessableContent())
                .andExpect(content().string(tagged(".form-control", "value=\"a lot\"")));
        send("bench-press", "/start/sets", "number", "1", "load", "20", "effort", "")
                .andExpect(status().isUnprocessableContent());
    }

    @Test
    void aLoadGoodForFifteenToTwentyStartsALiftToo() throws Exception {
        send("deadlift", "/start/good-for", "good", "60").andExpect(status().isFound());
        LiftRecord deadlift = book.standing(club.lifter).of(Lift.DEADLIFT).orElseThrow();
        assertThat(deadlift.workingMax().orElseThrow()).isGreaterThan(Mass.ofKg(60));
        assertThat(deadlift.maxes().get(0).source()).isEqualTo("load good for 15 to 20");
        send("deadlift", "/start/good-for", "good", "").andExpect(status().isUnprocessableContent());
    }

    @Test
    void aLiftTheGymHasNothingForCannotBeTested() throws Exception {
        assertThat(test("log-press").text()).contains("not in the gym: log");
        send("log-press", "/start/end").andExpect(status().isNotFound());
    }

    @Test
    void aFigureThatIsTooLongForTheCardIsSaidBesideItAndTheOthersStay() throws Exception {
        send("squat", "/set-up", "card[RACK_HEIGHT]", "hole 12", "card[STANCE]", "x".repeat(41))
                .andExpect(status().isUnprocessableContent())
                .andExpect(content()
                        .string(allOf(
                                shows("[id='set-up-card[STANCE]-says']", "1 to 40 characters."),
                                tagged("[name='card[RACK_HEIGHT]']", "value=\"hole 12\""))));
    }
}
