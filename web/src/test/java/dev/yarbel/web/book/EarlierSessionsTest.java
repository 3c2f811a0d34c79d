package dev.yarbel.web.book;

import static org.assertj.core.api.Assertions.assertThat;

import dev.yarbel.core.effort.Effort;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.record.LiftedSet;
import dev.yarbel.core.session.DoneSet;
import dev.yarbel.core.session.TaskKey;
import dev.yarbel.core.tally.Exposure.Judgement;
import dev.yarbel.web.Clubs4Tests;
import dev.yarbel.web.Clubs4Tests.TestClub;
import dev.yarbel.web.TestSettings;
import dev.yarbel.web.YarbelTest;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.simple.JdbcClient;

/** A session that an earlier version finished says how it compares with what was asked, after the first start. */
@YarbelTest
class EarlierSessionsTest {

    @Autowired
    private EarlierSessions earlier;

    @Autowired
    private Sessions sessions;

    @Autowired
    private Book book;

    @Autowired
    private Clubs4Tests clubs;

    @Autowired
    private JdbcClient jdbc;

    @Test
    void whatWasAskedForIsHeldAgainstWhatWasLiftedAndTheRestIsLeftOpen() {
        TestClub asked = clubs.club();
        TestClub askedNothing = clubs.club();
        lift(asked, "A\tsquat\t1 @8\t~187.5kg");
        lift(askedNothing, "");
        jdbc.sql("update training_session set judgement = null where club_id in (:clubs)")
                .param("clubs", List.of(asked.lifter.clubId(), askedNothing.lifter.clubId()))
                .update();
        assertThat(last(asked).judgement()).isEmpty();
        earlier.judge();
        assertThat(last(asked).judgement()).contains(Judgement.OVER);
        assertThat(last(askedNothing).judgement()).isEmpty();
    }

    private void lift(TestClub club, String asked) {
        DoneSet hard =
                new DoneSet(TaskKey.work("A", 1), new LiftedSet(Lift.SQUAT, Mass.ofKg(190), 1, Effort.parse("9")));
        sessions.addHistory(
                club.lifter,
                Optional.of(club.plan().planned(0, 0)),
                asked,
                TestSettings.TODAY.minusWeeks(1),
                TestSettings.NOW,
                List.of(hard),
                false);
    }

    private SessionGlance last(TestClub club) {
        List<SessionGlance> glances = book.glances(club.lifter.clubId(), List.of(club.lifter.id()), List.of());
        return glances.get(glances.size() - 1);
    }
}
