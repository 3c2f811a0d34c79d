package dev.yarbel.core.session;

import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.prescription.KindOfWork;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.UnaryOperator;

/** What a day asks for with the changes made on the floor laid over it. */
public final class Amended {

    private List<PrescribedSets> day;
    private final Map<TaskKey, Mass> loads = new HashMap<>();
    private final Map<String, List<Amendment.Step>> steps = new HashMap<>();
    private final Set<TaskKey> answered = new HashSet<>();
    private final Set<String> checked = new HashSet<>();

    private Amended(List<PrescribedSets> day) {
        this.day = List.copyOf(day);
    }

    /** A day and the changes made to it, in the order they were made. A change of a slot that is not there is none. */
    public static Amended of(List<PrescribedSets> day, List<Amendment> amendments) {
        Amended amended = new Amended(day);
        amendments.forEach(amended::lay);
        return amended;
    }

    private void lay(Amendment amendment) {
        amendment.accept(new Laying());
    }

    /** What each kind of change does to the day. */
    private final class Laying implements Amendment.Visitor<Void> {

        @Override
        public Void shorten(Amendment.Shorten shorten) {
            return change(shorten, slot -> slot.stream()
                    .map(part -> upTo(part, shorten.sets()))
                    .toList());
        }

        @Override
        public Void swap(Amendment.Swap swap) {
            return change(
                    swap,
                    slot -> slot.stream().map(part -> part.with(swap.lift())).toList());
        }

        @Override
        public Void redose(Amendment.Redose redose) {
            return change(redose, slot -> redosed(slot, redose));
        }

        @Override
        public Void another(Amendment.Another another) {
            return change(another, slot -> Amended.another(slot, another.after()));
        }

        @Override
        public Void atLoad(Amendment.AtLoad at) {
            loads.put(TaskKey.work(at.letter(), at.set()), at.load());
            return null;
        }

        @Override
        public Void step(Amendment.Step step) {
            steps.computeIfAbsent(step.letter(), letter -> new ArrayList<>()).add(step);
            return null;
        }

        @Override
        public Void goOn(Amendment.GoOn goOn) {
            answered.add(goOn.set());
            return null;
        }

        @Override
        public Void checked(Amendment.Checked looked) {
            checked.add(looked.letter());
            return null;
        }

        /** Changes the parts of the slot that is meant. */
        private Void change(Amendment amendment, UnaryOperator<List<PrescribedSets>> how) {
            List<PrescribedSets> changed = new ArrayList<>();
            int from = 0;
            while (from < day.size()) {
                int to = from;
                while (to < day.size()
                        && day.get(to).letter().equals(day.get(from).letter())) {
                    to++;
                }
                List<PrescribedSets> slot = day.subList(from, to);
                boolean meant = slot.get(0).letter().equals(amendment.letter());
                changed.addAll(meant ? how.apply(slot) : slot);
                from = to;
            }
            day = List.copyOf(changed);
            return null;
        }
    }

    private static PrescribedSets upTo(PrescribedSets part, int sets) {
        return part.withSets(Math.max(0, Math.min(part.sets(), sets - part.firstSet() + 1)));
    }

    private static List<PrescribedSets> another(List<PrescribedSets> slot, int after) {
        List<PrescribedSets> parts = new ArrayList<>();
        int more = 0;
        for (PrescribedSets part : slot) {
            PrescribedSets moved = part.from(part.firstSet() + more, part.last());
            if (more == 0 && (after <= part.lastSet() || part.last())) {
                more = 1;
                moved = moved.withSets(moved.sets() + 1);
            }
            parts.add(moved);
        }
        return parts;
    }

    private static List<PrescribedSets> redosed(List<PrescribedSets> slot, Amendment.Redose redose) {
        List<PrescribedSets> parts = new ArrayList<>();
        for (PrescribedSets part : slot) {
            PrescribedSets kept = upTo(part, redose.fromSet() - 1);
            if (kept.sets() > 0) {
                parts.add(kept.from(kept.firstSet(), false));
            }
        }
        PrescribedSets first = slot.get(0);
        for (PrescribedSets part : PrescribedSets.of(first.letter(), first.lift(), redose.dose())) {
            PrescribedSets moved = part.from(part.firstSet() + redose.fromSet() - 1, part.last());
            boolean same = first.before()
                    .filter(session -> session.kind().equals(KindOfWork.of(moved.part())))
                    .isPresent();
            parts.add(same ? moved.after(first.before()) : moved);
        }
        return parts;
    }

    /** What the day asks for now; a part that was cut stays, with no sets. */
    public List<PrescribedSets> day() {
        return day;
    }

    /** The load decided on for a set. */
    public Optional<Mass> load(TaskKey set) {
        return Optional.ofNullable(loads.get(set));
    }

    /** The warm-ups added to a slot. */
    public List<Amendment.Step> steps(String letter) {
        return steps.getOrDefault(letter, List.of());
    }

    /** Whether what was asked about a set is answered. */
    public boolean isAnswered(TaskKey set) {
        return answered.contains(set);
    }

    /** Whether what has to be looked over before a slot's first set has been. */
    public boolean isChecked(String letter) {
        return checked.contains(letter);
    }
}
