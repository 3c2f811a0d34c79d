package dev.yarbel.web.book;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.redirectedUrl;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import dev.yarbel.core.effort.Effort;
import dev.yarbel.core.effort.Rpe;
import dev.yarbel.core.estimate.RecordedMax;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.lifter.HealthQuestion;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.MassUnit;
import dev.yarbel.core.record.CoachSeen;
import dev.yarbel.core.record.LiftedSet;
import dev.yarbel.core.record.SetDetails;
import dev.yarbel.core.session.DoneSet;
import dev.yarbel.core.session.TaskKey;
import dev.yarbel.web.Clubs4Tests;
import dev.yarbel.web.Clubs4Tests.TestClub;
import dev.yarbel.web.TestSettings;
import dev.yarbel.web.YarbelTest;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.jsoup.nodes.Element;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.test.web.servlet.MockMvc;
import org.springframework.test.web.servlet.ResultActions;
import org.springframework.test.web.servlet.request.MockHttpServletRequestBuilder;

/** The book begins with the lifter; decisions stand on a page of their own, and all maxes on one form. */
@YarbelTest
class BookPageTest {

    @Autowired
    private MockMvc mvc;

    @Autowired
    private Clubs4Tests clubs;

    @Autowired
    private Sessions sessions;

    @Autowired
    private Book book;

    private TestClub club;

    @BeforeEach
    void makeClub() {
        club = clubs.club();
    }

    private Document page(String path) throws Exception {
        return Jsoup.parse(mvc.perform(get(club.url(path)).with(club.asCoach()))
                .andExpect(status().isOk())
                .andReturn()
                .getResponse()
                .getContentAsString());
    }

    private ResultActions send(String path, String... fields) throws Exception {
        MockHttpServletRequestBuilder request =
                post(club.url(path)).with(club.asCoach()).with(csrf());
        for (int i = 0; i < fields.length; i += 2) {
            request.param(fields[i], fields[i + 1]);
        }
        return mvc.perform(request);
    }

    /** A session of triples that nobody planned, each rated by lifter and coach. */
    private void lifted(int daysAgo, String own, String seen, int... kg) {
        List<DoneSet> done = new ArrayList<>();
        for (int load : kg) {
            CoachSeen coach = CoachSeen.rated(Rpe.parse(seen));
            done.add(new DoneSet(
                    TaskKey.work("A", done.size() + 1),
                    new LiftedSet(
                            Lift.DEADLIFT, Mass.ofKg(load), 3, Effort.parse(own), SetDetails.NONE.seenBy(coach))));
        }
        sessions.addHistory(
                club.lifter, Optional.empty(), TestSettings.TODAY.minusDays(daysAgo), TestSettings.NOW, done, false);
    }

    @Test
    void theLiftsAsTheyStandComeFirstWithWhereTheyGo() throws Exception {
        book.setDown(
                club.coach,
                club.lifter,
                new RecordedMax(
                        Lift.DEADLIFT,
                        RecordedMax.Kind.TESTED,
                        Mass.ofKg(200),
                        1,
                        TestSettings.TODAY.minusDays(60),
                        Set.of(),
                        ""),
                MassUnit.KG);
        lifted(35, "9", "8", 180);
        lifted(21, "9", "8", 190);
        lifted(7, "9", "8", 200, 195);
        Document page = page("/book");
        assertThat(page.select("main h2").first().text()).isEqualTo("The lifts as they stand");
        assertThat(page.select(".stand tbody tr").last().text()).contains("Deadlift", "going up, +", "Tue 3 Mar");
        // 190 and 200 for three at the same rating were better than all before; 195 the same day is not told
        assertThat(page.select("#bests-title ~ ul").first().select("b").eachText())
                .containsExactly("Deadlift 200 kg × 3", "Deadlift 190 kg × 3");
        assertThat(page.text()).contains("Harder than a coach saw the same 4 sets, by 1 points on average");
        assertThat(page.select("#sessions ~ details")).hasSize(3);
    }

