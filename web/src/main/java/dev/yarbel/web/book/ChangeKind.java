package dev.yarbel.web.book;

/** What kind of change the ledger keeps. */
public enum ChangeKind {
    /** A dose on the sheet was written, rewritten or struck. */
    DOSE,
    /** A slip was taken as proposed. */
    CALL_TAKEN,
    /** A slip was answered with another figure. */
    CALL_CHANGED,
    /** A slip was left: nothing changes. */
    CALL_LEFT,
    /** A lift's loads and estimates hang on another rep curve. */
    CURVE,
    /** A logged set was corrected. */
    SET_CORRECTED
}
