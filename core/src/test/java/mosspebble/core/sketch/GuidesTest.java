package mosspebble.core.sketch;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import mosspebble.core.stone.Stone;
import mosspebble.core.stone.Survey;
import mosspebble.core.stone.Viewpoint;
import mosspebble.core.units.Millimetres;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;
import org.locationtech.jts.geom.LineString;
import org.locationtech.jts.geom.util.LinearComponentExtracter;
import org.locationtech.jts.operation.distance.DistanceOp;

/** Pencil guides and snapping. */
class GuidesTest {

    private static final Support BED = Support
            .of(Survey.of(Stone.cobble().withSize(new Millimetres(120), new Millimetres(100), new Millimetres(30))));

    private static Geometry lines(GuideKind kind, int count, double mm) {
        Subject.Guide guide = new Subject.Guide(kind, count, mm, false);
        return Guides.lines(guide, Item.of(guide, kind.wholeStone() ? ItemMode.WEARING : ItemMode.ON_STONE, new Placement(3, -2, 0, 12), 0),
                BED);
    }

    private static List<LineString> each(Geometry lines) {
        List<LineString> found = new ArrayList<>();
        LinearComponentExtracter.getLines(lines).forEach(l -> found.add((LineString) l));
        return found;
    }

    @Test
    @Tag("outside") // plane geometry: circles, the sides of regular polygons 2 R sin(pi / n), the pitch of an Archimedean spiral
    void ringsPolygonsAndSpiralsAreThoseOfPlaneGeometry() {
        Geometry rings = lines(GuideKind.RINGS, 4, 6);
        for (Coordinate c : rings.getCoordinates()) {
            double r = Math.hypot(c.x - 3, c.y + 2) / 6;
            assertThat(r - Math.round(r)).as("on a ring").isCloseTo(0, within(1e-9));
        }
        for (int n : new int[] {3, 5, 8}) {
            Geometry polygon = lines(GuideKind.POLYGON, n, 20);
            assertThat(polygon.getLength()).isCloseTo(n * 2 * 20 * Math.sin(Math.PI / n), within(1e-6));
        }
        Coordinate[] spiral = Guides.spiral(3, 5).getCoordinates();
        for (int i = 0; i + 48 < spiral.length; i++) {
            double one = Math.hypot(spiral[i].x, spiral[i].y);
            double next = Math.hypot(spiral[i + 48].x, spiral[i + 48].y);
            assertThat(next - one).as("a turn farther out").isCloseTo(5, within(1e-9));
        }
    }

    @Test
    @Tag("outside") // letter boxes, common practice, no source: even count half to each side, odd count the middle box on the line
    void letterBoxesStandAboutTheMiddleLine() {
        for (int n : new int[] {4, 5}) {
            Geometry boxes = lines(GuideKind.BOXES, n, 8);
            assertThat(boxes.getEnvelopeInternal().centre().x).isCloseTo(3, within(1e-6));
            boolean lineInTheMiddle = each(boxes).stream()
                    .anyMatch(l -> Math.abs(l.getCoordinateN(0).x - 3) < 1e-6 && Math.abs(l.getCoordinateN(1).x - 3) < 1e-6);
            assertThat(lineInTheMiddle).as("%d boxes", n).isEqualTo(n % 2 == 0);
        }
    }

    @Test
    void everyGuideStaysOnTheStoneAndStaggeredMarksStandUnderGaps() {
        for (GuideKind kind : GuideKind.values()) {
            for (int count : new int[] {1, 7, 60}) {
                Geometry lines = lines(kind, count, kind.usual().mm());
                assertThat(lines.isEmpty() || BED.zones().paintable().buffer(1e-6).covers(lines)).as("%s with %d", kind.title(), count)
                        .isTrue();
            }
            assertThat(lines(kind, kind.usual().count(), kind.usual().mm()).isEmpty()).as(kind.title()).isFalse();
        }
        List<LineString> marks = each(lines(GuideKind.ROWS, 2, 6));
        double above = marks.stream().filter(m -> m.getCentroid().getY() < -2).mapToDouble(m -> m.getCentroid().getX()).filter(x -> x > 3)
                .min().orElseThrow();
        double below = marks.stream().filter(m -> m.getCentroid().getY() > -2).mapToDouble(m -> m.getCentroid().getX()).filter(x -> x > 3)
                .min().orElseThrow();
        assertThat(Math.abs(above - below)).as("half a step apart").isCloseTo(3, within(1e-6));
    }

    @Test
    void aBoundaryKeepsItsDistanceFromTheEdgeOfTheFace() {
        Geometry boundary = lines(GuideKind.BOUNDARY, 1, 6);
        for (Coordinate c : boundary.getCoordinates()) {
            double far = BED.zones().face().getExteriorRing().distance(boundary.getFactory().createPoint(c));
            assertThat(far).isBetween(5.8, 6.2);
        }
    }

    @Test
    @Tag("outside") // JTS DistanceOp as a second opinion on the nearest place of a line
    void thingsSnapToCrossingsFirstThenToTheNearestPlaceOfALine() {
        Geometry centre = lines(GuideKind.CENTRE, 1, 50);
        Coordinate middle = BED.zones().paintable().getEnvelopeInternal().centre();
        assertThat(Guides.snapped(List.of(centre), middle.x + 1, middle.y - 0.8, 1.6).orElseThrow().distance(middle)).as("the crossing")
                .isLessThan(1e-9);
        Coordinate near = Guides.snapped(List.of(centre), middle.x + 20, middle.y + 1.2, 1.6).orElseThrow();
        Coordinate wanted = DistanceOp.nearestPoints(centre,
                new GeometryFactory().createPoint(new Coordinate(middle.x + 20, middle.y + 1.2)))[0];
        assertThat(near.distance(wanted)).isLessThan(1e-9);
        assertThat(Guides.snapped(List.of(centre), middle.x + 20, middle.y + 7, 1.6)).as("too far").isEmpty();
        assertThat(Guides.snapped(List.of(), 0, 0, 1.6)).isEmpty();
    }

    @Test
    void guidesAreDrawnWithThePencilAndNeverPainted() {
        Subject.Guide guide = GuideKind.RINGS.usual();
        Sketch sketch = Sketch.of(guide, ItemMode.ON_STONE, new Placement(0, 0, 0, 6), 0);
        PlacedDesign design = Designs.place(sketch, Repertoire.of(List.of(), List.of()), BED).orElseThrow();
        assertThat(design.silhouette().isEmpty()).isTrue();
        assertThat(design.slots()).isEmpty();
        assertThat(design.pencilLines().stream().mapToDouble(Geometry::getLength).sum()).isGreaterThan(100);
        Support leaning = new Support(BED.survey(), Viewpoint.table());
        Subject.Guide lifted = new Subject.Guide(GuideKind.LINES, 3, 8, true);
        Geometry bent = Guides.lines(lifted, Item.of(lifted, ItemMode.ON_STONE, new Placement(0, 0, 0, 6), 0), leaning);
        assertThat(bent.getEnvelopeInternal().getHeight()).as("lifted lines are no longer ruled").isGreaterThan(16.3);
    }

    @Test
    void guidesThatCannotBeDrawnAreRefused() {
        assertThatThrownBy(() -> new Subject.Guide(GuideKind.SPOKES, 0, 5, false)).hasMessageContaining("1 to 60");
        assertThatThrownBy(() -> new Subject.Guide(GuideKind.RINGS, 3, Double.POSITIVE_INFINITY, false))
                .hasMessageContaining("0.5 to 100 mm");
    }
}
