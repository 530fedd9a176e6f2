package mosspebble.app.shell;

import java.nio.file.Path;
import java.time.format.DateTimeFormatter;
import java.util.List;
import java.util.Locale;
import javafx.application.Platform;
import javafx.geometry.Insets;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.ToggleGroup;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import javafx.scene.shape.Polygon;
import mosspebble.app.screen.Panel;
import mosspebble.core.project.Project;
import mosspebble.core.project.Studio;
import mosspebble.core.stone.Stone;
import mosspebble.core.stone.StoneOutline;
import mosspebble.files.Backups;
import mosspebble.files.FileTrouble;

/** A studio that could not be opened: what, where, and the ways on: a copy put back, after a look at what is in it, or a new studio. */
public final class TroubleView extends HBox {

    private static final double WORDS = 460;
    private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("EEEE d MMMM yyyy", Locale.ENGLISH);

    /** What can be done about it. */
    public interface Ways {
        /** Begins a new studio beside it. */
        void fresh();

        /** Puts a copy in its place and opens it. */
        void restore(Backups.Copy copy);

        /** Tells off the interface thread what is in a copy, then on it. */
        void look(Backups.Copy copy, java.util.function.Consumer<Studio> found, java.util.function.Consumer<String> damaged);

        /** Tries once more to open it. */
        void again();

        /** Saves all that helps to find out. */
        void report();

        void close();
    }

    private final Ways ways;
    private final Label lookTitle = new Label();
    private final Label lookWords = Panel.quiet("");
    private final FlowPane stones = new FlowPane(14, 8);
    private final Button restore;
    private Backups.Copy chosen;

    /**
     * @param beside where a new studio would be made
     * @param copies of the studio, the newest first
     */
    public TroubleView(FileTrouble trouble, Path beside, List<Backups.Copy> copies, Ways ways) {
        this.ways = ways;
        getStyleClass().addAll("shell", "trouble");
        getStylesheets().add(TroubleView.class.getResource("/mosspebble/app/mosspebble.css").toExternalForm());
        setAlignment(Pos.CENTER);
        setSpacing(56);
        restore = Panel.button("restore", "Put this copy back",
                "It takes the place of the studio that stays closed, which is kept under another name", () -> ways.restore(chosen));
        restore.getStyleClass().add("main");
        boolean mends = !copies.isEmpty() && !trouble.passes();
        getChildren().add(what(trouble, beside, mends));
        if (mends) {
            getChildren().add(copies(copies));
        }
    }

    private VBox what(FileTrouble trouble, Path beside, boolean mends) {
        Label title = new Label("The studio stays closed");
        title.getStyleClass().add("empty-title");
        Label found = new Label(trouble.found() + " " + trouble.remedy());
        found.setId("trouble");
        found.getStyleClass().add("trouble-found");
        Label words = new Label(trouble.place());
        words.setId("trouble-place");
        words.getStyleClass().add("quiet");
        for (Label each : List.of(found, words)) {
            each.setWrapText(true);
            each.setMaxWidth(WORDS);
        }
        Button start = Panel.button("new-studio", "Start a new studio", "Made beside it as " + beside.getFileName(), ways::fresh);
        Button again = Panel.button("open-again", "Try again", "Open the same studio once more", ways::again);
        (trouble.passes() ? again : start).getStyleClass().add(mends ? "plain" : "main");
        Label where = Panel.quiet("A new studio would be made beside it as " + beside.getFileName()
                + " and opened from then on; the one that stays closed is left as it is.");
        where.setMaxWidth(WORDS);
        HBox buttons = new HBox(10, start, again, Panel.button("close", "Close", "Leave everything as it is", ways::close));
        Button report = Panel.button("report", "Save a report …", "The log and the versions, in one file", ways::report);
        report.getStyleClass().add("flat");
        VBox box = new VBox(14, title, found, words, buttons, where, report);
        box.setMaxWidth(WORDS);
        box.setAlignment(Pos.CENTER_LEFT);
        return box;
    }

