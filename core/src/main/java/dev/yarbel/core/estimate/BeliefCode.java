package dev.yarbel.core.estimate;

import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.record.SetUp;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.DataInputStream;
import java.io.DataOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * What is believed of a lifter as bytes, to the last bit: going on from what was kept comes to the same as going on at once. It is read by the same
 * {@link StrengthFilter#VERSION} alone, so that its form may change with that.
 */
final class BeliefCode {

    private static final long NEVER = Long.MIN_VALUE;

    private BeliefCode() {}

    static byte[] write(LifterBelief belief) {
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        try (DataOutputStream out = new DataOutputStream(bytes)) {
            out.writeLong(belief.date().toEpochDay());
            Gaussian unknowns = belief.unknowns();
            List<Unknown> all = unknowns.ofKind(Unknown.class).toList();
            out.writeShort(all.size());
            for (Unknown unknown : all) {
                out.writeUTF(name(unknown));
                out.writeDouble(unknowns.mean(unknown));
            }
            for (Unknown one : all) {
                for (Unknown other : all) {
                    out.writeDouble(unknowns.covariance(one, other));
                }
            }
            out.writeShort(belief.trained().size());
            for (Map.Entry<Lift, LifterBelief.Trained> family : belief.trained().entrySet()) {
                LifterBelief.Trained lately = family.getValue();
                out.writeUTF(family.getKey().key());
                out.writeDouble(lately.tired());
                out.writeDouble(lately.lost());
                out.writeLong(lately.last() == null ? NEVER : lately.last().toEpochDay());
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return bytes.toByteArray();
    }

    static LifterBelief read(byte[] bytes) {
        try (DataInputStream in = new DataInputStream(new ByteArrayInputStream(bytes))) {
            LocalDate date = LocalDate.ofEpochDay(in.readLong());
            Gaussian unknowns = Gaussian.empty();
            List<Unknown> all = new ArrayList<>();
            int size = in.readShort();
            for (int i = 0; i < size; i++) {
                Unknown unknown = named(in.readUTF());
                all.add(unknown);
                unknowns.add(unknown, in.readDouble(), 0);
            }
            for (Unknown one : all) {
                for (Unknown other : all) {
                    unknowns.widen(one, other, in.readDouble());
                }
            }
            Map<Lift, LifterBelief.Trained> trained = new LinkedHashMap<>();
            for (int i = in.readShort(); i > 0; i--) {
                Lift root = new Lift(in.readUTF());
                double tired = in.readDouble();
                double lost = in.readDouble();
                long last = in.readLong();
                trained.put(
                        root, new LifterBelief.Trained(tired, lost, last == NEVER ? null : LocalDate.ofEpochDay(last)));
            }
            return new LifterBelief(date, unknowns, trained);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
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
