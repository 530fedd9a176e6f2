package mosspebble.files;

import java.awt.geom.Path2D;
import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.io.StringReader;
import java.nio.charset.StandardCharsets;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import mosspebble.core.sketch.Typeface;
import org.apache.batik.parser.AWTPathProducer;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;

/** Letters for a single stroke of the pen: lines, not areas. 1 em here is the cap height. Read when first used. */
final class PenFace implements Typeface {

    /** Id of the face. */
    static final String ID = "pen";

    private static final double SPACE = 0.42;

    private Map<Integer, Glyph> letters;

    @Override
    public String id() {
        return ID;
    }

    @Override
    public String title() {
        return "Single-stroke pen";
    }

    @Override
    public double capHeight() {
        return 1;
    }

    @Override
    public Optional<Glyph> glyph(int codePoint) {
        return Optional.ofNullable(letters().get(codePoint));
    }

    private synchronized Map<Integer, Glyph> letters() {
        if (letters == null) {
            letters = read();
        }
        return letters;
    }

    private static Map<Integer, Glyph> read() {
        Map<Integer, Glyph> found = new TreeMap<>();
        try (BufferedReader in = new BufferedReader(
                new InputStreamReader(BuiltIn.open("fonts/single-stroke-pen.txt"), StandardCharsets.UTF_8))) {
            for (String line = in.readLine(); line != null; line = in.readLine()) {
                if (!line.startsWith("#")) {
                    String[] cells = line.split(" ", 3);
                    Geometry strokes = Outlines.lines(AWTPathProducer.createShape(new StringReader(cells[2]), Path2D.WIND_NON_ZERO), 0.004);
                    found.put(cells[0].codePointAt(0), new Glyph(strokes, Double.parseDouble(cells[1])));
                }
            }
        } catch (IOException e) {
            throw new IllegalStateException("A shipped file is damaged; install Moss Pebble again. " + e.getMessage(), e);
        }
        found.put((int) ' ', new Glyph(new GeometryFactory().createPolygon(), SPACE));
        return found;
    }
}
