package mosspebble.app.control;

import static org.assertj.core.api.Assertions.assertThat;

import javafx.scene.Node;
import javafx.scene.layout.Pane;
import javafx.scene.layout.Region;
import org.junit.jupiter.api.Test;

class LateTest {

    private static Region hidden() {
        Region region = new Region();
        region.setVisible(false);
        return region;
    }

    @Test
    void guestsTakeTheirPlacesWhenTheyAreFirstSeenAndKeepThem() {
        Pane pane = new Pane();
        Region first = hidden();
        Region second = new Region();
        Region third = hidden();
        Region fourth = hidden();
        Late.in(pane, first, second, third, fourth);
        assertThat(pane.getChildren()).containsExactly((Node) second);
        fourth.setVisible(true);
        assertThat(pane.getChildren()).containsExactly(second, fourth);
        third.setVisible(true);
        assertThat(pane.getChildren()).as("between its neighbours, whichever came first").containsExactly(second, third, fourth);
        third.setVisible(false);
        assertThat(pane.getChildren()).as("hidden again, it stays where it is").hasSize(3);
        third.setVisible(true);
        first.setVisible(true);
        assertThat(pane.getChildren()).containsExactly(first, second, third, fourth);
    }

    @Test
    void aGuestComesRightAboveWhatStoodBelowIt() {
        Pane pane = new Pane();
        Region ground = new Region();
        Region band = hidden();
        Region top = new Region();
        Late.in(pane, ground, band, top);
        Region screen = new Region();
        pane.getChildren().add(1, screen);
        band.setVisible(true);
        assertThat(pane.getChildren()).containsExactly(ground, band, screen, top);
    }
}
