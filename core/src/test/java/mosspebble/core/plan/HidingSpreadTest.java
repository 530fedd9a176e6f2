package mosspebble.core.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import mosspebble.core.Surveys;
import mosspebble.core.Paints;
import mosspebble.core.area.Remembered;
import mosspebble.core.colour.Mix;
import mosspebble.core.colour.Paint;
import mosspebble.core.colour.Palette;
import mosspebble.core.colour.Shelf;
import mosspebble.core.drying.Climate;
import mosspebble.core.project.Habits;
import mosspebble.core.project.Project;
import mosspebble.core.project.Workshop;
import mosspebble.core.rules.Plans;
import mosspebble.core.sketch.ItemMode;
import mosspebble.core.sketch.Motif;
import mosspebble.core.sketch.MotifPart;
import mosspebble.core.sketch.Placement;
import mosspebble.core.sketch.Presence;
import mosspebble.core.sketch.Repertoire;
import mosspebble.core.sketch.Role;
import mosspebble.core.sketch.Sketch;
import mosspebble.core.sketch.Slot;
import mosspebble.core.sketch.Subject;
import mosspebble.core.stone.RockKind;
import mosspebble.core.stone.Skin;
import mosspebble.core.stone.Stone;
import mosspebble.core.stone.Texture;
import mosspebble.core.units.Srgb;
import mosspebble.core.words.StepWords;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.locationtech.jts.geom.Envelope;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;

/** How sure a number of coats is: what paints hide is known from a label only, give or take. */
class HidingSpreadTest {

    private static final Geometry BOARD = new GeometryFactory().toGeometry(new Envelope(0, 30, 0, 20));

    private static final Repertoire REPERTOIRE = Repertoire.of(List.of(new Motif("board", "Board",
            List.of(new Slot("board", "Board", Srgb.ofHex("#b3261e"))), List.of(new MotifPart("board", "board", Role.FILL, "board", BOARD,
                    new MotifPart.Make(0, 0.4, false, Presence.ALWAYS), Optional.empty())),
            BOARD, BOARD, false, false)), List.of(), List.of());

    private static PaintPlan plan(Paint paint, String stone) {
        Shelf shelf = new Shelf(List.of(paint, Paints.shelf().find("varnish").orElseThrow()));
        Stone on = Stone.cobble().withSkin(new Skin(RockKind.SLATE, Texture.SMOOTH, 0.0, Srgb.ofHex(stone), Skin.Before.NOTHING, false));
        Project project = Project.begin("p", "Board", on)
                .withSketch(Optional.of(Sketch.of(new Subject.Figure("board"), ItemMode.ON_STONE, new Placement(0, 0, 0, 1), 0)))
                .withColours(Map.of("board", Mix.of(paint.id())))
                .withHabits(Habits.usual().withPrimer(Habits.Primer.NEVER).withLineColour(Habits.LineColour.NONE));
        return Plans.plan(project, Surveys.of(on), new Workshop(new Palette(shelf), REPERTOIRE, Climate.room(), List.of()),
                new Remembered());
    }

    private static List<Step.Lay> coats(PaintPlan plan) {
        return plan.steps().stream().filter(s -> s.kind() == Step.Kind.FILL).map(s -> (Step.Lay) s).toList();
    }

    private static Paint rated(String hex, double hiding, double spread) {
        return Paints.brush("paint", hex, hiding).withHiding(hiding, spread);
    }

    @ParameterizedTest
    @CsvSource({
        // colour, hiding of a coat, give or take, colour of the stone
        "#b3261e, 0.93, 0.05, #8a8a86", "#f6f4ee, 0.87, 0.08, #35383c", "#f2c21b, 0.66, 0.10, #8a8a86", "#1a1a1c, 0.99, 0.02, #e9e2d2",
        "#b9d6a3, 0.75, 0.08, #4a4744", "#7a4f94, 0.94, 0.05, #c9b48e", "#f6f4ee, 0.92, 0.03, #8a8a86", "#1f4e9c, 0.90, 0.08, #e9e2d2"})
    void theLeastAndMostAreWhatAPotThatHidesSoMuchMoreOrLessWouldTake(String hex, double hiding, double spread, String stone) {
        List<Step.Lay> likely = coats(plan(rated(hex, hiding, spread), stone));
        Step.Count count = likely.get(0).doing().count();
        // the same stone planned anew with a paint whose label says the one end or the other
        Step.Count weaker = coats(plan(rated(hex, hiding - spread, 0), stone)).get(0).doing().count();
        Step.Count stronger = coats(plan(rated(hex, Math.min(0.999, hiding + spread), 0), stone)).get(0).doing().count();

        assertThat(count.of()).isEqualTo(likely.size());
        assertThat(count.hiding().least()).isLessThanOrEqualTo(count.of());
        assertThat(count.hiding().most()).isGreaterThanOrEqualTo(count.of());
        // a paint of another hiding is modelled with another scattering, not another thickness: they may part by one coat
        assertThat(count.hiding().most()).as("a weaker pot").isCloseTo(Math.min(Planner.MOST_COATS, weaker.of()), within(1));
        assertThat(count.hiding().least()).as("a stronger pot").isCloseTo(stronger.of(), within(1));
        assertThat(count.hiding().left()).as("as good as gone").isBetween(0.0, 2.0);
    }

