package dev.yarbel.core.adjust;

import static dev.yarbel.core.adjust.CallScene.kg;
import static dev.yarbel.core.adjust.CallScene.squat;
import static org.assertj.core.api.Assertions.assertThat;

import dev.yarbel.core.adjust.AskLifter.Asking;
import dev.yarbel.core.lift.Lift;
import java.math.BigDecimal;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Slips that show in a log: sets that are not there, jumps near the top; and a bar that moves faster. Common practice, no source. */
class LogSlipsTest {

    private static final CallRule SETS_UNLIKE = new SetsUnlike();
    private static final CallRule BAR_LEFT_OUT = new BarLeftOut();
    private static final CallRule BIG_JUMP = new BigJump();
    private static final CallRule FASTER = new Faster();

    @Test
    void fewerSetsThanAskedForAreAskedAbout() {
        assertThat(squat().lifted(1, "3x5 75%", "150x5 7", "150x5 7", "150x5 7").look(SETS_UNLIKE))
                .isEmpty();
        assertThat(squat().lifted(1, "3x5 75%", "150x5 7", "150x5 7").look(SETS_UNLIKE))
                .singleElement()
                .satisfies(found -> {
                    AskLifter ask = (AskLifter) found.proposal();
                    assertThat(ask.asking()).isEqualTo(Asking.HOW_MANY_SETS);
                    assertThat(ask.about().task().number()).isEqualTo(2);
                    assertThat(ask.otherLoad()).isEmpty();
                });
        assertThat(squat().lifted(1, "4x5 75%", "150x5 7", "150x5 7", "150x5 7").look(SETS_UNLIKE, "2"))
                .isEmpty();
        assertThat(squat().lifted(1, "4x5 75%", "150x5 7", "150x5 7").look(SETS_UNLIKE, "2"))
                .hasSize(1);
    }

    /** Who missed, went to the limit, was over target, hurt, or said why, need not be asked. */
    @ParameterizedTest
    @CsvSource({"150x4 missed", "150x5 9.5", "150x5 7 noted"})
    void whatExplainsFewerSetsIsReasonEnough(String last) {
        assertThat(squat().lifted(1, "3x5 75%", "150x5 7", last).look(SETS_UNLIKE))
                .isEmpty();
        assertThat(squat().lifted(1, "1 @8 then 3x5 -20%", "180x1 9", "144x5 7").look(SETS_UNLIKE))
                .isEmpty();
        assertThat(squat().session(1, "3x5 75%", java.util.Optional.of("knee"), "150x5 7", "150x5 7")
                        .look(SETS_UNLIKE))
                .isEmpty();
    }

    /** Who said it when they ended the session is not asked again. */
    @Test
    void whatWasSaidAtTheEndOfTheSessionIsReasonEnough() {
        Subject subject = squat().lifted(1, "3x5 75%", "150x5 7", "150x5 7").subject();
        SeenSession told = subject.session();
        SeenSession said = new SeenSession(told.date(), told.asked(), told.done(), told.pain(), true);
        assertThat(SETS_UNLIKE.look(
                        new Subject(subject.lift(), subject.known(), subject.plan(), List.of(said), List.of()),
                        BigDecimal.ONE))
                .isEmpty();
    }

    @Test
    void openWorkAndSessionsNobodyPlannedAskForNoNumberOfSets() {
        assertThat(squat().lifted(1, "", "150x5 7").look(SETS_UNLIKE)).isEmpty();
        assertThat(squat().lifted(1, "5+ 75%", "150x8 9").look(SETS_UNLIKE)).isEmpty();
    }

    /** The plates were counted and the 20 kg bar was not. */
    @ParameterizedTest
    @CsvSource({
        // rated as hard as 180 would be
        "200, 1 @8 | 180, 160x1 8, true",
        // rated as light as it would be
        "200, 1 @8 | 180, 160x1 easy, false",
        // no bar's mass from what was asked for
        "200, 1 @8 | 180, 165x1 8, false",
        "200, 1 @8 | 180, 180x1 8, false",
        // nothing is known to hold it against
        "'',  1 @8 | 180, 160x1 8, false"
    })
    void platesWithoutTheBarAreAskedAbout(String estimate, String dose, String set, boolean found) {
        CallScene scene = squat().lifted(1, dose, set);
        if (estimate.isEmpty()) {
            scene.unknown();
        } else {
            scene.estimate(estimate, estimate);
        }
        assertThat(scene.look(BAR_LEFT_OUT)).hasSize(found ? 1 : 0);
        assertThat(scene.look(BAR_LEFT_OUT))
                .allSatisfy(finding ->
                        assertThat(((AskLifter) finding.proposal()).otherLoad()).contains(kg("180")));
    }

    @ParameterizedTest
    @CsvSource({
        // the estimate is 200: from 90 % on, by 15 points and more
        "150, 180, true",
        "151, 180, false",
        "140, 179, false",
        "170, 180, false"
    })
    void aJumpNearTheTopIsTold(String from, String to, boolean found) {
        assertThat(squat().estimate("200", "200")
                        .lifted(1, "1 @9", from + "x1 6", to + "x1 9")
                        .look(BIG_JUMP))
                .hasSize(found ? 1 : 0);
    }

    @ParameterizedTest
    @CsvSource({"0.46, true", "0.45, false", "0.38, false"})
    void aBarThatMovesWellFasterRaisesAsTheEstimateBearsOut(String speed, boolean found) {
        CallScene scene = squat().estimate("200", "210")
                .lifted(8, "3x5 75%", "150x5 8 v0.40")
                .lifted(1, "3x5 75%", "150x5 8 v" + speed);
        assertThat(scene.look(FASTER)).hasSize(found ? 1 : 0);
        assertThat(scene.look(FASTER)).allSatisfy(finding -> assertThat(finding.proposal())
                .isEqualTo(new MoveWorkingMax(Lift.SQUAT, kg("200"), kg("205"))));
    }

    @Test
    void fasterAloneRaisesNothing() {
        // the estimate does not bear it out
        assertThat(squat().estimate("200", "201")
                        .lifted(8, "3x5 75%", "150x5 8 v0.40")
                        .lifted(1, "3x5 75%", "150x5 8 v0.50")
                        .look(FASTER))
                .isEmpty();
        // other repetitions or another load are no comparison
        assertThat(squat().estimate("200", "210")
                        .lifted(8, "3x5 75%", "150x5 8 v0.40")
                        .lifted(1, "3x4 75%", "150x4 8 v0.50")
                        .look(FASTER))
                .isEmpty();
        assertThat(squat().estimate("200", "210")
                        .lifted(8, "3x5 75%", "155x5 8 v0.40")
                        .lifted(1, "3x5 75%", "150x5 8 v0.50")
                        .look(FASTER))
                .isEmpty();
        // the rating speaks against it
        assertThat(squat().estimate("200", "210")
                        .lifted(8, "1 @8", "180x1 8 v0.30")
                        .lifted(1, "1 @8", "180x1 8.5 v0.40")
                        .look(FASTER))
                .isEmpty();
    }

    @Test
    void aDoubtAboutSetsGivesWayToMissesAndRatings() {
        assertThat(squat().lifted(8, "1 @8 then 3x5 -20%", "180x1 9", "144x5 7", "144x5 7", "144x5 7")
                        .lifted(1, "1 @8 then 3x5 -20%", "180x1 9", "144x5 7")
                        .found())
                .first()
                .isEqualTo("hard-again");
    }
}
