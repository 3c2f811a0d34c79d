package dev.yarbel.web.floor;

import static org.assertj.core.api.Assertions.assertThat;

import dev.yarbel.web.Clubs4Tests;
import dev.yarbel.web.Clubs4Tests.TestClub;
import dev.yarbel.web.Program;
import dev.yarbel.web.Program.Answer;
import dev.yarbel.web.YarbelTest;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.test.web.servlet.MockMvc;
import tools.jackson.databind.JsonNode;

/** Days of a plan by the HTTP interface: what is asked for, and what was lifted of it, as on the floor. */
@YarbelTest
class DaysResourceTest {

    @Autowired
    private MockMvc mvc;

    @Autowired
    private Clubs4Tests clubs;

    @Autowired
    private JdbcClient jdbc;

    private TestClub club;
    private Program lifter;
    private String day;

    @BeforeEach
    void gather() {
        club = clubs.club();
        lifter = Program.of(mvc, jdbc, club.lifterPerson);
        JsonNode current =
                lifter.get("/lifters/" + club.lifter.id() + "/days/current").json();
        day = "/lifters/" + club.lifter.id() + "/days/" + current.get("day").asLong() + "/"
                + current.get("week").asInt();
    }

    private static String json(String text) {
        return text.replace('\'', '"');
    }

    private Answer log(String set) {
        return lifter.post(day + "/sets", json(set));
    }

    private static JsonNode set(JsonNode day, String task) {
        return day.get("sets")
                .valueStream()
                .filter(set -> set.get("task").asString().equals(task))
                .findFirst()
                .orElseThrow();
    }

    @Test
    void aDayIsToldWithItsRampAndItsLoads() {
        JsonNode told = lifter.get(day).json();

        assertThat(told.get("on").asString()).isEqualTo(club.plan().today().toString());
        assertThat(told.get("week").asInt()).isEqualTo(2);
        assertThat(set(told, "A.w1").get("warmUp").asBoolean()).isTrue();
        // 75 % of a working max of 200 kg
        assertThat(set(told, "C.1").get("load").get("kg").decimalValue()).isEqualByComparingTo("150");
        assertThat(set(told, "C.1").has("done")).isFalse();
    }

    /** The top set in, the back-offs hang on what was really lifted. */
    @Test
    void aSetIsLoggedAndTheNextOnesFollow() {
        Answer logged = log("{'task':'A.1','load':{'kg':180},'reps':1,'effort':'8'}");

        assertThat(logged.status()).as(logged.text()).isEqualTo(200);
        assertThat(set(logged.json(), "A.1").get("done").get("load").get("kg").decimalValue())
                .isEqualByComparingTo("180");
        // 20 % under 180 kg is 144, which the plates make 145
        assertThat(set(logged.json(), "B.1").get("load").get("kg").decimalValue())
                .isEqualByComparingTo("145");
        assertThat(log("{'task':'A.1','load':{'kg':180},'reps':1,'effort':'8'}").status())
                .as("the same once more")
                .isEqualTo(200);
        assertThat(log("{'task':'A.1','load':{'kg':175},'reps':1,'effort':'8'}").status())
                .as("the same set with other figures")
                .isEqualTo(409);
        assertThat(jdbc.sql("select count(*) from logged_set where club_id = ?")
                        .param(club.lifter.clubId())
                        .query(Long.class)
                        .single())
                .isOne();
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "{'task':'Z.9','load':{'kg':180},'reps':1,'effort':'8'}             | task",
                "{'task':'first','load':{'kg':180},'reps':1,'effort':'8'}           | task",
                "{'task':'A.1','reps':1,'effort':'8'}                               | load",
                "{'task':'A.1','load':{'kg':180},'reps':1,'effort':'tough'}         | effort",
                "{'task':'A.1','load':{'kg':180},'reps':1}                          | effort",
                "{'task':'C.1','load':{'kg':150},'reps':500,'effort':'8'}           | reps",
                "{'task':'A.1','load':{'kg':390},'reps':1,'effort':'8'}             | load",
                "{'task':'A.1','load':{'kg':180},'reps':1,'effort':'8','helped':2}  | helped"
            })
    void whatCannotBeKeptSaysInWhichField(String set, String field) {
        Answer refused = log(set);

        assertThat(refused.status()).isEqualTo(422);
        assertThat(refused.errors()).containsOnlyKeys(field);
        assertThat(refused.errors().get(field)).isNotBlank();
    }

    @Test
    void poundsAreKeptAsPounds() {
        log("{'task':'C.1','load':{'lb':330},'reps':5,'effort':'8'}");

        JsonNode session = lifter.get("/lifters/" + club.lifter.id() + "/sessions")
                .json()
                .get("items")
                .get(0);
        assertThat(session.get("sets").get(0).get("load").get("lb").decimalValue())
                .isEqualByComparingTo("330");
        assertThat(session.get("week").asInt()).isEqualTo(2);
    }

    @Test
    void setsThatAreMissingAreAskedAboutBeforeTheEnd() {
        log("{'task':'A.1','load':{'kg':180},'reps':1,'effort':'8'}");

        Answer asked = lifter.post(day + "/finish", "{}");
        assertThat(asked.status()).isEqualTo(422);
        Answer finished =
                lifter.post(day + "/finish", json("{'count':'CUT','pain':'left knee','effort':8,'minutes':60}"));

        assertThat(finished.json().get("finished").asBoolean()).isTrue();
        JsonNode session = lifter.get("/lifters/" + club.lifter.id() + "/sessions")
                .json()
                .get("items")
                .get(0);
        assertThat(session.get("pain").asString()).isEqualTo("left knee");
        assertThat(session.get("minutes").asInt()).isEqualTo(60);
    }

    /** Another day's set is corrected in its session; what was said before stands in the ledger. */
    @Test
    void aSetIsCorrectedInItsSession() {
        log("{'task':'A.1','load':{'kg':180},'reps':1,'effort':'8'}");
        String sessions = "/lifters/" + club.lifter.id() + "/sessions/";
        long id = lifter.get(sessions.substring(0, sessions.length() - 1))
                .json()
                .get("items")
                .get(0)
                .get("id")
                .asLong();
        String tag = lifter.get(sessions + id).tag();

        Answer corrected = lifter.put(
                sessions + id + "/sets/A.1",
                tag,
                json("{'lift':'squat','load':{'kg':175},'reps':1,'effort':'8.5','note':'high'}"));

        assertThat(corrected.status()).as(corrected.text()).isEqualTo(200);
        assertThat(corrected.json().get("sets").get(0).get("note").asString()).isEqualTo("high");
        assertThat(lifter.put(sessions + id + "/sets/A.1", tag, json("{'lift':'squat','load':{'kg':170},'reps':1}"))
                        .status())
                .isEqualTo(412);
        assertThat(jdbc.sql("select before from change_entry where lifter_id = ? and kind = 'SET_CORRECTED'")
                        .param(club.lifter.id())
                        .query(String.class)
                        .single())
                .startsWith("180 kg");
    }
}
