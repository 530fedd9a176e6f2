package mosspebble.app.shell;

import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import java.util.function.Consumer;
import javafx.scene.control.ContextMenu;
import javafx.scene.control.MenuItem;
import mosspebble.app.model.Action;
import mosspebble.app.model.Workbench;
import mosspebble.core.project.Again;
import mosspebble.core.project.Project;
import mosspebble.core.project.Studio;

/** More stones like one that is in hand: a series, or one to practise on. */
final class MoreLikeIt {

    /** How many more are offered; any other number is reached by asking twice. */
    private static final List<Integer> OFFERED = List.of(1, 2, 3, 5, 11);

    private final Workbench workbench;

    MoreLikeIt(Workbench workbench) {
        this.workbench = workbench;
    }

    /** For the stone on the cloth, by name. */
    List<Action> actions() {
        List<Action> all = new ArrayList<>();
        for (int more : OFFERED) {
            all.add(Action.of(title(more), () -> ofShown(id -> series(id, more))).also("series", "copy", "alike", "duplicate", "batch"));
        }
        all.add(Action.of("A stone to practise on", () -> ofShown(this::practice)).also("trial", "try out", "rehearse"));
        return all;
    }

    private void ofShown(Consumer<String> deed) {
        workbench.shown().map(Project::id).ifPresentOrElse(deed, () -> workbench.tell("Put a stone on the cloth first."));
    }

    private static String title(int more) {
        return more == 1 ? "One more stone like it" : more + " more stones like it";
    }

    /** What a stone in the tray offers when it is asked. */
    ContextMenu menu(String id) {
        ContextMenu menu = new ContextMenu();
        for (int more : OFFERED) {
            menu.getItems().add(item("more-" + more, title(more), () -> series(id, more)));
        }
        menu.getItems().add(item("more-practice", "A stone to practise on", () -> practice(id)));
        return menu;
    }

    private static MenuItem item(String id, String title, Runnable run) {
        MenuItem item = new MenuItem(title);
        item.setId(id);
        item.setOnAction(e -> run.run());
        return item;
    }

    private List<String> names() {
        return workbench.studio().projects().stream().map(Project::name).toList();
    }

    private static String id() {
        return "stone-" + UUID.randomUUID();
    }

    private void series(String id, int more) {
        workbench.studio().project(id).ifPresent(first -> {
            List<Project> alike = Again.series(first, more, names(), MoreLikeIt::id);
            boolean done = workbench.editStudio(title(more), s -> {
                for (Project each : alike) {
                    s = s.plus(each);
                }
                return s;
            });
            if (done) {
                workbench.tell((more == 1 ? "One more stone" : more + " more stones") + " like " + first.name()
                        + ". Measure them if they are not alike; Sitting lets them share a mix where it can.");
            }
        });
    }

    /** With a stone that waits until the one to practise on is painted, unless it waits for something already. */
    private static Studio waiting(Studio studio, String stone, String practice) {
        return studio.diary().terms(stone).after().isPresent() ? studio
                : studio.withDiary(studio.diary().withAfter(stone, practice));
    }

    private void practice(String id) {
        workbench.studio().project(id).ifPresent(first -> {
            Project practice = Again.practice(first, names(), MoreLikeIt::id);
            if (workbench.editStudio("Add " + practice.name(), s -> waiting(s.plus(practice), id, practice.id()))) {
                workbench.choose(practice.id());
            }
            workbench.tell(practice.name() + ": plain, indoors and not sealed; in Sitting " + first.name()
                    + " waits until it is painted. Measure the stone you have for it.");
        });
    }
}
