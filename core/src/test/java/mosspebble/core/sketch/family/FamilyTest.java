package mosspebble.core.sketch.family;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Map;
import java.util.SplittableRandom;
import java.util.TreeMap;
import mosspebble.core.sketch.Support;
import mosspebble.core.sketch.Designs;
import mosspebble.core.sketch.Family;
import mosspebble.core.sketch.Item;
import mosspebble.core.sketch.ItemMode;
import mosspebble.core.sketch.Motif;
import mosspebble.core.sketch.MotifPart;
import mosspebble.core.sketch.PlacedDesign;
import mosspebble.core.sketch.Placement;
import mosspebble.core.sketch.Repertoire;
import mosspebble.core.sketch.Sketch;
import mosspebble.core.sketch.Subject;
import mosspebble.core.stone.Form;
import mosspebble.core.stone.Patch;
import mosspebble.core.stone.Shape;
import mosspebble.core.stone.Stone;
import mosspebble.core.stone.Survey;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.LineString;

/** Patterns made to measure. */
class FamilyTest {

    private static final Repertoire REPERTOIRE = Repertoire.of(List.of(), List.of(), Families.list());

    private static Family family(String id) {
        return Families.list().stream().filter(f -> f.id().equals(id)).findFirst().orElseThrow();
    }

    private static Motif motif(String id, Map<String, Double> values) {
        return family(id).motif(values, Family.Site.plain());
    }

    private static MotifPart part(Motif motif, String title) {
        return motif.parts().stream().filter(p -> p.title().equals(title)).findFirst().orElseThrow();
    }

    @Test
    void everyFamilyIsSoundAtTheEndsOfItsDialsAndAnywhereBetween() {
        SplittableRandom random = new SplittableRandom(41);
        assertThat(Families.list()).extracting(Family::id).doesNotHaveDuplicates();
        for (Family family : Families.list()) {
            for (int k = 0; k < 5; k++) {
                Map<String, Double> values = new TreeMap<>();
                for (Family.Dial dial : family.dials()) {
                    double share = k == 0 ? 0 : k == 1 ? 1 : random.nextDouble();
                    values.put(dial.id(), dial.low() + share * (dial.high() - dial.low()));
                }
                family.check(values);
                Motif motif = family.motif(values, Family.Site.plain());
                for (MotifPart part : motif.parts()) {
                    assertThat(part.shape().isValid()).as("%s with %s: %s", family.title(), values, part.title()).isTrue();
                    assertThat(part.shape().getEnvelopeInternal().getDiameter()).as("%s with %s: %s", family.title(), values, part.title())
                            .isBetween(0.0, 60.0);
                    if (motif.wears()) {
                        assertThat(motif.silhouette().buffer(1e-6).covers(part.shape()))
                                .as("%s with %s: %s lies inside", family.title(), values, part.title()).isTrue();
                    }
                }
                assertThat(family.motif(values, Family.Site.plain()).parts().get(0).shape().equalsExact(motif.parts().get(0).shape()))
                        .as("the same values give the same").isTrue();
            }
            assertThatThrownBy(() -> family.check(Map.of("no-such-dial", 1.0))).hasMessageContaining("no-such-dial");
        }
    }

    @Test
    void everyFamilyGoesOnAStoneAndStaysWhereItIsFitted() {
        Support bed = Support.of(Survey.of(Stone.cobble().withShape(new Shape.Grown(Form.KIDNEY, 0.8, 0.2))));
        for (Family family : Families.list()) {
            for (ItemMode manner : new ItemMode[] {ItemMode.ON_STONE, ItemMode.WEARING}) {
                Item item = Item.of(new Subject.Pattern(family.id(), Map.of()), manner, new Placement(0, 0, 0, 10), 1);
                Item fitted = item.withPlacement(Designs.fit(item.withManner(ItemMode.ON_STONE), REPERTOIRE, bed).orElseThrow());
                PlacedDesign design = Designs.place(new Sketch(List.of(fitted)), REPERTOIRE, bed).orElseThrow();
                boolean wears = design.items().get(0).wears();
                Geometry room = wears ? bed.zones().paintable() : bed.zones().face();
                assertThat(design.silhouette().difference(room.buffer(0.05)).getArea()).as("%s, %s", family.title(), manner)
                        .isLessThan(0.01);
            }
        }
    }

