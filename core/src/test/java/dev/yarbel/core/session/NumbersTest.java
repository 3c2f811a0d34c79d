package dev.yarbel.core.session;

import static org.assertj.core.api.Assertions.assertThat;

import dev.yarbel.core.effort.RepCurve;
import dev.yarbel.core.equipment.Kits;
import dev.yarbel.core.equipment.Rounding;
import dev.yarbel.core.lift.Catalogue;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.lift.Ratio;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.MassUnit;
import dev.yarbel.core.measure.Percent;
import dev.yarbel.core.prescription.Dose;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;

class NumbersTest {

    private static final Lift FRONT = new Lift("front-squat");

    private static final LiftNumbers SQUAT =
            new LiftNumbers(Optional.of(Mass.ofKg(200)), Optional.of(Mass.ofKg(210)), RepCurve.DEFAULT);

    private static Numbers numbers(Map<Lift, LiftNumbers> own) {
        return Numbers.of(own, Catalogue.STANDARD.ratios());
    }

    @Test
    void aVariationWithoutNumbersTakesItsParentsByTheirRatioAndSaysSo() {
        LiftNumbers front = numbers(Map.of(Lift.SQUAT, SQUAT)).of(FRONT);
        assertThat(front.workingMax()).contains(Mass.ofKg(150));
        assertThat(front.workingMaxThrough().map(Ratio::to)).contains(Lift.SQUAT);
        assertThat(numbers(Map.of(Lift.SQUAT, SQUAT)).of(Lift.SQUAT).workingMaxThrough())
                .isEmpty();
    }

    @Test
    void anEstimateOfItsOwnBeatsADefaultRatio() {
        LiftNumbers estimated = new LiftNumbers(Optional.empty(), Optional.of(Mass.ofKg(160)), RepCurve.DEFAULT);
        LiftNumbers front = numbers(Map.of(Lift.SQUAT, SQUAT, FRONT, estimated)).of(FRONT);
        assertThat(front.estimate()).contains(Mass.ofKg(160));
        assertThat(front.estimateThrough()).isEmpty();
        // the parent's working max is 200 of an estimate of 210: 95.2 %
        assertThat(front.workingMax().orElseThrow().format(MassUnit.KG, 1)).isEqualTo("152.4 kg");
        assertThat(front.workingMaxThrough()).isEmpty();
    }

    @Test
    void theCoachsRatioBeatsAnEstimateOfItsOwn() {
        LiftNumbers estimated = new LiftNumbers(Optional.empty(), Optional.of(Mass.ofKg(160)), RepCurve.DEFAULT);
        Map<Lift, Ratio> ratios = Map.of(FRONT, new Ratio(Lift.SQUAT, Percent.of(70), Ratio.Source.COACH));
        assertThat(Numbers.of(Map.of(Lift.SQUAT, SQUAT, FRONT, estimated), ratios)
                        .of(FRONT)
                        .workingMax())
                .contains(Mass.ofKg(140));
    }

    @Test
    void aVariationHasItsParentsCurve() {
        RepCurve steep = RepCurve.parse("0.05");
        LiftNumbers squat = new LiftNumbers(Optional.of(Mass.ofKg(200)), Optional.of(Mass.ofKg(210)), steep);
        LiftNumbers own =
                new LiftNumbers(Optional.of(Mass.ofKg(150)), Optional.of(Mass.ofKg(160)), RepCurve.parse("0.03"));
        assertThat(numbers(Map.of(Lift.SQUAT, squat)).of(FRONT).curve()).isEqualTo(steep);
        assertThat(numbers(Map.of(Lift.SQUAT, squat, FRONT, own)).of(FRONT).curve())
                .isEqualTo(RepCurve.parse("0.03"));
    }

    @Test
    void theCoachsRatioTakesThePlaceOfTheDefault() {
        Map<Lift, Ratio> ratios = new HashMap<>(Catalogue.STANDARD.ratios());
        ratios.put(FRONT, new Ratio(Lift.SQUAT, Percent.of(80), Ratio.Source.COACH));
        assertThat(Numbers.of(Map.of(Lift.SQUAT, SQUAT), ratios).of(FRONT).workingMax())
                .contains(Mass.ofKg(160));
    }

    @Test
    void aCircleOfParentsEnds() {
        Lift one = new Lift("one");
        Lift other = new Lift("other");
        Numbers circle = Numbers.of(
                Map.of(),
                Map.of(
                        one, new Ratio(other, Percent.of(90), Ratio.Source.COACH),
                        other, new Ratio(one, Percent.of(90), Ratio.Source.COACH)));
        assertThat(circle.of(one).workingMax()).isEmpty();
    }

    @Test
    void anotherWorkingMaxOfTheParentMovesTheVariationsLoads() {
        Resolver resolver = new Resolver(KitInUse.of(Kits.kg()), Rounding.NEAREST, numbers(Map.of(Lift.SQUAT, SQUAT)));
        List<PrescribedSets> day = List.of(new PrescribedSets("A", FRONT, Dose.parse("3x5 80%")));
        assertThat(resolver.resolve(day).get(0).load()).contains(Mass.ofKg(120));
        assertThat(resolver.with(Lift.SQUAT, n -> n.withWorkingMax(Mass.ofKg(220)))
                        .resolve(day)
                        .get(0)
                        .load())
                .contains(Mass.of("132.5", MassUnit.KG));
    }

    @Test
    void withoutKitForALiftNoLoadCanBeSaid() {
        Resolver resolver =
                new Resolver(lift -> Optional.empty(), Rounding.NEAREST, numbers(Map.of(Lift.SQUAT, SQUAT)));
        List<PrescribedSets> day = List.of(
                new PrescribedSets("A", Lift.SQUAT, Dose.parse("3x5 80%")),
                new PrescribedSets("B", Lift.SQUAT, Dose.parse("3x5 -10%")));
        assertThat(resolver.resolve(day))
                .containsExactly(
                        new ResolvedLoad.Unknown(ResolvedLoad.Why.NO_KIT),
                        new ResolvedLoad.Unknown(ResolvedLoad.Why.TOP_UNKNOWN));
        assertThat(SessionPlan.of(resolver, day, List.of()).tasks()).hasSize(6);
    }
}
