package dev.yarbel.core.recovery;

import dev.yarbel.core.block.Block;
import dev.yarbel.core.block.TrainingDay;
import dev.yarbel.core.recovery.Wake.Trail;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * Other weekdays for the days of a block, on which hard days come less soon after their like: of all ways to lay its days on the seven
 * of a week the one with the fewest hours too soon, of those alike the one with the fewest moves. What a day asks for stays.
 *
 * @param offsets the weekday of each day of the block, from 0 for the first day of its weeks
 * @param before by how many hours hard days came too soon as the days lie now
 * @param after the same as they would lie
 */
public record Spread(List<Integer> offsets, long before, long after) {

    private static final int WEEK = 7;
    private static final int HOURS = 24;

    public Spread {
        offsets = List.copyOf(offsets);
    }

    /** The best way; empty where none is better than how the days lie, or where the block has no days, or more than a week has. */
    public static Optional<Spread> of(Block block, Wake wake, RecoveryFigures figures) {
        List<Integer> now = block.days().stream().map(TrainingDay::offset).toList();
        if (now.isEmpty() || now.size() > WEEK) {
            return Optional.empty();
        }
        Search search = new Search(wake.trails(), figures, now);
        long before = search.tooSoon(now);
        search.from(new ArrayList<>(), new boolean[WEEK]);
        return search.least < before ? Optional.of(new Spread(search.best, before, search.least)) : Optional.empty();
    }

    /** Goes through all ways to lay the days. */
    private static final class Search {

        private final List<Trail> trails;
        private final int[][] needed;
        private final List<Integer> now;
        private List<Integer> best;
        private long least;
        private int fewest;

        Search(List<Trail> trails, RecoveryFigures figures, List<Integer> now) {
            this.trails = trails;
            this.now = now;
            this.needed = new int[trails.size()][trails.size()];
            for (int i = 0; i < trails.size(); i++) {
                for (int j = 0; j < trails.size(); j++) {
                    int weeks = trails.get(j).week() - trails.get(i).week();
                    boolean near = weeks >= 0 && weeks <= 2;
                    needed[i][j] = near && trails.get(j).strain().isHard() && i != j
                            ? Wake.needed(trails.get(i), trails.get(j), figures)
                            : 0;
                }
            }
            this.best = now;
            this.least = tooSoon(now);
        }

        void from(List<Integer> laid, boolean[] taken) {
            if (laid.size() == now.size()) {
                consider(laid);
                return;
            }
            for (int weekday = 0; weekday < WEEK; weekday++) {
                if (!taken[weekday]) {
                    taken[weekday] = true;
                    laid.add(weekday);
                    from(laid, taken);
                    laid.remove(laid.size() - 1);
                    taken[weekday] = false;
                }
            }
        }

        private void consider(List<Integer> laid) {
            long hours = tooSoon(laid);
            int moves = moves(laid);
            if (hours < least || hours == least && moves < fewest) {
                least = hours;
                fewest = moves;
                best = List.copyOf(laid);
            }
        }

        private int moves(List<Integer> laid) {
            int moves = 0;
            for (int day = 0; day < laid.size(); day++) {
                moves += laid.get(day).equals(now.get(day)) ? 0 : 1;
            }
            return moves;
        }

        /** By how many hours hard days come too soon after their like, each after the one that matters most. */
        long tooSoon(List<Integer> laid) {
            long all = 0;
            for (int j = 0; j < trails.size(); j++) {
                int worst = 0;
                for (int i = 0; i < trails.size(); i++) {
                    if (needed[i][j] > 0) {
                        int between = HOURS * (at(laid, j) - at(laid, i));
                        worst = between > 0 ? Math.max(worst, needed[i][j] - between) : worst;
                    }
                }
                all += worst;
            }
            return all;
        }

        private int at(List<Integer> laid, int trail) {
            return WEEK * trails.get(trail).week() + laid.get(trails.get(trail).day());
        }
    }
}
