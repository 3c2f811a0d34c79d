package dev.yarbel.core.equipment;

/** What kind of thing a lift is done with. */
public enum Implement {
    BARBELL(Made.PLATES),
    SAFETY_BAR(Made.PLATES),
    CAMBERED_BAR(Made.PLATES),
    MULTI_GRIP_BAR(Made.PLATES),
    TRAP_BAR(Made.PLATES),
    AXLE(Made.PLATES),
    LOG(Made.PLATES),
    YOKE(Made.PLATES),
    FRAME(Made.PLATES),
    /** A pair of carrying handles, one in each hand; the load is that of one. */
    HANDLES(Made.PLATES),
    /** Dumbbells; the load is that of one. */
    DUMBBELL(Made.PIECES),
    /** One thick-handled dumbbell pressed overhead with one hand. */
    EVENT_DUMBBELL(Made.PIECES),
    STONE(Made.PIECES),
    SANDBAG(Made.PIECES),
    KEG(Made.PIECES),
    /** A machine with a stack of weights; each is made for a lift of its own. */
    MACHINE(Made.STACK),
    /** The lifter's own body; the load is what hangs on a belt. */
    BODY(Made.FREELY);

    /** How a load comes about. */
    public enum Made {
        /** Plates go on both ends. */
        PLATES,
        /** One piece out of a row. */
        PIECES,
        /** A pin in a stack. */
        STACK,
        /** As written. */
        FREELY
    }

    private final Made made;

    Implement(Made made) {
        this.made = made;
    }

    public Made made() {
        return made;
    }

    /** Among how many ends the gym's plates are shared: four for a pair of handles, else two. */
    public int ends() {
        return this == HANDLES ? 4 : 2;
    }
}
