package mosspebble.files;

import java.io.IOException;
import java.io.InputStream;
import java.io.Reader;
import java.io.StringReader;
import java.io.UncheckedIOException;
import java.nio.ByteBuffer;
import java.nio.charset.CharacterCodingException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import javax.xml.stream.XMLStreamException;
import javax.xml.stream.XMLStreamReader;
import mosspebble.core.stone.Shape;
import mosspebble.core.stone.StoneOutline;
import mosspebble.core.units.Numbers;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVRecord;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;
import org.locationtech.jts.geom.Polygon;

/**
 * Reads a stone's outline: the largest closed shape of an SVG file ({@code width} with mm, cm or in and {@code viewBox} give the size;
 * without them a unit is a millimetre), or a CSV of points, x and y in
 * mm, one row each, separated by comma, semicolon or tab, with or without a head row.
 */
public final class OutlineReader {

    private static final int MOST_BYTES = 2_000_000;
    private static final String KEEP_FEWER = "Keep one point in several.";
    private static final int MOST_ROWS = 20_000;
    private static final int MOST_POINTS = 60_000;
    private static final int SPOKES = 120;
    private static final double SMALLEST = 8;
    private static final double LARGEST = 600;

    private OutlineReader() {}

    public static StoneOutline.Traced read(Path file) throws FileTrouble {
        return InFile.read(file, MOST_BYTES, KEEP_FEWER, OutlineReader::read);
    }

    /** @param place file name, whose ending tells SVG or CSV */
    public static StoneOutline.Traced read(InputStream in, String place) throws FileTrouble {
        return InFile.read(in, MOST_BYTES, place, KEEP_FEWER, OutlineReader::read);
    }

    private static StoneOutline.Traced read(byte[] bytes, String place) throws FileTrouble {
        String name = place.toLowerCase(Locale.ROOT);
        if (name.endsWith(".svg")) {
            return SvgElements.read(bytes, place, xml -> svg(xml, place));
        }
        if (name.endsWith(".csv") || name.endsWith(".txt")) {
            return csv(bytes, place);
        }
        throw new FileTrouble(place, "An outline is read from .svg or .csv.", "Export it as one of them.");
    }

    private static StoneOutline.Traced svg(XMLStreamReader xml, String place) throws XMLStreamException, FileTrouble {
        SvgElements elements = new SvgElements(place, xml);
        double[] mmPerUnit = {1};
        int[] points = {0};
        List<Geometry> areas = new ArrayList<>();
        elements.each((depth, transform) -> {
            if (depth == 1) {
                if (!xml.getLocalName().equals("svg")) {
                    throw elements.trouble(xml.getLocalName(), "The file begins with <" + Said.shortly(xml.getLocalName(), 40) + ">.",
                            "An outline file begins with <svg>.");
                }
                mmPerUnit[0] = scale(xml.getAttributeValue(null, "width"), xml.getAttributeValue(null, "viewBox"));
            } else if (elements.isShape()) {
                Geometry area = Outlines.area(transform.createTransformedShape(elements.shape()), 0.05 / mmPerUnit[0]);
                points[0] += area.getNumPoints();
                if (points[0] > MOST_POINTS) {
                    throw elements.trouble(xml.getLocalName(), "The drawing has more than " + MOST_POINTS + " points.",
                            SvgElements.SIMPLIFY);
                }
                areas.add(area);
            }
        });
        Polygon largest = null;
        for (Geometry area : areas) {
            for (int i = 0; i < area.getNumGeometries(); i++) {
                if (area.getGeometryN(i) instanceof Polygon p && (largest == null || p.getArea() > largest.getArea())) {
                    largest = p;
                }
            }
        }
        if (largest == null) {
            throw new FileTrouble(place, "The drawing holds no closed shape.", "Close the path of the outline and export it again.");
        }
        Coordinate[] ring = largest.getExteriorRing().getCoordinates();
        double[] x = new double[ring.length - 1];
        double[] y = new double[ring.length - 1];
        for (int i = 0; i < x.length; i++) {
            x[i] = ring[i].x * mmPerUnit[0];
            y[i] = ring[i].y * mmPerUnit[0];
        }
        return traced(x, y, place);
    }

    private static double scale(String width, String viewBox) {
        Matcher length = Pattern.compile("\\s*([0-9.]{1,12})\\s*(mm|cm|in|pt|px)\\s*").matcher(width == null ? "" : width);
        String[] box = viewBox == null ? new String[0] : viewBox.trim().split("[\\s,]+");
        if (!length.matches() || box.length != 4) {
            return 1;
        }
        try {
            double mm = Double.parseDouble(length.group(1)) * switch (length.group(2)) {
                case "cm" -> 10;
                case "in" -> 25.4;
                case "pt" -> 25.4 / 72;
                case "px" -> 25.4 / 96;
                default -> 1;
            };
            double units = Double.parseDouble(box[2]);
            return units > 0 && mm > 0 && mm / units < 1e6 ? mm / units : 1;
        } catch (NumberFormatException e) {
            return 1; // no usable size: a unit is a millimetre
        }
    }

