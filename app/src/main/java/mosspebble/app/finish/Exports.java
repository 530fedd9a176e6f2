package mosspebble.app.finish;

import java.nio.file.Path;
import java.util.Locale;
import java.util.Optional;
import javafx.application.Platform;
import javafx.beans.property.DoubleProperty;
import javafx.beans.property.ReadOnlyBooleanProperty;
import javafx.beans.property.ReadOnlyBooleanWrapper;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.beans.property.ReadOnlyStringProperty;
import javafx.beans.property.ReadOnlyStringWrapper;
import javafx.beans.property.SimpleDoubleProperty;
import javafx.concurrent.Task;
import javafx.scene.control.ProgressBar;
import mosspebble.app.model.PlanWorker;
import mosspebble.app.model.Workbench;
import mosspebble.core.plan.PaintPlan;
import mosspebble.core.project.Project;
import mosspebble.core.project.Studio;
import mosspebble.files.FileTrouble;
import mosspebble.files.Journal;
import mosspebble.files.Sheets;

/** Writes and prints what is made from a plan, one thing at a time, with progress, to be stopped at any moment. */
final class Exports {

    /** Makes something of a plan; answers with what is to be said, empty where it was stopped. */
    interface Job {
        Optional<String> run(PaintPlan plan, Sheets.Progress progress) throws FileTrouble;
    }

    /** The same for a file. */
    interface FileJob {
        boolean run(PaintPlan plan, Path file, Sheets.Progress progress) throws FileTrouble;
    }

    private static final String STOPPED = "Stopped; nothing was written.";

    private final Workbench workbench;
    private final PlanWorker desk;
    private final PlanWorker.Line exporting = new PlanWorker.Line();
    private final ReadOnlyStringWrapper said = new ReadOnlyStringWrapper("");
    private final ReadOnlyObjectWrapper<Path> written = new ReadOnlyObjectWrapper<>();
    private final ReadOnlyBooleanWrapper working = new ReadOnlyBooleanWrapper();
    private final DoubleProperty progress = new SimpleDoubleProperty();
    private Path folder = Path.of(System.getProperty("user.home"), "Moss Pebble sheets");
    private Task<?> running;
    private boolean planning;

    Exports(Workbench workbench, PlanWorker desk) {
        this.workbench = workbench;
        this.desk = desk;
    }

    Path folder() {
        return folder;
    }

    void setFolder(Path folder) {
        this.folder = folder;
    }

    /** How the last one ended; empty while one is at work. */
    ReadOnlyStringProperty saidProperty() {
        return said.getReadOnlyProperty();
    }

    /** What was written last; null for nothing. */
    ReadOnlyObjectProperty<Path> writtenProperty() {
        return written.getReadOnlyProperty();
    }

    ReadOnlyBooleanProperty workingProperty() {
        return working.getReadOnlyProperty();
    }

    /** 0 to 1, or below 0 where it is not known. */
    DoubleProperty progressProperty() {
        return progress;
    }

    void say(String words) {
        said.set(words);
    }

    private static String stem(String name) {
        String plain = name.toLowerCase(Locale.ROOT).replaceAll("[^\\p{L}\\p{N}]+", "-").replaceAll("^-|-$", "");
        return plain.isEmpty() ? "stone" : plain;
    }

    /** Writes a file of the stone's name into the folder. */
    void write(String ending, FileJob job) {
        Path into = folder;
        start(project -> {
            Path file = into.resolve(stem(project.name()) + ending);
            return (plan, at) -> {
                if (!job.run(plan, file, at)) {
                    return Optional.empty();
                }
                Platform.runLater(() -> written.set(file));
                return Optional.of("Written: " + file);
            };
        });
    }

    /** Makes something that is no file. */
    void make(Job job) {
        start(project -> job);
    }

    private interface Jobs {
        Job of(Project project);
    }

    /**
     * Works out the plan of the stone on the cloth as it is kept now, whatever the screen shows, and does what is to be done with it under
     * that stone's name.
     */
    private void start(Jobs jobs) {
        cancel();
        Studio studio = workbench.studio();
        Optional<Project> stone = workbench.shown().flatMap(p -> studio.project(p.id()));
        if (stone.isEmpty()) {
            said.set("Put a stone on the cloth first.");
            return;
        }
        Project project = stone.get();
        said.set("");
        written.set(null);
        progress.unbind();
        progress.set(ProgressBar.INDETERMINATE_PROGRESS);
        working.set(true);
        planning = true;
        Job job = jobs.of(project);
        desk.ask(exporting, d -> d.planAside(project, studio), plan -> {
            if (planning) {
                planning = false;
                run(plan, job);
            }
        }, error -> {
            planning = false;
            end(project.name()
                    + " cannot be worked out as it is now, so nothing was written. Undo the last change, or take the last thing off.");
        });
    }

    private void run(PaintPlan plan, Job job) {
        Task<Optional<String>> task = new Task<>() {
            @Override
            protected Optional<String> call() throws FileTrouble {
                return job.run(plan, (fraction, what) -> {
                    updateProgress(fraction, 1);
                    return !isCancelled();
                });
            }
        };
        running = task;
        progress.bind(task.progressProperty());
        task.setOnSucceeded(e -> end(task.getValue().orElse(STOPPED)));
        task.setOnCancelled(e -> end(STOPPED));
        task.setOnFailed(e -> {
            if (!(task.getException() instanceof FileTrouble)) {
                Journal.trouble("writing sheets", task.getException());
            }
            end(task.getException() instanceof FileTrouble trouble ? trouble.getMessage()
                    : "The sheets could not be made: the program stumbled over them. Nothing was written.");
        });
        Thread thread = new Thread(task, "export");
        thread.setDaemon(true);
        thread.start();
    }

    private void end(String words) {
        working.set(false);
        said.set(words);
    }

    void cancel() {
        if (planning) {
            planning = false;
            end(STOPPED);
        }
        if (running != null) {
            running.cancel(false);
        }
    }
}
