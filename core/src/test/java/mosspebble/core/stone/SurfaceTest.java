package mosspebble.core.stone;

import static mosspebble.core.Reference.number;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import mosspebble.core.Reference;
import mosspebble.core.units.Grams;
import mosspebble.core.units.Millilitres;
import mosspebble.core.units.Millimetres;
import org.assertj.core.data.Percentage;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;

/** Ways over the dome, unrolling it, seeing it, and its fullness from measures. */
class SurfaceTest {

    private static final double R = 60;

    private static Stone ball() {
        return Stone.cobble().withShape(new Shape.Grown(Form.ROUND, 1, 0))
                .withSize(new Millimetres(2 * R), new Millimetres(2 * R), new Millimetres(R)).withDome(1, 1);
    }

    private static double greatCircle(double ax, double ay, double bx, double by) {
        double az = Math.sqrt(R * R - ax * ax - ay * ay);
        double bz = Math.sqrt(R * R - bx * bx - by * by);
        return R * Math.acos(Math.min(1, (ax * bx + ay * by + az * bz) / (R * R)));
    }

    @Test
    @Tag("outside") // great circles on a sphere
    void theTapeOverAHalfSphereIsTheGreatCircle() {
        Dome dome = Dome.of(ball());
        double[][] ends = {{0, 0, 30, 20}, {-40, 10, 45, 5}, {-50, -20, 20, 50}, {-55, 0, 55, 10}, {10, 45, 40, -30}, {-30, 48, 30, 48}};
        for (double[] e : ends) {
            double exact = greatCircle(e[0], e[1], e[2], e[3]);
            assertThat(SurfacePath.between(dome, e[0], e[1], e[2], e[3]).lengthMm()).as("from %s, %s to %s, %s", e[0], e[1], e[2], e[3])
                    .isCloseTo(exact, Percentage.withPercentage(1));
        }
    }

    @Test
    @Tag("outside") // length over a half ellipse by quadrature with mpmath; see the file's head
    void theTapeAcrossADomeIsItsMeridian() {
        int checked = 0;
        for (Map<String, String> row : Reference.rows("dome_meridian_arc.csv")) {
            double a = number(row, "a");
            double c = number(row, "c");
            if (a < 15 || c > a) {
                continue;
            }
            Stone stone = Stone.cobble().withShape(new Shape.Grown(Form.OVAL, 1, 0))
                    .withSize(new Millimetres(2 * a), new Millimetres(2.4 * a), new Millimetres(c)).withDome(1, 1);
            double length = SurfacePath.between(Dome.of(stone), 0, 0, number(row, "r"), 0).lengthMm();
            assertThat(length).as("%s", row).isCloseTo(number(row, "arc_from_top"), Percentage.withPercentage(1));
            checked++;
        }
        assertThat(checked).isGreaterThanOrEqualTo(3);
    }

    @Test
    @Tag("outside") // azimuthal-equidistant projection of a sphere, haversine distances; see the file's head
    void theUnrolledHalfSphereIsTheAzimuthalEquidistantMap() {
        Unrolling unrolling = Unrolling.about(Dome.of(ball()), 0, 0);
        for (double share = 0.1; share < 0.93; share += 0.1) {
            for (double angle = 0.2; angle < 6; angle += 1.1) {
                Coordinate paper = unrolling.paper(share * R * Math.cos(angle), share * R * Math.sin(angle));
                double s = R * Math.asin(share);
                assertThat(Math.hypot(paper.x, paper.y)).as("at %s R", share).isCloseTo(s, Percentage.withPercentage(0.6));
                assertThat(Math.atan2(paper.y, paper.x)).isCloseTo(Math.atan2(Math.sin(angle), Math.cos(angle)), within(0.01));
            }
        }
    }

