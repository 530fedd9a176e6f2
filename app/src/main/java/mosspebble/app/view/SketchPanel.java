package mosspebble.app.view;

import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.TextArea;
import javafx.scene.control.Tooltip;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
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
import mosspebble.core.sketch.Motif;
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

    SketchPanel(Workbench workbench, Show show, PlanDesk desk) {
        super(workbench, show);
        this.desk = desk;
        Choice<String> subject = new Choice<>("Subject", this::choose);
        subject.option("subject-owl-lamp", "Owl keeping a lamp", "owl-lamp", "A character that sits on the stone or wears it")
                .option("subject-harbour-dusk", "Harbour light at dusk", "harbour-dusk", "A scene that wears the stone")
                .option("subject-word", "Words", "word", "Block letters, one to four lines");
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
        VBox wordBox = new VBox(6, words, set);
        Choice<Boolean> wearing = new Choice<>("How it sits", wear -> edit(wear ? "Wear the stone" : "Sit on the stone", p -> p.withSketch(p.sketch().map(s -> s.wearing(wear)))));
        wearing.option("sits-on", "on the stone", false, "Keeps its proportions").option("wears", "wears the stone", true, "Its silhouette becomes the stone's outline");
        Button fit = button("fit", "Fit to the face", "As large as the face allows, near its middle (F)", this::fit);
        fit.getStyleClass().add("main");
        fit.setMaxWidth(Double.MAX_VALUE);
        Entry high = new Entry("design-height", "High", "Height of the design, any unit", () -> number(p -> designSize(p)[1]), text -> size(text, 1));
        Entry wide = new Entry("design-width", "Wide", "Width of the design, any unit", () -> number(p -> designSize(p)[0]), text -> size(text, 0));
        Entry turn = new Entry("design-turn", "Turned °", "Degrees clockwise", () -> project().flatMap(Project::sketch).map(s -> Numbers.text(s.placement().turn(), 1)).orElse("–"), this::turn);
        Entry margin = new Entry("design-margin", "Margin", "Kept clear inside the face when fitting", () -> project().flatMap(Project::sketch)
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
        getChildren().addAll(subject, wordBox, wearing, placing, worn);
        onRefresh(() -> {
            Optional<Sketch> sketch = project().flatMap(Project::sketch);
            boolean word = sketch.isPresent() && sketch.get().subject() instanceof Subject.Word;
            subject.show(sketch.map(s -> s.subject().match(Subject.Figure::motif, w -> "word")).orElse(""));
            present(wordBox, word);
            sketch.filter(s -> !words.isFocused()).map(Sketch::subject).ifPresent(s -> words.setText(s instanceof Subject.Word w ? String.join("\n", w.lines()) : ""));
            boolean wears = Optional.ofNullable(show.plan()).flatMap(PaintPlan::motif).filter(Motif::wears).isPresent();
            present(wearing, sketch.isPresent() && !word && wears);
            wearing.show(sketch.map(Sketch::wearing).orElse(false));
            boolean placed = sketch.isPresent() && !(sketch.get().wearing() && wears);
            present(placing, placed);
            present(worn, sketch.isPresent() && !placed);
            high.refresh();
            wide.refresh();
            turn.refresh();
            margin.refresh();
        });
    }

    private interface Size {
        double of(Project project);
    }

    private String number(Size size) {
        return project().filter(p -> p.sketch().isPresent()).map(p -> LengthText.number(new Millimetres(size.of(p)), workbench.studio().unit())).orElse("–");
    }

    private double[] designSize(Project project) {
        Optional<Motif> motif = Optional.ofNullable(show.plan()).flatMap(PaintPlan::motif);
        double scale = project.sketch().orElseThrow().placement().scale();
        return motif.map(m -> new double[] {m.sitting().getEnvelopeInternal().getWidth() * scale, m.sitting().getEnvelopeInternal().getHeight() * scale}).orElse(new double[] {0, 0});
    }

    private Optional<String> size(String text, int axis) {
        try {
            double wanted = LengthText.parse(text, workbench.studio().unit()).value();
            if (!(wanted >= 2 && wanted <= 600)) {
                return Optional.of("A design is 2 to 600 mm, was " + Numbers.shortText(wanted) + " mm.");
            }
            return tryEdit("Size the design", p -> p.withSketch(p.sketch().map(s -> s.at(s.placement().sizedBy(wanted / designSize(p)[axis])))));
        } catch (UnitTextException e) {
            return Optional.of(e.getMessage());
        }
    }

    private Optional<String> turn(String text) {
        try {
            double degrees = Double.parseDouble(text.strip().replace("°", "").replace(',', '.'));
            return tryEdit("Turn the design", p -> p.withSketch(p.sketch().map(s -> s.at(new Placement(s.placement().x(), s.placement().y(), degrees, s.placement().scale())))));
        } catch (NumberFormatException e) {
            return Optional.of("Write degrees such as 12 or -5.");
        }
    }

    private Optional<String> margin(String text) {
        try {
            double mm = LengthText.parse(text, workbench.studio().unit()).value();
            return tryEdit("Margin", p -> p.withSketch(p.sketch().map(s -> new Sketch(s.subject(), s.wearing(), s.placement(), mm))));
        } catch (UnitTextException e) {
            return Optional.of(e.getMessage());
        }
    }

    private void choose(String id) {
        if (id.equals("word")) {
            take(new Subject.Word(List.of("LANTERN", "WALK"), BuiltIn.SLAB));
        } else {
            take(new Subject.Figure(id));
        }
    }

    private void setWords() {
        Optional<Subject> now = project().flatMap(Project::sketch).map(Sketch::subject);
        if (now.isEmpty() || !(now.get() instanceof Subject.Word word)) {
            return;
        }
        List<String> lines = words.getText().lines().map(String::strip).filter(l -> !l.isEmpty()).collect(Collectors.toList());
        if (!lines.equals(word.lines())) {
            try {
                take(new Subject.Word(lines, word.typeface()));
            } catch (IllegalArgumentException e) {
                workbench.tell(e.getMessage());
            }
        }
    }

    /** Takes a subject, fits it to the face and proposes colours for slots that have none. */
    private void take(Subject subject) {
        project().ifPresent(project -> desk.ask(fitting, d -> {
            Motif motif = Designs.motif(subject, d.repertoire())
                    .orElseThrow(() -> new IllegalArgumentException("None of these letters is in the face. Write it with Latin letters."));
            double margin = project.sketch().map(Sketch::marginMm).orElse(1.0);
            Placement placement = Designs.fit(motif, d.survey(project.stone()).zones(), margin, 0).map(LargestFit.Fit::placement)
                    .orElseThrow(() -> new IllegalArgumentException("The face leaves no room with a margin of " + Numbers.shortText(margin) + " mm."));
            var colours = Proposals.nearest(motif, d.palette(workbench.studio().shelf()));
            return (Runnable) () -> edit("Choose " + motif.title(), p -> {
                Project changed = p.withSketch(Optional.of(new Sketch(subject, motif.prefersWearing(), placement, margin)));
                for (var slot : colours.entrySet()) {
                    changed = changed.colours().containsKey(slot.getKey()) ? changed : changed.withColour(slot.getKey(), slot.getValue());
                }
                return changed;
            });
        }, Runnable::run));
    }

    /** Fits the design to the face. */
    void fit() {
        project().ifPresent(project -> project.sketch().ifPresent(sketch -> desk.ask(fitting, d -> Designs.motif(sketch.subject(), d.repertoire())
                .flatMap(motif -> Designs.fit(motif, d.survey(project.stone()).zones(), sketch.marginMm(), 0)), found -> {
                    if (found.isPresent()) {
                        edit("Fit to the face", p -> p.withSketch(p.sketch().map(s -> s.wearing(false).at(found.get().placement()))));
                    } else {
                        workbench.tell("The face leaves no room with this margin. Take a smaller margin.");
                    }
                })));
    }
}
