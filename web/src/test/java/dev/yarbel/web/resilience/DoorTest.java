package dev.yarbel.web.resilience;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

/** The door as it is shipped, in a process of its own: what nobody leaves behind, and how a stranger is answered. */
class DoorTest {

    private static HttpResponse<String> get(Copy copy, String path) throws Exception {
        return HttpClient.newHttpClient()
                .send(
                        HttpRequest.newBuilder(URI.create(copy.address() + path))
                                .header("Accept", "text/html")
                                .build(),
                        HttpResponse.BodyHandlers.ofString());
    }

    @Test
    void aStrangerLeavesNoRowAndLearnsNothing() throws Exception {
        OwnDatabase database = Copies.asAtTheStart();
        Copy copy = Copies.first();
        for (String path : List.of(
                "/sign-in",
                "/lifters/1/plan?x=" + "y".repeat(7000),
                "/lifters",
                "/join/none",
                "/nothing-there",
                "/error")) {
            get(copy, path);
        }
        assertThat(get(copy, "/error").statusCode()).isEqualTo(404);
        Copy.Visitor stranger = new Copy.Visitor();
        for (String name : List.of("bryn", "nobody-at-all")) {
            HttpResponse<String> refused =
                    stranger.post(copy, "/sign-in", "/sign-in", Map.of("username", name, "password", "wrong"));
            assertThat(refused.statusCode()).isEqualTo(401);
            assertThat(refused.body()).contains("do not go together", "value=\"" + name + "\"");
        }
        for (int i = 0; i < 4; i++) {
            stranger.post(copy, "/sign-in", "/sign-in", Map.of("username", "nobody-at-all", "password", "wrong"));
        }
        HttpResponse<String> slowed =
                stranger.post(copy, "/sign-in", "/sign-in", Map.of("username", "nobody-at-all", "password", "wrong"));
        assertThat(slowed.statusCode()).isEqualTo(429);
        assertThat(slowed.headers().firstValue("Retry-After")).isPresent();
        assertThat(slowed.body()).contains("Too many tries in a row");
        assertThat(database.count("select count(*) from spring_session")).isZero();
        // the rightful owner of another name is not slowed by it
        new Copy.Visitor().signIn(copy, "bryn", "harbour-light");
    }
}
