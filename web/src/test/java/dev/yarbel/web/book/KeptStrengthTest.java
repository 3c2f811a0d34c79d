package dev.yarbel.web.book;

import static org.assertj.core.api.Assertions.assertThat;

import dev.yarbel.core.effort.Effort;
import dev.yarbel.core.estimate.MaxEstimate;
import dev.yarbel.core.estimate.StrengthFilter;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.measure.BarSpeed;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.record.LiftedSet;
import dev.yarbel.core.record.SetDetails;
import dev.yarbel.core.session.DoneSet;
import dev.yarbel.core.session.TaskKey;
import dev.yarbel.web.Clubs4Tests;
import dev.yarbel.web.Clubs4Tests.TestClub;
import dev.yarbel.web.TestSettings;
import dev.yarbel.web.YarbelTest;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.simple.JdbcClient;

/** What is believed of a lifter is kept with each session, holds what it is worked out from, and is worked out again from where that changed. */
@YarbelTest
class KeptStrengthTest {

    private static final int SESSIONS = 90;

    @Autowired
    private Book book;

    @Autowired
    private Sessions sessions;

    @Autowired
    private StrengthKeeper keeper;

    @Autowired
    private Clubs4Tests clubs;

    @Autowired
    private JdbcClient jdbc;

    private TestClub club;

    /** Ninety weeks of a squat, of which the last is three days ago. */
    @BeforeEach
    void makeClub() {
        club = clubs.club();
        for (int ago = SESSIONS - 1; ago >= 0; ago--) {
            lifted(TestSettings.TODAY.minusDays(3).minusWeeks(ago), 150 + ago % 4 * 5);
        }
    }

    private void lifted(LocalDate day, int kg) {
        LiftedSet top = new LiftedSet(Lift.SQUAT, Mass.ofKg(kg), 3, Effort.parse(kg > 155 ? "9" : "8"))
                .with(SetDetails.NONE.with(BarSpeed.parse(kg > 155 ? "0.31" : "0.36")));
        LiftedSet back = new LiftedSet(Lift.SQUAT, Mass.ofKg(130), 5, Effort.parse("7.5"));
        sessions.addHistory(
                club.lifter,
                Optional.empty(),
                day,
                TestSettings.NOW,
                List.of(
                        new DoneSet(TaskKey.work("A", 1), top),
                        new DoneSet(TaskKey.work("B", 1), back),
                        new DoneSet(TaskKey.work("B", 2), back)),
                false);
    }

    private void keep() {
        book.keepStrength(club.lifter.clubId(), club.lifter.id());
    }

    private int kept(String where) {
        return jdbc.sql("select count(*) from strength_after where lifter_id = :lifter and " + where)
                .param("lifter", club.lifter.id())
                .query(Integer.class)
                .single();
    }

    private void change(String sql) {
        jdbc.sql(sql).param("lifter", club.lifter.id()).update();
    }

    /** As a copy of the application reads it that remembers nothing. */
    private LifterRecord readAnew() {
        change("update book_version set version = gen_random_uuid() where lifter_id = :lifter");
        return book.standing(club.lifter);
    }

    /** Everything but what a speed was held against, which is found along the way. */
    private static Map<Lift, List<Object>> figures(LifterRecord standing) {
        return standing.lifts().stream()
                .collect(Collectors.toMap(
                        LiftRecord::lift,
                        lift -> List.of(
                                lift.estimate().map(MaxEstimate::max),
                                lift.estimate().map(MaxEstimate::spread),
                                lift.curve(),
                                lift.learnt().bias(),
                                lift.estimate().stream()
                                        .flatMap(max -> max.movements().stream())
                                        .map(moved -> List.of(
                                                moved.date(),
                                                moved.before(),
                                                moved.after(),
                                                moved.spread(),
                                                moved.contributions().stream()
                                                        .map(part -> List.of(
                                                                part.set().load(),
                                                                part.max(),
                                                                part.weight(),
                                                                part.moved()))
                                                        .toList()))
                                        .toList())));
    }

