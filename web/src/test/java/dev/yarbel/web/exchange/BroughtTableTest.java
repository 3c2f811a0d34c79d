package dev.yarbel.web.exchange;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.catchThrowableOfType;

import java.io.IOException;
import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;
import org.apache.poi.xssf.usermodel.XSSFWorkbook;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What people send as a table, and what they send instead of one. */
class BroughtTableTest {

    private static final String TEXT = "Datum;Übung;Gewicht\n12.03.2024;Bankdrücken;142,5\n";

    private static final List<String> PIECES =
            List.of("a", "\"", ",", "5x5 140", "\n", "ü", " ", "''", "1,5", "=1+1", "x\"y\"", "\nz", "–");

    @TempDir
    private Path folder;

    private final List<String> sheets = new ArrayList<>();
    private final List<List<String>> rows = new ArrayList<>();

    private Optional<BroughtTable.Found> read(byte[] bytes) throws IOException, Unusable {
        Path file = Files.write(Files.createTempFile(folder, "brought", null), bytes);
        return BroughtTable.read(file, new RowSink() {
            @Override
            public void sheet(String name) {
                sheets.add(name);
            }

            @Override
            public void row(List<String> cells) {
                rows.add(cells);
            }
        });
    }

    private Optional<BroughtTable.Found> read(String text) throws IOException, Unusable {
        return read(text.getBytes(StandardCharsets.UTF_8));
    }

    private String refused(byte[] bytes) {
        return catchThrowableOfType(Unusable.class, () -> read(bytes)).code();
    }

    @ParameterizedTest
    @CsvSource({
        "UTF-8, false",
        "UTF-8, true",
        "UTF-16LE, true",
        "UTF-16BE, true",
        "UTF-16LE, false",
        "UTF-16BE, false",
        "windows-1252, false"
    })
    void theEncodingIsFoundFromTheTextItself(String encoding, boolean marked) throws Exception {
        Optional<BroughtTable.Found> found =
                read(((marked ? "\ufeff" : "") + TEXT).getBytes(Charset.forName(encoding)));
        assertThat(found).contains(new BroughtTable.Found(encoding, ';'));
        assertThat(rows)
                .containsExactly(List.of("Datum", "Übung", "Gewicht"), List.of("12.03.2024", "Bankdrücken", "142,5"));
    }

    @ParameterizedTest
    @CsvSource(delimiter = '~', textBlock = """
            Date,Exercise,Weight\\n2024-03-12,Squat,140                              ~ ,
            Date;Exercise;Weight\\n12.3.2024;Squat;142,5\\n14.3.2024;Squat;145,5       ~ ;
            Date|Exercise|Weight\\n12.3.2024|Squat|142,5                              ~ |
            sep=;\\nDate;Exercise\\n2024-03-12;Squat, paused                           ~ ;
            Note,Weight\\n"a; b; c",140\\n"d; e; f",150                                ~ ,
            Date;Done\\n2024-03-12;5,5,4 @ 140\\n2024-03-14;5,5,5 @ 140                ~ ;
            """)
    void whatStandsBetweenTheFieldsIsFoundToo(String text, char separator) throws Exception {
        assertThat(read(text.replace("\\n", "\n")))
                .map(BroughtTable.Found::separator)
                .contains(separator);
    }

    @Test
    void tabsOfWhatIsPastedAreSeparators() throws Exception {
        read("\t12.3.2024\t19.3.2024\nSquat\t5x5 140\t5x5 145\n");
        assertThat(rows).containsExactly(List.of("", "12.3.2024", "19.3.2024"), List.of("Squat", "5x5 140", "5x5 145"));
    }

    @Test
    void linesOfEveryKindKeepTheirNumbers() throws Exception {
        read("a,b\r\n\r\nc,d\re,f\n");
        assertThat(rows).hasSize(4);
        assertThat(rows.get(2)).containsExactly("c", "d");
        assertThat(rows.get(3)).containsExactly("e", "f");
    }

    @Test
    void quotesLineBreaksAndWhatNobodySeesAreRead() throws Exception {
        read("a,\"b \"\"c\"\", d\",\"two\nlines\"\n\u00a0x\u200b,y\u202e,z\u0007\n");
        assertThat(rows.get(0)).containsExactly("a", "b \"c\", d", "two\nlines");
        assertThat(rows.get(1)).containsExactly("x", "y", "z");
    }

