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

/** Reads the outlines of font files, a letter when it is first wanted: most letters of most faces never are. */
final class Typefaces {

    private static final float SIZE = 1000;
    private static final int MOST_BYTES = 8_000_000;

    private Typefaces() {}

    /** Latin letters, digits and punctuation with the letters of Western and Central Europe. */
    static Typeface read(InputStream font, String id, String title, String place) throws FileTrouble {
        try {
            byte[] bytes = font.readNBytes(MOST_BYTES + 1);
            if (bytes.length > MOST_BYTES) {
                throw new FileTrouble(place, "The font is larger than 8 MB.", "Choose a smaller TrueType file.");
            }
            Face face = new Face(id, title, Font.createFont(Font.TRUETYPE_FONT, new ByteArrayInputStream(bytes)).deriveFont(SIZE));
            if (face.capHeight() <= 0) {
                throw new FileTrouble(place, "The font has no letter H.", "Choose a font with Latin letters.");
            }
            return face;
        } catch (FontFormatException | IOException e) {
            throw new FileTrouble(place, "This is not a font that can be read.", "Choose a TrueType file.", e);
        }
    }

    /** A shipped face that is opened when it is first used. */
    static Typeface shipped(String id, String title, String file) {
        return new Typeface() {
            private Typeface opened;

            private synchronized Typeface face() {
                if (opened == null) {
                    try (InputStream in = BuiltIn.open("fonts/" + file)) {
                        opened = read(in, id, title, file);
                    } catch (FileTrouble | IOException e) {
                        throw new IllegalStateException("A shipped font is damaged; install Moss Pebble again. " + e.getMessage(), e);
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
                return face().capHeight();
            }

            @Override
            public Optional<Glyph> glyph(int codePoint) {
                return face().glyph(codePoint);
            }
        };
    }

    private static final class Face implements Typeface {

        private final String id;
        private final String title;
        private final Font font;
        private final FontRenderContext context = new FontRenderContext(null, true, true);
        private final Map<Integer, Optional<Glyph>> drawn = new ConcurrentHashMap<>();

        Face(String id, String title, Font font) {
            this.id = id;
            this.title = title;
            this.font = font;
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
            if (code < 0x20 || code >= 0x2100 || Character.isISOControl(code) || !font.canDisplay(code)) {
                return Optional.empty();
            }
            GlyphVector vector = font.createGlyphVector(context, Character.toChars(code));
            Geometry outline = Outlines.area(vector.getOutline(), SIZE / 500);
            outline.apply(AffineTransformation.scaleInstance(1 / SIZE, 1 / SIZE));
            outline.geometryChanged();
            return Optional.of(new Glyph(outline.isEmpty() ? new GeometryFactory().createPolygon() : outline, vector.getGlyphMetrics(0).getAdvanceX() / SIZE));
        }
    }
}
