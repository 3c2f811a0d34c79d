package dev.yarbel.lab.proof;

import static org.assertj.core.api.Assertions.assertThat;

import dev.yarbel.core.record.LiftedSet;
import dev.yarbel.lab.lifter.Life;
import dev.yarbel.lab.lifter.SimulatedLifter;
import java.util.List;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;

class ToldLivesTest {

    private static final int WEEKS = 40;

    @Test
    void aSensorChangesNothingOfALife() {
        Life plain = SimulatedLifter.of(3).live(WEEKS);
        Life measured = SimulatedLifter.of(3).measured().live(WEEKS);
        assertThat(measured.weeks()).isEqualTo(plain.weeks());
        // and is the same the next time, on another machine too: seven speeds as they were drawn once
        assertThat(sets(measured).stream()
                        .flatMap(set -> set.details().speed().stream())
                        .limit(7)
                        .map(Object::toString))
                .containsExactly("0.314", "0.351", "0.343", "0.336", "0.351", "0.342", "0.331");
        assertThat(sets(measured).stream()
                        .map(set -> set.load() + "x" + set.reps() + set.effort())
                        .toList())
                .isEqualTo(sets(plain).stream()
                        .map(set -> set.load() + "x" + set.reps() + set.effort())
                        .toList());
        assertThat(sets(measured))
                .allMatch(
                        set -> set.effort().isMissed() || set.details().speed().isPresent());
    }

    private static List<LiftedSet> sets(Life life) {
        return life.sessions().stream()
                .flatMap(session -> session.sets().stream())
                .toList();
    }

    @Test
    void tablesComeNearTheLineTheyWereMadeOf() {
        SpeedProof proof =
                SpeedProof.of(Lives.of(10, 30, lifter -> lifter.measured().live(WEEKS)));
        assertThat(proof.medianSpeed()).isLessThan(0.03);
        assertThat(proof.medianRepetitions()).isLessThanOrEqualTo(1);
        // whose lines were those of others would be far off
        List<Life> lives = Lives.of(10, 30, lifter -> lifter.measured().live(WEEKS));
        List<Life> swapped = IntStream.range(0, lives.size())
                .mapToObj(at -> {
                    Life own = lives.get(at);
                    return new Life(
                            own.first(),
                            own.tested(),
                            own.sessions(),
                            own.weeks(),
                            own.habits(),
                            lives.get((at + 1) % lives.size()).speeds());
                })
                .toList();
        assertThat(SpeedProof.of(swapped).medianSpeed()).isGreaterThan(2 * proof.medianSpeed());
    }

    @Test
    void limitSetsBringTheRatingBiasNearer() {
        double without =
                HabitProof.of(Lives.of(10, 40, lifter -> lifter.live(WEEKS))).medianBias();
        double with = HabitProof.of(
                        Lives.of(10, 40, lifter -> lifter.toTheLimit().live(WEEKS)))
                .medianBias();
        assertThat(with).isLessThan(without);
    }

    @Test
    void kitThatIsSaidToBeLeftOffCostsNothing() {
        double worn = error(SimulatedLifter.BeltOff.NEVER);
        assertThat(error(SimulatedLifter.BeltOff.SAID)).isLessThan(error(SimulatedLifter.BeltOff.UNSAID));
        assertThat(error(SimulatedLifter.BeltOff.SAID)).isLessThan(1.15 * worn);
    }

    private static double error(SimulatedLifter.BeltOff said) {
        return StandingMaxProof.of(
                        List.of(StandingMaxProof.yarbel()),
                        Lives.of(10, 30, lifter -> lifter.withoutBelt(said).live(WEEKS)))
                .scores()
                .values()
                .iterator()
                .next()
                .pooled();
    }
}
