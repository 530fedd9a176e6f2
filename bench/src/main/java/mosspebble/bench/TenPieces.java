package mosspebble.bench;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import mosspebble.core.blend.Blend;
import mosspebble.core.blend.BlendKind;
import mosspebble.core.colour.Mix;
import mosspebble.core.colour.Palette;
import mosspebble.core.drying.Climate;
import mosspebble.core.project.Habits;
import mosspebble.core.project.Light;
import mosspebble.core.project.Project;
import mosspebble.core.project.Workshop;
import mosspebble.core.sketch.Designs;
import mosspebble.core.sketch.Item;
import mosspebble.core.sketch.ItemMode;
import mosspebble.core.sketch.LetterSetting;
import mosspebble.core.sketch.Motif;
import mosspebble.core.sketch.Placement;
import mosspebble.core.sketch.Sketch;
import mosspebble.core.sketch.Subject;
import mosspebble.core.stone.Form;
import mosspebble.core.stone.RockKind;
import mosspebble.core.stone.Shape;
import mosspebble.core.stone.Skin;
import mosspebble.core.stone.Stone;
import mosspebble.core.stone.Texture;
import mosspebble.core.units.Celsius;
import mosspebble.core.units.Millimetres;
import mosspebble.core.units.Srgb;
import mosspebble.files.BuiltIn;
import mosspebble.files.LanternWalk;
import org.locationtech.jts.geom.Envelope;

/** Ten made-up stones, each full of what makes a plan hard; plans of them are held against a practised hand and timed. */
public final class TenPieces {

    private static final Habits BARE = Habits.usual().withGround(Habits.Ground.BARE);

    private TenPieces() {}

    /** The room and shelf they are painted with: 19 C, 55 %. */
    public static Workshop workshop() {
        return new Workshop(new Palette(LanternWalk.shelf()), BuiltIn.repertoire(), new Climate(new Celsius(19), 0.55, 0.1), List.of());
    }

    /** All ten, in a fixed order. */
    public static List<Project> all() {
        return List.of(borderedDisc(), wordOverWord(), silhouetteInBands(), stripes(), troll(), fern(), poppies(), cells(), foam(),
                shutter());
    }

    /** Four with a material: a crackled shutter, powder on gel, glitter letters, gems under resin. */
    public static List<Project> materials() {
        return List.of(shutter(), powder(), wordOverWord(), gems());
    }

    // --- the pieces

    /** A ring border of two bands with 40 dots, five shaded toadstools, the farther the smaller, seven half-hatched leaves. */
    private static Project borderedDisc() {
        Piece piece = new Piece("disc", "Five toadstools in a ring", disc(104, "#ece8df"));
        piece.wear(new Subject.Pattern("frame", Map.of("bands", 2.0, "width", 0.09, "lines", 1.0)))
                .with("band0", mix("night", 3, "plum", 1)).with("band1", Mix.of("cream")).with("line", Mix.of("pen-gold"));
        piece.wear(Subject.Dots.usual().withRing(new Subject.Dots.Ring(2.6, 1, 2.2)).withCounted(new Subject.Dots.Count(40, true, false)))
                .with("dots", Mix.of("white"));
        int[] turns = {-78, -50, -24, 24, 50, 78, 180};
        for (int turn : turns) {
            double out = Math.toRadians(turn);
            piece.put(new Subject.Pattern("leaf", Map.of("hatch", 6.0)), 31 * Math.sin(out), -31 * Math.cos(out) + 4, turn, 8)
                    .with("leaf", Mix.of("moss")).with("light", mix("moss", 2, "yellow", 1)).with("vein", Mix.of("pen-gold"));
        }
        double[][] stand = {{-9, -14, 17}, {12, -12, 19}, {-17, -1, 22}, {16, 3, 25}, {-1, 9, 31}};
        for (double[] each : stand) {
            piece.put(new Subject.Figure("toadstool"), each[0], each[1], each[0] / 2, each[2])
                    .without("door", "planks", "knob", "window", "cross", "grass", "folds", "spot-5", "spot-6")
                    .with("cap", Mix.of("brick")).with("spots", Mix.of("cream")).with("stem", Mix.of("cream")).with("gills", Mix.of("sand"))
                    .with("light", Mix.of("pen-white"));
        }
        return piece.project(BARE.withLight(new Light(320, 0.6, 0.5, 0.4, 0)));
    }

