package dev.yarbel.web.calendar;

import java.io.IOException;
import java.io.Writer;

/** Lines of at most 75 octets, as RFC 5545 (3.1) wants them: what is longer goes on behind a space. */
final class FoldedLines {

    private static final int MOST = 75;

    private final Writer out;

    FoldedLines(Writer out) {
        this.out = out;
    }

    /** Writes whole lines, each ended by CR LF. */
    void write(String lines) throws IOException {
        int octets = 0;
        for (int at = 0; at < lines.length(); ) {
            int sign = lines.codePointAt(at);
            int size = sign < 0x80 ? 1 : sign < 0x800 ? 2 : sign < 0x10000 ? 3 : 4;
            boolean end = sign == '\r' || sign == '\n';
            if (!end && octets + size > MOST) {
                out.write("\r\n ");
                octets = 1;
            }
            out.write(Character.toChars(sign));
            octets = end ? 0 : octets + size;
            at += Character.charCount(sign);
        }
    }
}
