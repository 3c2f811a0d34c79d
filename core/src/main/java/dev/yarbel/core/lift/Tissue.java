package dev.yarbel.core.lift;

/** A place of the body that a lift loads, that a job wears, and that can ache. */
public enum Tissue {
    NECK,
    SHOULDER,
    CHEST,
    BICEPS,
    ELBOW,
    WRIST,
    HAND,
    UPPER_BACK,
    LOW_BACK,
    HIP,
    GROIN,
    THIGH_FRONT,
    THIGH_BACK,
    KNEE,
    CALF,
    ANKLE
}
