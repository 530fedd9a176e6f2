package mosspebble.core.stone;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import mosspebble.core.units.Millimetres;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.locationtech.jts.geom.GeometryFactory;

class DomeMeshTest {

    private static Stone of(Form form, double length, double width, double height) {
        return Stone.cobble().withShape(new Shape.Grown(form, 1, 0))
                .withSize(new Millimetres(length), new Millimetres(width), new Millimetres(height)).withDome(1, 1);
    }

    /** Level area and area of the surface of all triangles. */
    private static double[] areas(DomeMesh mesh) {
        double[] sums = new double[2];
        mesh.eachTriangle((a, b, c) -> {
            double ux = mesh.x()[b] - mesh.x()[a];
            double uy = mesh.y()[b] - mesh.y()[a];
            double uz = mesh.z()[b] - mesh.z()[a];
            double vx = mesh.x()[c] - mesh.x()[a];
            double vy = mesh.y()[c] - mesh.y()[a];
            double vz = mesh.z()[c] - mesh.z()[a];
            double level = ux * vy - uy * vx;
            assertThat(level).as("no triangle is turned over").isGreaterThanOrEqualTo(-1e-9);
            sums[0] += level / 2;
            sums[1] += Math.sqrt(Math.pow(uy * vz - uz * vy, 2) + Math.pow(uz * vx - ux * vz, 2) + level * level) / 2;
        });
        return sums;
    }

    @Test
    void theTrianglesCoverTheOutlineOnceWhateverTheForm() {
        for (Form form : Form.values()) {
            Dome dome = Dome.of(of(form, 100, 70, 25));
            double outline = dome.outline().polygon(new GeometryFactory()).getArea();

            assertThat(areas(DomeMesh.of(dome, 20, 240))[0]).as("%s", form).isCloseTo(outline, within(0.005 * outline));
        }
    }

    @Test
    @Tag("outside") // area of a hemisphere, 2 pi R^2
    void finerMeshesComeNearerToTheHemisphere() {
        Dome dome = Dome.of(of(Form.ROUND, 100, 100, 50));
        double exact = 2 * Math.PI * 50 * 50;
        double coarse = exact - areas(DomeMesh.of(dome, 6, 24))[1];
        double fine = Math.abs(exact - areas(DomeMesh.of(dome, 24, 96))[1]);

        assertThat(coarse).as("flat triangles lie inside the ball").isPositive();
        assertThat(fine).isLessThan(coarse / 6).isLessThan(0.005 * exact);
    }

    @Test
    void aMeshWithoutRingsIsRefused() {
        Dome dome = Dome.of(of(Form.OVAL, 60, 40, 20));
        assertThatThrownBy(() -> DomeMesh.of(dome, 0, 24)).hasMessageContaining("at least 1 ring");
        assertThatThrownBy(() -> DomeMesh.of(dome, 4, 2)).hasMessageContaining("3 rays");
    }
}
