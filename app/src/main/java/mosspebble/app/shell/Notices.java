package mosspebble.app.shell;

import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ProgressBar;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import mosspebble.app.control.Late;
import mosspebble.app.model.FileWork;
import mosspebble.app.model.Workbench;
import mosspebble.app.screen.Panel;

/** What the painter should know, over the middle of the window: what is not kept yet, what is being read, what was just said. */
final class Notices extends VBox {

    private static final double WIDE = 660;

    /** @param closing whether the window is to close and waits for what is not kept */
    Notices(Workbench workbench, FileWork files, Runnable saveCopy, Runnable showLog, Runnable closeAnyway) {
        setSpacing(6);
        setAlignment(Pos.TOP_CENTER);
        setMaxSize(WIDE, Region.USE_PREF_SIZE);
        setPickOnBounds(false);
        setTranslateY(14);

        Label unkept = words("unkept");
        unkept.textProperty().bind(workbench.unkeptProperty());
        Button again = Panel.button("keep-again", "Try now", "Try again to keep what is in hand", workbench::keepAgain);
        Button copy = Panel.button("unkept-copy", "Save a copy elsewhere …", "Write all that is in hand into another file", saveCopy);
        Button anyway = Panel.button("close-anyway", "Close without it", "Close the window; what is not kept is lost", closeAnyway);
        anyway.managedProperty().bind(anyway.visibleProperty());
        anyway.setVisible(false);
        VBox unkeptBand = band("unkept-band", unkept, row(again, copy, anyway));
        workbench.unkeptProperty().addListener((o, a, b) -> anyway.setVisible(anyway.isVisible() && !b.isEmpty()));
        Panel.present(unkeptBand, !workbench.unkeptProperty().get().isEmpty());
        workbench.unkeptProperty().addListener((o, a, b) -> Panel.present(unkeptBand, !b.isEmpty()));

        Label at = words("file-work");
        at.textProperty().bind(files.atProperty().concat(" …"));
        ProgressBar bar = new ProgressBar();
        bar.setMaxWidth(Double.MAX_VALUE);
        HBox.setHgrow(bar, Priority.ALWAYS);
        bar.setAccessibleText("Being read or written");
        VBox workBand = band("file-band", at,
                row(bar, Panel.button("file-stop", "Stop", "Stop; nothing is taken over (Escape)", files::stop)));
        Panel.present(workBand, false);
        files.atProperty().addListener((o, a, b) -> Panel.present(workBand, !b.isEmpty()));

        Label notice = words("notice");
        notice.textProperty().bind(workbench.noticeProperty());
        Button log = Panel.button("notice-log", "Show the log", "What the program wrote down about it", showLog);
        HBox logRow = row(log);
        logRow.managedProperty().bind(logRow.visibleProperty());
        logRow.visibleProperty().bind(workbench.noticeOfTroubleProperty());
        VBox noticeBand = band("notice-band", notice, logRow);
        Panel.present(noticeBand, false);
        workbench.noticeProperty().addListener((o, a, b) -> Panel.present(noticeBand, !b.isEmpty()));
        noticeBand.setOnMouseClicked(e -> workbench.tell(""));
        Late.in(this, unkeptBand, workBand, noticeBand);
    }

    /** Asks before the window closes over what is not kept. */
    void askBeforeClosing() {
        lookup("#close-anyway").setVisible(true);
        lookup("#close-anyway").requestFocus();
    }

    private static Label words(String id) {
        Label label = new Label();
        label.setId(id);
        label.setWrapText(true);
        return label;
    }

    private static HBox row(javafx.scene.Node... nodes) {
        HBox row = new HBox(8, nodes);
        row.setAlignment(Pos.CENTER_LEFT);
        return row;
    }

    private static VBox band(String style, Label words, HBox actions) {
        HBox.setHgrow(words, Priority.ALWAYS);
        words.setMaxWidth(Double.MAX_VALUE);
        actions.setMinWidth(Region.USE_PREF_SIZE);
        boolean below = style.equals("file-band");
        VBox band = below ? new VBox(8, words, actions) : new VBox(new HBox(14, words, actions));
        band.getStyleClass().addAll("notice", style);
        band.setMaxWidth(WIDE);
        return band;
    }
}
