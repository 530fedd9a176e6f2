package mosspebble.core.proof;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.SplittableRandom;
import mosspebble.core.Boards;
import mosspebble.core.Paints;
import mosspebble.core.area.Grid;
import mosspebble.core.coats.FilmMap;
import mosspebble.core.colour.Lab;
import mosspebble.core.colour.Mix;
import mosspebble.core.photo.Photo;
import mosspebble.core.photo.PhotoHints;
import mosspebble.core.photo.PhotoReader;
import mosspebble.core.photo.PhotoReading;
import mosspebble.core.plan.PaintPlan;
import mosspebble.core.plan.StoneState;
import mosspebble.core.plan.Step;
import mosspebble.core.project.Project;
import mosspebble.core.sketch.Item;
import mosspebble.core.sketch.ItemMode;
import mosspebble.core.sketch.Placement;
import mosspebble.core.sketch.Sketch;
import mosspebble.core.sketch.Subject;
import mosspebble.core.stone.Form;
import mosspebble.core.stone.RockKind;
import mosspebble.core.stone.Shape;
import mosspebble.core.stone.Skin;
import mosspebble.core.stone.Stone;
import mosspebble.core.stone.Survey;
import mosspebble.core.stone.Texture;
import mosspebble.core.units.Millimetres;
import mosspebble.core.units.Srgb;
import org.locationtech.jts.algorithm.locate.IndexedPointInAreaLocator;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Envelope;
import org.locationtech.jts.geom.GeometryFactory;
import org.locationtech.jts.geom.Location;
import org.locationtech.jts.operation.distance.IndexedFacetDistance;

/**
 * A plain table for these tests: a blue board with a yellow bar on an oval stone, and a camera of its own that looks straight down. Each
 * pixel's line of sight is followed to the dome by halving, which is another way than the one that is tested.
 */
final class Table {

    static final double PIXELS_PER_MM = 6;
    static final int WIDE = 840;
    static final int HIGH = 660;
    static final double FOCAL = 1350;
    private static final double MIDDLE_X = WIDE / 2.0 / PIXELS_PER_MM;
    private static final double MIDDLE_Y = HIGH / 2.0 / PIXELS_PER_MM;
    private static final double CAMERA = FOCAL / PIXELS_PER_MM;
    private static final Srgb SHEET = Srgb.ofHex("#2f8f4a");
    private static final Map<String, Mix> COLOURS = Map.of("board", Mix.of("blue"), "bar", Mix.of("yellow"), "line", Mix.of("blackpen"));

    /** What is seen of a face at a place, mm. */
    interface Face {
        Lab at(double x, double y);
    }

    private Table() {}

    static Stone oval() {
        return stone(Form.OVAL, 88, 64);
    }

    static Stone stone(Form form, double length, double width) {
        return Stone.cobble().withShape(new Shape.Grown(form, 1, 0))
                .withSize(new Millimetres(length), new Millimetres(width), new Millimetres(22)).withDome(1, 2).withWayUp(0)
                .withSkin(Skin.of(RockKind.LIMESTONE, Texture.SMOOTH, Srgb.ofHex("#b9b4a8")));
    }

    static Project project(Stone stone) {
        return Boards.project(34, COLOURS).withStone(stone);
    }

    /** The board, and round it a ring of so many black dots. */
    static Project ringed(int dots) {
        Project board = placed(project(oval()), new Placement(0, 0, 0, 26));
        Subject.Dots ring = Subject.Dots.usual().withRing(new Subject.Dots.Ring(2.4, 1, 0))
                .withCounted(new Subject.Dots.Count(dots, true, false));
        Sketch both = board.sketch().orElseThrow().plus(Item.of(ring, ItemMode.ON_STONE, new Placement(0, 0, 0, 22), 0));
        return board.withSketch(Optional.of(both)).withColours(Map.of("board", Mix.of("blue"), "bar", Mix.of("yellow"), "line",
                Mix.of("blackpen"), "i2/dots", Mix.of("black")));
    }

    static Project placed(Project project, Placement placement) {
        return project.withSketch(project.sketch().map(s -> s.with("", i -> i.withPlacement(placement))));
    }

    static PaintPlan plan(Project project) {
        return Boards.plan(project, Paints.shelf());
    }

    static int painted(PaintPlan plan) {
        int last = 0;
        for (int i = 0; i < plan.steps().size(); i++) {
            last = plan.steps().get(i) instanceof Step.Lay ? i + 1 : last;
        }
        return last;
    }

