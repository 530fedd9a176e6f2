package mosspebble.app.view;

import java.util.List;
import java.util.Optional;
import java.util.function.ToDoubleFunction;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.TextArea;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.Tooltip;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import mosspebble.app.model.PlanDesk;
import mosspebble.app.model.Show;
import mosspebble.app.model.Workbench;
import mosspebble.core.plan.PaintPlan;
import mosspebble.core.plan.Project;
import mosspebble.core.plan.Proposals;
import mosspebble.core.sketch.Designs;
import mosspebble.core.sketch.LargestFit;
import mosspebble.core.sketch.Item;
import mosspebble.core.sketch.Motif;
import mosspebble.core.sketch.PlacedItem;
import mosspebble.core.sketch.Placement;
import mosspebble.core.sketch.Sketch;
import mosspebble.core.sketch.Subject;
import mosspebble.core.units.LengthText;
import mosspebble.core.units.Millimetres;
import mosspebble.core.units.Numbers;
import mosspebble.core.units.UnitTextException;
import mosspebble.files.BuiltIn;

/** The subject and how it sits. */
final class SketchPanel extends Panel {

    private final PlanDesk desk;
    private final PlanDesk.Line fitting = new PlanDesk.Line();
    private final TextArea words = new TextArea();
    private final Entry dotMm;
    private final Entry gapMm;
    private final Entry insetMm;
    private final Choice<Boolean> ringRuns;
    private final Choice<Boolean> onTop;
    private final Choice<Boolean> dotColours;
    private final Label dotWords = new Label();

