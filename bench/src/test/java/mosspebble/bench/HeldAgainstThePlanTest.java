package mosspebble.bench;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.IntStream;
import mosspebble.core.colour.Mix;
import mosspebble.core.colour.Xyz;
import mosspebble.core.photo.Photo;
import mosspebble.core.photo.PhotoHints;
import mosspebble.core.photo.PhotoReader;
import mosspebble.core.photo.PhotoReading;
import mosspebble.core.plan.PaintPlan;
import mosspebble.core.project.Project;
import mosspebble.core.proof.Moment;
import mosspebble.core.proof.PhotoProof;
import mosspebble.core.proof.Proof;
import mosspebble.core.proof.ProofFinding;
import mosspebble.core.proof.ProofFinding.Kind;
import mosspebble.core.proof.Stray;
import mosspebble.core.sketch.DotBorder;
import mosspebble.core.sketch.Designs;
import mosspebble.core.sketch.Item;
import mosspebble.core.sketch.PlacedPart;
import mosspebble.core.sketch.Role;
import mosspebble.core.sketch.Subject;
import mosspebble.core.units.Srgb;
import mosspebble.core.words.ProofWords;
import mosspebble.instruments.BenchScene;
import mosspebble.instruments.PaintedFace;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.locationtech.jts.algorithm.construct.MaximumInscribedCircle;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Envelope;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;

/** Photos of drawn and painted demo stones with errors of known size; what is found must be those errors and no others. */
class HeldAgainstThePlanTest {

    private static List<Kind> kinds(Proof proof) {
        return proof.findings().stream().map(ProofFinding::kind).toList();
    }

    private static ProofFinding only(Proof proof, Kind kind) {
        List<ProofFinding> found = proof.findings().stream().filter(f -> f.kind() == kind).toList();
        assertThat(found).as("%s in %s", kind, proof.findings()).hasSize(1);
        return found.get(0);
    }

    @Test
    void slopesAndSizesAreMeasuredToHalfADegreeAndFourTenthsOfAMillimetre() {
        List<Proofs.Error> errors = IntStream.range(0, 3).parallel().mapToObj(Proofs::trial).flatMap(Optional::stream).toList();

        // what holds for 95 in 100 holds for these few; the benchmark counts fifty
        assertThat(errors).hasSizeGreaterThan(1).allSatisfy(e -> {
            assertThat(e.found()).as("made out: %s", e).isTrue();
            assertThat(Math.abs(e.turn())).as("degrees, %s", e).isLessThan(0.5);
            assertThat(Math.abs(e.mm())).as("mm of size, %s", e).isLessThan(0.4);
        });
    }

    /**
     * Chalk on a roundish stone. First: a sprig drawn over the lines of the cap beside it, once found a millimetre off and turned by two
     * degrees. Second: one whose outline tells its turn wrong by half a degree.
     */
    @ParameterizedTest
    @ValueSource(ints = {8, 35})
    void aThingAmongTheLinesOfOthersIsFoundWhereItLies(int trial) {
        Proofs.Error error = Proofs.trial(trial).orElseThrow();

        assertThat(error.stone()).isEqualTo("toadstool");
        assertThat(error.found()).isTrue();
        assertThat(Math.abs(error.turn())).as("degrees").isLessThan(0.5);
        assertThat(Math.abs(error.mm())).as("mm of size").isLessThan(0.4);
        assertThat(error.place()).as("mm of place").isLessThan(0.4);
    }

    @Test
    void nothingIsSaidOfAFaithfulTracing() {
        List<List<ProofFinding>> said = IntStream.range(0, 3).parallel().mapToObj(Proofs::alarms).filter(a -> !a.isEmpty()).toList();

        assertThat(said).as("at most 5 in 100, of so few none").isEmpty();
    }

    /** Photos in which grain of the rock was once taken for paint, or a dark leaf for a smaller one. */
    @ParameterizedTest
    @CsvSource({"window, 20", "window, 26", "toadstool, 28", "toadstool, 35"})
    void nothingIsSaidOfFaithfulPaint(String stone, long seed) {
        PaintPlan plan = Proofs.demo(stone);
        int steps = Proofs.painted(plan);

        assertThat(Proofs.proof(plan, Moment.painted(steps), Proofs.photo(plan.survey(), PaintedFace.of(plan, steps), seed)).findings())
                .isEmpty();
    }

    @Test
    void pencilIsFoundOnAStoneWhoseGrainIsAsDark() {
        PaintPlan plan = Proofs.demo("owl");
        Proof proof = Proofs.proof(plan, plan, true, 9);

        assertThat(proof.strays().stream().filter(s -> s.part().isEmpty())).isNotEmpty().allSatisfy(thing -> {
            assertThat(thing.isFound()).isTrue();
            assertThat(thing.by().distance()).as("mm").isLessThan(0.4);
            assertThat(Math.abs(thing.by().turn())).as("degrees").isLessThan(0.5);
        });
    }

