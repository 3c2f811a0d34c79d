package dev.yarbel.web.exchange;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.multipart;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;

import com.networknt.schema.InputFormat;
import com.networknt.schema.JsonSchema;
import com.networknt.schema.JsonSchemaFactory;
import com.networknt.schema.SpecVersion;
import dev.yarbel.web.Clubs4Tests;
import dev.yarbel.web.Clubs4Tests.TestClub;
import dev.yarbel.web.FullLifter;
import dev.yarbel.web.YarbelTest;
import dev.yarbel.web.kept.AllKept;
import dev.yarbel.web.kept.Field;
import dev.yarbel.web.kept.Kept;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.core.io.ClassPathResource;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.mock.web.MockHttpServletResponse;
import org.springframework.mock.web.MockMultipartFile;
import org.springframework.test.web.servlet.MockMvc;
import org.springframework.test.web.servlet.request.RequestPostProcessor;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** What leaves as a file comes back as it was: a lifter into another club, a club into an empty one. */
@YarbelTest
class WholeFilesTest {

    @Autowired
    private MockMvc mvc;

    @Autowired
    private Clubs4Tests clubs;

    @Autowired
    private JdbcClient jdbc;

    @Autowired
    private JsonMapper json;

    @Autowired
    private AllKept kept;

    @Autowired
    private FileStore files;

    private TestClub from;
    private TestClub to;

    @BeforeEach
    void gather() {
        from = clubs.club();
        to = clubs.club();
    }

    // ---- what a browser does

    private MockHttpServletResponse ask(RequestPostProcessor who, String address) throws Exception {
        return mvc.perform(get(address).with(who)).andReturn().getResponse();
    }

    private String text(RequestPostProcessor who, String address) throws Exception {
        MockHttpServletResponse answer = ask(who, address);
        assertThat(answer.getStatus()).as(address).isEqualTo(200);
        return answer.getContentAsString(StandardCharsets.UTF_8);
    }

    private String bring(RequestPostProcessor who, byte[] file) throws Exception {
        MockHttpServletResponse answer = mvc.perform(multipart("/exchange/whole")
                        .file(new MockMultipartFile("file", "lifter.json", "application/json", file))
                        .with(who)
                        .with(csrf()))
                .andReturn()
                .getResponse();
        assertThat(answer.getStatus()).isEqualTo(302);
        return answer.getRedirectedUrl();
    }

    private String bring(RequestPostProcessor who, String file) throws Exception {
        return bring(who, file.getBytes(StandardCharsets.UTF_8));
    }

    private Document page(RequestPostProcessor who, String address) throws Exception {
        return Jsoup.parse(text(who, address));
    }

    private void press(RequestPostProcessor who, String address) throws Exception {
        assertThat(mvc.perform(post(address).with(who).with(csrf()))
                        .andReturn()
                        .getResponse()
                        .getStatus())
                .isEqualTo(302);
    }

    private Document take(RequestPostProcessor who, String file) throws Exception {
        String address = bring(who, file);
        Document look = page(who, address);
        assertThat(look.select("form[action$=/take]")).as(look.text()).hasSize(1);
        press(who, address + "/take");
        return page(who, address);
    }

    private String lifterFile(TestClub club, long lifter) throws Exception {
        return text(club.asCoach(), "/exchange/lifter.json?lifter=" + lifter);
    }

    private long newest(TestClub club) {
        return jdbc.sql("select max(id) from lifter where club_id = ?")
                .param(club.lifter.clubId())
                .query(Long.class)
                .single();
    }

    private ObjectNode read(String file) {
        return (ObjectNode) json.readTree(file);
    }

