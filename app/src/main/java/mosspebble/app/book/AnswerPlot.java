package mosspebble.app.book;

import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.TreeMap;
import java.util.function.Consumer;
import java.util.stream.Collectors;
import javafx.geometry.VPos;
import javafx.scene.canvas.Canvas;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.layout.Pane;
import javafx.scene.text.TextAlignment;
import mosspebble.app.control.TextSize;
import mosspebble.app.control.Token;
import mosspebble.app.control.Token.Theme;
import mosspebble.app.screen.Surroundings;
import mosspebble.core.book.Answers;
import mosspebble.core.book.Lasting;
import mosspebble.core.book.Page;
import mosspebble.core.project.Studio;
import mosspebble.core.units.Numbers;
import mosspebble.core.words.BookWords;

/** Small drawings of answers, in the program's own hand: threads, stitches and pebbles. */
final class AnswerPlot extends Pane {

    private static final double LEFT = 168;
    private static final double RIGHT = 24;
    private static final double ROW = 15;
    private static final double PEBBLE = 15;

    private final Surroundings with;
    private final BookModel model;
    private final Canvas canvas = new Canvas();
    private Consumer<GraphicsContext> drawing = pen -> {};
    private double high;

    AnswerPlot(Surroundings with, BookModel model) {
        this.with = with;
        this.model = model;
        setId("book-plot");
        getChildren().add(canvas);
        widthProperty().addListener((o, a, b) -> draw());
    }

    private void drawn(double height, String words, Consumer<GraphicsContext> how) {
        high = height;
        drawing = how;
        setMinHeight(height);
        setPrefHeight(height);
        setAccessibleText(words);
        draw();
    }

    private Studio studio() {
        return with.workbench().studio();
    }

    private Theme theme() {
        return Theme.of(studio());
    }

    private void draw() {
        canvas.setWidth(Math.max(1, getWidth()));
        canvas.setHeight(Math.max(1, high));
        GraphicsContext pen = canvas.getGraphicsContext2D();
        pen.clearRect(0, 0, canvas.getWidth(), canvas.getHeight());
        if (getWidth() > LEFT + 60) {
            pen.setFont(TextSize.font(studio(), 12));
            pen.setTextBaseline(VPos.CENTER);
            drawing.accept(pen);
        }
    }

    private void words(GraphicsContext pen, String text, double x, double y, TextAlignment at, boolean quiet) {
        pen.setFill((quiet ? Token.QUIET : Token.INK).colour(theme()));
        pen.setTextAlign(at);
        pen.fillText(text, x, y);
    }

    /** An axis from 0 with a few round steps; gives how many pixels one is. */
    private double axis(GraphicsContext pen, double most, double y, double top, String unit) {
        double wide = getWidth() - LEFT - RIGHT;
        double step = step(most);
        double end = Math.max(step, Math.ceil(most / step - 1e-9) * step);
        for (int i = 0; i * step <= end + 1e-9; i++) {
            double x = LEFT + wide * i * step / end;
            pen.setStroke(Token.STITCH.colour(theme()));
            pen.setLineWidth(1);
            pen.setLineDashes(2, 4);
            pen.strokeLine(x, top, x, y - 8);
            pen.setLineDashes();
            boolean last = i * step + step > end + 1e-9;
            words(pen, Numbers.shortText(i * step) + (last ? " " + unit : ""), last ? getWidth() - 2 : x, y + 4,
                    last ? TextAlignment.RIGHT : TextAlignment.CENTER, true);
        }
        return wide / end;
    }

    /** A round step that makes at most six of the whole. */
    static double step(double most) {
        double raw = Math.max(1e-9, most) / 6;
        double ten = Math.pow(10, Math.floor(Math.log10(raw)));
        for (double round : new double[] {1, 2, 3, 5, 10}) {
            if (round * ten >= raw - 1e-12) {
                return round * ten;
            }
        }
        return 10 * ten;
    }

    // --- the answers

    void lasts(List<Answers.Sealed> sealers) {
        List<Answers.Sealed> seen = sealers.stream().filter(s -> !s.lasting().spans().isEmpty()).toList();
        double height = seen.stream().mapToDouble(s -> s.lasting().spans().size() * ROW + 14).sum() + 30;
        drawn(seen.isEmpty() ? 0 : height, seen.stream().map(s -> BookWords.name(s.sealer()) + ", " + BookWords.lasts(s))
                .collect(Collectors.joining("; ")), pen -> {
                    if (seen.isEmpty()) {
                        return;
                    }
                    double longest = seen.stream().mapToDouble(s -> s.lasting().longest()).max().orElse(1);
                    double scale = axis(pen, Math.max(3, longest), height - 14, 4, "months");
                    double y = 10;
                    for (Answers.Sealed each : seen) {
                        double middle = y + (each.lasting().spans().size() - 1) * ROW / 2;
                        words(pen, BookWords.name(each.sealer()), LEFT - 14, middle, TextAlignment.RIGHT, false);
                        for (Lasting.Span span : each.lasting().spans()) {
                            pen.setStroke((span.worn() ? Token.CLAY : Token.MOSS).colour(theme()));
                            pen.setLineWidth(2.2);
                            pen.strokeLine(LEFT, y, LEFT + span.months() * scale, y);
                            Signs.end(pen, theme(), LEFT + span.months() * scale, y, span.worn());
                            y += ROW;
                        }
                        y += 14;
                    }
                });
    }

