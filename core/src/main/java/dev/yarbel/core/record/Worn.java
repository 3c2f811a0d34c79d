package dev.yarbel.core.record;

import java.util.Collection;
import java.util.Collections;
import java.util.EnumSet;
import java.util.Set;

/** Kit on the lifter's body; what was worn changes what a set tells. */
public enum Worn {
    BELT,
    KNEE_SLEEVES,
    KNEE_WRAPS,
    ELBOW_SLEEVES,
    WRIST_WRAPS,
    STRAPS,
    SUIT,
    BENCH_SHIRT,
    GRIP_SHIRT;

    /** What was worn, each piece once and always in the same order; nobody can change it. */
    public static Set<Worn> inOrder(Collection<Worn> pieces) {
        EnumSet<Worn> ordered = EnumSet.noneOf(Worn.class);
        ordered.addAll(pieces);
        return Collections.unmodifiableSet(ordered);
    }
}
