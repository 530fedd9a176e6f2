package mosspebble.app.model;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Comparator;
import java.util.List;
import org.junit.jupiter.api.Test;

class ActionTest {

    private static final List<Action> ALL = List.of(Action.of("Write guide and step cards (PDF)", () -> {}).also("print", "paper"),
            Action.of("Print guide and step cards", () -> {}).also("paper", "printer"),
            Action.of("Sketch: take it away", () -> {}).also("delete", "remove"), Action.of("Next step", () -> {}),
            Action.of("Look closer at the stone", () -> {}).also("zoom", "enlarge"));

    private static List<String> found(String words) {
        return ALL.stream().filter(a -> a.isFoundBy(words)).sorted(Comparator.comparingInt(a -> -a.fit(words))).map(Action::name).toList();
    }

    @Test
    void whatBeginsWithItComesFirstThenWordStartsThenOtherWordsForIt() {
        assertThat(found("print")).startsWith("Print guide and step cards").contains("Write guide and step cards (PDF)").hasSize(2);
        assertThat(found("step")).as("a word of each").hasSize(3);
        assertThat(ALL.get(3).fit("next")).isEqualTo(4);
        assertThat(ALL.get(3).fit("step")).isEqualTo(3);
        assertThat(ALL.get(2).fit("delete")).isEqualTo(2);
        assertThat(ALL.get(4).fit("loser")).as("in the middle of a word").isEqualTo(1);
        assertThat(ALL.get(4).fit("zoom in")).isZero();
        assertThat(found("cards guide")).as("in any order").hasSize(2);
    }

    @Test
    void whatIsMistypedLooksLikeWhatWasMeant() {
        assertThat(found("sketsh")).isEmpty();
        assertThat(ALL.stream().max(Comparator.comparingDouble(a -> a.likeness("sketsh"))).orElseThrow().name()).startsWith("Sketch");
        assertThat(ALL.get(4).likeness("zoon")).isGreaterThan(0.5);
        assertThat(ALL.get(4).likeness("qqq")).isZero();
        assertThat(ALL.get(4).likeness("")).isZero();
    }
}
