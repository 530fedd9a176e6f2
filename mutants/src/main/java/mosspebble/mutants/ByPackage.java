package mosspebble.mutants;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;

/** What became of the mutants of each package, as rows of a table, from the rows the mutation tester writes. */
public final class ByPackage {

    private static final int CLASS = 1;
    private static final int METHOD = 3;
    private static final int LINE = 4;
    private static final int STATUS = 5;
    private static final int COLUMNS = 6;

    /** A mutant that runs for ever or out of memory is noticed as well. */
    private static final Set<String> NOTICED = Set.of("KILLED", "TIMED_OUT", "MEMORY_ERROR", "RUN_ERROR");

    private ByPackage() {}

    /** @param arguments the CSV file, and -v to name those that nobody noticed */
    public static void main(String[] arguments) throws IOException {
        List<String> rows = Files.readAllLines(Path.of(arguments[0]));
        table(rows).forEach(System.out::println);
        if (List.of(arguments).contains("-v")) {
            survivors(rows).forEach(System.out::println);
        }
    }

    static List<String> table(List<String> rows) {
        Map<String, int[]> counts = new TreeMap<>();
        for (String[] cells : cells(rows)) {
            int[] count = counts.computeIfAbsent(cells[CLASS].substring(0, cells[CLASS].lastIndexOf('.')), p -> new int[2]);
            count[0]++;
            count[1] += NOTICED.contains(cells[STATUS]) ? 1 : 0;
        }
        List<String> table = new ArrayList<>(List.of("| package | mutants | noticed | share |", "|---|---|---|---|"));
        counts.forEach((name, c) -> table.add("| " + name.substring(name.lastIndexOf('.') + 1) + " | " + c[0] + " | " + c[1] + " | "
                + Math.round(100.0 * c[1] / c[0]) + " % |"));
        return table;
    }

    static List<String> survivors(List<String> rows) {
        return cells(rows).stream().filter(c -> !NOTICED.contains(c[STATUS]))
                .map(c -> c[CLASS] + "." + c[METHOD] + ":" + c[LINE] + " " + c[2].substring(c[2].lastIndexOf('.') + 1) + " " + c[STATUS])
                .sorted().toList();
    }

    private static List<String[]> cells(List<String> rows) {
        return rows.stream().map(r -> r.split(",")).filter(c -> c.length >= COLUMNS).toList();
    }
}
