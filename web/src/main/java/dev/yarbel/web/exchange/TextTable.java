package dev.yarbel.web.exchange;

import java.io.BufferedInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.io.Reader;
import java.io.UncheckedIOException;
import java.nio.ByteBuffer;
import java.nio.CharBuffer;
import java.nio.charset.CharacterCodingException;
import java.nio.charset.Charset;
import java.nio.charset.CharsetDecoder;
import java.nio.charset.CoderResult;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.List;
import java.util.regex.Pattern;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVRecord;

/**
 * A table as text: RFC 4180 and what goes by its name. How it is encoded and what stands between its fields is found from the text itself: a byte
 * order mark says it, what is UTF-8 throughout is that, text with every other byte zero is UTF-16, and all else is taken for
 * Windows-1252, in which every byte is a character.
 *
 * @param separator between its fields
 */
record TextTable(Path file, Charset encoding, int mark, char separator, boolean saysSeparator) {

    private static final Charset WINDOWS = Charset.forName("windows-1252");
    private static final List<Character> SEPARATORS = List.of('\t', ';', ',', '|');
    private static final int SAMPLE = 1 << 16;
    private static final int LINES = 40;
    private static final int LONGEST_CELL = 4000;
    private static final int MOST_COLUMNS = 400;
    /** A sign before what a spreadsheet would take for a formula says that it is text. */
    private static final Pattern MARKED = Pattern.compile("(?s)'[=+\\-@].*");

    private static final String SAYS = "sep=";

    static TextTable of(Path file) throws IOException, Unusable {
        byte[] first;
        try (InputStream in = Files.newInputStream(file)) {
            first = in.readNBytes(SAMPLE);
        }
        int mark = starts(first, 0xEF, 0xBB, 0xBF) ? 3 : starts(first, 0xFF, 0xFE) || starts(first, 0xFE, 0xFF) ? 2 : 0;
        Charset encoding = encoding(file, first);
        String sample = new String(first, mark, first.length - mark, encoding);
        if (sample.indexOf('\0') >= 0) {
            throw new Unusable("no-table");
        }
        if (sample.isBlank()) {
            throw new Unusable("empty");
        }
        boolean says = sample.startsWith(SAYS) && sample.length() > SAYS.length();
        return new TextTable(file, encoding, mark, says ? sample.charAt(SAYS.length()) : separator(sample), says);
    }

    private static boolean starts(byte[] bytes, int... with) {
        for (int at = 0; at < with.length; at++) {
            if (at >= bytes.length || (bytes[at] & 0xFF) != with[at]) {
                return false;
            }
        }
        return true;
    }

    private static Charset encoding(Path file, byte[] first) throws IOException {
        if (starts(first, 0xFF, 0xFE)) {
            return StandardCharsets.UTF_16LE;
        }
        if (starts(first, 0xFE, 0xFF)) {
            return StandardCharsets.UTF_16BE;
        }
        int even = 0;
        int odd = 0;
        for (int at = 0; at < first.length; at++) {
            if (first[at] == 0) {
                if (at % 2 == 0) {
                    even++;
                } else {
                    odd++;
                }
            }
        }
        // nearly every other byte of plain text in UTF-16 is nothing
        if (Math.max(even, odd) * 3 > first.length) {
            return odd > even ? StandardCharsets.UTF_16LE : StandardCharsets.UTF_16BE;
        }
        return isUtf8(file) ? StandardCharsets.UTF_8 : WINDOWS;
    }

    private static boolean isUtf8(Path file) throws IOException {
        CharsetDecoder decoder = StandardCharsets.UTF_8.newDecoder();
        ByteBuffer bytes = ByteBuffer.allocate(SAMPLE);
        CharBuffer text = CharBuffer.allocate(SAMPLE);
        try (InputStream in = new BufferedInputStream(Files.newInputStream(file))) {
            boolean more = true;
            while (more) {
                int read = in.read(bytes.array(), bytes.position(), bytes.remaining());
                more = read >= 0;
                bytes.position(bytes.position() + Math.max(0, read)).flip();
                CoderResult result = decoder.decode(bytes, text, !more);
                if (result.isError()) {
                    return false;
                }
                bytes.compact();
                text.clear();
            }
            return true;
        } catch (CharacterCodingException no) {
            return false;
        }
    }

    /** What stands in most of the first lines most often, and in all of them as often. */
    private static char separator(String sample) {
        String[] lines = Arrays.stream(sample.split("\\R"))
                .filter(line -> !line.isBlank())
                .limit(LINES)
                .toArray(String[]::new);
        char best = ',';
        double most = 0;
        for (char candidate : SEPARATORS) {
            int[] counts = Arrays.stream(lines)
                    .mapToInt(line -> count(line, candidate))
                    .sorted()
                    .toArray();
            int usual = counts.length == 0 ? 0 : counts[counts.length / 2];
            long alike = Arrays.stream(counts).filter(count -> count == usual).count();
            double score = usual == 0 ? 0 : alike * (1 + Math.min(usual, 10) / 10.0);
            if (score > most) {
                most = score;
                best = candidate;
            }
        }
        return best;
    }

    private static int count(String line, char wanted) {
        int count = 0;
        boolean quoted = false;
        for (int at = 0; at < line.length(); at++) {
            char c = line.charAt(at);
            quoted ^= c == '"';
            count += c == wanted && !quoted ? 1 : 0;
        }
        return count;
    }

    void read(RowSink sink) throws IOException, Unusable {
        CSVFormat format = CSVFormat.RFC4180
                .builder()
                .setDelimiter(separator)
                .setIgnoreEmptyLines(false)
                .setTrailingData(true)
                .setLenientEof(true)
                .get();
        sink.sheet("");
        try (Reader text = open();
                CSVParser rows = CSVParser.parse(text, format)) {
            boolean first = saysSeparator;
            for (CSVRecord row : rows) {
                if (!first) {
                    sink.row(row.stream()
                            .limit(MOST_COLUMNS)
                            .map(TextTable::cell)
                            .toList());
                }
                first = false;
            }
        } catch (UncheckedIOException | IllegalStateException broken) {
            throw new Unusable("broken");
        }
    }

    private Reader open() throws IOException {
        InputStream in = new BufferedInputStream(Files.newInputStream(file));
        in.skipNBytes(mark);
        return new InputStreamReader(in, encoding);
    }

    /** What a cell says, without what nobody can see. */
    static String cell(String text) {
        String visible = text.replace('\u00a0', ' ')
                .replaceAll("[\\p{Cntrl}&&[^\\n\\t]]|[\\u200b\\u200e\\u200f\\u202a-\\u202e\\ufeff]", "");
        String shown = visible.length() > LONGEST_CELL ? visible.substring(0, LONGEST_CELL) : visible.strip();
        return MARKED.matcher(shown).matches() ? shown.substring(1) : shown;
    }
}
