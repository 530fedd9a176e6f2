package mosspebble.core.plan;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.SplittableRandom;
import java.util.function.Supplier;
import mosspebble.core.Surveys;
import mosspebble.core.Paints;
import mosspebble.core.area.Remembered;
import mosspebble.core.colour.Mix;
import mosspebble.core.colour.Palette;
import mosspebble.core.drying.Climate;
import mosspebble.core.finding.Code;
import mosspebble.core.finding.Finding;
import mosspebble.core.project.Project;
import mosspebble.core.project.Workshop;
import mosspebble.core.rules.Plans;
import mosspebble.core.sketch.Designs;
import mosspebble.core.sketch.Family;
import mosspebble.core.sketch.GuideKind;
import mosspebble.core.sketch.Item;
import mosspebble.core.sketch.ItemMode;
import mosspebble.core.sketch.Motif;
import mosspebble.core.sketch.MotifPart;
import mosspebble.core.sketch.PlacedDesign;
import mosspebble.core.sketch.PlacedPart;
import mosspebble.core.sketch.Placement;
import mosspebble.core.sketch.Repertoire;
import mosspebble.core.sketch.Role;
import mosspebble.core.sketch.Presence;
import mosspebble.core.sketch.Sketch;
import mosspebble.core.sketch.Slot;
import mosspebble.core.sketch.Subject;
import mosspebble.core.sketch.Typeface;
import mosspebble.core.sketch.family.Families;
import mosspebble.core.stone.Stone;
import mosspebble.core.stone.Survey;
import mosspebble.core.units.Srgb;
import mosspebble.core.words.FindingWords;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.GeometryFactory;

/** Whatever the records accept gives a plan, in bounded time; one thing that cannot be worked out does not take the others with it. */
class WhateverIsAcceptedTest {

    private static final Stone STONE = Stone.cobble();
    private static final Survey SURVEY = Surveys.of(STONE);

    /** A disc of radius 1, and a motif that no planner can work out. */
    private static final Repertoire REPERTOIRE = new Repertoire() {
        @Override
        public Optional<Motif> motif(String id) {
            if (id.equals("troubled")) {
                throw new IllegalStateException("made to fail");
            }
            var disc = new GeometryFactory().createPoint(new Coordinate(0, 0)).buffer(1, 16);
            return Optional.of(new Motif("disc", "Disc", List.of(new Slot("body", "Body", Srgb.ofHex("#aa3322"))),
                    List.of(new MotifPart("body", "body", Role.FILL, "body", disc, new MotifPart.Make(0, 0.5, true, Presence.ALWAYS),
                            Optional.empty())),
                    disc,
                    disc, true, false));
        }

        @Override
        public Optional<Typeface> typeface(String id) {
            return Optional.empty();
        }

        @Override
        public Optional<Family> family(String id) {
            return Families.list().stream().filter(f -> f.id().equals(id)).findFirst();
        }

        @Override
        public Optional<Motif> made(Subject subject, Supplier<Optional<Motif>> making) {
            return making.get();
        }
    };

    private static Item item(String id, Subject subject, ItemMode manner, Placement at, double fringeMm) {
        return new Item(id, subject, at, new Item.Lie(manner, false, false, fringeMm, Optional.empty()), new Item.Room(2, 0, 0), Set.of(),
                Optional.empty(),
                Item.Lines.OPEN);
    }

    private static PaintPlan plan(List<Throwable> troubled, Item... items) {
        Mix colour = Mix.of(Paints.shelf().paints().get(0).id());
        Project project = Project.begin("s", "Stone", STONE).withSketch(Optional.of(new Sketch(List.of(items))))
                .withColours(Map.of("body", colour, "stroke", colour, "dots", colour, "others", colour, "lines", colour));
        return Plans.plan(project, SURVEY, new Workshop(new Palette(Paints.shelf()), REPERTOIRE, Climate.room(), List.of()),
                new Remembered(), troubled::add);
    }

    private static PaintPlan untroubled(Item... items) {
        List<Throwable> troubled = new ArrayList<>();
        PaintPlan plan = plan(troubled, items);
        assertThat(troubled).isEmpty();
        return plan;
    }

    @ParameterizedTest
    @EnumSource(GuideKind.class)
    void aGuideLeftFreeLeavesNothingFree(GuideKind kind) {
        Item disc = item("", new Subject.Figure("disc"), ItemMode.ON_STONE, new Placement(0, 0, 0, 20), 0);
        Item guide = item("g", kind.usual(), ItemMode.LEFT_FREE, new Placement(0, 0, 0, 1), 3);
        assertThat(untroubled(disc, guide).design().orElseThrow().free().getArea()).isZero();
    }

    @ParameterizedTest
    @EnumSource(Subject.Becomes.class)
    void aStrokeOfAnyKindCanBeLeftFree(Subject.Becomes becomes) {
        Item disc = item("", new Subject.Figure("disc"), ItemMode.ON_STONE, new Placement(0, 0, 0, 25), 0);
        Item stroke = item("s", new Subject.Stroke(List.of(-8.0, 0.0, 8.0, 0.0, 8.0, 6.0), false, becomes, 1.5), ItemMode.LEFT_FREE,
                new Placement(0, 0, 0, 1), 2);
        assertThat(untroubled(disc, stroke).steps()).isNotEmpty();
    }

