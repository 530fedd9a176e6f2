package mosspebble.app.sitting;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import javafx.css.PseudoClass;
import javafx.geometry.Pos;
import javafx.scene.Cursor;
import javafx.scene.Group;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.image.ImageView;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.Pane;
import javafx.scene.layout.Region;
import javafx.scene.shape.CubicCurve;
import javafx.scene.shape.Line;
import javafx.scene.shape.Rectangle;
import mosspebble.app.control.Hint;
import mosspebble.app.control.Swatch;
import mosspebble.app.control.Token;
import mosspebble.app.screen.Panel;
import mosspebble.core.plan.Step;
import mosspebble.core.timetable.Durations;
import mosspebble.core.timetable.Span;
import mosspebble.core.timetable.Timetable;
import mosspebble.core.timetable.Workload;
import mosspebble.core.units.Words;
import mosspebble.core.words.StepWords;
import mosspebble.core.words.TimetableWords;

/**
 * One day of the hem: a strip of cloth with its hours stitched along the top, a thread for each stone, handwork as stitches in the colour
 * of the load, waits as loose thread. Hours in which nobody sits are folded away.
 */
final class DayStrip extends Pane {

    /** What a strip asks of the hem around it. */
    interface Hem {
        /** A stitch was taken up. */
        void take(Bundle bundle);

        /** A stitch was let go at a place of the hem, in scene pixels. */
        void drop(Bundle bundle, double sceneX, double sceneY);

        /** What the room is like on a day is to be said. */
        void room(LocalDate date);

        /** The picture of a stone after so many steps, where it is wanted, when it is there. */
        void picture(String stone, int steps, ImageView into);
    }

    static final double GUTTER = 176;
    private static final double TOP = 30;
    private static final double ROW = 30;
    private static final double FOLD = 26;
    private static final double TAIL = 96;
    private static final double STITCH = 14;
    /** Widths that are kept for words, px: the hand's time on the day, an hour, and an hour with the air from then on. */
    private static final double SUM = 90;
    private static final double HOUR = 34;
    private static final double HOUR_AND_AIR = 84;
    private static final int SNAP = 15;
    private static final PseudoClass PINNED = PseudoClass.getPseudoClass("pinned");
    private static final PseudoClass TAKEN = PseudoClass.getPseudoClass("taken");

    private final SittingModel model;
    private final Hem hem;
    private final LocalDate date;
    private final List<Span> spans;
    private final List<Bundle> bundles;
    private final double perMinute;
    private final double[] left;
    private final List<String> rows;
    private final Line needle = new Line();

    DayStrip(SittingModel model, Hem hem, LocalDate date, List<Bundle> bundles, double wide, long mostMinutes, Bundle taken) {
        this.model = model;
        this.hem = hem;
        this.date = date;
        this.spans = model.diary().on(date);
        this.bundles = bundles;
        this.perMinute = (wide - GUTTER - TAIL - FOLD) / Math.max(60, mostMinutes);
        this.rows = bundles.stream().map(Bundle::stone).distinct().toList();
        this.left = new double[spans.size()];
        double x = GUTTER + 14;
        for (int i = 0; i < left.length; i++) {
            left[i] = x;
            x += spans.get(i).length().toMinutes() * perMinute + FOLD;
        }
        setId("day-" + date);
        getStyleClass().add("hem-day");
        double high = TOP + Math.max(0, rows.size()) * ROW + (rows.isEmpty() ? 4 : 10);
        setMinSize(wide, high);
        setPrefSize(wide, high);
        setMaxSize(wide, high);
        cloth(wide, high);
        head();
        for (int row = 0; row < rows.size(); row++) {
            row(rows.get(row), TOP + row * ROW, wide);
        }
        bundles.forEach(b -> stitch(b, taken));
        needle.getStyleClass().add("hem-needle");
        needle.setStartY(TOP - 12);
        needle.setEndY(high - 5);
        needle.setMouseTransparent(true);
        getChildren().add(needle);
        tick();
    }

