package mosspebble.files;

import java.util.LinkedHashMap;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.WeakHashMap;
import mosspebble.core.care.Compatibility;
import mosspebble.core.care.SmearTest;
import mosspebble.core.blend.Blend;
import mosspebble.core.blend.BlendKind;
import mosspebble.core.colour.Binder;
import mosspebble.core.colour.Finish;
import mosspebble.core.colour.Mix;
import mosspebble.core.colour.Opacity;
import mosspebble.core.colour.Paint;
import mosspebble.core.colour.PaintKind;
import mosspebble.core.colour.Pot;
import mosspebble.core.colour.Shelf;
import mosspebble.core.drying.Climate;
import mosspebble.core.project.Edge;
import mosspebble.core.project.Diary;
import mosspebble.core.project.Habits;
import mosspebble.core.project.Light;
import mosspebble.core.project.Project;
import mosspebble.core.project.Room;
import mosspebble.core.project.Studio;
import mosspebble.core.sketch.Designs;
import mosspebble.core.sketch.Item;
import mosspebble.core.sketch.ItemMode;
import mosspebble.core.sketch.LetterSetting;
import mosspebble.core.sketch.LineWish;
import mosspebble.core.sketch.Motif;
import mosspebble.core.sketch.Placement;
import mosspebble.core.sketch.Repertoire;
import mosspebble.core.sketch.Sketch;
import mosspebble.core.sketch.Subject;
import mosspebble.core.stone.Form;
import mosspebble.core.stone.FoundStone;
import mosspebble.core.stone.Origin;
import mosspebble.core.stone.Patch;
import mosspebble.core.stone.RockKind;
import mosspebble.core.stone.Shape;
import mosspebble.core.stone.Skin;
import mosspebble.core.stone.Stone;
import mosspebble.core.stone.Survey;
import mosspebble.core.stone.Texture;
import mosspebble.core.stone.Viewpoint;
import mosspebble.core.units.Celsius;
import mosspebble.core.units.LengthUnit;
import mosspebble.core.units.Micrometres;
import mosspebble.core.units.Millilitres;
import mosspebble.core.units.Millimetres;
import mosspebble.core.units.Srgb;

/** The demo: stones of the Lantern Walk, a made-up evening path at Quillbeck, and an invented shelf. */
public final class LanternWalk {

    /** It takes a second to fit nine designs, and they are the same each time. */
    private static final Map<Repertoire, Studio> MADE = Collections.synchronizedMap(new WeakHashMap<>());

    private LanternWalk() {}

    /** The demo studio: nine stones in hand, four in the basket. */
    public static Studio studio(Repertoire repertoire) {
        return MADE.computeIfAbsent(repertoire, LanternWalk::made);
    }

    private static Studio made(Repertoire repertoire) {
        return new Studio(
                List.of(owl(repertoire), harbour(repertoire), lettering(repertoire), snail(repertoire), moon(repertoire), fox(repertoire),
                        heron(repertoire), window(repertoire), toadstool(repertoire)),
                basket(), List.of(), shelf(), tested(), new Room(new Climate(new Celsius(19), 0.55, 0.1)), Diary.USUAL,
                new Studio.View(LengthUnit.MM, false, Studio.Comfort.USUAL, true));
    }

    /** What was tried on scraps of slate: most pens, but not the gold one. */
    private static Compatibility.Known tested() {
        List<SmearTest> tests = new ArrayList<>(
                List.of("pen-black", "pen-black-fine", "pen-white", "pen-umber", "pen-grey", "pen-cream").stream()
                        .map(pen -> new SmearTest(pen, "varnish", SmearTest.Outcome.FINE, "on slate")).toList());
        tests.add(new SmearTest("ink-black", "varnish", SmearTest.Outcome.SMEARS, "on slate"));
        return new Compatibility.Known(tests, List.of());
    }

    /** An empty studio: no stone, and no paint that is not the painter's own. */
    public static Studio newcomer() {
        return new Studio(List.of(), List.of(), List.of(), new Shelf(List.of()), Compatibility.Known.NOTHING, new Room(Climate.room()),
                Diary.USUAL,
                new Studio.View(LengthUnit.MM, false, Studio.Comfort.USUAL, true));
    }

