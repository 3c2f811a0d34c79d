package dev.yarbel.web.floor;

import dev.yarbel.core.measure.BarSpeed;
import dev.yarbel.core.record.SetDetails;
import dev.yarbel.core.session.DoneSet;
import dev.yarbel.core.session.SessionPlan.Task;
import dev.yarbel.web.book.Sessions;
import dev.yarbel.web.page.FormExtras;
import dev.yarbel.web.page.Person;
import dev.yarbel.web.page.UnreadableException;
import dev.yarbel.web.roster.LifterCard;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Component;

/** Logs sets of a day, or corrects them, as they are sent from the floor or by a program. */
@Component
class SetKeeping {

    /** What waited longer on a phone than this is taken to have been lifted then. */
    private static final Duration OLDEST = Duration.ofDays(14);

    private final Sessions sessions;
    private final SpeedSensors sensors;
    private final ApplicationEventPublisher events;
    private final Clock clock;

    SetKeeping(Sessions sessions, SpeedSensors sensors, ApplicationEventPublisher events, Clock clock) {
        this.sessions = sessions;
        this.sensors = sensors;
        this.events = events;
        this.clock = clock;
    }

    /**
     * Keeps a set.
     *
     * @throws Sessions.SetTaken when this set of the day was logged before by somebody else, with other figures
     * @throws UnreadableException when it cannot be kept as it was sent
     */
    void keep(Person person, FloorDay floor, Task asked, SetSent sent) throws Sessions.SetTaken {
        LifterCard lifter = floor.plan().lifter();
        Optional<DoneSet> before = floor.done().stream()
                .filter(set -> set.task().equals(asked.key()))
                .findFirst();
        DoneSet done = new SetReader(
                        sent,
                        asked,
                        floor.plan().standing().catalogue(),
                        floor.plan().resolver().numbers(asked.lift()),
                        lifter.unit())
                .read(before.map(set -> set.set().details().coach()));
        done = stillFilmed(before, done);
        if (sent.isCorrection()) {
            sessions.correct(person, lifter, floor.key(), done);
            return;
        }
        Instant at = lifted(sent.at());
        UUID token = FormExtras.token(sent.token());
        sessions.log(
                person,
                lifter,
                floor.key(),
                floor.plan().today(),
                new Sessions.Sent(token, measured(floor, done, at), at),
                floor.asked());
        if (sent.guess() != null) {
            events.publishEvent(new SetGuessed(lifter.clubId(), lifter.id(), token, done.set(), sent.guess()));
        }
    }

    /** A speed that was found in a clip and stands as it stood was found there still. */
    private static DoneSet stillFilmed(Optional<DoneSet> before, DoneSet done) {
        return before.map(set -> set.set().details())
                .filter(details -> details.filmed()
                        && details.speed().equals(done.set().details().speed()))
                .flatMap(SetDetails::speed)
                .map(speed -> new DoneSet(
                        done.task(), done.set().with(done.set().details().filmed(speed))))
                .orElse(done);
    }

    /** With the speed of its last repetition, where a sensor measured it and nobody typed another. */
    private DoneSet measured(FloorDay floor, DoneSet done, Instant at) {
        if (done.set().details().speed().isPresent()) {
            return done;
        }
        List<BarSpeed> speeds = sensors.since(floor.plan().lifter(), floor.key(), floor.log(), at);
        return speeds.isEmpty()
                ? done
                : new DoneSet(done.task(), done.set().with(done.set().details().with(speeds.get(speeds.size() - 1))));
    }

    /** When it was lifted, by our clock as the phone made it out; never to come, and not for ever ago. */
    private Instant lifted(Long at) {
        Instant now = clock.instant();
        if (at == null) {
            return now;
        }
        Instant lifted = Instant.ofEpochMilli(at);
        Instant oldest = now.minus(OLDEST);
        return lifted.isAfter(now) ? now : lifted.isBefore(oldest) ? oldest : lifted;
    }
}
