package mosspebble.app.control;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;

class TextSizeTest {

    @Test
    void onlyRulesAboutWordsAndTheRoomForThemGrowAndWhatIsLargeByHalf() {
        String sheet = """
                /* words { -fx-font-size: 3px; } */
                .quiet { -fx-text-fill: red; -fx-font-size: 12px; }
                .clock { -fx-font-size: 12px; -fx-min-width: 40 }
                .count { -fx-font-size: 64px; }
                .work-sentence { -fx-font-size: 22px; }
                .dab { -fx-min-width: 27; }
                .tray { -fx-min-height: 100; -fx-padding: 6 12 4 16; }
                """;
        assertThat(TextSize.larger(sheet, 1.5)).isEqualTo("""
                .quiet { -fx-font-size: 18.0px; }
                .clock { -fx-font-size: 18.0px; -fx-min-width: 60.0px; }
                .count { -fx-font-size: 80.0px; }
                .tray { -fx-min-height: 150.0px; }
                """);
    }
}
