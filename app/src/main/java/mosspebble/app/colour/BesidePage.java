package mosspebble.app.colour;

import java.util.List;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import mosspebble.app.screen.PageView;
import mosspebble.app.screen.Panel;
import mosspebble.core.colour.ColourVision;
import mosspebble.core.advice.Neighbours;
import mosspebble.core.units.Numbers;
import mosspebble.core.units.Srgb;
import mosspebble.core.units.Words;

/** How well the neighbours of this design are told apart on this stone: dry, sealed and for all kinds of eyes. */
final class BesidePage extends PageView {

    private static final int MOST = 9;
    /** As many as are seen without scrolling. */
    private static final int FEW = 3;

    private final ColourModel colours;
    private boolean whole;

    BesidePage(ColourModel colours) {
        this.colours = colours;
        colours.apartProperty().addListener((o, a, b) -> fill(b));
    }

    @Override
    public void refresh() {
        colours.askApart();
    }

    private void fill(List<Neighbours.Apart> all) {
        getChildren().clear();
        long some = all.stream().filter(Neighbours.Apart::vanishesForSome).count();
        long vanish = all.stream().filter(Neighbours.Apart::vanishes).count();
        Label sum = new Label(all.isEmpty() ? "Nothing lies beside anything yet."
                : vanish == 0 && some == 0 ? "Every colour stands out from its neighbours, or has a line between."
                : vanish == 0 ? "Every colour stands out for usual eyes; " + some + (some == 1 ? " pair is" : " pairs are")
                        + " alike for those who lack a kind of cone."
                : vanish == 1 ? "One colour would vanish beside its neighbour."
                : vanish + " colours would vanish beside their neighbours.");
        sum.setId("beside-sum");
        sum.setWrapText(true);
        sum.getStyleClass().add(vanish == 0 ? "answer" : "problem");
        getChildren().addAll(sum, Panel.quiet("The least different first. The small pair shows them as the least able eyes see them."));
        int few = whole ? MOST : FEW;
        all.stream().limit(few).forEach(a -> getChildren().add(row(a)));
        if (all.size() > few && !whole) {
            getChildren().add(Panel.button("beside-all", "All " + Math.min(MOST, all.size()) + " pairs", "Also those that differ more",
                    () -> {
                        whole = true;
                        fill(all);
                    }));
        }
    }

    private Node row(Neighbours.Apart apart) {
        Label names = new Label(Words.upper(colours.title(apart.edge().one())) + " and " + colours.title(apart.edge().other()));
        names.setWrapText(true);
        String sealed = Math.abs(apart.sealed() - apart.dry()) > 1 ? ", sealed " + Numbers.text(apart.sealed(), 0) : "";
        Label numbers = Panel.quiet("differ by " + Numbers.text(apart.dry(), 0) + sealed
                + (apart.eyes() == ColourVision.USUAL ? "" : ", " + apart.eyes().label() + " " + Numbers.text(apart.least(), 0))
                + "; contrast "
                + Numbers.text(apart.contrast(), 1) + " : 1" + (apart.edge().outlined() ? "; a line between" : ""));
        VBox words = new VBox(0, names, numbers);
        if (apart.vanishes() || apart.vanishesForSome()) {
            Label lost = new Label(apart.vanishes() ? "vanishes: make one lighter or darker, or outline it"
                    : "alike for some eyes: a lighter or darker one, or an outline, helps");
            lost.getStyleClass().add(apart.vanishes() ? "problem" : "moss");
            lost.setWrapText(true);
            words.getChildren().add(lost);
        }
        HBox.setHgrow(words, Priority.ALWAYS);
        HBox row = new HBox(8, new VBox(2, pair(apart.first(), apart.second(), 20),
                pair(apart.eyes().seen(apart.first()), apart.eyes().seen(apart.second()), 10)), words);
        row.setAlignment(Pos.TOP_LEFT);
        return row;
    }

    private static Node pair(Srgb one, Srgb other, double high) {
        HBox pair = new HBox(half(one, high), half(other, high));
        pair.setMinWidth(44);
        return pair;
    }

    private static Region half(Srgb colour, double high) {
        Region half = new Region();
        half.setMinSize(22, high);
        half.setPrefSize(22, high);
        half.setStyle("-fx-background-color: " + colour.hex() + ";");
        return half;
    }
}