    /** A word in glitter over another word. */
    private static Project wordOverWord() {
        Piece piece = new Piece("glitter", "Night market", stone(150, 88, 24, Form.OVAL, RockKind.SLATE, "#454a4f"));
        piece.put(new Subject.Word(List.of("NIGHT"), BuiltIn.SLAB), 0, -4, 0, 112).with("letters", Mix.of("cream"));
        piece.put(new Subject.Word(List.of("market"), "script", LetterSetting.plain().withSwell(0.06)), 8, 8, -6, 96)
                .with("letters", Mix.of("glitter"));
        return piece.project(BARE);
    }

    /** A heron left free in wet bands. */
    private static Project silhouetteInBands() {
        Piece piece = new Piece("free", "Heron before the dawn", stone(128, 78, 24, Form.EGG, RockKind.SLATE, "#3f4449"));
        String[][] hues = {{"night", "river"}, {"plum", "night"}, {"rose", "plum"}, {"marigold", "rose"}, {"yellow", "white"}};
        piece.wear(new Subject.Pattern("bands", Map.of("bands", 5.0, "arch", 0.15)));
        for (int i = 0; i < hues.length; i++) {
            piece.with("band" + i, mix(hues[i][0], 2, hues[i][1], 1));
        }
        piece.free(new Subject.Figure("heron"), 0, 2, 0, 34).with("pale", Mix.of("pen-white")).with("wing", Mix.of("pen-white"))
                .with("light", Mix.of("pen-white"));
        return piece.project(BARE);
    }

    /** Six stripes in a jagged opening, shade inside along its edge. */
    private static Project stripes() {
        Piece piece = new Piece("opening", "Window to the weather", stone(112, 94, 40, Form.OVAL, RockKind.GRANITE, "#4b4c50"));
        piece.wear(new Subject.Pattern("opening", Map.of("stripes", 6.0, "lean", 20.0, "cracks", 5.0, "seed", 11.0)))
                .with("edge", Mix.of("soot")).with("cracks", Mix.of("pen-black"));
        Mix[] hues = {Mix.of("plum"), mix("plum", 1, "rose", 2), Mix.of("rose"), mix("marigold", 1, "rose", 1), Mix.of("yellow"),
            Mix.of("cream")};
        for (int i = 0; i < hues.length; i++) {
            piece.with("stripe" + i, hues[i]);
        }
        return piece.project(BARE.withLight(new Light(330, 0.4, 0.6, 0.3, 0)));
    }

    /** The stone is the troll. */
    private static Project troll() {
        Piece piece = new Piece("troll", "Troll of the sluice", stone(96, 88, 46, Form.PEAR, RockKind.BASALT, "#55564f"));
        piece.wear(new Subject.Pattern("tufts", Map.of("rows", 8.0, "face", 0.45, "arch", 0.3, "seed", 6.0)))
                .with("back", mix("moss", 2, "umber", 1)).with("tufts", Mix.of("moss")).with("tips", mix("moss", 1, "cream", 1))
                .with("face", mix("sand", 2, "cream", 1)).with("dark", Mix.of("soot")).with("cheek", Mix.of("rose"))
                .with("light", Mix.of("pen-white"));
        return piece.project(BARE.withLight(new Light(320, 0.4, 0.4, 0, 0)));
    }

    /** A fern in three tones. */
    private static Project fern() {
        Piece piece = new Piece("fern", "Fern by the spring", stone(116, 70, 26, Form.OVAL, RockKind.LIMESTONE, "#d3cbb9"));
        piece.put(new Subject.Pattern("frond", Map.of("ribs", 14.0, "bend", 0.4)), 0, 0, 70, 44)
                .with("low", mix("moss", 2, "umber", 1)).with("middle", Mix.of("moss")).with("high", mix("moss", 2, "yellow", 1))
                .with("spine", mix("moss", 1, "umber", 1));
        return piece.project(BARE);
    }

