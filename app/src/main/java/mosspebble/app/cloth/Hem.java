package mosspebble.app.cloth;

import java.util.List;
import javafx.geometry.VPos;
import javafx.scene.canvas.Canvas;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.layout.Pane;
import javafx.scene.paint.Color;
import javafx.scene.paint.ImagePattern;
import javafx.scene.shape.Rectangle;
import javafx.scene.shape.StrokeLineCap;
import javafx.scene.text.Text;
import javafx.scene.text.TextAlignment;
import mosspebble.app.control.TextSize;
import mosspebble.app.control.Token;
import mosspebble.app.control.Token.Theme;
import mosspebble.core.project.Studio;
import mosspebble.core.units.LengthUnit;
import mosspebble.core.units.Millimetres;
import mosspebble.core.units.Numbers;

/**
 * The hem along two sides of the cloth, with ticks and figures from the stone's middle outward, and how large the stone is shown. It lies
 * over all else on the cloth, so that a stone that is looked at closely passes below it.
 */
final class Hem extends Pane {

    /** px. */
    static final double WIDE = 32;

    private static final double ROUND_WORDS = 5;
    /** What a figure needs with some air, in letters of the usual size, px. */
    private static final double FIGURE_WIDE = 22;
    private static final int PER_INCH = 8;
    /** Ticks from figure to figure at most, however small the stone is shown. */
    private static final int MOST_BETWEEN = 4096;

    private final Canvas above = new Canvas();
    private final Canvas beside = new Canvas();
    private final Rectangle plate = new Rectangle();
    private final Text words = new Text();
    private Object shown;

    Hem() {
        setMouseTransparent(true);
        words.setId("cloth-shown");
        words.setTextOrigin(VPos.BASELINE);
        plate.setArcWidth(8);
        plate.setArcHeight(8);
        above.setId("hem-above");
        beside.setId("hem-beside");
        getChildren().addAll(above, beside, plate, words);
    }

    /**
     * Draws it, if anything has changed.
     *
     * @param w of the cloth, px
     * @param frame places of the stone on the cloth
     * @param says how large the stone is shown; empty for nothing
     * @param over whether the stone reaches below the hem
     */
    void draw(Studio studio, ImagePattern woven, double w, double h, ClothFrame frame, String says, boolean over) {
        Theme theme = Theme.of(studio);
        Object now = List.of(studio.view(), woven, w, h, frame, says, over);
        if (now.equals(shown)) {
            return;
        }
        shown = now;
        above.setWidth(w);
        above.setHeight(WIDE + 1);
        beside.setWidth(WIDE + 1);
        beside.setHeight(h);
        for (Canvas side : List.of(above, beside)) {
            GraphicsContext pen = side.getGraphicsContext2D();
            pen.clearRect(0, 0, side.getWidth(), side.getHeight());
            pen.setFill(woven);
            pen.fillRect(0, 0, side.getWidth(), side.getHeight());
            pen.setStroke(Token.HEM.colour(theme));
            pen.setLineWidth(1.4);
            pen.setLineCap(StrokeLineCap.ROUND);
            pen.setLineDashes(6, 5);
        }
        above.getGraphicsContext2D().strokeLine(WIDE, WIDE, w - 10, WIDE);
        beside.getGraphicsContext2D().strokeLine(WIDE, WIDE, WIDE, h - 10);
        if (!says.isEmpty()) {
            ticks(studio, frame, w, h);
        }
        tell(studio, w, h, says, over);
    }

    private void ticks(Studio studio, ClothFrame frame, double w, double h) {
        LengthUnit unit = studio.unit();
        double scale = frame.toPixels(1, 0).getX() - frame.toPixels(0, 0).getX();
        double small = unit == LengthUnit.INCH ? Millimetres.PER_INCH / 8 : scale < 2 ? 5 : 2;
        int every = unit == LengthUnit.INCH ? PER_INCH : scale < 2 ? 4 : 5;
        while (every * small * scale < FIGURE_WIDE * TextSize.of(studio) && every < MOST_BETWEEN) {
            every *= 2;
        }
        Color stitch = Token.HEM.colour(Theme.of(studio));
        for (Canvas side : List.of(above, beside)) {
            GraphicsContext pen = side.getGraphicsContext2D();
            pen.setLineDashes();
            pen.setStroke(stitch);
            pen.setFill(Token.HEM_INK.colour(Theme.of(studio)));
            pen.setFont(TextSize.font(studio, 10));
            pen.setTextAlign(TextAlignment.CENTER);
            boolean along = side == above;
            double first = along ? frame.toX(WIDE + 14) : frame.toY(WIDE + 10);
            double last = along ? frame.toX(w - 14) : frame.toY(h - 10);
            for (int k = (int) Math.ceil(first / small); k <= Math.floor(last / small); k++) {
                boolean figure = k % every == 0;
                double at = along ? frame.toPixels(k * small, 0).getX() : frame.toPixels(0, k * small).getY();
                double length = figure ? 8 : 4;
                pen.setLineWidth(figure ? 1.5 : 1);
                pen.strokeLine(along ? at : WIDE - 3, along ? WIDE - 3 : at, along ? at : WIDE - 3 - length,
                        along ? WIDE - 3 - length : at);
                if (figure) {
                    pen.save();
                    pen.translate(along ? at : 15, along ? 15 : at);
                    pen.rotate(along ? 0 : -90);
                    pen.fillText(unit == LengthUnit.INCH ? String.valueOf(Math.abs(k / PER_INCH))
                            : Numbers.text(Math.abs(k * small) / (unit == LengthUnit.CM ? 10 : 1), 1), 0, 0);
                    pen.restore();
                }
            }
        }
    }

    /** At the lower right; on a plate of linen where the stone lies below it. */
    private void tell(Studio studio, double w, double h, String says, boolean over) {
        Theme theme = Theme.of(studio);
        words.setText(says);
        words.setFont(TextSize.font(studio, 12));
        words.setFill(Token.HEM_INK.colour(theme));
        double wide = words.getLayoutBounds().getWidth();
        words.setX(w - 14 - wide);
        words.setY(h - 12);
        plate.setVisible(over && !says.isEmpty());
        plate.setFill(Token.LINEN.colour(theme));
        plate.setX(w - 14 - wide - ROUND_WORDS);
        plate.setY(h - 12 + words.getLayoutBounds().getMinY() - words.getY() - ROUND_WORDS / 2);
        plate.setWidth(wide + 2 * ROUND_WORDS);
        plate.setHeight(words.getLayoutBounds().getHeight() + ROUND_WORDS);
    }
}
