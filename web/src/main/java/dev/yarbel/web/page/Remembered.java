package dev.yarbel.web.page;

import java.time.Duration;
import org.springframework.http.ResponseCookie;

/** What a browser remembers of how somebody likes to look at things; nothing that is secret. */
public final class Remembered {

    private static final Duration YEAR = Duration.ofDays(365);

    private Remembered() {}

    /** The header that has a browser remember something for a year. */
    public static String cookie(String name, String value) {
        return ResponseCookie.from(name, value)
                .path("/")
                .maxAge(YEAR)
                .httpOnly(true)
                .sameSite("Lax")
                .build()
                .toString();
    }
}
