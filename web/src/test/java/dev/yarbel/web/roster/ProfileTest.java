package dev.yarbel.web.roster;

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

import dev.yarbel.core.lifter.HealthQuestion;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.Percent;
import dev.yarbel.core.session.Demand;
import dev.yarbel.web.Clubs4Tests;
import dev.yarbel.web.Clubs4Tests.TestClub;
import dev.yarbel.web.YarbelTest;
import dev.yarbel.web.book.Change;
import dev.yarbel.web.book.Ledger;
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
import org.springframework.test.web.servlet.request.RequestPostProcessor;

/** Who a lifter is, what slows them, what must not be done. */
@YarbelTest
class ProfileTest {

    @Autowired
    private MockMvc mvc;

    @Autowired
    private Clubs4Tests clubs;

    @Autowired
    private Roster roster;

    @Autowired
    private Ledger ledger;

    @Autowired
    private JdbcClient jdbc;

    private TestClub club;

    @BeforeEach
    void makeClub() {
        club = clubs.club();
    }

    private ResultActions send(RequestPostProcessor who, String path, String... fields) throws Exception {
        MockHttpServletRequestBuilder request =
                post(club.url("/profile" + path)).with(who).with(csrf());
        for (int i = 0; i < fields.length; i += 2) {
            request.param(fields[i], fields[i + 1]);
        }
        return mvc.perform(request);
    }

    private ResultActions send(String path, String... fields) throws Exception {
        return send(club.asCoach(), path, fields);
    }

    private ResultActions keep(String field, String value) throws Exception {
        return send("/fields/" + field, "value", value);
    }

    private ResultActions look(String path) throws Exception {
        return mvc.perform(get(club.url(path)).with(club.asCoach()));
    }

    private Document profile() throws Exception {
        return Jsoup.parse(look("/profile").andReturn().getResponse().getContentAsString());
    }

    private String kept(String field) throws Exception {
        return profile().select("#" + field + "-value").val();
    }

    private Change latest() {
        return ledger.latest(club.lifter, 1).get(0);
    }

    private Optional<Mass> bodyMass() {
        return roster.lifter(club.coach, club.lifter.id()).bodyMass();
    }

    private long newest(String table) {
        return jdbc.sql("select max(id) from " + table + " where lifter_id = ?")
                .param(club.lifter.id())
                .query(Long.class)
                .single();
    }

    @ParameterizedTest
    @CsvSource({
        "name, Signe Aalto, Signe Aalto",
        "birth-year, 1990, 1990",
        "height, 1.83 m, 183 cm",
        "height, 6 ft, 182.9 cm",
        "days, 4, 4",
        "minutes, 75, 75",
        "sleep, '6,5', 6.5",
        "share, 92.5, 92.5",
        "beat-points, '1,5', 1.5",
        "rest-points, 12, 12",
        "tired-points, 0, 0",
        "set-drift, 0.25, 0.25",
        "job, dock labourer, dock labourer",
        "novice-since, 2026-02-01, 2026-02-01"
    })
    void aFieldIsKeptAsItIsLeftAndTheLedgerSaysBy(String field, String typed, String shown) throws Exception {
        keep(field, typed).andExpect(status().isFound());
        assertThat(kept(field)).isEqualTo(shown);
        assertThat(latest().subject()).containsExactly(field);
        assertThat(latest().after()).isEqualTo(shown);
        assertThat(latest().who()).isEqualTo(club.coach.personName());
    }

    @Test
    void whetherALifterIsSoonOutOfBreathIsAskedOnThePage() throws Exception {
        assertThat(profile().select("#breath-value option").eachAttr("value")).contains("GASPS");
        keep("breath", "GASPS").andExpect(status().isFound());
        assertThat(profile().select("#breath-value option[selected]").val()).isEqualTo("GASPS");
        assertThat(roster.lifter(club.coach, club.lifter.id()).soonOutOfBreath())
                .isTrue();
    }

