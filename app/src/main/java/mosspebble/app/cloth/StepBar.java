package mosspebble.app.cloth;

import javafx.animation.Animation;
import javafx.animation.KeyFrame;
import javafx.animation.Timeline;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.control.Slider;
import javafx.scene.control.ToggleButton;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.util.Duration;
import mosspebble.app.control.Hint;
import mosspebble.app.control.Choice;
import mosspebble.app.control.TextSize;
import mosspebble.app.model.Results;
import mosspebble.app.model.Workbench;
import mosspebble.core.picture.StonePicture;
import mosspebble.core.plan.StoneState;
import mosspebble.core.plan.PaintPlan;
import mosspebble.core.words.StepWords;

/** Below a painted stone: steps through the painting, plays it coat by coat, holds a moment to compare with, and chooses the look. */
public final class StepBar extends HBox {

    private static final double LOOKS_WIDE = 236;
    /** Of larger words, below each other. */
    private static final double LOOKS_NARROW = 120;
    private static final double LARGER = 1.2;
    /** How many steps there are, and which is shown. */
    private static final double LEAST_WORDS = 96;

    private final Workbench workbench;
    private final Results show;
    private final Slider stepSlider = new Slider();
    private final Label stepWords = new Label();
    private final ToggleButton play = new ToggleButton("▶");
    private final ToggleButton hold = new ToggleButton("hold");
    private Timeline playing;
    private boolean showingSteps;

    public StepBar(Workbench workbench, Results show) {
        super(8);
        this.workbench = workbench;
        this.show = show;
        stepSlider.setId("step-slider");
        stepSlider.setAccessibleText("Step of the painting");
        Hint.on(stepSlider, "Step through the painting ( , and . )");
        stepSlider.setBlockIncrement(1);
        stepSlider.setMajorTickUnit(1);
        stepSlider.setMinorTickCount(0);
        stepSlider.setSnapToTicks(true);
        HBox.setHgrow(stepSlider, Priority.ALWAYS);
        stepSlider.valueProperty().addListener((o, a, b) -> {
            if (!showingSteps) {
                workbench.stepProperty().set((int) Math.round(b.doubleValue()));
            }
        });
        stepWords.getStyleClass().addAll("step-words", "shortened"); // whole on the card
        stepWords.setId("step-words");
        stepWords.setPrefWidth(206);
        stepWords.setMaxWidth(206);
        stepSlider.setMinWidth(40);
        Choice<StoneState> look = new Choice<>("", workbench.lookProperty()::set);
        look.option("look-dry", "dry", StoneState.DRY, "As it looks dry (L)")
                .option("look-wet", "wet", StoneState.WET, "As it looks wet (L)")
                .option("look-curing", "curing", StoneState.CURING, "As it looks while the seal hardens (L)")
                .option("look-sealed", "sealed", StoneState.SEALED, "As it looks sealed (L)");
        look.show(workbench.lookProperty().get());
        workbench.lookProperty().addListener((o, a, b) -> look.show(b));
        look.setPrefWidth(LOOKS_WIDE);
        workbench.studioProperty().addListener((o, a, b) -> looks(look));
        looks(look);
        setMinWidth(0); // else it would be as wide as all of it, and end outside the window
        widthProperty().addListener((o, a, b) -> room(look));
        play.setId("play");
        play.getStyleClass().add("pebble");
        Hint.on(play, "Play the painting, coat after coat (Y)");
        play.setAccessibleText("Play the painting");
        play.setOnAction(e -> play(play.isSelected()));
        hold.setId("hold");
        hold.getStyleClass().add("pebble");
        Hint.on(hold, "Hold this moment: the left half of the stone stays as it is now, the right half follows the slider (H)");
        hold.setOnAction(e -> hold());
        for (ToggleButton b : new ToggleButton[] {play, hold}) {
            b.setMinWidth(Region.USE_PREF_SIZE);
        }
        getChildren().addAll(stepWords, play, stepSlider, hold, look);
        setAlignment(Pos.CENTER_LEFT);
        getStyleClass().add("step-bar");
        workbench.stepProperty().addListener((o, a, b) -> refresh());
        workbench.coatProperty().addListener((o, a, b) -> refresh());
        workbench.heldProperty().addListener((o, a, b) -> refresh());
    }

