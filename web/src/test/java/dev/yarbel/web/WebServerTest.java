package dev.yarbel.web;

import static org.assertj.core.api.Assertions.assertThat;
import static org.awaitility.Awaitility.await;

import java.io.IOException;
import java.io.InputStream;
import java.net.Socket;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.atomic.AtomicInteger;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.web.server.LocalServerPort;

/** What stands in front of the application: slow ones, large ones, many at the door. */
@YarbelTest
class WebServerTest {

    private static final String FORM = "application/x-www-form-urlencoded";

    @LocalServerPort
    private int port;

    @Autowired
    private Clubs4Tests clubs;

    private Socket open(String request) throws IOException {
        Socket line = new Socket("127.0.0.1", port);
        line.getOutputStream().write(request.getBytes(StandardCharsets.US_ASCII));
        line.getOutputStream().flush();
        return line;
    }

    private static String head(String path, String type, long length) {
        return "POST " + path + " HTTP/1.1\r\nHost: localhost\r\nContent-Type: " + type + "\r\nContent-Length: "
                + length + "\r\n\r\n";
    }

    private HttpResponse<String> get(String path) throws IOException, InterruptedException {
        return HttpClient.newHttpClient()
                .send(
                        HttpRequest.newBuilder(URI.create("http://127.0.0.1:" + port + path))
                                .timeout(Duration.ofSeconds(10))
                                .build(),
                        HttpResponse.BodyHandlers.ofString());
    }

    /** More of them than there are threads, by far; each body, and each head, a byte at a time. */
    @ParameterizedTest
    @ValueSource(
            strings = {
                "POST /sign-in HTTP/1.1\r\nHost: localhost\r\nContent-Type: " + FORM
                        + "\r\nContent-Length: 100\r\n\r\nu",
                "POST /api/sensor/pair HTTP/1.1\r\nHost: localhost\r\nContent-Type: application/json\r\nContent-Length: 100\r\n\r\n{",
                "GET /sign-in HTTP/1.1\r\nHost: loc"
            })
    void anyNumberOfSlowSendersHoldsNoThread(String beginning) throws Exception {
        List<Socket> slow = new ArrayList<>();
        try {
            for (int i = 0; i < 120; i++) {
                slow.add(open(beginning));
            }
            for (Socket line : slow) {
                line.getOutputStream().write('x');
            }
            for (int i = 0; i < 5; i++) {
                assertThat(get("/sign-in").statusCode()).isEqualTo(200);
            }
        } finally {
            for (Socket line : slow) {
                line.close();
            }
        }
    }

    @ParameterizedTest
    @ValueSource(longs = {WebServer.MOST + 1, 50L * 1024 * 1024})
    void whatIsTooLargeIsRefusedByItsLengthAlone(long length) throws Exception {
        try (Socket line = open(head("/api/sensor/pair", "application/json", length))) {
            line.setSoTimeout(5000);
            assertThat(first(line)).startsWith("HTTP/1.1 413");
        }
    }

    @ParameterizedTest
    @ValueSource(strings = {"/exchange", "/lifters/1/clips"})
    void twoGigabytesAreRefusedBeforeAnyOfThemComes(String path) throws Exception {
        try (Socket line = open(head(path, FILE, 2L * 1024 * 1024 * 1024))) {
            line.setSoTimeout(5000);
            assertThat(first(line)).startsWith("HTTP/1.1 413");
        }
    }

    @Test
    void aPartOfAClipMayBeLargerThanOtherBodiesAndNoLarger() throws Exception {
        String part = "/lifters/1/clips/parts/" + java.util.UUID.randomUUID();
        String type = "application/offset+octet-stream";
        String much = "x".repeat(300_000);
        try (Socket line = open(head(part, type, much.length()).replace("POST ", "PATCH ") + much)) {
            line.setSoTimeout(10_000);
            assertThat(first(line)).as("refused for want of its token").startsWith("HTTP/1.1 403");
        }
        try (Socket line = open(head(part, type, 2L * 1024 * 1024).replace("POST ", "PATCH "))) {
            line.setSoTimeout(5000);
            assertThat(first(line)).startsWith("HTTP/1.1 413");
        }
        try (Socket line = open(head(part, type, WebServer.MOST + 1))) {
            line.setSoTimeout(5000);
            assertThat(first(line)).startsWith("HTTP/1.1 413");
        }
    }

    private static final String FILE = "multipart/form-data; boundary=b";

    @Test
    void aFileMayBeLargerWhereFilesAreBroughtAndNowhereElse() throws Exception {
        String much = "--b\r\nContent-Disposition: form-data; name=\"file\"; filename=\"log.csv\"\r\n\r\n"
                + "Date,Exercise\n".repeat(200_000) + "\r\n--b--\r\n";
        try (Socket line = open(head("/exchange", FILE, much.length()) + much)) {
            line.setSoTimeout(10_000);
            assertThat(first(line))
                    .as("looked at, and refused for want of its token")
                    .startsWith("HTTP/1.1 403");
        }
        for (String path : List.of("/theme", "/exchange/1", "/exchange/../theme", "/lifters/1/clips/2/remove")) {
            try (Socket line = open(head(path, FILE, WebServer.MOST + 1))) {
                line.setSoTimeout(5000);
                assertThat(first(line)).as(path).startsWith("HTTP/1.1 4");
            }
        }
        try (Socket line = open(head("/exchange", FILE, WebServer.MOST_OF_A_FILE + 1L))) {
            line.setSoTimeout(5000);
            assertThat(first(line)).startsWith("HTTP/1.1 413");
        }
    }

