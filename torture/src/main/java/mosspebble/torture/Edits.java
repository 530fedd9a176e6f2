package mosspebble.torture;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.SplittableRandom;
import java.util.stream.Stream;
import mosspebble.core.blend.Blend;
import mosspebble.core.blend.BlendKind;
import mosspebble.core.care.SmearTest;
import mosspebble.core.colour.Mix;
import mosspebble.core.colour.Paint;
import mosspebble.core.drying.Climate;
import mosspebble.core.project.Habits;
import mosspebble.core.project.Light;
import mosspebble.core.project.Project;
import mosspebble.core.project.Studio;
import mosspebble.core.sketch.Family;
import mosspebble.core.sketch.GuideKind;
import mosspebble.core.sketch.Item;
import mosspebble.core.sketch.LetterSetting;
import mosspebble.core.sketch.LineWish;
import mosspebble.core.sketch.ItemMode;
import mosspebble.core.sketch.OwnFile;
import mosspebble.core.sketch.Placement;
import mosspebble.core.sketch.Repertoire;
import mosspebble.core.sketch.Sketch;
import mosspebble.core.sketch.Subject;
import mosspebble.core.sketch.family.Families;
import mosspebble.core.stone.Form;
import mosspebble.core.stone.Patch;
import mosspebble.core.stone.Shape;
import mosspebble.core.stone.Stone;
import mosspebble.core.units.Celsius;
import mosspebble.core.units.LengthUnit;
import mosspebble.core.units.Millimetres;
import mosspebble.files.BuiltIn;

/** Random edits of a studio: whatever the records accept, likely or not. The same seed gives the same edits. */
public final class Edits {

    private static final int MOST_STONES = 24;
    private static final Repertoire REPERTOIRE = BuiltIn.repertoire();
    private static final String[] WORDS = {"LANTERN", "WALK", "mind the step", "Quillbeck", "io", "W", "ÄÖß", "a b c d e f g", "…", "☂ 7",
        "1", "TO THE BRIDGE", "\uD83C\uDF19"};

    private final SplittableRandom random;
    private int number;

    public Edits(long seed) {
        random = new SplittableRandom(seed);
    }

    /** The studio after one more edit, with its title. */
    public record Edit(String title, Studio after) {}

    /** The next edit; one that the records refuse is tried again in another way. */
    public Edit next(Studio studio) {
        for (int tries = 0; tries < 60; tries++) {
            try {
                Edit edit = one(studio);
                if (!edit.after().equals(studio)) {
                    return edit;
                }
            } catch (IllegalArgumentException e) {
                continue; // refused, as it should be
            }
        }
        return new Edit("Evening or day", studio.withView(studio.unit(), !studio.evening()));
    }

    private Edit one(Studio studio) {
        number++;
        List<Project> stones = studio.projects();
        int kind = random.nextInt(30);
        if (stones.isEmpty() || kind == 0 && stones.size() < MOST_STONES) {
            return new Edit("Add a stone",
                    studio.plus(Project.begin("t-" + number + "-" + random.nextInt(1_000_000), "Stone " + number, Stone.cobble())));
        }
        if (kind == 1 && stones.size() > 4) {
            return new Edit("Take off", studio.without(any(stones).id()));
        }
        if (kind == 2) {
            return new Edit("Lay back", studio.laidBack(any(stones).id()));
        }
        if (kind == 3 && !studio.basket().isEmpty()) {
            return new Edit("Take up", studio.takenUp(any(studio.basket()).id()));
        }
        if (kind == 4) {
            return new Edit("View", studio.withView(any(LengthUnit.values()), random.nextBoolean()));
        }
        if (kind == 5) {
            return new Edit("Room", studio.withClimate(new Climate(new Celsius(number(1, 60)), number(0.05, 0.99), number(0, 5))));
        }
        if (kind == 6) {
            return new Edit("Own motif", studio.plus(new OwnFile(OwnFile.Kind.MOTIF, "own-" + random.nextInt(8), "Own " + number,
                    "<svg>" + "x".repeat(random.nextInt(3000)) + "</svg>")));
        }
        if (kind == 7) {
            List<SmearTest> tests = new ArrayList<>(studio.tests().subList(0, Math.min(20, studio.tests().size())));
            tests.add(new SmearTest(paint(studio).id(), "varnish", any(SmearTest.Outcome.values()), "note " + number));
            return new Edit("Smear test", studio.withTests(tests));
        }
        String id = any(stones).id();
        return new Edit("Edit " + kind, studio.edit(id, p -> project(p, studio, kind)));
    }

