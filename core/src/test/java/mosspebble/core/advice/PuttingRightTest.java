package mosspebble.core.advice;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.Duration;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import mosspebble.core.Surveys;
import mosspebble.core.Paints;
import mosspebble.core.advice.Correction.Act;
import mosspebble.core.advice.Correction.Mishap;
import mosspebble.core.advice.Correction.Repair;
import mosspebble.core.area.Remembered;
import mosspebble.core.colour.ColourVision;
import mosspebble.core.colour.Lab;
import mosspebble.core.colour.Mix;
import mosspebble.core.colour.Palette;
import mosspebble.core.colour.Shelf;
import mosspebble.core.drying.Climate;
import mosspebble.core.plan.PaintPlan;
import mosspebble.core.plan.Step;
import mosspebble.core.project.Habits;
import mosspebble.core.project.Project;
import mosspebble.core.project.Workshop;
import mosspebble.core.rules.Plans;
import mosspebble.core.sketch.ItemMode;
import mosspebble.core.sketch.Motif;
import mosspebble.core.sketch.MotifPart;
import mosspebble.core.sketch.Placement;
import mosspebble.core.sketch.Repertoire;
import mosspebble.core.sketch.Role;
import mosspebble.core.sketch.Sketch;
import mosspebble.core.sketch.Slot;
import mosspebble.core.sketch.Subject;
import mosspebble.core.stone.Stone;
import mosspebble.core.units.Srgb;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.locationtech.jts.geom.Envelope;
import org.locationtech.jts.geom.GeometryFactory;

/** Advice about a flag of two stripes, left and right: what lies beside what, which colours suit, how a slip is put right. */
class PuttingRightTest {

    private static final GeometryFactory FACTORY = new GeometryFactory();
    private static final Palette PALETTE = new Palette(Paints.shelf());
    private static final double LEFT_X = -10;
    private static final double RIGHT_X = 10;

    private static MotifPart stripe(String id, double from, double to, boolean lined) {
        return new MotifPart(id, id, Role.FILL, id, FACTORY.toGeometry(new Envelope(from, to, 0, 30)),
                new MotifPart.Make(0, 0.4, lined, mosspebble.core.sketch.Presence.ALWAYS), Optional.empty());
    }

    private static Motif flag(boolean lined) {
        return new Motif("flag", "Flag",
                List.of(new Slot("left", "Left", Srgb.ofHex("#b3261e")), new Slot("right", "Right", Srgb.ofHex("#1f4e9c"))),
                List.of(stripe("left", 0, 20, lined), stripe("right", 20, 40, lined)), FACTORY.toGeometry(new Envelope(0, 40, 0, 30)),
                FACTORY.toGeometry(new Envelope(0, 40, 0, 30)), false, false);
    }

    private static PaintPlan plan(String left, String right, boolean lined, Shelf shelf) {
        Habits plain = Habits.usual().withLineColour(lined ? Habits.LineColour.BLACK : Habits.LineColour.NONE);
        Project project = Project.begin("p", "Flag", Stone.cobble())
                .withSketch(Optional.of(Sketch.of(new Subject.Figure("flag"), ItemMode.ON_STONE, new Placement(0, 0, 0, 1), 0)))
                .withColours(Map.of("left", Mix.of(left), "right", Mix.of(right))).withHabits(plain);
        return Plans.plan(project, Surveys.of(project.stone()), new Workshop(new Palette(shelf),
                Repertoire.of(List.of(flag(lined)), List.of(), List.of()), Climate.room(), List.of()), new Remembered());
    }

    private static Correction put(PaintPlan plan, int done, double x, Mishap mishap, String slipped) {
        return Correction.of(plan, done, x, 0, mishap, Optional.ofNullable(slipped).map(Mix::of), PALETTE, Climate.room());
    }

    private static List<Act> acts(Correction correction) {
        return correction.steps().stream().map(Repair::act).toList();
    }

    private static int sealedFrom(PaintPlan plan) {
        for (int i = 0; i < plan.steps().size(); i++) {
            if (plan.steps().get(i).kind() == Step.Kind.SEAL) {
                return i;
            }
        }
        throw new AssertionError("the plan seals");
    }

    @Test
    void theTwoStripesShareTheirSeamAndEachTheRestWithTheStone() {
        PaintPlan plan = plan("red", "blue", false, Paints.shelf());
        List<Neighbours.Edge> edges = Neighbours.edges(plan.design().orElseThrow());
        assertThat(edges).hasSize(3);
        Neighbours.Edge seam = edges.stream().filter(e -> !e.other().equals(Neighbours.BEHIND)).findFirst().orElseThrow();
        assertThat(List.of(seam.one(), seam.other())).containsExactly("left", "right");
        assertThat(seam.edgeMm()).as("30 mm high, seen from the one in front").isCloseTo(30, within(3.0));
        for (Neighbours.Edge edge : edges) {
            assertThat(edge.outlined()).isFalse();
            if (edge != seam) {
                assertThat(edge.edgeMm()).as("three free sides").isCloseTo(70, within(8.0));
            }
        }
        assertThat(Neighbours.edges(plan("red", "blue", true, Paints.shelf()).design().orElseThrow()))
                .allMatch(Neighbours.Edge::outlined);
    }

