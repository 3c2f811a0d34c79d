package dev.yarbel.web.kept;

import java.util.List;
import org.springframework.core.io.InputStreamSource;

/** Files that a room keeps of lifters, for whoever takes all of theirs along. */
public interface LifterFiles {

    /** @param name by which somebody tells it from the others; without a folder */
    record KeptFile(String folder, String name, InputStreamSource content) {}

    /** Those of a lifter, each opened as it is read. */
    List<KeptFile> files(long clubId, long lifterId);
}
