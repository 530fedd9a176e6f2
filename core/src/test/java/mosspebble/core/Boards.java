package mosspebble.core;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import mosspebble.core.area.Remembered;
import mosspebble.core.care.Compatibility;
import mosspebble.core.colour.Mix;
import mosspebble.core.colour.Paint;
import mosspebble.core.colour.PaintKind;
import mosspebble.core.colour.Palette;
import mosspebble.core.colour.Shelf;
import mosspebble.core.drying.Climate;
import mosspebble.core.plan.PaintPlan;
import mosspebble.core.project.Habits;
import mosspebble.core.project.Light;
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
import mosspebble.core.units.Millilitres;
import mosspebble.core.units.Srgb;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Envelope;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;

/** A made-up board on a stone: an area, a bar set on it, and a pen line across it, to plan materials on. */
public final class Boards {

    private static final GeometryFactory FACTORY = new GeometryFactory();

    private Boards() {}

    private static Geometry box(double x0, double y0, double x1, double y1) {
        return FACTORY.toGeometry(new Envelope(x0, x1, y0, y1));
    }

    /** Board, bar and line have slots of these names; what has no colour is left out. */
    public static Repertoire repertoire() {
        Geometry board = box(0, 0, 1, 1);
        Geometry line = FACTORY.createLineString(new Coordinate[] {new Coordinate(0.1, 0.2), new Coordinate(0.9, 0.25)});
        return Repertoire.of(List.of(new Motif("board", "Board",
                List.of(new Slot("board", "Board", Srgb.ofHex("#1f4e9c")), new Slot("bar", "Bar", Srgb.ofHex("#f2c21b")),
                        new Slot("line", "Line", Srgb.ofHex("#111111"))),
                List.of(new MotifPart("board", "board", Role.FILL, "board", board, MotifPart.Make.FLAT, Optional.empty()),
                        new MotifPart("bar", "bar", Role.FILL, "bar", box(0.2, 0.4, 0.8, 0.6), MotifPart.Make.FLAT, Optional.empty()),
                        new MotifPart("line", "line", Role.LINE, "line", line, new MotifPart.Make(0.5, 0, false, Presence.ALWAYS),
                                Optional.empty())),
                board, board, false, false)), List.of(), List.of());
    }

    /** A board so many mm wide without outlines, shade or primer. */
    public static Project project(double wide, Map<String, Mix> colours) {
        return project("p", wide, colours);
    }

    /** The same on a stone of an id of its own. */
    public static Project project(String id, double wide, Map<String, Mix> colours) {
        return Project.begin(id, "Board", Stone.cobble())
                .withSketch(Optional.of(Sketch.of(new Subject.Figure("board"), ItemMode.ON_STONE, new Placement(0, 0, 0, wide), 0)))
                .withColours(colours)
                .withHabits(Habits.usual().withPrimer(Habits.Primer.NEVER).withLineColour(Habits.LineColour.NONE).withLight(Light.NONE));
    }

    public static PaintPlan plan(Project project, Shelf shelf) {
        return plan(project, shelf, Compatibility.Known.NOTHING);
    }

    public static PaintPlan plan(Project project, Shelf shelf, Compatibility.Known known) {
        return Plans.plan(project, Surveys.of(project.stone()), new Workshop(new Palette(shelf), repertoire(), Climate.room(), known),
                new Remembered());
    }

    private static Paint of(String id, PaintKind kind, String hex) {
        return Paint.usual(id, id, kind, Srgb.ofHex(hex), new Millilitres(30));
    }

    /** The made-up shelf with one of each material, but for what keeps others apart. */
    public static Shelf materials() {
        return Paints.shelf().with(of("gel", PaintKind.GEL, "#f1f1ef")).with(of("gold dust", PaintKind.POWDER, "#c9a24a"))
                .with(of("flakes", PaintKind.FLAKES, "#6a8fb0")).with(of("size", PaintKind.SIZE, "#f4efdf"))
                .with(of("leaf", PaintKind.LEAF, "#d4ab4e")).with(of("glue", PaintKind.GLUE, "#f5f5f2"))
                .with(of("red stone", PaintKind.GEM, "#a01828")).with(of("paste", PaintKind.PASTE, "#e9e6df"))
                .with(of("ink wash", PaintKind.WASH, "#33508a")).with(of("glow", PaintKind.GLOW, "#d8e8b4"))
                .with(of("mica", PaintKind.MICA, "#b9a67c")).with(of("crackle", PaintKind.CRACKLE, "#efe9d9"));
    }

    /** A thin spray and a brushed coat that keep apart. */
    public static Shelf withIsolating(Shelf shelf) {
        return shelf.with(of("isolating spray", PaintKind.ISOLATING, "#f5f3ea"));
    }
}
