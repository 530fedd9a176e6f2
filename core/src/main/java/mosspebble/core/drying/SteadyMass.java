package mosspebble.core.drying;

import java.util.List;
import java.util.Optional;
import mosspebble.core.units.GoldenSection;
import mosspebble.core.units.Numbers;

/**
 * A cast or washed stone drying on the scale: weighings fitted by {@code m(t) = steady + water exp(-t / tau)}, least squares, linear in
 * steady and water for every tau, tau by golden section over its
 * logarithm. The stone is ready when less than {@link #LEFT} of its steady mass is still to go (common practice: weigh until the mass no
 * longer changes).
 *
 * @param steadyGrams mass when dry
 * @param waterGrams still in it at time 0
 * @param tauHours time in which the water falls to 1/e
 * @param readyHours from time 0 until it is ready
 * @param offGrams root mean square difference to the weighings
 * @param doubt what is odd
 */
public record SteadyMass(double steadyGrams, double waterGrams, double tauHours, double readyHours, double offGrams,
        Optional<Doubt> doubt) {

    /** Share of the steady mass that may still be to go. */
    public static final double LEFT = 0.002;

    /** What can be odd about weighings. */
    public enum Odd { GROWS_HEAVIER, NO_END_IN_SIGHT, SCATTERS }

    /**
     * What is odd, and its figure.
     *
     * @param value hours until the next weighing where no end is in sight, grams of scatter; 0 where it grows heavier
     */
    public record Doubt(Odd odd, double value) {}

    /** One weighing, hours from the first, grams. */
    public record Weighing(double hours, double grams) {
        public Weighing {
            if (!(hours >= 0 && hours <= 5000) || !(grams > 0 && grams <= 100_000)) {
                throw new IllegalArgumentException("A weighing needs 0 to 5000 hours and up to 100 kg, was " + Numbers.shortText(hours)
                        + " h and " + Numbers.shortText(grams) + " g.");
            }
        }
    }

    /** @param weighings three or more, by growing time */
    public static SteadyMass fit(List<Weighing> weighings) {
        if (weighings.size() < 3) {
            throw new IllegalArgumentException("Weigh at least three times, some hours apart; there are " + weighings.size() + ".");
        }
        for (int i = 1; i < weighings.size(); i++) {
            if (!(weighings.get(i).hours() > weighings.get(i - 1).hours())) {
                throw new IllegalArgumentException("Weighing " + (i + 1) + " must be later than the one before.");
            }
        }
        double span = weighings.get(weighings.size() - 1).hours() - weighings.get(0).hours();
        double tau = Math
                .exp(GoldenSection.minimum(Math.log(span / 20), Math.log(span * 5), 80, t -> linear(weighings, Math.exp(t))[2]).at());
        double[] best = linear(weighings, tau);
        double off = Math.sqrt(best[2] / weighings.size());
        double fallen = weighings.get(0).grams() - weighings.get(weighings.size() - 1).grams();
        if (fallen <= 0.001 * weighings.get(0).grams()) {
            double mean = weighings.stream().mapToDouble(Weighing::grams).average().orElseThrow();
            return fallen >= -0.002 * mean ? new SteadyMass(mean, 0, tau, 0, off, Optional.empty())
                    : new SteadyMass(mean, 0, tau, Double.POSITIVE_INFINITY, off, Optional.of(new Doubt(Odd.GROWS_HEAVIER, 0)));
        }
        if (best[1] <= 0 || best[0] <= 0 || tau > 4.5 * span) {
            return new SteadyMass(Math.max(0, best[0]), best[1], tau, Double.POSITIVE_INFINITY, off,
                    Optional.of(new Doubt(Odd.NO_END_IN_SIGHT, Math.max(6, span))));
        }
        double ready = Math.max(0, tau * Math.log(best[1] / (LEFT * best[0])));
        return new SteadyMass(best[0], best[1], tau, ready, off,
                off > 0.004 * best[0] ? Optional.of(new Doubt(Odd.SCATTERS, off)) : Optional.empty());
    }

    /** Steady mass, water and sum of squares for a given tau. */
    private static double[] linear(List<Weighing> weighings, double tau) {
        double n = weighings.size();
        double se = 0;
        double see = 0;
        double sm = 0;
        double sem = 0;
        for (Weighing w : weighings) {
            double e = Math.exp(-w.hours() / tau);
            se += e;
            see += e * e;
            sm += w.grams();
            sem += e * w.grams();
        }
        double det = n * see - se * se;
        double water = Math.abs(det) < 1e-12 ? 0 : (n * sem - se * sm) / det;
        double steady = (sm - water * se) / n;
        double squares = 0;
        for (Weighing w : weighings) {
            double off = steady + water * Math.exp(-w.hours() / tau) - w.grams();
            squares += off * off;
        }
        return new double[] {steady, water, squares};
    }
}
