package mosspebble.app.control;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.StandardCharsets;
import java.util.Base64;
import mosspebble.core.project.Studio;
import mosspebble.files.LanternWalk;
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

    /** The pebbles of the path stay as large as they are, 96 px and a fifth: ten letters at 14 px are some 68 px wide. */
    @Test
    void wordsOnThePathGrowByAThirdAtMost() {
        assertThat(TextSize.larger(".path-name { -fx-font-size: 15px; }", 2)).isEqualTo(".path-name { -fx-font-size: 20.0px; }\n");
        assertThat(TextSize.larger(".path-name { -fx-font-size: 15px; }", 1)).isEqualTo(".path-name { -fx-font-size: 15.0px; }\n");
    }

    @Test
    void theSheetThatLiesOverTheUsualOneHoldsEverySizeOfWordsInIt() {
        String data = TextSize.sheet(150);
        assertThat(data).startsWith("data:text/css;base64,");
        String sheet = new String(Base64.getDecoder().decode(data.substring(data.indexOf(',') + 1)), StandardCharsets.UTF_8);
        assertThat(sheet).contains(".quiet { -fx-font-size: 18.0px; }", ".empty-title { -fx-font-size: 42.5px; }", ".jar {", ".book-card {")
                .doesNotContain("-fx-background-color", "work-sentence");
        assertThat(sheet.chars().filter(c -> c == '{').count()).as("rules about words").isGreaterThan(50);
    }

    @Test
    void whatIsDrawnByHandGrowsAlike() {
        Studio studio = LanternWalk.newcomer();
        assertThat(TextSize.of(studio)).isEqualTo(1);
        Studio large = studio.withComfort(Studio.Comfort.USUAL.withTextPercent(175));
        assertThat(TextSize.of(large)).isEqualTo(1.75);
        assertThat(TextSize.font(large, 12).getSize()).isEqualTo(21);
    }
}
