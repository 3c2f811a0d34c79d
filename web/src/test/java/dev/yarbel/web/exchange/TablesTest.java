package dev.yarbel.web.exchange;

import static org.assertj.core.api.Assertions.assertThat;
import static org.awaitility.Awaitility.await;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;

import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.measure.MassUnit;
import dev.yarbel.web.Clubs4Tests;
import dev.yarbel.web.Clubs4Tests.TestClub;
import dev.yarbel.web.FullLifter;
import dev.yarbel.web.YarbelTest;
import dev.yarbel.web.book.Book;
import dev.yarbel.web.book.LiftRecord;
import dev.yarbel.web.roster.LifterCard;
import dev.yarbel.web.roster.TableOut;
import java.io.ByteArrayInputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.TimeUnit;
import java.util.stream.IntStream;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVRecord;
import org.apache.poi.ss.usermodel.CellType;
import org.apache.poi.xssf.usermodel.XSSFWorkbook;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.mock.web.MockHttpServletResponse;
import org.springframework.test.web.servlet.MockMvc;
import org.springframework.test.web.servlet.request.RequestPostProcessor;

/** What may be taken along besides the log, read by libraries that are not ours. */
@YarbelTest
class TablesTest {

    /** What is the coach's to see. */
    private static final Set<String> COACHS = Set.of("plan", "reckoning", "calls");

    @Autowired
    private MockMvc mvc;

    @Autowired
    private Clubs4Tests clubs;

    @Autowired
    private List<TableOut> tables;

    @Autowired
    private Book book;

    @Autowired
    private JdbcClient jdbc;

    private TestClub club;

    @BeforeEach
    void gather() {
        club = clubs.club();
    }

    private FullLifter full() {
        return new FullLifter(mvc, clubs, jdbc, club);
    }

    private MockHttpServletResponse ask(RequestPostProcessor who, String address) throws Exception {
        return mvc.perform(get(address).with(who)).andReturn().getResponse();
    }

    private List<CSVRecord> rows(RequestPostProcessor who, String table) throws Exception {
        MockHttpServletResponse answer = ask(who, "/exchange/" + table + ".csv?lifter=" + club.lifter.id());
        assertThat(answer.getStatus()).isEqualTo(200);
        String csv = answer.getContentAsString(StandardCharsets.UTF_8);
        assertThat(csv).startsWith("\ufeff");
        return CSVParser.parse(
                        csv.substring(1),
                        CSVFormat.RFC4180
                                .builder()
                                .setHeader()
                                .setSkipHeaderRecord(true)
                                .get())
                .getRecords();
    }

    @Test
    void everyTableHasItsRowsAndEachAsManyCellsAsColumns() throws Exception {
        full().fill();
        for (TableOut table : tables) {
            List<List<?>> rows = new ArrayList<>();
            table.each(club.coach, List.of(club.lifter), rows::add);
            assertThat(rows).as(table.code()).isNotEmpty().allSatisfy(row -> assertThat(row)
                    .hasSameSizeAs(table.columns()));
            assertThat(rows(club.asCoach(), table.code())).as(table.code()).hasSameSizeAs(rows);
        }
    }

    @Test
    void aWorkbookHasThemAllAndNoFormula() throws Exception {
        full().fill();
        MockHttpServletResponse answer = ask(club.asCoach(), "/exchange/all.xlsx?lifter=" + club.lifter.id());
        try (XSSFWorkbook workbook = new XSSFWorkbook(new ByteArrayInputStream(answer.getContentAsByteArray()))) {
            assertThat(workbook.getNumberOfSheets()).isEqualTo(tables.size());
            assertThat(workbook.getSheetName(0)).isEqualTo("Log");
            workbook.forEach(sheet -> {
                assertThat(sheet.getLastRowNum()).as(sheet.getSheetName()).isPositive();
                sheet.forEach(row ->
                        row.forEach(cell -> assertThat(cell.getCellType()).isNotEqualTo(CellType.FORMULA)));
            });
        }
    }

