package dev.yarbel.web.book;

import dev.yarbel.core.session.DoneSet;

/** This set of the day is in the log already, and says something else. */
public class SetTakenException extends Exception {

    private static final long serialVersionUID = 1;

    private final transient DoneSet logged;

    SetTakenException(DoneSet logged) {
        this.logged = logged;
    }

    /** What the log says. */
    public DoneSet logged() {
        return logged;
    }
}