    @Test
    void whatIsNoTableIsRefusedWithWhatToDo() {
        assertThat(refused(new byte[0])).isEqualTo("empty");
        assertThat(refused(" \n \n".getBytes(StandardCharsets.UTF_8))).isEqualTo("empty");
        assertThat(refused("%PDF-1.7 ...".getBytes(StandardCharsets.UTF_8))).isEqualTo("pdf");
        assertThat(refused(new byte[] {(byte) 0x89, 'P', 'N', 'G', 13, 10, 26, 10, 0, 0}))
                .isEqualTo("photo");
        assertThat(refused(new byte[] {(byte) 0xff, (byte) 0xd8, (byte) 0xff, (byte) 0xe0, 0, 16}))
                .isEqualTo("photo");
        assertThat(refused(new byte[] {0, 0, 0, 24, 'f', 't', 'y', 'p', 'h', 'e', 'i', 'c'}))
                .isEqualTo("photo");
        assertThat(refused(new byte[] {(byte) 0xd0, (byte) 0xcf, 0x11, (byte) 0xe0, (byte) 0xa1, (byte) 0xb1}))
                .isEqualTo("old-workbook");
        assertThat(refused("{\"sets\": []}".getBytes(StandardCharsets.UTF_8))).isEqualTo("no-table");
        assertThat(refused("<html><body>".getBytes(StandardCharsets.UTF_8))).isEqualTo("no-table");
        assertThat(refused(new byte[] {'a', 0, 1, 'b', 'c', 'd', 'e', 'f', 0, 'g', 'h', 'i', 'j'}))
                .isEqualTo("no-table");
        assertThat(refused("PK\3\4 broken".getBytes(StandardCharsets.UTF_8))).isEqualTo("workbook");
        assertThat(refused(Workbooks.archive("photos/one.txt", new byte[10]))).isEqualTo("other-archive");
        assertThat(refused(Workbooks.archive("../../etc/passwd", new byte[10]))).isEqualTo("other-archive");
        assertThat(refused(Workbooks.archive(
                        "mimetype", "application/vnd.oasis.opendocument.spreadsheet".getBytes(StandardCharsets.UTF_8))))
                .isEqualTo("open-document");
    }

    @Test
    void anOpenQuotationMarkLosesNothingSilently() {
        Throwable broken = catchThrowableOfType(Unusable.class, () -> read("a,b\n\"c,d\ne,f\n"));
        // read to its end as one field, or refused: never cut off without a word
        assertThat(broken != null || rows.stream().flatMap(List::stream).anyMatch(cell -> cell.contains("e,f")))
                .isTrue();
    }

    // ---- workbooks

    @Test
    void figuresComeAsTheyAreKeptAndDaysInIsoForm() throws Exception {
        read(Workbooks.of(
                List.of(
                        List.of("Date", "Exercise", "Weight", "Share"),
                        List.of(LocalDate.of(2024, 3, 12), "Squat", 142.5, 0.725),
                        List.of(LocalDate.of(2024, 3, 14), "Squat", 0.1 + 0.2, 1)),
                Map.of(2, "0\" kg\"", 3, "0%")));
        assertThat(rows.get(1)).containsExactly("2024-03-12", "Squat", "142.5 kg", "72.5%");
        assertThat(rows.get(2)).containsExactly("2024-03-14", "Squat", "0.3 kg", "100%");
    }

    @Test
    void rowsAndColumnsThatAreLeftOutKeepTheirPlaces() throws Exception {
        try (XSSFWorkbook book = new XSSFWorkbook()) {
            book.createSheet("Cover");
            var sheet = book.createSheet("Week 1");
            sheet.createRow(2).createCell(3).setCellValue("here");
            read(Workbooks.bytes(book));
        }
        assertThat(sheets).containsExactly("Cover", "Week 1");
        assertThat(rows).containsExactly(List.of(), List.of(), List.of("", "", "", "here"));
    }

    @Test
    void aFormulaComesAsWhatItCameTo() throws Exception {
        try (XSSFWorkbook book = new XSSFWorkbook()) {
            var row = book.createSheet("Log").createRow(0);
            row.createCell(0).setCellValue(200);
            row.createCell(1).setCellFormula("A1*0.7");
            book.getCreationHelper().createFormulaEvaluator().evaluateAll();
            read(Workbooks.bytes(book));
        }
        assertThat(rows).containsExactly(List.of("200", "140"));
    }

