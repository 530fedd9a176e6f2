package mosspebble.app.sitting;

import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import javafx.animation.PauseTransition;
import javafx.beans.binding.Bindings;
import javafx.css.PseudoClass;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import javafx.scene.shape.Line;
import javafx.scene.shape.StrokeLineCap;
import mosspebble.app.control.TrueSize;
import mosspebble.app.control.PuddleView;
import mosspebble.app.control.Swatch;
import mosspebble.app.model.PlanWorker;
import mosspebble.app.model.Results;
import mosspebble.app.model.Workbench;
import mosspebble.app.screen.Panel;
import mosspebble.core.plan.ManyStones;
import mosspebble.core.plan.PaintPlan;
import mosspebble.core.plan.Step;
import mosspebble.core.timetable.Timetable;
import mosspebble.core.timetable.Workload;
import mosspebble.core.units.Words;
import mosspebble.core.words.HazardWords;
import mosspebble.core.words.StepWords;
import mosspebble.core.words.TimetableWords;

/**
 * Beside the painter at the table, over the whole window: what to paint now, on which stone and where, with what, and what dries
 * meanwhile. Works with an elbow: Space is done, a letter each for what else may happen.
 */
public final class WorkAlongView extends BorderPane {

    /** What there is to do now. */
    private enum State { PAINT, WAIT, PAUSED, OVER }

    private static final PseudoClass DRY = PseudoClass.getPseudoClass("dry");
    private static final PseudoClass LOW = PseudoClass.getPseudoClass("low");
    private static final double LOW_UNDER = 780;
    private static final double STROKE = 150;
    private static final Duration EARLY = Duration.ofSeconds(30);
    private static final javafx.util.Duration FLASH = javafx.util.Duration.seconds(1.2);

    private final Workbench workbench;
    private final SittingModel model;
    private final Deeds deeds;
    private final WorkPicture picture;
    private final DryingRow drying;
    private final Awake awake = new Awake();
    private final Label stone = new Label();
    private final Label title = new Label();
    private final Label sentence = new Label();
    private final Label care = new Label();
    private final Label count = new Label();
    private final Label facts = new Label();
    private final PuddleView puddle = new PuddleView();
    private final Line brush = new Line(0, 0, STROKE, 0);
    private final Label brushWords = Panel.quiet("");
    private final HBox brushRow = new HBox(12, brush, brushWords);
    private final HBox question = new HBox(10);
    private final Label questionWords = new Label();
    private final Button done;
    private final Button notYet;
    private final Button back;
    private final Button again;
    private final Button pause;
    private final Button trouble;
    private final Button sound;
    private boolean silent;
    private boolean paused;
    private boolean waited;
    private boolean dried;
    private Object shownAs;
    private Timetable mixedBy;

    /**
     * What is done around it.
     *
     * @param closed called when it is left
     * @param wrong opens what mends a mistake on the stone on the cloth
     * @param say says what is to be done now to whoever listens
     */
    public record Deeds(Runnable closed, Runnable wrong, Consumer<String> say) {}

    public WorkAlongView(Workbench workbench, Results results, PlanWorker desk, SittingModel model, Deeds deeds) {
        this.workbench = workbench;
        this.model = model;
        this.deeds = deeds;
        this.picture = new WorkPicture(desk, results);
        this.drying = new DryingRow(model, results);
        setId("work-along");
        getStyleClass().add("work-along");
        stone.setId("work-stone");
        stone.getStyleClass().add("work-stone");
        title.setId("work-title");
        title.getStyleClass().add("empty-title");
        title.setWrapText(true);
        title.setMinHeight(Region.USE_PREF_SIZE);
        sentence.setId("work-sentence");
        sentence.getStyleClass().add("work-sentence");
        sentence.setWrapText(true);
        care.setId("work-care");
        care.getStyleClass().add("work-care");
        care.setWrapText(true);
        count.setId("work-count");
        count.getStyleClass().add("work-count");
        facts.setId("work-facts");
        facts.getStyleClass().add("work-facts");
        facts.setWrapText(true);
        brush.setStrokeLineCap(StrokeLineCap.ROUND);
        brushRow.setAlignment(Pos.CENTER_LEFT);
        question.setAlignment(Pos.CENTER_LEFT);
        question.getStyleClass().add("work-question");
        question.visibleProperty().bind(Bindings.isNotEmpty(question.getChildren()));
        question.managedProperty().bind(question.visibleProperty());
        questionWords.setWrapText(true);
        HBox.setHgrow(questionWords, Priority.ALWAYS);
        VBox words = new VBox(14, stone, title, sentence, care, puddle, brushRow, facts, count, question);
        words.setAlignment(Pos.TOP_LEFT);
        words.setPrefWidth(520);
        words.setMinWidth(480);
        words.getStyleClass().add("work-words");
        done = big("work-done", "Done", "Space", "Done; its waits begin and the next comes", this::done);
        done.getStyleClass().add("main");
        notYet = big("work-not-yet", "Not yet", "N", "It is still wet, ask again in five minutes", this::notYet);
        back = big("work-back", "Back", "B", "What was done last is not done after all", model::back);
        again = big("work-again", "Redo", "R", "What was done last is to be done again", model::again);
        pause = big("work-pause", "Pause", "P", "The clock of this pass stands still", this::pause);
        trouble = big("work-wrong", "It went wrong", "W", "Point at it and learn how to mend it", this::wrong);
        Button leave = big("work-leave", "Get up", "Esc", "Back to the hem; what dries goes on drying", this::close);
        sound = big("work-sound", "Sound", "S", "A soft sound when something is dry", this::sound);
        done.setPrefWidth(250);
        done.setMinWidth(150);
        heightProperty().addListener((o, a, b) -> pseudoClassStateChanged(LOW, b.doubleValue() < LOW_UNDER));
        Region gap = new Region();
        HBox.setHgrow(gap, Priority.ALWAYS);
        HBox hands = new HBox(10, done, notYet, back, again, pause, trouble, gap, sound, leave);
        hands.setAlignment(Pos.CENTER_LEFT);
        hands.getStyleClass().add("work-hands");
        setCenter(picture);
        setRight(words);
        setBottom(new VBox(drying, hands));
        model.shownProperty().addListener((o, a, b) -> refresh());
        model.nowProperty().addListener((o, a, b) -> refresh());
        addEventHandler(KeyEvent.KEY_PRESSED, this::key);
        Panel.present(this, false);
        visibleProperty().addListener((o, a, b) -> {
            awake.hold(b);
            model.atTableProperty().set(b);
        });
    }

