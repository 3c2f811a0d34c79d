package dev.yarbel.web.account;

/** How many lifters a coach has; the roster knows. */
public interface CoachedLifters {

    /** The lifters assigned to a coach, without those archived. */
    long count(long clubId, long coachId);
}
