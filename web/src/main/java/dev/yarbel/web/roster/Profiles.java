package dev.yarbel.web.roster;

import dev.yarbel.core.lift.Ache;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.lift.Tissue;
import dev.yarbel.core.lifter.HealthCheck;
import dev.yarbel.core.lifter.HealthQuestion;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.MassUnit;
import dev.yarbel.core.measure.UnitSlip;
import dev.yarbel.core.session.FarOff;
import dev.yarbel.web.page.ChangeKind;
import dev.yarbel.web.page.ChangeLog;
import dev.yarbel.web.page.LiftNames;
import dev.yarbel.web.page.NotFoundException;
import dev.yarbel.web.page.Person;
import dev.yarbel.web.page.UnreadableException;
import dev.yarbel.web.page.Words;
import java.math.BigDecimal;
import java.time.Clock;
import java.time.LocalDate;
import java.util.Collection;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.SortedMap;
import java.util.TreeMap;
import java.util.stream.Collectors;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.data.domain.Limit;
import org.springframework.security.access.AccessDeniedException;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Keeps what is known of who a lifter is. Whatever changes goes into the ledger with what it was before. */
@Service
@Transactional
public class Profiles {

    /** The longest note. */
    static final int LONGEST_TEXT = 2000;
    /** The longest words on an ache. */
    public static final int LONGEST_WORDS = 200;

    private final Roster roster;
    private final AcheRepository aches;
    private final MeasurementRepository measurements;
    private final LifterNoteRepository notes;
    private final ChangeLog changes;
    private final LiftNames liftNames;
    private final Words words;
    private final ApplicationEventPublisher events;
    private final Clock clock;

    Profiles(
            Roster roster,
            AcheRepository aches,
            MeasurementRepository measurements,
            LifterNoteRepository notes,
            ChangeLog changes,
            LiftNames liftNames,
            Words words,
            ApplicationEventPublisher events,
            Clock clock) {
        this.roster = roster;
        this.aches = aches;
        this.measurements = measurements;
        this.notes = notes;
        this.changes = changes;
        this.liftNames = liftNames;
        this.words = words;
        this.events = events;
        this.clock = clock;
    }

    /** What a lifter weighed since a day, by day; of two on a day the later one counts. Where nothing was, what they weighed last is not told. */
    @Transactional(readOnly = true)
    public SortedMap<LocalDate, Mass> weighed(LifterCard lifter, LocalDate since) {
        SortedMap<LocalDate, Mass> weighed = new TreeMap<>();
        measurements
                .since(lifter.clubId(), lifter.id(), MeasureKind.BODY_MASS, since)
                .forEach(one -> weighed.put(one.on(), Mass.of(one.figure(), MassUnit.KG)));
        return weighed;
    }

    /** Everything the profile's page shows. */
    @Transactional(readOnly = true)
    ProfileView view(Person person, long id) {
        Lifter lifter = roster.row(person, id);
        LifterCard card = lifter.card();
        return ProfileView.of(
                card,
                lifter,
                today(person),
                notes.all(card.clubId(), id),
                measurements.all(card.clubId(), id),
                aches.findByClubIdAndLifterIdOrderBySinceDesc(card.clubId(), id));
    }

    private LocalDate today(Person person) {
        return LocalDate.ofInstant(clock.instant(), person.zone());
    }

    /** Keeps one field of the profile, by its code such as {@code birth-year}. */
    public void keep(Person person, long id, String code, String text) {
        keep(person, id, ProfileField.of(code), text);
    }

    private void keep(Person person, long id, ProfileField field, String text) {
        if (field.isCoachs() && !person.isCoach()) {
            throw new AccessDeniedException("the coach decides this");
        }
        Lifter lifter = roster.row(person, id);
        String before = field.text(lifter);
        field.keep(lifter, text.strip(), today(person));
        String after = field.text(lifter);
        if (!before.equals(after)) {
            write(person, id, ChangeKind.PROFILE, List.of(field.code()), before, after);
        }
    }

