package mosspebble.core.sketch;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.SplittableRandom;
import mosspebble.core.area.Shapes;
import mosspebble.core.stone.Form;
import mosspebble.core.stone.Patch;
import mosspebble.core.stone.Shape;
import mosspebble.core.stone.Stone;
import mosspebble.core.stone.Survey;
import mosspebble.core.sketch.family.Families;
import mosspebble.core.units.Millimetres;
import mosspebble.core.units.Srgb;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Envelope;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;
import org.locationtech.jts.geom.util.AffineTransformation;

/** Several things on one stone: overlap, what is left free, pairs, groups, marks. */
class CompositionTest {

    private static final GeometryFactory FACTORY = new GeometryFactory();
    private static final Stone LARGE = Stone.cobble().withSize(new Millimetres(130), new Millimetres(110), new Millimetres(34))
            .withDome(0.6, 3);

    private static Geometry box(double x0, double y0, double x1, double y1) {
        return FACTORY.toGeometry(new Envelope(x0, x1, y0, y1));
    }

    private static MotifPart part(String id, Geometry shape, Role role, String mirror) {
        return new MotifPart(id, id.replace('-', ' '), role, "a", shape,
                new MotifPart.Make(shape.getDimension() == 1 ? 0.7 : 0, 0, false, Presence.ALWAYS), Optional.ofNullable(mirror));
    }

    /** A face of a box, two eyes with glints, a whisker that stands out. */
    private static Motif face() {
        List<MotifPart> parts = List.of(part("head", box(0, 0, 20, 16), Role.FILL, null),
                part("eye-left", box(3, 4, 7, 8), Role.FILL, "eye-right"), part("eye-right", box(13, 4, 17, 8), Role.FILL, "eye-left"),
                part("glint", box(3.4, 4.4, 4.4, 5.4), Role.HIGHLIGHT, null),
                part("whisker", FACTORY.createLineString(new Coordinate[] {new Coordinate(18, 12), new Coordinate(30, 12)}), Role.LINE,
                        null),
                part("mouth", FACTORY.createLineString(new Coordinate[] {new Coordinate(6, 13), new Coordinate(14, 13)}), Role.LINE, null));
        return new Motif("face", "Face", List.of(new Slot("a", "A", Srgb.ofHex("#884422"))), parts, box(0, 0, 20, 16), box(0, 0, 20, 16),
                true, false);
    }

    private static final Repertoire REPERTOIRE = Repertoire.of(List.of(face()), List.of(), Families.list());
    private static final Support BED = Support.of(Survey.of(LARGE));

    private static Item faceAt(double x, double y, double scale) {
        return Item.of(new Subject.Figure("face"), ItemMode.ON_STONE, new Placement(x, y, 0, scale), 1);
    }

    private static PlacedDesign place(Item... items) {
        Sketch sketch = new Sketch(List.of(items[0]));
        for (int i = 1; i < items.length; i++) {
            sketch = sketch.plus(items[i]);
        }
        return Designs.place(sketch, REPERTOIRE, BED).orElseThrow();
    }

    @Test
    @Tag("outside") // JTS union and difference, part by part, as the slow second opinion
    void whatIsSeenCoversTheUnionExactlyOnceAndMatchesTheSlowWay() {
        SplittableRandom random = new SplittableRandom(77);
        List<Geometry> areas = new ArrayList<>();
        for (int i = 0; i < 70; i++) {
            areas.add(FACTORY.createPoint(new Coordinate(random.nextDouble() * 100, random.nextDouble() * 80))
                    .buffer(2 + 7 * random.nextDouble(), 6));
        }
        Overlap overlap = new Overlap(areas);
        Geometry front = FACTORY.createPolygon();
        double sum = 0;
        for (int i = areas.size() - 1; i >= 0; i--) {
            Geometry slow = areas.get(i).difference(front);
            assertThat(overlap.seen(i).symDifference(slow).getArea()).as("area %d", i).isLessThan(1e-6);
            sum += overlap.seen(i).getArea();
            front = front.union(areas.get(i));
        }
        assertThat(sum).as("no place is seen twice, none is lost").isCloseTo(front.getArea(), within(1e-6 * front.getArea()));
    }

