package dev.yarbel.web.exchange;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.multipart;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;

import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.measure.Length;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.session.DoneSet;
import dev.yarbel.web.Clubs4Tests;
import dev.yarbel.web.Clubs4Tests.TestClub;
import dev.yarbel.web.TestSettings;
import dev.yarbel.web.YarbelTest;
import dev.yarbel.web.book.Book;
import java.io.ByteArrayInputStream;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVRecord;
import org.apache.poi.ss.usermodel.Cell;
import org.apache.poi.ss.usermodel.CellType;
import org.apache.poi.ss.usermodel.Row;
import org.apache.poi.xssf.usermodel.XSSFSheet;
import org.apache.poi.xssf.usermodel.XSSFWorkbook;
import org.awaitility.Awaitility;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.jsoup.nodes.Element;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.mock.web.MockHttpServletResponse;
import org.springframework.mock.web.MockMultipartFile;
import org.springframework.test.web.servlet.MockMvc;
import org.springframework.test.web.servlet.request.MockHttpServletRequestBuilder;
import org.springframework.test.web.servlet.request.RequestPostProcessor;

/** A log that somebody brings along: looked at, corrected, taken in, taken back. */
@YarbelTest
class ExchangeTest {

    private static final String LOG = """
            Date,Exercise,Weight (kg),Reps,RPE
            2024-03-12,Squat,140,5,8
            2024-03-12,Squat,140,5,8.5
            2024-03-14,Bench,100,3,9
            """;

    @Autowired
    private MockMvc mvc;

    @Autowired
    private Clubs4Tests clubs;

    @Autowired
    private Book book;

    @Autowired
    private JdbcClient jdbc;

    private TestClub club;

    @BeforeEach
    void gather() {
        club = clubs.club();
    }

    private String bring(RequestPostProcessor who, String name, byte[] file, String lifter) throws Exception {
        MockHttpServletResponse answer = mvc.perform(multipart("/exchange")
                        .file(new MockMultipartFile("file", name, "text/csv", file))
                        .param("text", "")
                        .param("lifter", lifter)
                        .with(who)
                        .with(csrf()))
                .andReturn()
                .getResponse();
        assertThat(answer.getStatus()).as(answer.getContentAsString()).isEqualTo(302);
        return answer.getRedirectedUrl();
    }

    private String bring(String text) throws Exception {
        return bring(club.asCoach(), "log.csv", text.getBytes(StandardCharsets.UTF_8), "" + club.lifter.id());
    }

    /** The page once nothing is going on any more. */
    private Document page(String address) {
        return Awaitility.await().until(() -> shown(address), page -> page.selectFirst("progress") == null);
    }

    private Document shown(String address) throws Exception {
        return Jsoup.parse(mvc.perform(get(address).with(club.asCoach()))
                .andReturn()
                .getResponse()
                .getContentAsString());
    }

    /** The page's form as it stands, sent to an address with some of it changed. */
    private void send(Document page, String action, Map<String, String> changed) throws Exception {
        MockHttpServletRequestBuilder request =
                post(action).with(club.asCoach()).with(csrf());
        Element form = page.select("form").stream()
                .filter(each -> each.selectFirst("select[name^=holds]") != null)
                .findFirst()
                .orElseThrow();
        for (Element field : form.select("select[name], input[name]")) {
            String name = field.attr("name");
            String value = field.is("select")
                    ? field.select("option[selected]").isEmpty()
                            ? field.select("option").attr("value")
                            : field.select("option[selected]").attr("value")
                    : field.attr("value");
            boolean sent = !field.is("[type=radio], [type=checkbox]") || field.hasAttr("checked");
            if (sent && !changed.containsKey(name) && !name.equals("_csrf") && !name.equals("once")) {
                request.param(name, value);
            }
        }
        changed.forEach((name, value) -> request.param(name, value.split("\\|")));
        mvc.perform(request);
    }

    private void take(String address) throws Exception {
        send(page(address), address + "/take", Map.of());
        assertThat(page(address).select("form[action$=/take-back]")).hasSize(1);
    }

    private List<String> log() {
        List<String> sets = new ArrayList<>();
        book.standing(club.lifter, LocalDate.of(2020, 1, 1)).log().stream()
                .filter(session -> session.date().getYear() == 2024)
                .forEach(session -> session.sets()
                        .forEach(done -> sets.add(session.date() + " "
                                + done.set().lift() + " " + done.set().load() + " x"
                                + done.set().reps() + " " + done.set().effort().code())));
        return sets;
    }

