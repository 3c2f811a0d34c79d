package dev.yarbel.web;

import java.sql.Connection;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.List;
import javax.sql.DataSource;
import org.flywaydb.core.Flyway;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.boot.flyway.autoconfigure.FlywayMigrationStrategy;
import org.springframework.stereotype.Component;

/**
 * Everything kept lies in the schema {@code yarbel}. A store of before, in {@code public}, moves there once, whole and in one
 * transaction; tables that are not ours stay where they are.
 */
@Component
class OwnSchema implements FlywayMigrationStrategy {

    static final String NAME = "yarbel";

    private static final Logger LOG = LoggerFactory.getLogger(OwnSchema.class);
    /** Any number that no other program on the same database is likely to lock. */
    private static final long LOCK = 0x7961_7262_656cL;

    /** The tables that migrations 1 to 13 made, under every name they had. */
    private static final List<String> TABLES = List.of(
            "account",
            "ache",
            "amendment",
            "block",
            "block_day",
            "change_entry",
            "club",
            "dose_cell",
            "event_publication",
            "first_run",
            "flyway_schema_history",
            "gate_confirmation",
            "gym",
            "gym_day",
            "invite",
            "kit",
            "kit_plate",
            "lift_numbers",
            "lifter",
            "lifter_gym",
            "lifter_note",
            "logged_set",
            "measurement",
            "own_variation",
            "piece",
            "plan_template",
            "recorded_max",
            "set_up",
            "slip",
            "slot",
            "speed_reading",
            "speed_sensor",
            "spring_session",
            "spring_session_attributes",
            "test_set",
            "training_session");

    @Override
    public void migrate(Flyway flyway) {
        try {
            moveOver(flyway.getConfiguration().getDataSource());
        } catch (SQLException notMoved) {
            throw new IllegalStateException("the store could not be moved into the schema " + NAME, notMoved);
        }
        flyway.migrate();
    }

    /** Moves a store of before, if there is one and none in the schema yet. Whoever comes second finds it moved. */
    static void moveOver(DataSource database) throws SQLException {
        try (Connection connection = database.getConnection()) {
            connection.setAutoCommit(false);
            try (Statement statement = connection.createStatement()) {
                statement.execute("select pg_advisory_xact_lock(" + LOCK + ")");
                if (isOldStore(connection)) {
                    statement.execute("create schema if not exists " + NAME);
                    for (String table : TABLES) {
                        statement.execute("alter table if exists public." + table + " set schema " + NAME);
                    }
                    LOG.info("the store was moved into the schema {}", NAME);
                }
            }
            connection.commit();
        }
    }

    /** Whether our own history of migrations stands in public, and none in our schema. */
    private static boolean isOldStore(Connection connection) throws SQLException {
        return isTrue(connection, "select to_regclass('yarbel.flyway_schema_history') is null")
                && isTrue(connection, "select to_regclass('public.flyway_schema_history') is not null")
                && isTrue(connection, "select to_regclass('public.club') is not null")
                && isTrue(connection, """
                        select count(*) = 2 from public.flyway_schema_history
                        where success and script in ('V1__frame.sql', 'V2__club.sql')""");
    }

    private static boolean isTrue(Connection connection, String question) throws SQLException {
        try (PreparedStatement statement = connection.prepareStatement(question);
                ResultSet rows = statement.executeQuery()) {
            rows.next();
            return rows.getBoolean(1);
        }
    }
}
