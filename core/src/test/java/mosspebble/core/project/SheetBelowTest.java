package mosspebble.core.project;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;

class SheetBelowTest {

    private static final SheetBelow LYING = new SheetBelow("owl", false, 1, 2, 170, 80, true, "/9j/");

    @Test
    void itIsMovedTurnedAndSizedAboutItsMiddle() {
        SheetBelow moved = LYING.movedBy(3, -5).turnedBy(20).sizedBy(1.5);
        assertThat(moved.x()).isEqualTo(4);
        assertThat(moved.y()).isEqualTo(-3);
        assertThat(moved.turn()).as("170 and 20 are the same as -170").isCloseTo(-170, within(1e-9));
        assertThat(moved.wideMm()).isEqualTo(120);
        assertThat(moved.jpeg()).isSameAs(LYING.jpeg());
        assertThat(LYING.withShown(false).shown()).isFalse();
    }

    @Test
    void theHandCannotMoveOrSizeItOutOfBoundsAndAFileIsRefused() {
        assertThat(LYING.movedBy(1e9, -1e9).x()).isEqualTo(3000);
        assertThat(LYING.sizedBy(1e9).wideMm()).isEqualTo(5000);
        assertThat(LYING.sizedBy(1e-9).wideMm()).isEqualTo(2);
        assertThatThrownBy(() -> new SheetBelow("owl", false, Double.NaN, 0, 0, 80, true, "x")).hasMessageContaining("within 3 m");
        assertThatThrownBy(() -> new SheetBelow("owl", false, 0, 0, 0, 0, true, "x")).hasMessageContaining("2 mm to 5 m");
        assertThatThrownBy(() -> new SheetBelow("owl", false, 0, 0, 0, 80, true, "")).hasMessageContaining("something to see");
    }

    @Test
    void everyFaceOfEveryStoneHasAnIdOfItsOwn() {
        assertThat(new String[] {SheetBelow.id("owl", false), SheetBelow.id("owl", true), SheetBelow.id("stone-1", false)})
                .doesNotHaveDuplicates().allMatch(id -> id.matches("own-[a-z0-9-]{1,50}"));
    }
}
