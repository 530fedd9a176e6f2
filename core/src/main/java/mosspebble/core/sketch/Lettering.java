package mosspebble.core.sketch;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import mosspebble.core.area.Shapes;
import mosspebble.core.units.Bisection;
import mosspebble.core.units.Srgb;
import org.locationtech.jts.algorithm.construct.MaximumInscribedCircle;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Envelope;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.LinearRing;
import org.locationtech.jts.geom.util.AffineTransformation;

/**
 * Words set as a motif of letters: lines over one another, 1 unit = the cap height, the first baseline at 0. A letter keeps its form; arcs,
 * waves and rims move and turn it as a whole. Spacing is
 * partly the face's own advance, partly optical: the nearest distance of neighbouring letters made equal.
 */
public final class Lettering {

    private static final Slot LETTERS = new Slot("letters", "Letters", Srgb.ofHex("#2b2a33"));
    private static final Slot SHADOW = new Slot("shadow", "Shade of the letters", Srgb.ofHex("#8a8f98"));
    private static final Slot INLINE = new Slot("inline", "Light in the letters", Srgb.ofHex("#f3ead2"));
    private static final double OPTICAL_GAP_EM = 0.075;

    /** A letter box is so much wider than the widest letter (common practice, no source). */
    private static final double BOX = 1.12;

    /** Length of a letter's shade, em, and how far along the middle of its strokes the light goes. */
    private static final double SHADE_EM = 0.085;
    private static final double INLINE_SHARE = 0.6;

    /** Most of the rim that a line may take. */
    private static final double MOST_OF_RIM = 0.94;

    private Lettering() {}

    /** The letters of a word that the face does not have. */
    public static List<String> missing(Subject.Word word, Typeface face) {
        return String.join("", word.lines()).codePoints().filter(c -> face.glyph(c).isEmpty()).distinct().mapToObj(Character::toString)
                .toList();
    }

    /** Sets the word on its own; letters that the face lacks are left out. A word on the rim is set straight: the stone bends it. */
    public static Motif set(Subject.Word word, Typeface face) {
        List<Row> rows = rows(word, face);
        LetterSetting setting = word.setting();
        double widest = rows.stream().mapToDouble(Row::width).max().orElse(0);
        double bend = setting.path() == LetterSetting.Path.ARC ? Math.toRadians(setting.bend()) : 0;
        double radius = Math.abs(bend) < 0.02 ? 0 : widest / bend; // negative: hollow side up
        return motif(word, face, rows, (letter, row) -> {
            double middle = letter.middle();
            double down = row * setting.lineStep();
            if (radius != 0) {
                double own = radius > 0 ? Math.max(0.2, radius - down) : radius - down;
                double angle = middle / own;
                return new AffineTransformation().translate(-middle, 0).rotate(angle).translate(own * Math.sin(angle),
                        radius - own * Math.cos(angle));
            }
            if (setting.path() == LetterSetting.Path.WAVE && widest > 0) {
                double high = setting.bend() / 100;
                double turn = 2 * Math.PI * middle / widest;
                double slope = -high * 2 * Math.PI / widest * Math.cos(turn);
                return new AffineTransformation().translate(-middle, 0).rotate(Math.atan(slope)).translate(middle,
                        down - high * Math.sin(turn));
            }
            return AffineTransformation.translationInstance(0, down);
        });
    }

    /** Where a letter of a row goes. */
    private interface Path {
        AffineTransformation place(Letter letter, int row);
    }

