package dev.yarbel.core.ramp;

/** What a ramp is for; each is built in its own way. */
public enum RampKind {
    /** From the bare bar to a top, each step smaller than the one before near the end. */
    SHRINKING,
    /** The same plates each time, for those in a hurry; it ends where the plates do, up to about 88 % of the top. */
    EVEN,
    /** To a top of a lift that another one has warmed already: the heavier part of the shrinking ramp. */
    WARM,
    /** To speed work: one set of five at half its load. */
    SPEED,
    /** To work at about half of what the lifter can do: one or two sets. */
    LIGHT,
    /** To a carry, a hold or work against the clock: a run at half the load and one at three quarters. */
    RUNS,
    /** On a machine: two light sets. */
    MACHINE
}
