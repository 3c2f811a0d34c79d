package dev.yarbel.core.lifter;

import static org.assertj.core.api.Assertions.assertThat;

import dev.yarbel.core.lifter.HealthCheck.State;
import java.time.LocalDate;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

class HealthCheckTest {

    private static HealthCheck allNo() {
        HealthCheck check = HealthCheck.NOT_ASKED;
        for (HealthQuestion question : HealthQuestion.values()) {
            assertThat(check.state()).isEqualTo(State.OPEN);
            check = check.answered(question, false);
        }
        return check;
    }

    @Test
    void everyAnswerNoIsClear() {
        assertThat(allNo().state()).isEqualTo(State.CLEAR);
    }

    @ParameterizedTest
    @EnumSource(HealthQuestion.class)
    void anyYesAsksForClearanceEvenBeforeTheRestIsAnswered(HealthQuestion question) {
        assertThat(HealthCheck.NOT_ASKED.answered(question, true).state()).isEqualTo(State.NEEDS_CLEARANCE);
        assertThat(allNo().answered(question, true).state()).isEqualTo(State.NEEDS_CLEARANCE);
    }

    @Test
    void aClearanceHoldsUntilANewYesOfWhichItDidNotKnow() {
        HealthCheck heart = allNo().answered(HealthQuestion.HEART, true);
        HealthCheck cleared = new HealthCheck(heart.answers(), Optional.of("Dr Somebody"));
        assertThat(cleared.state()).isEqualTo(State.CLEARED);
        assertThat(cleared.answered(HealthQuestion.HEART, true).state()).isEqualTo(State.CLEARED);
        assertThat(cleared.answered(HealthQuestion.JOINT, false).state()).isEqualTo(State.CLEARED);
        assertThat(cleared.answered(HealthQuestion.JOINT, true).state()).isEqualTo(State.NEEDS_CLEARANCE);
    }

    @ParameterizedTest
    @CsvSource({"2010, true", "2008, true", "2007, false", "1980, false"})
    void whoTurnsEighteenThisYearMayStillBeAMinor(int birthYear, boolean minor) {
        assertThat(Age.mayBeMinor(birthYear, LocalDate.of(2026, 3, 10))).isEqualTo(minor);
    }
}