    private static Button big(String id, String words, String key, String tooltip, Runnable run) {
        Button button = Panel.button(id, words, tooltip + " (" + key + ")", run);
        Label letter = new Label(key);
        letter.getStyleClass().add("key");
        button.setGraphic(letter);
        button.getStyleClass().add("work-button");
        button.setMinWidth(Region.USE_PREF_SIZE);
        button.setFocusTraversable(true);
        return button;
    }

    /** Opens it; what is due is taken in hand at once. */
    public void open() {
        Panel.present(this, true);
        paused = false;
        shownAs = null;
        refresh();
        done.requestFocus();
    }

    /** Leaves it; the clock of what is in hand goes on, its stone lies on the cloth. */
    public void close() {
        model.shown().next().ifPresent(next -> workbench.choose(model.shown().piece(next).stone()));
        Panel.present(this, false);
        deeds.closed.run();
    }

    private void key(KeyEvent e) {
        KeyCode code = e.getCode();
        if (e.isControlDown() || e.isAltDown()) {
            return;
        }
        switch (code) {
            case SPACE, ENTER -> done();
            case N -> notYet();
            case B -> model.back();
            case R -> model.again();
            case P -> pause();
            case W -> wrong();
            case S -> sound();
            default -> {
                return;
            }
        }
        e.consume();
    }

    // --- what the keys do

    private void done() {
        switch (state()) {
            case PAINT -> {
                Optional<Duration> odd = model.done();
                ask(odd);
            }
            case WAIT -> model.begin();
            case PAUSED -> pause();
            case OVER -> close();
        }
        refresh();
    }

    /** Asks about a time that was longer than painting takes. */
    private void ask(Optional<Duration> odd) {
        question.getChildren().clear();
        if (odd.isEmpty()) {
            return;
        }
        questionWords.setText(TimetableWords.odd(odd.get()));
        Button all = Panel.button("work-all", "All of it", "Keep the time as it was measured", () -> question.getChildren().clear());
        Button usual = Panel.button("work-usual", "As usual", "Count what it takes as a rule", () -> {
            model.asUsual();
            question.getChildren().clear();
        });
        question.getChildren().setAll(questionWords, all, usual);
    }

    private void notYet() {
        if (state() == State.PAINT) {
            model.notYet(Duration.ofMinutes(5));
        }
    }

    private void pause() {
        paused = !paused;
        if (paused) {
            model.inHandProperty().set(null);
        }
        shownAs = null;
        refresh();
    }

    private void wrong() {
        model.shown().next().ifPresent(next -> {
            Workload.Piece piece = model.shown().piece(next);
            workbench.choose(piece.stone());
            Panel.present(this, false);
            deeds.wrong.run();
            workbench.stepProperty().set(Math.max(1, piece.step()));
        });
    }

    private void sound() {
        silent = !silent;
        sound.setText(silent ? "Silent" : "Sound");
    }

    // --- what is shown

    private State state() {
        Optional<Timetable.Placed> next = model.shown().next();
        if (next.isEmpty()) {
            return State.OVER;
        }
        if (paused) {
            return State.PAUSED;
        }
        Instant now = model.nowProperty().get();
        if (model.begun().isPresent() || !next.get().start().isAfter(now.plus(EARLY))) {
            return State.PAINT;
        }
        return model.sameSitting(now, next.get().start()) ? State.WAIT : State.OVER;
    }

