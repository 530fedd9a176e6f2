package mosspebble.core.blend;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import mosspebble.core.Paints;
import mosspebble.core.area.Shapes;
import mosspebble.core.colour.Lab;
import mosspebble.core.colour.Mix;
import mosspebble.core.colour.Palette;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Envelope;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;

class BlendTest {

    private static final GeometryFactory FACTORY = new GeometryFactory();
    private static final Palette PALETTE = new Palette(Paints.shelf());
    private static final Geometry OVAL = FACTORY.createPoint(new Coordinate(0, 0)).buffer(30, 16);
    private static final Geometry SUBJECT = FACTORY.createPoint(new Coordinate(0, 4)).buffer(9, 16);

    private static List<Palette.Colour> colours(String... ids) {
        return java.util.Arrays.stream(ids).map(id -> PALETTE.colour(Mix.of(id)).orElseThrow()).toList();
    }

    private static List<Piece> pieces(Blend blend, String... ids) {
        return BlendWork.pieces(blend, OVAL, OVAL, colours(ids), PALETTE.colour(Mix.of("white")), SUBJECT, 7);
    }

    private static Blend full(BlendKind kind) {
        List<Mix> more = new ArrayList<>(List.of(Mix.of("white"), Mix.of("purple"), Mix.of("yellow")));
        return Blend.of(kind).withColours(more.subList(0, kind.mostColours()));
    }

    @ParameterizedTest
    @EnumSource(BlendKind.class)
    void everyKindStaysInItsAreaCoversItAndIsTheSameTwice(BlendKind kind) {
        String[] ids = {"blue", "white", "purple", "yellow"};
        String[] used = java.util.Arrays.copyOf(ids, 1 + kind.mostColours());
        List<Piece> pieces = pieces(full(kind), used);
        List<Piece> again = pieces(full(kind), used);

        assertThat(pieces).isNotEmpty();
        Geometry covered = Shapes.nothing();
        for (int i = 0; i < pieces.size(); i++) {
            Piece piece = pieces.get(i);
            assertThat(Shapes.minus(piece.place(), Shapes.grown(OVAL, 1e-3)).getArea()).as("%s stays inside", piece.share())
                    .isLessThan(0.01);
            assertThat(piece.place().isValid()).as(piece.share().toString()).isTrue();
            assertThat(piece.thin()).isBetween(0.05, 1.0);
            assertThat(again.get(i).place().equalsExact(piece.place())).as("the same marks each time").isTrue();
            covered = Shapes.union(covered, Shapes.grown(piece.place(), 0.001));
        }
        assertThat(covered.getArea()).as("nothing is left bare").isGreaterThan(0.995 * OVAL.getArea());
        assertThat(mosspebble.core.words.BlendWords.sentence(kind)).endsWith(".");
    }

    @ParameterizedTest
    @EnumSource(BlendKind.class)
    void withoutItsColoursABlendIsFlat(BlendKind kind) {
        List<Piece> pieces = pieces(Blend.of(kind), "blue");
        if (kind.leastColours() > 0) {
            assertThat(pieces).hasSize(1);
            assertThat(pieces.get(0).hides()).isTrue();
        }
        assertThatThrownBy(() -> Blend.of(kind).withColours(List.of(Mix.of("a"), Mix.of("b"), Mix.of("c"), Mix.of("d"))))
                .hasMessageContaining("besides its own");
    }

    @Test
    // the upper two thirds one colour, the lower third another (common practice, no source): the strip's area by the circle's own segment
    // formula
    @Tag("outside")
    void aSplitGivesTwoThirdsToTheFirst() {
        Blend straight = Blend.of(BlendKind.SPLIT).withColours(List.of(Mix.of("white"))).withShape(180, 0, Blend.THIRDS);
        List<Piece> pieces = pieces(straight, "blue", "white");
        double h = 30 / 3.0 * 2 - 30; // the cut lies 10 mm below the middle, the segment below it has height 20
        double segment = 30 * 30 * Math.acos(-h / 30) + h * Math.sqrt(30 * 30 - h * h);
        assertThat(h).isEqualTo(-10);
        assertThat(pieces).hasSize(2);
        assertThat(pieces.get(1).place().getArea()).isCloseTo(segment, org.assertj.core.api.Assertions.within(0.01 * segment));
        assertThat(pieces.get(0).place().getCentroid().getY()).as("the first above").isLessThan(pieces.get(1).place().getCentroid().getY());
        Blend arched = straight.withShape(180, 1, Blend.THIRDS);
        assertThat(pieces(arched, "blue", "white").get(1).place().getEnvelopeInternal().getMinY()).as("an arch rises in its middle")
                .isLessThan(pieces.get(1).place().getEnvelopeInternal().getMinY() - 3);
    }

