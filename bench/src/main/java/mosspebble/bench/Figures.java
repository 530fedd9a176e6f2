package mosspebble.bench;

import java.io.IOException;
import java.io.PrintStream;
import java.math.BigDecimal;
import java.math.MathContext;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVPrinter;
import org.apache.commons.csv.CSVRecord;

/**
 * What the bench measures: every figure printed as it comes beside what is wanted and what was kept last, a line for each area, and one
 * for all. The less, the better, whatever the figure.
 */
final class Figures {

    /** Of what so much and no more is wanted. */
    enum Of {
        MEDIAN, NINETY_FIFTH
    }

    /** @param most in the figure's own unit; infinite for no wish */
    record Goal(double most, Of of) {
        static final Goal NONE = new Goal(Double.POSITIVE_INFINITY, Of.MEDIAN);

        static Goal median(double most) {
            return new Goal(most, Of.MEDIAN);
        }

        static Goal ninetyFifth(double most) {
            return new Goal(most, Of.NINETY_FIFTH);
        }

        boolean isNone() {
            return most == Double.POSITIVE_INFINITY;
        }
    }

    /**
     * Something measured.
     *
     * @param median of what was measured in one unit
     * @param high its 95th percentile
     * @param beside what else is to be said of it
     */
    record Figure(String area, String what, String unit, double median, double high, Goal goal, String beside) {

        /** What is held against the goal. */
        double held() {
            return goal.of == Of.MEDIAN ? median : high;
        }

        boolean isMet() {
            return held() <= goal.most;
        }

        String mark() {
            return goal.isNone() ? "" : isMet() ? "met" : "over";
        }

        private String wanted() {
            return goal.isNone() ? "" : amount(goal.most, unit) + (goal.of == Of.NINETY_FIFTH ? " at the 95th" : "");
        }

        /** How it was, and how many times as much it is now. */
        private String against(Optional<Figure> before) {
            return before.map(b -> {
                double then = goal.of == Of.MEDIAN ? b.median : b.high;
                return amount(then, unit) + (then > 0 ? String.format(Locale.ROOT, ", now %.2f x", held() / then) : "");
            }).orElse("");
        }
    }

    private static final CSVFormat FORMAT = CSVFormat.DEFAULT.builder().setHeader("area", "what", "unit", "median", "95th percentile")
            .setSkipHeaderRecord(true).get();

    private final PrintStream out;
    private final Map<String, Figure> kept;
    private final List<Figure> measured = new ArrayList<>();
    private String area = "";

    /** @param kept figures of an earlier run */
    Figures(PrintStream out, List<Figure> kept) {
        this.out = out;
        this.kept = new LinkedHashMap<>();
        kept.forEach(f -> this.kept.put(key(f), f));
    }

    private static String key(Figure figure) {
        return figure.area + "\n" + figure.what;
    }

    /** Begins an area; what is added from now on belongs to it. */
    void begin(String name) {
        area = name;
        out.println();
        out.println("| " + name + " | median | 95th percentile | wanted | | kept last | |");
        out.println("|---|---|---|---|---|---|---|");
    }

    /** Adds what took so many seconds, in milliseconds. */
    void millis(String what, List<Double> seconds, Goal goal) {
        add(what, "ms", seconds.stream().map(s -> 1000 * s).toList(), goal, "");
    }

    void add(String what, String unit, List<Double> values, Goal goal, String beside) {
        add(what, unit, median(values), percentile(values, 95), goal, beside);
    }

    /** Adds what is one number. */
    void one(String what, String unit, double value, Goal goal, String beside) {
        add(what, unit, value, value, goal, beside);
    }

    void add(String what, String unit, double median, double high, Goal goal, String beside) {
        Figure figure = new Figure(area, what, unit, median, high, goal, beside);
        measured.add(figure);
        out.println("| " + what + " | " + amount(median, unit) + " | " + (high == median ? "" : amount(high, unit)) + " | "
                + figure.wanted() + " | " + figure.mark() + " | " + figure.against(Optional.ofNullable(kept.get(key(figure)))) + " | "
                + beside + " |");
    }

