package mosspebble.core.stone;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatCode;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import mosspebble.core.units.Millilitres;
import mosspebble.core.units.Millimetres;
import mosspebble.core.units.Srgb;
import org.assertj.core.api.ThrowableAssert.ThrowingCallable;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.LineSegment;

/** What is measured and marked on a stone: up to where it is taken, and what follows from it. */
class MeasuresTest {

    private static void taken(ThrowingCallable... all) {
        for (ThrowingCallable each : all) {
            assertThatCode(each).doesNotThrowAnyException();
        }
    }

    private static void refused(String why, ThrowingCallable... all) {
        for (ThrowingCallable each : all) {
            assertThatThrownBy(each).isInstanceOf(IllegalArgumentException.class).hasMessageContaining(why);
        }
    }

    @ParameterizedTest
    // a bowl (1 - s²)² deep; a hole even to seven tenths of its reach, a flat to half of it, then smooth up to the rim (own definition)
    @CsvSource({"DENT, 0, -3", "DENT, 4, -1.6875", "DENT, 8, 0", "BUMP, 0, 3", "BUMP, 4, 1.6875", "BUMP, 8.1, 0", "HOLE, 0, -3",
        "HOLE, 5.6, -3", "HOLE, 6.8, -1.5", "HOLE, 8, 0", "FLAT, 0, -3", "FLAT, 4, -3", "FLAT, 6, -1.5", "FLAT, 7.999, 0"})
    void aMarkIsAsDeepAsItsKindIsThere(Patch.Kind kind, double away, double lift) {
        Patch mark = Patch.at(kind, 2, -1, 8, 3);

        assertThat(mark.lift(2 + away, -1)).isCloseTo(lift, within(1e-4));
        assertThat(mark.lift(2, -1 - away)).as("round").isCloseTo(lift, within(1e-4));
        assertThat(mark.distance(2 + away, -1)).isCloseTo(away, within(1e-12));
    }

    @Test
    void aCrackIsAsDeepAlongAllOfItsLineAndEndsRound() {
        Patch crack = Patch.crack(0, 0, 30, 40, 2, 1);

        assertThat(crack.distance(15, 20)).isCloseTo(0, within(1e-12));
        assertThat(crack.distance(15 - 0.8, 20 + 0.6)).as("across the middle").isCloseTo(1, within(1e-12));
        assertThat(crack.distance(-3, -4)).as("before its beginning").isCloseTo(5, within(1e-12));
        assertThat(crack.distance(33, 44)).as("behind its end").isCloseTo(5, within(1e-12));
        assertThat(crack.lift(15, 20)).isCloseTo(-1, within(1e-12));
        assertThat(crack.lift(14.2, 20.6)).isCloseTo(-0.5625, within(1e-9));
    }

    /** Whichever way it runs, all round it and nowhere else; how far away a place is, JTS measures. */
    @ParameterizedTest
    @CsvSource({"-6, 3, 9, 8", "9, 8, -6, 3", "-6, 8, 9, 3", "9, 3, -6, 8", "4, 4, 4, -7", "2, 2, 2, 2"})
    void aCrackReachesAsFarOnAllItsSides(double x, double y, double toX, double toY) {
        Patch crack = Patch.crack(x, y, toX, toY, 2, 1);
        LineSegment line = new LineSegment(x, y, toX, toY);
        int within = 0;
        for (double px = -12.1; px <= 14; px += 0.25) {
            for (double py = -12.1; py <= 14; py += 0.25) {
                double share = Math.min(1, line.distance(new Coordinate(px, py)) / 2);
                assertThat(crack.lift(px, py)).as("at %s, %s", px, py).isCloseTo(-Math.pow(1 - share * share, 2), within(1e-9));
                within += share < 1 ? 1 : 0;
            }
        }
        assertThat(within / 16.0).as("mm²").isCloseTo(line.getLength() * 4 + Math.PI * 4, within(0.8));
    }

