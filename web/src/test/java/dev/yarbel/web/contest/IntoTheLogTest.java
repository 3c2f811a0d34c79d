package dev.yarbel.web.contest;

import static org.assertj.core.api.Assertions.assertThat;
import static org.awaitility.Awaitility.await;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import dev.yarbel.core.contest.NoLift;
import dev.yarbel.core.contest.Outcome;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.record.SetDetails;
import dev.yarbel.core.session.DoneSet;
import dev.yarbel.web.Clubs4Tests;
import dev.yarbel.web.Clubs4Tests.TestClub;
import dev.yarbel.web.YarbelTest;
import dev.yarbel.web.book.Book;
import dev.yarbel.web.book.LiftRecord;
import dev.yarbel.web.book.SessionLog;
import java.time.Duration;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import net.ttddyy.dsproxy.QueryCountHolder;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.test.web.servlet.MockMvc;
import org.springframework.test.web.servlet.ResultActions;

/** What was lifted at a contest, in the lifter's log. */
@YarbelTest
class IntoTheLogTest {

    @Autowired
    private MockMvc mvc;

    @Autowired
    private Clubs4Tests clubs;

    @Autowired
    private Contests contests;

    @Autowired
    private Taps taps;

    @Autowired
    private Book book;

    @Autowired
    private JdbcClient jdbc;

    private TestClub club;
    private Clubs4Tests.TestContest held;
    private ContestEntity contest;

    @BeforeEach
    void hold() {
        club = clubs.club();
        held = clubs.contest(club);
        contest = contests.contest(club.coach, held.contest());
    }

    private String entry() {
        return "/contests/" + held.contest() + "/entries/" + held.entry();
    }

    private Document page() throws Exception {
        return Jsoup.parse(mvc.perform(get(entry()).with(club.asCoach()))
                .andReturn()
                .getResponse()
                .getContentAsString());
    }

    private ResultActions write() throws Exception {
        return mvc.perform(post(entry() + "/log").with(club.asCoach()).with(csrf()));
    }

    private Taps.Which squat(int number) {
        return new Taps.Which(held.entry(), Lift.SQUAT, number, Optional.empty());
    }

    private void lifted(int number, int kg, Outcome outcome) {
        taps.name(club.coach, contest, squat(number), Mass.ofKg(kg), true);
        taps.say(club.coach, contest, squat(number), outcome, Optional.empty());
    }

    /** What the log has of the day beside the plan. */
    private List<DoneSet> logged() {
        return book.standing(club.lifter).log().stream()
                .filter(session -> session.planned().isEmpty()
                        && session.date().equals(club.plan().today()))
                .flatMap(session -> session.sets().stream())
                .toList();
    }

    private double squatMax() {
        return book.standing(club.lifter)
                .of(Lift.SQUAT)
                .flatMap(LiftRecord::estimate)
                .orElseThrow()
                .max()
                .kilograms();
    }

    @Test
    void attemptsAreInTheLogAndMoveTheMax() throws Exception {
        double before = squatMax();
        lifted(1, 190, Outcome.EASY);
        lifted(2, 202, Outcome.TURNED_DOWN);
        taps.tell(club.coach, contest, squat(2), Optional.of(NoLift.DEPTH), Optional.empty());
        lifted(3, 202, Outcome.SOLID);
        assertThat(page().select("#log").text()).contains("3 sets").contains("not in the log yet");

        write().andExpect(status().is3xxRedirection());

        assertThat(logged())
                .extracting(done -> done.set().load().kilograms() + " x"
                        + done.set().reps() + " " + done.set().effort().code())
                .containsExactly("190.0 x1 done", "202.0 x0 missed", "202.0 x1 9");
        assertThat(logged().get(1).set().details().missedBy()).contains(SetDetails.MissedBy.CALL);
        assertThat(page().select("#log").text()).contains("Written on");
        await().untilAsserted(() -> assertThat(squatMax()).isBetween(before + 1, before + 12));
    }

    @Test
    void writtenTwiceEachIsThereOnceAsItStands() throws Exception {
        lifted(1, 150, Outcome.MADE);
        write();
        write();
        assertThat(logged()).hasSize(1);

        taps.unsay(club.coach, contest, squat(1));
        taps.say(club.coach, contest, squat(1), Outcome.SOLID, Optional.empty());
        lifted(2, 160, Outcome.MADE);
        write();

        assertThat(logged()).extracting(done -> done.set().effort().code()).containsExactly("9", "done");
        assertThat(book.standing(club.lifter).log().stream()
                        .filter(session -> session.planned().isEmpty())
                        .allMatch(SessionLog::finished))
                .isTrue();
    }

