package mosspebble.core.photo;

import boofcv.abst.fiducial.FiducialDetector;
import boofcv.alg.filter.binary.BinaryImageOps;
import boofcv.alg.filter.binary.Contour;
import boofcv.factory.fiducial.ConfigFiducialBinary;
import boofcv.factory.fiducial.FactoryFiducial;
import boofcv.factory.filter.binary.ConfigThreshold;
import boofcv.factory.filter.binary.ThresholdType;
import boofcv.struct.ConnectRule;
import boofcv.struct.image.GrayU8;
import georegression.struct.point.Point2D_I32;
import georegression.struct.shapes.Polygon2D_F64;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.BooleanSupplier;
import mosspebble.core.colour.Xyz;
import mosspebble.core.photo.PhotoFinding.Kind;
import mosspebble.core.units.Facts;
import mosspebble.core.units.Srgb;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;
import org.locationtech.jts.geom.Polygon;

/**
 * Reads stones from a photo of a plain sheet with the scale card beside them. The card's square marks give the plane (BoofCV finds them);
 * the sheet's hue and light are modelled; what is of another
 * hue, or darker than any shadow, is stone; its edge is then placed between pixels where the colour stands half way between sheet and
 * stone. A coloured sheet is best: a shadow keeps its hue. Not
 * shared between threads: the detector keeps its buffers.
 */
public final class PhotoReader {

    /** Longer side at which the photo is worked on, pixels. */
    private static final int WORKING = 1800;

    private static final double LEAST_STONE_MM2 = 150;
    private static final int MOST_STONES = 24;

    /** Hue distance from which a sheet counts as coloured. */
    private static final double COLOURED = 0.30;

    /** Log brightness against the sheet below which nothing is a shadow any more. */
    private static final double BELOW_SHADOW = -1.0;

    /** Lean of the camera from which lengths suffer, degrees. */
    private static final double MOST_LEAN = 18;

    /** Width of an edge from which the photo counts as blurred, pixels at working size and mm. */
    private static final double BLURRED_MM = 1.6;

    /** Pixels at working size below which a stone's area may be off by more than 1 %. */
    private static final double SMALL_PX = 13_500;

    /** Tangent of the sight's lean from which a stone counts as seen from aside. */
    private static final double ASIDE = 0.40;

    private static final GeometryFactory FACTORY = new GeometryFactory();

    private final FiducialDetector<GrayU8> detector = detector();

    private static FiducialDetector<GrayU8> detector() {
        ConfigFiducialBinary marks = new ConfigFiducialBinary(1);
        marks.gridWidth = 4;
        return FactoryFiducial.squareBinary(marks, ConfigThreshold.local(ThresholdType.LOCAL_MEAN, 41), GrayU8.class);
    }

    /**
     * @param stopAsked asked between stages; if it says so, the reading ends as if nothing had been found
     */
    public PhotoReading read(Photo photo, PhotoHints hints, BooleanSupplier stopAsked) {
        Photo small = photo.reduced(WORKING);
        double factor = reducedBy(photo);
        List<PhotoFinding> findings = new ArrayList<>();
        Frame frame = new Frame(small);
        Optional<SheetMap> map = map(small, frame, factor, hints, findings);
        if (map.isEmpty() || stopAsked.getAsBoolean()) {
            return new PhotoReading(Optional.empty(), Optional.empty(), List.of(), findings);
        }
        Reading reading = new Reading(frame, map.get(), hints, factor, findings);
        List<PhotoStone> stones = reading.stones(stopAsked);
        if (stones.isEmpty() && findings.stream().noneMatch(f -> f.kind() == Kind.TOUCHES_EDGE)) {
            findings.add(new PhotoFinding(Kind.NO_STONES, -1, Facts.none()));
        }
        return new PhotoReading(map, Optional.of(reading.white()), stones, findings);
    }

    /** How many pixels of the photo become one where it is worked on. */
    public static double reducedBy(Photo photo) {
        return Math.max(1, Math.ceil((double) Math.max(photo.width(), photo.height()) / WORKING));
    }

    // --- the card

