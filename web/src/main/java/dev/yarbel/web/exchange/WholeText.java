package dev.yarbel.web.exchange;

import dev.yarbel.web.page.UnreadableException;
import java.io.BufferedInputStream;
import java.io.FilterInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.util.Set;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;

/** The text of a file of ours, also out of the archive that it is given away in; no longer than one may be. */
final class WholeText {

    /** As much as years of a large club, and not what a bomb unfolds to. */
    static final long MOST = 600L * 1024 * 1024;

    private static final Set<String> IN_ARCHIVE = Set.of("lifter.json", "club.json");
    private static final int MOST_ENTRIES = 50;

    private WholeText() {}

    /** @throws UnreadableException when it is an archive of something else */
    static InputStream of(InputStream file) throws IOException {
        BufferedInputStream buffered = new BufferedInputStream(file);
        buffered.mark(4);
        boolean packed = buffered.read() == 'P' && buffered.read() == 'K';
        buffered.reset();
        return new Limited(packed ? unpacked(buffered) : buffered);
    }

    private static InputStream unpacked(InputStream archive) throws IOException {
        ZipInputStream zip = new ZipInputStream(archive);
        for (int i = 0; i < MOST_ENTRIES; i++) {
            ZipEntry entry = zip.getNextEntry();
            if (entry == null) {
                break;
            }
            if (IN_ARCHIVE.contains(entry.getName())) {
                return zip;
            }
        }
        throw new UnreadableException("exchange.whole.error.json").in("file");
    }

    private static final class Limited extends FilterInputStream {

        private long left = MOST;

        private Limited(InputStream in) {
            super(in);
        }

        @Override
        public int read() throws IOException {
            return counted(in.read(), 1);
        }

        @Override
        public int read(byte[] bytes, int from, int length) throws IOException {
            int some = in.read(bytes, from, length);
            return counted(some, some);
        }

        private int counted(int result, int some) {
            left -= Math.max(0, result < 0 ? 0 : some);
            if (left < 0) {
                throw new UnreadableException("exchange.whole.error.long").in("file");
            }
            return result;
        }
    }
}
