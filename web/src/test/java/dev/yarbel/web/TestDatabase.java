package dev.yarbel.web;

import java.io.File;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.InetAddress;
import java.net.ServerSocket;
import java.nio.file.FileVisitResult;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.SimpleFileVisitor;
import java.nio.file.attribute.BasicFileAttributes;
import java.time.Duration;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.UUID;
import java.util.stream.Stream;
import org.awaitility.Awaitility;
import org.junit.platform.launcher.LauncherSession;
import org.junit.platform.launcher.LauncherSessionListener;

/**
 * A throw-away PostgreSQL on loopback for as long as tests run, one for each process that runs some: no test needs anything
 * said beforehand, in an IDE neither. It is started from Debian's programs, which {@code ./yarbel test} installs; where
 * {@code YARBEL_DB_URL}, {@code YARBEL_DB_USER} and {@code YARBEL_DB_PASSWORD} name a server, that one is used.
 */
public final class TestDatabase implements LauncherSessionListener {

    private static final String URL = "YARBEL_DB_URL";
    private static final String USER = "YARBEL_DB_USER";
    private static final String PASSWORD = "YARBEL_DB_PASSWORD";
    /** Nobody misses what a crash of this server loses. */
    private static final String CARELESS = " -c fsync=off -c synchronous_commit=off -c full_page_writes=off";

    private Path folder;

    public static String url() {
        return setting(URL);
    }

    public static String user() {
        return setting(USER);
    }

    public static String password() {
        return setting(PASSWORD);
    }

    private static String setting(String name) {
        return System.getProperty(name, System.getenv(name));
    }

    @Override
    public void launcherSessionOpened(LauncherSession session) {
        // a machine with other work takes its time; what comes soon is not waited for
        Awaitility.setDefaultTimeout(Duration.ofMinutes(1));
        if (setting(URL) != null) {
            return;
        }
        try {
            start();
        } catch (IOException e) {
            throw new UncheckedIOException("no PostgreSQL for the tests", e);
        }
    }

    private void start() throws IOException {
        folder = Files.createTempDirectory("yarbel-tests");
        Runtime.getRuntime().addShutdownHook(new Thread(this::stop));
        String password = UUID.randomUUID().toString();
        Path passwordFile = Files.writeString(folder.resolve("password"), password);
        if (isRoot()) {
            run(List.of("chown", "-R", "postgres:", folder.toString()));
        }
        asPostgres(
                "initdb",
                "-D",
                data(),
                "-U",
                "yarbel",
                "-E",
                "UTF8",
                "--locale=C.UTF-8",
                "-A",
                "scram-sha-256",
                "--pwfile=" + passwordFile);
        int port = freePort();
        asPostgres(
                "pg_ctl",
                "-D",
                data(),
                "-l",
                folder.resolve("log").toString(),
                "-w",
                "-s",
                "-o",
                "-p " + port + " -c listen_addresses=127.0.0.1 -c unix_socket_directories=''" + CARELESS,
                "start");
        System.setProperty(URL, "jdbc:postgresql://127.0.0.1:" + port + "/postgres");
        System.setProperty(USER, "yarbel");
        System.setProperty(PASSWORD, password);
    }

    private String data() {
        return folder.resolve("data").toString();
    }

    @Override
    public void launcherSessionClosed(LauncherSession session) {
        stop();
    }

    private synchronized void stop() {
        if (folder == null) {
            return;
        }
        try {
            asPostgres("pg_ctl", "-D", data(), "-m", "immediate", "-w", "-s", "stop");
            delete(folder);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        } finally {
            folder = null;
        }
    }

    /** Deletes a folder with all that is in it. */
    public static void delete(Path folder) throws IOException {
        Files.walkFileTree(folder, new SimpleFileVisitor<>() {

            @Override
            public FileVisitResult visitFile(Path file, BasicFileAttributes attributes) throws IOException {
                Files.delete(file);
                return FileVisitResult.CONTINUE;
            }

            @Override
            public FileVisitResult postVisitDirectory(Path emptied, IOException fault) throws IOException {
                Files.delete(emptied);
                return FileVisitResult.CONTINUE;
            }
        });
    }

    /** PostgreSQL refuses to run as root: then it runs as the user that Debian's package made for it. */
    private static void asPostgres(String program, String... arguments) throws IOException {
        List<String> command = new ArrayList<>();
        if (isRoot()) {
            command.addAll(List.of("runuser", "-u", "postgres", "--"));
        }
        command.add(programs().resolve(program).toString());
        command.addAll(List.of(arguments));
        run(command);
    }

    private static boolean isRoot() {
        return "root".equals(System.getProperty("user.name"));
    }

    /** The newest server's own folder: nothing of the kind need be on the PATH. */
    private static Path programs() throws IOException {
        try (Stream<Path> versions = Files.list(Path.of("/usr/lib/postgresql"))) {
            return versions.max(Comparator.comparingInt(
                            version -> Integer.parseInt(version.getFileName().toString())))
                    .orElseThrow(() -> new IOException("PostgreSQL is not installed; ./yarbel test does that"))
                    .resolve("bin");
        }
    }

    private static void run(List<String> command) throws IOException {
        File out = File.createTempFile("yarbel-tests", ".log");
        try {
            Process process = new ProcessBuilder(command)
                    .directory(new File("/"))
                    .redirectErrorStream(true)
                    .redirectOutput(out)
                    .start();
            if (process.waitFor() != 0) {
                throw new IOException(String.join(" ", command) + " failed:\n" + Files.readString(out.toPath()));
            }
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new IOException(e);
        } finally {
            Files.delete(out.toPath());
        }
    }

    private static int freePort() throws IOException {
        try (ServerSocket socket = new ServerSocket(0, 1, InetAddress.getLoopbackAddress())) {
            return socket.getLocalPort();
        }
    }
}
