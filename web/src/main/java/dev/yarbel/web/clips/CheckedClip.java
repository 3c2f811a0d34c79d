package dev.yarbel.web.clips;

import java.nio.file.Path;
import java.time.Duration;
import java.util.Optional;

/**
 * A file that is a clip, rid of what tells more than what it shows.
 *
 * @param length empty where the file does not say it
 * @param preview a small picture of it; empty where none could be made
 */
record CheckedClip(Path file, ClipType type, long bytes, Optional<Duration> length, Optional<Path> preview) {}
