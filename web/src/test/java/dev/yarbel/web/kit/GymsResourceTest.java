package dev.yarbel.web.kit;

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

/** Kit by the HTTP interface: every kind of piece goes in and comes out, and what is no piece says in which field. */
@YarbelTest
class GymsResourceTest {

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

    private String gym() {
        return "/gyms/" + club.gym;
    }

    private Answer add(String piece) {
        return coach.post(gym() + "/pieces", json(piece));
    }

    @Test
    void aGymIsSetUpChangedAndClosed() {
        Answer made = coach.post("/gyms", json("{'name':'Loft','unit':'LB','collars':{'lb':5}}"));
        assertThat(made.status()).isEqualTo(201);
        String path = "/gyms/" + made.json().get("id").asLong();
        assertThat(made.json().get("collars").get("lb").decimalValue()).isEqualByComparingTo("5");

        Answer changed = coach.put(path, made.tag(), json("{'name':'Loft two','unit':'LB'}"));
        assertThat(changed.json().get("name").asString()).isEqualTo("Loft two");
        assertThat(coach.send("DELETE", path, null, Map.of()).status()).isEqualTo(204);
        assertThat(coach.get(path).status()).isEqualTo(404);
        assertThat(coach.send("DELETE", gym(), null, Map.of()).status())
                .as("somebody trains there")
                .isEqualTo(422);
    }

    /** What is told of a piece may be sent again as it is. */
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "{'shelf':'bars','fields':{'implement':'BARBELL','name':'Deadlift bar','mass':'20 kg','made-for':'deadlift'}}",
                "{'shelf':'plates','fields':{'mass':'0.5 kg','count':'4','calibrated':'true'}}",
                "{'shelf':'pieces','fields':{'implement':'DUMBBELL','mass':'22.5 kg'}}",
                "{'shelf':'machines','fields':{'name':'Cable','made-for':'lat-pulldown','least':'5 kg','step':'5 kg','most':'100 kg'}}",
                "{'shelf':'chains','fields':{'name':'Chain','per-metre':'4 kg','length':'150 cm','count':'2'}}",
                "{'shelf':'bands','fields':{'name':'Green','length':'60 cm','long-length':'120 cm','pull':'10 kg','pull-long':'35 kg',"
                        + "'make':'x','bought':'2024','other-pull':'11 kg','other-pull-long':'34 kg'}}"
            })
    void everyKindOfPieceGoesInAndComesOut(String piece) {
        Answer added = add(piece);
        assertThat(added.status()).as(added.text()).isEqualTo(201);
        JsonNode told = added.json()
                .get("pieces")
                .valueStream()
                .reduce((one, next) -> next)
                .orElseThrow();
        assertThat(told.get("shelf").asString())
                .isEqualTo(json(piece).replaceFirst("(?s).*?\"shelf\":\"(\\w+)\".*", "$1"));

        Answer again = coach.put(
                gym() + "/pieces/" + told.get("id").asLong(),
                added.tag(),
                "{\"shelf\":" + told.get("shelf") + ",\"fields\":" + told.get("fields") + ",\"confirmed\":true}");

        assertThat(again.status()).as(again.text()).isEqualTo(200);
        assertThat(again.json()).isEqualTo(added.json());
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "{'shelf':'attic','fields':{}}                                          | shelf",
                "{'shelf':'plates','fields':{'colour':'red'}}                           | fields.colour",
                "{'shelf':'plates','fields':{'mass':'heavy','count':'2'}}               | fields.mass",
                "{'shelf':'plates','fields':{'mass':'20 kg','count':'-2'}}              | fields.count",
                "{'shelf':'plates','fields':{'count':'2'}}                              | fields.mass",
                "{'shelf':'bars','fields':{'implement':'CANOE','name':'x','mass':'20'}} | fields.implement"
            })
    void whatIsNoPieceSaysInWhichField(String piece, String field) {
        String before = coach.get(gym()).text();

        Answer refused = add(piece);

        assertThat(refused.status()).isEqualTo(422);
        assertThat(refused.errors()).containsOnlyKeys(field);
        assertThat(coach.get(gym()).text()).isEqualTo(before);
    }

    @Test
    void moreThanAnybodyHasIsAskedAboutAndTakenWhereItIsMeant() {
        String many = "{'shelf':'plates','fields':{'mass':'20 kg','count':'150'}%s}";

        Answer asked = add(many.formatted(""));
        Answer meant = add(many.formatted(",'confirmed':true"));

        assertThat(asked.status()).isEqualTo(422);
        assertThat(meant.status()).isEqualTo(201);
    }

    @Test
    void aPieceStandsInItsGymAndOnItsShelf() {
        long piece = coach.get(gym()).json().get("pieces").get(0).get("id").asLong();
        long other = coach.post("/gyms", json("{'name':'Loft','unit':'KG'}"))
                .json()
                .get("id")
                .asLong();
        String plate = json("{'shelf':'plates','fields':{'mass':'20 kg','count':'4'}}");

        assertThat(coach.put("/gyms/" + other + "/pieces/" + piece, "*", plate).status())
                .isEqualTo(404);
        assertThat(coach.put(gym() + "/pieces/" + piece, "*", plate).errors()).containsOnlyKeys("shelf");
        assertThat(coach.send("DELETE", gym() + "/pieces/" + piece, null, Map.of())
                        .json()
                        .get("pieces")
                        .valueStream()
                        .noneMatch(one -> one.get("id").asLong() == piece))
                .isTrue();
    }
}
