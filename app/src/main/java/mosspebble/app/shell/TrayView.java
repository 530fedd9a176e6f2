package mosspebble.app.shell;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import javafx.application.Platform;
import javafx.collections.MapChangeListener;
import javafx.collections.SetChangeListener;
import javafx.css.PseudoClass;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.ContextMenu;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.image.ImageView;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Pane;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import mosspebble.app.control.Hint;
import mosspebble.app.control.OneStop;
import javafx.scene.text.Text;
import mosspebble.app.cloth.StoneImage;
import mosspebble.app.model.Results;
import mosspebble.app.model.Workbench;
import mosspebble.app.sitting.Hairline;
import mosspebble.app.sitting.SittingModel;
import mosspebble.core.area.Grid;
import mosspebble.core.plan.PaintPlan;
import mosspebble.core.project.Project;
import mosspebble.core.stone.StoneOutline;
import mosspebble.core.words.TimetableWords;

/** All stones in hand, each in its own outline, at one common scale. */
final class TrayView extends StackPane {

    private static final PseudoClass CURRENT = PseudoClass.getPseudoClass("current");
    private static final double HIGH = 66;
    private static final double WIDE = 132;
    /** So many have their words beside them; of more the words stand below. */
    private static final int FEW = 6;
    private static final double HIGH_OF_MANY = 46;
    private static final double WIDE_OF_MANY = 116;
    /** Where the window is small they move together before one of them is out of sight. */
    private static final double NARROW = 98;
    private static final double GAP = 4;
    private static final double LINE = 96;
    private static final String NEW = "+ New stone";
    /** What is beside the stones and the words of the button, and beside the stones and a bare plus, px. */
    private static final double BESIDE_WORDS = 66;
    private static final double BESIDE_PLUS = 96;

    private final Workbench workbench;
    private final Results show;
    private final SittingModel sitting;
    private final HBox stones = new HBox(GAP);
    private final OneStop stop = OneStop.in(stones);
    private final ScrollPane scroll = new ScrollPane();
    private final Map<String, Button> buttons = new LinkedHashMap<>();
    private final Map<String, Seen> seen = new HashMap<>();
    private final MoreLikeIt more;
    private final Button plus = new Button(NEW);
    private double wide = WIDE_OF_MANY;

    TrayView(Workbench workbench, Results show, SittingModel sitting, MoreLikeIt more, Runnable add) {
        this.more = more;
        this.workbench = workbench;
        this.sitting = sitting;
        this.show = show;
        setId("tray");
        getStyleClass().add("tray");
        stones.setAlignment(Pos.CENTER_LEFT);
        plus.setId("new-stone");
        plus.getStyleClass().addAll("pebble", "tray-add");
        Hint.on(plus, "Put another stone on the cloth (N)");
        plus.setAccessibleText("New stone");
        plus.setOnAction(e -> add.run());
        scroll.setContent(stones);
        scroll.setFitToHeight(true);
        scroll.setVbarPolicy(ScrollPane.ScrollBarPolicy.NEVER);
        scroll.setHbarPolicy(ScrollPane.ScrollBarPolicy.NEVER);
        stones.setOnScroll(e -> scroll.setHvalue(scroll.getHvalue()
                - (e.getDeltaY() + e.getDeltaX()) / Math.max(1, 2 * (stones.getWidth() - scroll.getViewportBounds().getWidth()))));
        scroll.getStyleClass().add("tray-scroll");
        BorderPane both = new BorderPane(scroll);
        BorderPane.setAlignment(plus, Pos.CENTER);
        both.setRight(plus);
        getChildren().add(both);
        widthProperty().addListener((o, a, b) -> shorten());
        plus.fontProperty().addListener((o, a, b) -> shorten());
        scroll.viewportBoundsProperty().addListener((o, before, now) -> {
            if (many() && Math.abs(wide() - wide) >= 1) {
                fill();
            }
        });
        show.thumbs().addListener((MapChangeListener<String, Results.Thumb>) change -> fill());
        show.troubled().addListener((SetChangeListener<String>) change -> fill());
        workbench.studioProperty().addListener((o, a, b) -> fill());
        sitting.nowProperty().addListener((o, a, b) -> buttons.forEach(this::dry));
        sitting.follow(this::fill);
        workbench.shownProperty().addListener((o, a, b) -> {
            if (!Objects.equals(a == null ? null : a.id(), b == null ? null : b.id())) {
                fill();
            }
        });
        fill();
    }

