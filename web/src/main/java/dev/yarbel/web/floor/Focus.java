package dev.yarbel.web.floor;

import dev.yarbel.core.session.TaskKey;
import java.util.Optional;

/**
 * What of a day somebody looks at.
 *
 * @param set the set in hand; the next one unless one is named
 * @param changing the letter of the slot they are about to change
 * @param whole with every set of the day, for a phone that may lose the line
 */
record Focus(Optional<TaskKey> set, Optional<String> changing, boolean whole) {

    static final Focus NEXT = new Focus(Optional.empty(), Optional.empty(), false);

    static Focus of(TaskKey set) {
        return new Focus(Optional.of(set), Optional.empty(), false);
    }

    static Focus changing(String letter) {
        return new Focus(Optional.empty(), Optional.of(letter), false);
    }
}
