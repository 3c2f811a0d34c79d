package dev.yarbel.web.book;

import dev.yarbel.core.effort.RepCurve;
import dev.yarbel.core.estimate.MaxOnRecord;
import dev.yarbel.core.estimate.RecordedMax;
import dev.yarbel.core.estimate.StrengthFilter;
import dev.yarbel.core.lift.Catalogue;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.record.UsualKit;
import dev.yarbel.core.record.Worn;
import java.util.Collection;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * What was set down of a lifter's lifts, and how their log is to be read by it.
 *
 * @param maxes every one, in any order
 * @param usual what the lifter wears where nobody says anything else
 */
record SetDown(Catalogue catalogue, Decisions decisions, List<RecordedMax> maxes, UsualKit usual) {

    SetDown(Catalogue catalogue, Decisions decisions, List<RecordedMax> maxes) {
        this(catalogue, decisions, maxes, usualKit(catalogue, maxes));
    }

    /** The kit that the newest max of each lift was set down in, of those of which it was said. */
    private static UsualKit usualKit(Catalogue catalogue, Collection<RecordedMax> maxes) {
        Map<Lift, Set<Worn>> said = maxes.stream()
                .filter(max ->
                        max.kind() != RecordedMax.Kind.GOAL && !max.worn().isEmpty())
                .sorted(Comparator.comparing(RecordedMax::on))
                .collect(Collectors.toMap(RecordedMax::lift, RecordedMax::worn, (earlier, later) -> later));
        return new UsualKit(catalogue, said);
    }

    StrengthFilter filter() {
        return new StrengthFilter(catalogue, decisions.overrules(), usual);
    }

    /** What the maxes say of the lifts as they are usually done. */
    List<MaxOnRecord> onRecord() {
        return maxes.stream()
                .filter(max -> usual.isUsual(max.lift(), max.worn()))
                .flatMap(max ->
                        MaxOnRecord.of(max, decisions.curves().getOrDefault(max.lift(), RepCurve.DEFAULT)).stream())
                .toList();
    }
}
