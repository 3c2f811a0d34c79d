package dev.yarbel.core.session;

import dev.yarbel.core.block.Block;
import dev.yarbel.core.block.Slot;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.MassUnit;
import dev.yarbel.core.prescription.Dose;
import dev.yarbel.core.prescription.Part;
import dev.yarbel.core.prescription.SetModifier;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;

/**
 * What a day asked for when its first set was logged: its doses and what they came to then. It stays so whatever becomes of
 * the plan and of the numbers its loads hung on.
 *
 * <p>Its text has a line a slot, of letter, lift, dose and the loads of the dose's parts between tabs, such as
 * {@code A⇥squat⇥1 @8 then 3x5 -20%⇥~170kg,~135kg}; a dash stands for a load that nobody could say. A line {@code deload}
 * stands first where the week was one. Older texts have no loads.
 */
public record AskedDay(boolean deload, List<Line> slots) {

    private static final String DELOAD = "deload";
    private static final String UNKNOWN = "-";

    /**
     * One slot.
     *
     * @param loads one for each part of the dose, or none at all where nobody kept them
     */
    public record Line(String letter, Lift lift, Dose dose, List<Stood> loads) {
        public Line {
            loads = List.copyOf(loads);
        }
    }

    /**
     * A load as it stood.
     *
     * @param about it was a guess that the day itself would settle
     */
    public record Stood(Optional<Mass> load, boolean about) {

        static Stood of(ResolvedLoad resolved) {
            return new Stood(resolved.load(), resolved.isAbout());
        }

        private String text() {
            return load.map(mass -> (about ? "~" : "")
                            + mass.in(MassUnit.KG).stripTrailingZeros().toPlainString()
                            + MassUnit.KG.symbol())
                    .orElse(UNKNOWN);
        }

        private static Stood parse(String text) {
            boolean about = text.startsWith("~");
            String figure = about ? text.substring(1) : text;
            String kg = figure.substring(
                    0, Math.max(0, figure.length() - MassUnit.KG.symbol().length()));
            return new Stood(
                    figure.equals(UNKNOWN) ? Optional.empty() : Optional.of(Mass.of(new BigDecimal(kg), MassUnit.KG)),
                    about);
        }
    }

    public AskedDay {
        slots = List.copyOf(slots);
    }

    /** A day as it stands now. */
    public static AskedDay of(boolean deload, List<PrescribedSets> asked, List<ResolvedLoad> loads) {
        List<Line> slots = new ArrayList<>();
        int from = 0;
        while (from < asked.size()) {
            int to = from;
            List<Part> parts = new ArrayList<>();
            List<Stood> stood = new ArrayList<>();
            while (to < asked.size()
                    && asked.get(to).letter().equals(asked.get(from).letter())) {
                parts.add(asked.get(to).part());
                stood.add(Stood.of(loads.get(to)));
                to++;
            }
            slots.add(new Line(asked.get(from).letter(), asked.get(from).lift(), new Dose(parts), stood));
            from = to;
        }
        return new AskedDay(deload, slots);
    }

    /** The text that {@link #parse} reads. */
    public String text() {
        String lines = slots.stream()
                .map(slot -> slot.letter + "\t" + slot.lift.key() + "\t" + slot.dose.shorthand() + "\t"
                        + slot.loads.stream().map(Stood::text).collect(Collectors.joining(",")))
                .collect(Collectors.joining("\n"));
        return deload ? DELOAD + "\n" + lines : lines;
    }

    /** Reads the text of a day; empty where it holds no slot. */
    public static Optional<AskedDay> parse(String text) {
        List<Line> slots = new ArrayList<>();
        boolean deload = false;
        for (String line : text.split("\n")) {
            String[] fields = line.split("\t");
            deload |= line.equals(DELOAD);
            if (fields.length >= 3) {
                List<Stood> loads = new ArrayList<>();
                for (String load : fields.length > 3 ? fields[3].split(",") : new String[0]) {
                    loads.add(Stood.parse(load));
                }
                slots.add(new Line(fields[0], new Lift(fields[1]), Dose.parse(fields[2]), loads));
            }
        }
        return slots.isEmpty() ? Optional.empty() : Optional.of(new AskedDay(deload, slots));
    }

    /** What it asked for, with the loads as they stood. */
    public List<PrescribedSets> prescriptions() {
        List<PrescribedSets> asked = new ArrayList<>();
        for (Line slot : slots) {
            List<PrescribedSets> parts = PrescribedSets.of(slot.letter, slot.lift, slot.dose);
            for (int i = 0; i < parts.size(); i++) {
                asked.add(i < slot.loads.size() ? parts.get(i).stood(slot.loads.get(i)) : parts.get(i));
            }
        }
        return asked;
    }

    /** Whether a block still asks for the same on that day and week; sets that a law dropped are the law's. */
    public boolean isStill(Block block, int day, int week) {
        List<Slot> now = block.days().get(day).slots().stream()
                .filter(slot -> slot.doses().get(week).isPresent())
                .toList();
        if (now.size() != slots.size()) {
            return false;
        }
        for (int i = 0; i < now.size(); i++) {
            Line then = slots.get(i);
            Slot slot = now.get(i);
            if (!slot.letter().equals(then.letter)
                    || !slot.lift().equals(then.lift)
                    || !alike(slot.doses().get(week).orElseThrow(), then.dose)) {
                return false;
            }
        }
        return true;
    }

    private static boolean alike(Dose now, Dose then) {
        if (now.parts().size() != then.parts().size()) {
            return false;
        }
        for (int i = 0; i < now.parts().size(); i++) {
            Part part = now.parts().get(i);
            Part before = then.parts().get(i);
            if (!(part.is(SetModifier.STAGES) ? part.with(before.work()) : part).equals(before)) {
                return false;
            }
        }
        return true;
    }
}
