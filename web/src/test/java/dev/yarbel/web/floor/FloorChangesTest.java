package dev.yarbel.web.floor;

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

import dev.yarbel.core.effort.Rpe;
import dev.yarbel.core.record.LiftedSet;
import dev.yarbel.core.record.SetDetails;
import dev.yarbel.core.record.Worn;
import dev.yarbel.core.session.DoneSet;
import dev.yarbel.web.Clubs4Tests;
import dev.yarbel.web.Clubs4Tests.TestClub;
import dev.yarbel.web.TestSettings;
import dev.yarbel.web.YarbelTest;
import dev.yarbel.web.book.SessionLog;
import dev.yarbel.web.book.SessionRatings;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.test.web.servlet.MockMvc;
import org.springframework.test.web.servlet.ResultActions;
import org.springframework.test.web.servlet.request.MockHttpServletRequestBuilder;

/** Changing the day on the floor, and what more is said of a set than its load and rating. */
@YarbelTest
class FloorChangesTest {

    @Autowired
    private MockMvc mvc;

    @Autowired
    private Clubs4Tests clubs;

    @Autowired
    private JdbcClient jdbc;

    private TestClub club;

    @BeforeEach
    void makeClub() {
        club = clubs.club();
    }

    /** Sends a form of the floor: names and values in turn. */
    private ResultActions send(String path, String... fields) throws Exception {
        return mvc.perform(form(path, fields).with(club.asLifter()));
    }

    private MockHttpServletRequestBuilder form(String path, String... fields) {
        MockHttpServletRequestBuilder request =
                post(club.url("/floor" + path)).with(csrf()).param("day", "0").param("week", "1");
        for (int i = 0; i < fields.length; i += 2) {
            request.param(fields[i], fields[i + 1]);
        }
        return request;
    }

    private ResultActions log(String task, String load, String reps, String effort, String... more) throws Exception {
        String[] fields = new String[8 + more.length];
        System.arraycopy(new String[] {"task", task, "load", load, "reps", reps, "effort", effort}, 0, fields, 0, 8);
        System.arraycopy(more, 0, fields, 8, more.length);
        return send("/sets", fields);
    }

    private void dose(int slot, String was, String is) throws Exception {
        mvc.perform(post(club.url("/plan/days/0"))
                        .with(club.asCoach())
                        .with(csrf())
                        .param("was." + club.cell(slot, 1), was)
                        .param("dose." + club.cell(slot, 1), is))
                .andExpect(status().is3xxRedirection());
    }

    private ResultActions floor(String... task) throws Exception {
        return mvc.perform(get(club.url("/floor?day=0&week=1" + (task.length > 0 ? "&task=" + task[0] : "")))
                .with(club.asLifter()));
    }

    private SessionLog session() {
        return club.plan().session(0, 1).orElseThrow();
    }

    private LiftedSet last() {
        List<DoneSet> sets = session().sets();
        return sets.get(sets.size() - 1).set();
    }

    // ---- changing the day

    @Test
    void aSlotLeftOutSaysWhyAndCanBeTakenBack() throws Exception {
        send("/slots/C", "what", "skip", "reason", "no rack free").andExpect(status().isFound());
        floor().andExpect(content()
                .string(allOf(
                        shows(".small", "left out"), shows(".small", "no rack free"), containsString(">0 of 0<"))));
        String token = jdbc.sql("select token::text from amendment where club_id = ?")
                .param(club.lifter.clubId())
                .query(String.class)
                .single();
        send("/changes/" + token + "/back").andExpect(status().isFound());
        floor().andExpect(content().string(not(containsString("no rack free"))));
    }

    @Test
    void theSameChangeSentTwiceIsKeptOnce() throws Exception {
        String token = UUID.randomUUID().toString();
        send("/slots/C", "what", "shorten", "sets", "2", "token", token);
        send("/slots/C", "what", "shorten", "sets", "2", "token", token);
        assertThat(jdbc.sql("select count(*) from amendment where club_id = ?")
                        .param(club.lifter.clubId())
                        .query(Integer.class)
                        .single())
                .isOne();
    }

    @Test
    void aSwappedLiftIsLoadedFromItsOwnNumbersAndThePlanIsStillSaid() throws Exception {
        send("/slots/C", "what", "swap", "lift", "front-squat").andExpect(status().isFound());
        floor().andExpect(content()
                .string(allOf(
                        shows(".small", "swapped for Front squat"), shows(".quiet", "The plan: Squat, 3x5 75%"))));
        log("C.1", "120", "5", "8").andExpect(status().isFound());
        assertThat(last().lift().key()).isEqualTo("front-squat");
    }

