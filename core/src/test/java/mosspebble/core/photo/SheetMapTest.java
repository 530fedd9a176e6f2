package mosspebble.core.photo;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import java.util.SplittableRandom;
import mosspebble.core.stone.Stone;
import mosspebble.core.units.Millimetres;
import mosspebble.core.units.Srgb;
import org.hipparchus.linear.Array2DRowRealMatrix;
import org.hipparchus.linear.ArrayRealVector;
import org.hipparchus.linear.QRDecomposition;
import org.hipparchus.linear.RealVector;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Envelope;
import org.locationtech.jts.geom.GeometryFactory;

/** The plane of the sheet, where the camera stood, and what perspective does to a silhouette. */
class SheetMapTest {

    private static final double[][] CORNERS = {{5, 5}, {95, 5}, {95, 59}, {5, 59}};

    private static List<Coordinate> points(double[][] places) {
        List<Coordinate> list = new ArrayList<>();
        for (double[] place : places) {
            list.add(new Coordinate(place[0], place[1]));
        }
        return list;
    }

    @Test
    @Tag("outside") // the eight equations of four point pairs solved by Hipparchus' QR decomposition
    void theHomographyIsThatOfAGeneralLinearSolver() {
        SplittableRandom random = new SplittableRandom(8);
        for (int trial = 0; trial < 30; trial++) {
            double[][] image = new double[4][2];
            Array2DRowRealMatrix equations = new Array2DRowRealMatrix(8, 8);
            ArrayRealVector right = new ArrayRealVector(8);
            for (int i = 0; i < 4; i++) {
                image[i][0] = 700 + 4 * CORNERS[i][0] + random.nextDouble(-40, 40);
                image[i][1] = 500 + 4 * CORNERS[i][1] + random.nextDouble(-40, 40);
                double x = CORNERS[i][0];
                double y = CORNERS[i][1];
                double u = image[i][0];
                double v = image[i][1];
                equations.setRow(2 * i, new double[] {x, y, 1, 0, 0, 0, -u * x, -u * y});
                equations.setRow(2 * i + 1, new double[] {0, 0, 0, x, y, 1, -v * x, -v * y});
                right.setEntry(2 * i, u);
                right.setEntry(2 * i + 1, v);
            }
            RealVector h = new QRDecomposition(equations).getSolver().solve(right);
            SheetMap map = SheetMap.of(points(CORNERS), points(image), 2000, 1500, OptionalDouble.empty());

            for (double[] place : new double[][] {{0, 0}, {50, 32}, {200, 120}, {-30, 80}}) {
                double w = h.getEntry(6) * place[0] + h.getEntry(7) * place[1] + 1;
                double u = (h.getEntry(0) * place[0] + h.getEntry(1) * place[1] + h.getEntry(2)) / w;
                double v = (h.getEntry(3) * place[0] + h.getEntry(4) * place[1] + h.getEntry(5)) / w;
                Coordinate at = map.toImage(place[0], place[1]);
                assertThat(at.x).as("trial %d", trial).isCloseTo(u, within(1e-5 * Math.max(1, Math.abs(u))));
                assertThat(at.y).isCloseTo(v, within(1e-5 * Math.max(1, Math.abs(v))));
                assertThat(map.toSheet(at.x, at.y).distance(new Coordinate(place[0], place[1]))).isLessThan(1e-6);
            }
        }
    }

    @Test
    void aCameraStraightAboveIsFoundAtItsHeightAndACircleKeepsItsSize() {
        double focal = 1600;
        double high = 400;
        double[][] image = new double[4][2];
        for (int i = 0; i < 4; i++) {
            image[i][0] = 1000 + focal * (CORNERS[i][0] - 60) / high;
            image[i][1] = 750 + focal * (CORNERS[i][1] - 40) / high;
        }
        SheetMap map = SheetMap.of(points(CORNERS), points(image), 2000, 1500, OptionalDouble.of(focal));

        assertThat(map.camera()[0]).isCloseTo(60, within(0.01));
        assertThat(map.camera()[1]).isCloseTo(40, within(0.01));
        assertThat(map.camera()[2]).isCloseTo(high, within(0.01));
        assertThat(map.lean()).isLessThan(0.1);
        assertThat(map.focal()).isEqualTo(SheetMap.Focal.CAMERA);

        // a ball of radius 30 whose middle lies 30 mm over the sheet, straight below the camera, is seen under the tangent cone
        double middle = high - 30;
        double seen = high * 30 / Math.sqrt(middle * middle - 900);
        List<Coordinate> ring = new ArrayList<>();
        for (int i = 0; i < 360; i++) {
            ring.add(new Coordinate(60 + seen * Math.cos(Math.toRadians(i)), 40 + seen * Math.sin(Math.toRadians(i))));
        }
        List<Coordinate> closed = new ArrayList<>(ring);
        closed.add(ring.get(0));
        PhotoStone ball = new PhotoStone(ring, new GeometryFactory().createPolygon(closed.toArray(new Coordinate[0])), 0.05,
                Srgb.ofHex("#808080"), map);
        Envelope box = ball.outline(30, 30, 1).getEnvelopeInternal();
        assertThat(box.getWidth()).isCloseTo(60, within(0.15));
        Stone stone = ball.stone(new Millimetres(60), Stone.cobble().withDome(0.5, 1));
        assertThat(stone.length().value()).isCloseTo(60, within(0.15));
        assertThat(ball.lengthOffMm(5)).isGreaterThan(ball.lengthOffMm(0.5));
    }

    @Test
    void aPhotoIsMadeSmallerByWholeSquares() {
        int[] rgb = new int[64 * 32];
        for (int i = 0; i < rgb.length; i++) {
            rgb[i] = i % 2 == 0 ? 0xFFFFFF : 0x000000;
        }
        Photo small = new Photo(64, 32, rgb, OptionalDouble.of(60)).reduced(32);

        assertThat(small.width()).isEqualTo(32);
        assertThat(small.height()).isEqualTo(16);
        assertThat(small.at(3, 3)).isEqualTo(0x808080);
        assertThat(small.focalPx().orElse(0)).isEqualTo(30);
        assertThatThrownBy(() -> new Photo(10, 10, new int[100], OptionalDouble.empty())).hasMessageContaining("16 x 16");
    }
}
