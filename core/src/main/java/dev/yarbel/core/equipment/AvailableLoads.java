package dev.yarbel.core.equipment;

import dev.yarbel.core.measure.Mass;
import java.util.AbstractList;
import java.util.List;
import java.util.Optional;

/**
 * Every load that one bar with its plates, or one row of fixed pieces, can make, and how a load that was asked for fits
 * among them.
 */
public abstract sealed class AvailableLoads permits BarLoads, FixedLoads {

    AvailableLoads() {}

    /** How many different loads there are, at least one. */
    abstract int size();

    /** A load by its place, lightest first, see {@link Mass#tensOfNanograms}. */
    abstract long tensOfNanogramsAt(int index);

    /** What makes the load at a place, with the fewest plates. */
    abstract LoadedBar loading(int index);

    /** What makes the load at a place when a bar carries plates already. */
    abstract LoadedBar loading(int index, PlateStack onTheBar);

    /** What it is called where a load is shown. */
    public abstract String name();

    /** Whether plates make the load; fixed pieces are picked up whole. */
    public boolean takesPlates() {
        return loader().isPresent();
    }

    /** The bar and plates that make it; empty for fixed pieces. */
    public abstract Optional<BarLoads> loader();

    private Mass at(int index) {
        return Mass.ofTensOfNanograms(tensOfNanogramsAt(index));
    }

    public Mass lightest() {
        return at(0);
    }

    public Mass heaviest() {
        return at(size() - 1);
    }

    /** All loads there are, lightest first. */
    public List<Mass> loads() {
        return List.copyOf(view());
    }

    private List<Mass> view() {
        return new AbstractList<>() {
            @Override
            public Mass get(int index) {
                return at(index);
            }

            @Override
            public int size() {
                return AvailableLoads.this.size();
            }
        };
    }

    /** Whether there is exactly this load. */
    public boolean canLoad(Mass load) {
        return !load.isLessThan(lightest())
                && !load.isGreaterThan(heaviest())
                && at(below(load)).equals(load);
    }

    /** The load asked for as it can be made by the coach's rule, with the fewest plates. */
    public Fit fit(Mass asked, Rounding rule) {
        Place place = place(asked, rule);
        return new Fit(asked, loading(place.index()), place.limit());
    }

    /**
     * The load asked for as it can be made on a bar that carries plates already, with the fewest plates moved; of those,
     * with the fewest plates.
     */
    public Fit fit(Mass asked, Rounding rule, PlateStack onTheBar) {
        Place place = place(asked, rule);
        return new Fit(asked, loading(place.index(), onTheBar), place.limit());
    }

    /** The load alone, without looking for its plates. */
    public Mass round(Mass asked, Rounding rule) {
        return at(place(asked, rule).index());
    }

    /**
     * The distance between the two neighbouring loads around this one: from a load that can be made to the next heavier.
     * At the end of the kit, the last step there is; zero when there is one load only.
     */
    public Mass stepAt(Mass load) {
        int last = size() - 1;
        if (last == 0) {
            return Mass.ZERO;
        }
        int below = Math.min(place(load, Rounding.DOWN).index(), last - 1);
        return at(below + 1).minus(at(below));
    }

    private record Place(int index, Fit.Limit limit) {}

    private Place place(Mass asked, Rounding rule) {
        if (asked.isLessThan(lightest())) {
            return new Place(0, Fit.Limit.BELOW_THE_BAR);
        }
        if (asked.isGreaterThan(heaviest())) {
            return new Place(size() - 1, Fit.Limit.BEYOND_THE_PLATES);
        }
        int below = below(asked);
        if (at(below).equals(asked)) {
            return new Place(below, Fit.Limit.NONE);
        }
        int index =
                switch (rule) {
                    case DOWN -> below;
                    case UP -> below + 1;
                    case NEAREST ->
                        at(below + 1).distanceTo(asked).isLessThan(at(below).distanceTo(asked)) ? below + 1 : below;
                };
        return new Place(index, Fit.Limit.NONE);
    }

    /** The place of the heaviest load that is not above this one, which is not below the lightest. */
    private int below(Mass asked) {
        long most = asked.tensOfNanograms();
        int low = 0;
        int high = size() - 1;
        while (low < high) {
            int middle = (low + high + 1) >>> 1;
            if (tensOfNanogramsAt(middle) > most) {
                high = middle - 1;
            } else {
                low = middle;
            }
        }
        return low;
    }
}
