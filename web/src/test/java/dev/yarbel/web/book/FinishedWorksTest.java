package dev.yarbel.web.book;

import static org.assertj.core.api.Assertions.assertThat;

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
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.transaction.support.TransactionTemplate;

/** What the book remembers of a lifter is never older than the book, whoever changed it. */
@YarbelTest
class FinishedWorksTest {

    @Autowired
    private Book book;

    @Autowired
    private Sessions sessions;

    @Autowired
    private Clubs4Tests clubs;

    @Autowired
    private JdbcClient jdbc;

    @Autowired
    private TransactionTemplate transactions;

    private TestClub club;

    @BeforeEach
    void makeClub() {
        club = clubs.club();
        sessions.addHistory(
                club.lifter,
                Optional.of(club.plan().planned(0, 0)),
                "A\tsquat\t1 @8\t~187.5kg",
                TestSettings.TODAY.minusWeeks(1),
                TestSettings.NOW,
                List.of(new DoneSet(
                        TaskKey.work("A", 1), new LiftedSet(Lift.SQUAT, Mass.ofKg(190), 1, Effort.parse("9")))),
                false);
    }

    private LifterRecord standing() {
        return book.standing(club.lifter);
    }

    private void change(String sql) {
        jdbc.sql(sql)
                .param("club", club.lifter.clubId())
                .param("lifter", club.lifter.id())
                .update();
    }

    /** What the book says when it remembers nothing. */
    private LifterRecord readAnew() {
        change("delete from strength_after where lifter_id = :lifter and club_id = :club");
        change("update book_version set version = gen_random_uuid() where lifter_id = :lifter and club_id = :club");
        return standing();
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "update logged_set set load = load + 5 where club_id = :club",
                "update logged_set set note = 'slow off the chest' where club_id = :club",
                "delete from logged_set where club_id = :club",
                "insert into logged_set (club_id, session_id, token, task, lift, load, reps, effort, logged_at)"
                        + " select club_id, id, gen_random_uuid(), 'A.2', 'squat', 150, 5, '8', now()"
                        + " from training_session where club_id = :club",
                "update training_session set coach_note = 'well paced' where club_id = :club",
                "update training_session set held_on = held_on - 3 where club_id = :club",
                "update training_session set finished_at = null where club_id = :club",
                "insert into recorded_max (club_id, lifter_id, lift, kind, load, unit, reps, on_date, entered_at, entered_by)"
                        + " values (:club, :lifter, 'squat', 'TESTED', 210, 'KG', 1, '2026-01-02', now(), 'Test')",
                "update recorded_max set removed_at = now() where club_id = :club",
                "delete from recorded_max where club_id = :club",
                "update lift_numbers set working_max = 150 where club_id = :club",
                "update lift_numbers set rep_curve = 'brzycki' where club_id = :club",
                "update lift_numbers set rating_bias = -2, rating_bias_why = 'seen' where club_id = :club",
                "update recorded_max set worn = '{KNEE_WRAPS}' where club_id = :club",
                "delete from lift_numbers where club_id = :club",
                "insert into own_variation (club_id, lift, parent, ratio, implement, pins)"
                        + " values (:club, 'own-squat', 'squat', 80, 'BARBELL', false)"
            })
    void whateverChangesTheBookIsSeenAtOnce(String sql) {
        book.keepStrength(club.lifter.clubId(), club.lifter.id());
        LifterRecord before = standing();
        assertThat(standing().hasNumbersOf(before)).as("remembered").isTrue();
        change(sql);
        LifterRecord after = standing();
        assertThat(after.hasNumbersOf(before)).isFalse();
        assertThat(standing().hasNumbersOf(after)).as("remembered again").isTrue();
        LifterRecord anew = readAnew();
        assertThat(after.log()).usingRecursiveComparison().isEqualTo(anew.log());
        assertThat(after.lifts()).isEqualTo(anew.lifts());
        assertThat(after.catalogue().all()).isEqualTo(anew.catalogue().all());
    }

    /** A finished session stands in the log once, an open one is seen set by set without anything being read again. */
    @Test
    void anOpenSessionIsReadWithEachPageAndTheRestIsNot() {
        LifterRecord before = standing();
        change("insert into training_session (club_id, lifter_id, held_on, started_at)" + " values (:club, :lifter, '"
                + TestSettings.TODAY + "', now())");
        change("insert into logged_set (club_id, session_id, token, task, lift, load, reps, effort, logged_at)"
                + " select club_id, id, gen_random_uuid(), 'A.1', 'squat', 150, 5, '8', now()"
                + " from training_session where club_id = :club and finished_at is null");
        LifterRecord open = standing();
        assertThat(open.hasNumbersOf(before)).isTrue();
        assertThat(open.log()).hasSize(2).last().satisfies(session -> {
            assertThat(session.finished()).isFalse();
            assertThat(session.sets()).hasSize(1);
        });
        change("update training_session set finished_at = now() where club_id = :club and finished_at is null");
        assertThat(standing().hasNumbersOf(before)).isFalse();
        assertThat(standing().log()).hasSize(2).allMatch(SessionLog::finished);
        change("update training_session set judgement = 'OVER' where club_id = :club");
        LifterRecord judged = standing();
        change("update training_session set judgement = 'UNDER' where club_id = :club");
        assertThat(standing().hasNumbersOf(judged)).isTrue();
    }

    @Test
    void whatWasTakenBackIsNotRemembered() {
        LifterRecord before = standing();
        transactions.executeWithoutResult(status -> {
            change("update logged_set set load = 250 where club_id = :club");
            assertThat(standing().lifts()).isNotEqualTo(before.lifts());
            status.setRollbackOnly();
        });
        assertThat(standing().lifts()).isEqualTo(before.lifts());
        change("update logged_set set note = 'on video' where club_id = :club");
        assertThat(standing().lifts().get(0).estimate().map(estimate -> estimate.max()))
                .isEqualTo(before.lifts().get(0).estimate().map(estimate -> estimate.max()));
    }

    /** Of another club, nothing is forgotten. */
    @Test
    void othersKeepTheirs() {
        LifterRecord before = standing();
        TestClub other = clubs.club();
        jdbc.sql("update logged_set set load = load + 5 where club_id = ?")
                .param(other.lifter.clubId())
                .update();
        jdbc.sql("update lift_numbers set working_max = 100 where club_id = ?")
                .param(other.lifter.clubId())
                .update();
        assertThat(standing().hasNumbersOf(before)).isTrue();
    }
}
