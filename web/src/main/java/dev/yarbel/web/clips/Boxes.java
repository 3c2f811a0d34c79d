package dev.yarbel.web.clips;

import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.channels.FileChannel;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.time.Duration;
import java.util.Optional;
import java.util.Set;

/**
 * The boxes of an MP4 or QuickTime file (ISO/IEC 14496-12, §4.2): a length, four letters, and what is in it. What tells where and by what
 * a film was made is overwritten where it lies, so that nothing else moves.
 */
final class Boxes {

    /** What holds other boxes on the way to those that are looked for. */
    private static final Set<String> HOLD = Set.of("moov", "trak", "mdia", "minf", "stbl", "moof", "traf", "edts");
    /** What tells of the camera, its place and its owner. */
    private static final Set<String> TELL = Set.of("udta", "meta", "uuid", "loci", "XMP_", "cprt");
    /** What a track may be: seen or heard, a clock, or a link between tracks. */
    private static final Set<String> SHOW = Set.of("vide", "soun", "tmcd", "alis", "url ");

    private static final int HEAD = 8;
    private static final int LARGE_HEAD = 16;
    private static final int MOST_BOXES = 20_000;
    private static final int DEEPEST = 8;
    private static final int AT_ONCE = 64 * 1024;

    private final FileChannel file;
    private int seen;
    private boolean pictures;
    private boolean other;
    private Optional<Duration> length = Optional.empty();

    private Boxes(FileChannel file) {
        this.file = file;
    }

    /**
     * What a file is.
     *
     * @param pictures whether something in it is seen
     * @param other whether it holds tracks that are neither seen nor heard, such as where the camera was
     */
    record Facts(boolean pictures, boolean other, Optional<Duration> length) {}

    /**
     * Rids a file of what tells more than it shows.
     *
     * @throws IOException also where its boxes do not fit into each other
     */
    static Facts clean(Path path) throws IOException {
        try (FileChannel file = FileChannel.open(path, StandardOpenOption.READ, StandardOpenOption.WRITE)) {
            Boxes boxes = new Boxes(file);
            boxes.walk(0, file.size(), 0);
            return new Facts(boxes.pictures, boxes.other, boxes.length);
        }
    }

    private void walk(long from, long until, int depth) throws IOException {
        long at = from;
        while (until - at >= HEAD) {
            if (++seen > MOST_BOXES || depth > DEEPEST) {
                throw new IOException("more boxes than a film has");
            }
            ByteBuffer head = read(at, HEAD);
            long size = Integer.toUnsignedLong(head.getInt());
            byte[] letters = new byte[4];
            head.get(letters);
            String type = new String(letters, StandardCharsets.ISO_8859_1);
            int headSize = HEAD;
            if (size == 1) {
                size = read(at + HEAD, HEAD).getLong();
                headSize = LARGE_HEAD;
            } else if (size == 0) {
                size = until - at;
            }
            if (size < headSize || size > until - at) {
                throw new IOException("a box reaches beyond what it is in");
            }
            box(type, at, at + headSize, at + size, depth);
            at += size;
        }
    }

    private void box(String type, long at, long body, long end, int depth) throws IOException {
        if (TELL.contains(type)) {
            file.write(ByteBuffer.wrap("free".getBytes(StandardCharsets.ISO_8859_1)), at + 4);
            blank(body, end);
        } else if (HOLD.contains(type)) {
            walk(body, end, depth + 1);
        } else if (type.equals("mvhd")) {
            length = length(body, end);
        } else if (type.equals("hdlr") && end - body >= 12) {
            byte[] letters = new byte[4];
            read(body + 8, 4).get(letters);
            String handler = new String(letters, StandardCharsets.ISO_8859_1);
            pictures |= handler.equals("vide");
            other |= !SHOW.contains(handler);
        }
    }

    /** §8.2.2: after version and flags two moments, units to a second and how many of them, in four bytes or in eight. */
    private Optional<Duration> length(long body, long end) throws IOException {
        boolean large = end - body >= 32 && read(body, 1).get() == 1;
        if (!large && end - body < 20) {
            throw new IOException("a head of a film that is none");
        }
        long units = Integer.toUnsignedLong(read(body + (large ? 20 : 12), 4).getInt());
        long ticks = large
                ? read(body + 24, 8).getLong()
                : Integer.toUnsignedLong(read(body + 16, 4).getInt());
        return units == 0 || ticks <= 0 || ticks / units > Integer.MAX_VALUE
                ? Optional.empty()
                : Optional.of(Duration.ofMillis(Math.round(1000.0 * ticks / units)));
    }

    private ByteBuffer read(long at, int count) throws IOException {
        ByteBuffer bytes = ByteBuffer.allocate(count);
        while (bytes.hasRemaining()) {
            if (file.read(bytes, at + bytes.position()) < 0) {
                throw new IOException("it ends within a box");
            }
        }
        return bytes.flip();
    }

    private void blank(long from, long until) throws IOException {
        for (long at = from; at < until; at += AT_ONCE) {
            file.write(ByteBuffer.allocate((int) Math.min(AT_ONCE, until - at)), at);
        }
    }
}
