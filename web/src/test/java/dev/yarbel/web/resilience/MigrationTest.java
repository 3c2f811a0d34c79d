package dev.yarbel.web.resilience;

import static org.assertj.core.api.Assertions.assertThat;

import org.flywaydb.core.Flyway;
import org.junit.jupiter.api.Test;

/** Migrations that move what was kept before: nothing of it is lost. */
class MigrationTest {

    private static void migrate(OwnDatabase database, String version) {
        Flyway.configure()
                .dataSource(database.url(), OwnDatabase.USER, OwnDatabase.PASSWORD)
                .target(version)
                .load()
                .migrate();
    }

    @Test
    void ledgerAndCurvesOfTheFirstVersionAreReadByTheNext() throws Exception {
        try (OwnDatabase database = new OwnDatabase("yarbel_migration")) {
            migrate(database, "5");
            database.execute("""
                    insert into club (name, zone) values ('Old', 'UTC');
                    insert into account (club_id, username, name, password_hash, role) values (1, 'o', 'O', 'x', 'COACH');
                    insert into kit (club_id, name, bar_name, bar_mass, collars) values (1, 'k', 'b', 20, 0);
                    insert into lifter (club_id, name, coach_id, kit_id, unit, rounding, share_of_estimate)
                      values (1, 'L', 1, 1, 'KG', 'NEAREST', 95);
                    insert into lift_numbers (club_id, lifter_id, lift, rep_curve) values (1, 1, 'squat', 0.0364);
                    insert into change_entry (club_id, lifter_id, made_at, made_by, made_by_name, kind, subject, before, after)
                      values (1, 1, now(), 1, 'O', 'DOSE', 'Heavy B day C Overhead press, week 12', '', '3x5 75%'),
                             (1, 1, now(), 1, 'O', 'CALL_TAKEN', 'bench-press', '100 kg', '102.5 kg'),
                             (1, 1, now(), 1, 'O', 'SET_CORRECTED', 'squat A.w1', '20 kg x5 easy', '20 kg x8 easy')""");
            migrate(database, "latest");
            assertThat(database.count("""
                    select count(*) from change_entry where
                      kind = 'DOSE' and subject = array['overhead-press', 'Heavy B day', 'C', '12']::varchar[]
                      or kind = 'CALL_TAKEN' and subject = array['bench-press']::varchar[]
                      or kind = 'SET_CORRECTED' and subject = array['squat', 'A.w1']::varchar[]""")).isEqualTo(3);
            assertThat(database.count("select count(*) from lift_numbers where rep_curve = '0.0364'"))
                    .isOne();
        }
    }
}