    @Test
    void aLifterComesIntoAnotherClubAsTheyWere() throws Exception {
        new FullLifter(mvc, clubs, jdbc, from).fill();
        jdbc.sql("update lifter set autopilot = 'YES' where id = ?")
                .param(from.lifter.id())
                .update();
        String file = lifterFile(from, from.lifter.id());
        Document done = take(to.asCoach(), file);
        assertThat(done.select(".result").text()).isEqualTo("1 lifter came in with it.");
        long came = newest(to);
        ObjectNode before = SameThings.lifter(read(file));
        // a call about a contest is its club's
        ArrayNode calls = (ArrayNode) before.path("calls");
        assertThat(calls).isNotEmpty();
        for (int i = calls.size() - 1; i >= 0; i--) {
            if (!calls.get(i).has("session")) {
                calls.remove(i);
            }
        }
        ObjectNode after = SameThings.lifter(read(lifterFile(to, came)));
        before.properties()
                .forEach(part ->
                        assertThat(after.get(part.getKey())).as(part.getKey()).isEqualTo(part.getValue()));
        assertThat(after.properties()).hasSameSizeAs(before.properties());
        // who brings somebody coaches them, decides on their own, and what is believed is worked out
        assertThat(jdbc.sql("select coach_id from lifter where id = ?")
                        .param(came)
                        .query(Long.class)
                        .single())
                .isEqualTo(to.coach.accountId());
        assertThat(jdbc.sql("select count(*) from lifter where id = ? and autopilot is null")
                        .param(came)
                        .query(Integer.class)
                        .single())
                .isOne();
        for (String room : List.of("/plan", "/floor", "/book", "/profile", "/week", "/book/decisions")) {
            assertThat(ask(to.asCoach(), "/lifters/" + came + room).getStatus())
                    .as(room)
                    .isIn(200, 302);
        }
    }

    /** Versions that knew of no clips said nothing of where a speed came from. */
    @Test
    void aFileOfAnEarlierVersionComesIn() throws Exception {
        new FullLifter(mvc, clubs, jdbc, from).fill();
        ObjectNode file = read(lifterFile(from, from.lifter.id()));
        assertThat(file.findParents("speedFilmed")).isNotEmpty();
        file.findParents("speedFilmed").forEach(set -> ((ObjectNode) set).remove("speedFilmed"));

        Document done = take(to.asCoach(), file.toString());

        assertThat(done.select(".result").text()).isEqualTo("1 lifter came in with it.");
        assertThat(sets(newest(to))).isEqualTo(sets(from.lifter.id())).isPositive();
    }

    private long sets(long lifter) {
        return jdbc.sql(
                        "select count(*) from logged_set l join training_session s on s.id = l.session_id where s.lifter_id = ?")
                .param(lifter)
                .query(Long.class)
                .single();
    }

    /** Everything that is kept of a club, in one club. */
    private void fillTheClub() throws Exception {
        new FullLifter(mvc, clubs, jdbc, from).fill();
        clubs.gamesOfTwo(from);
        long club = from.lifter.clubId();
        long coach = from.coach.accountId();
        jdbc.sql("""
                        insert into own_variation (club_id, lift, parent, ratio, implement, pins, measures, trains, loads)
                        values (?, 'harbour-squat', 'squat', 80, 'BARBELL', true, '{RACK_HEIGHT}', '{QUADS}', '{KNEE}')""").param(club).update();
        jdbc.sql("insert into recovery_figure (club_id, lift, figure) values (?, 'deadlift', 120)")
                .param(club)
                .update();
        jdbc.sql("insert into rule_setting (club_id, account_id, rule, switched_on, threshold, lefts)"
                        + " values (?, ?, 'missed-reps', false, 7.5, 2)")
                .params(club, coach)
                .update();
        jdbc.sql("insert into import_name (club_id, name, lift) values (?, 'Kniebeuge', 'squat'), (?, 'Zorbing', null)")
                .params(club, club)
                .update();
        jdbc.sql("update gym set collars = 5 where club_id = ?").param(club).update();
        from.plan();
        new FullLifter(mvc, clubs, jdbc, from)
                .asCoach("/plan/templates", Map.of("name", "Three weeks", "kind", "BLOCK"));
        clubs.grow(from, 2, 4, 2);
    }

