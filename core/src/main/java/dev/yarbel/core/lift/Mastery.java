package dev.yarbel.core.lift;

/** How well a lifter has mastered one lift; a strong deadlifter may be a beginner in the squat. */
public enum Mastery {
    BEGINNER,
    INTERMEDIATE,
    ADVANCED
}