    @Test
    @Tag("outside") // azimuthal-equidistant about a point off the top: distances are great circles, bearings by spherical trigonometry
    void aboutAnotherCentreDistancesFromItStayTrue() {
        double cx = 20;
        double cy = -15;
        Unrolling unrolling = Unrolling.about(Dome.of(ball()), cx, cy);
        for (double[] p : new double[][] {{0, 0}, {-20, 10}, {35, 20}, {40, -30}, {-10, -40}}) {
            Coordinate paper = unrolling.paper(p[0], p[1]);
            assertThat(Math.hypot(paper.x, paper.y)).as("%s, %s", p[0], p[1]).isCloseTo(greatCircle(cx, cy, p[0], p[1]),
                    Percentage.withPercentage(1));
        }
    }

    @Test
    @Tag("outside") // on a sphere neighbouring meridians crowd by 1 - sin(s/R)/(s/R)
    void paperCrowdsAsOnASphereAndIsCutOnlyThere() {
        Dome dome = Dome.of(ball());
        Unrolling unrolling = Unrolling.about(dome, 0, 0);
        for (double s : new double[] {20, 40, 60}) {
            assertThat(unrolling.crowding(7, s)).isCloseTo(1 - Math.sin(s / R) / (s / R), within(0.01));
        }
        Geometry guide = unrolling.paper(Zones.of(dome, ZoneLimits.usual()).paintable());
        List<Unrolling.Cut> cuts = unrolling.cuts(guide, 8, 0.03);
        double from = 0.4260; // s/R where 1 - sin x / x = 0.03
        assertThat(cuts).hasSize(8).allSatisfy(cut -> assertThat(cut.fromMm()).isCloseTo(R * from, within(1.0)));
        Dome flat = Dome.of(Stone.cobble().withDome(1, 6).withSize(new Millimetres(150), new Millimetres(110), new Millimetres(8)));
        Unrolling nearlyFlat = Unrolling.about(flat, 0, 0);
        assertThat(nearlyFlat.cuts(nearlyFlat.paper(Zones.of(flat, ZoneLimits.usual()).face()), 8, 0.03)).isEmpty();
    }

    @Test
    @Tag("outside") // the rim of a cap of a sphere is 2 pi R sin(s/R) long, that of its map 2 pi s: the cuts take out the difference
    void theCutsTakeOutAsMuchOfTheRimAsThePaperHasTooMuchAndNoLineIsCutAway() {
        Dome dome = Dome.of(ball());
        Unrolling unrolling = Unrolling.about(dome, 0, 0);
        double s = 45;
        Geometry guide = new org.locationtech.jts.geom.GeometryFactory().createPoint(new Coordinate(0, 0)).buffer(s, 64);
        double out = unrolling.cuts(guide, 12, 0.03).stream().mapToDouble(Unrolling.Cut::widthMm).sum();
        assertThat(out).isCloseTo(2 * Math.PI * (s - R * Math.sin(s / R)), Percentage.withPercentage(4));
        for (Stone stone : List.of(Stone.cobble().withSize(new Millimetres(132), new Millimetres(70), new Millimetres(25)),
                Stone.cobble().withSize(new Millimetres(150), new Millimetres(80), new Millimetres(30)).withDome(0.6, 3))) {
            Survey survey = Survey.of(stone);
            Unrolling about = Unrolling.about(survey.dome(), 0, 0);
            Geometry paper = about.paper(survey.zones().paintable());
            List<Unrolling.Cut> cuts = about.cuts(paper, 12, 0.03);
            double onStone = 0;
            Coordinate[] rim = org.locationtech.jts.densify.Densifier.densify(survey.zones().paintable(), 1).getCoordinates();
            for (int i = 1; i < rim.length; i++) {
                onStone += Math.sqrt(Math.pow(rim[i].distance(rim[i - 1]), 2)
                        + Math.pow(survey.dome().heightAt(rim[i].x, rim[i].y) - survey.dome().heightAt(rim[i - 1].x, rim[i - 1].y), 2));
            }
            double excess = paper.getGeometryN(0).getLength() - onStone;
            assertThat(cuts.stream().mapToDouble(Unrolling.Cut::widthMm).sum()).as("the rim on paper is %.0f mm too long", excess)
                    .isBetween(0.6 * excess, 1.5 * excess + 3);
            Geometry lines = paper.buffer(-1).getBoundary();
            Geometry squeezed = Unrolling.squeezed(lines, cuts);
            for (Unrolling.Cut cut : cuts) {
                assertThat(squeezed.intersection(cut.triangle()).getLength()).as("nothing drawn lies in a wedge").isLessThan(0.4);
            }
            assertThat(Unrolling.squeezed(lines, List.of())).isEqualTo(lines);
        }
    }

