package dev.yarbel.web.exchange;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.multipart;

import dev.yarbel.core.block.Block;
import dev.yarbel.core.block.Slot;
import dev.yarbel.core.block.TrainingDay;
import dev.yarbel.core.prescription.Dose;
import dev.yarbel.web.Clubs4Tests;
import dev.yarbel.web.Clubs4Tests.TestClub;
import dev.yarbel.web.GoldenBlocks;
import dev.yarbel.web.TestSettings;
import dev.yarbel.web.YarbelTest;
import dev.yarbel.web.block.Blocks;
import dev.yarbel.web.block.LifterBlock;
import java.io.ByteArrayOutputStream;
import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.stream.Collectors;
import org.apache.poi.ss.usermodel.Sheet;
import org.apache.poi.xssf.usermodel.XSSFWorkbook;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.mock.web.MockHttpServletResponse;
import org.springframework.mock.web.MockMultipartFile;
import org.springframework.test.web.servlet.MockMvc;
import org.springframework.test.web.servlet.request.MockMultipartHttpServletRequestBuilder;

/** A coach brings a block as it stands in a spreadsheet: seen first with what of it cannot be kept, begun as the sheet would. */
@YarbelTest
class PlanBroughtTest {

    private static final String TABLE = """
            Day;Slot;Exercise;Week 1;Week 2
            Monday;A;Squat;5x5 75%;1 @8 then 3x5 -10%
            ;B;Front squats;3x8 @7;
            Thursday;A;Bench;3x5 80%;3x5 82,5%
            """;

    @Autowired
    private MockMvc mvc;

    @Autowired
    private Clubs4Tests clubs;

    @Autowired
    private Blocks blocks;

    private TestClub club;
    private final Map<String, String> said = new TreeMap<>();

    @BeforeEach
    void gather() {
        club = clubs.club();
        said.put("lifter", String.valueOf(club.lifter.id()));
        said.put("name", "Spring");
        said.put("start", "2026-06-01");
    }

    private MockHttpServletResponse send(String path, String text, byte[] file) throws Exception {
        MockMultipartHttpServletRequestBuilder request =
                multipart(path).file(new MockMultipartFile("file", "plan", "text/csv", file));
        said.forEach(request::param);
        return mvc.perform(request.param("text", text).with(club.asCoach()).with(csrf()))
                .andReturn()
                .getResponse();
    }

    private static Document page(MockHttpServletResponse answer) throws Exception {
        return Jsoup.parse(answer.getContentAsString(StandardCharsets.UTF_8));
    }

    private Document look(String text) throws Exception {
        MockHttpServletResponse answer = send("/exchange/plans", text, new byte[0]);
        assertThat(answer.getStatus()).isEqualTo(200);
        return page(answer);
    }

    private MockHttpServletResponse take(String text) throws Exception {
        said.put("seen", look(text).selectFirst("[name=seen]").val());
        return send("/exchange/plans/take", text, new byte[0]);
    }

    private Block begun(MockHttpServletResponse taken) {
        return opened(taken).block();
    }

    private LifterBlock opened(MockHttpServletResponse taken) {
        assertThat(taken.getStatus()).isEqualTo(302);
        long id = Long.parseLong(taken.getRedirectedUrl().replaceAll(".*block=", ""));
        return blocks.open(club.lifter, TestSettings.ZONE, Optional.of(id)).orElseThrow();
    }

    private static List<String> troubles(Document page) {
        return page.select("table.troublelines tbody tr").eachText();
    }

    @Test
    void aBlockIsSeenFirstAndThenBegun() throws Exception {
        Document look = look(TABLE);
        assertThat(look.select(".result").text()).isEqualTo("2 days, 2 weeks, 5 doses.");
        assertThat(look.select(".sampleread").get(0).text()).contains("3x5 -10%");
        assertThat(blocks.of(club.lifter)).hasSize(1);

        Block block = begun(take(TABLE));

        assertThat(block.name()).isEqualTo("Spring");
        assertThat(block.date(0, 0)).isEqualTo(LocalDate.of(2026, 6, 1));
        assertThat(block.date(1, 1)).isEqualTo(LocalDate.of(2026, 6, 11));
        assertThat(block.days().get(0).slots().get(0).dose(1)).contains(Dose.parse("1 @8 then 3x5 -10%"));
        assertThat(block.days().get(0).slots().get(1).dose(1)).isEmpty();
        assertThat(block.days().get(1).slots().get(0).dose(1)).contains(Dose.parse("3x5 82.5%"));
    }