    /** Invented paints and pens; names are plain colours, prices are in no money in particular. */
    public static Shelf shelf() {
        return new Shelf(List.of(
                brush("white", "chalk white", "#f6f3ea", 0.87, 90), brush("cream", "oat cream", "#ecdcb9", 0.88, 40),
                brush("yellow", "straw yellow", "#f3c934", 0.66, 34),
                brush("marigold", "marigold", "#e39a26", 0.86, 28), brush("brick", "brick red", "#a8352a", 0.94, 45),
                brush("rose", "dusk rose", "#c9707c", 0.88, 30),
                brush("plum", "plum", "#5c3768", 0.96, 22), brush("night", "night blue", "#222a55", 0.975, 52),
                brush("river", "river blue", "#2f6a94", 0.94, 38),
                brush("moss", "moss green", "#5d7a3a", 0.92, 41), brush("sand", "sand", "#c9a878", 0.90, 36),
                brush("umber", "dark umber", "#4a3425", 0.975, 33),
                brush("rust", "rust brown", "#8a5a36", 0.95, 27), brush("slate", "slate grey", "#5b6169", 0.96, 30),
                brush("soot", "soot black", "#1e1d20", 0.993, 48),
                pen("pen-black", "black pen", "#1b1b1d", 0.5, 0.985), pen("pen-black-fine", "black fine pen", "#1b1b1d", 0.3, 0.97),
                pen("pen-white", "white pen", "#f5f3ec", 0.7, 0.90),
                pen("pen-umber", "brown pen", "#4b3527", 0.7, 0.97), pen("pen-grey", "grey pen", "#84868a", 0.7, 0.95),
                pen("pen-cream", "cream broad pen", "#efe3c6", 2.5, 0.88),
                made("pen-gold", "gold metallic pen", PaintKind.METALLIC, "#b8913f", 0.86, 7, 12, 3.5).made(Binder.ACRYLIC,
                        Finish.SATIN, new Millimetres(0.7), new Micrometres(20)),
                made("copper", "copper metallic", PaintKind.METALLIC, "#a9623a", 0.84, 24, 30, 4),
                made("silver", "silver metallic", PaintKind.METALLIC, "#a7abb0", 0.86, 26, 30, 4),
                made("glaze-blue", "blue glaze", PaintKind.GLAZE, "#23406e", 0.28, 30, 50, 5),
                made("glaze-lamp", "pale lamp glaze", PaintKind.GLAZE, "#f0dcf0", 0.26, 22, 50, 5),
                made("glitter", "star glitter", PaintKind.GLITTER, "#c9bfa6", 0.22, 18, 25, 4.5),
                made("shift", "dusk colour-shift", PaintKind.COLOUR_SHIFT, "#6f5f9a", 0.30, 15, 20, 6),
                made("ink-black", "black alcohol ink pen", PaintKind.INK, "#1d1b22", 0.80, 3, 4, 2.5).made(Binder.ALCOHOL, Finish.MATT,
                        new Millimetres(0.4), new Micrometres(6)),
                made("gesso", "white gesso", PaintKind.PRIMER, "#f3f1ea", 0.90, 120, 250, 9),
                made("gesso-black", "black gesso", PaintKind.PRIMER, "#232325", 0.985, 60, 100, 6),
                made("crackle", "crackle medium", PaintKind.CRACKLE, "#efe9d9", 0.05, 40, 60, 5),
                made("gel", "gel coat", PaintKind.GEL, "#f2f0ea", 0.05, 12, 15, 7),
                made("powder", "gold mirror powder", PaintKind.POWDER, "#c8a04c", 0.95, 3, 5, 6),
                made("flakes", "dusk flakes", PaintKind.FLAKES, "#7d86b4", 0.35, 2, 3, 6),
                made("mica", "pearl mica in medium", PaintKind.MICA, "#ded3bb", 0.45, 15, 20, 4),
                made("size", "leaf size", PaintKind.SIZE, "#f2ead2", 0.05, 22, 30, 5),
                made("leaf", "gold-coloured leaf", PaintKind.LEAF, "#d0a648", 0.98, 2, 3, 7),
                made("glow", "night glow", PaintKind.GLOW, "#d6e6b2", 0.25, 20, 30, 8),
                made("ink-wash", "blue ink wash", PaintKind.WASH, "#35548c", 0.15, 25, 30, 4),
                made("paste", "texture paste", PaintKind.PASTE, "#eae6dc", 0.90, 120, 200, 8),
                made("glue", "gem glue", PaintKind.GLUE, "#f4f3ee", 0.05, 25, 30, 4),
                made("gem", "red glass gem", PaintKind.GEM, "#a51c2c", 0.90, 1, 1, 2),
                made("isolating", "isolating spray", PaintKind.ISOLATING, "#f5f2e8", 0.05, 200, 300, 9),
                made("varnish", "gloss varnish", PaintKind.VARNISH, "#f4eeda", 0.05, 110, 250, 11),
                made("varnish-matt", "matt varnish", PaintKind.VARNISH, "#f1efe8", 0.05, 80, 250, 11).made(Binder.ACRYLIC, Finish.MATT,
                        new Millimetres(0), new Micrometres(60)),
                made("resin", "two-part resin", PaintKind.VARNISH, "#f6f4ee", 0.05, 150, 200, 18).made(Binder.RESIN, Finish.GLOSS,
                        new Millimetres(0), new Micrometres(500)),
                made("spray", "satin spray varnish", PaintKind.VARNISH, "#f4f1e6", 0.05, 300, 400, 12).made(Binder.SOLVENT_LACQUER,
                        Finish.SATIN, new Millimetres(0), new Micrometres(20)),
                made("wax", "clear wax", PaintKind.VARNISH, "#efe6cf", 0.05, 60, 100, 9).made(Binder.WAX, Finish.SATIN,
                        new Millimetres(0), new Micrometres(30))));
    }

