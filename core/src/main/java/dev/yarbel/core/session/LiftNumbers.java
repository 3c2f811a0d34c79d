package dev.yarbel.core.session;

import dev.yarbel.core.effort.RepCurve;
import dev.yarbel.core.measure.Mass;
import java.util.Optional;

/** What loads of one lift can hang on today. */
public record LiftNumbers(Optional<Mass> workingMax, Optional<Mass> estimate, RepCurve curve) {

    /** Nothing is known. */
    public static final LiftNumbers NONE = new LiftNumbers(Optional.empty(), Optional.empty(), RepCurve.DEFAULT);

    /** The same with another working max. */
    public LiftNumbers withWorkingMax(Mass max) {
        return new LiftNumbers(Optional.of(max), estimate, curve);
    }
}