    private Project project(Project p, Studio studio, int kind) {
        if (kind < 10) {
            return p.withName(("Stone " + number + " " + any(WORDS)).strip(), any(WORDS));
        }
        if (kind < 13) {
            return p.withStone(stone(p.stone()));
        }
        if (kind < 22) {
            return p.withSketch(sketch(p.sketch()));
        }
        if (kind < 24) {
            Map<String, Mix> colours = new LinkedHashMap<>(p.colours());
            p.sketch().ifPresent(s -> s.items().forEach(i -> REPERTOIRE.motif(i.subject() instanceof Subject.Figure f ? f.motif() : "")
                    .ifPresent(m -> m.slots().forEach(slot -> colours.put(i.named(slot.id()), mix(studio))))));
            for (String slot : List.of("letters", "dots", "stroke", "others", "lines")) {
                colours.put(slot, mix(studio));
            }
            return p.withColours(colours);
        }
        if (kind == 24) {
            return p.withGround(random.nextInt(3) == 0 ? Optional.empty() : Optional.of(mix(studio)));
        }
        if (kind == 25) {
            BlendKind blend = any(BlendKind.values());
            List<Mix> more = new ArrayList<>();
            for (int i = 0; i < blend.mostColours(); i++) {
                more.add(mix(studio));
            }
            String slot = p.colours().isEmpty() || random.nextBoolean() ? Project.GROUND : any(List.copyOf(p.colours().keySet()));
            return p.withBlend(slot, Blend.of(blend).withColours(more).withShape(number(0, 360), number(0, 1), number(0.05, 0.95))
                    .withMethod(any(Blend.Method.values())).withOver(layers()));
        }
        if (kind == 26) {
            return p.turnedOver();
        }
        return p.withHabits(Habits.usual().withGround(any(Habits.Ground.values())).withLines(any(Habits.Lines.values()))
                .withPrimer(any(Habits.Primer.values())).withLineStyle(any(Habits.LineStyle.values()))
                .withMedium(any(Habits.Medium.values()))
                .withHand(any(Habits.Hand.values())).withSeal(any(Habits.Seal.values()))
                .withLight(new Light(number(0, 359), number(0, 1), number(0, 1), number(0, 1), number(0, 1)))
                .withOutdoors(random.nextBoolean()));
    }

    private Stone stone(Stone stone) {
        switch (random.nextInt(4)) {
            case 0 :
                return stone.withSize(new Millimetres(number(8, 300)), new Millimetres(number(8, 300)), new Millimetres(number(2, 120)));
            case 1 :
                return stone.withShape(new Shape.Grown(any(Form.values()), number(0, 1), number(0, 1))).withDome(number(0.05, 1),
                        number(1, 8));
            case 2 : {
                List<Shape.Spoke> spokes = new ArrayList<>();
                int count = 4 + random.nextInt(40);
                for (int i = 0; i < count; i++) {
                    spokes.add(new Shape.Spoke(360.0 * i / count, number(8, 90)));
                }
                return stone.withOutline(new Shape.Measured(any(Shape.Source.values()), spokes));
            }
            default : {
                List<Patch> patches = new ArrayList<>(stone.patches());
                Patch.Kind kind = any(Patch.Kind.values());
                double x = number(-60, 60);
                double y = number(-60, 60);
                patches.add(kind == Patch.Kind.CRACK ? Patch.crack(x, y, number(-60, 60), number(-60, 60), number(0.3, 3), number(0.05, 9))
                        : Patch.at(kind, x, y, number(0.3, 50), number(0.05, 20)));
                return stone.withPatches(patches.subList(Math.max(0, patches.size() - 8), patches.size()));
            }
        }
    }

    private Optional<Sketch> sketch(Optional<Sketch> before) {
        if (before.isEmpty()) {
            Item first = item();
            return Optional.of(new Sketch(List.of(first)));
        }
        Sketch sketch = before.get();
        String id = any(sketch.items()).id();
        return switch (random.nextInt(8)) {
            case 0, 1 -> Optional.of(sketch.items().size() < 9 ? sketch.plus(item()) : sketch.with(id, i -> i.showing(subject())));
            case 2 -> sketch.items().size() > 3 ? sketch.without(id) : Optional.of(sketch.plus(item()));
            case 3 -> Optional.of(sketch.moved(id, random.nextInt(-2, 3)));
            case 4 -> Optional.of(sketch.with(id, i -> i.withManner(any(ItemMode.values())).withFringeMm(number(0, 12))));
            case 5 -> Optional.of(sketch.with(id,
                    i -> i.withMirrored(random.nextBoolean()).withMatched(random.nextBoolean())
                            .withRoom(new Item.Room(number(0, 20), number(0, 90), number(0, 40)))));
            default -> Optional.of(sketch.with(id, i -> i.withPlacement(placement(i.subject()))));
        };
    }

    private List<Blend> layers() {
        List<BlendKind> upon = Arrays.stream(BlendKind.values()).filter(BlendKind::laysOver).toList();
        return Stream.generate(() -> any(upon)).limit(random.nextInt(Blend.MOST_OVER + 1))
                .map(kind -> Blend.of(kind).withColours(random.nextInt(4) == 0 ? List.of() : List.of(Mix.of("cream")))).toList();
    }

