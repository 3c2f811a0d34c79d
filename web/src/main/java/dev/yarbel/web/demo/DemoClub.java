package dev.yarbel.web.demo;

import dev.yarbel.core.block.Block;
import dev.yarbel.core.block.Slot;
import dev.yarbel.core.block.TrainingDay;
import dev.yarbel.core.effort.RepCurve;
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
import dev.yarbel.web.plan.LifterPlan;
import dev.yarbel.web.plan.Plans;
import dev.yarbel.web.roster.LifterCard;
import dev.yarbel.web.roster.NewLifter;
import dev.yarbel.web.roster.Roster;
import java.math.BigDecimal;
import java.time.Clock;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/**
 * Tidewrack Barbell, an invented club in an invented harbour town. Its dates hang on the day it is made: one lifter has a
 * session due today, one left a decision yesterday, one is new.
 */
@Component
public class DemoClub {

    private static final ZoneId ZONE = ZoneId.of("Europe/London");
    private static final String COACH_PASSWORD = "harbour-light";
    private static final String LIFTER_PASSWORD = "slack-water";

    private final Accounts accounts;
    private final Roster roster;
    private final KitShelf kits;
    private final Book book;
    private final Plans plans;
    private final Clock clock;

    DemoClub(Accounts accounts, Roster roster, KitShelf kits, Book book, Plans plans, Clock clock) {
        this.accounts = accounts;
        this.roster = roster;
        this.kits = kits;
        this.book = book;
        this.plans = plans;
        this.clock = clock;
    }

    /** Makes the club, unless there is one. */
    @Transactional
    public void make() {
        if (accounts.anyClub()) {
            return;
        }
        long club = accounts.addClub("Tidewrack Barbell", ZONE);
        long coach = accounts.addHeadCoach(club, "bryn", "Bryn Castellan", COACH_PASSWORD);
        long kg = kits.add(club, "Boat shed", kit("20", MassUnit.KG, "25:4 20:2 15:2 10:2 5:2 2.5:2 1.25:2"));
        long lb = kits.add(club, "Net loft", kit("45", MassUnit.LB, "45:5 35:1 25:2 10:2 5:2 2.5:2"));
        long light = kits.add(club, "Boat shed, light bar", kit("15", MassUnit.KG, "20:2 15:2 10:2 5:2 2.5:2 1.25:2"));
        LocalDate today = LocalDate.ofInstant(clock.instant(), ZONE);

        LifterCard wren = lifter(club, coach, kg, "Wren Halloway", "wren", MassUnit.KG, Rounding.NEAREST, null);
        begin(
                wren,
                Map.of(
                        Lift.SQUAT, Mass.ofKg(182),
                        Lift.BENCH_PRESS, Mass.ofKg(107),
                        Lift.DEADLIFT, Mass.ofKg(211),
                        Lift.OVERHEAD_PRESS, Mass.ofKg(64)),
                today.minusDays(28));
        plans.add(wren, "Spring tide", block(today.minusDays(14)));
        lift(wren, Map.of(Lift.SQUAT, "1.025"), false);

        LifterCard tobin = lifter(club, coach, lb, "Tobin Marsh", "tobin", MassUnit.LB, Rounding.DOWN, null);
        begin(
                tobin,
                Map.of(
                        Lift.SQUAT, Mass.ofLb(505),
                        Lift.BENCH_PRESS, Mass.ofLb(345),
                        Lift.DEADLIFT, Mass.ofLb(560),
                        Lift.OVERHEAD_PRESS, Mass.ofLb(205)),
                today.minusDays(29));
        plans.add(tobin, "Neap", block(today.minusDays(15)));
        lift(tobin, Map.of(Lift.SQUAT, "0.94", Lift.BENCH_PRESS, "1.06"), true);

        LifterCard ottilie = lifter(
                club, coach, light, "Ottilie Strand", "ottilie", MassUnit.KG, Rounding.DOWN, today.minusDays(12));
        begin(
                ottilie,
                Map.of(
                        Lift.SQUAT, Mass.ofKg(72),
                        Lift.BENCH_PRESS, Mass.ofKg(43),
                        Lift.DEADLIFT, Mass.ofKg(88),
                        Lift.OVERHEAD_PRESS, Mass.ofKg(29)),
                today.minusDays(12));
        plans.add(ottilie, "First block", noviceBlock(today.minusDays(8)));
        lift(ottilie, Map.of(), false);
    }

    private LifterCard lifter(
            long club,
            long coach,
            long kit,
            String name,
            String username,
            MassUnit unit,
            Rounding rounding,
            LocalDate noviceSince) {
        LifterCard card = roster.add(new NewLifter(
                club, name, coach, kit, unit, rounding, Percent.of(95), Optional.ofNullable(noviceSince)));
        accounts.addLifter(club, username, name, LIFTER_PASSWORD, card.id());
        return card;
    }

    private static Kit kit(String bar, MassUnit unit, String plates) {
        Map<Plate, Integer> pairs = new HashMap<>();
        for (String part : plates.split(" ")) {
            String[] figures = part.split(":");
            pairs.put(Plate.of(figures[0], unit), Integer.parseInt(figures[1]));
        }
        return new Kit(new Bar(bar + " " + unit.symbol() + " bar", Mass.of(bar, unit)), Mass.ZERO, PlateSet.of(pairs));
    }