    private static Paint brush(String id, String name, String hex, double hiding, double left) {
        return made(id, name, PaintKind.BRUSH, hex, hiding, left, 59, 3);
    }

    private static Paint pen(String id, String name, String hex, double tip, double hiding) {
        return made(id, name, PaintKind.PEN, hex, hiding, 7, 9, 3).made(Binder.ACRYLIC, Finish.MATT, new Millimetres(tip),
                new Micrometres(tip > 2 ? 24 : 18));
    }

    private static Paint made(String id, String name, PaintKind kind, String hex, double hiding, double left, double full, double price) {
        return Paint.usual(id, name, kind, Srgb.ofHex(hex), new Millilitres(left)).withHiding(hiding, Opacity.SPREAD)
                .withPot(new Pot(new Millilitres(left), new Millilitres(Math.max(left, full)), price));
    }

    static Stone stone(double length, double width, double height, Shape shape, double fullness, boolean flatBack, double wayUp,
            long seed, RockKind rock, Texture texture, String colour) {
        return Stone.cobble().withShape(shape).withSize(new Millimetres(length), new Millimetres(width), new Millimetres(height))
                .withDome(flatBack ? 1 : Stone.ROUNDED_FACE, fullness)
                .withBackFullness(flatBack ? 2 : fullness).withWayUp(wayUp).withSeed(seed)
                .withSkin(Skin.of(rock, texture, Srgb.ofHex(colour)));
    }

    private static Shape oval(double roundness, double irregularity) {
        return new Shape.Grown(Form.OVAL, roundness, irregularity);
    }

    private static List<FoundStone> basket() {
        Stone sand = stone(94, 66, 28, new Shape.Grown(Form.PEAR, 0.8, 0.2), 1.8, false, 90, 53, RockKind.SANDSTONE, Texture.ROUGH,
                "#bfa06f");
        return List.of(
                found("slab", "Long slab",
                        stone(124, 58, 20, new Shape.Grown(Form.SLAB, 0.8, 0.2), 4, true, 0, 41, RockKind.SLATE, Texture.SMOOTH, "#6d747a"),
                        "stream bed below the bridge", Origin.Taking.UNKNOWN, ""),
                found("sand", "Field sandstone", sand.plus(Patch.at(Patch.Kind.DENT, -18, -6, 8, 2.2)), "field edge at Upper Quillbeck",
                        Origin.Taking.ALLOWED, "the dent could be an ear"),
                found("disc", "Disc from the last pour",
                        stone(70, 70, 14, new Shape.Grown(Form.ROUND, 1, 0), 7, true, 0, 57, RockKind.CAST_PLASTER, Texture.SMOOTH,
                                "#ece8df"),
                        "poured at home", Origin.Taking.OWN, ""),
                found("river", "Round from the river",
                        stone(78, 74, 26, oval(0.95, 0.3), 1.6, false, 0, 61, RockKind.BASALT, Texture.SMOOTH, "#5b5c5a"), "",
                        Origin.Taking.UNKNOWN, ""));
    }

