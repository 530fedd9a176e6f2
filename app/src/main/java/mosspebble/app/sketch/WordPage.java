package mosspebble.app.sketch;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.TextArea;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import mosspebble.app.control.Hint;
import mosspebble.app.control.Choice;
import mosspebble.app.control.Entry;
import mosspebble.app.control.Pages;
import mosspebble.app.screen.PageView;
import mosspebble.app.screen.Panel;
import mosspebble.core.sketch.LetterSetting;
import mosspebble.core.sketch.LetterSetting.Path;
import mosspebble.core.sketch.OwnFile;
import mosspebble.core.sketch.Subject;
import mosspebble.core.sketch.Typeface;
import mosspebble.core.units.Numbers;
import mosspebble.files.BuiltIn;

/** Words: what they say, in which face, along what, how filled and spaced. */
final class WordPage extends PageView {

    /** What can be set of words. */
    private enum Matter {
        FACE("Face", "The typeface"),
        PATH("Path", "Along what they run, and from where it looks straight"),
        LETTERS("Letters", "How they are filled, how thick, in boxes or not"),
        SPACING("Spacing", "Between letters and lines; one letter by itself");

        private final String label;
        private final String tooltip;

        Matter(String label, String tooltip) {
            this.label = label;
            this.tooltip = tooltip;
        }
    }

    /** So many lines are seen at once, as far as there are so many. */
    private static final int MOST_ROWS = 4;

    private final SketchPanel panel;
    private final SketchModel sketch;
    private final TextArea words = new TextArea();
    private final Label size = Panel.quiet("");
    /** Where the faces stand; they change when the painter brings one. */
    private final VBox facePlace = new VBox();
    private Choice<String> face;
    private List<OwnFile> facesOf = List.of();
    private final Choice<Path> path;
    private final Choice<LetterSetting.Style> style;
    private final Choice<Boolean> boxes;
    private final Choice<Boolean> toEye;
    private final Entry bend;
    private final Entry space;
    private final Entry optical;
    private final Entry step;
    private final Entry swell;
    private final Entry pen;
    private final Entry kernLetter;
    private final Entry kern;
    private int letter = 1;

    WordPage(SketchPanel panel, SketchModel sketch) {
        this.panel = panel;
        this.sketch = sketch;
        words.setId("words");
        words.textProperty().addListener((o, a, b) -> rows());
        words.fontProperty().addListener((o, a, b) -> rows());
        rows();
        words.setAccessibleText("Words, one to four lines");
        Hint.on(words, "One to four lines; Ctrl Enter sets them");
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
        Button set = Panel.button("set-words", "Set", "Sets the letters and fits them (Ctrl Enter)", this::setWords);
        Button best = Panel.button("best-break", "Best lines", "Breaks the lines so that the letters become largest on this stone",
                sketch::bestBreak);
        Button fit = Panel.button("fit", "Fit to the face", "As large as the face allows (F)", sketch::fit);
        fit.getStyleClass().add("main");
        size.setId("letters-size");
        path = new Choice<>("Along", p -> setting("Path of the words", s -> s.along(p, usualBend(p, s))));
        path.option("path-straight", "straight", Path.STRAIGHT, "Level lines").option("path-arc", "arc", Path.ARC, "On a circle")
                .option("path-wave", "wave", Path.WAVE, "Up and down once")
                .option("path-rim", "rim", Path.RIM, "Round the edge of the stone");
        bend = number("word-bend", "Bend",
                "Arc: degrees it spans, negative hangs. Wave: height in per cent of a letter. Rim: mm inside the edge", "110",
                () -> s().bend(), v -> setting("Bend", s -> s.along(s.path(), v)));
        style = new Choice<>("Letters", v -> setting("Style of the letters", s -> s.withStyle(v)));
        style.option("style-solid", "solid", LetterSetting.Style.SOLID, "Filled")
                .option("style-outline", "outline", LetterSetting.Style.OUTLINE, "Only the edge, with a pen")
                .option("style-inline", "inline", LetterSetting.Style.INLINE, "A lighter line inside")
                .option("style-shadow", "shadow", LetterSetting.Style.SHADOW, "With a shade beside each letter");
        space = number("word-space", "Space, em", "Between letters; below 0 they share strokes or tuck over one another", "0.05",
                () -> s().space(), v -> setting("Space between letters", s -> s.spaced(s.optical(), v, s.lineStep())));
        optical = number("word-optical", "Optical, 0 to 1", "0: as the face has it; 1: nearest distances made equal", "0.5",
                () -> s().optical(), v -> setting("Optical spacing", s -> s.spaced(v, s.space(), s.lineStep())));
        step = number("word-step", "Line step", "From line to line, in letter heights", "1.4", () -> s().lineStep(),
                v -> setting("Step of the lines", s -> s.spaced(s.optical(), s.space(), v)));
        swell = number("word-swell", "Thicken, em", "Down-strokes made thicker: 0 to 0.12", "0.04", () -> s().swell(),
                v -> setting("Thicken the down-strokes", s -> s.withSwell(v)));
        pen = number("word-pen", "Pen, mm", "For outlines and single-stroke letters", "0.8", () -> s().penMm(),
                v -> setting("Pen of the letters", s -> s.withPenMm(v)));
        boxes = new Choice<>("Boxes", v -> setting("Letter boxes", s -> s.withBoxes(v)));
        boxes.option("boxes-off", "no", false, "Letters as wide as they are").option("boxes-on", "equal boxes", true,
                "Even count: half to each side of the middle line; odd count: the middle letter on it");
        toEye = new Choice<>("Straight", v -> setting("Straight to the eye", s -> s.withToEye(v)));
        toEye.option("eye-off", "ruled", false, "As ruled on flat paper").option("eye-on", "to the eye", true,
                "Lifted over the dome until it looks straight from the viewpoint (Stone, Seen)");
        kernLetter = number("kern-letter", "Letter no", "Which letter is moved, counted from 1", "3", () -> letter, v -> {
            letter = (int) Math.max(1, Math.min(Subject.Word.MOST_LETTERS, Math.round(v)));
            refresh();
        });
        kern = number("kern", "moved by, em", "To the right, and all after it; 0 takes it back", "0.05",
                () -> s().kerns().getOrDefault(letter - 1, 0.0), v -> setting("Move a letter", s -> s.kerned(letter - 1, v)));
        HBox buttons = new HBox(4, set, best, fit);
        buttons.setAlignment(Pos.CENTER_LEFT);
        Pages<Matter> pages = new Pages<>();
        for (Matter each : Matter.values()) {
            pages.add("word-page-" + each.name().toLowerCase(Locale.ROOT), each.label, each, each.tooltip, switch (each) {
                case FACE -> new VBox(10, facePlace);
                case PATH -> new VBox(10, path, bend, toEye);
                case LETTERS -> new VBox(10, style, row(swell, pen), boxes);
                case SPACING -> new VBox(10, row(space, optical, step), row(kernLetter, kern));
            });
        }
        size.setWrapText(false);
        HBox about = new HBox(6, pages.row(), size);
        about.setAlignment(Pos.CENTER_LEFT);
        HBox.setHgrow(pages.row(), Priority.ALWAYS);
        getChildren().addAll(words, buttons, about);
        getChildren().addAll(pages.all());
        HBox.setHgrow(fit, Priority.ALWAYS);
        fit.setMaxWidth(Double.MAX_VALUE);
    }

