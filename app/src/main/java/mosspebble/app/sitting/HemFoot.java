package mosspebble.app.sitting;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import javafx.css.PseudoClass;
import javafx.geometry.Pos;
import javafx.geometry.VPos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.image.ImageView;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import mosspebble.app.control.Choice;
import mosspebble.app.control.Hint;
import mosspebble.app.control.Swatch;
import mosspebble.app.screen.Panel;
import mosspebble.core.drying.Climate;
import mosspebble.core.plan.Step;
import mosspebble.core.project.Room;
import mosspebble.core.timetable.Durations;
import mosspebble.core.timetable.Span;
import mosspebble.core.timetable.Timetable;
import mosspebble.core.timetable.Workload;
import mosspebble.core.units.Words;
import mosspebble.core.words.StepWords;
import mosspebble.core.words.TimetableWords;
import mosspebble.instruments.ClimateProbe;

/** At the foot of the hem: what comes next and when, or the stitch that was taken up with the passes in it. */
final class HemFoot extends HBox {

    /** Where pictures come from. */
    interface Pictures {
        void draw(String stone, int steps, ImageView into);
    }

    private static final double HIGH = 172;
    private static final double NARROW = 760;
    /** With large words in a small window: no room for the picture, and the clock stands over the button. */
    private static final double NARROWEST = 560;
    private static final double FIELDS = 220;
    private static final PseudoClass NARROW_CLASS = PseudoClass.getPseudoClass("narrow");

    private final SittingModel model;
    private final ClimateProbe probe;
    private final Pictures pictures;
    private final ImageView stone = new ImageView();
    private final StackPane picture = new StackPane();
    private final Label over = Panel.quiet("");
    private final Label deed = new Label();
    private final Label facts = Panel.quiet("");
    private final VBox opened = new VBox(3);
    private final ScrollPane rows = new ScrollPane(opened);
    private final Label count = new Label();
    private final Label countWords = Panel.quiet("");
    private final VBox clock = new VBox(0, count, countWords);
    private final Button sit;
    private final Button pin;
    private final Button close;
    private final VBox hands;
    private Bundle taken;
    private boolean other;

    HemFoot(SittingModel model, ClimateProbe probe, Pictures pictures, Runnable sitDown, Runnable away) {
        this.model = model;
        this.probe = probe;
        this.pictures = pictures;
        setId("hem-foot");
        getStyleClass().add("hem-foot");
        setAlignment(Pos.CENTER_LEFT);
        stone.setFitWidth(150);
        stone.setFitHeight(HIGH - 26);
        stone.setPreserveRatio(true);
        picture.getChildren().add(stone);
        picture.setMinWidth(156);
        picture.setPrefWidth(156);
        over.setWrapText(false);
        over.getStyleClass().add("shortened"); // names are a painter's own
        deed.setId("next-deed");
        deed.getStyleClass().add("hem-deed");
        deed.setWrapText(true);
        facts.setId("next-facts");
        rows.setFitToWidth(true);
        rows.setHbarPolicy(ScrollPane.ScrollBarPolicy.NEVER);
        rows.getStyleClass().add("stage-scroll");
        VBox words = new VBox(4, over, deed, facts, rows);
        words.setAlignment(Pos.CENTER_LEFT);
        words.setMinWidth(0);
        HBox.setHgrow(words, Priority.ALWAYS);
        VBox.setVgrow(rows, Priority.ALWAYS);
        count.setId("countdown");
        count.getStyleClass().add("hem-count");
        count.setMinWidth(Region.USE_PREF_SIZE);
        clock.setAlignment(Pos.CENTER);
        clock.setMinWidth(Region.USE_PREF_SIZE);
        sit = Panel.button("sit-down", "Sit down", "Work along: one pass after the other, large on the screen (Enter)", sitDown);
        sit.getStyleClass().add("main");
        sit.setPrefSize(170, 64);
        sit.setMinWidth(Region.USE_PREF_SIZE);
        pin = Panel.button("pin", "Pin here", "", this::pin);
        pin.setPrefSize(130, 44);
        close = Panel.button("hem-close", "Back to what comes next", "Let go of the stitch (Escape)", away);
        close.setPrefHeight(44);
        hands = new VBox(8, sit, pin, close);
        hands.setAlignment(Pos.CENTER);
        getChildren().addAll(picture, words, clock, hands);
        widthProperty().addListener((o, a, b) -> {
            boolean narrow = b.doubleValue() < NARROW;
            pseudoClassStateChanged(NARROW_CLASS, narrow);
            picture.setMinWidth(narrow ? 116 : 156);
            picture.setPrefWidth(narrow ? 116 : 156);
            stone.setFitWidth(narrow ? 112 : 150);
            sit.setPrefWidth(b.doubleValue() < NARROWEST ? USE_COMPUTED_SIZE : narrow ? 132 : 170);
            narrowest(b.doubleValue() < NARROWEST);
        });
        show(null);
    }

