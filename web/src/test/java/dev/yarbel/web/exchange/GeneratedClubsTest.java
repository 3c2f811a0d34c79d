package dev.yarbel.web.exchange;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.multipart;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;

import dev.yarbel.web.Clubs4Tests;
import dev.yarbel.web.Clubs4Tests.TestClub;
import dev.yarbel.web.Program;
import dev.yarbel.web.YarbelTest;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.TreeMap;
import org.jsoup.Jsoup;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.mock.web.MockMultipartFile;
import org.springframework.test.web.servlet.MockMvc;
import org.springframework.test.web.servlet.request.RequestPostProcessor;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/** Clubs made up at random: the file of each is taken in by an empty club, which then writes the same file. */
@YarbelTest
class GeneratedClubsTest {

    /** Names and words as people have them, and as nobody should. */
    private static final List<String> WORDS = List.of(
            "Ünal O'Brien-Çelik",
            "Łucja \"Lu\" Wójcik",
            "李 小龙",
            "=1+1",
            "a\\b, c; d|e",
            "<b>bold</b> & co",
            "Zoë 💪",
            "יעל כהן",
            "{0} 'quoted'",
            "n/a");

    private static final List<String> LIFTS =
            List.of("squat", "bench-press", "deadlift", "front-squat", "log-press", "farmers-walk");
    private static final List<String> DOSES =
            List.of("5x5 75%", "3x8 @7", "1 @8 then 3x3 -10%", "AMRAP 80%", "4x6 70%");

    @Autowired
    private MockMvc mvc;

    @Autowired
    private Clubs4Tests clubs;

    @Autowired
    private JdbcClient jdbc;

    @Autowired
    private JsonMapper json;

    /** What of a kind was kept, and what was refused. */
    private static final class Tally {

        private final Map<String, Integer> kept = new TreeMap<>();
        private final List<String> refused = new ArrayList<>();

        private boolean count(String kind, Program.Answer answer) {
            if (answer.status() < 300) {
                kept.merge(kind, 1, Integer::sum);
                return true;
            }
            refused.add(kind + " " + answer.text());
            return false;
        }
    }

    /** Makes a club up. */
    private final class Making {

        private final Random random;
        private final Program coach;
        private final TestClub club;
        private final Tally tally = new Tally();

        Making(long seed, TestClub club) {
            this.random = new Random(seed);
            this.club = club;
            this.coach = Program.of(mvc, jdbc, club.coach);
        }

        private <T> T one(List<T> of) {
            return of.get(random.nextInt(of.size()));
        }

        /** From a mass on, in quarters, in either unit. */
        private Map<String, Object> mass(int least) {
            boolean pounds = random.nextInt(3) == 0;
            return Map.of(pounds ? "lb" : "kg", (pounds ? 2 : 1) * (least + random.nextInt(least) / 4.0));
        }

        private String day() {
            return "2026-0%d-%02d".formatted(1 + random.nextInt(2), 1 + random.nextInt(28));
        }

        private Program.Answer send(String kind, String method, String path, Object body) {
            Program.Answer answer = coach.send(
                    method, path, body == null ? null : json.writeValueAsString(body), Map.of("If-Match", "*"));
            tally.count(kind, answer);
            return answer;
        }

        /** Makes something, and now and then strikes it again. */
        private void some(String kind, String path, Object body, boolean mayBeStruck) {
            Program.Answer answer = send(kind, "POST", path, body);
            if (mayBeStruck && answer.status() < 300 && random.nextInt(4) == 0) {
                send(kind + " struck", "DELETE", path + "/" + answer.json().get("id"), null);
            }
        }

        private Map<String, Object> set() {
            Map<String, Object> set = new LinkedHashMap<>();
            set.put("lift", one(List.of("squat", "bench-press", "deadlift", "front-squat")));
            set.put("load", mass(120));
            set.put("reps", 1 + random.nextInt(12));
            set.put("effort", one(List.of("6", "7.5", "8", "9", "10", "easy")));
            set.put("confirmed", true);
            return set;
        }

        private List<Map<String, Object>> many(int most, java.util.function.Supplier<Map<String, Object>> make) {
            List<Map<String, Object>> many = new ArrayList<>();
            for (int at = 0; at <= random.nextInt(most); at++) {
                many.add(make.get());
            }
            return many;
        }

