package dev.yarbel.core.adjust;

import dev.yarbel.core.lift.HealedAche;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.Percent;
import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/**
 * An ache that the lift loads was cleared, and the lift was spared meanwhile: it comes back by a ladder, light and few, then load, a step
 * only after quiet days; other lifts carry on (common practice, no source; the figures are ours). A lift that was trained through it at
 * four fifths of its loads or more needs none. It cannot be switched off.
 */
final class AcheCleared implements CallRule {

    private static final int WEEKS_BEFORE = 8;
    private static final Percent SPARED = Percent.of(80);

    @Override
    public String key() {
        return "ache-cleared";
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
        return subject.healed().stream()
                .filter(healed -> subject.sessions().stream()
                        .noneMatch(session -> session.date().isAfter(healed.on()) && session.has(subject.lift())))
                .max(Comparator.comparing(HealedAche::on))
                .map(healed -> evidence(subject, healed))
                .filter(AcheCleared::isSpared)
                .map(seen -> Finding.of(
                        this,
                        seen,
                        ReturnLadder.of(subject.plan(), subject.lift(), ReturnLadder.Length.after(seen.ache()))
                                .map(Proposal.class::cast)
                                .orElseGet(() -> new Hold(subject.lift()))))
                .stream()
                .toList();
    }

    private static Evidence.Healed evidence(Subject subject, HealedAche healed) {
        LocalDate since = healed.ache().since();
        return new Evidence.Healed(
                healed,
                heaviest(subject, since.minusWeeks(WEEKS_BEFORE), since),
                heaviest(subject, since, healed.on().plusDays(1)));
    }

    private static Optional<SeenSet> heaviest(Subject subject, LocalDate from, LocalDate before) {
        return subject.sessions().stream()
                .filter(session ->
                        !session.date().isBefore(from) && session.date().isBefore(before))
                .flatMap(session -> session.work(subject.lift()).stream())
                .filter(set -> set.set().made())
                .max(Comparator.comparing(set -> set.set().load()));
    }

    private static boolean isSpared(Evidence.Healed seen) {
        Optional<Mass> before = seen.before().map(set -> set.set().load());
        return seen.meanwhile()
                .map(set -> before.filter(heavy -> set.set().load().isLessThan(heavy.times(SPARED)))
                        .isPresent())
                .orElse(true);
    }
}