    private VBox copies(List<Backups.Copy> copies) {
        VBox days = new VBox(4);
        days.setPadding(new Insets(3));
        ToggleGroup group = new ToggleGroup();
        for (Backups.Copy copy : copies) {
            ToggleButton day = new ToggleButton(words(copy));
            day.setId("copy-" + copy.file().getFileName().toString().replace(".pebble", ""));
            day.setToggleGroup(group);
            day.getStyleClass().addAll("pebble", "day");
            day.setMaxWidth(Double.MAX_VALUE);
            day.setAlignment(Pos.CENTER_LEFT);
            day.setOnAction(e -> look(copy));
            days.getChildren().add(day);
        }
        ScrollPane list = new ScrollPane(days);
        list.setFitToWidth(true);
        list.setHbarPolicy(ScrollPane.ScrollBarPolicy.NEVER);
        list.getStyleClass().add("stage-scroll");
        list.setMinWidth(264);
        list.setPrefHeight(Math.min(440, 44 * copies.size() + 12));
        list.setMaxHeight(Region.USE_PREF_SIZE);
        stones.setPrefWrapLength(310);
        lookTitle.getStyleClass().add("heading");
        lookWords.setId("copy-holds");
        VBox inside = new VBox(10, lookTitle, stones, lookWords, restore);
        inside.setPrefWidth(310);
        inside.setMaxHeight(Region.USE_PREF_SIZE);
        VBox.setVgrow(stones, Priority.ALWAYS);
        Label title = new Label("Copies kept of it");
        title.getStyleClass().add("heading");
        lookTitle.setMaxWidth(310);
        VBox left = new VBox(12, title, list);
        HBox both = new HBox(26, left, inside);
        VBox box = new VBox(both);
        box.setAlignment(Pos.CENTER_LEFT);
        box.setMaxHeight(Region.USE_PREF_SIZE);
        ((ToggleButton) days.getChildren().get(0)).setSelected(true);
        Platform.runLater(days.getChildren().get(0)::requestFocus);
        look(copies.get(0));
        return box;
    }

    private static String words(Backups.Copy copy) {
        String name = copy.file().getFileName().toString();
        return DAY.format(copy.day()) + (name.contains("before-format") ? ", before the update" : "");
    }

    private void look(Backups.Copy copy) {
        chosen = copy;
        restore.setDisable(true);
        lookTitle.setText(words(copy));
        lookWords.setText("Looking …");
        stones.getChildren().clear();
        ways.look(copy, studio -> {
            if (chosen == copy) {
                show(studio);
            }
        }, damaged -> {
            if (chosen == copy) {
                lookWords.setText(damaged);
            }
        });
    }

    private void show(Studio studio) {
        restore.setDisable(false);
        getStyleClass().remove("evening");
        if (studio.evening()) {
            getStyleClass().add("evening");
        }
        double longest = studio.projects().stream().mapToDouble(p -> Math.max(p.stone().length().value(), p.stone().width().value())).max()
                .orElse(100);
        for (Project project : studio.projects().subList(0, Math.min(12, studio.projects().size()))) {
            stones.getChildren().add(stone(project, 64 / longest));
        }
        int more = studio.projects().size() - stones.getChildren().size();
        lookWords.setText((more > 0 ? "and " + more + " more. " : "") + studio.projects().size()
                + (studio.projects().size() == 1 ? " stone" : " stones") + " in hand, " + studio.basket().size() + " in the basket, "
                + studio.shelf().paints().size() + " paints and pens.");
    }

    private static VBox stone(Project project, double scale) {
        Stone stone = project.stone();
        StoneOutline outline = StoneOutline.of(stone);
        Polygon shape = new Polygon();
        for (int i = 0; i < outline.size(); i += 4) {
            shape.getPoints().addAll(scale * outline.x(i), scale * outline.y(i));
        }
        shape.getStyleClass().add("small-stone");
        StackPane frame = new StackPane(shape);
        frame.setMinSize(72, 66);
        Label name = Panel.quiet(project.name());
        name.setPrefWidth(92);
        name.setMinHeight(32);
        name.setMaxHeight(32);
        name.setAlignment(Pos.TOP_CENTER);
        name.setTextAlignment(javafx.scene.text.TextAlignment.CENTER);
        VBox box = new VBox(2, frame, name);
        box.setAlignment(Pos.TOP_CENTER);
        box.setPrefWidth(92);
        return box;
    }
}
