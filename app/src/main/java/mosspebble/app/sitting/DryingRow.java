package mosspebble.app.sitting;

import java.time.Instant;
import java.util.Comparator;
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
    private static final double GAP = 18;
    private static final double MARGIN = 40;
    /** Of more than these only the time is told, not how late it may be. */
    private static final int FEW = 5;

    private final SittingModel model;
    private final Results results;
    private List<String> shown;
    private double wide;

    DryingRow(SittingModel model, Results results) {
        super(GAP);
        this.model = model;
        this.results = results;
        setId("drying");
        getStyleClass().add("drying");
        setAlignment(Pos.CENTER_LEFT);
        setMinHeight(58);
        setMinWidth(0);
    }

    void refresh() {
        List<String> now = results.thumbs().keySet().stream().filter(id -> model.drying(id).isPresent())
                .sorted(Comparator.comparing(id -> model.drying(id).orElseThrow().until())).toList();
        double room = getScene() == null ? WIDE : (getScene().getWidth() - MARGIN - GAP * (now.size() - 1)) / Math.max(1, now.size());
        double each = Math.min(WIDE, room);
        if (!now.equals(shown) || each != wide) {
            shown = now;
            wide = each;
            getChildren().setAll(now.stream().map(this::entry).toList());
            if (now.isEmpty()) {
                getChildren().setAll(Panel.quiet("Nothing is drying."));
            }
        }
        for (int i = 0; i < now.size(); i++) {
            Optional<SittingModel.Drying> drying = model.drying(now.get(i));
            VBox entry = (VBox) getChildren().get(i);
            if (drying.isPresent()) {
                SittingModel.Drying dries = drying.get();
                Instant at = model.nowProperty().get();
                ((Label) entry.getChildren().get(2)).setText(now.size() > FEW ? TimetableWords.dry(dries.until(), at, model.zone())
                        : TimetableWords.dry(dries.until(), dries.latest(), at, model.zone()));
                Hairline.fill((StackPane) entry.getChildren().get(1), dries.share(at), wide);
            }
        }
    }

    private VBox entry(String stone) {
        Label name = new Label(model.name(stone));
        name.setMaxWidth(wide);
        VBox box = new VBox(3, name, Hairline.of(wide), Panel.quiet(""));
        box.setId("drying-" + stone);
        box.setPrefWidth(wide);
        box.setMinWidth(0);
        return box;
    }
}