    @Test
    void whatIsLeftFreeIsCutFromTheNextThingBehindAndNothingElse() {
        Item far = Item.of(new Subject.Pattern("bands", Map.of("bands", 4.0)), ItemMode.WEARING, new Placement(0, 0, 0, 30), 0);
        Item cover = Item.of(new Subject.Pattern("cover", Map.of()), ItemMode.WEARING, new Placement(0, 0, 0, 30), 0);
        PlacedDesign design = place(far, cover, faceAt(0, 0, 1.5).withManner(ItemMode.LEFT_FREE));
        Geometry free = design.items().get(2).silhouette();
        assertThat(design.items().get(1).silhouette().intersection(free).getArea()).as("the cover leaves it free").isLessThan(1e-6);
        assertThat(design.items().get(0).silhouette().covers(free)).as("the bands go on below it").isTrue();
        assertThat(design.free().isEmpty()).as("the ground need leave nothing free").isTrue();
        assertThat(design.items().get(2).parts()).extracting(p -> p.part().title())
                .as("inner lines are drawn, areas and outstanding lines kept free").contains("mouth", "glint")
                .doesNotContain("head", "whisker");
        assertThat(free.intersects(FACTORY.createPoint(new Coordinate(-15 + 28 * 1.5, (12 - 8) * 1.5))))
                .as("the whisker belongs to the silhouette").isTrue();
        Map<String, Double> exposed = Exposed.of(design, design.items().get(2).item().id());
        assertThat(exposed.values().stream().mapToDouble(Double::doubleValue).sum()).as("shares of what is seen").isCloseTo(1,
                within(0.01));
        assertThat(exposed.keySet()).allMatch(slot -> slot.startsWith("band"));
        PlacedDesign alone = place(faceAt(0, 0, 1.5).withManner(ItemMode.LEFT_FREE));
        assertThat(alone.free().getArea()).as("with nothing behind it the ground leaves it free").isCloseTo(free.getArea(), within(1e-6));
    }

    @Test
    void aFringeOnlyAddsFineStrokesAlongTheEdge() {
        Geometry plain = place(faceAt(0, 0, 2).withManner(ItemMode.LEFT_FREE)).free();
        Geometry fringed = place(faceAt(0, 0, 2).withManner(ItemMode.LEFT_FREE).withFringeMm(2)).free();
        assertThat(fringed.buffer(0.08).covers(plain)).as("nothing is taken away").isTrue();
        assertThat(plain.buffer(2.4).covers(fringed)).as("no longer than the fringe").isTrue();
        assertThat(fringed.getArea()).isBetween(plain.getArea() * 1.02, plain.getArea() * 1.4);
        assertThat(fringed.getLength()).isGreaterThan(2 * plain.getLength());
    }

    @Test
    void mirroringExchangesLeftAndRightButTheLightStays() {
        PlacedDesign plain = place(faceAt(0, 0, 1));
        PlacedDesign mirrored = place(faceAt(0, 0, 1).withMirrored(true));
        Geometry whisker = mirrored.parts().stream().filter(p -> p.part().title().equals("whisker")).findFirst().orElseThrow().drawn();
        assertThat(whisker.getCentroid().getX()).as("on the other side").isNegative();
        Geometry head = mirrored.parts().get(0).drawn();
        assertThat(head.symDifference(AffineTransformation.scaleInstance(-1, 1).transform(plain.parts().get(0).drawn())).getArea())
                .isLessThan(1e-9);
        double eye = mirrored.parts().stream().filter(p -> p.part().id().equals("eye-left")).findFirst().orElseThrow().drawn().getCentroid()
                .getX();
        double glint = mirrored.parts().stream().filter(p -> p.part().title().equals("glint")).findFirst().orElseThrow().drawn()
                .getCentroid().getX();
        assertThat(glint).as("the glint is on the side the light comes from").isLessThan(eye);
    }

