package dev.yarbel.web.resilience;

import static org.assertj.core.api.Assertions.assertThat;
import static org.awaitility.Awaitility.await;

import dev.yarbel.web.Browser;
import java.net.http.HttpResponse;
import java.nio.file.Path;
import java.time.Duration;
import java.util.HashMap;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** A new machine: a real start on an empty database. */
class FirstRunTest {

    @TempDir
    private Path folder;

    private static Map<String, String> form(String... changes) {
        Map<String, String> form = new HashMap<>(Map.of(
                "code", "",
                "club", "Slipway Strength",
                "zone", "Europe/Oslo",
                "name", "Ingrid Fairlead",
                "username", "Ingrid",
                "password", "ebb-and-flow-9"));
        for (int i = 0; i < changes.length; i += 2) {
            form.put(changes[i], changes[i + 1]);
        }
        return form;
    }

    @Test
    void theClubIsSetUpOnceByTheCodeOfTheTerminalAndWrongOnesLockNobodyOut() throws Exception {
        try (OwnDatabase database = new OwnDatabase("yarbel_first_run");
                Copy copy = Copy.start(folder, database.url(), false)) {
            tenWrongCodesSlowDown(copy);
            assertThat(database.count("select count(*) from club")).isZero();
            Copy.Visitor ingrid = new Copy.Visitor();
            String code = copy.code().orElseThrow();
            assertThat(ingrid.get(copy, "/lifters").body())
                    .as("whoever comes is led to setting up")
                    .contains("Set up your club");

            try (Browser browser = new Browser(copy.address())) {
                browser.desk().open("/first-run").assertSound();
                browser.phone().open("/first-run").assertSound();
            }
            assertThat(ingrid.post(copy, "/first-run", "/first-run", Map.of("club", "No more than this"))
                            .statusCode())
                    .as("fields left out altogether")
                    .isEqualTo(422);

            HttpResponse<String> bad = ingrid.post(
                    copy, "/first-run", "/first-run", form("code", code, "zone", "Nowhere/Land", "password", "short"));
            assertThat(bad.statusCode()).isEqualTo(422);
            assertThat(bad.body())
                    .contains(
                            "A time zone such as", "12 to 72 characters", "value=\"Nowhere/Land\"", "value=\"Ingrid\"")
                    .doesNotContain("value=\"short\"");
            // the right one, typed as people type, is taken after a pause of seconds, without another start
            await().atMost(Duration.ofSeconds(60)).until(() -> ingrid.post(
                            copy,
                            "/first-run",
                            "/first-run",
                            form("code", code.toLowerCase().replace("-", " ")))
                    .body()
                    .contains("The club is set up"));
            assertThat(database.count("select count(*) from club where zone = 'Europe/Oslo'"))
                    .isOne();
            assertThat(database.count("select count(*) from account where role = 'HEAD_COACH'"))
                    .isOne();
            assertThat(ingrid.signIn(copy, "ingrid", "ebb-and-flow-9")
                            .get(copy, "/lifters")
                            .body())
                    .contains("Ingrid Fairlead", "Nobody is assigned to you yet");

            assertThat(new Copy.Visitor().get(copy, "/first-run").uri().getPath())
                    .isEqualTo("/sign-in");
            assertThat(ingrid.post(copy, "/lifters", "/first-run", form("code", code, "username", "second"))
                            .uri()
                            .getPath())
                    .isEqualTo("/sign-in");
            assertThat(database.count("select count(*) from club")).isOne();
        }
    }

    private static void tenWrongCodesSlowDown(Copy copy) throws Exception {
        Copy.Visitor guesser = new Copy.Visitor();
        for (int i = 0; i < 10; i++) {
            guesser.post(copy, "/first-run", "/first-run", form("code", "AAAA-AAAA-AAA" + i));
        }
        assertThat(guesser.post(copy, "/first-run", "/first-run", form("code", "AAAA-AAAA-AAAZ"))
                        .body())
                .contains("Too many tries in a row");
    }
}
