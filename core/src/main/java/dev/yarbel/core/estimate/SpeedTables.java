package dev.yarbel.core.estimate;

import dev.yarbel.core.effort.Rpe;
import dev.yarbel.core.effort.SpeedTable;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.record.LiftedSession;
import dev.yarbel.core.record.LiftedSet;
import dev.yarbel.core.record.UsualKit;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * The speed tables of a lifter's lifts as a log goes on. A set's speed is held against what was measured on earlier days alone, so that
 * nothing told of a day hangs on what came after it.
 */
public final class SpeedTables {

    private final UsualKit usual;
    private final Map<Lift, SpeedTable.Builder> builders = new HashMap<>();
    private final Map<Lift, SpeedTable> tables = new HashMap<>();

    public SpeedTables(UsualKit usual) {
        this.usual = usual;
    }

    /** Of a whole log. */
    public static SpeedTables of(UsualKit usual, List<LiftedSession> log) {
        SpeedTables tables = new SpeedTables(usual);
        log.forEach(tables::add);
        return tables;
    }

    /** A session with the speed of each set as a witness of its rating, where there is a table to go by. */
    public LiftedSession witnessed(LiftedSession session) {
        if (builders.isEmpty()) {
            return session;
        }
        return new LiftedSession(
                session.date(), session.sets().stream().map(this::witnessed).toList());
    }

    private LiftedSet witnessed(LiftedSet set) {
        return set.details()
                .speed()
                .filter(speed -> set.made() && usual.setUp(set).isPlain())
                .flatMap(speed -> of(set.lift()).flatMap(table -> table.rating(speed)))
                .map(rating -> set.with(set.details().seenBySpeed(rating)))
                .orElse(set);
    }

    /** Adds what was measured in a session: rated sets of the plain lift, made cleanly and alone. */
    public void add(LiftedSession session) {
        for (LiftedSet set : session.sets()) {
            Optional<Rpe> rating = set.rating().filter(Rpe::estimates);
            if (rating.isPresent()
                    && set.details().speed().isPresent()
                    && set.cleanReps() == set.reps()
                    && usual.setUp(set).isPlain()) {
                builders.computeIfAbsent(set.lift(), lift -> new SpeedTable.Builder())
                        .add(rating.get(), set.details().speed().get());
                tables.remove(set.lift());
            }
        }
    }

    /** The table of a lift as it stands; empty where no speed was ever measured with a rating. */
    public Optional<SpeedTable> of(Lift lift) {
        return Optional.ofNullable(builders.get(lift))
                .map(builder -> tables.computeIfAbsent(lift, any -> builder.build()));
    }
}
