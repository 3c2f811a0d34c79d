package dev.yarbel.web.rest;

import static org.assertj.core.api.Assertions.assertThat;
import static org.awaitility.Awaitility.await;

import dev.yarbel.web.Clubs4Tests;
import dev.yarbel.web.Clubs4Tests.TestClub;
import dev.yarbel.web.Program;
import dev.yarbel.web.TestSettings;
import dev.yarbel.web.YarbelTest;
import dev.yarbel.web.account.Scope;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.List;
import java.util.concurrent.TimeUnit;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.web.server.LocalServerPort;
import org.springframework.jdbc.core.simple.JdbcClient;

/** The examples of docs/examples do what they say, as processes of their own, over a real line. */
@YarbelTest
class ExamplesTest {

    private static final Path EXAMPLES = Path.of("..", "docs", "examples");
    private static final String JAVA =
            Path.of(System.getProperty("java.home"), "bin", "java").toString();

    @Autowired
    private Clubs4Tests clubs;

    @Autowired
    private JdbcClient jdbc;

    @LocalServerPort
    private int port;

    @TempDir
    private Path folder;

    private TestClub club;

    @BeforeEach
    void gather() {
        club = clubs.club();
    }

    private record Ended(int code, String out) {}

    private Ended run(String... command) throws IOException, InterruptedException {
        ProcessBuilder builder = new ProcessBuilder(command).redirectErrorStream(true);
        // the tests' today is long over
        builder.environment().put("DAY", TestSettings.TODAY.toString());
        builder.environment().remove("JAVA_TOOL_OPTIONS");
        Process process = builder.start();
        String out = new String(process.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
        assertThat(process.waitFor(1, TimeUnit.MINUTES)).isTrue();
        return new Ended(process.exitValue(), out);
    }

    private String address() {
        return "http://127.0.0.1:" + port;
    }

    private Ended log(String token) throws IOException, InterruptedException {
        return run(EXAMPLES.resolve("log-a-session.sh").toString(), address(), token, String.valueOf(club.lifter.id()));
    }

    private long sessions() {
        return jdbc.sql("select count(*) from training_session where lifter_id = ? and finished_at is not null")
                .param(club.lifter.id())
                .query(Long.class)
                .single();
    }

    @Test
    void theScriptLogsASessionOnceHoweverOftenItRuns() throws Exception {
        String token = Program.token(jdbc, club.coach, Scope.READ, Scope.LOG);

        Ended first = log(token);
        Ended again = log(token);

        assertThat(first.code()).as(first.out()).isZero();
        assertThat(first.out()).contains("\"task\":\"A.2\"").contains("\"lift\":\"squat\"");
        assertThat(again.out().lines().findFirst())
                .isEqualTo(first.out().lines().findFirst());
        assertThat(sessions()).isOne();
    }

    @Test
    void theScriptSaysWhatIsWrong() throws Exception {
        Ended refused = log(Program.token(jdbc, club.coach, Scope.READ));

        assertThat(refused.code()).isNotZero();
        assertThat(refused.out()).contains("\"status\":403");
        assertThat(sessions()).isZero();
    }

    @Test
    void theFollowerPrintsWhatWasFinishedSinceItRanLast() throws Exception {
        String token = Program.token(jdbc, club.coach, Scope.READ, Scope.LOG);
        String kept = folder.resolve("after").toString();
        log(token);
        await().untilAsserted(() -> assertThat(jdbc.sql("select count(*) from session_feed where lifter_id = ?")
                        .param(club.lifter.id())
                        .query(Long.class)
                        .single())
                .isOne());
        List<String> command =
                List.of(JAVA, EXAMPLES.resolve("FollowSessions.java").toString(), address(), token, kept);

        Ended first = run(command.toArray(String[]::new));
        Ended again = run(command.toArray(String[]::new));

        assertThat(first.code()).as(first.out()).isZero();
        assertThat(first.out()).contains("\"lift\":\"barbell-row\"");
        assertThat(again.code()).isZero();
        assertThat(again.out()).isEmpty();
    }
}
