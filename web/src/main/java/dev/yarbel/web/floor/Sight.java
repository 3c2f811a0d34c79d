package dev.yarbel.web.floor;

import dev.yarbel.core.session.TaskKey;
import java.util.Optional;

/**
 * What somebody wants to see of a day.
 *
 * @param set the set in hand; the next one unless one is named
 * @param changing the letter of the slot they are about to change
 * @param whole with every set of the day, for a phone that may lose the line
 */
record Sight(Optional<TaskKey> set, Optional<String> changing, boolean whole) {

    static final Sight NEXT = new Sight(Optional.empty(), Optional.empty(), false);

    static Sight of(TaskKey set) {
        return new Sight(Optional.of(set), Optional.empty(), false);
    }

    static Sight changing(String letter) {
        return new Sight(Optional.empty(), Optional.of(letter), false);
    }
}
