package dev.yarbel.lab.sensor;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;

/** What a sensor does wrong on demand. */
enum Fault {
    NONE,
    /** Every second repetition is not seen. */
    DROPOUTS,
    /** Every reading is sent twice. */
    DOUBLES,
    /** Figures that are no speed. */
    NONSENSE,
    /** Readings that come minutes after the set. */
    LATE;

    /** What is sent instead of one reading. */
    List<Reading> of(Reading reading) {
        return switch (this) {
            case NONE -> List.of(reading);
            case DROPOUTS -> reading.number() % 2 == 0 ? List.of() : List.of(reading);
            case DOUBLES -> List.of(reading, reading);
            case NONSENSE -> nonsense(reading);
            case LATE -> List.of(new Reading(reading.number(), reading.speed(), 5 * 60 * 1000L));
        };
    }

    private static List<Reading> nonsense(Reading reading) {
        List<String> speeds = List.of("-0.4", "NaN", "17.2", "", "0.001", "fast");
        List<Reading> readings = new ArrayList<>();
        readings.add(
                new Reading(reading.number(), speeds.get((int) (reading.number() % speeds.size())), reading.ago()));
        return readings;
    }

    static Fault parse(String text) {
        return valueOf(text.toUpperCase(Locale.ROOT));
    }

    /** A reading as it goes over the line. */
    record Reading(long number, String speed, long ago) {

        String json() {
            return "{\"number\":" + number + ",\"speed\":\"" + speed + "\",\"ago\":" + ago + "}";
        }
    }
}