    private boolean many() {
        return workbench.studio().projects().size() > FEW;
    }

    /** Width of each of many: all of them side by side, where there is room for that. */
    private double wide() {
        int count = workbench.studio().projects().size();
        double room = scroll.getViewportBounds().getWidth();
        return room <= 0 ? WIDE_OF_MANY : Math.max(NARROW, Math.min(WIDE_OF_MANY, Math.floor((room - (count - 1) * GAP) / count)));
    }

    /** With large words a plus is enough where that leaves room for all stones. */
    private void shorten() {
        Text words = new Text(NEW);
        words.setFont(plus.getFont());
        int count = workbench.studio().projects().size();
        double room = getWidth() - count * NARROW - (count - 1) * GAP;
        boolean plusOnly = getWidth() > 0 && room < words.getLayoutBounds().getWidth() + BESIDE_WORDS && room >= BESIDE_PLUS;
        plus.setText(plusOnly ? "+" : NEW);
    }

    private double line() {
        return many() ? Math.min(LINE, wide - 20) : LINE;
    }

    /** Pixels per mm at which every stone fits. */
    private double scale() {
        double scale = 1;
        double high = many() ? HIGH_OF_MANY : HIGH;
        for (Project project : workbench.studio().projects()) {
            StoneOutline outline = StoneOutline.of(project.stone());
            scale = Math.min(scale,
                    Math.min(high / (2 * outline.halfHeight()), (many() ? wide - 20 : WIDE) / (2 * outline.halfWidth())));
        }
        return scale;
    }

    /** Brings the tray up to date; a stone that stays keeps its button, and with it pointer and focus. */
    private void fill() {
        shorten();
        wide = wide();
        double scale = scale();
        List<Node> wanted = new ArrayList<>();
        for (Project project : workbench.studio().projects()) {
            Button button = buttons.computeIfAbsent(project.id(), this::button);
            show(button, project, scale);
            wanted.add(button);
        }
        buttons.values().retainAll(wanted);
        seen.keySet().retainAll(buttons.keySet());
        workbench.shown().map(p -> buttons.get(p.id())).ifPresent(this::bringIntoView);
        getStyleClass().remove("tray-small");
        if (many()) {
            getStyleClass().add("tray-small");
        }
        if (!stones.getChildren().equals(wanted)) {
            stones.getChildren().setAll(wanted);
        }
        workbench.shown().map(p -> buttons.get(p.id())).ifPresent(stop::at);
    }

    /** Moves the tray so that a stone can be seen whole. */
    private void bringIntoView(Button button) {
        Platform.runLater(() -> {
            double room = scroll.getViewportBounds().getWidth();
            double hidden = stones.getWidth() - room;
            if (hidden > 0 && button.getParent() == stones) {
                double left = button.getBoundsInParent().getMinX();
                double right = button.getBoundsInParent().getMaxX();
                double from = scroll.getHvalue() * hidden;
                double to = left < from ? left - 8 : right > from + room ? right - room + 8 : from;
                scroll.setHvalue(Math.max(0, Math.min(1, to / hidden)));
            }
        });
    }

    private Button button(String id) {
        Button button = new Button();
        button.setId("tray-" + id);
        button.getStyleClass().add("tray-stone");
        button.setOnAction(e -> workbench.choose(id));
        button.setOnContextMenuRequested(e -> {
            ContextMenu menu = more.menu(id);
            menu.show(button, e.getScreenX(), e.getScreenY());
            e.consume();
        });
        return button;
    }

