package mosspebble.app.model;

import java.util.ArrayList;
import java.util.LinkedList;
import java.util.List;
import java.util.Locale;
import java.util.Objects;
import java.util.Optional;
import java.util.function.UnaryOperator;
import javafx.beans.property.IntegerProperty;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.ReadOnlyBooleanProperty;
import javafx.beans.property.ReadOnlyBooleanWrapper;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.beans.property.ReadOnlyStringProperty;
import javafx.beans.property.ReadOnlyStringWrapper;
import javafx.beans.property.SimpleIntegerProperty;
import javafx.beans.property.SimpleObjectProperty;
import javafx.beans.property.SimpleStringProperty;
import javafx.beans.property.StringProperty;
import mosspebble.core.finding.Finding.Stage;
import mosspebble.core.plan.StoneState;
import mosspebble.core.project.Project;
import mosspebble.core.project.Studio;
import mosspebble.core.sketch.Item;
import mosspebble.files.FileTrouble;

/**
 * The one place where the studio changes. An edit is a function from the old studio to the new one; it is refused, or committed to the
 * store and shown. Undo keeps the studios before; undoing is committed like
 * any edit. An edit that the disk does not take is shown all the same and kept in hand, told as not kept, and tried again until it is. A
 * draft shows a change that is still under the hand and commits nothing.
 */
public final class Workbench {

    /** Where accepted edits are kept. */
    public interface Keeper {
        void commit(Studio studio, String title) throws FileTrouble;
    }

    /**
     * What undo would lead back to.
     *
     * @param stage where the change was made; undo leads back there too
     */
    private record Edit(String title, Studio before, String projectBefore, Stage stage) {
        Edit seen(UnaryOperator<Studio> change) {
            return new Edit(title, change.apply(before), projectBefore, stage);
        }
    }

    private static final int MOST_UNDO = 500;

    private final Keeper keeper;
    private final ReadOnlyObjectWrapper<Studio> studio = new ReadOnlyObjectWrapper<>();
    private final ReadOnlyObjectWrapper<Project> shown = new ReadOnlyObjectWrapper<>();
    private final ReadOnlyStringWrapper undoTitle = new ReadOnlyStringWrapper("");
    private final ReadOnlyStringWrapper redoTitle = new ReadOnlyStringWrapper("");
    private final ReadOnlyStringWrapper notice = new ReadOnlyStringWrapper("");
    private final ObjectProperty<Stage> stage = new SimpleObjectProperty<>(Stage.STONE);
    private final ObjectProperty<StoneState> look = new SimpleObjectProperty<>(StoneState.DRY);
    private final ObjectProperty<SeenBy> seenBy = new SimpleObjectProperty<>(SeenBy.DAY);
    private final StringProperty item = new SimpleStringProperty("");
    private final IntegerProperty step = new SimpleIntegerProperty(Integer.MAX_VALUE);
    private final IntegerProperty coat = new SimpleIntegerProperty();
    private final IntegerProperty held = new SimpleIntegerProperty(-1);
    private final LinkedList<Edit> undo = new LinkedList<>();
    private final LinkedList<Edit> redo = new LinkedList<>();
    private FileTrouble why;
    private final ReadOnlyBooleanWrapper noticeOfTrouble = new ReadOnlyBooleanWrapper();
    private final ReadOnlyStringWrapper unkept = new ReadOnlyStringWrapper("");
    private final List<String> unkeptTitles = new ArrayList<>();
    private String current = "";
    private boolean drafting;

    public Workbench(Studio start, Keeper keeper) {
        this.keeper = keeper;
        step.addListener((o, a, b) -> coat.set(0));
        studio.set(start);
        current = start.projects().isEmpty() ? "" : start.projects().get(0).id();
        show();
    }

    // --- observables

    public ReadOnlyObjectProperty<Studio> studioProperty() {
        return studio.getReadOnlyProperty();
    }

    public Studio studio() {
        return studio.get();
    }

    /** The stone on the cloth, with a draft under the hand if there is one; null when the studio is empty. */
    public ReadOnlyObjectProperty<Project> shownProperty() {
        return shown.getReadOnlyProperty();
    }