    private static Motif motif(Subject.Word word, Typeface face, List<Row> rows, Path path) {
        List<MotifPart> shades = new ArrayList<>();
        List<MotifPart> parts = new ArrayList<>();
        List<Geometry> all = new ArrayList<>();
        LetterSetting setting = word.setting();
        int count = 0;
        for (int row = 0; row < rows.size(); row++) {
            for (Letter letter : rows.get(row).letters()) {
                count++;
                Geometry shape = path.place(letter, row).transform(letter.shape());
                String id = "letter-" + count;
                String title = letter.title();
                all.add(shape);
                if (shape.getDimension() < 2) {
                    swollen(shape, setting.swell() / face.capHeight())
                            .ifPresent(thick -> parts.add(part(id + "-down", title + ", down-strokes", Role.FILL, LETTERS, thick, 0)));
                    parts.add(part(id, title, Role.LINE, LETTERS, shape, setting.penMm()));
                    continue;
                }
                Geometry solid = setting.swell() > 0 ? Shapes.swept(shape, setting.swell() / face.capHeight(), 0) : shape;
                switch (setting.style()) {
                    case OUTLINE -> parts.add(part(id, title, Role.LINE, LETTERS, solid.getBoundary(), setting.penMm()));
                    case SOLID -> parts.add(part(id, title, Role.FILL, LETTERS, solid, 0));
                    case INLINE -> {
                        parts.add(part(id, title, Role.FILL, LETTERS, solid, 0));
                        Geometry light = Shapes.grown(solid, -INLINE_SHARE * halfStem(solid));
                        if (!light.isEmpty()) {
                            parts.add(part(id + "-light", "light in the " + title, Role.FILL, INLINE, light, 0));
                        }
                    }
                    case SHADOW -> {
                        double em = SHADE_EM / face.capHeight();
                        shades.add(part(id + "-shade", "shade of the " + title, Role.FILL, SHADOW, Shapes.swept(solid, em, em), 0));
                        parts.add(part(id, title, Role.FILL, LETTERS, solid, 0));
                    }
                }
            }
        }
        if (all.isEmpty()) {
            throw new IllegalArgumentException("The face " + face.title() + " has none of these letters.");
        }
        List<MotifPart> whole = new ArrayList<>(shades);
        whole.addAll(parts);
        List<Slot> slots = new ArrayList<>(List.of(LETTERS));
        if (whole.stream().anyMatch(p -> p.slot().equals(SHADOW.id()))) {
            slots.add(SHADOW);
        }
        if (whole.stream().anyMatch(p -> p.slot().equals(INLINE.id()))) {
            slots.add(INLINE);
        }
        Geometry hull = all.get(0).getFactory().createGeometryCollection(whole.stream().map(MotifPart::shape).toArray(Geometry[]::new))
                .convexHull();
        return new Motif("word", word.text(), slots, whole, hull, hull, false, false);
    }

    private static MotifPart part(String id, String title, Role role, Slot slot, Geometry shape, double penMm) {
        return new MotifPart(id, title, role, slot.id(), shape, new MotifPart.Make(penMm, 0, false, Presence.ALWAYS), Optional.empty());
    }

    /** Half the width of the widest stroke: the largest disc in the letter. */
    private static double halfStem(Geometry letter) {
        return new MaximumInscribedCircle(letter, 0.01).getRadiusLine().getLength();
    }

    /**
     * The strokes of a single-stroke letter that go down rather than across, thickened to the right: area of each segment swept sideways.
     */
    private static Optional<Geometry> swollen(Geometry lines, double by) {
        List<Geometry> down = new ArrayList<>();
        for (int i = 0; by > 0 && i < lines.getNumGeometries(); i++) {
            Coordinate[] c = lines.getGeometryN(i).getCoordinates();
            for (int k = 1; k < c.length; k++) {
                double share = (c[k].y - c[k - 1].y) / Math.max(1e-9, c[k].distance(c[k - 1]));
                if (share > 0.5) {
                    down.add(Shapes.swept(c[k - 1], c[k], by * share, 0));
                }
            }
        }
        return down.isEmpty() ? Optional.empty() : Optional.of(Shapes.union(down)).filter(g -> !g.isEmpty());
    }

    // --- on the rim

    /**
     * The word along the edge of what is painted, its middle where the placement's turn points (0 is the top, clockwise), cap height the
     * placement's size. In the lower half letters stand with their heads
     * inward, so that they are upright for the reader.
     *
     * @return parts in mm; empty if it is longer than the rim
     */
    static Optional<Motif> onRim(Subject.Word word, Typeface face, Item item, Support bed) {
        double cap = item.placement().scale();
        List<Row> rows = rows(word, face);
        boolean below = Math.abs(item.placement().turn()) > 90;
        List<ChordWalk> walks = new ArrayList<>();
        for (int row = 0; row < rows.size(); row++) {
            int inward = below ? rows.size() - 1 - row : row;
            Optional<LinearRing> curve = rim(bed,
                    Math.abs(word.setting().bend()) + cap * (inward * word.setting().lineStep() + (below ? 0 : 1)));
            if (curve.isEmpty()) {
                return Optional.empty();
            }
            walks.add(new ChordWalk(curve.get()));
            if (rows.get(row).width() * cap > MOST_OF_RIM * walks.get(row).length) {
                return Optional.empty();
            }
        }
        Coordinate middle = bed.zones().paintable().getEnvelopeInternal().centre();
        return Optional.of(motif(word, face, rows, (letter, row) -> {
            ChordWalk walk = walks.get(row);
            double from = toward(walk, middle, item.placement().turn());
            double s = from + (below ? -1 : 1) * letter.middle() * cap;
            Coordinate at = walk.at(s);
            double reach = Math.max(0.3, 0.4 * letter.shape().getEnvelopeInternal().getWidth() * cap);
            Coordinate a = walk.at(s - reach);
            Coordinate b = walk.at(s + reach);
            double angle = Math.atan2(b.y - a.y, b.x - a.x) + (below ? Math.PI : 0);
            return new AffineTransformation().translate(-letter.middle(), 0).scale(cap, cap).rotate(angle).translate(at.x, at.y);
        }));
    }