    @Test
    void aTopFarOverItsTargetIsAskedAboutInWholeWords() throws Exception {
        log("A.1", "187.5", "1", "10");
        floor().andExpect(content()
                .string(allOf(
                        shows("h2", "The top was 2 over its target"),
                        shows(".act", "Go on from it"),
                        shows(".act", "Stop this lift"))));
    }

    @Test
    void whatCanStandInIsOfferedWithItsOwnLoadToWhoeverIsAboutToChangeTheSlot() throws Exception {
        mvc.perform(get(club.url("/floor?day=0&week=1&change=C")).with(club.asLifter()))
                .andExpect(content()
                        .string(allOf(
                                tagged(".change", "action=\"" + club.url("/floor/slots/C") + "\""),
                                containsString("value=\"paused-squat\">Paused squat, 127.5 kg"))));
        floor().andExpect(content().string(not(containsString("/floor/slots/"))));
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "shorten|sets|none|number from 1 to",
                "swap|lift|flying|Choose one",
                "step|load|heavy|above 0",
            })
    void whatCannotBeReadIsSaidBesideItsFieldAndStays(String what, String field, String typed, String says)
            throws Exception {
        send("/slots/C", "what", what, field, typed, "reason", "kept words")
                .andExpect(status().isUnprocessableContent())
                .andExpect(
                        content().string(allOf(containsString(says), tagged(".form-control", "value=\"kept words\""))));
    }

    @Test
    void onlyTheCoachGivesAnotherDoseAndNoneFromBehindAGate() throws Exception {
        send("/slots/C", "what", "dose", "from", "2", "dose", "2x3 @7").andExpect(status().isForbidden());
        mvc.perform(form("/slots/C", "what", "dose", "from", "2", "dose", "2x3 @7")
                        .with(club.asCoach()))
                .andExpect(status().isFound());
        floor().andExpect(content().string(shows(".small", "from set 2: 2x3 @7")));
        mvc.perform(form("/slots/C", "what", "dose", "from", "1", "dose", "1x8 120% lowering")
                        .with(club.asCoach()))
                .andExpect(status().isUnprocessableContent())
                .andExpect(content().string(shows("#slot-C-dose-says", "stands behind a gate")));
        mvc.perform(form("/slots/C", "what", "dose", "from", "1", "dose", "lots")
                        .with(club.asCoach()))
                .andExpect(status().isUnprocessableContent())
                .andExpect(content().string(shows("#slot-C-dose-says", "Not a dose")));
    }

    // ---- what a set raises

    @Test
    void aTopFarOffItsTargetIsAskedAboutAndAnotherOneCanBeTaken() throws Exception {
        log("A.1", "187.5", "1", "6");
        floor().andExpect(content().string(allOf(shows("h2", "under its target"), tagged(".oneline", "A another 1"))));
        send("/changes", "change", "A another 1", "change", "A load 2 195kg", "change", "A go-on A.1")
                .andExpect(status().isFound());
        floor().andExpect(content()
                .string(allOf(
                        shows("#now-title", "Now: A Squat"),
                        shows(".small", "195 kg"),
                        shows(".hangs", "decided on the floor"),
                        not(containsString("under its target")))));
    }

    @Test
    void aWarmUpThatRatesTheTargetBecomesTheTop() throws Exception {
        log("A.w1", "170", "1", "8", "meant", "170 1 8");
        floor().andExpect(content().string(shows("h2", "That warm-up was the top set")));
        send("/retask", "warm-up", "A.w1", "top", "A.1").andExpect(status().isFound());
        assertThat(session().sets()).extracting(set -> set.task().toString()).containsExactly("A.1");
        floor().andExpect(content()
                .string(allOf(shows("#now-title", "Now: B Squat"), shows(".quiet", "under the 170 kg you lifted"))));
    }

    @Test
    void anAnswerThatIsNoneChangesNothing() throws Exception {
        send("/changes", "change", "A dose 1 1 @10").andExpect(status().isNotFound());
        send("/changes", "change", "A fly").andExpect(status().isNotFound());
    }

    // ---- kinds of work

    @Test
    void aBlindSetShowsPlatesAndNowhereTheTotal() throws Exception {
        dose(2, "3x5 75%", "3x5 75% blind");
        log("A.1", "187.5", "1", "8");
        String page = floor("C.1").andReturn().getResponse().getContentAsString();
        String now = page.substring(
                page.indexOf("class=\"now\""), page.indexOf("</section>", page.indexOf("class=\"now\"")));
        assertThat(now).contains("the plates, not the total", "class=\"disc").doesNotContain("150 kg");
        log("C.1", "150", "5", "8").andExpect(status().isFound());
        floor().andExpect(content().string(not(containsString("150 kg × 5"))));
    }

    @Test
    void bandsAreLookedOverBeforeTheFirstSet() throws Exception {
        dose(2, "3x5 75%", "3x5 60% +bands 10/35kg");
        String page = floor("C.1").andReturn().getResponse().getContentAsString();
        String now = page.substring(
                page.indexOf("class=\"now\""), page.indexOf("</section>", page.indexOf("class=\"now\"")));
        assertThat(now).contains("The two bands are a pair").doesNotContain("class=\"log\"");
        send("/changes", "change", "C checked");
        floor("C.1").andExpect(content().string(not(containsString("The two bands are a pair"))));
        log("C.1", "85", "5", "9");
        assertThat(last().details().asked()).hasToString("+bands 10/35kg");
        assertThat(last().repsThatEstimate()).isEmpty();
    }

    @Test
    void timedWorkNeedsNoRatingAndKeepsItsTime() throws Exception {
        dose(2, "3x5 75%", "3x45s 100kg");
        floor("C.1")
                .andExpect(content()
                        .string(allOf(shows(".next", "hold 45 s"), tagged(".workclock", "data-kind=\"hold\""))));
        log("C.1", "100", "1", "done", "time", "0:47").andExpect(status().isFound());
        assertThat(last().details().time()).contains(Duration.ofSeconds(47));
        assertThat(last().effort().code()).isEqualTo("done");
        // a course that is timed is told apart by tenths
        log("C.2", "100", "1", "done", "time", "14,85").andExpect(status().isFound());
        assertThat(last().details().time()).contains(Duration.ofMillis(14_850));
        for (String wrong : List.of("0", "0.00", "14.855", "1:75", "2:00:00", "fast")) {
            log("C.3", "100", "1", "done", "time", wrong).andExpect(status().isUnprocessableContent());
        }
        // what is counted in repetitions is rated
        log("B.1", "150", "5", "done").andExpect(status().isUnprocessableContent());
    }

    // ---- what more is said of a set

    @Test
    void everythingThatCanBeSaidOfASetIsKept() throws Exception {
        log(
                "B.1",
                "150",
                "5",
                "8",
                "helped",
                "1",
                "speed",
                "0,31",
                "video",
                "EASIER",
                "partner",
                "7.5",
                "note",
                "left shoe open",
                "wears",
                "yes",
                "worn",
                "BELT",
                "worn",
                "KNEE_SLEEVES");
        SetDetails details = last().details();
        assertThat(details.helped()).isOne();
        assertThat(details.speed().orElseThrow()).hasToString("0.31");
        assertThat(details.video()).contains(SetDetails.Video.EASIER);
        assertThat(details.partner().orElseThrow()).hasToString("7.5");
        assertThat(details.worn().orElseThrow()).containsExactlyInAnyOrder(Worn.BELT, Worn.KNEE_SLEEVES);
        floor().andExpect(content()
                .string(allOf(
                        shows(".small", "left shoe open"), shows(".small", "1 helped"), shows(".small", "0.31 m/s"))));
    }

    @Test
    void aSetSaysThatNothingMoreWouldHaveGone() throws Exception {
        dose(2, "3x5 75%", "2xmax 100kg");
        floor("C.1").andExpect(content().string(shows(".tick", "Not one more would have gone")));
        log("C.1", "100", "11", "9", "proof", "LIMIT_SET").andExpect(status().isFound());
        assertThat(last().provesTheLimit()).isTrue();
        assertThat(last().rating()).contains(Rpe.LIMIT);
        floor().andExpect(content().string(shows(".small", "to the limit")));
        // an attempt can be marked where repetitions are counted beforehand
        floor("B.1").andExpect(content().string(shows("option", "an attempt at a contest")));
        log("B.1", "150", "5", "8", "proof", "CONTEST_ATTEMPT").andExpect(status().isFound());
        assertThat(last().details().proof()).contains(SetDetails.Proof.CONTEST_ATTEMPT);
        log("B.2", "150", "5", "8", "proof", "SWORN").andExpect(status().isUnprocessableContent());
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "helped|6|number from 0 to 5",
                "speed|fast|A speed such as",
                "speed|9|A speed such as",
            })
    void badDetailsAreSaidBesideTheirFieldAndNothingIsLost(String field, String typed, String says) throws Exception {
        log("B.1", "150", "5", "8", field, typed, "note", "kept words")
                .andExpect(status().isUnprocessableContent())
                .andExpect(
                        content().string(allOf(containsString(says), tagged(".form-control", "value=\"kept words\""))));
    }

    @Test
    void whyASetWasMissedIsAskedOnceItIsLogged() throws Exception {
        log("A.1", "187.5", "0", "missed");
        floor().andExpect(content().string(shows(".whymissed", "Squat missed: by what?")));
        send("/why", "task", "A.1", "why", "GRIP").andExpect(status().isFound());
        assertThat(last().details().missedBy()).contains(SetDetails.MissedBy.GRIP);
        floor().andExpect(content().string(not(containsString("missed: by what?"))));
    }

    @Test
    void aSetThatComesLateKeepsItsOwnTime() throws Exception {
        log(
                "A.w1",
                "20",
                "10",
                "easy",
                "at",
                String.valueOf(TestSettings.NOW.minusSeconds(600).toEpochMilli()));
        assertThat(session().times().get(0)).isEqualTo(TestSettings.NOW.minusSeconds(600));
        Instant received = jdbc.sql("select received_at from logged_set where club_id = ?")
                .param(club.lifter.clubId())
                .query((row, n) -> row.getTimestamp(1).toInstant())
                .single();
        assertThat(received).isEqualTo(TestSettings.NOW);
        // a phone whose clock runs ahead lifts nothing in the future
        log(
                "A.w2",
                "70",
                "5",
                "easy",
                "at",
                String.valueOf(TestSettings.NOW.plusSeconds(600).toEpochMilli()));
        assertThat(session().times().get(1)).isEqualTo(TestSettings.NOW);
    }

    // ---- before, during, after

    @Test
    void anAcheNotedOnTheFloorStaysAndWarnsAtItsLifts() throws Exception {
        send("/aches", "place", "KNEE", "weight", "6", "words", "on the way up").andExpect(status().isFound());
        floor().andExpect(content()
                .string(allOf(
                        shows(".watch", "on the way up"), shows(".watch", "6 of 10"), shows(".watch", "first pain"))));
        send("/aches", "place", "KNEE", "weight", "11").andExpect(status().isUnprocessableContent());
    }

    @Test
    void whoeverIsAskedBeforeASessionIsAskedOnce() throws Exception {
        floor().andExpect(content().string(not(containsString("Before you begin"))));
        mvc.perform(post(club.url("/profile/fields/before-session"))
                        .with(club.asCoach())
                        .with(csrf())
                        .param("value", "YES"))
                .andExpect(status().is3xxRedirection());
        floor().andExpect(content().string(shows(".before", "Before you begin")));
        send("/before", "sleep", "2", "fatigue", "5", "stress", "4", "soreness", "6", "joints", "4")
                .andExpect(status().isFound());
        floor().andExpect(content().string(not(containsString("Before you begin"))));
        assertThat(session().ratings().before()).containsExactly(2, 5, 4, 6, 4);
    }

    @Test
    void theEndAsksAboutSetsTooFewAndKeepsWhatIsSaid() throws Exception {
        log("B.1", "150", "5", "8");
        floor().andExpect(content().string(shows(".small", "1 logged, 2 planned")));
        send("/finish", "rating", "7", "minutes", "55", "count", "CUT", "pain", "")
                .andExpect(status().isFound());
        SessionRatings said = session().ratings();
        assertThat(said.effort()).contains(7);
        assertThat(said.minutes()).contains(55);
        assertThat(said.countSaid()).contains(SessionRatings.CountSaid.CUT);
        assertThat(session().sets()).hasSize(1);
    }

    @Test
    void aBadFinishKeepsWhatWasTyped() throws Exception {
        log("B.1", "150", "5", "8");
        send("/finish", "rating", "7", "minutes", "long")
                .andExpect(status().isUnprocessableContent())
                .andExpect(content().string(tagged(".form-control", "value=\"long\"")));
        assertThat(session().finished()).isFalse();
    }
}
