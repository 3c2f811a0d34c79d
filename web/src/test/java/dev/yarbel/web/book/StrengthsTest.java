package dev.yarbel.web.book;

import static org.assertj.core.api.Assertions.assertThat;

import dev.yarbel.core.effort.Effort;
import dev.yarbel.core.estimate.LifterStrength;
import dev.yarbel.core.estimate.MaxOnRecord;
import dev.yarbel.core.estimate.Overrules;
import dev.yarbel.core.lift.Catalogue;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.Percent;
import dev.yarbel.core.record.LiftedSession;
import dev.yarbel.core.record.LiftedSet;
import java.time.LocalDate;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

class StrengthsTest {

    private static final LocalDate DAY = LocalDate.of(2026, 3, 10);
    private static final List<MaxOnRecord> MAX = List.of(new MaxOnRecord(Lift.SQUAT, Mass.ofKg(200), DAY.minusDays(9)));

    private final Strengths strengths = new Strengths();

    private LifterStrength of(Overrules overrules, LocalDate day, int... kg) {
        List<LiftedSession> log = List.of(new LiftedSession(
                DAY.minusDays(2),
                Arrays.stream(kg)
                        .mapToObj(load -> new LiftedSet(Lift.SQUAT, Mass.ofKg(load), 1, Effort.parse("8")))
                        .toList()));
        return strengths.of(1, Catalogue.STANDARD, overrules, MAX, log, day);
    }

    @Test
    void theSameLogIsWorkedOutOnceAndAnythingElseAnew() {
        LifterStrength first = of(Overrules.NONE, DAY, 180, 190);
        assertThat(of(Overrules.NONE, DAY, 180, 190)).isSameAs(first);
        LifterStrength corrected = of(Overrules.NONE, DAY, 180, 195);
        assertThat(corrected).isNotSameAs(first);
        assertThat(corrected.estimate(Lift.SQUAT)).isNotEqualTo(first.estimate(Lift.SQUAT));
        assertThat(of(Overrules.NONE, DAY, 180, 190)).isNotSameAs(first);
        LifterStrength tomorrow = of(Overrules.NONE, DAY.plusDays(1), 180, 190);
        assertThat(tomorrow).isNotSameAs(of(Overrules.NONE, DAY, 180, 190));
        Overrules ratio = new Overrules(Map.of(), Map.of(new Lift("front-squat"), Percent.of(80)));
        assertThat(of(ratio, DAY, 180, 190)).isNotSameAs(of(Overrules.NONE, DAY, 180, 190));
    }
}
