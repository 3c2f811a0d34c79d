package dev.yarbel.web.rest;

import static org.assertj.core.api.Assertions.assertThat;
import static org.awaitility.Awaitility.await;

import dev.yarbel.web.Clubs4Tests;
import dev.yarbel.web.Clubs4Tests.TestClub;
import dev.yarbel.web.Program;
import dev.yarbel.web.Program.Answer;
import dev.yarbel.web.YarbelTest;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.Callable;
import java.util.concurrent.CyclicBarrier;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.test.web.servlet.MockMvc;
import tools.jackson.databind.JsonNode;

/** What holds for every resource: writes act once, nobody overwrites what they have not seen, errors are problems, lists go on. */
@YarbelTest
class InterfaceTest {

    @Autowired
    private MockMvc mvc;

    @Autowired
    private Clubs4Tests clubs;

    @Autowired
    private JdbcClient jdbc;

    private TestClub club;
    private Program coach;
    private String lifter;

    @BeforeEach
    void gather() {
        club = clubs.club();
        coach = Program.of(mvc, jdbc, club.coach);
        lifter = "/lifters/" + club.lifter.id();
    }

    private static String json(String text) {
        return text.replace('\'', '"');
    }

    private static final String SET =
            "{'on':'2026-03-09','sets':[{'lift':'squat','load':{'kg':150},'reps':5,'effort':'8'}]}";

    private long sets() {
        return jdbc.sql("""
                        select count(*) from logged_set l join training_session s on s.id = l.session_id
                        where s.lifter_id = ?""").param(club.lifter.id()).query(Long.class).single();
    }

    // ---- once

    @Test
    void aWriteSentAgainUnderItsKeyActsOnceAndIsAnsweredAsBefore() {
        Answer first = coach.send("POST", lifter + "/sessions", json(SET), Map.of("Idempotency-Key", "one"));
        Answer again = coach.send("POST", lifter + "/sessions", json(SET), Map.of("Idempotency-Key", "one"));

        assertThat(first.status()).isEqualTo(201);
        assertThat(again.status()).isEqualTo(201);
        assertThat(again.text()).isEqualTo(first.text());
        assertThat(again.tag()).isEqualTo(first.tag());
        assertThat(again.response().getHeader("Location"))
                .isEqualTo(first.response().getHeader("Location"));
        assertThat(sets()).isOne();
        assertThat(coach.post(lifter + "/sessions", json(SET)).status()).isEqualTo(201);
        assertThat(sets()).as("without a key it is another set").isEqualTo(2);
    }

    @Test
    void anotherRequestUnderTheSameKeyIsRefused() {
        coach.send("POST", lifter + "/sessions", json(SET), Map.of("Idempotency-Key", "one"));

        Answer other = coach.send(
                "POST", lifter + "/sessions", json(SET.replace("150", "140")), Map.of("Idempotency-Key", "one"));

        assertThat(other.status()).isEqualTo(422);
        assertThat(sets()).isOne();
    }

    @Test
    void whatWasRefusedMayBeSentAgainPutRight() {
        Answer refused = coach.send(
                "POST", lifter + "/sessions", json(SET.replace("squat", "sqaut")), Map.of("Idempotency-Key", "one"));
        Answer right = coach.send("POST", lifter + "/sessions", json(SET), Map.of("Idempotency-Key", "one"));

        assertThat(refused.status()).isEqualTo(422);
        assertThat(refused.errors()).containsOnlyKeys("sets[0].lift");
        assertThat(right.status()).isEqualTo(201);
        assertThat(sets()).isOne();
    }

    @Test
    void anotherPersonsKeyIsAnotherKey() {
        Program own = Program.of(mvc, jdbc, club.lifterPerson);

        coach.send("POST", lifter + "/sessions", json(SET), Map.of("Idempotency-Key", "one"));
        own.send("POST", lifter + "/sessions", json(SET), Map.of("Idempotency-Key", "one"));

        assertThat(sets()).isEqualTo(2);
    }

