package dev.yarbel.core.estimate;

import dev.yarbel.core.record.LiftedSession;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.List;

/** The speeds of the last quarter before each session of a log: whoever got stronger or learnt a lift moves otherwise than they did. */
final class RecentSpeeds {

    private final Kin kin;
    private final Deque<LiftedSession> measured = new ArrayDeque<>();
    private SpeedTables tables;

    RecentSpeeds(Kin kin) {
        this.kin = kin;
        this.tables = kin.speeds(List.of());
    }

    /** The next session, with the speed of each set as a witness of its rating, where there is a table to go by. */
    LiftedSession witnessed(LiftedSession session) {
        if (!isMeasured(session)) {
            return session;
        }
        boolean forgotten = false;
        while (!measured.isEmpty()
                && measured.peek().date().isBefore(session.date().minusDays(StrengthHistory.DAYS_OF_SPEEDS))) {
            measured.remove();
            forgotten = true;
        }
        if (forgotten) {
            tables = kin.speeds(new ArrayList<>(measured));
        }
        return tables.witnessed(session);
    }

    /** Adds what was measured in a session. */
    void add(LiftedSession session) {
        if (isMeasured(session)) {
            measured.add(session);
            tables.add(session);
        }
    }

    private static boolean isMeasured(LiftedSession session) {
        return session.sets().stream().anyMatch(set -> set.details().speed().isPresent());
    }
}
