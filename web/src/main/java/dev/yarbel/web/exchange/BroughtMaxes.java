package dev.yarbel.web.exchange;

import dev.yarbel.core.effort.RepCurve;
import dev.yarbel.core.estimate.RecordedMax;
import dev.yarbel.core.exchange.DayText;
import dev.yarbel.core.exchange.HeadedTable;
import dev.yarbel.core.exchange.LiftIndex;
import dev.yarbel.core.exchange.MaxTable;
import dev.yarbel.core.exchange.Plain;
import dev.yarbel.core.exchange.Trouble;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.MassUnit;
import dev.yarbel.core.measure.UnitSlip;
import dev.yarbel.core.session.FarOff;
import dev.yarbel.web.book.ImportedMaxes;
import dev.yarbel.web.page.LiftNames;
import dev.yarbel.web.page.Person;
import dev.yarbel.web.page.UnreadableException;
import dev.yarbel.web.roster.LifterCard;
import dev.yarbel.web.roster.MeasureKind;
import dev.yarbel.web.roster.Profiles;
import dev.yarbel.web.roster.Roster;
import java.math.BigDecimal;
import java.sql.Array;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Timestamp;
import java.time.Clock;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.IntStream;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Maxes and body masses that a coach brings as a table: looked at, taken in as a whole, taken back as a whole. */
@Service
@Transactional
class BroughtMaxes {

    /** Shown of what was brought before. */
    private static final int LATEST = 8;

    private final Roster roster;
    private final ImportedMaxes maxes;
    private final Profiles profiles;
    private final LiftNames liftNames;
    private final JdbcTemplate jdbc;
    private final Clock clock;

    BroughtMaxes(
            Roster roster,
            ImportedMaxes maxes,
            Profiles profiles,
            LiftNames liftNames,
            JdbcTemplate jdbc,
            Clock clock) {
        this.roster = roster;
        this.maxes = maxes;
        this.profiles = profiles;
        this.liftNames = liftNames;
        this.jdbc = jdbc;
        this.clock = clock;
    }

    /**
     * What a coach says of a table.
     *
     * @param kind of its maxes; several repetitions make a rep max of any
     * @param slips whether what looks like the other unit, or is far from the last one, comes in as it stands
     */
    record Said(RecordedMax.Kind kind, MassUnit unit, Optional<LocalDate> day, DayText.Order order, boolean slips) {}

    /** What becomes of a line. */
    enum State {
        COMES_IN,
        /** It is on record already. */
        KNOWN,
        /** It stands to the last one as a pound to a kilogram. */
        OTHER_UNIT,
        /** It is far from the last one. */
        FAR_OFF;

        private boolean isAsked() {
            return this == OTHER_UNIT || this == FAR_OFF;
        }
    }

    /** @param last what was on record of it last, where that says something about it */
    record Row(MaxTable.Line line, LifterCard lifter, State state, Optional<Mass> last) {}

    record Look(List<Row> rows, List<Trouble> troubles, List<String> unread, boolean slips) {

        /** Those that come in. */
        List<Row> coming() {
            return rows.stream()
                    .filter(row -> row.state() == State.COMES_IN
                            || slips && row.state().isAsked())
                    .toList();
        }

        public long fresh() {
            return coming().size();
        }

        public long known() {
            return rows.stream().filter(row -> row.state() == State.KNOWN).count();
        }

        public long suspected() {
            return rows.stream().filter(row -> row.state().isAsked()).count();
        }
    }

    private Optional<MaxTable.Read> read(Person coach, HeadedTable table, LiftIndex lifts, Said said) {
        return MaxTable.read(table, lifts, new MaxTable.Said(said.unit(), said.day(), said.order(), today(coach)));
    }

