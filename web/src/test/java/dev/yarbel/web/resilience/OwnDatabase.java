package dev.yarbel.web.resilience;

import dev.yarbel.web.TestDatabase;
import java.net.URI;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;

/** A database made for one test and dropped after it, on the server that the tests were given. */
final class OwnDatabase implements AutoCloseable {

    private static final URI SERVER = URI.create(TestDatabase.url().substring("jdbc:".length()));
    static final String USER = TestDatabase.user();
    static final String PASSWORD = TestDatabase.password();

    private final String name;
    private final Connection connection;

    OwnDatabase(String name) throws SQLException {
        this.name = name;
        onServer("drop database if exists " + name + " with (force)", "create database " + name);
        this.connection = DriverManager.getConnection(url(), USER, PASSWORD);
        // what a test asks for lies where the application keeps it
        execute("set search_path to yarbel, public");
    }

    /** A person's own tables in the same database: not ours, and never touched. */
    void addForeignTable() throws SQLException {
        execute("create table public.other_work (id int); insert into public.other_work values (7)");
    }

    boolean hasForeignTable() throws SQLException {
        return count("select count(*) from public.other_work where id = 7") == 1;
    }

    private static void onServer(String... commands) throws SQLException {
        try (Connection server = DriverManager.getConnection(url(SERVER.getPort(), "postgres"), USER, PASSWORD);
                Statement statement = server.createStatement()) {
            for (String command : commands) {
                statement.execute(command);
            }
        }
    }

    private static String url(int port, String name) {
        return "jdbc:postgresql://" + SERVER.getHost() + ":" + port + "/" + name;
    }

    String url() {
        return url(SERVER.getPort(), name);
    }

    /** The same database at the end of a line. */
    String url(Line line) {
        return url(line.localPort(), name);
    }

    static Line line() throws java.io.IOException {
        return new Line(SERVER.getHost(), SERVER.getPort());
    }

    void execute(String command) throws SQLException {
        try (Statement statement = connection.createStatement()) {
            statement.execute(command);
        }
    }

    long count(String query) throws SQLException {
        try (Statement statement = connection.createStatement();
                ResultSet rows = statement.executeQuery(query)) {
            rows.next();
            return rows.getLong(1);
        }
    }

    String text(String query) throws SQLException {
        try (Statement statement = connection.createStatement();
                ResultSet rows = statement.executeQuery(query)) {
            rows.next();
            return rows.getString(1);
        }
    }

    /** Keeps what lies in the application's tables now, to come back to it. */
    void remember() throws SQLException {
        execute("create schema kept");
        for (String table : tables()) {
            execute("create table kept." + table + " as table yarbel." + table);
        }
    }

    /** Puts back what was kept, whatever was done since; who is connected stays so. */
    void comeBack() throws SQLException {
        List<String> tables = tables();
        // keys may point either way while rows come back
        execute("set session_replication_role = replica");
        execute("truncate " + tables.stream().map(table -> "yarbel." + table).collect(Collectors.joining(", ")));
        for (String table : tables) {
            execute("insert into yarbel." + table + " overriding system value select * from kept." + table);
        }
        execute("set session_replication_role = origin");
    }

    private List<String> tables() throws SQLException {
        List<String> tables = new ArrayList<>();
        try (Statement statement = connection.createStatement();
                ResultSet rows = statement.executeQuery(
                        "select tablename from pg_tables where schemaname = 'yarbel' and tablename not like 'flyway%'")) {
            while (rows.next()) {
                tables.add(rows.getString(1));
            }
        }
        return tables;
    }

    /** Holds up whoever would write a slip, until released. */
    void holdSlips() throws SQLException {
        connection.setAutoCommit(false);
        execute("lock table slip in exclusive mode");
    }

    void releaseSlips() throws SQLException {
        connection.rollback();
        connection.setAutoCommit(true);
    }

    @Override
    public void close() throws SQLException {
        connection.close();
        onServer("drop database if exists " + name + " with (force)");
    }
}