    private Optional<SheetMap> map(Photo photo, Frame frame, double factor, PhotoHints hints, List<PhotoFinding> findings) {
        if (hints.distance().isPresent()) {
            PhotoHints.Line line = hints.distance().get().line();
            double pixels = Math.hypot(line.toX() - line.x(), line.toY() - line.y()) / factor;
            findings.add(new PhotoFinding(Kind.SCALE_BY_HAND, -1, Facts.none()));
            return Optional.of(SheetMap.ofScale(pixels / hints.distance().get().mm(), photo.width(), photo.height(), photo.focalPx()));
        }
        detector.detect(frame.grey());
        List<Coordinate> sheet = new ArrayList<>();
        List<Coordinate> image = new ArrayList<>();
        int seen = 0;
        for (int i = 0; i < detector.totalFound(); i++) {
            for (ScaleCard.Mark mark : ScaleCard.MARKS) {
                if (detector.getId(i) == mark.number()) {
                    Polygon2D_F64 corners = new Polygon2D_F64(4);
                    detector.getBounds(i, corners);
                    double[][] of = {{0, 0}, {1, 0}, {1, 1}, {0, 1}};
                    for (int k = 0; k < 4; k++) {
                        sheet.add(new Coordinate(mark.x() + of[k][0] * ScaleCard.MARK_MM, mark.y() + of[k][1] * ScaleCard.MARK_MM));
                        image.add(new Coordinate(corners.get(k).x, corners.get(k).y));
                    }
                    seen++;
                }
            }
        }
        if (seen == 0) {
            findings.add(new PhotoFinding(Kind.NO_CARD, -1, Facts.none()));
            return Optional.empty();
        }
        SheetMap map = SheetMap.of(sheet, image, photo.width(), photo.height(), photo.focalPx());
        if (seen < ScaleCard.MARKS.size()) {
            findings.add(new PhotoFinding(Kind.CARD_PARTLY_HIDDEN, -1, Facts.of("seen", seen).and("marks", ScaleCard.MARKS.size())));
        }
        if (map.offMm() > 0.35) {
            findings.add(new PhotoFinding(Kind.CARD_UNEVEN, -1, Facts.of("offMm", map.offMm())));
        }
        if (map.lean() > MOST_LEAN) {
            findings.add(new PhotoFinding(Kind.LEANED, -1, Facts.of("degrees", map.lean())));
        }
        return Optional.of(map);
    }

    // --- stones

    /** One photo being read. */
    private static final class Reading {

        private final Frame frame;
        private final SheetMap map;
        private final PhotoHints hints;
        private final double factor;
        private final List<PhotoFinding> findings;
        private final boolean[] card;
        private final SheetLight light;
        private final boolean coloured;
        private final double[] white = new double[3];

        Reading(Frame frame, SheetMap map, PhotoHints hints, double factor, List<PhotoFinding> findings) {
            this.frame = frame;
            this.map = map;
            this.hints = hints;
            this.factor = factor;
            this.findings = findings;
            this.card = hints.distance().isPresent() ? new boolean[frame.red.length] : cardPixels();
            this.light = SheetLight.of(frame, card);
            findWhite();
            double neutralRed = hints.distance().isPresent() ? 0 : Math.log(white[0] / white[1]);
            double neutralBlue = hints.distance().isPresent() ? 0 : Math.log(white[2] / white[1]);
            this.coloured = Math.hypot(light.hueRed - neutralRed, light.hueBlue - neutralBlue) > COLOURED;
        }

        private boolean[] cardPixels() {
            boolean[] pixels = new boolean[frame.red.length];
            Coordinate[] corners = {map.toImage(-4, -4), map.toImage(ScaleCard.WIDTH_MM + 4, -4),
                map.toImage(ScaleCard.WIDTH_MM + 4, ScaleCard.HEIGHT_MM + 4), map.toImage(-4, ScaleCard.HEIGHT_MM + 4)};
            int left = (int) Math.max(0, Arrays.stream(corners).mapToDouble(c -> c.x).min().orElse(0));
            int right = (int) Math.min(frame.width - 1, Arrays.stream(corners).mapToDouble(c -> c.x).max().orElse(0));
            int top = (int) Math.max(0, Arrays.stream(corners).mapToDouble(c -> c.y).min().orElse(0));
            int bottom = (int) Math.min(frame.height - 1, Arrays.stream(corners).mapToDouble(c -> c.y).max().orElse(0));
            for (int y = top; y <= bottom; y++) {
                for (int x = left; x <= right; x++) {
                    Coordinate at = map.toSheet(x + 0.5, y + 0.5);
                    pixels[y * frame.width + x] = at.x > -3.5 && at.y > -3.5 && at.x < ScaleCard.WIDTH_MM + 3.5
                            && at.y < ScaleCard.HEIGHT_MM + 3.5;
                }
            }
            return pixels;
        }

