package dev.yarbel.core.adjust;

import dev.yarbel.core.equipment.AvailableLoads;
import dev.yarbel.core.equipment.Implement;
import dev.yarbel.core.equipment.Rounding;
import dev.yarbel.core.lift.Alternatives;
import dev.yarbel.core.lift.Catalogue;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.lift.Start;
import dev.yarbel.core.lift.Tissue;
import dev.yarbel.core.lift.Variation;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.MassUnit;
import dev.yarbel.core.measure.Percent;
import dev.yarbel.core.session.Amended;
import dev.yarbel.core.session.Amendment;
import dev.yarbel.core.session.DoneSet;
import dev.yarbel.core.session.PrescribedSets;
import dev.yarbel.core.session.ResolvedLoad;
import dev.yarbel.core.session.Resolver;
import dev.yarbel.core.session.TaskKey;
import dev.yarbel.core.tally.SessionTime;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.EnumSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * What is kept of a session when the day goes otherwise than planned: what matters most, as changes of the day that can be taken back. That a
 * short or tired day keeps the first lift and lets assistance go is common practice (no source); how much is cut are starting values of ours.
 * What was done already stays.
 */
public enum Fallback {
    /** Half an hour and no more: assistance goes first, then sets of the later lifts; of the first lift half stays. */
    SHORT,
    /** Slept badly: what hangs on no rating goes down by 5 %, and of more than two sets a third is left out. */
    TIRED,
    /** No rack: what is taken from one is done as the nearest lift that needs none. */
    NO_RACK;

    /** As long as a short session may be. */
    public static final int MINUTES = 30;

    private static final Set<Implement> FROM_A_RACK =
            EnumSet.of(Implement.BARBELL, Implement.SAFETY_BAR, Implement.CAMBERED_BAR, Implement.MULTI_GRIP_BAR);
    private static final Percent LIGHTER = Percent.of(95);
    private static final int FEW = 2;
    private static final int MOST_ALTERNATIVES = 12;

    /**
     * A day as it stands on the floor.
     *
     * @param day what it asks for, the changes that were made to it laid over
     * @param loads what that comes to, one for each
     * @param done the work sets that were done
     * @param aching places that ache
     * @param unit the lifter's own
     */
    public record Today(
            List<PrescribedSets> day,
            List<ResolvedLoad> loads,
            List<DoneSet> done,
            Collection<Tissue> aching,
            Resolver resolver,
            MassUnit unit) {

        public Today {
            day = List.copyOf(day);
            loads = List.copyOf(loads);
            done = List.copyOf(done);
        }

        private Catalogue catalogue() {
            return resolver.catalogue();
        }

        private Map<String, List<PrescribedSets>> slots() {
            Map<String, List<PrescribedSets>> slots = new LinkedHashMap<>();
            day.forEach(part -> slots.computeIfAbsent(part.letter(), letter -> new ArrayList<>())
                    .add(part));
            return slots;
        }

        /** The highest number of a work set of a slot that was done. */
        private int done(String letter) {
            return done.stream()
                    .map(DoneSet::task)
                    .filter(task -> !task.warmUp() && task.letter().equals(letter))
                    .mapToInt(TaskKey::number)
                    .max()
                    .orElse(0);
        }

        private boolean isDone(TaskKey task) {
            return done.stream().anyMatch(set -> set.task().equals(task));
        }

        /** How long the day takes with some changes laid over it, in minutes. */
        int minutes(List<Amendment> changes) {
            List<PrescribedSets> changed = Amended.of(day, changes).day();
            return (int)
                    SessionTime.of(changed, resolver.resolve(changed), resolver).toMinutes();
        }
    }

    /**
     * What is changed.
     *
     * @param changes none where the day is that already
     * @param minutes it takes then
     */
    public record Offer(List<Amendment> changes, int minutes) {

        public Offer {
            changes = List.copyOf(changes);
        }
    }

    /** What it makes of a day. */
    public Offer of(Today today) {
        List<Amendment> changes =
                switch (this) {
                    case SHORT -> shortened(today);
                    case TIRED -> tired(today);
                    case NO_RACK -> withoutRack(today);
                };
        return new Offer(changes, today.minutes(changes));
    }

    // ---- half an hour

    /** How much a slot matters: the least first. */
    private record Rank(String letter, int sets, int least, int done) {}

    private static List<Amendment> shortened(Today today) {
        List<Rank> ranks = ranks(today);
        Map<String, Integer> kept = new LinkedHashMap<>();
        ranks.forEach(rank -> kept.put(rank.letter, rank.sets));
        for (boolean last : new boolean[] {false, true}) {
            for (int at = 0; at < ranks.size(); at++) {
                Rank rank = ranks.get(at);
                boolean first = at == ranks.size() - 1;
                int least = last && !first ? rank.done : rank.least;
                while (kept.get(rank.letter) > least && today.minutes(cuts(ranks, kept)) > MINUTES) {
                    kept.merge(rank.letter, -1, Integer::sum);
                }
            }
        }
        return cuts(ranks, kept);
    }

