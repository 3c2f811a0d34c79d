package dev.yarbel.core.lifter;

/** The sex by which formulas and weight classes are split. */
public enum Sex {
    FEMALE,
    MALE
}
