package mosspebble.core.picture;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static org.assertj.core.api.Assertions.withinPercentage;

import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import mosspebble.core.Boards;
import mosspebble.core.Paints;
import mosspebble.core.area.Grid;
import mosspebble.core.colour.Lamp;
import mosspebble.core.colour.Mix;
import mosspebble.core.colour.Paint;
import mosspebble.core.colour.PaintKind;
import mosspebble.core.colour.Xyz;
import mosspebble.core.colour.Binder;
import mosspebble.core.colour.Finish;
import mosspebble.core.plan.PaintPlan;
import mosspebble.core.plan.Step;
import mosspebble.core.plan.StoneState;
import mosspebble.core.project.Project;
import mosspebble.core.project.Side;
import mosspebble.core.stone.RockKind;
import mosspebble.core.stone.Skin;
import mosspebble.core.stone.Stone;
import mosspebble.core.stone.Texture;
import mosspebble.core.units.Micrometres;
import mosspebble.core.units.Millilitres;
import mosspebble.core.units.Millimetres;
import mosspebble.core.units.Srgb;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;
import org.locationtech.jts.geom.Point;

/** Crumbs, dust and tape: where they lie, until when, and that they are no paint. */
class LooseTest {

    private static final Paint RESIN = Paint.usual("resin", "some resin", PaintKind.VARNISH, Srgb.ofHex("#f5f1e2"), new Millilitres(300))
            .made(Binder.RESIN, Finish.GLOSS, new Millimetres(0), new Micrometres(500));
    private static final PaintPlan PALE = plan(stone("#cfc6b4"), "varnish");
    private static final PaintPlan DARK = plan(stone("#333538"), "varnish");
    private static final PaintPlan POURED = plan(small(), "resin");

    /** Hardly larger than the board on it: its picture has half the pixels of a usual stone's. */
    private static Stone small() {
        return Stone.cobble().withSize(new Millimetres(66), new Millimetres(52), new Millimetres(24));
    }

    private static Stone stone(String hex) {
        return small().withSkin(Skin.of(RockKind.LIMESTONE, Texture.SMOOTH, Srgb.ofHex(hex)));
    }

    private static PaintPlan plan(Stone stone, String sealer) {
        Project project = Boards.project(40, Map.of("board", Mix.of("blue"), "bar", Mix.of("yellow"), "line", Mix.of("blackpen")))
                .withStone(stone);
        return Boards.plan(sealer.equals("resin") ? project.withHabits(project.habits().withSealer(RESIN)) : project,
                Paints.shelf().with(RESIN));
    }

    private static int pencilled(PaintPlan plan) {
        for (int step = 0; step < plan.steps().size(); step++) {
            if (plan.steps().get(step) instanceof Step.Pencil) {
                return step + 1;
            }
        }
        throw new AssertionError("nothing is drawn");
    }

    private record Looked(PaintPlan plan, double cell) {}

    private static final Map<Looked, StoneTerrain> TERRAINS = new ConcurrentHashMap<>();

    /** The same for all tests: none writes to it. */
    private static StoneTerrain terrain(PaintPlan plan, double cell) {
        return TERRAINS.computeIfAbsent(new Looked(plan, cell), l -> StoneTerrain.of(plan.survey(),
                Grid.around(plan.survey().dome().outline().halfWidth(), plan.survey().dome().outline().halfHeight(), cell)));
    }

    @AfterAll
    static void forget() {
        TERRAINS.clear();
    }

    private static Pixels seen(Loose loose, StoneTerrain terrain) {
        Pixels pixels = Pixels.of(terrain.grid.cells());
        loose.lieOn(pixels);
        return pixels;
    }

    private static int covered(Pixels pixels) {
        int covered = 0;
        for (byte sheen : pixels.sheen()) {
            covered += sheen == Loose.MATT ? 1 : 0;
        }
        return covered;
    }

    @Test
    // crumbs are cleared away before paint (common practice, no source)
    void crumbsLieFromTheDrawingUntilTheNextPass() {
        StoneTerrain terrain = terrain(PALE, 0.1);
        List<Loose> after = Loose.after(PALE, terrain, StoneState.DRY);
        int drawn = pencilled(PALE);
        assertThat(after).hasSize(PALE.steps().size() + 1);
        for (int steps = 0; steps < after.size(); steps++) {
            int covered = covered(seen(after.get(steps), terrain));
            if (steps == drawn) {
                assertThat(covered * 0.1 * 0.1).as("mm2 of crumbs after step %s", steps).isBetween(0.3, 20.0);
            } else {
                assertThat(covered).as("after step %s", steps).isZero();
            }
        }
        assertThat(covered(seen(Loose.after(PALE, drawn, terrain, StoneState.WET), terrain))).as("a wetted stone is rinsed").isZero();
    }

