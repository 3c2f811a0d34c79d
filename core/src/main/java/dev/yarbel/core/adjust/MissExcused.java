package dev.yarbel.core.adjust;

import dev.yarbel.core.record.SetDetails.MissedBy;
import java.math.BigDecimal;
import java.util.List;

/** A miss with a reason that is not strength: kit left off, illness, a bad night, grip, a call. It does not count. */
final class MissExcused implements CallRule {

    @Override
    public String key() {
        return "miss-excused";
    }

    @Override
    public Urgency urgency() {
        return Urgency.NEWS;
    }

    @Override
    public List<Finding> look(Subject subject, BigDecimal threshold) {
        List<SeenSet> excused = subject.work().stream()
                .filter(set -> set.isExcused()
                        && set.set()
                                .details()
                                .missedBy()
                                .filter(MissedBy.PAIN::equals)
                                .isEmpty())
                .toList();
        return excused.isEmpty()
                ? List.of()
                : List.of(Finding.of(this, new Evidence.Sets(excused), new Hold(subject.lift())));
    }
}