    /** Poppies laid with a loaded brush, on stems among grass. */
    private static Project poppies() {
        Piece piece = new Piece("poppies", "Poppies at the wall", stone(122, 86, 28, Form.OVAL, RockKind.SANDSTONE, "#bfa274"));
        piece.put(new Subject.Pattern("grass", Map.of("blades", 17.0)), 0, 22, 0, 70).with("dark", mix("moss", 2, "umber", 1))
                .with("middle", Mix.of("moss")).with("light", mix("moss", 1, "yellow", 1));
        double[][] stand = {{-30, -6, 26}, {2, -14, 30}, {30, 2, 24}};
        for (double[] each : stand) {
            piece.put(new Subject.Pattern("overlap", Map.of("petals", 5.0)), each[0], each[1], each[0] / 3, each[2])
                    .with("petals", Mix.of("brick")).with("others", mix("brick", 3, "marigold", 1)).with("veins", Mix.of("pen-umber"))
                    .with("centre", Mix.of("soot")).with("dots", Mix.of("cream"))
                    .blend("petals", Blend.of(BlendKind.LOADED).withColours(List.of(mix("brick", 1, "white", 1))));
        }
        return piece.project(BARE);
    }

    /** Window panes graded from yellow to plum, with dark leads. */
    private static Project cells() {
        Piece piece = new Piece("cells", "Chapel pane", stone(90, 84, 18, Form.OVAL, RockKind.SLATE, "#50565b"));
        piece.wear(new Subject.Pattern("glass", Map.of("cells", 18.0, "seed", 4.0))).with("lead", Mix.of("soot"));
        for (String slot : new String[] {"a", "b", "c", "d"}) {
            piece.with(slot, Mix.of("yellow"))
                    .blend(slot, Blend.of(BlendKind.GRADED_CELLS).withColours(List.of(Mix.of("plum"))).withShape(160, 0.5, 0.5));
        }
        return piece.project(BARE);
    }

    /** Foam sponged over a dry-brushed sea. */
    private static Project foam() {
        Piece piece = new Piece("foam", "Below the weir", stone(130, 84, 30, Form.KIDNEY, RockKind.GRANITE, "#77797b"));
        piece.wear(new Subject.Pattern("waves", Map.of("rows", 3.0))).with("sky", mix("cream", 3, "rose", 1))
                .with("foam", Mix.of("white"));
        Mix[] hues = {mix("river", 1, "white", 2), mix("river", 2, "white", 1), mix("river", 2, "night", 1)};
        for (int i = 0; i < hues.length; i++) {
            piece.with("row" + i, hues[i]);
        }
        piece.blend("row1", Blend.of(BlendKind.DRY_BRUSH).withColours(List.of(mix("river", 1, "white", 3))).withShape(90, 0.3, 0.5))
                .blend("row2", Blend.of(BlendKind.FOAM).withColours(List.of(Mix.of("white"))).withShape(0, 0.35, 0.5));
        return piece.project(BARE);
    }

    /** Lettering beside a shutter of two planks, whose upper colour cracks and shows the wood below. */
    private static Project shutter() {
        Piece piece = new Piece("shutter", "Ferry house", stone(140, 80, 22, Form.SLAB, RockKind.SLATE, "#6d747a"));
        Blend cracked = Blend.of(BlendKind.CRACKLED).withColours(List.of(mix("river", 2, "white", 1)));
        piece.put(new Subject.Pattern("wood", Map.of("planks", 2.0, "grain", 0.0)), -42, 0, 0, 34).with("a", Mix.of("umber"))
                .blend("a", cracked).with("b", Mix.of("umber")).blend("b", cracked).with("grain", Mix.of("pen-umber"));
        piece.put(new Subject.Word(List.of("FERRY", "HOUSE"), BuiltIn.SLAB), 22, 0, 0, 66).with("letters", Mix.of("cream"));
        return piece.project(BARE);
    }

    /** An old key in mirror powder on black. */
    private static Project powder() {
        Piece piece = new Piece("powder", "Key of the ferry house", stone(96, 70, 22, Form.OVAL, RockKind.SLATE, "#3f4449"));
        piece.put(new Subject.Figure("old-key"), 0, 0, 0, 30).with("iron", Mix.of("soot"))
                .blend("iron", Blend.of(BlendKind.POWDERED).withColours(List.of(Mix.of("powder")))).with("ribbon", Mix.of("brick"))
                .with("dark", Mix.of("pen-black")).with("light", Mix.of("pen-white"));
        return piece.project(BARE);
    }