    /** Blank stands for the starting value, which may change under a lifter; what a coach set does not. */
    @Test
    void whatMakesALoadHeavierIsTheirsWhereTheCoachSaidSo() throws Exception {
        assertThat(roster.lifter(club.coach, club.lifter.id()).demand()).isEqualTo(Demand.Figures.START);
        keep("rest-points", "14");
        keep("set-drift", "0.4");
        Demand.Figures start = Demand.Figures.START;
        assertThat(roster.lifter(club.coach, club.lifter.id()).demand())
                .isEqualTo(new Demand.Figures(start.aSecond(), Percent.of(14), start.tired(), Percent.of("0.4")));
        keep("rest-points", " ");
        keep("set-drift", "");
        assertThat(roster.lifter(club.coach, club.lifter.id()).demand()).isEqualTo(start);
    }

    @ParameterizedTest
    @CsvSource({
        "name, ' ', This is needed.",
        "birth-year, 1890, A number from 1920 to 2020.",
        "birth-year, soon, A number from 1920 to 2020.",
        "height, 40 cm, A length from 100 cm to 250 cm.",
        "days, 8, A number from 1 to 7.",
        "sleep, 30, A number from 2 to 14.",
        "share, 80, A number from 90 to 100.",
        "beat-points, 4, A number from 0 to 3.",
        "set-drift, a bit, A number from 0 to 1.",
        "sport, CHESS, Choose one from the list.",
        "novice-since, 2026-03-11, This day has not come yet."
    })
    void whatCannotBeKeptIsSaidBesideItsFieldAndStaysThere(String field, String typed, String says) throws Exception {
        Document page = Jsoup.parse(keep(field, typed)
                .andExpect(status().isUnprocessableContent())
                .andReturn()
                .getResponse()
                .getContentAsString());
        assertThat(page.select("#" + field + " .bad").text()).isEqualTo(says);
        if (!field.equals("sport")) {
            assertThat(page.select("#" + field + "-value").attr("value").strip())
                    .isEqualTo(typed.strip());
        }
        assertThat(ledger.latest(club.lifter, 5)).isEmpty();
    }

    @Test
    void aFieldLeftAsItWasIsNoChange() throws Exception {
        keep("sleep", "7").andExpect(status().isFound());
        keep("sleep", "7").andExpect(status().isFound());
        assertThat(ledger.latest(club.lifter, 5)).hasSize(1);
        keep("sleep", "").andExpect(status().isFound());
        assertThat(kept("sleep")).isEmpty();
    }

    @Test
    void whatIsSaidMakesMoreWorthAsking() throws Exception {
        assertThat(profile().select("#weight-class, #job-strains, #guardian")).isEmpty();
        keep("sport", "STRONGMAN");
        keep("job", "roofer");
        keep("birth-year", "2010");
        assertThat(profile().select("#weight-class, #job-strains, #guardian")).hasSize(3);
    }

    @Test
    void theLifterKeepsTheirOwnFieldsButNotTheCoachs() throws Exception {
        send(club.asLifter(), "/fields/sleep", "value", "6").andExpect(status().isFound());
        send(club.asLifter(), "/fields/share", "value", "99").andExpect(status().isForbidden());
        send(club.asLifter(), "/fields/guardian", "value", "me").andExpect(status().isForbidden());
        send(club.asLifter(), "/notes", "kind", "COACH_WANTS", "text", "less").andExpect(status().isForbidden());
        send(club.asLifter(), "/fields/nothing", "value", "1").andExpect(status().isNotFound());
    }

    // ---- measured