    @Test
    void pairsPulledApartByTheStoneAreMeasuredAndMadeEqual() {
        Support kidney = Support.of(Survey.of(Stone.cobble().withShape(new Shape.Grown(Form.PEAR, 0.8, 0.6)).withSize(new Millimetres(120),
                new Millimetres(80), new Millimetres(30))));
        Item wearing = faceAt(0, 0, 1).withManner(ItemMode.WEARING);
        PlacedItem apart = Designs.place(new Sketch(List.of(wearing)), REPERTOIRE, kidney).orElseThrow().items().get(0);
        List<Pairs.Pair> before = Pairs.of(apart);
        assertThat(before).hasSize(1);
        assertThat(before.get(0).apartMm()).isGreaterThan(0.2);
        PlacedItem equal = Designs.place(new Sketch(List.of(wearing.withMatched(true))), REPERTOIRE, kidney).orElseThrow().items().get(0);
        assertThat(Pairs.of(equal).get(0).apartMm()).as("congruent within 0.05 mm").isLessThan(0.05);
        assertThat(Pairs.of(equal).get(0).larger()).isCloseTo(1, within(1e-6));
        double smaller = Math.min(before.get(0).one().drawn().getArea(), before.get(0).other().drawn().getArea());
        assertThat(Pairs.of(equal).get(0).one().drawn().getArea()).as("the larger follows the smaller").isCloseTo(smaller, within(1e-6));
    }

    @Test
    void aThingIsFittedBesideTheOthersAndOffTheCracks() {
        PlacedDesign one = place(faceAt(-20, 0, 2));
        Geometry taken = Shapes.grown(one.silhouette(), 1);
        Placement beside = Designs.fit(faceAt(0, 0, 1), REPERTOIRE, BED, taken).orElseThrow();
        Geometry there = place(faceAt(0, 0, 1).withPlacement(beside)).silhouette();
        assertThat(there.distance(one.silhouette())).isGreaterThan(0.9);
        assertThat(BED.zones().face().buffer(1e-6).covers(there)).isTrue();
        assertThat(beside.scale()).as("and it is not tiny").isGreaterThan(1);
        Support cracked = Support.of(Survey.of(LARGE.plus(Patch.crack(-70, 20, 70, 24, 1.5, 1))));
        Placement off = Designs.fit(faceAt(0, 0, 1), REPERTOIRE, cracked).orElseThrow();
        Geometry crack = FACTORY.createLineString(new Coordinate[] {new Coordinate(-70, 20), new Coordinate(70, 24)});
        Geometry head = Designs.place(new Sketch(List.of(faceAt(0, 0, 1).withPlacement(off))), REPERTOIRE, cracked).orElseThrow()
                .silhouette();
        assertThat(head.distance(crack)).as("kept off the crack").isGreaterThan(1.2);
    }

    @Test
    void runOffIsADecisionAndNothingLeavesWithoutIt() {
        SplittableRandom random = new SplittableRandom(3);
        for (int i = 0; i < 12; i++) {
            Support bed = Support.of(Survey.of(Stone.cobble().withSeed(i)
                    .withShape(new Shape.Grown(Form.values()[i % Form.values().length], random.nextDouble(), random.nextDouble()))));
            Item item = faceAt(0, 0, 1).withRoom(new Item.Room(2, 30 * random.nextDouble(), 0));
            Geometry inside = Designs
                    .place(new Sketch(List.of(item.withPlacement(Designs.fit(item, REPERTOIRE, bed).orElseThrow()))), REPERTOIRE, bed)
                    .orElseThrow().silhouette();
            assertThat(bed.zones().face().buffer(1e-6).covers(inside)).as("stone %d", i).isTrue();
            Item off = faceAt(0, 0, 1).withRoom(new Item.Room(0, 0, 6));
            Placement larger = Designs.fit(off, REPERTOIRE, bed).orElseThrow();
            assertThat(larger.scale()).isGreaterThan(Designs.fit(item, REPERTOIRE, bed).orElseThrow().scale());
        }
    }

