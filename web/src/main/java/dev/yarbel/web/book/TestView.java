package dev.yarbel.web.book;

import dev.yarbel.core.equipment.Loads;
import dev.yarbel.core.equipment.Rounding;
import dev.yarbel.core.estimate.NoviceStart;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.web.page.BarDrawing;
import java.util.Optional;

/**
 * Where a guided test stands.
 *
 * @param state the code of it: another, over, overshot, ended, too-heavy
 * @param load the next set's load; null when there is none
 * @param max what the test found; null while it runs
 */
record TestView(String state, Mass load, Mass max, Mass workingMax, Optional<BarDrawing> drawing, String kit) {

    static TestView of(NoviceStart.Step step, Loads loads) {
        if (step instanceof NoviceStart.Step.Another another) {
            Optional<BarDrawing> drawing = loads.takesPlates()
                    ? Optional.of(BarDrawing.of(
                            loads.fit(another.load(), Rounding.NEAREST).loading()))
                    : Optional.empty();
            return new TestView("another", another.load(), null, null, drawing, loads.name());
        }
        if (step instanceof NoviceStart.Step.Over over) {
            return new TestView(
                    over.overshot() ? "overshot" : "over",
                    null,
                    over.max(),
                    over.workingMax(),
                    Optional.empty(),
                    loads.name());
        }
        if (step instanceof NoviceStart.Step.Ended ended) {
            return new TestView("ended", null, ended.atLeast(), ended.workingMax(), Optional.empty(), loads.name());
        }
        return new TestView("too-heavy", null, null, null, Optional.empty(), loads.name());
    }
}