    private static byte[] plain() {
        return Workbooks.of(List.of(List.of("Date", "Exercise"), List.of("2024-03-12", "Squat")), Map.of());
    }

    @Test
    void aWorkbookThatRefersOutsideOrUnfoldsItselfIsRefused() throws Exception {
        Path secret = Files.writeString(folder.resolve("secret"), "never-to-be-read");
        String outside = "<?xml version=\"1.0\"?><!DOCTYPE sst [<!ENTITY x SYSTEM \"" + secret.toUri() + "\">]>"
                + "<sst xmlns=\"http://schemas.openxmlformats.org/spreadsheetml/2006/main\"><si><t>&x;</t></si><si><t>&x;</t></si></sst>";
        String laughs = "<?xml version=\"1.0\"?><!DOCTYPE sst [<!ENTITY a \"ha\">"
                + IntStream.rangeClosed(1, 12)
                        .mapToObj(at ->
                                "<!ENTITY a" + at + " \"" + ("&a" + (at == 1 ? "" : at - 1) + ";").repeat(10) + "\">")
                        .collect(Collectors.joining())
                + "]><sst xmlns=\"http://schemas.openxmlformats.org/spreadsheetml/2006/main\"><si><t>&a12;</t></si></sst>";
        for (String strings : List.of(outside, laughs)) {
            Throwable refused = catchThrowableOfType(
                    Unusable.class, () -> read(Workbooks.with(plain(), "xl/sharedStrings.xml", strings)));
            assertThat(refused != null
                            || rows.stream()
                                    .flatMap(List::stream)
                                    .noneMatch(cell -> cell.contains("never") || cell.length() > 1000))
                    .isTrue();
        }
        String sheet = "<?xml version=\"1.0\"?><!DOCTYPE w [<!ENTITY x SYSTEM \"" + secret.toUri() + "\">]>"
                + "<worksheet xmlns=\"http://schemas.openxmlformats.org/spreadsheetml/2006/main\"><sheetData><row r=\"1\"><c r=\"A1\" t=\"inlineStr\"><is><t>&x;</t></is></c></row></sheetData></worksheet>";
        assertThat(refused(Workbooks.with(plain(), "xl/worksheets/sheet1.xml", sheet)))
                .isEqualTo("workbook");
    }

    @Test
    void aBombIsRefusedBeforeItUnfolds() {
        String strings = "<sst xmlns=\"http://schemas.openxmlformats.org/spreadsheetml/2006/main\"><si><t>"
                + " ".repeat(80 << 20) + "</t></si></sst>";
        assertThat(refused(Workbooks.with(plain(), "xl/sharedStrings.xml", strings)))
                .isEqualTo("bomb");
    }

    @Test
    void aWorkbookCutOffIsRefused() {
        byte[] whole = plain();
        for (int length : List.of(10, whole.length / 2, whole.length - 5)) {
            assertThat(refused(java.util.Arrays.copyOf(whole, length))).isEqualTo("workbook");
        }
        assertThat(refused(Workbooks.with(whole, "xl/workbook.xml", "<nothing")))
                .isEqualTo("workbook");
        assertThat(refused(Workbooks.with(whole, "xl/worksheets/sheet1.xml", "<worksheet>")))
                .isEqualTo("workbook");
    }

    /** What commons-csv writes, whatever is in it; two hundred tables by chance. */
    @Test
    void whatAnotherLibraryWritesIsReadBack() throws Exception {
        Random chance = new Random(7);
        for (int round = 0; round < 200; round++) {
            rows.clear();
            List<List<String>> table = IntStream.range(0, 2 + chance.nextInt(6))
                    .mapToObj(row -> IntStream.range(0, 3)
                            .mapToObj(column -> PIECES.get(chance.nextInt(PIECES.size()))
                                    + PIECES.get(chance.nextInt(PIECES.size())))
                            .map(String::strip)
                            .toList())
                    .toList();
            StringBuilder text = new StringBuilder();
            try (CSVPrinter out = new CSVPrinter(text, CSVFormat.RFC4180)) {
                out.printRecord("Date", "Exercise", "Weight");
                out.printRecords(table);
                out.printRecord("2024-03-12", "Squat", "140");
                out.printRecord("2024-03-12", "Squat", "145");
                out.printRecord("2024-03-12", "Squat", "150");
            }
            read(text.toString());
            assertThat(rows.subList(1, rows.size() - 3)).as(text.toString()).isEqualTo(table);
        }
    }
}
