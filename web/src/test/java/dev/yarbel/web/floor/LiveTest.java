package dev.yarbel.web.floor;

import static dev.yarbel.web.OnPage.shows;
import static dev.yarbel.web.OnPage.tagged;
import static org.assertj.core.api.Assertions.assertThat;
import static org.awaitility.Awaitility.await;
import static org.hamcrest.Matchers.allOf;
import static org.hamcrest.Matchers.containsString;
import static org.hamcrest.Matchers.not;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.content;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.redirectedUrl;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import dev.yarbel.core.block.Block;
import dev.yarbel.core.record.CoachSeen;
import dev.yarbel.web.Clubs4Tests;
import dev.yarbel.web.Clubs4Tests.TestClub;
import dev.yarbel.web.TestSettings;
import dev.yarbel.web.YarbelTest;
import dev.yarbel.web.block.Blocks;
import dev.yarbel.web.page.FloorNotifier;
import java.util.List;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.test.web.servlet.MockMvc;
import org.springframework.test.web.servlet.MvcResult;
import org.springframework.test.web.servlet.request.MockHttpServletRequestBuilder;
import org.springframework.transaction.support.TransactionTemplate;

/** The coach's side of the floor: lifters side by side as they lift, and a session gone through set by set. */
@YarbelTest
class LiveTest {

    @Autowired
    private MockMvc mvc;

    @Autowired
    private Clubs4Tests clubs;

    @Autowired
    private Blocks blocks;

    @Autowired
    private FloorNotifier moved;

    @Autowired
    private TransactionTemplate transaction;

    private TestClub club;

    @BeforeEach
    void makeClub() {
        club = clubs.club();
    }

    private MockHttpServletRequestBuilder form(String path, String... fields) {
        MockHttpServletRequestBuilder request =
                post(club.url("/floor" + path)).with(csrf()).param("day", "0").param("week", "1");
        for (int i = 0; i < fields.length; i += 2) {
            request.param(fields[i], fields[i + 1]);
        }
        return request;
    }

    private void log(String task, String load, String reps, String effort) throws Exception {
        mvc.perform(form("/sets", "task", task, "load", load, "reps", reps, "effort", effort)
                        .with(club.asLifter()))
                .andExpect(status().isFound());
    }

    private MvcResult listen(String path, boolean coach) throws Exception {
        return mvc.perform(get(path).with(coach ? club.asCoach() : club.asLifter()))
                .andExpect(status().isOk())
                .andReturn();
    }

    private static String heard(MvcResult line) throws Exception {
        return line.getResponse().getContentAsString();
    }

    @Test
    void whoeverLogsIsHeardOfOnTheCoachsPageAndTheirOwnAndNowhereElse() throws Exception {
        MvcResult coach = listen("/live/events", true);
        MvcResult lifter = listen(club.url("/floor/events"), false);
        TestClub other = clubs.club();
        MvcResult foreign =
                mvc.perform(get("/live/events").with(other.asCoach())).andReturn();
        log("A.1", "187.5", "1", "8");
        String said = "event:moved\ndata:" + club.lifter.id() + "/";
        await().untilAsserted(() -> assertThat(heard(coach)).contains(said));
        await().untilAsserted(() -> assertThat(heard(lifter)).contains(said));
        assertThat(heard(foreign)).doesNotContain("moved");
    }

    @Test
    void whatWasNotKeptIsNotHeardOf() throws Exception {
        MvcResult coach = listen("/live/events", true);
        transaction.executeWithoutResult(work -> {
            moved.tell(club.lifter.clubId(), club.lifter.id());
            work.setRollbackOnly();
        });
        log("A.1", "187.5", "1", "8");
        await().untilAsserted(() -> assertThat(heard(coach)).contains("moved"));
        assertThat(heard(coach).split("event:moved")).hasSize(2);
    }

    @Test
    void whoeverBeganIsOnTheCoachsPageAndTheOthersCanBeChosen() throws Exception {
        String panel = "data-lifter=\"" + club.lifter.id() + "\"";
        mvc.perform(get("/live").with(club.asCoach()))
                .andExpect(
                        content().string(allOf(shows(".quiet", "Nobody is lifting now"), not(containsString(panel)))));
        mvc.perform(get("/live?lifter=" + club.lifter.id()).with(club.asCoach()))
                .andExpect(content().string(tagged(".side", panel)));
        log("A.w1", "20", "10", "easy");
        mvc.perform(get("/live").with(club.asCoach())).andExpect(content().string(tagged(".side", panel)));
    }

    @Test
    void aSideShowsLastAndNowAndNext() throws Exception {
        log("A.1", "187.5", "1", "8");
        mvc.perform(get(club.url("/floor/side")).with(club.asCoach()))
                .andExpect(content()
                        .string(allOf(
                                shows(".chip", "187.5 kg"),
                                containsString(">two<"),
                                shows(".quiet", "B Squat"),
                                shows(".moments", "150 kg"))));
    }

    @Test
    void theCoachGivesAnotherLoadOrDoseFromTheSetInHand() throws Exception {
        log("A.1", "187.5", "1", "8");
        mvc.perform(form("/side", "load", "145", "dose", "").with(club.asCoach()))
                .andExpect(status().isOk())
                .andExpect(content().string(shows(".figure", "145 kg")));
        mvc.perform(form("/side", "load", "", "dose", "3x3 140kg").with(club.asCoach()))
                .andExpect(status().isOk());
        mvc.perform(get(club.url("/floor?day=0&week=1")).with(club.asLifter()))
                .andExpect(content()
                        .string(allOf(shows(".small", "set 1 at 145 kg"), shows(".small", "from set 1: 3x3 140kg"))));
        mvc.perform(form("/side", "load", "lots", "dose", "").with(club.asCoach()))
                .andExpect(status().isUnprocessableContent())
                .andExpect(content().string(tagged(".form-control", "value=\"lots\"")));
    }

