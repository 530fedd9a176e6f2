package mosspebble.core.proof;

import java.util.List;

/**
 * How far the whole stone is turned, as its outline and what was drawn on it tell together. The rounder a stone, the less its outline
 * tells. The mean of all by their weights; a hand draws a thing turned by most of a degree, and what was drawn turned much more counts
 * little (Cauchy's weights, as in P. W. Holland and R. E. Welsch, Robust regression using iteratively reweighted least-squares,
 * Communications in Statistics 6, 1977).
 *
 * @param turn radians
 * @param off its standard deviation, radians
 */
record CommonTurn(double turn, double off) {

    /** How far a hand turns what it draws, radians (common practice, no source). */
    static final double DRAWN = Math.toRadians(0.7);

    private static final int TURNS = 12;

    /**
     * @param drawn how the things lie, all of which have a turn that can be seen
     * @param outline turn that the outline tells, radians
     * @param outlineOff standard deviation of that, radians
     */
    static CommonTurn of(List<Fit> drawn, double outline, double outlineOff) {
        CommonTurn common = new CommonTurn(outline, outlineOff);
        for (int again = 0; again < TURNS; again++) {
            double weights = 1 / (outlineOff * outlineOff);
            double sum = weights * outline;
            for (Fit fit : drawn) {
                double weight = 1 / (Math.pow(fit.off()[2], 2) + DRAWN * DRAWN + Math.pow(fit.turn() - common.turn, 2));
                weights += weight;
                sum += weight * fit.turn();
            }
            common = new CommonTurn(sum / weights, 1 / Math.sqrt(weights));
        }
        return common;
    }
}
