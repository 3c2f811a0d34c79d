package dev.yarbel.web;

import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.user;

import dev.yarbel.core.block.Block;
import dev.yarbel.core.block.Slot;
import dev.yarbel.core.block.TrainingDay;
import dev.yarbel.core.contest.AnnouncedEvent;
import dev.yarbel.core.contest.EventMeasure;
import dev.yarbel.core.contest.Outcome;
import dev.yarbel.core.effort.Effort;
import dev.yarbel.core.equipment.Gym;
import dev.yarbel.core.equipment.Implement;
import dev.yarbel.core.equipment.Plate;
import dev.yarbel.core.equipment.Rounding;
import dev.yarbel.core.estimate.RecordedMax;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.MassUnit;
import dev.yarbel.core.measure.Percent;
import dev.yarbel.core.prescription.Dose;
import dev.yarbel.core.record.LiftedSet;
import dev.yarbel.core.session.DoneSet;
import dev.yarbel.core.session.TaskKey;
import dev.yarbel.web.account.Accounts;
import dev.yarbel.web.block.Blocks;
import dev.yarbel.web.block.LifterBlock;
import dev.yarbel.web.book.Book;
import dev.yarbel.web.book.Sessions;
import dev.yarbel.web.contest.HeldContests;
import dev.yarbel.web.contest.Way;
import dev.yarbel.web.kit.KitShelf;
import dev.yarbel.web.page.Person;
import dev.yarbel.web.roster.LifterCard;
import dev.yarbel.web.roster.NewLifter;
import dev.yarbel.web.roster.Roster;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.stream.Stream;
import java.util.zip.GZIPOutputStream;
import org.springframework.boot.test.context.TestComponent;
import org.springframework.jdbc.core.simple.JdbcClient;
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
    private final Sessions sessions;
    private final Blocks blocks;
    private final HeldContests contests;
    private final JdbcClient jdbc;

    Clubs4Tests(
            Accounts accounts,
            Roster roster,
            KitShelf kits,
            Book book,
            Sessions sessions,
            Blocks blocks,
            HeldContests contests,
            JdbcClient jdbc) {
        this.accounts = accounts;
        this.roster = roster;
        this.kits = kits;
        this.book = book;
        this.sessions = sessions;
        this.blocks = blocks;
        this.contests = contests;
        this.jdbc = jdbc;
    }

    /** The number of a contest today, and of the entry of the club's lifter. */
    public record TestContest(long contest, long entry) {}

    /** A contest today with the lifter in it. */
    public TestContest contest(TestClub club) {
        return contest(club, 0);
    }

    /** A contest in so many days with the lifter in it, who means to lift in a class. */
    public TestContest contest(TestClub club, int days) {
        long contest = contests.hold(
                club.coach, "Open", "Hall", Optional.of(club.plan().today().plusDays(days)), "ipf-classic");
        long entry = contests.enter(club.coach, contest, club.lifter, 1, Way.SHARES, Optional.empty());
        jdbc.sql("update contest_entry set class_limit = 74 where id = ?")
                .param(entry)
                .update();
        return new TestContest(contest, entry);
    }

    /** A log that the club's coach brought for its lifter, which is so far. */
    public long brought(TestClub club, String status) {
        long file = jdbc.sql("""
                        insert into import_file (club_id, account_id, brought_at, name, encoding, separator, sheets, rows, lifter_id, status,
                          status_at, sets, days)
                        values (?, ?, now(), 'log.csv', 'UTF-8', ',', '{""}', '{3}', ?, ?, now(), 1, 1) returning id""")
                .params(club.lifter.clubId(), club.coach.accountId(), club.lifter.id(), status)
                .query(Long.class)
                .single();
        jdbc.sql("insert into import_part (club_id, import_id, sheet, part, rows) values (?, ?, 0, 0, ?)")
                .params(
                        club.lifter.clubId(),
                        file,
                        packed("Date,Exercise,Weight,Reps\n2024-03-12,Squat,140,5\n2024-03-12,Zorbing,50,5\n"))
                .update();
        return file;
    }

    /** The file of a lifter that the club's coach brought, which is so far. */
    public long whole(TestClub club, String status) {
        return jdbc.sql("""
                        insert into brought_file (club_id, account_id, name, brought_at, size, content, status, status_at)
                        values (?, ?, 'lifter.json', now(), 2, ?, ?, now()) returning id""")
                .params(club.lifter.clubId(), club.coach.accountId(), packed("{}"), status)
                .query(Long.class)
                .single();
    }

    /** A clip of a set that nobody planned. */
    public record TestClip(long clip, long session, UUID set, UUID file) {}

    /** A clip of the club's lifter, in the store where the tests keep them. */
    public TestClip clip(TestClub club) {
        long session = jdbc.sql("""
                        insert into training_session (club_id, lifter_id, held_on, started_at, finished_at)
                        values (?, ?, '2026-03-08', now(), now()) returning id""")
                .params(club.lifter.clubId(), club.lifter.id())
                .query(Long.class)
                .single();
        UUID set = UUID.randomUUID();
        UUID file = UUID.randomUUID();
        UUID preview = UUID.randomUUID();
        jdbc.sql("""
                        insert into logged_set (club_id, session_id, token, task, lift, load, reps, effort, logged_at, received_at)
                        values (?, ?, ?, 'A.1', 'squat', 140, 5, '8', now(), now())""").params(club.lifter.clubId(), session, set).update();
        Path kept = Path.of("target", "clips", "kept");
        try {
            Files.createDirectories(kept);
            Files.write(kept.resolve(file.toString()), new byte[] {1, 2, 3, 4, 5, 6, 7, 8});
            Files.write(kept.resolve(preview.toString()), new byte[] {8, 7});
        } catch (IOException impossible) {
            throw new UncheckedIOException(impossible);
        }
        long clip = jdbc.sql("""
                        insert into clip (club_id, lifter_id, set_token, file, preview, type, bytes, added_by, added_at)
                        values (?, ?, ?, ?, ?, 'MP4', 8, ?, now()) returning id""")
                .params(club.lifter.clubId(), club.lifter.id(), set, file, preview, club.coach.accountId())
                .query(Long.class)
                .single();
        return new TestClip(clip, session, set, file);
    }

    private static byte[] packed(String text) {
        ByteArrayOutputStream packed = new ByteArrayOutputStream();
        try (GZIPOutputStream out = new GZIPOutputStream(packed)) {
            out.write(text.getBytes(StandardCharsets.UTF_8));
        } catch (IOException impossible) {
            throw new UncheckedIOException(impossible);
        }
        return packed.toByteArray();
    }

    /** The opener of a contest is made. */
    public void opens(TestClub club, TestContest held) {
        contests.attempt(
                club.coach, held.contest(), held.entry(), Lift.SQUAT, 1, Mass.ofKg(150), Optional.of(Outcome.MADE));
    }

    /** A strongman contest with one event, whose number stands in the entry's place, and the lifter in it. */
    public TestContest games(TestClub club) {
        long contest = contests.hold(
                club.coach, "Games", "Quay", Optional.of(club.plan().today().plusDays(7)), "strongman");
        contests.enter(club.coach, contest, club.lifter, 1, Way.SHARES, Optional.empty());
        return new TestContest(
                contest,
                contests.event(
                        club.coach,
                        contest,
                        "Log",
                        new Lift("log-press"),
                        AnnouncedEvent.of(EventMeasure.REPS, Optional.of(Mass.ofKg(100))),
                        Optional.empty(),
                        Optional.empty()));
    }

    /** A strongman contest with a second event. */
    public TestContest gamesOfTwo(TestClub club) {
        TestContest games = games(club);
        contests.event(
                club.coach,
                games.contest(),
                "Yoke",
                new Lift("yoke-walk"),
                AnnouncedEvent.of(EventMeasure.TIME, Optional.of(Mass.ofKg(300))),
                Optional.empty(),
                Optional.empty());
        return games;
    }

    /** A club with its people. */
    public final class TestClub {

        public final Person coach;
        public final Person lifterPerson;
        public final LifterCard lifter;
        /** The number of the gym everybody trains in. */
        public final long gym;

        TestClub(Person coach, Person lifterPerson, LifterCard lifter, long gym) {
            this.coach = coach;
            this.lifterPerson = lifterPerson;
            this.lifter = lifter;
            this.gym = gym;
        }

        public LifterBlock plan() {
            return blocks.current(lifter, TestSettings.ZONE).orElseThrow();
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

        /** The club's head coach, to whom nobody is assigned. */
        public RequestPostProcessor asHeadCoach() {
            String username = "head" + NEXT.incrementAndGet();
            accounts.addHeadCoach(lifter.clubId(), username, "Head", "secret");
            return user((UserDetails) accounts.person(username));
        }

        /** Another lifter of the same coach. */
        public RequestPostProcessor asOtherLifter() {
            String username = "other" + NEXT.incrementAndGet();
            accounts.addLifter(
                    lifter.clubId(),
                    username,
                    "Other",
                    "secret",
                    Clubs4Tests.this.lifter(this, "Other").id());
            return user((UserDetails) accounts.person(username));
        }

        /** What the coach signs in with. */
        public String coachName() {
            return ((UserDetails) coach).getUsername();
        }

        public String lifterName() {
            return ((UserDetails) lifterPerson).getUsername();
        }

        /** The same for both. */
        public String password() {
            return coachName().replace("coach", "secret-");
        }

        /** A page of the lifter's. */
        public String url(String rest) {
            return "/lifters/" + lifter.id() + rest;
        }

        /** The number of the cell of a slot, from 0, in a week, from 0. */
        public String cell(int slot, int week) {
            return plan().block().days().get(0).slots().get(slot).id() + "." + week;
        }

        public Mass workingMax() {
            return plan().standing().of(Lift.SQUAT).orElseThrow().workingMax().orElseThrow();
        }
    }

    /** Somebody as they would sign in now. */
    public RequestPostProcessor signedIn(String username) {
        return user((UserDetails) accounts.person(username));
    }

    /** A club whose lifter has a day of slots such as {@code bench-press 3x5 75%}, lettered from A, the same each week. */
    public TestClub club(String... slots) {
        List<Slot> day = new ArrayList<>();
        for (String slot : slots) {
            String[] parts = slot.split(" ", 2);
            Optional<Dose> dose = Optional.of(Dose.parse(parts[1]));
            day.add(new Slot(
                    String.valueOf((char) ('A' + day.size())), new Lift(parts[0]), Collections.nCopies(3, dose)));
        }
        return club(day);
    }

    public TestClub club() {
        return club(List.of(
                slot("A", "1 @8", "1 @8", "1 @8"),
                slot("B", "2x5 -20%", "2x5 -20%", "2x5 -20%"),
                slot("C", "3x5 75%", "3x5 75%", "3x5 77.5%")));
    }

    private TestClub club(List<Slot> day) {
        int number = NEXT.incrementAndGet();
        long club = accounts.addClub("Club " + number, TestSettings.ZONE);
        long coach = accounts.addCoach(club, "coach" + number, "Coach " + number, "secret-" + number);
        Map<Plate, Integer> plates = new HashMap<>();
        for (String figure : List.of("25", "20", "15", "10", "5", "2.5", "1.25")) {
            plates.put(Plate.of(figure, MassUnit.KG), 8);
        }
        Gym.Holder bar = new Gym.Holder(Implement.BARBELL, "bar", Mass.ofKg(20), Optional.empty(), true);
        long gym = kits.add(club, new Gym("Gym", Mass.ZERO, plates, List.of(bar), List.of(), List.of()), MassUnit.KG);
        LifterCard lifter = roster.add(new NewLifter(
                club, "Lifter " + number, coach, MassUnit.KG, Rounding.NEAREST, Percent.HUNDRED, Optional.empty()));
        kits.trainsIn(lifter, List.of(gym));
        accounts.addLifter(club, "lifter" + number, "Lifter " + number, "secret-" + number, lifter.id());
        book.start(lifter, tested(200), Mass.ofKg(200));
        blocks.add(
                lifter,
                new Block(TestSettings.TODAY.minusWeeks(1), 3, List.of(new TrainingDay("Squat day", 0, day)))
                        .named("Block"),
                "");
        return new TestClub(accounts.person("coach" + number), accounts.person("lifter" + number), lifter, gym);
    }

    /** The head coach of a club that has nothing yet. */
    public RequestPostProcessor ofEmptyClub() {
        String username = "head" + NEXT.incrementAndGet();
        accounts.addHeadCoach(accounts.addClub("Empty " + username, TestSettings.ZONE), username, "Head", "secret");
        return user((UserDetails) accounts.person(username));
    }

    /**
     * The same club grown by lifters with a block under way, each with sessions that part estimate and working max; the
     * first of them, who is given back, has a year of lifted blocks and a block of as many weeks and days.
     */
    public LifterCard grow(TestClub club, int lifters, int weeks, int days) {
        LifterCard first = lifter(club, "Other");
        for (int past = 4; past >= 1; past--) {
            lift(first, "Past " + past, TestSettings.TODAY.minusWeeks(13L * past + 2), 13, days);
        }
        lift(first, "Long", TestSettings.TODAY.minusWeeks(2), weeks, days);
        for (int i = 1; i < lifters; i++) {
            lift(lifter(club, "Other " + i), "Block", TestSettings.TODAY.minusWeeks(1), 4, 1);
        }
        return first;
    }

    private LifterCard lifter(TestClub club, String name) {
        LifterCard lifter = roster.add(new NewLifter(
                club.lifter.clubId(),
                name,
                club.coach.accountId(),
                MassUnit.KG,
                Rounding.NEAREST,
                Percent.HUNDRED,
                Optional.empty()));
        kits.trainsIn(lifter, List.of(club.gym));
        book.start(lifter, tested(200), Mass.ofKg(120));
        return lifter;
    }

    /** The number of a question about the lifter's first logged work set that their coach put to them. */
    public long question(TestClub club) {
        return jdbc.sql("""
                        insert into lifter_question (club_id, lifter_id, session_id, task, kind, asked_at, asked_by_name)
                        select t.club_id, t.lifter_id, t.id, s.task, 'WHAT_HAPPENED', now(), 'Coach'
                        from training_session t join logged_set s on s.club_id = t.club_id and s.session_id = t.id
                        where t.lifter_id = ? and s.task = 'A.1' and t.plan_day is not null order by t.id limit 1
                        returning id""").param(club.lifter.id()).query(Long.class).single();
    }

    /** The number of a block of a week, long after the other one of the club's lifter, that was taken away. */
    public long takenAway(TestClub club) {
        Block block = new Block(TestSettings.TODAY.plusYears(1), 1, List.of()).named("Taken away");
        long number = blocks.begin(club.coach, club.lifter, block, "");
        blocks.remove(
                club.coach,
                blocks.open(club.lifter, TestSettings.ZONE, Optional.of(number)).orElseThrow());
        return number;
    }

    /** A squat of so many kilograms, lifted two weeks ago. */
    private static RecordedMax tested(int kg) {
        return new RecordedMax(
                Lift.SQUAT, RecordedMax.Kind.TESTED, Mass.ofKg(kg), 1, TestSettings.TODAY.minusDays(14), Set.of(), "");
    }

    private void lift(LifterCard lifter, String name, LocalDate start, int weeks, int days) {
        List<TrainingDay> trainingDays = new ArrayList<>();
        String[] doses = Collections.nCopies(weeks, "3x5 70%").toArray(String[]::new);
        for (int day = 0; day < days; day++) {
            trainingDays.add(
                    new TrainingDay("Day " + day, day, List.of(slot("A", doses), slot("B", doses), slot("C", doses))));
        }
        blocks.add(lifter, new Block(start, weeks, trainingDays).named(name), "");
        LifterBlock plan = blocks.current(lifter, TestSettings.ZONE).orElseThrow();
        for (int week = 0; week < weeks; week++) {
            for (int day = 0; day < days; day++) {
                LocalDate date = plan.block().date(day, week);
                if (date.isBefore(TestSettings.TODAY)) {
                    boolean last = !date.plusWeeks(1).isBefore(TestSettings.TODAY);
                    List<DoneSet> sets = Stream.of("A", "B", "C")
                            .map(letter -> new DoneSet(
                                    TaskKey.work(letter, 1),
                                    new LiftedSet(Lift.SQUAT, Mass.ofKg(180), 2, Effort.parse("9"))))
                            .toList();
                    sessions.addHistory(
                            lifter, Optional.of(plan.planned(day, week)), date, TestSettings.NOW, sets, last);
                }
            }
        }
    }

    private static Slot slot(String letter, String... doses) {
        return new Slot(
                letter,
                Lift.SQUAT,
                Arrays.stream(doses).map(dose -> Optional.of(Dose.parse(dose))).toList());
    }
}
