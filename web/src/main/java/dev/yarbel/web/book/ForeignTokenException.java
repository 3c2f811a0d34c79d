package dev.yarbel.web.book;

import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.ResponseStatus;

/** The token of a set names one of another session: whatever sent it mixes things up, and sending it again changes nothing. */
@ResponseStatus(HttpStatus.CONFLICT)
class ForeignTokenException extends RuntimeException {

    private static final long serialVersionUID = 1;
}