    @Test
    void ofManyAtOnceUnderOneKeyOneActsAndAllAreAnsweredTheSame() throws Exception {
        List<Answer> answers =
                atOnce(6, () -> coach.send("POST", lifter + "/sessions", json(SET), Map.of("Idempotency-Key", "race")));

        assertThat(answers).extracting(Answer::status).containsOnly(201);
        assertThat(answers).extracting(Answer::text).containsOnly(answers.get(0).text());
        assertThat(sets()).isOne();
    }

    @ParameterizedTest
    @ValueSource(strings = {" ", "a b", "ö"})
    void aKeyThatIsNoneIsRefused(String key) {
        Answer answer = coach.send("POST", lifter + "/sessions", json(SET), Map.of("Idempotency-Key", key));

        assertThat(answer.status()).isEqualTo(400);
        assertThat(sets()).isZero();
    }

    /** Half of it is good, and none of it is kept. */
    @Test
    void aWriteIsKeptAsAWholeOrNotAtAll() {
        Answer refused = coach.send(
                "PATCH",
                lifter,
                json("{'days':'4','birth-year':'1066'}"),
                Map.of("If-Match", coach.get(lifter).tag()));

        assertThat(refused.status()).isEqualTo(422);
        assertThat(refused.errors()).containsOnlyKeys("birth-year");
        assertThat(coach.get(lifter).json().get("profile").has("days")).isFalse();
    }

    // ---- versions

    @Test
    void whoeverChangesSaysWhatTheySaw() {
        String tag = coach.get(lifter).tag();

        assertThat(coach.send("PATCH", lifter, json("{'days':'4'}"), Map.of()).status())
                .isEqualTo(428);
        assertThat(coach.send("PATCH", lifter, json("{'days':'4'}"), Map.of("If-Match", "\"other\""))
                        .status())
                .isEqualTo(412);
        Answer changed = coach.send("PATCH", lifter, json("{'days':'4'}"), Map.of("If-Match", tag));
        assertThat(changed.status()).isEqualTo(200);
        assertThat(changed.tag()).isNotEqualTo(tag).isEqualTo(coach.get(lifter).tag());
        assertThat(coach.send("PATCH", lifter, json("{'days':'3'}"), Map.of("If-Match", tag))
                        .status())
                .isEqualTo(412);
        assertThat(coach.get(lifter).json().get("profile").get("days").asString())
                .isEqualTo("4");
    }

    @Test
    void ofManyWhoSawTheSameOneChangesIt() throws Exception {
        String tag = coach.get(lifter).tag();
        Set<String> figures = new HashSet<>();

        List<Answer> answers = atOnce(5, () -> {
            String days;
            synchronized (figures) {
                days = String.valueOf(figures.size() + 1);
                figures.add(days);
            }
            return coach.send("PATCH", lifter, json("{'days':'" + days + "'}"), Map.of("If-Match", tag));
        });

        assertThat(answers).extracting(Answer::status).containsOnly(200, 412);
        assertThat(answers).filteredOn(answer -> answer.status() == 200).hasSize(1);
    }

    @Test
    void whatIsSeenAlreadyIsNotSentAgain() {
        String tag = coach.get(lifter).tag();

        Answer again = coach.send("GET", lifter, null, Map.of("If-None-Match", tag));

        assertThat(again.status()).isEqualTo(304);
        assertThat(again.text()).isEmpty();
    }

    private static <T> List<T> atOnce(int many, Callable<T> work) throws Exception {
        ExecutorService threads = Executors.newFixedThreadPool(many);
        CyclicBarrier start = new CyclicBarrier(many);
        try {
            List<Future<T>> futures = new ArrayList<>();
            for (int i = 0; i < many; i++) {
                futures.add(threads.submit(() -> {
                    start.await();
                    return work.call();
                }));
            }
            List<T> answers = new ArrayList<>();
            for (Future<T> future : futures) {
                answers.add(future.get());
            }
            return answers;
        } finally {
            threads.shutdown();
        }
    }

