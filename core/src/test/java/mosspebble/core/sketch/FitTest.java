package mosspebble.core.sketch;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import mosspebble.core.area.Shapes;
import mosspebble.core.stone.Form;
import mosspebble.core.stone.Shape;
import mosspebble.core.stone.Stone;
import mosspebble.core.stone.Survey;
import mosspebble.core.stone.Zones;
import mosspebble.core.units.Millimetres;
import mosspebble.core.units.Srgb;
import org.assertj.core.data.Percentage;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.locationtech.jts.algorithm.construct.MaximumInscribedCircle;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Envelope;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;
import org.locationtech.jts.geom.util.AffineTransformation;
import org.locationtech.jts.util.GeometricShapeFactory;

class FitTest {

    private static final GeometryFactory FACTORY = new GeometryFactory();

    private static Geometry ellipse(double width, double height, int points) {
        GeometricShapeFactory shapes = new GeometricShapeFactory(FACTORY);
        shapes.setCentre(new Coordinate(0, 0));
        shapes.setWidth(width);
        shapes.setHeight(height);
        shapes.setNumPoints(points);
        return shapes.createEllipse();
    }

    private static Geometry rectangle(double width, double height) {
        return FACTORY.toGeometry(new Envelope(3, 3 + width, 7, 7 + height));
    }

    private static void checkFit(String what, Geometry design, Geometry zone, double mostTurn, double exactScale) {
        LargestFit.Fit fit = LargestFit.inside(design, zone, 0, mostTurn).orElseThrow();

        assertThat(fit.placement().scale()).as(what).isCloseTo(exactScale, Percentage.withPercentage(1));
        Coordinate middle = LargestFit.middle(design);
        Geometry placed = fit.placement().transformation(middle.x, middle.y).transform(design);
        assertThat(zone.buffer(1e-6 * zone.getLength()).covers(placed)).as(what + " stays inside").isTrue();
    }

    @Test
    @Tag("outside") // closed forms: a rectangle p by q in an ellipse has half-diagonal on it; a regular polygon's corners lie on the circle
    void largestFitsAreThoseOfTheClosedForms() {
        Geometry stone = ellipse(120, 80, 720);
        double square = 2 * 60 * 40 / Math.hypot(60, 40);
        checkFit("square in an ellipse", rectangle(1, 1), stone, 0, square);
        checkFit("2 : 1 rectangle in an ellipse", rectangle(2, 1), stone, 0, 2 * 60 * 40 / Math.hypot(2 * 40, 60));
        checkFit("circle in an ellipse", ellipse(1, 1, 256), stone, 0, 80);
        checkFit("hexagon in a circle", ellipse(1, 1, 6), ellipse(90, 90, 720), 0, 90);
        checkFit("upright rectangle that may turn", rectangle(1, 3), stone, 90, 2 * 60 * 40 / Math.hypot(3 * 40, 60));
    }

    @Test
    @Tag("outside") // JTS MaximumInscribedCircle
    void theLargestDiscOnAnIrregularFaceIsThatOfJts() {
        for (long seed : new long[] {1, 2, 3, 4}) {
            Stone stone = Stone.cobble().withSize(new Millimetres(110), new Millimetres(80), new Millimetres(30))
                    .withShape(new Shape.Grown(Form.OVAL, 0.6, 1)).withDome(1, 2.5).withSeed(seed);
            Geometry face = Survey.of(stone).zones().face();
            double radius = new MaximumInscribedCircle(face, 0.05).getRadiusLine().getLength();

            LargestFit.Fit fit = LargestFit.inside(ellipse(2, 2, 256), face, 0, 0).orElseThrow();

            assertThat(fit.placement().scale()).as("seed %d", seed).isCloseTo(radius, Percentage.withPercentage(1.2));
        }
    }