    LocalDate date() {
        return date;
    }

    /** The sitting at a place across, if there is one. */
    Optional<Span> spanAt(double sceneX) {
        double x = sceneToLocal(sceneX, 0).getX();
        for (int i = 0; i < left.length; i++) {
            if (x >= left[i] - FOLD / 2 && x <= right(i) + FOLD / 2) {
                return Optional.of(spans.get(i));
            }
        }
        return spans.isEmpty() || x < GUTTER ? Optional.empty() : Optional.of(spans.get(spans.size() - 1));
    }

    /** Moves the needle to where the clock stands. */
    void tick() {
        Instant now = model.nowProperty().get();
        Optional<Double> at = now.atZone(model.zone()).toLocalDate().equals(date) ? inside(now) : Optional.empty();
        needle.setVisible(at.isPresent());
        at.ifPresent(x -> {
            needle.setStartX(x);
            needle.setEndX(x);
        });
    }

    // --- where

    private double right(int span) {
        return left[span] + spans.get(span).length().toMinutes() * perMinute;
    }

    private LocalDateTime sitting(Span span) {
        return date.atTime(span.from());
    }

    private Instant begin(Span span) {
        return sitting(span).atZone(model.zone()).toInstant();
    }

    private Optional<Double> inside(Instant at) {
        for (int i = 0; i < left.length; i++) {
            double minutes = Duration.between(begin(spans.get(i)), at).toSeconds() / 60.0;
            if (minutes >= 0 && minutes <= spans.get(i).length().toMinutes()) {
                return Optional.of(left[i] + minutes * perMinute);
            }
        }
        return Optional.empty();
    }

    // --- the cloth

    private void cloth(double wide, double high) {
        Region cloth = new Region();
        cloth.getStyleClass().add("hem-cloth");
        place(cloth, GUTTER, wide - 8, high);
        getChildren().add(cloth);
        for (int i = 0; i < left.length; i++) {
            Span span = spans.get(i);
            Region sitting = new Region();
            sitting.getStyleClass().add("hem-sitting");
            place(sitting, left[i], right(i), high);
            getChildren().add(sitting);
            taken(i, high);
            hours(span, i, high);
            getChildren().addAll(end(i, true, high), end(i, false, high));
        }
    }

    /** What is taken of a sitting by the painter's own calendar. */
    private void taken(int i, double high) {
        Instant from = begin(spans.get(i));
        Instant to = from.plus(spans.get(i).length());
        for (Workload.Hours busy : model.diary().taken()) {
            if (busy.to().isAfter(from) && busy.from().isBefore(to)) {
                Region taken = new Region();
                taken.getStyleClass().add("hem-taken");
                place(taken, inside(busy.from()).orElse(left[i]), inside(busy.to()).orElse(right(i)), high);
                Hint.on(taken, "Taken by your calendar");
                getChildren().add(taken);
            }
        }
    }

    private static void place(Region region, double from, double to, double high) {
        region.setPrefSize(to - from, high - TOP + 8);
        region.relocate(from, TOP - 10);
    }

    private void hours(Span span, int i, double high) {
        int first = span.from().toSecondOfDay() / 60;
        int last = first + (int) span.length().toMinutes();
        boolean apart = model.room().sittings().containsKey(sitting(span));
        double named = 0;
        for (int minute = first + (SNAP - first % SNAP) % SNAP; minute <= last; minute += SNAP) {
            double x = left[i] + (minute - first) * perMinute;
            boolean hour = minute % 60 == 0;
            Line tick = new Line(x, TOP - 10, x, TOP - (hour ? 1 : 6));
            tick.getStyleClass().add("hem-tick");
            getChildren().add(tick);
            if (hour) {
                Line seam = new Line(x, TOP, x, high - 6);
                seam.getStyleClass().add("hem-seam");
                getChildren().add(seam);
                double wide = (apart && named == 0 ? HOUR_AND_AIR : HOUR) * model.wordsAt();
                boolean meetsNext = minute == last && i + 1 < left.length;
                if (x >= named && !meetsNext && x + wide < getPrefWidth() - SUM * model.wordsAt()) {
                    Label name = new Label(minute / 60 % 24 + ":00");
                    if (apart && named == 0) {
                        name.setText(name.getText() + " · " + TimetableWords.degrees(model.room().in(sitting(span))));
                        name.setId("air-" + date + "-" + i);
                    }
                    name.getStyleClass().add("hem-hour");
                    name.relocate(x + 3, TOP - 27);
                    getChildren().add(name);
                    named = x + wide;
                }
            }
        }
    }