    @Test
    @Tag("outside") // regular polygon of n corners in a circle R: side 2 R sin(pi / n), area n/2 R^2 sin(2 pi / n)
    void thePlateIsARegularPolygon() {
        for (int n : new int[] {3, 5, 6, 12}) {
            Geometry plate = part(motif("plate", Map.of("corners", (double) n, "plate", 0.5)), "plate").shape();
            assertThat(plate.getArea()).isCloseTo(n / 2.0 * 0.25 * Math.sin(2 * Math.PI / n), within(1e-9));
            assertThat(plate.getLength() / n).isCloseTo(2 * 0.5 * Math.sin(Math.PI / n), within(1e-9));
        }
    }

    @Test
    void glassCellsNeitherOverlapNorLeaveMoreThanTheirLeads() {
        Motif glass = motif("glass", Map.of("cells", 20.0, "lead", 0.02));
        List<MotifPart> cells = glass.parts().stream().filter(p -> p.title().startsWith("cell")).toList();
        assertThat(cells).hasSize(20);
        double sum = 0;
        for (int i = 0; i < cells.size(); i++) {
            sum += cells.get(i).shape().getArea();
            for (int k = i + 1; k < cells.size(); k++) {
                assertThat(cells.get(i).shape().distance(cells.get(k).shape())).as("%d and %d", i, k).isGreaterThan(0.0);
            }
        }
        assertThat(sum).isBetween(0.75 * Math.PI, Math.PI);
    }

    @Test
    void bandsCoverTheStoneOneOverTheOtherAndPetalsOfATiltedFlowerAreShorterBehind() {
        Motif bands = motif("bands", Map.of("bands", 4.0));
        assertThat(bands.parts()).hasSize(4);
        Geometry all = bands.parts().stream().map(MotifPart::shape).reduce(Geometry::union).orElseThrow();
        assertThat(bands.silhouette().difference(all).getArea()).as("no gap between bands").isLessThan(1e-6);
        assertThat(bands.parts().get(0).shape().intersection(bands.parts().get(2).shape()).getArea())
                .as("each goes a little under the next only").isLessThan(1e-6);
        Motif flat = motif("petals", Map.of("count", 8.0, "tilt", 0.0));
        Motif tilted = motif("petals", Map.of("count", 8.0, "tilt", 60.0));
        assertThat(tilted.sitting().getEnvelopeInternal().getHeight()).as("half as high at 60 degrees: cos 60 = 0.5")
                .isCloseTo(flat.sitting().getEnvelopeInternal().getHeight() / 2, within(0.05));
        assertThat(part(tilted, "centre").shape().getEnvelopeInternal().getHeight())
                .isLessThan(part(flat, "centre").shape().getEnvelopeInternal().getHeight());
    }

    private static List<Geometry> parts(String family, Map<String, Double> values, String titled) {
        return motif(family, values).parts().stream().filter(p -> p.title().matches(titled)).map(MotifPart::shape).toList();
    }

