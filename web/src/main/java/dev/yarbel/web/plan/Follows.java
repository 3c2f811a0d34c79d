package dev.yarbel.web.plan;

/** A form whose edit may be made on the blocks given from this one as well. */
interface Follows {

    /** Whether that is asked for; null where nothing was said. */
    Boolean follow();

    default boolean isFollowed() {
        return Boolean.TRUE.equals(follow());
    }
}