    /**
     * Looks at a table.
     *
     * @throws UnreadableException when it names no lifters, or nothing of theirs
     */
    @Transactional(readOnly = true)
    public Look look(Person coach, HeadedTable table, Said said) {
        MaxTable.Read read = read(coach, table, new LiftIndex(liftNames.everyName(coach.clubId())), said)
                .orElseThrow(() -> new UnreadableException("exchange.maxes.error.heads").in("text"));
        Map<String, LifterCard> named = new HashMap<>();
        Set<String> twice = new HashSet<>();
        for (LifterCard card : roster.lifters(coach)) {
            if (named.put(Plain.of(card.name()), card) != null) {
                twice.add(Plain.of(card.name()));
            }
        }
        twice.forEach(named::remove);
        List<Trouble> troubles = new ArrayList<>(read.troubles());
        List<MaxTable.Line> lines = new ArrayList<>();
        for (MaxTable.Line line : read.lines()) {
            if (named.containsKey(Plain.of(line.lifter()))) {
                lines.add(line);
            } else {
                troubles.add(new Trouble(line.line(), 0, Trouble.Kind.UNKNOWN_LIFTER, line.lifter()));
            }
        }
        troubles.sort(Comparator.comparingInt(Trouble::line).thenComparingInt(Trouble::column));
        return new Look(
                rows(coach, lines, named, said), troubles.stream().distinct().toList(), read.unread(), said.slips());
    }

    private List<Row> rows(Person coach, List<MaxTable.Line> lines, Map<String, LifterCard> named, Said said) {
        Set<Long> ids = new HashSet<>();
        lines.forEach(line -> ids.add(named.get(Plain.of(line.lifter())).id()));
        ImportedMaxes.OnRecord onRecord = maxes.onRecord(coach.clubId(), ids);
        Map<Long, List<Profiles.Weighed>> weighed = profiles.weighed(coach.clubId(), ids);
        List<Row> rows = new ArrayList<>();
        Set<String> seen = new HashSet<>();
        for (MaxTable.Line line : lines) {
            LifterCard lifter = named.get(Plain.of(line.lifter()));
            String itself = lifter.id() + " " + line.lift() + " " + line.mass().figure(MassUnit.KG, 2) + " "
                    + line.reps() + " " + line.day();
            Optional<Mass> last = line.lift().isPresent()
                    ? onRecord.newest(lifter.id(), line.lift().get())
                    : weighed.getOrDefault(lifter.id(), List.of()).stream()
                            .reduce((before, after) -> after)
                            .map(Profiles.Weighed::mass);
            boolean known = !seen.add(itself) || isKnown(line, lifter, said, onRecord, weighed);
            State state = known
                    ? State.KNOWN
                    : last.map(before -> against(line, said, before)).orElse(State.COMES_IN);
            rows.add(new Row(line, lifter, state, last));
        }
        return rows;
    }

    private static State against(MaxTable.Line line, Said said, Mass last) {
        Mass single = line.lift().isPresent() ? max(line, said).max(RepCurve.DEFAULT) : line.mass();
        if (UnitSlip.isSuspected(single, last)) {
            return State.OTHER_UNIT;
        }
        Optional<Mass> far = line.lift().isPresent()
                ? FarOff.max(single, Optional.of(last))
                : FarOff.bodyMass(line.mass(), Optional.of(last));
        return far.isPresent() ? State.FAR_OFF : State.COMES_IN;
    }

    private static boolean isKnown(
            MaxTable.Line line,
            LifterCard lifter,
            Said said,
            ImportedMaxes.OnRecord onRecord,
            Map<Long, List<Profiles.Weighed>> weighed) {
        if (line.lift().isPresent()) {
            return onRecord.has(lifter.id(), max(line, said));
        }
        return weighed.getOrDefault(lifter.id(), List.of()).stream()
                .anyMatch(one -> one.on().equals(line.day())
                        && one.mass().figure(MassUnit.KG, 2).equals(line.mass().figure(MassUnit.KG, 2)));
    }