    private static FoundStone found(String id, String name, Stone stone, String where, Origin.Taking taking, String note) {
        return new FoundStone(id, name, stone, new Origin(where, taking, note, Optional.empty()));
    }

    private static Project owl(Repertoire repertoire) {
        Stone stone = stone(96, 74, 31, oval(0.9, 0.22), 2.75, false, 270, 4, RockKind.GRANITE, Texture.SMOOTH, "#918f8a");
        Map<String, Mix> colours = new LinkedHashMap<>();
        colours.put("feathers", mix("rust", 2, "sand", 1));
        colours.put("wings", mix("umber", 2, "rust", 1));
        colours.put("face", Mix.of("cream"));
        colours.put("belly", mix("sand", 2, "cream", 1));
        colours.put("eyes", Mix.of("marigold"));
        colours.put("dark", Mix.of("soot"));
        colours.put("beak", mix("marigold", 3, "rust", 1));
        colours.put("glass", mix("yellow", 2, "cream", 1));
        colours.put("flame", mix("white", 3, "yellow", 1));
        colours.put("marks", Mix.of("pen-umber"));
        colours.put("light", Mix.of("pen-white"));
        return project("owl", "Owl keeping a lamp", "first stone of the walk, by the gate", stone, repertoire,
                new Subject.Figure("owl-lamp"), false, 0, colours,
                Optional.empty(), Habits.usual().withGround(Habits.Ground.BARE));
    }

    private static Project harbour(Repertoire repertoire) {
        Stone stone = stone(148, 98, 22, oval(0.45, 0.35), 5.5, true, 0, 12, RockKind.SLATE, Texture.SMOOTH, "#454a4f");
        Map<String, Mix> colours = new LinkedHashMap<>();
        colours.put("night", mix("night", 3, "plum", 1));
        colours.put("mauve", new Mix(List.of(new Mix.Part("plum", 3), new Mix.Part("rose", 2), new Mix.Part("white", 1))));
        colours.put("rose", Mix.of("rose"));
        colours.put("amber", mix("marigold", 2, "rose", 1));
        colours.put("hills", mix("plum", 2, "slate", 1));
        colours.put("sea", mix("river", 2, "night", 1));
        colours.put("deep", mix("night", 2, "river", 1));
        colours.put("stone", mix("slate", 2, "soot", 1));
        colours.put("tower", Mix.of("cream"));
        colours.put("red", Mix.of("brick"));
        colours.put("lamp", mix("cream", 2, "yellow", 1));
        colours.put("beam", Mix.of("glaze-lamp"));
        colours.put("dark", Mix.of("pen-black"));
        colours.put("light", Mix.of("pen-white"));
        return project("harbour", "Harbour light at dusk", "on the bench above the water", stone, repertoire,
                new Subject.Figure("harbour-dusk"), true, 0, colours, Optional.empty(), Habits.usual()).withViewpoint(Viewpoint.table())
                .withBlend("night", Blend.of(BlendKind.GRADIENT).withColours(List.of(colours.get("mauve"))).withShape(180, 0.9, 0.66))
                .withBlend("sea", Blend.of(BlendKind.DRY_BRUSH).withColours(List.of(mix("river", 1, "white", 1))).withShape(90, 0.05, 0.5))
                .withBlend("deep", Blend.of(BlendKind.FOAM).withColours(List.of(mix("white", 3, "river", 1))).withShape(0, 0.35, 0.5));
    }

