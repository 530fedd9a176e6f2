package mosspebble.app.screen;

import java.util.Locale;
import java.util.Optional;
import java.util.function.Supplier;
import java.util.function.UnaryOperator;
import javafx.scene.layout.VBox;
import mosspebble.app.control.Choice;
import mosspebble.app.control.Entry;
import mosspebble.core.stone.Origin;

/** Where a stone was found, whether it might be taken, and what else is worth knowing of that. */
public final class OriginFields extends VBox {

    /** Takes a change of the origin; a sentence where it is refused. */
    public interface Commit {
        Optional<String> of(String title, UnaryOperator<Origin> change);
    }

    private final Supplier<Origin> origin;
    private final Entry where;
    private final Entry note;
    private final Choice<Origin.Taking> taking;

    /** @param id with which the ids of the fields begin */
    public OriginFields(String id, Supplier<Origin> origin, Commit commit) {
        super(8);
        this.origin = origin;
        where = new Entry(id + "-where", "Found", "Where the stone was found", () -> origin.get().where(),
                text -> commit.of("Where it was found", o -> o.with(text.strip(), o.taking(), o.note())));
        taking = new Choice<>("Taking it was", t -> commit.of("Taking", o -> o.with(o.where(), t, o.note())));
        for (Origin.Taking each : Origin.Taking.values()) {
            taking.option(id + "-taking-" + each.name().toLowerCase(Locale.ROOT), each.label(), each,
                    "Ask the land owner; protected beaches and parks forbid it, local rules come first");
        }
        note = new Entry(id + "-note", "Note", "What else is worth knowing", () -> origin.get().note(),
                text -> commit.of("Note", o -> o.with(o.where(), o.taking(), text.strip())));
        getChildren().addAll(where, taking, note);
        refresh();
    }

    public void refresh() {
        where.refresh();
        note.refresh();
        taking.show(origin.get().taking());
    }
}
