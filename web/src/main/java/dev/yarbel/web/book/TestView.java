package dev.yarbel.web.book;

import dev.yarbel.core.equipment.AvailableLoads;
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
 * @param atHeight with what is on it a bar lies on the floor at its height
 * @param max what the test found; null while it runs
 */
record TestView(
        String state,
        Mass load,
        Mass max,
        Mass workingMax,
        Optional<BarDrawing> drawing,
        boolean atHeight,
        String kit) {

    static TestView of(NoviceStart.Step step, AvailableLoads loads) {
        return step.accept(new Of(loads));
    }

    private record Of(AvailableLoads loads) implements NoviceStart.Step.Visitor<TestView> {

        @Override
        public TestView another(NoviceStart.Step.Another another) {
            Optional<BarDrawing> drawing = loads.takesPlates()
                    ? Optional.of(BarDrawing.of(
                            loads.fit(another.load(), Rounding.NEAREST).loading()))
                    : Optional.empty();
            boolean atHeight = loads.fit(another.load(), Rounding.NEAREST)
                    .loading()
                    .stack()
                    .isFullHeight();
            return new TestView("another", another.load(), null, null, drawing, atHeight, loads.name());
        }

        @Override
        public TestView over(NoviceStart.Step.Over over) {
            return ended(over.overshot() ? "overshot" : "over", over.max(), over.workingMax());
        }

        @Override
        public TestView ended(NoviceStart.Step.Ended ended) {
            return ended("ended", ended.atLeast(), ended.workingMax());
        }

        @Override
        public TestView tooHeavy(NoviceStart.Step.TooHeavy tooHeavy) {
            return ended("too-heavy", null, null);
        }

        private TestView ended(String state, Mass max, Mass workingMax) {
            return new TestView(state, null, max, workingMax, Optional.empty(), false, loads.name());
        }
    }
}
