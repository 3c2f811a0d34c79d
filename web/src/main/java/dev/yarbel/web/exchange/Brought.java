package dev.yarbel.web.exchange;

import dev.yarbel.core.estimate.MaxEstimate;
import dev.yarbel.core.exchange.DayText;
import dev.yarbel.core.exchange.Holds;
import dev.yarbel.core.exchange.Layout;
import dev.yarbel.core.exchange.LayoutGuess;
import dev.yarbel.core.exchange.LiftIndex;
import dev.yarbel.core.exchange.LoadsSeen;
import dev.yarbel.core.exchange.Plain;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.MassUnit;
import dev.yarbel.core.measure.UnitSlip;
import dev.yarbel.web.book.Book;
import dev.yarbel.web.book.ImportedLog;
import dev.yarbel.web.book.LiftRecord;
import dev.yarbel.web.page.LiftNames;
import dev.yarbel.web.page.NotFoundException;
import dev.yarbel.web.page.Person;
import dev.yarbel.web.page.UnreadableException;
import dev.yarbel.web.roster.LifterCard;
import dev.yarbel.web.roster.Roster;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Duration;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.data.domain.Limit;
import org.springframework.stereotype.Service;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * Tables that people bring: kept as they are, read as whoever brought them says, and written into the log once they confirm what would come
 * in. A coach brings what is of their own lifters, a lifter what is their own.
 */
@Service
class Brought {

    private static final int LATEST = 20;
    private static final int LONGEST_NAME = 120;
    private static final Duration STUCK = Duration.ofMinutes(10);

    private final ImportFileRepository files;
    private final Parts parts;
    private final Remembering remembering;
    private final ImportedLog log;
    private final Book book;
    private final Roster roster;
    private final LiftNames liftNames;
    private final Jobs jobs;
    private final TransactionTemplate transaction;
    private final Clock clock;

    Brought(
            ImportFileRepository files,
            Parts parts,
            Remembering remembering,
            ImportedLog log,
            Book book,
            Roster roster,
            LiftNames liftNames,
            Jobs jobs,
            TransactionTemplate transaction,
            Clock clock) {
        this.files = files;
        this.parts = parts;
        this.remembering = remembering;
        this.log = log;
        this.book = book;
        this.roster = roster;
        this.liftNames = liftNames;
        this.jobs = jobs;
        this.transaction = transaction;
        this.clock = clock;
    }

    List<ImportFile> latest(Person person) {
        return files.findByClubIdAndAccountIdOrderByIdDesc(person.clubId(), person.accountId(), Limit.of(LATEST));
    }

    /** @throws NotFoundException where this person brought none of this number */
    ImportFile file(Person person, long id) {
        return files.findByClubIdAndAccountIdAndId(person.clubId(), person.accountId(), id)
                .orElseThrow(NotFoundException::new);
    }

    private ImportFile held(Person person, long id) {
        return files.lock(person.clubId(), person.accountId(), id).orElseThrow(NotFoundException::new);
    }

    /**
     * Keeps a file, to be looked at.
     *
     * @param lifter whose log it is, where somebody said
     * @return its number
     * @throws UnreadableException when it is no table
     */
    long bring(Person person, String name, Path file, Optional<Long> lifter) {
        lifter.ifPresent(id -> roster.lifter(person, id));
        return transaction.execute(status -> {
            ImportFile kept = files.save(new ImportFile(
                    person.clubId(),
                    person.accountId(),
                    name.length() > LONGEST_NAME ? name.substring(0, LONGEST_NAME) : name,
                    lifter.or(person::lifterId).filter(id -> lifter.isPresent() || !person.isCoach()),
                    clock.instant()));
            Parts.Writer rows = parts.writer(person.clubId(), kept.id());
            try {
                Optional<BroughtTable.Found> found = BroughtTable.read(file, rows);
                rows.flush();
                kept.read(found, rows.sheets(), rows.counts());
            } catch (Unusable unusable) {
                throw new UnreadableException("exchange.error." + unusable.code()).in("file");
            } catch (Parts.TooLong tooLong) {
                throw new UnreadableException("exchange.error.too-long", String.valueOf(tooLong.most())).in("file");
            } catch (IOException broken) {
                throw new UncheckedIOException(broken);
            }
            if (kept.lines() == 0) {
                throw new UnreadableException("exchange.error.empty").in("file");
            }
            remembered(person, kept);
            return kept.id();
        });
    }

    /** A file of a shape that was corrected before is read as it was then. */
    private void remembered(Person person, ImportFile file) {
        remembering
                .shape(person.clubId(), person.accountId(), guess(person, file))
                .ifPresent(shape -> {
                    ImportFile.Said said = file.said();
                    file.say(new ImportFile.Said(
                            said.sheet(),
                            said.lifter(),
                            Optional.of(shape.holds()),
                            shape.order(),
                            shape.unit(),
                            said.firstWeek(),
                            said.trained(),
                            said.slips(),
                            said.doubtful()));
                });
    }