    @Test
    void aGradientsMixedStepsAreEvenAndGoTheWayItPoints() {
        Blend down = Blend.of(BlendKind.GRADIENT).withColours(List.of(Mix.of("white"))).withShape(180, 1, 0.5);
        List<Piece> steps = pieces(down, "blue", "white").stream().filter(p -> !p.hides()).toList();
        assertThat(steps).hasSizeBetween(3, 6).allMatch(Piece::wet).allMatch(p -> p.softMm() > 0);
        double before = -100;
        double light = -1;
        for (Piece step : steps) {
            assertThat(step.place().getCentroid().getY()).isGreaterThan(before);
            assertThat(step.colour().lab().l()).isGreaterThan(light);
            before = step.place().getCentroid().getY();
            light = step.colour().lab().l();
        }
        List<Piece> glazes = pieces(down.withMethod(Blend.Method.GLAZES), "blue", "white");
        assertThat(glazes).noneMatch(Piece::wet).anyMatch(p -> p.thin() < 0.5);
        List<Piece> right = pieces(down.withShape(90, 1, 0.5), "blue", "white").stream().filter(p -> !p.hides()).toList();
        assertThat(right.get(0).place().getCentroid().getX()).isLessThan(right.get(right.size() - 1).place().getCentroid().getX());
    }

    @Test
    @Tag("outside") // complementary colours go to mud, neighbours do not (common practice, no source)
    void mudIsSeenBeforeItIsMixed() {
        List<Palette.Colour> c = colours("purple", "yellow", "white", "red");
        assertThat(Mud.between(c.get(0), c.get(1))).isPresent();
        assertThat(Mud.between(c.get(3), c.get(1))).as("red into yellow is orange").isEmpty();
        assertThat(Mud.between(c.get(3), c.get(2))).as("red into white is pink").isEmpty();
        Mud mud = Mud.between(c.get(0), c.get(1)).orElseThrow();
        assertThat(mud.made().chroma()).isLessThan(Lab.of(c.get(0).optics().full()).chroma());
        assertThat(mud.words()).isNotBlank();
    }

    @Test
    void theDarkBehindTheSubjectLiesRoundItAndScatteredMarksGrowWithTheAmount() {
        Piece dark = pieces(full(BlendKind.HALO), "blue", "white").get(1);
        assertThat(Shapes.minus(SUBJECT, dark.place()).getArea()).isLessThan(0.01);
        assertThat(dark.place().getArea()).isLessThan(0.8 * OVAL.getArea());
        for (BlendKind kind : List.of(BlendKind.STIPPLE, BlendKind.CRYSTAL, BlendKind.DRY_BRUSH, BlendKind.FOAM)) {
            double few = marks(kind, 0.1);
            double many = marks(kind, 0.9);
            assertThat(many).as("%s", kind).isGreaterThan(1.3 * few);
        }
    }

    /** What is dragged or dabbed has no edge to stop at: it stays off what lies before it, while the colour below may run under that. */
    @Test
    void streaksAndFoamLieOnlyOnWhatStaysSeen() {
        Envelope all = OVAL.getEnvelopeInternal();
        Geometry left = Shapes.common(OVAL,
                OVAL.getFactory().toGeometry(new Envelope(all.getMinX(), all.centre().x, all.getMinY(), all.getMaxY())));
        for (BlendKind kind : List.of(BlendKind.STIPPLE, BlendKind.CRYSTAL, BlendKind.DRY_BRUSH, BlendKind.FOAM, BlendKind.STROKES)) {
            List<Piece> pieces = BlendWork.pieces(full(kind), OVAL, left, colours("blue", "white"), Optional.empty(), SUBJECT, 7);
            assertThat(pieces.get(0).place().getArea()).as("%s: the first colour runs under", kind).isGreaterThan(1.5 * left.getArea());
            assertThat(pieces.size()).isGreaterThan(1);
            for (Piece piece : pieces.subList(1, pieces.size())) {
                assertThat(Shapes.minus(piece.place(), Shapes.grown(left, 0.1)).getArea()).as("%s", kind).isLessThan(0.01);
            }
        }
    }

    @Test
    @Tag("outside") // first coat with white in the load, second without (common practice, no source)
    void aLoadedBrushTakesWhiteAlongInItsFirstCoatOnly() {
        List<Piece> pieces = pieces(full(BlendKind.LOADED), "blue", "purple");
        assertThat(pieces.get(0).share().kind()).isEqualTo(Share.Kind.WHITE_IN_LOAD);
        assertThat(pieces.get(0).colour().mix().parts()).anyMatch(p -> p.paint().equals("white"));
        assertThat(pieces.subList(1, pieces.size())).isNotEmpty()
                .allMatch(p -> p.colour().mix().parts().stream().noneMatch(q -> q.paint().equals("white")));
        assertThat(BlendWork.pieces(full(BlendKind.LOADED), OVAL, OVAL, colours("blue", "purple"), Optional.empty(), SUBJECT, 7).get(0)
                .share().kind()).isNotEqualTo(Share.Kind.WHITE_IN_LOAD);
    }

