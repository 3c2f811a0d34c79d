package dev.yarbel.web.calls;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.redirectedUrl;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import dev.yarbel.core.lift.Lift;
import dev.yarbel.web.YarbelTest;
import dev.yarbel.web.book.SessionRatings;
import java.util.List;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.junit.jupiter.api.Test;
import org.springframework.test.web.servlet.request.MockHttpServletRequestBuilder;

/** A lift comes back after an ache, a weak link gets work, and missing sets are asked about on the phone. */
@YarbelTest
class ComingBackCallsTest extends OnCalls {

    private static final List<String> SQUATS = List.of("squat 4x6 80%|160");

    private void coach(MockHttpServletRequestBuilder request) throws Exception {
        mvc.perform(request.with(club.asCoach()).with(csrf())).andExpect(status().is3xxRedirection());
        waitForThoseWhoHear();
    }

    /** Notes an ache so many days ago, and clears it today. */
    private void acheAndCleared() throws Exception {
        coach(post(club.url("/profile/aches"))
                .param("place", "LOW_BACK")
                .param("since", "2026-03-01")
                .param("words", "left, when bending"));
        long ache = jdbc.sql("select max(id) from ache where lifter_id = ?")
                .param(club.lifter.id())
                .query(Long.class)
                .single();
        coach(post(club.url("/profile/aches/" + ache + "/clear"))
                .param("by", "her physiotherapist")
                .param("on", "2026-03-10"));
    }

    @Test
    void aClearedAcheProposesALadderWithoutASession() throws Exception {
        club = clubs.club("squat 4x6 80%");
        session(0, SQUATS, "A 160x6 8", "A 160x6 8", "A 160x6 8", "A 160x6 8");
        // that was before it came up
        jdbc.sql("update training_session set held_on = '2026-02-24' where lifter_id = ?")
                .param(club.lifter.id())
                .update();
        acheAndCleared();
        long id = slip("ache-cleared");
        Document page = page("/calls/" + id);
        assertThat(page.select(".slip").text())
                .contains("low back")
                .contains("her physiotherapist")
                .contains("Back by three steps")
                .contains("professional");
        assertThat(page.select(".changes tbody tr")).hasSize(2);
        answer(id, "take").andExpect(redirectedUrl("/calls"));
        assertThat(dose(0, 1)).isEqualTo("2x6 40%");
        assertThat(dose(0, 2)).isEqualTo("4x6 56%");
        mvc.perform(post("/calls/" + id + "/take-back").with(club.asCoach()).with(csrf()));
        assertThat(dose(0, 1)).isEqualTo("4x6 80%");
        answer(id, "change", "own", "LONG").andExpect(redirectedUrl("/calls"));
        assertThat(dose(0, 1)).isEqualTo("2x6 32%");
    }

    @Test
    void whoWasNotSparedGetsNoLadder() throws Exception {
        club = clubs.club("squat 4x6 80%");
        session(0, SQUATS, "A 160x6 8", "A 160x6 8", "A 160x6 8", "A 160x6 8");
        acheAndCleared();
        assertThat(queue()).extracting(SlipLine::rule).doesNotContain("ache-cleared");
    }

    @Test
    void aWeakLinkNotedTwiceInTheReviewIsCalledThereAndThen() throws Exception {
        club = clubs.club("squat 2x1 @8");
        session(0, List.of("squat 2x1 @8|180"), "A 180x1 8", "A 180x1 8");
        for (String task : List.of("A.1", "A.2")) {
            coach(post(club.url("/floor/review/sets?day=0&week=0"))
                    .param("task", task)
                    .param("link", "HIPS_SHOOT_UP"));
        }
        long id = slip("weak-link");
        Document page = page("/calls/" + id);
        assertThat(page.select(".evidence tbody tr")).hasSize(2);
        assertThat(page.select(".proposal").text()).contains("Front squat").contains("hips shoot up");
        answer(id, "change", "own", "high-bar-squat").andExpect(redirectedUrl("/calls"));
        assertThat(club.plan().block().days().get(0).slots()).last().satisfies(slot -> {
            assertThat(slot.lift()).isEqualTo(new Lift("high-bar-squat"));
            assertThat(slot.reason().orElseThrow()).contains("hips shoot up");
        });
        mvc.perform(post("/calls/" + id + "/take-back").with(club.asCoach()).with(csrf()));
        assertThat(club.plan().block().days().get(0).slots()).hasSize(1);
        answer(id, "change", "own", "bench-press").andExpect(status().is4xxClientError());
    }

    @Test
    void missingSetsAreAskedAboutAndTheAnswerStandsInTheLog() throws Exception {
        club = clubs.club("squat 3x5 70%");
        session(0, List.of("squat 3x5 70%|140"), "A 140x5 7", "A 140x5 7");
        answer(slip("sets-unlike"), "take").andExpect(redirectedUrl("/calls"));
        Document home = Jsoup.parse(mvc.perform(get(club.url("/home")).with(club.asLifter()))
                .andReturn()
                .getResponse()
                .getContentAsString());
        assertThat(home.select("[id^=question-] button")).hasSize(2);
        String address = home.select("form[action*=questions]").attr("action");
        mvc.perform(post(address).with(club.asLifter()).with(csrf()).param("answer", "GRIP"))
                .andExpect(status().is4xxClientError());
        mvc.perform(post(address)
                        .with(club.asLifter())
                        .with(csrf())
                        .param("answer", "CUT")
                        .param("words", "the gym closed"))
                .andExpect(status().is3xxRedirection());
        waitForThoseWhoHear();
        assertThat(club.plan()
                        .standing()
                        .log()
                        .get(0)
                        .sets()
                        .get(1)
                        .set()
                        .details()
                        .note())
                .contains("the gym closed");
        assertThat(club.plan().standing().log().get(0).ratings().countSaid()).contains(SessionRatings.CountSaid.CUT);
        // now the log says why, and nobody asks again
        assertThat(queue()).extracting(SlipLine::rule).doesNotContain("sets-unlike");
    }
}
