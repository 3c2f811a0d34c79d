package dev.yarbel.core.progress;

import dev.yarbel.core.measure.Mass;

/** Cluster singles: the load stays until every round was made whole, then it goes up (common practice, no source). */
enum ClusterRounds implements Law {
    LAW;

    @Override
    public Step after(Run run, Result result, Mass step) {
        return LastAndStep.orRepeat(run, SetsMade.of(run, result), step);
    }
}
