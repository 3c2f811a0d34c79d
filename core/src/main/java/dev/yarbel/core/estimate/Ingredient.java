package dev.yarbel.core.estimate;

/** What the estimate is made of, part by part; it can be had without any of them, to measure what that part is worth. */
public enum Ingredient {
    /** Ratings that lie far off count less, and slips not at all. */
    ROBUST_WEIGHTS,
    /** A single session moves a standing max by so much at most. */
    BOUNDED_STEP,
    /** Easy sets, misses, ratings of 10 and repetitions that were made say that something lies within bounds. */
    BOUNDS,
    /** A lifter's ratings lean to one side. */
    RATING_BIAS,
    /** A lifter has rep curves of their own. */
    OWN_CURVE,
    /** Good and bad days, apart from the standing max. */
    DAY_FORM,
    /** Training, and the sets before, leave a lifter tired; reps of a pull flatter the single. */
    TIREDNESS,
    /** Training makes stronger, slowly. */
    GAIN,
    /** What staying away takes comes back fast. */
    ABSENCE,
    /** What moves one lift moves the others a little. */
    TOGETHER
}
