package dev.yarbel.web.exchange;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;

import com.networknt.schema.InputFormat;
import com.networknt.schema.JsonSchema;
import com.networknt.schema.JsonSchemaFactory;
import com.networknt.schema.SpecVersion;
import dev.yarbel.web.Clubs4Tests;
import dev.yarbel.web.Clubs4Tests.TestClub;
import dev.yarbel.web.FullLifter;
import dev.yarbel.web.YarbelTest;
import dev.yarbel.web.kept.Kept;
import dev.yarbel.web.kept.LifterParts;
import java.io.ByteArrayInputStream;
import java.math.BigDecimal;
import java.nio.charset.StandardCharsets;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.core.io.ClassPathResource;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.mock.web.MockHttpServletResponse;
import org.springframework.test.web.servlet.MockMvc;
import org.springframework.test.web.servlet.request.RequestPostProcessor;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** A lifter's data as one file, held against its schema by a library that is not ours. */
@YarbelTest
class LifterFileTest {

    /** Worked out from the rest, or the machine's own: nothing in them is told by anybody. */
    private static final Set<String> NOBODY_TOLD = Set.of(
            "book_version",
            "clip",
            "clip_track",
            "strength_after",
            "speed_sensor",
            "session_feed",
            "import_file",
            "invite",
            "account");

    @Autowired
    private MockMvc mvc;

    @Autowired
    private Clubs4Tests clubs;

    @Autowired
    private List<LifterParts> rooms;

    @Autowired
    private JsonMapper json;

    @Autowired
    private JdbcClient jdbc;

    private TestClub club;

    @BeforeEach
    void gather() {
        club = clubs.club();
    }

    private MockHttpServletResponse ask(RequestPostProcessor who, String address) throws Exception {
        return mvc.perform(get(address).with(who)).andReturn().getResponse();
    }

    private String file() throws Exception {
        return ask(club.asLifter(), "/exchange/lifter.json").getContentAsString(StandardCharsets.UTF_8);
    }

    @Test
    void aFullLifterAndAnEmptyOneAreAsTheSchemaSays() throws Exception {
        JsonSchema schema = JsonSchemaFactory.getInstance(SpecVersion.VersionFlag.V202012)
                .getSchema(new ClassPathResource("format/lifter-1.schema.json").getInputStream());
        assertThat(schema.validate(file(), InputFormat.JSON)).isEmpty();
        new FullLifter(mvc, clubs, jdbc, club).fill();
        String full = file();
        assertThat(schema.validate(full, InputFormat.JSON)).isEmpty();
        Set<String> empty = new TreeSet<>();
        json.readTree(full).properties().forEach(part -> {
            if (part.getValue().isArray() && part.getValue().isEmpty()) {
                empty.add(part.getKey());
            }
        });
        // what the pages fill only in a special setting
        assertThat(empty).isEqualTo(Set.of("gymDays", "lifts", "setUps", "testSets"));
        // a schema that takes everything would prove nothing
        assertThat(schema.validate(full.replaceFirst("\"reps\": 1", "\"reps\": \"one\""), InputFormat.JSON))
                .isNotEmpty();
        assertThat(schema.validate(full.replaceFirst("\"signsInAs\"", "\"password\""), InputFormat.JSON))
                .isNotEmpty();
    }

    /** Whatever is kept under a lifter's number is in it, and whatever comes to be kept later. */
    @Test
    void nothingThatIsKeptOfALifterIsLeftOut() {
        String all = String.join(
                " ",
                rooms.stream()
                        .flatMap(room -> room.parts().stream())
                        .map(Kept::give)
                        .toList());
        List<String> kept = jdbc.sql("""
                select table_name from information_schema.columns
                where column_name = 'lifter_id' and table_schema = 'yarbel' order by 1""").query(String.class).list();
        assertThat(kept).hasSizeGreaterThan(20).allSatisfy(table -> assertThat(
                        NOBODY_TOLD.contains(table) || all.matches("(?s).*(from|join) " + table + "\\b.*"))
                .as(table)
                .isTrue());
    }

    @Test
    void figuresAndTextsAreThoseThatAreKept() throws Exception {
        new FullLifter(mvc, clubs, jdbc, club).fill();
        JsonNode file = json.readTree(file());
        assertThat(file.at("/profile/0/name").asString()).isEqualTo(club.lifter.name());
        assertThat(file.at("/notes/0/text").asString()).isEqualTo("\"Quoted\" \\ and\nüber zwei Zeilen");
        // 452 lb by the pound of 0.45359237 kg
        BigDecimal max = new BigDecimal("452").multiply(new BigDecimal("0.45359237"));
        assertThat(file.at("/maxes").valueStream().map(one -> one.at("/load").decimalValue()))
                .anySatisfy(load -> assertThat(load).isEqualByComparingTo(max));
        assertThat(file.at("/sessions/0/sets/0/load").decimalValue()).isEqualByComparingTo("180.5");
        assertThat(file.at("/blocks/0/days/0/slots/2/doses/2/dose").asString()).isEqualTo("3x5 77.5%");
        assertThat(file.at("/sessions/0/planDay").asLong())
                .isEqualTo(file.at("/blocks/0/days/0/planDay").asLong());
    }

    @Test
    void anArchiveHasItAllWithItsSchemaAndTables() throws Exception {
        new FullLifter(mvc, clubs, jdbc, club).fill();
        MockHttpServletResponse answer = ask(club.asLifter(), "/exchange/lifter.zip");
        assertThat(answer.getContentType()).isEqualTo("application/zip");
        Map<String, String> entries = new LinkedHashMap<>();
        try (ZipInputStream zip = new ZipInputStream(new ByteArrayInputStream(answer.getContentAsByteArray()))) {
            for (ZipEntry entry = zip.getNextEntry(); entry != null; entry = zip.getNextEntry()) {
                entries.put(entry.getName(), new String(zip.readAllBytes(), StandardCharsets.UTF_8));
            }
        }
        assertThat(entries.keySet())
                .containsExactly(
                        "lifter.json",
                        "lifter-1.schema.json",
                        "log.csv",
                        "maxes.csv",
                        "estimates.csv",
                        "contests.csv",
                        "measurements.csv",
                        "lifters.csv");
        assertThat(json.readTree(entries.get("lifter.json")).at("/signsInAs").asString())
                .isEqualTo(club.lifterName());
        assertThat(entries.get("log.csv")).contains("180.5");
    }

    @Test
    void itIsForTheLifterAndTheirCoach() throws Exception {
        String address = "/exchange/lifter.json?lifter=" + club.lifter.id();
        assertThat(ask(club.asCoach(), address).getStatus()).isEqualTo(200);
        assertThat(ask(club.asLifter(), address).getStatus()).isEqualTo(200);
        assertThat(ask(club.asOtherLifter(), address).getStatus()).isEqualTo(404);
        assertThat(ask(clubs.club().asCoach(), address).getStatus()).isEqualTo(404);
        assertThat(ask(club.asCoach(), "/exchange/lifter.json").getStatus()).isEqualTo(404);
    }
}