    /**
     * Keeps something measured on a day.
     *
     * @param figure in kg, cm or a number, as {@link MeasureKind#read} gives it
     * @param meant whether the person was asked about this figure and stands by it
     */
    public long measure(
            Person person, LifterCard lifter, MeasureKind kind, BigDecimal figure, LocalDate on, boolean meant) {
        if (kind == MeasureKind.BODY_MASS && !meant) {
            Mass mass = Mass.of(figure, MassUnit.KG);
            FarOff.bodyMass(mass, lifter.bodyMass()).ifPresent(expected -> {
                String code = UnitSlip.isSuspected(mass, expected)
                        ? "ask.unit-slip"
                        : lifter.bodyMass().isPresent() ? "ask.far-off" : "ask.body-mass";
                throw new UnreadableException(code, words.load(expected, lifter.unit())).in("figure");
            });
        }
        Measurement kept = measurements.save(new Measurement(lifter.clubId(), lifter.id(), kind, on, figure));
        write(person, lifter.id(), ChangeKind.MEASURED, List.of(kind.name()), "", kind.print(figure, lifter.unit()));
        return kept.id();
    }

    /** What was measured on a lifter, by number, after one and so many at most. */
    @Transactional(readOnly = true)
    List<Measurement> measured(LifterCard lifter, long after, int most) {
        return measurements.after(lifter.clubId(), lifter.id(), after, Limit.of(most));
    }

    /** A body mass and its day. */
    public record Weighed(LocalDate on, Mass mass) {}

    /** What lifters weighed, oldest first. */
    @Transactional(readOnly = true)
    public Map<Long, List<Weighed>> weighed(long clubId, Collection<Long> lifters) {
        return lifters.isEmpty()
                ? Map.of()
                : measurements.ofMany(clubId, lifters, MeasureKind.BODY_MASS).stream()
                        .collect(Collectors.groupingBy(
                                Measurement::lifterId,
                                Collectors.mapping(
                                        measured -> new Weighed(measured.on(), Mass.of(measured.figure(), MassUnit.KG)),
                                        Collectors.toList())));
    }

    /** Strikes measurements, of those lifters that the person sees. */
    public void strike(Person person, List<Long> ids) {
        if (!ids.isEmpty()) {
            measurements.numbered(person.clubId(), ids).stream()
                    .filter(measured -> roster.maySee(person, measured.lifterId()))
                    .forEach(measured -> measured(person, measured.lifterId(), measured.id(), true));
        }
    }

    /** Strikes a measurement or brings it back. */
    void measured(Person person, long id, long measurementId, boolean removed) {
        LifterCard lifter = roster.lifter(person, id);
        Measurement measurement = measurements
                .findByClubIdAndLifterIdAndId(lifter.clubId(), id, measurementId)
                .orElseThrow(NotFoundException::new);
        if (measurement.isRemoved() != removed) {
            measurement.remove(removed ? clock.instant() : null);
            String figure = measurement.kind().print(measurement.figure(), lifter.unit());
            write(
                    person,
                    id,
                    ChangeKind.MEASURED,
                    List.of(measurement.kind().name()),
                    removed ? figure : "",
                    removed ? "" : figure);
        }
    }

    /** Keeps a note, or what somebody wants. */
    public void note(Person person, LifterCard lifter, NoteKind kind, String text) {
        if (kind == NoteKind.COACH_WANTS && !person.isCoach()) {
            throw new AccessDeniedException("the coach writes this");
        }
        if (kind != NoteKind.NOTE && text.equals(wanted(lifter, kind))) {
            return;
        }
        notes.save(new LifterNote(lifter.clubId(), lifter.id(), kind, text, person, clock.instant()));
        write(person, lifter.id(), ChangeKind.NOTE, List.of(kind.name()), "", text);
    }

    /** What is wanted so far; empty when nothing is. */
    private String wanted(LifterCard lifter, NoteKind kind) {
        return notes.all(lifter.clubId(), lifter.id()).stream()
                .filter(note -> note.kind() == kind)
                .findFirst()
                .map(LifterNote::text)
                .orElse("");
    }