    @Test
    void theSameTableTwiceAddsNothing() throws Exception {
        begun(take(TABLE));

        Document again = look(TABLE);

        assertThat(again.select(".result").text()).contains("already");
        assertThat(again.select("[formaction$=/take]")).isEmpty();
        said.put("seen", again.selectFirst("[name=seen]").val());
        assertThat(send("/exchange/plans/take", TABLE, new byte[0]).getStatus()).isEqualTo(422);
        assertThat(blocks.of(club.lifter)).hasSize(2);
    }

    @Test
    void whatIsMetIsAskedAbout() throws Exception {
        said.put("start", TestSettings.TODAY.toString());
        Document look = look(TABLE);
        assertThat(look.select("[name=confirmed]")).hasSize(1);

        MockHttpServletResponse unmeant = take(TABLE);
        assertThat(unmeant.getStatus()).isEqualTo(422);
        assertThat(page(unmeant).select(".bad")).hasSize(1);
        assertThat(page(unmeant).select("[name=confirmed]")).hasSize(1);
        said.put("confirmed", "true");
        begun(take(TABLE));
    }

    @Test
    void whatCannotBeKeptStaysOutAndIsTold() throws Exception {
        String table = """
                Day,Exercise,Week 1,Week 2
                Monday,Squat,5 by five,5x5 20
                ,Frnt squat,3x8,3x8
                ,Zorbing,3x8,3x8
                ,Deadlift,3x3 80%,3x3 80%
                """;

        Document look = look(table);

        assertThat(troubles(look)).hasSize(4);
        assertThat(troubles(look).get(0))
                .startsWith("2 “5 by five”".replace("“", "").replace("”", ""));
        assertThat(troubles(look))
                .anyMatch(line -> line.contains("Perhaps"))
                .anyMatch(line -> line.contains("Zorbing"));
        Block block = begun(take(table));
        assertThat(block.days().get(0).slots()).hasSize(2);
        assertThat(block.days().get(0).slots().get(0).doses()).containsExactly(Optional.empty(), Optional.empty());
    }

    @Test
    void daysWithoutAWeekdayAreAskedFor() throws Exception {
        String table = "Day 1,\nExercise,1\nSquat,5x5 75%\nDay 2,\nBench,5x5 75%\n";
        Document look = look(table);
        assertThat(look.select("[formaction$=/take]")).isEmpty();
        assertThat(troubles(look)).hasSize(1);

        said.put("weekdays", "WEDNESDAY");
        assertThat(look(table).select("[formaction$=/take]")).as("one of two").isEmpty();
        said.put("weekdays", "WEDNESDAY,SATURDAY");

        Block block = begun(take(table));
        assertThat(block.days()).extracting(day -> day.offset()).containsExactly(2, 5);
        assertThat(block.days()).extracting(day -> day.name()).containsExactly("Day 1", "Day 2");
    }

    /** A caution no table passes by: what stands behind a gate is left out of a block that is begun. */
    @Test
    void whatStandsBehindAGateIsLeftOut() throws Exception {
        Block block = begun(take("Day,Exercise,Week 1\nMonday,Squat,3x1 105% reverse 20kg\nMonday,Bench,5x5 75%\n"));

        assertThat(block.days().get(0).slots().get(0).dose(0)).isEmpty();
        assertThat(block.days().get(0).slots().get(1).dose(0)).isPresent();
    }

    @ParameterizedTest
    @CsvSource({"lifter, ''", "name, ''", "start, ''", "start, soon", "lifter, 99999999"})
    void whatIsNotSaidIsAskedForAndTheTableStays(String field, String text) throws Exception {
        said.put(field, text);

        MockHttpServletResponse answer = send("/exchange/plans", TABLE, new byte[0]);

        assertThat(answer.getStatus()).isIn(404, 422);
        if (answer.getStatus() == 422) {
            assertThat(page(answer).select(".bad")).hasSize(1);
            assertThat(page(answer).selectFirst("textarea[name=text]").wholeText())
                    .contains("Front squats");
        }
    }

    @ParameterizedTest
    @CsvSource({"''", "Exercise;Load", "just words"})
    void whatIsNoBlockIsTold(String text) throws Exception {
        assertThat(send("/exchange/plans", text, new byte[0]).getStatus()).isEqualTo(422);
    }

    @Test
    void anotherCoachsLifterIsNobody() throws Exception {
        said.put("lifter", String.valueOf(clubs.club().lifter.id()));

        assertThat(send("/exchange/plans", TABLE, new byte[0]).getStatus()).isEqualTo(404);
    }

    private static String table(GoldenBlocks.Drawn drawn) {
        StringBuilder table = new StringBuilder("Day\tSlot\tExercise");
        for (int week = 1; week <= drawn.weeks(); week++) {
            table.append("\tWeek ").append(week);
        }
        for (GoldenBlocks.Day day : drawn.days()) {
            for (GoldenBlocks.Slot slot : day.slots()) {
                table.append(
                        "\n" + LocalDate.of(2026, 6, 1).plusDays(day.offset()).getDayOfWeek() + "\t" + slot.letter()
                                + "\t" + slot.lift() + "\t" + String.join("\t", slot.doses()));
            }
        }
        return table.toString();
    }

