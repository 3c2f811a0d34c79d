package dev.yarbel.web.floor;

import static dev.yarbel.web.OnPage.shows;
import static dev.yarbel.web.OnPage.tagged;
import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.content;
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
import dev.yarbel.web.book.Book;
import dev.yarbel.web.book.SessionLog;
import dev.yarbel.web.book.Sessions;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.test.web.servlet.MockMvc;
import org.springframework.test.web.servlet.ResultActions;
import org.springframework.test.web.servlet.request.MockHttpServletRequestBuilder;

/** What was not planned is logged, and invents no day of a plan. */
@YarbelTest
class UnplannedTest {

    @Autowired
    private MockMvc mvc;

    @Autowired
    private Clubs4Tests clubs;

    @Autowired
    private Sessions sessions;

    @Autowired
    private Book book;

    @Autowired
    private JdbcClient jdbc;

    private TestClub club;

    @BeforeEach
    void makeClub() {
        club = clubs.club();
    }

    private ResultActions log(String token, String lift, String load, String reps, String effort, String... more)
            throws Exception {
        MockHttpServletRequestBuilder request = post(club.url("/floor/free/sets"))
                .with(club.asLifter())
                .with(csrf())
                .param("token", token)
                .param("lift", lift)
                .param("load", load)
                .param("reps", reps)
                .param("effort", effort);
        for (int i = 0; i < more.length; i += 2) {
            request.param(more[i], more[i + 1]);
        }
        return mvc.perform(request);
    }

    private List<SessionLog> logged() {
        return book.standing(club.lifter).log();
    }

    @Test
    void somethingElseTodayIsInTheBookAndInTheEstimate() throws Exception {
        log(UUID.randomUUID().toString(), "Bench press", "100", "5", "8").andExpect(status().isFound());
        log(UUID.randomUUID().toString(), "squat", "210", "1", "9").andExpect(status().isFound());
        log(UUID.randomUUID().toString(), "bench press", "220 lb", "5", "8").andExpect(status().isFound());
        assertThat(logged()).singleElement().satisfies(session -> {
            assertThat(session.planned()).isEmpty();
            assertThat(session.date()).isEqualTo(TestSettings.TODAY);
            assertThat(session.sets().stream().map(DoneSet::task))
                    .containsExactly(TaskKey.work("A", 1), TaskKey.work("B", 1), TaskKey.work("A", 2));
        });
        mvc.perform(get(club.url("/floor/free")).with(club.asLifter()))
                .andExpect(content().string(shows(".sets", "210 kg")));
        mvc.perform(post(club.url("/floor/free/finish"))
                        .with(club.asLifter())
                        .with(csrf())
                        .param("pain", "elbow"))
                .andExpect(status().isFound());
        assertThat(logged().get(0).finished()).isTrue();
        assertThat(logged().get(0).pain()).contains("elbow");
        assertThat(book.standing(club.lifter)
                        .of(Lift.SQUAT)
                        .orElseThrow()
                        .estimate()
                        .orElseThrow()
                        .movements())
                .isNotEmpty();
        mvc.perform(get(club.url("/book")).with(club.asCoach()))
                .andExpect(content().string(shows(".stop", "elbow")));
        assertThat(club.plan().session(0, 1))
                .as("the planned day is still to come")
                .isEmpty();
    }

    @Test
    void sentTwiceItIsOnce() throws Exception {
        String token = UUID.randomUUID().toString();
        log(token, "squat", "100", "5", "8").andExpect(status().isFound());
        log(token, "squat", "100", "5", "8").andExpect(status().isFound());
        assertThat(logged().get(0).sets()).hasSize(1);
    }

    @Test
    void sentAgainAfterItWasFinishedItBeginsNothing() throws Exception {
        String token = UUID.randomUUID().toString();
        log(token, "squat", "100", "5", "8");
        mvc.perform(post(club.url("/floor/free/finish")).with(club.asLifter()).with(csrf()));
        log(token, "squat", "100", "5", "8").andExpect(status().isFound());
        assertThat(logged()).singleElement().satisfies(session -> assertThat(session.sets())
                .hasSize(1));
    }

    @Test
    void aSlipOfTheThumbIsCorrectedAndTheLedgerKeepsWhatItSaid() throws Exception {
        log(UUID.randomUUID().toString(), "squat", "1000", "5", "8").andExpect(status().isUnprocessableContent());
        log(UUID.randomUUID().toString(), "squat", "1000", "5", "8", "meant", "1000 5 8")
                .andExpect(status().isFound());
        long session = logged().get(0).id();
        mvc.perform(get(club.url("/floor/free?task=A.1&session=" + session)).with(club.asLifter()))
                .andExpect(content().string(tagged(".form-control", "value=\"1000 kg\"")));
        correct(session, "100").andExpect(status().isFound());
        assertThat(logged().get(0).sets())
                .singleElement()
                .satisfies(done -> assertThat(done.set().load()).isEqualTo(Mass.ofKg(100)));
        assertThat(jdbc.sql("select before from change_entry where lifter_id = ? and kind = 'SET_CORRECTED'")
                        .param(club.lifter.id())
                        .query(String.class)
                        .single())
                .startsWith("1000 kg");
    }

