package mosspebble.core.plan;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import mosspebble.core.Surveys;
import mosspebble.core.Paints;
import mosspebble.core.area.Remembered;
import mosspebble.core.area.Shapes;
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
import mosspebble.core.stone.RockKind;
import mosspebble.core.stone.Skin;
import mosspebble.core.stone.Stone;
import mosspebble.core.stone.Texture;
import mosspebble.core.units.Millimetres;
import mosspebble.core.units.Srgb;
import mosspebble.core.words.StepWords;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Envelope;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;

/** Rules of the planner as cases in a table: a small picture, and what is expected of its plan (common practice, no source). */
@Tag("outside")
class PlannerRulesTest {

    private static final GeometryFactory FACTORY = new GeometryFactory();

    record Rule(String name, String parts, String habits, String expected) {
        @Override
        public String toString() {
            return name;
        }
    }

    static Stream<Rule> rules() {
        try (BufferedReader table = new BufferedReader(new InputStreamReader(
                Objects.requireNonNull(PlannerRulesTest.class.getResourceAsStream("/planner-rules.csv")), StandardCharsets.UTF_8))) {
            List<Rule> rules = table.lines().filter(l -> !l.startsWith("#")).skip(1).map(l -> l.split("\\|", -1))
                    .map(c -> new Rule(c[0], c[1], c[2], c[3])).toList();
            assertThat(rules).hasSizeGreaterThan(20);
            return rules.stream();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    @ParameterizedTest
    @MethodSource("rules")
    void holds(Rule rule) {
        PaintPlan plan = plan(rule);
        for (String expected : rule.expected().split("; ?")) {
            check(plan, Arrays.stream(expected.trim().split(" ")).map(w -> w.replace('+', ' ')).toArray(String[]::new),
                    rule + ": " + expected + " in " + StepWords.titles(plan));
        }
    }

    // --- the picture

    private static PaintPlan plan(Rule rule) {
        List<String> habits = Arrays.asList(rule.habits().split(" "));
        List<MotifPart> parts = new ArrayList<>();
        Map<String, Mix> colours = new LinkedHashMap<>();
        for (String each : rule.parts().split("; ?")) {
            String text = each.trim();
            String name = text.substring(0, text.indexOf('=')).replaceAll("[!~*]", "").replace('+', ' ');
            String paint = text.substring(text.indexOf('=') + 1, text.indexOf(' '));
            Geometry shape = shape(text.substring(text.indexOf(' ') + 1));
            Role role = text.startsWith("~") ? Role.LINE : text.startsWith("*") ? Role.HIGHLIGHT : Role.FILL;
            parts.add(new MotifPart(name, name, role, name, shape,
                    new MotifPart.Make(text.startsWith("~") ? 0.7 : 0, 0, text.startsWith("!"), Presence.ALWAYS), Optional.empty()));
            colours.put(name, Mix.of(paint));
        }
        Stone stone = Stone.cobble().withSize(new Millimetres(150), new Millimetres(110), new Millimetres(30));
        if (habits.contains("DARK")) {
            stone = stone.withSkin(Skin.of(RockKind.BASALT, Texture.SMOOTH, Srgb.ofHex("#3c3c3e")));
        }
        Geometry whole = Shapes.union(parts.stream().filter(p -> p.role() == Role.FILL).map(MotifPart::shape).toList());
        Repertoire repertoire = Repertoire.of(
                List.of(new Motif("picture", "Picture",
                        parts.stream().map(p -> new Slot(p.slot(), p.slot(), Srgb.ofHex("#888888"))).toList(),
                        parts, whole, whole, true, false)),
                List.of());
        Habits how = Habits.usual().withGround(habits.contains("GROUND") ? Habits.Ground.AROUND : Habits.Ground.BARE)
                .withPrimer(habits.contains("PRIMER") ? Habits.Primer.WHERE_NEEDED : Habits.Primer.NEVER)
                .withMedium(habits.contains("BRUSHES") ? Habits.Medium.BRUSHES : Habits.Medium.BY_AREA);
        Project project = Project.begin("p", "Picture", stone)
                .withSketch(Optional.of(Sketch.of(new Subject.Figure("picture"), ItemMode.ON_STONE, new Placement(0, 0, 0, 1), 0)))
                .withColours(colours).withHabits(how)
                .withGround(habits.contains("GROUND") ? Optional.of(Mix.of(habits.get(habits.indexOf("GROUND") + 1))) : Optional.empty());
        return Plans.plan(project, Surveys.of(stone), new Workshop(new Palette(Paints.shelf()), repertoire, Climate.room(), List.of()),
                new Remembered());
    }

    private static Geometry shape(String text) {
        String kind = text.substring(0, text.indexOf('('));
        double[] n = Arrays.stream(text.substring(text.indexOf('(') + 1, text.indexOf(')')).split(" ")).mapToDouble(Double::parseDouble)
                .toArray();
        return switch (kind) {
            case "box" -> FACTORY.toGeometry(new Envelope(n[0], n[0] + n[2], n[1], n[1] + n[3]));
            case "disc" -> FACTORY.createPoint(new Coordinate(n[0], n[1])).buffer(n[2], 24);
            case "line" -> FACTORY.createLineString(new Coordinate[] {new Coordinate(n[0], n[1]), new Coordinate(n[2], n[3])});
            case "dots" -> Shapes.union(IntStream.range(0, (int) n[3])
                    .mapToObj(i -> FACTORY.createPoint(new Coordinate(n[0] + i * n[4], n[1])).buffer(n[2] / 2 * 1.5, 24)).toList());
            case "net" -> { // bars of one width round cells: left, top, wide, high, step, width
                List<Geometry> bars = new ArrayList<>();
                for (double x = n[0]; x <= n[0] + n[2] + 1; x += n[4]) {
                    bars.add(FACTORY.toGeometry(new Envelope(x, x + n[5], n[1], n[1] + n[3])));
                }
                bars.add(FACTORY.toGeometry(new Envelope(n[0], n[0] + n[2] + n[5], n[1] + n[3] / 2, n[1] + n[3] / 2 + n[5])));
                yield Shapes.union(bars);
            }
            default -> throw new IllegalArgumentException(text);
        };
    }

    // --- what is expected

    private static List<Integer> passes(PaintPlan plan, String part) {
        return IntStream.range(0, plan.steps().size()).filter(i -> plan.steps().get(i) instanceof Step.Lay lay && is(lay, part)).boxed()
                .toList();
    }

    private static boolean is(Step.Lay lay, String part) {
        return switch (part) {
            case "ground" -> lay.kind() == Step.Kind.GROUND;
            case "primer" -> lay.kind() == Step.Kind.PRIME;
            case "outline" -> lay.kind() == Step.Kind.OUTLINE;
            default -> lay.kind() != Step.Kind.SHADE && lay.doing().what().stream().anyMatch(w -> w.part().equals(part));
        };
    }

    private static Step.Lay first(PaintPlan plan, String part) {
        List<Integer> all = passes(plan, part);
        assertThat(all).as("%s in %s", part, StepWords.titles(plan)).isNotEmpty();
        return (Step.Lay) plan.steps().get(all.get(0));
    }

    /** The shape of a part as it lies on the stone. */
    private static Geometry part(PaintPlan plan, String title) {
        return plan.design().orElseThrow().parts().stream().filter(p -> p.part().title().equals(title)).findFirst().orElseThrow().drawn();
    }

    private static int last(PaintPlan plan, String part) {
        List<Integer> all = passes(plan, part);
        return all.get(all.size() - 1);
    }

    private static void check(PaintPlan plan, String[] words, String as) {
        if (words.length == 1) {
            assertThat(passes(plan, "primer").isEmpty()).as(as).isEqualTo(words[0].equals("unprimed"));
            return;
        }
        switch (words[0]) {
            case "first" -> assertThat(passes(plan, words[1]).get(0)).as(as)
                    .isEqualTo(IntStream.range(0, plan.steps().size()).filter(i -> plan.steps().get(i) instanceof Step.Lay).min()
                            .orElseThrow());
            case "coats" -> assertThat(passes(plan, words[1])).as(as).hasSize(Integer.parseInt(words[2]));
            case "tool" -> assertThat(first(plan, words[1]).tool().kind()).as(as).isEqualTo(Tool.Kind.valueOf(words[2]));
            case "lines" -> assertThat(plan.steps().stream().filter(s -> s.kind() == Step.Kind.OUTLINE).map(s -> s.mix().orElseThrow())
                    .distinct()).as(as)
                    .containsExactlyInAnyOrderElementsOf(Arrays.stream(words).skip(1).map(Mix::of).toList());
            case "whole" -> assertThat(part(plan, words[1]).difference(first(plan, words[1]).layers().get(0).place()).getArea()).as(as)
                    .isLessThan(1);
            case "unlined" -> {
                Geometry edge = part(plan, words[1]).getBoundary();
                assertThat(plan.steps().stream().filter(s -> s.kind() == Step.Kind.OUTLINE).noneMatch(s -> s.place().intersects(edge)))
                        .as(as).isTrue();
            }
            default -> two(plan, words, as);
        }
    }

    private static void two(PaintPlan plan, String[] words, String as) {
        Step.Lay step = first(plan, words[0]);
        String other = words[words.length - 1];
        switch (words[1]) {
            case "before" -> assertThat(last(plan, words[0])).as(as).isLessThan(passes(plan, other).get(0));
            case "with" -> assertThat(step).as(as).isSameAs(first(plan, other));
            case "apart" -> assertThat(step).as(as).isNotSameAs(first(plan, other));
            case "waits" -> assertThat(step.after()).as(as)
                    .anyMatch(a -> a.waits() == Step.Waits.valueOf(words[2]) && a.step() == last(plan, other));
            case "free" -> assertThat(step.after()).as(as).noneMatch(a -> passes(plan, other).contains(a.step()));
            default -> throw new IllegalArgumentException(as);
        }
    }
}
