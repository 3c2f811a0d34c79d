package dev.yarbel.web.floor;

import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.ResponseStatus;

/** The day a set was lifted on is not in the plan any more: the phone that sends it keeps it and says so. */
@ResponseStatus(HttpStatus.CONFLICT)
class DayGoneException extends RuntimeException {

    private static final long serialVersionUID = 1;
}
