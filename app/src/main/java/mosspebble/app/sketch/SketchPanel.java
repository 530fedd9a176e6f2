package mosspebble.app.sketch;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.SimpleObjectProperty;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ToggleButton;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
import mosspebble.app.control.Hint;
import mosspebble.app.control.Choice;
import mosspebble.app.control.OneStop;
import mosspebble.app.model.Results;
import mosspebble.app.model.Workbench;
import mosspebble.app.screen.PagePlace;
import mosspebble.app.screen.Panel;
import mosspebble.core.project.Project;
import mosspebble.core.sketch.Item;
import mosspebble.core.sketch.Sketch;
import mosspebble.core.sketch.Subject;

/** The things on the stone, and of the one in hand what it is, how it lies, and its parts. */
public final class SketchPanel extends Panel {

    /** What is looked at of the thing in hand. */
    public enum Page {
        ITSELF("What it is"), LIES("How it lies"), WHERE("Where"), PARTS("Parts");

        private final String label;

        Page(String label) {
            this.label = label;
        }

        public String label() {
            return label;
        }
    }

    /** A page each; what a thing itself is has one by what it is. */
    private enum Leaf {
        FIGURE, WORD, DOTS, PATTERN, STROKE, GUIDE, LIES, WHERE, PARTS
    }

    /** Letters of a thing's name, if others lie beside it and if not. */
    private static final int SEVERAL_LETTERS = 16;
    private static final int ALONE_LETTERS = 24;
    private static final double EMPTY_WIDE = 262;

    private final SketchModel sketch;
    private final Runnable openLibrary;
    private final ObjectProperty<Page> page = new SimpleObjectProperty<>(Page.ITSELF);
    private final PagePlace<Leaf> place;

    /** What the column works with. */
    record Models(SketchModel sketch, TracingModel tracing, SheetModel sheets) {}

    /**
     * @param openLibrary opens the library
     * @param goBy asks for a picture to go by
     */
    SketchPanel(Workbench workbench, Results show, Models models, Runnable openLibrary, Runnable goBy) {
        super(workbench, show);
        this.sketch = models.sketch;
        this.openLibrary = openLibrary;
        place = placeFor(List.of(Leaf.values()), leaf -> switch (leaf) {
            case FIGURE -> new FigurePage(this, sketch);
            case WORD -> new WordPage(this, sketch);
            case DOTS -> new DotsPage(this, sketch);
            case PATTERN -> new PatternPage(this, sketch);
            case STROKE -> new StrokePage(this, sketch);
            case GUIDE -> new GuidePage(this, sketch);
            case LIES -> new LiesPage(this, sketch);
            case WHERE -> new WherePage(this, sketch);
            case PARTS -> new PartsPage(this, sketch);
        });
        Button add = button("thing-add", "Add …", "Something from the library, in front of the others (A)", this::add);
        add.getStyleClass().add("main");
        ToggleButton pencil = new ToggleButton("Pencil");
        pencil.setId("pencil");
        pencil.getStyleClass().add("pebble");
        Hint.on(pencil, "Draw on the stone by hand (Q); Escape lays it down");
        pencil.selectedProperty().bindBidirectional(sketch.pencilProperty());
        Button picture = button("sheet-bring", "Go by …", "A drawing or photo of yours, faint on the stone, to go by with the pencil",
                goBy);
        picture.setMinWidth(Region.USE_PREF_SIZE);
        pencil.setMinWidth(Region.USE_PREF_SIZE);
        HBox begin = new HBox(4, add, pencil, picture);
        begin.setAlignment(Pos.CENTER_LEFT);
        add.setMinWidth(Region.USE_PREF_SIZE);
        besideTitle(begin);
        Choice<Subject.Becomes> becomes = new Choice<>("The next stroke becomes", sketch.becomesProperty()::set);
        becomes.option("draws-line", "a line", Subject.Becomes.LINE, "A pen line")
                .option("draws-area", "an area", Subject.Becomes.AREA, "Filled, its end joined to its start")
                .option("draws-dots", "dots", Subject.Becomes.DOTS, "Equal dots along the stroke")
                .option("draws-guide", "a guide", Subject.Becomes.GUIDE, "A pencil line that is never painted");
        sketch.becomesProperty().addListener((o, a, b) -> becomes.show(b));
        becomes.show(sketch.becomesProperty().get());
        FlowPane things = new FlowPane(4, 4);
        things.setId("things");
        OneStop.in(things);
        HBox manage = new HBox(4, small("thing-twin", "twin", "The same again beside it (D)", sketch::twin),
                small("thing-trace", "trace", "Takes it on tracing paper, to be laid on another stone (Ctrl C)",
                        models.tracing::traceThing),
                small("thing-mirror", "mirror", "Left and right exchanged (M)", sketch::mirror),
                small("thing-forward", "▲", "Nearer the front (K)", () -> sketch.order(1)),
                small("thing-back", "▼", "Farther back (J)", () -> sketch.order(-1)),
                small("thing-away", "take away", "Takes the thing in hand off the stone (Delete)", sketch::takeAway));
        OneStop.in(manage);
        Choice<Page> pages = Choice.pages(page::set);
        for (Page p : Page.values()) {
            pages.option("sketch-" + p.name().toLowerCase(Locale.ROOT), p.label, p, switch (p) {
                case ITSELF -> "The subject and what can be set of it";
                case LIES -> "Size, fit, pairs, what is left free";
                case WHERE -> "On the stone's middle lines and marks; several of it, groups";
                case PARTS -> "Its parts, and whether each can be painted";
            });
        }
        TracingStrip tracing = new TracingStrip(models.tracing);
        getChildren().addAll(becomes, new SheetStrip(models.sheets), tracing, things, manage, pages, place);
        page.addListener((o, a, b) -> refresh());
        workbench.itemProperty().addListener((o, a, b) -> refresh());
        sketch.pencilProperty().addListener((o, a, b) -> refresh());
        onRefresh(() -> {
            Optional<Item> item = workbench.itemInHand();
            chips(things, item);
            present(becomes, sketch.pencilProperty().get());
            present(manage, item.isPresent());
            present(pages, item.isPresent());
            pages.show(page.get());
            boolean several = project().flatMap(Project::sketch).filter(s -> s.items().size() > 1).isPresent();
            manage.getChildren().get(3).setDisable(!several);
            manage.getChildren().get(4).setDisable(!several);
            item.ifPresentOrElse(i -> place.show(leaf(i)), place::clear);
        });
    }

