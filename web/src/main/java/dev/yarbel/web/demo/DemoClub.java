package dev.yarbel.web.demo;

import dev.yarbel.core.effort.RepCurve;
import dev.yarbel.core.equipment.Rounding;
import dev.yarbel.core.estimate.RecordedMax;
import dev.yarbel.core.lift.Ache;
import dev.yarbel.core.lift.Consistency;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.lift.Mastery;
import dev.yarbel.core.lift.SetUpMeasure;
import dev.yarbel.core.lift.Tissue;
import dev.yarbel.core.lift.Variation;
import dev.yarbel.core.lifter.HealthQuestion;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.MassUnit;
import dev.yarbel.core.measure.Percent;
import dev.yarbel.core.record.SetDetails.MissedBy;
import dev.yarbel.core.record.Worn;
import dev.yarbel.core.session.AskedDay;
import dev.yarbel.core.session.DoneSet;
import dev.yarbel.web.account.Accounts;
import dev.yarbel.web.block.Blocks;
import dev.yarbel.web.block.LifterBlock;
import dev.yarbel.web.book.Book;
import dev.yarbel.web.book.Sessions;
import dev.yarbel.web.kit.KitShelf;
import dev.yarbel.web.page.Person;
import dev.yarbel.web.roster.LifterCard;
import dev.yarbel.web.roster.MeasureKind;
import dev.yarbel.web.roster.NewLifter;
import dev.yarbel.web.roster.NoteKind;
import dev.yarbel.web.roster.Profiles;
import dev.yarbel.web.roster.Roster;
import java.math.BigDecimal;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
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
    private static final String LIFTER_PASSWORD = "slack-water-low";
    /** In so many days a contest was to be that lost its day. */
    private static final int POSTPONED = 40;

    private final Accounts accounts;
    private final Roster roster;
    private final Profiles profiles;
    private final KitShelf kits;
    private final Book book;
    private final Sessions sessions;
    private final Blocks blocks;
    private final DemoContests contests;
    private final Clock clock;
    private Accounts.Hashed lifterPassword;

    DemoClub(
            Accounts accounts,
            Roster roster,
            Profiles profiles,
            KitShelf kits,
            Book book,
            Sessions sessions,
            Blocks blocks,
            DemoContests contests,
            Clock clock) {
        this.accounts = accounts;
        this.roster = roster;
        this.profiles = profiles;
        this.kits = kits;
        this.book = book;
        this.sessions = sessions;
        this.blocks = blocks;
        this.contests = contests;
        this.clock = clock;
    }

    /** Makes the club, unless there is one; whether it did. */
    @Transactional
    public boolean make() {
        if (accounts.anyClub()) {
            return false;
        }
        lifterPassword = accounts.hash(LIFTER_PASSWORD);
        long club = accounts.addClub("Tidewrack Barbell", ZONE);
        accounts.addHeadCoach(club, "bryn", "Bryn Castellan", COACH_PASSWORD);
        accounts.addCoach(club, "maren", "Maren Quill", COACH_PASSWORD);
        Person bryn = accounts.person("bryn");
        Person maren = accounts.person("maren");
        long shed = kits.add(club, DemoGyms.boatShed(), MassUnit.KG);
        DemoGyms.dumbbells(kits, club, shed);
        DemoGyms.accommodation(kits, club, shed);
        long loft = kits.add(club, DemoGyms.netLoft(), MassUnit.LB);
        long garage = kits.add(club, DemoGyms.garage(), MassUnit.LB);
        LocalDate today = LocalDate.ofInstant(clock.instant(), ZONE);

        LifterCard wren = lifter(bryn, shed, "Wren Halloway", "wren", MassUnit.KG, Rounding.NEAREST, null);
        begin(wren, "squat 182, bench-press 107, deadlift 211, overhead-press 64", today.minusDays(28));
        blocks.add(wren, DemoBlocks.threeDays(today.minusDays(14)).named("Spring tide"), "");
        before(wren, new DemoPast(Lift.SQUAT, Mass.ofKg(174), Mass.ofKg(182), 22), today.minusDays(16));
        lift(wren, Map.of(Lift.SQUAT, "1.025"), DemoTale.told(Lift.DEADLIFT, 1));

        LifterCard tobin = lifter(bryn, loft, "Tobin Marsh", "tobin", MassUnit.LB, Rounding.DOWN, null);
        begin(tobin, "squat 505, bench-press 345, deadlift 560, overhead-press 205", today.minusDays(29));
        blocks.add(tobin, DemoBlocks.threeDays(today.minusDays(15)).named("Neap"), "");
        lift(tobin, Map.of(Lift.SQUAT, "0.9", Lift.BENCH_PRESS, "1.1"), DemoTale.told(Lift.SQUAT, 1));

        LifterCard ottilie =
                lifter(bryn, shed, "Ottilie Strand", "ottilie", MassUnit.KG, Rounding.DOWN, today.minusDays(12));
        kits.takesBar(ottilie, shed, Optional.of("Light bar"));
        begin(ottilie, "squat 72, bench-press 43, deadlift 88, overhead-press 29", today.minusDays(12));
        blocks.add(ottilie, DemoBlocks.novice(today.minusDays(8)).named("First block"), "");
        lift(ottilie, Map.of(), DemoTale.missed(Lift.BENCH_PRESS, 2, 3));

        others(bryn, maren, shed, loft, garage, today);
        profiles(bryn, maren, today);
        contests.hold(bryn, maren, today, today.plusDays(64), today.plusDays(POSTPONED));
        return true;
    }

    private void others(Person bryn, Person maren, long shed, long loft, long garage, LocalDate today) {
        LifterCard desmond = lifter(bryn, shed, "Desmond Pike", "desmond", MassUnit.KG, Rounding.DOWN, null);
        begin(desmond, "squat 150, bench-press 95, deadlift 180, overhead-press 52", today.minusDays(24));
        blocks.add(
                desmond,
                DemoBlocks.towardContest(today.minusDays(17), today.plusDays(64))
                        .named("Quiet water"),
                "");
        lift(desmond, Map.of(), DemoTale.NONE);

        LifterCard agathe = lifter(maren, shed, "Agathe Lorne", "agathe", MassUnit.KG, Rounding.NEAREST, null);
        kits.takesBar(agathe, shed, Optional.of("Light bar"));
        begin(agathe, "squat 92, bench-press 55, deadlift 115, overhead-press 34", today.minusDays(100));
        before(agathe, new DemoPast(Lift.SQUAT, Mass.ofKg(91), Mass.ofKg(92), 6), today.minusDays(20));
        blocks.add(agathe, DemoBlocks.threeDays(today.minusDays(3)).named("Slack"), "");
        lift(agathe, Map.of(), DemoTale.told(Lift.SQUAT, 2));

        LifterCard rufus = lifter(bryn, loft, "Rufus Kell", "rufus", MassUnit.LB, Rounding.DOWN, null);
        begin(rufus, "squat 425, bench-press 275, deadlift 495, overhead-press 155", today.minusDays(50));
        blocks.add(
                rufus,
                DemoBlocks.shoulder(today.minusDays(9))
                        .toward(Optional.of(today.plusDays(POSTPONED)))
                        .named("Back to the bar"),
                "");
        lift(
                rufus,
                Map.of(Lift.BENCH_PRESS, "0.97"),
                DemoTale.missed(new Lift("close-grip-bench-press"), MissedBy.PAIN));

        LifterCard hanno = lifter(bryn, shed, "Hanno Dray", "hanno", MassUnit.KG, Rounding.NEAREST, null);
        begin(hanno, "squat 165, bench-press 120, deadlift 205, overhead-press 72", today.minusDays(30));
        before(hanno, new DemoPast(Lift.SQUAT, Mass.ofKg(166), Mass.ofKg(164), 6), today.minusDays(18));
        blocks.add(hanno, DemoBlocks.threeDays(today.minusDays(16)).named("Three days"), "");
        liftAllButTheLast(hanno);

        String events =
                "deadlift %d, log-press %d, overhead-press %d, squat %d, yoke-walk %d, farmers-walk %d, stone-over-bar %d";
        LifterCard sunniva = lifter(bryn, shed, "Sunniva Brack", "sunniva", MassUnit.KG, Rounding.NEAREST, null);
        begin(sunniva, events.formatted(185, 80, 78, 150, 220, 90, 120), today.minusDays(21));
        blocks.add(
                sunniva,
                DemoBlocks.events(today.minusDays(8), "160kg", "60kg", "100kg").named("Harbour games"),
                "");
        lift(sunniva, Map.of(), DemoTale.inPounds(Lift.DEADLIFT));

        LifterCard colm = lifter(bryn, shed, "Colm Tarrow", "colm", MassUnit.KG, Rounding.NEAREST, null);
        begin(colm, events.formatted(290, 135, 130, 240, 360, 150, 170), today.minusDays(21));
        blocks.add(
                colm,
                DemoBlocks.events(today.minusDays(8), "260kg", "110kg", "140kg").named("Harbour games"),
                "");
        lift(colm, Map.of(), DemoTale.missed(Lift.SQUAT, 2, 0));

        LifterCard piet = lifter(maren, shed, "Piet Ondervane", "piet", MassUnit.KG, Rounding.UP, null);
        begin(piet, events.formatted(270, 120, 118, 225, 330, 140, 160), today.minusDays(21));
        blocks.add(
                piet,
                DemoBlocks.events(today.minusDays(8), "240kg", "100kg", "140kg").named("Harbour games"),
                "");
        lift(piet, Map.of(), DemoTale.missed(Lift.DEADLIFT, MissedBy.GRIP));

        LifterCard ida = lifter(maren, garage, "Ida Fenwright", "ida", MassUnit.LB, Rounding.DOWN, null);
        kits.trainsIn(ida, List.of(garage, loft));
        begin(ida, "squat 235, bench-press 135, deadlift 285, overhead-press 90", today.minusDays(40));
        blocks.add(ida, DemoBlocks.threeDays(today.minusDays(11)).named("At home"), "");
        lift(ida, Map.of(), DemoTale.harder(Lift.BENCH_PRESS, 2, 3));

        LifterCard self = roster.add(new NewLifter(
                maren.clubId(),
                maren.personName(),
                maren.accountId(),
                MassUnit.KG,
                Rounding.NEAREST,
                Percent.of(95),
                Optional.empty()));
        kits.trainsIn(self, List.of(shed));
        accounts.lifts(maren, self.id());
        begin(self, "squat 140, bench-press 82, deadlift 170, overhead-press 52", today.minusDays(35));
        blocks.add(self, DemoBlocks.threeDays(today.minusDays(5)).named("Own work"), "");
        lift(self, Map.of(), DemoTale.NONE);
    }

    private LifterCard lifter(
            Person coach,
            long gym,
            String name,
            String username,
            MassUnit unit,
            Rounding rounding,
            LocalDate noviceSince) {
        LifterCard card = roster.add(new NewLifter(
                coach.clubId(),
                name,
                coach.accountId(),
                unit,
                rounding,
                Percent.of(95),
                Optional.ofNullable(noviceSince)));
        kits.trainsIn(card, List.of(gym));
        accounts.addLifter(coach.clubId(), username, name, lifterPassword, card.id());
        return card;
    }

    /** Who the lifters are, as their coaches wrote it down. */
    private void profiles(Person bryn, Person maren, LocalDate today) {
        Map<String, LifterCard> byName = new LinkedHashMap<>();
        for (Person coach : List.of(bryn, maren)) {
            roster.lifters(coach).forEach(card -> byName.put(card.name(), card));
        }
        for (String line : DemoProfiles.LINES) {
            String[] parts = line.split("\\|");
            LifterCard card = byName.get(parts[0].strip());
            Person coach = DemoProfiles.OF_MAREN.contains(card.name()) ? maren : bryn;
            for (String entry : parts[1].split(";")) {
                String[] field = entry.split("=");
                profiles.keep(coach, card.id(), field[0].strip(), field[1].strip());
            }
            measure(coach, card, MeasureKind.BODY_MASS, parts[2].strip(), today.minusDays(20));
            answerNo(coach, card, DemoProfiles.YES.get(card.name()));
        }
        LifterCard rufus = byName.get("Rufus Kell");
        profiles.ache(
                bryn,
                rufus,
                new Ache(
                        Tissue.SHOULDER,
                        "right, at the front, in the bottom of the press",
                        today.minusDays(47),
                        Optional.empty(),
                        Set.of()));
        note(bryn, rufus, NoteKind.COACH_WANTS, "Press without pain first; the squat can go on as it was.");
        note(bryn, rufus, NoteKind.NOTE, "Calls everything an 8. Watch the last rep, not the face.");
        LifterCard desmond = byName.get("Desmond Pike");
        profiles.clearHealth(bryn, desmond.id(), "his cardiologist, by letter", today.minusDays(60));
        LifterCard wren = byName.get("Wren Halloway");
        measure(bryn, wren, MeasureKind.BODY_MASS, "76.1", today.minusDays(34));
        measure(bryn, wren, MeasureKind.BODY_MASS, "75.9", today.minusDays(9));
        measure(bryn, wren, MeasureKind.BODY_MASS, "76.3", today.minusDays(3));
        note(
                accounts.person("wren"),
                wren,
                NoteKind.LIFTER_WANTS,
                "A 190 squat in a contest, and to stop being afraid of it.");
        note(bryn, wren, NoteKind.COACH_WANTS, "Depth the same at 170 as at 120.");
        max(
                bryn,
                wren,
                RecordedMax.Kind.CONTEST,
                "177.5",
                1,
                today.minusDays(130),
                "Autumn open",
                Worn.BELT,
                Worn.KNEE_SLEEVES);
        max(bryn, wren, RecordedMax.Kind.REP_MAX, "155", 5, today.minusDays(60), "", Worn.BELT);
        max(bryn, wren, RecordedMax.Kind.GOAL, "190", 1, today.plusDays(70), "Spring open");
        book.setDown(
                bryn,
                wren,
                Lift.SQUAT,
                new Book.Practice(
                        Optional.of(today.minusMonths(40)),
                        Optional.of(Consistency.HOLDS_WHEN_LIGHT),
                        Optional.of(Mastery.INTERMEDIATE)));
        Variation squat = book.catalogue(wren.clubId()).of(Lift.SQUAT);
        book.setUp(
                bryn,
                wren,
                squat,
                Map.of(
                        SetUpMeasure.RACK_HEIGHT, "hole 14",
                        SetUpMeasure.STANCE, "42 cm",
                        SetUpMeasure.SAFETY_HEIGHT, "hole 6"));
        LifterCard ottilie = byName.get("Ottilie Strand");
        measure(bryn, ottilie, MeasureKind.BODY_WEIGHT_SQUATS, "32", today.minusDays(12));
        measure(bryn, ottilie, MeasureKind.PUSH_UPS, "6", today.minusDays(12));
    }

    private void measure(Person coach, LifterCard lifter, MeasureKind kind, String figure, LocalDate on) {
        profiles.measure(coach, lifter, kind, kind.read(figure, lifter.unit()), on, false);
    }

    private void note(Person writer, LifterCard lifter, NoteKind kind, String text) {
        profiles.note(writer, lifter, kind, text);
    }

    private void answerNo(Person coach, LifterCard lifter, HealthQuestion yes) {
        Map<HealthQuestion, Boolean> answers = new EnumMap<>(HealthQuestion.class);
        for (HealthQuestion question : HealthQuestion.values()) {
            answers.put(question, question == yes);
        }
        profiles.health(coach, lifter.id(), answers);
    }

    private void max(
            Person coach,
            LifterCard lifter,
            RecordedMax.Kind kind,
            String load,
            int reps,
            LocalDate on,
            String source,
            Worn... worn) {
        Mass lifted = Mass.of(load, lifter.unit());
        RecordedMax max = new RecordedMax(Lift.SQUAT, kind, lifted, reps, on, Worn.inOrder(List.of(worn)), source);
        book.setDown(coach, lifter, max, lifter.unit());
    }

    /** Maxes such as {@code squat 182}, in the lifter's unit, and a working max at the coach's share of each. */
    private void begin(LifterCard lifter, String maxes, LocalDate since) {
        for (String entry : maxes.split(", ")) {
            String[] parts = entry.split(" ");
            Lift lift = new Lift(parts[0]);
            Mass max = Mass.of(parts[1], lifter.unit());
            Mass workingMax = max.times(Percent.of(95));
            book.start(lifter, new RecordedMax(lift, RecordedMax.Kind.TESTED, max, 1, since, Set.of(), ""), workingMax);
        }
    }

    /** Lifts once a week up to a day, before there was a plan. */
    private void before(LifterCard lifter, DemoPast past, LocalDate last) {
        for (int week = 0; week < past.weeks(); week++) {
            LocalDate date = last.minusWeeks(past.weeks() - 1L - week);
            Instant at = date.atTime(18, 30).atZone(ZONE).toInstant();
            sessions.addHistory(lifter, Optional.empty(), date, at, past.session(week), false);
        }
    }

    /** The last past day was missed, and those before it did not go well. */
    private void liftAllButTheLast(LifterCard lifter) {
        lift(lifter, Map.of(Lift.SQUAT, "0.98"), DemoTale.missed(Lift.SQUAT, 3, 2), 1);
    }

    /** Lifts every day that is past, with strength that grows or fades evenly to a multiple of the starting max. */
    private void lift(LifterCard lifter, Map<Lift, String> multiples, DemoTale tale) {
        lift(lifter, multiples, tale, 0);
    }

    private void lift(LifterCard lifter, Map<Lift, String> multiples, DemoTale tale, int missed) {
        LifterBlock plan = blocks.current(lifter, ZONE).orElseThrow();
        List<int[]> past = new ArrayList<>();
        for (int week = 0; week < plan.block().weeks(); week++) {
            for (int day = 0; day < plan.block().days().size(); day++) {
                if (plan.block().date(day, week).isBefore(plan.today())) {
                    past.add(new int[] {day, week});
                }
            }
        }
        List<List<DoneSet>> expected = new ArrayList<>();
        for (int i = 0; i < past.size() - missed; i++) {
            Percent grown = Percent.of(100 * (i + 1) / past.size());
            DemoStrength strength = new DemoStrength(RepCurve.DEFAULT, lift -> {
                Mass start = plan.resolver().numbers(lift).estimate().orElseThrow();
                Percent end = Percent.ofShare(new BigDecimal(multiples.getOrDefault(lift, "1")));
                return start.times(
                        Percent.HUNDRED.plus(end.minus(Percent.HUNDRED).times(grown)));
            });
            expected.add(strength.session(plan.resolver(), plan.block(), past.get(i)[0], past.get(i)[1]));
        }
        int toldFrom = tale.toldFrom(expected);
        for (int i = 0; i < expected.size(); i++) {
            int day = past.get(i)[0];
            int week = past.get(i)[1];
            LocalDate date = plan.block().date(day, week);
            boolean heard = i >= toldFrom;
            List<DoneSet> sets = heard ? tale.tell(expected.get(i)) : expected.get(i);
            var at = date.atTime(18, 30).atZone(ZONE).toInstant();
            String asked = AskedDay.of(
                            plan.block().shape().get(week).deload(),
                            plan.projection().prescriptions(day, week),
                            plan.projection().loads(day, week))
                    .text();
            sessions.addHistory(lifter, Optional.of(plan.planned(day, week)), asked, date, at, sets, heard);
        }
    }
}
