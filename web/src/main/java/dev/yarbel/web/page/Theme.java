package dev.yarbel.web.page;

import java.util.Arrays;
import java.util.Locale;

/** How light a page is. */
public enum Theme {
    /** As the reader's machine has it. */
    SYSTEM,
    /** Light: calm paper. */
    CHALK,
    /** Dark, for dim gyms. */
    IRON;

    /** How pages and cookies name it. */
    public String code() {
        return name().toLowerCase(Locale.ROOT);
    }

    /** What a cookie or a form says; anything unknown is as the system has it. */
    static Theme of(String code) {
        return Arrays.stream(values())
                .filter(theme -> theme.code().equals(code))
                .findFirst()
                .orElse(SYSTEM);
    }
}
