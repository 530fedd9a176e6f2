package mosspebble.files;

import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStreamWriter;
import java.io.Reader;
import java.io.StringReader;
import java.io.UncheckedIOException;
import java.io.Writer;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import mosspebble.core.colour.Binder;
import mosspebble.core.colour.Finish;
import mosspebble.core.colour.Opacity;
import mosspebble.core.colour.Paint;
import mosspebble.core.colour.PaintKind;
import mosspebble.core.colour.Pot;
import mosspebble.core.colour.Shelf;
import mosspebble.core.units.Micrometres;
import mosspebble.core.units.Millilitres;
import mosspebble.core.units.Millimetres;
import mosspebble.core.units.Srgb;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVRecord;

/**
 * The shelf as CSV (RFC 4180): a head row with the columns {@code name, kind, colour} and any of {@code opacity, hiding, hiding spread,
 * finish, binder, tip, wet coat, solids, drying shift, left, full, price}, in
 * any order; comma, semicolon or tab. Reading looks at every row and says of each bad one what, where and how to mend; nothing is taken
 * over before the painter agrees.
 */
public final class ShelfCsv {

    /** Most paints read at once. */
    public static final int MOST_ROWS = Shelf.MOST;

    private static final int MOST_BYTES = 4_000_000;
    private static final String SPLIT = "A shelf holds " + MOST_ROWS + " paints; split the file.";

    /** Rows in which trouble is told one by one. */
    private static final int MOST_TROUBLES = 60;

    private static final List<String> COLUMNS = List.of("name", "kind", "colour", "opacity", "hiding", "hiding spread", "finish", "binder",
            "tip", "wet coat", "solids", "drying shift", "left", "full", "price");

    /**
     * A row that could not be read.
     *
     * @param row as counted in the file, the head row being 1
     */
    public record Trouble(long row, String sentence) {
        @Override
        public String toString() {
            return "Row " + row + ": " + sentence;
        }
    }

    /**
     * What a file holds.
     *
     * @param paints rows that are in order
     * @param note what was guessed about the file, empty for nothing
     */
    public record Read(List<Paint> paints, List<Trouble> troubles, String note) {
        public Read {
            paints = List.copyOf(paints);
            troubles = List.copyOf(troubles);
        }
    }

    private ShelfCsv() {}

    /** @throws FileTrouble if it cannot be written; then nothing has changed */
    public static void write(Shelf shelf, Path file) throws FileTrouble {
        SafeWrite.write(file, out -> {
            Writer writer = new OutputStreamWriter(out, StandardCharsets.UTF_8);
            var printer = CSVFormat.RFC4180.print(writer);
            printer.printRecord(COLUMNS);
            for (Paint p : shelf.paints()) {
                printer.printRecord(CsvCells.harmless(p.name()), p.kind().label(), p.swatch().hex(), Opacity.of(p.hiding()).label(),
                        p.hiding(),
                        p.hidingSpread(), p.finish().label(), p.binder().label(), p.tip().value() + " mm",
                        p.wetCoat().value() + " µm", p.solids(), p.dryingShift(), p.pot().left().value() + " ml",
                        p.pot().full().value() + " ml", p.pot().price());
            }
            printer.flush();
        });
    }

    public static Read read(Path file) throws FileTrouble {
        return InFile.read(file, MOST_BYTES, SPLIT, ShelfCsv::read);
    }

    /** @throws FileTrouble if the file as a whole is no shelf */
    public static Read read(InputStream in, String place) throws FileTrouble {
        return InFile.read(in, MOST_BYTES, place, SPLIT, ShelfCsv::read);
    }

