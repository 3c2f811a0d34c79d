package dev.yarbel.web.floor;

import java.time.Instant;
import java.util.List;
import org.springframework.data.jpa.repository.Modifying;
import org.springframework.data.jpa.repository.NativeQuery;
import org.springframework.data.jpa.repository.Query;
import org.springframework.data.repository.Repository;

interface SpeedReadingRepository extends Repository<SpeedReading, Long> {

    /** Keeps a reading unless one of this number is there, whoever comes first; how many were kept. */
    @Modifying
    @NativeQuery("""
            insert into speed_reading (club_id, sensor_id, number, speed, measured_at, received_at)
            values (:clubId, :sensorId, :number, :speed, :measuredAt, :receivedAt)
            on conflict (sensor_id, number) do nothing""")
    int add(long clubId, long sensorId, long number, int speed, Instant measuredAt, Instant receivedAt);

    /** What was measured in a session after one moment and up to another, in the order it was measured. */
    @Query("""
            select r from SpeedReading r join SpeedSensor s on s.id = r.sensorId and s.clubId = r.clubId
            where s.clubId = :clubId and s.lifterId = :lifterId and s.planDay = :planDay and s.planWeek = :planWeek
              and r.measuredAt > :after and r.measuredAt <= :upTo
            order by r.measuredAt, r.number""")
    List<SpeedReading> between(long clubId, long lifterId, long planDay, int planWeek, Instant after, Instant upTo);
}