    // ---- problems

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "{                                        | 400 |",
                "[]                                       | 400 |",
                "'on'                                     | 400 |",
                "{'on':'2026-03-09','sets':[]}            | 422 | sets",
                "{'on':'2026-03-09'}                      | 422 | sets",
                "{'on':'9.3.2026','sets':[{}]}            | 400 | on",
                "{'on':'2026-03-11','sets':[{'lift':'squat','load':{'kg':100},'reps':5}]} | 422 | on",
                "{'on':'2026-03-09','sets':[null]}        | 422 | sets[0]",
                "{'on':'2026-03-09','sets':[{'lift':'squat','laod':{'kg':100},'reps':5}]} | 400 | sets[0].laod",
                "{'on':'2026-03-09','sets':[{'lift':'squat','load':{'kg':100,'lb':100},'reps':5}]} | 422 | sets[0].load",
                "{'on':'2026-03-09','sets':[{'lift':'squat','load':{},'reps':5}]} | 422 | sets[0].load",
                "{'on':'2026-03-09','sets':[{'lift':'squat','load':{'kg':-1},'reps':5}]} | 422 | sets[0].load",
                "{'on':'2026-03-09','sets':[{'lift':'squat','load':{'kg':1e999999999},'reps':5}]} | 422 | sets[0].load",
                "{'on':'2026-03-09','sets':[{'lift':'squat','load':{'kg':1e-999999999},'reps':5}]} | 422 | sets[0].load",
                "{'on':'2026-03-09','sets':[{'lift':'squat','load':{'kg':'100'},'reps':5,'effort':'11'}]} | 422 | sets[0].effort",
                "{'on':'2026-03-09','sets':[{'lift':'squat','load':{'kg':100},'reps':0}]} | 422 | sets[0].reps",
                "{'on':'2026-03-09','sets':[{'lift':'squat','load':{'kg':100},'reps':5,'seconds':1e999999999}]} | 422 | sets[0].seconds",
                "{'on':'2026-03-09','sets':[{'lift':'squat','load':{'kg':100},'reps':5,'note':'a\\u0000b'}]} | 400 | sets[0].note",
                "{'on':'2026-03-09','sets':[{'lift':'squat','load':{'kg':100},'reps':5,'missedBy':'LAZY'}]} | 400 | sets[0].missedBy",
                "{'on':'2026-03-09','sets':[{'lift':'squat','load':{'kg':315},'reps':5}]} | 422 | sets[0].load",
                "{'on':'2026-03-09','sets':[{'lift':'squat','load':{'kg':180},'reps':50}]} | 422 | sets[0].reps"
            })
    void whatCannotBeUsedIsAProblemThatNamesItsField(String body, int status, String field) {
        Answer answer = coach.post(lifter + "/sessions", json(body));

        assertThat(answer.status()).isEqualTo(status);
        assertThat(answer.response().getContentType()).startsWith("application/problem+json");
        JsonNode problem = answer.json();
        assertThat(problem.get("status").asInt()).isEqualTo(status);
        assertThat(problem.get("title").asString()).isNotBlank();
        assertThat(problem.get("detail").asString()).isNotBlank();
        assertThat(problem.get("instance").asString()).isEqualTo("/api/v1" + lifter + "/sessions");
        if (field != null) {
            assertThat(answer.errors()).containsOnlyKeys(field);
            assertThat(answer.errors().get(field)).isNotBlank();
        }
        assertThat(sets()).isZero();
    }

    @Test
    void whatWasAskedAboutAndIsMeantIsTaken() {
        Answer taken = coach.post(
                lifter + "/sessions",
                json("{'on':'2026-03-09','sets':[{'lift':'squat','load':{'kg':315},'reps':5,'confirmed':true}]}"));

        assertThat(taken.status()).isEqualTo(201);
        assertThat(taken.json().get("sets").get(0).get("load").get("kg").decimalValue())
                .isEqualByComparingTo("315");
    }

    @Test
    void noBodyTooLargeABodyAndABodyOfAnotherKindAreToldApart() {
        assertThat(coach.post(lifter + "/sessions", null).status()).isEqualTo(400);
        assertThat(coach.post(lifter + "/sessions", "\"" + "x".repeat(1_000_001) + "\"")
                        .status())
                .isEqualTo(413);
        assertThat(coach.send("POST", lifter + "/sessions", json(SET), Map.of("Content-Type", "text/csv"))
                        .status())
                .isEqualTo(415);
    }

    @ParameterizedTest
    @CsvSource({
        "GET, /nothing, 404",
        "GET, /lifters/none, 400",
        "GET, /lifters/99999999, 404",
        "GET, /lifters/99999999999999999999, 400",
        "PUT, /lifters, 405",
        "GET, /lifters;of=all, 400",
        "GET, /lifters//1, 400",
        "GET, /lifters/%2e%2e/gyms, 400",
        "GET, /lifters?limit=0, 422",
        "GET, /lifters?limit=many, 400",
        "GET, /lifters?after=none, 422",
        "GET, /finished-sessions?after=LTE, 422"
    })
    void addressesThatLeadNowhereAreProblemsToo(String method, String path, int status) {
        Answer answer = coach.send(method, path, null, Map.of());

        assertThat(answer.status()).isEqualTo(status);
        assertThat(answer.response().getContentType()).startsWith("application/problem+json");
        assertThat(answer.json().get("detail").asString()).isNotBlank();
    }

    @Test
    void aProblemIsInTheReadersLanguage() {
        Answer german = coach.send("GET", "/lifters/99999999", null, Map.of("Accept-Language", "de"));

        assertThat(german.json().get("detail").asString()).startsWith("Das gibt es nicht");
    }

    // ---- lists

    @Test
    void aListGoesOnWhereItStoppedAndTellsEachOnce() {
        Set<String> names = new HashSet<>();
        for (int at = 0; at < 7; at++) {
            // two are called the same
            coach.post("/lifters", json("{'name':'Same " + at / 2 + "','unit':'KG'}"));
        }
        long all = coach.get("/lifters?limit=200").json().get("items").size();

        String after = "";
        int pages = 0;
        do {
            JsonNode page = coach.get("/lifters?limit=3" + after).json();
            page.get("items")
                    .forEach(item ->
                            assertThat(names.add(item.get("id").asString())).isTrue());
            after = page.has("next") ? "&after=" + page.get("next").asString() : null;
            pages++;
        } while (after != null);

        assertThat(names).hasSize((int) all);
        assertThat(pages).isEqualTo((int) ((all + 2) / 3));
    }

    @Test
    void sessionsAreToldInPagesWithAllTheirSets() {
        for (int day = 1; day <= 5; day++) {
            coach.post(lifter + "/sessions", json(SET.replace("2026-03-09", "2026-03-0" + day)));
            coach.post(lifter + "/sessions", json(SET.replace("2026-03-09", "2026-03-0" + day)));
        }
        List<String> days = new ArrayList<>();
        String after = "";
        do {
            JsonNode page = coach.get(lifter + "/sessions?limit=2" + after).json();
            page.get("items").forEach(session -> {
                days.add(session.get("on").asString());
                assertThat(session.get("sets")).hasSize(2);
            });
            after = page.has("next") ? "&after=" + page.get("next").asString() : null;
        } while (after != null);

        assertThat(days).containsExactly("2026-03-01", "2026-03-02", "2026-03-03", "2026-03-04", "2026-03-05");
    }

    // ---- forgetting

    @Test
    void anAnswerIsForgottenAfterADay() {
        coach.send("POST", lifter + "/sessions", json(SET), Map.of("Idempotency-Key", "old"));
        jdbc.sql("update kept_answer set at = at - interval '25 hours' where account_id = ?")
                .param(club.coach.accountId())
                .update();

        writes.forget();

        await().untilAsserted(() -> assertThat(jdbc.sql("select count(*) from kept_answer where account_id = ?")
                        .param(club.coach.accountId())
                        .query(Long.class)
                        .single())
                .isZero());
    }

    @Autowired
    private WritesOnce writes;
}
