package mosspebble.app.cloth;

import java.util.List;
import javafx.geometry.Bounds;
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

    /** Bands of linen, and over them what moves along them with the stone. */
    private final List<Canvas> bands = List.of(new Canvas(), new Canvas());
    private final Canvas above = new Canvas();
    private final Canvas beside = new Canvas();
    private final Rectangle plate = new Rectangle();
    private final Text words = new Text();
    /** Where its words end, px. */
    private double end;
    private Object shown;
    private Object weave;

    Hem() {
        setMouseTransparent(true);
        words.setId("cloth-shown");
        words.setTextOrigin(VPos.BASELINE);
        words.fontProperty().addListener((o, a, b) -> placeWords());
        plate.setArcWidth(8);
        plate.setArcHeight(8);
        bands.get(0).setId("hem-above");
        bands.get(1).setId("hem-beside");
        getChildren().addAll(bands);
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
        weave(woven, w, h);
        for (Canvas side : List.of(above, beside)) {
            GraphicsContext pen = side.getGraphicsContext2D();
            pen.clearRect(0, 0, side.getWidth(), side.getHeight());
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

    /** Bands of linen are woven once: to fill with a pattern costs as much as to draw all the ticks, in every frame of a moved cloth. */
    private void weave(ImagePattern linen, double w, double h) {
        Object now = List.of(linen, w, h);
        if (now.equals(weave)) {
            return;
        }
        weave = now;
        bands.get(0).setWidth(w);
        bands.get(0).setHeight(WIDE + 1);
        bands.get(1).setWidth(WIDE + 1);
        bands.get(1).setHeight(h);
        for (Canvas band : bands) {
            GraphicsContext pen = band.getGraphicsContext2D();
            pen.setFill(linen);
            pen.fillRect(0, 0, band.getWidth(), band.getHeight());
        }
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
        words.setFill(Token.HEM_INK.colour(theme));
        words.setY(h - 12);
        plate.setVisible(over && !says.isEmpty());
        plate.setFill(Token.LINEN.colour(theme));
        end = w - 14;
        placeWords();
    }

    /** Their size comes from the style sheet, which may be told later than they are. */
    private void placeWords() {
        Bounds size = words.getLayoutBounds();
        words.setX(end - size.getWidth());
        plate.setX(end - size.getWidth() - ROUND_WORDS);
        plate.setY(words.getY() - words.getBaselineOffset() - ROUND_WORDS / 2);
        plate.setWidth(size.getWidth() + 2 * ROUND_WORDS);
        plate.setHeight(size.getHeight() + ROUND_WORDS);
    }
}