    @Test
    void numbersAreThoseOfThePages() throws Exception {
        full().fill();
        LiftRecord squat = book.standing(club.lifter).of(Lift.SQUAT).orElseThrow();
        CSVRecord today = rows(club.asCoach(), "estimates").stream()
                .filter(row -> row.get("Lift").equals("Squat"))
                .findFirst()
                .orElseThrow();
        assertThat(today.get("Working max"))
                .isEqualTo(squat.workingMax().orElseThrow().figure(MassUnit.KG, 1));
        assertThat(today.get("Estimate"))
                .isEqualTo(squat.estimate().orElseThrow().max().figure(MassUnit.KG, 1));
        assertThat(today.get("Low end"))
                .isEqualTo(squat.estimate().orElseThrow().low().figure(MassUnit.KG, 1));
        List<CSVRecord> plan = rows(club.asCoach(), "plan");
        // 3x5 at 75 % and 77.5 % of 200 kg
        assertThat(plan)
                .filteredOn(row -> row.get("Slot").equals("C"))
                .extracting(row -> row.get("Week") + " " + row.get("Dose") + " " + row.get("Load") + row.get("Unit"))
                .containsExactly("1 3x5 75% 150kg", "2 3x5 75% 150kg", "3 3x5 77.5% 155kg");
        assertThat(rows(club.asCoach(), "contests"))
                .extracting(row ->
                        row.get("Lift") + " " + row.get("Attempt") + " " + row.get("Load") + " " + row.get("Outcome"))
                .containsExactly("Squat 1 182.5 made, nothing left");
        assertThat(rows(club.asCoach(), "measurements"))
                .extracting(row -> row.get("Figure") + row.get("Unit"))
                .containsExactly("82.55kg");
    }

    /** A max typed in pounds goes out in pounds, whatever the lifter's unit. */
    @Test
    void aMaxIsInTheUnitItWasTypedIn() throws Exception {
        full().asCoach(
                        "/book/lifts/squat/max",
                        Map.of("kind", "CONTEST", "load", "452 lb", "on", "2026-03-01", "reps", "1"));
        assertThat(rows(club.asCoach(), "maxes"))
                .extracting(row -> row.get("Load") + " " + row.get("Unit") + " " + row.get("Kind"))
                .contains("452 lb Contest max");
    }

    @ParameterizedTest
    @ValueSource(strings = {"csv", "xlsx"})
    void nobodyTakesAnothersAlong(String form) throws Exception {
        TestClub other = clubs.club();
        Set<String> own = new TreeSet<>();
        for (TableOut table : tables) {
            String address = "/exchange/" + table.code() + "." + form;
            String ofLifter = address + "?lifter=" + club.lifter.id();
            assertThat(ask(other.asCoach(), ofLifter).getStatus()).isEqualTo(404);
            assertThat(ask(club.asOtherLifter(), ofLifter).getStatus()).isEqualTo(404);
            if (ask(club.asLifter(), address).getStatus() == 200) {
                own.add(table.code());
            }
        }
        Set<String> all = new TreeSet<>(tables.stream().map(TableOut::code).toList());
        all.removeAll(COACHS);
        assertThat(own).isEqualTo(all);
        assertThat(ask(club.asCoach(), "/exchange/none." + form).getStatus()).isEqualTo(404);
    }

    /** Names come from people: no table lets one become a formula. */
    @Test
    void noCellOfACsvIsAFormula() throws Exception {
        full().fill();
        jdbc.sql("update lifter set name = '=HYPERLINK(\"x\")' where id = ?")
                .param(club.lifter.id())
                .update();
        jdbc.sql("update block set name = '@SUM(A1)' where lifter_id = ?")
                .param(club.lifter.id())
                .update();
        jdbc.sql("update contest set name = '+1' where club_id = ?")
                .param(club.lifter.clubId())
                .update();
        for (TableOut table : tables) {
            assertThat(rows(club.asCoach(), table.code()))
                    .allSatisfy(row -> row.forEach(cell -> assertThat(cell).doesNotMatch("(?s)[=+@\\t\\r].*")));
        }
    }

