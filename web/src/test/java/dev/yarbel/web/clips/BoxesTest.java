package dev.yarbel.web.clips;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Boxes of films, made by hand as ISO/IEC 14496-12 describes them. */
class BoxesTest {

    @TempDir
    private Path folder;

    private static byte[] box(String type, byte[]... inside) {
        ByteArrayOutputStream body = new ByteArrayOutputStream();
        for (byte[] part : inside) {
            body.writeBytes(part);
        }
        return ByteBuffer.allocate(8 + body.size())
                .putInt(8 + body.size())
                .put(type.getBytes(StandardCharsets.ISO_8859_1))
                .put(body.toByteArray())
                .array();
    }

    private static byte[] text(String text) {
        return text.getBytes(StandardCharsets.ISO_8859_1);
    }

    /** Twelve seconds, in thousandths. */
    private static byte[] head() {
        return box(
                "mvhd",
                ByteBuffer.allocate(100).putInt(12, 1000).putInt(16, 12_000).array());
    }

    private static byte[] track(String handler) {
        return box(
                "trak",
                box("mdia", box("hdlr", new byte[8], text(handler), new byte[12])),
                box("udta", text("GPS 48.1")));
    }

    private Path film(byte[]... boxes) throws IOException {
        Path film = folder.resolve("film.mp4");
        ByteArrayOutputStream all = new ByteArrayOutputStream();
        for (byte[] box : boxes) {
            all.writeBytes(box);
        }
        return Files.write(film, all.toByteArray());
    }

    @Test
    void whereItWasFilmedIsGoneAndNothingElseMoves() throws IOException {
        byte[] pictures = box("mdat", text("these are the pictures"));
        Path film = film(
                box("ftyp", text("isom")),
                pictures,
                box(
                        "moov",
                        head(),
                        track("vide"),
                        box("udta", box("\u00a9xyz", text("+48.1374+11.5755/"))),
                        box("meta", text("com.apple.quicktime.location.ISO6709"))),
                box("uuid", text("an XMP packet with GPSLatitude")));
        long size = Files.size(film);

        Boxes.Facts facts = Boxes.clean(film);

        String left = Files.readString(film, StandardCharsets.ISO_8859_1);
        assertThat(left)
                .hasSize((int) size)
                .contains("these are the pictures", "vide")
                .doesNotContain("48.1", "ISO6709", "GPS", "udta", "xyz");
        assertThat(left.indexOf("mdat")).isEqualTo(box("ftyp", text("isom")).length + 4);
        assertThat(facts).isEqualTo(new Boxes.Facts(true, false, java.util.Optional.of(Duration.ofSeconds(12))));
        // and once more there is nothing to do
        assertThat(Boxes.clean(film)).isEqualTo(facts);
        assertThat(Files.readString(film, StandardCharsets.ISO_8859_1)).isEqualTo(left);
    }

    @Test
    void aTrackThatIsNeitherSeenNorHeardIsTold() throws IOException {
        assertThat(Boxes.clean(film(box("moov", head(), track("vide"), track("meta"))))
                        .other())
                .isTrue();
        assertThat(Boxes.clean(film(box("moov", head(), track("soun")))).pictures())
                .isFalse();
    }

    @Test
    void aLengthInEightBytesIsReadToo() throws IOException {
        byte[] large = box(
                "mvhd",
                ByteBuffer.allocate(112)
                        .put(0, (byte) 1)
                        .putInt(20, 600)
                        .putLong(24, 1800)
                        .array());

        assertThat(Boxes.clean(film(box("moov", large, track("vide")))).length())
                .contains(Duration.ofSeconds(3));
    }

    @Test
    void aBoxWithoutALengthReachesToTheEnd() throws IOException {
        byte[] open = ByteBuffer.allocate(20)
                .putInt(0)
                .put(text("mdat"))
                .put(text("pictures"))
                .array();

        assertThat(Boxes.clean(film(box("moov", head(), track("vide")), open)).pictures())
                .isTrue();
    }

    @ParameterizedTest
    @ValueSource(ints = {0, 1, 2, 7, 9, 0x7fffffff, -1})
    void whatDoesNotFitIsBrokenOrHarmless(int size) throws IOException {
        byte[] box = ByteBuffer.allocate(16)
                .putInt(size)
                .put(text("moov"))
                .put(new byte[8])
                .array();
        try {
            Boxes.clean(film(box));
        } catch (IOException broken) {
            assertThat(broken).hasMessageNotContaining("null");
        }
    }

    @Test
    void boxesWithinBoxesEndSomewhere() throws IOException {
        byte[] deep = box("trak");
        for (int at = 0; at < 40; at++) {
            deep = box("trak", deep);
        }
        Path film = film(deep);
        assertThatThrownBy(() -> Boxes.clean(film)).isInstanceOf(IOException.class);
    }

    /** Bytes by chance are a film or broken, and always an answer. */
    @Test
    void anythingIsAnswered() throws IOException {
        Random random = new Random(5);
        for (int tried = 0; tried < 300; tried++) {
            byte[] bytes = box("moov", head(), track("vide"), box("udta", text("x")));
            for (int hit = 0; hit < 4; hit++) {
                bytes[random.nextInt(bytes.length)] = (byte) random.nextInt();
            }
            Path film = film(bytes);
            try {
                Boxes.clean(film);
            } catch (IOException broken) {
                assertThat(broken).hasMessageNotContaining("Exception");
            }
            assertThat(Files.size(film)).isEqualTo(bytes.length);
        }
    }
}
