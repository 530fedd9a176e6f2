package mosspebble.app.buildup;

import java.util.List;
import java.util.Locale;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.SimpleObjectProperty;
import mosspebble.app.control.Choice;
import mosspebble.app.model.Results;
import mosspebble.app.model.Workbench;
import mosspebble.app.screen.PagePlace;
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
    private final PagePlace<Page> place;

    public BuildUpPanel(Workbench workbench, Results show, MendModel mend, BuildUpScreen.Aside aside) {
        super(workbench, show);
        place = placeFor(List.of(Page.values()), p -> switch (p) {
            case STEPS -> new CardPage(this);
            case LIST -> new StepsPage(this);
            case HABITS -> new HabitsPage(this, aside.compare());
            case MEND -> new MendPage(this, mend, aside.hold());
        });
        Choice<Page> pages = Choice.pages(page::set);
        for (Page p : Page.values()) {
            pages.option("build-" + p.name().toLowerCase(Locale.ROOT), p.label, p, p.tooltip);
        }
        getChildren().addAll(pages, place);
        page.addListener((o, a, b) -> refresh());
        onRefresh(() -> {
            pages.show(page.get());
            mend.pointingProperty().set(page.get() == Page.MEND);
            place.show(page.get());
        });
    }

    /** Turns to habits of one kind. */
    public void habits(HabitsPage.Matter matter) {
        page.set(Page.HABITS);
        ((HabitsPage) place.page(Page.HABITS)).show(matter);
    }

    public ObjectProperty<Page> pageProperty() {
        return page;
    }
}
