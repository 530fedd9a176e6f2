package mosspebble.core.proof;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.function.Function;
import mosspebble.core.area.Grid;
import mosspebble.core.colour.Lab;
import mosspebble.core.plan.PaintPlan;
import mosspebble.core.proof.ProofFinding.Kind;
import mosspebble.core.sketch.Designs;
import mosspebble.core.sketch.DotBorder;
import mosspebble.core.sketch.Item;
import mosspebble.core.sketch.Subject;
import org.junit.jupiter.api.Test;
import org.locationtech.jts.geom.Coordinate;

/** Colours and dots of a face that is as planned but for what each test does to it. */
class ColoursTest {

    private static final PaintPlan PLAN = Table.plan(Table.project(Table.oval()));
    private static final Planned PLANNED = Table.planned(PLAN, Moment.painted(Table.painted(PLAN)));
    private static final double[] SURE = {0.02, 0.02, 0.001, 0.001};

    private interface Change {
        Lab of(double x, double y, Lab planned);
    }

    private static Field seen(Planned planned, Change change) {
        Grid grid = planned.grid;
        float[][] lab = new float[3][grid.cells()];
        for (int i = 0; i < grid.cells(); i++) {
            Lab now = change.of(grid.x(i % grid.columns()), grid.y(i / grid.columns()),
                    planned.films.table().film(planned.films.at(i)).lab());
            lab[0][i] = (float) now.l();
            lab[1][i] = (float) now.a();
            lab[2][i] = (float) now.b();
        }
        return new Field(grid, lab, planned.judged);
    }

    private static List<Laid> asPlanned(Planned planned) {
        List<Laid> laid = new ArrayList<>();
        for (int i = 0; i < planned.items.size(); i++) {
            laid.add(new Laid(i, -1, new Fit(0, 0, 0, 0, 0, 1, 0.98, SURE), new Laid.Off(0.15, 0), Fit.none(0, 0)));
        }
        return laid;
    }

    private static Colours colours(Change change) {
        return new Colours(PLANNED, seen(PLANNED, change), asPlanned(PLANNED));
    }

    private static ProofFinding only(List<ProofFinding> findings, Kind kind) {
        assertThat(findings).extracting(ProofFinding::kind).containsExactly(kind);
        return findings.get(0);
    }

    @Test
    void aFaithfulFaceHasNothingToSayAndItsTonesAreThoseOfTheMixes() {
        Colours colours = colours((x, y, planned) -> planned);

        assertThat(colours.findings()).isEmpty();
        assertThat(colours.tones()).hasSizeGreaterThanOrEqualTo(2).allMatch(t -> t.difference() < 1);
    }

    @Test
    void theShadeOfTheDomeIsNoDifferenceOfColour() {
        double[] normal = new double[3];
        Colours colours = colours((x, y, planned) -> {
            PLAN.survey().dome().normalAt(x, y, normal);
            double light = Math.exp(0.25 * normal[0] - 0.2 * normal[1] - 0.3 * (1 - normal[2])); // from the right and above
            return new Lab((planned.l() + 16) * light - 16, planned.a() * light, planned.b() * light);
        });

        assertThat(colours.findings()).isEmpty();
        assertThat(colours.tones()).allMatch(t -> t.difference() < 3);
    }

    @Test
    void anotherColourIsToldWithItsDirection() {
        Colours colours = colours((x, y, planned) -> Math.abs(x) < 11 && Math.abs(y) < 4 ? new Lab(planned.l() - 20, planned.a() * 0.6,
                planned.b() * 0.6) : planned);
        ProofFinding colour = colours.findings().stream().filter(f -> f.kind() == Kind.COLOUR).findFirst().orElseThrow();

        assertThat(colour.part()).contains("bar");
        assertThat(colour.facts().number("lighter")).isCloseTo(-20, within(4.0));
        assertThat(colour.facts().number("chroma")).isNegative();
        assertThat(colour.facts().number("difference")).isGreaterThan(Colours.MINDED);
        assertThat(colours.findings()).extracting(ProofFinding::kind).doesNotContain(Kind.BALD);
    }

    private static Change spot(double atX, double atY, double radius, Function<Lab, Lab> with) {
        return (x, y, planned) -> Math.hypot(x - atX, y - atY) < radius ? with.apply(planned) : planned;
    }

    @Test
    void aHoleInThePaintIsPinnedAndSmallOnesAreGrain() {
        Lab stone = Lab.of(PLAN.survey().stone().colour());
        ProofFinding bald = only(colours(spot(-9, 11, 2, l -> stone)).findings(), Kind.BALD);

        assertThat(bald.part()).contains("board");
        assertThat(bald.facts().number("mm2")).as("a circle of 12.6 mm²").isCloseTo(12.6, within(4.0));
        assertThat(bald.at().orElseThrow().x()).isCloseTo(-9, within(2.0));
        assertThat(bald.at().orElseThrow().y()).isCloseTo(11, within(2.0));
        assertThat(colours(spot(-9, 11, 0.6, l -> stone)).findings()).as("1 mm²").isEmpty();
    }

