package dev.yarbel.lab.proof;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;

/** What is claimed of advised attempts, on a few lifters; the figures themselves are measured on more, and on others. */
class AttemptsProofTest {

    private static final int FIXED = 0;
    private static final int BEST = 2;

    /** Where nobody is out by fixed shares, what is safer brings a little less; where somebody is, it brings more. */
    @Test
    void theBestTotalOnAverageIsOutNoMoreOftenAndHardlyBringsLess() {
        AttemptsProof proof = AttemptsProof.of(100, 24);
        assertThat(proof.average(BEST)).as(proof.table()).isGreaterThan(proof.average(FIXED) - 0.01);
        assertThat(proof.out(BEST)).isLessThanOrEqualTo(proof.out(FIXED));
    }
}