    @Test
    void whatIsDoneToTheOtherFaceClearsNothing() {
        int drawn = pencilled(PALE);
        Step.Pencil here = (Step.Pencil) PALE.steps().get(drawn - 1);
        Step there = new Step.Pencil(Side.BACK, here.drawing(), here.work(), List.of());
        PaintPlan.Schedule known = PALE.schedule();
        PaintPlan turned = new PaintPlan(PALE.faces(), PALE.edge(),
                new PaintPlan.Schedule(List.of(here, there), known.sitting(), known.bound()), List.of(), List.of(), List.of());
        StoneTerrain terrain = terrain(PALE, 0.1);
        List<Loose> after = Loose.after(turned, terrain, StoneState.DRY);
        assertThat(covered(seen(after.get(1), terrain))).isPositive();
        assertThat(after.get(2)).isSameAs(after.get(1));
        assertThat(covered(seen(Loose.after(turned, 2, terrain, StoneState.DRY), terrain))).isEqualTo(covered(seen(after.get(1), terrain)));
    }

    @Test
    void chalkLeavesPaleDustAndNoCrumbs() {
        int drawn = pencilled(DARK);
        assertThat(((Step.Pencil) DARK.steps().get(drawn - 1)).drawing().chalk()).isTrue();
        StoneTerrain terrain = terrain(DARK, 0.05);
        Pixels dust = seen(Loose.after(DARK, drawn, terrain, StoneState.DRY), terrain);
        StoneTerrain pale = terrain(PALE, 0.05);
        Pixels crumbs = seen(Loose.after(PALE, pencilled(PALE), pale, StoneState.DRY), pale);
        int highest = 0;
        for (int i = 0; i < dust.colour().length; i++) {
            if (dust.sheen()[i] == Loose.MATT && dust.colour()[i] != 0) {
                assertThat(dust.colour()[i] & 255).isGreaterThan(100);
            }
            highest = Math.max(highest, dust.body()[i]);
        }
        assertThat(Pixels.um((char) highest)).as("a grain is a tenth of a crumb").isBetween(1.0, 15.0);
        int crumb = 0;
        for (char body : crumbs.body()) {
            crumb = Math.max(crumb, body);
        }
        assertThat(Pixels.um((char) crumb)).as("µm of a crumb").isBetween(50.0, 200.0);
    }

    @ParameterizedTest
    @ValueSource(doubles = {0.1, 0.2, 0.4})
    void aCloserLookShowsTheSameAmountOfThem(double cell) {
        StoneTerrain fine = terrain(PALE, 0.05);
        StoneTerrain coarse = terrain(PALE, cell);
        int drawn = pencilled(PALE);
        assertThat(area(Loose.after(PALE, drawn, coarse, StoneState.DRY), coarse)).isCloseTo(
                area(Loose.after(PALE, drawn, fine, StoneState.DRY), fine), withinPercentage(25));
    }

    /** mm2 that are covered, parts counted as parts: by how much of white is left of black. */
    private static double area(Loose loose, StoneTerrain terrain) {
        Pixels pixels = Pixels.of(terrain.grid.cells());
        Arrays.fill(pixels.colour(), 0xFF000000);
        loose.lieOn(pixels);
        double sum = 0;
        for (int colour : pixels.colour()) {
            sum += 1 - (colour >>> 24) / 255.0;
        }
        return sum * terrain.grid.cellMm() * terrain.grid.cellMm();
    }

    @Test
    void judgedFlatNothingLoose() {
        StoneTerrain terrain = terrain(PALE, 0.1);
        StonePicture picture = StonePicture.of(PALE, terrain, StoneState.DRY);
        int drawn = pencilled(PALE);
        int[] flat = new int[terrain.grid.cells()];
        int[] full = flat.clone();
        picture.draw(new StonePicture.Shown(drawn, 0, 320, Care.FLAT), () -> false, flat);
        picture.draw(new StonePicture.Shown(drawn, 0, 320, Care.FULL), () -> false, full);
        Pixels crumbs = seen(Loose.after(PALE, drawn, terrain, StoneState.DRY), terrain);
        int lit = 0;
        for (int i = 0; i < flat.length; i++) {
            if (crumbs.sheen()[i] == Loose.MATT && terrain.inside[i] == 1) {
                // the grain of the rock is in it, no rubber
                assertThat(flat[i] & 255).isCloseTo(flatWithout(picture, drawn, terrain, i), within(1));
                lit += (full[i] >> 16 & 255) - (full[i] & 255) < 30 ? 1 : 0; // rubber is grey, the stone is not
            }
        }
        assertThat(lit).as("crumbs in the lit picture").isPositive();
    }

