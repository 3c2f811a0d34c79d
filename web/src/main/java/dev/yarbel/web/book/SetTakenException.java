package dev.yarbel.web.book;

/** This set of the day is in the log already, and says something else. */
public class SetTakenException extends Exception {

    private static final long serialVersionUID = 1;
}