    /** An end of a sitting, which can be dragged, and stepped by the arrow keys. */
    private Node end(int i, boolean first, double high) {
        Button knob = new Button();
        knob.setId((first ? "begin-" : "end-") + date + "-" + i);
        knob.getStyleClass().add("hem-end");
        knob.setPrefSize(8, high - TOP + 8);
        knob.setMinSize(8, 12);
        knob.relocate((first ? left[i] : right(i)) - 4, TOP - 10);
        knob.setCursor(Cursor.H_RESIZE);
        Hint.on(knob, "Drag to sit down " + (first ? "sooner or later" : "longer or shorter")
                + "; arrow keys a quarter of an hour; Delete for no sitting");
        knob.setAccessibleText((first ? "Beginning" : "End") + " of the sitting " + TimetableWords.span(spans.get(i)));
        double[] grabbed = new double[1];
        knob.setOnMousePressed(e -> grabbed[0] = e.getSceneX());
        knob.setOnMouseDragged(e -> knob.setTranslateX(steps(e.getSceneX() - grabbed[0]) * SNAP * perMinute));
        knob.setOnMouseReleased(e -> {
            knob.setTranslateX(0);
            move(i, first, steps(e.getSceneX() - grabbed[0]));
        });
        knob.setOnKeyPressed(e -> {
            if (e.getCode() == KeyCode.LEFT || e.getCode() == KeyCode.RIGHT) {
                move(i, first, e.getCode() == KeyCode.LEFT ? -1 : 1);
                e.consume();
            } else if (e.getCode() == KeyCode.DELETE) {
                model.dropSitting(date, spans.get(i));
                e.consume();
            }
        });
        return knob;
    }

    private int steps(double pixels) {
        return (int) Math.round(pixels / perMinute / SNAP);
    }

    private void move(int i, boolean first, int steps) {
        Span was = spans.get(i);
        int from = was.from().toSecondOfDay() / 60;
        int to = from + (int) was.length().toMinutes();
        int moved = Math.max(0, Math.min(24 * 60, (first ? from : to) + steps * SNAP));
        if (steps != 0 && (first ? to - moved : moved - from) >= SNAP) {
            LocalTime at = moved == 24 * 60 ? LocalTime.MIDNIGHT : LocalTime.ofSecondOfDay(moved * 60L);
            model.resize(date, was, first ? new Span(at, was.to()) : new Span(was.from(), at));
        }
    }

    // --- the day's name, and what there is of it

