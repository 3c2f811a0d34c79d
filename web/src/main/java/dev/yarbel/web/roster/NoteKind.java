package dev.yarbel.web.roster;

/** What a text about a lifter is. */
public enum NoteKind {
    LIFTER_WANTS,
    COACH_WANTS,
    NOTE
}