    /** Whether a design of some size, in its middle at a place, lies in a zone. */
    private static boolean lies(Geometry design, Geometry zone, double x, double y, double turn, double size) {
        Coordinate middle = LargestFit.middle(design);
        return zone.covers(new Placement(x, y, turn, size).transformation(middle.x, middle.y).transform(design));
    }

    @Test
    void roundHolesNoPlaceOfAFineGridIsLarger() {
        Geometry zone = ellipse(60, 44, 60);
        for (double[] hole : new double[][] {{-9, 4, 3}, {8, -6, 4}, {12, 9, 2}}) {
            zone = zone.difference(FACTORY.createPoint(new Coordinate(hole[0], hole[1])).buffer(hole[2], 4));
        }
        Geometry design = rectangle(2, 1);
        LargestFit.Fit fit = LargestFit.inside(design, zone, 0, 30).orElseThrow();
        Placement at = fit.placement();
        assertThat(lies(design, zone.buffer(1e-6), at.x(), at.y(), at.turn(), at.scale())).isTrue();
        for (double x = -28; x <= 28; x += 2) {
            for (double y = -20; y <= 20; y += 2) {
                for (double turn = -30; turn <= 30; turn += 10) {
                    assertThat(lies(design, zone, x, y, turn, 1.02 * at.scale())).as("at %s, %s, turned by %s", x, y, turn).isFalse();
                }
            }
        }
    }

    @Test
    void drawnTowardTheMiddleItLosesNoMoreThanAllowed() {
        Geometry triangle = FACTORY
                .createPolygon(new Coordinate[] {new Coordinate(0, 0), new Coordinate(4, 0), new Coordinate(2, 3), new Coordinate(0, 0)});
        Geometry zone = ellipse(100, 80, 360);
        Placement largest = LargestFit.inside(triangle, zone, 0, 0).orElseThrow().placement();
        Placement central = LargestFit.centred(triangle, zone, 0, 0, 0.94).orElseThrow().placement();

        assertThat(central.scale()).isGreaterThanOrEqualTo(0.9399 * largest.scale());
        assertThat(Math.hypot(central.x(), central.y())).isLessThan(Math.hypot(largest.x(), largest.y()));
    }

    @Test
    void noRoomIsAnAnswer() {
        assertThat(LargestFit.inside(rectangle(1, 1), FACTORY.createPolygon(), 0, 0)).isEmpty();
    }

    private static Motif blob() {
        Geometry body = ellipse(100, 120, 90);
        Geometry eye = AffineTransformation.translationInstance(-10, -5).transform(ellipse(12, 12, 40));
        Slot slot = new Slot("a", "A", Srgb.ofHex("#804020"));
        return new Motif("blob", "Blob", List.of(slot), List.of(
                new MotifPart("body", "body", Role.FILL, "a", body, new MotifPart.Make(0, 0.5, true, Presence.ALWAYS), Optional.empty()),
                new MotifPart("eye", "eye", Role.FILL, "a", eye, new MotifPart.Make(0, 0, true, Presence.ALWAYS), Optional.empty())), body,
                body, true, true);
    }

    @Test
    void wearingTheStonePutsTheSilhouetteOnItsEdgeAndKeepsInnerPartsRound() {
        Stone stone = Stone.cobble().withShape(new Shape.Grown(Form.OVAL, 0.3, 1)).withDome(1, 2);
        Support bed = Support.of(Survey.of(stone));
        Zones zones = bed.zones();
        Sketch sketch = Sketch.of(new Subject.Figure("blob"), ItemMode.WEARING, new Placement(0, 0, 0, 1), 0);

        PlacedDesign design = Designs.place(sketch, Repertoire.of(List.of(blob()), List.of()), bed).orElseThrow();

        Geometry body = design.parts().get(0).drawn();
        Geometry target = Shapes.grown(zones.paintable(), -0.5);
        assertThat(body.symDifference(target).getArea()).isLessThan(0.01 * target.getArea());
        Geometry eye = design.parts().get(1).drawn();
        double round = 4 * Math.PI * eye.getArea() / (eye.getLength() * eye.getLength());
        assertThat(round).as("isoperimetric ratio of the eye, 1 for a circle").isGreaterThan(0.96);
        assertThat(body.covers(eye)).isTrue();
    }