    SketchPanel(Workbench workbench, Show show, PlanDesk desk) {
        super(workbench, show);
        this.desk = desk;
        FlowPane things = new FlowPane(4, 4);
        things.setId("things");
        Choice<String> subject = new Choice<>("Subject", this::choose);
        for (String[] motif : BuiltIn.titles()) {
            subject.option("subject-" + motif[0], motif[1], motif[0], "Takes this for the thing in hand, fitted to the face");
        }
        subject.option("subject-word", "Words", "word", "Letters, one to four lines").option("subject-dots", "Ring of dots", "dots", "Equal dots on a circle or along the edge, a whole number of them, evenly spaced");
        dotMm = dotEntry("dot-mm", "Dots", "Width of a dot", Subject.Dots::diameterMm, (d, v) -> new Subject.Dots(v, d.gapMm(), d.insetMm(), d.dotOnTop(), d.twoColours()));
        gapMm = dotEntry("gap-mm", "Least gap", "From edge to edge of neighbours; it comes out a little larger, so that all are alike", Subject.Dots::gapMm, (d, v) -> new Subject.Dots(d.diameterMm(), v, d.insetMm(), d.dotOnTop(), d.twoColours()));
        insetMm = dotEntry("inset-mm", "In from the edge", "How far inside the edge of what is painted the ring runs", Subject.Dots::insetMm, (d, v) -> new Subject.Dots(d.diameterMm(), d.gapMm(), v, d.dotOnTop(), d.twoColours()));
        ringRuns = new Choice<>("Runs", along -> workbench.editItem("Ring of dots", i -> i.wearing(along)));
        ringRuns.option("ring-circle", "on a circle", false, "Its middle and size are moved on the cloth").option("ring-edge", "along the edge", true, "Follows the stone's own outline");
        onTop = new Choice<>("At the top", dot -> dots("Dot or gap on top", d -> new Subject.Dots(d.diameterMm(), d.gapMm(), d.insetMm(), dot, d.twoColours())));
        onTop.option("top-dot", "a dot", true, "A dot on the middle line").option("top-gap", "a gap", false, "The gap on the middle line");
        dotColours = new Choice<>("Colours", two -> dots("Colours of the dots", d -> new Subject.Dots(d.diameterMm(), d.gapMm(), d.insetMm(), d.dotOnTop(), two)));
        dotColours.option("dots-one", "one", false, "All dots alike").option("dots-two", "two in turn", true, "Every other dot has a second colour; the number is even");
        dotWords.setId("dot-words");
        dotWords.setWrapText(true);
        HBox dotSizes = new HBox(8, dotMm, gapMm, insetMm);
        for (Entry entry : new Entry[] {dotMm, gapMm, insetMm}) {
            HBox.setHgrow(entry, Priority.ALWAYS);
            entry.setPrefWidth(84);
        }
        VBox dotBox = new VBox(8, dotWords, dotSizes, ringRuns, new HBox(12, onTop, dotColours));
        Button another = button("thing-add", "+ another", "Another thing in front of the others (A)", this::another);
        Button twin = button("thing-twin", "twin", "The same again beside it (D)", this::twin);
        Button forward = button("thing-forward", "forward", "Nearer the front (K)", () -> order(1));
        Button backward = button("thing-back", "back", "Farther back (J)", () -> order(-1));
        Button away = button("thing-away", "take away", "Takes the thing in hand off the stone (Delete)", this::takeAway);
        HBox manage = new HBox(4, twin, forward, backward, away);
        words.setId("words");
        words.setPrefRowCount(2);
        words.setAccessibleText("Words, one to four lines");
        words.setTooltip(new Tooltip("One to four lines; Ctrl Enter sets them"));
        words.addEventFilter(KeyEvent.KEY_PRESSED, e -> {
            if (e.getCode() == KeyCode.ENTER && e.isControlDown()) {
                setWords();
                e.consume();
            }
        });
        words.focusedProperty().addListener((o, before, now) -> {
            if (!now) {
                setWords();
            }
        });
        Button set = button("set-words", "Set the words", "Sets the letters and fits them (Ctrl Enter)", this::setWords);
        Choice<String> face = new Choice<>("Typeface", id -> workbench.itemInHand().map(Item::subject).ifPresent(s -> {
            if (s instanceof Subject.Word word) {
                take(new Subject.Word(word.lines(), id), false);
            }
        }));
        for (String[] shipped : BuiltIn.faces()) {
            face.option("face-" + shipped[0], shipped[1], shipped[0], "Sets the words in this face and fits them again");
        }
        VBox wordBox = new VBox(6, words, set, face);
        Choice<Boolean> wearing = new Choice<>("How it sits", wear -> workbench.editItem(wear ? "Wear the stone" : "Sit on the stone", i -> i.wearing(wear)));
        wearing.option("sits-on", "on the stone", false, "Keeps its proportions").option("wears", "wears the stone", true, "Its silhouette becomes the stone's outline");
        Button fit = button("fit", "Fit to the face", "As large as the face allows, near its middle (F)", this::fit);
        fit.getStyleClass().add("main");
        fit.setMaxWidth(Double.MAX_VALUE);
        Entry high = new Entry("design-height", "High", "Height of the design, any unit", () -> number(1), text -> size(text, 1));
        Entry wide = new Entry("design-width", "Wide", "Width of the design, any unit", () -> number(0), text -> size(text, 0));
        Entry turn = new Entry("design-turn", "Turned °", "Degrees clockwise", () -> workbench.itemInHand().map(s -> Numbers.text(s.placement().turn(), 1)).orElse("–"), this::turn);
        Entry margin = new Entry("design-margin", "Margin", "Kept clear inside the face when fitting", () -> workbench.itemInHand()
                .map(s -> LengthText.number(new Millimetres(s.marginMm()), workbench.studio().unit())).orElse("–"), this::margin);
        HBox sizes = new HBox(8, wide, high);
        HBox places = new HBox(8, turn, margin);
        for (Entry entry : new Entry[] {high, wide, turn, margin}) {
            HBox.setHgrow(entry, Priority.ALWAYS);
            entry.setPrefWidth(120);
        }
        Label keys = quiet("Drag it, or on the cloth: arrows move 0.5 mm (Shift 5 mm), [ ] turn, + − size.");
        Label worn = quiet("It wears the stone: its outline is the edge of the paintable face, the inner parts keep their proportions.");
        VBox placing = new VBox(10, fit, sizes, places, keys);
        getChildren().addAll(things, manage, subject, wordBox, dotBox, wearing, placing, worn);
        workbench.itemProperty().addListener((o, a, b) -> refresh());
        onRefresh(() -> {
            Optional<Item> item = workbench.itemInHand();
            chips(things, another, item);
            present(manage, item.isPresent());
            boolean several = project().flatMap(Project::sketch).filter(s -> s.items().size() > 1).isPresent();
            present(forward, several);
            present(backward, several);
            boolean word = item.isPresent() && item.get().subject() instanceof Subject.Word;
            boolean dotted = item.isPresent() && item.get().subject() instanceof Subject.Dots;
            subject.show(item.map(s -> s.subject().match(Subject.Figure::motif, w -> "word", d -> "dots")).orElse(""));
            present(dotBox, dotted);
            item.filter(i -> dotted).ifPresent(this::showDots);
            present(wordBox, word);
            item.map(Item::subject).ifPresent(s -> face.show(s instanceof Subject.Word w ? w.typeface() : ""));
            item.filter(s -> !words.isFocused()).map(Item::subject).ifPresent(s -> words.setText(s instanceof Subject.Word w ? String.join("\n", w.lines()) : ""));
            boolean wears = motifInHand().filter(Motif::wears).isPresent();
            present(wearing, item.isPresent() && !word && !dotted && wears);
            wearing.show(item.map(Item::wearing).orElse(false));
            boolean placed = item.isPresent() && !(item.get().wearing() && wears);
            present(placing, placed);
            present(worn, item.isPresent() && !placed);
            high.refresh();
            wide.refresh();
            turn.refresh();
            margin.refresh();
        });
    }