    @Test
    void fromWhereItIsKeptItComesToTheSame() {
        Map<Lift, List<Object>> anew = figures(readAnew());
        keep();
        assertThat(kept("true")).isEqualTo(SESSIONS);
        assertThat(figures(readAnew())).isEqualTo(anew);
        lifted(TestSettings.TODAY.minusDays(1), 170);
        Map<Lift, List<Object>> withOneMore = figures(readAnew());
        assertThat(withOneMore).isNotEqualTo(anew);
        change("delete from strength_after where lifter_id = :lifter");
        assertThat(figures(readAnew())).isEqualTo(withOneMore);
    }

    @Test
    void whatIsKeptOnceIsNotKeptTwice() {
        keep();
        List<String> once = beliefs();
        keep();
        assertThat(beliefs()).isEqualTo(once);
    }

    private List<String> beliefs() {
        return jdbc.sql("select session_id || md5(coalesce(belief, '')) || movements from strength_after"
                        + " where lifter_id = :lifter order by session_id")
                .param("lifter", club.lifter.id())
                .query(String.class)
                .list();
    }

    @Test
    void aCorrectedSetTakesAwayWhatCameAfterItAndNoMore() {
        keep();
        List<String> before = beliefs();
        change(
                "update logged_set set load = 140 where id = (select min(l.id) from logged_set l join training_session s on s.id = l.session_id"
                        + " where s.lifter_id = :lifter and s.held_on = date '"
                        + TestSettings.TODAY.minusDays(3).minusWeeks(10)
                        + "')");
        assertThat(beliefs()).isEqualTo(before.subList(0, SESSIONS - 11));
        Map<Lift, List<Object>> corrected = figures(readAnew());
        keep();
        assertThat(kept("true")).isEqualTo(SESSIONS);
        assertThat(beliefs().subList(0, SESSIONS - 11)).isEqualTo(before.subList(0, SESSIONS - 11));
        assertThat(figures(readAnew())).isEqualTo(corrected);
    }

    /** Of what is older than half a year one belief a month is left; from there it goes on. */
    @Test
    void oldBeliefsAreThinnedAndGoneOnFrom() {
        keep();
        String old = "held_on < date '" + TestSettings.TODAY.minusWeeks(26) + "' and belief is not null";
        assertThat(kept(old)).isBetween(14, 17);
        assertThat(kept("held_on >= date '" + TestSettings.TODAY.minusWeeks(26) + "' and belief is null"))
                .isZero();
        change("update training_session set held_on = held_on + 1 where lifter_id = :lifter and held_on = date '"
                + TestSettings.TODAY.minusDays(3).minusWeeks(47) + "'");
        Map<Lift, List<Object>> corrected = figures(readAnew());
        keep();
        assertThat(kept("true")).isEqualTo(SESSIONS);
        assertThat(figures(readAnew())).isEqualTo(corrected);
        change("delete from strength_after where lifter_id = :lifter");
        assertThat(figures(readAnew())).isEqualTo(corrected);
    }

    @Test
    void whatAnotherVersionKeptIsWorkedOutAnew() {
        keep();
        Map<Lift, List<Object>> anew = figures(readAnew());
        change("update strength_after set estimator = 0, belief = '?' where lifter_id = :lifter");
        assertThat(figures(readAnew())).isEqualTo(anew);
        keeper.catchUp();
        assertThat(kept("estimator = " + StrengthFilter.VERSION)).isEqualTo(SESSIONS);
        assertThat(kept("estimator = 0")).isZero();
        assertThat(figures(readAnew())).isEqualTo(anew);
    }

    /** A function's queries are planned for the first statement, of one row: a join with itself stays a loop for thousands. */
    @Test
    void whatFollowsAStatementJoinsNoRowsThatWereWithThoseThatAre() {
        List<String> sources = jdbc.sql("""
                select p.prosrc from pg_trigger t join pg_proc p on p.oid = t.tgfoid
                where t.tgoldtable is not null and t.tgnewtable is not null""").query(String.class).list();
        assertThat(sources).isNotEmpty().noneMatch(source -> source.contains(" join "));
    }
}
