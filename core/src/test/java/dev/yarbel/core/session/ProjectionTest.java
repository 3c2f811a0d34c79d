package dev.yarbel.core.session;

import static org.assertj.core.api.Assertions.assertThat;

import dev.yarbel.core.block.Block;
import dev.yarbel.core.block.BlockEdit;
import dev.yarbel.core.block.BlockWeek;
import dev.yarbel.core.block.Lifted;
import dev.yarbel.core.block.Slot;
import dev.yarbel.core.block.TrainingDay;
import dev.yarbel.core.effort.Effort;
import dev.yarbel.core.effort.RepCurve;
import dev.yarbel.core.effort.Rpe;
import dev.yarbel.core.effort.SpeedTable;
import dev.yarbel.core.equipment.AvailableLoads;
import dev.yarbel.core.equipment.BarLoads;
import dev.yarbel.core.equipment.Gym;
import dev.yarbel.core.equipment.Kits;
import dev.yarbel.core.equipment.Rounding;
import dev.yarbel.core.lift.Catalogue;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.measure.BarSpeed;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.MassUnit;
import dev.yarbel.core.measure.Percent;
import dev.yarbel.core.prescription.Dose;
import dev.yarbel.core.prescription.KindOfWork;
import dev.yarbel.core.prescription.Part;
import dev.yarbel.core.prescription.Reference;
import dev.yarbel.core.progress.ExpectedGain;
import dev.yarbel.core.progress.LastSession;
import dev.yarbel.core.progress.Result;
import dev.yarbel.core.progress.Run;
import dev.yarbel.core.progress.Step;
import dev.yarbel.core.record.LiftedSet;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class ProjectionTest {

    private static final References REFERENCES = new References(
            Optional.of(Mass.ofKg(190)),
            Optional.of(Mass.ofKg(220)),
            Optional.of(Mass.ofKg(150)),
            Map.of(3, Mass.ofKg(170)),
            Map.of(KindOfWork.straight(3), before("3x3", 120), KindOfWork.straight(5), before("3x5", 120)));

    private static LastSession before(String dose, long kg) {
        Part part = Dose.parse(dose + " " + kg + "kg").first();
        Mass load = Mass.ofKg(kg);
        return new LastSession(
                KindOfWork.of(part), Run.start(part.work(), load), Result.made(part.work(), load, part.reps()), false);
    }

    private static final Numbers NUMBERS = Numbers.of(
                    Map.of(
                            Lift.SQUAT,
                            new LiftNumbers(Optional.of(Mass.ofKg(180)), Optional.of(Mass.ofKg(200)), RepCurve.DEFAULT)
                                    .with(REFERENCES),
                            Lift.DEADLIFT,
                            new LiftNumbers(Optional.of(Mass.ofKg(240)), Optional.empty(), RepCurve.DEFAULT)),
                    Catalogue.STANDARD.ratios())
            .withBodyMass(Optional.of(Mass.ofKg(90)));

    private static final Resolver RESOLVER = new Resolver(KitInUse.of(Kits.kg()), Rounding.NEAREST, NUMBERS);

    private static ResolvedLoad load(String dose) {
        List<PrescribedSets> day = PrescribedSets.of("A", Lift.SQUAT, Dose.parse(dose));
        List<ResolvedLoad> loads = RESOLVER.resolve(day);
        return loads.get(loads.size() - 1);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "3x5 80%|145",
                "3x5 80% contest|152.5",
                "3x5 80% est|160",
                "3x5 80% goal|175",
                "3x1 event|150",
                "3x1 80% event|120",
                "5x5 1.5bw|135",
                "3x3 3rm|170",
                "3x5 50% of deadlift|120",
                "3x3 last +2.5kg|122.5",
                "3x3 last|120",
                "1 150kg then 3x5 80% top|120",
                "1 150kg then 3x5 -20%|120",
                "climb 1 to @10|200",
            })
    void everyReferenceHangsOnItsOwnNumber(String dose, String kg) {
        assertThat(load(dose).load()).contains(Mass.of(kg, MassUnit.KG));
    }

    /** On a belt hangs what is more than the lifter; on a bar the body is weighed like any load. */
    @ParameterizedTest
    @CsvSource({
        "pull-up, 3x5 bw, ",
        "pull-up, 3x5 1.2bw, 18",
        "pull-up, 3x5 bw+10kg, 10",
        "squat, 3x5 bw, 90",
        "squat, 3x5 bw+10kg, 100",
    })
    void bodyMassIsOnTheBeltOnlyAsFarAsItIsMoreThanTheBody(String lift, String dose, String kg) {
        KitInUse belt = any -> Optional.of(any.key().equals("pull-up") ? belt() : Kits.kg());
        Resolver resolver = new Resolver(belt, Rounding.NEAREST, NUMBERS);
        assertThat(resolver.resolve(PrescribedSets.of("A", new Lift(lift), Dose.parse(dose)))
                        .get(0)
                        .load())
                .isEqualTo(Optional.ofNullable(kg).map(figure -> Mass.of(figure, MassUnit.KG)));
    }

    private static AvailableLoads belt() {
        return new Gym("Shed", Mass.ZERO, Map.of(), List.of(), List.of(), List.of())
                .loads(Catalogue.STANDARD.of(new Lift("pull-up")).need(), BarLoads::of)
                .orElseThrow();
    }

    @Test
    void backOffsMayHangOnAnotherLiftsTop() {
        List<PrescribedSets> day = new ArrayList<>(PrescribedSets.of("A", Lift.SQUAT, Dose.parse("1 150kg")));
        day.addAll(PrescribedSets.of("B", new Lift("front-squat"), Dose.parse("3x5 -40% of squat")));
        assertThat(RESOLVER.resolve(day).get(1).load()).contains(Mass.ofKg(90));
    }

    /** Common practice, no source: a single at 500, back-offs 22 % lighter: 390. */
    @Test
    void backOffsOf22PercentFrom500Are390() {
        Resolver lb = new Resolver(KitInUse.of(Kits.lb()), Rounding.NEAREST, NUMBERS);
        List<ResolvedLoad> loads = lb.resolve(PrescribedSets.of("A", Lift.SQUAT, Dose.parse("1 500lb then 5x5 -22%")));
        assertThat(loads.get(1).load()).contains(Mass.ofLb(390));
    }

    @Test
    void whatIsNotKnownSaysSo() {
        Resolver nothing = new Resolver(KitInUse.of(Kits.kg()), Rounding.NEAREST, Numbers.of(Map.of()));
        for (String dose : List.of(
                "1 @8:NO_ESTIMATE",
                "1 80%:NO_WORKING_MAX",
                "1 80% contest:NO_CONTEST_MAX",
                "1 80% goal:NO_GOAL",
                "1 3rm:NO_REP_MAX",
                "1 bw:NO_BODY_MASS",
                "1 event:NO_EVENT_LOAD",
                "1 80% of deadlift:NO_OTHER_MAX",
                "1 last:NO_LAST_TIME",
                "1 0.3m/s:NO_SPEED_TABLE",
                "1 feel:BY_FEEL",
                "1 -10%:NO_TOP_ABOVE")) {
            String[] parts = dose.split(":");
            assertThat(nothing.resolve(PrescribedSets.of("A", Lift.SQUAT, Dose.parse(parts[0]))))
                    .as(dose)
                    .containsExactly(new ResolvedLoad.Unknown(ResolvedLoad.Why.valueOf(parts[1])));
        }
    }

    /** The speed of an 8 asks for the load of an 8; one that this lifter never showed asks for none. */
    @ParameterizedTest
    @CsvSource({"1 0.31m/s, 1 @8", "3x3 0.31m/s, 3x3 @8", "5x2 0.37m/s, 5x2 @7", "1 0.24m/s, 1 @9.5", "1 0.6m/s, "})
    void aSpeedAsksForTheLoadThatMovesSoFastByTheLiftersOwnTable(String dose, String like) {
        SpeedTable.Builder builder = new SpeedTable.Builder();
        String[] rated = {"10 0.22", "9 0.27", "8 0.31", "7 0.37"};
        for (int i = 0; i < 12; i++) {
            String[] line = rated[i % rated.length].split(" ");
            builder.add(Rpe.parse(line[0]), BarSpeed.parse(line[1]));
        }
        LiftNumbers numbers = new LiftNumbers(Optional.empty(), Optional.of(Mass.ofKg(200)), RepCurve.DEFAULT)
                .with(References.NONE.with(builder.build()));
        Resolver resolver = new Resolver(
                KitInUse.of(Kits.kg()),
                Rounding.NEAREST,
                Numbers.of(Map.of(Lift.SQUAT, numbers), Catalogue.STANDARD.ratios()));
        List<ResolvedLoad> loads = resolver.resolve(PrescribedSets.of("A", Lift.SQUAT, Dose.parse(dose)));
        if (like == null) {
            assertThat(loads).containsExactly(new ResolvedLoad.Unknown(ResolvedLoad.Why.BEYOND_SPEED_TABLE));
        } else {
            assertThat(loads).isEqualTo(resolver.resolve(PrescribedSets.of("A", Lift.SQUAT, Dose.parse(like))));
        }
    }

    @Test
    void aRepMaxThatNobodySetDownComesFromTheEstimateAndTheCurve() {
        ResolvedLoad.Known known = (ResolvedLoad.Known) load("3x5 5rm");
        assertThat(known.origin()).isInstanceOfSatisfying(ResolvedLoad.Origin.FromReference.class, from -> {
            assertThat(from.of()).isEqualTo(new Reference.RepMax(5));
            assertThat(from.whole()).isEqualTo(RepCurve.DEFAULT.load(Mass.ofKg(200), 5, Rpe.LIMIT));
        });
    }

    @Test
    void steppedDropsAreEachTakenFromTheSetBefore() {
        ResolvedLoad.Known known = (ResolvedLoad.Known) load("1 200kg then 3x3 -10% each");
        assertThat(known.load(1)).isEqualTo(Mass.ofKg(180));
        assertThat(known.load(2)).isEqualTo(Mass.of("162.5", MassUnit.KG));
        assertThat(known.load(3)).isEqualTo(Mass.of("145", MassUnit.KG));
    }

    @Test
    void aRangeShowsBothEndsAndBeginsAtTheLighter() {
        ResolvedLoad.Known share = (ResolvedLoad.Known) load("3x5 70-75%");
        assertThat(share.fit().load()).isEqualTo(Mass.of("125", MassUnit.KG));
        assertThat(share.upTo().orElseThrow().load()).isEqualTo(Mass.of("135", MassUnit.KG));
        ResolvedLoad.Known rated = (ResolvedLoad.Known) load("3x5 @7-8");
        assertThat(rated.upTo().orElseThrow().load()).isGreaterThan(rated.fit().load());
    }

    @Test
    void thePartsOfADoseNumberTheirSetsThrough() {
        List<PrescribedSets> parts = PrescribedSets.of("A", Lift.SQUAT, Dose.parse("1 @8 then 3x5 -20%"));
        assertThat(parts.get(0).isAnsweredBy(TaskKey.work("A", 1))).isTrue();
        assertThat(parts.get(0).isAnsweredBy(TaskKey.work("A", 2))).isFalse();
        assertThat(parts.get(1).isAnsweredBy(TaskKey.work("A", 2))).isTrue();
        assertThat(parts.get(1).isAnsweredBy(TaskKey.work("A", 9))).isTrue();
        assertThat(parts.get(1).isAnsweredBy(TaskKey.warmUp("A", 2))).isFalse();
        SessionPlan plan = SessionPlan.of(RESOLVER, parts, List.of());
        assertThat(plan.tasks().stream().filter(t -> !t.key().warmUp()).map(t -> t.key()
                        .toString()))
                .containsExactly("A.1", "A.2", "A.3", "A.4");
    }

    /** What was really lifted as the top leads its back-offs, within one slot as between two. */
    @Test
    void backOffsOfTheSameSlotHangOnWhatWasLifted() {
        List<PrescribedSets> parts = PrescribedSets.of("A", Lift.SQUAT, Dose.parse("1 @8 then 3x5 -20%"));
        List<DoneSet> done = List.of(new DoneSet(
                TaskKey.work("A", 1), new LiftedSet(Lift.SQUAT, Mass.ofKg(200), 1, new Effort.Rated(Rpe.of(8)))));
        assertThat(RESOLVER.resolve(parts, done).get(1).load()).contains(Mass.ofKg(160));
    }

    // ---- from one day to the next

    private static Block block(List<BlockWeek> shape, String... doses) {
        List<Optional<Dose>> weeks = new ArrayList<>();
        for (String dose : doses) {
            weeks.add(Optional.of(Dose.parse(dose)));
        }
        return new Block(
                LocalDate.of(2026, 3, 2),
                List.of(new TrainingDay("Day", 0, List.of(new Slot("A", Lift.SQUAT, weeks)))),
                shape,
                Optional.empty());
    }

    private static List<BlockWeek> plain(int weeks) {
        return Collections.nCopies(weeks, BlockWeek.PLAIN);
    }

    private static Mass at(Projection projection, int week) {
        return projection.loads(0, week).get(0).load().orElseThrow();
    }

    private static Projection.Log lifted(long kg, int... reps) {
        List<DoneSet> sets = new ArrayList<>();
        for (int i = 0; i < reps.length; i++) {
            sets.add(new DoneSet(
                    TaskKey.work("A", i + 1),
                    new LiftedSet(Lift.SQUAT, Mass.ofKg(kg), reps[i], new Effort.Rated(Rpe.of(9)))));
        }
        return (day, week) -> week == 0 ? Optional.of(sets) : Optional.empty();
    }

    @Test
    void lastTimeIsThePlansOwnWeekBefore() {
        Projection projection = Projection.of(
                block(plain(3), "3x5 100kg", "3x5 last +2.5kg", "3x5 last +2.5kg"), RESOLVER, Projection.Log.NONE);
        assertThat(at(projection, 2)).isEqualTo(Mass.ofKg(105));
    }

    @Test
    void lastTimeIsWhatWasLiftedOnceItWas() {
        Projection projection =
                Projection.of(block(plain(2), "3x5 100kg", "3x5 last +2.5kg"), RESOLVER, lifted(110, 5, 5, 5));
        assertThat(at(projection, 1)).isEqualTo(Mass.of("112.5", MassUnit.KG));
    }

    @Test
    void repetitionsThatWereLostEarnNoStep() {
        Projection projection =
                Projection.of(block(plain(2), "3x5 100kg", "3x5 last +2.5kg"), RESOLVER, lifted(100, 5, 5, 4));
        assertThat(at(projection, 1)).isEqualTo(Mass.ofKg(100));
    }

    @Test
    void aRangeIsWorkedThroughBeforeAStepIsEarned() {
        Block block = block(plain(2), "3x8-12 100kg", "3x8-12 last +2.5kg");
        assertThat(at(Projection.of(block, RESOLVER, Projection.Log.NONE), 1)).isEqualTo(Mass.ofKg(100));
        assertThat(at(Projection.of(block, RESOLVER, lifted(100, 12, 12, 11)), 1))
                .isEqualTo(Mass.ofKg(100));
        assertThat(at(Projection.of(block, RESOLVER, lifted(100, 12, 12, 12)), 1))
                .isEqualTo(Mass.of("102.5", MassUnit.KG));
    }

    @Test
    void aDeloadIsNoTimeBefore() {
        List<BlockWeek> shape = List.of(BlockWeek.PLAIN, BlockWeek.PLAIN.asDeload(), BlockWeek.PLAIN);
        Projection projection =
                Projection.of(block(shape, "3x5 100kg", "2x5 50kg", "3x5 last +2.5kg"), RESOLVER, Projection.Log.NONE);
        assertThat(at(projection, 2)).isEqualTo(Mass.of("102.5", MassUnit.KG));
    }

    /** A deload of a run hung on the working max, and could be heavier than the run itself. */
    @Test
    void aShareOfTheLastTimeHangsOnTheSlotsRunAndIsNoSessionOfIt() {
        List<BlockWeek> shape = List.of(BlockWeek.PLAIN, BlockWeek.PLAIN, BlockWeek.PLAIN.asDeload(), BlockWeek.PLAIN);
        Block block = block(shape, "3x8 100kg", "3x8 last +2.5kg", "3x6 50% last", "3x8 last +2.5kg");
        Projection projection = Projection.of(block, RESOLVER, Projection.Log.NONE);
        assertThat(at(projection, 2)).isEqualTo(Mass.ofKg(50));
        assertThat(((ResolvedLoad.Known) projection.loads(0, 2).get(0)).origin())
                .isEqualTo(new ResolvedLoad.Origin.ShareOfLast(Mass.of("102.5", MassUnit.KG), Percent.of(50), true));
        assertThat(at(projection, 3)).isEqualTo(Mass.ofKg(105));
        Block plain = block(plain(3), "3x8 100kg", "3x6 90% last", "3x8 last +2.5kg");
        assertThat(at(Projection.of(plain, RESOLVER, Projection.Log.NONE), 2)).isEqualTo(Mass.of("102.5", MassUnit.KG));
    }

    /** From before the block the log's last session of the kind stands, with fewer repetitions too. */
    @Test
    void aShareOfTheLastTimeMayHangOnTheLog() {
        assertThat(load("2x2 50% last").load()).contains(Mass.ofKg(60));
        assertThat(load("3x8-12 90% last")).isEqualTo(new ResolvedLoad.Unknown(ResolvedLoad.Why.NO_LAST_TIME));
    }

    @Test
    void aDeloadOfStagesHasNoMoreThanTheStageThatWasReached() {
        List<BlockWeek> shape = List.of(BlockWeek.PLAIN, BlockWeek.PLAIN, BlockWeek.PLAIN.asDeload());
        Block block = block(shape, "1x5 120kg stages", "3x5 last +2.5kg stages", "2x8 90% last stages");
        Projection projection = Projection.of(block, RESOLVER, Projection.Log.NONE);
        assertThat(projection.prescriptions(0, 2).get(0).part().shorthand()).startsWith("1x5");
    }

    @Test
    void withoutATimeBeforeInThePlanTheLogsLastSessionStands() {
        Projection projection = Projection.of(block(plain(1), "3x5 last +2.5kg"), RESOLVER, Projection.Log.NONE);
        assertThat(at(projection, 0)).isEqualTo(Mass.of("122.5", MassUnit.KG));
    }

    private static Projection.Log weeks(List<List<DoneSet>> weeks) {
        return (day, week) -> week < weeks.size() ? Optional.of(weeks.get(week)) : Optional.empty();
    }

    private static List<DoneSet> fives(String kg, int... reps) {
        List<DoneSet> sets = new ArrayList<>();
        for (int i = 0; i < reps.length; i++) {
            Effort effort = reps[i] < 5 ? new Effort.Missed() : new Effort.Rated(Rpe.of(9));
            sets.add(new DoneSet(
                    TaskKey.work("A", i + 1), new LiftedSet(Lift.SQUAT, Mass.of(kg, MassUnit.KG), reps[i], effort)));
        }
        return sets;
    }

    /** Steady add used to ask for a missed load for ever. */
    @Test
    void aLoadMissedTwiceComesDownAndIsBuiltUpAnew() {
        Block block = block(
                plain(5), "3x5 150kg", "3x5 last +2.5kg", "3x5 last +2.5kg", "3x5 last +2.5kg", "3x5 last +2.5kg");
        Projection missed = Projection.of(
                block,
                RESOLVER,
                weeks(List.of(fives("150", 5, 5, 5), fives("152.5", 5, 5, 3), fives("152.5", 5, 4, 3))));
        assertThat(at(missed, 2)).isEqualTo(Mass.of("152.5", MassUnit.KG));
        // 90 % of 152.5 is 137.25
        assertThat(at(missed, 3)).isEqualTo(Mass.of("137.5", MassUnit.KG));
        assertThat(at(missed, 4)).isEqualTo(Mass.ofKg(140));
    }

    @Test
    void elevenInThePlusSetEarnTwoSteps() {
        Projection projection = Projection.of(
                block(plain(2), "3x5+ 150kg", "3x5+ last +2.5kg"), RESOLVER, weeks(List.of(fives("150", 5, 5, 11))));
        assertThat(at(projection, 1)).isEqualTo(Mass.ofKg(155));
    }

    @Test
    void stagesDropASetAndGoOnAdding() {
        Block block = block(plain(3), "3x8 120kg stages", "3x8 last +2.5kg stages", "3x8 last +2.5kg stages");
        List<DoneSet> first = new ArrayList<>();
        List<DoneSet> second = new ArrayList<>();
        for (int i = 1; i <= 3; i++) {
            Effort rated = new Effort.Rated(Rpe.of(9));
            first.add(new DoneSet(TaskKey.work("A", i), new LiftedSet(Lift.SQUAT, Mass.ofKg(120), 8, rated)));
            second.add(new DoneSet(
                    TaskKey.work("A", i),
                    new LiftedSet(Lift.SQUAT, Mass.of("122.5", MassUnit.KG), i < 3 ? 8 : 6, new Effort.Missed())));
        }
        Projection projection = Projection.of(block, RESOLVER, weeks(List.of(first, second)));
        assertThat(at(projection, 2)).isEqualTo(Mass.ofKg(125));
        assertThat(projection.prescriptions(0, 2).get(0).part().shorthand()).startsWith("2x8");
        assertThat(projection.prescriptions(0, 2).get(0).sets()).isEqualTo(2);
    }

    // ---- last time is the same work

    private static Block twoDays(int weeks, List<String> monday, List<String> thursday) {
        return new Block(
                LocalDate.of(2026, 3, 2),
                weeks,
                List.of(
                        new TrainingDay("Monday", 0, List.of(new Slot("A", Lift.SQUAT, doses(monday)))),
                        new TrainingDay("Thursday", 3, List.of(new Slot("A", Lift.SQUAT, doses(thursday))))));
    }

    private static List<Optional<Dose>> doses(List<String> texts) {
        return texts.stream().map(text -> Optional.of(Dose.parse(text))).toList();
    }

    @Test
    void aLightDayIsNeverTheLastTimeOfAHeavyOne() {
        Block block = twoDays(2, List.of("3x5 160kg", "3x5 last +2.5kg"), List.of("3x5 60%", "3x5 60%"));
        assertThat(at(Projection.of(block, RESOLVER, Projection.Log.NONE), 1)).isEqualTo(Mass.of("162.5", MassUnit.KG));
    }

    @Test
    void aRunGoesOnFromDayToDayWhereTheLaterDayNeverBeganOneOfItsOwn() {
        Block block =
                twoDays(2, List.of("3x5 100kg", "3x5 last +2.5kg"), List.of("3x5 last +2.5kg", "3x5 last +2.5kg"));
        Projection projection = Projection.of(block, RESOLVER, Projection.Log.NONE);
        assertThat(projection.loads(1, 0).get(0).load()).contains(Mass.of("102.5", MassUnit.KG));
        assertThat(projection.loads(0, 1).get(0).load()).contains(Mass.ofKg(105));
        assertThat(projection.loads(1, 1).get(0).load()).contains(Mass.of("107.5", MassUnit.KG));
    }

    @Test
    void aRunGoesOnInTheOrderOfTheWeekHoweverItsDaysAreListed() {
        Block listed =
                twoDays(2, List.of("3x5 last +2.5kg", "3x5 last +2.5kg"), List.of("3x5 100kg", "3x5 last +2.5kg"));
        // from a Wednesday on, Monday is still listed first and comes last in the week
        Block thursdayFirst = new BlockEdit.Shift(listed.start(), listed.start().plusDays(2))
                .apply(listed, Lifted.NOTHING)
                .block();
        Projection projection = Projection.of(thursdayFirst, RESOLVER, Projection.Log.NONE);
        assertThat(projection.loads(1, 0).get(0).load()).contains(Mass.ofKg(100));
        assertThat(projection.loads(0, 0).get(0).load()).contains(Mass.of("102.5", MassUnit.KG));
        assertThat(projection.loads(1, 1).get(0).load()).contains(Mass.ofKg(105));
        assertThat(projection.loads(0, 1).get(0).load()).contains(Mass.of("107.5", MassUnit.KG));
    }

    @Test
    void twoRunsOfOneKindGoOnSideBySide() {
        Block block = twoDays(2, List.of("3x5 160kg", "3x5 last +2.5kg"), List.of("3x5 100kg", "3x5 last +2.5kg"));
        Projection projection = Projection.of(block, RESOLVER, Projection.Log.NONE);
        assertThat(projection.loads(0, 1).get(0).load()).contains(Mass.of("162.5", MassUnit.KG));
        assertThat(projection.loads(1, 1).get(0).load()).contains(Mass.of("102.5", MassUnit.KG));
    }

    /** Whatever stands beside a heavy day, its own last time is what it goes on from. */
    @ParameterizedTest
    @ValueSource(
            strings = {
                "3x5 60%",
                "8x2 100kg speed",
                "1 @8 then 3x5 -20%",
                "10x1 in 10min gap 30 170kg",
                "3x5 100kg +bands 10/35kg",
                "3x5 120kg tempo 4020",
                "3x5 105% partial"
            })
    void onlyTheSameWorkIsALastTime(String beside) {
        Block block = twoDays(2, List.of("3x5 150kg", "3x5 last +2.5kg"), List.of(beside, beside));
        assertThat(at(Projection.of(block, RESOLVER, Projection.Log.NONE), 1)).isEqualTo(Mass.of("152.5", MassUnit.KG));
        Block alone = twoDays(2, List.of(beside, beside), List.of("3x5 150kg", "3x5 last +2.5kg"));
        assertThat(Projection.of(alone, RESOLVER, Projection.Log.NONE)
                        .loads(1, 1)
                        .get(0)
                        .load())
                .contains(Mass.of("152.5", MassUnit.KG));
    }

    @Test
    void whatWasNeverDoneHasNoLastTime() {
        assertThat(load("3x8 last +2.5kg")).isEqualTo(new ResolvedLoad.Unknown(ResolvedLoad.Why.NO_LAST_TIME));
        assertThat(load("3x5 last +2.5kg tempo 4020"))
                .isEqualTo(new ResolvedLoad.Unknown(ResolvedLoad.Why.NO_LAST_TIME));
    }

    // ---- the wall

    /**
     * Squat 3×5 begun at 160 kg by somebody of 200 kg: fives to the limit are 174.6 kg today, so 2.5 kg a week end there,
     * later by what the lifter is expected to grow.
     */
    @Test
    void aRunMeetsItsWallAndGoesOnAsItsLawSays() {
        String[] doses = new String[20];
        Arrays.fill(doses, "3x5 last +2.5kg");
        doses[0] = "3x5 160kg";
        Block block = block(plain(20), doses);
        Projection projection = Projection.of(block, RESOLVER, Projection.Log.NONE);
        Projection.Wall wall = projection.walls().get(0);
        assertThat(wall.week()).isBetween(6, 16);
        assertThat(at(projection, wall.week() + 1)).as("the same again").isEqualTo(wall.load());
        assertThat(at(projection, wall.week() + 2))
                .as("10 % off")
                .isLessThan(wall.load().times(Percent.of(92)));
        LiftNumbers numbers = RESOLVER.numbers(Lift.SQUAT);
        for (int week = 0; week < 20; week++) {
            int now = week;
            Mass within = RepCurve.DEFAULT.load(
                    ExpectedGain.UNKNOWN.after(numbers.estimate().orElseThrow(), week), 5, Rpe.LIMIT);
            boolean told = projection.walls().stream().anyMatch(w -> w.week() <= now && now <= w.week() + 1);
            assertThat(told || !at(projection, week).isGreaterThan(within))
                    .as("week %s", week)
                    .isTrue();
        }
    }

    @Test
    void theLawsAnswerIsGivenWithItsReasons() {
        Projection projection = Projection.of(
                block(plain(2), "3x5 150kg", "3x5 last +2.5kg"), RESOLVER, weeks(List.of(fives("150", 5, 5, 3))));
        ResolvedLoad.Known known = (ResolvedLoad.Known) projection.loads(0, 1).get(0);
        Step step = ((ResolvedLoad.Origin.AfterLastTime) known.origin()).step();
        assertThat(step.answer()).isEqualTo(Step.Answer.REPEAT);
        assertThat(step.reasons()).containsExactly(new Step.Reason(Step.Kind.MISSED, 2, 3));
        assertThat(known.isAbout()).isFalse();
    }

    /** A gym whose smallest step is 5 kg still moves, by the step it has. */
    @Test
    void aStepSmallerThanTheGymsIsTheGyms() {
        Resolver coarse = new Resolver(KitInUse.of(Kits.bar20("20:4 10:2 5:2 2.5:1")), Rounding.NEAREST, NUMBERS);
        Projection projection = Projection.of(
                block(plain(3), "3x5 100kg", "3x5 last +1kg", "3x5 last +1kg"), coarse, Projection.Log.NONE);
        assertThat(at(projection, 1)).isGreaterThan(at(projection, 0));
        assertThat(at(projection, 2)).isGreaterThan(at(projection, 1));
    }

    // ---- how hard it will be

    @Test
    void theEffortOfALoadComesFromTheEstimateAndTheCurve() {
        LiftNumbers numbers = NUMBERS.of(Lift.SQUAT);
        for (int halves : new int[] {0, 2, 4, 6, 8}) {
            Rpe rpe = Rpe.withHalvesLeft(halves);
            Mass load = RepCurve.DEFAULT.load(Mass.ofKg(200), 5, rpe);
            assertThat(PredictedEffort.of(Dose.parse("3x5 80%").first(), load, numbers))
                    .contains(new PredictedEffort.About(rpe));
        }
        assertThat(PredictedEffort.of(Dose.parse("3x5 80%").first(), Mass.ofKg(100), numbers))
                .contains(new PredictedEffort.Light());
        assertThat(PredictedEffort.of(Dose.parse("3x5 80%").first(), Mass.ofKg(199), numbers))
                .contains(new PredictedEffort.BeyondReach());
        assertThat(PredictedEffort.of(Dose.parse("3x5 @8").first(), Mass.ofKg(100), numbers))
                .isEmpty();
        assertThat(PredictedEffort.of(Dose.parse("3x20m 100kg").first(), Mass.ofKg(100), numbers))
                .isEmpty();
    }

    /** Common practice, no source: 150 kg and 30 lb of chain are 163.6 kg at lockout, not 180. */
    @Test
    void thirtyPoundsOfChainOn150KgAre163Point6AtLockout() {
        var chains = Dose.parse("5x3 150kg +chains 30lb").first().changing().orElseThrow();
        assertThat(chains.atTop(Mass.ofKg(150)).format(MassUnit.KG, 1)).isEqualTo("163.6 kg");
        assertThat(chains.atBottom(Mass.ofKg(150))).isEqualTo(Mass.ofKg(150));
        var reverse = Dose.parse("3x1 105% reverse 20kg").first().changing().orElseThrow();
        assertThat(reverse.atBottom(Mass.ofKg(150))).isEqualTo(Mass.ofKg(130));
        assertThat(reverse.atTop(Mass.ofKg(150))).isEqualTo(Mass.ofKg(150));
    }

    /** Common practice, no source: 122 % of a 67 kg max loads within 2 kg of 83 kg. */
    @Test
    void a122PercentPartialOf67Is83Within2() {
        Resolver light = new Resolver(
                KitInUse.of(Kits.kg()),
                Rounding.NEAREST,
                Numbers.of(Map.of(
                        Lift.BENCH_PRESS,
                        new LiftNumbers(Optional.of(Mass.ofKg(67)), Optional.empty(), RepCurve.DEFAULT))));
        Mass load = light.resolve(PrescribedSets.of("A", Lift.BENCH_PRESS, Dose.parse("3x3 122% partial")))
                .get(0)
                .load()
                .orElseThrow();
        assertThat(load.distanceTo(Mass.ofKg(83))).isLessThanOrEqualTo(Mass.ofKg(2));
        assertThat(Dose.parse("3x3 122%").first().percent()).contains(Percent.of(122));
    }
}
