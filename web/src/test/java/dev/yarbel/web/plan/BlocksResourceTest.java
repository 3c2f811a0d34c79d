package dev.yarbel.web.plan;

import static org.assertj.core.api.Assertions.assertThat;

import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.MassUnit;
import dev.yarbel.core.prescription.Dose;
import dev.yarbel.web.Clubs4Tests;
import dev.yarbel.web.Clubs4Tests.TestClub;
import dev.yarbel.web.GoldenBlocks;
import dev.yarbel.web.Program;
import dev.yarbel.web.Program.Answer;
import dev.yarbel.web.YarbelTest;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.test.web.servlet.MockMvc;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Blocks by the HTTP interface: written as on the sheet, with what the sheet refuses. */
@YarbelTest
class BlocksResourceTest {

    @Autowired
    private MockMvc mvc;

    @Autowired
    private Clubs4Tests clubs;

    @Autowired
    private JdbcClient jdbc;

    private TestClub club;
    private Program coach;
    private String blocks;

    @BeforeEach
    void gather() {
        club = clubs.club();
        coach = Program.of(mvc, jdbc, club.coach);
        blocks = "/lifters/" + club.lifter.id() + "/blocks";
    }

    private static String json(String text) {
        return text.replace('\'', '"');
    }

    private String block() {
        return blocks + "/" + club.plan().blockId();
    }

    private Answer write(String doses) {
        return coach.put(block() + "/doses", coach.get(block()).tag(), json("{'doses':[" + doses + "]}"));
    }

    private long slot(int at) {
        return club.plan().block().days().get(0).slots().get(at).id().number();
    }

    @Test
    void aBlockIsToldAsItIsPlanned() {
        JsonNode told = coach.get(block()).json();

        assertThat(told.get("name").asString()).isEqualTo("Block");
        assertThat(told.get("weeks")).hasSize(3);
        assertThat(told.get("days")
                        .get(0)
                        .get("slots")
                        .get(2)
                        .get("doses")
                        .valueStream()
                        .map(JsonNode::asString))
                .containsExactly("3x5 75%", "3x5 75%", "3x5 77.5%");
        assertThat(coach.get(blocks).json().get("items").get(0).get("id").asLong())
                .isEqualTo(club.plan().blockId());
    }

    @Test
    void whatADoseComesToIsTheLoadOfTheSheet() {
        List<JsonNode> loads = new ArrayList<>();
        coach.get(block() + "/loads").json().get("items").forEach(loads::add);

        JsonNode last = loads.get(loads.size() - 1);
        assertThat(last.get("dose").asString()).isEqualTo("3x5 77.5%");
        assertThat(last.get("week").asInt()).isEqualTo(3);
        // 77.5 % of a working max of 200 kg
        assertThat(last.get("load").get("kg").decimalValue()).isEqualByComparingTo("155");
    }

    @Test
    void dosesAreWrittenAndStandInTheLedger() {
        Answer written = write("{'slot':" + slot(2) + ",'week':3,'dose':'4x4 80%'}");

        assertThat(written.status()).as(written.text()).isEqualTo(200);
        assertThat(club.plan().block().days().get(0).slots().get(2).dose(2)).contains(Dose.parse("4x4 80%"));
        assertThat(jdbc.sql("select after from change_entry where lifter_id = ? order by id desc limit 1")
                        .param(club.lifter.id())
                        .query(String.class)
                        .single())
                .isEqualTo("4x4 80%");
    }

    @ParameterizedTest
    @CsvSource({
        "3, '5 by five', doses[1].dose",
        "3, '5x5 80% of frnt-squat', doses[1].dose",
        "3, '5x5 20', doses[1].dose",
        "4, '5x5 80%', doses[1].week",
        "0, '5x5 80%', doses[1].week"
    })
    void oneDoseThatCannotBeKeptKeepsAllFromBeingKept(int week, String dose, String field) {
        Answer refused = write("{'slot':" + slot(2) + ",'week':3,'dose':'4x4 80%'},{'slot':" + slot(0) + ",'week':"
                + week + ",'dose':'" + dose + "'}");

        assertThat(refused.status()).isEqualTo(422);
        assertThat(refused.errors()).containsOnlyKeys(field);
        assertThat(refused.errors().get(field)).isNotBlank().doesNotContain("{");
        assertThat(club.plan().block().days().get(0).slots().get(2).dose(2)).contains(Dose.parse("3x5 77.5%"));
    }