    private static Optional<LinearRing> rim(Support bed, double insetMm) {
        return Shapes.ring(Shapes.grown(bed.zones().paintable(), -insetMm));
    }

    /** Length along the curve to where a direction from the middle meets it. */
    private static double toward(ChordWalk walk, Coordinate middle, double degrees) {
        double best = 0;
        double nearest = Double.POSITIVE_INFINITY;
        for (int i = 0; i < 1440; i++) {
            double s = walk.length * i / 1440;
            Coordinate c = walk.at(s);
            double off = Math.abs(Math.IEEEremainder(Math.toDegrees(Math.atan2(c.x - middle.x, middle.y - c.y)) - degrees, 360));
            if (off < nearest) {
                nearest = off;
                best = s;
            }
        }
        return best;
    }

    /** The largest cap height with which the word goes on the rim, and leaves most of the way to the middle free; mm. */
    static Optional<Double> largestOnRim(Subject.Word word, Typeface face, Item item, Support bed) {
        Envelope box = bed.zones().paintable().getEnvelopeInternal();
        double low = Bisection.largest(0, Math.min(box.getWidth(), box.getHeight()) / 8, 23,
                cap -> onRim(word, face, item.withPlacement(new Placement(0, 0, item.placement().turn(), Math.max(0.1, cap))), bed)
                        .isPresent())
                .low();
        return low > 0.5 ? Optional.of(low) : Optional.empty();
    }

    // --- spacing

    /**
     * One letter in its line.
     *
     * @param shape in cap heights, where it stands in the line, whose middle is at 0
     * @param number in the whole text
     */
    record Letter(String text, String title, Geometry shape, int number) {
        double middle() {
            return shape.getEnvelopeInternal().centre().x;
        }
    }

    /** A line of letters. */
    record Row(List<Letter> letters, double width) {}

    static List<Row> rows(Subject.Word word, Typeface face) {
        List<Row> rows = new ArrayList<>();
        int first = 0;
        for (String line : word.lines()) {
            rows.add(row(line, first, face, word.setting()));
            first += line.codePointCount(0, line.length());
        }
        return rows;
    }

    private static Row row(String line, int first, Typeface face, LetterSetting setting) {
        int[] codes = line.codePoints().filter(c -> face.glyph(c).isPresent()).toArray();
        List<Geometry> shapes = new ArrayList<>();
        List<Double> places = new ArrayList<>();
        double box = 0;
        for (int code : codes) {
            box = Math.max(box,
                    face.glyph(code).orElseThrow().shape().getEnvelopeInternal().getWidth() * BOX + Math.max(0, setting.space()));
        }
        double pen = 0;
        int before = -1;
        int[] all = line.codePoints().toArray();
        int k = 0;
        for (int i = 0; i < all.length; i++) {
            if (face.glyph(all[i]).isEmpty()) {
                continue;
            }
            Typeface.Glyph glyph = face.glyph(all[i]).orElseThrow();
            Envelope own = glyph.shape().getEnvelopeInternal();
            pen += setting.kerns().getOrDefault(first + i, 0.0);
            if (setting.boxes()) {
                places.add(k * box + (box - own.getWidth()) / 2 - own.getMinX() + setting.kerns().getOrDefault(first + i, 0.0));
            } else if (glyph.shape().isEmpty()) {
                places.add(pen);
                pen += glyph.advance() + setting.space();
            } else {
                double x = shapes.isEmpty() ? -own.getMinX() : pen;
                if (before >= 0) {
                    Geometry moved = AffineTransformation.translationInstance(x - places.get(before), 0).transform(glyph.shape());
                    double gap = shapes.get(before).distance(moved);
                    x += setting.optical() * (OPTICAL_GAP_EM - gap) + setting.space();
                }
                places.add(x);
                pen = x + glyph.advance();
            }
            before = glyph.shape().isEmpty() ? -1 : shapes.size();
            shapes.add(glyph.shape());
            k++;
        }
        return centred(line, all, first, shapes, places, face, setting.boxes() ? k * box : 0);
    }