    @Test
    void theStraightLineStaysOnTheStoneAndIsFoundOnSteepDomesToo() {
        Stone steep = Stone.cobble().withSize(new Millimetres(90), new Millimetres(70), new Millimetres(60)).withDome(0.9, 5);
        for (Stone stone : List.of(Stone.cobble(), steep)) {
            Dome dome = Dome.of(stone);
            Eye eye = Viewpoint.table().eye();
            Eye.Corrected line = eye.straight(dome, 0, 8, 44);
            double[] wanted = new double[3];
            eye.project(0, 8, dome.heightAt(0, 8), wanted);
            double[] seen = new double[3];
            assertThat(line.points()).hasSizeGreaterThan(30).allSatisfy(c -> {
                assertThat(dome.levelAt(c.x, c.y)).isPositive();
                eye.project(c.x, c.y, dome.heightAt(c.x, c.y), seen);
                assertThat(seen[1]).as("level in the eye at %s", c).isCloseTo(wanted[1], within(0.1));
            });
        }
    }

    @Test
    @Tag("outside") // a plane through the eye cuts a sphere in a circle: every point must lie in that plane
    void aLineThatLooksStraightLiesInThePlaneThroughTheEye() {
        Dome dome = Dome.of(ball());
        Eye eye = Viewpoint.table().eye();
        Eye.Corrected line = eye.straight(dome, 0, 10, 40);

        double mz = Math.sqrt(R * R - 100);
        // plane through the eye, the place, and the level direction
        double ny = eye.z() - mz;
        double nz = -(eye.y() - 10);
        for (Coordinate c : line.points()) {
            double z = Math.sqrt(R * R - c.x * c.x - c.y * c.y);
            double off = (ny * (c.y - 10) + nz * (z - mz)) / Math.hypot(ny, nz);
            assertThat(off).as("at %s", c).isCloseTo(0, within(0.12));
        }
        assertThat(line.liftedMm().get(0)).as("from in front the ends sink and must be lifted").isGreaterThan(3);
        assertThat(Viewpoint.above().eye().straight(dome, 0, 0, 40).most())
                .as("through the middle, from above, a ruled line looks straight").isCloseTo(0, within(0.01));
    }

    @Test
    void aRingThatLooksRoundIsRoundInTheEyeAndStretchedOnTheStone() {
        Dome dome = Dome.of(ball());
        Eye eye = Viewpoint.leaning().eye();
        Eye.Corrected ring = eye.round(dome, 0, 5, 18);
        double[] middle = new double[3];
        eye.project(0, 5, dome.heightAt(0, 5), middle);
        double[] seen = new double[3];
        for (Coordinate c : ring.points()) {
            eye.project(c.x, c.y, dome.heightAt(c.x, c.y), seen);
            assertThat(Math.hypot(seen[0] - middle[0], seen[1] - middle[1])).isCloseTo(18, within(0.05));
        }
        assertThat(ring.most()).isNotCloseTo(0, within(0.2));
    }

    @Test
    void viewpointsFromWhichTheFaceIsHiddenAreRefused() {
        assertThatThrownBy(() -> new Viewpoint(0, 0, 600)).hasMessageContaining("Lean the stone more");
        assertThatThrownBy(() -> new Viewpoint(95, 300, 600)).hasMessageContaining("0 to 90");
    }