    @Test
    void whatWouldComeInIsShownAndNothingIsWrittenBeforeItIsTaken() throws Exception {
        String address = bring(LOG);
        Document page = page(address);
        assertThat(page.select(".result").text()).contains("3 sets on 2 days");
        assertThat(page.select("select[name^=holds] option[selected]").eachAttr("value"))
                .containsExactly("DAY", "LIFT", "LOAD", "REPS", "RATING");
        assertThat(log()).isEmpty();
        take(address);
        assertThat(log())
                .containsExactly(
                        "2024-03-12 squat 140 kg x5 8",
                        "2024-03-12 squat 140 kg x5 8.5",
                        "2024-03-14 bench-press 100 kg x3 9");
    }

    @Test
    void theSameFileTwiceAddsNothingAndOneTakenBackIsGone() throws Exception {
        String address = bring(LOG);
        take(address);
        Document again = page(bring(LOG));
        assertThat(again.select(".result").text()).contains("Nothing new");
        assertThat(again.select(".incomes").text()).contains("3 sets are in the log already");
        assertThat(again.select("button[formaction$=/take]")).isEmpty();
        mvc.perform(post(address + "/take-back").with(club.asCoach()).with(csrf()));
        assertThat(log()).isEmpty();
        mvc.perform(post(address + "/again").with(club.asCoach()).with(csrf()));
        take(address);
        assertThat(log()).hasSize(3);
    }

    @Test
    void aLogThatIsAnotherCoachsNowIsNotTakenBackByWhoBroughtIt() throws Exception {
        club.asColleague();
        String address = bring(LOG);
        take(address);
        jdbc.sql(
                        "update lifter set coach_id = (select id from account where club_id = ? and role = 'COACH' and id <> ? order by id limit 1) where id = ?")
                .params(club.lifter.clubId(), club.coach.accountId(), club.lifter.id())
                .update();
        assertThat(page(address).select("form[action$=/take-back]")).isEmpty();
        assertThat(mvc.perform(post(address + "/take-back").with(club.asCoach()).with(csrf()))
                        .andReturn()
                        .getResponse()
                        .getStatus())
                .isEqualTo(404);
        assertThat(log()).hasSize(3);
    }

    @Test
    void oneThatNeverCameToItsEndIsLookedAtAgain() throws Exception {
        long file = clubs.brought(club, "TAKING");
        String address = "/exchange/" + file;
        jdbc.sql("update import_file set status_at = ?::timestamptz where id = ?")
                .params(TestSettings.NOW.minus(Duration.ofMinutes(9)).toString(), file)
                .update();
        assertThat(shown(address).select("progress")).hasSize(1);
        jdbc.sql("update import_file set status_at = ?::timestamptz where id = ?")
                .params(TestSettings.NOW.minus(Duration.ofMinutes(11)).toString(), file)
                .update();
        assertThat(shown(address).select("form[action$=/again]")).hasSize(1);
        mvc.perform(post(address + "/again").with(club.asCoach()).with(csrf()));
        assertThat(page(address).select(".result").text()).contains("1 set");
    }

    @Test
    void takenTwiceAtOnceItComesInOnce() throws Exception {
        String address = bring(LOG);
        Document page = page(address);
        send(page, address + "/take", Map.of());
        send(page, address + "/take", Map.of());
        assertThat(page(address).select("form[action$=/take-back]")).hasSize(1);
        assertThat(log()).hasSize(3);
    }

    @Test
    void aNameNobodyKnowsIsAskedAboutOnceAndRemembered() throws Exception {
        String text =
                "Date,Exercise,Weight,Reps\n2024-03-12,Squta,140,5\n2024-03-12,Zorbing,50,5\n2024-03-12,Bench,100,5\n";
        String address = bring(text);
        Document page = page(address);
        assertThat(page.select(".namesasked tr th span:first-child").eachText()).containsExactly("Squta", "Zorbing");
        assertThat(page.select(".namesasked option[selected]").eachAttr("value"))
                .containsExactly("squat");
        assertThat(page.select(".result").text()).contains("1 set");
        send(page, address, Map.of("asked[1].means", "-"));
        Document after = page(address);
        assertThat(after.select(".namesasked")).isEmpty();
        assertThat(after.select(".result").text()).contains("2 sets");
        assertThat(after.select(".incomes").text()).contains("1 row is of lifts that are left out");
        assertThat(page(bring(text.replace("140", "145"))).select(".namesasked"))
                .isEmpty();
    }

