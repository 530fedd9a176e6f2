package mosspebble.app.finish;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Supplier;
import javafx.geometry.Pos;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import mosspebble.app.control.Swatch;
import mosspebble.app.model.Results;
import mosspebble.app.model.Workbench;
import mosspebble.core.colour.Paint;
import mosspebble.core.plan.PaintPlan;
import mosspebble.core.plan.TakenOut;
import mosspebble.core.project.Project;
import mosspebble.core.supplies.Jar;
import mosspebble.core.supplies.PaintUse;
import mosspebble.core.units.Millilitres;
import mosspebble.core.words.SupplyWords;

/** The jars of what is painted with, as full as they are and as full as they will be; what runs out stands first. */
final class JarsView extends BorderPane {

    private static final double HIGH = 104;
    private static final double WIDE = 72;
    private static final double USUAL_ML = 30;

    private final Workbench workbench;
    private final Results show;
    private final Supplier<List<Project>> inTurn;
    private final FlowPane jars = new FlowPane(10, 16);
    private final Label said = new Label();
    private boolean all;
    private List<Jar> shown = List.of();

    JarsView(Workbench workbench, Results show, Supplier<List<Project>> inTurn) {
        this.inTurn = inTurn;
        this.workbench = workbench;
        this.show = show;
        setId("jars");
        getStyleClass().add("sheet-table");
        said.setId("jars-said");
        said.getStyleClass().add("sheet-title");
        said.setWrapText(true);
        ScrollPane scroll = new ScrollPane(jars);
        scroll.setFitToWidth(true);
        scroll.setHbarPolicy(ScrollPane.ScrollBarPolicy.NEVER);
        scroll.getStyleClass().add("stage-scroll");
        jars.getStyleClass().add("jars");
        setTop(said);
        setCenter(scroll);
    }

    /** @param all whether all stones in hand count, or only the one on the cloth */
    void setAll(boolean all) {
        this.all = all;
        refresh();
    }

    /** The jars as they are shown. */
    List<Jar> shown() {
        return shown;
    }

    void refresh() {
        Map<String, List<PaintUse>> stones = new LinkedHashMap<>();
        if (all) {
            for (Project project : inTurn.get()) {
                Optional.ofNullable(show.thumbs().get(project.id())).ifPresent(t -> stones.put(project.id(), still(t.plan())));
            }
        } else if (show.plan() != null) {
            stones.put(show.plan().project().id(), still(show.plan()));
        }
        List<Jar> now = Jar.of(stones);
        said.setText(SupplyWords.jars(now, workbench.studio().shelf(), this::name));
        if (!now.equals(shown) || jars.getChildren().isEmpty()) {
            shown = now;
            jars.getChildren().setAll(now.stream().map(this::jar).toList());
        }
    }

    /** What the passes take that are still to be done, and what the pots hold now. */
    private List<PaintUse> still(PaintPlan plan) {
        Map<String, Double> taken = show.takenOut();
        return new TakenOut(plan, workbench.studio().diary()).stillNeeded().stream()
                .map(u -> new PaintUse(u.paint(), u.needed(),
                        new Millilitres(Math.max(0, u.left().value() - taken.getOrDefault(u.paint(), 0.0)))))
                .toList();
    }

    private String name(String stone) {
        return workbench.studio().project(stone).map(Project::name).orElse(stone);
    }

    private VBox jar(Jar jar) {
        Optional<Paint> paint = workbench.studio().shelf().find(jar.paint());
        double full = Math.max(jar.left().value(), paint.map(p -> p.pot().full().value()).filter(f -> f > 0).orElse(USUAL_ML));
        Region glass = new Region();
        glass.getStyleClass().add("jar-glass");
        Region lid = new Region();
        lid.getStyleClass().add("jar-lid");
        Region before = level(jar.left().value() / full, "jar-before");
        Region after = level(jar.after().value() / full, "jar-after");
        paint.ifPresent(p -> {
            before.setStyle("-fx-background-color: " + p.swatch().hex() + "59;");
            after.setStyle("-fx-background-color: " + p.swatch().hex() + ";");
        });
        StackPane picture = new StackPane(glass, before, after, lid);
        picture.setMinSize(WIDE, HIGH + 10);
        picture.setMaxSize(WIDE, HIGH + 10);
        StackPane.setAlignment(before, Pos.BOTTOM_CENTER);
        StackPane.setAlignment(after, Pos.BOTTOM_CENTER);
        StackPane.setAlignment(lid, Pos.TOP_CENTER);
        Label name = new Label(paint.map(Paint::name).orElse(jar.paint()));
        name.setWrapText(true);
        name.setAlignment(Pos.CENTER);
        name.getStyleClass().add("jar-name");
        Label amount = new Label(SupplyWords.amount(jar, workbench.studio().shelf()));
        amount.getStyleClass().add(jar.runsOutAt().isPresent() ? "problem" : "unit");
        VBox box = new VBox(3, picture, name, amount);
        box.setAlignment(Pos.TOP_CENTER);
        box.setId("jar-" + jar.paint());
        box.getStyleClass().add("jar");
        box.setAccessibleText(name.getText() + ", " + amount.getText());
        return box;
    }

    private static Region level(double share, String style) {
        Region level = new Region();
        level.getStyleClass().add(style);
        double high = Math.max(0, Math.min(1, share)) * (HIGH - 6);
        level.setMinSize(WIDE - 6, high);
        level.setMaxSize(WIDE - 6, high);
        level.setTranslateY(-3);
        return level;
    }
}