    @Test
    void shoulderGaugeAndWeightFindTheFullnessThatMadeThem() {
        for (double m : new double[] {1.2, 2, 3.5, 6}) {
            Stone made = Stone.cobble().withShape(new Shape.Grown(Form.EGG, 0.8, 0.3)).withDome(0.6, m).withBackFullness(m);
            Survey survey = Survey.of(made);
            Stone unknown = made.withDome(0.6, 1.5).withBackFullness(1.5);
            StoneOutline outline = survey.dome().outline();
            double radius = outline.radius(Math.PI / 2);
            FullnessFit.Gauge[] gauges = new FullnessFit.Gauge[3];
            for (int i = 0; i < 3; i++) {
                double inside = 3 + 5 * i;
                double z = survey.dome().heightAt(outline.poleX(), outline.poleY() + radius - inside);
                gauges[i] = new FullnessFit.Gauge(new Millimetres(inside), new Millimetres(z + made.backDepthMm()));
            }

            assertThat(FullnessFit.ofHeights(unknown, survey.dome(), List.of(gauges[0])).fullness()).isCloseTo(m, within(0.02));
            assertThat(FullnessFit.ofHeights(unknown, survey.dome(), List.of(gauges)).fullness()).isCloseTo(m, within(0.02));
            FullnessFit weighed = FullnessFit.ofWeight(unknown, survey.dome(), survey.facts().weight());
            assertThat(weighed.fullness()).isCloseTo(m, within(0.02));
            assertThat(weighed.question()).isEmpty();
        }
    }

    @Test
    void weightsAndReadingsThatCannotBeTrueAreQuestioned() {
        Survey survey = Survey.of(Stone.cobble());
        FullnessFit heavy = FullnessFit.ofWeight(survey.stone(), survey.dome(), new Grams(900));
        FullnessFit light = FullnessFit.ofWeight(survey.stone(), survey.dome(), new Grams(150));

        assertThat(heavy.question()).hasValueSatisfying(
                q -> assertThat(q).contains("900 g cannot be true").contains("as granite").contains("Weigh or measure again"));
        assertThat(light.question()).hasValueSatisfying(q -> assertThat(q).contains("cast plaster"));
        FullnessFit high = FullnessFit.ofHeights(survey.stone(), survey.dome(),
                List.of(new FullnessFit.Gauge(new Millimetres(10), new Millimetres(40))));
        assertThat(high.question()).hasValueSatisfying(q -> assertThat(q).contains("above the stone's height of 31 mm"));
    }

    @Test
    void marksChangeHeightNormalAndAreaOnlyWhereTheyAre() {
        Stone stone = Stone.cobble().withShape(new Shape.Grown(Form.OVAL, 1, 0)).withWayUp(90).plus(Patch.at(Patch.Kind.DENT, 20, 0, 8, 3))
                .plus(Patch.at(Patch.Kind.BUMP, -20, 0, 6, 2))
                .plus(Patch.crack(-10, -20, 10, -20, 1, 1.5));
        Dome plain = Dome.of(stone.withPatches(List.of()));
        Dome marked = Dome.of(stone);

        // turned a quarter clockwise, the stone's right is below
        assertThat(marked.heightAt(0, 20) - plain.heightAt(0, 20)).isCloseTo(-3, within(1e-6));
        assertThat(marked.heightAt(0, -20) - plain.heightAt(0, -20)).isCloseTo(2, within(1e-6));
        assertThat(marked.heightAt(20, 0) - plain.heightAt(20, 0)).isCloseTo(-1.5, within(1e-6));
        assertThat(marked.heightAt(-20, 10)).isEqualTo(plain.heightAt(-20, 10));
        assertThat(marked.tiltAt(0, 24)).isNotCloseTo(plain.tiltAt(0, 24), within(5.0));
        assertThat(StoneFacts.of(stone, marked).upperMm2()).isGreaterThan(StoneFacts.of(stone.withPatches(List.of()), plain).upperMm2());
        assertThat(Zones.of(marked, stone.limits()).face().equalsExact(Zones.of(plain, stone.limits()).face()))
                .as("the zones follow the smooth dome").isTrue();
    }

