package dev.yarbel.lab.proof;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;

/** What is claimed of rehearsals, on a few lifters; the figures themselves are measured on more, and on others. */
class RehearsalProofTest {

    @Test
    void chancesOfAMissComeTrueAboutAsOftenAsTheySay() {
        RehearsalProof proof = RehearsalProof.of(100, 40);
        assertThat(proof.brier()).isLessThan(0.75 * proof.brierOfTheRate());
        assertThat(proof.bins())
                .filteredOn(bin -> bin.count() >= 100)
                .hasSizeGreaterThan(4)
                .allSatisfy(bin -> assertThat(bin.missed()).isCloseTo(bin.said(), within(0.2)));
        assertThat(proof.held()).isBetween(0.7, 0.92);
    }
}
