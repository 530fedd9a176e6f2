package mosspebble.app.buildup;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import mosspebble.app.cloth.ClothTool;
import mosspebble.app.model.Action;
import mosspebble.app.screen.Panel;
import mosspebble.app.screen.Screen;
import mosspebble.app.screen.Surroundings;
import mosspebble.core.finding.Finding.Stage;

/** The painting step by step, habits, and what mends a mistake. */
public final class BuildUpScreen extends Screen {

    /** The card wants room for a sentence that is read with paint on the fingers. */
    private static final double COLUMN = 400;

    /**
     * What is opened from here.
     *
     * @param compare two habits side by side
     * @param hold a photo against the plan
     */
    public record Aside(Runnable compare, Runnable hold) {}

    private final MendModel model;
    private final PaintTool tool;
    private final Aside aside;

    /** @param tool of the slice, which all stages from here on share */
    public BuildUpScreen(Surroundings with, MendModel model, PaintTool tool, Aside aside) {
        super(with, "build-up", "Build-up", Stage.BUILD_UP);
        this.model = model;
        this.tool = tool;
        this.aside = aside;
    }

    @Override
    protected Optional<Panel> makeColumn() {
        return Optional.of(new BuildUpPanel(with.workbench(), with.results(), model, aside));
    }

    @Override
    public double columnWidth() {
        return COLUMN;
    }

    @Override
    public Optional<ClothTool> tool() {
        return Optional.of(tool);
    }

    private void page(BuildUpPanel.Page page) {
        go();
        ((BuildUpPanel) column().orElseThrow()).pageProperty().set(page);
    }

    @Override
    public List<Action> actions() {
        List<Action> all = new ArrayList<>();
        for (BuildUpPanel.Page page : BuildUpPanel.Page.values()) {
            all.add(Action.of("Build-up: " + page.label().toLowerCase(Locale.ROOT), () -> page(page)));
        }
        for (HabitsPage.Matter matter : HabitsPage.Matter.values()) {
            all.add(Action.of("Habits: " + matter.label().toLowerCase(Locale.ROOT), () -> {
                go();
                ((BuildUpPanel) column().orElseThrow()).habits(matter);
            }));
        }
        all.add(Action.of("Light the place in hand", () -> tool.litProperty().set(!tool.litProperty().get())).key("I")
                .where(() -> with.workbench().stageProperty().get() == Stage.BUILD_UP
                        || with.workbench().stageProperty().get() == Stage.SITTING)
                .also("dim", "where", "show", "highlight"));
        all.add(Action.of("Put right a slip of the pen in the middle", () -> {
            page(BuildUpPanel.Page.MEND);
            model.slipOfThePen();
        }).also("mistake", "mend", "repair"));
        return all;
    }
}