    @Test
    void columnsThatAreCorrectedAreRememberedForFilesOfTheShape() throws Exception {
        String text = "When was it,What,How heavy,How often\n2024-03-12,Squat,140,5\n2024-03-14,Squat,145,5\n";
        String address = bring(text);
        Document page = page(address);
        assertThat(page.select(".mustsay").text()).contains("which column");
        send(page, address, Map.of("holds[2]", "LOAD", "holds[3]", "REPS"));
        assertThat(page(address).select(".result").text()).contains("2 sets");
        assertThat(page(bring(text.replace("145", "150"))).select(".result").text())
                .contains("2 sets");
    }

    @Test
    void whatChangesWhatComesInIsLookedAtBeforeItIsTaken() throws Exception {
        String address = bring(LOG.replace(" (kg)", ""));
        send(page(address), address + "/take", Map.of("unit", "LB"));
        assertThat(page(address).select("form[action$=/take-back]")).isEmpty();
        assertThat(log()).isEmpty();
        take(address);
        assertThat(log()).first().asString().contains("63.5029318 kg");
    }

    @Test
    void loadsThatStandOutMustBeAnsweredFirst() throws Exception {
        String address = bring("""
                Date,Exercise,Weight,Reps
                2024-03-12,Squat,140,5
                2024-03-14,Squat,320,5
                2024-03-16,Squat,145,5
                2024-03-18,Squat,147.5,5
                """);
        Document page = page(address);
        assertThat(page.select("button[formaction$=/take][disabled]")).hasSize(1);
        assertThat(page.select(".troublelines tbody tr").text()).contains("pounds, or kilograms");
        send(page, address, Map.of("slips", "OTHER_UNIT"));
        take(address);
        assertThat(log()).contains("2024-03-14 squat 145.1495584 kg x5 done");
    }

    @Test
    void manyTroublesAreCountedByWhatIsTheMatter() throws Exception {
        String address = bring("Date,Exercise,Weight,Reps\n2024-03-12,Squat,140,5\n"
                + "2024-03-12,Squat,140,3-5\n".repeat(230) + "2024-03-12,Squat,,5\n".repeat(20));
        Document page = page(address);
        assertThat(page.select(".incomes").text()).contains("250 cells cannot come in");
        assertThat(page.select(".troublelines tbody tr")).hasSize(200);
        assertThat(page.select("section[aria-labelledby=troubles-title] li").eachText())
                .containsExactlyInAnyOrder("230 A range is what was planned, not what was done.", "20 No load.");
    }

    @Test
    void daysThatCanBeReadInTwoWaysAreAskedAbout() throws Exception {
        String address = bring("Date,Exercise,Weight,Reps\n3/12/2024,Squat,140,5\n");
        Document page = page(address);
        assertThat(page.select(".mustsay").text()).contains("3/12");
        assertThat(page.select(".result")).isEmpty();
        send(page, address, Map.of("order", "MONTH_FIRST"));
        take(address);
        assertThat(log()).containsExactly("2024-03-12 squat 140 kg x5 done");
    }

    @Test
    void weeksAcrossAreCountedFromTheDaySaid() throws Exception {
        String address = bring(
                "Day\tExercise\tWeek 1\tWeek 2\nDay 1\tSquat\t5x5 @ 140\t5x5 145\nDay 2\tBench\t3x3 100\t3x3 102,5\n");
        Document page = page(address);
        assertThat(page.select(".troublelines").text()).contains("when its first week was");
        send(page, address, Map.of("firstWeek", "2024-03-13", "trained", "MONDAY|THURSDAY"));
        take(address);
        assertThat(log())
                .hasSize(16)
                .contains("2024-03-18 squat 145 kg x5 done", "2024-03-21 bench-press 102.5 kg x3 done");
    }

    @Test
    void aCoachBringsAFileOfSeveralOfTheirLifters() throws Exception {
        String address = bring(
                club.asCoach(),
                "team.csv",
                ("Name,Date,Exercise,Weight,Reps\n" + club.lifter.name()
                                + ",2024-03-12,Squat,140,5\nSomebody Else,2024-03-12,Squat,140,5\n")
                        .getBytes(StandardCharsets.UTF_8),
                "");
        Document page = page(address);
        assertThat(page.select(".result").text()).contains("1 set");
        assertThat(page.select(".troublelines").text()).contains("Somebody Else");
        take(address);
        assertThat(log()).hasSize(1);
    }

