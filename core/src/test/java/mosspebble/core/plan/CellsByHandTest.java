package mosspebble.core.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.stream.IntStream;
import mosspebble.core.Surveys;
import mosspebble.core.Paints;
import mosspebble.core.area.Remembered;
import mosspebble.core.area.Shapes;
import mosspebble.core.blend.Blend;
import mosspebble.core.blend.BlendKind;
import mosspebble.core.colour.Mix;
import mosspebble.core.colour.Palette;
import mosspebble.core.drying.Climate;
import mosspebble.core.project.Habits;
import mosspebble.core.project.Project;
import mosspebble.core.project.Workshop;
import mosspebble.core.rules.Plans;
import mosspebble.core.sketch.ItemMode;
import mosspebble.core.sketch.Motif;
import mosspebble.core.sketch.MotifPart;
import mosspebble.core.sketch.Placement;
import mosspebble.core.sketch.Presence;
import mosspebble.core.sketch.Repertoire;
import mosspebble.core.sketch.Role;
import mosspebble.core.sketch.Sketch;
import mosspebble.core.sketch.Slot;
import mosspebble.core.sketch.Subject;
import mosspebble.core.stone.Stone;
import mosspebble.core.stone.Survey;
import mosspebble.core.units.Millimetres;
import mosspebble.core.units.Srgb;
import org.junit.jupiter.api.Test;
import org.locationtech.jts.geom.Envelope;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;

/** Seven square cells in a row on the level top of a large stone, worked out by hand. */
class CellsByHandTest {

    private static final Stone STONE = Stone.cobble().withSize(new Millimetres(240), new Millimetres(220), new Millimetres(20));
    private static final Survey SURVEY = Surveys.of(STONE);
    private static final double SIDE = 8;

    /** @param from x of the first cell, mm; each lies 10 mm from the next, to the right or to the left */
    private static PaintPlan plan(Blend blend, boolean rightward) {
        GeometryFactory factory = new GeometryFactory();
        List<MotifPart> parts = new ArrayList<>();
        for (int i = 0; i < 7; i++) {
            double x = -34 + 10 * (rightward ? i : 6 - i);
            Geometry square = factory.toGeometry(new Envelope(x, x + SIDE, -4, 4));
            parts.add(new MotifPart("cell-" + i, "cell " + (i + 1), Role.FILL, "cells", square,
                    new MotifPart.Make(0, 0, false, Presence.ALWAYS), Optional.empty()));
        }
        Geometry whole = Shapes.union(parts.stream().map(MotifPart::shape).toList());
        Motif motif = new Motif("row", "Row", List.of(new Slot("cells", "Cells", Srgb.ofHex("#888888"))), parts, whole, whole, true, false);
        Project project = Project.begin("p", "Row", STONE)
                .withSketch(Optional.of(Sketch.of(new Subject.Figure("row"), ItemMode.ON_STONE, new Placement(0, 0, 0, 1), 0)))
                .withColours(Map.of("cells", Mix.of("blue"))).withBlend("cells", blend)
                .withHabits(Habits.usual().withGround(Habits.Ground.BARE).withPrimer(Habits.Primer.NEVER));
        return Plans.plan(project, SURVEY,
                new Workshop(new Palette(Paints.shelf()), Repertoire.of(List.of(motif), List.of()), Climate.room(), List.of()),
                new Remembered());
    }

    /** Parts of the second colour in six, by cell from the left. */
    private static Map<Long, Double> second(PaintPlan plan) {
        Map<Long, Double> found = new TreeMap<>();
        for (Step step : plan.steps()) {
            for (Step.Layer layer : step instanceof Step.Lay ? step.layers() : List.<Step.Layer>of()) {
                Mix mix = layer.load().mix();
                double white = mix.parts().stream().filter(p -> p.paint().equals("white")).mapToInt(Mix.Part::parts).sum();
                for (int i = 0; i < layer.place().getNumGeometries(); i++) {
                    found.put(Math.round((layer.place().getGeometryN(i).getCentroid().getX() + 30) / 10), 6 * white / mix.totalParts());
                }
            }
        }
        return found;
    }

    @Test
    void cellsRunFromOneColourToTheOtherInSixths() {
        Blend rightward = Blend.of(BlendKind.GRADED_CELLS).withColours(List.of(Mix.of("white"))).withAngle(90);
        Map<Long, Double> found = second(plan(rightward, true));
        assertThat(found).hasSize(7);
        found.forEach((cell, white) -> assertThat(white).as("cell %d", cell).isCloseTo(cell, within(1e-9)));
        assertThat(second(plan(rightward, false))).as("wherever the first is listed").isEqualTo(found);
        Map<Long, Double> leftward = second(plan(rightward.withAngle(270), true));
        leftward.forEach((cell, white) -> assertThat(white).as("the other way, cell %d", cell).isCloseTo(6 - cell, within(1e-9)));
    }

    /** Seven squares of 64 mm2 on the level top are 448 mm2; a brush runs a little over their edges. */
    @Test
    void theAreaOfAPassIsWhatItsCellsMeasure() {
        PaintPlan plan = plan(Blend.flat(), true);
        Step first = plan.steps().stream().filter(s -> s.kind() == Step.Kind.FILL).findFirst().orElseThrow();
        assertThat(first.layers().stream().mapToDouble(l -> l.place().getArea()).sum()).isCloseTo(7 * SIDE * SIDE, within(1.0));
        assertThat(first.work().areaMm2()).isCloseTo(7 * SIDE * SIDE, within(0.06 * 7 * SIDE * SIDE));
        assertThat(IntStream.range(0, plan.steps().size()).mapToDouble(i -> plan.steps().get(i).work().areaMm2()).max().orElse(0))
                .as("nothing is larger than the stone's face").isLessThan(2 * Math.PI * 120 * 110);
    }
}