    private interface DotChange {
        Subject.Dots to(Subject.Dots dots, double mm);
    }

    private Subject.Dots dots() {
        return workbench.itemInHand().map(Item::subject).filter(Subject.Dots.class::isInstance).map(Subject.Dots.class::cast).orElse(Subject.Dots.usual());
    }

    private void dots(String title, UnaryOperator<Subject.Dots> change) {
        workbench.editItem(title, i -> i.showing(change.apply(dots())));
    }

    private Entry dotEntry(String id, String name, String tooltip, ToDoubleFunction<Subject.Dots> get, DotChange change) {
        return new Entry(id, name, tooltip, () -> LengthText.number(new Millimetres(get.applyAsDouble(dots())), workbench.studio().unit()), text -> {
            try {
                double mm = LengthText.parse(text, workbench.studio().unit()).value();
                return tryItem(name + " of the ring", i -> i.showing(change.to(dots(), mm)));
            } catch (UnitTextException e) {
                return Optional.of(e.getMessage());
            }
        });
    }

    private void showDots(Item item) {
        dotMm.refresh();
        gapMm.refresh();
        insetMm.refresh();
        present(insetMm, item.wearing());
        ringRuns.show(item.wearing());
        onTop.show(dots().dotOnTop());
        dotColours.show(dots().twoColours());
        PaintPlan plan = show.plan();
        if (plan != null) {
            dotWords.setText(Designs.dots(item, dots(), plan.survey().zones()).map(r -> r.centres().size() + " dots, gaps of " + Numbers.text(r.gapMm(), 2) + " mm.").orElse("There is no room for a ring there."));
        }
    }

    private Optional<Motif> motifInHand() {
        return workbench.itemInHand().flatMap(i -> Optional.ofNullable(show.plan()).flatMap(PaintPlan::design).flatMap(d -> d.item(i.id())).map(PlacedItem::motif));
    }

