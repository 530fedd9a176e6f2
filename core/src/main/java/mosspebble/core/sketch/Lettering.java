package mosspebble.core.sketch;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import mosspebble.core.units.Srgb;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.util.AffineTransformation;

/**
 * Words set as a motif of letters: lines centred over one another, one part a letter, 1 unit = the cap height. Spacing is half the face's own advance, half
 * optical: the nearest distance of neighbouring letters made equal.
 */
public final class Lettering {

    private static final Slot LETTERS = new Slot("letters", "Letters", Srgb.ofHex("#2b2a33"));
    private static final double OPTICAL_GAP_EM = 0.075;
    private static final double LINE_STEP = 1.38;

    private Lettering() {}

    /** The letters of a word that the face does not have. */
    public static List<String> missing(Subject.Word word, Typeface face) {
        return String.join("", word.lines()).codePoints().filter(c -> face.glyph(c).isEmpty()).distinct().mapToObj(Character::toString).toList();
    }

    /** Sets the word; letters that the face lacks are left out. */
    public static Motif set(Subject.Word word, Typeface face) {
        List<MotifPart> parts = new ArrayList<>();
        List<Geometry> all = new ArrayList<>();
        double em = 1 / face.capHeight();
        for (int row = 0; row < word.lines().size(); row++) {
            List<Letter> letters = letters(word.lines().get(row), face);
            double width = letters.isEmpty() ? 0 : letters.get(letters.size() - 1).right();
            for (Letter letter : letters) {
                AffineTransformation place = new AffineTransformation().translate(letter.x - width / 2, 0).scale(em, em).translate(0, row * LINE_STEP);
                Geometry shape = place.transform(letter.shape);
                String id = "letter-" + (parts.size() + 1);
                parts.add(new MotifPart(id, "letter " + letter.text + " (" + (parts.size() + 1) + ")", Role.FILL, LETTERS.id(), shape, 0, 0, false,
                        Sits.ALWAYS, Optional.empty()));
                all.add(shape);
            }
        }
        if (parts.isEmpty()) {
            throw new IllegalArgumentException("The face " + face.title() + " has none of these letters.");
        }
        Geometry hull = Shapes.union(all).convexHull();
        return new Motif("word", String.join(" ", word.lines()), List.of(LETTERS), parts, hull, hull, false, false);
    }

    private record Letter(String text, Geometry shape, double x) {
        double right() {
            return x + shape.getEnvelopeInternal().getMaxX();
        }
    }

    private static List<Letter> letters(String line, Typeface face) {
        List<Letter> letters = new ArrayList<>();
        double pen = 0;
        boolean joined = false;
        for (int code : line.codePoints().toArray()) {
            Typeface.Glyph glyph = face.glyph(code).orElse(null);
            if (glyph == null) {
                continue;
            }
            if (glyph.shape().isEmpty()) {
                pen += glyph.advance();
                joined = false;
                continue;
            }
            double x = letters.isEmpty() ? -glyph.shape().getEnvelopeInternal().getMinX() : pen;
            if (joined) {
                Letter before = letters.get(letters.size() - 1);
                Geometry moved = AffineTransformation.translationInstance(x - before.x, 0).transform(glyph.shape());
                x += (OPTICAL_GAP_EM - before.shape.distance(moved)) / 2;
            }
            letters.add(new Letter(Character.toString(code), glyph.shape(), x));
            pen = x + glyph.advance();
            joined = true;
        }
        return letters;
    }
}
