package dev.yarbel.core.adjust;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dev.yarbel.core.measure.Percent;
import java.util.Optional;
import org.hipparchus.stat.interval.BinomialProportion;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What followed an answer, and what it says of it. */
class AftermathTest {

    private static Aftermath after(
            int sessions, int rated, int over, int under, int missed, boolean hurt, String trend) {
        return new Aftermath(
                sessions,
                rated,
                over,
                under,
                missed,
                hurt,
                Optional.ofNullable(trend).map(Percent::of));
    }

    @ParameterizedTest(name = "{0} sessions, {1} rated, {2} over, {3} under, {4} missed, hurt {5}, trend {6}: {7}")
    @CsvSource({
        "1, 3, 0, 0, 0, false, 1,    UNKNOWN",
        "2, 0, 0, 0, 0, false,  ,    UNKNOWN",
        "2, 2, 0, 0, 0, false,  ,    BORNE_OUT",
        "2, 0, 0, 0, 0, false, 1,    BORNE_OUT",
        "2, 2, 0, 0, 0, true,  3,    HURT",
        "4, 6, 1, 0, 1, false, 0,    BORNE_OUT",
        "4, 6, 2, 0, 0, false, 0,    TOO_MUCH",
        "4, 6, 0, 0, 2, false, 0,    TOO_MUCH",
        "2, 1, 1, 0, 0, false, 0,    BORNE_OUT",
        "4, 6, 0, 0, 0, false, -2.4, BORNE_OUT",
        "4, 6, 0, 0, 0, false, -2.5, FELL",
        "4, 6, 0, 3, 0, false, 0,    BORNE_OUT",
        "4, 6, 0, 4, 0, false, 0,    TOO_LITTLE",
    })
    void whatFollowedBearsAnAnswerOutOrNot(
            int sessions, int rated, int over, int under, int missed, boolean hurt, String trend, Verdict verdict) {
        assertThat(after(sessions, rated, over, under, missed, hurt, trend).verdict(Direction.SAME))
                .isEqualTo(verdict);
    }

    @Test
    void whatWasTakenDownMayFallAndWhatWasRaisedMayComeEasily() {
        Aftermath fell = after(4, 6, 0, 0, 0, false, "-4");
        assertThat(fell.verdict(Direction.LESS)).isEqualTo(Verdict.BORNE_OUT);
        assertThat(fell.verdict(Direction.REST)).isEqualTo(Verdict.BORNE_OUT);
        assertThat(fell.verdict(Direction.MORE)).isEqualTo(Verdict.FELL);
        Aftermath easy = after(4, 6, 0, 6, 0, false, "1");
        assertThat(easy.verdict(Direction.MORE)).isEqualTo(Verdict.BORNE_OUT);
        assertThat(easy.verdict(Direction.REST)).isEqualTo(Verdict.BORNE_OUT);
        assertThat(easy.verdict(Direction.LESS)).isEqualTo(Verdict.TOO_LITTLE);
    }

    @Test
    void anAnswerThatLeavesThingsAsTheyAreGoesNoWay() {
        assertThat(Direction.of(true, true, false, true)).isEqualTo(Direction.SAME);
        assertThat(Direction.of(false, true, false, true)).isEqualTo(Direction.MORE);
        assertThat(Direction.of(false, false, true, true)).isEqualTo(Direction.REST);
        assertThat(Direction.of(false, false, false, true)).isEqualTo(Direction.LESS);
        assertThat(Direction.of(false, false, false, false)).isEqualTo(Direction.SAME);
    }

    /** Against a general-purpose library's reading of Wilson 1927. */
    @ParameterizedTest
    @CsvSource({"0, 6", "3, 6", "6, 6", "7, 10", "19, 30", "1, 2"})
    void theRangeOfAShareIsWilsons(int of, int in) {
        var other = BinomialProportion.getWilsonScoreInterval(in, of / (double) in, 0.8);
        Proportion ours = new Proportion(of, in);
        assertThat(ours.low().share().doubleValue()).isCloseTo(other.getLowerBound(), within(1e-4));
        assertThat(ours.high().share().doubleValue()).isCloseTo(other.getUpperBound(), within(1e-4));
    }

    @Test
    void itIsReadOutOfTheLogAfterTheAnswer() {
        Subject subject = CallScene.squat()
                .estimate("200", "205")
                .lifted(40, "1x1 @8|180", "180x1 9.5")
                .lifted(30, "1x1 @8|180", "180x1 9.5")
                .lifted(21, "1x1 @8|180", "180x1 9")
                .deload()
                .lifted(14, "1x1 @5|120", "120x1 8")
                .subject();
        Aftermath all = Aftermath.of(
                subject.lift(),
                CallScene.TODAY.minusDays(41),
                subject.sessions(),
                subject.plan().resolver()::numbers,
                subject.known().estimate());
        assertThat(all).isEqualTo(new Aftermath(3, 3, 3, 0, 0, false, Optional.empty()));
        Aftermath later = Aftermath.of(
                subject.lift(),
                CallScene.TODAY.minusDays(30),
                subject.sessions(),
                subject.plan().resolver()::numbers,
                subject.known().estimate());
        assertThat(later.sessions()).isOne();
        Aftermath whole = Aftermath.of(
                Subject.WHOLE,
                CallScene.TODAY.minusDays(41),
                subject.sessions(),
                subject.plan().resolver()::numbers,
                Optional.empty());
        assertThat(whole.sessions()).isEqualTo(3);
        assertThat(whole.over()).isEqualTo(3);
    }

    @Test
    void fewSayNothing() {
        assertThat(new Proportion(4, 4).isTooFew()).isTrue();
        assertThat(new Proportion(5, 5).isTooFew()).isFalse();
        assertThat(new Proportion(0, 0).low()).isEqualTo(Percent.ZERO);
        assertThat(new Proportion(0, 0).high()).isEqualTo(Percent.HUNDRED);
    }
}