    private static Project lettering(Repertoire repertoire) {
        Stone stone = stone(160, 84, 38, oval(0.75, 0.2), 3.5, false, 0, 23, RockKind.BASALT, Texture.SMOOTH, "#5f605d");
        Map<String, Mix> colours = new LinkedHashMap<>();
        colours.put("letters", mix("night", 3, "plum", 1));
        colours.put("i2/letters", mix("marigold", 3, "brick", 1));
        colours.put("shadow", Mix.of("copper"));
        Project alone = project("lettering", "Lantern Walk", "the sign at the start", stone, repertoire,
                new Subject.Word(List.of("LANTERN", "WALK"), BuiltIn.SLAB, LetterSetting.plain().withStyle(LetterSetting.Style.SHADOW)),
                false, 2, colours, Optional.of(mix("white", 2, "cream", 1)),
                Habits.usual().withGround(Habits.Ground.UNDER)).withViewpoint(new Viewpoint(0, 1300, 1300));
        Subject.Word over = new Subject.Word(List.of("mind the step"), "script", LetterSetting.plain().withSwell(0.05).withToEye(true));
        alone = alone.withBlend(Project.GROUND, Blend.of(BlendKind.GRADIENT).withColours(List.of(mix("cream", 4, "marigold", 1)))
                .withShape(180, 1, 0.6)).withBlend("letters",
                        Blend.of(BlendKind.GRADIENT).withColours(List.of(mix("plum", 1, "rose", 1))).withShape(180, 1, 0.6));
        return alone.withSketch(alone.sketch().map(s -> s
                .with("", i -> i.withPlacement(i.placement().sizedBy(0.95).movedBy(0, -3)))
                .plus(Item.of(over, ItemMode.ON_STONE, new Placement(11, 29, -3, 11), 1))));
    }

    private static Project snail(Repertoire repertoire) {
        Stone stone = stone(70, 62, 34, oval(0.9, 0.25), 1.4, false, 0, 29, RockKind.LIMESTONE, Texture.SMOOTH, "#d5cdbb");
        Map<String, Mix> colours = new LinkedHashMap<>();
        colours.put("skin", mix("sand", 3, "rust", 1));
        colours.put("shell", mix("brick", 2, "rust", 1));
        colours.put("bands", mix("cream", 2, "sand", 1));
        colours.put("letter", Mix.of("white"));
        colours.put("seal", Mix.of("brick"));
        colours.put("dark", Mix.of("soot"));
        colours.put("cheek", Mix.of("rose"));
        colours.put("light", Mix.of("pen-white"));
        return project("snail", "Snail with post", "by the letter box", stone, repertoire, new Subject.Figure("snail-post"), false, 0,
                colours, Optional.empty(), bare()).withBlend("shell",
                        Blend.of(BlendKind.FROM_MIDDLE).withColours(List.of(mix("plum", 1, "brick", 2))).withShape(180, 0.6, 0.6));
    }

    private static Habits bare() {
        return Habits.usual().withGround(Habits.Ground.BARE);
    }

    private static Project moon(Repertoire repertoire) {
        Stone stone = stone(90, 90, 18, new Shape.Grown(Form.ROUND, 1, 0), 7, true, 0, 37, RockKind.CAST_PLASTER, Texture.SMOOTH,
                "#ece8df");
        Map<String, Mix> colours = new LinkedHashMap<>();
        colours.put("moon", mix("cream", 3, "yellow", 1));
        colours.put("shade", mix("sand", 2, "marigold", 1));
        colours.put("craters", mix("sand", 1, "cream", 1));
        colours.put("cap", mix("plum", 2, "night", 1));
        colours.put("band", Mix.of("white"));
        colours.put("dark", Mix.of("soot"));
        colours.put("cheek", mix("rose", 1, "cream", 1));
        colours.put("light", Mix.of("pen-white"));
        colours.put("i2/dots", Mix.of("white"));
        colours.put("i2/others", Mix.of("marigold"));
        Project alone = project("moon", "Moon ring", "on the gate post", stone, repertoire, new Subject.Figure("moon-asleep"), false, 0,
                colours, Optional.of(Mix.of("night")), Habits.usual());
        Sketch sketch = alone.sketch().orElseThrow().with("",
                i -> i.withPlacement(i.placement().sizedBy(0.78))
                        .withLines(Item.Lines.OPEN.withWhole(LineWish.OPEN.withStyle(LineWish.Style.METALLIC))));
        Item ring = Item.of(
                Subject.Dots.usual().withRing(new Subject.Dots.Ring(4.2, 1.2, 1.6))
                        .withShrink(new Subject.Dots.Shrink(Subject.Series.ALTERNATING, 0.6))
                        .withCounted(new Subject.Dots.Count(0, true, true)),
                ItemMode.WEARING, new Placement(0, 0, 0, 36),
                0);
        return alone.withSketch(Optional.of(sketch.plus(ring))).withBlend(Project.GROUND, Blend.of(BlendKind.STIPPLE)
                .withColours(List.of(mix("river", 2, "night", 1), mix("plum", 2, "rose", 1))).withShape(180, 0.7, 0.5)).withBlend("band",
                        Blend.flat().plusOver(Blend.of(BlendKind.GLAZE).withColours(List.of(Mix.of("glitter")))));
    }