    @Test
    void aLifterBringsTheirOwnLog() throws Exception {
        String address = bring(club.asLifter(), "mine.csv", LOG.getBytes(StandardCharsets.UTF_8), "");
        Document page = Jsoup.parse(mvc.perform(get(address).with(club.asLifter()))
                .andReturn()
                .getResponse()
                .getContentAsString());
        assertThat(page.select(".result").text()).contains("3 sets");
        assertThat(mvc.perform(get(address).with(club.asCoach()))
                        .andReturn()
                        .getResponse()
                        .getStatus())
                .isEqualTo(404);
    }

    @Test
    void aWorkbookComesInAsATextDoes() throws Exception {
        byte[] workbook = Workbooks.of(
                List.of(
                        List.of("Date", "Exercise", "Weight", "Reps", "RPE"),
                        List.of(LocalDate.of(2024, 3, 12), "Squat", 142.5, 5, 8.5)),
                Map.of());
        take(bring(club.asCoach(), "log.xlsx", workbook, "" + club.lifter.id()));
        assertThat(log()).containsExactly("2024-03-12 squat 142.5 kg x5 8.5");
    }

    @Test
    void whatIsPastedIsReadAsAFileIs() throws Exception {
        MockHttpServletResponse answer = mvc.perform(post("/exchange")
                        .param("text", "\t12.3.2024\t19.3.2024\nSquat\t5x5 140\t1x3 150\n")
                        .param("lifter", "" + club.lifter.id())
                        .with(club.asCoach())
                        .with(csrf()))
                .andReturn()
                .getResponse();
        String address = answer.getRedirectedUrl();
        Document page = page(address);
        if (page.selectFirst(".result") == null) {
            send(page, address, Map.of("order", "DAY_FIRST"));
        }
        assertThat(page(address).select(".result").text()).contains("6 sets on 2 days");
    }

    @Test
    void whatIsNoTableIsRefusedBesideItsFieldAndKeepsWhatWasPasted() throws Exception {
        Document page = Jsoup.parse(mvc.perform(multipart("/exchange")
                        .file(new MockMultipartFile(
                                "file", "p.png", "image/png", new byte[] {(byte) 0x89, 'P', 'N', 'G', 1, 2, 3}))
                        .param("text", "kept")
                        .with(club.asCoach())
                        .with(csrf()))
                .andReturn()
                .getResponse()
                .getContentAsString());
        assertThat(page.select("#bring-file-says").text()).contains("photograph");
        assertThat(page.select("textarea[name=text]").text()).isEqualTo("kept");
        Document nothing = Jsoup.parse(mvc.perform(
                        post("/exchange").param("text", "").with(club.asCoach()).with(csrf()))
                .andReturn()
                .getResponse()
                .getContentAsString());
        assertThat(nothing.select("#bring-file-says").text()).contains("Choose a file");
    }

    @Test
    void anotherFileUnderTheSameFormIsAnotherFile() throws Exception {
        List<String> addresses = new ArrayList<>();
        for (String text : List.of(LOG, LOG.replace("140", "150"), LOG)) {
            addresses.add(mvc.perform(multipart("/exchange")
                            .file(new MockMultipartFile(
                                    "file", "log.csv", "text/csv", text.getBytes(StandardCharsets.UTF_8)))
                            .param("lifter", "" + club.lifter.id())
                            .param("once", "11111111-2222-3333-4444-555555555555")
                            .with(club.asCoach())
                            .with(csrf()))
                    .andReturn()
                    .getResponse()
                    .getRedirectedUrl());
        }
        assertThat(addresses.get(0)).isNotEqualTo(addresses.get(1)).isEqualTo(addresses.get(2));
    }

    @Test
    void whatIsTakenInCountsForTheMaxAndMakesNoCalls() throws Exception {
        LocalDate lately = LocalDate.of(2026, 3, 1);
        take(bring("Date,Exercise,Weight,Reps,RPE\n" + lately + ",Overhead press,80,3,9\n"));
        assertThat(book.standing(club.lifter)
                        .of(new Lift("overhead-press"))
                        .orElseThrow()
                        .estimate()
                        .orElseThrow()
                        .max())
                .isGreaterThan(Mass.ofKg(80));
        assertThat(jdbc.sql("select count(*) from slip where lifter_id = ? and lift = 'overhead-press'")
                        .param(club.lifter.id())
                        .query(Long.class)
                        .single())
                .isZero();
    }

