package dev.yarbel.web.page;

import java.net.URI;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestParam;

/** The switch between light and dark; this browser remembers it. */
@Controller
class ThemeController {

    static final String COOKIE = "yarbel-theme";

    @PostMapping("/theme")
    ResponseEntity<Void> choose(
            @RequestParam String theme, @RequestHeader(name = HttpHeaders.REFERER, required = false) String from) {
        return ResponseEntity.status(HttpStatus.SEE_OTHER)
                .header(
                        HttpHeaders.SET_COOKIE,
                        Remembered.cookie(COOKIE, Theme.of(theme).code()))
                .location(back(from))
                .build();
    }

    /** The page the person came from, and never another server's. */
    private static URI back(String from) {
        try {
            URI uri = URI.create(from == null ? "/" : from);
            String path = uri.getRawPath();
            if (path != null && path.startsWith("/") && !path.startsWith("//")) {
                return URI.create(uri.getRawQuery() == null ? path : path + "?" + uri.getRawQuery());
            }
        } catch (IllegalArgumentException notAnAddress) {
            return URI.create("/");
        }
        return URI.create("/");
    }
}