    /** One chip for each thing, the front one first, and one to add another. */
    private void chips(FlowPane things, Button another, Optional<Item> inHand) {
        things.getChildren().clear();
        List<Item> items = project().flatMap(Project::sketch).map(Sketch::items).orElse(List.of());
        for (int k = items.size() - 1; k >= 0; k--) {
            Item item = items.get(k);
            ToggleButton chip = new ToggleButton((items.size() > 1 ? items.size() - k + "  " : "") + title(item));
            chip.setId("thing-" + k);
            chip.getStyleClass().add("pebble");
            chip.setTooltip(new Tooltip("Takes this thing in hand; 1 is in front"));
            chip.setSelected(inHand.filter(i -> i.id().equals(item.id())).isPresent());
            chip.setOnAction(e -> {
                workbench.itemProperty().set(item.id());
                refresh();
            });
            things.getChildren().add(chip);
        }
        if (!items.isEmpty()) {
            things.getChildren().add(another);
        }
    }

    private static String title(Item item) {
        return item.subject().match(f -> BuiltIn.titles().stream().filter(t -> t[0].equals(f.motif())).map(t -> t[1]).findFirst().orElse(f.motif()), w -> String.join(" ", w.lines()), d -> "Dots");
    }

    /** Another thing: the words or figure chosen next; words to begin with. */
    void another() {
        take(new Subject.Word(List.of("LANTERN"), BuiltIn.SLAB), true);
    }

    /** The same thing again, a little aside. */
    void twin() {
        workbench.itemInHand().ifPresent(item -> edit("Twin", p -> {
            Sketch sketch = p.sketch().orElseThrow();
            Sketch more = sketch.plus(item.wearing(false).at(item.placement().movedBy(8, 4)));
            Item added = more.items().get(more.items().size() - 1);
            Project changed = p.withSketch(Optional.of(more));
            String from = item.named("");
            for (var colour : p.colours().entrySet()) {
                boolean own = item.id().isEmpty() ? !colour.getKey().contains("/") : colour.getKey().startsWith(from);
                changed = own ? changed.withColour(added.named(colour.getKey().substring(from.length())), colour.getValue()) : changed;
            }
            return changed;
        }));
        project().flatMap(Project::sketch).ifPresent(s -> workbench.itemProperty().set(s.items().get(s.items().size() - 1).id()));
    }

    void order(int by) {
        workbench.itemInHand().ifPresent(item -> edit(by > 0 ? "Nearer the front" : "Farther back", p -> p.withSketch(p.sketch().map(s -> s.moved(item.id(), by)))));
    }

    void takeAway() {
        workbench.itemInHand().ifPresent(item -> edit("Take " + title(item) + " off", p -> p.withSketch(p.sketch().flatMap(s -> s.without(item.id())))));
    }

    private String number(int axis) {
        return workbench.itemInHand().map(i -> LengthText.number(new Millimetres(size(i)[axis]), workbench.studio().unit())).orElse("–");
    }

    private double[] size(Item item) {
        double scale = item.placement().scale();
        return motifInHand().map(m -> new double[] {m.sitting().getEnvelopeInternal().getWidth() * scale, m.sitting().getEnvelopeInternal().getHeight() * scale}).orElse(new double[] {0, 0});
    }

    private Optional<String> size(String text, int axis) {
        try {
            double wanted = LengthText.parse(text, workbench.studio().unit()).value();
            if (!(wanted >= 2 && wanted <= 600)) {
                return Optional.of("A design is 2 to 600 mm, was " + Numbers.shortText(wanted) + " mm.");
            }
            return tryItem("Size the design", i -> i.at(i.placement().sizedBy(wanted / size(i)[axis])));
        } catch (UnitTextException e) {
            return Optional.of(e.getMessage());
        }
    }

    private Optional<String> tryItem(String title, UnaryOperator<Item> change) {
        Optional<Item> item = workbench.itemInHand();
        return item.isEmpty() ? Optional.empty() : tryEdit(title, p -> p.withSketch(p.sketch().map(s -> s.with(item.get().id(), change))));
    }