    @Test
    void thingsKeepTheirOwnNamesAndOrder() {
        Repertoire repertoire = Repertoire.of(List.of(blob()), List.of());
        Support bed = Support.of(Survey.of(Stone.cobble()));
        Zones zones = bed.zones();
        Sketch one = Sketch.of(new Subject.Figure("blob"), ItemMode.ON_STONE, new Placement(-10, 0, 0, 0.2), 0);
        Sketch two = one.plus(one.items().get(0).withPlacement(new Placement(10, 0, 0, 0.2)));
        PlacedDesign design = Designs.place(two, repertoire, bed).orElseThrow();

        assertThat(design.items()).hasSize(2);
        assertThat(design.parts()).extracting(p -> p.part().id()).doesNotHaveDuplicates()
                .hasSize(2 * Designs.place(one, repertoire, bed).orElseThrow().parts().size());
        assertThat(design.slots()).extracting(Slot::id).doesNotHaveDuplicates();
        String front = two.items().get(1).id();
        assertThat(two.moved(front, -1).items()).extracting(Item::id).containsExactly(front, "");
        assertThat(two.moved(front, 5)).isEqualTo(two);
        assertThat(two.without("").orElseThrow().items()).hasSize(1);
        assertThat(one.without("")).isEmpty();
        assertThat(two.plus(one.items().get(0)).items()).extracting(Item::id).doesNotHaveDuplicates();
        assertThat(
                Designs.place(Sketch.of(new Subject.Figure("unknown"), ItemMode.ON_STONE, new Placement(0, 0, 0, 1), 0), repertoire, bed))
                .isEmpty();
    }

    @Test
    void placingNeverChangesTheMotifItself() {
        Motif motif = blob();
        Geometry before = motif.sitting().copy();
        Support bed = Support.of(Survey.of(Stone.cobble()));
        Zones zones = bed.zones();

        Designs.fit(motif, zones, 1, 10);
        Designs.place(Sketch.of(new Subject.Figure("blob"), ItemMode.WEARING, new Placement(3, 4, 20, 0.5), 0),
                Repertoire.of(List.of(motif), List.of()), bed);

        assertThat(motif.sitting().equalsExact(before)).isTrue();
    }

    @Test
    void lettersKeepTheirOrderDoNotTouchAndStandOverOneAnother() {
        Geometry bar = FACTORY.toGeometry(new Envelope(0.05, 0.55, -0.7, 0));
        Typeface face = new Typeface.Drawn("t", "Test", 0.7, Map.of((int) 'H', new Typeface.Glyph(bar, 0.6), (int) 'I',
                new Typeface.Glyph(bar, 0.6), (int) ' ', new Typeface.Glyph(FACTORY.createPolygon(), 0.3)));

        Motif word = Lettering.set(new Subject.Word(List.of("HI HI", "HI"), "t"), face);

        assertThat(word.parts()).hasSize(6);
        for (int i = 1; i < 4; i++) {
            Envelope before = word.parts().get(i - 1).shape().getEnvelopeInternal();
            Envelope here = word.parts().get(i).shape().getEnvelopeInternal();
            assertThat(here.getMinX()).isGreaterThan(before.getMaxX());
        }
        assertThat(word.parts().get(0).shape().getEnvelopeInternal().getHeight()).as("cap height is the unit").isCloseTo(1, within(1e-9));
        assertThat(word.parts().get(5).shape().getEnvelopeInternal().getMinY())
                .isGreaterThan(word.parts().get(0).shape().getEnvelopeInternal().getMaxY());
        assertThat(Lettering.missing(new Subject.Word(List.of("HIX"), "t"), face)).containsExactly("X");
    }
}
