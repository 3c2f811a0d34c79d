package dev.yarbel.web.floor;

import dev.yarbel.web.page.FloorNotifier;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.Properties;
import org.postgresql.PGConnection;
import org.postgresql.PGNotification;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.boot.jdbc.autoconfigure.JdbcConnectionDetails;
import org.springframework.context.SmartLifecycle;
import org.springframework.stereotype.Component;

/**
 * Listens on a connection of its own to what any copy of the application tells of the floor. When the database goes away it
 * tries again until it is back, and has the pages look again for what they missed.
 */
@Component
class MovedChannel implements SmartLifecycle {

    private static final Logger LOG = LoggerFactory.getLogger(MovedChannel.class);
    private static final int WAIT_MILLIS = 2000;
    private static final int CONNECT_SECONDS = 2;
    private static final int SILENT_SECONDS = 10;

    private final JdbcConnectionDetails database;
    private final Listeners listeners;
    private volatile boolean running;
    private Thread thread;

    MovedChannel(JdbcConnectionDetails database, Listeners listeners) {
        this.database = database;
        this.listeners = listeners;
    }

    @Override
    public void start() {
        running = true;
        thread = new Thread(this::listen, "floor-moved");
        thread.setDaemon(true);
        thread.start();
    }

    @Override
    public void stop() {
        running = false;
        thread.interrupt();
        listeners.closeAll();
    }

    @Override
    public boolean isRunning() {
        return running;
    }

    /** Ends before the web server does, which waits for open lines. */
    @Override
    public int getPhase() {
        return Integer.MAX_VALUE;
    }

    private void listen() {
        boolean before = false;
        while (running) {
            try (Connection connection = DriverManager.getConnection(database.getJdbcUrl(), properties());
                    Statement statement = connection.createStatement()) {
                statement.execute("listen " + FloorNotifier.CHANNEL);
                if (before) {
                    listeners.missed();
                }
                before = true;
                hear(connection, statement);
            } catch (SQLException away) {
                LOG.debug("the floor's channel is away", away);
                pause();
            }
        }
    }

    private void hear(Connection connection, Statement statement) throws SQLException {
        PGConnection channel = connection.unwrap(PGConnection.class);
        while (running) {
            PGNotification[] heard = channel.getNotifications(WAIT_MILLIS);
            if (heard == null || heard.length == 0) {
                statement.execute("select 1");
            } else {
                for (PGNotification notification : heard) {
                    try {
                        pass(notification.getParameter());
                    } catch (RuntimeException one) {
                        // what could not be passed on must not keep the rest from being heard
                        LOG.warn("something told of the floor was not passed on", one);
                    }
                }
            }
        }
    }

    private void pass(String what) {
        String[] parts = what.split("/", 3);
        if (parts[2].equals(FloorNotifier.ACCESS)) {
            listeners.accessChanged(Long.parseLong(parts[0]));
        } else {
            listeners.moved(Long.parseLong(parts[0]), Long.parseLong(parts[1]), parts[2]);
        }
    }

    private Properties properties() {
        Properties properties = new Properties();
        properties.setProperty("user", database.getUsername());
        properties.setProperty("password", database.getPassword());
        properties.setProperty("connectTimeout", String.valueOf(CONNECT_SECONDS));
        properties.setProperty("socketTimeout", String.valueOf(SILENT_SECONDS));
        properties.setProperty("tcpKeepAlive", "true");
        properties.setProperty("ApplicationName", "yarbel floor");
        return properties;
    }

    private static void pause() {
        try {
            Thread.sleep(1000);
        } catch (InterruptedException stopped) {
            Thread.currentThread().interrupt();
        }
    }
}
