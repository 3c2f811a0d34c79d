package dev.yarbel.core.recovery;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatIllegalArgumentException;
import static org.assertj.core.api.Assertions.within;

import java.time.LocalDate;
import java.util.List;
import java.util.stream.IntStream;
import org.hipparchus.stat.descriptive.moment.Mean;
import org.hipparchus.stat.descriptive.moment.StandardDeviation;
import org.junit.jupiter.api.Test;

/**
 * Foster 1998, Med Sci Sports Exerc 30(7): monotony is the mean of the seven daily loads by their standard deviation, strain the week's load
 * times that; Foster et al. 2001, J Strength Cond Res 15(1): the load of a session.
 */
class WeekLoadTest {

    private static final LocalDate SUNDAY = LocalDate.of(2026, 5, 3);

    private static List<SessionLoad> threeDays() {
        return List.of(
                new SessionLoad(SUNDAY.minusDays(6), 7, 60),
                new SessionLoad(SUNDAY.minusDays(4), 5, 90),
                new SessionLoad(SUNDAY, 8, 75));
    }

    @Test
    void aSessionsLoadIsEffortTimesMinutes() {
        assertThat(new SessionLoad(SUNDAY, 7, 60).units()).isEqualTo(420);
        assertThatIllegalArgumentException().isThrownBy(() -> new SessionLoad(SUNDAY, 11, 60));
        assertThatIllegalArgumentException().isThrownBy(() -> new SessionLoad(SUNDAY, 5, -1));
    }

    /** Checked against a general-purpose library's mean and standard deviation of a whole population. */
    @Test
    void monotonyAndStrainAreFosters() {
        WeekLoad week = WeekLoad.endingOn(SUNDAY, threeDays());
        double[] daily = IntStream.of(week.daily()).asDoubleStream().toArray();
        assertThat(daily).containsExactly(420, 0, 450, 0, 0, 0, 600);
        double monotony = new Mean().evaluate(daily) / new StandardDeviation(false).evaluate(daily);
        assertThat(week.total()).isEqualTo(1470);
        assertThat(week.monotony().orElseThrow()).isCloseTo(monotony, within(1e-12));
        assertThat(week.strain().orElseThrow()).isCloseTo(1470 * monotony, within(1e-9));
    }

    @Test
    void theDayBeforeTheWeekAndTheDayAfterItDoNotCount() {
        WeekLoad week = WeekLoad.endingOn(
                SUNDAY,
                List.of(
                        new SessionLoad(SUNDAY.minusDays(7), 7, 60),
                        new SessionLoad(SUNDAY.plusDays(1), 7, 60),
                        new SessionLoad(SUNDAY.minusDays(6), 1, 10)));
        assertThat(week.total()).isEqualTo(10);
    }

    @Test
    void aWeekOfEqualDaysHasNoMonotony() {
        assertThat(WeekLoad.endingOn(SUNDAY, List.of()).monotony()).isEmpty();
        List<SessionLoad> everyDay = IntStream.range(0, 7)
                .mapToObj(back -> new SessionLoad(SUNDAY.minusDays(back), 5, 60))
                .toList();
        assertThat(WeekLoad.endingOn(SUNDAY, everyDay).strain()).isEmpty();
    }

    @Test
    void whatTheBodySaysIsToldFromTheRest() {
        Wellbeing day = new Wellbeing(2, 3, 4, 5, 7);
        assertThat(day.mind()).isEqualTo(3);
        assertThat(day.body()).isEqualTo(6);
        assertThatIllegalArgumentException().isThrownBy(() -> new Wellbeing(0, 3, 4, 5, 7));
        assertThatIllegalArgumentException().isThrownBy(() -> new Wellbeing(2, 3, 8, 5, 7));
    }
}