    @Test
    void aWordThatFallsIsNamedPinnedAndThePlanCanFollowIt() {
        PaintPlan plan = Proofs.demo("lettering");
        String word = plan.design().orElseThrow().items().get(0).item().id();
        Project project = plan.project();
        PaintPlan lies = Proofs.plan(turned(project, word, 2.4));
        Proof proof = Proofs.proof(plan, lies, true, 12);
        ProofFinding finding = only(proof, Kind.TURNED);

        assertThat(ProofWords.sentence(finding, plan.design().get())).startsWith("\"LANTERN WALK\" falls by 2.").contains("±");
        assertThat(finding.facts().number("degrees")).isCloseTo(2.4, within(0.5));
        ProofFinding.Place at = finding.at().orElseThrow();
        assertThat(plan.survey().zones().outline().getEnvelopeInternal().contains(at.x(), at.y())).isTrue();

        Stray stray = proof.strays().stream().filter(s -> s.part().isEmpty() && s.item().equals(word)).findFirst().orElseThrow();
        Project followed = project.withSketch(project.sketch().map(s -> s.with(word, i -> i.withPlacement(stray.placed(i.placement())))));
        Proof again = Proofs.proof(Proofs.plan(followed), lies, true, 12);
        assertThat(kinds(again)).doesNotContain(Kind.TURNED, Kind.MOVED, Kind.SIZED);
    }

    /** A pencilled face on which one place lies moved by so much, mm; where it was there is bare stone. */
    private static BenchScene.Cover moved(PaintPlan plan, Geometry place, double dx, double dy) {
        BenchScene.Cover face = PaintedFace.of(plan, Proofs.pencilled(plan));
        BenchScene.Cover bare = PaintedFace.of(plan, 0);
        GeometryFactory factory = place.getFactory();
        return (x, y, linear) -> {
            if (place.contains(factory.createPoint(new Coordinate(x - dx, y - dy)))) {
                face.at(x - dx, y - dy, linear);
            } else if (place.contains(factory.createPoint(new Coordinate(x, y)))) {
                bare.at(x, y, linear);
            } else {
                face.at(x, y, linear);
            }
        };
    }

    @Test
    void oneLetterThatLeftItsLineIsNamedAndTheOthersAreNot() {
        PaintPlan plan = Proofs.demo("lettering");
        String word = plan.design().orElseThrow().items().get(0).item().id();
        List<PlacedPart> letter = plan.design().get().item(word).orElseThrow().parts().stream()
                .filter(p -> p.part().id().startsWith("letter-11")).toList();
        assertThat(letter).extracting(p -> p.part().title()).containsExactlyInAnyOrder("last K", "shade of the last K");
        Geometry place = letter.get(0).drawn().union(letter.get(1).drawn()).buffer(0.4);
        Proof proof = Proofs.proof(plan, Moment.pencilled(), Proofs.photo(plan.survey(), moved(plan, place, 0.4, 1.7), 12));

        List<ProofFinding> said = proof.findings().stream().filter(f -> f.kind() == Kind.PART_MOVED).toList();
        assertThat(said).extracting(f -> f.part().orElseThrow()).as("the letter or its shade, and no other").isNotEmpty()
                .isSubsetOf("letter-11", "letter-11-shade");
        ProofFinding finding = said.get(0);
        assertThat(finding.facts().number("down")).as("mm down").isCloseTo(1.7, within(0.4));
        assertThat(finding.facts().number("right")).as("mm to the right").isCloseTo(0.4, within(0.4));
        assertThat(ProofWords.sentence(finding, plan.design().get())).contains("K").contains("too far")
                .contains("down");
    }

    private static Project turned(Project project, String item, double degrees) {
        return project.withSketch(project.sketch().map(s -> s.with(item, i -> i.withPlacement(i.placement().turnedBy(degrees)))));
    }

    @Test
    void bareStoneAndAnotherStoneAreNotCalledAsPlanned() {
        PaintPlan plan = Proofs.demo("snail");
        Proof bare = Proofs.proof(plan, Moment.pencilled(), Proofs.photo(plan.survey(), PaintedFace.of(plan, 0), 5));
        PaintPlan owl = Proofs.demo("owl");
        Proof other = Proofs.proof(plan, Moment.pencilled(), Proofs.photo(owl.survey(), PaintedFace.of(owl, Proofs.pencilled(owl)), 5));

        assertThat(kinds(bare)).containsOnly(Kind.NOT_SEEN);
        assertThat(kinds(other)).containsExactly(Kind.OTHER_STONE);
        assertThat(other.face()).isEmpty();
        assertThat(ProofWords.summary(other)).isEqualTo("Not compared.");
    }

