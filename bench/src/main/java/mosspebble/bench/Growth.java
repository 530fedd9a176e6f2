package mosspebble.bench;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.function.IntFunction;
import mosspebble.core.area.Remembered;
import mosspebble.core.colour.Lab;
import mosspebble.core.colour.Palette;
import mosspebble.core.colour.RecipeSearch;
import mosspebble.core.project.Project;
import mosspebble.core.project.Studio;
import mosspebble.core.project.Workshop;
import mosspebble.core.rules.Plans;
import mosspebble.core.sketch.Overlap;
import mosspebble.core.sketch.Repertoire;
import mosspebble.core.sketch.Support;
import mosspebble.core.stone.Stone;
import mosspebble.core.stone.Survey;
import mosspebble.core.timetable.Timetable;
import mosspebble.core.timetable.Workload;
import mosspebble.core.units.Millimetres;
import mosspebble.files.BuiltIn;
import mosspebble.files.LanternWalk;

/** How time grows with what a studio holds: measured at several sizes, printed as ratios and drawn beside n log n and n². */
final class Growth {

    private static final int REPEATS = 3;

    private Growth() {}

    /**
     * One work at several sizes.
     *
     * @param sizes rising, two or more, each 2 or more
     * @param seconds median of some runs, above 0, one for each size
     */
    record Series(String name, String unit, int[] sizes, double[] seconds) {

        /** How many times as long the largest takes as the smallest. */
        double grown() {
            return seconds[seconds.length - 1] / seconds[0];
        }

        /** The same for what grows as n log n. */
        double byNLogN() {
            return nLogN(sizes[sizes.length - 1]) / nLogN(sizes[0]);
        }

        static double nLogN(double n) {
            return n * Math.log(n);
        }
    }

    /** @param to where to draw it, as SVG; null for nowhere */
    static void print(Figures figures, Path to) throws Exception {
        Stone stone = Stone.cobble().withSize(new Millimetres(150), new Millimetres(110), new Millimetres(40));
        Support bed = Support.of(Survey.of(stone));
        Studio studio = LanternWalk.studio(BuiltIn.repertoire());
        Repertoire repertoire = BuiltIn.repertoire();
        Workshop workshop = new Workshop(new Palette(studio.shelf()), repertoire, studio.climate(), List.of());
        List<Series> all = new ArrayList<>();
        all.add(series(figures, "Overlap, each seen part", "parts", new int[] {200, 400, 800, 1600, 3200}, count -> {
            Overlap overlap = Bench.partition(count);
            return () -> Bench.seen(overlap, count);
        }));
        all.add(series(figures, "Plan from nothing", "things of 22 parts", new int[] {5, 10, 20, 40}, count -> {
            Project many = Bench.crowd(stone, count);
            return () -> Plans.plan(many, bed.survey(), workshop, new Remembered());
        }));
        all.add(series(figures, "Recipe, up to 3 of", "paints", new int[] {24, 50, 100, 200, 300}, count -> {
            Palette palette = Bench.paints(count);
            return () -> RecipeSearch.best(new Lab(52, 18, -24), palette, 12, 3, 5);
        }));
        all.add(series(figures, "Timetable, first answer", "stones of 25", new int[] {8, 25, 50, 100, 200}, count -> {
            Workload workload = Timetables.madeUp(count, 25, 1, true);
            return () -> Timetable.quick(workload);
        }));
        if (to != null) {
            Files.writeString(to, svg(all));
        }
    }

    /**
     * Measures one work. Every size is run through beforehand, the largest first: else the smallest would be measured while little is
     * compiled, and growth look small.
     *
     * @param sizes rising, two or more, each 2 or more
     * @param work what is to be measured at one size, made ready
     */
    static Series series(Figures figures, String name, String unit, int[] sizes, IntFunction<Runnable> work) {
        double[] seconds = new double[sizes.length];
        for (int i = sizes.length - 1; i >= 0; i--) {
            work.apply(sizes[i]).run();
        }
        for (int i = 0; i < sizes.length; i++) {
            Runnable run = work.apply(sizes[i]);
            seconds[i] = Figures.median(Bench.times(1, REPEATS, run));
        }
        Series found = new Series(name, unit, sizes, seconds);
        figures.one(name + ": " + sizes[0] + " to " + sizes[sizes.length - 1] + " " + unit + ", n log n", "x", found.grown(),
                Figures.Goal.median(found.byNLogN()),
                Figures.amount(1000 * seconds[0], "ms") + " to " + Figures.amount(1000 * seconds[sizes.length - 1], "ms"));
        return found;
    }

    // --- drawn