    /** Starting maxes, and a working max at the coach's share of each. */
    private void begin(LifterCard lifter, Map<Lift, Mass> maxes, LocalDate since) {
        for (Lift lift : List.of(Lift.SQUAT, Lift.BENCH_PRESS, Lift.DEADLIFT, Lift.OVERHEAD_PRESS)) {
            Mass max = maxes.get(lift);
            Mass workingMax =
                    kits.loader(lifter.clubId(), lifter.kitId()).round(max.times(Percent.of(95)), Rounding.NEAREST);
            book.start(lifter, lift, new StartingMax(max, since), workingMax);
        }
    }

    private static Block block(LocalDate start) {
        return new Block(
                start,
                4,
                List.of(
                        new TrainingDay(
                                "Squat day",
                                0,
                                List.of(
                                        slot("A", Lift.SQUAT, "1 @7", "1 @8", "1 @8", "1 @8.5"),
                                        slot("B", Lift.SQUAT, "5x5 -24%", "5x5 -22%", "4x5 -20%", "3x5 -20%"),
                                        slot(
                                                "C",
                                                Lift.BENCH_PRESS,
                                                "4x8 70% rest 120 tempo 3010",
                                                "4x8 72.5% rest 120 tempo 3010",
                                                "4x7 75% rest 120 tempo 3010",
                                                "3x6 77.5% rest 120"))),
                        new TrainingDay(
                                "Bench day",
                                2,
                                List.of(
                                        slot("A", Lift.BENCH_PRESS, "1 @7", "1 @8", "1 @8", "1 @8.5"),
                                        slot("B", Lift.BENCH_PRESS, "5x5 -18%", "5x5 -16%", "4x5 -15%", "3x5 -15%"),
                                        slot("C", Lift.SQUAT, "3x5 70%", "3x5 72.5%", "3x4 75%", "3x3 77.5%"),
                                        slot(
                                                "D",
                                                Lift.OVERHEAD_PRESS,
                                                "3x10 65%",
                                                "3x10 67.5%",
                                                "3x8 70%",
                                                "2x8 70%"))),
                        new TrainingDay(
                                "Pull day",
                                4,
                                List.of(
                                        slot("A", Lift.DEADLIFT, "1 @7", "1 @8", "1 @8", "1 @8.5"),
                                        slot("B", Lift.DEADLIFT, "4x4 -22%", "4x4 -20%", "3x3 -18%", "2x3 -18%"),
                                        slot("C", Lift.SQUAT, "3x6 65%", "3x6 67.5%", "3x5 70%", "2x5 70%")))));
    }

    /** Fives, a little heavier each week, the deadlift once a week. */
    private static Block noviceBlock(LocalDate start) {
        String[] fives = {"5x5 65%", "5x5 67.5%", "5x5 70%", "5x5 72.5%"};
        String[] pulls = {"2x5 70%", "2x5 72.5%", "2x5 75%", "2x5 77.5%"};
        return new Block(
                start,
                4,
                List.of(
                        new TrainingDay(
                                "First day",
                                0,
                                List.of(slot("A", Lift.SQUAT, fives), slot("B", Lift.BENCH_PRESS, fives))),
                        new TrainingDay(
                                "Second day",
                                2,
                                List.of(slot("A", Lift.DEADLIFT, pulls), slot("B", Lift.OVERHEAD_PRESS, fives))),
                        new TrainingDay(
                                "Third day",
                                4,
                                List.of(slot("A", Lift.SQUAT, fives), slot("B", Lift.BENCH_PRESS, fives)))));
    }

    private static Slot slot(String letter, Lift lift, String... doses) {
        List<Optional<Dose>> weeks = new ArrayList<>();
        for (String dose : doses) {
            weeks.add(Optional.of(Dose.parse(dose)));
        }
        return new Slot(letter, lift, weeks);
    }

    /** Lifts every day that is past, with strength that grows or fades evenly to a multiple of the starting max. */
    private void lift(LifterCard lifter, Map<Lift, String> multiples, boolean decisionsWait) {
        LifterPlan plan = plans.current(lifter, ZONE).orElseThrow();
        List<int[]> past = new ArrayList<>();
        for (int week = 0; week < plan.block().weeks(); week++) {
            for (int day = 0; day < plan.block().days().size(); day++) {
                if (plan.block().date(day, week).isBefore(plan.today())) {
                    past.add(new int[] {day, week});
                }
            }
        }
        for (int i = 0; i < past.size(); i++) {
            int day = past.get(i)[0];
            int week = past.get(i)[1];
            Percent grown = Percent.of(100 * (i + 1) / past.size());
            DemoStrength strength = new DemoStrength(RepCurve.DEFAULT, lift -> {
                Mass start = plan.standing()
                        .of(lift)
                        .orElseThrow()
                        .start()
                        .orElseThrow()
                        .max();
                Percent end = Percent.ofShare(new BigDecimal(multiples.getOrDefault(lift, "1")));
                return start.times(
                        Percent.HUNDRED.plus(end.minus(Percent.HUNDRED).times(grown)));
            });
            LocalDate date = plan.block().date(day, week);
            var sets = strength.session(plan.resolver(), plan.block(), day, week);
            var at = date.atTime(18, 30).atZone(ZONE).toInstant();
            boolean heard = decisionsWait && i == past.size() - 1;
            book.addHistory(lifter, plan.planned(day, week), date, at, sets, heard);
        }
    }
}
