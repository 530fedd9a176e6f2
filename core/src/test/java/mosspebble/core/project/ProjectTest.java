package mosspebble.core.project;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.Collections;
import java.util.List;
import java.util.Set;
import java.util.Map;
import java.util.Optional;
import mosspebble.core.blend.Blend;
import mosspebble.core.blend.BlendKind;
import mosspebble.core.colour.Mix;
import mosspebble.core.drying.SteadyMass;
import mosspebble.core.stone.Origin;
import mosspebble.core.stone.Stone;
import mosspebble.core.units.Millimetres;
import org.junit.jupiter.api.Test;

/** What is decided for a stone and its faces. */
class ProjectTest {

    private static final Project PLAIN = Project.begin("p", "Milestone", Stone.cobble());

    @Test
    void eachFaceKeepsItsOwnDecisionsAndTheStoneItsOwn() {
        Project front = PLAIN.withColours(Map.of("wall", Mix.of("red"))).withGround(Optional.of(Mix.of("blue")))
                .withOrder(List.of("FILL a red"))
                .withBlend("wall", Blend.of(BlendKind.GLAZE));
        Project back = front.turnedOver();
        assertThat(back.colours()).isEmpty();
        assertThat(back.ground()).isEmpty();
        assertThat(back.order()).isEmpty();
        assertThat(back.blends()).isEmpty();
        assertThat(back.sides().backUp()).isTrue();
        Project both = back.withColours(Map.of("door", Mix.of("white"))).turnedOver();
        assertThat(both.colours()).containsOnlyKeys("wall");
        assertThat(both.below().orElseThrow().colours()).containsOnlyKeys("door");
        assertThat(both.blends().get("wall").kind()).isEqualTo(BlendKind.GLAZE);
        assertThat(both.withBlend("wall", Blend.flat()).blends()).as("flat is forgotten").isEmpty();
        assertThat(both.sides().backUp()).isFalse();
        assertThat(both.stone()).isEqualTo(PLAIN.stone());
        assertThat(both.withoutBelow().below()).isEmpty();
    }

    @Test
    void turningAStoneOftenWearsNothingOff() {
        Project turned = PLAIN.turnedOver();
        Project once = turned;
        for (int i = 0; i < 20; i++) {
            once = once.turnedOver();
        }
        assertThat(once).isEqualTo(turned);
        Project higher = turned.withStone(turned.stone().withSize(turned.stone().length(), turned.stone().width(), new Millimetres(44)));
        assertThat(higher.turnedOver().stone().height()).as("what is measured on one side goes for the other")
                .isEqualTo(new Millimetres(44));
        assertThat(higher.turnedOver().turnedOver().stone()).isEqualTo(higher.stone());
    }

    @Test
    void habitsOfAFaceGoBeforeThoseOfTheStone() {
        Project own = PLAIN.withOwnHabits(true).withHabits(Habits.usual().withHand(Habits.Hand.LEFT));
        assertThat(own.habits().hand()).isEqualTo(Habits.Hand.LEFT);
        assertThat(own.turnedOver().habits().hand()).isEqualTo(Habits.Hand.RIGHT);
        assertThat(own.withOwnHabits(false).habits()).isEqualTo(Habits.usual());
        Project common = PLAIN.turnedOver().withHabits(Habits.usual().withSeal(Habits.Seal.MATT));
        assertThat(common.turnedOver().habits().seal()).isEqualTo(Habits.Seal.MATT);
    }

    @Test
    void theEdgeIsOneForBothFaces() {
        Edge edge = new Edge(Optional.of(Mix.of("blue")), List.of(new Edge.Band(2, 3, Mix.of("white"))));
        Project project = PLAIN.withEdge(edge);
        assertThat(project.turnedOver().edge()).isEqualTo(edge);
        assertThat(edge.withGround(Optional.empty()).isPainted()).isTrue();
        assertThat(edge.withGround(Optional.empty()).withBands(List.of())).isEqualTo(Edge.BARE);
        assertThat(PLAIN.edge().isPainted()).isFalse();
        assertThat(PLAIN.paintedBelow()).isFalse();
    }

