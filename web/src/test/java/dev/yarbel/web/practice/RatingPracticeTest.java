package dev.yarbel.web.practice;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import dev.yarbel.core.effort.Effort;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.measure.BarSpeed;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.practice.DrawnSet;
import dev.yarbel.core.record.LiftedSet;
import dev.yarbel.core.record.SetDetails;
import dev.yarbel.core.session.DoneSet;
import dev.yarbel.core.session.TaskKey;
import dev.yarbel.web.Clubs4Tests;
import dev.yarbel.web.Clubs4Tests.TestClub;
import dev.yarbel.web.TestSettings;
import dev.yarbel.web.YarbelTest;
import dev.yarbel.web.book.Book;
import dev.yarbel.web.book.Sessions;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.test.web.servlet.MockMvc;
import org.springframework.test.web.servlet.ResultActions;
import org.springframework.test.web.servlet.request.RequestPostProcessor;

@YarbelTest
class RatingPracticeTest {

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

    private Document page(RequestPostProcessor who, String more) throws Exception {
        return Jsoup.parse(mvc.perform(get(club.url("/practice" + more)).with(who))
                .andExpect(status().isOk())
                .andReturn()
                .getResponse()
                .getContentAsString());
    }

    private ResultActions guess(RequestPostProcessor who, String lift, String drawn, String left) throws Exception {
        return mvc.perform(post(club.url("/practice"))
                .with(who)
                .with(csrf())
                .param("lift", lift)
                .param("drawn", drawn)
                .param("left", left));
    }

    private void lifted(int daysAgo, LiftedSet... sets) {
        List<DoneSet> done = new ArrayList<>();
        for (LiftedSet set : sets) {
            done.add(new DoneSet(TaskKey.work("A", done.size() + 1), set));
        }
        sessions.addHistory(
                club.lifter, Optional.empty(), TestSettings.TODAY.minusDays(daysAgo), TestSettings.NOW, done, false);
    }

    private static LiftedSet squat(int kg, int reps, String effort) {
        return new LiftedSet(Lift.SQUAT, Mass.ofKg(kg), reps, Effort.parse(effort));
    }

    @Test
    void aGuessIsToldAtOnceAndMakesTheScore() throws Exception {
        assertThat(page(club.asLifter(), "").select("#score").text()).contains("No guess yet");
        int was = DrawnSet.of(Optional.empty(), 7).left();
        int said = was == 4 ? 3 : was + 1;
        String next = guess(club.asLifter(), "squat", "7", String.valueOf(said))
                .andExpect(status().isFound())
                .andReturn()
                .getResponse()
                .getRedirectedUrl();
        Document after = page(club.asLifter(), next.substring(next.indexOf('?')));
        assertThat(after.select(".note").text()).isEqualTo("You said " + said + "; it was " + was + ".");
        assertThat(after.select("#score").text()).contains("Off by 1.0 reps");
        // pressed twice, it is one guess
        guess(club.asLifter(), "squat", "7", "0").andExpect(status().isFound());
        guess(
                        club.asLifter(),
                        "squat",
                        "8",
                        String.valueOf(DrawnSet.of(Optional.empty(), 8).left()))
                .andExpect(status().isFound());
        assertThat(page(club.asLifter(), "").select(".guesses li")).hasSize(2);
        assertThat(page(club.asLifter(), "").select("#score").text()).contains("Off by 0.5 reps");
    }

    private void log(String task, String effort, String... more) throws Exception {
        var request = post(club.url("/floor/sets"))
                .with(club.asLifter())
                .with(csrf())
                .param("day", "0")
                .param("week", "1")
                .param("token", UUID.randomUUID().toString())
                .param("task", task)
                .param("load", "150")
                .param("reps", "5")
                .param("effort", effort);
        for (int i = 0; i < more.length; i += 2) {
            request.param(more[i], more[i + 1]);
        }
        mvc.perform(request).andExpect(status().is(more.length > 0 && more[1].equals("9") ? 422 : 302));
    }

    @Test
    void whatIsGuessedBeforeASetIsHeldAgainstItsRating() throws Exception {
        log("B.1", "8", "guess", "3");
        log("B.2", "8");
        log("B.3", "8.5", "guess", "1");
        log("B.4", "8.5", "guess", "9");
        Document page = page(club.asLifter(), "");
        assertThat(page.select(".guesses li span[aria-hidden]").eachText()).containsExactly("+1", "−0.5");
        assertThat(page.select("#score").text()).contains("No guess yet", "Off by 0.8 reps");
    }

    @Test
    void theCoachSeesTheScoreAndGuessesNothing() throws Exception {
        guess(club.asLifter(), "squat", "7", "2").andExpect(status().isFound());
        Document seen = page(club.asCoach(), "");
        assertThat(seen.select(".guesses li")).hasSize(1);
        assertThat(seen.select("#drill")).isEmpty();
        guess(club.asCoach(), "squat", "8", "2").andExpect(status().isForbidden());
    }

    @Test
    void guessesFeedNoEstimate() throws Exception {
        var before = book.standing(club.lifter).lifts();
        for (int drawn = 0; drawn < 12; drawn++) {
            guess(club.asLifter(), "squat", String.valueOf(drawn), "4").andExpect(status().isFound());
        }
        assertThat(book.standing(club.lifter).lifts()).isEqualTo(before);
    }

    @Test
    void itIsDrawnAtTheirOwnSpeedsWhereTheseAreKnown() throws Exception {
        assertThat(page(club.asLifter(), "?lift=squat").select("#drill").text()).contains("nobody’s speeds");
        for (int i = 0; i < 12; i++) {
            String[] rated =
                    List.of("10 0.22", "9 0.27", "8 0.31", "7 0.37").get(i % 4).split(" ");
            lifted(40 - i, squat(180, 1, rated[0]).with(SetDetails.NONE.with(BarSpeed.parse(rated[1]))));
        }
        Document page = page(club.asLifter(), "?lift=squat");
        assertThat(page.select("#drill").text()).contains("drawn at your own speeds");
        // the table says what the drawing shows, to whoever wants no movement
        assertThat(page.select(".figures tbody tr").size())
                .isEqualTo(page.select(".bartrack").attr("data-speeds").split(",").length);
    }

    @Test
    void theLimitShowsWhatTheRatingsBeforeItWereWorth() throws Exception {
        assertThat(page(club.asLifter(), "").select("#limits").text()).contains("marked as one on the floor");
        lifted(3, squat(160, 4, "8"), squat(160, 8, "10").with(SetDetails.NONE.proven(SetDetails.Proof.LIMIT_SET)));
        assertThat(page(club.asLifter(), "").select("#limits tbody tr").text())
                .matches("160 kg × 4 two about [34](\\.5)?");
        assertThat(page(club.asCoach(), "").select("#limits tbody tr")).hasSize(1);
    }

    @Test
    void whatIsNoGuessIsRefused() throws Exception {
        guess(club.asLifter(), "squat", "7", "5").andExpect(status().isUnprocessableContent());
        guess(club.asLifter(), "squat", "7", "two").andExpect(status().isUnprocessableContent());
        guess(club.asLifter(), "no-such-lift", "7", "2").andExpect(status().isUnprocessableContent());
        guess(club.asLifter(), "squat", "-1", "2").andExpect(status().isUnprocessableContent());
        assertThat(page(club.asLifter(), "").select(".guesses li")).isEmpty();
    }
}
