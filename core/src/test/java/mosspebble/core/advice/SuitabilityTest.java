package mosspebble.core.advice;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import mosspebble.core.Paints;
import mosspebble.core.advice.Suitability;
import mosspebble.core.sketch.Motif;
import mosspebble.core.sketch.MotifPart;
import mosspebble.core.sketch.Presence;
import mosspebble.core.sketch.Role;
import mosspebble.core.sketch.Slot;
import mosspebble.core.sketch.WayUp;
import mosspebble.core.stone.Form;
import mosspebble.core.stone.Patch;
import mosspebble.core.stone.Shape;
import mosspebble.core.stone.Stone;
import mosspebble.core.stone.Survey;
import mosspebble.core.units.Millimetres;
import mosspebble.core.units.Srgb;
import mosspebble.core.words.AdviceWords;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.locationtech.jts.geom.Envelope;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;

/** Which stone for a subject, which subject for a stone, and which way up. */
class SuitabilityTest {

    private static final GeometryFactory FACTORY = new GeometryFactory();

    private static Geometry box(double x0, double y0, double x1, double y1) {
        return FACTORY.toGeometry(new Envelope(x0, x1, y0, y1));
    }

    private static MotifPart part(String id, Geometry shape, Optional<String> mirror) {
        return new MotifPart(id, id, Role.FILL, "wall", shape, new MotifPart.Make(0, 0.4, false, Presence.ALWAYS), mirror);
    }

    private static Motif board(double wide, double high, MotifPart... more) {
        List<MotifPart> parts = new ArrayList<>(List.of(part("board", box(0, 0, wide, high), Optional.empty())));
        parts.addAll(List.of(more));
        return new Motif("board", "Board", List.of(new Slot("wall", "Wall", Srgb.ofHex("#b9d6a3"))), parts, box(0, 0, wide, high),
                box(0, 0, wide, high), false, false);
    }

    private static Stone stone(Form form, double length, double width, double height) {
        return Stone.cobble().withShape(new Shape.Grown(form, 1, 0))
                .withSize(new Millimetres(length), new Millimetres(width), new Millimetres(height)).withDome(1, 1);
    }

    private static Suitability suits(Motif motif, Stone stone) {
        return Suitability.of(motif, Survey.of(stone), Paints.shelf());
    }

    @Test
    @Tag("outside") // the largest square in a circle has 2/pi of its area
    void aSquareFillsTwoOverPiOfARoundFace() {
        String fill = AdviceWords.reasons(suits(board(10, 10), stone(Form.ROUND, 90, 90, 25))).get(0);
        double percent = Double.parseDouble(fill.replaceAll("[^0-9.]", ""));

        assertThat(percent).as(fill).isCloseTo(200 / Math.PI, within(1.5));
    }

    @Test
    void aWideSubjectSuitsALongStoneAndASquareOneARoundStone() {
        Stone lengthy = stone(Form.OVAL, 130, 60, 25);
        Stone round = stone(Form.ROUND, 90, 90, 25);

        assertThat(suits(board(26, 10), lengthy).score()).isGreaterThan(suits(board(26, 10), round).score());
        assertThat(suits(board(10, 10), round).score()).isGreaterThan(suits(board(10, 10), lengthy).score());
    }

    @Test
    void detailFinerThanThePenCanDrawIsSaidAndCosts() {
        Motif fine = board(10, 10, part("bolt", box(4.9, 4.9, 5.1, 5.1), Optional.empty()));
        Suitability large = suits(fine, stone(Form.ROUND, 200, 200, 40));
        Suitability small = suits(fine, stone(Form.ROUND, 30, 30, 10));

        assertThat(AdviceWords.reasons(small)).anyMatch(r -> r.contains("the finest pen needs"));
        assertThat(small.score()).isLessThan(large.score());
        assertThat(AdviceWords.reasons(suits(board(10, 10), stone(Form.ROUND, 90, 90, 25)))).noneMatch(r -> r.contains("needs"));
    }

    @Test
    void aHoleCountsOnlyWhereTheSubjectWillBe() {
        Stone round = stone(Form.ROUND, 90, 90, 25);
        Stone inTheMiddle = round.plus(Patch.at(Patch.Kind.HOLE, 0, 0, 3, 1));
        Stone besideIt = round.plus(Patch.at(Patch.Kind.HOLE, 42, 0, 1, 1));
        double clear = suits(board(10, 10), round).score();

        assertThat(AdviceWords.reasons(suits(board(10, 10), inTheMiddle))).contains("1 mark in the way");
        assertThat(suits(board(10, 10), inTheMiddle).score()).isLessThan(clear);
        assertThat(AdviceWords.reasons(suits(board(10, 10), besideIt))).contains("no hole or crack in the way");
    }

    @Test
    void pairsOnALopsidedStoneAreSaidToBeSo() {
        Motif pair = board(10, 10, part("left", box(1, 2, 4, 8), Optional.of("right")),
                part("right", box(6, 2, 9, 8), Optional.of("left")));

        assertThat(AdviceWords.reasons(suits(pair, stone(Form.OVAL, 90, 60, 25)))).contains("the outline is as even as the subject");
        assertThat(AdviceWords.reasons(suits(pair, stone(Form.PEAR, 110, 60, 25))))
                .anyMatch(r -> r.startsWith("the outline is lopsided by"));
    }

    @Test
    void aTallSubjectWantsTheStoneUprightAndAWideOneAcross() {
        Survey lying = Survey.of(stone(Form.OVAL, 120, 70, 25));
        WayUp tall = WayUp.ranked(lying, Optional.of(board(10, 20)), 1).get(0);
        WayUp wide = WayUp.ranked(lying, Optional.of(board(20, 10)), 1).get(0);

        assertThat(tall.degrees()).isIn(90.0, 270.0);
        assertThat(AdviceWords.reasons(tall)).contains("stands upright, as the subject does")
                .anyMatch(r -> r.endsWith("as large as it gets"));
        assertThat(wide.degrees()).isIn(0.0, 180.0);
        assertThat(tall.largestMm()).as("the same face, turned with its subject").isCloseTo(wide.largestMm(), within(0.5));
    }

    @Test
    void theAdviceIsTheSameHoweverTheStoneLiesNow() {
        Stone stone = stone(Form.PEAR, 110, 70, 25);
        Optional<Motif> motif = Optional.of(board(10, 18));
        List<WayUp> now = WayUp.ranked(Survey.of(stone), motif, 1);
        List<WayUp> turned = WayUp.ranked(Survey.of(stone.withWayUp(90)), motif, 1);

        assertThat(now).hasSize(8).isSortedAccordingTo(Comparator.comparingDouble((WayUp w) -> -Math.round(w.score() * 1e6)));
        assertThat(AdviceWords.reasons(now.get(0))).contains("the wide end is below");
        assertThat(turned.get(0).degrees()).isEqualTo(now.get(0).degrees());
        assertThat(turned.get(0).score()).isCloseTo(now.get(0).score(), within(0.03));
    }
}
