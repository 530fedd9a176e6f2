package mosspebble.files;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static org.assertj.core.api.Assertions.withinPercentage;

import java.util.List;
import java.util.stream.IntStream;
import mosspebble.core.colour.Xyz;
import mosspebble.core.picture.EdgePicture;
import mosspebble.core.plan.PaintPlan;
import mosspebble.core.plan.StoneState;
import mosspebble.core.project.Studio;
import mosspebble.core.units.Srgb;
import org.junit.jupiter.api.Test;

/** The unrolled edges of the demo, with the light that falls on them. */
class EdgePictureTest {

    private static final Studio DEMO = WalkPlans.STUDIO;
    private static final int COLUMNS = 700;

    private static List<PaintPlan> edged() {
        return DEMO.projects().stream().map(p -> WalkPlans.of(p.id())).filter(p -> p.edge().isPresent()).toList();
    }

    /** Mean luminance of the stone's rows from one share of the height to another. */
    private static double mean(EdgePicture picture, int steps, double from, double to) {
        int[] pixels = picture.pixels(steps);
        return IntStream.range((int) (from * picture.rows()) * COLUMNS, (int) (to * picture.rows()) * COLUMNS)
                .filter(i -> pixels[i] >>> 24 != 0).mapToDouble(i -> luminance(pixels[i])).average().orElseThrow();
    }

    private static double luminance(int argb) {
        return 0.2126 * Xyz.linear(argb >> 16 & 255) + 0.7152 * Xyz.linear(argb >> 8 & 255) + 0.0722 * Xyz.linear(argb & 255);
    }

    @Test
    void theBareEdgeIsLighterTowardTheFrontAndItselfInTheMiddle() {
        List<PaintPlan> plans = edged();
        assertThat(plans).isNotEmpty();
        for (PaintPlan plan : plans) {
            EdgePicture dry = new EdgePicture(plan, COLUMNS, StoneState.DRY);
            double front = mean(dry, 0, 0.15, 0.3);
            double middle = mean(dry, 0, 0.45, 0.55);
            double back = mean(dry, 0, 0.7, 0.85);
            assertThat(front).as(plan.project().id()).isGreaterThan(middle);
            assertThat(middle).isGreaterThan(1.1 * back);
            Srgb colour = PaintPlan.bare(plan.survey().stone(), StoneState.DRY).toSrgb();
            double own = luminance(0xFF000000 | colour.rgb());
            assertThat(middle / own).as("the colour that was measured, in the middle of %s", plan.project().id()).isCloseTo(1,
                    within(0.12));
        }
    }

    @Test
    void whatIsSealedShinesInALineAboveTheMiddleAndWhatIsDryDoesNot() {
        PaintPlan plan = edged().get(0);
        EdgePicture dry = new EdgePicture(plan, COLUMNS, StoneState.DRY);
        EdgePicture sealed = new EdgePicture(plan, COLUMNS, StoneState.SEALED);
        int last = plan.steps().size();
        double line = mean(sealed, last, 0.26, 0.34) / mean(dry, last, 0.26, 0.34);
        double below = mean(sealed, last, 0.7, 0.9) / mean(dry, last, 0.7, 0.9);
        assertThat(line).isGreaterThan(1.1 * below);
        assertThat(sealed.pixels(last)).isNotEqualTo(sealed.pixels(0));
    }

    @Test
    void theStripEndsSoftlyAndNothingLiesBeyondIt() {
        PaintPlan plan = edged().get(0);
        EdgePicture picture = new EdgePicture(plan, COLUMNS, StoneState.DRY);
        int[] pixels = picture.pixels(0);
        double mm = plan.edge().orElseThrow().lengthMm() / COLUMNS;
        double covered = 0;
        int soft = 0;
        for (int pixel : pixels) {
            covered += (pixel >>> 24) / 255.0;
            soft += pixel >>> 24 > 0 && pixel >>> 24 < 255 ? 1 : 0;
        }
        assertThat(covered * mm * mm).as("the area of the strip, mm2").isCloseTo(plan.edge().get().polygon().getArea(),
                withinPercentage(1));
        assertThat(soft).as("pixels that are partly stone, at two ends of each column").isBetween(COLUMNS, 3 * COLUMNS);
    }
}
