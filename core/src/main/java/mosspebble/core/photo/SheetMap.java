package mosspebble.core.photo;

import boofcv.alg.geo.h.HomographyDirectLinearTransform;
import boofcv.factory.geo.FactoryMultiView;
import boofcv.struct.geo.AssociatedPair;
import boofcv.struct.geo.Point2D3D;
import georegression.geometry.ConvertRotation3D_F64;
import georegression.struct.point.Point2D_F64;
import georegression.struct.point.Point3D_F64;
import georegression.struct.se.Se3_F64;
import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import org.ejml.data.DMatrixRMaj;
import org.locationtech.jts.geom.Coordinate;

/**
 * Between the photo and the sheet: the homography of the sheet's plane (direct linear transform on normalised points, R. Hartley and A.
 * Zisserman, Multiple View Geometry, 2nd ed., section 4.1; by
 * BoofCV) and where the camera stood (the same book, section 8.1: H = K [r1 r2 t], pixels square, principal point in the middle).
 */
public final class SheetMap {

    /** A phone's usual focal length against the longer side of its picture, where nothing better is known (common practice, no source). */
    static final double USUAL_FOCAL = 0.76;

    /** Lean of the camera from which its focal length can be told from the card's perspective, degrees. */
    private static final double TELLING_LEAN = 9;

    /** Where the focal length came from. */
    public enum Focal { CAMERA, PERSPECTIVE, GUESSED }

    private final double[] toImage;
    private final double[] toSheet;
    private final double middleX;
    private final double middleY;
    private final double[] camera;
    private final double lean;
    private final Focal focal;
    private final double offMm;

    private SheetMap(double[] toImage, double middleX, double middleY, double[] camera, double lean, Focal focal, double offMm) {
        this.toImage = toImage;
        this.toSheet = inverse(toImage);
        this.middleX = middleX;
        this.middleY = middleY;
        this.camera = camera;
        this.lean = lean;
        this.focal = focal;
        this.offMm = offMm;
    }

    /**
     * @param sheet places on the sheet, mm, four or more
     * @param image the same in the photo, pixels
     */
    static SheetMap of(List<Coordinate> sheet, List<Coordinate> image, int width, int height, OptionalDouble focalPx) {
        double mx = width / 2.0;
        double my = height / 2.0;
        List<AssociatedPair> pairs = new ArrayList<>();
        for (int i = 0; i < sheet.size(); i++) {
            pairs.add(new AssociatedPair(sheet.get(i).x, sheet.get(i).y, image.get(i).x - mx, image.get(i).y - my));
        }
        DMatrixRMaj found = new DMatrixRMaj(3, 3);
        if (!new HomographyDirectLinearTransform(true).process(pairs, found)) {
            throw new IllegalStateException("no homography from " + pairs.size() + " points");
        }
        double[] h = found.data.clone();
        double size = h[8] == 0 ? 1 : h[8];
        for (int i = 0; i < 9; i++) {
            h[i] /= size;
        }
        double longer = Math.max(width, height);
        OptionalDouble fromView = focalFromPerspective(h);
        Focal focal = focalPx.isPresent() ? Focal.CAMERA : fromView.isPresent() ? Focal.PERSPECTIVE : Focal.GUESSED;
        double f = focalPx.isPresent() ? focalPx.getAsDouble() : fromView.orElse(USUAL_FOCAL * longer);
        double[][] pose = pose(h, f);
        if (focal == Focal.PERSPECTIVE && (leanOf(pose) < TELLING_LEAN || f < 0.35 * longer || f > 4 * longer)) {
            focal = Focal.GUESSED;
            pose = pose(h, USUAL_FOCAL * longer);
        }
        if (focal == Focal.CAMERA) { // six unknowns in place of eight: truer far from the card
            h = refined(pairs, pose, f);
            pose = pose(h, f);
        }
        SheetMap map = new SheetMap(h, mx, my, pose[3], leanOf(pose), focal, 0);
        double squares = 0;
        for (int i = 0; i < sheet.size(); i++) {
            squares += Math.pow(map.toSheet(image.get(i).x, image.get(i).y).distance(sheet.get(i)), 2);
        }
        return new SheetMap(h, mx, my, pose[3], leanOf(pose), focal, Math.sqrt(squares / sheet.size()));
    }

    /**
     * The plane's homography from the camera's pose, refined on the reprojected corners with the known focal length (BoofCV). Its frame has
     * z into the table.
     */
    private static double[] refined(List<AssociatedPair> pairs, double[][] pose, double f) {
        List<Point2D3D> points = new ArrayList<>();
        for (AssociatedPair pair : pairs) {
            points.add(new Point2D3D(new Point2D_F64(pair.p2.x / f, pair.p2.y / f), new Point3D_F64(pair.p1.x, pair.p1.y, 0)));
        }
        DMatrixRMaj rough = new DMatrixRMaj(3, 3);
        for (int row = 0; row < 3; row++) {
            rough.set(row, 0, pose[0][row]);
            rough.set(row, 1, pose[1][row]);
            rough.set(row, 2, -pose[2][row]);
        }
        Se3_F64 start = new Se3_F64();
        ConvertRotation3D_F64.approximateRotationMatrix(rough, start.R);
        start.T.setTo(pose[4][0], pose[4][1], pose[4][2]);
        Se3_F64 found = new Se3_F64();
        if (!FactoryMultiView.pnpRefine(1e-14, 80).fitModel(points, start, found)) {
            found.setTo(start);
        }
        double[] h = new double[9];
        for (int row = 0; row < 3; row++) {
            double scale = row < 2 ? f : 1;
            h[3 * row] = scale * found.R.get(row, 0);
            h[3 * row + 1] = scale * found.R.get(row, 1);
            h[3 * row + 2] = scale * found.T.getIdx(row);
        }
        for (int i = 0; i < 9; i++) {
            h[i] /= found.T.z;
        }
        return h;
    }

