package dev.yarbel.core.prescription;

import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.MassUnit;

/**
 * What chains or bands add to the bar on the way up, as a pair together: {@code +chains 15kg}, {@code +bands 10/35kg},
 * or what reverse bands take off: {@code reverse 20kg}. The load of the dose is what stands on the bar itself.
 *
 * @param bottom at the bottom of the lift
 * @param top at the top
 * @param unit as the coach typed
 */
public record Changing(Kind kind, Mass bottom, Mass top, MassUnit unit) {

    public static final Mass MOST = Mass.ofKg(300);

    /** What hangs on the bar. */
    public enum Kind {
        CHAINS("+chains"),
        BANDS("+bands"),
        REVERSE("reverse");

        private final String word;

        Kind(String word) {
            this.word = word;
        }

        public String word() {
            return word;
        }
    }

    public Changing {
        boolean right = kind == Kind.REVERSE ? !bottom.isLessThan(top) : !top.isLessThan(bottom);
        if (!right || bottom.plus(top).isZero() || bottom.isNegative() || top.isNegative()) {
            throw new IllegalArgumentException("chains and bands add most at the top, reverse bands help most below");
        }
        if (Mass.max(bottom, top).isGreaterThan(MOST)) {
            throw new IllegalArgumentException("up to " + MOST);
        }
    }

    /** What the lifter holds at the bottom with so much on the bar; never below nothing. */
    public Mass atBottom(Mass bar) {
        return kind == Kind.REVERSE ? Mass.max(Mass.ZERO, bar.minus(bottom)) : bar.plus(bottom);
    }

    /** What the lifter holds at the top with so much on the bar; never below nothing. */
    public Mass atTop(Mass bar) {
        return kind == Kind.REVERSE ? Mass.max(Mass.ZERO, bar.minus(top)) : bar.plus(top);
    }

    String shorthand() {
        Mass most = kind == Kind.REVERSE ? bottom : top;
        Mass least = kind == Kind.REVERSE ? top : bottom;
        String figures = most.figure(unit, 3) + unit.symbol();
        if (least.isZero()) {
            return kind.word() + " " + figures;
        }
        return kind.word() + " "
                + (kind == Kind.REVERSE
                        ? most.figure(unit, 3) + "/" + least.figure(unit, 3) + unit.symbol()
                        : least.figure(unit, 3) + "/" + figures);
    }
}
