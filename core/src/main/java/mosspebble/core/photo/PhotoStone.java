package mosspebble.core.photo;

import java.util.Arrays;
import java.util.List;
import mosspebble.core.stone.Dome;
import mosspebble.core.stone.Shape;
import mosspebble.core.stone.Stone;
import mosspebble.core.stone.StoneOutline;
import mosspebble.core.units.Millimetres;
import mosspebble.core.units.Srgb;
import org.locationtech.jts.algorithm.MinimumAreaRectangle;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;
import org.locationtech.jts.geom.Polygon;

/**
 * A stone found in a photo. Its silhouette is known on the sheet; how large the stone is depends on its height, as the camera sees the
 * girdle above the sheet and the shoulder bulging over it.
 *
 * @param pixels silhouette in the photo, pixels
 * @param sheet silhouette projected onto the sheet, mm
 * @param edgeMm how sharply the edge was seen, standard deviation, mm
 * @param colour of the dry stone, the light's colour taken out by the card's white
 */
public record PhotoStone(List<Coordinate> pixels, Polygon sheet, double edgeMm, Srgb colour, SheetMap map) {

    /** Height of a stone that was not measured, against its width (common practice, no source). */
    public static final double USUAL_HEIGHT = 0.42;

    private static final int SPOKES = 120;

    public PhotoStone {
        pixels = List.copyOf(pixels);
    }

    /** The height it is taken to have until it is measured, mm. */
    public double guessedHeightMm() {
        double[] box = box(sheet);
        return Math.max(4, Math.round(USUAL_HEIGHT * box[1]));
    }

    /**
     * The outline of the girdle on the sheet's frame. Every silhouette point lies on a line of sight that grazes the stone. It is moved
     * along the sight to the girdle's height; then the bulge is
     * taken off: where the dome rises to z at d inside the girdle, it is seen {@code max(z tan t - d)} beyond it, t the angle of the sight
     * from straight down across the edge (own derivation; for an
     * ellipsoid of half height c and half extent a that is {@code sqrt(a^2 + c^2 tan^2 t) - a}). A sight that leans outward grazes the
     * face, one that leans inward the back. The dome needed for this is that of
     * the outline found in a first pass, in which every cut through it is taken as that of an ellipse.
     *
     * @param faceMm height of the face over the girdle, mm
     * @param backMm depth of the back below it, mm
     */
    public Polygon outline(double faceMm, double backMm, double fullness) {
        Coordinate[] girdle = girdle(backMm);
        int n = girdle.length;
        double[] nx = new double[n];
        double[] ny = new double[n];
        double[] tan = new double[n];
        sights(girdle, backMm, nx, ny, tan);
        double cx = Arrays.stream(girdle).mapToDouble(c -> c.x).average().orElseThrow();
        double cy = Arrays.stream(girdle).mapToDouble(c -> c.y).average().orElseThrow();
        double[] out = new double[n];
        for (int i = 0; i < n; i++) {
            double support = Math.max(1, (girdle[i].x - cx) * nx[i] + (girdle[i].y - cy) * ny[i]);
            double lift = (tan[i] > 0 ? faceMm : backMm) * tan[i];
            out[i] = support - Math.sqrt(Math.max(0.25 * support * support, support * support - lift * lift));
        }
        Coordinate[] first = inward(girdle, nx, ny, out);
        StoneOutline.Traced traced = trace(first);
        Stone like = Stone.cobble().withOutline(traced.shape());
        StoneOutline own = StoneOutline.of(like);
        Dome dome = Dome.of(like);
        double toOwnX = own.poleX() - traced.poleX();
        double toOwnY = own.poleY() - traced.poleY();
        for (int i = 0; i < n; i++) {
            double lift = (tan[i] > 0 ? faceMm : backMm) * Math.abs(tan[i]);
            double most = 0;
            double deepest = 0.6 * Math.min(own.halfWidth(), own.halfHeight());
            for (int k = 1; k <= 60; k++) { // close steps near the girdle, where the profile is steep
                double d = deepest * k * k / 3600.0;
                double level = Math.max(0, dome.levelAt(first[i].x + toOwnX - d * nx[i], first[i].y + toOwnY - d * ny[i]));
                most = Math.max(most, lift * Math.sqrt(1 - Math.pow(1 - Math.min(1, level), fullness)) - d);
            }
            out[i] = most;
        }
        Coordinate[] ring = inward(girdle, nx, ny, out);
        Coordinate[] closed = Arrays.copyOf(ring, n + 1);
        closed[n] = ring[0].copy();
        return new GeometryFactory().createPolygon(closed);
    }

    /** The silhouette moved along the sights to the girdle's height. */
    private Coordinate[] girdle(double backMm) {
        double[] camera = map.camera();
        double lift = (camera[2] - backMm) / camera[2];
        Coordinate[] ring = sheet.getExteriorRing().getCoordinates();
        Coordinate[] girdle = new Coordinate[ring.length - 1];
        for (int i = 0; i < girdle.length; i++) {
            girdle[i] = new Coordinate(camera[0] + (ring[i].x - camera[0]) * lift, camera[1] + (ring[i].y - camera[1]) * lift);
        }
        return girdle;
    }

