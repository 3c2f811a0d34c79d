package dev.yarbel.web.book;

import static org.assertj.core.api.Assertions.assertThat;

import dev.yarbel.core.effort.Effort;
import dev.yarbel.core.effort.Rpe;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.record.LiftedSet;
import dev.yarbel.web.Clubs4Tests;
import dev.yarbel.web.Clubs4Tests.TestClub;
import dev.yarbel.web.YarbelTest;
import dev.yarbel.web.page.ChangeKind;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.simple.JdbcClient;

@YarbelTest
class ImportedLogTest {

    private static final LocalDate DAY = LocalDate.of(2024, 3, 12);

    @Autowired
    private Clubs4Tests clubs;

    @Autowired
    private ImportedLog imports;

    @Autowired
    private LogReader log;

    @Autowired
    private Ledger ledger;

    @Autowired
    private JdbcClient jdbc;

    private TestClub club;
    private static long next = 5_000_000;

    @BeforeEach
    void gather() {
        club = clubs.club();
    }

    private ImportedLog.Arriving set(LocalDate day, Lift lift, int kg, int reps) {
        return new ImportedLog.Arriving(
                club.lifter.id(), day, new LiftedSet(lift, Mass.ofKg(kg), reps, new Effort.Rated(Rpe.of(8))), false);
    }

    private ImportedLog.Taken take(long id, List<ImportedLog.Arriving> sets) {
        return imports.take(club.coach, id, "log.csv", sets::forEach, written -> {});
    }

    private List<SessionLog> old() {
        return log.finishedSince(club.lifter.clubId(), club.lifter.id(), DAY.minusDays(1)).stream()
                .filter(session -> session.date().isBefore(DAY.plusYears(1)))
                .toList();
    }

    @Test
    void aFileBecomesFinishedSessionsWhoseLiftsAreLetteredInTheirOrder() {
        ImportedLog.Taken taken = take(
                next++,
                List.of(
                        set(DAY, Lift.BENCH_PRESS, 100, 5),
                        set(DAY, Lift.SQUAT, 140, 5),
                        set(DAY, Lift.BENCH_PRESS, 100, 5),
                        set(DAY.plusDays(2), Lift.DEADLIFT, 180, 1)));
        assertThat(taken).isEqualTo(new ImportedLog.Taken(4, 2, 0));
        assertThat(old()).extracting(SessionLog::date).containsExactly(DAY, DAY.plusDays(2));
        assertThat(old().get(0).sets())
                .extracting(done -> done.task().toString())
                .containsExactly("A.1", "B.1", "A.2");
        assertThat(old().get(0).sets()).allMatch(done -> done.set().rating().equals(java.util.Optional.of(Rpe.of(8))));
        assertThat(ledger.latest(club.lifter, ChangeKind.LOG_IMPORTED, 5))
                .singleElement()
                .satisfies(entry -> assertThat(entry.after()).isEqualTo("4"));
    }

    @Test
    void theSameFileTwiceAddsNothingAndALongerOneWhatIsNew() {
        List<ImportedLog.Arriving> sets = new ArrayList<>(
                List.of(set(DAY, Lift.SQUAT, 140, 5), set(DAY, Lift.SQUAT, 140, 5), set(DAY, Lift.SQUAT, 140, 5)));
        take(next++, sets);
        assertThat(take(next++, sets)).isEqualTo(new ImportedLog.Taken(0, 0, 3));
        sets.add(set(DAY, Lift.SQUAT, 140, 5));
        assertThat(imports.look(club.lifter.clubId(), sets::forEach)).isEqualTo(new ImportedLog.Taken(1, 1, 3));
        assertThat(take(next++, sets)).isEqualTo(new ImportedLog.Taken(1, 1, 3));
        assertThat(old().stream().flatMap(session -> session.sets().stream())).hasSize(4);
    }

    @Test
    void itIsTakenBackInOneStepAndLeavesWhatIsNotItsOwn() {
        long one = next++;
        long other = next++;
        take(one, List.of(set(DAY, Lift.SQUAT, 140, 5)));
        take(other, List.of(set(DAY, Lift.SQUAT, 150, 5)));
        assertThat(imports.takeBack(club.coach, one, "log.csv")).isEqualTo(1);
        assertThat(old().stream().flatMap(session -> session.sets().stream()))
                .extracting(done -> done.set().load())
                .containsExactly(Mass.ofKg(150));
        assertThat(imports.takeBack(club.coach, one, "log.csv")).isZero();
    }

    @Test
    void nothingIsWrittenByLooking() {
        imports.look(club.lifter.clubId(), List.of(set(DAY, Lift.SQUAT, 140, 5))::forEach);
        assertThat(old()).isEmpty();
    }

    @Test
    void theBooksVersionMovesOnAndWhatWasBelievedSinceThenGoes() {
        String version = "select version::text from book_version where lifter_id = ?";
        String before =
                jdbc.sql(version).param(club.lifter.id()).query(String.class).single();
        take(next++, List.of(set(DAY, Lift.SQUAT, 140, 5)));
        assertThat(jdbc.sql(version).param(club.lifter.id()).query(String.class).single())
                .isNotEqualTo(before);
    }

    @Test
    void anotherClubsLifterGetsNothing() {
        TestClub foreign = clubs.club();
        ImportedLog.Arriving set = new ImportedLog.Arriving(
                foreign.lifter.id(), DAY, new LiftedSet(Lift.SQUAT, Mass.ofKg(100), 5, new Effort.Unrated()), false);
        assertThat(org.assertj.core.api.Assertions.catchThrowable(() -> take(next++, List.of(set))))
                .isNotNull();
    }
}