    @Test
    void whatWasLiftedStays() {
        long day = club.plan().block().days().get(0).id().number();
        String days = "/lifters/" + club.lifter.id() + "/days/" + day + "/2";
        coach.post(days + "/sets", json("{'task':'A.w1','load':{'kg':20},'reps':5,'effort':'easy','confirmed':true}"));
        coach.post(days + "/finish", json("{'confirmed':true}"));

        Answer refused = write("{'slot':" + slot(2) + ",'week':2,'dose':'4x4 80%'}");

        assertThat(refused.status()).isEqualTo(422);
        assertThat(refused.errors()).containsOnlyKeys("doses[0].dose");
    }

    /** A caution that no program passes by: a gate is opened on the sheet, in a coach's own name. */
    @Test
    void whatStandsBehindAGateIsRefusedWithItsReasons() {
        Answer refused = write("{'slot':" + slot(0) + ",'week':3,'dose':'3x1 105% reverse 20kg'}");

        assertThat(refused.status()).isEqualTo(422);
        assertThat(refused.errors().get("doses[0].dose"))
                .startsWith("Stop.")
                .contains("reverse bands")
                .contains("spotter");
    }

    @Test
    void someoneElsesSlotIsNone() {
        TestClub other = clubs.club();
        long foreign = other.plan().block().days().get(0).slots().get(0).id().number();

        assertThat(write("{'slot':" + foreign + ",'week':3,'dose':'5x5 80%'}").status())
                .isEqualTo(404);
    }

    @Test
    void weeksDaysAndSlotsChangeAsBesideTheSheet() {
        String tag = coach.get(block()).tag();
        Answer copied = coach.send(
                "POST", block() + "/changes", json("{'kind':'WEEK_COPY','week':3}"), Map.of("If-Match", tag));
        assertThat(copied.status()).as(copied.text()).isEqualTo(200);
        assertThat(copied.json().get("weeks")).hasSize(4);

        Answer added = coach.send(
                "POST",
                block() + "/changes",
                json("{'kind':'SLOT_ADD','day':"
                        + club.plan().block().days().get(0).id() + ",'lift':'front-squat'}"),
                Map.of("If-Match", copied.tag()));
        assertThat(added.json()
                        .get("days")
                        .get(0)
                        .get("slots")
                        .get(3)
                        .get("lift")
                        .asString())
                .isEqualTo("front-squat");

        assertThat(coach.send(
                                "POST",
                                block() + "/changes",
                                json("{'kind':'WEEK_COPY','week':3}"),
                                Map.of("If-Match", tag))
                        .status())
                .as("of what is no more")
                .isEqualTo(412);
        assertThat(coach.send(
                                "POST",
                                block() + "/changes",
                                json("{'kind':'SLOT_REMOVE','slot':1}"),
                                Map.of("If-Match", added.tag()))
                        .status())
                .isEqualTo(409);
    }

    private static final String NEXT =
            "{'name':'Next','start':'2026-06-01','contest':'2026-06-20','weeks':[{'phase':'STRENGTH'},"
                    + "{'phase':'PEAK','deload':true}],'days':[{'name':'One','offset':0,'slots':[%s]}]%s}";

    private Answer begin(String slots, String more) {
        return coach.post(blocks, json(NEXT.formatted(slots, more)));
    }

