package dev.yarbel.web.floor;

import dev.yarbel.core.measure.BarSpeed;
import dev.yarbel.web.book.PlannedDay;
import dev.yarbel.web.book.SessionLog;
import dev.yarbel.web.book.Sessions;
import dev.yarbel.web.page.FloorNotifier;
import dev.yarbel.web.page.Secrets;
import dev.yarbel.web.roster.LifterCard;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * Pairs bar-speed sensors with sessions by a code and takes their readings. A reading that cannot be right is refused with
 * its reason, and none of them ever changes what was logged.
 */
@Service
@Transactional
class SpeedSensors {

    private static final int CODE_SIGNS = 8;
    private static final int KEY_SIGNS = 32;
    private static final Duration CODE_LASTS = Duration.ofMinutes(15);
    /** No loaded bar moves slower or faster than this (a starting value of ours; a thrown bench press is near 1.5 m/s). */
    private static final BarSpeed SLOWEST = BarSpeed.parse("0.05");

    private static final BarSpeed FASTEST = BarSpeed.parse("2.5");
    /** A reading that comes later than this belongs to a set that is over. */
    private static final Duration LATE = Duration.ofMinutes(2);

    private static final Duration CLOCKS_DIFFER = Duration.ofSeconds(5);

    private final SpeedSensorRepository sensors;
    private final SpeedReadingRepository readings;
    private final Sessions sessions;
    private final FloorNotifier moved;
    private final Clock clock;

    SpeedSensors(
            SpeedSensorRepository sensors,
            SpeedReadingRepository readings,
            Sessions sessions,
            FloorNotifier moved,
            Clock clock) {
        this.sensors = sensors;
        this.readings = readings;
        this.sessions = sessions;
        this.moved = moved;
        this.clock = clock;
    }

    /** Why a reading is not taken; the code is what the sensor is told. */
    enum Refusal {
        NOT_A_SPEED,
        OUT_OF_RANGE,
        DOUBLE,
        LATE,
        FUTURE,
        FINISHED
    }

    /** Makes a code by which one sensor can be paired with a session, within a quarter of an hour. */
    String invite(LifterCard lifter, PlannedDay day) {
        String code = Secrets.code(CODE_SIGNS);
        sensors.save(new SpeedSensor(lifter.clubId(), lifter.id(), day, Secrets.hash(code), clock.instant()));
        return code;
    }

    /** Pairs a sensor; gives its key, once. Empty when the code is unknown, was used or is too old. */
    Optional<String> pair(String code) {
        Instant now = clock.instant();
        return sensors.lockByCodeHash(Secrets.hash(code.strip().toUpperCase(Locale.ROOT)))
                .filter(sensor ->
                        !sensor.isPaired() && now.isBefore(sensor.madeAt().plus(CODE_LASTS)))
                .map(sensor -> {
                    String key = Secrets.code(KEY_SIGNS);
                    sensor.pair(Secrets.hash(key), now);
                    moved.tell(sensor.clubId(), sensor.lifterId());
                    return key;
                });
    }

    /** The sensor of a key. */
    @Transactional(readOnly = true)
    Optional<SpeedSensor> sensor(String key) {
        return sensors.findByKeyHash(Secrets.hash(key));
    }

    /**
     * Takes a reading.
     *
     * @param number the sensor's own number of it
     * @param speed as it was sent
     * @param ago how long ago it was measured
     * @return why it was refused; empty when it was taken
     */
    Optional<Refusal> take(SpeedSensor sensor, long number, String speed, Duration ago) {
        Instant now = clock.instant();
        BarSpeed measured;
        try {
            measured = BarSpeed.parse(speed);
        } catch (IllegalArgumentException | ArithmeticException noSpeed) {
            return Optional.of(Refusal.NOT_A_SPEED);
        }
        if (measured.compareTo(SLOWEST) < 0 || measured.compareTo(FASTEST) > 0) {
            return Optional.of(Refusal.OUT_OF_RANGE);
        }
        if (ago.compareTo(CLOCKS_DIFFER.negated()) < 0) {
            return Optional.of(Refusal.FUTURE);
        }
        if (ago.compareTo(LATE) > 0) {
            return Optional.of(Refusal.LATE);
        }
        Instant at = ago.isNegative() ? now : now.minus(ago);
        Optional<Sessions.State> session = sessions.state(sensor.clubId(), sensor.lifterId(), sensor.day());
        if (session.filter(Sessions.State::finished).isPresent()) {
            return Optional.of(Refusal.FINISHED);
        }
        boolean afterItsSet = session.flatMap(Sessions.State::lastSet)
                .filter(last -> !at.isAfter(last))
                .isPresent();
        if (afterItsSet) {
            return Optional.of(Refusal.LATE);
        }
        int taken = readings.add(sensor.clubId(), sensor.id(), number, measured.millimetres(), at, now);
        if (taken == 0) {
            return Optional.of(Refusal.DOUBLE);
        }
        moved.tell(sensor.clubId(), sensor.lifterId());
        return Optional.empty();
    }

    /** What was measured since the last set of a session and up to a moment. */
    @Transactional(readOnly = true)
    List<BarSpeed> since(LifterCard lifter, PlannedDay day, Optional<SessionLog> log, Instant upTo) {
        Instant after = log.map(SessionLog::times)
                .filter(times -> !times.isEmpty())
                .map(times -> times.get(times.size() - 1))
                .orElse(Instant.EPOCH);
        return readings.between(lifter.clubId(), lifter.id(), day.day(), day.week(), after, upTo).stream()
                .map(SpeedReading::speed)
                .toList();
    }
}
