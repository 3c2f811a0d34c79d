package dev.yarbel.web.contest;

import dev.yarbel.core.contest.AnnouncedEvent;
import dev.yarbel.core.contest.EventMeasure;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.measure.Length;
import dev.yarbel.core.measure.LengthUnit;
import dev.yarbel.core.measure.Mass;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.math.BigDecimal;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalTime;
import java.util.Optional;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.type.SqlTypes;

/** An event of a strongman contest, as it is announced. */
@Entity
@Table(name = "contest_event")
class EventEntity {

    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    private Long id;

    private long clubId;
    private long contestId;
    private String name;
    private Lift lift;

    @Enumerated(EnumType.STRING)
    private EventMeasure measure;

    private Mass load;
    private String series;
    private BigDecimal course;
    private Integer seconds;

    @JdbcTypeCode(SqlTypes.LOCAL_TIME)
    private LocalTime begins;

    private Integer minutes;
    private int place;
    private Instant removedAt;

    protected EventEntity() {}

    /** @param place among the events of the contest; what is announced later has a greater one */
    EventEntity(ContestEntity contest, Set as, int place) {
        this.clubId = contest.clubId();
        this.contestId = contest.id();
        this.place = place;
        set(as);
    }

    /**
     * What is set of an event.
     *
     * @param lift what it is trained as; empty where it is none of the club's lifts
     * @param begins when the first one goes
     * @param minutes that one takes, with setting up again
     */
    record Set(
            String name,
            Optional<Lift> lift,
            AnnouncedEvent announced,
            Optional<LocalTime> begins,
            Optional<Integer> minutes) {}

    Set set() {
        return new Set(name, lift(), announced(), begins(), minutes());
    }

    final void set(Set to) {
        AnnouncedEvent announced = to.announced();
        name = to.name();
        lift = to.lift().orElse(null);
        measure = announced.measure();
        load = announced.load().orElse(null);
        series = MassList.kept(announced.series()).orElse(null);
        course = announced.course().map(far -> far.in(LengthUnit.M)).orElse(null);
        seconds = announced.limit().map(time -> (int) time.toSeconds()).orElse(null);
        begins = to.begins().orElse(null);
        minutes = to.minutes().orElse(null);
    }

    public long id() {
        return id;
    }

    public String name() {
        return name;
    }

    /** What it is trained as; empty where it is none of the club's lifts. */
    public Optional<Lift> lift() {
        return Optional.ofNullable(lift);
    }

    public AnnouncedEvent announced() {
        return new AnnouncedEvent(
                measure,
                Optional.ofNullable(load),
                MassList.of(series),
                Optional.ofNullable(course).map(far -> Length.of(far, LengthUnit.M)),
                Optional.ofNullable(seconds).map(Duration::ofSeconds));
    }

    public EventMeasure measure() {
        return measure;
    }

    /** The load announced for it. */
    public Optional<Mass> load() {
        return Optional.ofNullable(load);
    }

    /** When the first one goes. */
    public Optional<LocalTime> begins() {
        return Optional.ofNullable(begins);
    }

    /** That one takes, with setting up again. */
    public Optional<Integer> minutes() {
        return Optional.ofNullable(minutes);
    }

    int place() {
        return place;
    }

    void place(int at) {
        place = at;
    }

    void removed(Instant at) {
        removedAt = at;
    }

    boolean isRemoved() {
        return removedAt != null;
    }
}
