package dev.yarbel.core.ramp;

import dev.yarbel.core.equipment.LoadedBar;
import dev.yarbel.core.measure.Mass;

/** One warm-up set: the bar as it is loaded for it, and its repetitions. */
public record RampStep(LoadedBar loading, int reps) {

    public Mass load() {
        return loading.total();
    }
}