    private void narrowest(boolean is) {
        boolean was = hands.getChildren().contains(clock);
        if (is != was) {
            Panel.present(picture, !is);
            over.setWrapText(is);
            if (is) {
                getChildren().remove(clock);
                hands.getChildren().add(0, clock);
            } else {
                hands.getChildren().remove(clock);
                getChildren().add(getChildren().indexOf(hands), clock);
            }
        }
    }

    void ready() {
        sit.requestFocus();
    }

    /** @param bundle taken up; null for what comes next */
    void show(Bundle bundle) {
        taken = bundle;
        other = false;
        boolean open = bundle != null;
        Panel.present(picture, !hands.getChildren().contains(clock));
        Panel.present(facts, !open);
        Panel.present(deed, !open);
        Panel.present(rows, open);
        Panel.present(clock, !open);
        Panel.present(sit, !open);
        Panel.present(pin, open);
        Panel.present(close, open);
        opened.getChildren().clear();
        if (open) {
            SittingModel.Shown shown = model.shown();
            bundle.placed().forEach(each -> opened.getChildren().add(row(shown, each)));
            Timetable.Placed last = bundle.placed().get(bundle.placed().size() - 1);
            over.setText(model.name(bundle.stone()) + ", " + TimetableWords.day(bundle.start().atZone(model.zone()).toLocalDate()));
            pictures.draw(bundle.stone(), shown.piece(last).step() + 1, stone);
            boolean pinned = pinned();
            pin.setText(pinned ? "Free it" : "Pin here");
            Hint.on(pin, pinned ? "Lets the timetable move it again" : "Keeps it in this sitting, whatever else changes");
        }
        refresh();
    }

    private boolean pinned() {
        return steps().stream().anyMatch(s -> model.diary().pin(taken.stone(), s).isPresent());
    }

    private List<String> steps() {
        return model.steps(taken);
    }

    private void pin() {
        if (pinned()) {
            model.pin(taken.stone(), steps(), Optional.empty());
        } else {
            model.sitting(taken.start()).ifPresent(begins -> model.pinAndSay(taken, begins));
        }
    }

    private HBox row(SittingModel.Shown shown, Timetable.Placed each) {
        Workload.Piece piece = shown.piece(each);
        Step step = shown.step(piece);
        Label at = new Label(TimetableWords.time(each.start(), model.zone()));
        at.getStyleClass().add("clock");
        Label words = new Label(StepWords.title(step));
        words.setMinWidth(0);
        words.setMaxWidth(Double.MAX_VALUE);
        HBox.setHgrow(words, Priority.ALWAYS);
        Label took = Panel.quiet(Durations.words(each.takes()));
        took.setMinWidth(Region.USE_PREF_SIZE);
        HBox row = new HBox(8, at);
        step.coat().ifPresent(c -> row.getChildren().add(new Swatch(c.swatch(), 14)));
        row.getChildren().addAll(words, took);
        row.setAlignment(Pos.CENTER_LEFT);
        return row;
    }

    /** Opens the room of one day. */
    void room(LocalDate date) {
        room(date, Optional.empty());
    }