    private static RecordedMax max(MaxTable.Line line, Said said) {
        return new RecordedMax(
                line.lift().orElseThrow(),
                line.reps() > 1 ? RecordedMax.Kind.REP_MAX : said.kind(),
                line.mass(),
                line.reps(),
                line.day(),
                Set.of(),
                "");
    }

    private LocalDate today(Person person) {
        return LocalDate.ofInstant(clock.instant(), person.zone());
    }

    /** Takes in what a look would show now; how much that was. */
    public int take(Person coach, HeadedTable table, Said said) {
        List<Row> coming = look(coach, table, said).coming();
        if (coming.isEmpty()) {
            return 0;
        }
        ImportedMaxes.Taken taken = maxes.take(
                coach,
                coming.stream()
                        .filter(row -> row.line().lift().isPresent())
                        .map(row -> new ImportedMaxes.Arriving(
                                row.lifter(), max(row.line(), said), row.line().unit()))
                        .toList());
        List<Long> weighed = coming.stream()
                .filter(row -> row.line().lift().isEmpty())
                .map(row -> profiles.measure(
                        coach,
                        row.lifter(),
                        MeasureKind.BODY_MASS,
                        row.line().mass().in(MassUnit.KG),
                        row.line().day(),
                        true))
                .toList();
        jdbc.update(
                """
                insert into maxes_import (club_id, account_id, brought_at, maxes, measurements, working, made)
                values (?, ?, ?, ?, ?, ?, ?)""",
                coach.clubId(),
                coach.accountId(),
                Timestamp.from(clock.instant()),
                taken.maxes().toArray(Long[]::new),
                weighed.toArray(Long[]::new),
                taken.made().stream().map(ImportedMaxes.Made::numbers).toArray(Long[]::new),
                taken.made().stream()
                        .map(made -> made.workingMax().in(MassUnit.KG))
                        .toArray(BigDecimal[]::new));
        return coming.size();
    }

    @Transactional(readOnly = true)
    public List<Batches.Before> latest(Person coach) {
        return jdbc.query("""
                select id, brought_at, cardinality(maxes) + cardinality(measurements) as count, taken_back_at is not null as back
                from maxes_import where club_id = ? and account_id = ? order by id desc limit ?""", (row, number) -> Batches.Before.of(row), coach.clubId(), coach.accountId(), LATEST);
    }

    private record ToTakeBack(ImportedMaxes.Taken taken, List<Long> measurements) {

        private static ToTakeBack of(ResultSet row) throws SQLException {
            List<Long> working = numbers(row.getArray("working"));
            BigDecimal[] made = (BigDecimal[]) row.getArray("made").getArray();
            return new ToTakeBack(
                    new ImportedMaxes.Taken(
                            numbers(row.getArray("maxes")),
                            IntStream.range(0, working.size())
                                    .mapToObj(at ->
                                            new ImportedMaxes.Made(working.get(at), Mass.of(made[at], MassUnit.KG)))
                                    .toList()),
                    numbers(row.getArray("measurements")));
        }

        private static List<Long> numbers(Array array) throws SQLException {
            return Arrays.asList((Long[]) array.getArray());
        }
    }

    /** Takes one back, once; what is of lifters that are another coach's now stays. */
    public void takeBack(Person coach, long id) {
        jdbc.query(
                        """
                        update maxes_import set taken_back_at = ?
                        where club_id = ? and account_id = ? and id = ? and taken_back_at is null
                        returning maxes, measurements, working, made""",
                        (row, number) -> ToTakeBack.of(row),
                        Timestamp.from(clock.instant()),
                        coach.clubId(),
                        coach.accountId(),
                        id)
                .forEach(one -> {
                    maxes.takeBack(
                            coach,
                            one.taken(),
                            lifter -> roster.maySee(coach, lifter)
                                    ? Optional.of(roster.lifter(coach, lifter))
                                    : Optional.empty());
                    profiles.strike(coach, one.measurements());
                });
    }
}
