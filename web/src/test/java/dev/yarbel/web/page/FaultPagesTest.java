package dev.yarbel.web.page;

import static org.assertj.core.api.Assertions.assertThat;

import dev.yarbel.web.Browser;
import dev.yarbel.web.YarbelTest;
import java.io.IOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import org.junit.jupiter.api.Test;
import org.springframework.boot.test.web.server.LocalServerPort;

/** A fault answers with a page of our own, over the line as a browser gets it. */
@YarbelTest
class FaultPagesTest {

    @LocalServerPort
    private int port;

    private HttpResponse<String> send(String path, HttpRequest.BodyPublisher form)
            throws IOException, InterruptedException {
        HttpRequest.Builder request = HttpRequest.newBuilder(URI.create("http://127.0.0.1:" + port + path))
                .header("Accept", "text/html")
                .header("Content-Type", "application/x-www-form-urlencoded");
        return HttpClient.newHttpClient()
                .send(
                        (form == null ? request.GET() : request.POST(form)).build(),
                        HttpResponse.BodyHandlers.ofString());
    }

    private static void assertOurs(HttpResponse<String> page, int status, String words) {
        assertThat(page.statusCode()).isEqualTo(status);
        assertThat(page.body())
                .contains(words, "yarbel.css", "href=\"/\"")
                .doesNotContain("Exception", "\tat ", "org.springframework", "Whitelabel", "tomcat");
        assertThat(page.headers().firstValue("Content-Security-Policy")).isPresent();
    }

    @Test
    void thePagesAreSoundInABrowser() {
        try (Browser browser = new Browser("http://127.0.0.1:" + port)) {
            browser.desk().open("/css/nothing.css").assertSound();
            browser.phone().open("/js/breaks").assertSound();
        }
    }

    @Test
    void aFormWithoutItsTokenIsNotYours() throws Exception {
        assertOurs(send("/sign-out", HttpRequest.BodyPublishers.ofString("")), 403, "not yours to open");
        // a sign-in is shown again instead
        assertThat(send("/sign-in", HttpRequest.BodyPublishers.ofString("username=bryn"))
                        .body())
                .contains("type the password once more");
    }

    @Test
    void whatIsNotThereSaysSo() throws Exception {
        assertOurs(send("/css/nothing.css", null), 404, "There is nothing here");
    }

    @Test
    void tooMuchAtOnceSaysSo() throws Exception {
        String much = "username=" + "x".repeat(3_000_000);
        assertOurs(send("/sign-in", HttpRequest.BodyPublishers.ofString(much)), 413, "too much at once");
    }

    @Test
    void aFaultOfOursSaysThatNothingLoggedIsLostAndShowsNoTrace() throws Exception {
        // TestSettings has a page that always fails, under the files so that nobody need sign in
        assertOurs(send("/js/breaks", null), 500, "What was logged before is kept");
    }

    @Test
    void aRequestThatCannotBeUnderstoodIsNotCalledAFaultOfOurs() throws Exception {
        assertOurs(send("/js/breaks?n=none", null), 400, "could not be understood");
    }
}
