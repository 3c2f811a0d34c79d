package dev.yarbel.core.adjust;

import dev.yarbel.core.recovery.FatigueSignal;
import dev.yarbel.core.recovery.FatigueSignal.Source;
import dev.yarbel.core.recovery.Readiness;
import dev.yarbel.core.shape.Deload;
import java.math.BigDecimal;
import java.util.List;
import java.util.Optional;

/**
 * Signs of fatigue from three sources: an easy week, with the style that fits. Half the load where body and joints speak, half the
 * sets else (common practice, no source). What the plan means anyway is no alarm.
 */
final class DeloadSuggested implements CallRule {

    private static final Threshold SIGNS = Threshold.of("3", "2", "2", "5", Threshold.Unit.SIGNS);

    @Override
    public String key() {
        return "deload-suggested";
    }

    @Override
    public Urgency urgency() {
        return Urgency.OFF_TARGET;
    }

    @Override
    public Optional<Threshold> threshold() {
        return Optional.of(SIGNS);
    }

    @Override
    public Scope scope() {
        return Scope.TRAINING;
    }

    @Override
    public boolean isStanding() {
        return true;
    }

    @Override
    public List<Finding> look(Subject subject, BigDecimal threshold) {
        return subject
                .readiness()
                .filter(readiness -> !readiness.isMeant()
                        && BigDecimal.valueOf(readiness.sources()).compareTo(threshold) >= 0)
                .flatMap(readiness -> DeloadWeek.soonest(subject.plan(), style(readiness), readiness.sources())
                        .map(deload -> Finding.of(this, new Evidence.Tired(readiness), deload)))
                .stream()
                .toList();
    }

    private static Deload style(Readiness readiness) {
        return readiness.speaking().stream().map(FatigueSignal::kind).anyMatch(kind -> kind.source() == Source.BODY)
                ? Deload.HALF_LOAD
                : Deload.HALF_SETS;
    }
}