    // ---- out

    private byte[] out(RequestPostProcessor who, String address, String language) throws Exception {
        MockHttpServletResponse answer = mvc.perform(get(address).with(who).header("Accept-Language", language))
                .andReturn()
                .getResponse();
        assertThat(answer.getStatus()).isEqualTo(200);
        return answer.getContentAsByteArray();
    }

    /** Everything a log may hold goes out, and comes back to the same sets. */
    @ParameterizedTest
    @CsvSource({"csv, en", "xlsx, en", "csv, de", "xlsx, de"})
    void whatIsTakenAlongIsReadBackToTheSameSets(String form, String language) throws Exception {
        String own = """
                Date,Exercise,Weight,Reps,RPE,Failed,Type,Note,Seconds,Distance
                2024-03-12,Squat,60,5,easy,,warm-up,,,
                2024-03-12,Squat,142.5,5,8.5,,,"=HYPERLINK(""x""), ""quoted"" there",,
                2024-03-12,Squat,150,0,,yes,,-3 days of sleep,,
                2024-03-14,Farmer's walk,100,1,,,,"two
                lines",12.5,20
                2024-03-14,Pull-ups,bw,8,,,,,,
                """;
        String address = bring(own);
        take(address);
        List<String> sets = log();
        assertThat(sets).hasSize(5);
        byte[] file = out(club.asCoach(), "/exchange/log." + form + "?lifter=" + club.lifter.id(), language);
        mvc.perform(post(address + "/take-back").with(club.asCoach()).with(csrf()));
        assertThat(log()).isEmpty();
        String again = bring(club.asCoach(), "log." + form, file, "");
        Document page = page(again);
        assertThat(page.select(".troublelines tbody tr").eachText()).isEmpty();
        take(again);
        assertThat(log()).isEqualTo(sets);
        List<DoneSet> done = book.standing(club.lifter, LocalDate.of(2020, 1, 1)).log().stream()
                .filter(session -> session.date().getYear() == 2024)
                .flatMap(session -> session.sets().stream())
                .toList();
        assertThat(done.get(0).task().warmUp()).isTrue();
        assertThat(done.get(1).set().details().note()).contains("=HYPERLINK(\"x\"), \"quoted\" there");
        assertThat(done.get(2).set().details().note()).contains("-3 days of sleep");
        assertThat(done.get(3).set().details().time()).contains(Duration.ofMillis(12_500));
        assertThat(done.get(3).set().details().distance()).contains(Length.ofCm(2000));
    }

    @Test
    void otherLibrariesReadWhatIsTakenAlongAndNothingInItIsAFormula() throws Exception {
        take(bring("Date,Exercise,Weight,Reps,Notes\n2024-03-12,Squat,140,5,=1+1\n2024-03-12,Squat,140,5,@SUM(A1)\n"));
        String address = "/exchange/log.csv?lifter=" + club.lifter.id();
        String csv = new String(out(club.asCoach(), address, "en"), StandardCharsets.UTF_8);
        assertThat(csv).startsWith("\ufeff");
        List<CSVRecord> rows = CSVParser.parse(
                        csv.substring(1),
                        CSVFormat.RFC4180
                                .builder()
                                .setHeader()
                                .setSkipHeaderRecord(true)
                                .get())
                .getRecords();
        assertThat(rows).extracting(row -> row.get("Note")).contains("'=1+1", "'@SUM(A1)");
        assertThat(rows)
                .allSatisfy(row -> row.forEach(
                        cell -> assertThat(cell).doesNotStartWith("=").doesNotStartWith("@")));
        byte[] xlsx = out(club.asCoach(), address.replace("csv", "xlsx"), "en");
        try (XSSFWorkbook book = new XSSFWorkbook(new ByteArrayInputStream(xlsx))) {
            XSSFSheet sheet = book.getSheetAt(0);
            assertThat(sheet.getLastRowNum()).isEqualTo(rows.size());
            for (Row row : sheet) {
                for (Cell cell : row) {
                    assertThat(cell.getCellType()).isNotEqualTo(CellType.FORMULA);
                }
            }
            assertThat(sheet.getRow(1).getCell(3).getCellType()).isEqualTo(CellType.NUMERIC);
        }
    }
}
