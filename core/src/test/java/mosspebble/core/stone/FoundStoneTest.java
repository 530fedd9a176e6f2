package mosspebble.core.stone;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.Optional;
import mosspebble.core.project.Project;
import mosspebble.core.sketch.ItemMode;
import mosspebble.core.sketch.Placement;
import mosspebble.core.sketch.Sketch;
import mosspebble.core.sketch.Subject;
import mosspebble.core.units.Millimetres;
import org.junit.jupiter.api.Test;

/** Stones that wait in the basket. */
class FoundStoneTest {

    private static final Origin ORIGIN = new Origin("field edge", Origin.Taking.ALLOWED, "", Optional.empty());

    @Test
    void proportionsAreToldByTheLongerSideWhicheverItIs() {
        double[][] sizes = {{100, 95}, {95, 100}, {100, 80}, {100, 60}, {60, 100}};
        String[] words = {"round", "round", "oval", "long", "long"};
        for (int i = 0; i < sizes.length; i++) {
            Stone stone = Stone.cobble().withSize(new Millimetres(sizes[i][0]), new Millimetres(sizes[i][1]), new Millimetres(30));
            assertThat(FoundStone.proportions(stone)).as("%s by %s", sizes[i][0], sizes[i][1]).isEqualTo(words[i]);
        }
    }

    @Test
    void takenUpAndLaidBackAStoneKeepsItsNameAndOriginButNotItsPicture() {
        FoundStone found = new FoundStone("f", "Round one", Stone.cobble(), ORIGIN);
        Project project = Project.begin(found)
                .withSketch(Optional.of(Sketch.of(new Subject.Figure("x"), ItemMode.ON_STONE, new Placement(0, 0, 0, 1), 0)));
        assertThat(project.origin()).isEqualTo(ORIGIN);
        assertThat(project.found()).isEqualTo(found);
        Stone larger = Stone.cobble().withSize(new Millimetres(120), new Millimetres(90), new Millimetres(40));
        assertThat(found.withStone(larger).stone()).isEqualTo(larger);
        assertThat(found.withOrigin(ORIGIN.with("beach", Origin.Taking.FORBIDDEN, "ask")).origin().taking())
                .isEqualTo(Origin.Taking.FORBIDDEN);
    }

    @Test
    void aStoneWithoutANameIsRefused() {
        assertThatThrownBy(() -> new FoundStone("f", " ", Stone.cobble(), ORIGIN)).hasMessageContaining("1 to 80 letters");
        assertThatThrownBy(() -> new FoundStone("f", "n".repeat(81), Stone.cobble(), ORIGIN)).hasMessageContaining("1 to 80 letters");
    }
}
