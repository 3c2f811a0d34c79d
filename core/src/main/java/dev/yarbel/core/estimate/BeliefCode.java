package dev.yarbel.core.estimate;

import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.record.SetUp;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.StringJoiner;

/**
 * What is believed of a lifter as text, to the last bit: going on from what was kept comes to the same as going on at once. It is read by the same
 * {@link StrengthFilter#VERSION} alone, so that its form may change with that.
 */
final class BeliefCode {

    private static final String NEVER = "never";

    private BeliefCode() {}

    static String write(LifterBelief belief) {
        Gaussian unknowns = belief.unknowns();
        List<Unknown> all = unknowns.ofKind(Unknown.class).toList();
        StringJoiner lines = new StringJoiner("\n");
        lines.add(belief.date().toString());
        lines.add(String.valueOf(all.size()));
        all.forEach(unknown -> lines.add(unknowns.mean(unknown) + " " + name(unknown)));
        for (Unknown one : all) {
            StringJoiner row = new StringJoiner(" ");
            all.forEach(other -> row.add(String.valueOf(unknowns.covariance(one, other))));
            lines.add(row.toString());
        }
        belief.trained()
                .forEach((root, lately) -> lines.add(lately.tired() + " " + lately.lost() + " "
                        + (lately.last() == null ? NEVER : lately.last()) + " " + root.key()));
        return lines.toString();
    }

    static LifterBelief read(String text) {
        List<String> lines = text.lines().toList();
        int size = Integer.parseInt(lines.get(1));
        Gaussian unknowns = Gaussian.empty();
        List<Unknown> all = new ArrayList<>();
        for (String line : lines.subList(2, 2 + size)) {
            String[] parts = line.split(" ", 2);
            Unknown unknown = named(parts[1]);
            all.add(unknown);
            unknowns.add(unknown, Double.parseDouble(parts[0]), 0);
        }
        for (int one = 0; one < size; one++) {
            String[] row = lines.get(2 + size + one).split(" ");
            for (int other = 0; other < size; other++) {
                unknowns.widen(all.get(one), all.get(other), Double.parseDouble(row[other]));
            }
        }
        Map<Lift, LifterBelief.Trained> trained = new LinkedHashMap<>();
        for (String line : lines.subList(2 + 2 * size, lines.size())) {
            String[] parts = line.split(" ");
            trained.put(
                    new Lift(parts[3]),
                    new LifterBelief.Trained(
                            Double.parseDouble(parts[0]),
                            Double.parseDouble(parts[1]),
                            parts[2].equals(NEVER) ? null : LocalDate.parse(parts[2])));
        }
        return new LifterBelief(LocalDate.parse(lines.get(0)), unknowns, trained);
    }

    private static String name(Unknown unknown) {
        if (unknown instanceof Unknown.Max max) {
            return "max " + max.lift().key();
        } else if (unknown instanceof Unknown.Share share) {
            return "share " + share.variation().key();
        } else if (unknown instanceof Unknown.Apart apart) {
            return "apart " + apart.lift().key() + " " + apart.setUp();
        } else if (unknown instanceof Unknown.Steepness steepness) {
            return "steepness " + steepness.lift().key();
        } else if (unknown instanceof Unknown.Bend bend) {
            return "bend " + bend.lift().key();
        } else if (unknown instanceof Unknown.Bias bias) {
            return "bias " + bias.root().key();
        } else if (unknown instanceof Unknown.Flatter flatter) {
            return "flatter " + flatter.root().key();
        }
        return "lifter " + ((Unknown.OfLifter) unknown).name();
    }

    private static Unknown named(String name) {
        String[] parts = name.split(" ", 3);
        return switch (parts[0]) {
            case "max" -> new Unknown.Max(new Lift(parts[1]));
            case "share" -> new Unknown.Share(new Lift(parts[1]));
            case "apart" -> new Unknown.Apart(new Lift(parts[1]), SetUp.parse(parts[2]));
            case "steepness" -> new Unknown.Steepness(new Lift(parts[1]));
            case "bend" -> new Unknown.Bend(new Lift(parts[1]));
            case "bias" -> new Unknown.Bias(new Lift(parts[1]));
            case "flatter" -> new Unknown.Flatter(new Lift(parts[1]));
            case "lifter" -> Unknown.OfLifter.valueOf(parts[1]);
            default -> throw new IllegalArgumentException("nothing of a lifter is called " + name);
        };
    }
}
