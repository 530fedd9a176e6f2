package mosspebble.files;

import static org.assertj.core.api.Assertions.assertThat;

import java.awt.image.BufferedImage;
import java.io.InputStream;
import java.nio.file.Path;
import java.util.List;
import javax.imageio.ImageIO;
import mosspebble.core.area.Grid;
import mosspebble.core.picture.StonePicture;
import mosspebble.core.picture.StoneTerrain;
import mosspebble.core.plan.PaintPlan;
import mosspebble.core.plan.StoneState;
import mosspebble.core.project.Studio;
import mosspebble.core.stone.Survey;
import org.junit.jupiter.api.Test;

/**
 * The pictures of the demo stones as they were when they were last looked at and found good. Whoever changes them on purpose looks at them
 * and writes them anew: {@code mvn test -pl files -am -Dtest=GoldenPicturesTest -Dmosspebble.golden=write}.
 */
class GoldenPicturesTest {

    private static final int WIDE = 132;
    private static final int HIGH = 108;
    private static final List<StoneState> LOOKS = List.of(StoneState.DRY, StoneState.SEALED);
    private static final String KEPT = "golden-stones.png";

    /** Levels of 255 by which a pixel may differ, as sums in other orders round otherwise on other machines. */
    private static final int LEVELS = 10;

    private static BufferedImage drawn() {
        Studio studio = WalkPlans.STUDIO;
        BufferedImage all = new BufferedImage(WIDE * studio.projects().size(), HIGH * LOOKS.size(), BufferedImage.TYPE_INT_RGB);
        for (int k = 0; k < studio.projects().size(); k++) {
            PaintPlan plan = WalkPlans.of(studio.projects().get(k).id());
            Survey survey = plan.survey();
            double cell = 2.1 * Math.max(survey.dome().outline().halfWidth() / WIDE, survey.dome().outline().halfHeight() / HIGH);
            Grid grid = new Grid(-WIDE * cell / 2, -HIGH * cell / 2, cell, WIDE, HIGH);
            StoneTerrain terrain = StoneTerrain.of(survey, grid);
            for (int look = 0; look < LOOKS.size(); look++) {
                int[] pixels = new int[grid.cells()];
                StonePicture picture = StonePicture.of(plan, terrain, LOOKS.get(look));
                picture.draw(picture.steps(), 320, pixels);
                all.setRGB(k * WIDE, look * HIGH, WIDE, HIGH, pixels, 0, WIDE); // premultiplied: on black
            }
        }
        return all;
    }

    @Test
    void theStonesLookAsTheyDidWhenTheyWereLastLookedAt() throws Exception {
        BufferedImage now = drawn();
        if ("write".equals(System.getProperty("mosspebble.golden"))) {
            ImageIO.write(now, "png", Path.of("src/test/resources/mosspebble/files", KEPT).toFile());
        }
        BufferedImage kept;
        try (InputStream in = getClass().getResourceAsStream(KEPT)) {
            kept = ImageIO.read(in);
        }
        assertThat(now.getWidth()).isEqualTo(kept.getWidth());
        for (int k = 0; k < now.getWidth() / WIDE; k++) {
            int other = 0;
            double sum = 0;
            for (int y = 0; y < now.getHeight(); y++) {
                for (int x = k * WIDE; x < (k + 1) * WIDE; x++) {
                    int most = 0;
                    for (int shift = 0; shift < 24; shift += 8) {
                        most = Math.max(most, Math.abs((now.getRGB(x, y) >> shift & 255) - (kept.getRGB(x, y) >> shift & 255)));
                    }
                    other += most > LEVELS ? 1 : 0;
                    sum += most;
                }
            }
            assertThat(other).as("pixels of stone %s that look otherwise", k).isLessThan(WIDE * HIGH / 100);
            assertThat(sum / WIDE / now.getHeight()).as("mean difference of stone %s", k).isLessThan(0.7);
        }
    }
}
