package mosspebble.files;

import java.nio.ByteBuffer;
import java.nio.charset.CharacterCodingException;
import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.regex.Pattern;
import mosspebble.core.units.Numbers;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVRecord;

/** What the tables that are read and written share: their letters, and cells read as names and numbers. */
final class CsvCells {

    /** What makes a spreadsheet run a cell; an apostrophe before it makes it plain text there, and is taken off again here. */
    private static final Pattern RUN = Pattern.compile("[=+@\\t\\r-]");

    private CsvCells() {}

    /** Comma, semicolon or tab, as the first line has it. */
    static CSVFormat format(String firstLine) {
        char separator = firstLine.indexOf('\t') >= 0 ? '\t' : firstLine.indexOf(';') >= 0 ? ';' : ',';
        return CSVFormat.DEFAULT.builder().setDelimiter(separator).setIgnoreEmptyLines(true).setTrim(true).get();
    }

    static String harmless(String cell) {
        return RUN.matcher(cell).lookingAt() ? "'" + cell : cell;
    }

    static String asWritten(String cell) {
        return cell.startsWith("'") && RUN.matcher(cell.substring(1)).lookingAt() ? cell.substring(1) : cell;
    }

    static String text(byte[] bytes, String place, List<String> notes) throws FileTrouble {
        boolean wide = bytes.length > 1
                && ((bytes[0] & 255) == 0xFF && (bytes[1] & 255) == 0xFE || (bytes[0] & 255) == 0xFE && (bytes[1] & 255) == 0xFF);
        String text;
        if (wide) {
            text = new String(bytes, StandardCharsets.UTF_16);
            notes.add("Read as UTF-16.");
        } else {
            try {
                text = StandardCharsets.UTF_8.newDecoder().decode(ByteBuffer.wrap(bytes)).toString();
            } catch (CharacterCodingException e) {
                text = new String(bytes, Charset.forName("windows-1252"));
                notes.add("The file is not UTF-8; it was read as Windows-1252. Look at the accents.");
            }
        }
        if (text.indexOf('\0') >= 0) {
            throw new FileTrouble(place, "This is not a text file.", "Save the table as CSV.");
        }
        return text.startsWith("\uFEFF") ? text.substring(1) : text;
    }

    static String shortened(String text) {
        return Said.shortly(text, 40);
    }

    record Row(CSVRecord cells, Map<String, Integer> columns) {

        String text(String column) {
            Integer i = columns.get(column);
            return i == null || i >= cells.size() ? "" : cells.get(i);
        }

        boolean has(String column) {
            return !text(column).isBlank();
        }

        <E extends Enum<E>> E one(String column, E[] values, java.util.function.Function<E, String> label, E usual) {
            String text = text(column).toLowerCase(Locale.ROOT).replace('_', ' ').trim();
            if (text.isEmpty() && usual != null) {
                return usual;
            }
            for (E value : values) {
                if (label.apply(value).equalsIgnoreCase(text) || value.name().replace('_', ' ').equalsIgnoreCase(text)) {
                    return value;
                }
            }
            List<String> known = java.util.Arrays.stream(values).map(label).toList();
            throw new IllegalArgumentException(
                    (text.isEmpty() ? "The " + column + " is missing." : "\"" + shortened(text) + "\" is no " + column + ".")
                            + " Write one of: " + String.join(", ", known) + ".");
        }

        /** A number with its unit or without one. */
        double number(String column, String unit, double low, double high, double usual) {
            String text = text(column).trim();
            if (text.isEmpty()) {
                return usual;
            }
            String plain = text.toLowerCase(Locale.ROOT).replace('µ', 'u').replace('μ', 'u');
            var split = Pattern.compile("([-+]?[0-9][0-9.,]*|[-+]?[.,][0-9]+)\\s*([a-z%]*( oz)?)").matcher(plain);
            double factor = 1;
            boolean known = split.matches();
            if (known) {
                factor = switch (split.group(2)) {
                    case "" -> 1;
                    case "ml", "um", "mm" -> split.group(2).equals(unit) ? 1 : Double.NaN;
                    case "h" -> unit.equals("h") ? 1 : Double.NaN;
                    case "min" -> unit.equals("h") ? 1 / 60.0 : Double.NaN;
                    case "d" -> unit.equals("h") ? 24 : Double.NaN;
                    case "cl" -> unit.equals("ml") ? 10 : Double.NaN;
                    case "l" -> unit.equals("ml") ? 1000 : Double.NaN;
                    case "fl oz", "oz" -> unit.equals("ml") ? 29.5735295625 : Double.NaN;
                    case "in" -> unit.equals("mm") ? 25.4 : Double.NaN;
                    case "cm" -> unit.equals("mm") ? 10 : Double.NaN;
                    case "%" -> unit.isEmpty() ? 0.01 : Double.NaN;
                    default -> Double.NaN;
                };
            }
            String wanted = Numbers.text(low, 3) + " to " + Numbers.text(high, 3)
                    + (unit.isEmpty() ? "" : unit.equals("um") ? " µm" : " " + unit);
            if (!known) {
                throw new IllegalArgumentException("\"" + shortened(text) + "\" is no number for " + column + ". Write " + wanted + ".");
            }
            if (Double.isNaN(factor)) {
                throw new IllegalArgumentException("\"" + split.group(2) + "\" is no unit for " + column + ". Write " + wanted + ".");
            }
            double value;
            try {
                value = factor * Numbers.parse(split.group(1));
            } catch (NumberFormatException e) {
                throw new IllegalArgumentException("\"" + shortened(text) + "\" is no number for " + column + ". Write " + wanted + ".", e);
            }
            if (!(value >= low && value <= high)) {
                throw new IllegalArgumentException("The " + column + " is " + shortened(text) + "; it must be " + wanted + ".");
            }
            return value;
        }
    }
}
