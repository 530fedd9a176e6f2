package mosspebble.core.book;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.TreeMap;
import java.util.function.Predicate;
import mosspebble.core.care.Lessons;
import mosspebble.core.care.SealAdvice;

/** What the pages of the book answer, taken together. Counts are counts: three stones are three stones. */
public final class Answers {

    /** A stone of about that size has between these shares of its painted area. */
    private static final double LIKE = 0.6;

    private Answers() {}

    /** Which stones are meant by their rock. */
    public enum Rock {
        ANY, POROUS, TIGHT;

        public boolean fits(Page page) {
            return this == ANY || page.stone().rock().porosity() >= SealAdvice.POROUS == (this == POROUS);
        }
    }

    /**
     * A sealer, and how the stones lasted that have it.
     *
     * @param sealer its name; empty for none
     * @param unseen stones with it that nobody has looked at
     */
    public record Sealed(String sealer, Lasting lasting, int unseen) {}

    /** Sealers by how their stones lasted, the one that kept the most of them like new after a year first. */
    public static List<Sealed> sealers(List<Page> pages, Predicate<Page> which) {
        Map<String, List<Page>> by = new TreeMap<>();
        pages.stream().filter(which).forEach(p -> by.computeIfAbsent(p.made().sealerName(), s -> new ArrayList<>()).add(p));
        return by.entrySet().stream().map(e -> {
            List<Lasting.Span> spans = e.getValue().stream().flatMap(p -> Lasting.of(p).stream()).toList();
            return new Sealed(e.getKey(), new Lasting(spans), e.getValue().size() - spans.size());
        }).sorted(Comparator.comparing((Sealed s) -> s.lasting.spans().isEmpty()).thenComparing(s -> -s.lasting.still(12))
                .thenComparing(s -> -s.lasting.longest())).toList();
    }

    /** Time of the hand on one stone. @param area painted, mm2 */
    public record Took(String page, double area, double hours) {}

    /** Stones with their painted area and time of the hand, the smallest first. */
    public static List<Took> times(List<Page> pages) {
        return pages.stream().filter(p -> p.stone().paintedMm2() > 0 && p.made().handMinutes() > 0)
                .map(p -> new Took(p.id(), p.stone().paintedMm2(), p.made().handHours())).sorted(Comparator.comparingDouble(Took::area))
                .toList();
    }

    /**
     * A middle with its range.
     *
     * @param count of how many
     */
    public record Middle(int count, double least, double median, double most) {

        /** @return empty for none */
        public static Optional<Middle> of(List<Double> values) {
            if (values.isEmpty()) {
                return Optional.empty();
            }
            List<Double> sorted = values.stream().sorted().toList();
            int half = sorted.size() / 2;
            double median = sorted.size() % 2 == 1 ? sorted.get(half) : (sorted.get(half - 1) + sorted.get(half)) / 2;
            return Optional.of(new Middle(sorted.size(), sorted.get(0), median, sorted.get(sorted.size() - 1)));
        }
    }

    /** Hours that stones of about so large a painted area took. @param area mm2 */
    public static Optional<Middle> hours(List<Page> pages, double area) {
        return Middle.of(times(pages).stream().filter(t -> t.area >= LIKE * area && t.area <= area / LIKE).map(Took::hours).toList());
    }

    /** By how much the hand took longer than planned, where it was timed: 1 is as planned. */
    public static Optional<Middle> asPlanned(List<Page> pages) {
        return Middle.of(pages.stream().filter(p -> p.made().timed() && p.made().plannedMinutes() > 0)
                .map(p -> p.made().handMinutes() / p.made().plannedMinutes()).toList());
    }

    /**
     * A product and how it behaved.
     *
     * @param product its id
     * @param stones on which it was used
     * @param failed pages on which it smeared, bled or lifted
     */
    public record Behaved(String product, String name, int stones, List<Page> failed) {}

    /** Products that failed, the one with the largest share first. */
    public static List<Behaved> failures(List<Page> pages) {
        Map<String, List<Page>> used = new TreeMap<>();
        Map<String, String> names = new TreeMap<>();
        for (Page page : pages) {
            page.used().forEach(u -> {
                used.computeIfAbsent(u.paint(), p -> new ArrayList<>()).add(page);
                names.putIfAbsent(u.paint(), u.name());
            });
        }
        return used.entrySet().stream().map(e -> new Behaved(e.getKey(), names.get(e.getKey()), e.getValue().size(),
                e.getValue().stream().filter(p -> p.events().stream().anyMatch(v -> v.kind().fails() && v.product().equals(e.getKey())))
                        .toList()))
                .filter(b -> !b.failed.isEmpty()).sorted(Comparator.comparing((Behaved b) -> -(double) b.failed.size() / b.stones)
                        .thenComparing(Behaved::name))
                .toList();
    }

    /** Fewer are chance. */
    private static final int FEWEST_WORN = 2;
    private static final int FEWEST_TIMED = 3;
    /** Less than this share like new after a year is said. */
    private static final double LASTS = 0.6;
    /** So large a share of the stones on which a product failed is said. */
    private static final double FAILS = 0.25;
    /** So many times as long as planned is said. */
    private static final double SLOWER = 1.25;

    /** What all pages together teach for stones to come. */
    public static Lessons lessons(List<Page> pages) {
        List<Lessons.Worn> worn = new ArrayList<>();
        for (boolean outdoors : new boolean[] {true, false}) {
            for (Sealed sealed : sealers(pages, p -> p.gone().outdoors() == outdoors && p.gone().place() != Page.Gone.Place.HERE)) {
                Lasting lasting = sealed.lasting;
                if (!sealed.sealer.isEmpty() && lasting.worn() >= FEWEST_WORN && lasting.still(12) < LASTS
                        && lasting.median().isPresent()) {
                    worn.add(new Lessons.Worn(sealed.sealer, outdoors, lasting.worn(), lasting.spans().size(),
                            lasting.median().getAsDouble()));
                }
            }
        }
        List<Lessons.Failed> failed = failures(pages).stream()
                .filter(b -> b.failed.size() >= FEWEST_WORN && b.failed.size() >= FAILS * b.stones)
                .map(b -> new Lessons.Failed(b.product, b.name, b.failed.size(), b.stones)).toList();
        Optional<Middle> times = asPlanned(pages).filter(m -> m.count >= FEWEST_TIMED && m.median >= SLOWER);
        return new Lessons(worn, failed, times.map(m -> OptionalDouble.of(m.median)).orElse(OptionalDouble.empty()),
                times.map(Middle::count).orElse(0));
    }

    /** A stone that was sold. @param gain price less what was used */
    public record Sale(String page, double price, double gain, double hours) {
        public double perHour() {
            return hours > 0 ? gain / hours : 0;
        }
    }

    /** What was sold, the best paid hour first. */
    public static List<Sale> sales(List<Page> pages) {
        return pages.stream().filter(p -> p.gone().place() == Page.Gone.Place.SOLD)
                .map(p -> new Sale(p.id(), p.gone().price(), p.gone().price() - p.made().cost(), p.made().handHours()))
                .sorted(Comparator.comparing((Sale s) -> -s.perHour()).thenComparing(Sale::page)).toList();
    }

    /** What all sales together brought for an hour of the hand; empty for none. */
    public static Optional<Double> perHour(List<Sale> sales) {
        double hours = sales.stream().mapToDouble(Sale::hours).sum();
        return hours > 0 ? Optional.of(sales.stream().mapToDouble(Sale::gain).sum() / hours) : Optional.empty();
    }
}
