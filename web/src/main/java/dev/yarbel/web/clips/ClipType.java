package dev.yarbel.web.clips;

import java.util.Arrays;
import java.util.Optional;
import org.springframework.http.MediaType;

/** What a clip may be, as browsers play it. */
enum ClipType {
    MP4("video/mp4", "mp4"),
    /** As phones of one make film: the same boxes under another brand. */
    MOV("video/quicktime", "mov"),
    WEBM("video/webm", "webm");

    private final String media;
    private final String ending;

    ClipType(String media, String ending) {
        this.media = media;
        this.ending = ending;
    }

    static Optional<ClipType> of(String media) {
        return Arrays.stream(values()).filter(type -> type.media.equals(media)).findFirst();
    }

    MediaType media() {
        return MediaType.parseMediaType(media);
    }

    String ending() {
        return ending;
    }
}
