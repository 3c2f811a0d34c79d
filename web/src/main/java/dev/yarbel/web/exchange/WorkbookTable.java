package dev.yarbel.web.exchange;

import java.io.IOException;
import java.io.InputStream;
import java.math.BigDecimal;
import java.math.MathContext;
import java.math.RoundingMode;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Locale;
import java.util.regex.Pattern;
import javax.xml.parsers.ParserConfigurationException;
import org.apache.poi.openxml4j.exceptions.OpenXML4JException;
import org.apache.poi.openxml4j.opc.OPCPackage;
import org.apache.poi.openxml4j.opc.PackageAccess;
import org.apache.poi.openxml4j.util.ZipSecureFile;
import org.apache.poi.ss.usermodel.DataFormatter;
import org.apache.poi.ss.usermodel.DateUtil;
import org.apache.poi.ss.util.CellReference;
import org.apache.poi.util.XMLHelper;
import org.apache.poi.xssf.eventusermodel.ReadOnlySharedStringsTable;
import org.apache.poi.xssf.eventusermodel.XSSFReader;
import org.apache.poi.xssf.eventusermodel.XSSFSheetXMLHandler;
import org.apache.poi.xssf.usermodel.XSSFComment;
import org.xml.sax.InputSource;
import org.xml.sax.SAXException;
import org.xml.sax.XMLReader;

/**
 * The sheets of a workbook, read as a stream. A figure comes as it is kept, not as it is shown, with the unit or the share that its format adds;
 * a day in ISO form. What is packed a hundredfold or refers to anything outside is refused.
 */
record WorkbookTable(Path file) {

    private static final long LARGEST_PART = 700L << 20;
    private static final int LARGEST_STRINGS = 64 << 20;
    private static final int MOST_BLANK_ROWS = 5000;
    private static final int MOST_COLUMNS = 400;
    private static final int MOST_SHEETS = 40;
    private static final int DIGITS = 12;
    private static final Pattern UNIT = Pattern.compile("\\b(kgs?|lbs?)\\b", Pattern.CASE_INSENSITIVE);
    private static final Pattern SINCE_1904 = Pattern.compile("date1904\\s*=\\s*[\"'](?:1|true)");
    private static final int HEAD_OF_WORKBOOK = 1 << 14;

    static {
        ZipSecureFile.setMaxEntrySize(LARGEST_PART);
    }

    void read(RowSink sink) throws IOException, Unusable {
        try (OPCPackage opened = OPCPackage.open(file.toFile(), PackageAccess.READ)) {
            XSSFReader reader = new XSSFReader(opened);
            checkStrings(reader);
            DataFormatter figures = new Figures(countsFrom1904(reader));
            ReadOnlySharedStringsTable strings = new ReadOnlySharedStringsTable(opened);
            XSSFReader.SheetIterator sheets = (XSSFReader.SheetIterator) reader.getSheetsData();
            for (int at = 0; sheets.hasNext() && at < MOST_SHEETS; at++) {
                try (InputStream sheet = sheets.next()) {
                    sink.sheet(sheets.getSheetName());
                    XMLReader xml = XMLHelper.newXMLReader();
                    xml.setContentHandler(
                            new XSSFSheetXMLHandler(reader.getStylesTable(), strings, new Rows(sink), figures, false));
                    xml.parse(new InputSource(sheet));
                }
            }
        } catch (Passed passed) {
            throw passed.cause();
        } catch (OpenXML4JException | SAXException | ParserConfigurationException | RuntimeException broken) {
            // whatever is wrong with it, the library says so in many ways
            throw new Unusable("workbook");
        } catch (IOException broken) {
            throw new Unusable(isBomb(broken) ? "bomb" : "workbook");
        }
    }

    private static boolean isBomb(IOException broken) {
        return String.valueOf(broken.getMessage()).toLowerCase(Locale.ROOT).contains("zip bomb");
    }

    /** All texts of a workbook are held in memory while it is read: no more than can be. */
    private static void checkStrings(XSSFReader reader) throws IOException, OpenXML4JException, Unusable {
        try (InputStream strings = reader.getSharedStringsData()) {
            if (strings != null) {
                long read = 0;
                byte[] some = new byte[1 << 16];
                for (int got = strings.read(some); got >= 0; got = strings.read(some)) {
                    read += got;
                    if (read > LARGEST_STRINGS) {
                        throw new Unusable("bomb");
                    }
                }
            }
        }
    }

    private static boolean countsFrom1904(XSSFReader reader) throws IOException, OpenXML4JException {
        try (InputStream workbook = reader.getWorkbookData()) {
            return SINCE_1904
                    .matcher(new String(workbook.readNBytes(HEAD_OF_WORKBOOK), StandardCharsets.UTF_8))
                    .find();
        }
    }

    /** What the sink throws, through a parser that knows nothing of it. */
    private static final class Passed extends RuntimeException {

        private static final long serialVersionUID = 1;

        Passed(IOException cause) {
            super(cause);
        }

        IOException cause() {
            return (IOException) getCause();
        }
    }

    private static final class Figures extends DataFormatter {

        private final boolean since1904;

        Figures(boolean since1904) {
            super(Locale.ROOT);
            this.since1904 = since1904;
        }

        @Override
        public String formatRawCellContents(double value, int index, String format) {
            return formatRawCellContents(value, index, format, since1904);
        }

        @Override
        public String formatRawCellContents(double value, int index, String format, boolean use1904Windowing) {
            if (DateUtil.isADateFormat(index, format) && DateUtil.isValidExcelDate(value)) {
                LocalDateTime at = DateUtil.getLocalDateTime(value, since1904);
                return at.toLocalTime().equals(LocalTime.MIDNIGHT)
                        ? at.toLocalDate().toString()
                        : at.toString();
            }
            BigDecimal figure = BigDecimal.valueOf(value).round(new MathContext(DIGITS, RoundingMode.HALF_EVEN));
            if (format != null && format.contains("%")) {
                return plain(figure.movePointRight(2)) + "%";
            }
            var unit = format == null ? null : UNIT.matcher(format);
            return plain(figure) + (unit != null && unit.find() ? " " + unit.group(1) : "");
        }

        private static String plain(BigDecimal figure) {
            return figure.signum() == 0 ? "0" : figure.stripTrailingZeros().toPlainString();
        }
    }

    private static final class Rows implements XSSFSheetXMLHandler.SheetContentsHandler {

        private final RowSink sink;
        private final List<String> cells = new ArrayList<>();
        private int written;
        private int row;

        Rows(RowSink sink) {
            this.sink = sink;
        }

        @Override
        public void startRow(int number) {
            cells.clear();
            row = number;
        }

        @Override
        public void endRow(int number) {
            if (cells.stream().allMatch(String::isEmpty)) {
                return;
            }
            try {
                for (int blank = 0; written < row && blank < MOST_BLANK_ROWS; blank++, written++) {
                    sink.row(List.of());
                }
                sink.row(List.copyOf(cells));
                written = row + 1;
            } catch (IOException refused) {
                throw new Passed(refused);
            }
        }

        @Override
        public void cell(String reference, String value, XSSFComment comment) {
            int at = reference == null ? cells.size() : new CellReference(reference).getCol();
            if (at < MOST_COLUMNS && value != null) {
                cells.addAll(Collections.nCopies(Math.max(0, at - cells.size()), ""));
                cells.add(TextTable.cell(value));
            }
        }

        @Override
        public void headerFooter(String text, boolean isHeader, String tagName) {
            // neither is of the table
        }
    }
}