    @Test
    void aMarkIsMovedSizedAndTurnedOverWithItsStone() {
        Patch crack = Patch.crack(1, 2, 11, 5, 2, 1).movedBy(3, -1);
        assertThat(crack).isEqualTo(Patch.crack(4, 1, 14, 4, 2, 1));
        assertThat(crack.sized(3, 0.5)).isEqualTo(Patch.crack(4, 1, 14, 4, 3, 0.5));
        assertThat(crack.turnedOver()).isEqualTo(new Patch(Patch.Kind.CRACK, -4, 1, -14, 4, 2, 1, true));
        assertThat(crack.turnedOver().turnedOver()).isEqualTo(crack);
    }

    @Test
    void marksHaveTheirBounds() {
        Patch.Kind dent = Patch.Kind.DENT;
        taken(() -> Patch.at(dent, 400, -400, 0.3, 0.05), () -> Patch.at(dent, -400, 400, 150, 60));
        refused("within 400 mm", () -> Patch.at(dent, 400.1, 0, 1, 1), () -> Patch.at(dent, 0, -400.1, 1, 1),
                () -> Patch.crack(0, 0, 401, 0, 1, 1), () -> Patch.crack(0, 0, 0, 401, 1, 1), () -> Patch.at(dent, Double.NaN, 0, 1, 1));
        refused("A dent must reach 0.3 to 150 mm", () -> Patch.at(dent, 0, 0, 0.29, 1), () -> Patch.at(dent, 0, 0, 150.1, 1));
        refused("A hole must be 0.05 to 60 mm deep", () -> Patch.at(Patch.Kind.HOLE, 0, 0, 1, 0.049),
                () -> Patch.at(Patch.Kind.HOLE, 0, 0, 1, 60.1));
        List<Patch> many = IntStream.range(0, Patch.MOST).mapToObj(i -> Patch.at(dent, i, 0, 1, 1)).toList();
        Stone full = Stone.cobble().withPatches(many);
        assertThat(full.patches()).hasSize(40);
        refused("at most 40 marks, had 41", () -> full.plus(many.get(0)));
    }

    @ParameterizedTest
    // the table of the drop test, and half way between two of its times by the logarithm (common practice, no source)
    @CsvSource({"0, 0.25, very porous", "1, 0.25, very porous", "5, 0.18, very porous", "10, 0.14071, porous", "20, 0.11, porous",
        "60, 0.06, porous", "103.923, 0.042426, tight", "180, 0.03, tight", "600, 0.008, glassy", "7200, 0.008, glassy"})
    void aDropTellsThePores(double seconds, double porosity, String word) {
        assertThat(DropTest.porosity(seconds)).isCloseTo(porosity, within(1e-5));
        assertThat(DropTest.word(DropTest.porosity(seconds) + 1e-9)).isEqualTo(word);
    }

    @Test
    void poresHaveTheirWords() {
        assertThat(List.of(0.0199, 0.02, 0.0599, 0.06, 0.1499, 0.15)).map(DropTest::word)
                .containsExactly("glassy", "tight", "tight", "porous", "porous", "very porous");
        refused("0 to 7200 s", () -> DropTest.porosity(7200.1), () -> DropTest.porosity(Double.NaN));
        assertThat(Stone.cobble().withSkin(Stone.cobble().skin().withPorosity(0.0199)).isGlassy()).isTrue();
        assertThat(Stone.cobble().withSkin(Stone.cobble().skin().withPorosity(0.02)).isGlassy()).isFalse();
    }

    @Test
    void faceAndRimAreToldApartByTilt() {
        taken(() -> new ZoneLimits(5, 89), () -> new ZoneLimits(80, 80.1));
        refused("5 to 80°", () -> new ZoneLimits(4.9, 60), () -> new ZoneLimits(80.1, 85));
        refused("steeper than the face ends (35°)", () -> new ZoneLimits(35, 35), () -> new ZoneLimits(35, 89.1));
    }

