package dev.yarbel.web;

import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.user;

import dev.yarbel.core.block.Block;
import dev.yarbel.core.block.Slot;
import dev.yarbel.core.block.TrainingDay;
import dev.yarbel.core.equipment.Bar;
import dev.yarbel.core.equipment.Kit;
import dev.yarbel.core.equipment.Plate;
import dev.yarbel.core.equipment.PlateSet;
import dev.yarbel.core.equipment.Rounding;
import dev.yarbel.core.estimate.StartingMax;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.MassUnit;
import dev.yarbel.core.measure.Percent;
import dev.yarbel.core.prescription.Dose;
import dev.yarbel.web.account.Accounts;
import dev.yarbel.web.book.Book;
import dev.yarbel.web.kit.KitShelf;
import dev.yarbel.web.page.Person;
import dev.yarbel.web.plan.LifterPlan;
import dev.yarbel.web.plan.Plans;
import dev.yarbel.web.roster.LifterCard;
import dev.yarbel.web.roster.NewLifter;
import dev.yarbel.web.roster.Roster;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.atomic.AtomicInteger;
import org.springframework.boot.test.context.TestComponent;
import org.springframework.security.core.userdetails.UserDetails;
import org.springframework.test.web.servlet.request.RequestPostProcessor;

/**
 * A club of its own for each test: a coach and a lifter in kg with a squat of 200, whose block of three weeks has its
 * first week behind it and one day a week, today.
 */
@TestComponent
public class Clubs4Tests {

    private static final AtomicInteger NEXT = new AtomicInteger();

    private final Accounts accounts;
    private final Roster roster;
    private final KitShelf kits;
    private final Book book;
    private final Plans plans;

    Clubs4Tests(Accounts accounts, Roster roster, KitShelf kits, Book book, Plans plans) {
        this.accounts = accounts;
        this.roster = roster;
        this.kits = kits;
        this.book = book;
        this.plans = plans;
    }

    /** A club with its people. */
    public final class TestClub {

        public final Person coach;
        public final Person lifterPerson;
        public final LifterCard lifter;

        TestClub(Person coach, Person lifterPerson, LifterCard lifter) {
            this.coach = coach;
            this.lifterPerson = lifterPerson;
            this.lifter = lifter;
        }

        public LifterPlan plan() {
            return plans.current(lifter, TestSettings.ZONE).orElseThrow();
        }

        public RequestPostProcessor asCoach() {
            return user((UserDetails) coach);
        }

        public RequestPostProcessor asLifter() {
            return user((UserDetails) lifterPerson);
        }

        /** Another coach of the same club, to whom the lifter is not assigned. */
        public RequestPostProcessor asColleague() {
            String username = "colleague" + NEXT.incrementAndGet();
            accounts.addCoach(lifter.clubId(), username, "Colleague", "secret");
            return user((UserDetails) accounts.person(username));
        }

        /** A page of the lifter's. */
        public String url(String rest) {
            return "/lifters/" + lifter.id() + rest;
        }

        /** The number of the cell of a slot, from 0, in a week, from 0. */
        public String cell(int slot, int week) {
            return plan().slotIds().get(0).get(slot) + "." + week;
        }

        public Mass workingMax() {
            return plan().standing().of(Lift.SQUAT).orElseThrow().workingMax().orElseThrow();
        }
    }

    public TestClub club() {
        int number = NEXT.incrementAndGet();
        long club = accounts.addClub("Club " + number, TestSettings.ZONE);
        long coach = accounts.addCoach(club, "coach" + number, "Coach " + number, "secret-" + number);
        Map<Plate, Integer> pairs = new HashMap<>();
        for (String figure : List.of("25", "20", "15", "10", "5", "2.5", "1.25")) {
            pairs.put(Plate.of(figure, MassUnit.KG), 4);
        }
        long kit = kits.add(club, "Gym", new Kit(new Bar("bar", Mass.ofKg(20)), Mass.ZERO, PlateSet.of(pairs)));
        LifterCard lifter = roster.add(new NewLifter(
                club,
                "Lifter " + number,
                coach,
                kit,
                MassUnit.KG,
                Rounding.NEAREST,
                Percent.HUNDRED,
                Optional.empty()));
        accounts.addLifter(club, "lifter" + number, "Lifter " + number, "secret-" + number, lifter.id());
        book.start(
                lifter, Lift.SQUAT, new StartingMax(Mass.ofKg(200), TestSettings.TODAY.minusDays(14)), Mass.ofKg(200));
        plans.add(
                lifter,
                "Block",
                new Block(
                        TestSettings.TODAY.minusWeeks(1),
                        3,
                        List.of(new TrainingDay(
                                "Squat day",
                                0,
                                List.of(
                                        slot("A", "1 @8", "1 @8", "1 @8"),
                                        slot("B", "2x5 -20%", "2x5 -20%", "2x5 -20%"),
                                        slot("C", "3x5 75%", "3x5 75%", "3x5 77.5%"))))));
        return new TestClub(accounts.person("coach" + number), accounts.person("lifter" + number), lifter);
    }

    private static Slot slot(String letter, String... doses) {
        return new Slot(
                letter,
                Lift.SQUAT,
                Arrays.stream(doses).map(dose -> Optional.of(Dose.parse(dose))).toList());
    }
}
