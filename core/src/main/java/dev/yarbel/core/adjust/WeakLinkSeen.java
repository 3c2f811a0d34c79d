package dev.yarbel.core.adjust;

import dev.yarbel.core.record.CoachSeen.WeakLink;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;

/**
 * A coach noted the same weak link of the lift in so many sets within four weeks: assistance for it, in the day where it costs least
 * (common practice, no source; the number is ours). Nothing is said where such assistance is planned already.
 */
final class WeakLinkSeen implements CallRule {

    private static final Threshold SETS = Threshold.of("2", "1", "1", "6", Threshold.Unit.SETS);

    @Override
    public String key() {
        return "weak-link";
    }

    @Override
    public Urgency urgency() {
        return Urgency.APART;
    }

    @Override
    public Optional<Threshold> threshold() {
        return Optional.of(SETS);
    }

    @Override
    public boolean isStanding() {
        return true;
    }

    @Override
    public List<Finding> look(Subject subject, BigDecimal threshold) {
        Map<WeakLink, List<SeenSet>> byLink = noted(subject).stream()
                .collect(Collectors.groupingBy(
                        set -> set.set().details().coach().link().orElseThrow()));
        return byLink.entrySet().stream()
                .filter(link -> BigDecimal.valueOf(link.getValue().size()).compareTo(threshold) >= 0)
                .max(Map.Entry.<WeakLink, List<SeenSet>>comparingByValue((one, other) -> one.size() - other.size())
                        .thenComparing(Map.Entry.comparingByKey(Collections.reverseOrder())))
                .filter(link -> !AddAssistance.isPlanned(subject.plan(), link.getKey()))
                .map(link -> Finding.of(
                        this,
                        new Evidence.Sets(link.getValue()),
                        AddAssistance.of(subject.plan(), subject.lift(), link.getKey(), subject.aches())
                                .map(Proposal.class::cast)
                                .orElseGet(() -> new Hold(subject.lift()))))
                .stream()
                .toList();
    }

    /** The sets of the last four weeks beside which a coach noted a link, oldest first. */
    private static List<SeenSet> noted(Subject subject) {
        List<SeenSession> sessions = new ArrayList<>(subject.inARow());
        Collections.reverse(sessions);
        sessions.add(subject.session());
        return sessions.stream()
                .flatMap(session -> session.work(subject.lift()).stream())
                .filter(set -> set.set().details().coach().link().isPresent())
                .toList();
    }
}