    private static double marks(BlendKind kind, double amount) {
        return pieces(full(kind).withColours(List.of(Mix.of("white"))).withShape(180, amount, 0.5), "blue", "white").stream().skip(1)
                .mapToDouble(p -> p.place().getArea()).sum();
    }

    private static List<Piece> laid(Blend blend, Geometry area) {
        List<Palette.Colour> colours = new java.util.ArrayList<>();
        colours.add(PALETTE.colour(Mix.of("blue")).orElseThrow());
        blend.more().forEach(mix -> colours.add(PALETTE.colour(mix).orElseThrow()));
        return BlendWork.pieces(blend, area, Shapes.nothing(), colours, Optional.empty(), Shapes.nothing(), 7);
    }

    private static Geometry circle(double r) {
        return new GeometryFactory().createPoint(new Coordinate(3, -2)).buffer(r, 64);
    }

    private static List<Piece> bands(List<Piece> pieces) {
        return pieces.stream().filter(p -> p.share().kind() == Share.Kind.BAND).toList();
    }

    @Test
    // a circle cut at half its radius has a quarter of its area inside
    @Tag("outside")
    void aGradientFromTheMiddleIsCutInCircles() {
        Blend blend = Blend.of(BlendKind.FROM_MIDDLE).withColours(List.of(Mix.of("white"))).withShape(0, 0.5, 0.5);
        List<Piece> bands = bands(laid(blend, circle(20)));
        assertThat(bands).hasSize(2);
        assertThat(bands.get(0).place().getArea()).as("the first colour, in the middle").isCloseTo(Math.PI * 100, within(4.0));
        assertThat(bands.get(1).place().getArea()).isCloseTo(Math.PI * 300, within(6.0));
        assertThat(bands.get(0).place().getCentroid().getX()).isCloseTo(3, within(0.1));
        List<Piece> joins = laid(blend, circle(20)).stream().filter(Piece::wet).toList();
        assertThat(joins).isNotEmpty();
        for (Piece join : joins) {
            assertThat(join.place().contains(new GeometryFactory().createPoint(new Coordinate(3, -2)))).as("a ring about the middle")
                    .isFalse();
            assertThat(join.place().distance(bands.get(0).place().getBoundary())).as("at the seam or beside it").isLessThan(6);
        }
    }

    @Test
    // Steiner: a rectangle a by b less a rim of d is a - 2 d by b - 2 d
    @Tag("outside")
    void aGradientAlongTheOutlineKeepsItsDistanceFromIt() {
        Geometry board = new GeometryFactory().toGeometry(new org.locationtech.jts.geom.Envelope(0, 40, 0, 24));
        Blend blend = Blend.of(BlendKind.ALONG_OUTLINE).withColours(List.of(Mix.of("white"))).withShape(0, 0.5, 0.5);
        List<Piece> bands = bands(laid(blend, board));
        // half as deep as the largest disc that fits: 12 mm, so 6 mm
        assertThat(bands.get(1).place().getArea()).as("the other colour, farther in").isCloseTo(28 * 12, within(4.0));
        assertThat(bands.get(0).place().getArea()).as("the first, along the outline").isCloseTo(40 * 24 - 28 * 12, within(4.0));
        assertThat(bands.get(1).place().distance(board.getBoundary())).isCloseTo(6, within(0.2));
    }

    @Test
    void coloursThatRunTogetherLieSideBySideAllWet() {
        Blend blend = Blend.of(BlendKind.RUN).withColours(List.of(Mix.of("white"), Mix.of("red"))).withShape(0, 0.4, 0.5);
        List<Piece> pieces = laid(blend, circle(22));
        assertThat(pieces).hasSize(3).allMatch(Piece::wet).allMatch(p -> p.share().kind() == Share.Kind.RUN);
        Geometry all = Shapes.union(pieces.stream().map(Piece::place).toList());
        assertThat(all.getArea()).as("nothing is left bare").isCloseTo(circle(22).getArea(), within(1.0));
        double whole = circle(22).getArea();
        assertThat(pieces.get(0).place().getArea()).as("the first floods all between the others").isCloseTo(whole, within(1e-6));
        for (Piece piece : pieces.subList(1, 3)) {
            assertThat(piece.place().getArea() / whole).as("%s has its share", piece.colour().mix()).isBetween(0.12, 0.75);
            assertThat(piece.place().getNumGeometries()).as("in several places").isGreaterThan(1);
            assertThat(piece.softMm()).isGreaterThan(0.5);
        }
        double little = laid(blend.withShape(0, 0, 0.5), circle(22)).get(1).softMm();
        assertThat(laid(blend.withShape(0, 1, 0.5), circle(22)).get(1).softMm()).as("they run farther").isGreaterThan(2 * little);
    }

