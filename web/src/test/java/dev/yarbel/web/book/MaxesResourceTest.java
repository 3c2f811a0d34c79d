package dev.yarbel.web.book;

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

/** Maxes and numbers by the HTTP interface. */
@YarbelTest
class MaxesResourceTest {

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

    private static final String BENCH =
            "{'lift':'bench-press','kind':'REP_MAX','load':{'lb':225},'reps':5,'on':'2026-03-01','worn':['BELT'],'source':'gym'}";

    @Test
    void aMaxIsSetDownInTheUnitItWasSentInAndMakesAWorkingMax() {
        Answer set = coach.post(lifter + "/maxes", json(BENCH));

        assertThat(set.status()).as(set.text()).isEqualTo(201);
        assertThat(set.json().get("load").get("lb").decimalValue()).isEqualByComparingTo("225");
        assertThat(jdbc.sql("select unit from recorded_max where id = ?")
                        .param(set.json().get("id").asLong())
                        .query(String.class)
                        .single())
                .isEqualTo("LB");
        assertThat(coach.get(lifter + "/lifts/bench-press").json().has("workingMax"))
                .isTrue();
        JsonNode told = coach.get(lifter + "/maxes").json().get("items").get(1);
        assertThat(told).isEqualTo(set.json());
        assertThat(coach.send("DELETE", lifter + "/maxes/" + told.get("id").asLong(), null, Map.of())
                        .status())
                .isEqualTo(204);
        assertThat(coach.get(lifter + "/maxes").json().get("items")).hasSize(1);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            quoteCharacter = '"',
            value = {
                "'bench-press'|'bnech'|lift",
                "'reps':5|'reps':1|reps",
                "'reps':5|'reps':21|reps",
                "'REP_MAX'|'TESTED'|reps",
                "{'lb':225}|{'kg':0}|load",
                "'2026-03-01'|'2026-03-11'|on",
                "'2026-03-01'|'1926-03-01'|on"
            })
    void whatIsNoMaxSaysInWhichField(String of, String instead, String field) {
        Answer refused = coach.post(lifter + "/maxes", json(BENCH.replace(of, instead)));

        assertThat(refused.status()).isEqualTo(422);
        assertThat(refused.errors()).containsOnlyKeys(field);
    }

    @Test
    void poundsAmongKilogramsAreAskedAbout() {
        String squat = "{'lift':'squat','kind':'TESTED','load':{'kg':441},'on':'2026-03-01'%s}";

        assertThat(coach.post(lifter + "/maxes", json(squat.formatted(""))).errors())
                .containsOnlyKeys("load");
        assertThat(coach.post(lifter + "/maxes", json(squat.formatted(",'confirmed':true")))
                        .status())
                .isEqualTo(201);
    }

    @Test
    void aWorkingMaxIsMovedByWhoeverSawIt() {
        Answer seen = coach.get(lifter + "/lifts/squat");
        assertThat(seen.json().get("workingMax").get("kg").decimalValue()).isEqualByComparingTo("200");

        Answer moved = coach.put(lifter + "/lifts/squat/working-max", seen.tag(), json("{'load':{'kg':195}}"));

        assertThat(moved.json().get("workingMax").get("kg").decimalValue()).isEqualByComparingTo("195");
        assertThat(club.workingMax().toString()).contains("195");
        assertThat(coach.put(lifter + "/lifts/squat/working-max", seen.tag(), json("{'load':{'kg':190}}"))
                        .status())
                .isEqualTo(412);
        assertThat(coach.get(lifter + "/lifts/juggling").status()).isEqualTo(404);
    }

    /** A gym without plates takes nothing off what is believed: a max is no load. */
    @Test
    void anEstimateIsToldWithItsRange() {
        JsonNode squat = coach.get(lifter + "/lifts").json().get("items").get(0);

        JsonNode estimate = squat.get("estimate");
        assertThat(estimate.get("low").get("kg").decimalValue())
                .isLessThan(estimate.get("max").get("kg").decimalValue());
        assertThat(estimate.get("high").get("kg").decimalValue())
                .isGreaterThan(estimate.get("max").get("kg").decimalValue());
    }
}