    @Test
    void aClubComesIntoAnEmptyOneAsItWas() throws Exception {
        fillTheClub();
        RequestPostProcessor head = clubs.ofEmptyClub();
        String file = text(from.asHeadCoach(), "/exchange/club.json");
        Document done = take(head, file);
        assertThat(done.select(".result").text()).isEqualTo("3 lifters came in with it.");
        ObjectNode before = read(file);
        Set<String> empty = new TreeSet<>();
        before.properties().forEach(part -> {
            if (part.getValue().isArray() && part.getValue().isEmpty()) {
                empty.add(part.getKey());
            }
        });
        assertThat(empty).isEmpty();
        SameThings.club(before);
        String again = text(head, "/exchange/club.json");
        ObjectNode after = read(again);
        SameThings.club(after);
        // whose settings they are is who has that name; the other club has nobody of it
        before.remove("rules");
        assertThat(after.remove("rules")).isEmpty();
        before.properties()
                .forEach(part ->
                        assertThat(after.get(part.getKey())).as(part.getKey()).isEqualTo(part.getValue()));
        // the same file twice adds nothing
        Document second = page(head, bring(head, file));
        assertThat(second.text()).contains("All of it is here already.");
        assertThat(second.select("form[action$=/take]")).isEmpty();
    }

    // ---- what does not come in

    private String small() throws Exception {
        new FullLifter(mvc, clubs, jdbc, from).fill();
        return lifterFile(from, from.lifter.id());
    }

