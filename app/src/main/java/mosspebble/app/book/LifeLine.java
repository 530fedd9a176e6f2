package mosspebble.app.book;

import java.time.LocalDate;
import javafx.scene.canvas.Canvas;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.layout.Pane;
import javafx.scene.text.TextAlignment;
import mosspebble.app.control.TextSize;
import mosspebble.app.control.Token;
import mosspebble.app.control.Token.Theme;
import mosspebble.core.book.Book;
import mosspebble.core.book.Page;
import mosspebble.core.project.Studio;

/** The days of a stone since it went out as a thread, with a ring for each look at which it was like new and a cross where it was worn. */
final class LifeLine extends Pane {

    private static final double HIGH = 46;
    private static final double EDGE = 12;

    private final Canvas canvas = new Canvas();
    private Page page;
    private LocalDate today;
    private Studio studio;

    LifeLine() {
        setMinHeight(HIGH);
        setPrefHeight(HIGH);
        getChildren().add(canvas);
        widthProperty().addListener((o, a, b) -> draw());
    }

    void show(Page ofPage, LocalDate now, Studio of) {
        page = ofPage;
        today = now;
        studio = of;
        setAccessibleText(page.looks().size() + " looks since it went out");
        draw();
    }

    private void draw() {
        if (page == null || getWidth() < 60) {
            return;
        }
        canvas.setWidth(getWidth());
        canvas.setHeight(HIGH);
        GraphicsContext pen = canvas.getGraphicsContext2D();
        pen.clearRect(0, 0, getWidth(), HIGH);
        Theme theme = Theme.of(studio);
        LocalDate from = page.gone().since();
        LocalDate next = Book.nextLook(page).orElse(today);
        LocalDate end = latest(latest(today, next), from.plusMonths(3));
        double days = end.toEpochDay() - from.toEpochDay();
        double y = 18;
        pen.setLineWidth(2);
        pen.setStroke(Token.HEM.colour(theme));
        pen.setLineDashes(2, 5);
        pen.strokeLine(EDGE, y, getWidth() - EDGE, y);
        pen.setLineDashes();
        pen.setStroke(Token.MOSS.colour(theme));
        double now = x(today, from, days);
        pen.strokeLine(EDGE, y, Math.max(EDGE, now), y);
        pen.setFont(TextSize.font(studio, 12));
        pen.setFill(Token.QUIET.colour(theme));
        pen.setTextAlign(TextAlignment.CENTER);
        for (int month = 0; month <= days / 30.4 + 1; month += days > 800 ? 12 : 3) {
            double at = x(from.plusMonths(month), from, days);
            if (at <= getWidth() - EDGE + 1) {
                pen.strokeLine(at, y - 3, at, y + 3);
                pen.setTextAlign(at > getWidth() - 30 ? TextAlignment.RIGHT : TextAlignment.CENTER);
                pen.fillText(month == 0 ? "out" : month + " mo", at > getWidth() - 30 ? getWidth() : at, y + 22);
            }
        }
        for (Page.Look look : page.looks()) {
            double at = x(look.at(), from, days);
            Signs.end(pen, theme, at, y, look.state().worn());
        }
        Book.nextLook(page).ifPresent(d -> {
            double at = x(d, from, days);
            pen.setStroke(Token.INK.colour(theme));
            pen.setLineWidth(1);
            pen.setLineDashes(2, 2);
            pen.strokeOval(at - 5, y - 5, 10, 10);
            pen.setLineDashes();
        });
    }

    private double x(LocalDate day, LocalDate from, double days) {
        return EDGE + (getWidth() - 2 * EDGE) * Math.max(0, day.toEpochDay() - from.toEpochDay()) / Math.max(1, days);
    }

    private static LocalDate latest(LocalDate a, LocalDate b) {
        return a.isAfter(b) ? a : b;
    }
}