    public Optional<Project> shown() {
        return Optional.ofNullable(shown.get());
    }

    public boolean isDrafting() {
        return drafting;
    }

    public ReadOnlyStringProperty undoTitleProperty() {
        return undoTitle.getReadOnlyProperty();
    }

    public ReadOnlyStringProperty redoTitleProperty() {
        return redoTitle.getReadOnlyProperty();
    }

    /** What the painter should be told right now; empty if nothing. */
    public ReadOnlyStringProperty noticeProperty() {
        return notice.getReadOnlyProperty();
    }

    // --- properties of the view

    public ObjectProperty<Stage> stageProperty() {
        return stage;
    }

    public ObjectProperty<StoneState> lookProperty() {
        return look;
    }

    /** By what light the stone is looked at; no matter of the studio. */
    public ObjectProperty<SeenBy> seenByProperty() {
        return seenBy;
    }

    /** Id of the thing of the sketch that is in hand. */
    public StringProperty itemProperty() {
        return item;
    }

    /** The thing of the sketch that is in hand, the front one by default; empty without a sketch. */
    public Optional<Item> itemInHand() {
        return shown().flatMap(Project::sketch).map(s -> s.inHand(item.get()));
    }

    /** Changes the thing in hand. */
    public boolean editItem(String title, UnaryOperator<Item> change) {
        return itemInHand().map(in -> edit(title, p -> p.withSketch(p.sketch().map(s -> s.with(in.id(), change))))).orElse(false);
    }

    /** Shows a change of the thing in hand without committing it. */
    public void draftItem(UnaryOperator<Item> change) {
        itemInHand().ifPresent(in -> draft(p -> p.withSketch(p.sketch().map(s -> s.with(in.id(), change)))));
    }

    /** How many steps of the plan the picture shows; larger than their number means all. */
    public IntegerProperty stepProperty() {
        return step;
    }

    /** Of the last step shown only so many coats; 0 for all of them. */
    public IntegerProperty coatProperty() {
        return coat;
    }

    /** Steps of a moment that is held to compare with; -1 for none. */
    public IntegerProperty heldProperty() {
        return held;
    }

    // --- actions

    public void choose(String project) {
        if (studio().project(project).isPresent()) {
            current = project;
            step.set(Integer.MAX_VALUE);
            held.set(-1);
            show();
        }
    }

    public void tell(String words) {
        noticeOfTrouble.set(false);
        notice.set(words);
    }

    /** Tells of an error of the program itself, about which the log says more. */
    public void tellTrouble(String words) {
        notice.set(words);
        noticeOfTrouble.set(true);
    }

    /** Whether the log says more about what is told. */
    public ReadOnlyBooleanProperty noticeOfTroubleProperty() {
        return noticeOfTrouble.getReadOnlyProperty();
    }

    /** What the disk has not taken yet and why, a sentence; empty while all is kept. */
    public ReadOnlyStringProperty unkeptProperty() {
        return unkept.getReadOnlyProperty();
    }

    /** Tries again to keep what is in hand. */
    public void keepAgain() {
        if (!unkeptTitles.isEmpty()) {
            int count = unkeptTitles.size();
            keep(studio(), unkeptTitles.get(count - 1));
            if (unkeptTitles.isEmpty()) {
                tell(count == 1 ? "The change is kept now." : "All " + count + " changes are kept now.");
            } else {
                unkeptTitles.remove(unkeptTitles.size() - 1); // tried again, not done again
                sayUnkept();
            }
        }
    }

    /** Commits; what the disk does not take stays in hand. */
    private void keep(Studio after, String title) {
        try {
            keeper.commit(after, title);
            unkeptTitles.clear();
            unkept.set("");
        } catch (FileTrouble e) {
            unkeptTitles.add(title);
            why = e;
            sayUnkept();
        }
    }

    private void sayUnkept() {
        int count = unkeptTitles.size();
        unkept.set((count == 1 ? "\"" + unkeptTitles.get(0) + "\" is not kept yet"
                : count + " changes are not kept yet, the last is \"" + unkeptTitles.get(count - 1) + "\"") + ": " + why.reason()
                + (count == 1 ? ". It stays in hand and is tried again every few seconds. "
                        : ". They stay in hand and are tried again every few seconds. ")
                + why.remedy());
    }

