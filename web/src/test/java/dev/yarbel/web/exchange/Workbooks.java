package dev.yarbel.web.exchange;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import java.util.zip.ZipOutputStream;
import org.apache.poi.ss.usermodel.Cell;
import org.apache.poi.ss.usermodel.CellStyle;
import org.apache.poi.ss.usermodel.Row;
import org.apache.poi.xssf.usermodel.XSSFSheet;
import org.apache.poi.xssf.usermodel.XSSFWorkbook;

/** Workbooks for tests, made by POI or bent out of what it makes. */
final class Workbooks {

    private Workbooks() {}

    /** One sheet; numbers and days as such, with the formats given for columns. */
    static byte[] of(List<List<Object>> rows, Map<Integer, String> formats) {
        try (XSSFWorkbook book = new XSSFWorkbook()) {
            fill(book.createSheet("Log"), rows, formats);
            return bytes(book);
        } catch (IOException impossible) {
            throw new UncheckedIOException(impossible);
        }
    }

    static void fill(XSSFSheet sheet, List<List<Object>> rows, Map<Integer, String> formats) {
        XSSFWorkbook book = sheet.getWorkbook();
        for (int at = 0; at < rows.size(); at++) {
            Row row = sheet.createRow(at);
            for (int column = 0; column < rows.get(at).size(); column++) {
                Object value = rows.get(at).get(column);
                Cell cell = row.createCell(column);
                String format =
                        value instanceof LocalDate ? "d/m/yy" : value instanceof Number ? formats.get(column) : null;
                if (format != null) {
                    CellStyle style = book.createCellStyle();
                    style.setDataFormat(book.createDataFormat().getFormat(format));
                    cell.setCellStyle(style);
                }
                if (value instanceof LocalDate day) {
                    cell.setCellValue(day);
                } else if (value instanceof Number number) {
                    cell.setCellValue(number.doubleValue());
                } else {
                    cell.setCellValue(String.valueOf(value));
                }
            }
        }
    }

    static byte[] bytes(XSSFWorkbook book) throws IOException {
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        book.write(bytes);
        return bytes.toByteArray();
    }

    /** The same archive with another text in the place of one of its entries. */
    static byte[] with(byte[] workbook, String entry, String text) {
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        try (ZipInputStream in = new ZipInputStream(new java.io.ByteArrayInputStream(workbook));
                ZipOutputStream out = new ZipOutputStream(bytes)) {
            for (ZipEntry each = in.getNextEntry(); each != null; each = in.getNextEntry()) {
                out.putNextEntry(new ZipEntry(each.getName()));
                out.write(each.getName().equals(entry) ? text.getBytes(StandardCharsets.UTF_8) : in.readAllBytes());
                out.closeEntry();
            }
        } catch (IOException impossible) {
            throw new UncheckedIOException(impossible);
        }
        return bytes.toByteArray();
    }

    /** An archive with one entry. */
    static byte[] archive(String entry, byte[] contents) {
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        try (ZipOutputStream out = new ZipOutputStream(bytes)) {
            out.putNextEntry(new ZipEntry(entry));
            out.write(contents);
            out.closeEntry();
        } catch (IOException impossible) {
            throw new UncheckedIOException(impossible);
        }
        return bytes.toByteArray();
    }
}
