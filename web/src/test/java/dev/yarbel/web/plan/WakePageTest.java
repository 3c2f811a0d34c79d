package dev.yarbel.web.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

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
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.test.web.servlet.MockMvc;
import org.springframework.test.web.servlet.request.MockHttpServletRequestBuilder;

/** The wake of a plan, and its days laid on other weekdays: seen before they are kept. */
@YarbelTest
class WakePageTest {

    @Autowired
    private MockMvc mvc;

    @Autowired
    private Clubs4Tests clubs;

    @Autowired
    private Blocks blocks;

    private TestClub club;
    private long block;

    /** A hard squat on the first day of the week, a hard pull on the next. */
    @BeforeEach
    void squatAndPullBackToBack() {
        club = clubs.club();
        block = blocks.begin(
                club.coach,
                club.lifter,
                new Block(
                                TestSettings.TODAY.plusDays(6),
                                2,
                                List.of(day("Squat", 0, Lift.SQUAT), day("Pull", 1, Lift.DEADLIFT)))
                        .named("Close"),
                "");
    }

    private static TrainingDay day(String name, int offset, Lift lift) {
        return new TrainingDay(
                name, offset, List.of(new Slot("A", lift, Collections.nCopies(2, Optional.of(Dose.parse("4x3 @9"))))));
    }

    private Document page(MockHttpServletRequestBuilder request) throws Exception {
        return Jsoup.parse(mvc.perform(request.with(club.asCoach()))
                .andReturn()
                .getResponse()
                .getContentAsString());
    }

    private Document page(String more) throws Exception {
        return page(get(club.url("/plan/wake?block=" + block + "&week=1" + more)));
    }

    private List<Integer> offsets() {
        return blocks.open(club.lifter, TestSettings.ZONE, Optional.of(block)).orElseThrow().block().days().stream()
                .map(TrainingDay::offset)
                .toList();
    }

    @Test
    void whatComesTooSoonIsHatchedAndNamed() throws Exception {
        Document page = page("");
        assertThat(page.select("rect.trail.hard")).hasSize(4);
        assertThat(page.select("rect.soon")).isNotEmpty();
        assertThat(page.select(".marks").text()).contains("Deadlift").contains("Squat: 24 h of about");
        assertThat(page.select("details tbody tr")).hasSize(4);
        assertThat(page.select("a[href*=weekday]")).hasSize(1);
    }

    @Test
    void otherWeekdaysAreSeenBeforeTheyAreKept() throws Exception {
        Document seen = page("&weekday=0&weekday=3");
        assertThat(seen.select(".marks .watch")).isEmpty();
        assertThat(seen.select(".laydays option[selected]").last().val()).isEqualTo("3");
        assertThat(offsets()).containsExactly(0, 1);
        mvc.perform(post(club.url("/plan/wake?block=" + block + "&week=1"))
                        .with(club.asCoach())
                        .with(csrf())
                        .param("weekday", "0", "3"))
                .andExpect(status().is3xxRedirection());
        assertThat(offsets()).containsExactly(0, 3);
        mvc.perform(
                post(club.url("/plan/undo?block=" + block)).with(club.asCoach()).with(csrf()));
        assertThat(offsets()).containsExactly(0, 1);
    }

    @Test
    void theProposedOrderIsWhatItSaysItIs() throws Exception {
        String href = page("").select("a[href*=weekday]").attr("href");
        Document laid = page(get(href));
        assertThat(laid.select(".marks .watch")).isEmpty();
        assertThat(laid.select("section b").text()).contains("by 0 as laid here");
    }

    @Test
    void daysThatCannotLieSoAreRefusedBesideThem() throws Exception {
        assertThat(page("&weekday=2&weekday=2").select(".bad").text()).contains("same weekday");
        assertThat(page("&weekday=2").select(".bad").text()).contains("A weekday for each day");
        assertThat(page(post(club.url("/plan/wake?block=" + block + "&week=1"))
                                .with(csrf())
                                .param("weekday", "2", "9"))
                        .select(".bad")
                        .text())
                .contains("A weekday for each day");
        assertThat(offsets()).containsExactly(0, 1);
        mvc.perform(get(club.url("/plan/wake?block=" + block + "&week=9")).with(club.asCoach()))
                .andExpect(status().isNotFound());
        mvc.perform(get(club.url("/plan/wake?block=" + block + "&weekday=x")).with(club.asCoach()))
                .andExpect(status().is4xxClientError());
    }

    /** A sore tissue has a budget over all lifts, and what spends it is named. */
    @Test
    void whatEachTissueBearsStandsBesideWhatItIsUsedTo() throws Exception {
        Document sound = page("");
        assertThat(sound.select("table.tissues tbody th").eachText()).contains("knee", "low back");
        // what it bore, what it is used to, then what is asked of it
        assertThat(sound.select("table.tissues tr:contains(knee) td").first().text())
                .matches("[0-9. ·]*");
        assertThat(sound.select(".marks li.stop")).isEmpty();
        mvc.perform(post(club.url("/floor/aches"))
                        .with(club.asLifter())
                        .with(csrf())
                        .param("day", "0")
                        .param("week", "2")
                        .param("place", "KNEE")
                        .param("weight", "6"))
                .andReturn();
        Document sore = page("");
        assertThat(sore.select(".marks li.stop").text())
                .contains("The knee aches")
                .contains("a professional’s look")
                .contains("Squat on Squat");
        assertThat(sore.select(".marks li.stop a").first().attr("href")).contains("day=0");
    }
}
