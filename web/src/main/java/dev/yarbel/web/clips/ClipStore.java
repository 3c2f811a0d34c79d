package dev.yarbel.web.clips;

import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Path;
import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.springframework.core.io.Resource;

/** Where clips lie: a folder, or whatever else keeps files under names. */
interface ClipStore {

    /** Takes what comes in to where it can be looked at, and from where it can be kept or forgotten. */
    Path receive(InputStream content) throws IOException;

    /** Keeps a file that was received under a name that is nobody else's; it is there as a whole or not at all. */
    void put(UUID name, Path file) throws IOException;

    /** A file that is kept; one that is not does not exist. */
    Resource open(UUID name);

    /** Does away with a file; nothing happens where there is none. */
    void delete(UUID name) throws IOException;

    /** Of what was put here before a moment, the names. */
    List<UUID> before(Instant moment) throws IOException;
}
