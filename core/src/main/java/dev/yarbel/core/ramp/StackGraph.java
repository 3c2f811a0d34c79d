package dev.yarbel.core.ramp;

import dev.yarbel.core.equipment.Plate;
import dev.yarbel.core.equipment.PlateSet;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.Deque;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/**
 * The stacks that can grow, plate by plate and heaviest first, up to one side of the top.
 *
 * <p>What can still be added to a stack depends only on its mass, its outermost plate and how many of that plate are on,
 * so stacks alike in these are one node. An edge adds one plate. Nodes are numbered by mass, the bare bar first.
 */
final class StackGraph {

    /** Stacks of one mass with the same outermost plate, so many of it. */
    record Node(long side, int kind, int used) {}

    private final List<PlateSet.Pairs> kinds;
    private final long top;
    private final Map<Node, Boolean> leadsToTop = new HashMap<>();
    private final List<Node> nodes = new ArrayList<>();
    private final Map<Node, Integer> numbers = new HashMap<>();
    private final int[][] next;

    /**
     * @param top the mass of one side of the top
     * @param onlyTowardsTop whether stacks from which the top cannot be reached without taking plates off are left out
     */
    StackGraph(List<PlateSet.Pairs> kinds, long top, boolean onlyTowardsTop) {
        this.kinds = kinds;
        this.top = top;
        Node bare = new Node(0, 0, 0);
        leadsToTop(bare);
        leadsToTop.forEach((node, leads) -> {
            if (leads || !onlyTowardsTop || node.equals(bare)) {
                nodes.add(node);
            }
        });
        nodes.sort(Comparator.comparingLong(Node::side)
                .thenComparingInt(Node::kind)
                .thenComparingInt(Node::used));
        for (int i = 0; i < nodes.size(); i++) {
            numbers.put(nodes.get(i), i);
        }
        next = new int[nodes.size()][];
        for (int i = 0; i < next.length; i++) {
            next[i] = successors(nodes.get(i)).stream()
                    .filter(numbers::containsKey)
                    .mapToInt(numbers::get)
                    .toArray();
        }
    }

    private boolean leadsToTop(Node node) {
        Boolean known = leadsToTop.get(node);
        if (known != null) {
            return known;
        }
        boolean leads = node.side == top;
        for (Node successor : successors(node)) {
            leads |= leadsToTop(successor);
        }
        leadsToTop.put(node, leads);
        return leads;
    }

    private List<Node> successors(Node node) {
        List<Node> successors = new ArrayList<>();
        for (int kind = node.kind; kind < kinds.size(); kind++) {
            PlateSet.Pairs pairs = kinds.get(kind);
            int used = kind == node.kind ? node.used + 1 : 1;
            long side = node.side + pairs.plate().mass().tensOfNanograms();
            if (used <= pairs.count() && side <= top) {
                successors.add(new Node(side, kind, used));
            }
        }
        return successors;
    }

    int size() {
        return nodes.size();
    }

    long side(int number) {
        return nodes.get(number).side;
    }

    /** The lightest plate of the stack; null for the bare bar. */
    Plate outermost(int number) {
        Node node = nodes.get(number);
        return node.used == 0 ? null : kinds.get(node.kind).plate();
    }

    /** The fewest plates to add from one stack to reach each other one; −1 where none will do. */
    int[] platesFrom(int start) {
        int[] plates = new int[nodes.size()];
        Arrays.fill(plates, -1);
        plates[start] = 0;
        for (int number = start; number < plates.length; number++) {
            if (plates[number] >= 0) {
                for (int successor : next[number]) {
                    if (plates[successor] < 0 || plates[successor] > plates[number] + 1) {
                        plates[successor] = plates[number] + 1;
                    }
                }
            }
        }
        return plates;
    }

    /** The fewest plates that make the one stack of the other, in the order they go on. */
    List<Plate> platesBetween(int start, int end) {
        int[] before = new int[nodes.size()];
        Arrays.fill(before, -1);
        Deque<Integer> open = new ArrayDeque<>(List.of(start));
        while (!open.isEmpty() && before[end] < 0) {
            int number = open.remove();
            for (int successor : next[number]) {
                if (before[successor] < 0) {
                    before[successor] = number;
                    open.add(successor);
                }
            }
        }
        Deque<Plate> plates = new ArrayDeque<>();
        for (int number = end; number != start; number = before[number]) {
            plates.push(outermost(number));
        }
        return List.copyOf(plates);
    }
}
