package mosspebble.core.stone;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.Arrays;
import java.util.ArrayList;
import java.util.List;
import mosspebble.core.units.Millimetres;
import org.assertj.core.data.Percentage;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.locationtech.jts.algorithm.MinimumAreaRectangle;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;
import org.locationtech.jts.geom.Point;
import org.locationtech.jts.geom.Polygon;

/** Outlines from measures, callippers and points. */
class OutlineTest {

    private static final GeometryFactory FACTORY = new GeometryFactory();

    private static Shape.Measured measured(double... degreesAndRadii) {
        List<Shape.Spoke> spokes = new ArrayList<>();
        for (int i = 0; i < degreesAndRadii.length; i += 2) {
            spokes.add(new Shape.Spoke(degreesAndRadii[i], degreesAndRadii[i + 1]));
        }
        return new Shape.Measured(Shape.Source.CALLIPERS, spokes);
    }

    @ParameterizedTest
    @EnumSource(Form.class)
    void everyFormIsASimpleCurveOfTheMeasuredSizeSeenWholeFromItsPole(Form form) {
        for (double roundness : new double[] {0, 0.5, 1}) {
            for (double irregularity : new double[] {0, 1}) {
                Stone stone = Stone.cobble().withShape(new Shape.Grown(form, roundness, irregularity)).withWayUp(33);
                StoneOutline outline = StoneOutline.of(stone);
                Polygon polygon = outline.polygon(FACTORY);

                assertThat(polygon.isValid()).as("%s %s %s", form, roundness, irregularity).isTrue();
                Geometry own = StoneOutline.of(stone.withWayUp(0)).polygon(FACTORY);
                assertThat(own.getEnvelopeInternal().getWidth()).isCloseTo(96, within(1e-9));
                assertThat(own.getEnvelopeInternal().getHeight()).isCloseTo(74, within(1e-9));
                Point pole = FACTORY.createPoint(new Coordinate(outline.poleX(), outline.poleY()));
                for (int i = 0; i < outline.size(); i += 7) {
                    Geometry sight = FACTORY.createLineString(
                            new Coordinate[] {pole.getCoordinate(), new Coordinate(pole.getX() + 0.999 * (outline.x(i) - pole.getX()),
                                    pole.getY() + 0.999 * (outline.y(i) - pole.getY()))});
                    assertThat(polygon.covers(sight)).as("%s is seen from the pole at point %d", form, i).isTrue();
                }
                Survey survey = Survey.of(stone);
                assertThat(survey.zones().face().isValid()).isTrue();
                assertThat(survey.zones().outline().buffer(0.01).covers(survey.zones().paintable())).isTrue();
            }
        }
    }

    @Test
    void aKidneyIsHollowAndATriangleIsNot() {
        Geometry kidney = Survey.of(Stone.cobble().withShape(new Shape.Grown(Form.KIDNEY, 0.3, 0))).zones().outline();
        Geometry triangle = Survey.of(Stone.cobble().withShape(new Shape.Grown(Form.TRIANGLE, 1, 0))).zones().outline();

        assertThat(kidney.getArea() / kidney.convexHull().getArea()).isLessThan(0.985);
        assertThat(triangle.getArea() / triangle.convexHull().getArea()).isGreaterThan(0.995);
    }

    @Test
    void calliperRadiiGoThroughEveryMeasureAndNeverBulgeBeyondNeighbours() {
        Stone stone = Stone.cobble().withOutline(measured(0, 50, 80, 36, 150, 44, 200, 47, 290, 33));
        StoneOutline outline = StoneOutline.of(stone);
        double[][] measures = {{0, 50}, {80, 36}, {150, 44}, {200, 47}, {290, 33}};

        double centreX = outline.poleX();
        double centreY = outline.poleY();
        for (double[] measure : measures) {
            assertThat(outline.radius(Math.toRadians(measure[0]))).as("at %s°", measure[0]).isCloseTo(measure[1], within(0.05));
        }
        for (int degrees = 0; degrees < 360; degrees += 3) {
            assertThat(Math.hypot(outline.x(degrees) - centreX, outline.y(degrees) - centreY)).isBetween(32.99, 50.01);
        }
    }

    @Test
    void sixtyRadiiOfACircleAreACircle() {
        double[] values = new double[120];
        for (int i = 0; i < 60; i++) {
            values[2 * i] = 6 * i;
            values[2 * i + 1] = 40;
        }
        StoneFacts facts = Survey.of(Stone.cobble().withOutline(measured(values)).withDome(1, 1).withSize(new Millimetres(80),
                new Millimetres(80), new Millimetres(40))).facts();

        assertThat(facts.upperMm2()).isCloseTo(2 * Math.PI * 1600, Percentage.withPercentage(0.5));
    }

