package dev.yarbel.web.resilience;

import static org.awaitility.Awaitility.await;

import dev.yarbel.web.TestDatabase;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.SQLException;
import java.time.Duration;

/**
 * Up to two copies of the application with the invented club that tests share: a start takes long, and most tests only want
 * the club as it was. One that a test killed is started again when the next one asks for it.
 */
final class Copies {

    private static OwnDatabase database;
    private static Line line;
    private static Path folder;
    private static Copy first;
    private static Copy second;

    private Copies() {}

    /** The database of these copies, with the invented club as it was at the start. */
    static OwnDatabase asAtTheStart() throws Exception {
        if (database == null) {
            database = new OwnDatabase("yarbel_copies");
            line = OwnDatabase.line();
            folder = Files.createTempDirectory("yarbel-copies");
            Runtime.getRuntime().addShutdownHook(new Thread(Copies::end));
            first();
            waitForEvents();
            database.remember();
        } else {
            waitForEvents();
            database.comeBack();
        }
        return database;
    }

    private static void waitForEvents() {
        await().atMost(Duration.ofSeconds(60)).until(() -> isAlive(first) || isAlive(second) ? isIdle() : true);
    }

    private static boolean isIdle() throws SQLException {
        return database.count("select count(*) from event_publication where completion_date is null") == 0;
    }

    /** The line between the copies and their database; whoever breaks it mends it. */
    static Line line() {
        return line;
    }

    static Copy first() throws IOException, InterruptedException {
        if (!isAlive(first)) {
            first = start();
        }
        return first;
    }

    static Copy second() throws IOException, InterruptedException {
        if (!isAlive(second)) {
            second = start();
        }
        return second;
    }

    /** The first, and no other. */
    static Copy alone() throws IOException, InterruptedException {
        if (isAlive(second)) {
            if (isAlive(first)) {
                second.kill();
            } else {
                first = second;
            }
            second = null;
        }
        return first();
    }

    private static Copy start() throws IOException, InterruptedException {
        return Copy.start(folder, database.url(line));
    }

    private static boolean isAlive(Copy copy) {
        return copy != null && copy.isAlive();
    }

    private static void end() {
        for (Copy copy : new Copy[] {first, second}) {
            if (copy != null) {
                copy.close();
            }
        }
        try {
            TestDatabase.delete(folder);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
