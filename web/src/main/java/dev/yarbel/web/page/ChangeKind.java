package dev.yarbel.web.page;

/** What kind of change the ledger keeps. */
public enum ChangeKind {
    /** A dose on the sheet was written, rewritten or struck. */
    DOSE(true),
    /** Several doses, weeks, days or slots of a block at once, or what was undone of them. */
    BLOCK(false),
    /** A gate that a coach opened in their own name. */
    GATE(true),
    /** A slip was taken as proposed. */
    CALL_TAKEN(true),
    /** A slip was answered with another figure. */
    CALL_CHANGED(true),
    /** A slip was left: nothing changes. */
    CALL_LEFT(true),
    /** The answer to a slip was taken back. */
    CALL_TAKEN_BACK(true),
    /** A lift's loads and estimates hang on another rep curve. */
    CURVE(true),
    /** A logged set was corrected. */
    SET_CORRECTED(true),
    /** A logged set was another one of the day than it was logged as. */
    SET_RETASKED(true),
    /** A finished session was opened again. */
    SESSION_REOPENED(false),
    /** A max was set down, or struck and brought back. */
    MAX(true),
    /** A working max was set without a slip. */
    WORKING_MAX(true),
    /** What a lifter's mastery of a lift is, or what speaks for it. */
    MASTERY(true),
    /** A variation's ratio to its parent. */
    RATIO(true),
    /** The load announced for a contest. */
    EVENT_LOAD(true),
    /** A measure on a set-up card. */
    SET_UP(true),
    /** A variation of the club's own. */
    VARIATION(true),
    /** Something about who the lifter is. */
    PROFILE(false),
    /** Something measured on the lifter. */
    MEASURED(false),
    /** What lifter or coach want, or a note. */
    NOTE(false),
    /** An ache, noted or cleared. */
    ACHE(false),
    /** An answer to a health question, or a clearance. */
    HEALTH(false),
    /** Taken on, archived, brought back, handed over, invited. */
    ROSTER(false),
    /** The gyms a lifter uses. */
    GYMS(false),
    /** A template of the club's, struck or brought back. */
    TEMPLATE(false),
    /** What is in a gym. */
    KIT(false);

    private final boolean ofLift;

    ChangeKind(boolean ofLift) {
        this.ofLift = ofLift;
    }

    /** Whether the first part of what was changed is a lift's key. */
    public boolean isOfLift() {
        return ofLift;
    }
}
