package dev.yarbel.web.page;

import jakarta.servlet.http.HttpServletResponse;

/** What a page of ours may load and run: what we ship, and nothing inline. */
public final class ContentPolicy {

    public static final String HEADER = "Content-Security-Policy";

    public static final String TEXT = String.join(
            "; ",
            "default-src 'none'",
            "script-src 'self'",
            "style-src 'self'",
            "img-src 'self' data:",
            "media-src 'self' blob:",
            "font-src 'self'",
            "connect-src 'self'",
            "manifest-src 'self'",
            "form-action 'self'",
            "base-uri 'none'",
            "frame-ancestors 'none'");

    /** What a worker may that is given pictures and answers with figures: make code of its own, of what our scripts bring along, and nothing else. */
    public static final String WORKER = "default-src 'none'; script-src 'self' 'unsafe-eval'; connect-src data:";

    private ContentPolicy() {}

    /** Sets it where nothing else will: on what is refused before anything has looked at it. */
    public static void on(HttpServletResponse response) {
        response.setHeader(HEADER, TEXT);
        response.setHeader("X-Content-Type-Options", "nosniff");
    }
}