    private static List<Amendment> cuts(List<Rank> ranks, Map<String, Integer> kept) {
        return ranks.stream()
                .filter(rank -> kept.get(rank.letter) < rank.sets)
                .<Amendment>map(rank -> new Amendment.Shorten(rank.letter, kept.get(rank.letter)))
                .sorted(Comparator.comparing(Amendment::letter))
                .toList();
    }

    /** The slots, the least important first: assistance before contest lifts and what is close to them, later ones before earlier ones. */
    private static List<Rank> ranks(Today today) {
        List<Rank> assistance = new ArrayList<>();
        List<Rank> main = new ArrayList<>();
        today.slots().forEach((letter, parts) -> {
            int sets = parts.stream().mapToInt(PrescribedSets::lastSet).max().orElse(0);
            int done = today.done(letter);
            if (sets == 0 || parts.stream().allMatch(part -> part.sets() == 0)) {
                return;
            }
            if (isMain(today.catalogue(), parts.get(0).lift())) {
                int half = main.isEmpty() ? (sets + 1) / 2 : Math.min(sets, FEW);
                main.add(new Rank(letter, sets, Math.max(done, half), done));
            } else {
                assistance.add(new Rank(letter, sets, done, done));
            }
        });
        List<Rank> ranks = new ArrayList<>();
        for (List<Rank> of : List.of(assistance, main)) {
            for (int at = of.size() - 1; at >= 0; at--) {
                ranks.add(of.get(at));
            }
        }
        return ranks;
    }

    private static boolean isMain(Catalogue catalogue, Lift lift) {
        return catalogue.of(lift).contest()
                || catalogue.of(catalogue.root(lift)).contest();
    }

    // ---- slept badly

    private static List<Amendment> tired(Today today) {
        List<Amendment> changes = new ArrayList<>();
        today.slots().forEach((letter, parts) -> {
            int sets = parts.stream().mapToInt(PrescribedSets::lastSet).max().orElse(0);
            int kept = sets > FEW ? Math.max(today.done(letter), sets - sets / 3) : sets;
            if (kept < sets) {
                changes.add(new Amendment.Shorten(letter, kept));
            }
            for (PrescribedSets part : parts) {
                if (!isSettledByTheDay(part)) {
                    lighter(today, part, Math.min(kept, part.lastSet()), changes);
                }
            }
        });
        return changes;
    }

    /** What hangs on a rating finds its load, and what hangs on the day's top follows it where the top is lighter. */
    private static boolean isSettledByTheDay(PrescribedSets part) {
        return part.part().basis().rating().isPresent()
                || part.part().basis().hangsOnTop()
                || !part.part().work().countsReps();
    }

    private static void lighter(Today today, PrescribedSets part, int upTo, List<Amendment> changes) {
        Optional<ResolvedLoad.Known> load =
                today.loads.get(today.day.indexOf(part)).known();
        Optional<AvailableLoads> kit = today.resolver.kit(part.lift());
        if (load.isEmpty() || kit.isEmpty()) {
            return;
        }
        for (int number = part.firstSet(); number <= upTo; number++) {
            Mass planned = load.get().load(number - part.firstSet() + 1);
            Mass less = kit.get().round(planned.times(LIGHTER), Rounding.DOWN);
            if (!today.isDone(TaskKey.work(part.letter(), number)) && less.isPositive() && less.isLessThan(planned)) {
                changes.add(new Amendment.AtLoad(part.letter(), number, less, today.unit));
            }
        }
    }

    // ---- no rack

    private static List<Amendment> withoutRack(Today today) {
        List<Amendment> changes = new ArrayList<>();
        today.slots().forEach((letter, parts) -> {
            Lift lift = parts.get(0).lift();
            boolean begun = today.done(letter) > 0;
            boolean asked = parts.stream().anyMatch(part -> part.sets() > 0);
            if (begun || !asked || !needsRack(today.catalogue(), lift)) {
                return;
            }
            changes.add(Alternatives.of(lift, today.aching, today.catalogue(), MOST_ALTERNATIVES).stream()
                    .filter(other -> !needsRack(today.catalogue(), other)
                            && today.resolver.kit(other).isPresent())
                    .findFirst()
                    .<Amendment>map(other -> new Amendment.Swap(letter, other))
                    .orElseGet(() -> new Amendment.Shorten(letter, 0)));
        });
        return changes;
    }

    /** Whether a lift begins with a bar that stands as high as the lifter lowers it from, or ends on pins; what is pulled from the floor does not. */
    public static boolean needsRack(Catalogue catalogue, Lift lift) {
        Variation variation = catalogue.of(lift);
        boolean lowered = FROM_A_RACK.contains(variation.implement())
                && variation.start() == Start.LOWERING
                && variation.pinsTheLifter()
                && !catalogue.root(lift).equals(Lift.DEADLIFT);
        return lowered || variation.pins();
    }
}