    /** Outward normals, and the tangent of the sight's lean across the edge, positive outward. */
    private void sights(Coordinate[] girdle, double backMm, double[] nx, double[] ny, double[] tan) {
        double[] camera = map.camera();
        int n = girdle.length;
        int reach = Math.max(1, n / 90);
        double turning = orientation(girdle);
        for (int i = 0; i < n; i++) {
            Coordinate before = girdle[Math.floorMod(i - reach, n)];
            Coordinate after = girdle[(i + reach) % n];
            double size = Math.max(1e-9, before.distance(after));
            nx[i] = turning * (after.y - before.y) / size;
            ny[i] = -turning * (after.x - before.x) / size;
            tan[i] = ((girdle[i].x - camera[0]) * nx[i] + (girdle[i].y - camera[1]) * ny[i]) / (camera[2] - backMm);
        }
    }

    private static Coordinate[] inward(Coordinate[] ring, double[] nx, double[] ny, double[] by) {
        Coordinate[] moved = new Coordinate[ring.length];
        Arrays.setAll(moved, i -> new Coordinate(ring[i].x - by[i] * nx[i], ring[i].y - by[i] * ny[i]));
        return moved;
    }

    private static StoneOutline.Traced trace(Coordinate[] ring) {
        return StoneOutline.trace(Shape.Source.PHOTO, Arrays.stream(ring).mapToDouble(c -> c.x).toArray(),
                Arrays.stream(ring).mapToDouble(c -> c.y).toArray(), SPOKES);
    }

    private static double orientation(Coordinate[] ring) {
        double area = 0;
        for (int i = 0, j = ring.length - 1; i < ring.length; j = i++) {
            area += ring[j].x * ring[i].y - ring[i].x * ring[j].y;
        }
        return area >= 0 ? 1 : -1;
    }

    /**
     * The stone, its length along the longer side of its smallest box.
     *
     * @param height as measured, or {@link #guessedHeightMm}
     * @param like gives what a photo does not tell: how the height is shared, fullness, rock, texture
     */
    public Stone stone(Millimetres height, Stone like) {
        double face = height.value() * like.faceShare();
        Polygon outline = outline(face, height.value() - face, like.fullness());
        double angle = angle(outline);
        Coordinate[] ring = outline.getExteriorRing().getCoordinates();
        Coordinate[] turned = new Coordinate[ring.length - 1];
        Arrays.setAll(turned, i -> new Coordinate(ring[i].x * Math.cos(angle) + ring[i].y * Math.sin(angle),
                -ring[i].x * Math.sin(angle) + ring[i].y * Math.cos(angle)));
        Shape.Measured shape = trace(turned).shape();
        Stone traced = like.withOutline(shape).withPatches(List.of()).withWayUp(0).withSkin(like.skin().withColour(colour));
        return traced.withSize(traced.length(), traced.width(), height);
    }

    /** Whether the outline folds back on itself, so that its hollows are bridged over. */
    boolean folded() {
        Coordinate[] ring = sheet.getExteriorRing().getCoordinates();
        return trace(Arrays.copyOf(ring, ring.length - 1)).bridged();
    }

    /**
     * How far a length may be off, mm (two standard deviations): edge, card and the height that lifts the girdle toward the camera.
     *
     * @param heightOffMm how far the height may be off
     */
    public double lengthOffMm(double heightOffMm) {
        double length = box(sheet)[0];
        double parallax = length * 0.5 * heightOffMm / map.camera()[2];
        double focal = map.focal() == SheetMap.Focal.GUESSED ? 0.15 : map.focal() == SheetMap.Focal.PERSPECTIVE ? 0.05 : 0.01;
        double distance = length * 0.5 * guessedHeightMm() / map.camera()[2] * focal;
        double card = length / ScaleCard.WIDTH_MM * map.offMm();
        double lean = length * Math.pow(Math.sin(Math.toRadians(map.lean())), 2) * 0.02;
        return 2 * Math.sqrt(2 * edgeMm * edgeMm / 6 + parallax * parallax + distance * distance + card * card + lean * lean);
    }

    private static double angle(Polygon outline) {
        Coordinate[] corners = MinimumAreaRectangle.getMinimumRectangle(outline).getCoordinates();
        Coordinate a = corners[0];
        Coordinate b = corners[1].distance(a) >= corners[2].distance(corners[1]) ? corners[1] : corners[2];
        Coordinate from = b == corners[1] ? a : corners[1];
        double angle = Math.atan2(b.y - from.y, b.x - from.x);
        return angle > Math.PI / 2 ? angle - Math.PI : angle <= -Math.PI / 2 ? angle + Math.PI : angle; // nearest to how it lay
    }

    /** Longer and shorter side of the smallest box. */
    static double[] box(Geometry outline) {
        Coordinate[] corners = MinimumAreaRectangle.getMinimumRectangle(outline).getCoordinates();
        double a = corners[0].distance(corners[1]);
        double b = corners[1].distance(corners[2]);
        return new double[] {Math.max(a, b), Math.min(a, b)};
    }
}