        /** Linear colour of the card's white field, and how wide an edge of the card's marks is. */
        private void findWhite() {
            if (hints.distance().isPresent()) {
                double level = Math.exp(light.expected(frame.width / 2.0, frame.height / 2.0));
                Arrays.fill(white, level * 1.2);
                return;
            }
            double[] colour = new double[3];
            List<double[]> samples = new ArrayList<>();
            for (double x = ScaleCard.WHITE.get(0) + 1; x < ScaleCard.WHITE.get(2); x += 2) {
                for (double y = ScaleCard.WHITE.get(1) + 1; y < ScaleCard.WHITE.get(3); y += 2) {
                    Coordinate at = map.toImage(x, y);
                    frame.sample(at.x, at.y, colour);
                    samples.add(colour.clone());
                }
            }
            for (int k = 0; k < 3; k++) {
                int band = k;
                double[] sorted = samples.stream().mapToDouble(s -> s[band]).sorted().toArray();
                white[k] = Math.max(0.01, sorted[sorted.length / 2]);
            }
            double edge = edgeMm();
            if (edge > BLURRED_MM) {
                findings.add(new PhotoFinding(Kind.BLURRED, -1, Facts.of("edgeMm", edge)));
            }
        }

        /** Width over which the brightness climbs from 10 to 90 % at the outer edges of the marks, the median of many, mm. */
        private double edgeMm() {
            List<Double> widths = new ArrayList<>();
            double[] colour = new double[3];
            for (ScaleCard.Mark mark : ScaleCard.MARKS) {
                for (double along = 2; along < ScaleCard.MARK_MM - 1; along += 2) {
                    double low = -1;
                    double high = -1;
                    double black = Double.MAX_VALUE;
                    double bright = 0;
                    double[] profile = new double[81];
                    for (int i = 0; i <= 80; i++) {
                        Coordinate at = map.toImage(mark.x() + along, mark.y() + 2 - i * 0.05);
                        frame.sample(at.x, at.y, colour);
                        profile[i] = colour[1];
                        black = Math.min(black, colour[1]);
                        bright = Math.max(bright, colour[1]);
                    }
                    for (int i = 0; i <= 80; i++) {
                        double share = (profile[i] - black) / Math.max(1e-6, bright - black);
                        low = share > 0.1 && low < 0 ? i : low;
                        high = share > 0.9 && high < 0 ? i : high;
                    }
                    widths.add((high - low) * 0.05);
                }
            }
            widths.sort(null);
            return widths.get(widths.size() / 2);
        }

        List<PhotoStone> stones(BooleanSupplier stopAsked) {
            if (!coloured) {
                findings.add(new PhotoFinding(Kind.PALE_SHEET, -1, Facts.none()));
            }
            GrayU8 mask = mask();
            List<PhotoStone> stones = new ArrayList<>();
            if (stopAsked.getAsBoolean()) {
                return stones;
            }
            List<Contour> contours = BinaryImageOps.contourExternal(mask, ConnectRule.FOUR);
            List<List<Coordinate>> rings = new ArrayList<>();
            for (Contour contour : contours) {
                List<Coordinate> ring = new ArrayList<>();
                for (Point2D_I32 p : contour.external) {
                    ring.add(new Coordinate(p.x + 0.5, p.y + 0.5));
                }
                if (ring.size() >= 40) {
                    rings.add(ring);
                }
            }
            rings.sort((a, b) -> {
                double ya = a.stream().mapToDouble(c -> c.y).average().orElse(0);
                double yb = b.stream().mapToDouble(c -> c.y).average().orElse(0);
                double xa = a.stream().mapToDouble(c -> c.x).average().orElse(0);
                double xb = b.stream().mapToDouble(c -> c.x).average().orElse(0);
                return Math.abs(ya - yb) > frame.height / 4.0 ? Double.compare(ya, yb) : Double.compare(xa, xb);
            });
            for (List<Coordinate> ring : rings) {
                if (stones.size() >= MOST_STONES || stopAsked.getAsBoolean()) {
                    break;
                }
                stone(ring, stones.size()).ifPresent(stones::add);
            }
            return stones;
        }

