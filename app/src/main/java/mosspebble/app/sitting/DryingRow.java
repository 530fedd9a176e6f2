package mosspebble.app.sitting;

import java.util.List;
import java.util.Optional;
import javafx.geometry.Pos;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import mosspebble.app.model.Results;
import mosspebble.app.screen.Panel;
import mosspebble.core.words.TimetableWords;

/** All that dries at the moment, each with a hairline that fills and the time from when it can be touched. */
final class DryingRow extends HBox {

    private static final double WIDE = 190;

    private final SittingModel model;
    private final Results results;
    private List<String> shown;

    DryingRow(SittingModel model, Results results) {
        super(18);
        this.model = model;
        this.results = results;
        setId("drying");
        getStyleClass().add("drying");
        setAlignment(Pos.CENTER_LEFT);
        setMinHeight(58);
    }

    void refresh() {
        List<String> now = results.thumbs().keySet().stream().filter(id -> model.drying(id).isPresent()).toList();
        if (!now.equals(shown)) {
            shown = now;
            getChildren().setAll(now.stream().map(this::entry).toList());
            if (now.isEmpty()) {
                getChildren().setAll(Panel.quiet("Nothing is drying."));
            }
        }
        for (int i = 0; i < now.size(); i++) {
            Optional<SittingModel.Drying> drying = model.drying(now.get(i));
            VBox entry = (VBox) getChildren().get(i);
            if (drying.isPresent()) {
                ((Label) entry.getChildren().get(0)).setText(model.name(now.get(i)));
                ((Label) entry.getChildren().get(2)).setText(TimetableWords.dry(drying.get().until(), drying.get().latest(),
                        model.nowProperty().get(), model.zone()));
                Hairline.fill((StackPane) entry.getChildren().get(1), drying.get().share(model.nowProperty().get()), WIDE);
            }
        }
    }

    private VBox entry(String stone) {
        Label name = new Label(model.name(stone));
        name.setMaxWidth(WIDE);
        VBox box = new VBox(3, name, Hairline.of(WIDE), Panel.quiet(""));
        box.setId("drying-" + stone);
        box.setPrefWidth(WIDE);
        return box;
    }
}