    private static int flatWithout(StonePicture picture, int steps, StoneTerrain terrain, int i) {
        int blue = picture.colourAt(steps, i % terrain.grid.columns(), i / terrain.grid.columns()) & 255;
        return (int) Math.round(255 * Xyz.encoded(Math.min(1, Xyz.linear(blue) * terrain.blue[i]))); // bare rock: all of its grain shows
    }

    @Test
    // a pour is dammed with tape where it must not run over (common practice, no source)
    void aDamOfTapeStandsRoundAPourWhileItCures() {
        StoneTerrain terrain = terrain(POURED, 0.1);
        Geometry rim = POURED.survey().dome().outline().polygon(new GeometryFactory()).getExteriorRing();
        Pixels tape = seen(Loose.after(POURED, POURED.steps().size(), terrain, StoneState.CURING), terrain);
        Grid grid = terrain.grid;
        int on = 0;
        for (int i = 0; i < tape.sheen().length; i += 11) {
            Point here = rim.getFactory().createPoint(
                    new Coordinate(grid.x(i % grid.columns()), grid.y(i / grid.columns())));
            double away = terrain.inside[i] > 0 ? rim.distance(here) : 9;
            if (away < 0.45) {
                assertThat(Pixels.um(tape.body()[i])).as("µm at %s mm from the rim", away).isBetween(800.0, 1100.0);
                on++;
            } else if (away > 0.7) {
                assertThat(tape.body()[i]).as("at %s mm from the rim", away).isEqualTo((char) 0);
            }
        }
        assertThat(on).isGreaterThan(100);
        assertThat(covered(seen(Loose.after(POURED, POURED.steps().size(), terrain, StoneState.SEALED), terrain))).as("cured").isZero();
        assertThat(covered(seen(Loose.after(PALE, PALE.steps().size(), terrain(PALE, 0.1), StoneState.CURING), terrain(PALE, 0.1))))
                .as("a brushed varnish needs none").isZero();
    }

    @Test
    void noFilmLiesOnTheTape() {
        StoneTerrain terrain = terrain(POURED, 0.1);
        StonePicture picture = StonePicture.of(POURED, terrain, StoneState.CURING);
        int[] matt = new int[terrain.grid.cells()];
        int[] full = matt.clone();
        picture.draw(new StonePicture.Shown(POURED.steps().size(), 0, 320, Care.MATT), () -> false, matt);
        picture.draw(new StonePicture.Shown(POURED.steps().size(), 0, 320, Care.FULL), () -> false, full);
        Pixels tape = seen(Loose.after(POURED, POURED.steps().size(), terrain, StoneState.CURING), terrain);
        int elsewhere = 0;
        for (int i = 0; i < matt.length; i++) {
            int more = Math.abs((full[i] >> 8 & 255) - (matt[i] >> 8 & 255));
            if (tape.sheen()[i] == Loose.MATT) {
                assertThat(more).as("shine on the tape").isLessThan(12);
            } else {
                elsewhere = Math.max(elsewhere, more);
            }
        }
        assertThat(elsewhere).as("and on the pour").isGreaterThan(60);
    }

    @Test
    void tilesCutNoCrumb() {
        LargePicture.Wish wish = new LargePicture.Wish(900, 2, StoneState.DRY, Lamp.DAYLIGHT,
                new StonePicture.Shown(pencilled(PALE), 0, 320, Care.FULL));
        LargePicture one = new LargePicture(PALE, wish, 2_000_000_000L);
        int[] whole = one.rows(0, one.rows(), () -> false);
        LargePicture tiles = new LargePicture(PALE, wish, 32_000_000);
        assertThat(tiles.strip()).isLessThan(one.strip());
        for (int row = 0; row < tiles.rows(); row += tiles.strip()) {
            int count = Math.min(tiles.strip(), tiles.rows() - row);
            assertThat(tiles.rows(row, count, () -> false)).as("from row %s", row)
                    .isEqualTo(Arrays.copyOfRange(whole, row * tiles.columns(), (row + count) * tiles.columns()));
        }
        StoneTerrain terrain = StoneTerrain.of(PALE.survey(), new Grid(-one.columns() * one.pixelMm() / 2, -one.rows() * one.pixelMm() / 2,
                one.pixelMm(), one.columns(), one.rows()));
        int[] still = new int[terrain.grid.cells()];
        StonePicture.of(PALE, terrain, StoneState.DRY).draw(wish.shown(), () -> false, still);
        assertThat(still).as("and on the cloth they lie the same").isEqualTo(whole);
    }
}