    /** Changes the stone on the cloth. */
    public boolean edit(String title, UnaryOperator<Project> change) {
        return editStudio(title, s -> s.edit(current, change));
    }

    /** Adds to the edit just made, such as colours that follow from it: committed, and undone together with it. */
    public void amend(UnaryOperator<Project> change) {
        Studio after = studio().edit(current, change);
        keep(after, "and what follows");
        studio.set(after);
        show();
    }

    /**
     * Changes the studio.
     *
     * @return whether it was accepted; if not, the notice says why and all is as before
     */
    public boolean editStudio(String title, UnaryOperator<Studio> change) {
        Studio before = studio();
        drafting = false;
        try {
            Studio after = change.apply(before);
            if (Objects.equals(before, after)) {
                show();
                return true;
            }
            keep(after, title);
            remember(undo, new Edit(titled(title, before, after), before, current, stage.get()));
            redo.clear();
            studio.set(after);
            tell("");
            show();
            return true;
        } catch (IllegalArgumentException e) {
            tell(e.getMessage());
            show();
            return false;
        }
    }

    /** What undo calls a change: with the value it changed, if it was one and the title does not tell it yet. */
    private String titled(String title, Studio before, Studio after) {
        Optional<String> value = before.project(current)
                .flatMap(one -> after.project(current).flatMap(other -> Values.changed(one, other)));
        return title.chars().anyMatch(Character::isDigit) ? title : value.map(v -> title + ", " + v).orElse(title);
    }

    /** Changes how the studio is looked at, such as the light on the screen: kept like any change, but no matter for undo. */
    public void look(UnaryOperator<Studio> change) {
        Studio before = studio();
        Studio after = change.apply(before);
        keep(after, "How it is looked at");
        undo.replaceAll(edit -> edit.seen(change));
        redo.replaceAll(edit -> edit.seen(change));
        studio.set(after);
        show();
    }

    /** Adds a stone and puts it on the cloth. */
    public void add(Project project) {
        if (editStudio("Add " + project.name(), s -> s.plus(project))) {
            choose(project.id());
        }
    }

    /** Shows a change without committing it. */
    public void draft(UnaryOperator<Project> change) {
        studio().project(current).ifPresent(project -> {
            try {
                Project changed = change.apply(project);
                drafting = true;
                shown.set(changed);
            } catch (IllegalArgumentException e) {
                tell(e.getMessage());
            }
        });
    }

    /** Drops the draft. */
    public void dropDraft() {
        drafting = false;
        show();
    }

    public void undo() {
        swap(undo, redo, "Undo ");
    }

    public void redo() {
        swap(redo, undo, "Redo ");
    }

    private void swap(LinkedList<Edit> from, LinkedList<Edit> to, String verb) {
        if (from.isEmpty()) {
            tell("Nothing to " + verb.trim().toLowerCase(Locale.ROOT) + ".");
            return;
        }
        Edit edit = from.pop();
        keep(edit.before(), verb + edit.title());
        remember(to, new Edit(edit.title(), studio(), current, edit.stage()));
        studio.set(edit.before());
        if (studio().project(edit.projectBefore()).isPresent()) {
            current = edit.projectBefore();
        }
        tell(verb.equals("Undo ") ? "Undone: " + edit.title() : "Done again: " + edit.title());
        drafting = false;
        show();
        stage.set(edit.stage()); // where it can be seen
    }

    private static void remember(LinkedList<Edit> stack, Edit edit) {
        stack.push(edit);
        if (stack.size() > MOST_UNDO) {
            stack.removeLast();
        }
    }

    private void show() {
        if (studio().project(current).isEmpty()) {
            current = studio().projects().isEmpty() ? "" : studio().projects().get(0).id();
        }
        shown.set(studio().project(current).orElse(null));
        undoTitle.set(undo.isEmpty() ? "" : undo.peek().title());
        redoTitle.set(redo.isEmpty() ? "" : redo.peek().title());
    }
}
