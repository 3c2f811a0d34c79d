package dev.yarbel.web.account;

import java.util.Locale;

/** What a program may do with a token, of what its owner may. */
public enum Scope {
    /** Read all that its owner sees. */
    READ,
    /** Log and correct sets, finish sessions. */
    LOG,
    /** Begin blocks and edit them. */
    PLANS,
    /** Set maxes down, and working maxes. */
    MAXES,
    /** Take lifters on and keep their profiles. */
    LIFTERS,
    /** Keep gyms and what is in them. */
    KIT,
    /** Keep contests and who lifts in them. */
    CONTESTS;

    /** As a token's request bears it. */
    String authority() {
        return "SCOPE_" + name();
    }

    /** Its name in forms, in the bundle and in the interface. */
    public String code() {
        return name().toLowerCase(Locale.ROOT);
    }

    /** Whether it is of any use to somebody who coaches nobody. */
    boolean isForLifters() {
        return this == READ || this == LOG || this == LIFTERS;
    }
}
