package mosspebble.core;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/** Reads the check data under {@code reference/}: comment lines with the source, one header row, comma separated. */
public final class Reference {

    private Reference() {}

    public static List<Map<String, String>> rows(String file) {
        try (InputStream in = Reference.class.getResourceAsStream("reference/" + file)) {
            List<Map<String, String>> rows = new ArrayList<>();
            String[] header = null;
            for (String line : new String(in.readAllBytes(), StandardCharsets.UTF_8).split("\r?\n")) {
                if (line.isBlank() || line.startsWith("# ")) {
                    continue;
                }
                String[] cells = line.split(",");
                if (header == null) {
                    header = cells;
                } else {
                    Map<String, String> row = new LinkedHashMap<>();
                    for (int i = 0; i < header.length && i < cells.length; i++) {
                        row.put(header[i], cells[i]);
                    }
                    rows.add(row);
                }
            }
            if (rows.isEmpty()) {
                throw new IllegalStateException("no rows in " + file);
            }
            return rows;
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    public static double number(Map<String, String> row, String column) {
        return Double.parseDouble(row.get(column));
    }
}
