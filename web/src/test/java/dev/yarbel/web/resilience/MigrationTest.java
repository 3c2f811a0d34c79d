package dev.yarbel.web.resilience;

import static org.assertj.core.api.Assertions.assertThat;

import dev.yarbel.web.OwnSchemaTesting;
import javax.sql.DataSource;
import org.flywaydb.core.Flyway;
import org.junit.jupiter.api.Test;
import org.springframework.jdbc.datasource.DriverManagerDataSource;

/** Migrations that move what was kept before: nothing of it is lost. */
class MigrationTest {

    private static void migrate(OwnDatabase database, String version) {
        Flyway.configure()
                .dataSource(database.url(), OwnDatabase.USER, OwnDatabase.PASSWORD)
                .schemas("yarbel")
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

    /** Every shelf, with everything said and with as little as can be; in kg and in lb. */
    @Test
    void aPieceOfBeforeReadsAsItDid() throws Exception {
        try (OwnDatabase database = new OwnDatabase("yarbel_migration_pieces")) {
            migrate(database, "22");
            database.execute("""
                    insert into club (name, zone) values ('Old', 'UTC');
                    insert into gym (club_id, name, collars, unit) values (1, 'Shed', 0, 'KG');
                    insert into piece (club_id, gym_id, shelf, name, unit, implement, mass, made_for, fit_for_pins, safety_height)
                      values (1, 1, 'BARS', 'Stiff', 'LB', 'BARBELL', 20.41165665, 'squat', false, 'hole 5');
                    insert into piece (club_id, gym_id, shelf, unit, mass, count, calibrated, full_size)
                      values (1, 1, 'PLATES', 'KG', 1.25, 4, true, true);
                    insert into piece (club_id, gym_id, shelf, unit, implement, nominal, mass)
                      values (1, 1, 'PIECES', 'KG', 'DUMBBELL', 20, 22.5);
                    insert into piece (club_id, gym_id, shelf, name, unit, mass, step, most, made_for)
                      values (1, 1, 'MACHINES', 'Tower', 'KG', 10, 5, 95, 'lat-pulldown');
                    insert into piece (club_id, gym_id, shelf, name, unit, mass, length, long_length, pull_long, make, bought,
                        other_make, other_bought, other_pull, other_pull_long)
                      values (1, 1, 'BANDS', 'Pair', 'KG', 10, 60, 120.5, 30, 'Red', 2024, 'Blue', 2020, 11, 31);
                    insert into piece (club_id, gym_id, shelf, name, unit, mass, length, count)
                      values (1, 1, 'CHAINS', 'Chain', 'LB', 6.80388555, 150, 2)""");
            migrate(database, "latest");
            assertThat(database.count("""
                    select count(*) from piece where
                      shelf = 'BARS' and fields = '{"IMPLEMENT": "BARBELL", "NAME": "Stiff", "MASS": "45 lb",
                        "MADE_FOR": "squat", "SAFETY_HEIGHT": "hole 5"}'
                      or shelf = 'PLATES' and fields = '{"MASS": "1.25 kg", "COUNT": "4", "CALIBRATED": "on", "FULL_SIZE": "on"}'
                      or shelf = 'PIECES' and fields = '{"IMPLEMENT": "DUMBBELL", "NOMINAL": "20 kg", "MASS": "22.5 kg"}'
                      or shelf = 'MACHINES' and fields = '{"NAME": "Tower", "MADE_FOR": "lat-pulldown", "LEAST": "10 kg",
                        "STEP": "5 kg", "MOST": "95 kg"}'
                      or shelf = 'BANDS' and fields = '{"NAME": "Pair", "LENGTH": "60 cm", "PULL": "10 kg",
                        "LONG_LENGTH": "120.5 cm", "PULL_LONG": "30 kg", "MAKE": "Red", "BOUGHT": "2024",
                        "OTHER_PULL": "11 kg", "OTHER_PULL_LONG": "31 kg", "OTHER_MAKE": "Blue", "OTHER_BOUGHT": "2020"}'
                      or shelf = 'CHAINS' and fields = '{"NAME": "Chain", "PER_METRE": "15 lb", "LENGTH": "150 cm",
                        "COUNT": "2"}'""")).isEqualTo(6);
        }
    }

    @Test
    void aKitOfBeforeIsAGymWithItsBarAndAStartIsAMax() throws Exception {
        try (OwnDatabase database = new OwnDatabase("yarbel_migration_kit")) {
            migrate(database, "8");
            database.execute("""
                    insert into club (name, zone) values ('Old', 'UTC');
                    insert into account (club_id, username, name, password_hash, role) values (1, 'o', 'O', 'x', 'COACH');
                    insert into kit (club_id, name, bar_name, bar_mass, collars) values
                      (1, 'Shed', '20 kg bar', 20, 5), (1, 'Loft', '45 lb bar', 20.41165665, 0);
                    insert into kit_plate (club_id, kit_id, figure, cast_in, pairs) values
                      (1, 1, 25, 'KG', 4), (1, 2, 45, 'LB', 3);
                    insert into lifter (club_id, name, coach_id, kit_id, unit, rounding, share_of_estimate)
                      values (1, 'L', 1, 2, 'LB', 'DOWN', 95);
                    insert into lift_numbers (club_id, lifter_id, lift, working_max, starting_max, starting_on)
                      values (1, 1, 'squat', 180, 200, '2026-01-05')""");
            migrate(database, "latest");
            assertThat(database.count("select count(*) from gym where name = 'Loft' and unit = 'LB'"))
                    .isOne();
            assertThat(database.count("""
                    select count(*) from piece p join gym g on g.id = p.gym_id where
                      g.name = 'Shed' and shelf = 'BARS' and fields = '{"IMPLEMENT": "BARBELL", "NAME": "20 kg bar",
                        "MASS": "20 kg", "FIT_FOR_PINS": "on"}'
                      or g.name = 'Shed' and shelf = 'PLATES' and fields = '{"MASS": "25 kg", "COUNT": "8"}'
                      or g.name = 'Loft' and shelf = 'PLATES' and fields = '{"MASS": "45 lb", "COUNT": "6"}'""")).isEqualTo(3);
            assertThat(database.count("select count(*) from lifter_gym where lifter_id = 1 and gym_id = 2"))
                    .isOne();
            assertThat(database.count("""
                    select count(*) from recorded_max where kind = 'TESTED' and load = 200 and unit = 'LB'
                      and on_date = '2026-01-05'""")).isOne();
        }
    }

    @Test
    void slotsThatCameToShareALetterOrAPlaceGetOneEach() throws Exception {
        try (OwnDatabase database = new OwnDatabase("yarbel_migration_slots")) {
            migrate(database, "19");
            database.execute("""
                    insert into club (name, zone) values ('Old', 'UTC');
                    insert into account (club_id, username, name, password_hash, role) values (1, 'o', 'O', 'x', 'COACH');
                    insert into lifter (club_id, name, coach_id, unit, rounding, share_of_estimate)
                      values (1, 'L', 1, 'KG', 'NEAREST', 95);
                    insert into block (club_id, lifter_id, name, start_on, weeks) values (1, 1, 'B', '2026-01-05', 4);
                    insert into block_day (club_id, block_id, position, name, day_offset) values
                      (1, 1, 0, 'One', 0), (1, 1, 0, 'Two', 2);
                    insert into slot (club_id, block_day_id, position, letter, lift, removed_at) values
                      (1, 1, 0, 'A', 'squat', null), (1, 1, 0, 'B', 'squat', null), (1, 1, 2, 'B', 'deadlift', null),
                      (1, 1, 3, 'B', 'bench-press', null), (1, 1, 0, 'A', 'squat', now())""");
            migrate(database, "latest");
            assertThat(database.count("""
                    select count(*) from slot where (position, letter, lift) in
                      ((0, 'A', 'squat'), (1, 'B', 'squat'), (2, 'C', 'deadlift'), (3, 'D', 'bench-press'))""")).isEqualTo(5);
            assertThat(database.count("select count(distinct position) from block_day"))
                    .isEqualTo(2);
            // numbers that come with their rows do not stand in the way of those that do not
            database.execute(
                    "insert into slot (club_id, block_day_id, position, letter, lift) values (1, 2, 0, 'A', 'squat')");
        }
    }

    @Test
    void aSlipOfBeforeSaysByWhichRuleAndHowUrgentItIs() throws Exception {
        try (OwnDatabase database = new OwnDatabase("yarbel_migration_slips")) {
            migrate(database, "20");
            database.execute("""
                    insert into club (name, zone) values ('Old', 'UTC');
                    insert into account (club_id, username, name, password_hash, role) values (1, 'o', 'O', 'x', 'COACH');
                    insert into lifter (club_id, name, coach_id, unit, rounding, share_of_estimate)
                      values (1, 'L', 1, 'KG', 'NEAREST', 95);
                    insert into training_session (club_id, lifter_id, held_on, plan_day, plan_week, started_at)
                      values (1, 1, '2026-01-05', 1, 0, now());
                    insert into slip (club_id, lifter_id, lift, session_id, status, opened_at, before, proposed) values
                      (1, 1, 'squat', 1, 'OPEN', now(), 200, 205), (1, 1, 'bench-press', 1, 'OPEN', now(), 100, 95)""");
            migrate(database, "latest");
            assertThat(database.count("""
                    select count(*) from slip where rule = 'estimate-apart'
                      and (lift = 'squat' and raises and size = 2.5 or lift = 'bench-press' and not raises and size = 5)""")).isEqualTo(2);
        }
    }

    @Test
    void aStoreOfBeforeMovesIntoItsOwnSchemaAndOthersTablesStay() throws Exception {
        try (OwnDatabase database = new OwnDatabase("yarbel_migration_schema")) {
            DataSource source = new DriverManagerDataSource(
                    database.url() + "?currentSchema=yarbel", OwnDatabase.USER, OwnDatabase.PASSWORD);
            OwnSchemaTesting.moveOver(source);
            assertThat(database.count("select count(*) from pg_namespace where nspname = 'yarbel'"))
                    .as("nothing to move")
                    .isZero();
            Flyway.configure()
                    .dataSource(database.url(), OwnDatabase.USER, OwnDatabase.PASSWORD)
                    .target("13")
                    .load()
                    .migrate();
            database.addForeignTable();
            database.execute("insert into public.club (name, zone) values ('Old', 'UTC')");
            OwnSchemaTesting.moveOver(source);
            OwnSchemaTesting.moveOver(source);
            migrate(database, "latest");
            assertThat(database.count("select count(*) from yarbel.club where name = 'Old'"))
                    .isOne();
            assertThat(database.count("select count(*) from pg_tables where schemaname = 'public'"))
                    .as("only what is somebody else's")
                    .isOne();
            assertThat(database.hasForeignTable()).isTrue();
            // numbers go on where they were
            database.execute("insert into yarbel.club (name, zone) values ('Next', 'UTC')");
            assertThat(database.count("select max(id) from yarbel.club")).isEqualTo(2);
        }
    }

    @Test
    void anothersMigrationsInPublicAreLeftAlone() throws Exception {
        try (OwnDatabase database = new OwnDatabase("yarbel_migration_schema")) {
            database.execute("""
                    create table public.club (id int);
                    create table public.flyway_schema_history (script text, success boolean);
                    insert into public.flyway_schema_history values ('V1__theirs.sql', true)""");
            OwnSchemaTesting.moveOver(
                    new DriverManagerDataSource(database.url(), OwnDatabase.USER, OwnDatabase.PASSWORD));
            migrate(database, "latest");
            assertThat(database.count("select count(*) from pg_tables where schemaname = 'public'"))
                    .isEqualTo(2);
        }
    }
}