    @Test
    void aLoadForASetThatWasLiftedMeanwhileIsAskedAboutAndKeepsWhatWasTyped() throws Exception {
        log("A.w1", "20", "10", "easy");
        // still warming up: the top is meant all the same
        mvc.perform(form("/side", "load", "185", "dose", "", "seen", "A.w1").with(club.asCoach()))
                .andExpect(status().isOk());
        log("A.1", "185", "1", "8");
        mvc.perform(form("/side", "load", "180", "dose", "", "seen", "A.1").with(club.asCoach()))
                .andExpect(status().isUnprocessableContent())
                .andExpect(content()
                        .string(allOf(
                                shows(".bad", "They went on meanwhile"),
                                tagged(".form-control", "value=\"180\""),
                                tagged(".give", "name=\"seen\" value=\"B.1\""))));
        mvc.perform(form("/side", "load", "140", "dose", "", "seen", "B.1").with(club.asCoach()))
                .andExpect(status().isOk())
                .andExpect(content().string(shows(".figure", "140 kg")));
    }

    @Test
    void whatTheCoachSaysOfASetIsKeptAndTheLifterReadsIt() throws Exception {
        log("A.1", "187.5", "1", "8");
        mvc.perform(form(
                                "/review/sets",
                                "task",
                                "A.1",
                                "rating",
                                "7.5",
                                "form",
                                "CLEAN",
                                "link",
                                "HIPS_SHOOT_UP",
                                "note",
                                "stay over mid-foot")
                        .with(club.asCoach()))
                .andExpect(status().isFound());
        CoachSeen seen = club.plan()
                .session(0, 1)
                .orElseThrow()
                .sets()
                .get(0)
                .set()
                .details()
                .coach();
        assertThat(seen.rating().orElseThrow()).hasToString("7.5");
        assertThat(seen.link()).contains(CoachSeen.WeakLink.HIPS_SHOOT_UP);
        mvc.perform(get(club.url("/floor?day=0&week=1")).with(club.asLifter()))
                .andExpect(content()
                        .string(allOf(
                                shows(".coachsaid", "Coach: rated 7.5; clean; hips shoot up; stay over mid-foot"))));
        // the lifter's own correction keeps what the coach said
        mvc.perform(form("/sets", "task", "A.1", "load", "185", "reps", "1", "effort", "8", "correct", "true")
                        .with(club.asLifter()))
                .andExpect(status().isFound());
        assertThat(club.plan()
                        .session(0, 1)
                        .orElseThrow()
                        .sets()
                        .get(0)
                        .set()
                        .details()
                        .coach())
                .isEqualTo(seen);
    }

    @Test
    void theMorningAndTheBookLeadToTheSessionLiftedLastAlsoInABlockThatAnotherTookThePlaceOf() throws Exception {
        log("A.1", "187.5", "1", "8");
        mvc.perform(form("/finish", "left", "99").with(club.asLifter())).andExpect(status().isFound());
        long day = club.plan().block().days().get(0).id().number();
        String review = club.url("/floor/review?planned=" + day + "&week=1");
        mvc.perform(get("/lifters").with(club.asCoach()))
                .andExpect(content().string(tagged(".lastheld a", "href=\"" + club.url("/floor/review/last") + "\"")));
        String trained = club.plan().block().name();
        blocks.begin(club.coach, club.lifter, new Block(TestSettings.TODAY, 1, List.of()).named("Next"), "");

        mvc.perform(get(club.url("/floor/review/last")).with(club.asCoach())).andExpect(redirectedUrl(review));
        mvc.perform(get(club.url("/book")).with(club.asCoach()))
                .andExpect(content()
                        .string(allOf(
                                tagged("details a", "href=\"" + review.replace("&", "&amp;") + "\""),
                                // today belongs to the block it was begun in, in the book's strip too
                                tagged("#strip", trained + ": the block"))));
        mvc.perform(get(review).with(club.asCoach())).andExpect(content().string(shows(".seen h2", "187.5 kg")));
        mvc.perform(post(club.url("/floor/review/note"))
                        .with(csrf())
                        .with(club.asCoach())
                        .param("planned", String.valueOf(day))
                        .param("week", "1")
                        .param("note", "well paced"))
                .andExpect(redirectedUrl(review));
        mvc.perform(get(club.url("/book")).with(club.asCoach()))
                .andExpect(content().string(shows("details", "well paced")));
    }

    @Test
    void aNoteOnTheWholeSessionIsReadOnceItIsFinished() throws Exception {
        log("A.1", "187.5", "1", "8");
        mvc.perform(form("/review/note", "note", "well paced").with(club.asCoach()))
                .andExpect(status().isFound());
        mvc.perform(form("/finish", "left", "99").with(club.asLifter())).andExpect(status().isFound());
        mvc.perform(get(club.url("/floor?day=0&week=1")).with(club.asLifter()))
                .andExpect(content().string(shows(".coachsaid", "Coach: well paced")));
    }
}