    /**
     * Strikes a note or brings it back, as whoever wrote it or a coach may.
     *
     * @throws AccessDeniedException for a lifter who did not write it
     */
    void noted(Person person, long id, long noteId, boolean removed) {
        LifterCard lifter = roster.lifter(person, id);
        LifterNote note =
                notes.findByClubIdAndLifterIdAndId(lifter.clubId(), id, noteId).orElseThrow(NotFoundException::new);
        if (!note.isStruckBy(person)) {
            throw new AccessDeniedException("it is not theirs to strike");
        }
        if (note.isRemoved() != removed) {
            note.remove(removed ? clock.instant() : null);
            write(
                    person,
                    id,
                    ChangeKind.NOTE,
                    List.of(note.kind().name()),
                    removed ? note.text() : "",
                    removed ? "" : note.text());
        }
    }

    /** Keeps an ache that came up today, on the floor: its place and how much it weighs. */
    public void acheToday(Person person, LifterCard lifter, Tissue place, int weight, Optional<String> words) {
        ache(person, lifter, new Ache(place, words.orElse(""), today(person), Optional.of(weight), Set.of()));
    }

    /** Keeps an ache that has come up. */
    public void ache(Person person, LifterCard lifter, Ache ache) {
        aches.save(new AcheEntity(lifter.clubId(), lifter.id(), ache));
        String place = ache.place().name();
        write(
                person,
                lifter.id(),
                ChangeKind.ACHE,
                List.of(place),
                "",
                ache.words().isEmpty() ? place : ache.words());
    }

    /** Lifts as they are called, with commas between. */
    Set<Lift> lifts(long clubId, String text) {
        Set<Lift> lifts = new LinkedHashSet<>();
        for (String name : text.split(",")) {
            lifts.add(liftNames.read(clubId, name));
        }
        return lifts;
    }

    /** An ache is over, or a professional has said so. */
    void clearAche(Person person, long id, long acheId, String by, LocalDate on) {
        AcheEntity ache = ache(person, id, acheId);
        ache.clear(by, on);
        events.publishEvent(new AcheCleared(person.clubId(), id));
        write(person, id, ChangeKind.ACHE, List.of(ache.ache().place().name()), "", by);
    }

    void reopenAche(Person person, long id, long acheId) {
        AcheEntity ache = ache(person, id, acheId);
        String by = ache.clearedBy();
        if (by != null) {
            ache.clear(null, null);
            write(person, id, ChangeKind.ACHE, List.of(ache.ache().place().name()), by, "");
        }
    }

    private AcheEntity ache(Person person, long id, long acheId) {
        LifterCard lifter = roster.lifter(person, id);
        return aches.findByClubIdAndLifterIdAndId(lifter.clubId(), id, acheId).orElseThrow(NotFoundException::new);
    }

    /** Keeps the answers that were given to the health questions; a question left open stays open. */
    public void health(Person person, long id, Map<HealthQuestion, Boolean> given) {
        Lifter lifter = roster.row(person, id);
        HealthCheck check = lifter.health();
        for (HealthQuestion question : HealthQuestion.values()) {
            Boolean before = check.answers().get(question);
            Boolean answer = given.get(question);
            if (answer != null && !answer.equals(before)) {
                check = check.answered(question, answer);
                write(
                        person,
                        id,
                        ChangeKind.HEALTH,
                        List.of(question.name()),
                        before == null ? "" : yesOrNo(before),
                        yesOrNo(answer));
            }
        }
        lifter.health(check);
    }

    private static String yesOrNo(boolean answer) {
        return answer ? "yes" : "no";
    }

    /** Keeps who cleared a yes among the health answers. */
    public void clearHealth(Person person, long id, String by, LocalDate on) {
        Lifter lifter = roster.row(person, id);
        lifter.clear(by, on);
        write(person, id, ChangeKind.HEALTH, List.of("cleared"), "", by);
    }

    private void write(Person who, long lifter, ChangeKind kind, List<String> subject, String before, String after) {
        changes.write(who, Optional.of(lifter), kind, subject, Optional.empty(), before, after);
    }
}