    /** @param sitting one of its sittings; empty for the whole day */
    private void room(LocalDate date, Optional<LocalDateTime> sitting) {
        instead(TimetableWords.roomOn(date));
        Room now = model.room();
        Label what = new Label(sitting.map(s -> TimetableWords.room(now, s)).orElseGet(() -> TimetableWords.room(now, date)));
        what.setId("day-slower");
        what.setWrapText(true);
        Consumer<Optional<Climate>> change = air -> {
            sitting.ifPresentOrElse(s -> model.air(s, air), () -> model.air(date, air));
            room(date, sitting);
        };
        ClimateFields air = new ClimateFields("day-", () -> sitting.map(model.room()::in).orElseGet(() -> model.room().on(date)),
                c -> change.accept(Optional.of(c)));
        Button read = Panel.button("day-probe", probe.button("Read"), "Takes temperature and humidity now",
                () -> change.accept(Optional.of(probe.read(LocalTime.ofInstant(model.nowProperty().get(), model.zone())))));
        Button usual = Panel.button("day-usual", sitting.isPresent() ? "As on the day" : "As usual",
                sitting.isPresent() ? "The room is as on the rest of the day" : "The room is as on other days",
                () -> change.accept(Optional.empty()));
        usual.setDisable(sitting.map(s -> !now.sittings().containsKey(s)).orElse(!now.days().containsKey(date)));
        VBox fields = air.row();
        fields.setPrefWidth(FIELDS);
        FlowPane row = new FlowPane(8, 4, fields, read, usual);
        row.setRowValignment(VPos.BOTTOM);
        opened.getChildren().addAll(row, what);
        List<Span> spans = model.diary().on(date);
        if (spans.size() > 1) {
            Choice<Optional<LocalDateTime>> which = new Choice<Optional<LocalDateTime>>("When", s -> room(date, s)).unlabelled();
            which.option("day-whole", "all day", Optional.empty(), "The air of the whole day");
            for (int i = 0; i < spans.size(); i++) {
                which.option("day-sitting-" + i, TimetableWords.span(spans.get(i)), Optional.of(date.atTime(spans.get(i).from())),
                        "The air in this sitting alone");
            }
            which.show(sitting);
            opened.getChildren().add(0, which);
        }
    }

    /** Opens what was learnt from measured times, each to be forgotten. */
    void learnt() {
        instead("What your times have taught");
        model.diary().hands().forEach((work, l) -> opened.getChildren().add(taught(work, TimetableWords.hand(work, l))));
        model.diary().loads().forEach((load, l) -> opened.getChildren().add(taught(load, TimetableWords.load(load, l))));
        if (opened.getChildren().isEmpty()) {
            opened.getChildren().add(new Label("Nothing yet: it takes three times of a kind, measured by working along."));
        }
        close.requestFocus();
    }

    /** Something else than stitches lies open. */
    private void instead(String title) {
        show(null);
        other = true;
        Panel.present(picture, false);
        Panel.present(facts, false);
        Panel.present(deed, false);
        Panel.present(clock, false);
        Panel.present(sit, false);
        Panel.present(rows, true);
        Panel.present(close, true);
        over.setText(title);
    }

    /** Whether something else than stitches lies open. */
    boolean isOther() {
        return other;
    }

    private HBox taught(String key, String words) {
        Label label = new Label(words);
        label.setMinWidth(0);
        label.setMaxWidth(Double.MAX_VALUE);
        HBox.setHgrow(label, Priority.ALWAYS);
        Button forget = Panel.button("forget-" + key.replace(' ', '-'), "Forget", "Takes the usual time again; what was done stays done",
                () -> {
                    model.edit("Forget times", d -> d.forgotten(key));
                    learnt();
                });
        forget.getStyleClass().add("tight");
        forget.setMinWidth(Region.USE_PREF_SIZE);
        HBox row = new HBox(8, label, forget);
        row.setAlignment(Pos.CENTER_LEFT);
        return row;
    }

    /** Brings what comes next up to the clock. */
    void refresh() {
        SittingModel.Shown shown = model.shown();
        Optional<Timetable.Placed> next = shown.next();
        setVisible(shown.table() != null);
        if (taken != null || other || next.isEmpty()) {
            if (next.isEmpty() && !other) {
                over.setText("");
                deed.setText("Nothing is left to do");
                facts.setText("");
                count.setText("");
                countWords.setText("");
                stone.setImage(null);
                sit.setDisable(true);
            }
            return;
        }
        sit.setDisable(false);
        Workload.Piece piece = shown.piece(next.get());
        Step step = shown.step(piece);
        Instant now = model.nowProperty().get();
        over.setText("Next: " + model.name(piece.stone()));
        deed.setText(StepWords.title(step));
        facts.setText(Words.unitsKept(TimetableWords.pace(step, model.diary())));
        pictures.draw(piece.stone(), model.stepsDone(piece.stone()), stone);
        Duration until = Duration.between(now, next.get().start());
        boolean due = until.toSeconds() < 60;
        boolean soon = until.toMinutes() < 60;
        String at = TimetableWords.time(next.get().start(), model.zone());
        count.setText(due ? "now" : soon ? until.plusSeconds(59).toMinutes() + " min" : at);
        countWords.setText(due ? "" : soon ? at : TimetableWords.day(next.get().start().atZone(model.zone()).toLocalDate()));
        sit.setText(model.inHandProperty().get() == null ? "Sit down" : "Go on");
    }
}
