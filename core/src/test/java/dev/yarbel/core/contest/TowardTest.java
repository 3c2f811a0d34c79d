package dev.yarbel.core.contest;

import static org.assertj.core.api.Assertions.assertThat;

import dev.yarbel.core.block.Block;
import dev.yarbel.core.block.Slot;
import dev.yarbel.core.block.TrainingDay;
import dev.yarbel.core.lift.Catalogue;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.prescription.Dose;
import dev.yarbel.core.record.Worn;
import java.time.LocalDate;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

class TowardTest {

    private static final LocalDate MONDAY = LocalDate.of(2026, 3, 2);
    private static final LocalDate CONTEST = MONDAY.plusDays(54);
    private static final ContestRules RULES = ContestRules.named("ipf-classic");

    private static Block block(String dose) {
        return new Block(
                MONDAY,
                8,
                List.of(new TrainingDay(
                        "Day",
                        0,
                        List.of(new Slot("A", Lift.SQUAT, Collections.nCopies(8, Optional.of(Dose.parse(dose))))))));
    }

    private static Toward of(Block now, Optional<Block> shaped) {
        return Toward.of(RULES.lifts(), RULES.allowed(), Catalogue.STANDARD, CONTEST, now, shaped);
    }

    /** The dates of common practice: deadlift ten days, squat seven, bench five, the last session three. */
    @Test
    void datesAreCountedBackTheEarliestFirst() {
        Toward toward = of(block("3x3 80%"), Optional.empty());
        assertThat(toward.singles()).isEqualTo(CONTEST.minusDays(35));
        assertThat(toward.lighter()).isEqualTo(CONTEST.minusDays(14));
        assertThat(toward.lastHeavy().keySet()).containsExactly(Lift.DEADLIFT, Lift.SQUAT, Lift.BENCH_PRESS);
        assertThat(toward.lastHeavy().values())
                .containsExactly(CONTEST.minusDays(10), CONTEST.minusDays(7), CONTEST.minusDays(5));
        assertThat(toward.lastSession()).isEqualTo(CONTEST.minusDays(3));
        assertThat(toward.changes()).isEmpty();
    }

    @Test
    void eachDoseThatShapingChangesIsThereBeforeAndAfter() {
        Toward toward = of(block("3x3 80%"), Optional.of(block("2x3 80%")));
        assertThat(toward.changes()).hasSize(8).allSatisfy(change -> {
            assertThat(change.before()).contains(Dose.parse("3x3 80%"));
            assertThat(change.after()).contains(Dose.parse("2x3 80%"));
        });
    }

    /** Wraps in the last weeks of a contest without them are told; a belt is not, nor what is worn before. */
    @Test
    void whatMayNotBeWornOnTheDayIsTold() {
        assertThat(of(block("3x3 80% knee-wraps belt"), Optional.empty()).notAllowed())
                .containsExactly(Worn.KNEE_WRAPS);
        assertThat(of(block("3x3 80% belt"), Optional.empty()).notAllowed()).isEmpty();
        Toward later = Toward.of(
                RULES.lifts(),
                RULES.allowed(),
                Catalogue.STANDARD,
                CONTEST.plusWeeks(8),
                block("3x3 80% knee-wraps"),
                Optional.empty());
        assertThat(later.notAllowed()).isEmpty();
    }

    @Test
    void rulesSayWhatLiesOnTheBarAndWhatMayBeWorn() {
        assertThat(RULES.bar().kilograms()).isEqualTo(20);
        assertThat(RULES.collars().kilograms()).isEqualTo(5);
        assertThat(RULES.allowed()).contains(Worn.BELT, Worn.KNEE_SLEEVES).doesNotContain(Worn.SUIT, Worn.KNEE_WRAPS);
        assertThat(ContestRules.named("ipf-equipped").allowed()).contains(Worn.SUIT, Worn.BENCH_SHIRT);
        assertThat(ContestKit.of(RULES, List.of()).loads().get(0).kilograms()).isEqualTo(25);
    }

    /** A room without small plates: nothing is loaded that needs them. */
    @Test
    void aRoomHasThePlatesItHas() {
        assertThat(ContestKit.of(RULES, List.of(Mass.ofKg(20), Mass.ofKg(20), Mass.ofKg(10)))
                        .loads())
                .extracting(Mass::kilograms)
                .containsExactly(25.0, 45.0, 65.0, 85.0, 105.0, 125.0);
    }
}
