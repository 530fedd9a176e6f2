package mosspebble.core.proof;

/** Of planned and seen values, over all channels together, each taken from its mean. */
final class Correlation {

    private double common;
    private double planned;
    private double seen;

    /** One channel, by how many there are, their sums, the sums of their squares and of their products. */
    void add(double count, double e, double o, double ee, double oo, double eo) {
        common += eo - e * o / count;
        planned += ee - e * e / count;
        seen += oo - o * o / count;
    }

    /** From -1 to 1. */
    double value() {
        return common / Math.sqrt(Math.max(1e-9, planned) * Math.max(1e-9, seen));
    }
}