    private static StoneOutline.Traced csv(byte[] bytes, String place) throws FileTrouble {
        List<double[]> points = new ArrayList<>();
        try {
            String decoded = StandardCharsets.UTF_8.newDecoder().decode(ByteBuffer.wrap(bytes)).toString();
            String text = decoded.startsWith("\uFEFF") ? decoded.substring(1) : decoded;
            String firstLine = text.lines().filter(l -> !l.isBlank() && !l.startsWith("#")).findFirst().orElse("");
            char separator = firstLine.contains(";") ? ';' : firstLine.contains("\t") ? '\t' : ',';
            CSVFormat format = CSVFormat.DEFAULT.builder().setDelimiter(separator).setIgnoreEmptyLines(true).setCommentMarker('#')
                    .setTrim(true).get();
            try (Reader reader = new StringReader(text); var parser = format.parse(reader)) {
                for (CSVRecord row : parser) {
                    if (row.size() < 2) {
                        throw new FileTrouble(place + ", line " + parser.getCurrentLineNumber(), "The row has " + row.size() + " cell.",
                                "Write x and y in mm in every row.");
                    }
                    if (points.size() >= MOST_ROWS) {
                        throw new FileTrouble(place, "The file has more than " + MOST_ROWS + " points.", "Keep one point in several.");
                    }
                    boolean head = row.getRecordNumber() == 1 && !row.get(0).matches("[-+0-9.,eE]+");
                    if (!head) {
                        points.add(new double[] {number(row.get(0), place, parser.getCurrentLineNumber()),
                            number(row.get(1), place, parser.getCurrentLineNumber())});
                    }
                }
            }
        } catch (CharacterCodingException e) {
            throw new FileTrouble(place, "The file is not text in UTF-8.", "Save it again as UTF-8.", e);
        } catch (IOException | IllegalStateException | UncheckedIOException e) {
            throw new FileTrouble(place, "The rows cannot be told apart.",
                    "Write x and y in mm, separated by a comma, one point in each row.", e);
        }
        if (points.size() > 1 && points.get(0)[0] == points.get(points.size() - 1)[0]
                && points.get(0)[1] == points.get(points.size() - 1)[1]) {
            points.remove(points.size() - 1);
        }
        if (points.size() < 3) {
            throw new FileTrouble(place, "The file holds " + points.size() + " points.",
                    "An outline needs three or more, in order round the stone.");
        }
        return traced(points.stream().mapToDouble(p -> p[0]).toArray(), points.stream().mapToDouble(p -> p[1]).toArray(), place);
    }

    private static double number(String cell, String place, long line) throws FileTrouble {
        try {
            double value = Numbers.parse(cell);
            if (Math.abs(value) <= 100_000) {
                return value;
            }
        } catch (NumberFormatException e) {
            // answered below
        }
        throw new FileTrouble(place + ", line " + line, "\"" + Said.shortly(cell, 30) + "\" is not a length.",
                "Write a number of mm such as 42.5.");
    }

    private static StoneOutline.Traced traced(double[] x, double[] y, String place) throws FileTrouble {
        Coordinate[] ring = new Coordinate[x.length + 1];
        for (int i = 0; i <= x.length; i++) {
            ring[i] = new Coordinate(x[i % x.length], y[i % x.length]);
        }
        Polygon polygon = new GeometryFactory().createPolygon(ring);
        double wide = polygon.getEnvelopeInternal().getWidth();
        double high = polygon.getEnvelopeInternal().getHeight();
        if (!(Math.min(wide, high) >= SMALLEST && Math.max(wide, high) <= LARGEST)) {
            throw new FileTrouble(place,
                    "The outline is " + Numbers.shortText(wide) + " x " + Numbers.shortText(high) + " mm; stones are 8 to 600 mm.",
                    "Give the size in mm: width=\"92mm\" and a viewBox, or rows in mm.");
        }
        try {
            Intricacy.crossings(List.<Coordinate[]>of(ring));
        } catch (Intricacy.TooIntricate e) {
            throw new FileTrouble(place, "The outline crosses itself again and again.", "Put the points in order round the stone.", e);
        }
        if (!polygon.isValid()) {
            throw new FileTrouble(place, "The outline crosses itself.", "Put the points in order round the stone.");
        }
        return StoneOutline.trace(Shape.Source.FILE, x, y, SPOKES);
    }
}
