package dev.yarbel.web.book;

import dev.yarbel.core.effort.RepCurve;
import dev.yarbel.core.equipment.AvailableLoads;
import dev.yarbel.core.estimate.NoviceStart;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.lift.Variation;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.web.page.Person;
import dev.yarbel.web.roster.LifterCard;
import java.time.Clock;
import java.time.LocalDate;
import java.util.List;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** A novice's start in a lift, by a guided test or from a load good for 15 to 20 repetitions. */
@Service
@Transactional
class NoviceTests {

    private final TestSetRepository testSets;
    private final LiftNumbersRepository curves;
    private final StartingNumbers numbers;
    private final Clock clock;

    NoviceTests(TestSetRepository testSets, LiftNumbersRepository curves, StartingNumbers numbers, Clock clock) {
        this.testSets = testSets;
        this.curves = curves;
        this.numbers = numbers;
        this.clock = clock;
    }

    private LocalDate today(Person person) {
        return LocalDate.ofInstant(clock.instant(), person.zone());
    }

    private RepCurve curve(LifterCard lifter, Variation variation) {
        return curves.findByClubIdAndLifterIdAndLift(lifter.clubId(), lifter.id(), variation.lift())
                .flatMap(LiftNumbersEntity::decidedCurve)
                .orElse(RepCurve.DEFAULT);
    }

    /** The sets of today's guided test of a lift. */
    @Transactional(readOnly = true)
    List<TestSetEntity> test(Person person, LifterCard lifter, Lift lift) {
        return testSets.findByClubIdAndLifterIdAndLiftAndOnDateOrderByNumber(
                lifter.clubId(), lifter.id(), lift, today(person));
    }

    /**
     * Keeps one set of the guided test.
     *
     * @param number which it is, from 1; any but the next changes nothing
     */
    void testSet(Person coach, LifterCard lifter, Lift lift, int number, NoviceStart.TestSet set) {
        if (test(coach, lifter, lift).size() == number - 1) {
            testSets.save(new TestSetEntity(lifter.clubId(), lifter.id(), lift, today(coach), number, set));
        }
    }

    /** Takes back the last set of today's test. */
    void takeBack(Person coach, LifterCard lifter, Lift lift) {
        List<TestSetEntity> sets = test(coach, lifter, lift);
        if (!sets.isEmpty()) {
            testSets.delete(sets.get(sets.size() - 1));
        }
    }

    /**
     * Ends the test: what it found is set down, and becomes the working max.
     *
     * @param fromTheFloor the bar is pulled from the floor
     */
    void endTest(Person coach, LifterCard lifter, Variation variation, AvailableLoads loads, boolean fromTheFloor) {
        List<NoviceStart.TestSet> sets = test(coach, lifter, variation.lift()).stream()
                .map(TestSetEntity::set)
                .toList();
        NoviceStart.Step step = NoviceStart.next(sets, loads, curve(lifter, variation), fromTheFloor);
        step.found()
                .ifPresent(found -> numbers.found(
                        coach, lifter, variation.lift(), found.max(), found.workingMax(), "book.source.test"));
    }

    /** Starts from a load good for 15 to 20 repetitions. */
    void goodFor(Person coach, LifterCard lifter, Variation variation, Mass load) {
        Mass workingMax = NoviceStart.workingMax(load);
        numbers.found(coach, lifter, variation.lift(), workingMax, workingMax, "book.source.good-for");
    }
}