    @Test
    void aPaintThatWasMeasuredLeavesNothingOpenAndAVagueLabelALot() {
        Step.Count measured = coats(plan(rated("#f6f4ee", 0.87, 0), "#35383c")).get(0).doing().count();
        assertThat(measured.hiding().least()).isEqualTo(measured.of());
        assertThat(measured.hiding().most()).isEqualTo(measured.of());
        Step.Count vague = coats(plan(rated("#f6f4ee", 0.87, 0.12), "#35383c")).get(0).doing().count();
        assertThat(vague.of()).as("the likelier number is planned").isEqualTo(measured.of());
        assertThat(vague.hiding().most()).isGreaterThan(vague.of());
    }

    @Test
    void onlyTheLastCoatSaysThatOneMoreMayBeNeeded() {
        List<Step.Lay> coats = coats(plan(rated("#f6f4ee", 0.87, 0.12), "#35383c"));
        assertThat(coats.size()).isGreaterThan(1);
        for (int i = 0; i < coats.size(); i++) {
            boolean last = i == coats.size() - 1;
            assertThat(coats.get(i).doing().count().perhapsMore()).isEqualTo(last);
            assertThat(StepWords.sentence(coats.get(i)).contains("Look at it dry")).isEqualTo(last);
            assertThat(StepWords.reason(coats.get(i))).contains("perhaps").doesNotContain("CIEDE2000");
            assertThat(StepWords.figures(coats.get(i))).contains("CIEDE2000", "µm dry a coat");
        }
        Step.Lay sure = coats(plan(rated("#1a1a1c", 0.995, 0), "#e9e2d2")).get(0);
        assertThat(StepWords.reason(sure)).startsWith("One coat; what is below then is");
        assertThat(StepWords.sentence(sure)).doesNotContain("Look at it dry");
    }

    @Test
    void whereFewerCoatsMayDoNothingIsSaidToShowThrough() {
        int fewer = 0;
        for (double spread : new double[] {0, 0.04, 0.08, 0.12}) {
            for (String stone : List.of("#35383c", "#8a8a86", "#c9b48e", "#e9e2d2")) {
                for (Step.Lay coat : coats(plan(rated("#f6f4ee", 0.87, spread), stone))) {
                    Step.Count count = coat.doing().count();
                    boolean sure = count.of() > 1 && count.hiding().least() == count.of();
                    fewer += count.hiding().least() < count.of() ? 1 : 0;
                    assertThat(StepWords.reason(coat).contains("shows through")).as("%s", count).isEqualTo(sure);
                    assertThat(StepWords.reason(coat).contains("after two, perhaps one")).as("%s", count).isFalse();
                }
            }
        }
        assertThat(fewer).as("coats that may be one too many").isPositive();
    }

    @Test
    void whatACoatIsWorthIsTheThicknessThatHidesAsMuch() {
        for (Paint paint : List.of(rated("#b3261e", 0.93, 0.05), rated("#f6f4ee", 0.6, 0.2), rated("#f2c21b", 0.3, 0.08))) {
            Palette palette = new Palette(new Shelf(List.of(paint)));
            Palette.Colour colour = palette.colour(Mix.of("paint")).orElseThrow();
            Palette.Worth worth = palette.worth(Mix.of("paint"));
            double usual = colour.optics().contrastRatio(colour.dryUm());
            assertThat(colour.optics().contrastRatio(worth.low() * colour.dryUm())).isCloseTo(usual - paint.hidingSpread(), within(1e-3));
            assertThat(colour.optics().contrastRatio(worth.high() * colour.dryUm()))
                    .isCloseTo(Math.min(0.999, usual + paint.hidingSpread()), within(2e-3));
            assertThat(worth.low()).isLessThan(1);
            assertThat(worth.high()).isGreaterThan(1);
        }
        Palette two = new Palette(
                new Shelf(List.of(rated("#b3261e", 0.93, 0), Paints.brush("other", "#1f4e9c", 0.95).withHiding(0.95, 0))));
        Mix mix = new Mix(List.of(new Mix.Part("paint", 1), new Mix.Part("other", 2)));
        assertThat(two.worth(mix)).as("two measured paints").isEqualTo(Palette.Worth.SURE);
        assertThatThrownBy(() -> two.worth(Mix.of("gone"))).isInstanceOf(IllegalArgumentException.class);
    }
}