    /** Ends an area with a line: how many of its goals are met, and which are not. */
    void end() {
        String name = area;
        out.println();
        out.println(summary(name, measured.stream().filter(f -> f.area.equals(name)).toList()));
    }

    /** The last line, over all areas. */
    void endAll() {
        long wanted = measured.stream().filter(f -> !f.goal.isNone()).count();
        long met = measured.stream().filter(f -> !f.goal.isNone() && f.isMet()).count();
        out.println();
        out.println("All areas: " + met + " of " + wanted + " figures as wanted, " + measured.size() + " measured.");
    }

    private static String summary(String name, List<Figure> figures) {
        List<Figure> wished = figures.stream().filter(f -> !f.goal.isNone()).toList();
        List<String> over = wished.stream().filter(f -> !f.isMet())
                .map(f -> f.what + " " + amount(f.held(), f.unit) + " for " + amount(f.goal.most, f.unit)).toList();
        return name + ": " + (wished.isEmpty() ? "nothing wanted, " + figures.size() + " measured"
                : wished.size() - over.size() + " of " + wished.size() + " as wanted")
                + (over.isEmpty() ? "." : "; over: " + String.join("; ", over) + ".");
    }

    static String amount(double value, String unit) {
        double size = Math.abs(value);
        String number = String.format(Locale.ROOT, size >= 100 || size == Math.rint(size) ? "%.0f" : size >= 10 ? "%.1f" : "%.2f", value);
        return unit.isEmpty() ? number : number + " " + unit;
    }

    // --- kept

    /** What an earlier run kept; nothing where there is no such file. */
    static List<Figure> read(Path file) throws IOException {
        if (!Files.exists(file)) {
            return List.of();
        }
        List<Figure> figures = new ArrayList<>();
        try (CSVParser parser = FORMAT.parse(Files.newBufferedReader(file))) {
            for (CSVRecord line : parser) {
                if (line.size() != FORMAT.getHeader().length) {
                    throw new IOException(file + ", line " + (line.getRecordNumber() + 1) + ": " + line.size() + " cells where there are "
                            + FORMAT.getHeader().length + ". Write all of them, or take the line out.");
                }
                figures.add(new Figure(line.get(0), line.get(1), line.get(2), number(line, 3, file), number(line, 4, file), Goal.NONE, ""));
            }
        }
        return figures;
    }

    private static double number(CSVRecord line, int column, Path file) throws IOException {
        try {
            return Double.parseDouble(line.get(column));
        } catch (NumberFormatException e) {
            throw new IOException(file + ", line " + (line.getRecordNumber() + 1) + ": \"" + line.get(column)
                    + "\" is no number. Write one, or take the line out.", e);
        }
    }

    /** Keeps what was measured, area by area; of other areas what was kept before. In the order in which they are measured. */
    void keep(Path file, List<String> order) throws IOException {
        List<Figure> all = new ArrayList<>();
        for (String each : order) {
            boolean now = measured.stream().anyMatch(f -> f.area.equals(each));
            (now ? measured : kept.values()).stream().filter(f -> f.area.equals(each)).forEach(all::add);
        }
        try (CSVPrinter printer = CSVFormat.DEFAULT.builder().setHeader(FORMAT.getHeader()).setRecordSeparator('\n').get()
                .print(Files.newBufferedWriter(file))) {
            for (Figure f : all) {
                printer.printRecord(f.area, f.what, f.unit, digits(f.median), digits(f.high));
            }
        }
    }

    private static String digits(double value) {
        return new BigDecimal(value).round(new MathContext(4)).stripTrailingZeros().toPlainString();
    }

    // --- of many values

    static double median(List<Double> values) {
        return percentile(values, 50);
    }

    /** The value that so many of a hundred do not pass: the nearest rank. */
    static double percentile(List<Double> values, int percent) {
        double[] sorted = values.stream().mapToDouble(Double::doubleValue).sorted().toArray();
        return sorted[Math.max(0, Math.min(sorted.length - 1, (int) Math.ceil(percent / 100.0 * sorted.length) - 1))];
    }
}
