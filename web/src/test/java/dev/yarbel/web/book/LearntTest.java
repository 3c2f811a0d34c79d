package dev.yarbel.web.book;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import dev.yarbel.core.effort.Effort;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.measure.BarSpeed;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.record.CoachSeen;
import dev.yarbel.core.record.LiftedSet;
import dev.yarbel.core.record.SetDetails;
import dev.yarbel.core.session.DoneSet;
import dev.yarbel.core.session.TaskKey;
import dev.yarbel.web.Clubs4Tests;
import dev.yarbel.web.Clubs4Tests.TestClub;
import dev.yarbel.web.TestSettings;
import dev.yarbel.web.YarbelTest;
import java.util.List;
import java.util.Optional;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.jsoup.select.Elements;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.test.web.servlet.MockMvc;
import org.springframework.test.web.servlet.ResultActions;

/** What is learnt of a lifter reaches whoever plans and lifts by it. */
@YarbelTest
class LearntTest {

    private static final Lift FRONT_SQUAT = new Lift("front-squat");
    private static final String[] RATED = {"10 0.22", "9 0.27", "8 0.31", "7 0.37"};

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

    private void lifted(int daysAgo, Lift lift, int kg, int reps, String effort, SetDetails details) {
        sessions.addHistory(
                club.lifter,
                Optional.empty(),
                TestSettings.TODAY.minusDays(daysAgo),
                TestSettings.NOW,
                List.of(new DoneSet(
                        TaskKey.work("A", 1), new LiftedSet(lift, Mass.ofKg(kg), reps, Effort.parse(effort), details))),
                false);
    }

    private Document page(String path) throws Exception {
        return Jsoup.parse(mvc.perform(get(club.url(path)).with(club.asCoach()))
                .andExpect(status().isOk())
                .andReturn()
                .getResponse()
                .getContentAsString());
    }

    @Test
    void aDoseInMetresASecondHasTheLoadOfTheRatingThatMovedSo() throws Exception {
        mvc.perform(post(club.url("/plan/days/0"))
                        .with(club.asCoach())
                        .with(csrf())
                        .param("was." + club.cell(2, 1), "3x5 75%")
                        .param("dose." + club.cell(2, 1), "1 0.31m/s"))
                .andExpect(status().is3xxRedirection());
        assertThat(page("/plan?day=0").text()).contains("no speed table of this lifter yet");
        for (int i = 0; i < 12; i++) {
            String[] line = RATED[i % RATED.length].split(" ");
            lifted(40 - i, Lift.SQUAT, 180, 1, line[0], SetDetails.NONE.with(BarSpeed.parse(line[1])));
        }
        assertThat(page("/plan?day=0").text()).doesNotContain("no speed table");
        assertThat(page("/book/lifts/squat").select("#speeds tbody tr").eachText())
                .containsExactly("none at all 0.22 m/s 3", "one 0.27 m/s 3", "two 0.31 m/s 3", "three 0.37 m/s 3");
    }

    @Test
    void whatWasLiftedWithoutBeingSetUpHasAnEstimateAndARatio() throws Exception {
        assertThat(page("/book").select(".stand tbody th").eachText()).doesNotContain("Front squat");
        lifted(8, FRONT_SQUAT, 140, 3, "8", SetDetails.NONE);
        lifted(4, FRONT_SQUAT, 140, 3, "8", SetDetails.NONE);
        assertThat(page("/book").select(".stand tbody th").eachText()).contains("Front squat");
        assertThat(page("/book/lifts/front-squat").select("#learnt-ratio").text())
                .containsPattern("Learnt from what was lifted: \\d\\d\\D% of the Squat");
        assertThat(page("/book/lifts").text()).containsPattern("learnt: \\d\\d\\D%");
    }

    @Test
    void aLoadShowsItsDoubtWhereTheEstimateIsWide() throws Exception {
        assertThat(book.standing(club.lifter)
                        .of(Lift.SQUAT)
                        .orElseThrow()
                        .estimate()
                        .orElseThrow()
                        .isWide())
                .isTrue();
        assertThat(page("/plan?day=0").select(".upto").eachText())
                .anySatisfy(range -> assertThat(range).matches("\\d+(\\.5)?\\D+\\d+(\\.5)?"));
        assertThat(page("/floor?day=0&week=1").text()).contains("(it may be ");
    }

    @Test
    void whoCallsEverythingTheSameIsTold() throws Exception {
        for (int i = 0; i < 14; i++) {
            lifted(60 - 4 * i, Lift.SQUAT, 120 + 6 * (i % 7), 5, "7.5", SetDetails.NONE);
        }
        assertThat(page("/book/lifts/squat").select("#rates").text())
                .contains("Calls nearly every set of it 7.5, 14 of 14");
    }

