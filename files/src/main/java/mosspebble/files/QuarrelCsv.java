package mosspebble.files;

import java.io.IOException;
import java.io.OutputStreamWriter;
import java.io.Reader;
import java.io.StringReader;
import java.io.UncheckedIOException;
import java.io.Writer;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.time.Duration;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import mosspebble.core.care.Compatibility;
import mosspebble.core.care.Quarrel;
import mosspebble.core.care.Who;
import mosspebble.core.units.Numbers;
import mosspebble.core.units.Words;
import mosspebble.core.words.CareWords;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVRecord;

/**
 * What goes over what as CSV (RFC 4180): a head row with the columns {@code below, above} and any of {@code where, how bad, way out, wait,
 * reason}; comma, semicolon or tab. The rows of the table that ships are written first, the painter's own below them. What is read are the
 * rows that are not those of the table: they become rules of one's own.
 */
public final class QuarrelCsv {

    private static final List<String> COLUMNS = List.of("below", "above", "where", "how bad", "way out", "wait", "reason");
    private static final int MOST_BYTES = 1_000_000;
    private static final String SPLIT = "There may be " + Quarrel.MOST + " rules of your own; take some out.";
    private static final int MOST_TROUBLES = 60;

    /** Where two products must meet for a rule to count. */
    private enum Where { TOUCHING, ANYWHERE_BELOW }

    /**
     * What a file holds.
     *
     * @param own rules of one's own that are in order
     */
    public record Read(List<Quarrel> own, List<ShelfCsv.Trouble> troubles) {
        public Read {
            own = List.copyOf(own);
            troubles = List.copyOf(troubles);
        }
    }

    private QuarrelCsv() {}

    /** The rules that ship, with their words as reasons. */
    static List<Quarrel> table() {
        return Arrays.stream(Compatibility.Rule.values()).map(r -> r.as(CareWords.sentence(r))).toList();
    }

    /** @throws FileTrouble if it cannot be written; then nothing has changed */
    public static void write(List<Quarrel> own, Path file) throws FileTrouble {
        SafeWrite.write(file, out -> {
            Writer writer = new OutputStreamWriter(out, StandardCharsets.UTF_8);
            var printer = CSVFormat.RFC4180.print(writer);
            printer.printRecord(COLUMNS);
            List<Quarrel> all = new ArrayList<>(table());
            all.addAll(own);
            for (Quarrel q : all) {
                printer.printRecord(q.below(), q.above(), label(q.anywhere() ? Where.ANYWHERE_BELOW : Where.TOUCHING), label(q.severity()),
                        label(q.way()), Numbers.text(q.rest().toMinutes() / 60.0, 2) + " h", CsvCells.harmless(q.reason()));
            }
            printer.flush();
        });
    }

    private static String label(Enum<?> value) {
        return value.name().toLowerCase(Locale.ROOT).replace('_', ' ');
    }

    /** @throws FileTrouble if the file as a whole is no such table */
    public static Read read(Path file) throws FileTrouble {
        return InFile.read(file, MOST_BYTES, SPLIT, QuarrelCsv::read);
    }

    static Read read(byte[] bytes, String place) throws FileTrouble {
        String text = CsvCells.text(bytes, place, new ArrayList<>());
        String firstLine = text.lines().filter(l -> !l.isBlank()).findFirst()
                .orElseThrow(() -> new FileTrouble(place, "The file is empty.", "Write a head row and one row for each rule."));
        List<Quarrel> own = new ArrayList<>();
        List<ShelfCsv.Trouble> troubles = new ArrayList<>();
        try (Reader reader = new StringReader(text); var parser = CsvCells.format(firstLine).parse(reader)) {
            Map<String, Integer> columns = null;
            for (CSVRecord row : parser) {
                if (columns == null) {
                    columns = head(row, place);
                    continue;
                }
                try {
                    Quarrel quarrel = quarrel(new CsvCells.Row(row, columns));
                    if (table().stream().noneMatch(t -> t.equals(quarrel))) {
                        own.add(quarrel);
                    }
                } catch (IllegalArgumentException e) {
                    if (troubles.size() < MOST_TROUBLES) {
                        troubles.add(new ShelfCsv.Trouble(row.getRecordNumber(), Words.sentence(e.getMessage())));
                    }
                }
                if (own.size() > Quarrel.MOST) {
                    throw new FileTrouble(place, "The file has more than " + Quarrel.MOST + " rules of your own.", SPLIT);
                }
            }
        } catch (IOException | IllegalStateException | UncheckedIOException e) {
            throw new FileTrouble(place, "The rows cannot be told apart.", "Check for a quotation mark that is not closed.", e);
        }
        return new Read(own, troubles);
    }

    private static Map<String, Integer> head(CSVRecord row, String place) throws FileTrouble {
        Map<String, Integer> columns = new HashMap<>();
        for (int i = 0; i < row.size(); i++) {
            String name = row.get(i).toLowerCase(Locale.ROOT).replace('_', ' ').strip();
            if (COLUMNS.contains(name) && columns.putIfAbsent(name, i) != null) {
                throw new FileTrouble(place + ", head row", "The column \"" + name + "\" stands twice.", "Take one of them out.");
            }
        }
        if (!columns.containsKey("below") || !columns.containsKey("above")) {
            throw new FileTrouble(place + ", head row", "There are no columns \"below\" and \"above\".",
                    "The first row names the columns: " + String.join(", ", COLUMNS) + ".");
        }
        return columns;
    }

    private static Quarrel quarrel(CsvCells.Row row) {
        Quarrel.Way way = row.one("way out", Quarrel.Way.values(), QuarrelCsv::label, Quarrel.Way.NONE);
        double hours = row.number("wait", "h", 0, Quarrel.MOST_WAIT.toHours(), 0);
        if (way == Quarrel.Way.WAIT && hours == 0) {
            throw new IllegalArgumentException("The way out is to wait, but the wait is missing. Write hours such as 24 h.");
        }
        return new Quarrel(who("below", row), who("above", row),
                row.one("where", Where.values(), QuarrelCsv::label, Where.TOUCHING) == Where.ANYWHERE_BELOW,
                row.one("how bad", Compatibility.Severity.values(), QuarrelCsv::label, Compatibility.Severity.CARE), way,
                Duration.ofMinutes(Math.round(60 * hours)), CsvCells.asWritten(row.text("reason")));
    }

    private static Who who(String column, CsvCells.Row row) {
        if (!row.has(column)) {
            throw new IllegalArgumentException("What is " + column + " is missing. Write such as binder=oil or paint=gold-pen.");
        }
        try {
            return Who.parse(row.text(column));
        } catch (IllegalArgumentException e) {
            throw new IllegalArgumentException("What is " + column + ": " + e.getMessage(), e);
        }
    }
}
