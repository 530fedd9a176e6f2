package mosspebble.app.sitting;

import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.List;
import java.util.Optional;
import javafx.scene.control.Menu;
import javafx.scene.control.MenuButton;
import javafx.scene.control.MenuItem;
import mosspebble.app.control.Hint;
import mosspebble.app.model.Workbench;
import mosspebble.core.project.Diary;
import mosspebble.core.project.Project;
import mosspebble.core.words.TimetableWords;

/** What the stone in hand waits for before pencil and paint begin: nothing, another stone, a day. */
final class WaitsMenu extends MenuButton {

    private static final int DAYS = 14;
    private static final double WIDEST = 276;

    private final Workbench workbench;
    private final SittingModel model;

    WaitsMenu(Workbench workbench, SittingModel model) {
        this.workbench = workbench;
        this.model = model;
        setId("waits");
        getStyleClass().addAll("pebble", "line-menu", "shortened"); // names are a painter's own
        setMaxWidth(WIDEST);
        getItems().add(new MenuItem("for nothing")); // the others are made when the menu is opened
        setOnShowing(e -> workbench.shown().ifPresent(this::offer));
    }

    void refresh() {
        Diary.Terms terms = workbench.shown().map(p -> model.diary().terms(p.id())).orElse(Diary.Terms.NONE);
        setDisable(workbench.shown().isEmpty());
        boolean waits = terms.after().isPresent() || terms.from().isPresent();
        setText(TimetableWords.waitsFor(terms, model::name));
        getStyleClass().remove("flat");
        if (!waits) {
            getStyleClass().add("flat");
        }
        String words = TimetableWords.waits(terms, model::name).orElse("It is begun as soon as there is time");
        setAccessibleText(words);
        Hint.on(this, words);
    }

    private void offer(Project stone) {
        String id = stone.id();
        String name = stone.name();
        Diary diary = model.diary();
        MenuItem nothing = item("waits-nothing", "for nothing",
                () -> model.edit(name + " waits for nothing", d -> d.withFrom(id, Optional.empty())));
        Menu stones = new Menu("until a stone is painted");
        List<Project> others = workbench.studio().projects().stream().filter(p -> diary.mayWait(id, p.id())).toList();
        others.forEach(p -> stones.getItems().add(item("waits-" + p.id(), p.name(), () -> model.edit(name + " waits for " + p.name(),
                d -> d.withAfter(id, p.id())))));
        stones.setDisable(others.isEmpty());
        Menu days = new Menu("until a day");
        LocalDate today = LocalDate.ofInstant(model.nowProperty().get(), model.zone());
        for (int k = 1; k <= DAYS; k++) {
            LocalDateTime day = today.plusDays(k).atStartOfDay();
            days.getItems().add(item("waits-day-" + k, TimetableWords.day(day.toLocalDate()),
                    () -> model.edit(name + " waits", d -> d.withFrom(id, Optional.of(day)))));
        }
        getItems().setAll(nothing, stones, days);
    }

    private static MenuItem item(String id, String words, Runnable chosen) {
        MenuItem item = new MenuItem(words);
        item.setId(id);
        item.setOnAction(e -> chosen.run());
        return item;
    }
}
