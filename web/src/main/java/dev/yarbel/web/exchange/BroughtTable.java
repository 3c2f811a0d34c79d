package dev.yarbel.web.exchange;

import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Optional;
import java.util.zip.ZipException;
import java.util.zip.ZipFile;

/** A file that somebody brought: a table as text or a workbook, by what is in it, whatever it is called. */
final class BroughtTable {

    private static final int HEAD = 16;

    private BroughtTable() {}

    /** How a table of text is written; nothing for a workbook. */
    record Found(String encoding, char separator) {}

    /**
     * Reads a file.
     *
     * @throws Unusable when it is no table
     */
    static Optional<Found> read(Path file, RowSink sink) throws IOException, Unusable {
        byte[] head;
        try (InputStream in = Files.newInputStream(file)) {
            head = in.readNBytes(HEAD);
        }
        if (head.length == 0) {
            throw new Unusable("empty");
        }
        String start = new String(head, StandardCharsets.ISO_8859_1);
        if (start.startsWith("PK")) {
            checkWorkbook(file);
            new WorkbookTable(file).read(sink);
            return Optional.empty();
        }
        refuse(start);
        TextTable text = TextTable.of(file);
        text.read(sink);
        return Optional.of(new Found(text.encoding().name(), text.separator()));
    }

    private static void refuse(String start) throws Unusable {
        if (start.startsWith("\u00d0\u00cf\u0011\u00e0")) {
            throw new Unusable("old-workbook");
        }
        if (start.startsWith("%PDF")) {
            throw new Unusable("pdf");
        }
        if (start.startsWith("\u0089PNG")
                || start.startsWith("\u00ff\u00d8\u00ff")
                || start.startsWith("GIF8")
                || start.startsWith("II*\0")
                || start.startsWith("MM\0*")
                || start.startsWith("RIFF")
                || start.length() > 8 && start.startsWith("ftyp", 4)) {
            throw new Unusable("photo");
        }
        if (start.startsWith("{") || start.startsWith("<")) {
            throw new Unusable("no-table");
        }
    }

    private static void checkWorkbook(Path file) throws IOException, Unusable {
        try (ZipFile zip = new ZipFile(file.toFile())) {
            if (zip.getEntry("mimetype") != null) {
                throw new Unusable("open-document");
            }
            if (zip.getEntry("xl/workbook.xml") == null) {
                throw new Unusable("other-archive");
            }
        } catch (ZipException | IllegalArgumentException broken) {
            throw new Unusable("workbook");
        }
    }
}