    private void head() {
        boolean own = model.room().days().containsKey(date);
        Button name = Panel.button("room-" + date,
                own ? TimetableWords.shortDay(date) + " · " + TimetableWords.degrees(model.room().on(date))
                        : TimetableWords.day(date),
                TimetableWords.room(model.room(), date) + " Click to change it.", () -> hem.room(date));
        name.getStyleClass().setAll("hem-name");
        name.relocate(10, TOP - 26);
        getChildren().add(name);
        long minutes = bundles.stream().flatMap(b -> b.placed().stream()).mapToLong(p -> Duration.between(p.start(), p.end()).toSeconds())
                .sum() / 60;
        String words = spans.isEmpty() ? "no sitting"
                : bundles.isEmpty() ? "free" : Durations.words(Duration.ofMinutes(Math.max(1, minutes)));
        Label sum = Panel.quiet(words);
        sum.setWrapText(false);
        Hint.on(sum, "Time of the hand");
        double wide = SUM * model.wordsAt() - 10;
        sum.relocate(getPrefWidth() - wide - 10, TOP - 26);
        sum.setPrefWidth(wide);
        sum.setAlignment(Pos.CENTER_RIGHT);
        getChildren().add(sum);
        Button more = Panel.button("more-" + date, "+", "One more sitting on this day",
                () -> model.addSitting(date, free()));
        more.getStyleClass().addAll("round", "hem-more");
        more.relocate(GUTTER - 38, TOP - 35);
        name.setMaxWidth(GUTTER - 50);
        name.getStyleClass().add("shortened");
        more.setAccessibleText("One more sitting on " + TimetableWords.day(date));
        getChildren().add(more);
    }

    /** An hour or two that are free on this day. */
    private Span free() {
        for (LocalTime from : List.of(LocalTime.of(19, 0), LocalTime.of(14, 0), LocalTime.of(10, 0), LocalTime.of(21, 0))) {
            Span span = new Span(from, from.plusHours(2));
            if (spans.stream().noneMatch(span::overlaps)) {
                return span;
            }
        }
        return new Span(LocalTime.of(7, 0), LocalTime.of(8, 0));
    }

    // --- threads

    private void row(String stone, double y, double wide) {
        List<Bundle> mine = bundles.stream().filter(b -> b.stone().equals(stone)).toList();
        Bundle last = mine.get(mine.size() - 1);
        ImageView picture = new ImageView();
        picture.setFitHeight(ROW - 4);
        picture.setFitWidth(44);
        picture.setPreserveRatio(true);
        picture.setSmooth(true);
        picture.relocate(6, y + 2);
        hem.picture(stone, model.shown().piece(last.placed().get(last.placed().size() - 1)).step() + 1, picture);
        Label name = new Label(model.name(stone));
        name.getStyleClass().add("hem-stone");
        name.setPrefWidth(GUTTER - 62);
        name.relocate(54, y + 6);
        getChildren().addAll(picture, name);
        for (int i = 1; i < mine.size(); i++) {
            thread(x(mine.get(i - 1).end()), x(mine.get(i).start()), y, false);
        }
        Instant dry = last.dry(model.shown().table());
        Optional<Double> dries = inside(dry);
        if (dries.isPresent()) {
            thread(x(last.end()), dries.get(), y, false);
        } else {
            double end = wide - 16;
            thread(x(last.end()), end - 66, y, true);
            Label until = Panel.quiet(dryWords(dry));
            until.setWrapText(false);
            until.relocate(end - 64, y + 7);
            getChildren().add(until);
        }
    }

    private String dryWords(Instant dry) {
        LocalDate on = dry.atZone(model.zone()).toLocalDate();
        return "dry " + (on.equals(date) ? TimetableWords.time(dry, model.zone()) : TimetableWords.weekday(on));
    }

    private double x(Instant at) {
        return inside(at).orElse(left.length == 0 ? GUTTER : right(left.length - 1));
    }

    /** A loose thread: it sags between two stitches. */
    private void thread(double from, double to, double y, boolean open) {
        if (to - from < 3) {
            return;
        }
        double sag = Math.min(7, (to - from) / 6);
        CubicCurve curve = new CubicCurve(from, y + ROW / 2, from + (to - from) / 3, y + ROW / 2 + sag, to - (to - from) / 3,
                y + ROW / 2 + sag, to, y + ROW / 2);
        curve.getStyleClass().add(open ? "hem-thread-open" : "hem-thread");
        curve.setMouseTransparent(true);
        getChildren().add(curve);
    }

    // --- stitches