    @Test
    void bodyMassInTheWrongUnitIsAskedAboutOnceAndKeptWhenStoodBy() throws Exception {
        send("/measurements", "kind", "BODY_MASS", "figure", "83", "on", "2026-03-01")
                .andExpect(status().isFound());
        // 183 lb typed as kg would be 2.2 times the last one
        send("/measurements", "kind", "BODY_MASS", "figure", "183", "on", "2026-03-10")
                .andExpect(status().isUnprocessableContent())
                .andExpect(content()
                        .string(allOf(
                                shows("#body-mass-figure-says", "The last entry was 83 kg"),
                                shows(".act", "Yes, 183"))));
        assertThat(bodyMass()).contains(Mass.ofKg(83));
        send("/measurements", "kind", "BODY_MASS", "figure", "183 lb", "on", "2026-03-10")
                .andExpect(status().isFound());
        assertThat(bodyMass()).contains(Mass.ofLb(183));
        send("/measurements", "kind", "BODY_MASS", "figure", "183", "on", "2026-03-10", "confirmed", "183")
                .andExpect(status().isFound());
        assertThat(bodyMass()).contains(Mass.ofKg(183));
    }

    @ParameterizedTest
    @CsvSource({
        "BODY_MASS, 400, 2026-03-01, A load above 0 and up to 350 kg",
        "BODY_MASS, 8, 2026-03-01, A body mass of at least 20 kg.",
        "BODY_MASS, 80, 2026-03-11, This day has not come yet.",
        "BODY_MASS, 80, 1911-03-11, More than eighty years ago",
        "BODY_MASS, 80, yesterday, 'A day, such as'",
        "WAIST, 3, 2026-03-01, A length from 15 cm to 250 cm.",
        "PUSH_UPS, -4, 2026-03-01, A number from 0 to 1000."
    })
    void aMeasurementThatCannotBeIsRefusedWithWhatCanBe(String kind, String figure, String on, String says)
            throws Exception {
        send("/measurements", "kind", kind, "figure", figure, "on", on)
                .andExpect(status().isUnprocessableContent())
                .andExpect(content().string(allOf(containsString(says), containsString("value=\"" + figure + "\""))));
    }

    @Test
    void aStruckMeasurementCanBeBroughtBack() throws Exception {
        send("/measurements", "kind", "PUSH_UPS", "figure", "31", "on", "2026-03-01");
        long id = newest("measurement");
        send("/measurements/" + id + "/remove").andExpect(status().isFound());
        assertThat(profile().select(".measured").text()).doesNotContain("31");
        assertThat(latest().before()).isEqualTo("31");
        send("/measurements/" + id + "/restore").andExpect(status().isFound());
        assertThat(profile().select(".measured").text()).contains("Push-ups 31");
    }

    // ---- wants and notes

    @Test
    void whatIsWantedHasItsAuthorAndTheNewestStands() throws Exception {
        send(club.asLifter(), "/notes", "kind", "LIFTER_WANTS", "text", "Pull 200");
        send("/notes", "kind", "COACH_WANTS", "text", "Pull 200 with a flat back");
        send("/notes", "kind", "COACH_WANTS", "text", "A flat back");
        String notes = profile().select("#notes").text();
        assertThat(notes)
                .contains("Pull 200", "A flat back", club.lifterPerson.personName(), club.coach.personName())
                .doesNotContain("with a flat back");
    }

    @Test
    void aStruckNoteCanBeBroughtBack() throws Exception {
        send("/notes", "kind", "NOTE", "text", "Calls everything an 8");
        long id = newest("lifter_note");
        send("/notes/" + id + "/remove");
        look("/profile").andExpect(content().string(not(containsString("Calls everything an 8"))));
        send("/notes/" + id + "/restore");
        look("/profile").andExpect(content().string(shows(".noted", "Calls everything an 8")));
        send("/notes", "kind", "NOTE", "text", " ").andExpect(status().isUnprocessableContent());
    }

    // ---- aches

