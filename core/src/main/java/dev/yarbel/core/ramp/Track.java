package dev.yarbel.core.ramp;

import dev.yarbel.core.equipment.Plate;
import dev.yarbel.core.equipment.PlateStack;
import java.util.List;

/**
 * What can be stopped at on the way to a top, lightest first and the top last: the beginnings of the stack that makes it, and
 * of those it is swapped from.
 *
 * @param must which stops cannot be left out, since plates come off there
 * @param handled plates a side put on and taken off, the way down included
 * @param fixed what it costs wherever it stops
 */
record Track(List<Stop> stops, boolean[] must, int handled, long fixed) {

    /** A stack with the load of the bar at each of its beginnings. */
    record Stack(List<Plate> plates, long[] loads, int down) {

        static Stack of(PlateStack stack, long base) {
            return of(stack, base, 0);
        }

        /** @param down the plates handled on the way down from it */
        static Stack of(PlateStack stack, long base, int down) {
            long[] loads = new long[stack.size() + 1];
            loads[0] = base;
            for (int i = 0; i < stack.size(); i++) {
                loads[i + 1] = loads[i] + 2 * stack.plates().get(i).mass().tensOfNanograms();
            }
            return new Stack(stack.plates(), loads, down);
        }

        int size() {
            return plates.size();
        }

        long load() {
            return loads[plates.size()];
        }

        int sharedWith(Stack other) {
            int shared = 0;
            int most = Math.min(size(), other.size());
            while (shared < most && same(plates.get(shared), other.plates.get(shared))) {
                shared++;
            }
            return shared;
        }

        private static boolean same(Plate one, Plate other) {
            return one == other || one.equals(other);
        }

        /** Whether up to two plates come off for a larger one. */
        boolean isSwapFor(Stack goal) {
            int shared = sharedWith(goal);
            return size() - shared <= RampRules.SWAPPED_AT_ONCE
                    && goal.size() > shared
                    && goal.plates
                            .get(shared)
                            .mass()
                            .isGreaterThan(plates.get(shared).mass());
        }

        /** Whether so many of its plates, from the inside out, hold the bar at full height. */
        boolean isFullHeight(int inside) {
            for (int i = 0; i < inside; i++) {
                if (plates.get(i).isFullSize()) {
                    return true;
                }
            }
            return false;
        }

        int handledFor(Stack next) {
            int shared = sharedWith(next);
            return size() + next.size() - 2 * shared;
        }
    }

    /** So many plates of a stack, from the inside out. */
    record Stop(Stack stack, int plates) {

        long load() {
            return stack.loads[plates];
        }

        PlateStack loaded() {
            return new PlateStack(stack.plates.subList(0, plates));
        }
    }

    /** The stack that makes the top. */
    Stack top() {
        return stops.get(stops.size() - 1).stack;
    }
}
