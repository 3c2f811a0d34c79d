package dev.yarbel.web.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;

import dev.yarbel.core.block.Block;
import dev.yarbel.core.block.Slot;
import dev.yarbel.core.block.TrainingDay;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.prescription.Dose;
import dev.yarbel.web.Clubs4Tests;
import dev.yarbel.web.Clubs4Tests.TestClub;
import dev.yarbel.web.TestSettings;
import dev.yarbel.web.YarbelTest;
import dev.yarbel.web.block.Blocks;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.test.web.servlet.MockMvc;
import org.springframework.test.web.servlet.request.MockHttpServletRequestBuilder;

/** How long lifts need: set for the club and for a lifter, and felt by what hangs on it. */
@YarbelTest
class RecoveryPageTest {

    @Autowired
    private MockMvc mvc;

    @Autowired
    private Clubs4Tests clubs;

    @Autowired
    private Blocks blocks;

    private TestClub club;
    private long block;

    /** Hard squats on Monday and Thursday, a hard bench between. */
    @BeforeEach
    void squatTwiceAWeek() {
        club = clubs.club();
        block = blocks.begin(
                club.coach,
                club.lifter,
                new Block(
                                TestSettings.TODAY.plusDays(6),
                                2,
                                List.of(
                                        day("Squat", 0, Lift.SQUAT),
                                        day("Bench", 1, Lift.BENCH_PRESS),
                                        day("Again", 3, Lift.SQUAT)))
                        .named("Twice"),
                "");
    }

    private static TrainingDay day(String name, int offset, Lift lift) {
        return new TrainingDay(
                name, offset, List.of(new Slot("A", lift, Collections.nCopies(2, Optional.of(Dose.parse("4x3 @9"))))));
    }

    private String path(String what) {
        return club.url("/plan/" + what + "?block=" + block + (what.equals("wake") ? "&week=1" : ""));
    }

    private Document page(MockHttpServletRequestBuilder request) throws Exception {
        return Jsoup.parse(mvc.perform(request.with(club.asCoach()))
                .andReturn()
                .getResponse()
                .getContentAsString());
    }

    private Document set(String... fields) throws Exception {
        MockHttpServletRequestBuilder request = post(path("recovery")).with(csrf());
        for (int i = 0; i < fields.length; i += 2) {
            request.param(fields[i], fields[i + 1]);
        }
        return page(request);
    }

    private String tooSoon() throws Exception {
        return page(get(path("wake"))).select(".marks .watch").text();
    }

    @Test
    void whatIsSetForALifterIsFeltByTheWakeAndThePlansMarks() throws Exception {
        assertThat(tooSoon()).contains("72 h of about 8");
        set("lift", "squat", "club", "", "own", "60");
        assertThat(tooSoon()).isEmpty();
        set("lift", "squat", "club", "", "own", "150 h");
        assertThat(tooSoon()).contains("72 h of about 150");
        assertThat(page(get(club.url("/plan?block=" + block))).text())
                .contains("hard again 72 hours after Squat, where about 150 are needed");
        assertThat(page(get(path("checklist"))).text()).contains("where about 150 are needed");
        // blank is as it usually is
        set("lift", "squat", "club", "", "own", "");
        assertThat(tooSoon()).contains("72 h of about 8");
    }

    @Test
    void whatIsSetForTheClubHoldsUntilALifterHasTheirOwn() throws Exception {
        set("lift", "squat", "club", "200", "own", "");
        String ofClub = tooSoon();
        assertThat(ofClub).contains("72 h of about ");
        Document page = page(get(path("recovery")));
        assertThat(page.select("#squat input[name=club]").val()).isEqualTo("200");
        set("lift", "squat", "club", "200", "own", "48");
        assertThat(tooSoon()).isEmpty();
        // another club has its own
        TestClub other = clubs.club();
        assertThat(page(get(path("recovery"))).select("#squat input[name=own]").val())
                .isEqualTo("48");
        assertThat(Jsoup.parse(mvc.perform(get(other.url("/plan/recovery")).with(other.asCoach()))
                                .andReturn()
                                .getResponse()
                                .getContentAsString())
                        .select("input[name=club]")
                        .eachAttr("value"))
                .doesNotContain("200");
    }

    @Test
    void anotherPairIsAddedAndFelt() throws Exception {
        assertThat(tooSoon()).doesNotContain("Bench press on");
        set("added", "true", "lift", "squat", "then", "bench-press", "club", "", "own", "90");
        assertThat(tooSoon()).contains("Bench press on");
        Document page = page(get(path("recovery")));
        assertThat(page.select("#squat-bench-press input[name=own]").val()).isEqualTo("90");
        set("added", "true", "lift", "front-squat", "then", "", "club", "", "own", "36");
        assertThat(page(get(path("recovery")))
                        .select("#front-squat input[name=own]")
                        .val())
                .isEqualTo("36");
        assertThat(page(get(club.url("/book/decisions"))).text()).contains("Front squat: hours to the next hard day");
    }

    /** Whoever adds what is there already for themselves takes nothing from the club. */
    @Test
    void whatIsLeftBlankInANewLineIsLeftAsItIs() throws Exception {
        set("lift", "squat", "club", "200", "own", "");
        set("added", "true", "lift", "squat", "then", "", "club", "", "own", "60");
        Document page = page(get(path("recovery")));
        assertThat(page.select("#squat input[name=club]").val()).isEqualTo("200");
        assertThat(page.select("#squat input[name=own]").val()).isEqualTo("60");
    }

    /** Two who set the same at the same moment, or one who clicks twice. */
    @Test
    void theSameSetManyTimesAtOnceIsSetOnce() throws Exception {
        ExecutorService many = Executors.newFixedThreadPool(6);
        List<Callable<Integer>> clicks = Collections.nCopies(12, () -> mvc.perform(post(path("recovery"))
                        .with(csrf())
                        .with(club.asCoach())
                        .param("lift", "squat")
                        .param("club", "96")
                        .param("own", "72"))
                .andReturn()
                .getResponse()
                .getStatus());
        for (Future<Integer> click : many.invokeAll(clicks)) {
            assertThat(click.get()).isEqualTo(302);
        }
        many.shutdown();
        Document page = page(get(path("recovery")));
        assertThat(page.select("#squat input[name=club]").val()).isEqualTo("96");
        assertThat(page.select("#squat input[name=own]").val()).isEqualTo("72");
    }

    @ParameterizedTest
    @ValueSource(strings = {"11", "505", "-60", "a day", "60.5", "1e2", "９６"})
    void whatIsNoFigureIsRefusedBesideItAndStaysTyped(String typed) throws Exception {
        Document page = set("lift", "squat", "club", "", "own", typed);
        assertThat(page.select("#squat .bad").text()).contains("Hours from 12 to 504");
        assertThat(page.select("#squat input[name=own]").val()).isEqualTo(typed);
        assertThat(page(get(path("recovery"))).select("#squat input[name=own]").val())
                .isEmpty();
    }

    @Test
    void aPairOfOneLiftIsNone() throws Exception {
        Document page = set("added", "true", "lift", "squat", "then", "front-squat", "own", "50", "club", "");
        assertThat(page.select("#new .bad").text()).contains("all of its own wake");
        assertThat(page.select("#new input[name=own]").val()).isEqualTo("50");
        assertThat(set("added", "true", "lift", "squat", "then", "deadlift", "own", "101", "club", "")
                        .select("#new .bad")
                        .text())
                .contains("Percent from 0 to 100");
    }
}