    private static Project fox(Repertoire repertoire) {
        Stone stone = stone(118, 80, 36, new Shape.Grown(Form.KIDNEY, 0.75, 0.15), 2, false, 0, 31, RockKind.SANDSTONE, Texture.ROUGH,
                "#b89a6e");
        Map<String, Mix> colours = new LinkedHashMap<>();
        colours.put("coat", mix("rust", 2, "marigold", 1));
        colours.put("tail", mix("rust", 3, "brick", 1));
        colours.put("cream", Mix.of("cream"));
        colours.put("dark", Mix.of("umber"));
        colours.put("marks", Mix.of("pen-umber"));
        colours.put("light", Mix.of("pen-white"));
        return project("fox", "Sleeping fox", "under the hazel", stone, repertoire, new Subject.Figure("fox-asleep"), true, 0, colours,
                Optional.empty(), bare().withLineStyle(Habits.LineStyle.SHADED))
                .withBlend("coat", Blend.of(BlendKind.GRADIENT).withColours(List.of(mix("rust", 2, "brick", 1))).withShape(160, 1, 0.55))
                .withBlend("tail",
                        Blend.of(BlendKind.DRY_BRUSH).withColours(List.of(mix("marigold", 2, "rust", 1))).withShape(70, 0.35, 0.5));
    }

    private static Project heron(Repertoire repertoire) {
        Stone stone = stone(132, 70, 25, new Shape.Grown(Form.EGG, 0.8, 0.2), 2.6, false, 270, 45, RockKind.SLATE, Texture.SMOOTH,
                "#464b50");
        Map<String, Mix> colours = new LinkedHashMap<>();
        colours.put("band0", mix("night", 2, "river", 1));
        colours.put("band1", mix("plum", 2, "rose", 1));
        colours.put("band2", Mix.of("rose"));
        colours.put("band3", mix("marigold", 2, "rose", 1));
        colours.put("band4", mix("yellow", 2, "cream", 1));
        colours.put("band5", mix("river", 1, "white", 1));
        for (String slot : new String[] {"pale", "wing", "light"}) {
            colours.put("i2/" + slot, Mix.of("pen-white"));
        }
        Project alone = project("heron", "Heron against the evening", "where the stream is crossed", stone, repertoire,
                new Subject.Pattern("bands", Map.of("bands", 6.0, "arch", 0.06, "wave", 0.02, "grow", 1.0)), true, 0, colours,
                Optional.empty(), bare()).withViewpoint(Viewpoint.leaning());
        for (int band = 0; band < 4; band++) {
            alone = alone.withBlend("band" + band,
                    Blend.of(BlendKind.GRADIENT).withColours(List.of(colours.get("band" + (band + 1)))).withShape(180, 1, 0.5));
        }
        alone = alone.withBlend("band5",
                Blend.of(BlendKind.DRY_BRUSH).withColours(List.of(mix("white", 3, "yellow", 1))).withShape(90, 0.15, 0.5));
        Placement placement = Designs
                .fit(Designs.motif(new Subject.Figure("heron"), repertoire).orElseThrow(), Survey.of(stone).zones(), 1, 0).orElseThrow()
                .placement();
        Item heron = Item.of(new Subject.Figure("heron"), ItemMode.LEFT_FREE, placement.sizedBy(1.02), 1).withLeftOut(Set.of("breast"));
        return alone.withSketch(alone.sketch().map(s -> s.plus(heron)));
    }

