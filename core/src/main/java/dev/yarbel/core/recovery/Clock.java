package dev.yarbel.core.recovery;

import dev.yarbel.core.measure.Percent;

/**
 * What comes back after a day, each at a pace of its own, in their order (common practice, no source; the shares of what force takes are ours). Force is what
 * a hard day needs: by it hard days come too soon.
 */
public enum Clock {
    TECHNIQUE(50),
    MUSCLE(80),
    FORCE(100),
    JOINTS(130);

    private final Percent share;

    Clock(long percent) {
        this.share = Percent.of(percent);
    }

    /** Of the hours until the like can be trained hard again. */
    public Percent share() {
        return share;
    }
}
