package mosspebble.core.coats;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.Map;
import mosspebble.core.Paints;
import mosspebble.core.area.Grid;
import mosspebble.core.area.Mask;
import mosspebble.core.colour.Mix;
import mosspebble.core.colour.Palette;
import mosspebble.core.colour.Spectrum;
import mosspebble.core.stone.RockKind;
import mosspebble.core.stone.Skin;
import mosspebble.core.stone.Stone;
import mosspebble.core.stone.Texture;
import mosspebble.core.units.Srgb;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.locationtech.jts.geom.Envelope;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;

/** Films counted out by hand on a small grid: ten by eight cells of two millimetres, the upper left corner at -4, -3. */
class FilmsTest {

    private static final Palette PALETTE = new Palette(Paints.shelf());
    private static final Spectrum DARK = Spectrum.of(Srgb.ofHex("#3c3d40"));
    private static final Grid GRID = new Grid(-4, -3, 2, 10, 8);

    private static Coat coat(String paint) {
        Palette.Colour colour = PALETTE.colour(Mix.of(paint)).orElseThrow();
        return new Coat(paint, colour.optics().full().toSrgb(), colour.optics(), colour.dryUm(), colour.dryingShift(), Sheen.SATIN, 0);
    }

    /** Film at a place told in columns and rows. */
    private static int at(FilmMap map, double column, double row) {
        return map.at(-4 + 2 * column, -3 + 2 * row);
    }

    /** A rectangle told in columns and rows. */
    private static Mask mask(double x0, double x1, double y0, double y1) {
        Geometry box = new GeometryFactory().toGeometry(new Envelope(-4 + 2 * x0, -4 + 2 * x1, -3 + 2 * y0, -3 + 2 * y1));
        return Mask.of(box, GRID);
    }

    @Test
    void aCellIsPaintedWhenHalfOfItIsCovered() {
        FilmMap map = new FilmMap(GRID, new FilmTable(DARK, 0));
        map.lay(mask(2, 5.5, 1, 3.4), coat("red"), 1); // columns 2 to 4 and half of 5, rows 1 and 2 and 0.4 of 3
        int red = map.at(3, 1);
        assertThat(red).isEqualTo(1);
        for (int row = 0; row < 8; row++) {
            for (int column = 0; column < 10; column++) {
                boolean painted = column >= 2 && column <= 5 && row >= 1 && row <= 2;
                assertThat(map.at(column, row)).as("column %d, row %d", column, row).isEqualTo(painted ? red : 0);
                assertThat(map.at(row * 10 + column)).isEqualTo(map.at(column, row));
                assertThat(at(map, column + 0.001, row + 0.001)).isEqualTo(map.at(column, row));
                assertThat(at(map, column + 0.999, row + 0.999)).isEqualTo(map.at(column, row));
            }
        }
        assertThat(map.cellsUnder(mask(0, 10, 0, 8))).isEqualTo(Map.of(0, 72, red, 8));
        assertThat(map.cellsUnder(mask(5, 7, 2, 3))).isEqualTo(Map.of(0, 1, red, 1));
    }

    @Test
    void beyondTheGridLiesNothing() {
        FilmMap map = new FilmMap(GRID, new FilmTable(DARK, 0));
        map.lay(mask(0, 10, 0, 8), coat("red"), 1);
        assertThat(at(map, 0.0, 0.0)).isEqualTo(1);
        assertThat(at(map, 9.99, 7.99)).isEqualTo(1);
        assertThat(at(map, -0.01, 3)).isZero();
        assertThat(at(map, 3, -0.01)).isZero();
        assertThat(at(map, 10.0, 3.0)).isZero();
        assertThat(at(map, 3.0, 8.0)).isZero();
        assertThat(map.grid()).isEqualTo(GRID);
    }

    @Test
    void whatLiesOnDifferentFilmsBecomesDifferentFilmsAndTheThickestCounts() {
        FilmTable table = new FilmTable(DARK, 0.25);
        FilmMap map = new FilmMap(GRID, table);
        assertThat(map.thickestUm()).isZero();
        Coat red = coat("red");
        Coat white = coat("white");
        map.lay(mask(0, 5, 0, 8), red, 1);
        map.lay(mask(3, 8, 0, 8), white, 2);
        int both = map.at(4, 4);
        int alone = map.at(6, 4);
        assertThat(table.film(both).totalUm()).as("the stone drinks a quarter of the first coat alone")
                .isCloseTo(0.75 * red.dryUm() + 2 * white.dryUm(), within(1e-9));
        assertThat(table.film(alone).totalUm()).isCloseTo(1.75 * white.dryUm(), within(1e-9));
        assertThat(map.thickestUm()).isEqualTo(table.film(both).totalUm());
        assertThat(table.stack(both)).extracting(f -> f.coat().orElseThrow().name()).containsExactly("red", "white", "white");
        assertThat(table.film(both).isBare()).isFalse();
        assertThat(table.film(0).isBare()).isTrue();
        int size = table.size();
        map.lay(mask(0, 2, 0, 2), red, 1);
        map.lay(mask(8, 10, 0, 2), red, 1);
        assertThat(table.size()).as("red on red is new, red on the stone is known").isEqualTo(size + 1);
        assertThat(map.table()).isSameAs(table);
    }

    @Test
    void whatIsNeverHiddenTakesOneMoreThanIsTried() {
        FilmTable table = new FilmTable(DARK, 0);
        assertThat(table.coatsToHide(0, coat("white"), 0.001, 2)).isEqualTo(3);
        assertThat(table.coatsToHide(0, coat("white"), 200, 2)).isEqualTo(1);
        assertThat(table.coatsToHide(0, coat("white"), 200, 0)).isEqualTo(1);
    }

    @ParameterizedTest
    @ValueSource(doubles = {-0.01, 1, 2, Double.NaN})
    void noStoneDrinksAWholeCoat(double soakIn) {
        assertThatThrownBy(() -> new FilmTable(DARK, soakIn)).isInstanceOf(IllegalArgumentException.class)
                .hasMessageContaining("soak-in");
    }

    /** Twice the porosity, 0.1 more where it is rough, 0.05 where it is grainy, at most 0.6; nothing through a seal. */
    @ParameterizedTest
    @CsvSource({"SMOOTH, 0.1, NOTHING, 0.2", "GRAINY, 0.1, NOTHING, 0.25", "ROUGH, 0.1, NOTHING, 0.3", "ROUGH, 0.27, NOTHING, 0.6",
        "SMOOTH, 0, NOTHING, 0", "ROUGH, 0.2, SEALER, 0", "GRAINY, 0.2, PAINT_KEPT, 0", "SMOOTH, 0.2, TO_BE_CAST, 0.4"})
    void theFirstCoatIsDrunkByPorosityAndPits(Texture texture, double porosity, Skin.Before before, double share) {
        Stone stone = Stone.cobble().withSkin(new Skin(RockKind.SANDSTONE, texture, porosity, Srgb.ofHex("#b89a6e"), before, false));
        assertThat(SoakIn.share(stone)).isCloseTo(share, within(1e-12));
    }

    @Test
    void aCoatTwiceAsThickIsTheSamePaint() {
        Coat red = coat("red");
        Coat thick = red.times(2);
        assertThat(thick.dryUm()).isEqualTo(2 * red.dryUm());
        assertThat(thick.name()).isEqualTo(red.name());
        assertThat(thick.optics()).isEqualTo(red.optics());
        assertThat(red.times(1)).isSameAs(red);
    }
}
