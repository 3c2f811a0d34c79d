package dev.yarbel.core.clip;

import org.hipparchus.linear.Array2DRowRealMatrix;
import org.hipparchus.linear.ArrayRealVector;
import org.hipparchus.linear.QRDecomposition;
import org.hipparchus.linear.RealVector;

/** The cubic with the least squares through some points, near nothing. */
final class Cubic {

    private Cubic() {}

    /** Value and slope at nothing of each of two rows of figures that belong to the same places. */
    static double[][] through(double[] at, double[] one, double[] other) {
        double[][] powers = new double[at.length][];
        for (int i = 0; i < at.length; i++) {
            powers[i] = new double[] {1, at[i], at[i] * at[i], at[i] * at[i] * at[i]};
        }
        var solver = new QRDecomposition(new Array2DRowRealMatrix(powers, false)).getSolver();
        RealVector first = solver.solve(new ArrayRealVector(one, false));
        RealVector second = solver.solve(new ArrayRealVector(other, false));
        return new double[][] {{first.getEntry(0), first.getEntry(1)}, {second.getEntry(0), second.getEntry(1)}};
    }
}