    @Test
    void theEyeStandsWhereItIsAboutAStoneThatLeans() {
        Eye eye = new Viewpoint(60, 1200, 1300).eye(); // turned by 60° about the stone's own middle line
        assertThat(eye.x()).isZero();
        assertThat(eye.y()).isCloseTo(650 - 600 * Math.sqrt(3), within(1e-9));
        assertThat(eye.z()).isCloseTo(650 * Math.sqrt(3) + 600, within(1e-9));
        assertThat(Viewpoint.above().straightDown()).isTrue();
        assertThat(new Viewpoint(0, 600, 1).straightDown()).isFalse();
        assertThat(new Viewpoint(1, 600, 0).straightDown()).isFalse();
    }

    @Test
    void whatCannotBeSeenFromThereIsRefused() {
        taken(() -> new Viewpoint(0, 150, 0), () -> new Viewpoint(90, 0, 10000), () -> new Viewpoint(90, -2000, 10000),
                () -> new Viewpoint(0, 5000, 10000));
        refused("step back to 150 mm", () -> new Viewpoint(0, 149.9, 0), () -> new Viewpoint(0, 100, 900),
                () -> new Viewpoint(10, -500, 300));
        refused("0 to 90°", () -> new Viewpoint(-0.1, 600, 0), () -> new Viewpoint(90.1, 600, 900));
        refused("-2000 to 5000 mm high", () -> new Viewpoint(90, -2000.1, 9000), () -> new Viewpoint(0, 5000.1, 0));
        refused("0 to 10000 mm away", () -> new Viewpoint(0, 600, -0.1), () -> new Viewpoint(90, 600, 10000.1));
    }

    @ParameterizedTest
    @EnumSource
    void whatIsOnASkinClosesItsPoresOrNot(Skin.Before before) {
        Skin skin = Stone.cobble().skin().withState(before, true);

        assertThat(skin.sealed()).isEqualTo(List.of(Skin.Before.SEALER, Skin.Before.PAINT_KEPT, Skin.Before.PAINT_SANDED).contains(before));
        assertThat(skin.loose()).isTrue();
        assertThat(skin.withRock(RockKind.SANDSTONE)).as("pores as usual for the rock, the rest as it was")
                .isEqualTo(new Skin(RockKind.SANDSTONE, skin.texture(), 0.18, skin.colour(), before, true));
    }

    @Test
    void aSkinHasNoMorePoresThanHalfOfIt() {
        taken(() -> Stone.cobble().skin().withPorosity(0), () -> Stone.cobble().skin().withPorosity(0.5));
        refused("0 to 0.5 by volume", () -> Stone.cobble().skin().withPorosity(-0.001), () -> Stone.cobble().skin().withPorosity(0.501));
        assertThat(Skin.of(RockKind.SLATE, Texture.ROUGH, Srgb.ofHex("#445566")).before()).isEqualTo(Skin.Before.NOTHING);
    }

    @Test
    void castingsHaveTheirBounds() {
        Casting.Powder plaster = Casting.Powder.CASTING_PLASTER;
        taken(() -> Casting.of(plaster, new Millilitres(1), 0.1, 0), () -> Casting.of(plaster, new Millilitres(20000), 1.2, 1));
        refused("The mould must be 1 to 20000 ml, was 0.9 ml", () -> Casting.of(plaster, new Millilitres(0.9), 0.7, 0));
        refused("1 to 20000 ml", () -> Casting.of(plaster, new Millilitres(20001), 0.7, 0));
        refused("Water per gram of powder must be 0.1 to 1.2", () -> Casting.of(plaster, new Millilitres(100), 0.09, 0),
                () -> Casting.of(plaster, new Millilitres(100), 1.21, 0));
        refused("The spare share must be 0 to 1", () -> Casting.of(plaster, new Millilitres(100), 0.7, -0.01),
                () -> Casting.of(plaster, new Millilitres(100), 0.7, 1.01));
        Casting twice = Casting.of(plaster, new Millilitres(100), 0.7, 1);
        assertThat(twice.slurry().value()).isCloseTo(200, within(1e-9));
        assertThat(twice.powder().value()).as("1 g makes 1 / 2.63 + 0.7 ml").isCloseTo(185.14, within(0.01));
        assertThat(twice.dry().value()).as("the stone is no heavier for what stays in the bowl").isCloseTo(109.81, within(0.01));
    }