    /** The whole list, not one lifter, in statements that do not grow with the rows of what is only read. */
    @Test
    void allLiftersAreInItWhereNobodyIsNamed() throws Exception {
        LifterCard second = clubs.grow(club, 2, 2, 1);
        String csv = ask(club.asCoach(), "/exchange/maxes.csv").getContentAsString(StandardCharsets.UTF_8);
        assertThat(csv).contains(club.lifter.name()).contains(second.name());
    }

    // ---- workbooks that take their time

    @Autowired
    private Jobs jobs;

    private static List<String> sheets(byte[] workbook) throws Exception {
        try (XSSFWorkbook book = new XSSFWorkbook(new ByteArrayInputStream(workbook))) {
            return IntStream.range(0, book.getNumberOfSheets())
                    .mapToObj(book::getSheetName)
                    .toList();
        }
    }

    /** While others are made first, a page tells how far it is; then it is given away, and the next is made anew. */
    @Test
    void aWorkbookIsWaitedForAndThenFetched() throws Exception {
        CountDownLatch busy = new CountDownLatch(1);
        for (String other : List.of("one", "other")) {
            jobs.of(other + club.lifter.id(), 1, progress -> {
                try {
                    return busy.await(60, TimeUnit.SECONDS);
                } catch (InterruptedException stopped) {
                    throw new IllegalStateException(stopped);
                }
            });
        }
        String who = "?table=&lifter=" + club.lifter.id();
        MockHttpServletResponse waits = ask(club.asCoach(), "/exchange/workbook" + who);
        assertThat(waits.getContentType()).startsWith("text/html");
        Document page = Jsoup.parse(waits.getContentAsString(StandardCharsets.UTF_8));
        assertThat(page.select("progress").attr("value")).isEqualTo("0");
        String again = page.select("main").attr("hx-get");
        assertThat(again).startsWith("/exchange/workbook/progress");
        busy.countDown();
        await().untilAsserted(() -> assertThat(
                        Jsoup.parse(ask(club.asCoach(), again).getContentAsString(StandardCharsets.UTF_8))
                                .select("progress"))
                .isEmpty());
        String save = Jsoup.parse(ask(club.asCoach(), again).getContentAsString(StandardCharsets.UTF_8))
                .select(".act")
                .attr("href");
        MockHttpServletResponse made = ask(club.asCoach(), save);
        assertThat(made.getContentType()).contains("spreadsheetml");
        assertThat(sheets(made.getContentAsByteArray()))
                .isEqualTo(sheets(ask(club.asCoach(), "/exchange/all.xlsx?lifter=" + club.lifter.id())
                        .getContentAsByteArray()));
        // what came since is in the next one
        assertThat(sheets(ask(club.asCoach(), "/exchange/workbook?table=maxes").getContentAsByteArray()))
                .containsExactly("Maxes");
        assertThat(ask(club.asCoach(), "/exchange/workbook?table=passwords").getStatus())
                .isEqualTo(404);
        assertThat(ask(club.asOtherLifter(), "/exchange/workbook" + who).getStatus())
                .isEqualTo(404);
    }

    /** What nobody fetches is thrown away. */
    @Test
    void aFileThatIsForgottenIsGone() throws Exception {
        Path file = Files.createTempFile("yarbel-test", ".xlsx");
        String name = "forgotten " + club.lifter.id();
        jobs.of(name, 1, progress -> new MadeWorkbooks.Made(file));
        assertThat(file).exists();
        jobs.forget(name);
        await().untilAsserted(() -> assertThat(file).doesNotExist());
    }
}
