package dev.yarbel.core.block;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.prescription.Dose;
import dev.yarbel.core.session.PrescribedSets;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

class BlockTest {

    private static final LocalDate MONDAY = LocalDate.of(2026, 3, 2);
    private static final Optional<Dose> SINGLE = Optional.of(Dose.parse("1 @8"));

    private static Block block(int weeks) {
        Slot every = new Slot("A", Lift.SQUAT, List.of(SINGLE, SINGLE));
        Slot second = new Slot("B", Lift.SQUAT, List.of(Optional.empty(), SINGLE));
        return new Block(MONDAY, weeks, List.of(new TrainingDay("Day 1", 2, List.of(every, second))));
    }

    @Test
    void daysFallOnTheirDates() {
        assertThat(block(2).date(0, 1)).isEqualTo(LocalDate.of(2026, 3, 11));
        assertThat(block(2).end()).isEqualTo(LocalDate.of(2026, 3, 15));
    }

    @Test
    void aWeekMayLeaveASlotOut() {
        assertThat(PrescribedSets.of(block(2), 0, 0))
                .extracting(PrescribedSets::letter)
                .containsExactly("A");
        assertThat(PrescribedSets.of(block(2), 0, 1))
                .extracting(PrescribedSets::letter)
                .containsExactly("A", "B");
    }

    @Test
    void dosesForOtherWeeksThanTheBlocksAreRefused() {
        assertThatThrownBy(() -> block(3)).hasMessageContaining("doses for 2 weeks, not 3");
        assertThatThrownBy(() -> new TrainingDay("Day 8", 7, List.of())).isInstanceOf(IllegalArgumentException.class);
    }
}