    /** Ratings that lean are known where sets are lifted; while nothing is known they are heard as they are said. */
    @Test
    void theFloorKnowsHowRatingsLean() {
        assertThat(book.standing(club.lifter).numbers().of(Lift.SQUAT).leaning())
                .isZero();
        for (int week = 8; week > 0; week--) {
            lifted(7 * week, Lift.SQUAT, 165, 5, "10", SetDetails.NONE);
            lifted(7 * week - 3, Lift.SQUAT, 170, 6, "missed", SetDetails.NONE);
        }
        assertThat(book.standing(club.lifter).numbers().of(Lift.SQUAT).leaning())
                .isNegative();
    }

    private ResultActions decide(String lift, String reps, String why) throws Exception {
        return mvc.perform(post(club.url("/book/lifts/" + lift + "/ratings"))
                .with(club.asCoach())
                .with(csrf())
                .param("reps", reps)
                .param("why", why));
    }

    @Test
    void aCoachDecidesHowRatingsLeanAndSaysWhy() throws Exception {
        for (int week = 6; week >= 1; week--) {
            lifted(7 * week, Lift.SQUAT, 160, 4, "8", SetDetails.NONE);
        }
        Mass learnt = estimate();
        String before = page("/plan?day=0").select(".load").text();
        decide("squat", "-2.0", "").andExpect(status().isUnprocessableContent());
        assertThat(estimate()).isEqualTo(learnt);
        decide("squat", "-2.3", "seen it").andExpect(status().isUnprocessableContent());
        // for the whole family, whichever of it is looked at
        decide("front-squat", "-2.0", "Stops two short on video").andExpect(status().isFound());

        Elements rates = page("/book/lifts/squat").select("#rates");
        assertThat(rates.text()).contains("Decided by the coach: hides 2 reps", "Stops two short on video");
        assertThat(rates.select("option[selected]").text()).isEqualTo("hides 2 reps");
        assertThat(estimate()).isGreaterThan(learnt);
        // what lifts are planned by ratings knows it too
        assertThat(book.standing(club.lifter).numbers().of(Lift.SQUAT).leaning())
                .isEqualTo(-4);
        assertThat(page("/book/decisions").select(".ledger").text())
                .contains("How ratings lean", "what is learnt", "hides 2 reps", "Stops two short on video");

        decide("squat", "", "").andExpect(status().isFound());
        assertThat(estimate()).isEqualTo(learnt);
        assertThat(page("/plan?day=0").select(".load").text()).isEqualTo(before);
    }

    private Mass estimate() {
        return book.standing(club.lifter)
                .of(Lift.SQUAT)
                .orElseThrow()
                .estimate()
                .orElseThrow()
                .max();
    }

    @Test
    void aSetToTheLimitCountsForMoreThanARating() throws Exception {
        SetDetails limit = SetDetails.NONE.proven(SetDetails.Proof.LIMIT_SET);
        for (int week = 9; week >= 1; week--) {
            lifted(7 * week, Lift.SQUAT, 160, week % 3 == 0 ? 8 : 4, "8", week % 3 == 0 ? limit : SetDetails.NONE);
        }
        assertThat(page("/book/lifts/squat").select("#rates").text())
                .contains("Hides about", "From 9 rated sets of half a year, 3 to the limit");
    }

    /** What coaches mark when they look a session over becomes a number: the share at which form breaks, with its doubt and the work it suggests. */
    @Test
    void whereFormBreaksIsReadFromWhatWasSeen() throws Exception {
        assertThat(page("/book/lifts/squat").select("#form").text()).contains("Nobody has marked");
        SetDetails clean = SetDetails.NONE.seenBy(seen(CoachSeen.Form.CLEAN, Optional.empty()));
        SetDetails broken =
                SetDetails.NONE.seenBy(seen(CoachSeen.Form.BROKEN, Optional.of(CoachSeen.WeakLink.FOLDS_FORWARD)));
        lifted(12, Lift.SQUAT, 130, 5, "7", clean);
        lifted(9, Lift.SQUAT, 140, 5, "8", clean);
        lifted(6, Lift.SQUAT, 165, 3, "9", broken);
        String form = page("/book/lifts/squat").select("#form").text();
        assertThat(form)
                .contains("Repetitions stop being clean at about")
                .contains("3 sets that somebody looked at, one broken")
                .contains("noted once");
    }

    private static CoachSeen seen(CoachSeen.Form form, Optional<CoachSeen.WeakLink> link) {
        return new CoachSeen(Optional.empty(), Optional.of(form), link, Optional.empty(), Optional.empty());
    }
}
