package mosspebble.app.basket;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import javafx.css.PseudoClass;
import javafx.geometry.Pos;
import javafx.geometry.VPos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.image.Image;
import javafx.scene.image.ImageView;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import mosspebble.app.control.Hint;
import mosspebble.app.control.Lines;
import mosspebble.app.control.TextSize;
import mosspebble.app.cloth.StoneImage;
import mosspebble.app.model.PlanWorker;
import mosspebble.app.model.Results;
import mosspebble.app.model.Workbench;
import mosspebble.app.screen.Panel;
import mosspebble.core.advice.Suitability;
import mosspebble.core.area.Grid;
import mosspebble.core.plan.StoneState;
import mosspebble.core.project.Project;
import mosspebble.core.project.Studio;
import mosspebble.core.stone.FoundStone;
import mosspebble.core.stone.Origin;
import mosspebble.core.stone.Stone;
import mosspebble.core.units.LengthText;
import mosspebble.core.units.LengthUnit;
import mosspebble.core.words.AdviceWords;

/** The basket: every stone that waits, drawn from its measures at one common scale. */
public final class BasketView extends StackPane {

    private static final PseudoClass CURRENT = PseudoClass.getPseudoClass("current");
    /** Widths of the picture of the longest stone, px: the widest with which all stones are seen without scrolling, else the last. */
    private static final double[] WIDE = {300, 260, 220, 180, 128};
    private static final double HIGH = 0.82;
    private static final double GAP = 14;
    /** What a card has beside its picture and below it, and the table round all of them, px. */
    private static final double BESIDE = 40;
    private static final double BELOW = 30;
    /** The words of a card, of the usual size, px. */
    private static final double WORDS = 80;
    private static final double ROUND_ALL = 36;
    /** Words on a card have so much room at least, px. */
    private static final double LEAST_CARD = 160;
    private static final double COARSEST = 1.6;

    /** @param fine pixels of the image for each millimetre */
    private record Drawn(Stone stone, double fine, Image image, double widthMm, double heightMm) {}

    private final Workbench workbench;
    private final PlanWorker desk;
    private final BasketShelf shelf;
    private final FlowPane stones = new FlowPane(GAP, GAP);
    private double wide = WIDE[WIDE.length - 1];
    private final VBox empty;
    private final Map<String, Drawn> drawn = new HashMap<>();
    private final Map<String, Button> cards = new HashMap<>();
    private final Map<String, PlanWorker.Line> lines = new HashMap<>();

    public BasketView(Workbench workbench, PlanWorker desk, BasketShelf shelf) {
        this.workbench = workbench;
        this.desk = desk;
        this.shelf = shelf;
        setId("basket");
        getStyleClass().add("basket");
        stones.getStyleClass().add("basket-stones");
        ScrollPane scroll = new ScrollPane(stones);
        scroll.setFitToWidth(true);
        scroll.setHbarPolicy(ScrollPane.ScrollBarPolicy.NEVER);
        scroll.getStyleClass().add("stage-scroll");
        Label title = new Label();
        title.getStyleClass().add("empty-title");
        title.setText("Nothing in the basket");
        empty = new VBox(12, title, Panel.quiet("Stones from a photo come here; so does a stone you lay back from the tray."));
        empty.setAlignment(Pos.CENTER);
        empty.setMouseTransparent(true);
        stones.setRowValignment(VPos.TOP);
        stones.setAlignment(Pos.TOP_CENTER);
        getChildren().addAll(scroll, empty);
        workbench.studioProperty().addListener((o, a, b) -> {
            if (a.unit() != b.unit() || !a.basket().equals(b.basket())) {
                fill();
            }
        });
        shelf.proportions.addListener((o, a, b) -> fill());
        shelf.rock.addListener((o, a, b) -> fill());
        shelf.order.addListener((o, a, b) -> fill());
        shelf.chosen.addListener((o, a, b) -> fill());
        shelf.suits.addListener((o, a, b) -> fill());
        scroll.viewportBoundsProperty().addListener((o, a, b) -> {
            if (widest(shelf.shown().size()) != wide) {
                fill();
            }
        });
        fill();
    }