    /** The bench and the pull are advised by the squats once, also when the squats are in the log already. */
    @Test
    void whatIsInTheLogDoesNotCountTwiceOnTheDay() throws Exception {
        for (Map.Entry<String, String> max :
                Map.of("squat", "190", "bench-press", "125", "deadlift", "230").entrySet()) {
            mvc.perform(post(club.url("/book/lifts/" + max.getKey() + "/max"))
                            .with(club.asCoach())
                            .with(csrf())
                            .param("kind", "CONTEST")
                            .param("load", max.getValue())
                            .param("on", "2026-03-01"))
                    .andExpect(status().is3xxRedirection());
        }
        page();
        String before = believed();
        assertThat(before).contains("{");
        lifted(1, 190, Outcome.GRIND);
        write();
        await().untilAsserted(() -> assertThat(
                        jdbc.sql("select count(*) from event_publication where completion_date is null")
                                .query(Long.class)
                                .single())
                .isZero());
        page();

        assertThat(believed()).isEqualTo(before);
    }

    private String believed() {
        return String.valueOf(jdbc.sql("select believed::text from contest_entry where id = ?")
                .param(held.entry())
                .query(String.class)
                .optional());
    }

    @Test
    void beforeTheDayAndWithoutAnAttemptThereIsNothingToWrite() throws Exception {
        assertThat(page().select("#log")).isEmpty();
        write().andExpect(status().is(422));
        lifted(1, 150, Outcome.MADE);
        jdbc.sql("update contest set held_on = held_on + 1 where id = ?")
                .param(held.contest())
                .update();

        assertThat(page().select("#log")).isEmpty();
        String refused =
                write().andExpect(status().is(422)).andReturn().getResponse().getContentAsString();

        assertThat(Jsoup.parse(refused).select("#log .bad").text()).contains("Nothing of the day");
        assertThat(logged()).isEmpty();
    }

    /** What was only expected is not written; what was done is, at the load that is announced. */
    @Test
    void resultsOfEventsAreInTheLog() throws Exception {
        Clubs4Tests.TestContest games = clubs.games(club);
        held = new Clubs4Tests.TestContest(
                games.contest(),
                jdbc.sql("select id from contest_entry where contest_id = ?")
                        .param(games.contest())
                        .query(Long.class)
                        .single());
        jdbc.sql("update contest set held_on = ? where id = ?")
                .params(club.plan().today(), held.contest())
                .update();
        mvc.perform(post("/contests/" + held.contest() + "/events")
                .with(club.asCoach())
                .with(csrf())
                .param("lift", "yoke-walk")
                .param("measure", "TIME")
                .param("load", "300")
                .param("course", "20"));
        long yoke = jdbc.sql("select max(id) from contest_event where contest_id = ?")
                .param(held.contest())
                .query(Long.class)
                .single();
        mvc.perform(post("/contests/" + held.contest() + "/events/results")
                .with(club.asCoach())
                .with(csrf())
                .param("r-" + held.entry() + "-" + yoke, "14.85"));
        jdbc.sql("update contest_event set lift = null where id = ?")
                .param(yoke)
                .update();
        String field = "r-" + held.entry() + "-" + games.entry();
        for (Map.Entry<String, Integer> result : Map.of("~9", 0, "8", 1).entrySet().stream()
                .sorted(Map.Entry.comparingByValue())
                .toList()) {
            mvc.perform(post("/contests/" + held.contest() + "/events/results")
                    .with(club.asCoach())
                    .with(csrf())
                    .param(field, result.getKey())
                    .param("was-" + field, result.getValue() == 0 ? "" : "~9"));
            assertThat(page().select("#log")).hasSize(result.getValue());
        }

        jdbc.sql("update contest_event set lift = 'yoke-walk' where id = ?")
                .param(yoke)
                .update();
        write().andExpect(status().is3xxRedirection());

        assertThat(logged().get(1).set().details().time()).contains(Duration.ofMillis(14_850));
        assertThat(logged())
                .extracting(done -> done.set().lift().key() + " "
                        + done.set().load().kilograms() + " x" + done.set().reps())
                .containsExactly("log-press 100.0 x8", "yoke-walk 300.0 x1");
    }

    /** Each set is written by itself, but nothing is read for each. */
    @Test
    void writingMoreAttemptsReadsNoMoreOften() throws Exception {
        lifted(1, 150, Outcome.EASY);
        long one = reads();
        hold();
        lifted(1, 150, Outcome.EASY);
        lifted(2, 155, Outcome.EASY);
        lifted(3, 160, Outcome.SOLID);
        assertThat(reads()).isEqualTo(one);
        assertThat(logged()).hasSize(3);
    }

    private long reads() throws Exception {
        QueryCountHolder.clear();
        write().andExpect(status().is3xxRedirection());
        return QueryCountHolder.getGrandTotal().getSelect();
    }
}