    private ResultActions correct(long session, String load) throws Exception {
        return mvc.perform(post(club.url("/floor/free/sets"))
                .with(club.asLifter())
                .with(csrf())
                .param("session", String.valueOf(session))
                .param("task", "A.1")
                .param("lift", "squat")
                .param("load", load)
                .param("reps", "5")
                .param("effort", "8"));
    }

    @Test
    void aCorrectionMeantForOneSessionNeverMeetsAnother() throws Exception {
        log(UUID.randomUUID().toString(), "squat", "100", "5", "8");
        long first = logged().get(0).id();
        mvc.perform(post(club.url("/floor/free/finish")).with(club.asLifter()).with(csrf()));
        log(UUID.randomUUID().toString(), "squat", "60", "5", "8");
        correct(first, "102.5")
                .andExpect(status().isUnprocessableContent())
                .andExpect(content().string(tagged(".form-control", "value=\"102.5\"")))
                .andExpect(content().string(shows("#free-lift-says", "finished meanwhile")));
        assertThat(logged())
                .extracting(session -> session.sets().get(0).set().load())
                .containsExactly(Mass.ofKg(100), Mass.ofKg(60));
    }

    @Test
    void oneThatWasFinishedIsOpenedAgainOnItsDay() throws Exception {
        log(UUID.randomUUID().toString(), "squat", "100", "5", "8");
        mvc.perform(post(club.url("/floor/free/finish"))
                .with(club.asLifter())
                .with(csrf())
                .param("pain", "knee"));
        String reopen = club.url("/floor/free/" + logged().get(0).id() + "/reopen");
        mvc.perform(post(reopen).with(club.asLifter()).with(csrf())).andExpect(status().isFound());
        assertThat(logged().get(0).finished()).isFalse();
        assertThat(logged().get(0).pain()).contains("knee");
        mvc.perform(post(club.url("/floor/free/finish")).with(club.asLifter()).with(csrf()));
        // another of the day is open: that one comes first
        log(UUID.randomUUID().toString(), "squat", "60", "5", "8");
        mvc.perform(post(reopen).with(club.asLifter()).with(csrf())).andExpect(status().isFound());
        assertThat(logged()).hasSize(2);
        assertThat(logged().get(0).finished()).isTrue();
        mvc.perform(post(club.url("/floor/free/finish")).with(club.asLifter()).with(csrf()));
        jdbc.sql("update training_session set held_on = held_on - 1 where lifter_id = ?")
                .param(club.lifter.id())
                .update();
        mvc.perform(post(reopen).with(club.asLifter()).with(csrf())).andExpect(status().isNotFound());
        assertThat(logged().get(0).finished()).isTrue();
        mvc.perform(post(club.url("/floor/free/999999/reopen"))
                        .with(club.asCoach())
                        .with(csrf()))
                .andExpect(status().isNotFound());
    }

    @Test
    void aSecondOneOfTheDayIsAnotherSession() throws Exception {
        for (int i = 0; i < 2; i++) {
            log(UUID.randomUUID().toString(), "squat", "100", "5", "8");
            mvc.perform(
                    post(club.url("/floor/free/finish")).with(club.asLifter()).with(csrf()));
        }
        assertThat(logged()).hasSize(2);
    }

    @Test
    void whatCannotBeReadIsSaidBesideItsField() throws Exception {
        for (String[] wrong : new String[][] {
            {"flying", "100", "5", "8"},
            {"squat", "ten", "5", "8"},
            {"squat", "100", "x", "8"},
            {"squat", "100", "5", ""},
            {"squat", "100", "0", "8"}
        }) {
            log(UUID.randomUUID().toString(), wrong[0], wrong[1], wrong[2], wrong[3])
                    .andExpect(status().isUnprocessableContent());
        }
        assertThat(logged()).isEmpty();
    }

    @Test
    void historyWithoutAPlanHasNeitherDayNorWeek() {
        sessions.addHistory(
                club.lifter,
                Optional.empty(),
                TestSettings.TODAY.minusDays(30),
                TestSettings.NOW,
                List.of(new DoneSet(
                        TaskKey.work("A", 1), new LiftedSet(Lift.SQUAT, Mass.ofKg(180), 3, Effort.parse("8")))),
                false);
        assertThat(logged()).singleElement().satisfies(session -> assertThat(session.planned())
                .isEmpty());
        assertThat(jdbc.sql(
                                "select count(*) from training_session where lifter_id = ? and plan_day is null and plan_week is null")
                        .param(club.lifter.id())
                        .query(Integer.class)
                        .single())
                .isOne();
    }

    @Test
    void whoeverHasNoBlockLogsFromTheFloor() throws Exception {
        jdbc.sql("update block set start_on = start_on + 365 where lifter_id = ?")
                .param(club.lifter.id())
                .update();
        mvc.perform(get(club.url("/floor")).with(club.asLifter()))
                .andExpect(content().string(tagged(".elsewhere", club.url("/floor/free"))));
    }
}