    @Test
    void aHandMakesNoTwoPetalsAlikeUnlessTheyAreMeantToBe() {
        List<Geometry> even = parts("petals", Map.of("count", 8.0, "hand", 0.0), "petal \\d+");
        assertThat(even).hasSize(8).allSatisfy(p -> assertThat(p.getArea()).isCloseTo(even.get(0).getArea(), within(1e-9)));
        List<Geometry> usual = parts("petals", Map.of("count", 8.0), "petal \\d+");
        assertThat(usual.stream().map(p -> Math.round(1e6 * p.getArea())).distinct()).as("no two alike").hasSize(8);
        assertThat(parts("petals", Map.of("count", 8.0), "petal \\d+")).as("the same again").isEqualTo(usual);
        assertThat(parts("petals", Map.of("count", 8.0, "seed", 2.0), "petal \\d+")).as("another").isNotEqualTo(usual);
        for (double seed = 1; seed <= 40; seed++) {
            List<Geometry> most = parts("petals", Map.of("count", 8.0, "hand", 1.0, "seed", seed), "petal \\d+");
            for (int i = 0; i < 8; i++) {
                assertThat(most.get(i).getArea() / even.get(i).getArea()).as("as a steady hand strays").isBetween(0.84, 1.16);
                Coordinate at = most.get(i).getCentroid().getCoordinate();
                Coordinate was = even.get(i).getCentroid().getCoordinate();
                double turned = Math.toDegrees(Math.atan2(at.y, at.x) - Math.atan2(was.y, was.x));
                assertThat(Math.abs(Math.IEEEremainder(turned, 360))).isLessThan(Sway.MOST_TURN);
            }
        }
    }

    @Test
    void everyFamilyDrawnByHandIsSteadyAtNothing() {
        List<String> swaying = Families.list().stream().filter(f -> f.dials().stream().anyMatch(d -> d.id().equals("hand"))).map(Family::id)
                .toList();
        assertThat(swaying).contains("rays", "petals", "overlap", "leaf", "frond", "stem", "vine", "waves");
        for (String id : swaying) {
            Motif one = motif(id, Map.of("hand", 0.0, "seed", 1.0));
            Motif other = motif(id, Map.of("hand", 0.0, "seed", 9.0));
            assertThat(other.parts()).as("%s: the seed changes nothing where all is even", id).isEqualTo(one.parts());
            assertThat(motif(id, Map.of("hand", 1.0, "seed", 9.0)).parts()).as(id).isNotEqualTo(motif(id, Map.of("hand", 1.0)).parts());
        }
    }

    @Test
    void aCrackOfTheOpeningMeetsTheCrackOfTheStone() {
        Stone stone = Stone.cobble().plus(Patch.crack(-40, -18, -31, -14, 1, 1));
        Support bed = Support.of(Survey.of(stone));
        Item item = Item.of(new Subject.Pattern("opening", Map.of("cracks", 0.0)), ItemMode.ON_STONE, new Placement(0, 0, 0, 18), 0);
        PlacedDesign with = Designs.place(new Sketch(List.of(item)), REPERTOIRE, bed).orElseThrow();
        Geometry cracks = with.parts().stream().filter(p -> p.part().title().equals("cracks")).findFirst().orElseThrow().drawn();
        assertThat(cracks.distance(cracks.getFactory().createPoint(new Coordinate(-31, -14)))).as("runs to its mouth").isLessThan(0.01);
        assertThat(cracks.distance(cracks.getFactory().createPoint(new Coordinate(-40, -18)))).as("and along it").isLessThan(0.01);
        PlacedDesign without = Designs.place(new Sketch(List.of(item)), REPERTOIRE, Support.of(Survey.of(Stone.cobble()))).orElseThrow();
        assertThat(without.parts()).noneMatch(p -> p.part().title().equals("cracks"));
        assertThat(cracks.getGeometryN(0)).isInstanceOf(LineString.class);
    }

    private static boolean same(Motif one, Motif other) {
        if (one.parts().size() != other.parts().size() || !one.slots().equals(other.slots())) {
            return false;
        }
        for (int i = 0; i < one.parts().size(); i++) {
            if (!one.parts().get(i).title().equals(other.parts().get(i).title())
                    || !one.parts().get(i).shape().equalsExact(other.parts().get(i).shape(), 1e-9)) {
                return false;
            }
        }
        return true;
    }

