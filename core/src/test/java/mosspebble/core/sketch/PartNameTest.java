package mosspebble.core.sketch;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Optional;
import org.junit.jupiter.api.Test;

class PartNameTest {

    @Test
    void aNameIsTakenApartByItsRules() {
        assertThat(PartName.of("left eye")).isEqualTo(new PartName("eye", Optional.of(PartName.Side.LEFT), Optional.empty(), ""));
        assertThat(PartName.of("ray 12").stem()).isEqualTo("ray");
        assertThat(PartName.of("right leaflet 3"))
                .isEqualTo(new PartName("leaflet", Optional.of(PartName.Side.RIGHT), Optional.empty(), ""));
        assertThat(PartName.of("inside of the ear")).isEqualTo(new PartName("inside of the ear", Optional.empty(), Optional.empty(), ""));
    }

    @Test
    void lettersAreKnownByTheNamesTheyAreGiven() {
        assertThat(PartName.of(PartName.ofLetter("A", "LANTERN", false, false)).letterOf()).contains("LANTERN");
        assertThat(PartName.of(PartName.ofLetter("L", "LANTERN", true, false)).letterOf()).contains("");
        assertThat(PartName.of(PartName.ofLetter("N", "LANTERN", false, true)).letterOf()).contains("");
        assertThat(PartName.of(PartName.ofLetter("I", "I", true, true)).letterOf()).as("a line of one letter").contains("");
        assertThat(PartName.of("door in the wall").letterOf()).isEmpty();
        PartName shade = PartName.of("shade of the A in LANTERN");
        assertThat(shade.letterOf()).contains("LANTERN");
        assertThat(shade.with()).isEqualTo("shade of");
        assertThat(PartName.of("light in the last N").with()).isEqualTo("light in");
        assertThat(PartName.of("shade of the door").letterOf()).isEmpty();
    }
}
