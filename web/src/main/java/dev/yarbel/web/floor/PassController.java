package dev.yarbel.web.floor;

import dev.yarbel.web.page.Person;
import java.time.Clock;
import org.springframework.http.CacheControl;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.security.web.csrf.CsrfToken;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RestController;

/**
 * Tells a phone that has sets to send who is signed in on it, the token without which nothing is taken, and what time it is
 * here, for its own clock may stand wrong.
 */
@RestController
class PassController {

    record Pass(long account, String header, String token, long now) {}

    private final Clock clock;

    PassController(Clock clock) {
        this.clock = clock;
    }

    @GetMapping("/pass")
    ResponseEntity<Pass> pass(@AuthenticationPrincipal Person person, CsrfToken token) {
        return ResponseEntity.ok()
                .cacheControl(CacheControl.noStore())
                .body(new Pass(person.accountId(), token.getHeaderName(), token.getToken(), clock.millis()));
    }
}