    @Test
    void twoReadsAlikeVanishUnlessALineStandsBetween() {
        Shelf shelf = new Shelf(List.of(Paints.brush("red", "#b3261e", 0.93), Paints.brush("brick", "#b52f25", 0.93),
                Paints.brush("green", "#5d7a2a", 0.93), Paints.shelf().find("blackpen").orElseThrow(),
                Paints.shelf().find("varnish").orElseThrow()));
        Palette palette = new Palette(shelf);
        Neighbours.Apart alike = seam(plan("red", "brick", false, shelf), palette);
        assertThat(alike.dry()).isLessThan(Neighbours.ALIKE);
        assertThat(alike.vanishes()).isTrue();
        Neighbours.Apart lined = seam(plan("red", "brick", true, shelf), palette);
        assertThat(lined.vanishes()).isFalse();
        assertThat(lined.dry()).isEqualTo(alike.dry());
        // red and green of one lightness are the classic pair that eyes without red or green cones lose
        Neighbours.Apart classic = seam(plan("red", "green", false, shelf), palette);
        assertThat(classic.dry()).isGreaterThan(20);
        assertThat(classic.least()).isLessThan(classic.dry());
        assertThat(classic.eyes()).isNotEqualTo(ColourVision.USUAL);
        assertThat(Neighbours.apart(plan("red", "brick", false, shelf), palette)).as("the worst first")
                .extracting(Neighbours.Apart::least).isSorted();
    }

    private static Neighbours.Apart seam(PaintPlan plan, Palette palette) {
        return Neighbours.apart(plan, palette).stream().filter(a -> !a.edge().other().equals(Neighbours.BEHIND)).findFirst().orElseThrow();
    }

    @Test
    // WCAG 2.1: black on white has a contrast of 21 : 1
    @Tag("outside")
    void contrastIsTheOneOfTheWebGuidelines() {
        assertThat(ColourVision.contrast(Srgb.ofHex("#000000"), Srgb.ofHex("#ffffff"))).isCloseTo(21, within(0.01));
        assertThat(ColourVision.contrast(Srgb.ofHex("#777777"), Srgb.ofHex("#ffffff"))).as("the well-known grey just short of 4.5")
                .isCloseTo(4.48, within(0.01));
    }

    @Test
    void everyMoodGivesEachSlotAMixOfTheShelfThatKeepsNeighboursApart() {
        PaintPlan plan = plan("red", "blue", false, Paints.shelf());
        List<Schemes.Scheme> schemes = Schemes.of(plan, PALETTE);
        assertThat(schemes).extracting(Schemes.Scheme::mood).containsExactly(Schemes.Mood.values());
        for (Schemes.Scheme scheme : schemes) {
            assertThat(scheme.colours().keySet()).containsExactly("left", "right");
            assertThat(scheme.colours().values()).allMatch(m -> PALETTE.colour(m).isPresent() && m.totalParts() <= 4);
            assertThat(scheme.least()).as("%s", scheme.mood()).isGreaterThan(Neighbours.ALIKE);
        }
        Map<Schemes.Mood, Lab> left = new java.util.EnumMap<>(Schemes.Mood.class);
        schemes.forEach(s -> left.put(s.mood(), Lab.of(s.looks().get("left"))));
        assertThat(left.get(Schemes.Mood.DUSK).l()).as("dusk is darker").isLessThan(left.get(Schemes.Mood.WISHED).l() - 3);
        assertThat(chroma(left.get(Schemes.Mood.QUIET))).as("quiet is weaker").isLessThan(chroma(left.get(Schemes.Mood.WISHED)));
        assertThat(left.get(Schemes.Mood.WISHED).differenceTo(Lab.of(Srgb.ofHex("#b3261e")))).as("the wish itself is on the shelf")
                .isLessThan(3);
        assertThat(Schemes.of(plan, new Palette(new Shelf(List.of())))).isEmpty();
    }

    private static double chroma(Lab lab) {
        return Math.hypot(lab.a(), lab.b());
    }

    @Test
    void nearestMixesAreProposedForASlotAsItWishes() {
        PaintPlan plan = plan("red", "blue", false, Paints.shelf());
        Map<String, Mix> nearest = Proposals.nearest(flag(false), plan.project().sketch().orElseThrow().items().get(0), PALETTE);
        assertThat(nearest.keySet()).hasSize(2);
        nearest.forEach((slot, mix) -> {
            Lab wish = Lab.of(slot.endsWith("left") ? Srgb.ofHex("#b3261e") : Srgb.ofHex("#1f4e9c"));
            assertThat(PALETTE.colour(mix).orElseThrow().lab().differenceTo(wish)).as(slot).isLessThan(2);
        });
    }

