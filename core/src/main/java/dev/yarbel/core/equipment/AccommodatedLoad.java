package dev.yarbel.core.equipment;

import dev.yarbel.core.measure.Length;
import dev.yarbel.core.measure.Mass;
import java.util.ArrayList;
import java.util.List;

/**
 * A bar load with chains or bands on it, over the height of one lift.
 *
 * <p>It is the weight that rests on the lifter with the bar held still: what speeds the bar up or slows it down is left
 * out, and so is the slant of a band that does not stand plumb.
 *
 * @param bar bar, collars and plates
 * @param bottom the height of the bar above the floor at the bottom of the lift
 * @param top its height at the top
 */
public record AccommodatedLoad(Mass bar, List<Accommodation> with, Length bottom, Length top) {

    public AccommodatedLoad {
        with = List.copyOf(with);
        if (bottom.isNegative() || !top.isGreaterThan(bottom)) {
            throw new IllegalArgumentException("a lift goes up from a bottom to a top");
        }
    }

    /** A point of the curve. */
    public record Point(Length height, Mass load) {}

    /** The load at a height of the bar. */
    public Mass at(Length height) {
        Mass load = bar;
        for (Accommodation part : with) {
            load = load.plus(part.at(height));
        }
        return load;
    }

    public Mass atBottom() {
        return at(bottom);
    }

    public Mass atTop() {
        return at(top);
    }

    /** Whether all that is on the bar was measured over the whole lift. */
    public boolean isMeasured() {
        return with.stream().allMatch(part -> part.isMeasuredAt(bottom) && part.isMeasuredAt(top));
    }

    /** So many points from the bottom to the top, both included. */
    public List<Point> curve(int points) {
        List<Point> curve = new ArrayList<>(points);
        for (int i = 0; i < points; i++) {
            Length height = bottom.towards(top, i, points - 1);
            curve.add(new Point(height, at(height)));
        }
        return curve;
    }

    /** The bar load that comes to a wanted load at the bottom; it may be less than any bar. */
    public Mass barForBottom(Mass wanted) {
        return wanted.minus(atBottom().minus(bar));
    }

    /** The bar load that comes to a wanted load at the top; it may be less than any bar. */
    public Mass barForTop(Mass wanted) {
        return wanted.minus(atTop().minus(bar));
    }

    /** The same set-up with another bar load. */
    public AccommodatedLoad withBar(Mass load) {
        return new AccommodatedLoad(load, with, bottom, top);
    }
}