        private GrayU8 mask() {
            GrayU8 mask = new GrayU8(frame.width, frame.height);
            double hue = coloured
                    ? Math.max(0.14,
                            0.42 * Math.hypot(light.hueRed - Math.log(white[0] / white[1]), light.hueBlue - Math.log(white[2] / white[1])))
                    : 0.30;
            for (int y = 0; y < frame.height; y++) {
                for (int x = 0; x < frame.width; x++) {
                    int i = y * frame.width + x;
                    if (card[i]) {
                        continue;
                    }
                    double offRed = SheetLight.hueRed(frame, i) - light.hueRed;
                    double offBlue = SheetLight.hueBlue(frame, i) - light.hueBlue;
                    double off = Math.sqrt(offRed * offRed + offBlue * offBlue);
                    double brightness = SheetLight.brightness(frame, i) - light.expected(x, y);
                    boolean stone = coloured ? off > hue || brightness > 0.6 || brightness < -2.2
                            : brightness < BELOW_SHADOW || off > hue || brightness > 0.5;
                    mask.data[i] = (byte) (stone ? 1 : 0);
                }
            }
            for (PhotoHints.Line cut : hints.cuts()) {
                cut(mask, cut);
            }
            GrayU8 opened = BinaryImageOps.erode8(mask, 2, null);
            opened = BinaryImageOps.dilate8(opened, 4, null);
            opened = BinaryImageOps.erode8(opened, 2, null);
            for (PhotoHints.Line cut : hints.cuts()) {
                cut(opened, cut);
            }
            return opened;
        }

        private void cut(GrayU8 mask, PhotoHints.Line cut) {
            double dx = (cut.toX() - cut.x()) / factor;
            double dy = (cut.toY() - cut.y()) / factor;
            int steps = (int) Math.ceil(2 * Math.hypot(dx, dy)) + 1;
            for (int s = 0; s <= steps; s++) {
                int cx = (int) Math.round(cut.x() / factor + dx * s / steps);
                int cy = (int) Math.round(cut.y() / factor + dy * s / steps);
                for (int y = Math.max(0, cy - 1); y <= Math.min(frame.height - 1, cy + 1); y++) {
                    for (int x = Math.max(0, cx - 1); x <= Math.min(frame.width - 1, cx + 1); x++) {
                        mask.data[y * frame.width + x] = 0;
                    }
                }
            }
        }

        private Optional<PhotoStone> stone(List<Coordinate> rough, int number) {
            Polygon first = polygon(rough.stream().map(c -> map.toSheet(c.x, c.y)).toList());
            if (first.isEmpty() || first.getArea() < LEAST_STONE_MM2) {
                return Optional.empty();
            }
            boolean edge = rough.stream().anyMatch(c -> c.x < 4 || c.y < 4 || c.x > frame.width - 4 || c.y > frame.height - 4);
            if (edge) {
                findings.add(new PhotoFinding(Kind.TOUCHES_EDGE, -1, Facts.none()));
                return Optional.empty();
            }
            Edge refined = new Edge(frame, rough, coloured);
            List<Coordinate> pixels = refined.places();
            Polygon sheet = polygon(pixels.stream().map(c -> map.toSheet(c.x, c.y)).toList());
            if (sheet.isEmpty() || !sheet.isValid()) {
                return Optional.empty();
            }
            double perMm = map.pixelsPerMm(sheet.getCentroid().getX(), sheet.getCentroid().getY());
            if (waist(sheet)) {
                findings.add(new PhotoFinding(Kind.TOUCHES_ANOTHER, number, Facts.none()));
            }
            if (refined.softShare() > 0.14) {
                findings.add(new PhotoFinding(Kind.SHADOW, number, Facts.of("soft", refined.softShare())));
            }
            if (sheet.getArea() * perMm * perMm < SMALL_PX) {
                findings.add(new PhotoFinding(Kind.SMALL, number, Facts.none()));
            }
            double[] camera = map.camera();
            if (Math.hypot(sheet.getCentroid().getX() - camera[0], sheet.getCentroid().getY() - camera[1]) > ASIDE * camera[2]) {
                findings.add(new PhotoFinding(Kind.ASIDE, number, Facts.none()));
            }
            List<Coordinate> outward = pixels.stream().map(c -> new Coordinate(c.x * factor, c.y * factor)).toList();
            PhotoStone stone = new PhotoStone(outward, sheet, refined.noisePx() / perMm, colour(pixels), map);
            if (stone.folded()) {
                findings.add(new PhotoFinding(Kind.FOLDED, number, Facts.none()));
            }
            return Optional.of(stone);
        }

