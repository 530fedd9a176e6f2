package mosspebble.app.screen;

import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import java.util.function.Supplier;
import java.util.function.UnaryOperator;
import java.util.stream.Stream;
import javafx.scene.Group;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.VBox;
import mosspebble.app.control.Hint;
import mosspebble.app.control.Entry;
import mosspebble.app.control.Lines;
import mosspebble.app.control.TextSize;
import mosspebble.app.model.Results;
import mosspebble.app.model.Workbench;
import mosspebble.core.project.Project;
import mosspebble.core.project.Studio;
import mosspebble.core.stone.Stone;
import mosspebble.core.units.LengthText;
import mosspebble.core.units.Millimetres;
import mosspebble.core.units.UnitTextException;
import mosspebble.core.units.Numbers;

/** What belongs to one stage, in one column; refreshed whenever the stone on the cloth or its plan changes. */
public abstract class Panel extends VBox {

    /** A window lower than that, px, leaves a column less than it is made for. */
    private static final double LOW = 760;

    public final Workbench workbench;
    public final Results show;
    private final List<Runnable> refreshers = new ArrayList<>();
    private final List<PagePlace<?>> places = new ArrayList<>();
    private Node besideTitle = new Group();

    /** Whether a window of this height is low for words of this size, so that what can wait behind a press does. @param height px */
    public static boolean isLow(double height, Studio studio) {
        return height / TextSize.of(studio) < LOW;
    }

    public Panel(Workbench workbench, Results show) {
        this.workbench = workbench;
        this.show = show;
        getStyleClass().add("panel");
    }

    public final Optional<Project> project() {
        return workbench.shown();
    }

    public final Stone stone() {
        return project().map(Project::stone).orElseGet(Stone::cobble);
    }

    public final void edit(String title, UnaryOperator<Project> change) {
        workbench.edit(title, change);
    }

    /** Does an edit that came from a field; answers with the reason if it was refused. */
    public final Optional<String> tryEdit(String title, UnaryOperator<Project> change) {
        if (workbench.edit(title, change)) {
            return Optional.empty();
        }
        String reason = workbench.noticeProperty().get();
        workbench.tell("");
        return Optional.of(reason);
    }

    /** Takes a length that was typed; answers with the reason if it is refused. */
    public interface TakeLength {
        Optional<String> take(Millimetres value);
    }

    public final Entry lengthEntry(String id, String name, String tooltip, Supplier<Millimetres> get, TakeLength take) {
        return new Entry(id, name, tooltip, () -> LengthText.number(get.get(), workbench.studio().unit()), text -> length(text, take));
    }

    /** Takes a length from what was typed; answers with the reason if it is none. */
    public final Optional<String> length(String text, TakeLength take) {
        try {
            return take.take(LengthText.parse(text, workbench.studio().unit()));
        } catch (UnitTextException e) {
            return Optional.of(e.getMessage());
        }
    }

    /** Takes a plain number that was typed. */
    public interface TakeNumber {
        Optional<String> take(double value);
    }

    /** @param example what could be written, for the answer to something else */
    public static Optional<String> number(String text, String example, TakeNumber take) {
        try {
            double value = Numbers.parse(text.strip().replaceAll("\\s*(g|°|%|s|h|ml)$", ""));
            return Double.isFinite(value) ? take.take(value) : Optional.of("Write a number such as " + example + ".");
        } catch (NumberFormatException e) {
            return Optional.of("\"" + text.strip() + "\" is not a number. Write something like " + example + ".");
        } catch (IllegalArgumentException e) {
            return Optional.of(e.getMessage());
        }
    }

    /** What stands beside the title of its stage. */
    public final Node besideTitle() {
        return besideTitle;
    }

    protected final void besideTitle(Node node) {
        besideTitle = node;
    }

    /** A place for its pages. @param all everything there is a page for @param making makes one */
    protected final <P> PagePlace<P> placeFor(Collection<P> all, Function<P, PageView> making) {
        PagePlace<P> place = new PagePlace<>(all, making);
        places.add(place);
        return place;
    }

    /** Its pages, each made when it is asked for. */
    public final Stream<Supplier<PageView>> pages() {
        return places.stream().flatMap(PagePlace::pages);
    }

    public final void onRefresh(Runnable refresher) {
        refreshers.add(refresher);
    }

    public final void refresh() {
        refreshers.forEach(Runnable::run);
    }

    public static Label heading(String words) {
        Label label = new Label(words);
        label.getStyleClass().add("heading");
        return label;
    }

    public static Label quiet(String words) {
        Label label = new Label(words);
        label.getStyleClass().add("quiet");
        label.setWrapText(true);
        return label;
    }

    public static Button button(String id, String words, String tooltip, Runnable action) {
        Button button = new Button(words);
        button.setId(id);
        button.getStyleClass().add("pebble");
        Hint.on(button, tooltip);
        button.setOnAction(e -> action.run());
        return button;
    }

    /** Words in lines that are wider where the column is. @param width of the lines with words of the usual size, px */
    public final Lines lines(String words, double width) {
        return new Lines(words, () -> width * TextSize.column(workbench.studio()));
    }

    public static void present(Node node, boolean present) {
        node.setVisible(present);
        node.setManaged(present);
    }
}