        private void lifter(int number) {
            Program.Answer made = send(
                    "lifter",
                    "POST",
                    "/lifters",
                    Map.of("name", one(WORDS) + " " + number, "unit", one(List.of("KG", "LB"))));
            if (made.status() >= 300) {
                return;
            }
            String lifter = "/lifters/" + made.json().get("id");
            send("profile", "PATCH", lifter, Map.of("days", "" + (2 + random.nextInt(4)), "job", one(WORDS)));
            for (int at = 0; at < 3; at++) {
                some(
                        "measurement",
                        lifter + "/measurements",
                        Map.of("kind", "WAIST", "on", day(), "figure", 70 + random.nextInt(40) / 2.0),
                        true);
                some(
                        "max",
                        lifter + "/maxes",
                        Map.of(
                                "lift",
                                one(List.of("squat", "bench-press", "deadlift")),
                                "kind",
                                one(List.of("TESTED", "CONTEST", "ESTIMATED")),
                                "load",
                                mass(120),
                                "on",
                                day(),
                                "confirmed",
                                true),
                        false);
                some(
                        "session",
                        lifter + "/sessions",
                        Map.of("on", day(), "sets", many(6, this::set), "finished", random.nextBoolean()),
                        false);
            }
            some(
                    "block",
                    lifter + "/blocks",
                    Map.of(
                            "name",
                            "Block " + random.nextInt(9),
                            "start",
                            "2026-0" + (6 + random.nextInt(3)) + "-01",
                            "weeks",
                            List.of(Map.of(), Map.of("phase", "STRENGTH", "deload", random.nextBoolean())),
                            "days",
                            List.of(Map.of(
                                    "name",
                                    one(WORDS),
                                    "offset",
                                    random.nextInt(7),
                                    "slots",
                                    List.of(Map.of(
                                            "letter",
                                            "A",
                                            "lift",
                                            one(List.of("squat", "bench-press")),
                                            "doses",
                                            List.of(one(DOSES), random.nextBoolean() ? "" : one(DOSES))))))),
                    true);
        }

        private void gym(int number) {
            Program.Answer made = send(
                    "gym",
                    "POST",
                    "/gyms",
                    Map.of("name", one(WORDS) + " " + number, "unit", one(List.of("KG", "LB"))));
            if (made.status() < 300) {
                for (int at = 0; at < 3; at++) {
                    send(
                            "piece",
                            "POST",
                            "/gyms/" + made.json().get("id") + "/pieces",
                            Map.of(
                                    "shelf",
                                    "plates",
                                    "fields",
                                    Map.of("mass", one(List.of("20 kg", "45 lb", "1,25 kg", "10")), "count", "4")));
                }
            }
        }

        private void contest(int number) {
            Program.Answer made =
                    send("contest", "POST", "/contests", Map.of("name", one(WORDS) + " " + number, "rules", "mock"));
            if (made.status() < 300) {
                String contest = "/contests/" + made.json().get("id");
                send("guest", "POST", contest + "/entries", Map.of("name", one(WORDS), "body", mass(60), "lot", 4));
                send("entry", "POST", contest + "/entries", Map.of("lifter", club.lifter.id()));
            }
        }

        private Tally make() {
            for (int at = 0; at < 3; at++) {
                lifter(at);
                gym(at);
                contest(at);
            }
            return tally;
        }
    }

    // ---- what a browser does

    private String file(RequestPostProcessor who) throws Exception {
        return mvc.perform(get("/exchange/club.json").with(who))
                .andReturn()
                .getResponse()
                .getContentAsString(StandardCharsets.UTF_8);
    }

    private void take(RequestPostProcessor who, String file) throws Exception {
        String address = mvc.perform(multipart("/exchange/whole")
                        .file(new MockMultipartFile(
                                "file", "club.json", "application/json", file.getBytes(StandardCharsets.UTF_8)))
                        .with(who)
                        .with(csrf()))
                .andReturn()
                .getResponse()
                .getRedirectedUrl();
        assertThat(Jsoup.parse(mvc.perform(get(address).with(who))
                                .andReturn()
                                .getResponse()
                                .getContentAsString(StandardCharsets.UTF_8))
                        .select("form[action$=/take]"))
                .hasSize(1);
        assertThat(mvc.perform(post(address + "/take").with(who).with(csrf()))
                        .andReturn()
                        .getResponse()
                        .getStatus())
                .isEqualTo(302);
    }

    private ObjectNode same(String file) {
        ObjectNode club = (ObjectNode) json.readTree(file);
        SameThings.club(club);
        club.remove("rules");
        return club;
    }

    @ParameterizedTest
    @ValueSource(longs = {1, 2, 3, 4, 5, 6})
    void whatIsWrittenIsReadBackToTheSame(long seed) throws Exception {
        TestClub club = clubs.club();
        Tally tally = new Making(seed, club).make();
        assertThat(tally.kept.keySet())
                .as(() -> String.join("\n", tally.refused))
                .contains(
                        "lifter",
                        "profile",
                        "measurement",
                        "max",
                        "session",
                        "block",
                        "gym",
                        "piece",
                        "guest",
                        "entry");
        assertThat(tally.refused).as("most of it is kept").hasSizeLessThan(8);

        String written = file(club.asHeadCoach());
        RequestPostProcessor other = clubs.ofEmptyClub();
        take(other, written);

        ObjectNode before = same(written);
        ObjectNode after = same(file(other));
        before.properties()
                .forEach(part ->
                        assertThat(after.get(part.getKey())).as(part.getKey()).isEqualTo(part.getValue()));
        assertThat(after.properties()).hasSameSizeAs(before.properties());
    }
}