        /** Whether the outline falls into two large parts when it is shrunk: a neck between two stones. */
        private static boolean waist(Polygon sheet) {
            double area = sheet.getArea();
            double inner = Math.sqrt(area / Math.PI);
            for (double share = 0.25; share < 0.75; share += 0.05) {
                Geometry shrunk = sheet.buffer(-share * inner, 6);
                if (shrunk.isEmpty()) {
                    return false;
                }
                int large = 0;
                for (int i = 0; i < shrunk.getNumGeometries(); i++) {
                    large += shrunk.getGeometryN(i).getArea() > 0.04 * area ? 1 : 0;
                }
                if (large > 1) {
                    return true;
                }
            }
            return false;
        }

        /** How bright what reflects all would be at a place: the card's white is taken to reflect 0.9. */
        PhotoLight white() {
            Coordinate card = hints.distance().isPresent() ? null : map.toImage(ScaleCard.WIDTH_MM / 2, 15);
            return (x, y, linear) -> {
                double here = light.expected(x / factor, y / factor);
                double times = card == null ? 1 : Math.exp(here - light.expected(card.x, card.y));
                for (int k = 0; k < 3; k++) {
                    linear[k] = white[k] * times / 0.9;
                }
            };
        }

        /** Median colour inside, against white under the light at that place. */
        private Srgb colour(List<Coordinate> pixels) {
            double cx = pixels.stream().mapToDouble(c -> c.x).average().orElse(0);
            double cy = pixels.stream().mapToDouble(c -> c.y).average().orElse(0);
            List<double[]> samples = new ArrayList<>();
            double[] colour = new double[3];
            for (int i = 0; i < pixels.size(); i += 3) {
                for (double share = 0.05; share < 0.62; share += 0.12) {
                    frame.sample(cx + share * (pixels.get(i).x - cx), cy + share * (pixels.get(i).y - cy), colour);
                    samples.add(colour.clone());
                }
            }
            double[] one = new double[3];
            white().at(cx * factor, cy * factor, one);
            int[] codes = new int[3];
            for (int k = 0; k < 3; k++) {
                int band = k;
                double[] sorted = samples.stream().mapToDouble(s -> s[band]).sorted().toArray();
                double reflectance = sorted[sorted.length / 2] / one[k];
                codes[k] = (int) Math.round(255 * Xyz.encoded(Math.max(0, Math.min(1, reflectance))));
            }
            return new Srgb(codes[0], codes[1], codes[2]);
        }

        private static Polygon polygon(List<Coordinate> points) {
            if (points.size() < 4) {
                return FACTORY.createPolygon();
            }
            List<Coordinate> closed = new ArrayList<>(points);
            closed.add(points.get(0).copy());
            return FACTORY.createPolygon(closed.toArray(new Coordinate[0]));
        }
    }

    /**
     * What a photo would need for its focal length in pixels, from the 35 mm equivalent that cameras write: {@code f / 36 mm} of the longer
     * side (36 x 24 mm frame).
     */
    public static OptionalDouble focalPx(double equivalentMm, int width, int height) {
        return equivalentMm > 0 ? OptionalDouble.of(equivalentMm / 36 * Math.max(width, height)) : OptionalDouble.empty();
    }
}
