package mosspebble.core.book;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * How long things last, from things some of which have not worn yet: the product-limit estimator of E. L. Kaplan and P. Meier,
 * Nonparametric Estimation from Incomplete Observations, Journal of the American Statistical Association 53 (1958), 457-481.
 *
 * @param spans the shortest first
 */
public record Lasting(List<Span> spans) {

    /** Days of a month, the Gregorian mean: 365.2425 / 12. */
    public static final double MONTH = 30.436875;

    /**
     * One thing, seen for so long.
     *
     * @param page id of its page
     * @param months from the day it went out, 0 or more
     * @param worn whether it was worn then; else it was still like new when it was seen last
     */
    public record Span(String page, double months, boolean worn) {}

    public Lasting {
        // of the same length: the worn ones first, as is usual with this estimator
        spans = spans.stream().sorted(Comparator.comparingDouble(Span::months).thenComparing(s -> !s.worn)).toList();
    }

    /** What is known of one stone: from the day it went out to its first wear, or to the last look; empty where nobody has looked. */
    public static Optional<Span> of(Page page) {
        Optional<Page.Look> wear = page.looks().stream().filter(l -> l.state().worn()).findFirst();
        Optional<Page.Look> seen = wear.or(() -> page.looks().stream().filter(l -> l.state() == Page.Look.State.LIKE_NEW)
                .reduce((a, b) -> b));
        return seen.map(l -> new Span(page.id(), Math.max(0, l.at().toEpochDay() - page.gone().since().toEpochDay()) / MONTH,
                wear.isPresent()));
    }

    /** How many were worn. */
    public int worn() {
        return (int) spans.stream().filter(Span::worn).count();
    }

    /** Share that is still like new after so many months, 0 to 1. */
    public double still(double months) {
        double share = 1;
        for (int i = 0; i < spans.size(); i++) {
            if (spans.get(i).months > months) {
                break;
            }
            if (spans.get(i).worn) {
                int left = spans.size() - i;
                share *= (left - 1.0) / left; // ties one after the other: the product is the same
            }
        }
        return share;
    }

    /** Months after which no more than half are like new; empty where that has not come yet. */
    public OptionalDouble median() {
        return spans.stream().filter(Span::worn).mapToDouble(Span::months).filter(m -> still(m) <= 0.5 + 1e-12).findFirst();
    }

    /** The longest that one was seen, months. */
    public double longest() {
        return spans.stream().mapToDouble(Span::months).max().orElse(0);
    }
}