    @Test
    void anAreaIsClosedHoweverItWasDrawn() {
        assertThat(new Subject.Stroke(List.of(0.0, 0.0, 9.0, 0.0, 9.0, 9.0), false, Subject.Becomes.AREA, 1).closed()).isTrue();
        assertThat(new Subject.Stroke(List.of(0.0, 0.0, 9.0, 0.0, 9.0, 9.0), false, Subject.Becomes.LINE, 1).closed()).isFalse();
    }

    @Test
    void everySmoothClosedAreaIsARing() {
        SplittableRandom random = new SplittableRandom(5);
        for (int i = 0; i < 200; i++) {
            List<Double> points = new ArrayList<>();
            int count = 3 + random.nextInt(20);
            for (int k = 0; k < count; k++) {
                double angle = 2 * Math.PI * k / count;
                points.add((10 + 20 * random.nextDouble()) * Math.cos(angle) + random.nextDouble() / 3);
                points.add((10 + 20 * random.nextDouble()) * Math.sin(angle) - random.nextDouble() / 7);
            }
            Sketch sketch = new Sketch(List.of(item("", new Subject.Stroke(points, true, Subject.Becomes.AREA, 1), ItemMode.ON_STONE,
                    new Placement(random.nextDouble(), 0, 0, 1), 0)));
            assertThat(
                    Designs.place(sketch, REPERTOIRE, new mosspebble.core.sketch.Support(SURVEY, mosspebble.core.stone.Viewpoint.above()))
                            .orElseThrow().silhouette().getArea())
                    .isPositive();
        }
    }

    @ParameterizedTest
    @EnumSource(Subject.Series.class)
    void theSmallestDotsRoundAStoneAreNeverSmallerThanAToolSets(Subject.Series series) {
        Subject.Dots dots = Subject.Dots.usual().withRing(new Subject.Dots.Ring(0.3, 3, 4))
                .withShrink(new Subject.Dots.Shrink(series, 0.1));
        for (ItemMode manner : ItemMode.values()) {
            PlacedDesign design = untroubled(item("", dots, manner, new Placement(0, 0, 0, 20), 0)).design().orElseThrow();
            for (PlacedPart part : design.parts()) {
                for (int i = 0; part.part().isArea() && i < part.drawn().getNumGeometries(); i++) {
                    var box = part.drawn().getGeometryN(i).getEnvelopeInternal();
                    assertThat(Math.max(box.getWidth(), box.getHeight())).isGreaterThan(0.29); // 0.3 mm, a disc of 28 corners a little less
                }
            }
        }
    }

    @ParameterizedTest
    @ValueSource(doubles = {1, 70, 1000})
    void aThingManyTimesTheStonesSizeIsCutDownToWhatLiesNearIt(double times) {
        Item disc = item("", new Subject.Figure("disc"), ItemMode.ON_STONE, new Placement(0, 0, 0, 25), 0);
        Item huge = item("h", new Subject.Figure("disc"), ItemMode.LEFT_FREE, new Placement(10, 0, 0, Math.min(1000, 25 * times)), 6);
        PlacedDesign design = untroubled(disc, huge).design().orElseThrow();
        for (PlacedPart part : design.parts()) {
            assertThat(part.drawn().getEnvelopeInternal().getDiameter()).isLessThan(12 * 96);
            assertThat(part.drawn().getNumPoints()).isLessThan(20_000);
        }
    }

    @Test
    void aThingOfUsualSizeIsNotTouchedByThat() {
        Item beyond = item("", new Subject.Figure("disc"), ItemMode.ON_STONE, new Placement(60, 0, 0, 40), 0);
        assertThat(untroubled(beyond).design().orElseThrow().silhouette().getEnvelopeInternal().getMaxX()).isGreaterThan(99.9);
    }

    @Test
    void oneThingThatCannotBeWorkedOutIsNamedAndTheRestIsPlanned() {
        List<Throwable> troubled = new ArrayList<>();
        Item disc = item("", new Subject.Figure("disc"), ItemMode.ON_STONE, new Placement(0, 0, 0, 20), 0);
        Item bad = item("b", new Subject.Figure("troubled"), ItemMode.ON_STONE, new Placement(0, 0, 0, 5), 0);

        PaintPlan plan = plan(troubled, disc, bad);

        assertThat(troubled).singleElement().isInstanceOf(IllegalStateException.class);
        assertThat(plan.project().sketch().orElseThrow().items()).as("the answer is for the stone as it is").hasSize(2);
        assertThat(plan.steps()).extracting(Step::key, Step::coats)
                .isEqualTo(untroubled(disc).steps().stream().map(o -> org.assertj.core.groups.Tuple.tuple(o.key(), o.coats())).toList());
        Finding finding = plan.findings().get(0);
        assertThat(finding.weight()).isEqualTo(Finding.Weight.STOP);
        assertThat(FindingWords.sentence(finding)).contains("troubled").contains("leaves it out");
        Project mended = finding.remedy().orElseThrow().change().apply(plan.project());
        assertThat(mended.sketch().orElseThrow().items()).extracting(Item::id).containsExactly("");
        assertThat(plan(new ArrayList<>(), mended.sketch().orElseThrow().items().get(0)).findings())
                .noneMatch(f -> f.code() == Code.LEFT_OUT);
    }
}
