package mosspebble.app.sketch;

import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import mosspebble.app.screen.Panel;
import mosspebble.core.project.Tracing;

/** What lies on the tracing paper, and the way to lay it on the stone; not there while the paper is empty. */
final class TracingStrip extends VBox {

    TracingStrip(TracingModel model) {
        super(6);
        setId("tracing");
        getStyleClass().add("tracing-paper");
        Label what = new Label();
        what.setId("tracing-what");
        what.setWrapText(true);
        Button lay = Panel.button("tracing-lay", "Lay it on this stone", "Fitted to this face as it was to its own (Ctrl V)", model::layOn);
        lay.setMaxWidth(Double.MAX_VALUE);
        HBox.setHgrow(lay, Priority.ALWAYS);
        Button all = Panel.button("tracing-all", "all of it", "Traces everything on the face of this stone (Ctrl Shift C)",
                model::traceAll);
        Button away = Panel.button("tracing-away", "put away", "Puts the tracing paper away", model::putAway);
        TextField name = new TextField();
        name.setId("tracing-name");
        name.setPromptText("name of the tracing");
        name.setAccessibleText("Name under which the tracing is kept");
        HBox.setHgrow(name, Priority.ALWAYS);
        Runnable keep = () -> model.keep(name.getText());
        name.setOnAction(e -> {
            keep.run();
            lay.requestFocus(); // letters are keys again
        });
        HBox named = new HBox(4, name, Panel.button("tracing-keep", "keep it", "Keeps the tracing with the studio, in the library", keep));
        HBox row = new HBox(4, lay, all, away);
        row.setAlignment(Pos.CENTER_LEFT);
        getChildren().addAll(what, row, named);
        Runnable show = () -> {
            Tracing paper = model.tracingProperty().get();
            Panel.present(this, paper != null);
            name.setText(paper == null ? "" : paper.name());
            what.setText(paper == null ? "" : "On tracing paper: " + things(paper.things()) + " from " + paper.name());
        };
        model.tracingProperty().addListener((o, before, now) -> show.run());
        show.run();
    }

    private static String things(int count) {
        return count == 1 ? "one thing" : count + " things";
    }
}