    @Test
    void anOpenAcheShowsWhereverALiftThatLoadsItIsPlannedOrLifted() throws Exception {
        send(club.asLifter(), "/aches", "place", "KNEE", "words", "left, under load", "since", "2026-03-02")
                .andExpect(status().isFound());
        for (String page : new String[] {"/plan", "/floor", "/book", "/book/lifts/squat"}) {
            look(page).andExpect(content().string(shows(".num, .watch", "left, under load")));
        }
        // a bench press does not load the knee
        look("/book/lifts/bench-press").andExpect(content().string(not(containsString("left, under load"))));
        look("/floor").andExpect(content().string(shows(".watch", "Stop at the first pain.")));
        mvc.perform(get("/lifters").with(club.asCoach())).andExpect(content().string(shows(".watch", "open ache")));
        long id = newest("ache");
        send("/aches/" + id + "/clear", "by", "", "on", "2026-03-09").andExpect(status().isUnprocessableContent());
        send("/aches/" + id + "/clear", "by", "her physiotherapist", "on", "2026-03-09")
                .andExpect(status().isFound());
        look("/plan").andExpect(content().string(not(containsString("left, under load"))));
        assertThat(profile().select("#aches").text()).contains("cleared by her physiotherapist, 9 March");
        send("/aches/" + id + "/reopen");
        look("/plan").andExpect(content().string(shows(".watch", "left, under load")));
    }

    @Test
    void anAcheNamedWithItsLiftsShowsAtThoseAndTheirVariationsAlone() throws Exception {
        send("/aches", "place", "KNEE", "words", "odd", "since", "2026-03-02", "lifts", "deadlift, Front squat")
                .andExpect(status().isFound());
        look("/book/lifts/squat").andExpect(content().string(not(containsString("odd"))));
        look("/book/lifts/front-squat").andExpect(content().string(shows(".watch", "odd")));
        look("/book/lifts/sumo-deadlift").andExpect(content().string(shows(".watch", "odd")));
        send("/aches", "place", "KNEE", "since", "2026-03-02", "lifts", "deadlift, levitation")
                .andExpect(status().isUnprocessableContent())
                .andExpect(content()
                        .string(allOf(
                                shows("#ache-lifts-says", "There is no lift called levitation"),
                                tagged(".form-control", "value=\"deadlift, levitation\""))));
    }

    // ---- health and consent

    private void answer(boolean yesToHeart) throws Exception {
        MockHttpServletRequestBuilder request =
                post(club.url("/profile/health")).with(club.asLifter()).with(csrf());
        for (HealthQuestion question : HealthQuestion.values()) {
            request.param("answers[" + question + "]", question == HealthQuestion.HEART && yesToHeart ? "yes" : "no");
        }
        mvc.perform(request).andExpect(status().isFound());
    }

    @Test
    void untilTheHealthQuestionsAreAnsweredTheFloorAsksForThem() throws Exception {
        look("/floor").andExpect(content().string(shows(".watch", "The health questions have not all been answered.")));
        answer(false);
        look("/floor").andExpect(content().string(not(containsString("health questions"))));
    }

    @Test
    void aYesIsACautionEverywhereUntilAProfessionalClearedIt() throws Exception {
        answer(true);
        String stop = "Stop: a health question was answered with yes";
        for (String page : new String[] {"/plan", "/floor", "/book", "/profile", "/book/lifts"}) {
            look(page).andExpect(content().string(shows(".stop", stop)));
        }
        mvc.perform(get("/lifters").with(club.asCoach()))
                .andExpect(content().string(shows(".stop", "medical clearance")));
        send(club.asLifter(), "/health/clear", "by", "me", "on", "2026-03-09").andExpect(status().isForbidden());
        send("/health/clear", "by", "", "on", "2026-03-09").andExpect(status().isUnprocessableContent());
        send("/health/clear", "by", "her cardiologist", "on", "2026-03-09").andExpect(status().isFound());
        look("/floor").andExpect(content().string(not(containsString(stop))));
        assertThat(profile().select("#health").text()).contains("Cleared by her cardiologist, 9 March.");
        // another yes is news to whoever cleared the first
        send("/health", "answers[SURGERY]", "yes");
        look("/floor").andExpect(content().string(shows(".stop", stop)));
    }

    @Test
    void aMinorNeedsAGuardiansConsent() throws Exception {
        keep("birth-year", "2009");
        look("/floor").andExpect(content().string(shows(".stop", "no guardian’s consent is noted")));
        keep("guardian", "her mother, in person, 1 March");
        look("/floor").andExpect(content().string(not(containsString("guardian’s consent"))));
    }
}
