package dev.yarbel.core.adjust;

import dev.yarbel.core.measure.Mass;
import java.math.BigDecimal;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Optional;

/**
 * The first session after ten days or more without any: strength is down and comes back fast, so a lower start is no alarm
 * (common practice, no source). Where the estimate has fallen below what the plan hangs on, the loads come down to it by 5 % at
 * most; else everything stays.
 */
final class BackFromBreak implements CallRule {

    private static final Threshold DAYS = Threshold.of("10", "4", "7", "21", Threshold.Unit.DAYS);

    @Override
    public String key() {
        return "back-from-break";
    }

    @Override
    public Urgency urgency() {
        return Urgency.MISSED;
    }

    @Override
    public Optional<Threshold> threshold() {
        return Optional.of(DAYS);
    }

    @Override
    public List<Finding> look(Subject subject, BigDecimal threshold) {
        List<SeenSession> all = subject.sessions();
        LocalDate day = subject.session().date();
        Optional<LocalDate> last = all.stream()
                .map(SeenSession::date)
                .filter(date -> date.isBefore(day))
                .max(LocalDate::compareTo);
        return last
                .filter(before ->
                        BigDecimal.valueOf(ChronoUnit.DAYS.between(before, day)).compareTo(threshold) >= 0)
                .map(before -> Finding.of(
                        this,
                        new Evidence.Away(before, ChronoUnit.DAYS.between(before, day)),
                        isDown(subject) ? TowardEstimate.lower(subject) : new Hold(subject.lift())))
                .stream()
                .toList();
    }

    private static boolean isDown(Subject subject) {
        Optional<Mass> now = subject.known().workingMax();
        return subject.known()
                .target()
                .filter(target -> now.filter(target::isLessThan).isPresent())
                .isPresent();
    }
}
