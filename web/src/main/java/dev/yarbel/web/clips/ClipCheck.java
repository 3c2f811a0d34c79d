package dev.yarbel.web.clips;

import dev.yarbel.web.page.UnreadableException;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.Optional;
import org.apache.tika.Tika;
import org.springframework.stereotype.Component;

/** Tells clips from other files by what is in them, and rids them of what tells more than they show. */
@Component
class ClipCheck {

    /** As many bytes as a clip may have. */
    static final long MOST = 60L * 1024 * 1024;

    static final Duration LONGEST = Duration.ofSeconds(60);

    private final Tika types = new Tika();
    private final Ffmpeg ffmpeg;

    ClipCheck(Ffmpeg ffmpeg) {
        this.ffmpeg = ffmpeg;
    }

    /**
     * Looks at a file; what is cleaned lies beside it, or is the file itself.
     *
     * @throws UnreadableException when it is no clip, too large or too long, or cannot be cleaned here
     */
    CheckedClip check(Path file) throws IOException {
        if (Files.size(file) == 0) {
            throw new UnreadableException("clips.error.nothing").in("file");
        }
        if (Files.size(file) > MOST) {
            throw new UnreadableException("clips.error.large", MOST / 1024 / 1024).in("file");
        }
        ClipType type =
                ClipType.of(media(file)).orElseThrow(() -> new UnreadableException("clips.error.none").in("file"));
        CheckedClip clean = ffmpeg.isThere() ? byProgram(file, type) : byBoxes(file, type);
        if (clean.length().filter(length -> length.compareTo(LONGEST) > 0).isPresent()) {
            forget(clean);
            throw new UnreadableException("clips.error.long", LONGEST.toSeconds()).in("file");
        }
        return clean;
    }

    /** Does away with what lies beside a file that was looked at. */
    static void forget(CheckedClip clip) throws IOException {
        Files.deleteIfExists(clip.file());
        if (clip.preview().isPresent()) {
            Files.deleteIfExists(clip.preview().get());
        }
    }

    private String media(Path file) throws IOException {
        // by its contents alone: a name says what somebody likes
        try (var bytes = Files.newInputStream(file)) {
            String found = types.detect(bytes);
            return found.equals("video/x-m4v") || found.equals("application/mp4") ? "video/mp4" : found;
        }
    }

    private CheckedClip byProgram(Path file, ClipType type) throws IOException {
        Path clean = file.resolveSibling(file.getFileName() + ".clean");
        if (!ffmpeg.copyClean(file, type, clean)) {
            Files.deleteIfExists(clean);
            throw new UnreadableException("clips.error.broken").in("file");
        }
        Files.delete(file);
        ClipType written = type == ClipType.WEBM ? type : ClipType.MP4;
        Path preview = file.resolveSibling(file.getFileName() + ".preview");
        boolean seen = ffmpeg.preview(clean, written, preview);
        return new CheckedClip(
                clean,
                written,
                Files.size(clean),
                ffmpeg.length(clean, written),
                seen ? Optional.of(preview) : Optional.empty());
    }

    private static CheckedClip byBoxes(Path file, ClipType type) throws IOException {
        if (type == ClipType.WEBM) {
            throw new UnreadableException("clips.error.webm").in("file");
        }
        Boxes.Facts facts;
        try {
            facts = Boxes.clean(file);
        } catch (IOException broken) {
            throw new UnreadableException("clips.error.broken").in("file");
        }
        if (!facts.pictures()) {
            throw new UnreadableException("clips.error.none").in("file");
        }
        if (facts.other()) {
            throw new UnreadableException("clips.error.more").in("file");
        }
        Optional<Duration> length = facts.length();
        return new CheckedClip(file, type, Files.size(file), length, Optional.empty());
    }
}