    @Test
    void aBlockIsBegunAndToldAsItWasSent() {
        Answer begun = begin(
                "{'letter':'a','lift':'squat','doses':['5x5 75%',''],'reason':'base'},"
                        + "{'letter':'B','lift':'Bench press','doses':['1 @8 then 3x5 -10%','3x3 @7']}",
                "");

        assertThat(begun.status()).as(begun.text()).isEqualTo(201);
        JsonNode told = begun.json();
        assertThat(begun.response().getHeader("Location"))
                .isEqualTo("/api/v1" + blocks + "/" + told.get("id").asLong());
        assertThat(told.get("contest").asString()).isEqualTo("2026-06-20");
        assertThat(told.get("weeks").get(1).get("deload").asBoolean()).isTrue();
        JsonNode slots = told.get("days").get(0).get("slots");
        assertThat(slots.get(0).get("letter").asString()).isEqualTo("A");
        assertThat(slots.get(0).get("doses").get(1).asString()).isEmpty();
        assertThat(slots.get(1).get("lift").asString()).isEqualTo("bench-press");
        assertThat(slots.get(1).get("doses").get(0).asString()).isEqualTo("1 @8 then 3x5 -10%");
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "{'letter':'A','lift':'sqaut','doses':['','']}           | days[0].slots[0].lift",
                "{'letter':'A','lift':'squat','doses':['']}              | days[0].slots[0].doses",
                "{'letter':'A','lift':'squat','doses':['','5 by five']}  | days[0].slots[0].doses[1]",
                "{'letter':'AB','lift':'squat','doses':['','']}          | days[0].slots[0].letter",
                "{'letter':'A','lift':'squat','doses':['','']},{'letter':'a','lift':'squat','doses':['','']} | days[0].slots[1].letter",
                "{'lift':'squat','doses':['','']}                        | days[0].slots[0].letter"
            })
    void aBlockThatCannotBeKeptSaysWhere(String slots, String field) {
        Answer refused = begin(slots, "");

        assertThat(refused.status()).isEqualTo(422);
        assertThat(refused.errors()).containsOnlyKeys(field);
        assertThat(coach.get(blocks).json().get("items")).hasSize(1);
    }

    @Test
    void aBlockOnTheSameDaysIsAskedAbout() {
        String same = NEXT.replace("2026-06-01", club.plan().today().toString());
        String slots = "{'letter':'A','lift':'squat','doses':['5x5 75%','']}";

        Answer asked = coach.post(blocks, json(same.formatted(slots, "")));
        Answer meant = coach.post(blocks, json(same.formatted(slots, ",'confirmed':true")));

        assertThat(asked.status()).isEqualTo(422);
        assertThat(asked.errors()).containsOnlyKeys("start");
        assertThat(meant.status()).isEqualTo(201);
    }

    @Test
    void aBlockIsTakenAway() {
        long id = begin("{'letter':'A','lift':'squat','doses':['5x5 75%','']}", "")
                .json()
                .get("id")
                .asLong();

        assertThat(coach.send("DELETE", blocks + "/" + id, null, Map.of()).status())
                .isEqualTo(204);
        assertThat(coach.get(blocks + "/" + id).status()).isEqualTo(404);
    }

    /** Whatever a school draws up goes in as a whole and comes out as it went in. */
    @ParameterizedTest
    @MethodSource("dev.yarbel.web.GoldenBlocks#all")
    void aBlockOfEverySchoolGoesInAndComesOutAgain(GoldenBlocks.Drawn drawn) {
        Answer begun = coach.post(
                blocks,
                JsonMapper.shared()
                        .writeValueAsString(Map.of(
                                "name",
                                "School",
                                "start",
                                "2027-01-04",
                                "weeks",
                                Collections.nCopies(drawn.weeks(), Map.of()),
                                "days",
                                drawn.days())));

        assertThat(begun.status()).as(begun.text()).isEqualTo(201);
        List<List<List<String>>> told = begun.json()
                .get("days")
                .valueStream()
                .map(day -> day.get("slots")
                        .valueStream()
                        .map(slot -> slot.get("doses")
                                .valueStream()
                                .map(JsonNode::asString)
                                .toList())
                        .toList())
                .toList();
        assertThat(told)
                .isEqualTo(drawn.days().stream()
                        .map(day -> day.slots().stream()
                                .map(GoldenBlocks.Slot::doses)
                                .toList())
                        .toList());
    }

    @Test
    void aLoadIsLoadable() {
        coach.get(block() + "/loads").json().get("items").forEach(load -> {
            Mass mass = Mass.of(load.get("load").get("kg").decimalValue(), MassUnit.KG);
            assertThat(mass.in(MassUnit.KG).remainder(new BigDecimal("2.5"))).isEqualByComparingTo("0");
        });
    }
}
