package dev.yarbel.web.floor;

import static dev.yarbel.web.OnPage.shows;
import static org.assertj.core.api.Assertions.assertThat;
import static org.hamcrest.Matchers.containsString;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.content;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.header;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import dev.yarbel.core.record.SetDetails;
import dev.yarbel.web.Clubs4Tests;
import dev.yarbel.web.Clubs4Tests.TestClub;
import dev.yarbel.web.YarbelTest;
import dev.yarbel.web.book.SessionLog;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.http.MediaType;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.mock.web.MockHttpServletResponse;
import org.springframework.test.web.servlet.MockMvc;
import org.springframework.test.web.servlet.ResultActions;

/** The interface for bar-speed sensors: pairing by a code, readings taken and refused, none of which spoils a log. */
@YarbelTest
class SensorTest {

    private static final Pattern CODE = Pattern.compile("class=\"figure code\">([A-Z2-9]{8})<");
    private static final Pattern KEY = Pattern.compile("\"key\":\"([^\"]+)\"");

    @Autowired
    private MockMvc mvc;

    @Autowired
    private Clubs4Tests clubs;

    @Autowired
    private JdbcClient jdbc;

    private TestClub club;

    @BeforeEach
    void makeClub() {
        club = clubs.club();
    }

    private static String found(Pattern pattern, String text) {
        Matcher matcher = pattern.matcher(text);
        assertThat(matcher.find()).as(text).isTrue();
        return matcher.group(1);
    }

    private String code() throws Exception {
        return found(
                CODE,
                mvc.perform(post(club.url("/floor/sensor"))
                                .with(club.asLifter())
                                .with(csrf())
                                .param("day", "0")
                                .param("week", "1"))
                        .andReturn()
                        .getResponse()
                        .getContentAsString());
    }

    private ResultActions pair(String code) throws Exception {
        return mvc.perform(post("/api/sensor/pair")
                .contentType(MediaType.APPLICATION_JSON)
                .content("{\"code\":\"" + code + "\"}"));
    }

    private String paired() throws Exception {
        return found(KEY, pair(code()).andReturn().getResponse().getContentAsString());
    }

    private ResultActions read(String key, long number, String speed, long ago) throws Exception {
        return mvc.perform(post("/api/sensor/readings")
                .header("Authorization", "Bearer " + key)
                .contentType(MediaType.APPLICATION_JSON)
                .content("{\"number\":" + number + ",\"speed\":\"" + speed + "\",\"ago\":" + ago + "}"));
    }

    private ResultActions log(String task, String load, String reps, String effort, String... more) throws Exception {
        var request = post(club.url("/floor/sets"))
                .with(club.asLifter())
                .with(csrf())
                .param("day", "0")
                .param("week", "1")
                .param("task", task)
                .param("load", load)
                .param("reps", reps)
                .param("effort", effort);
        for (int i = 0; i < more.length; i += 2) {
            request.param(more[i], more[i + 1]);
        }
        return mvc.perform(request);
    }

    private SetDetails last() {
        SessionLog session = club.plan().session(0, 1).orElseThrow();
        return session.sets().get(session.sets().size() - 1).set().details();
    }

    @Test
    void aCodePairsOneSensorOnceAndNotForEver() throws Exception {
        String code = code();
        pair(code.toLowerCase()).andExpect(status().isOk());
        pair(code).andExpect(status().isNotFound());
        pair("ABCDEFGH").andExpect(status().isNotFound());
        String old = code();
        jdbc.sql("update speed_sensor set made_at = made_at - interval '16 minutes' where lifter_id = ?")
                .param(club.lifter.id())
                .update();
        pair(old).andExpect(status().isNotFound());
    }

    @Test
    void theLastRepMeasuredIsKeptWithItsSet() throws Exception {
        String key = paired();
        read(key, 1, "0.52", 4000).andExpect(status().isNoContent());
        read(key, 2, "0.47", 2000).andExpect(status().isNoContent());
        mvc.perform(get(club.url("/floor?day=0&week=1&task=B.1"))
                        .with(club.asLifter())
                        .header("HX-Request", "true"))
                .andExpect(content().string(shows(".figure", "0.52 ·")));
        log("B.1", "150", "5", "8");
        assertThat(last().speed().orElseThrow()).hasToString("0.47");
        // the next set has readings of its own, or none
        log("B.2", "150", "5", "8");
        assertThat(last().speed()).isEmpty();
    }

    @Test
    void whatIsTypedStandsBeforeWhatWasMeasured() throws Exception {
        read(paired(), 1, "0.52", 1000);
        log("B.1", "150", "5", "8", "speed", "0.4");
        assertThat(last().speed().orElseThrow()).hasToString("0.4");
    }

