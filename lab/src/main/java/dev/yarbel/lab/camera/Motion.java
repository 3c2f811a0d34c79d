package dev.yarbel.lab.camera;

import java.util.ArrayList;
import java.util.List;

/**
 * How high the end of a bar is while a set is lifted, from its lowest point on: held at the top, lowered, turned and lifted, as often as
 * there are repetitions. All figures are invented; what matters is that they are known.
 *
 * @param range in metres, from the lowest point to the top
 * @param lowering seconds of the way down
 * @param lifting seconds of the way up of each repetition, so that its mean speed is {@code range} divided by that
 * @param sticking how much of the speed is lost half-way up, from 0 to below 1
 */
public record Motion(double range, double lowering, List<Double> lifting, double sticking) {

    /** Held still before, between and after repetitions, in seconds. */
    static final double HELD = 0.8;

    private static final double LOOK = 0.001;

    public Motion {
        lifting = List.copyOf(lifting);
        if (!(range > 0 && lowering > 0 && sticking >= 0 && sticking < 1)
                || lifting.isEmpty()
                || lifting.stream().anyMatch(seconds -> !(seconds > 0))) {
            throw new IllegalArgumentException("a bar moves, and takes its time");
        }
    }

    /** The mean speed of the way up of each repetition, in metres a second. */
    public List<Double> speeds() {
        return lifting.stream().map(seconds -> range / seconds).toList();
    }

    /**
     * The mean speed of each way up while the bar is faster than a threshold, as devices measure it, in metres a second; found by looking a
     * thousand times a second.
     */
    public List<Double> speedsFasterThan(double metres) {
        List<Double> speeds = new ArrayList<>();
        double from = HELD;
        for (double up : lifting) {
            from += lowering;
            double way = 0;
            double time = 0;
            for (double second = from; second < from + up; second += LOOK) {
                double step = at(second + LOOK) - at(second);
                if (step > metres * LOOK) {
                    way += step;
                    time += LOOK;
                }
            }
            speeds.add(way / time);
            from += up + HELD;
        }
        return speeds;
    }

    /** In seconds. */
    public double length() {
        return HELD + lifting.stream().mapToDouble(up -> lowering + up + HELD).sum();
    }

    /** The height at a moment, in metres above the lowest point. */
    double at(double second) {
        double left = second - HELD;
        for (double up : lifting) {
            if (left < 0) {
                return range;
            }
            if (left < lowering) {
                return range * (1 - smooth(left / lowering));
            }
            if (left < lowering + up) {
                return range * stuck((left - lowering) / up);
            }
            left -= lowering + up + HELD;
        }
        return range;
    }

    /** The heights at each frame of a film. */
    List<Double> frames(int perSecond) {
        List<Double> frames = new ArrayList<>();
        for (int frame = 0; frame <= length() * perSecond; frame++) {
            frames.add(at((double) frame / perSecond));
        }
        return frames;
    }

    /** From rest to rest with the least jerk (Flash and Hogan 1985). */
    private static double smooth(double share) {
        return share * share * share * (share * (6 * share - 15) + 10);
    }

    /** The same, slower half-way: the way is covered in as much time, only otherwise divided. */
    private double stuck(double share) {
        return smooth(share + sticking / (2 * Math.PI) * Math.sin(2 * Math.PI * share));
    }
}
