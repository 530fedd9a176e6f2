package mosspebble.core.sketch;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import mosspebble.core.area.Shapes;
import mosspebble.core.stone.Stone;
import mosspebble.core.stone.Survey;
import mosspebble.core.units.Millimetres;
import mosspebble.core.units.Srgb;
import org.junit.jupiter.api.Test;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Envelope;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;

/** A pattern of squares and lines on a coat with a hole in it and a button on it. */
class WithinTest {

    private static final GeometryFactory FACTORY = new GeometryFactory();
    private static final Support BED = Support
            .of(Survey.of(Stone.cobble().withSize(new Millimetres(130), new Millimetres(110), new Millimetres(34)).withDome(0.6, 3)));

    private static Geometry box(double x0, double y0, double x1, double y1) {
        return FACTORY.toGeometry(new Envelope(x0, x1, y0, y1));
    }

    private static MotifPart part(String id, Geometry shape) {
        return new MotifPart(id, id, shape.getDimension() == 1 ? Role.LINE : Role.FILL, "a", shape,
                new MotifPart.Make(shape.getDimension() == 1 ? 0.7 : 0, 0, false, Presence.ALWAYS), Optional.empty());
    }

    private static Motif motif(String id, MotifPart... parts) {
        Geometry all = Shapes.union(List.of(parts).stream().map(MotifPart::shape).filter(g -> g.getDimension() == 2).toList());
        return new Motif(id, id, List.of(new Slot("a", "A", Srgb.ofHex("#884422"))), List.of(parts), all, all, false, false);
    }

    /** 40 by 30 with a hole of 8 by 8 in its middle and a button of 6 by 6 at its right. */
    private static final Motif COAT = motif("coat", part("coat", box(-20, -15, 20, 15).difference(box(-4, -4, 4, 4))),
            part("button", box(10, -3, 16, 3)));

    /** Bars across, a row of small squares 2 mm wide and 5 mm apart, and a level line: all wider than the coat. */
    private static Motif pattern() {
        List<Geometry> squares = new ArrayList<>();
        for (int x = -30; x <= 30; x += 5) {
            squares.add(box(x - 1, -1, x + 1, 1));
        }
        return motif("pattern", part("bar", box(-30, -12, 30, -8)), part("squares", FACTORY.buildGeometry(squares)),
                part("line", FACTORY.createLineString(new Coordinate[] {new Coordinate(-30, 1.5), new Coordinate(30, 1.5)})));
    }

    private static final Repertoire REPERTOIRE = Repertoire.of(List.of(COAT, pattern()), List.of(), List.of());

    private static Item thing(String motif, double x, double y) {
        return Item.of(new Subject.Figure(motif), ItemMode.ON_STONE, new Placement(x, y, 0, 1), 0);
    }

    private static PlacedDesign placed(Item pattern) {
        return Designs
                .place(Sketch.of(new Subject.Figure("coat"), ItemMode.ON_STONE, new Placement(0, 0, 0, 1), 0).plus(pattern), REPERTOIRE,
                        BED)
                .orElseThrow();
    }

    private static Geometry drawn(PlacedDesign design, String part) {
        return design.parts().stream().filter(p -> p.part().id().equals(part)).findFirst().orElseThrow().drawn();
    }

    @Test
    void aPatternIsCutToTheCoatAndKeptOutOfItsHoleAndOffItsButton() {
        PlacedDesign free = placed(thing("pattern", 0, -5));
        assertThat(drawn(free, "i2/bar").getArea()).isCloseTo(240, within(1e-6));
        PlacedDesign kept = placed(thing("pattern", 0, -5).withWithin(Optional.of("coat")));
        Geometry room = drawn(kept, "coat").difference(drawn(kept, "button"));
        Geometry bar = drawn(kept, "i2/bar");
        assertThat(bar.difference(room).getArea()).isCloseTo(0, within(1e-6));
        assertThat(bar.getArea()).as("as wide as the coat").isCloseTo(40 * 4, within(1e-6));
        Geometry line = drawn(kept, "i2/line");
        assertThat(line.getLength()).as("40 wide, less the hole's 8 and the button's 6").isCloseTo(40 - 8 - 6, within(1e-6));
        assertThat(kept.item("i2").orElseThrow().silhouette().difference(room).getArea()).isCloseTo(0, within(1e-6));
    }

    @Test
    void smallPiecesAreSetWholeOrNotAtAll() {
        Geometry squares = drawn(placed(thing("pattern", 0, -5).withWithin(Optional.of("coat"))), "i2/squares");
        for (int i = 0; i < squares.getNumGeometries(); i++) {
            assertThat(squares.getGeometryN(i).getArea()).isCloseTo(4, within(1e-6));
        }
        // of thirteen every 5 mm: seven lie on the coat whole, of which one in the hole and two touch the button; two are cut by its ends
        assertThat(squares.getNumGeometries()).isEqualTo(squaresByHand());
    }

    private static int squaresByHand() {
        int count = 0;
        for (int x = -30; x <= 30; x += 5) {
            boolean onCoat = x - 1 >= -20 && x + 1 <= 20;
            boolean inHole = x + 1 > -4 && x - 1 < 4;
            boolean onButton = x + 1 > 10 && x - 1 < 16;
            count += onCoat && !inHole && !onButton ? 1 : 0;
        }
        return count;
    }

    @Test
    void whereNothingWouldBeLeftItIsNotCutAndWithoutTheCoatItIsFree() {
        PlacedDesign beside = placed(thing("pattern", 0, 40).withWithin(Optional.of("coat")));
        assertThat(drawn(beside, "i2/bar").getArea()).isCloseTo(240, within(1e-6));
        assertThat(drawn(placed(thing("pattern", 0, -5).withWithin(Optional.of("i7/gone"))), "i2/bar").getArea()).isCloseTo(240,
                within(1e-6));
        Sketch sketch = Sketch.of(new Subject.Figure("coat"), ItemMode.ON_STONE, new Placement(0, 0, 0, 1), 0)
                .plus(thing("coat", 5, 5)).plus(thing("pattern", 0, 0).withWithin(Optional.of("i2/coat")));
        assertThat(sketch.without("i2").orElseThrow().item("i3").orElseThrow().within()).isEmpty();
        assertThat(sketch.without("").orElseThrow().item("i3").orElseThrow().within()).contains("i2/coat");
        assertThatThrownBy(() -> thing("coat", 0, 0).withWithin(Optional.of("")))
                .hasMessageContaining("part to be kept within").isInstanceOf(IllegalArgumentException.class);
    }

    @Test
    void thePartsBehindItAreOfferedByHowMuchOfItTheyHold() {
        PlacedDesign design = placed(thing("pattern", 0, 0));
        assertThat(Within.offered(design, "i2")).extracting(p -> p.part().id()).containsExactly("coat");
        assertThat(Within.offered(placed(thing("pattern", 0, 4.5)), "i2")).as("the bar lies across the button, a twelfth of the pattern")
                .extracting(p -> p.part().id()).containsExactly("coat", "button");
        assertThat(Within.offered(placed(thing("pattern", 0, 90)), "i2")).isEmpty();
        assertThat(Within.offered(placed(thing("pattern", 0, 90).withWithin(Optional.of("button"))), "i2"))
                .as("what was chosen stays in the list").extracting(p -> p.part().id()).containsExactly("button");
    }
}