    /** What tells in the tray that a stone dries, and what stands there else. */
    private record Drying(Label words, StackPane line, String otherwise) {}

    /** Brings the hairline of a stone up to the clock. */
    private void dry(String id, Button button) {
        Drying in = (Drying) button.getUserData();
        if (in == null) {
            return;
        }
        Optional<SittingModel.Drying> drying = sitting.drying(id);
        in.line.setVisible(drying.isPresent());
        in.words.setText(drying.map(d -> TimetableWords.dry(d.until(), sitting.nowProperty().get(), sitting.zone())).orElse(in.otherwise));
        drying.ifPresent(d -> Hairline.fill(in.line, d.share(sitting.nowProperty().get()), line()));
    }

    /** What is seen of a stone; its picture by identity. */
    private record Seen(Results.Thumb thumb, List<Object> rest) {
        boolean same(Seen other) {
            return other != null && thumb == other.thumb && rest.equals(other.rest);
        }
    }

    private void show(Button button, Project project, double scale) {
        Results.Thumb thumb = show.thumbs().get(project.id());
        String state = show.troubled().contains(project.id()) ? "cannot be worked out" : "being planned";
        String told = state;
        if (thumb != null) {
            PaintPlan plan = thumb.plan();
            state = plan.steps().isEmpty() ? "no subject yet"
                    : TimetableWords.ready(sitting.ready(plan), plan.readyAfter(), sitting.zone());
            told = plan.steps().isEmpty() || wide >= WIDE_OF_MANY ? state
                    : TimetableWords.readyShortly(sitting.ready(plan), plan.readyAfter(), sitting.zone());
        }
        Seen now = new Seen(thumb, List.of(project.name(), project.habits().light().from(), state, told, many(), wide, scale));
        if (!now.same(seen.put(project.id(), now))) {
            draw(button, project, thumb, scale, state, told);
        }
        dry(project.id(), button);
        button.pseudoClassStateChanged(CURRENT, workbench.shown().filter(p -> p.id().equals(project.id())).isPresent());
    }

    private void draw(Button button, Project project, Results.Thumb thumb, double scale, String state, String told) {
        StackPane picture = new StackPane();
        picture.setMinSize(60, (many() ? HIGH_OF_MANY : HIGH) + 4);
        picture.setPrefHeight((many() ? HIGH_OF_MANY : HIGH) + 4);
        if (thumb != null) {
            ImageView image = new ImageView(StoneImage.still(thumb.lit()));
            Grid grid = thumb.picture().terrain().grid();
            image.setFitWidth(grid.columns() * grid.cellMm() * scale);
            image.setFitHeight(grid.rows() * grid.cellMm() * scale);
            image.setSmooth(true);
            picture.getChildren().add(image);
        }
        Label name = new Label(project.name());
        name.getStyleClass().add("tray-name");
        Label waits = new Label(told);
        waits.getStyleClass().add("tray-state");
        StackPane line = Hairline.of(line());
        VBox words = new VBox(0, name, waits, line);
        words.setAlignment(many() ? Pos.CENTER : Pos.CENTER_LEFT);
        Pane all = many() ? new VBox(0, picture, words) : new HBox(10, picture, words);
        if (all instanceof HBox row) {
            row.setAlignment(Pos.CENTER_LEFT);
        }
        name.setMaxWidth(many() ? wide - 8 : Double.MAX_VALUE);
        name.setAlignment(many() ? Pos.CENTER : Pos.CENTER_LEFT);
        button.setPrefWidth(many() ? wide : Region.USE_COMPUTED_SIZE);
        button.setGraphic(all);
        button.setAccessibleText(project.name() + ", " + state);
        Hint.on(button, "Put " + project.name() + " on the cloth");
        button.setUserData(new Drying(waits, line, told));
    }
}
