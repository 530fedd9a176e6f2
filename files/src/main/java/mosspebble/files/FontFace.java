package mosspebble.files;

import java.awt.Font;
import java.awt.FontFormatException;
import java.awt.font.FontRenderContext;
import java.awt.font.GlyphVector;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import mosspebble.core.sketch.Typeface;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;
import org.locationtech.jts.geom.util.AffineTransformation;

/**
 * A font file that ships, or one of the painter's own. It is opened when first used, and a letter is drawn when first wanted: most letters
 * of most faces never are.
 */
final class FontFace implements Typeface {

    private static final float SIZE = 1000;

    private final String id;
    private final String title;
    private final Source source;
    private final FontRenderContext context = new FontRenderContext(null, true, true);
    private final Map<Integer, Optional<Glyph>> drawn = new ConcurrentHashMap<>();
    private Font opened;

    /** Where the file comes from. */
    private interface Source {
        InputStream open() throws IOException;
    }

    FontFace(String id, String title, String file) {
        this(id, title, () -> BuiltIn.open("fonts/" + file));
    }

    FontFace(String id, String title, byte[] content) {
        this(id, title, () -> new ByteArrayInputStream(content));
    }

    private FontFace(String id, String title, Source source) {
        this.id = id;
        this.title = title;
        this.source = source;
    }

    private synchronized Font font() {
        if (opened == null) {
            try (InputStream in = source.open()) {
                opened = Font.createFont(Font.TRUETYPE_FONT, in).deriveFont(SIZE);
            } catch (FontFormatException | IOException e) {
                throw new IllegalStateException("The font " + title + " is damaged; if it came with Moss Pebble, install it again.", e);
            }
        }
        return opened;
    }

    @Override
    public String id() {
        return id;
    }

    @Override
    public String title() {
        return title;
    }

    @Override
    public double capHeight() {
        return glyph('H').map(g -> g.shape().getEnvelopeInternal().getHeight()).orElse(0.0);
    }

    @Override
    public Optional<Glyph> glyph(int codePoint) {
        return drawn.computeIfAbsent(codePoint, this::draw);
    }

    private Optional<Glyph> draw(int code) {
        Font font = font();
        if (code < 0x20 || code >= 0x2100 || Character.isISOControl(code) || !font.canDisplay(code)) {
            return Optional.empty();
        }
        GlyphVector vector;
        Geometry outline;
        try {
            vector = font.createGlyphVector(context, Character.toChars(code));
            outline = Outlines.area(vector.getOutline(), SIZE / 500);
        } catch (RuntimeException e) { // a damaged letter of a font of one's own is a letter that the font lacks
            Journal.trouble("drawing a letter", e);
            return Optional.empty();
        }
        outline.apply(AffineTransformation.scaleInstance(1 / SIZE, 1 / SIZE));
        outline.geometryChanged();
        return Optional.of(new Glyph(outline.isEmpty() ? new GeometryFactory().createPolygon() : outline,
                vector.getGlyphMetrics(0).getAdvanceX() / SIZE));
    }
}