    /** Moves the line so that its middle is at 0: the middle of its boxes, or of what is drawn. */
    private static Row centred(String line, int[] codes, int first, List<Geometry> shapes, List<Double> places, Typeface face,
            double boxed) {
        Envelope drawn = new Envelope();
        for (int i = 0; i < shapes.size(); i++) {
            if (!shapes.get(i).isEmpty()) {
                Envelope own = shapes.get(i).getEnvelopeInternal();
                drawn.expandToInclude(places.get(i) + own.getMinX(), 0);
                drawn.expandToInclude(places.get(i) + own.getMaxX(), 0);
            }
        }
        double middle = boxed > 0 ? boxed / 2 : drawn.isNull() ? 0 : drawn.centre().x;
        double em = 1 / face.capHeight();
        List<Letter> letters = new ArrayList<>();
        int at = 0;
        int count = 0;
        int seen = (int) shapes.stream().filter(s -> !s.isEmpty()).count();
        for (int i = 0; i < codes.length; i++) {
            if (face.glyph(codes[i]).isEmpty()) {
                continue;
            }
            if (!shapes.get(at).isEmpty()) {
                count++;
                String text = Character.toString(codes[i]);
                String title = PartName.ofLetter(text, line, count == 1, count == seen);
                letters.add(new Letter(text, title,
                        new AffineTransformation().translate(places.get(at) - middle, 0).scale(em, em).transform(shapes.get(at)),
                        first + i));
            }
            at++;
        }
        return new Row(letters, Math.max(boxed, drawn.isNull() ? 0 : drawn.getWidth()) * em);
    }

    // --- line breaks

    /** The text broken into one to four lines, and the cap height that it then fits with, mm. */
    public record Arranged(List<String> lines, Placement placement) {
        public double capMm() {
            return placement.scale();
        }
    }

    /** The break with which the letters become largest on this face; empty if none fits. */
    public static Optional<Arranged> arranged(Subject.Word word, Typeface face, Support bed, double marginMm) {
        List<String> words = List.of(word.text().strip().split("\\s+"));
        List<List<String>> breaks = new ArrayList<>();
        breaks(words, 0, new ArrayList<>(), breaks);
        Geometry zone = Shapes.grown(bed.zones().face(), -marginMm);
        Envelope room = zone.getEnvelopeInternal();
        Map<List<Object>, Double> known = new HashMap<>(); // most lines are part of many breaks
        Map<List<String>, Double> estimates = new HashMap<>();
        breaks.forEach(
                lines -> estimates.put(lines, estimate(widths(lines, word.setting(), face, known), room, word.setting().lineStep())));
        List<Subject.Word> tries = breaks.stream().sorted(Comparator.comparingDouble(lines -> -estimates.get(lines))).limit(3)
                .map(lines -> new Subject.Word(lines, word.typeface(), word.setting())).toList();
        return tries.stream().flatMap(
                w -> LargestFit.centred(set(w, face).sitting(), zone, 0, 0, 1).map(f -> new Arranged(w.lines(), f.placement())).stream())
                .max(Comparator.comparingDouble(Arranged::capMm));
    }

    /** How wide each line is, in cap heights; where letters are moved by hand it counts which letters they are. */
    static List<Double> widths(List<String> lines, LetterSetting setting, Typeface face, Map<List<Object>, Double> known) {
        List<Double> widths = new ArrayList<>();
        int first = 0;
        for (String line : lines) {
            int number = first;
            widths.add(known.computeIfAbsent(List.of(line, setting.kerns().isEmpty() ? 0 : number),
                    k -> row(line, number, face, setting).width()));
            first += line.codePointCount(0, line.length());
        }
        return widths;
    }

    /** Cap height with which the corners of every line lie in the ellipse of the room. */
    private static double estimate(List<Double> widths, Envelope room, double lineStep) {
        double cap = Double.POSITIVE_INFINITY;
        double high = 1 + (widths.size() - 1) * lineStep;
        for (int i = 0; i < widths.size(); i++) {
            for (double y : new double[] {i * lineStep - high / 2, i * lineStep + 1 - high / 2}) {
                cap = Math.min(cap, 1 / Math.hypot(widths.get(i) / room.getWidth(), 2 * y / room.getHeight()));
            }
        }
        return cap;
    }

    private static void breaks(List<String> words, int from, List<String> lines, List<List<String>> found) {
        if (from == words.size()) {
            found.add(List.copyOf(lines));
            return;
        }
        if (lines.size() == 4 || found.size() > 2000) {
            return;
        }
        for (int to = from + 1; to <= words.size(); to++) {
            lines.add(String.join(" ", words.subList(from, to)));
            breaks(words, to, lines, found);
            lines.remove(lines.size() - 1);
        }
    }
}