    @Test
    void nonsenseIsRefusedWithWhatIsAllowed() {
        assertThatThrownBy(() -> PLAIN.withName(" ", "")).hasMessageContaining("1 to " + Project.LONGEST);
        assertThatThrownBy(() -> PLAIN.withName("a", "x".repeat(Project.LONGEST + 1))).hasMessageContaining("purpose");
        assertThatThrownBy(() -> PLAIN.withWeighings(Collections.nCopies(Project.MOST_WEIGHINGS + 1, new SteadyMass.Weighing(1, 100))))
                .hasMessageContaining(String.valueOf(Project.MOST_WEIGHINGS));
        assertThatThrownBy(() -> PLAIN.withOrder(Collections.nCopies(2001, "FILL a red"))).hasMessageContaining("2000");
        assertThatThrownBy(() -> new Edge(Optional.empty(), Collections.nCopies(Edge.MOST + 1, new Edge.Band(0, 3, Mix.of("white")))))
                .hasMessageContaining("at most " + Edge.MOST);
        assertThatThrownBy(() -> new Edge.Band(0, Double.NaN, Mix.of("white"))).hasMessageContaining("0.3 to 60 mm");
        assertThatThrownBy(() -> new Project.History(null, List.of(), Set.of(), List.of())).isInstanceOf(NullPointerException.class);
        assertThat(PLAIN.withOrigin(Origin.unknown()).history().weighings()).isEmpty();
    }

    @Test
    void aStandInIsMeasuredOneMeasureAfterTheOther() {
        Project standIn = Project.standIn("s", "Stone 1");
        Stone stone = standIn.stone();
        assertThat(standIn.unmeasured()).containsExactly(Stone.Measure.LENGTH, Stone.Measure.WIDTH, Stone.Measure.HEIGHT);
        assertThat(PLAIN.unmeasured()).as("a stone that was found or taken from a photo").isEmpty();

        Project longer = standIn.withStone(stone.withSize(new Millimetres(110), stone.width(), stone.height()));
        assertThat(longer.unmeasured()).containsExactly(Stone.Measure.WIDTH, Stone.Measure.HEIGHT);
        assertThat(longer.withStone(longer.stone().withWayUp(90)).unmeasured()).as("turning measures nothing")
                .isEqualTo(longer.unmeasured());
        assertThat(longer.withStone(stone).unmeasured()).as("back to the size of the stand-in").isEqualTo(longer.unmeasured());
        assertThat(longer.measured(Stone.Measure.HEIGHT).unmeasured()).as("a stone as high as the stand-in")
                .containsExactly(Stone.Measure.WIDTH);
        assertThat(longer.measured(Stone.Measure.HEIGHT).stone()).isEqualTo(longer.stone());
        assertThat(longer.turnedOver().turnedOver().unmeasured()).isEqualTo(longer.unmeasured());
        assertThat(longer.withOrigin(Origin.unknown()).withWeighings(List.of()).unmeasured()).isEqualTo(longer.unmeasured());
        assertThatThrownBy(() -> longer.unmeasured().clear()).isInstanceOf(UnsupportedOperationException.class);
    }

    @Test
    void wordsGrowByTheSizesThereAreAndNoFarther() {
        Studio.Comfort comfort = Studio.Comfort.USUAL;
        assertThat(comfort.sized(false)).isEqualTo(comfort);
        for (int percent : new int[] {125, 150, 175, 200, 200}) {
            comfort = comfort.sized(true);
            assertThat(comfort.textPercent()).isEqualTo(percent);
        }
        assertThat(comfort.sized(false).textPercent()).isEqualTo(175);
        assertThatThrownBy(() -> Studio.Comfort.USUAL.withTextPercent(240)).hasMessageContaining("100 to 200 %");
    }
}