    private static Project window(Repertoire repertoire) {
        Stone stone = stone(110, 92, 45, oval(0.7, 0.4), 2.4, false, 0, 44, RockKind.GRANITE, Texture.GRAINY, "#4b4c50")
                .plus(Patch.crack(-48, -33, -39, -25, 1.2, 1.6));
        Map<String, Mix> colours = new LinkedHashMap<>();
        colours.put("edge", Mix.of("soot"));
        colours.put("cracks", Mix.of("pen-black"));
        colours.put("stripe0", Mix.of("night"));
        colours.put("stripe1", Mix.of("river"));
        colours.put("stripe2", new Mix(List.of(new Mix.Part("river", 1), new Mix.Part("moss", 1), new Mix.Part("white", 1))));
        colours.put("stripe3", new Mix(List.of(new Mix.Part("moss", 2), new Mix.Part("yellow", 1), new Mix.Part("white", 1))));
        colours.put("stripe4", colours.get("stripe2"));
        colours.put("stripe5", colours.get("stripe1"));
        colours.put("i2/back", mix("moss", 2, "night", 1));
        colours.put("i2/front", mix("moss", 1, "night", 2));
        colours.put("i2/snow", mix("white", 3, "river", 1));
        colours.put("i2/star", mix("cream", 3, "yellow", 1));
        colours.put("i3/moon", mix("cream", 3, "yellow", 1));
        colours.put("i3/stars", mix("cream", 3, "yellow", 1));
        Project front = project("window", "Night window", "last stone, at the end of the path: to be seen from both sides of the glass",
                stone, repertoire, opening(4, 5), false, 0, colours, Optional.empty(), bare());
        for (int stripe = 0; stripe < 5; stripe++) {
            front = front.withBlend("stripe" + stripe,
                    Blend.of(BlendKind.GRADIENT).withColours(List.of(colours.get("stripe" + (stripe + 1)))).withShape(90, 1, 0.5));
        }
        front = front.withSketch(front.sketch()
                .map(s -> s
                        .plus(within(repertoire, stone, "snow-pines", 0.46, 2, 11)
                                .withLeftOut(Set.of("trunk-left", "trunk-right", "trunk-front", "shade")))
                        .plus(within(repertoire, stone, "stars", 0.27, -18, -11)
                                .withLeftOut(Set.of("star-3", "star-4", "star-5", "star-6")))));
        Map<String, Mix> dawn = new LinkedHashMap<>(colours);
        dawn.put("stripe0", Mix.of("plum"));
        dawn.put("stripe1", mix("plum", 1, "rose", 2));
        dawn.put("stripe2", mix("rose", 2, "brick", 1));
        dawn.put("stripe3", mix("brick", 1, "yellow", 2));
        dawn.put("stripe4", Mix.of("yellow"));
        dawn.put("stripe5", Mix.of("cream"));
        front = front.withColours(colours);
        Project turned = front.turnedOver();
        Project back = project("window", "Night window", "", turned.stone(), repertoire, opening(3, 8), false, 0, dawn, Optional.empty(),
                bare());
        return turned.withSketch(back.sketch()).withColours(dawn).turnedOver()
                .withEdge(new Edge(Optional.empty(), List.of(new Edge.Band(0, 4, Mix.of("night")))));
    }

    /** A thing seen through the opening, placed from the middle of the stone. */
    private static Item within(Repertoire repertoire, Stone stone, String figure, double size, double x, double y) {
        Subject.Figure subject = new Subject.Figure(figure);
        Placement fitted = Designs.fit(Designs.motif(subject, repertoire).orElseThrow(), Survey.of(stone).zones(), 0, 0).orElseThrow()
                .placement();
        return Item.of(subject, ItemMode.ON_STONE, fitted.sizedBy(size).movedBy(x, y), 0)
                .withWithin(Optional.of("broken edge")).withLines(Item.Lines.OPEN.withWhole(LineWish.OPEN.coloured(LineWish.Colour.BLACK)));
    }

    private static Subject opening(int cracks, int seed) {
        return new Subject.Pattern("opening", Map.of("stripes", 6.0, "lean", -22.0, "cracks", (double) cracks, "seed", (double) seed));
    }