    /** Whatever a school draws up comes in from a table with the doses it went out with. */
    @ParameterizedTest
    @MethodSource("dev.yarbel.web.GoldenBlocks#all")
    void aBlockOfEverySchoolComesInFromATable(GoldenBlocks.Drawn drawn) throws Exception {

        Block block = begun(take(table(drawn)));

        assertThat(block.days().stream().map(day -> day.slots().stream()
                        .map(slot -> new GoldenBlocks.Slot(
                                slot.letter(),
                                slot.lift().key(),
                                slot.doses().stream()
                                        .map(dose -> dose.map(Dose::shorthand).orElse(""))
                                        .toList()))
                        .toList()))
                .containsExactlyElementsOf(
                        drawn.days().stream().map(GoldenBlocks.Day::slots).toList());
    }

    /** Our own workbook of a block, a sheet a day with weeks in a row above, is the same block where it comes back. */
    @ParameterizedTest
    @MethodSource("dev.yarbel.web.GoldenBlocks#all")
    void aBlocksWorkbookComesBackAsTheSameBlock(GoldenBlocks.Drawn drawn) throws Exception {
        MockHttpServletResponse taken = take(table(drawn));
        LifterBlock begun = opened(taken);
        Block before = begun.block();
        byte[] book = mvc.perform(get("/lifters/" + club.lifter.id() + "/plan/print/plan.xlsx?"
                                + taken.getRedirectedUrl().replaceAll(".*\\?", ""))
                        .with(club.asCoach()))
                .andReturn()
                .getResponse()
                .getContentAsByteArray();

        // a year on, from the same day of the week, where nothing is met
        said.put("start", "2027-06-07");
        MockHttpServletResponse look = send("/exchange/plans", "", book);
        assertThat(troubles(page(look))).isEmpty();
        said.put("seen", page(look).selectFirst("[name=seen]").val());
        Block after = begun(send("/exchange/plans/take", "", book));

        assertThat(after.days().stream().map(TrainingDay::name))
                .containsExactlyElementsOf(
                        before.days().stream().map(TrainingDay::name).toList());
        assertThat(after.days().stream().map(TrainingDay::offset))
                .containsExactlyElementsOf(
                        before.days().stream().map(TrainingDay::offset).toList());
        assertThat(asked(after)).containsExactlyElementsOf(asked(begun));
    }

    /** What a block asks for in each week by its laws: of sets that a stage drops the workbook has what is left. */
    private static List<String> asked(LifterBlock plan) {
        List<String> asked = new ArrayList<>();
        for (int day = 0; day < plan.block().days().size(); day++) {
            for (Slot slot : plan.block().days().get(day).slots()) {
                List<String> weeks = new ArrayList<>();
                for (int week = 0; week < plan.block().weeks(); week++) {
                    weeks.add(plan.projection().prescriptions(day, week).stream()
                            .filter(sets -> sets.letter().equals(slot.letter()))
                            .map(sets -> sets.part().shorthand())
                            .collect(Collectors.joining(" then ")));
                }
                asked.add(slot.letter() + " " + slot.lift().key() + " " + weeks);
            }
        }
        return asked;
    }

    private static List<String> asked(Block block) {
        return block.days().stream()
                .flatMap(day -> day.slots().stream()
                        .map(slot -> slot.letter() + " " + slot.lift().key() + " "
                                + slot.doses().stream()
                                        .map(dose -> dose.map(Dose::shorthand).orElse(""))
                                        .toList()))
                .toList();
    }

    /** What a workbook begins with need not be what is looked for. */
    @Test
    void theSheetThatHoldsABlockIsFound() throws Exception {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try (XSSFWorkbook book = new XSSFWorkbook()) {
            book.createSheet("Notes").createRow(0).createCell(0).setCellValue("Read me first");
            Sheet plan = book.createSheet("Plan");
            String[][] rows = {{"Day", "Exercise", "Week 1"}, {"Monday", "Squat", "5x5 75%"}};
            for (int at = 0; at < rows.length; at++) {
                for (int cell = 0; cell < rows[at].length; cell++) {
                    (cell == 0 ? plan.createRow(at) : plan.getRow(at))
                            .createCell(cell)
                            .setCellValue(rows[at][cell]);
                }
            }
            book.write(out);
        }

        Document look = page(send("/exchange/plans", "", out.toByteArray()));

        assertThat(look.select(".result").text()).isEqualTo("1 day, 1 week, 1 dose.");
    }
}
