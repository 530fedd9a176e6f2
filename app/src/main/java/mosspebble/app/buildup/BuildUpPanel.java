package mosspebble.app.buildup;

import java.util.Locale;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.SimpleObjectProperty;
import javafx.scene.layout.VBox;
import mosspebble.app.control.Choice;
import mosspebble.app.model.Results;
import mosspebble.app.model.Workbench;
import mosspebble.app.screen.PageView;
import mosspebble.app.screen.Panel;

/** The build-up: the steps in their order, the habits that shape them, and what to do when something went wrong. */
public final class BuildUpPanel extends Panel {

    /** What is shown. */
    public enum Page {
        STEPS("In hand", "The pass in hand: what to do, with what, how long, and why"),
        LIST("All passes", "What is painted when; the order can be changed"),
        HABITS("Habits", "How you work; the plan follows"),
        MEND("Put it right", "Point at a mistake and learn how to mend it");

        private final String label;
        private final String tooltip;

        Page(String label, String tooltip) {
            this.label = label;
            this.tooltip = tooltip;
        }

        public String label() {
            return label;
        }
    }

    private final ObjectProperty<Page> page = new SimpleObjectProperty<>(Page.STEPS);
    private final HabitsPage habits;

    public BuildUpPanel(Workbench workbench, Results show, MendModel mend, BuildUpScreen.Aside aside) {
        super(workbench, show);
        CardPage card = new CardPage(this);
        StepsPage steps = new StepsPage(this);
        habits = new HabitsPage(this, aside.compare());
        MendPage mending = new MendPage(this, mend, aside.hold());
        VBox place = new VBox();
        Choice<Page> pages = Choice.pages(page::set);
        for (Page p : Page.values()) {
            pages.option("build-" + p.name().toLowerCase(Locale.ROOT), p.label, p, p.tooltip);
        }
        getChildren().addAll(pages, place);
        page.addListener((o, a, b) -> refresh());
        onRefresh(() -> {
            pages.show(page.get());
            PageView matter = switch (page.get()) {
                case STEPS -> card;
                case LIST -> steps;
                case HABITS -> habits;
                case MEND -> mending;
            };
            if (!place.getChildren().contains(matter)) {
                place.getChildren().setAll(matter);
            }
            mend.pointingProperty().set(page.get() == Page.MEND);
            matter.refresh();
        });
    }

    /** Turns to habits of one kind. */
    public void habits(HabitsPage.Matter matter) {
        page.set(Page.HABITS);
        habits.show(matter);
    }

    public ObjectProperty<Page> pageProperty() {
        return page;
    }
}