    private static Project toadstool(Repertoire repertoire) {
        Stone stone = stone(84, 80, 29, oval(0.95, 0.3), 1.8, false, 0, 47, RockKind.BASALT, Texture.SMOOTH, "#5b5c5a");
        Map<String, Mix> colours = new LinkedHashMap<>();
        for (String fern : new String[] {"", "i2/"}) {
            colours.put(fern + "low", Mix.of("moss"));
            colours.put(fern + "middle", mix("moss", 3, "yellow", 1));
            colours.put(fern + "high", mix("moss", 1, "yellow", 1));
            colours.put(fern + "stem", mix("moss", 1, "yellow", 1));
        }
        colours.put("i3/cap", Mix.of("brick"));
        colours.put("i3/spots", Mix.of("cream"));
        colours.put("i3/stem", Mix.of("cream"));
        colours.put("i3/gills", Mix.of("sand"));
        colours.put("i3/wood", mix("rust", 1, "umber", 1));
        colours.put("i3/window", Mix.of("yellow"));
        colours.put("i3/dark", Mix.of("soot"));
        colours.put("i3/grass", Mix.of("moss"));
        colours.put("i3/light", Mix.of("pen-white"));
        Project alone = project("toadstool", "Toadstool before a fern", "where the path bends", stone, repertoire,
                new Subject.Figure("fern"), false, 0, colours, Optional.empty(), bare());
        Item one = alone.sketch().orElseThrow().items().get(0);
        Sketch fern = alone.sketch().orElseThrow()
                .with("", i -> i.withPlacement(one.placement().sizedBy(0.77).turnedBy(27).movedBy(12, 1)).withLeftOut(Set.of("leaf-5-r")))
                .plus(one.withMirrored(true).withPlacement(one.placement().sizedBy(0.77).turnedBy(-27).movedBy(-12, 1))
                        .withLeftOut(Set.of("leaf-3-l")));
        Motif house = Designs.motif(new Subject.Figure("toadstool"), repertoire).orElseThrow();
        Placement placement = Designs.fit(house, Survey.of(stone).zones(), 0, 0).orElseThrow().placement();
        return alone.withBlend("i3/cap", Blend.of(BlendKind.LOADED).withColours(List.of(mix("brick", 2, "marigold", 1))))
                .withHabits(bare().withLight(new Light(320, 0.6, 0.6, 0.5, 0))).withSketch(Optional.of(
                        fern.plus(Item.of(new Subject.Figure("toadstool"), ItemMode.ON_STONE, placement.sizedBy(0.86).movedBy(-1, 3), 0))));
    }

    /** The stones of the demo's book, finished in the year before. */
    public static List<BookKeeping.Kept> book(Repertoire repertoire) {
        return LanternYear.pages(repertoire);
    }

    /** A figure fitted to a stone, with no colours yet. */
    static Project fitted(String id, String name, Stone stone, Repertoire repertoire, Subject.Figure subject) {
        return project(id, name, "", stone, repertoire, subject, repertoire.motif(subject.motif()).orElseThrow().prefersWearing(), 0,
                Map.of(),
                Optional.empty(), bare());
    }

    private static Mix mix(String first, int parts, String second, int others) {
        return new Mix(List.of(new Mix.Part(first, parts), new Mix.Part(second, others)));
    }

    private static Project project(String id, String name, String purpose, Stone stone, Repertoire repertoire, Subject subject,
            boolean wearing, double margin, Map<String, Mix> colours,
            Optional<Mix> ground, Habits habits) {
        Motif motif = Designs.motif(subject, repertoire).orElseThrow();
        Placement placement = Designs.fit(motif, Survey.of(stone).zones(), margin, 0).orElseThrow().placement();
        return Project.begin(id, name, stone).withName(name, purpose)
                .withOrigin(new Origin("Quillbeck", Origin.Taking.ALLOWED, "", Optional.empty()))
                .withSketch(Optional.of(Sketch.of(subject, wearing ? ItemMode.WEARING : ItemMode.ON_STONE, placement, margin)))
                .withColours(colours).withGround(ground).withHabits(habits);
    }
}
