package mosspebble.app.sitting;

import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import javafx.geometry.Bounds;
import javafx.geometry.Pos;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.image.Image;
import javafx.scene.image.ImageView;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.VBox;
import mosspebble.app.cloth.StoneImage;
import mosspebble.app.model.PlanWorker;
import mosspebble.app.model.Results;
import mosspebble.app.screen.Panel;
import mosspebble.core.timetable.Span;
import mosspebble.instruments.ClimateProbe;
import mosspebble.core.words.TimetableWords;

/** The hem of hours: a strip of cloth for each day with all that is done on it, and at the foot what comes next. */
final class HemView extends BorderPane {

    private static final int MOST_DAYS = 21;
    private static final int LEAST_DAYS = 3;

    private final SittingModel model;
    private final Results results;
    private final PlanWorker desk;
    private final VBox days = new VBox(6);
    private final ScrollPane scroll = new ScrollPane(days);
    private final List<DayStrip> strips = new ArrayList<>();
    private final Map<Results.Moment, Image> stills = new HashMap<>();
    private final HemFoot foot;
    private Bundle taken;
    private boolean opening;

    HemView(SittingModel model, Results results, PlanWorker desk, ClimateProbe probe, Runnable sitDown) {
        this.model = model;
        this.results = results;
        this.desk = desk;
        this.foot = new HemFoot(model, probe, this::picture, sitDown, this::letGo);
        setId("hem");
        getStyleClass().add("hem");
        scroll.setFitToWidth(true);
        scroll.setHbarPolicy(ScrollPane.ScrollBarPolicy.NEVER);
        scroll.getStyleClass().add("stage-scroll");
        setCenter(scroll);
        setBottom(foot);
        model.follow(this::fill);
        model.nowProperty().addListener((o, a, b) -> {
            if (isVisible() && !model.atTableProperty().get()) {
                strips.forEach(DayStrip::tick);
                foot.refresh();
            }
        });
        model.inHandProperty().addListener((o, a, b) -> foot.refresh());
        scroll.viewportBoundsProperty().addListener((o, a, b) -> {
            if (Math.abs(a.getWidth() - b.getWidth()) > 1) {
                fill();
            }
        });
    }

    /** What one most likely came for has the focus. */
    void open() {
        opening = true;
        strips.forEach(DayStrip::tick);
        foot.refresh();
        foot.ready();
    }

    /** What was learnt from measured times. */
    void learnt() {
        taken = null;
        foot.learnt();
    }

    /** The room on the day of what comes next. */
    void room() {
        room(model.shown().next().map(n -> n.start().atZone(model.zone()).toLocalDate())
                .orElseGet(() -> model.nowProperty().get().atZone(model.zone()).toLocalDate()));
    }

    private void room(LocalDate date) {
        taken = null;
        foot.room(date);
    }

    private void fill() {
        days.getChildren().clear();
        strips.clear();
        SittingModel.Shown shown = model.shown();
        double wide = scroll.getViewportBounds().getWidth();
        if (wide < 300) {
            return; // not laid out yet
        }
        if (shown.table() == null || shown.table().placed().isEmpty()) {
            Label words = new Label(shown.table() == null ? shown.trouble() : "All is done: nothing is left to paint.");
            words.setId("hem-empty");
            words.getStyleClass().add("empty-title");
            words.setWrapText(true);
            VBox box = new VBox(10, words);
            box.setAlignment(Pos.CENTER);
            box.setMinHeight(240);
            days.getChildren().add(box);
            if (shown.table() == null && shown.trouble().isEmpty()) {
                words.setText("The stones are being planned …");
            }
        }
        Map<LocalDate, List<Bundle>> byDay = shown.table() == null ? Map.of() : Bundle.byDay(shown.table(), model.zone());
        LocalDate today = model.nowProperty().get().atZone(model.zone()).toLocalDate();
        LocalDate last = byDay.keySet().stream().max(LocalDate::compareTo).orElse(today);
        long count = Math.max(LEAST_DAYS, Math.min(MOST_DAYS, last.toEpochDay() - today.toEpochDay() + 1));
        long most = 0;
        for (int i = 0; i < count; i++) {
            most = Math.max(most, model.diary().on(today.plusDays(i)).stream().mapToLong(s -> s.length().toMinutes()).sum());
        }
        taken = taken == null ? null : byDay.values().stream().flatMap(List::stream).filter(taken::sameWork).findFirst().orElse(null);
        for (int i = 0; i < count; i++) {
            LocalDate date = today.plusDays(i);
            DayStrip strip = new DayStrip(model, hem(), date, byDay.getOrDefault(date, List.of()), wide, most, taken);
            strips.add(strip);
            days.getChildren().add(strip);
        }
        if (last.isAfter(today.plusDays(count - 1))) {
            days.getChildren().add(Panel.quiet("… and so on until " + TimetableWords.day(last)));
        }
        if (taken != null || !foot.isOther()) {
            foot.show(taken);
        }
        if (opening && shown.table() != null) {
            opening = false;
            foot.ready();
        }
    }

    private DayStrip.Hem hem() {
        return new DayStrip.Hem() {
            @Override
            public void take(Bundle bundle) {
                HemView.this.take(bundle);
            }

            @Override
            public void drop(Bundle bundle, double sceneX, double sceneY) {
                HemView.this.drop(bundle, sceneX, sceneY);
            }

            @Override
            public void room(LocalDate date) {
                HemView.this.room(date);
            }

            @Override
            public void picture(String stone, int steps, ImageView into) {
                HemView.this.picture(stone, steps, into);
            }
        };
    }

    private void take(Bundle bundle) {
        taken = bundle;
        fill();
    }

    private void letGo() {
        foot.show(null);
        take(null);
    }

    /** A stitch let go over a sitting is pinned to it. */
    private void drop(Bundle bundle, double sceneX, double sceneY) {
        for (DayStrip strip : strips) {
            Bounds place = strip.localToScene(strip.getBoundsInLocal());
            if (sceneY >= place.getMinY() && sceneY <= place.getMaxY()) {
                Optional<Span> span = strip.spanAt(sceneX);
                LocalDateTime begins = span.map(s -> strip.date().atTime(s.from())).orElse(null);
                Instant now = model.nowProperty().get();
                if (begins == null || !strip.date().atTime(span.get().from()).atZone(model.zone()).toInstant().plus(span.get().length())
                        .isAfter(now)) {
                    model.tell(begins == null ? "Nobody sits there: add a sitting with +." : "That sitting is over.");
                    return;
                }
                taken = bundle;
                model.pinAndSay(bundle, begins);
                return;
            }
        }
    }

    /** A small picture of a stone after so many steps, as soon as it is drawn. */
    void picture(String stone, int steps, ImageView into) {
        Results.Thumb thumb = results.thumbs().get(stone);
        if (thumb == null) {
            return;
        }
        Results.Moment moment = Results.Moment.after(steps, thumb.picture(), thumb.project().habits().light().from());
        Image known = stills.get(moment);
        if (known != null) {
            into.setImage(known);
            return;
        }
        desk.askLater(new PlanWorker.Line(), d -> d.lit(moment), drawn -> {
            Image image = StoneImage.still(drawn);
            stills.keySet().removeIf(m -> results.thumbs().values().stream().noneMatch(t -> t.picture() == m.of()));
            stills.put(moment, image);
            into.setImage(image);
        });
    }
}
