package dev.yarbel.web.contest;

import static org.assertj.core.api.Assertions.assertThat;

import dev.yarbel.web.Clubs4Tests;
import dev.yarbel.web.Clubs4Tests.TestClub;
import dev.yarbel.web.Program;
import dev.yarbel.web.Program.Answer;
import dev.yarbel.web.YarbelTest;
import java.util.Map;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.test.web.servlet.MockMvc;
import tools.jackson.databind.JsonNode;

/** Contests by the HTTP interface: set up, entered, lifted, moved; with what pages refuse, and nobody's plans told to others. */
@YarbelTest
class ContestsResourceTest {

    @Autowired
    private MockMvc mvc;

    @Autowired
    private Clubs4Tests clubs;

    @Autowired
    private JdbcClient jdbc;

    private TestClub club;
    private Program coach;

    @BeforeEach
    void gather() {
        club = clubs.club();
        coach = Program.of(mvc, jdbc, club.coach);
    }

    private static String json(String text) {
        return text.replace('\'', '"');
    }

    private static final String CUP =
            "{'name':'Cup','place':'Hall','on':'2026-05-02','until':'2026-05-03','weighIn':'08:00:00',"
                    + "'begins':'10:00:00','rules':'ipf-classic','step':{'kg':2.5},'seconds':60,'bring':'belt','plates':[{'kg':25},{'lb':45}]}";

    @Test
    void aContestIsToldAsItWasSetUp() {
        Answer made = coach.post("/contests", json(CUP));

        assertThat(made.status()).as(made.text()).isEqualTo(201);
        JsonNode told = made.json();
        assertThat(told.get("on").asString()).isEqualTo("2026-05-02");
        assertThat(told.get("until").asString()).isEqualTo("2026-05-03");
        assertThat(told.get("weighIn").asString()).startsWith("08:00");
        assertThat(told.get("plates").get(1).get("lb").decimalValue()).isEqualByComparingTo("45");
        assertThat(coach.get("/contests").json().get("items").get(0).get("name").asString())
                .isEqualTo("Cup");
    }

    @Test
    void aMovedContestIsACallForWhoeversPlanLeadsThere() {
        Answer made = coach.post("/contests", json(CUP));
        String path = "/contests/" + made.json().get("id").asLong();
        Answer entered = coach.post(path + "/entries", "{\"lifter\":" + club.lifter.id() + "}");

        Answer moved = coach.put(
                path,
                entered.tag(),
                json(CUP.replace("2026-05-02", "2026-05-09").replace("'until':'2026-05-03',", "")));

        assertThat(moved.status()).as(moved.text()).isEqualTo(200);
        assertThat(moved.json().get("on").asString()).isEqualTo("2026-05-09");
        assertThat(moved.json().has("until")).isFalse();
        assertThat(coach.put(path, entered.tag(), json(CUP)).status()).isEqualTo(412);
        assertThat(jdbc.sql("select count(*) from change_entry where club_id = ? and kind = 'CONTEST'")
                        .param(club.lifter.clubId())
                        .query(Long.class)
                        .single())
                .isGreaterThanOrEqualTo(3);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            quoteCharacter = '"',
            value = {
                "'name':'Cup'|'name':''|name",
                "'ipf-classic'|'none'|rules",
                "'2026-05-03'|'2026-05-01'|until",
                "'2026-05-02'|'2036-05-02'|on",
                "'step':{'kg':2.5}|'step':{'kg':300}|step",
                "'seconds':60|'seconds':6000|seconds"
            })
    void whatIsNoContestSaysInWhichField(String of, String instead, String field) {
        Answer refused = coach.post("/contests", json(CUP.replace(of, instead)));

        assertThat(refused.status()).isEqualTo(422);
        assertThat(refused.errors()).containsOnlyKeys(field);
    }

