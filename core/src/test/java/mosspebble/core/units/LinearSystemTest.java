package mosspebble.core.units;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;

class LinearSystemTest {

    @Test
    @Tag("outside") // Cramer's rule on three equations; the inverse of the Hilbert matrix of order 5 has whole numbers (from memory)
    void equationsAreSolvedAndDependentOnesToldSo() {
        double[] x = LinearSystem.solve(new double[][] {{2, 1, -1, 8}, {-3, -1, 2, -11}, {-2, 1, 2, -3}}).orElseThrow();
        assertThat(x).containsExactly(new double[] {2, 3, -1}, within(1e-12));
        double[][] hilbert = new double[5][6];
        for (int i = 0; i < 5; i++) {
            for (int k = 0; k < 5; k++) {
                hilbert[i][k] = 1.0 / (i + k + 1);
            }
        }
        hilbert[0][5] = 1;
        assertThat(LinearSystem.solve(hilbert).orElseThrow()).containsExactly(new double[] {25, -300, 1050, -1400, 630}, within(1e-6));
        assertThat(LinearSystem.solve(new double[][] {{1, 2, 3}, {2, 4, 6}})).isEmpty();
        assertThat(LinearSystem.solve(new double[][] {{0, 0, 1}, {0, 1, 1}})).isEmpty();
    }
}
