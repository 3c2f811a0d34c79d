package dev.yarbel.web.contest;

import dev.yarbel.core.contest.Aim;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.Percent;
import java.util.List;

/** Whom somebody lifts against: those of a contest of whom a total is expected. */
final class Rivals {

    /** How far off an expected total may be, one standard deviation; ours. */
    private static final Percent DOUBT = Percent.of(2);

    private Rivals() {}

    /** What an entry's attempts are to reach. */
    static Way.Asked asked(List<EntryEntity> entries, EntryEntity of) {
        return new Way.Asked(
                of.asked(),
                entries.stream()
                        .filter(other -> other.id() != of.id()
                                && other.expected().isPresent()
                                && (other.sex().isEmpty()
                                        || of.sex().isEmpty()
                                        || other.sex().equals(of.sex())))
                        .map(other -> rival(other, of))
                        .toList());
    }

    private static Aim.Rival rival(EntryEntity other, EntryEntity of) {
        Mass total = other.expected().orElseThrow();
        boolean lighter = other.bodyMass()
                .flatMap(theirs -> of.bodyMass().filter(theirs::isLessThan))
                .isPresent();
        return new Aim.Rival(total, total.times(DOUBT), lighter);
    }
}