    private List<List<String>> firstRows(ImportFile file) {
        return parts.first(file.clubId(), file.id(), file.sheet(), LayoutGuess.LOOKED_AT);
    }

    private Layout guess(Person person, ImportFile file) {
        return LayoutGuess.of(
                firstRows(file),
                new LiftIndex(liftNames.everyName(person.clubId())),
                DayText.Order.DAY_FIRST,
                MassUnit.KG);
    }

    /**
     * A file as it is read.
     *
     * @param first its first rows
     * @param guessed how it would be read if nobody said anything
     * @param lifters whose log may be written
     */
    record Opened(
            ImportFile file, List<List<String>> first, Layout guessed, TableReading reading, List<LifterCard> lifters) {

        public Layout layout() {
            return reading.layout();
        }

        /** Whether it is not known whose log it is. */
        public boolean lacksLifter() {
            return !layout().has(Holds.LIFTER) && reading.file().lifter().isEmpty();
        }

        /** Whether days could be read in two ways, and nobody said which. */
        public boolean lacksOrder() {
            return !layout().orderSure();
        }

        public boolean canBeRead() {
            return layout().isComplete() && !lacksLifter() && !lacksOrder();
        }
    }

    Opened open(Person person, ImportFile file) {
        List<LifterCard> lifters = roster.lifters(person);
        ImportFile.Said said = file.said();
        MassUnit unit = said.lifter()
                .flatMap(id -> lifters.stream().filter(card -> card.id() == id).findFirst())
                .map(LifterCard::unit)
                .orElse(MassUnit.KG);
        List<List<String>> first = firstRows(file);
        LiftIndex index = new LiftIndex(liftNames.everyName(person.clubId()));
        Layout guessed = LayoutGuess.of(first, index, DayText.Order.DAY_FIRST, unit);
        TableReading reading = new TableReading(
                said,
                said.of(guessed),
                book.catalogue(person.clubId()),
                index,
                remembering.names(person.clubId()),
                byName(lifters),
                today(person),
                reader -> parts.read(file.clubId(), file.id(), file.sheet(), reader));
        return new Opened(file, first, guessed, reading, lifters);
    }

    private LocalDate today(Person person) {
        return LocalDate.ofInstant(clock.instant(), person.zone());
    }

    /** Whole names, and first names that only one has. */
    private static Map<String, Long> byName(List<LifterCard> lifters) {
        Map<String, Long> names = new HashMap<>();
        Set<String> twice = new HashSet<>();
        for (LifterCard card : lifters) {
            String whole = Plain.of(card.name());
            for (String name : new HashSet<>(List.of(whole, whole.split(" ")[0]))) {
                if (names.putIfAbsent(name, card.id()) != null) {
                    twice.add(name);
                }
            }
        }
        names.keySet().removeAll(twice);
        return names;
    }

    /** What would come in, or how far looking is. */
    Jobs.Job<DryRun> look(Person person, Opened opened) {
        String name = "look " + opened.file().id() + " " + opened.reading().file() + " "
                + opened.reading().names().hashCode();
        Jobs.Job<DryRun> job = jobs.of(
                name, 2 * opened.file().lines(), progress -> dryRun(person, counting(opened.reading(), progress)));
        if (job.isDone()) {
            // the log may be another one when it is looked at again
            jobs.forget(name);
        }
        return job;
    }

    private DryRun dryRun(Person person, TableReading reading) {
        LoadsSeen seen = new Pass(reading).look();
        Pass pass = new Pass(reading);
        ImportedLog.Taken taken = log.look(person.clubId(), to -> pass.hand(seen, to));
        return pass.result(taken, looksLikeTheOtherUnit(person, reading, seen));
    }

    private static TableReading counting(TableReading reading, Jobs.Progress progress) {
        return reading.from(reader -> reading.rows((line, cells) -> {
            progress.step();
            reader.row(line, cells);
        }));
    }

    /** Lifts whose heaviest set in the file stands to the max on record as pounds to kilograms. */
    private List<DryRun.Apart> looksLikeTheOtherUnit(Person person, TableReading reading, LoadsSeen seen) {
        if (reading.file().lifter().isEmpty()) {
            return List.of();
        }
        List<DryRun.Apart> apart = new ArrayList<>();
        for (LiftRecord lift : book.standing(
                        roster.lifter(person, reading.file().lifter().get()))
                .lifts()) {
            Optional<Mass> known = lift.estimate().map(MaxEstimate::max).or(lift::workingMax);
            Optional<Mass> heaviest = seen.heaviest(lift.lift());
            if (known.isPresent() && heaviest.isPresent() && UnitSlip.isSuspected(heaviest.get(), known.get())) {
                apart.add(new DryRun.Apart(lift.lift(), heaviest.get(), known.get()));
            }
        }
        return apart;
    }

