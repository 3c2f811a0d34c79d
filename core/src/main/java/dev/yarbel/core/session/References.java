package dev.yarbel.core.session;

import dev.yarbel.core.effort.SpeedTable;
import dev.yarbel.core.equipment.AccommodatingResistance;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.prescription.KindOfWork;
import dev.yarbel.core.prescription.Part;
import dev.yarbel.core.progress.LastSession;
import java.util.Comparator;
import java.util.Map;
import java.util.Optional;

/**
 * What percentages of one lift can hang on beside its working max and estimate.
 *
 * @param contest the newest contest or mock contest max
 * @param goal what is wanted at the end
 * @param event the load announced for the contest
 * @param repMaxes loads by the repetitions they were lifted for, to the limit
 * @param lastTimes the last session of each kind of work with the lift, from before the block
 * @param ownBests what is on the bar for the best single, by the chains or bands that are on it
 * @param speeds how fast the lifter moves the lift's last repetition
 */
public record References(
        Optional<Mass> contest,
        Optional<Mass> goal,
        Optional<Mass> event,
        Map<Integer, Mass> repMaxes,
        Map<KindOfWork, LastSession> lastTimes,
        Map<AccommodatingResistance, Mass> ownBests,
        Optional<SpeedTable> speeds) {

    /** None is known. */
    public static final References NONE =
            new References(Optional.empty(), Optional.empty(), Optional.empty(), Map.of(), Map.of());

    /** Nothing with chains or bands was ever done, and no speed measured. */
    public References(
            Optional<Mass> contest,
            Optional<Mass> goal,
            Optional<Mass> event,
            Map<Integer, Mass> repMaxes,
            Map<KindOfWork, LastSession> lastTimes) {
        this(contest, goal, event, repMaxes, lastTimes, Map.of(), Optional.empty());
    }

    /** The last session that a part of a dose goes on from, or is a share of. */
    public Optional<LastSession> lastTime(Part part) {
        KindOfWork kind = KindOfWork.of(part);
        return Optional.ofNullable(lastTimes.get(kind)).or(() -> lastTimes.values().stream()
                .filter(last -> part.basis().isShareOfLast() && last.kind().isLike(kind))
                .max(Comparator.comparing(LastSession::load)));
    }

    /** The same with how fast the lift is moved. */
    public References with(SpeedTable table) {
        return new References(contest, goal, event, repMaxes, lastTimes, ownBests, Optional.of(table));
    }

    /** The same with a load announced for the contest. */
    public References withEvent(Mass announced) {
        return new References(contest, goal, Optional.of(announced), repMaxes, lastTimes, ownBests, speeds);
    }

    public References {
        repMaxes = Map.copyOf(repMaxes);
        lastTimes = Map.copyOf(lastTimes);
        ownBests = Map.copyOf(ownBests);
    }
}
