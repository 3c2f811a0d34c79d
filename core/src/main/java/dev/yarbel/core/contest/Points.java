package dev.yarbel.core.contest;

import dev.yarbel.core.lifter.Sex;
import dev.yarbel.core.measure.Mass;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.hipparchus.analysis.polynomials.PolynomialFunction;

/**
 * What a total is worth beside those of lifters of other body mass and sex. Empty where a formula was not made for it: no points
 * rather than points beyond its range.
 *
 * <p>The constants are from memory of the published tables: IPF GL (International Powerlifting Federation 2020), DOTS
 * (2019, of the German federation) and the original Wilks formula.
 */
public enum Points {
    /** Between 35 and 250 kg of body mass; the formula names no range, ours keeps its curve where people are. */
    IPF_GL {
        @Override
        Optional<Double> worth(Event event, double body, double total) {
            Gl gl = GL.get(event);
            return body < GL_LIGHTEST || body > GL_HEAVIEST ? Optional.empty() : Optional.of(gl.worth(body, total));
        }
    },
    /** Three lifts only; men from 40 to 210 kg, women from 40 to 150. */
    DOTS {
        @Override
        Optional<Double> worth(Event event, double body, double total) {
            return event.benchOnly
                    ? Optional.empty()
                    : DOTS_BY_SEX.get(event.sex).worth(body, total);
        }
    },
    /** Three lifts only; men from 40 to 201.9 kg, women from 26.51 to 154.53, as its table was printed. */
    WILKS {
        @Override
        Optional<Double> worth(Event event, double body, double total) {
            return event.benchOnly
                    ? Optional.empty()
                    : WILKS_BY_SEX.get(event.sex).worth(body, total);
        }
    };

    private static final double HUNDRED = 100;
    private static final double FIVE_HUNDRED = 500;
    private static final double GL_LIGHTEST = 35;
    private static final double GL_HEAVIEST = 250;

    /** What was lifted, by whom and in what. */
    public record Event(Sex sex, boolean equipped, boolean benchOnly) {}

    private static final Map<Event, Gl> GL = Map.of(
            new Event(Sex.MALE, false, false), new Gl(1199.72839, 1025.18162, 0.00921),
            new Event(Sex.MALE, true, false), new Gl(1236.25115, 1449.21864, 0.01644),
            new Event(Sex.MALE, false, true), new Gl(320.98041, 281.40258, 0.01008),
            new Event(Sex.MALE, true, true), new Gl(381.22073, 733.79378, 0.02398),
            new Event(Sex.FEMALE, false, false), new Gl(610.32796, 1045.59282, 0.03048),
            new Event(Sex.FEMALE, true, false), new Gl(758.63878, 949.31382, 0.02435),
            new Event(Sex.FEMALE, false, true), new Gl(142.40398, 442.52671, 0.04724),
            new Event(Sex.FEMALE, true, true), new Gl(221.82209, 357.00377, 0.02937));

    private static final Map<Sex, OverPolynomial> DOTS_BY_SEX = Map.of(
            Sex.MALE, new OverPolynomial(40, 210, -307.75076, 24.0900756, -0.1918759221, 0.0007391293, -0.000001093),
            Sex.FEMALE, new OverPolynomial(40, 150, -57.96288, 13.6175032, -0.1126655495, 0.0005158568, -0.0000010706));

    private static final Map<Sex, OverPolynomial> WILKS_BY_SEX = Map.of(
            Sex.MALE,
                    new OverPolynomial(
                            40, 201.9, -216.0475144, 16.2606339, -0.002388645, -0.00113732, 7.01863e-6, -1.291e-8),
            Sex.FEMALE,
                    new OverPolynomial(
                            26.51,
                            154.53,
                            594.31747775582,
                            -27.23842536447,
                            0.82112226871,
                            -0.00930733913,
                            4.731582e-5,
                            -9.054e-8));

    /** The formulas that are made for a contest, the usual one first. */
    public static List<Points> of(boolean benchOnly) {
        return benchOnly ? List.of(IPF_GL) : List.of(values());
    }

    /** The points of a total at a body mass; empty outside the formula's range, and for no total. */
    public Optional<Double> worth(Event event, Mass body, Mass total) {
        return total.isPositive() ? worth(event, body.kilograms(), total.kilograms()) : Optional.empty();
    }

    abstract Optional<Double> worth(Event event, double body, double total);

    private record Gl(double a, double b, double c) {

        private double worth(double body, double total) {
            return HUNDRED * total / (a - b * Math.exp(-c * body));
        }
    }

    /** 500 times the total over a polynomial of the body mass. */
    private record OverPolynomial(double lightest, double heaviest, PolynomialFunction of) {

        private OverPolynomial(double lightest, double heaviest, double... coefficients) {
            this(lightest, heaviest, new PolynomialFunction(coefficients));
        }

        private Optional<Double> worth(double body, double total) {
            return body < lightest || body > heaviest
                    ? Optional.empty()
                    : Optional.of(FIVE_HUNDRED * total / of.value(body));
        }
    }
}