    static Read read(byte[] bytes, String place) throws FileTrouble {
        List<String> notes = new ArrayList<>();
        String text = CsvCells.text(bytes, place, notes);
        String firstLine = text.lines().filter(l -> !l.isBlank()).findFirst()
                .orElseThrow(() -> new FileTrouble(place, "The file is empty.", "Write a head row and one row for each paint."));
        CSVFormat format = CsvCells.format(firstLine);
        List<Paint> paints = new ArrayList<>();
        List<Trouble> troubles = new ArrayList<>();
        Map<String, Long> names = new HashMap<>();
        Set<String> ids = new HashSet<>();
        int more = 0;
        try (Reader reader = new StringReader(text); var parser = format.parse(reader)) {
            Map<String, Integer> columns = null;
            for (CSVRecord row : parser) {
                if (columns == null) {
                    columns = head(row, place);
                    continue;
                }
                if (row.getRecordNumber() - 1 > MOST_ROWS) {
                    throw new FileTrouble(place, "The file has more than " + MOST_ROWS + " rows.",
                            "A shelf holds " + MOST_ROWS + " paints; split the file or keep those you own.");
                }
                try {
                    Paint paint = paint(new CsvCells.Row(row, columns));
                    Long before = names.putIfAbsent(paint.name().toLowerCase(Locale.ROOT), row.getRecordNumber());
                    if (before != null) {
                        throw new IllegalArgumentException(
                                "\"" + paint.name() + "\" stands in row " + before + " already. Give each paint a name of its own.");
                    }
                    String id = paint.id();
                    for (int n = 2; !ids.add(id); n++) {
                        id = paint.id() + "-" + n;
                    }
                    paints.add(named(paint, id));
                } catch (IllegalArgumentException e) {
                    if (troubles.size() < MOST_TROUBLES) {
                        troubles.add(new Trouble(row.getRecordNumber(), e.getMessage()));
                    } else {
                        more++;
                    }
                }
            }
        } catch (IOException | IllegalStateException | UncheckedIOException e) {
            throw new FileTrouble(place, "The rows cannot be told apart.", "Check for a quotation mark that is not closed.", e);
        }
        if (more > 0) {
            notes.add(more + " more rows have errors.");
        }
        return new Read(paints, troubles, String.join(" ", notes));
    }

    private static Paint named(Paint p, String id) {
        return p.withId(id);
    }

    private static Map<String, Integer> head(CSVRecord row, String place) throws FileTrouble {
        Map<String, Integer> columns = new HashMap<>();
        for (int i = 0; i < row.size(); i++) {
            String name = row.get(i).toLowerCase(Locale.ROOT).replaceAll("[(\\[].*", "").replace('_', ' ').trim();
            name = name.equals("color") || name.equals("swatch") ? "colour" : name.equals("amount") ? "left" : name;
            if (COLUMNS.contains(name) && columns.putIfAbsent(name, i) != null) {
                throw new FileTrouble(place + ", head row", "The column \"" + name + "\" stands twice.", "Take one of them out.");
            }
        }
        List<String> missing = List.of("name", "kind", "colour").stream().filter(c -> !columns.containsKey(c)).toList();
        if (!missing.isEmpty()) {
            throw new FileTrouble(place + ", head row",
                    "There is no column " + String.join(" and no column ", missing.stream().map(m -> "\"" + m + "\"").toList()) + ".",
                    "The first row names the columns: " + String.join(", ", COLUMNS) + ".");
        }
        return columns;
    }

    private static Paint paint(CsvCells.Row row) {
        String name = CsvCells.asWritten(row.text("name"));
        if (name.isBlank()) {
            throw new IllegalArgumentException("The name is missing.");
        }
        if (name.length() > Paint.LONGEST) {
            throw new IllegalArgumentException(
                    "\"" + CsvCells.shortened(name) + "\" has more than " + Paint.LONGEST + " letters. Give the paint a shorter name.");
        }
        PaintKind kind = row.one("kind", PaintKind.values(), PaintKind::label, null);
        Srgb colour;
        try {
            colour = Srgb.ofHex(row.text("colour"));
        } catch (IllegalArgumentException e) {
            throw new IllegalArgumentException(
                    "\"" + CsvCells.shortened(row.text("colour")) + "\" is no colour. Write # and six digits such as #8a7f6c.", e);
        }
        Paint paint = Paint.usual(Paint.idOf(name), name, kind, colour, new Millilitres(row.number("left", "ml", 0, 10_000, 0)));
        double hiding = row.has("hiding") ? row.number("hiding", "", 0.02, 0.999, paint.hiding())
                : row.has("opacity") ? row.one("opacity", Opacity.values(), Opacity::label, null).hiding() : paint.hiding();
        return new Paint(paint.id(), name, kind, colour,
                new Paint.Hiding(hiding, row.number("hiding spread", "", 0, 0.5, paint.hidingSpread())),
                new Paint.Film(row.one("binder", Binder.values(), Binder::label, paint.binder()),
                        row.one("finish", Finish.values(), Finish::label, paint.finish()),
                        new Micrometres(row.number("wet coat", "um", 3, 500, paint.wetCoat().value())),
                        row.number("solids", "", 0.05, 1, paint.solids()), row.number("drying shift", "", -15, 15, paint.dryingShift())),
                new Millimetres(row.number("tip", "mm", 0, 15, paint.tip().value())),
                new Pot(paint.left(), new Millilitres(row.number("full", "ml", 0, 10_000, 0)), row.number("price", "", 0, 100_000, 0)));
    }
}