    private Optional<String> turn(String text) {
        try {
            double degrees = Double.parseDouble(text.strip().replace("°", "").replace(',', '.'));
            return tryItem("Turn the design", i -> i.at(new Placement(i.placement().x(), i.placement().y(), degrees, i.placement().scale())));
        } catch (NumberFormatException e) {
            return Optional.of("Write degrees such as 12 or -5.");
        }
    }

    private Optional<String> margin(String text) {
        try {
            double mm = LengthText.parse(text, workbench.studio().unit()).value();
            return tryItem("Margin", i -> i.margin(mm));
        } catch (UnitTextException e) {
            return Optional.of(e.getMessage());
        }
    }

    private void choose(String id) {
        if (id.equals("dots")) {
            take(Subject.Dots.usual(), false);
        } else if (id.equals("word")) {
            take(new Subject.Word(List.of("LANTERN", "WALK"), BuiltIn.SLAB), false);
        } else {
            take(new Subject.Figure(id), false);
        }
    }

    private void setWords() {
        Optional<Subject> now = workbench.itemInHand().map(Item::subject);
        if (now.isEmpty() || !(now.get() instanceof Subject.Word word)) {
            return;
        }
        List<String> lines = words.getText().lines().map(String::strip).filter(l -> !l.isEmpty()).collect(Collectors.toList());
        if (!lines.equals(word.lines())) {
            try {
                take(new Subject.Word(lines, word.typeface()), false);
            } catch (IllegalArgumentException e) {
                workbench.tell(e.getMessage());
            }
        }
    }

    /**
     * Takes a subject, fits it to the face and proposes colours for slots that have none.
     *
     * @param added whether it comes in front of the others; else it takes the place of the thing in hand
     */
    private void take(Subject subject, boolean added) {
        project().ifPresent(project -> desk.ask(fitting, d -> {
            Motif motif = Designs.motif(subject, d.repertoire())
                    .orElseThrow(() -> new IllegalArgumentException("None of these letters is in the face. Write it with Latin letters."));
            Optional<Item> now = added ? Optional.empty() : project.sketch().map(s -> s.inHand(workbench.itemProperty().get()));
            double margin = now.map(Item::marginMm).orElse(1.0);
            Placement placement = Designs.fit(motif, d.survey(project.stone()).zones(), margin, 0).map(LargestFit.Fit::placement)
                    .orElseThrow(() -> new IllegalArgumentException("The face leaves no room with a margin of " + Numbers.shortText(margin) + " mm."));
            Item item = new Item(now.map(Item::id).orElse(""), subject, motif.prefersWearing() && !added, added ? placement.sizedBy(0.5) : placement, margin);
            Sketch sketch = added && project.sketch().isPresent() ? project.sketch().get().plus(item)
                    : project.sketch().map(s -> s.with(item.id(), i -> item)).orElse(new Sketch(List.of(item)));
            Item taken = added ? sketch.items().get(sketch.items().size() - 1) : item;
            var colours = Proposals.nearest(motif, taken, d.palette(workbench.studio().shelf()));
            return (Runnable) () -> {
                edit("Choose " + motif.title(), p -> {
                    Project changed = p.withSketch(Optional.of(sketch));
                    for (var slot : colours.entrySet()) {
                        changed = changed.colours().containsKey(slot.getKey()) ? changed : changed.withColour(slot.getKey(), slot.getValue());
                    }
                    return changed;
                });
                workbench.itemProperty().set(taken.id());
            };
        }, Runnable::run));
    }

    /** Fits the thing in hand to the face. */
    void fit() {
        project().ifPresent(project -> workbench.itemInHand().ifPresent(item -> desk.ask(fitting, d -> Designs.motif(item.subject(), d.repertoire())
                .flatMap(motif -> Designs.fit(motif, d.survey(project.stone()).zones(), item.marginMm(), 0)), found -> {
                    if (found.isPresent()) {
                        workbench.editItem("Fit to the face", i -> i.wearing(false).at(found.get().placement()));
                    } else {
                        workbench.tell("The face leaves no room with this margin. Take a smaller margin.");
                    }
                })));
    }
}