    /** As high as its lines. */
    private void rows() {
        int rows = (int) Math.min(MOST_ROWS, words.getText().chars().filter(c -> c == '\n').count() + 1);
        words.setPrefRowCount(rows);
        words.setMinHeight(24 + 1.5 * words.getFont().getSize() * rows);
        words.setMaxHeight(words.getMinHeight());
    }

    private void faces() {
        List<OwnFile> own = panel.workbench.studio().own().stream().filter(o -> o.kind() == OwnFile.Kind.FACE).toList();
        if (face != null && own.equals(facesOf)) {
            return;
        }
        facesOf = own;
        face = new Choice<String>("Typeface", id -> sketch.words("Typeface", w -> new Subject.Word(w.lines(), id, w.setting())))
                .unlabelled();
        for (Typeface shipped : BuiltIn.faces()) {
            face.option("face-" + shipped.id(), shipped.title().toLowerCase(Locale.ROOT), shipped.id(), "Sets the words in this face");
        }
        own.forEach(o -> face.option("face-" + o.id(), o.title(), o.id(), "A face of your own"));
        facePlace.getChildren().setAll(face);
    }

    private interface Value {
        double get();
    }

    private interface Take {
        void take(double value);
    }

    private Entry number(String id, String name, String tooltip, String example, Value get, Take take) {
        return new Entry(id, name, tooltip, () -> Numbers.shortText(get.get()), text -> Panel.number(text, example, value -> {
            take.take(value);
            return Optional.empty();
        }));
    }

    private static double usualBend(Path path, LetterSetting now) {
        return path == now.path() ? now.bend() : switch (path) {
            case STRAIGHT -> 0;
            case ARC -> 110;
            case WAVE -> 45;
            case RIM -> 1;
        };
    }

    private Subject.Word word() {
        return panel.workbench.itemInHand().map(i -> i.subject() instanceof Subject.Word w ? w : null)
                .orElse(new Subject.Word(List.of("LANTERN"), BuiltIn.SLAB));
    }

    private LetterSetting s() {
        return word().setting();
    }

    private void setting(String title, UnaryOperator<LetterSetting> change) {
        LetterSetting wanted = change.apply(s()); // refused here, so that the answer stands at the field
        sketch.words(title, w -> w.with(wanted));
    }

    private void setWords() {
        List<String> lines = words.getText().lines().map(String::strip).filter(l -> !l.isEmpty()).collect(Collectors.toList());
        boolean word = panel.workbench.itemInHand().filter(i -> i.subject() instanceof Subject.Word).isPresent();
        if (word && !lines.equals(word().lines())) {
            sketch.words("Words", w -> new Subject.Word(lines, w.typeface(), w.setting()));
        }
    }

    @Override
    public void refresh() {
        faces();
        if (!words.isFocused()) {
            words.setText(String.join("\n", word().lines()));
        }
        size.setText(panel.workbench.itemInHand().map(i -> Numbers.text(i.placement().scale(), 1) + " mm high").orElse(""));
        face.show(word().typeface());
        path.show(s().path());
        Panel.present(bend, s().path() != Path.STRAIGHT);
        style.show(s().style());
        boxes.show(s().boxes());
        toEye.show(s().toEye());
        for (Entry entry : new Entry[] {bend, space, optical, step, swell, pen, kernLetter, kern}) {
            entry.refresh();
        }
    }
}
