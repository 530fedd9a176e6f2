package mosspebble.app.book;

import javafx.scene.canvas.GraphicsContext;
import mosspebble.app.control.Token;
import mosspebble.app.control.Token.Theme;

/** Signs that are told apart by their shape as well as by their colour. */
final class Signs {

    private Signs() {}

    /** How a stone was when it was seen last: a cross where it was worn, an open ring where it was like new. */
    static void end(GraphicsContext pen, Theme theme, double x, double y, boolean worn) {
        pen.setLineWidth(worn ? 2.4 : 1.8);
        if (worn) {
            pen.setStroke(Token.CLAY.colour(theme));
            pen.strokeLine(x - 4.5, y - 4.5, x + 4.5, y + 4.5);
            pen.strokeLine(x - 4.5, y + 4.5, x + 4.5, y - 4.5);
        } else {
            pen.setFill(Token.PAPER.colour(theme));
            pen.fillOval(x - 5, y - 5, 10, 10);
            pen.setStroke(Token.MOSS.colour(theme));
            pen.strokeOval(x - 5, y - 5, 10, 10);
        }
    }
}
