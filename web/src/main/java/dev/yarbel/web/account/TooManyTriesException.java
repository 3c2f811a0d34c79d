package dev.yarbel.web.account;

import java.time.Duration;
import org.springframework.security.core.AuthenticationException;

/** Somebody tries too fast; whether the name exists is not said by it. */
final class TooManyTriesException extends AuthenticationException {

    private static final long serialVersionUID = 1;

    private final Duration pause;

    TooManyTriesException(Duration pause) {
        super("too many tries");
        this.pause = pause;
    }

    /** How long until the next one is looked at, in seconds, at least one. */
    long seconds() {
        return Math.max(1, pause.toSeconds());
    }
}
