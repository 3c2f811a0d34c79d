package dev.yarbel.web.calls;

import static org.assertj.core.api.Assertions.assertThat;
import static org.awaitility.Awaitility.await;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import dev.yarbel.core.effort.Effort;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.record.LiftedSet;
import dev.yarbel.core.session.DoneSet;
import dev.yarbel.core.session.TaskKey;
import dev.yarbel.web.Clubs4Tests;
import dev.yarbel.web.Clubs4Tests.TestClub;
import dev.yarbel.web.TestSettings;
import dev.yarbel.web.YarbelTest;
import dev.yarbel.web.book.Sessions;
import dev.yarbel.web.roster.Roster;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.test.web.servlet.MockMvc;

/** An answer is looked at again after four weeks, once, and the page says which kinds paid. */
@YarbelTest
class JudgedLaterTest {

    private static final String ASKED = "A\tsquat\t1 @8\t180kg\n";

    @Autowired
    private MockMvc mvc;

    @Autowired
    private Clubs4Tests clubs;

    @Autowired
    private Sessions sessions;

    @Autowired
    private Slips slips;

    @Autowired
    private Roster roster;

    @Autowired
    private JudgedLater later;

    @Autowired
    private JdbcClient jdbc;

    private TestClub club;
    private int sessionsSoFar;

    @BeforeEach
    void makeClub() {
        club = clubs.club("squat 1 @8");
    }

    /** A squat single so many days ago, of the kind that was asked for, as the block's next. */
    private void single(int daysAgo, int kg, String rating) {
        LocalDate day = TestSettings.TODAY.minusDays(daysAgo);
        sessions.addHistory(
                club.lifter,
                Optional.of(club.plan().planned(0, sessionsSoFar++)),
                ASKED,
                day,
                TestSettings.NOW.minus(Duration.ofDays(daysAgo)),
                List.of(new DoneSet(
                        TaskKey.work("A", 1), new LiftedSet(Lift.SQUAT, Mass.ofKg(kg), 1, Effort.parse(rating)))),
                true);
        await().untilAsserted(() -> assertThat(
                        jdbc.sql("select count(*) from event_publication where completion_date is null")
                                .query(Integer.class)
                                .single())
                .isZero());
    }

    private Document page(String address) throws Exception {
        return Jsoup.parse(mvc.perform(get(address).with(club.asCoach()))
                .andExpect(status().isOk())
                .andReturn()
                .getResponse()
                .getContentAsString());
    }

    /** Answers what two hard sessions gave, and puts the answer so many days back. */
    private long answered(String how, int daysAgo) throws Exception {
        single(daysAgo + 4, 180, "9");
        single(daysAgo, 180, "9.5");
        long id = slips.queue(club.coach, roster.choices(club.coach)).stream()
                .filter(line -> line.rule().equals("hard-again"))
                .findFirst()
                .orElseThrow()
                .id();
        String shown = page("/calls/" + id).select("input[name=shown]").val();
        mvc.perform(post("/calls/" + id + "/" + how)
                        .with(club.asCoach())
                        .with(csrf())
                        .param("shown", shown))
                .andExpect(status().is3xxRedirection());
        Instant at = TestSettings.NOW.minus(Duration.ofDays(daysAgo));
        jdbc.sql("update slip set answered_at = :at where id = :id")
                .param("at", java.sql.Timestamp.from(at))
                .param("id", id)
                .update();
        return id;
    }

    private Optional<String> verdict(long slip) {
        return jdbc.sql("select verdict from judged_call where slip_id = :id")
                .param("id", slip)
                .query(String.class)
                .optional();
    }

    @Test
    void anAnswerIsJudgedByWhatFollowedItOnceItsFourWeeksAreOver() throws Exception {
        long id = answered("leave", 33);
        single(26, 180, "9.5");
        single(19, 180, "9");
        later.lookAgain();
        assertThat(verdict(id)).contains("TOO_MUCH");
        Document page = page("/calls/judged");
        assertThat(page.select("table.judged tbody tr").text())
                .contains("too hard twice in a row")
                .contains("0 of 1");
        assertThat(page.select("table.roster").last().text())
                .contains("2 sessions")
                .contains("0 of 2 rated sets on target, 2 over, 0 under")
                .contains("too much");
    }

    @Test
    void whatFollowsLaterChangesNoVerdict() throws Exception {
        long id = answered("take", 33);
        single(26, 175, "8");
        single(19, 175, "8");
        later.lookAgain();
        assertThat(verdict(id)).contains("BORNE_OUT");
        single(3, 175, "10");
        later.lookAgain();
        assertThat(verdict(id)).contains("BORNE_OUT");
    }

    @Test
    void anAnswerWhoseFourWeeksAreNotOverWaits() throws Exception {
        long id = answered("leave", 27);
        later.lookAgain();
        assertThat(verdict(id)).isEmpty();
        assertThat(page("/calls/judged").select(".empty")).hasSize(1);
    }

    /** Of five and more a share is told, with the range that it speaks for. */
    @Test
    void whereThereAreEnoughTheirShareIsDrawnWithItsRange() throws Exception {
        long id = answered("leave", 33);
        single(26, 180, "9.5");
        single(19, 180, "9");
        for (String lift : List.of("bench-press", "deadlift", "overhead-press", "front-squat", "sumo-deadlift")) {
            jdbc.sql("""
                            insert into slip (club_id, lifter_id, lift, session_id, status, opened_at, rule, proposes, raises, size,
                              answered_at, answered_by, answer_entry)
                            select club_id, lifter_id, :lift, session_id, status, opened_at, rule, proposes, raises, size,
                              answered_at, answered_by, answer_entry from slip where id = :id""").param("lift", lift).param("id", id).update();
        }
        later.lookAgain();
        // what nobody can say of counts for nothing
        assertThat(page("/calls/judged").select("table.judged svg")).isEmpty();
        jdbc.sql("""
                        update judged_call set verdict = 'BORNE_OUT' where verdict = 'UNKNOWN'
                          and slip_id in (select id from slip where lifter_id = :lifter)""").param("lifter", club.lifter.id()).update();
        Document page = page("/calls/judged");
        assertThat(page.select("table.judged tbody td").get(1).text())
                .contains("5 of 6")
                .contains("four times of five");
        assertThat(page.select("table.judged svg rect.range")).hasSize(1);
        assertThat(page.select("table.roster").last().select("tbody tr")).hasSize(6);
    }

    /** An answer that is taken back was none. */
    @Test
    void anAnswerTakenBackIsForgotten() throws Exception {
        long id = answered("leave", 33);
        later.lookAgain();
        assertThat(verdict(id)).contains("UNKNOWN");
        mvc.perform(post("/calls/" + id + "/take-back").with(club.asCoach()).with(csrf()));
        assertThat(verdict(id)).isEmpty();
        assertThat(page("/calls/judged").select("table")).isEmpty();
    }

    /** Which of a coach's calls pay is nobody else's business. */
    @Test
    void nobodySeesWhatAnotherCoachsAnswersCameTo() throws Exception {
        answered("leave", 33);
        later.lookAgain();
        assertThat(page("/calls/judged").select("table.judged")).hasSize(1);
        assertThat(Jsoup.parse(mvc.perform(get("/calls/judged").with(club.asHeadCoach()))
                                .andExpect(status().isOk())
                                .andReturn()
                                .getResponse()
                                .getContentAsString())
                        .select("table"))
                .isEmpty();
    }
}