    /** Plays, or stops playing. */
    public void toggle() {
        play(!play.isSelected());
    }

    public void stop() {
        play(false);
    }

    /** Where there is no room for all of it, the step's words go first: the card beside says them too. */
    private void room(Choice<StoneState> look) {
        double least = getInsets().getLeft() + getInsets().getRight() - getSpacing();
        for (Node child : getChildren()) {
            least += getSpacing() + (child == look ? look.getMinWidth() : child.minWidth(-1));
        }
        boolean room = getWidth() >= least;
        stepWords.setVisible(room);
        stepWords.setManaged(room);
    }

    private void looks(Choice<StoneState> look) {
        boolean larger = TextSize.of(workbench.studio()) > LARGER;
        stepWords.setMinWidth(LEAST_WORDS * TextSize.of(workbench.studio()));
        look.setMinWidth(larger ? LOOKS_NARROW : LOOKS_WIDE);
        look.setMaxWidth(larger ? USE_COMPUTED_SIZE : LOOKS_WIDE);
        room(look);
    }

    private void play(boolean on) {
        if (playing != null) {
            playing.stop();
            playing = null;
        }
        play.setSelected(on);
        play.setText(on ? "❚❚" : "▶");
        if (on) {
            PaintPlan plan = show.plan();
            if (plan != null && show.steps() >= plan.steps().size()) {
                workbench.stepProperty().set(0);
            }
            playing = new Timeline(new KeyFrame(Duration.millis(420), e -> advance()));
            playing.setCycleCount(Animation.INDEFINITE);
            playing.play();
        }
    }

    /** One coat on; at the end the playing stops. */
    private void advance() {
        StonePicture picture = show.pictureProperty().get();
        int at = show.steps();
        if (picture == null || at >= picture.steps() && workbench.coatProperty().get() == 0) {
            play(false);
            return;
        }
        int coat = workbench.coatProperty().get();
        if (coat > 0 && at > 0) {
            workbench.coatProperty().set(coat + 1 >= picture.coats(at - 1) ? 0 : coat + 1);
        } else {
            workbench.stepProperty().set(at + 1);
            workbench.coatProperty().set(picture.coats(at) > 1 ? 1 : 0);
        }
    }

    /** Holds the moment shown, or lets it go. */
    public void hold() {
        workbench.heldProperty().set(workbench.heldProperty().get() < 0 ? show.steps() : -1);
    }

    /** So many steps on or back. */
    public void by(int by) {
        PaintPlan plan = show.plan();
        if (plan != null) {
            int next = show.steps() + by;
            workbench.stepProperty().set(next >= plan.steps().size() ? Integer.MAX_VALUE : Math.max(0, next));
        }
    }

    /** Dry, wet, sealed in turn. */
    public void nextLook() {
        StoneState[] looks = StoneState.values();
        workbench.lookProperty().set(looks[(workbench.lookProperty().get().ordinal() + 1) % looks.length]);
    }

    /** Shows how many steps there are and which is shown. */
    public void refresh() {
        PaintPlan plan = show.plan();
        int count = plan == null ? 0 : plan.steps().size();
        showingSteps = true;
        stepSlider.setMax(Math.max(1, count));
        stepSlider.setValue(show.steps());
        stepSlider.setDisable(count == 0);
        showingSteps = false;
        int at = show.steps();
        stepWords.setText(count == 0 ? "no steps yet" : at == 0 ? "bare stone"
                : at + " of " + count + "  " + (workbench.coatProperty().get() > 0 ? "coat " + workbench.coatProperty().get() + ": " : "")
                        + StepWords.title(plan.steps().get(at - 1)));
        int held = workbench.heldProperty().get();
        hold.setSelected(held >= 0);
        hold.setText(held < 0 ? "hold" : "held: " + Math.min(held, count));
    }
}