    public ObjectProperty<Page> pageProperty() {
        return page;
    }

    private static Button small(String id, String words, String tooltip, Runnable action) {
        Button button = button(id, words, tooltip, action);
        button.getStyleClass().add("tight");
        button.setMinWidth(Region.USE_PREF_SIZE);
        button.setAccessibleText(tooltip);
        return button;
    }

    private Leaf leaf(Item item) {
        return switch (page.get()) {
            case LIES -> Leaf.LIES;
            case WHERE -> Leaf.WHERE;
            case PARTS -> Leaf.PARTS;
            case ITSELF -> item.subject().match(f -> Leaf.FIGURE, w -> Leaf.WORD, d -> Leaf.DOTS, p -> Leaf.PATTERN, s -> Leaf.STROKE,
                    g -> Leaf.GUIDE);
        };
    }

    /** Opens the library for one more thing. */
    public void add() {
        sketch.choosingProperty().set(SketchModel.Choosing.ADD);
        openLibrary.run();
    }

    /** Opens the library for another thing in the place of the one in hand. */
    public void exchange() {
        sketch.choosingProperty().set(SketchModel.Choosing.EXCHANGE);
        openLibrary.run();
    }

    /** One chip for each thing, the front one first. */
    private void chips(FlowPane things, Optional<Item> inHand) {
        things.getChildren().clear();
        List<Item> items = project().flatMap(Project::sketch).map(Sketch::items).orElse(List.of());
        for (int k = items.size() - 1; k >= 0; k--) {
            Item item = items.get(k);
            String title = sketch.title(item);
            int most = items.size() > 1 ? SEVERAL_LETTERS : ALONE_LETTERS;
            ToggleButton chip = new ToggleButton((items.size() > 1 ? items.size() - k + "  " : "")
                    + (title.length() > most ? title.substring(0, most - 1).strip() + "…" : title)
                    + (item.group().isPresent() ? " ∞" : ""));
            chip.setId("thing-" + k);
            chip.getStyleClass().add("pebble");
            Hint.on(chip, title + (item.group().isPresent() ? ", in a group" : "") + "; 1 is in front");
            chip.setSelected(inHand.filter(i -> i.id().equals(item.id())).isPresent());
            chip.setOnAction(e -> {
                workbench.itemProperty().set(item.id());
                refresh();
            });
            things.getChildren().add(chip);
        }
        if (items.isEmpty()) {
            Label empty = quiet("Nothing on the stone yet. Add a character, a scene, words or a pattern: it is fitted to the face.");
            empty.setPrefWidth(EMPTY_WIDE); // a flow asks its children how wide they would like to be
            things.getChildren().add(empty);
        }
    }
}
