package dev.yarbel.web.page;

import java.time.ZoneId;
import java.util.Optional;

/** Whoever is signed in. */
public interface Person {

    long accountId();

    long clubId();

    /** The club's time zone: it says what day it is. */
    ZoneId zone();

    String personName();

    boolean isCoach();

    /** Whether they keep the club: its coaches, and who coaches whom. */
    boolean isHeadCoach();

    /** The lifter this person is, if they lift. */
    Optional<Long> lifterId();
}
