package dev.yarbel.web.page;

import java.util.Arrays;
import java.util.List;
import java.util.Optional;

/** What kind of change the ledger keeps. */
public enum ChangeKind {
    /** A dose on the sheet was written, rewritten or struck. */
    DOSE(About.PLAN, true),
    /** Several doses, weeks, days or slots of a block at once, or what was undone of them. */
    BLOCK(About.PLAN, false),
    /** A gate that a coach opened in their own name. */
    GATE(About.PLAN, true),
    /** A slip was taken as proposed. */
    CALL_TAKEN(About.CALLS, true),
    /** A slip was taken without asking, in the name of the coach who lets small changes be. */
    CALL_BY_ITSELF(About.CALLS, true),
    /** A slip was answered with another figure. */
    CALL_CHANGED(About.CALLS, true),
    /** A slip was left: nothing changes. */
    CALL_LEFT(About.CALLS, true),
    /** The answer to a slip was taken back. */
    CALL_TAKEN_BACK(About.CALLS, true),
    /** A lift's loads and estimates hang on another rep curve. */
    CURVE(About.NUMBERS, true),
    /** A logged set was corrected. */
    SET_CORRECTED(About.LOG, true),
    /** A logged set was another one of the day than it was logged as. */
    SET_RETASKED(About.LOG, true),
    /** A finished session was opened again. */
    SESSION_REOPENED(About.LOG, false),
    /** Sessions came from a file, or were taken back. */
    LOG_IMPORTED(About.LOG, false),
    /** A max was set down, or struck and brought back. */
    MAX(About.NUMBERS, true),
    /** A working max was set without a slip. */
    WORKING_MAX(About.NUMBERS, true),
    /** What a lifter's mastery of a lift is, or what speaks for it. */
    MASTERY(About.NUMBERS, true),
    /** A variation's ratio to its parent. */
    RATIO(About.NUMBERS, true),
    /** How the ratings of a lift lean. */
    RATINGS(About.NUMBERS, true),
    /** How long a lift needs until it can be trained hard again, or how much another one feels of it. */
    RECOVERY(About.NUMBERS, true),
    /** The load announced for a contest. */
    EVENT_LOAD(About.NUMBERS, true),
    /** A measure on a set-up card. */
    SET_UP(About.NUMBERS, true),
    /** A variation of the club's own. */
    VARIATION(About.NUMBERS, true),
    /** Something about who the lifter is. */
    PROFILE(About.LIFTER, false),
    /** Something measured on the lifter. */
    MEASURED(About.LIFTER, false),
    /** What lifter or coach want, or a note. */
    NOTE(About.LIFTER, false),
    /** An ache, noted or cleared. */
    ACHE(About.LIFTER, false),
    /** An answer to a health question, or a clearance. */
    HEALTH(About.LIFTER, false),
    /** Taken on, archived, brought back, handed over, invited. */
    ROSTER(About.LIFTER, false),
    /** The gyms a lifter uses. */
    GYMS(About.LIFTER, false),
    /** A template of the club's, struck or brought back. */
    TEMPLATE(About.PLAN, false),
    /** A contest, and who lifts in it. */
    CONTEST(About.PLAN, false),
    /** What is in a gym. */
    KIT(About.KIT, false);

    /** What a change is about, for whoever looks for one. */
    public enum About {
        CALLS,
        NUMBERS,
        PLAN,
        LOG,
        LIFTER,
        KIT
    }

    private final About about;
    private final boolean ofLift;

    ChangeKind(About about, boolean ofLift) {
        this.about = about;
        this.ofLift = ofLift;
    }

    /** The kinds about something; all of them where nothing is said. */
    public static List<ChangeKind> of(Optional<About> about) {
        return Arrays.stream(values())
                .filter(kind -> about.isEmpty() || about.get() == kind.about)
                .toList();
    }

    /** Whether the first part of what was changed is a lift's key. */
    public boolean isOfLift() {
        return ofLift;
    }
}
