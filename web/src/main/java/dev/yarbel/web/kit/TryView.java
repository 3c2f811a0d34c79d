package dev.yarbel.web.kit;

import dev.yarbel.core.equipment.AvailableLoads;
import dev.yarbel.core.equipment.Fit;
import dev.yarbel.core.equipment.LoadedBar;
import dev.yarbel.core.equipment.Rounding;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.MassUnit;
import dev.yarbel.web.page.BarDrawing;
import java.util.Optional;

/**
 * A load tried on what is there.
 *
 * @param loading what makes it, or what comes nearest
 * @param below the nearest lighter load and above the nearest heavier one, where it cannot be made exactly
 * @param drawing the bar, where plates make the load
 */
record TryView(
        Mass asked,
        MassUnit unit,
        LoadedBar loading,
        boolean exact,
        Fit.Limit limit,
        Optional<Mass> below,
        Optional<Mass> above,
        Optional<BarDrawing> drawing) {

    static TryView of(AvailableLoads loads, Mass asked, MassUnit unit) {
        Fit fit = loads.fit(asked, Rounding.NEAREST);
        boolean exact = fit.load().equals(asked);
        boolean inside = !exact && fit.limit() == Fit.Limit.NONE;
        return new TryView(
                asked,
                unit,
                fit.loading(),
                exact,
                fit.limit(),
                inside ? Optional.of(loads.round(asked, Rounding.DOWN)) : Optional.empty(),
                inside ? Optional.of(loads.round(asked, Rounding.UP)) : Optional.empty(),
                loads.takesPlates() ? Optional.of(BarDrawing.of(fit.loading())) : Optional.empty());
    }
}