    @Test
    void everyDialOfEveryFamilyDoesSomethingToBothSidesOfItsUsualPlace() {
        for (Family family : Families.list()) {
            for (Family.Dial dial : family.dials()) {
                Motif usual = motif(family.id(), Map.of());
                Motif low = motif(family.id(), Map.of(dial.id(), dial.low()));
                Motif high = motif(family.id(), Map.of(dial.id(), dial.high()));
                assertThat(same(low, high)).as("%s: %s from end to end", family.title(), dial.title()).isFalse();
                assertThat(same(usual, motif(family.id(), Map.of(dial.id(), dial.usual())))).as("%s: %s at its usual place",
                        family.title(), dial.title()).isTrue();
                if (dial.low() < dial.usual() && dial.usual() < dial.high()) {
                    assertThat(same(usual, low)).as("%s: %s lower", family.title(), dial.title()).isFalse();
                    assertThat(same(usual, high)).as("%s: %s higher", family.title(), dial.title()).isFalse();
                }
                assertThat(dial.step()).isGreaterThan(0);
                assertThat(dial.names()).as("a choice has a name for each number").satisfiesAnyOf(n -> assertThat(n).isEmpty(),
                        n -> assertThat(n).hasSize((int) dial.high() + 1).doesNotHaveDuplicates());
            }
        }
    }

    private static Family.Dial dial(String family, String id) {
        return family(family).dials().stream().filter(d -> d.id().equals(id)).findFirst().orElseThrow();
    }

    @Test
    void aDialIsReadInWhatItsNumberMeans() {
        assertThat(dial("bands", "arch").said(0.06)).isEqualTo("6 %");
        assertThat(dial("bands", "arch").said(-0.605)).isEqualTo("-61 %");
        assertThat(dial("bands", "bands").said(6)).isEqualTo("6");
        assertThat(dial("opening", "lean").said(-22)).isEqualTo("-22°");
        assertThat(dial("spiral", "turns").said(1.5)).isEqualTo("1.5");
        assertThatThrownBy(() -> family("bands").check(Map.of("arch", 0.9))).hasMessage("Arch: -60 % to 60 %, was 90 %.");
        assertThatThrownBy(() -> family("opening").check(Map.of("lean", 75.0))).hasMessage("Lean of the stripes: -60° to 60°, was 75°.");
    }

    @Test
    void valuesBeyondADialAreHeldAtItsEndAndNonsenseAtItsUsualPlace() {
        for (Family family : Families.list()) {
            if (family.dials().isEmpty()) {
                continue; // one drawing only
            }
            Family.Dial dial = family.dials().get(0);
            assertThat(same(motif(family.id(), Map.of(dial.id(), dial.high() + 100)), motif(family.id(), Map.of(dial.id(), dial.high()))))
                    .as(family.title()).isTrue();
            assertThat(same(motif(family.id(), Map.of(dial.id(), Double.NaN)), motif(family.id(), Map.of()))).as(family.title()).isTrue();
            assertThatThrownBy(() -> family.check(Map.of(dial.id(), dial.high() + 1))).hasMessageContaining(dial.title());
            assertThatThrownBy(() -> family.check(Map.of(dial.id(), Double.NaN))).hasMessageContaining(dial.title());
        }
    }

    @Test
    void whatIsCountedComesInThatNumber() {
        for (int n = 2; n <= 8; n++) {
            assertThat(motif("bands", Map.of("bands", (double) n)).parts()).hasSize(n);
        }
        for (int rows = 1; rows <= 3; rows++) {
            long petals = motif("petals", Map.of("count", 7.0, "rows", (double) rows)).parts().stream()
                    .filter(p -> p.isArea() && p.title().startsWith("petal")).count();
            assertThat(petals).as("%d rows of seven", rows).isEqualTo(7L * rows);
        }
        for (int cells : new int[] {6, 12, 30}) {
            assertThat(motif("glass", Map.of("cells", (double) cells)).parts().stream().filter(p -> p.title().startsWith("cell")).count())
                    .isEqualTo(cells);
        }
    }
}