    @Test
    void aStoneHasItsBounds() {
        Stone stone = Stone.cobble();
        taken(() -> stone.withSize(mm(8), mm(600), mm(2)), () -> stone.withSize(mm(600), mm(8), mm(400)),
                () -> new Stone.Swell(0.05, 1, 8), () -> new Stone.Swell(1, 8, 1));
        refused("The length of a stone must be 8 to 600 mm", () -> stone.withSize(mm(7.9), mm(74), mm(31)),
                () -> stone.withSize(mm(600.1), mm(74), mm(31)));
        refused("The width of a stone", () -> stone.withSize(mm(96), mm(7.9), mm(31)));
        refused("The height of a stone must be 2 to 400 mm", () -> stone.withSize(mm(96), mm(74), mm(1.9)),
                () -> stone.withSize(mm(96), mm(74), mm(400.1)));
        refused("share above the girdle", () -> new Stone.Swell(0.049, 2, 2), () -> new Stone.Swell(1.01, 2, 2));
        refused("fullness", () -> new Stone.Swell(0.5, 0.99, 2), () -> new Stone.Swell(0.5, 8.01, 2), () -> new Stone.Swell(0.5, 2, 0.99));
    }

    private static Millimetres mm(double value) {
        return new Millimetres(value);
    }

    @Test
    void aStoneIsTurnedTheWayUpAndOver() {
        Stone stone = Stone.cobble().withDome(0.6, 3).withBackFullness(4);
        assertThat(stone.faceHeightMm()).isCloseTo(18.6, within(1e-9));
        assertThat(stone.backDepthMm()).isCloseTo(12.4, within(1e-9));
        assertThat(stone.flatBack()).isFalse();
        assertThat(List.of(-90.0, 360.0, 810.0, -720.0, -1e-15)).map(d -> stone.withWayUp(d).wayUp())
                .containsExactly(270.0, 0.0, 90.0, 0.0, 0.0);

        Stone over = stone.withWayUp(30).turnedOver();
        assertThat(over.wayUp()).isEqualTo(330);
        assertThat(over.faceShare()).isCloseTo(0.4, within(1e-9));
        assertThat(over.fullness()).as("what was the back is the face").isEqualTo(4);
        assertThat(over.backFullness()).isEqualTo(3);
        assertThat(over.size()).isEqualTo(stone.size());

        Stone flat = stone.withDome(1, 3);
        assertThat(flat.flatBack()).isTrue();
        assertThat(flat.backDepthMm()).isZero();
        Stone plane = flat.turnedOver();
        assertThat(plane.faceShare()).as("as low as a face can be").isEqualTo(Stone.LEAST_FACE);
        assertThat(plane.fullness()).as("a plane").isEqualTo(Stone.FULLEST);
        assertThat(plane.turnedOver().flatBack()).isTrue();
    }

    @Test
    void whereAStoneCameFromIsKeptWithinBounds() {
        Origin brook = Origin.unknown().with("a".repeat(120), Origin.Taking.ALLOWED, "b".repeat(400));
        assertThat(brook.taking()).isEqualTo(Origin.Taking.ALLOWED);
        refused("at most 120 letters and a note 400", () -> brook.with("a".repeat(121), Origin.Taking.OWN, ""),
                () -> brook.with("", Origin.Taking.OWN, "b".repeat(401)));
        taken(() -> new Origin("", Origin.Taking.OWN, "", Optional.of("x".repeat(Origin.LARGEST_PICTURE))));
        refused("too large to keep", () -> new Origin("", Origin.Taking.OWN, "", Optional.of("x".repeat(Origin.LARGEST_PICTURE + 1))));
    }
}
