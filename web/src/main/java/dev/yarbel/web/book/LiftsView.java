package dev.yarbel.web.book;

import dev.yarbel.core.estimate.ShareEstimate;
import dev.yarbel.core.lift.Catalogue;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.lift.Mastery;
import dev.yarbel.core.lift.Ratio;
import dev.yarbel.core.lift.Variation;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.session.Numbers;
import dev.yarbel.web.kit.AvailableKit;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** The catalogue family by family, with what is known of a lifter in each lift. */
record LiftsView(Lift root, List<Row> rows) {

    /**
     * One lift.
     *
     * @param ratio the ratio to the parent, known or default
     * @param learnt the ratio as what was lifted tells it
     * @param kit what it is done with in the usual gym; null when there is nothing for it
     */
    record Row(
            Variation variation,
            Optional<Mass> workingMax,
            Optional<Mass> estimate,
            Ratio ratio,
            Optional<ShareEstimate> learnt,
            Optional<Mastery> mastery,
            String kit) {}

    static List<LiftsView> of(LifterRecord standing, AvailableKit kit) {
        Catalogue catalogue = standing.catalogue();
        Numbers numbers = standing.numbers();
        Map<Lift, List<Row>> families = new LinkedHashMap<>();
        for (Variation variation : catalogue.all()) {
            var known = numbers.of(variation.lift());
            Optional<LiftRecord> own = standing.of(variation.lift());
            families.computeIfAbsent(catalogue.root(variation.lift()), root -> new ArrayList<>())
                    .add(new Row(
                            variation,
                            known.workingMax(),
                            known.estimate(),
                            ratio(variation, own),
                            own.flatMap(lift -> lift.learnt().share()),
                            own.flatMap(LiftRecord::mastery),
                            kit.loads(variation).map(loads -> loads.name()).orElse(null)));
        }
        // families first, then the lifts that stand alone
        return families.entrySet().stream()
                .map(family -> new LiftsView(family.getKey(), family.getValue()))
                .sorted(Comparator.comparing(family -> family.rows().size() == 1))
                .toList();
    }

    private static Ratio ratio(Variation variation, Optional<LiftRecord> own) {
        return variation
                .parent()
                .map(parent -> own.flatMap(LiftRecord::ratio)
                        .map(set -> new Ratio(parent.to(), set, Ratio.Source.COACH))
                        .orElse(parent))
                .orElse(null);
    }
}
