package dev.yarbel.core.review;

import static org.assertj.core.api.Assertions.assertThat;

import dev.yarbel.core.tally.Exposure.Judgement;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

/** Who needs the coach in the morning. The spans are our own starting values: each is tried on both sides. */
class SituationTest {

    private static final LocalDate TODAY = LocalDate.of(2026, 3, 16);

    private static Optional<LocalDate> in(long days) {
        return Optional.of(TODAY.plusDays(days));
    }

    private static Optional<Situation.Last> trained(long daysAgo, Judgement judgement) {
        return Optional.of(
                new Situation.Last(TODAY.minusDays(daysAgo), true, Optional.ofNullable(judgement), false, false));
    }

    private static Situation calm() {
        return new Situation(
                TODAY, false, 0, false, trained(2, Judgement.AS_PLANNED), List.of(), in(1), in(30), Optional.empty());
    }

    private static Situation last(Optional<Situation.Last> last) {
        return new Situation(TODAY, false, 0, false, last, List.of(), in(1), in(30), Optional.empty());
    }

    @Test
    void whoTrainsAsPlannedNeedsNobody() {
        assertThat(calm().needs()).isEmpty();
        // whoever has just been taken on, has a plan and has not begun, neither
        assertThat(last(Optional.empty()).needs()).isEmpty();
    }

    @Test
    void clearanceCallsAndAchesAreNamedTheMostUrgentFirst() {
        assertThat(calm().with(true, 2, true).needs()).containsExactly(Need.CLEARANCE, Need.CALLS, Need.ACHE);
    }

    @ParameterizedTest
    @CsvSource({"7, OVER, OVER", "8, OVER,", "7, UNDER, UNDER", "8, UNDER,", "0, AS_PLANNED,", "3,,"})
    void aSessionSaysSomethingForAWeek(long daysAgo, Judgement judgement, Need need) {
        assertThat(last(trained(daysAgo, judgement)).needs()).isEqualTo(need == null ? Set.of() : Set.of(need));
    }

    @Test
    void painAndACutSessionAreNamedForAWeek() {
        for (int days : new int[] {7, 8}) {
            Situation.Last hurt =
                    new Situation.Last(TODAY.minusDays(days), true, Optional.of(Judgement.AS_PLANNED), true, true);
            assertThat(last(Optional.of(hurt)).needs())
                    .hasSize(days == 7 ? 2 : 0)
                    .isSubsetOf(Need.PAIN, Need.CUT_SHORT);
        }
    }

    @ParameterizedTest
    @CsvSource({"9, false", "10, true"})
    void awayForTenDaysIsSaid(long days, boolean said) {
        assertThat(last(trained(days, Judgement.AS_PLANNED)).needs().contains(Need.NOT_SEEN))
                .isEqualTo(said);
    }

    @ParameterizedTest
    @CsvSource({"1, true", "7, true", "8, false"})
    void aMissedDayIsWorthAWordForAWeek(long daysAgo, boolean said) {
        Situation missed = new Situation(
                TODAY,
                false,
                0,
                false,
                trained(2, null),
                List.of(TODAY.minusDays(daysAgo)),
                in(1),
                in(30),
                Optional.empty());
        assertThat(missed.needs().contains(Need.MISSED)).isEqualTo(said);
    }

    @ParameterizedTest
    @CsvSource({"0, true", "6, true", "7, false"})
    void aPlanThatEndsWithinTheWeekWantsTheNextOne(long days, boolean ends) {
        Situation ending =
                new Situation(TODAY, false, 0, false, trained(2, null), List.of(), in(0), in(days), Optional.empty());
        assertThat(ending.needs().contains(Need.PLAN_ENDS)).isEqualTo(ends);
        assertThat(ending.needs()).doesNotContain(Need.NOTHING_PLANNED);
    }

    @Test
    void nothingPlannedIsNoPlanThatEnds() {
        Situation none = new Situation(
                TODAY,
                false,
                0,
                false,
                trained(2, null),
                List.of(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty());
        assertThat(none.needs()).containsExactly(Need.NOTHING_PLANNED);
    }

    @ParameterizedTest
    @CsvSource({"-1, false", "0, true", "28, true", "29, false"})
    void aContestIsNearForFourWeeks(long days, boolean near) {
        Situation toward = new Situation(TODAY, false, 0, false, trained(2, null), List.of(), in(1), in(30), in(days));
        assertThat(toward.needs().contains(Need.CONTEST)).isEqualTo(near);
    }

    /** A need that nothing can bring about would be a word nobody ever reads. */
    @ParameterizedTest
    @EnumSource
    void everyNeedComesAbout(Need need) {
        Situation over = new Situation(
                TODAY,
                true,
                1,
                true,
                Optional.of(new Situation.Last(TODAY, true, Optional.of(Judgement.OVER), true, true)),
                List.of(TODAY.minusDays(1)),
                in(0),
                in(0),
                in(0));
        Situation away = last(trained(AWAY, null));
        Situation none = new Situation(
                TODAY,
                false,
                0,
                false,
                trained(1, Judgement.UNDER),
                List.of(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty());
        assertThat(List.of(over, away, none))
                .anySatisfy(situation -> assertThat(situation.needs()).contains(need));
    }

    private static final long AWAY = Situation.AWAY_DAYS;
}
