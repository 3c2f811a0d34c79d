package dev.yarbel.core.lifter;

/**
 * What is asked before the first session: the usual questions on readiness to exercise, worded by the application.
 *
 * <p>A yes to any asks for medical clearance. Yarbel draws no other conclusion from it.
 */
public enum HealthQuestion {
    /** A doctor has spoken of a heart condition or high blood pressure. */
    HEART,
    /** Pain or pressure in the chest, at rest or with effort. */
    CHEST_PAIN,
    /** Fainting, or losing balance from dizziness, within a year. */
    FAINTING,
    /** Medicine for a long-standing condition. */
    MEDICINE,
    /** A bone, joint or muscle that more load could make worse. */
    JOINT,
    /** An operation within a year. */
    SURGERY,
    /** Pregnant, or gave birth within half a year. */
    PREGNANCY,
    /** A doctor advised supervised exercise only, or there is another reason. */
    OTHER
}