    void takes(List<Answers.Took> times, double area, double planned) {
        double height = times.isEmpty() ? 0 : 300;
        drawn(height, times.size() + " stones by painted area and hours", pen -> {
            if (times.isEmpty()) {
                return;
            }
            double most = Math.max(area / 100, times.stream().mapToDouble(t -> t.area() / 100).max().orElse(1));
            double hours = Math.max(planned, times.stream().mapToDouble(Answers.Took::hours).max().orElse(1));
            double scale = axis(pen, most, height - 14, 4, "cm²");
            double up = step(hours);
            double end = Math.ceil(hours / up - 1e-9) * up;
            double floor = height - 30;
            for (int i = 0; i * up <= end + 1e-9; i++) {
                double y = floor - (floor - 14) * i * up / end;
                words(pen, Numbers.shortText(i * up) + " h", LEFT - 14, y, TextAlignment.RIGHT, true);
            }
            for (Answers.Took each : times) {
                double x = LEFT + each.area() / 100 * scale;
                double y = floor - (floor - 14) * each.hours() / end;
                pen.setFill(Token.MOSS.colour(theme()));
                pen.fillOval(x - 5, y - 4.2, 10, 8.4);
            }
            if (area > 0 && planned > 0) {
                double x = LEFT + area / 100 * scale;
                double y = floor - (floor - 14) * planned / end;
                pen.setStroke(Token.CLAY.colour(theme()));
                pen.setLineWidth(2);
                pen.strokeOval(x - 7, y - 6, 14, 12);
                words(pen, "this one, as planned", x + (x > getWidth() - 180 ? -12 : 12), y,
                        x > getWidth() - 180 ? TextAlignment.RIGHT : TextAlignment.LEFT, false);
            }
        });
    }

    void failed(List<Answers.Behaved> failures) {
        drawn(failures.size() * 26 + 6, failures.stream().map(f -> f.name() + ", " + f.failed().size() + " of " + f.stones())
                .collect(Collectors.joining("; ")), pen -> {
                    double y = 14;
                    for (Answers.Behaved each : failures) {
                        words(pen, each.name(), LEFT - 14, y, TextAlignment.RIGHT, false);
                        double step = Math.min(PEBBLE + 4, (getWidth() - LEFT - 150) / Math.max(1, each.stones()));
                        for (int i = 0; i < each.stones(); i++) {
                            pebble(pen, LEFT + i * step, y, i < each.failed().size());
                        }
                        words(pen, each.failed().size() + " of " + each.stones(), LEFT + each.stones() * step + 8, y, TextAlignment.LEFT,
                                true);
                        y += 26;
                    }
                });
    }

    /** A stone of a count: filled with a cross where it is one of those meant, else a rim. */
    private void pebble(GraphicsContext pen, double x, double y, boolean meant) {
        if (meant) {
            pen.setFill(Token.CLAY.colour(theme()));
            pen.fillOval(x, y - 6, PEBBLE, 12);
        } else {
            pen.setStroke(Token.MOSS.colour(theme()));
            pen.setLineWidth(1.6);
            pen.strokeOval(x + 1, y - 5, PEBBLE - 2, 10);
        }
    }

    void sold(List<Answers.Sale> sales) {
        double height = sales.isEmpty() ? 0 : sales.size() * 24 + 34;
        drawn(height, sales.stream().map(s -> title(s.page()) + ", " + Numbers.money(s.perHour()) + " an hour")
                .collect(Collectors.joining("; ")), pen -> {
                    if (sales.isEmpty()) {
                        return;
                    }
                    double scale = axis(pen, Math.max(1, sales.stream().mapToDouble(Answers.Sale::perHour).max().orElse(1)), height - 14, 4,
                            "an hour");
                    double y = 14;
                    for (Answers.Sale each : sales) {
                        words(pen, shortened(title(each.page())), LEFT - 14, y, TextAlignment.RIGHT, false);
                        pen.setFill(Token.MOSS.colour(theme()));
                        pen.fillRoundRect(LEFT, y - 6, Math.max(2, each.perHour() * scale), 12, 12, 12);
                        y += 24;
                    }
                });
    }

    void out(List<Page> pages) {
        Map<Page.Gone.Place, List<Page>> places = new TreeMap<>(pages.stream().collect(Collectors.groupingBy(p -> p.gone().place())));
        drawn(places.size() * 26 + 6, places.entrySet().stream().map(e -> e.getKey().label() + ", " + e.getValue().size())
                .collect(Collectors.joining("; ")), pen -> {
                    double y = 14;
                    for (Map.Entry<Page.Gone.Place, List<Page>> each : places.entrySet()) {
                        int count = each.getValue().size();
                        words(pen, each.getKey().label().toLowerCase(Locale.ROOT), LEFT - 14, y, TextAlignment.RIGHT, false);
                        double step = Math.min(PEBBLE + 4, (getWidth() - LEFT - 80) / Math.max(1, count));
                        long worn = each.getValue().stream().filter(p -> p.lastLook().filter(l -> l.state().worn()).isPresent()).count();
                        for (int i = 0; i < count; i++) {
                            pebble(pen, LEFT + i * step, y, i < worn);
                        }
                        words(pen, count + (worn > 0 ? ", " + worn + " worn" : ""), LEFT + count * step + 8, y, TextAlignment.LEFT, true);
                        y += 26;
                    }
                });
    }

    private String title(String page) {
        return model.bookProperty().get().page(page).map(p -> p.stone().name()).orElse(page);
    }

    private static String shortened(String name) {
        return name.length() > 24 ? name.substring(0, 23) + "…" : name;
    }
}
