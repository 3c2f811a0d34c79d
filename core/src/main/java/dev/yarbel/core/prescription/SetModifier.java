package dev.yarbel.core.prescription;

/** How a set is meant beyond sets, repetitions and load. */
public enum SetModifier {
    /** As fast as possible with a light load. */
    SPEED("speed"),
    /** A part of the whole movement: loads over 100 % are right there. */
    PARTIAL("partial"),
    /** A helper carries a little throughout. */
    ASSISTED("assisted"),
    /** Lowered slowly; over 100 % only with a spotter who carries the difference on the way up. */
    LOWERING("lowering"),
    /** Set-drop stages: a set is dropped when the last one loses repetitions, and load goes on being added. */
    STAGES("stages"),
    /** The lifter sees the plates, not the total. */
    BLIND("blind"),
    /** The lifter picks the exercise. */
    CHOICE("choice"),
    /** The lifter picks one they are good at. */
    CHOICE_OF_STRENGTH("choice good"),
    /** The lifter picks one they are bad at. */
    CHOICE_OF_WEAKNESS("choice bad"),
    /** Held still before the turn. */
    PAUSED("paused"),
    /** Repetitions left count up to where the position is lost, not to where the bar stops. */
    TO_POSITION("position"),
    /** So many on each side, one after the other. */
    EACH_SIDE("each side"),
    /** Rest as long as it takes. */
    FREE_REST("rest free"),
    /** By itself, not in turn with the slots that share its letter. */
    APART("apart");

    private final String word;

    SetModifier(String word) {
        this.word = word;
    }

    /** How it is written. */
    public String word() {
        return word;
    }
}