    @Test
    void attemptsAreNamedAndLifted() {
        Clubs4Tests.TestContest held = clubs.contest(club);
        String attempts = "/contests/" + held.contest() + "/entries/" + held.entry() + "/attempts/squat/";

        assertThat(coach.put(attempts + 1, "*", json("{'load':{'kg':150}}")).status())
                .isEqualTo(200);
        assertThat(coach.put(attempts + 2, "*", json("{'load':{'kg':160}}")).status())
                .as("the first is still to be lifted")
                .isEqualTo(422);
        assertThat(coach.put(attempts + 1, "*", json("{'load':{'kg':151}}")).errors())
                .as("between the steps")
                .containsOnlyKeys("load");
        Answer lifted = coach.put(attempts + 1, "*", json("{'outcome':'MISSED','lights':1}"));
        JsonNode attempt = lifted.json().get("entries").get(0).get("attempts").get(0);
        assertThat(attempt.get("outcome").asString()).isEqualTo("MISSED");
        assertThat(attempt.get("lights").asInt()).isEqualTo(1);
        assertThat(attempt.get("load").get("kg").decimalValue()).isEqualByComparingTo("150");
        assertThat(coach.put(attempts + 1, "*", "{}").status()).isEqualTo(422);
        assertThat(coach.put(attempts + 9, "*", json("{'load':{'kg':150}}")).status())
                .isEqualTo(422);
    }

    @Test
    void eventsAreAnnouncedAndWhatWasDoneInThemIsSaid() {
        Clubs4Tests.TestContest games = clubs.games(club);
        String path = "/contests/" + games.contest();
        Answer announced = coach.post(
                path + "/events",
                json("{'lift':'yoke-walk','name':'Yoke','measure':'TIME','load':{'lb':660},'course':20,'seconds':60}"));
        assertThat(announced.status()).as(announced.text()).isEqualTo(201);
        JsonNode yoke = announced.json().get("events").get(1);
        assertThat(yoke.get("load").get("lb").decimalValue()).isEqualByComparingTo("660");
        assertThat(yoke.get("course").decimalValue()).isEqualByComparingTo("20");

        long entry = announced.json().get("entries").get(0).get("id").asLong();
        String result = path + "/events/" + games.entry() + "/results/" + entry;
        assertThat(coach.put(result, "*", json("{'written':'seven'}")).errors()).containsOnlyKeys("written");
        Answer said = coach.put(result, "*", json("{'written':'7'}"));
        assertThat(said.json()
                        .get("entries")
                        .get(0)
                        .get("results")
                        .get(String.valueOf(games.entry()))
                        .asString())
                .startsWith("7");
        assertThat(coach.put(path + "/events/" + games.entry(), "*", json("{'lift':'log-press','measure':'TIME'}"))
                        .errors())
                .as("counted otherwise")
                .containsOnlyKeys("measure");
    }

    /** Who lifts is known in the club; what is meant for the day is their coach's. */
    @Test
    void whatIsMeantForTheDayIsForTheirCoach() {
        Clubs4Tests.TestContest held = clubs.contest(club);
        Program colleague = Program.of(mvc, jdbc, (dev.yarbel.web.page.Person) colleague());

        JsonNode mine =
                coach.get("/contests/" + held.contest()).json().get("entries").get(0);
        JsonNode theirs = colleague
                .get("/contests/" + held.contest())
                .json()
                .get("entries")
                .get(0);

        assertThat(mine.get("plan").get("limit").get("kg").decimalValue()).isEqualByComparingTo("74");
        assertThat(theirs.has("plan")).isFalse();
        assertThat(theirs.get("name").asString()).isEqualTo(mine.get("name").asString());
    }

    @Autowired
    private dev.yarbel.web.account.Accounts accounts;

    private Object colleague() {
        String name = club.coachName() + "-colleague";
        accounts.addCoach(club.lifter.clubId(), name, "Colleague", "secret");
        return accounts.person(name);
    }

    @Test
    void aGuestIsEnteredAndWithdrawn() {
        Clubs4Tests.TestContest held = clubs.contest(club);
        String path = "/contests/" + held.contest();

        Answer entered = coach.post(
                path + "/entries",
                json("{'name':'A guest','sex':'FEMALE','body':{'lb':150},'lot':4,'expected':{'kg':400}}"));
        assertThat(entered.status()).as(entered.text()).isEqualTo(201);
        JsonNode guest = entered.json()
                .get("entries")
                .valueStream()
                .filter(entry -> !entry.has("lifter"))
                .findFirst()
                .orElseThrow();
        assertThat(guest.get("body").get("lb").decimalValue()).isEqualByComparingTo("150");
        assertThat(coach.post(path + "/entries", "{}").errors()).containsOnlyKeys("name");
        Answer withdrawn =
                coach.send("DELETE", path + "/entries/" + guest.get("id").asLong(), null, Map.of());
        assertThat(withdrawn.json().get("entries")).hasSize(1);
    }
}
