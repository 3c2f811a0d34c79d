package dev.yarbel.core.session;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.prescription.Dose;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class AmendmentTest {

    private static final List<PrescribedSets> DAY = List.of(
            PrescribedSets.of("A", Lift.SQUAT, Dose.parse("1 @8 then 5x5 -20%")).get(0),
            PrescribedSets.of("A", Lift.SQUAT, Dose.parse("1 @8 then 5x5 -20%")).get(1),
            new PrescribedSets("B", Lift.BENCH_PRESS, Dose.parse("3x8 70%")));

    private static List<String> after(String... amendments) {
        return Amended.of(
                        DAY, List.of(amendments).stream().map(Amendment::parse).toList())
                .day()
                .stream()
                .map(p -> p.letter() + " " + p.lift().key() + " " + p.firstSet() + "-" + p.lastSet())
                .toList();
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "A shorten 2",
                "A shorten 0",
                "B swap front-squat",
                "A dose 2 3x5 @7 rest 120",
                "A another 1",
                "A load 1 142.5kg",
                "C1 load 3 315lb",
                "A step 120kg 2",
                "A go-on A.w3",
                "A checked"
            })
    void itsTextReadsBack(String text) {
        assertThat(Amendment.parse(text).text()).isEqualTo(text);
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "",
                "A",
                "A fly 2",
                "A shorten",
                "A shorten two",
                "A shorten 99",
                "A load 1",
                "A load 0 100kg",
                "A load 1 0kg",
                "A load 1 2000kg",
                "A step 100kg 0",
                "A dose 2 nonsense",
                "A go-on A",
                "ABCDE checked"
            })
    void anythingElseIsRefused(String text) {
        assertThatThrownBy(() -> Amendment.parse(text)).isInstanceOf(IllegalArgumentException.class);
    }

    @Test
    void aSlotCutShortKeepsItsFirstSetsAndItsPlace() {
        assertThat(after("A shorten 3")).containsExactly("A squat 1-1", "A squat 2-3", "B bench-press 1-3");
        assertThat(after("A shorten 0")).containsExactly("A squat 1-0", "A squat 2-1", "B bench-press 1-3");
        assertThat(after("B shorten 9")).containsExactly("A squat 1-1", "A squat 2-6", "B bench-press 1-3");
    }

    @Test
    void anotherSetIsNumberedInAndTheRestMovesOn() {
        assertThat(after("A another 1")).containsExactly("A squat 1-2", "A squat 3-7", "B bench-press 1-3");
        assertThat(after("A another 6")).containsExactly("A squat 1-1", "A squat 2-7", "B bench-press 1-3");
    }

    @Test
    void aSwappedSlotIsTheSameDoseWithTheOtherLift() {
        assertThat(after("B swap close-grip-bench"))
                .containsExactly("A squat 1-1", "A squat 2-6", "B close-grip-bench 1-3");
    }

    @Test
    void anotherDoseStandsFromItsSetOn() {
        assertThat(after("A dose 4 2x3 @7"))
                .containsExactly("A squat 1-1", "A squat 2-3", "A squat 4-5", "B bench-press 1-3");
        assertThat(after("B dose 1 1 @8")).containsExactly("A squat 1-1", "A squat 2-6", "B bench-press 1-1");
        Amended amended = Amended.of(DAY, List.of(Amendment.parse("A dose 2 2x3 @7")));
        assertThat(amended.day().get(1).isAnsweredBy(TaskKey.work("A", 4))).isTrue();
        assertThat(amended.day().get(0).isAnsweredBy(TaskKey.work("A", 2))).isFalse();
    }

    @Test
    void aChangeOfASlotThatIsNotThereChangesNothing() {
        assertThat(after("Z shorten 1")).isEqualTo(after());
    }

    @Test
    void whatConcernsOneSetIsKeptApart() {
        Amended amended = Amended.of(
                DAY,
                List.of(
                        Amendment.parse("A load 1 180kg"),
                        Amendment.parse("A load 1 182.5kg"),
                        Amendment.parse("A go-on A.1"),
                        Amendment.parse("B checked")));
        assertThat(amended.load(TaskKey.work("A", 1)))
                .contains(Mass.parse("182.5", dev.yarbel.core.measure.MassUnit.KG));
        assertThat(amended.isAnswered(TaskKey.work("A", 1))).isTrue();
        assertThat(amended.isChecked("B")).isTrue();
        assertThat(amended.isChecked("A")).isFalse();
        assertThat(amended.day()).isEqualTo(DAY);
    }
}