    @Test
    void groupsAreScatteredOrSetInARingWithoutTouching() {
        for (int count : new int[] {2, 3, 5, 7}) {
            List<Placement> scattered = Arrange.scattered(face(), BED, 1, count, 9);
            List<Placement> ring = Arrange.ring(face(), BED, 1, count);
            assertThat(scattered).as("%d scattered", count).hasSize(count);
            assertThat(ring).as("%d in a ring", count).hasSize(count);
            for (List<Placement> group : List.of(scattered, ring)) {
                List<Geometry> shapes = group.stream().map(p -> place(faceAt(0, 0, 1).withPlacement(p)).silhouette()).toList();
                for (int i = 0; i < count; i++) {
                    assertThat(BED.zones().face().buffer(1e-6).covers(shapes.get(i))).isTrue();
                    for (int k = i + 1; k < count; k++) {
                        assertThat(shapes.get(i).distance(shapes.get(k))).as("%d and %d of %d", i, k, count).isGreaterThan(0.2);
                    }
                }
            }
            assertThat(scattered.get(0).scale()).as("the main one is the largest")
                    .isGreaterThan(scattered.stream().skip(1).mapToDouble(Placement::scale).max().orElse(0));
        }
        Sketch one = new Sketch(List.of(faceAt(0, 0, 1).withGroup(Optional.of("g"))));
        Sketch two = one.plus(one.items().get(0).withPlacement(new Placement(10, 0, 0, 1)));
        assertThat(two.together("")).hasSize(2);
        assertThat(two.plus(faceAt(1, 1, 1)).together("").size()).isEqualTo(2);
    }

    @Test
    void anEyeIsSetOnABumpAndABadSpotIsHidden() {
        Patch bump = Patch.at(Patch.Kind.BUMP, 12, -9, 5, 1.5);
        PlacedItem placed = place(faceAt(0, 0, 1.4)).items().get(0);
        PlacedPart eye = Arrange.anchor(placed, bump).orElseThrow();
        assertThat(eye.part().title()).isEqualTo("eye right");
        Placement on = Arrange.onMark(placed, eye, bump);
        Geometry there = place(faceAt(0, 0, 1.4).withPlacement(on)).parts().stream().filter(p -> p.part().id().equals("eye-right"))
                .findFirst()
                .orElseThrow().drawn();
        assertThat(there.getEnvelopeInternal().centre().distance(new Coordinate(12, -9))).isLessThan(1e-9);
        Geometry spot = FACTORY.createPoint(new Coordinate(20, 14)).buffer(4);
        Placement hides = Arrange.covering(placed, spot, BED).orElseThrow();
        assertThat(place(faceAt(0, 0, 1).withPlacement(hides)).silhouette().covers(spot)).isTrue();
        assertThat(Arrange.covering(placed, FACTORY.createPoint(new Coordinate(0, 0)).buffer(40), BED)).as("too large to be hidden")
                .isEmpty();
        Stone slanted = Stone.cobble().withSize(new Millimetres(120), new Millimetres(60), new Millimetres(30)).withWayUp(30);
        assertThat(Arrange.longAxis(Support.of(Survey.of(slanted)))).as("level stone turned by 30 degrees").isCloseTo(-60, within(1.5));
    }

    @Test
    void partsThatAreLeftOutAreNeitherDrawnNorPainted() {
        PlacedDesign without = place(faceAt(0, 0, 1).withLeftOut(Set.of("eye-left", "whisker")));
        assertThat(without.parts()).extracting(p -> p.part().id()).doesNotContain("eye-left", "whisker").contains("eye-right");
    }

    @Test
    void whatIsAskedForInAFewWordsIsUnderstood() {
        assertThat(Spoken.understood("ring of 24 dots", "slab", Families.list()).orElseThrow().subject())
                .isInstanceOfSatisfying(Subject.Dots.class, d -> assertThat(d.count()).isEqualTo(24));
        assertThat(Spoken.understood(" Walking  dots", "slab", Families.list()).orElseThrow().subject())
                .isInstanceOfSatisfying(Subject.Dots.class, d -> assertThat(d.series()).isEqualTo(Subject.Series.WALKING));
        assertThat(Spoken.understood("word Quillbeck", "slab", Families.list()).orElseThrow().subject())
                .isEqualTo(new Subject.Word(List.of("Quillbeck"), "slab"));
        assertThat(Spoken.understood("9 petals", "slab", Families.list()).orElseThrow().subject())
                .isEqualTo(new Subject.Pattern("petals", Map.of("count", 9.0)));
        assertThat(Spoken.understood("ring of 9000 dots", "slab", Families.list())).isEmpty();
        assertThat(Spoken.understood("", "slab", Families.list())).isEmpty();
        assertThat(Spoken.understood("word " + "x".repeat(300), "slab", Families.list())).isEmpty();
    }
}