    @Test
    void paintBesideItsPartIsPinned() {
        int board = 0;
        while (!PLANNED.parts.get(board).part().id().equals("board")) {
            board++;
        }
        Lab blue = PLANNED.films.table().film(PLANNED.films.at(-9.0, 11.0)).lab();
        ProofFinding bled = only(colours(spot(4, 19.4, 2.2, l -> blue)).findings(), Kind.BLED);

        assertThat(bled.part()).contains("board");
        assertThat(bled.at().orElseThrow().y()).as("below the board, which ends at 17").isBetween(17.9, 21.0);
        assertThat(colours(spot(4, 24, 2.2, l -> blue)).findings()).as("too far off to be its own").isEmpty();
    }

    @Test
    void whatWasNotFoundIsNotJudged() {
        List<Laid> lost = List.of(new Laid(0, -1, new Fit(0, 0, 3, 0, 0.1, 1, 0.1, SURE), new Laid.Off(0.15, 0), Fit.none(0, 0)));
        Colours colours = new Colours(PLANNED, seen(PLANNED, (x, y, planned) -> new Lab(20, 0, 0)), lost);

        assertThat(colours.tones()).isEmpty();
        assertThat(colours.findings()).isEmpty();
    }

    // --- dots

    private static final PaintPlan RINGED = Table.plan(Table.ringed(24));
    private static final Planned RING = Table.planned(RINGED, Moment.painted(Table.painted(RINGED)));

    private static List<DotBorder.Dot> dots() {
        Item ring = RING.items.stream().map(i -> i.item()).filter(i -> i.subject() instanceof Subject.Dots).findFirst().orElseThrow();
        return Designs.dots(ring, (Subject.Dots) ring.subject(), RINGED.survey().zones()).orElseThrow().dots();
    }

    private static List<ProofFinding> counted(Change change) {
        return new DotsSeen(RING, seen(RING, change), asPlanned(RING)).findings();
    }

    @Test
    void allDotsOfARingAreCounted() {
        assertThat(dots()).hasSize(24);
        // were they not seen at all, nothing would be said either
        assertThat(counted((x, y, planned) -> Lab.of(RINGED.survey().stone().colour()))).extracting(f -> f.facts().count("seen"))
                .containsExactly(0);
        assertThat(counted((x, y, planned) -> planned)).isEmpty();
    }

    @Test
    void aMissingDotLeavesAGapTwiceAsWide() {
        Lab stone = Lab.of(RINGED.survey().stone().colour());
        Coordinate gone = dots().get(5).centre();
        List<ProofFinding> said = counted(spot(gone.x, gone.y, 1.9, l -> stone));

        assertThat(said).extracting(ProofFinding::kind).containsExactly(Kind.DOTS_COUNT, Kind.DOTS_GAP);
        assertThat(said.get(0).facts().count("seen")).isEqualTo(23);
        double usual = said.get(1).facts().number("usual");
        assertThat(usual).as("24 dots round a circle of 22 mm: chords of 2 r sin(π / 24)").isCloseTo(2 * 22 * Math.sin(Math.PI / 24),
                within(0.15));
        assertThat(said.get(1).facts().number("gap")).isCloseTo(2 * 22 * Math.sin(Math.PI / 12), within(0.3));
        assertThat(Math.hypot(said.get(1).at().orElseThrow().x() - gone.x, said.get(1).at().orElseThrow().y() - gone.y)).isLessThan(1);
    }

    @Test
    void twoDotsThatRanTogetherAreOne() {
        Lab black = RING.films.table().film(RING.films.at(dots().get(0).centre().x, dots().get(0).centre().y)).lab();
        Coordinate a = dots().get(9).centre();
        Coordinate b = dots().get(10).centre();
        List<ProofFinding> said = counted(spot((a.x + b.x) / 2, (a.y + b.y) / 2, 1.6, l -> black));

        assertThat(said.get(0).kind()).isEqualTo(Kind.DOTS_COUNT);
        assertThat(said.get(0).facts().count("seen")).isEqualTo(23);
    }

    /** Parts are looked at on all cores; what is said comes in the order of the parts all the same. */
    @Test
    void whatIsSaidIsTheSameEveryTime() {
        Field photo = seen(PLANNED, (x, y, planned) -> Math.hypot(x - 4, y) < 3 ? new Lab(30, 40, 20) : planned);
        Colours first = new Colours(PLANNED, photo, asPlanned(PLANNED));
        assertThat(first.tones()).hasSizeGreaterThan(1);
        assertThat(first.findings()).isNotEmpty();
        for (int k = 0; k < 8; k++) {
            Colours again = new Colours(PLANNED, photo, asPlanned(PLANNED));
            assertThat(again.tones()).isEqualTo(first.tones());
            assertThat(again.findings()).usingRecursiveComparison().isEqualTo(first.findings());
        }
    }
}