    /** A ring of gems, each in a pale seat, on a night-blue disc under resin. */
    private static Project gems() {
        Piece piece = new Piece("gems", "Lights on the water", disc(90, "#ece8df"));
        piece.wear(new Subject.Pattern("bands", Map.of("bands", 2.0, "arch", 0.1))).with("band0", Mix.of("night"))
                .with("band1", mix("river", 2, "night", 1));
        piece.wear(Subject.Dots.usual().withRing(new Subject.Dots.Ring(6, 6, 4)).withCounted(new Subject.Dots.Count(12, true, false)))
                .with("dots", Mix.of("cream")).blend("dots", Blend.of(BlendKind.GEMS));
        Habits poured = BARE.withOutdoors(false).withSeal(Habits.Seal.RESIN);
        return piece.project(poured);
    }

    // --- to make them

    private static Stone disc(double across, String colour) {
        return stone(across, across, 14, new Shape.Grown(Form.ROUND, 1, 0), RockKind.CAST_PLASTER, colour).withDome(1, 7)
                .withBackFullness(2);
    }

    private static Stone stone(double length, double width, double height, Form form, RockKind rock, String colour) {
        return stone(length, width, height, new Shape.Grown(form, 0.8, 0.2), rock, colour);
    }

    private static Stone stone(double length, double width, double height, Shape shape, RockKind rock, String colour) {
        return Stone.cobble().withShape(shape).withSize(new Millimetres(length), new Millimetres(width), new Millimetres(height))
                .withDome(Stone.ROUNDED_FACE, 3).withBackFullness(3).withSeed(19)
                .withSkin(Skin.of(rock, Texture.SMOOTH, Srgb.ofHex(colour)));
    }

    private static Mix mix(String first, int parts, String second, int others) {
        return new Mix(List.of(new Mix.Part(first, parts), new Mix.Part(second, others)));
    }

    /** A stone to which one thing after another is put. */
    private static final class Piece {

        private final String id;
        private final String name;
        private final Stone stone;
        private final List<Item> items = new ArrayList<>();
        private final Map<String, Mix> colours = new LinkedHashMap<>();
        private final Map<String, Blend> blends = new LinkedHashMap<>();

        Piece(String id, String name, Stone stone) {
            this.id = id;
            this.name = name;
            this.stone = stone;
        }

        Piece wear(Subject subject) {
            return add(subject, ItemMode.WEARING, new Placement(0, 0, 0, 36));
        }

        /** Puts it so many mm wide. */
        Piece put(Subject subject, double x, double y, double turn, double wide) {
            return add(subject, ItemMode.ON_STONE, new Placement(x, y, turn, scale(subject, wide)));
        }

        Piece free(Subject subject, double x, double y, double turn, double wide) {
            add(subject, ItemMode.LEFT_FREE, new Placement(x, y, turn, scale(subject, wide)));
            items.set(items.size() - 1, last().withFringeMm(0.8));
            return this;
        }

        private static double scale(Subject subject, double wide) {
            Motif motif = Designs.motif(subject, BuiltIn.repertoire()).orElseThrow();
            Envelope box = motif.silhouette().getEnvelopeInternal();
            return wide / box.getWidth();
        }

        private Piece add(Subject subject, ItemMode manner, Placement placement) {
            String item = items.isEmpty() ? "" : "i" + (items.size() + 1);
            items.add(Item.of(subject, manner, placement, 0).withId(item));
            return this;
        }

        private Item last() {
            return items.get(items.size() - 1);
        }

        Piece without(String... parts) {
            items.set(items.size() - 1, last().withLeftOut(Set.of(parts)));
            return this;
        }

        Piece with(String slot, Mix mix) {
            colours.put(last().named(slot), mix);
            return this;
        }

        Piece blend(String slot, Blend blend) {
            blends.put(last().named(slot), blend);
            return this;
        }

        Project project(Habits habits) {
            Project project = Project.begin(id, name, stone).withSketch(Optional.of(new Sketch(items))).withColours(colours)
                    .withHabits(habits);
            for (Map.Entry<String, Blend> each : blends.entrySet()) {
                project = project.withBlend(each.getKey(), each.getValue());
            }
            return project;
        }
    }
}
