package dev.yarbel.web.clips;

import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.TimeUnit;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Component;

/** The program of that name, where it is installed: it is given one file, told what that is, and may open nothing else. */
@Component
class Ffmpeg {

    private static final Logger LOG = LoggerFactory.getLogger(Ffmpeg.class);
    private static final Duration PATIENCE = Duration.ofSeconds(60);

    private final String program;
    private final String looks;
    private final boolean there;

    Ffmpeg(@Value("${yarbel.ffmpeg}") String program) {
        this.program = program;
        this.looks = program.replaceAll("ffmpeg$", "ffprobe");
        this.there = !program.isBlank() && isThere(program) && isThere(looks);
        if (!there) {
            LOG.info("ffmpeg is not there: clips are kept as they come, without a preview.");
        }
    }

    private static boolean isThere(String program) {
        try {
            return run(List.of(program, "-version")).isPresent();
        } catch (IOException none) {
            return false;
        }
    }

    boolean isThere() {
        return there;
    }

    /** Writes what is seen and heard of a file into another one, and nothing that it says of itself; whether that went. */
    boolean copyClean(Path from, ClipType type, Path to) throws IOException {
        List<String> command = new ArrayList<>(opening(from, type));
        command.addAll(List.of("-map", "0:v:0", "-map", "0:a:0?", "-c", "copy", "-map_metadata", "-1"));
        command.addAll(List.of("-map_chapters", "-1", "-fflags", "+bitexact", "-flags:v", "+bitexact"));
        if (type == ClipType.WEBM) {
            command.addAll(List.of("-f", "webm"));
        } else {
            command.addAll(List.of("-movflags", "+faststart", "-f", "mp4"));
        }
        command.add("file:" + to);
        return run(command).isPresent() && Files.size(to) > 0;
    }

    /** Makes a small picture of what is seen in the middle of the first second; whether that went. */
    boolean preview(Path from, ClipType type, Path to) throws IOException {
        List<String> command = new ArrayList<>(opening(from, type));
        command.addAll(List.of("-an", "-frames:v", "1", "-vf", "thumbnail=15,scale=240:-2", "-map_metadata", "-1"));
        command.addAll(List.of("-c:v", "mjpeg", "-q:v", "5", "-f", "image2", "-update", "1", "file:" + to));
        boolean made = run(command).isPresent() && Files.exists(to) && Files.size(to) > 0;
        if (!made) {
            Files.deleteIfExists(to);
        }
        return made;
    }

    private List<String> opening(Path from, ClipType type) {
        return List.of(
                program,
                "-v",
                "error",
                "-nostdin",
                "-y",
                "-protocol_whitelist",
                "file",
                "-f",
                format(type),
                "-i",
                "file:" + from);
    }

    private static String format(ClipType type) {
        return type == ClipType.WEBM ? "matroska" : "mov";
    }

    /** How long a file lasts; empty where it does not say so. */
    Optional<Duration> length(Path file, ClipType type) throws IOException {
        return run(List.of(
                        looks,
                        "-v",
                        "error",
                        "-protocol_whitelist",
                        "file",
                        "-f",
                        format(type),
                        "-show_entries",
                        "format=duration",
                        "-of",
                        "csv=p=0",
                        "file:" + file))
                .map(String::strip)
                .filter(text -> text.matches("\\d{1,7}(\\.\\d+)?"))
                .map(seconds -> Duration.ofMillis(Math.round(1000 * Double.parseDouble(seconds))));
    }

    /** What a program says; empty where it failed, or took longer than anybody waits. */
    private static Optional<String> run(List<String> command) throws IOException {
        Path says = Files.createTempFile("yarbel-says", null);
        try {
            Process process = new ProcessBuilder(command)
                    .redirectErrorStream(true)
                    .redirectOutput(says.toFile())
                    .start();
            process.getOutputStream().close();
            if (!process.waitFor(PATIENCE.toSeconds(), TimeUnit.SECONDS)) {
                process.destroyForcibly();
                return Optional.empty();
            }
            try (InputStream text = Files.newInputStream(says)) {
                String said = new String(text.readNBytes(4000), StandardCharsets.UTF_8);
                if (process.exitValue() != 0) {
                    LOG.debug("{} failed: {}", command.get(0), said);
                    return Optional.empty();
                }
                return Optional.of(said);
            }
        } catch (InterruptedException stopped) {
            Thread.currentThread().interrupt();
            return Optional.empty();
        } finally {
            Files.deleteIfExists(says);
        }
    }
}
