package mosspebble.app.finish;

import java.time.Clock;
import java.util.List;
import java.util.Optional;
import javafx.scene.control.Label;
import mosspebble.app.control.Choice;
import mosspebble.app.control.Entry;
import mosspebble.app.screen.PageView;
import mosspebble.app.screen.Panel;
import mosspebble.core.care.Plaque;
import mosspebble.core.care.SealHours;
import mosspebble.core.stone.StoneFacts;
import mosspebble.core.units.Words;
import mosspebble.core.words.CareWords;
import mosspebble.core.words.SealWords;

/** Where it will live, why it is sealed so, and when there is weather for it. */
final class SealPage extends PageView {

    private final Panel panel;
    private final FinishModel model;
    private final Choice<Boolean> place;
    private final Label sealing = new Label();
    private final Label when = Panel.quiet("");
    private final Label plaque = Panel.quiet("");
    private List<SealHours.Hour> hours = List.of();
    private String typed = "";

    SealPage(Panel panel, FinishModel model, Clock clock) {
        this.panel = panel;
        this.model = model;
        place = new Choice<>("It will live", o -> panel.edit(o ? "Outdoors" : "Indoors", p -> p.withHabits(p.habits().withOutdoors(o))));
        place.option("live-outdoors", "outdoors", true, "Garden, doorstep, left to be found").option("live-indoors", "indoors", false,
                "Shelf, window sill, gift");
        sealing.setWrapText(true);
        sealing.setId("sealing");
        when.setId("seal-hours");
        Entry forecast = new Entry("forecast", "Forecast: hour, °C, % damp, rain",
                "Such as 9 14 80, 12 19 60, 15 21 50: when all coats can be laid", () -> typed, text -> {
                    try {
                        hours = text.isBlank() ? List.of() : SealHours.parse(text);
                        typed = text.strip();
                        refresh();
                        return Optional.empty();
                    } catch (IllegalArgumentException e) {
                        return Optional.of(Words.sentence(e.getMessage()));
                    }
                });
        getChildren().addAll(place, sealing, forecast, when, Panel.heading("On a plaque"), plaque);
    }

    @Override
    public void refresh() {
        if (panel.project().isEmpty()) {
            return;
        }
        place.show(model.outdoors());
        sealing.setText(SealWords.reason(model.advice()));
        Panel.present(when, !hours.isEmpty());
        when.setText(hours.isEmpty() ? "" : SealWords.hours(hours, model.advice(), model.advice().kind().isLaidInTheOpen()));
        StoneFacts facts = panel.show.plan() == null ? null : panel.show.plan().survey().facts();
        plaque.setText(facts == null ? "" : CareWords.plaque(Plaque.of(facts.weight().value(), facts.backMm2(),
                panel.stone().flatBack() ? 0 : panel.stone().backDepthMm())));
    }
}