    private Item item() {
        Subject subject = subject();
        return new Item("", subject, placement(subject),
                new Item.Lie(any(ItemMode.values()), random.nextBoolean(), random.nextInt(6) == 0,
                        random.nextInt(3) == 0 ? number(0, 12) : 0,
                        random.nextInt(6) == 0 ? Optional.of(any(List.of("cap", "coat", "i2/body", "i3/no such part"))) : Optional.empty()),
                new Item.Room(number(0, 10), 0, number(0, 10)), Set.of(), Optional.empty(),
                new Item.Lines(LineWish.OPEN.coloured(any(List.of(LineWish.Colour.BLACK, LineWish.Colour.NONE, LineWish.Colour.OPEN))),
                        Map.of()));
    }

    private Placement placement(Subject subject) {
        double usual = subject instanceof Subject.Stroke ? 1 : subject instanceof Subject.Dots ? 30 : subject instanceof Subject.Word ? 12
                : 0.5;
        double scale = usual * (random.nextInt(6) == 0 ? Math.pow(10, number(-2, 2)) : number(0.5, 2));
        double reach = random.nextInt(10) == 0 ? 300 : 40;
        return new Placement(number(-reach, reach), number(-reach, reach), number(-180, 180), Math.min(1000, scale));
    }

    private Subject subject() {
        switch (random.nextInt(6)) {
            case 0 :
                return new Subject.Figure(any(BuiltIn.titles()).id());
            case 1 : {
                LetterSetting setting = LetterSetting.plain().along(any(LetterSetting.Path.values()), number(-340, 340))
                        .withStyle(any(LetterSetting.Style.values())).spaced(number(0, 1), number(-0.3, 1), number(0.8, 3))
                        .withBoxes(random.nextBoolean()).withSwell(number(0, 0.12)).withToEye(random.nextBoolean())
                        .withPenMm(number(0.3, 5));
                return new Subject.Word(random.nextBoolean() ? List.of(any(WORDS)) : List.of(any(WORDS), any(WORDS)),
                        any(BuiltIn.faces()).id(), setting);
            }
            case 2 :
                return Subject.Dots.usual()
                        .withRing(new Subject.Dots.Ring(random.nextInt(3) == 0 ? 0.3 : number(0.3, 20), number(0, 6), number(0, 20)))
                        .withCounted(new Subject.Dots.Count(random.nextInt(3) == 0 ? random.nextInt(3, 400) : 0, random.nextBoolean(),
                                random.nextBoolean()))
                        .withShrink(new Subject.Dots.Shrink(any(Subject.Series.values()), number(0.1, 1)))
                        .withFrame(new Subject.Dots.Frame(random.nextInt(2) * number(0, 8), random.nextInt(2) * number(0, 6)));
            case 3 : {
                Family family = any(Families.list());
                Map<String, Double> values = new LinkedHashMap<>();
                for (Family.Dial dial : family.dials()) {
                    if (random.nextInt(3) > 0) {
                        values.put(dial.id(), random.nextInt(5) == 0 ? dial.high() : random.nextInt(5) == 0 ? dial.low()
                                : number(dial.low(), dial.high()));
                    }
                }
                return new Subject.Pattern(family.id(), values);
            }
            case 4 : {
                int count = 3 + random.nextInt(random.nextInt(10) == 0 ? 190 : 14);
                List<Double> points = new ArrayList<>();
                for (int i = 0; i < count; i++) {
                    double angle = 2 * Math.PI * i / count;
                    double radius = random.nextInt(3) == 0 ? number(0, 30) : 20;
                    points.add(radius * Math.cos(angle));
                    points.add(radius * Math.sin(angle));
                }
                return new Subject.Stroke(points, random.nextBoolean(), any(Subject.Becomes.values()), number(0.2, 15));
            }
            default :
                return new Subject.Guide(any(GuideKind.values()), random.nextInt(1, 60), number(0.5, 100), random.nextBoolean());
        }
    }

    private Mix mix(Studio studio) {
        return random.nextBoolean() ? Mix.of(paint(studio).id()) : new Mix(
                List.of(new Mix.Part(paint(studio).id(), random.nextInt(1, 5)), new Mix.Part(paint(studio).id(), random.nextInt(1, 5))));
    }

    private Paint paint(Studio studio) {
        return any(studio.shelf().paints());
    }

    private double number(double low, double high) {
        return low + random.nextDouble() * (high - low);
    }

    private <T> T any(List<T> list) {
        return list.get(random.nextInt(list.size()));
    }

    private <T> T any(T[] list) {
        return list[random.nextInt(list.length)];
    }
}
