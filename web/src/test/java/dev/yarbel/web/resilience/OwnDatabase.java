package dev.yarbel.web.resilience;

import java.net.URI;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;

/** A database made for one test and dropped after it, on the server that the tests were given. */
final class OwnDatabase implements AutoCloseable {

    private static final URI SERVER = URI.create(System.getenv("YARBEL_DB_URL").substring("jdbc:".length()));
    static final String USER = System.getenv("YARBEL_DB_USER");
    static final String PASSWORD = System.getenv("YARBEL_DB_PASSWORD");

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
