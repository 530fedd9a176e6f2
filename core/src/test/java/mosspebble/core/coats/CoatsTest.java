package mosspebble.core.coats;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import mosspebble.core.Paints;
import mosspebble.core.colour.Lab;
import mosspebble.core.colour.Mix;
import mosspebble.core.colour.Palette;
import mosspebble.core.colour.Spectrum;
import mosspebble.core.area.Grid;
import mosspebble.core.area.Mask;
import mosspebble.core.stone.RockKind;
import mosspebble.core.stone.Skin;
import mosspebble.core.stone.Stone;
import mosspebble.core.stone.Texture;
import mosspebble.core.units.Srgb;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;
import org.locationtech.jts.geom.util.AffineTransformation;
import org.locationtech.jts.util.GeometricShapeFactory;

class CoatsTest {

    private static final Palette PALETTE = new Palette(Paints.shelf());
    private static final Spectrum DARK = Spectrum.of(Srgb.ofHex("#3c3d40"));
    private static final Spectrum PALE = Spectrum.of(Srgb.ofHex("#cfc9bb"));

    private static Coat coat(String paint) {
        Palette.Colour colour = PALETTE.colour(Mix.of(paint)).orElseThrow();
        return new Coat(paint, colour.optics().full().toSrgb(), colour.optics(), colour.dryUm(), colour.dryingShift(), Sheen.SATIN, 0);
    }

    private static int coats(String paint, Spectrum ground) {
        return new FilmTable(ground, 0).coatsToHide(0, coat(paint), 2.0, 9);
    }

    private static int coatsOver(String paint, String below) {
        return coats(paint, PALETTE.colour(Mix.of(below)).orElseThrow().optics().full());
    }

    @Test
    @Tag("outside") // the trade's coat counts (common practice, no source)
    void coatCountsAreThoseOfTheTrade() {
        assertThat(coats("white", DARK)).as("white on a dark stone").isEqualTo(3);
        assertThat(coats("white", PALE)).as("white on a pale stone").isBetween(1, 2);
        assertThat(coats("yellow", PALE)).as("yellow").isEqualTo(2);
        assertThat(coats("black", DARK)).as("black on dark").isEqualTo(1);
        assertThat(coats("black", PALE)).as("black on pale").isEqualTo(1);
        assertThat(coatsOver("palegreen", "darkred")).as("pale green over dark red").isGreaterThanOrEqualTo(3);
        assertThat(coatsOver("purple", "darkred")).as("mid purple over dark red").isBetween(1, 2);
        assertThat(coats("blackpen", PALE)).as("two thin coats of a good pen are opaque").isLessThanOrEqualTo(2);
    }

    @Test
    void oneMoreCoatNeverShowsMoreOfTheGround() {
        for (String paint : new String[] {"white", "yellow", "red", "black", "palegreen"}) {
            FilmTable table = new FilmTable(DARK, 0.3);
            Lab full = Lab.of(coat(paint).optics().full());
            double before = Double.POSITIVE_INFINITY;
            for (int n = 1; n < 8; n++) {
                double difference = table.film(table.over(0, coat(paint), n)).lab().differenceTo(full);
                assertThat(difference).as("%s, %d coats", paint, n).isLessThanOrEqualTo(before + 1e-9);
                before = difference;
            }
        }
    }

    @Test
    @Tag("outside") // n coats are one coat of n times the thickness (Kubelka 1948: reflectances add as layers)
    void coatsAddUpToOneThickFilm() {
        FilmTable table = new FilmTable(DARK, 0);
        Coat white = coat("white");
        Spectrum thick = white.optics().over(DARK, 3 * white.dryUm());

        Film film = table.film(table.over(0, white, 3));

        for (int band = 0; band < Spectrum.BANDS; band++) {
            assertThat(film.look().at(band)).isCloseTo(thick.at(band), within(1e-9));
        }
        assertThat(film.totalUm()).isCloseTo(3 * white.dryUm(), within(1e-9));
        assertThat(table.stack(table.over(0, white, 3)).stream().mapToDouble(Film::layerUm).sum()).isCloseTo(film.totalUm(), within(1e-9));
    }

    @Test
    void porousStoneDrinksTheFirstCoatOnly() {
        Stone stone = Stone.cobble()
                .withSkin(new Skin(RockKind.SANDSTONE, Texture.ROUGH, 0.18, Srgb.ofHex("#b89a6e"), Skin.Before.NOTHING, false));
        double soak = SoakIn.share(stone);
        FilmTable table = new FilmTable(PALE, soak);
        Coat red = coat("red");

        assertThat(soak).isCloseTo(0.46, within(1e-9));
        assertThat(table.film(table.over(0, red)).totalUm()).isCloseTo(red.dryUm() * (1 - soak), within(1e-9));
        assertThat(table.film(table.over(0, red, 2)).totalUm()).isCloseTo(red.dryUm() * (2 - soak), within(1e-9));
    }

    @Test
    void maskCoversExactlyTheAreaOfItsPolygon() {
        GeometryFactory factory = new GeometryFactory();
        GeometricShapeFactory shapes = new GeometricShapeFactory(factory);
        shapes.setCentre(new Coordinate(3.3, -1.7));
        shapes.setWidth(41);
        shapes.setHeight(23);
        shapes.setNumPoints(97);
        Geometry ring = shapes.createEllipse();
        Geometry hole = AffineTransformation.scaleInstance(0.4, 0.5, 3.3, -1.7).transform(ring);
        Geometry area = AffineTransformation.rotationInstance(0.4).transform(ring.difference(hole));

        for (double cell : new double[] {0.25, 0.5, 1.3}) {
            Grid grid = Grid.around(40, 40, cell);
            Mask mask = Mask.of(area, grid);
            double sum = 0;
            for (int r = 0; r < mask.rows(); r++) {
                for (int c = 0; c < mask.columns(); c++) {
                    assertThat(mask.at(c, r)).isBetween(0f, 1.0001f);
                    sum += mask.at(c, r);
                }
            }
            assertThat(sum * cell * cell).as("cells of %s mm", cell).isCloseTo(area.getArea(), within(area.getArea() * 1e-4));
        }
    }
}