    @Test
    void soManyFilesAreOnTheirWayAtOnceAndNoMore() throws Exception {
        List<Socket> slow = new ArrayList<>();
        try {
            for (int i = 0; i < WebServer.FILES_AT_ONCE; i++) {
                slow.add(open(head("/exchange", FILE, 1000) + "--b\r\n"));
            }
            await().untilAsserted(() -> {
                try (Socket line = open(head("/exchange", FILE, 1000) + "--b\r\n")) {
                    line.setSoTimeout(5000);
                    assertThat(first(line)).startsWith("HTTP/1.1 503");
                }
            });
            assertThat(get("/sign-in").statusCode()).isEqualTo(200);
        } finally {
            for (Socket line : slow) {
                line.close();
            }
        }
        // those that ended make room
        await().untilAsserted(() -> {
            String whole = "--b\r\nContent-Disposition: form-data; name=\"text\"\r\n\r\nx\r\n--b--\r\n";
            try (Socket line = open(head("/exchange", FILE, whole.length()) + whole)) {
                line.setSoTimeout(5000);
                assertThat(first(line)).startsWith("HTTP/1.1 403");
            }
        });
    }

    @Test
    void aFormMayBeLargerThanOtherThings() throws Exception {
        String much = "theme=" + "x".repeat(WebServer.MOST * 2);
        try (Socket line = open(head("/theme", FORM, much.length()) + much)) {
            line.setSoTimeout(5000);
            assertThat(first(line))
                    .as("looked at, and refused for want of its token")
                    .startsWith("HTTP/1.1 403");
        }
        try (Socket line = open(head("/theme", FORM, WebServer.MOST_OF_A_FORM + 1))) {
            line.setSoTimeout(5000);
            assertThat(first(line)).startsWith("HTTP/1.1 413");
        }
    }

    /** A block of a year with all its doses is what a program may send; what is larger is told so as everything else. */
    @Test
    void aProgramMaySendAsMuchAsAForm() throws Exception {
        String much = "{\"name\":\"" + "x".repeat(WebServer.MOST * 2) + "\"}";
        try (Socket line = open(head("/api/v1/lifters", "application/json", much.length()) + much)) {
            line.setSoTimeout(5000);
            assertThat(first(line))
                    .as("looked at, and refused for want of a token")
                    .startsWith("HTTP/1.1 401");
        }
        try (Socket line = open(head("/api/v1/lifters", "application/json", WebServer.MOST_OF_A_FORM + 1))) {
            line.setSoTimeout(5000);
            assertThat(new String(line.getInputStream().readAllBytes(), StandardCharsets.UTF_8))
                    .startsWith("HTTP/1.1 413")
                    .contains("application/problem+json");
        }
    }

    @Test
    void aBodyOfUnsaidLengthIsCounted() throws Exception {
        try (Socket line = open("POST /theme HTTP/1.1\r\nHost: localhost\r\nContent-Type: " + FORM
                + "\r\nTransfer-Encoding: chunked\r\n\r\n")) {
            line.setSoTimeout(5000);
            String chunk = "10000\r\n" + "x".repeat(0x10000) + "\r\n";
            try {
                for (int i = 0; i < 40; i++) {
                    line.getOutputStream().write(chunk.getBytes(StandardCharsets.US_ASCII));
                }
            } catch (IOException closed) {
                // the server has heard enough
            }
            assertThat(first(line)).startsWith("HTTP/1.1 4");
        }
    }

    @ParameterizedTest
    @ValueSource(strings = {"/css/yarbel.css", "/js/floor.js", "/nothing.css", "/sw.js", "/api/sensor/none", "/error"})
    void whatNeedsNoSessionMakesNoneWhateverIsSentThere(String path) throws Exception {
        HttpResponse<String> answer = HttpClient.newHttpClient()
                .send(
                        HttpRequest.newBuilder(URI.create("http://127.0.0.1:" + port + path))
                                .header("Content-Type", FORM)
                                .POST(HttpRequest.BodyPublishers.ofString("x=1"))
                                .build(),
                        HttpResponse.BodyHandlers.ofString());
        assertThat(answer.statusCode()).isBetween(400, 499);
        assertThat(answer.headers().allValues("Set-Cookie")).noneMatch(cookie -> cookie.startsWith("JSESSIONID"));
    }

    private static String first(Socket line) throws IOException {
        InputStream in = line.getInputStream();
        StringBuilder text = new StringBuilder();
        for (int sign = in.read(); sign >= 0 && sign != '\n'; sign = in.read()) {
            text.append((char) sign);
        }
        return text.toString();
    }

    /** A crowd at the door waits for its turn without a thread: pages are served meanwhile, and each gets its answer. */
    @Test
    void aCrowdAtTheDoorLeavesPagesAlone() throws Exception {
        HttpClient client = HttpClient.newHttpClient();
        String token = "yarbel-form=0f0f0f0f-0000-4000-8000-000000000000";
        AtomicInteger answered = new AtomicInteger();
        List<CompletableFuture<Void>> crowd = new ArrayList<>();
        for (int i = 0; i < 50; i++) {
            HttpRequest knock = HttpRequest.newBuilder(URI.create("http://127.0.0.1:" + port + "/sign-in"))
                    .header("Content-Type", FORM)
                    .header("Cookie", token)
                    .POST(HttpRequest.BodyPublishers.ofString("username=door" + i + "&password=x"))
                    .build();
            crowd.add(client.sendAsync(knock, HttpResponse.BodyHandlers.discarding())
                    .thenAccept(response -> answered.incrementAndGet()));
        }
        for (int i = 0; i < 5; i++) {
            assertThat(get("/sign-in").statusCode()).isEqualTo(200);
        }
        await().atMost(Duration.ofSeconds(60)).until(() -> answered.get() == 50);
        crowd.forEach(CompletableFuture::join);
    }
}