    @Test
    void aSlipOnBareStoneIsWipedOffAndOnPaintCoveredWithAsManyCoatsAsItTakes() {
        PaintPlan plan = plan("red", "blue", false, Paints.shelf());
        assertThat(acts(put(plan, 0, LEFT_X, Mishap.SLIP, "blue"))).containsExactly(Act.WIPE_OFF_STONE);
        int done = sealedFrom(plan);
        Correction dark = put(plan, done, LEFT_X, Mishap.SLIP, "darkred");
        assertThat(dark.place().orElseThrow().colour()).isEqualTo("red");
        assertThat(acts(dark)).containsExactly(Act.LET_DRY, Act.COVER);
        assertThat(put(plan, done, RIGHT_X, Mishap.SLIP, "red").place().orElseThrow().colour()).isEqualTo("blue");
        Repair cover = dark.steps().get(1);
        assertThat(cover.mix()).contains(Mix.of("red"));
        assertThat(cover.coats()).isBetween(1, 5);
        assertThat(cover.waits()).as("a wait for each coat").isEqualTo(cover.waits().dividedBy(cover.coats()).multipliedBy(cover.coats()));
        assertThat(put(plan, done, LEFT_X, Mishap.SLIP, "black").steps().get(1).coats()).as("black shows through more than dark red")
                .isGreaterThanOrEqualTo(cover.coats());
        assertThat(acts(put(plan, done, LEFT_X, Mishap.BLED, "blue"))).startsWith(Act.LET_BOTH_DRY);
    }

    @Test
    void whatHardlyHidesIsLiftedAndBlockedWithTheBestPaleFirst() {
        PaintPlan plan = plan("yellow", "blue", false, Paints.shelf());
        Correction correction = put(plan, sealedFrom(plan), LEFT_X, Mishap.SLIP, "black");
        assertThat(acts(correction)).startsWith(Act.LET_DRY).endsWith(Act.COVER);
        if (acts(correction).contains(Act.LIFT)) {
            assertThat(acts(correction)).containsSubsequence(Act.LIFT, Act.BLOCK, Act.COVER);
            Mix block = correction.steps().stream().filter(r -> r.act() == Act.BLOCK).findFirst().orElseThrow().mix().orElseThrow();
            assertThat(PALETTE.colour(block).orElseThrow().lab().l()).as("a pale paint blocks").isGreaterThan(85);
        }
        Repair last = correction.steps().get(correction.steps().size() - 1);
        assertThat(last.coats()).as("yellow over black or over its block").isBetween(2, 5);
    }

    @Test
    void underASealTheSkinIsDulledFirstAndSealedAgainLast() {
        PaintPlan plan = plan("red", "blue", false, Paints.shelf());
        for (Mishap mishap : Mishap.values()) {
            Correction sealed = put(plan, plan.steps().size(), LEFT_X, mishap, mishap.hasColour() ? "black" : null);
            assertThat(acts(sealed)).as("%s", mishap).startsWith(Act.DULL_SEAL).endsWith(Act.SEAL_AGAIN);
            assertThat(sealed.steps().get(sealed.steps().size() - 1).waits()).as("a thick film wants hours before its seal")
                    .isGreaterThanOrEqualTo(Duration.ofHours(1));
            assertThat(acts(put(plan, sealedFrom(plan), LEFT_X, mishap, mishap.hasColour() ? "black" : null))).as("%s before it", mishap)
                    .doesNotContain(Act.DULL_SEAL, Act.SEAL_AGAIN).isNotEmpty();
        }
    }

    @Test
    void aWrongColourIsChosenAnewThenPaintedOverAndOtherMishapsHaveTheirOwnWay() {
        PaintPlan plan = plan("red", "blue", true, Paints.shelf());
        int done = sealedFrom(plan);
        assertThat(acts(put(plan, done, LEFT_X, Mishap.WRONG_COLOUR, null))).containsExactly(Act.CHOOSE);
        assertThat(acts(put(plan, 0, LEFT_X, Mishap.WRONG_COLOUR, "blue"))).containsExactly(Act.CHOOSE);
        Correction blue = put(plan, done, LEFT_X, Mishap.WRONG_COLOUR, "blue");
        assertThat(acts(blue)).startsWith(Act.LET_WRONG_DRY, Act.REPAINT).endsWith(Act.RESTORE_LINE);
        Correction white = put(plan, done, LEFT_X, Mishap.WRONG_COLOUR, "white");
        assertThat(white.steps().get(1).coats()).as("white over red takes more than blue over red")
                .isGreaterThan(blue.steps().get(1).coats());
        assertThat(acts(put(plan, done, LEFT_X, Mishap.CRACKED, null))).startsWith(Act.WAIT_HARD, Act.SAND);
        assertThat(put(plan, done, LEFT_X, Mishap.CRACKED, null).steps().get(0).waits()).isGreaterThanOrEqualTo(Duration.ofHours(12));
        assertThat(acts(put(plan, done, LEFT_X, Mishap.SMUDGE, null))).containsExactly(Act.BRUSH_CRUMBS, Act.CLEAN_UP);
        assertThat(acts(put(plan, 0, LEFT_X, Mishap.SMUDGE, null))).containsExactly(Act.BRUSH_CRUMBS, Act.WIPE_STONE);
        assertThat(acts(put(plan, done, LEFT_X, Mishap.BALD_GLITTER, null))).containsExactly(Act.SAY_GLITTER, Act.DAB_GLITTER);
    }
}
