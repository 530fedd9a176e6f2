package mosspebble.core.stone;

import static mosspebble.core.Reference.number;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.Map;
import mosspebble.core.Reference;
import mosspebble.core.units.Millimetres;
import org.assertj.core.data.Percentage;
import org.hipparchus.special.Beta;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.locationtech.jts.geom.GeometryFactory;

class DomeTest {

    private static Stone ellipse(double length, double width, double height, double flatTop) {
        return Stone.cobble().withSize(new Millimetres(length), new Millimetres(width), new Millimetres(height))
                .withShape(new Shape.Grown(Form.OVAL, 1, 0)).withDome(1, 1 + 5 * flatTop);
    }

    @Test
    @Tag("outside") // Legendre form of the ellipsoid's area, computed with mpmath; see the file's head
    void ellipseInflatesToTheHalfEllipsoid() {
        int checked = 0;
        for (Map<String, String> row : Reference.rows("ellipsoid_area_volume.csv")) {
            double a = number(row, "a");
            if (a < 25) {
                continue;
            }
            Stone stone = ellipse(2 * a, 2 * number(row, "b"), number(row, "c"), 0);
            StoneFacts facts = StoneFacts.of(stone, Dome.of(stone));

            assertThat(facts.volumeMm3()).as("volume of %s", row).isCloseTo(number(row, "half_volume"), Percentage.withPercentage(0.5));
            assertThat(facts.upperMm2()).as("area of %s", row).isCloseTo(number(row, "dome_area"), Percentage.withPercentage(0.5));
            checked++;
        }
        assertThat(checked).isGreaterThanOrEqualTo(5);
    }

    @Test
    @Tag("outside") // Euler's Beta function by Hipparchus
    void fullerTopsHoldTheBetaFunctionVolume() {
        for (double flatTop : new double[] {0, 0.2, 0.5, 1}) {
            Stone stone = ellipse(150, 100, 40, flatTop);
            double m = stone.fullness();
            double exact = Math.PI * 75 * 50 * 40 / m * Math.exp(Beta.logBeta(1 / m, 1.5));

            assertThat(StoneFacts.of(stone, Dome.of(stone)).volumeMm3()).as("m = %s", m).isCloseTo(exact, Percentage.withPercentage(0.5));
        }
    }

    @Test
    void heightAndTiltOfAHemisphereAreThoseOfASphere() {
        Stone stone = ellipse(80, 80, 40, 0);
        Dome dome = Dome.of(stone);

        for (double r = 0; r < 38; r += 3.7) {
            double angle = 0.3 + r;
            double x = r * Math.cos(angle);
            double y = r * Math.sin(angle);
            assertThat(dome.heightAt(x, y)).isCloseTo(Math.sqrt(1600 - r * r), within(0.1));
            assertThat(dome.tiltAt(x, y)).isCloseTo(Math.toDegrees(Math.asin(r / 40)), within(0.8));
        }
    }

    @Test
    void faceOfAHemisphereIsTheCapUpToTheFaceTilt() {
        Dome dome = Dome.of(ellipse(80, 80, 40, 0));

        double radius = 40 * Math.sin(Math.toRadians(ZoneLimits.usual().faceTilt()));
        assertThat(Zones.of(dome, ZoneLimits.usual()).face().getArea()).isCloseTo(Math.PI * radius * radius, Percentage.withPercentage(1));
    }

    @Test
    void outlineHasTheMeasuredLengthAndWidthWhateverTheForm() {
        for (double form : new double[] {0, 0.4, 1}) {
            StoneOutline outline = StoneOutline.of(Stone.cobble().withShape(new Shape.Grown(Form.OVAL, form, 1 - form)));
            assertThat(2 * outline.halfWidth()).isCloseTo(96, within(1e-9));
            assertThat(2 * outline.halfHeight()).isCloseTo(74, within(1e-9));
            assertThat(outline.polygon(new GeometryFactory()).isValid()).isTrue();
        }
    }

    @Test
    void weightIsVolumeTimesDensityAndDoublesCubedWithTheSize() {
        Stone stone = Stone.cobble();
        Stone twice = stone.withSize(new Millimetres(192), new Millimetres(148), new Millimetres(62));
        StoneFacts small = StoneFacts.of(stone, Dome.of(stone));
        StoneFacts large = StoneFacts.of(twice, Dome.of(twice));

        assertThat(small.weight().value()).isCloseTo(small.volumeMm3() / 1000 * 2.68, within(1e-9));
        assertThat(large.volumeMm3() / small.volumeMm3()).isCloseTo(8, within(0.04));
        assertThat(large.paintableMm2() / small.paintableMm2()).isCloseTo(4, within(0.04));
    }

    @Test
    @Tag("outside") // handbook (from memory): half ellipsoid 50 x 40 x 20 mm as granite of 2.68 weighs 224.519 g
    void halfEllipsoidOfGraniteWeighsWhatTheHandbookSays() {
        Stone stone = ellipse(100, 80, 20, 0);

        assertThat(StoneFacts.of(stone, Dome.of(stone)).weight().value()).isCloseTo(224.519, Percentage.withPercentage(0.5));
    }

    @Test
    void measuresOutOfRangeAreRefusedWithRangeAndValue() {
        assertThatThrownBy(() -> Stone.cobble().withSize(new Millimetres(9999), new Millimetres(70), new Millimetres(30)))
                .hasMessageContaining("length").hasMessageContaining("8 to 600 mm").hasMessageContaining("9999");
        assertThatThrownBy(() -> Stone.cobble().withShape(new Shape.Grown(Form.OVAL, Double.NaN, 0))).hasMessageContaining("roundness");
    }
}
