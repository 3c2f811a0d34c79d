package dev.yarbel.web.book;

import dev.yarbel.core.measure.Length;
import dev.yarbel.core.measure.LengthUnit;
import dev.yarbel.core.measure.MassUnit;
import dev.yarbel.core.measure.Seconds;
import dev.yarbel.core.record.LiftedSet;
import dev.yarbel.web.page.ChangeKind;
import dev.yarbel.web.page.Person;
import java.io.IOException;
import java.io.OutputStreamWriter;
import java.io.UncheckedIOException;
import java.io.Writer;
import java.nio.charset.StandardCharsets;
import java.sql.Connection;
import java.sql.SQLException;
import java.time.Clock;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.function.Consumer;
import java.util.function.IntConsumer;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;
import org.postgresql.PGConnection;
import org.postgresql.copy.PGCopyOutputStream;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.jdbc.core.ConnectionCallback;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * Writes down what was lifted elsewhere and came in a file: all of it in one transaction, and all of it taken back in one. What the log has is
 * not written again: of sets of the same day, lift, load and repetitions the file adds those that it has more of. Whoever calls has
 * asked the roster for the lifters.
 *
 * <p>A log of years has hundreds of thousands of sets; the database compares and writes them, some thousands a statement.
 */
@Service
public class ImportedLog {

    private static final int SESSIONS_AT_ONCE = 1000;
    private static final int MANY = 1000;
    private static final int PATIENCE_MILLIS = 300_000;

    private final JdbcTemplate jdbc;
    private final Ledger ledger;
    private final ApplicationEventPublisher events;
    private final Clock clock;

    ImportedLog(JdbcTemplate jdbc, Ledger ledger, ApplicationEventPublisher events, Clock clock) {
        this.jdbc = jdbc;
        this.ledger = ledger;
        this.events = events;
        this.clock = clock;
    }

    /** A set that arrives; whose, when, and as what. */
    public record Arriving(long lifterId, LocalDate day, LiftedSet set, boolean warmUp) {}

    /**
     * What an import came to, or would come to.
     *
     * @param known sets that the log had already
     */
    public record Taken(int sets, int days, int known) {}

    /** Where what arrives comes from: it hands each set over, in the order of the file. */
    public interface Source extends Consumer<Consumer<Arriving>> {}

    /** What would come in, as the log stands now. Nothing is written. */
    @Transactional
    public Taken look(long clubId, Source source) {
        return stage(clubId, source);
    }

    /**
     * Writes down what the log does not have.
     *
     * @param importId by which all of it can be taken back
     * @param file what it came in, for the ledger
     * @param done hears how many sets are written
     */
    @Transactional
    public Taken take(Person who, long importId, String file, Source source, IntConsumer done) {
        Taken taken = stage(who.clubId(), source);
        jdbc.update("""
                insert into training_session (club_id, lifter_id, held_on, started_at, finished_at, import_id)
                select distinct ?::bigint, lifter_id, held_on, (held_on + time '12:00') at time zone ?, (held_on + time '12:00') at time zone ?, ?::bigint
                from fresh order by lifter_id, held_on""", who.clubId(), who.zone().getId(), who.zone().getId(), importId);
        inPieces(who.clubId(), importId, (from, to) -> done.accept(write(who.clubId(), importId, from, to)));
        Map<Long, Long> came = new TreeMap<>();
        jdbc.query("select lifter_id, count(*) as sets from fresh group by lifter_id", row -> {
            came.put(row.getLong("lifter_id"), row.getLong("sets"));
        });
        count(taken.sets());
        tell(who, file, came, true);
        return taken;
    }

    private int write(long clubId, long importId, long fromSession, long toSession) {
        return jdbc.update("""
                insert into logged_set (club_id, session_id, token, task, lift, load, reps, effort, logged_at, received_at, note, seconds,
                  distance, import_id)
                select s.club_id, s.id, gen_random_uuid(),
                  chr(64 + letter::int) || '.' || case when warm_up then 'w' else '' end || number,
                  f.lift, f.load, f.reps, f.effort, s.finished_at, ?, f.note, f.seconds, f.distance, s.import_id
                from training_session s join fresh f using (lifter_id, held_on)
                where s.club_id = ? and s.import_id = ? and s.id between ? and ?
                order by s.id, f.line""", clock.instant().atOffset(ZoneOffset.UTC), clubId, importId, fromSession, toSession);
    }

    /**
     * Takes everything back that came with an import; sets that somebody added since stay.
     *
     * @return how many sets went
     */
    @Transactional
    public int takeBack(Person who, long importId, String file) {
        jdbc.execute((ConnectionCallback<Void>) ImportedLog::giveTime);
        Map<Long, Long> gone = new TreeMap<>();
        inPieces(who.clubId(), importId, (from, to) -> {
            jdbc.query(
                    """
                    with gone as (
                      delete from logged_set where club_id = ? and import_id = ? and session_id between ? and ? returning session_id)
                    select s.lifter_id, count(*) as sets from gone join training_session s on s.id = gone.session_id group by s.lifter_id""",
                    row -> {
                        gone.merge(row.getLong("lifter_id"), row.getLong("sets"), Long::sum);
                    },
                    who.clubId(),
                    importId,
                    from,
                    to);
            jdbc.update("""
                    delete from training_session s where club_id = ? and import_id = ? and id between ? and ?
                      and not exists (select from logged_set l where l.club_id = s.club_id and l.session_id = s.id)""", who.clubId(), importId, from, to);
        });
        tell(who, file, gone, false);
        return gone.values().stream().mapToInt(Long::intValue).sum();
    }

