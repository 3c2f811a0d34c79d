package dev.yarbel.core.adjust;

import dev.yarbel.core.lift.Ache;
import dev.yarbel.core.lift.Alternatives;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.lift.Tissue;
import dev.yarbel.core.record.SetDetails.MissedBy;
import java.math.BigDecimal;
import java.util.List;
import java.util.Optional;

/**
 * Something hurt in the session that the lift may load: no rise, a lift that loads the place less for the coming week, and a
 * professional's look (common practice, no source). Where no place is known, or no other lift loads it less, the step that is
 * planned is left out; nobody is ever advised through pain. It cannot be switched off.
 */
final class PainNoted implements CallRule {

    private static final int WEEKS_NEW = 2;

    @Override
    public String key() {
        return "pain-noted";
    }

    @Override
    public Urgency urgency() {
        return Urgency.PAIN;
    }

    @Override
    public boolean isSwitchable() {
        return false;
    }

    @Override
    public Optional<Care> care() {
        return Optional.of(Care.PROFESSIONAL);
    }

    @Override
    public List<Finding> look(Subject subject, BigDecimal threshold) {
        List<SeenSet> missed = subject.work().stream()
                .filter(set -> set.set()
                        .details()
                        .missedBy()
                        .filter(MissedBy.PAIN::equals)
                        .isPresent())
                .toList();
        boolean hurt = !missed.isEmpty()
                || subject.session().pain().isPresent() && isFirst(subject)
                || subject.aches().stream().anyMatch(ache -> isNew(ache, subject));
        return hurt
                ? List.of(Finding.of(
                        this, new Evidence.Hurt(subject.session().pain(), subject.aches(), missed), proposal(subject)))
                : List.of();
    }

    /** Whether the lift was not done yet since it was noted, within two weeks. */
    private static boolean isNew(Ache ache, Subject subject) {
        boolean told = subject.before().stream()
                .findFirst()
                .filter(before -> !before.date().isBefore(ache.since()))
                .isPresent();
        return !told && !ache.since().isBefore(subject.session().date().minusWeeks(WEEKS_NEW));
    }

    /** Where it hurt nobody may have said; then the session's first lift stands for all of it. */
    private static boolean isFirst(Subject subject) {
        return subject.session().done().stream()
                .filter(done -> !done.task().warmUp())
                .findFirst()
                .filter(done -> done.set().lift().equals(subject.lift()))
                .isPresent();
    }

    private static Proposal proposal(Subject subject) {
        List<Tissue> places =
                subject.aches().stream().map(Ache::place).distinct().toList();
        Optional<Lift> other = places.isEmpty()
                ? Optional.empty()
                : Alternatives.of(
                                subject.lift(),
                                places,
                                subject.plan().resolver().catalogue(),
                                1)
                        .stream()
                        .findFirst();
        return other.flatMap(
                        to -> SwapLift.of(subject.plan(), subject.lift(), to).map(Proposal.class::cast))
                .or(() -> NextLoads.sameAgain(subject.plan(), subject.lift()))
                .orElseGet(() -> new Hold(subject.lift()));
    }
}