    /**
     * Keeps what somebody says of a file.
     *
     * @return whether anything is another than it was
     */
    boolean say(Person person, long id, ImportFile.Said said, Map<String, Optional<Lift>> names) {
        said.lifter().ifPresent(lifter -> roster.lifter(person, lifter));
        return Boolean.TRUE.equals(transaction.execute(status -> {
            ImportFile file = held(person, id);
            if (file.status() != ImportFile.Status.OPEN) {
                return false;
            }
            Layout guessed = open(person, file).guessed();
            boolean changed = !file.said().comesToTheSameAs(said, guessed);
            file.say(said);
            Map<String, Optional<Lift>> before = remembering.names(person.clubId());
            Map<String, Optional<Lift>> fresh = new HashMap<>(names);
            fresh.entrySet().removeIf(name -> name.getValue().equals(before.get(Plain.of(name.getKey()))));
            remembering.keep(person.clubId(), fresh);
            remembering.keep(person.clubId(), person.accountId(), guess(person, file), said);
            return changed || !fresh.isEmpty();
        }));
    }

    /** Writes what comes in into the log, once; it goes on while nobody waits. */
    void take(Person person, long id) {
        Opened opened = open(person, file(person, id));
        boolean begun = Boolean.TRUE.equals(transaction.execute(status -> {
            ImportFile file = held(person, id);
            if (file.status() != ImportFile.Status.OPEN || !opened.canBeRead()) {
                return false;
            }
            file.is(ImportFile.Status.TAKING, clock.instant());
            return true;
        }));
        if (begun) {
            // it may have been taken in before, and taken back
            jobs.forget(taking(id));
            jobs.of(taking(id), 3 * opened.file().lines(), progress -> {
                write(person, id, counting(opened.reading(), progress), progress);
                return id;
            });
        }
    }

    private static String taking(long id) {
        return "take " + id;
    }

    /** How far writing is, 0 to 99; empty where another copy of the application does it. */
    Optional<Integer> progress(long id) {
        return Optional.ofNullable(jobs.under(taking(id)))
                .map(job -> job.progress().percent());
    }

    private void write(Person person, long id, TableReading reading, Jobs.Progress progress) {
        try {
            LoadsSeen seen = new Pass(reading).look();
            transaction.executeWithoutResult(status -> {
                ImportFile file = held(person, id);
                Pass pass = new Pass(reading);
                ImportedLog.Taken taken =
                        log.take(person, id, file.name(), to -> pass.hand(seen, to), written -> progress.step(written));
                file.took(taken.sets(), taken.days());
                file.is(ImportFile.Status.TAKEN, clock.instant());
            });
        } catch (RuntimeException failed) {
            transaction.executeWithoutResult(status -> held(person, id).is(ImportFile.Status.OPEN, clock.instant()));
            throw failed;
        }
    }

    /** Whether a file that is being taken in has been for so long that whoever did it is gone: then nothing of it is in the log. */
    boolean isStuck(ImportFile file) {
        return file.status() == ImportFile.Status.TAKING
                && progress(file.id()).isEmpty()
                && file.statusAt().isBefore(clock.instant().minus(STUCK));
    }

    /** Whether everybody whose log a file went into is still this person's to write for. */
    boolean mayTakeBack(Person person, ImportFile file) {
        Set<Long> own = roster.lifters(person).stream().map(LifterCard::id).collect(Collectors.toSet());
        return own.containsAll(log.lifters(person.clubId(), file.id()));
    }

    /**
     * Takes everything back that a file brought; it can be taken in again.
     *
     * @throws NotFoundException where it is in the log of somebody who is not this person's any more
     */
    void takeBack(Person person, long id) {
        transaction.executeWithoutResult(status -> {
            ImportFile file = held(person, id);
            if (file.status() == ImportFile.Status.TAKEN) {
                if (!mayTakeBack(person, file)) {
                    throw new NotFoundException();
                }
                log.takeBack(person, id, file.name());
                file.is(ImportFile.Status.TAKEN_BACK, clock.instant());
            }
        });
    }

    /** One that was taken back, or never came to its end, is looked at again. */
    void again(Person person, long id) {
        transaction.executeWithoutResult(status -> {
            ImportFile file = held(person, id);
            if (file.status() == ImportFile.Status.TAKEN_BACK || isStuck(file)) {
                file.is(ImportFile.Status.OPEN, clock.instant());
            }
        });
    }

    /** Throws a file away that is not in the log. */
    void remove(Person person, long id) {
        transaction.executeWithoutResult(status -> {
            ImportFile.Status is = held(person, id).status();
            if (is == ImportFile.Status.OPEN || is == ImportFile.Status.TAKEN_BACK) {
                files.delete(person.clubId(), person.accountId(), id);
            }
        });
    }
}