    /** Those who read next find their way by how much there is now, without waiting for the server to notice. */
    private void count(int sets) {
        if (sets > MANY) {
            jdbc.execute("analyze training_session");
            jdbc.execute("analyze logged_set");
        }
    }

    /** Those whose log an import is in. */
    @Transactional(readOnly = true)
    public Set<Long> lifters(long clubId, long importId) {
        return Set.copyOf(jdbc.queryForList(
                "select distinct lifter_id from training_session where club_id = ? and import_id = ?",
                Long.class,
                clubId,
                importId));
    }

    private interface Piece {
        void of(long fromSession, long toSession);
    }

    /** The sessions of an import, some at a time. */
    private void inPieces(long clubId, long importId, Piece piece) {
        List<Long> sessions = jdbc.queryForList(
                "select id from training_session where club_id = ? and import_id = ? order by id",
                Long.class,
                clubId,
                importId);
        for (int from = 0; from < sessions.size(); from += SESSIONS_AT_ONCE) {
            piece.of(sessions.get(from), sessions.get(Math.min(sessions.size(), from + SESSIONS_AT_ONCE) - 1));
        }
    }

    /** The ledger of each lifter says what came or went, and what is believed of them is worked out anew. */
    private void tell(Person who, String file, Map<Long, Long> sets, boolean came) {
        sets.forEach((lifter, count) -> ledger.write(
                who,
                Optional.of(lifter),
                ChangeKind.LOG_IMPORTED,
                List.of(file),
                Optional.empty(),
                came ? "" : count.toString(),
                came ? count.toString() : ""));
        if (!sets.isEmpty()) {
            events.publishEvent(new LogImported(who.clubId(), List.copyOf(sets.keySet())));
        }
    }

    // ---- what arrives, beside what is there

    private Taken stage(long clubId, Source source) {
        jdbc.execute((ConnectionCallback<Void>) ImportedLog::giveTime);
        jdbc.execute("drop table if exists arriving, fresh");
        jdbc.execute("""
                create temporary table arriving (
                  line int, lifter_id bigint, held_on date, lift text, load numeric(16, 11), reps int, effort text, warm_up boolean, note text,
                  seconds numeric, distance numeric) on commit drop""");
        jdbc.execute((ConnectionCallback<Void>) connection -> {
            copy(connection, source);
            return null;
        });
        jdbc.execute("analyze arriving");
        // a load may have been written in pounds once and in kilograms then: a hundredth of a kilogram is no difference
        jdbc.update("""
                create temporary table fresh on commit drop as
                select f.*, dense_rank() over (partition by lifter_id, held_on order by first_line) as letter,
                  row_number() over (partition by lifter_id, held_on, lift, warm_up order by line) as number
                from (
                  select a.*, min(a.line) over (partition by a.lifter_id, a.held_on, a.lift) as first_line
                  from (
                    select *, row_number() over (partition by lifter_id, held_on, lift, round(load, 2), reps order by line) as nth
                    from arriving) a
                  left join (
                    select s.lifter_id, s.held_on, l.lift, round(l.load, 2) as load, l.reps, count(*) as times
                    from training_session s join logged_set l on l.club_id = s.club_id and l.session_id = s.id
                    where s.club_id = ? and s.lifter_id in (select lifter_id from arriving)
                      and s.held_on between (select min(held_on) from arriving) and (select max(held_on) from arriving)
                    group by 1, 2, 3, 4, 5) known
                  on known.lifter_id = a.lifter_id and known.held_on = a.held_on and known.lift = a.lift
                    and known.load = round(a.load, 2) and known.reps = a.reps
                  where a.nth > coalesce(known.times, 0)) f""", clubId);
        jdbc.execute("create index on fresh (lifter_id, held_on)");
        jdbc.execute("analyze fresh");
        return jdbc.queryForObject(
                """
                select (select count(*) from fresh), (select count(*) from (select distinct lifter_id, held_on from fresh) d),
                  (select count(*) from arriving)""", (row, at) -> new Taken(row.getInt(1), row.getInt(2), row.getInt(3) - row.getInt(1)));
    }

    /** A server that compares half a million sets says nothing for longer than pages wait; the pool sets it back. */
    private static Void giveTime(Connection connection) throws SQLException {
        connection.setNetworkTimeout(Runnable::run, PATIENCE_MILLIS);
        return null;
    }

    private static void copy(Connection connection, Source source) throws SQLException {
        PGConnection postgres = connection.unwrap(PGConnection.class);
        try (Writer out = new OutputStreamWriter(
                        new PGCopyOutputStream(postgres, "copy arriving from stdin with (format csv)", 1 << 16),
                        StandardCharsets.UTF_8);
                CSVPrinter rows = new CSVPrinter(out, CSVFormat.POSTGRESQL_CSV)) {
            int[] line = {0};
            source.accept(arriving -> print(rows, ++line[0], arriving));
        } catch (IOException broken) {
            throw new UncheckedIOException(broken);
        }
    }

    private static void print(CSVPrinter rows, int line, Arriving arriving) {
        LiftedSet set = arriving.set();
        try {
            rows.printRecord(
                    line,
                    arriving.lifterId(),
                    arriving.day(),
                    set.lift().key(),
                    set.load().in(MassUnit.KG).toPlainString(),
                    set.reps(),
                    set.effort().code(),
                    arriving.warmUp(),
                    set.details().note().orElse(null),
                    set.details().time().map(Seconds::in).orElse(null),
                    set.details().distance().map(ImportedLog::centimetres).orElse(null));
        } catch (IOException broken) {
            throw new UncheckedIOException(broken);
        }
    }

    private static String centimetres(Length distance) {
        return distance.in(LengthUnit.CM).toPlainString();
    }
}