    @Test
    void widerLimitsGiveALargerFace() {
        Stone stone = Stone.cobble();
        StoneFacts usual = Survey.of(stone).facts();
        StoneFacts wide = Survey.of(stone.withLimits(new ZoneLimits(50, 70))).facts();

        assertThat(wide.faceMm2()).isGreaterThan(usual.faceMm2() * 1.05);
        assertThat(wide.wholeMm2()).isCloseTo(usual.wholeMm2(), within(1e-6));
        assertThatThrownBy(() -> new ZoneLimits(60, 40)).hasMessageContaining("steeper than the face ends");
    }

    @Test
    @Tag("outside") // densities of rocks as handbooks give them (from memory; see the file's head)
    void rocksWeighWhatHandbooksSay() {
        int checked = 0;
        for (Map<String, String> row : Reference.rows("handbook_values.csv")) {
            for (RockKind kind : RockKind.values()) {
                if ("density".equals(row.get("topic")) && kind.label().equals(row.get("quantity"))) {
                    assertThat(kind.density()).as(kind.label()).isBetween(number(row, "low"), number(row, "high"));
                    assertThat(kind.lightest()).isBetween(number(row, "low") - 0.01, kind.density());
                    assertThat(kind.heaviest()).isBetween(kind.density(), number(row, "high") + 0.01);
                    checked++;
                }
            }
        }
        assertThat(checked).isGreaterThanOrEqualTo(5);
    }

    @Test
    void aDropThatGoesFasterMeansMorePores() {
        double before = 1;
        for (double seconds = 0; seconds <= 1200; seconds += 7) {
            double porosity = DropTest.porosity(seconds);
            assertThat(porosity).isLessThanOrEqualTo(before).isBetween(0.005, 0.3);
            before = porosity;
        }
        assertThat(DropTest.word(DropTest.porosity(900))).isEqualTo("glassy"); // a drop beads: common practice, no source
        assertThat(DropTest.word(DropTest.porosity(2))).isEqualTo("very porous");
        assertThatThrownBy(() -> DropTest.porosity(-1)).hasMessageContaining("0 to 7200 s");
    }

    @Test
    // handbook (from memory): plaster cast at 0.70 water is 1.5737 wet and 1.0981 dry, at 0.50 1.7041 and 1.3476; 70 g water to 100 g
    // casting plaster
    @Tag("outside")
    void plasterAndWaterAreThoseOfTheHandbook() {
        Casting usual = Casting.of(Casting.Powder.CASTING_PLASTER, new Millilitres(100), 0.70, 0);
        assertThat(usual.water().value() / usual.powder().value()).isCloseTo(0.70, within(1e-9));
        assertThat(usual.wet().value() / 100).isCloseTo(1.5737, within(1e-4));
        assertThat(usual.dryDensity()).isCloseTo(1.0981, within(1e-4));
        Casting hard = Casting.of(Casting.Powder.MODEL_PLASTER, new Millilitres(250), 0.50, 0.1);
        assertThat(hard.wet().value() / 250).isCloseTo(1.7041, within(1e-4));
        assertThat(hard.dryDensity()).isCloseTo(1.3476, within(1e-4));
        assertThat(hard.leftover().value()).isCloseTo(25, within(1e-9));
        assertThat(hard.thinHalfMm(5000)).isCloseTo(5, within(1e-9));
        assertThat(Optional.of(hard.powder().value() * (1 / 2.63 + 0.5)))
                .hasValueSatisfying(v -> assertThat(v).isCloseTo(275, within(1e-6)));
    }
}