    /** A face with one place painted over. */
    private static BenchScene.Cover over(BenchScene.Cover face, double atX, double atY, double radius, Srgb with) {
        double[] colour = {Xyz.linear(with.red()), Xyz.linear(with.green()), Xyz.linear(with.blue())};
        return (x, y, linear) -> {
            if (Math.hypot(x - atX, y - atY) < radius) {
                System.arraycopy(colour, 0, linear, 0, 3);
            } else {
                face.at(x, y, linear);
            }
        };
    }

    /** Where there is most room round a place of what is seen of a part. */
    private static Coordinate middle(PaintPlan plan, String part) {
        List<PlacedPart> parts = plan.design().orElseThrow().parts();
        Geometry seen = null;
        for (PlacedPart each : parts) {
            seen = each.part().id().equals(part) ? each.painted() : seen == null ? null : seen.difference(each.painted());
        }
        return MaximumInscribedCircle.getCenter(seen, 0.1).getCoordinate();
    }

    @Test
    void aBaldPlaceAndPaintBesideItsPartAreFoundEachWhereItIsAndTheColourIsNamed() {
        PaintPlan plan = Proofs.demo("toadstool");
        int steps = Proofs.painted(plan);
        Coordinate at = middle(plan, "i3/cap");
        PlacedPart cap = plan.design().orElseThrow().parts().stream().filter(p -> p.part().id().endsWith("cap")).findFirst().orElseThrow();
        Envelope box = cap.painted().getEnvelopeInternal();
        double x = (box.getMinX() + box.getMaxX()) / 2;
        double y = box.getMinY() - 1.9; // beside its top
        BenchScene.Cover worn = over(PaintedFace.of(plan, steps), at.x, at.y, 1.8, plan.survey().stone().colour());
        Proof proof = Proofs.proof(plan, Moment.painted(steps),
                Proofs.photo(plan.survey(), over(worn, x, y, 2.2, Srgb.ofHex("#a81f1c")), 8));
        ProofFinding bald = only(proof, Kind.BALD);
        ProofFinding bled = only(proof, Kind.BLED);

        assertThat(bald.facts().number("mm2")).as("a circle of 10.2 mm²").isCloseTo(10.2, within(4.0));
        assertThat(Math.hypot(bald.at().orElseThrow().x() - at.x, bald.at().orElseThrow().y() - at.y)).isLessThan(2.2);
        assertThat(bled.part()).contains(cap.part().id());
        assertThat(Math.hypot(bled.at().orElseThrow().x() - x, bled.at().orElseThrow().y() - y)).isLessThan(2.5);
        assertThat(ProofWords.sentence(bled, plan.design().get())).startsWith("Colour of the cap lies beside it");
    }

    @Test
    void oneSpillFarAwayIsNoGrainAndHidesNoPaintBesideItsPart() {
        PaintPlan plan = Proofs.demo("toadstool");
        int steps = Proofs.painted(plan);
        Geometry paint = plan.design().orElseThrow().parts().stream().map(PlacedPart::painted).reduce(Geometry::union).orElseThrow();
        Coordinate far = MaximumInscribedCircle.getCenter(plan.survey().zones().paintable().difference(paint.buffer(2.5)), 0.2)
                .getCoordinate();
        PlacedPart cap = plan.design().get().parts().stream().filter(p -> p.part().id().endsWith("cap")).findFirst().orElseThrow();
        Envelope box = cap.painted().getEnvelopeInternal();
        Srgb red = Srgb.ofHex("#a81f1c");
        BenchScene.Cover spilled = over(PaintedFace.of(plan, steps), far.x, far.y, 2.4, red);
        Proof proof = Proofs.proof(plan, Moment.painted(steps),
                Proofs.photo(plan.survey(), over(spilled, (box.getMinX() + box.getMaxX()) / 2, box.getMinY() - 1.9, 2.2, red), 8));

        assertThat(only(proof, Kind.BLED).part()).contains(cap.part().id());
    }

    /** A face whose bare stone bears round spots of one colour all over, so far from one another. */
    private static BenchScene.Cover spotted(PaintPlan plan, int steps, double apart, double radius, Srgb with) {
        BenchScene.Cover face = PaintedFace.of(plan, steps);
        BenchScene.Cover bare = PaintedFace.of(plan, 0);
        double[] colour = {Xyz.linear(with.red()), Xyz.linear(with.green()), Xyz.linear(with.blue())};
        double[] stone = new double[3];
        return (x, y, linear) -> {
            face.at(x, y, linear);
            bare.at(x, y, stone);
            double dx = x - apart * Math.rint(x / apart);
            double dy = y - apart * Math.rint(y / apart);
            if (Math.hypot(dx, dy) < radius && Arrays.equals(linear, stone)) {
                System.arraycopy(colour, 0, linear, 0, 3);
            }
        };
    }