    private void stitch(Bundle bundle, Bundle taken) {
        double y = TOP + rows.indexOf(bundle.stone()) * ROW;
        double from = x(bundle.start());
        double wide = Math.max(STITCH + 1, x(bundle.end()) - from);
        Group thread = new Group();
        double whole = Duration.between(bundle.start(), bundle.end()).toSeconds();
        double at = 0;
        Map<Integer, Workload.Piece> pieces = new LinkedHashMap<>();
        for (Timetable.Placed each : bundle.placed()) {
            Workload.Piece piece = model.shown().piece(each);
            pieces.put(each.piece(), piece);
            double part = wide
                    * (whole == 0 ? 1.0 / bundle.placed().size() : Duration.between(each.start(), each.end()).toSeconds() / whole);
            Rectangle rod = new Rectangle(at, 0, bundle.placed().size() == 1 ? part : Math.max(2, part - 0.8), STITCH);
            rod.setArcWidth(bundle.placed().size() == 1 ? STITCH : 6);
            rod.setArcHeight(bundle.placed().size() == 1 ? STITCH : 6);
            rod.setFill(model.shown().step(piece).coat().map(c -> Swatch.colour(c.swatch()))
                    .orElse(Token.GRAPHITE.colour(0.45)));
            rod.getStyleClass().add("hem-rod");
            thread.getChildren().add(rod);
            at += part;
        }
        Button stitch = new Button("", thread);
        stitch.setId("stitch-" + bundle.stone() + "-" + pieces.values().iterator().next().step());
        stitch.getStyleClass().add("hem-stitch");
        stitch.relocate(from - 3, y + (ROW - STITCH) / 2 - 3);
        Set<String> names = pieces.values().stream().map(model::stepName).collect(Collectors.toSet());
        boolean pinned = names.stream().anyMatch(n -> model.diary().pin(bundle.stone(), n).isPresent());
        stitch.pseudoClassStateChanged(PINNED, pinned);
        stitch.pseudoClassStateChanged(TAKEN, bundle.equals(taken));
        String words = words(bundle, pieces);
        Hint.on(stitch, words + (pinned ? "\nPinned to this sitting" : ""));
        stitch.setAccessibleText(model.name(bundle.stone()) + ", " + words);
        stitch.setOnAction(e -> hem.take(bundle));
        drag(stitch, bundle);
        getChildren().add(stitch);
    }

    private String words(Bundle bundle, Map<Integer, Workload.Piece> pieces) {
        List<String> lines = new ArrayList<>();
        for (Timetable.Placed each : bundle.placed()) {
            Step step = model.shown().step(pieces.get(each.piece()));
            lines.add(TimetableWords.time(each.start(), model.zone()) + "  " + StepWords.title(step));
        }
        int more = lines.size() - 6;
        return String.join("\n", lines.subList(0, Math.min(6, lines.size())))
                + (more > 0 ? "\nand " + Words.number(more) + " more" : "");
    }

    private void drag(Button stitch, Bundle bundle) {
        double[] grabbed = new double[2];
        stitch.setOnMousePressed(e -> {
            grabbed[0] = e.getSceneX();
            grabbed[1] = e.getSceneY();
        });
        stitch.setOnMouseDragged(e -> {
            stitch.setViewOrder(-1);
            setViewOrder(-1);
            stitch.setTranslateX(e.getSceneX() - grabbed[0]);
            stitch.setTranslateY(e.getSceneY() - grabbed[1]);
            stitch.setMouseTransparent(true);
        });
        stitch.setOnMouseReleased(e -> {
            boolean moved = Math.hypot(e.getSceneX() - grabbed[0], e.getSceneY() - grabbed[1]) > 6;
            stitch.setTranslateX(0);
            stitch.setTranslateY(0);
            stitch.setMouseTransparent(false);
            setViewOrder(0);
            if (moved) {
                hem.drop(bundle, e.getSceneX(), e.getSceneY());
            }
        });
    }
}