    static Grid grid(Survey survey, double cell) {
        Envelope box = survey.zones().outline().getEnvelopeInternal();
        return new Grid(box.getMinX() - 1, box.getMinY() - 1, cell, (int) (box.getWidth() / cell) + 8, (int) (box.getHeight() / cell) + 8);
    }

    static Planned planned(PaintPlan plan, Moment moment) {
        return new Planned(plan, moment, grid(plan.survey(), 0.25));
    }

    /** The face painted after a plan, by its films. */
    static Face painting(PaintPlan plan) {
        FilmMap films = plan.filmsAfter(painted(plan), grid(plan.survey(), 0.1), StoneState.DRY);
        return (x, y) -> films.table().film(films.at(x, y)).lab();
    }

    /** Pencil lines, 0.5 mm wide, on the stone. */
    static Face pencil(PaintPlan plan, Lab line) {
        Lab stone = Lab.of(plan.survey().stone().colour());
        List<IndexedFacetDistance> lines = plan.design().orElseThrow().pencilLines().stream().filter(g -> !g.isEmpty())
                .map(IndexedFacetDistance::new).toList();
        GeometryFactory factory = new GeometryFactory();
        return (x, y) -> lines.stream().anyMatch(l -> l.isWithinDistance(factory.createPoint(new Coordinate(x, y)), 0.25)) ? line : stone;
    }

    /** Dark graphite. */
    static Lab graphite() {
        return new Lab(38, 0, 0);
    }

    static Photo photo(Survey survey, Face face, double turn) {
        SplittableRandom noise = new SplittableRandom(5);
        double c = Math.cos(Math.toRadians(turn));
        double s = Math.sin(Math.toRadians(turn));
        IndexedPointInAreaLocator outline = new IndexedPointInAreaLocator(survey.zones().outline());
        int[] rgb = new int[WIDE * HIGH];
        Lab last = null; // colours come in runs
        int code = SHEET.rgb();
        for (int v = 0; v < HIGH; v++) {
            for (int u = 0; u < WIDE; u++) {
                double sx = (u + 0.5) / PIXELS_PER_MM - MIDDLE_X;
                double sy = (v + 0.5) / PIXELS_PER_MM - MIDDLE_Y;
                if (Math.hypot(sx, sy) > 62) { // no stone reaches so far
                    rgb[v * WIDE + u] = grained(SHEET.rgb(), noise);
                    continue;
                }
                double low = 0;
                double high = 0.11; // share of the way from the sheet to the camera
                for (int halving = 0; halving < 12; halving++) {
                    double way = (low + high) / 2;
                    double x = sx * (1 - way);
                    double y = sy * (1 - way);
                    boolean under = survey.dome().heightAt(c * x + s * y, -s * x + c * y) > way * CAMERA;
                    low = under ? way : low;
                    high = under ? high : way;
                }
                double x = sx * (1 - low);
                double y = sy * (1 - low);
                double ownX = c * x + s * y;
                double ownY = -s * x + c * y;
                boolean stone = outline.locate(new Coordinate(ownX, ownY)) != Location.EXTERIOR;
                Lab seen = stone ? face.at(ownX, ownY) : null;
                if (seen != last) {
                    last = seen;
                    code = seen == null ? SHEET.rgb() : seen.toXyz().toSrgb().rgb();
                }
                rgb[v * WIDE + u] = grained(code, noise);
            }
        }
        return new Photo(WIDE, HIGH, rgb, OptionalDouble.of(FOCAL));
    }

    private static int grained(int rgb, SplittableRandom noise) {
        int value = 0;
        for (int shift = 16; shift >= 0; shift -= 8) {
            value = value << 8 | Math.max(0, Math.min(255, (rgb >> shift & 255) + noise.nextInt(-2, 3)));
        }
        return value;
    }

    static PhotoReading read(Photo photo) {
        PhotoHints known = new PhotoHints(
                Optional.of(new PhotoHints.Distance(new PhotoHints.Line(100, 100, 100 + 60 * PIXELS_PER_MM, 100), 60)),
                List.of());
        return new PhotoReader().read(photo, known, () -> false);
    }

    static Proof proof(PaintPlan plan, Moment moment, Photo photo) {
        return PhotoProof.of(plan, moment, photo, read(photo), () -> false);
    }
}