    @Test
    void scatteredStrokesLieBesideEachOtherAndMoreOfThemCoverMore() {
        Blend few = Blend.of(BlendKind.STROKES).withColours(List.of(Mix.of("white"), Mix.of("red"))).withShape(90, 0.1, 0.5);
        List<Piece> pieces = laid(few, circle(24));
        assertThat(pieces.get(0).share().kind()).isEqualTo(Share.Kind.WHOLE);
        Geometry white = pieces.get(1).place();
        Geometry red = pieces.get(2).place();
        assertThat(white.intersection(red).getArea()).as("none over another").isLessThan(0.5);
        assertThat(white.getNumGeometries()).isGreaterThan(10);
        for (int i = 0; i < white.getNumGeometries(); i++) {
            org.locationtech.jts.geom.Envelope box = white.getGeometryN(i).getEnvelopeInternal();
            assertThat(box.getWidth()).as("laid across, as the direction says").isGreaterThan(1.3 * box.getHeight());
        }
        assertThat(laid(few.withShape(90, 0.9, 0.5), circle(24)).get(1).place().getArea()).isGreaterThan(2 * white.getArea());
    }

    @ParameterizedTest
    @EnumSource(BlendKind.class)
    void whatLiesOverAnotherLeavesItSeenAndIsLaidDry(BlendKind kind) {
        if (!kind.laysOver()) {
            assertThatThrownBy(() -> Blend.flat().plusOver(full(kind))).isInstanceOf(IllegalArgumentException.class);
            return;
        }
        if (kind.material().isPresent()) { // own colour, material and medium; gems are set by their size, elsewhere
            List<Piece> set = BlendWork.upon(full(kind), OVAL, OVAL, colours("blue", "white", "purple"), SUBJECT, 7);
            assertThat(set).noneMatch(Piece::hides).noneMatch(p -> p.share().kind() == Share.Kind.WHOLE)
                    .hasSize(kind == BlendKind.GEMS ? 0 : 2).allMatch(p -> p.wet() == p.share().isSet());
            return;
        }
        String[] used = java.util.Arrays.copyOf(new String[] {"blue", "white", "purple", "yellow"}, 1 + kind.mostColours());
        List<Piece> layer = BlendWork.upon(full(kind), OVAL, OVAL, colours(used), SUBJECT, 7);
        assertThat(layer).isNotEmpty().noneMatch(Piece::hides).noneMatch(Piece::wet).noneMatch(p -> p.share().kind() == Share.Kind.WHOLE);
        assertThat(layer).as("the same marks as by itself").hasSameSizeAs(pieces(full(kind), used).stream().skip(1).toList());
        assertThat(BlendWork.upon(full(kind), OVAL, OVAL, colours("blue"), SUBJECT, 7)).as("without its colours nothing").isEmpty();
    }

    @Test
    @Tag("outside") // with k middles a mm2 a plane mosaic has 4 / sqrt(k) of edge a cell: squares do, Voronoi cells of random points
    // do (J. Meijering 1953, from memory); half of each edge's crack is taken from either side
    void cracksShowAsMuchOfTheBaseAsTheirMosaicHasEdges() {
        for (double size : new double[] {0, 0.5, 1}) {
            List<Piece> pieces = BlendWork.pieces(
                    Blend.of(BlendKind.CRACKLED).withColours(List.of(Mix.of("white"))).withShape(0, size, 0.5),
                    OVAL, OVAL, colours("blue", "white", "purple"), Optional.empty(), SUBJECT, 3);
            assertThat(pieces).extracting(p -> p.share().kind()).containsExactly(Share.Kind.WHOLE, Share.Kind.CRACKLE, Share.Kind.CRACKED);
            assertThat(pieces.get(1).place().getArea()).isCloseTo(OVAL.getArea(), within(1e-6));
            double open = 1 - pieces.get(2).place().getArea() / OVAL.getArea();
            assertThat(open).as("cracks a tenth as wide as a flake").isCloseTo(2 * 0.1, within(0.05));
        }
        double small = BlendWork.pieces(Blend.of(BlendKind.CRACKLED).withShape(0, 0, 0.5).withColours(List.of(Mix.of("white"))), OVAL, OVAL,
                colours("blue", "white", "purple"), Optional.empty(), SUBJECT, 3).get(2).place().getNumGeometries();
        double large = BlendWork.pieces(Blend.of(BlendKind.CRACKLED).withShape(0, 1, 0.5).withColours(List.of(Mix.of("white"))), OVAL, OVAL,
                colours("blue", "white", "purple"), Optional.empty(), SUBJECT, 3).get(2).place().getNumGeometries();
        assertThat(small).isGreaterThan(5 * large);
    }
}