    @Test
    @Tag("outside") // areas and boxes by JTS
    void aTracedCurveKeepsItsAreaAndDragsAlongOneSpoke() {
        StoneOutline wanted = StoneOutline.of(Stone.cobble().withShape(new Shape.Grown(Form.KIDNEY, 0.2, 0.4)));
        double[] x = new double[wanted.size()];
        double[] y = new double[wanted.size()];
        for (int i = 0; i < x.length; i++) {
            x[i] = wanted.x(i) + 7;
            y[i] = wanted.y(i) - 3;
        }
        StoneOutline.Traced traced = StoneOutline.trace(Shape.Source.FILE, x, y, 120);
        Stone stone = Stone.cobble().withOutline(traced.shape());
        Geometry area = Survey.of(stone).zones().outline();

        assertThat(traced.bridged()).isFalse();
        assertThat(area.getArea()).isCloseTo(wanted.polygon(FACTORY).getArea(), Percentage.withPercentage(0.2));
        Geometry box = MinimumAreaRectangle.getMinimumRectangle(area);
        Geometry wantedBox = MinimumAreaRectangle.getMinimumRectangle(wanted.polygon(FACTORY));
        assertThat(box.getArea()).isCloseTo(wantedBox.getArea(), Percentage.withPercentage(0.3));
    }

    @Test
    void aCurveThatFoldsBackIsBridgedAndSaysSo() {
        // a horseshoe: no point sees all of it
        double[] x = {-40, 40, 40, 20, 20, -20, -20, -40};
        double[] y = {-40, -40, 40, 40, -20, -20, 40, 40};
        StoneOutline.Traced traced = StoneOutline.trace(Shape.Source.FILE, x, y, 120);

        assertThat(traced.bridged()).isTrue();
        assertThat(Survey.of(Stone.cobble().withOutline(traced.shape())).zones().outline().isValid()).isTrue();
    }

    @Test
    void turnedOverTwiceIsTheSameStone() {
        Stone stone = Stone.cobble().withShape(new Shape.Grown(Form.PEAR, 0.7, 0.5)).withWayUp(40)
                .plus(Patch.at(Patch.Kind.DENT, 12, -5, 6, 2));
        Stone over = stone.turnedOver();
        StoneFacts first = Survey.of(stone).facts();
        StoneFacts second = Survey.of(over).facts();

        assertThat(Survey.of(over).dome().patches()).as("the dent now lies below").isEmpty();
        assertThat(second.backMm2()).isCloseTo(Survey.of(stone.withPatches(List.of())).facts().paintableMm2(),
                Percentage.withPercentage(0.5));
        assertThat(second.volumeMm3()).isCloseTo(first.volumeMm3(), Percentage.withPercentage(0.7));
        Geometry mirrored = Survey.of(over).zones().outline();
        Geometry plain = Survey.of(stone).zones().outline();
        for (Coordinate c : mirrored.getCoordinates()) {
            c.x = -c.x;
        }
        mirrored.geometryChanged();
        assertThat(mirrored.symDifference(plain).getArea() / plain.getArea()).isLessThan(0.01);
        assertThat(Survey.of(over.turnedOver()).zones().outline().symDifference(plain).getArea() / plain.getArea()).isLessThan(0.01);
    }

    @Test
    void wrongSpokesAreRefusedWithWhatWasFound() {
        assertThatThrownBy(() -> measured(0, 50, 90, 40, 180, 45)).hasMessageContaining("4 to 400").hasMessageContaining("had 3");
        assertThatThrownBy(() -> measured(0, 50, 90, 40, 80, 45, 200, 50)).hasMessageContaining("80° follows 90°");
        assertThatThrownBy(() -> new Shape.Spoke(360, 40)).hasMessageContaining("0 to under 360");
        assertThatThrownBy(() -> new Shape.Spoke(10, Double.NaN)).hasMessageContaining("2 to 600 mm");
    }

    /** The drawing of a form is the outline that a stone of that form gets, but for its size and its irregularity. */
    @ParameterizedTest
    @EnumSource(Form.class)
    void theDrawingOfAFormIsWhatAStoneOfThatFormLooksLike(Form form) {
        Stone stone = Stone.cobble().withWayUp(0).withShape(new Shape.Grown(form, 0.7, 0));
        StoneOutline outline = StoneOutline.of(stone);
        double[][] curve = form.curve(0.7, 60);
        double far = 0;
        for (int i = 0; i < 60; i++) {
            double x = curve[0][i] * stone.length().value() / 2;
            double y = curve[1][i] * stone.width().value() / 2;
            double near = Double.MAX_VALUE;
            for (int k = 0; k < outline.size(); k++) {
                near = Math.min(near, Math.hypot(outline.x(k) - x, outline.y(k) - y));
            }
            far = Math.max(far, near);
        }
        assertThat(far).as("farthest point of the drawing from the outline, mm").isLessThan(1.2);
        assertThat(Arrays.stream(curve[0]).max().orElseThrow() - Arrays.stream(curve[0]).min().orElseThrow()).isCloseTo(2, within(1e-9));
        assertThat(Arrays.stream(curve[1]).max().orElseThrow() - Arrays.stream(curve[1]).min().orElseThrow()).isCloseTo(2, within(1e-9));
    }
}
