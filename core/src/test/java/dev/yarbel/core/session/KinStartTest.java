package dev.yarbel.core.session;

import static org.assertj.core.api.Assertions.assertThat;

import dev.yarbel.core.effort.RepCurve;
import dev.yarbel.core.equipment.Kits;
import dev.yarbel.core.equipment.Rounding;
import dev.yarbel.core.lift.Catalogue;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.prescription.Dose;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;

class KinStartTest {

    private static final Lift FRONT_SQUAT = new Lift("front-squat");

    private static Resolver knowing(Map<Lift, LiftNumbers> own) {
        return new Resolver(KitInUse.of(Kits.kg()), Rounding.NEAREST, Numbers.of(own, Catalogue.STANDARD.ratios()));
    }

    private static LiftNumbers estimate(int kg) {
        return new LiftNumbers(Optional.empty(), Optional.of(Mass.ofKg(kg)), RepCurve.DEFAULT);
    }

    private static Optional<KinStart> start(Resolver resolver, Lift lift, String dose) {
        PrescribedSets asked = new PrescribedSets("A", lift, Dose.parse(dose));
        return KinStart.of(asked, resolver.resolve(List.of(asked)).get(0), resolver);
    }

    @Test
    void aSquatBeginsByTheFrontSquatATenthLighter() {
        Resolver resolver = knowing(Map.of(FRONT_SQUAT, estimate(120)));
        KinStart start = start(resolver, Lift.SQUAT, "3x5 75%").orElseThrow();
        assertThat(start.from()).isEqualTo(FRONT_SQUAT);
        // the front squat's default ratio says what the squat is; of nine tenths of that, three quarters
        double ratio = Catalogue.STANDARD
                .of(FRONT_SQUAT)
                .parent()
                .orElseThrow()
                .share()
                .figure()
                .doubleValue();
        assertThat(start.load().distanceTo(Mass.ofKg((int) Math.round(120 * 100 / ratio * 0.9 * 0.75))))
                .isLessThan(Mass.ofKg(3));
    }

    @Test
    void whatHangsOnTheLastTimeBeginsEasy() {
        Resolver resolver = knowing(Map.of(FRONT_SQUAT, estimate(120)));
        assertThat(start(resolver, Lift.SQUAT, "3x5 last +2.5kg")).isPresent();
        assertThat(start(resolver, Lift.SQUAT, "3x5 @8").orElseThrow().load())
                .isGreaterThan(start(resolver, Lift.SQUAT, "3x5 last +2.5kg")
                        .orElseThrow()
                        .load());
    }

    @Test
    void ofALiftThatIsKnownOrHasNoKnownKinNothingIsProposed() {
        assertThat(start(knowing(Map.of(Lift.SQUAT, estimate(160))), FRONT_SQUAT, "3x5 @8"))
                .as("its parent's ratio says it already")
                .isEmpty();
        assertThat(start(knowing(Map.of(Lift.BENCH_PRESS, estimate(100))), Lift.SQUAT, "3x5 @8"))
                .isEmpty();
        assertThat(start(knowing(Map.of(FRONT_SQUAT, estimate(120))), Lift.SQUAT, "3x5 @8"))
                .isPresent();
    }
}
