package mosspebble.core.units;

import java.util.Optional;
import org.ejml.data.DMatrixRMaj;
import org.ejml.dense.row.factory.LinearSolverFactory_DDRM;
import org.ejml.interfaces.linsol.LinearSolverDense;

/** Linear equations by LU decomposition with row pivots, done by the linear algebra library. */
public final class LinearSystem {

    /** The library's measure, the product of the pivots over the largest, below which a system counts as singular. */
    private static final double SINGULAR = 1e-200;

    private LinearSystem() {}

    /**
     * Solves {@code A x = b}.
     *
     * @param augmented n rows of n coefficients and the right side
     * @return n numbers; empty if the equations are as good as dependent
     */
    public static Optional<double[]> solve(double[][] augmented) {
        int n = augmented.length;
        DMatrixRMaj a = new DMatrixRMaj(n, n);
        DMatrixRMaj b = new DMatrixRMaj(n, 1);
        for (int row = 0; row < n; row++) {
            for (int column = 0; column < n; column++) {
                a.set(row, column, augmented[row][column]);
            }
            b.set(row, 0, augmented[row][n]);
        }
        LinearSolverDense<DMatrixRMaj> solver = LinearSolverFactory_DDRM.linear(n);
        DMatrixRMaj x = new DMatrixRMaj(n, 1);
        if (!solver.setA(a) || !(solver.quality() > SINGULAR)) {
            return Optional.empty();
        }
        solver.solve(b, x);
        for (double value : x.data) {
            if (!Double.isFinite(value)) {
                return Optional.empty();
            }
        }
        return Optional.of(x.data);
    }
}
