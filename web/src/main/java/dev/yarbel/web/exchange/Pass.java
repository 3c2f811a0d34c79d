package dev.yarbel.web.exchange;

import dev.yarbel.core.exchange.LiftIndex;
import dev.yarbel.core.exchange.LoadsSeen;
import dev.yarbel.core.exchange.LogTable;
import dev.yarbel.core.exchange.Plain;
import dev.yarbel.core.exchange.ReadRow;
import dev.yarbel.core.exchange.ReadSet;
import dev.yarbel.core.exchange.Trouble;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.MassUnit;
import dev.yarbel.core.record.LiftedSet;
import dev.yarbel.web.book.ImportedLog;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Consumer;

/**
 * One reading of a brought table from its first row to its last: once to see its loads beside one another, and once to hand over what comes in
 * and to count what does not.
 */
final class Pass {

    private static final int MOST_TROUBLES = 200;
    private static final int SAMPLE = 12;

    private final TableReading reading;
    private final Map<String, Optional<Lift>> found = new HashMap<>();
    private final Map<String, Optional<Long>> lifters = new HashMap<>();

    private final Map<Trouble.Kind, Integer> kinds = new EnumMap<>(Trouble.Kind.class);
    private final List<Trouble> troubles = new ArrayList<>();
    private final Map<String, DryRun.Asked> asked = new LinkedHashMap<>();
    private final List<ReadSet> sample = new ArrayList<>();
    private int doubtful;
    private int slips;
    private int leftOut;
    private int refused;
    private LocalDate from;
    private LocalDate to;

    Pass(TableReading reading) {
        this.reading = reading;
    }

    /** What a name means, as far as anybody said; a close spelling means nothing until somebody says so. */
    private Optional<Lift> lift(String name) {
        return found.computeIfAbsent(name, this::find);
    }

    private Optional<Lift> find(String name) {
        Optional<Lift> said = reading.said(name);
        return said.isPresent() || reading.isLeftOut(name)
                ? said
                : reading.index().find(name).filter(LiftIndex.Match::sure).map(LiftIndex.Match::lift);
    }

    private Optional<Long> lifter(String name) {
        return lifters.computeIfAbsent(name, reading::lifter);
    }

    private LogTable table() {
        return new LogTable(
                reading.layout(),
                reading.catalogue(),
                this::lift,
                name -> lifter(name).isPresent(),
                reading.latest());
    }

    private void rows(LogTable table, Consumer<ReadRow> each) {
        int first = reading.layout().firstLine();
        reading.rows((line, cells) -> {
            if (line >= first) {
                each.accept(table.read(line, cells));
            }
        });
    }

    LoadsSeen look() {
        LoadsSeen seen = new LoadsSeen();
        rows(table(), row -> row.sets().forEach(seen::add));
        return seen;
    }

    /** Hands over what comes in. */
    void hand(LoadsSeen seen, Consumer<ImportedLog.Arriving> to) {
        rows(table(), row -> {
            row.troubles().forEach(this::count);
            for (ReadSet set : row.sets()) {
                hand(seen, set, to);
            }
        });
    }

    private void hand(LoadsSeen seen, ReadSet read, Consumer<ImportedLog.Arriving> consumer) {
        ReadSet set = read;
        if (seen.isSlip(read)) {
            slips++;
            count(new Trouble(
                    read.line(),
                    read.column(),
                    Trouble.Kind.OTHER_UNIT,
                    read.set().load().format(reading.layout().unit(), 2)));
            ImportFile.Slips said = reading.file().slips().orElse(ImportFile.Slips.LEAVE_OUT);
            if (said == ImportFile.Slips.LEAVE_OUT) {
                return;
            }
            set = said == ImportFile.Slips.OTHER_UNIT ? inTheOtherUnit(read, seen) : read;
        } else if (read.doubtful()) {
            doubtful++;
            if (reading.file()
                    .doubtful()
                    .filter(ImportFile.Doubtful.LEAVE_OUT::equals)
                    .isPresent()) {
                return;
            }
        }
        Optional<Long> lifter = lifter(read.lifter());
        if (lifter.isEmpty()) {
            return;
        }
        from = from == null || set.day().isBefore(from) ? set.day() : from;
        to = to == null || set.day().isAfter(to) ? set.day() : to;
        if (sample.size() < SAMPLE) {
            sample.add(set);
        }
        consumer.accept(new ImportedLog.Arriving(lifter.get(), set.day(), set.set(), set.warmUp()));
    }

    /** Heavier than its neighbours it was pounds taken for kilograms, lighter the other way round. */
    private static ReadSet inTheOtherUnit(ReadSet read, LoadsSeen seen) {
        LiftedSet set = read.set();
        Mass load = set.load();
        Mass other = seen.standsAbove(read)
                ? Mass.of(load.in(MassUnit.KG), MassUnit.LB)
                : Mass.of(load.in(MassUnit.LB), MassUnit.KG);
        return new ReadSet(
                read.line(),
                read.column(),
                read.lifter(),
                read.day(),
                new LiftedSet(set.lift(), other, set.reps(), set.effort(), set.details()),
                read.warmUp(),
                read.doubtful());
    }

    private void count(Trouble trouble) {
        if (trouble.kind() == Trouble.Kind.UNKNOWN_LIFT && reading.isLeftOut(trouble.text())) {
            leftOut++;
            return;
        }
        if (trouble.kind() == Trouble.Kind.UNKNOWN_LIFT) {
            asked.merge(
                    Plain.of(trouble.text()),
                    new DryRun.Asked(
                            trouble.text(),
                            1,
                            reading.index().find(trouble.text()).map(LiftIndex.Match::lift)),
                    (one, more) -> new DryRun.Asked(one.name(), one.rows() + 1, one.perhaps()));
        }
        refused += trouble.kind().refuses() ? 1 : 0;
        kinds.merge(trouble.kind(), 1, Integer::sum);
        if (troubles.size() < MOST_TROUBLES) {
            troubles.add(trouble);
        }
    }

    DryRun result(ImportedLog.Taken taken, List<DryRun.Apart> apart) {
        return new DryRun(
                taken.sets(),
                taken.days(),
                taken.known(),
                doubtful,
                slips,
                leftOut,
                refused,
                Optional.ofNullable(from),
                Optional.ofNullable(to),
                kinds,
                troubles,
                List.copyOf(asked.values()),
                apart,
                sample);
    }
}
