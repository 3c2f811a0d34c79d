package dev.yarbel.web.resilience;

import dev.yarbel.web.TestDatabase;
import java.io.File;
import java.io.IOException;
import java.net.CookieManager;
import java.net.URI;
import java.net.URLEncoder;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.TimeUnit;
import java.util.function.Consumer;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;

/** The application in a process of its own, so that it can be killed. */
final class Copy implements AutoCloseable {

    private static final Pattern CSRF = Pattern.compile("name=\"_csrf\" value=\"([^\"]+)\"");

    private static final String CODE = "first-run code ";

    private final Process process;
    private final String address;

    private final Optional<String> code;

    private Copy(Process process, List<String> ready) {
        this.process = process;
        this.address = ready.get(0);
        this.code = ready.stream()
                .filter(line -> line.startsWith(CODE))
                .map(line -> line.substring(CODE.length()))
                .findFirst();
    }

    /** Starts a copy with the invented club and waits until it serves. */
    static Copy start(Path folder, String databaseUrl) throws IOException, InterruptedException {
        return start(folder, databaseUrl, true);
    }

    /** Starts a copy and waits until it serves. */
    static Copy start(Path folder, String databaseUrl, boolean demo) throws IOException, InterruptedException {
        Path ready = Files.createTempFile(folder, "ready", "");
        Path log = Files.createTempFile(folder, "copy", ".log");
        // this process's own classes without those of the tests: the application as it is shipped
        String classPath = Arrays.stream(System.getProperty("java.class.path").split(File.pathSeparator))
                .filter(entry -> !entry.endsWith("test-classes"))
                .collect(Collectors.joining(File.pathSeparator));
        ProcessBuilder builder = new ProcessBuilder(
                        Path.of(System.getProperty("java.home"), "bin", "java").toString(),
                        "-XX:TieredStopAtLevel=1",
                        "-XX:+UseSerialGC",
                        "-Xmx384m",
                        "-Dfile.encoding=UTF-8",
                        "-cp",
                        classPath,
                        "dev.yarbel.web.YarbelApplication",
                        "--server.port=0",
                        "--yarbel.demo=" + demo,
                        "--yarbel.event-retry=PT3S",
                        "--yarbel.clips=" + Path.of("target", "clips-of-copies"),
                        "--yarbel.ready-file=" + ready)
                .redirectErrorStream(true)
                .redirectOutput(log.toFile());
        builder.environment().put("YARBEL_DB_URL", databaseUrl);
        builder.environment().put("YARBEL_DB_USER", TestDatabase.user());
        builder.environment().put("YARBEL_DB_PASSWORD", TestDatabase.password());
        Process process = builder.start();
        long end = System.nanoTime() + Duration.ofMinutes(3).toNanos();
        while (Files.size(ready) == 0) {
            if (!process.isAlive() || System.nanoTime() > end) {
                throw new IllegalStateException("the copy did not start:\n" + Files.readString(log));
            }
            TimeUnit.MILLISECONDS.sleep(100);
        }
        return new Copy(process, Files.readAllLines(ready));
    }

    /** The code that sets up the club, as the terminal shows it. */
    Optional<String> code() {
        return code;
    }

    String address() {
        return address;
    }

    int port() {
        return URI.create(address).getPort();
    }

    boolean isAlive() {
        return process.isAlive();
    }

    /** As kill -9 does. */
    void kill() throws InterruptedException {
        process.destroyForcibly().waitFor();
    }

    @Override
    public void close() {
        process.destroyForcibly();
    }

    /** One person's browser, which keeps its cookies; it can turn from one copy to another. */
    static final class Visitor {

        private final HttpClient client = HttpClient.newBuilder()
                .cookieHandler(new CookieManager())
                .followRedirects(HttpClient.Redirect.NORMAL)
                .connectTimeout(Duration.ofSeconds(5))
                .build();

        HttpResponse<String> get(Copy copy, String path) throws IOException, InterruptedException {
            return send(HttpRequest.newBuilder(URI.create(copy.address + path)).GET());
        }

        /** Opens a line on which a copy tells what happens; each line it says is passed on. */
        void listen(Copy copy, String path, Consumer<String> heard) {
            HttpRequest request = HttpRequest.newBuilder(URI.create(copy.address + path))
                    .header("Accept", "text/event-stream")
                    .build();
            client.sendAsync(request, HttpResponse.BodyHandlers.ofLines())
                    .thenAccept(response -> response.body().forEach(heard));
        }

        /** Sends a form as the page of this path holds it, with some fields filled in. */
        HttpResponse<String> post(Copy copy, String formPage, String path, Map<String, String> fields)
                throws IOException, InterruptedException {
            Matcher token = CSRF.matcher(get(copy, formPage).body());
            if (!token.find()) {
                throw new IllegalStateException("no form on " + formPage);
            }
            return submit(copy, path, token.group(1), fields);
        }

        private HttpResponse<String> submit(Copy copy, String path, String csrf, Map<String, String> fields)
                throws IOException, InterruptedException {
            String body = fields.entrySet().stream()
                    .map(field -> field.getKey() + "=" + URLEncoder.encode(field.getValue(), StandardCharsets.UTF_8))
                    .collect(Collectors.joining("&"));
            return send(HttpRequest.newBuilder(URI.create(copy.address + path))
                    .header("Content-Type", "application/x-www-form-urlencoded")
                    .POST(HttpRequest.BodyPublishers.ofString(body + "&_csrf=" + csrf)));
        }

        private HttpResponse<String> send(HttpRequest.Builder request) throws IOException, InterruptedException {
            return client.send(
                    request.header("Accept", "text/html")
                            .timeout(Duration.ofSeconds(30))
                            .build(),
                    HttpResponse.BodyHandlers.ofString());
        }

        Visitor signIn(Copy copy, String username, String password) throws IOException, InterruptedException {
            HttpResponse<String> landed =
                    post(copy, "/sign-in", "/sign-in", Map.of("username", username, "password", password));
            if (!List.of(200).contains(landed.statusCode())
                    || landed.uri().getPath().equals("/sign-in")) {
                throw new IllegalStateException("could not sign in: " + landed.uri());
            }
            return this;
        }
    }
}