    /** How wide the longest stone is drawn, so that few stones fill the table and many are still told apart. */
    private double widest(int count) {
        double below = BELOW + WORDS * TextSize.of(workbench.studio());
        for (double each : WIDE) {
            double columns = Math.floor((getWidth() - ROUND_ALL + GAP) / (each + BESIDE + GAP));
            double rows = Math.ceil(count / Math.max(1, columns));
            if (columns >= 1 && rows * (each * HIGH + below + GAP) - GAP <= getHeight() - ROUND_ALL) {
                return each;
            }
        }
        return WIDE[WIDE.length - 1];
    }

    private void fill() {
        List<FoundStone> shown = shelf.shown();
        Panel.present(empty, shown.isEmpty());
        double largest = workbench.studio().basket().stream()
                .mapToDouble(f -> Math.max(f.stone().length().value(), f.stone().width().value())).max().orElse(100);
        wide = widest(shown.size());
        double scale = wide / largest;
        List<Button> wanted = shown.stream().map(f -> card(f, scale)).toList();
        if (!stones.getChildren().equals(wanted)) {
            stones.getChildren().setAll(wanted);
        }
        cards.keySet().removeIf(id -> workbench.studio().found(id).isEmpty());
    }

    /** The card of a stone, brought up to date; a stone that stays keeps its button, and with it pointer and focus. */
    private Button card(FoundStone found, double scale) {
        StackPane picture = new StackPane();
        picture.setMinSize(wide + GAP, wide * HIGH);
        Drawn ready = drawn.get(found.id());
        boolean known = ready != null && ready.stone().equals(found.stone());
        if (!known || ready.fine() < scale) {
            paint(found, Math.max(COARSEST, scale));
        }
        if (known) {
            ImageView image = new ImageView(ready.image());
            image.setFitWidth(ready.widthMm() * scale);
            image.setFitHeight(ready.heightMm() * scale);
            picture.getChildren().add(image);
        }
        LengthUnit unit = workbench.studio().unit();
        Label name = new Label(found.name());
        name.getStyleClass().add("tray-name");
        Stone stone = found.stone();
        Label size = new Lines(LengthText.number(stone.length(), unit) + " × " + LengthText.number(stone.width(), unit) + " × "
                + LengthText.format(stone.height(), unit) + ", " + stone.rock().label(),
                () -> Math.max(wide + GAP, LEAST_CARD * TextSize.of(workbench.studio())));
        size.getStyleClass().add("quiet");
        Label where = Panel.quiet(found.origin().where().isBlank() ? "place not noted" : found.origin().where());
        where.setWrapText(false);
        VBox content = new VBox(2, picture, name, size, where);
        if (found.origin().taking() == Origin.Taking.UNKNOWN || found.origin().taking() == Origin.Taking.FORBIDDEN) {
            Label ask = new Label(found.origin().taking() == Origin.Taking.UNKNOWN ? "? ask the owner" : "! bring it back");
            ask.getStyleClass().add("slip");
            content.getChildren().add(ask);
        }
        Suitability suits = shelf.suits.get().get(found.id());
        if (shelf.order.get() == BasketShelf.Order.SUBJECT && suits != null) {
            Label words = new Label(AdviceWords.word(suits) + ": " + AdviceWords.reasons(suits).get(0));
            words.getStyleClass().add("moss");
            content.getChildren().add(words);
        }
        content.getStyleClass().add("basket-card");
        Button button = cards.computeIfAbsent(found.id(), id -> {
            Button fresh = new Button();
            fresh.setId("found-" + id);
            fresh.getStyleClass().add("found");
            fresh.setOnAction(e -> shelf.chosen.set(id));
            return fresh;
        });
        button.setGraphic(content);
        button.pseudoClassStateChanged(CURRENT, Objects.equals(shelf.chosen.get(), found.id()));
        button.setAccessibleText(found.name() + ", " + size.getText());
        Hint.on(button, found.name() + ", " + size.getText() + (found.origin().note().isBlank() ? "" : ": " + found.origin().note()));
        return button;
    }

    private void paint(FoundStone found, double fine) {
        Studio studio = workbench.studio();
        desk.ask(lines.computeIfAbsent(found.id(), id -> new PlanWorker.Line()),
                d -> d.lit(Results.Moment.after(0, d.picture(d.planAside(Project.begin(found), studio), fine, StoneState.DRY), 320)),
                lit -> {
                    Grid grid = lit.moment().of().terrain().grid();
                    drawn.put(found.id(), new Drawn(found.stone(), fine, StoneImage.still(lit), grid.columns() * grid.cellMm(),
                            grid.rows() * grid.cellMm()));
                    fill();
                });
    }
}