    private void refresh() {
        if (!isVisible()) {
            return;
        }
        State state = state();
        Optional<Timetable.Placed> next = model.shown().next();
        if (state == State.PAINT && model.begun().isEmpty()) {
            if (waited) {
                dry();
                dried = true;
            }
            model.begin();
        }
        waited = state == State.WAIT;
        drying.refresh();
        notYet.setDisable(state != State.PAINT);
        back.setDisable(model.diary().last().isEmpty());
        again.setDisable(model.diary().last().filter(d -> !d.spoiled()).isEmpty());
        pause.setDisable(state == State.OVER);
        pause.setText(state == State.PAUSED ? "Go on" : "Pause");
        trouble.setDisable(next.isEmpty());
        done.setText(switch (state) {
            case PAINT -> "Done";
            case WAIT -> "It is dry: go on";
            case PAUSED -> "Go on";
            case OVER -> "Get up";
        });
        next.ifPresentOrElse(n -> show(state, n), () -> over("All is done", "Nothing is left to paint."));
        count(state, next);
    }

    private void over(String words, String more) {
        stone.setText("");
        title.setText(words);
        sentence.setText(more);
        Panel.present(care, false);
        facts.setText("");
        Panel.present(puddle, false);
        Panel.present(brushRow, false);
    }

    private void show(State state, Timetable.Placed next) {
        Workload.Piece piece = model.shown().piece(next);
        PaintPlan plan = model.shown().plans().get(piece.stone());
        Step step = plan.steps().get(piece.step());
        Object as = List.of(state, plan.steps(), piece.step(), piece.part());
        if (as.equals(shownAs)) {
            mixes(next, plan, step);
            return;
        }
        shownAs = as;
        mixedBy = null;
        picture.show(plan, piece.step(), piece.part(), state != State.OVER);
        if (state == State.OVER) {
            over("That is all for now", TimetableWords.later(StepWords.title(step), model.name(piece.stone()), next.start(),
                    model.nowProperty().get(), model.zone()));
            return;
        }
        int parts = ManyStones.parts(step);
        stone.setText((state == State.WAIT ? "Next: " : "") + TimetableWords.place(plan, piece.step(), piece.part(), parts));
        title.setText(StepWords.title(step));
        sentence.setText(StepWords.sentence(step));
        care.setText(HazardWords.besides(step, workbench.studio().shelf()));
        Panel.present(care, !care.getText().isEmpty());
        facts.setText(Words.unitsKept(TimetableWords.pace(step, model.diary())));
        Panel.present(puddle, !step.layers().isEmpty());
        mixes(next, plan, step);
        boolean wide = step instanceof Step.Lay lay && lay.tool().mm() > 0;
        Panel.present(brushRow, wide);
        if (wide) {
            brush.setStrokeWidth(((Step.Lay) step).tool().mm() * TrueSize.pixelsPerMm(workbench.studio().view().comfort()));
            brush.setStroke(step.coat().map(c -> Swatch.colour(c.swatch())).orElse(null));
            brushWords.setText(TimetableWords.brush(((Step.Lay) step).tool().mm()));
        }
        deeds.say.accept((dried ? "It is dry. " : "") + stone.getText() + ": " + title.getText() + ". " + sentence.getText());
        dried = false;
        expect();
    }

    /** Which mixes are damp, by a timetable; whether they serve others too may change with the next, and nothing else that is shown. */
    private void mixes(Timetable.Placed next, PaintPlan plan, Step step) {
        Timetable table = model.shown().table();
        if (table != mixedBy) {
            mixedBy = table;
            puddle.show(step, workbench.studio().shelf(), TimetableWords.puddles(table, table.placed().indexOf(next), plan, model.zone()));
        }
    }

    /** Very likely the piece after this one comes next. */
    private void expect() {
        model.shown().table().placed().stream().skip(1).findFirst().map(n -> model.shown().piece(n))
                .ifPresent(p -> picture.expect(model.shown().plans().get(p.stone()), p.step(), p.part()));
    }

    private void count(State state, Optional<Timetable.Placed> next) {
        Instant now = model.nowProperty().get();
        count.setText(switch (state) {
            case PAINT -> model.begun().map(b -> clock(Duration.between(b.since(), now))).orElse("");
            case WAIT -> clock(Duration.between(now, next.orElseThrow().start()));
            case PAUSED -> "paused";
            case OVER -> "";
        });
    }

    private static String clock(Duration time) {
        long seconds = Math.max(0, time.toSeconds());
        return seconds >= 3_600 ? String.format("%d:%02d:%02d", seconds / 3_600, seconds / 60 % 60, seconds % 60)
                : String.format("%d:%02d", seconds / 60, seconds % 60);
    }

    /** Something is dry: a sound, and a flash unless nothing is to flash. */
    private void dry() {
        if (!silent) {
            Chime.sound();
        }
        if (workbench.studio().view().comfort().still()) {
            return;
        }
        pseudoClassStateChanged(DRY, true);
        PauseTransition flash = new PauseTransition(FLASH);
        flash.setOnFinished(e -> pseudoClassStateChanged(DRY, false));
        flash.play();
    }
}