    @Test
    void aLiftsPageShowsHowItsMaxWentWithRangesMaxesAndTheWorkingMax() throws Exception {
        assertThat(page("/book/lifts/deadlift").select("#trend")).isEmpty();
        lifted(35, "8", "8", 180);
        lifted(21, "8", "8", 185);
        lifted(7, "8", "8", 190, 190);
        book.setDown(
                club.coach,
                club.lifter,
                new RecordedMax(
                        Lift.DEADLIFT,
                        RecordedMax.Kind.CONTEST,
                        Mass.ofKg(212),
                        1,
                        TestSettings.TODAY.minusDays(2),
                        Set.of(),
                        ""),
                MassUnit.KG);
        send("/book/lifts/deadlift/working-max", "load", "205");
        Document page = page("/book/lifts/deadlift");
        List<Element> rows = page.select("#trend-figures tbody tr");
        assertThat(rows.stream().map(row -> row.attr("data-kind")))
                .containsExactly("ESTIMATE", "ESTIMATE", "ESTIMATE", "CONTEST", "WORKING");
        Element last = rows.get(2);
        double max = Double.parseDouble(last.attr("data-max"));
        assertThat(Double.parseDouble(last.attr("data-low"))).isLessThan(max);
        assertThat(Double.parseDouble(last.attr("data-high"))).isGreaterThan(max);
        assertThat(last.text()).contains("estimate", " kg – ", "2");
        assertThat(rows.get(4).attr("data-max")).isEqualTo("205");
        // a range stands beside the estimate on the first page too
        assertThat(page("/book").select(".stand tbody tr").last().text()).contains(" kg – ");
    }

    @Test
    void whoHidesRepetitionsIsToldSoWithWhatItHangsOn() throws Exception {
        assertThat(page("/book/lifts/squat").select("#rates").text())
                .contains("Too few rated sets", "From no rated set of half a year, none to the limit");
        for (int week = 8; week > 0; week--) {
            squatted(7 * week, "10", 5, 165, 165);
            squatted(7 * week - 3, "missed", 6, 170);
        }
        Document page = page("/book/lifts/squat");
        assertThat(page.selectFirst("#rates").text())
                .containsPattern("Hides about \\d(\\.5)? reps")
                .contains("From 16 rated sets of half a year, 8 to the limit");
        assertThat(page("/book/lifts/deadlift").select("#rates")).isEmpty();
    }

    @Test
    void aWideEstimateNamesTheSetThatWouldSettleItToTheCoachAlone() throws Exception {
        Document wide = page("/book/lifts/squat");
        assertThat(wide.selectFirst(".settling").text())
                .containsPattern("(reps|single) with \\d+(\\.5)? kg, about [78]");
        Document lifters =
                Jsoup.parse(mvc.perform(get(club.url("/book/lifts/squat")).with(club.asLifter()))
                        .andReturn()
                        .getResponse()
                        .getContentAsString());
        assertThat(lifters.select(".settling")).isEmpty();
    }

    private void squatted(int daysAgo, String said, int reps, int... kg) {
        List<DoneSet> done = new ArrayList<>();
        for (int load : kg) {
            done.add(new DoneSet(
                    TaskKey.work("A", done.size() + 1),
                    new LiftedSet(Lift.SQUAT, Mass.ofKg(load), reps, Effort.parse(said))));
        }
        sessions.addHistory(
                club.lifter, Optional.empty(), TestSettings.TODAY.minusDays(daysAgo), TestSettings.NOW, done, false);
    }

    @Test
    void nothingIsMadeUpOfALifterWithoutALog() throws Exception {
        Document page = page("/book");
        assertThat(page.selectFirst(".stand tbody tr").text()).contains("too little to say", "not lately");
        assertThat(page.text()).contains("Nothing in the last six weeks", "A coach who rates three sets");
    }

    // ---- decisions

    @Test
    void aFormsEightNosAreOneLine() throws Exception {
        MockHttpServletRequestBuilder answers =
                post(club.url("/profile/health")).with(club.asCoach()).with(csrf());
        for (HealthQuestion question : HealthQuestion.values()) {
            answers.param("answers[" + question + "]", "no");
        }
        mvc.perform(answers).andExpect(status().is3xxRedirection());
        List<String> health = page("/book/decisions?about=LIFTER").select(".ledger tbody tr").eachText().stream()
                .filter(line -> line.contains("Health"))
                .toList();
        assertThat(health).hasSize(1);
        assertThat(health.get(0)).endsWith("nothing no");
    }

    @Test
    void decisionsAreFilteredByWhatTheyAreAbout() throws Exception {
        send("/book/lifts/squat/working-max", "load", "185");
        send("/profile/notes", "kind", "COACH_WANTS", "text", "Depth");
        assertThat(page("/book/decisions?about=NUMBERS")
                        .select(".ledger tbody b")
                        .eachText())
                .contains("Working max")
                .doesNotContain("Note");
        assertThat(page("/book/decisions?about=CALLS").select(".ledger")).isEmpty();
        assertThat(page("/book/decisions").select("nav.tabs [aria-current]").text())
                .isEqualTo("All");
    }