    /** A slip, a wish or a bad intent in the file: what is wrong is said with its place, and nothing comes in. */
    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
            "version": 1                     | "version": 2                      | version
            "signsInAs"                      | "password"                        | signsInAs
            "reps": 1                        | "reps": "one"                     | sessions[0].sets[0].reps
            "effort": "8"                    | "effort": "quite hard"            | sessions[0].sets[0].effort
            "lift": "squat"                  | "lift": "zorbing"                 | zorbing
            "lift": "squat"                  | "lift": "Back Squat!"             | Back Squat!
            "dose": "1 @8"                   | "dose": "heavy singles"           | blocks[0].days[0].slots[0].doses[0].dose
            "day": "2026-03-01"              | "day": "2026-02-30"               | maxes[1].day
            "kind": "CONTEST"                | "kind": "REMEMBERED"              | maxes[1].kind
            "planWeek": 1                    | "planWeek": 1, "planDay": 7       | planDay
            "subject": ["BODY_MASS"]         | "subject": ["BODY_MASS"], "_id": 7 | _id
            """)
    void whatIsWrongIsSaidWithItsPlace(String was, String is, String place) throws Exception {
        String file = small();
        String changed = was.startsWith("\"planWeek\"")
                ? file.replaceFirst("\"planDay\": [0-9]+", "\"planDay\": 999999999")
                : file.replace(was, is);
        assertThat(changed).isNotEqualTo(file);
        String address = bring(to.asCoach(), changed);
        Document look = page(to.asCoach(), address);
        assertThat(look.select(".sampleread").text()).contains(place);
        assertThat(look.select("form[action$=/take]")).isEmpty();
        // also for whoever presses where there is nothing to press
        long before = newest(to);
        press(to.asCoach(), address + "/take");
        assertThat(newest(to)).isEqualTo(before);
        assertThat(page(to.asCoach(), address).select("[role=alert]").text()).contains("Look again");
    }

    /** What reads by itself and breaks a page, or a rule of the database, takes nothing along. */
    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
            "reps": 1                | "reps": 1000
            "letter": "B"            | "letter": "A"
            "weeks": 3               | "weeks": 300
            "birthYear": 1990        | "birthYear": 20
            "subject": ["BODY_MASS"] | "subject": ["SOUL_MASS"]
            """)
    void whatCannotBeKeptTakesNothingAlong(String was, String is) throws Exception {
        jdbc.sql("update lifter set birth_year = 1990 where id = ?")
                .param(from.lifter.id())
                .update();
        String file = small();
        String changed = file.replace(was, is);
        assertThat(changed).isNotEqualTo(file);
        String address = bring(to.asCoach(), changed);
        long before = newest(to);
        press(to.asCoach(), address + "/take");
        Document after = page(to.asCoach(), address);
        assertThat(after.select("[role=alert]").text()).startsWith("Nothing came in.");
        assertThat(newest(to)).isEqualTo(before);
        // it can be thrown away, or tried again
        press(to.asCoach(), address + "/remove");
        assertThat(ask(to.asCoach(), address).getStatus()).isEqualTo(404);
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "",
                "[]",
                "{",
                "{\"format\": \"yarbel-lifter\"",
                "{} {}",
                "Date,Lift\n2026-01-01,Squat",
                "\"text\"",
                "{\"lifters\": [1]}",
                "PK\u0003\u0004rubbish"
            })
    void whatIsNoFileOfOursIsSaidToBeNone(String text) throws Exception {
        MockHttpServletResponse answer = mvc.perform(multipart("/exchange/whole")
                        .file(new MockMultipartFile(
                                "file", "x.json", "application/json", text.getBytes(StandardCharsets.UTF_8)))
                        .with(to.asCoach())
                        .with(csrf()))
                .andReturn()
                .getResponse();
        String said = answer.getStatus() == 302
                ? page(to.asCoach(), answer.getRedirectedUrl()).text()
                : Jsoup.parse(answer.getContentAsString(StandardCharsets.UTF_8)).text();
        assertThat(said).containsAnyOf("This is no file of ours.", "Choose a file.");
    }

    /** An object too deep to be anything, and one with a name twice, of which the last would count. */
    @Test
    void whatIsTooDeepIsNone() throws Exception {
        String deep = "{\"a\": ".repeat(5000) + "1" + "}".repeat(5000);
        assertThat(page(to.asCoach(), bring(to.asCoach(), deep))
                        .select("[role=alert]")
                        .text())
                .contains("This is no file of ours.");
        String twice = small().replaceFirst("\"version\": 1", "\"version\": 1, \"version\": 1");
        assertThat(page(to.asCoach(), bring(to.asCoach(), twice))
                        .select("[role=alert]")
                        .text())
                .contains("This is no file of ours.");
    }

    // ---- who, and once

    @Test
    void anArchiveComesBackAsItLeft() throws Exception {
        new FullLifter(mvc, clubs, jdbc, from).fill();
        byte[] zip = ask(from.asCoach(), "/exchange/lifter.zip?lifter=" + from.lifter.id())
                .getContentAsByteArray();
        String address = bring(to.asCoach(), zip);
        assertThat(page(to.asCoach(), address).select(".sampleread").text()).contains(from.lifter.name());
        byte[] club = ask(from.asHeadCoach(), "/exchange/club.zip").getContentAsByteArray();
        assertThat(page(to.asCoach(), bring(to.asCoach(), club))
                        .select(".sampleread")
                        .text())
                .contains(from.lifter.name());
    }

    @Test
    void aClubIsItsHeadCoachsAndAFileWhoeversBroughtIt() throws Exception {
        for (RequestPostProcessor who : List.of(from.asCoach(), from.asLifter())) {
            assertThat(ask(who, "/exchange/club.json").getStatus()).isEqualTo(404);
            assertThat(ask(who, "/exchange/club.zip").getStatus()).isEqualTo(404);
        }
        String address = bring(to.asCoach(), text(from.asHeadCoach(), "/exchange/club.json"));
        Document look = page(to.asCoach(), address);
        assertThat(look.text()).contains("taken in by the head coach");
        assertThat(look.select("form[action$=/take]")).isEmpty();
        press(to.asCoach(), address + "/take");
        assertThat(page(to.asCoach(), address).select("[role=alert]").text()).contains("taken in by the head coach");
        assertThat(ask(to.asColleague(), address).getStatus()).isEqualTo(404);
        assertThat(ask(from.asCoach(), address).getStatus()).isEqualTo(404);
    }

    @Test
    void whatCameIsTakenBackAsAWholeAndComesOnce() throws Exception {
        fillTheClub();
        RequestPostProcessor head = clubs.ofEmptyClub();
        String address = bring(head, text(from.asHeadCoach(), "/exchange/club.json"));
        press(head, address + "/take");
        press(head, address + "/take");
        assertThat(text(head, "/lifters"))
                .contains(from.lifter.name())
                .containsOnlyOnce(">" + from.lifter.name() + "<");
        assertThat(page(head, address).select("form[action$=/take-back]")).hasSize(1);
        press(head, address + "/take-back");
        assertThat(page(head, address).text()).contains("3 lifters were put in the archive");
        assertThat(text(head, "/lifters")).doesNotContain(from.lifter.name());
        assertThat(text(head, "/contests")).doesNotContain("Games");
        press(head, address + "/take-back");
        // nothing of it is deleted
        assertThat(text(head, "/exchange/club.json")).contains(from.lifter.name(), "\"struckAt\"");
    }

    /** A head coach takes back who went to other coaches too; who was archived comes as such, and stays so. */
    @Test
    void aClubIsTakenBackWhoeverCoachesWhom() throws Exception {
        clubs.grow(from, 2, 3, 1);
        jdbc.sql("update lifter set archived_at = now() where club_id = ? and name = 'Other 1'")
                .param(from.lifter.clubId())
                .update();
        String file = text(from.asHeadCoach(), "/exchange/club.json");
        // the coach has the same name here
        jdbc.sql("update account set name = (select name from account where id = ?) where id = ?")
                .params(from.coach.accountId(), to.coach.accountId())
                .update();
        RequestPostProcessor head = to.asHeadCoach();
        String address = bring(head, file);
        press(head, address + "/take");
        assertThat(page(head, address).select(".result").text()).isEqualTo("3 lifters came in with it.");
        assertThat(jdbc.sql("select count(*) from lifter where club_id = ? and coach_id = ?")
                        .params(to.lifter.clubId(), to.coach.accountId())
                        .query(Integer.class)
                        .single())
                .isEqualTo(4);
        assertThat(open()).isEqualTo(3);
        press(head, address + "/take-back");
        assertThat(page(head, address).text()).contains("2 lifters were put in the archive");
        assertThat(open()).isOne();
    }

    private int open() {
        return jdbc.sql("select count(*) from lifter where club_id = ? and archived_at is null")
                .param(to.lifter.clubId())
                .query(Integer.class)
                .single();
    }

    /** What nobody could have lifted is not held, however small the archive it comes in. */
    @Test
    void whatIsTooMuchIsRefusedWhereItIsLookedAt() throws Exception {
        String file = text(from.asHeadCoach(), "/exchange/club.json");
        RequestPostProcessor head = to.asHeadCoach();
        String many = file.replaceFirst("\"measurements\": \\[", "\"measurements\": [" + "{},".repeat(800_000));
        assertThat(page(head, bring(head, many)).select("[role=alert]").text()).contains("longer than any of ours");
    }

    /** What nobody takes in does not lie about: another of the same person takes its place, and a day ends it. */
    @Test
    void whatIsNotTakenInIsNotKept() throws Exception {
        String first = bring(to.asCoach(), "{}");
        String second = bring(to.asCoach(), "{}");
        assertThat(ask(to.asCoach(), first).getStatus()).isEqualTo(404);
        assertThat(ask(to.asCoach(), second).getStatus()).isEqualTo(200);
        files.throwOldAway();
        assertThat(ask(to.asCoach(), second).getStatus()).isEqualTo(200);
        jdbc.sql("update brought_file set brought_at = brought_at - interval '25 hours' where club_id = ?")
                .param(to.lifter.clubId())
                .update();
        files.throwOldAway();
        assertThat(ask(to.asCoach(), second).getStatus()).isEqualTo(404);
    }

    /** Somebody of that name is here: their log stays as it is. */
    @Test
    void whoIsHereAlreadyDoesNotComeAgain() throws Exception {
        String file = lifterFile(from, from.lifter.id());
        Document look = page(from.asCoach(), bring(from.asCoach(), file));
        assertThat(look.text()).contains("is here already").contains("All of it is here already.");
        assertThat(look.select("form[action$=/take]")).isEmpty();
    }

    /** Gates that another coach opened are closed where the block comes in. */
    @Test
    void gatesAreAnsweredForAnew() throws Exception {
        long slot = from.plan().block().days().get(0).slots().get(0).id().number();
        jdbc.sql("""
                        insert into gate_confirmation (club_id, lifter_id, slot_id, gate, spotter, confirmed_by, confirmed_at)
                        values (?, ?, ?, 'LIMIT_PULLS', 'Somebody', 'Coach', now())""").params(from.lifter.clubId(), from.lifter.id(), slot).update();
        String address = bring(to.asCoach(), lifterFile(from, from.lifter.id()));
        assertThat(page(to.asCoach(), address).select(".watch").text()).contains("1 safety gate was opened");
        press(to.asCoach(), address + "/take");
        assertThat(jdbc.sql("select count(*) from gate_confirmation where club_id = ?")
                        .param(to.lifter.clubId())
                        .query(Integer.class)
                        .single())
                .isZero();
    }

    /** Whatever tables come to be, a club's file has them or somebody said why not. */
    @Test
    void nothingThatIsKeptOfAClubIsLeftOut() {
        Set<String> nobodyTold = Set.of(
                "access_token",
                "book_version",
                "brought_batch",
                "brought_file",
                "calendar_address",
                // files, which go with the archive
                "clip",
                "clip_track",
                "club",
                "import_file",
                "import_part",
                "import_shape",
                "invite",
                "kept_answer",
                "maxes_import",
                "recovery_code",
                "session_feed",
                "session_feed_end",
                "speed_reading",
                "speed_sensor",
                "strength_after");
        String all = Stream.concat(kept.ofLifters().stream(), kept.ofClub().stream())
                .map(Kept::give)
                .collect(Collectors.joining(" "));
        List<String> tables = jdbc.sql("""
                select table_name from information_schema.columns
                where column_name = 'club_id' and table_schema = 'yarbel' order by 1""").query(String.class).list();
        assertThat(tables).hasSizeGreaterThan(40).allSatisfy(table -> assertThat(
                        nobodyTold.contains(table) || all.matches("(?s).*(from|join) " + table + "\\b.*"))
                .as(table)
                .isTrue());
    }

    /** Every column of what is read back is in the file, or somebody said why not. */
    @Test
    void noColumnIsForgotten() {
        Set<String> notTold = Set.of(
                "lifter.words_at",
                "lifter.words_waiting",
                "lifter.week_written",
                "lifter.leaves_on",
                "lifter.autopilot",
                "block.given_from",
                "change_entry.block_id",
                "change_entry.payload",
                "change_entry.undoes",
                "logged_set.received_at",
                "logged_set.import_id",
                "training_session.import_id",
                "slip.answer_entry");
        Stream.concat(kept.ofLifters().stream(), kept.ofClub().stream())
                .filter(Kept::isReadBack)
                .flatMap(WholeFilesTest::andWithin)
                .forEach(part -> {
                    Set<String> known =
                            part.fields().stream().map(Field::column).collect(Collectors.toSet());
                    List<String> columns = jdbc.sql("""
                            select column_name from information_schema.columns
                            where table_name = ? and table_schema = 'yarbel'""")
                            .param(part.table())
                            .query(String.class)
                            .list();
                    assertThat(columns)
                            .as(part.table())
                            .allMatch(column -> known.contains(column)
                                    || List.of("id", "club_id", "lifter_id", part.whose())
                                            .contains(column)
                                    || notTold.contains(part.table() + "." + column));
                });
    }

    private static Stream<Kept> andWithin(Kept part) {
        return Stream.concat(
                Stream.of(part),
                part.fields().stream()
                        .flatMap(field -> field.within().stream())
                        .filter(Kept::isReadBack)
                        .flatMap(WholeFilesTest::andWithin));
    }

    /** A library that is not ours finds the club's file as its schema says. */
    @Test
    void aClubsFileIsAsItsSchemaSays() throws Exception {
        fillTheClub();
        JsonSchema schema = JsonSchemaFactory.getInstance(
                        SpecVersion.VersionFlag.V202012,
                        all -> all.schemaMappers(where ->
                                where.mappings(Map.of("urn:yarbel:lifter-1", "classpath:format/lifter-1.schema.json"))))
                .getSchema(new ClassPathResource("format/club-1.schema.json").getInputStream());
        String file = text(from.asHeadCoach(), "/exchange/club.json");
        assertThat(schema.validate(file, InputFormat.JSON)).isEmpty();
        assertThat(schema.validate(file.replaceFirst("\"flight\": 1", "\"flight\": \"A\""), InputFormat.JSON))
                .isNotEmpty();
        assertThat(schema.validate(file.replaceFirst("\"reps\": 1", "\"reps\": \"one\""), InputFormat.JSON))
                .isNotEmpty();
    }
}