    private static final int WIDE = 300;
    private static final int HIGH = 250;
    private static final int LEFT = 56;
    private static final int TOP = 40;
    private static final int ACROSS = 220;
    private static final int DOWN = 160;

    /** Each series in a field of its own, both ways in powers; dashed n log n and dotted n² from its first point. */
    static String svg(List<Series> all) {
        StringBuilder svg = new StringBuilder();
        svg.append(String.format(Locale.ROOT,
                "<svg xmlns=\"http://www.w3.org/2000/svg\" width=\"%d\" height=\"%d\" font-family=\"sans-serif\" font-size=\"11\">%n",
                WIDE * all.size(), HIGH));
        svg.append("<rect width=\"100%\" height=\"100%\" fill=\"#f6f3ea\"/>\n");
        for (int k = 0; k < all.size(); k++) {
            svg.append(String.format(Locale.ROOT, "<g transform=\"translate(%d 0)\">%n", k * WIDE));
            field(svg, all.get(k));
            svg.append("</g>\n");
        }
        return svg.append("</svg>\n").toString();
    }

    private static void field(StringBuilder svg, Series series) {
        int last = series.sizes.length - 1;
        double growth = series.sizes[last] / (double) series.sizes[0];
        double most = Math.max(growth * growth, series.grown());
        svg.append(String.format("<text x=\"%d\" y=\"20\" font-size=\"13\" fill=\"#1d211c\">%s</text>%n", LEFT, series.name));
        svg.append(String.format("<path d=\"M%d %dV%dH%d\" fill=\"none\" stroke=\"#5f665c\"/>%n", LEFT, TOP, TOP + DOWN, LEFT + ACROSS));
        line(svg, series, most, "#5f665c", " stroke-dasharray=\"6 4\"", n -> Series.nLogN(n) / Series.nLogN(series.sizes[0]));
        line(svg, series, most, "#9a9f95", " stroke-dasharray=\"1 4\"", n -> Math.pow(n / (double) series.sizes[0], 2));
        line(svg, series, most, "#3f5f32", " stroke-width=\"2.5\"", n -> series.seconds[at(series, n)] / series.seconds[0]);
        for (int i = 0; i <= last; i++) {
            double x = x(series, series.sizes[i]);
            svg.append(String.format(Locale.ROOT, "<circle cx=\"%.1f\" cy=\"%.1f\" r=\"3.5\" fill=\"#3f5f32\"/>%n", x,
                    y(series.seconds[i] / series.seconds[0], most)));
            svg.append(String.format(Locale.ROOT, "<text x=\"%.1f\" y=\"%d\" text-anchor=\"middle\" fill=\"#1d211c\">%d</text>%n", x,
                    TOP + DOWN + 15, series.sizes[i]));
        }
        svg.append(String.format("<text x=\"%d\" y=\"%d\" text-anchor=\"middle\" fill=\"#1d211c\">%s</text>%n", LEFT + ACROSS / 2,
                TOP + DOWN + 32, series.unit));
        for (double seconds : new double[] {series.seconds[0], series.seconds[last]}) {
            svg.append(String.format(Locale.ROOT, "<text x=\"%d\" y=\"%.1f\" text-anchor=\"end\" fill=\"#1d211c\">%s</text>%n", LEFT - 6,
                    y(seconds / series.seconds[0], most) + 4, time(seconds)));
        }
    }

    private static String time(double seconds) {
        return seconds < 0.1 ? String.format(Locale.ROOT, "%.1f ms", 1000 * seconds)
                : seconds < 1 ? String.format(Locale.ROOT, "%.0f ms", 1000 * seconds) : String.format(Locale.ROOT, "%.1f s", seconds);
    }

    private static int at(Series series, int n) {
        int at = 0;
        while (series.sizes[at] != n) {
            at++;
        }
        return at;
    }

    private static double x(Series series, int n) {
        int last = series.sizes.length - 1;
        return LEFT + 8 + (ACROSS - 16) * Math.log(n / (double) series.sizes[0]) / Math.log(series.sizes[last] / (double) series.sizes[0]);
    }

    private static double y(double times, double most) {
        return TOP + DOWN - 8 - (DOWN - 16) * Math.max(-0.04, Math.log(times) / Math.log(most));
    }

    private static void line(StringBuilder svg, Series series, double most, String colour, String dress, IntFunction<Double> times) {
        StringBuilder path = new StringBuilder();
        for (int n : series.sizes) {
            path.append(String.format(Locale.ROOT, "%s%.1f %.1f", path.isEmpty() ? "M" : "L", x(series, n), y(times.apply(n), most)));
        }
        svg.append(String.format("<path d=\"%s\" fill=\"none\" stroke=\"%s\"%s/>%n", path, colour, dress));
    }
}
