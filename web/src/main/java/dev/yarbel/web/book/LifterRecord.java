package dev.yarbel.web.book;

import dev.yarbel.core.adjust.SeenSession;
import dev.yarbel.core.estimate.LifterStrength;
import dev.yarbel.core.estimate.SetUpDone;
import dev.yarbel.core.lift.Catalogue;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.lift.Variation;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.session.Best;
import dev.yarbel.core.session.Numbers;
import dev.yarbel.web.page.NotFoundException;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;

/** What the book knows of a lifter: each lift's numbers, and the sessions they came from, finished and open. */
public final class LifterRecord {

    private static final Comparator<SessionLog> OLDEST_FIRST =
            Comparator.comparing(SessionLog::date).thenComparing(SessionLog::id);

    private final FinishedWork finished;
    private final List<SessionLog> open;
    private final List<SessionLog> log;

    /** @param open sessions that were begun; one that was finished meanwhile stands as it was finished */
    LifterRecord(FinishedWork finished, List<SessionLog> open) {
        this.finished = finished;
        this.open = open.stream()
                .filter(session -> finished.log().stream().noneMatch(other -> other.id() == session.id()))
                .toList();
        List<SessionLog> all = new ArrayList<>(finished.log());
        all.addAll(this.open);
        all.sort(OLDEST_FIRST);
        this.log = List.copyOf(all);
    }

    /** The log holds every session from this day on. */
    public LocalDate since() {
        return finished.since();
    }

    /** The lifts that the lifter's club knows. */
    public Catalogue catalogue() {
        return finished.catalogue();
    }

    /** What is believed of the lifter's strength today. */
    public LifterStrength strength() {
        return finished.strength();
    }

    public List<LiftRecord> lifts() {
        return finished.lifts();
    }

    /** The sessions, oldest first. */
    public List<SessionLog> log() {
        return log;
    }

    /** The finished sessions as rules of judgement see them, oldest first. */
    public List<SeenSession> finished() {
        return log.stream().filter(SessionLog::finished).map(SessionLog::seen).toList();
    }

    public Optional<LiftRecord> of(Lift lift) {
        return finished.of(lift);
    }

    /** The same with loads announced for the contest, as if they had been set down. */
    public LifterRecord withEventLoads(Map<Lift, Mass> announced) {
        List<LiftRecord> with = new ArrayList<>();
        lifts().forEach(lift -> with.add(Optional.ofNullable(announced.get(lift.lift()))
                .map(lift::announced)
                .orElse(lift)));
        announced.forEach((lift, load) -> {
            if (of(lift).isEmpty()) {
                with.add(LiftRecord.none(lift).announced(load));
            }
        });
        return new LifterRecord(finished.with(with), open);
    }

    /** Whether the numbers of lifts are the very same, and not worked out anew. */
    public boolean hasNumbersOf(LifterRecord other) {
        return finished == other.finished;
    }

    /** The same with an open session as it is now; empty where it was finished before, on which numbers may hang. */
    Optional<LifterRecord> withOpen(SessionLog session) {
        if (finished.log().stream().anyMatch(other -> other.id() == session.id())) {
            return Optional.empty();
        }
        List<SessionLog> now = new ArrayList<>(open);
        now.removeIf(other -> other.id() == session.id());
        now.add(session);
        return Optional.of(new LifterRecord(finished, now));
    }

    /**
     * The lift of a key.
     *
     * @throws NotFoundException when the club knows none
     */
    Variation variation(String key) {
        return catalogue().all().stream()
                .filter(variation -> variation.lift().key().equals(key))
                .findFirst()
                .orElseThrow(NotFoundException::new);
    }

    /** What loads can hang on, for each lift and for its variations by their ratios. */
    public Numbers numbers() {
        return finished.numbers();
    }

    /** Every work set of finished sessions with the kind of work it was part of. */
    public List<Best.PastSet> pastSets() {
        return finished.pastSets();
    }

    /** The sets since a day that were better than everything like them before, newest first, the heaviest of each day's alike. */
    public List<Best.PastSet> bestsSince(LocalDate day) {
        return finished.bestsSince(day);
    }

    /** What was lifted of a lift in set-ups of their own, the one that was done last first. */
    List<SetUpDone> setUps(Lift lift) {
        return finished.setUps(lift);
    }

    /** The sessions by the day of the plan they answer; those that answer none are not among them. */
    public Map<PlannedDay, SessionLog> byPlannedDay() {
        return log.stream()
                .filter(session -> session.planned().isPresent())
                .collect(Collectors.toMap(session -> session.planned().get(), Function.identity()));
    }
}