    @ParameterizedTest
    @CsvSource({
        "1, fast, 0, not-a-speed",
        "1, NaN, 0, not-a-speed",
        "1, -0.4, 0, not-a-speed",
        "1, 0.02, 0, out-of-range",
        "1, 2.9, 0, out-of-range",
        "1, 0.4, 300000, late",
        "1, 0.4, -60000, future",
        "0, 0.4, 0, incomplete",
    })
    void aReadingThatCannotBeRightIsRefusedWithItsReason(long number, String speed, long ago, String why)
            throws Exception {
        read(paired(), number, speed, ago)
                .andExpect(status().isUnprocessableContent())
                .andExpect(content().string(containsString("\"refused\":\"" + why + "\"")));
        log("B.1", "150", "5", "8").andExpect(status().isFound());
        assertThat(last()).isEqualTo(SetDetails.NONE);
    }

    @Test
    void aReadingSentTwiceOneOfASetThatIsOverAndOneAfterTheEndAreRefused() throws Exception {
        String key = paired();
        read(key, 1, "0.5", 1000).andExpect(status().isNoContent());
        read(key, 1, "0.5", 1000).andExpect(content().string(containsString("double")));
        log("B.1", "150", "5", "8");
        read(key, 2, "0.4", 1000).andExpect(content().string(containsString("late")));
        mvc.perform(post(club.url("/floor/finish"))
                .with(club.asLifter())
                .with(csrf())
                .param("day", "0")
                .param("week", "1")
                .param("left", "99")
                .param("pain", ""));
        read(key, 3, "0.4", 0).andExpect(content().string(containsString("finished")));
        assertThat(last().speed().orElseThrow()).hasToString("0.5");
    }

    @Test
    void ofTenThatPairAtOnceOneDoesAndOfTenEqualReadingsOneIsTaken() throws Exception {
        String code = code();
        ExecutorService crowd = Executors.newFixedThreadPool(10);
        List<String> keys = new ArrayList<>();
        Callable<MockHttpServletResponse> pairing = () -> pair(code).andReturn().getResponse();
        for (Future<MockHttpServletResponse> answer : crowd.invokeAll(Collections.nCopies(10, pairing))) {
            if (answer.get().getStatus() == 200) {
                keys.add(found(KEY, answer.get().getContentAsString()));
            } else {
                assertThat(answer.get().getStatus()).isEqualTo(404);
            }
        }
        assertThat(keys).hasSize(1);
        Callable<Integer> reading =
                () -> read(keys.get(0), 7, "0.5", 0).andReturn().getResponse().getStatus();
        List<Integer> answers = new ArrayList<>();
        for (Future<Integer> answer : crowd.invokeAll(Collections.nCopies(10, reading))) {
            answers.add(answer.get());
        }
        crowd.shutdown();
        assertThat(answers).containsOnlyOnce(204).containsOnly(204, 422);
    }

    /** What comes from outside, whatever it is, is answered and never a fault of ours. */
    @ParameterizedTest
    @ValueSource(
            strings = {
                "{\"number\":1,\"speed\":\"0.5\",\"ago\":9223372036854775807}",
                "{\"number\":1,\"speed\":\"0.5\",\"ago\":-9223372036854775808}",
                "{\"number\":9223372036854775807,\"speed\":\"0.5\\u0000\",\"ago\":0}",
                "{\"number\":-1,\"speed\":\"0.5\",\"ago\":0}",
                "{\"number\":1,\"speed\":\"1e999999999\",\"ago\":0}",
                "{\"number\":1e400,\"speed\":\"0.5\"}",
                "{\"number\":1,\"speed\":[\"0.5\"]}",
                "[]",
                "null",
                "{\"number\":1",
                ""
            })
    void nothingThatIsSentIsAFaultOfOurs(String body) throws Exception {
        String key = paired();
        for (String path : List.of("pair", "readings")) {
            mvc.perform(post("/api/sensor/" + path)
                            .header("Authorization", "Bearer " + key)
                            .contentType(MediaType.APPLICATION_JSON)
                            .content(body))
                    .andExpect(status().is4xxClientError());
        }
    }

    @Test
    void whatASensorIsToldBearsTheHeadersOfEveryPage() throws Exception {
        pair("none")
                .andExpect(header().string("Content-Security-Policy", containsString("default-src 'none'")))
                .andExpect(header().string("X-Content-Type-Options", "nosniff"))
                .andExpect(header().doesNotExist("Set-Cookie"));
    }

    @Test
    void withoutAKeyNothingIsTaken() throws Exception {
        read("none", 1, "0.5", 0).andExpect(status().isUnauthorized());
        mvc.perform(post("/api/sensor/readings")
                        .contentType(MediaType.APPLICATION_JSON)
                        .content("{\"number\":1,\"speed\":\"0.5\"}"))
                .andExpect(status().isUnauthorized());
        mvc.perform(post("/api/sensor/readings")
                        .contentType(MediaType.APPLICATION_JSON)
                        .content("nonsense"))
                .andExpect(status().is4xxClientError());
    }
}
