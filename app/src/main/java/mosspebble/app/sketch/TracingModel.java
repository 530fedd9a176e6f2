package mosspebble.app.sketch;

import java.util.Optional;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import mosspebble.app.model.PlanWorker;
import mosspebble.app.model.Workbench;
import mosspebble.core.project.Project;
import mosspebble.core.project.Studio;
import mosspebble.core.project.Tracing;
import mosspebble.core.sketch.OwnFile;
import mosspebble.core.units.Numbers;
import mosspebble.files.FileTrouble;
import mosspebble.files.OwnFiles;

/** The tracing paper: takes a thing or all of a face from one stone and lays it on another, fitted as it was to its own. */
public final class TracingModel {

    /** Sizes that differ by less are the same to the eye. */
    private static final double HARDLY = 0.005;

    private final Workbench workbench;
    private final PlanWorker desk;
    private final PlanWorker.Line laying = new PlanWorker.Line();
    private final ReadOnlyObjectWrapper<Tracing> tracing = new ReadOnlyObjectWrapper<>();

    public TracingModel(Workbench workbench, PlanWorker desk) {
        this.workbench = workbench;
        this.desk = desk;
    }

    /** What is on the paper; null for nothing. */
    public ReadOnlyObjectProperty<Tracing> tracingProperty() {
        return tracing.getReadOnlyProperty();
    }

    /** Traces the thing in hand, and its group with it. */
    public void traceThing() {
        take(workbench.shown().flatMap(p -> Tracing.of(p, workbench.itemProperty().get())));
    }

    /** Traces all that is on the face. */
    public void traceAll() {
        take(workbench.shown().flatMap(Tracing::of));
    }

    private void take(Optional<Tracing> taken) {
        if (taken.isEmpty()) {
            workbench.tell("Nothing is on the stone that could be traced.");
            return;
        }
        tracing.set(taken.get());
        workbench.tell("Traced, with its colours. Take up another stone and lay it on there.");
    }

    /** Takes up a tracing that was kept and lays it on the stone on the cloth. */
    public void layOn(OwnFile kept) {
        try {
            tracing.set(OwnFiles.tracing(kept));
            layOn();
        } catch (FileTrouble e) {
            workbench.tell(e.getMessage());
        }
    }

    /** Keeps what is on the paper under a name, for good. */
    void keep(String name) {
        Tracing paper = tracing.get();
        if (name.isBlank()) {
            workbench.tell("A tracing is kept by a name. Type one.");
        } else if (paper != null && workbench.editStudio("Keep a tracing", s -> s.plus(OwnFiles.kept(paper, name, s)))) {
            workbench.tell("\"" + name.strip() + "\" is kept with the studio. It lies in the library, under Your tracings.");
        }
    }

    /** Puts the paper away. */
    public void putAway() {
        tracing.set(null);
    }

    /** Lays what is on the paper on the stone on the cloth; the paper can be used again. */
    public void layOn() {
        Tracing paper = tracing.get();
        Project target = workbench.shown().orElse(null);
        if (paper == null || target == null) {
            workbench.tell(
                    paper == null ? "Nothing is on the tracing paper yet. Trace something first." : "Put a stone on the cloth first.");
            return;
        }
        Studio studio = workbench.studio();
        desk.ask(laying, d -> paper.laidOn(target, d.repertoire(studio)), laid -> {
            if (!workbench.shown().equals(Optional.of(target))) {
                workbench.tell("The stone was changed meanwhile. Lay the tracing on once more.");
            } else if (workbench.edit("Lay the tracing on", p -> laid.project())) {
                workbench.itemProperty().set(laid.added().get(laid.added().size() - 1));
                workbench.tell("Traced from " + paper.name() + ", it lies here " + size(laid.size()) + ".");
            }
        }, error -> workbench.tell(error instanceof IllegalArgumentException ? error.getMessage()
                : "The tracing could not be laid on this stone."));
    }

    /** How large it lies on the other stone, to be read after "lies here". */
    public static String size(double size) {
        return Math.abs(size - 1) < HARDLY ? "at the same size" : "at " + Numbers.text(size, 2) + " of its size";
    }
}
