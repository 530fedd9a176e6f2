package mosspebble.files;

import java.awt.Font;
import java.awt.FontFormatException;
import java.awt.font.FontRenderContext;
import java.awt.font.GlyphVector;
import java.io.IOException;
import java.io.InputStream;
import java.util.LinkedHashMap;
import java.util.Map;
import mosspebble.core.sketch.Typeface;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;
import org.locationtech.jts.geom.util.AffineTransformation;

/** Reads the outlines of a font file. */
final class Typefaces {

    private static final float SIZE = 1000;

    private Typefaces() {}

    /** Latin letters, digits and punctuation with the letters of Western and Central Europe. */
    static Typeface read(InputStream font, String id, String title, String place) throws FileTrouble {
        try {
            Font face = Font.createFont(Font.TRUETYPE_FONT, font).deriveFont(SIZE);
            FontRenderContext context = new FontRenderContext(null, true, true);
            Map<Integer, Typeface.Glyph> glyphs = new LinkedHashMap<>();
            for (int code = 0x20; code < 0x180; code++) {
                if (!Character.isISOControl(code) && face.canDisplay(code)) {
                    GlyphVector vector = face.createGlyphVector(context, Character.toChars(code));
                    Geometry outline = Outlines.area(vector.getOutline(), SIZE / 500);
                    outline.apply(AffineTransformation.scaleInstance(1 / SIZE, 1 / SIZE));
                    outline.geometryChanged();
                    glyphs.put(code, new Typeface.Glyph(outline.isEmpty() ? new GeometryFactory().createPolygon() : outline, vector.getGlyphMetrics(0).getAdvanceX() / SIZE));
                }
            }
            Typeface.Glyph capital = glyphs.get((int) 'H');
            if (capital == null || capital.shape().isEmpty()) {
                throw new FileTrouble(place, "The font has no letter H.", "Choose a font with Latin letters.");
            }
            return new Typeface(id, title, capital.shape().getEnvelopeInternal().getHeight(), glyphs);
        } catch (FontFormatException | IOException e) {
            throw new FileTrouble(place, "This is not a font that can be read.", "Choose a TrueType file.", e);
        }
    }
}