    @Test
    void olderDecisionsAreOnTheNextPageAndNoneIsLost() throws Exception {
        for (int kg = 100; kg < 165; kg++) {
            send("/book/lifts/deadlift/working-max", "load", String.valueOf(kg), "confirmed", String.valueOf(kg));
        }
        Document first = page("/book/decisions?about=NUMBERS");
        String older = first.selectFirst("a:contains(Older)").attr("href");
        List<String> loads =
                new ArrayList<>(first.select(".ledger tbody td:nth-child(5)").eachText());
        loads.addAll(Jsoup.parse(mvc.perform(get(older).with(club.asCoach()))
                        .andReturn()
                        .getResponse()
                        .getContentAsString())
                .select(".ledger tbody td:nth-child(5)")
                .eachText());
        assertThat(loads).contains("164 kg", "100 kg").doesNotHaveDuplicates();
        assertThat(loads.stream().filter(load -> load.matches("1[0-6]\\d kg"))).hasSizeGreaterThanOrEqualTo(65);
    }

    // ---- all maxes on one form

    @Test
    void allMaxesOfANewLifterAreKeptAtOnce() throws Exception {
        send(
                        "/book/maxes",
                        "load[bench-press]",
                        "100",
                        "load[deadlift]",
                        "200",
                        "reps[deadlift]",
                        "5",
                        "goal[deadlift]",
                        "260",
                        "on",
                        "2026-03-01",
                        "contest",
                        "true")
                .andExpect(redirectedUrl(club.url("/book")));
        assertThat(kinds(Lift.BENCH_PRESS)).containsExactly(RecordedMax.Kind.CONTEST);
        assertThat(kinds(Lift.DEADLIFT)).containsExactlyInAnyOrder(RecordedMax.Kind.REP_MAX, RecordedMax.Kind.GOAL);
        assertThat(book.standing(club.lifter).of(Lift.OVERHEAD_PRESS)).isEmpty();
        // the lifter's share of the first max
        assertThat(book.standing(club.lifter).of(Lift.BENCH_PRESS).orElseThrow().workingMax())
                .isPresent();
    }

    private List<RecordedMax.Kind> kinds(Lift lift) {
        return book.standing(club.lifter).of(lift).orElseThrow().maxes().stream()
                .map(RecordedMax::kind)
                .toList();
    }

    @Test
    void whatCannotBeReadStandsBesideItsFieldAndNothingIsKept() throws Exception {
        Document page =
                Jsoup.parse(send("/book/maxes", "load[bench-press]", "100", "load[deadlift]", "abc", "on", "2026-03-01")
                        .andExpect(status().isUnprocessableContent())
                        .andReturn()
                        .getResponse()
                        .getContentAsString());
        assertThat(page.selectFirst("input[name='load[deadlift]'] + .bad").text())
                .isNotEmpty();
        assertThat(page.selectFirst("input[name='load[deadlift]']").val()).isEqualTo("abc");
        assertThat(page.selectFirst("input[name='load[bench-press]']").val()).isEqualTo("100");
        assertThat(book.standing(club.lifter).of(Lift.BENCH_PRESS)).isEmpty();
        send("/book/maxes", "load[deadlift]", "200", "reps[deadlift]", "30", "on", "2026-03-01")
                .andExpect(status().isUnprocessableContent());
        send("/book/maxes", "load[deadlift]", "200", "on", "2027-03-01").andExpect(status().isUnprocessableContent());
    }

    @Test
    void whatIsFarFromTheLastMaxIsAskedAboutOnceAndKeptWhenMeant() throws Exception {
        Document page =
                Jsoup.parse(send("/book/maxes", "load[squat]", "90", "load[bench-press]", "100", "on", "2026-03-01")
                        .andExpect(status().isUnprocessableContent())
                        .andReturn()
                        .getResponse()
                        .getContentAsString());
        assertThat(page.selectFirst("input[name='load[squat]'] + .bad").text()).contains("is the unit right?");
        // all of it or nothing
        assertThat(book.standing(club.lifter).of(Lift.BENCH_PRESS)).isEmpty();
        String meant = page.selectFirst("input[name=confirmed]").val();
        send("/book/maxes", "load[squat]", "90", "load[bench-press]", "100", "on", "2026-03-01", "confirmed", meant)
                .andExpect(status().is3xxRedirection());
        assertThat(book.standing(club.lifter).of(Lift.BENCH_PRESS)).isPresent();
    }
}