    @Test
    void grainOfTheRockIsNotTakenForPaintBesideItsPart() {
        PaintPlan plan = Proofs.demo("toadstool");
        int steps = Proofs.painted(plan);
        Proof proof = Proofs.proof(plan, Moment.painted(steps),
                Proofs.photo(plan.survey(), spotted(plan, steps, 6, 1.5, Srgb.ofHex("#a81f1c")), 8));

        assertThat(kinds(proof)).as("as large far from all paint as beside it").doesNotContain(Kind.BLED);
    }

    @Test
    void anotherColourThanTheMixIsSaidWithItsDirection() {
        PaintPlan plan = Proofs.demo("snail");
        String slot = plan.design().orElseThrow().parts().stream().filter(p -> p.part().id().equals("body")).findFirst().orElseThrow()
                .part()
                .slot();
        Project project = plan.project();
        Map<String, Mix> darker = new HashMap<>(project.colours());
        darker.put(slot, Mix.of("soot"));
        PaintPlan lies = Proofs.plan(project.withColours(darker));
        Proof proof = Proofs.proof(plan, lies, false, 3);

        assertThat(proof.findings()).anySatisfy(f -> {
            assertThat(f.kind()).isEqualTo(Kind.COLOUR);
            assertThat(f.part()).contains("body");
            assertThat(ProofWords.sentence(f, plan.design().get())).contains("The body came out darker");
        });
        Proof faithful = Proofs.proof(plan, plan, false, 3);
        assertThat(faithful.tones()).isNotEmpty().allMatch(t -> t.difference() < 9);
    }

    @Test
    void theDotsOfARingAreCountedAndAGapIsPinned() {
        PaintPlan plan = Proofs.demo("moon");
        Item ring = plan.design().orElseThrow().items().stream().map(i -> i.item()).filter(i -> i.subject() instanceof Subject.Dots)
                .findFirst().orElseThrow();
        DotBorder border = Designs.dots(ring, (Subject.Dots) ring.subject(), plan.survey().zones()).orElseThrow();
        int steps = Proofs.painted(plan);
        DotBorder.Dot gone = border.dots().get(3);
        Coordinate beside = new Coordinate(0.5 * (border.dots().get(3).centre().x + border.dots().get(4).centre().x),
                0.5 * (border.dots().get(3).centre().y + border.dots().get(4).centre().y));
        PaintedFace face = PaintedFace.of(plan, steps);
        double[] between = new double[3];
        face.at(beside.x, beside.y, between);
        Srgb ground = new Srgb((int) Math.round(255 * Xyz.encoded(between[0])), (int) Math.round(255 * Xyz.encoded(between[1])),
                (int) Math.round(255 * Xyz.encoded(between[2])));
        Photo photo = Proofs.photo(plan.survey(), over(face, gone.centre().x, gone.centre().y, 0.5 * gone.diameterMm() + 0.5, ground), 6);
        Proof proof = Proofs.proof(plan, Moment.painted(steps), photo);
        ProofFinding count = only(proof, Kind.DOTS_COUNT);

        assertThat(count.facts().count("seen")).isEqualTo(border.dots().size() - 1);
        assertThat(count.facts().count("planned")).isEqualTo(border.dots().size());
        assertThat(kinds(proof)).contains(Kind.DOTS_GAP);
        Proof whole = Proofs.proof(plan, Moment.painted(steps), Proofs.photo(plan.survey(), face, 6));
        assertThat(kinds(whole)).doesNotContain(Kind.DOTS_COUNT, Kind.DOTS_GAP);
    }

    @Test
    void itStopsWhenAskedAndRefusesAMomentThatThePlanDoesNotHave() {
        PaintPlan plan = Proofs.demo("snail");
        Photo photo = Proofs.photo(plan.survey(), PaintedFace.of(plan, Proofs.pencilled(plan)), 5);
        PhotoReading reading = new PhotoReader().read(photo, PhotoHints.none(), () -> false);

        assertThat(PhotoProof.of(plan, Moment.painted(3), photo, reading, () -> true).tones()).isEmpty();
        List<String> said = new ArrayList<>();
        try {
            PhotoProof.of(plan, Moment.painted(999), photo, reading, () -> false);
        } catch (IllegalArgumentException e) {
            said.add(e.getMessage());
        }
        assertThat(said).singleElement().satisfies(m -> assertThat(m).contains("steps, not 999"));
    }
}