    /** A plain scale from two marked points: no perspective, the camera taken to look straight down. */
    static SheetMap ofScale(double pixelsPerMm, int width, int height, OptionalDouble focalPx) {
        double f = focalPx.orElse(USUAL_FOCAL * Math.max(width, height));
        double[] h = {pixelsPerMm, 0, -width / 2.0, 0, pixelsPerMm, -height / 2.0, 0, 0, 1};
        return new SheetMap(h, width / 2.0, height / 2.0,
                new double[] {width / 2.0 / pixelsPerMm, height / 2.0 / pixelsPerMm, f / pixelsPerMm}, 0,
                focalPx.isPresent() ? Focal.CAMERA : Focal.GUESSED, 0);
    }

    /** From r1 and r2 being at right angles and equally long; empty if the view is too straight. */
    private static OptionalDouble focalFromPerspective(double[] h) {
        double a1 = h[0] * h[1] + h[3] * h[4];
        double b1 = h[6] * h[7];
        double a2 = h[0] * h[0] + h[3] * h[3] - h[1] * h[1] - h[4] * h[4];
        double b2 = h[6] * h[6] - h[7] * h[7];
        double square = -(a1 * b1 + a2 * b2) / (b1 * b1 + b2 * b2);
        return Double.isFinite(square) && square > 0 ? OptionalDouble.of(Math.sqrt(square)) : OptionalDouble.empty();
    }

    /**
     * Columns r1, r2, r3 of the rotation, the camera's place, and the sheet's origin as the camera has it. The sheet's frame has x right, y
     * down and z up, so r3 = -r1 x r2.
     */
    private static double[][] pose(double[] h, double f) {
        double[] r1 = {h[0] / f, h[3] / f, h[6]};
        double[] r2 = {h[1] / f, h[4] / f, h[7]};
        double[] t = {h[2] / f, h[5] / f, h[8]};
        double scale = Math.sqrt(norm(r1) * norm(r2));
        if (t[2] < 0) {
            scale = -scale;
        }
        for (int i = 0; i < 3; i++) {
            r1[i] /= scale;
            r2[i] /= scale;
            t[i] /= scale;
        }
        double[] r3 = {-(r1[1] * r2[2] - r1[2] * r2[1]), -(r1[2] * r2[0] - r1[0] * r2[2]), -(r1[0] * r2[1] - r1[1] * r2[0])};
        double[] camera = {-dot(r1, t), -dot(r2, t), -dot(r3, t)};
        return new double[][] {r1, r2, r3, camera, t};
    }

    private static double leanOf(double[][] pose) {
        return Math.toDegrees(Math.acos(Math.min(1, Math.abs(pose[2][2]) / norm(pose[2]))));
    }

    private static double norm(double[] v) {
        return Math.sqrt(dot(v, v));
    }

    private static double dot(double[] a, double[] b) {
        return a[0] * b[0] + a[1] * b[1] + a[2] * b[2];
    }

    private static double[] inverse(double[] m) {
        double[] i = {m[4] * m[8] - m[5] * m[7], m[2] * m[7] - m[1] * m[8], m[1] * m[5] - m[2] * m[4], m[5] * m[6] - m[3] * m[8],
            m[0] * m[8] - m[2] * m[6], m[2] * m[3] - m[0] * m[5],
            m[3] * m[7] - m[4] * m[6], m[1] * m[6] - m[0] * m[7], m[0] * m[4] - m[1] * m[3]};
        return i;
    }

    /** Place on the sheet, mm, of a place in the photo. */
    public Coordinate toSheet(double px, double py) {
        return mapped(toSheet, px - middleX, py - middleY);
    }

    /** Place in the photo, pixels, of a place on the sheet. */
    public Coordinate toImage(double x, double y) {
        Coordinate at = mapped(toImage, x, y);
        at.x += middleX;
        at.y += middleY;
        return at;
    }

    private static Coordinate mapped(double[] m, double x, double y) {
        double w = m[6] * x + m[7] * y + m[8];
        return new Coordinate((m[0] * x + m[1] * y + m[2]) / w, (m[3] * x + m[4] * y + m[5]) / w);
    }

    /** Where the camera stood over the sheet, mm: x, y, height. */
    public double[] camera() {
        return camera.clone();
    }

    /** Angle between the line of sight and straight down, degrees. */
    public double lean() {
        return lean;
    }

    public Focal focal() {
        return focal;
    }

    /** Root mean square distance of the card's corners from where they should be, mm. */
    public double offMm() {
        return offMm;
    }

    /** Pixels per mm about a place on the sheet. */
    double pixelsPerMm(double x, double y) {
        Coordinate a = toImage(x, y);
        return Math.sqrt(a.distance(toImage(x + 1, y)) * a.distance(toImage(x, y + 1)));
    }
}
