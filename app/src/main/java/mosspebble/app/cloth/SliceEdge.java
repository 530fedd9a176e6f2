package mosspebble.app.cloth;

import java.util.List;
import javafx.scene.AccessibleRole;
import javafx.scene.Cursor;
import javafx.scene.canvas.Canvas;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.Region;
import javafx.scene.paint.Color;
import javafx.scene.text.Font;
import javafx.scene.text.Text;
import javafx.scene.text.TextAlignment;
import mosspebble.app.control.Hint;
import mosspebble.app.control.Swatch;
import mosspebble.app.control.TextSize;
import mosspebble.app.control.Token;
import mosspebble.app.control.Token.Theme;
import mosspebble.app.model.Results;
import mosspebble.app.model.Workbench;
import mosspebble.core.coats.Coat;
import mosspebble.core.coats.Film;
import mosspebble.core.plan.PaintPlan;
import mosspebble.core.plan.Slice;
import mosspebble.core.units.Numbers;

/** The cut from A to B as a thin edge of paint under the stone, always at one scale; a click opens the slice with its figures. */
public final class SliceEdge extends Region {

    private static final double HIGH = 34;
    private static final double GROUND = 26;
    private static final int SAMPLES = 240;
    private static final double MARGIN = 54;
    private static final double RIGHT = 20;

    /** The same for every stone and step, so that thick looks thick. */
    private static final double UM_PER_PIXEL = 7;

    private final Workbench workbench;
    private final Results show;
    private final SliceLine line;
    private final Canvas canvas = new Canvas();
    private Slice slice;

    /** @param open opens the slice, or shuts it again */
    public SliceEdge(Workbench workbench, Results show, SliceLine line, Runnable open) {
        this.workbench = workbench;
        this.show = show;
        this.line = line;
        setId("slice-edge");
        getStyleClass().add("slice-edge");
        setAccessibleRole(AccessibleRole.BUTTON);
        setFocusTraversable(true);
        setCursor(Cursor.HAND);
        Hint.on(this, "The paint from A to B, cut through; opens the slice with its figures");
        getChildren().add(canvas);
        setMinHeight(HIGH);
        setPrefHeight(HIGH);
        setMaxHeight(HIGH);
        show.planProperty().addListener((o, a, now) -> cut(now));
        cut(show.plan());
        workbench.stepProperty().addListener((o, a, b) -> draw());
        workbench.coatProperty().addListener((o, a, b) -> draw());
        workbench.studioProperty().addListener((o, a, b) -> draw());
        line.addListener((o, a, b) -> draw());
        setOnMouseClicked(e -> open.run());
        setOnKeyPressed(e -> {
            if (e.getCode() == KeyCode.ENTER || e.getCode() == KeyCode.SPACE) {
                open.run();
                e.consume();
            }
        });
    }

    private void cut(PaintPlan plan) {
        slice = plan == null ? null : new Slice(plan);
        draw();
    }

    @Override
    protected void layoutChildren() {
        canvas.setWidth(getWidth());
        canvas.setHeight(HIGH);
        draw();
    }

    private void draw() {
        GraphicsContext pen = canvas.getGraphicsContext2D();
        double w = canvas.getWidth();
        pen.clearRect(0, 0, w, HIGH);
        PaintPlan plan = show.plan();
        if (slice == null || plan == null || w < 100) {
            return;
        }
        Theme theme = Theme.of(workbench.studio());
        double[] at = line.get();
        boolean seen = line.toPx() > line.fromPx() + 40;
        double left = seen ? Math.max(MARGIN, line.fromPx()) : MARGIN;
        List<Slice.Sample> samples = slice.cut(show.steps(), workbench.coatProperty().get(), at[0], at[1], at[2], at[3], SAMPLES);
        double thickest = samples.stream().mapToDouble(Slice.Sample::totalUm).max().orElse(0);
        Font font = TextSize.font(workbench.studio(), 12);
        Text figure = new Text(thickest <= 0 ? "bare" : Numbers.text(thickest, 0) + " µm");
        figure.setFont(font);
        double told = RIGHT + figure.getLayoutBounds().getWidth() + 2.2 * font.getSize(); // with the letter beside it
        double wide = Math.min(w - Math.max(MARGIN, told), seen ? line.toPx() : w) - left;
        Color stone = Swatch.colour(plan.survey().stone().colour());
        double cell = wide / SAMPLES;
        for (int i = 0; i < SAMPLES; i++) {
            Slice.Sample sample = samples.get(i);
            double x = left + i * cell;
            if (sample.onStone()) {
                pen.setFill(stone);
                pen.fillRect(x, GROUND, cell + 0.6, HIGH - GROUND);
                double y = GROUND;
                for (Film film : sample.layers()) {
                    Coat coat = film.coat().orElseThrow();
                    double high = film.layerUm() / UM_PER_PIXEL;
                    pen.setFill(coat.optics().isClear() ? Token.CLEAR.colour(theme) : Swatch.colour(coat.swatch()));
                    pen.fillRect(x, y - high, cell + 0.6, high);
                    y -= high;
                }
            }
        }
        pen.setFill(Token.QUIET.colour(theme));
        pen.setFont(font);
        pen.setTextAlign(TextAlignment.RIGHT);
        pen.fillText("A", left - 8, GROUND + 4);
        pen.setTextAlign(TextAlignment.LEFT);
        pen.fillText("B", left + wide + 8, GROUND + 4);
        pen.setTextAlign(TextAlignment.RIGHT);
        pen.fillText(figure.getText(), w - RIGHT, GROUND + 4);
        setAccessibleText("The paint from A to B, at most " + Numbers.text(thickest, 0) + " µm thick; opens the slice");
    }
}
