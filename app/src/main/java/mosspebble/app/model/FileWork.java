package mosspebble.app.model;

import java.util.concurrent.Executor;
import java.util.function.Consumer;
import javafx.beans.property.ReadOnlyStringProperty;
import javafx.beans.property.ReadOnlyStringWrapper;
import mosspebble.files.FileTrouble;
import mosspebble.files.Journal;

/**
 * Reads and writes files away from the interface thread: says what it is at, can be stopped, and answers where it was asked. One thing at a
 * time; a newer one stops the one before.
 */
public final class FileWork {

    /** What is done with a file. */
    public interface Work<T> {
        T run() throws FileTrouble;
    }

    private final Workbench workbench;
    private final Executor workers;
    private final Executor answers;
    private final ReadOnlyStringWrapper at = new ReadOnlyStringWrapper("");
    private volatile Thread worker;
    private volatile Object newest;

    /**
     * @param workers where the work is done, such as a thread of its own for each
     * @param answers where answers are given, such as the interface thread
     */
    public FileWork(Workbench workbench, Executor workers, Executor answers) {
        this.workbench = workbench;
        this.workers = workers;
        this.answers = answers;
    }

    /** A thread for each thing, which does not keep the program alive. */
    public static Executor aside() {
        return work -> {
            Thread thread = new Thread(work, "files");
            thread.setDaemon(true);
            thread.start();
        };
    }

    /** What is being done, such as "Reading kite.svg"; empty for nothing. */
    public ReadOnlyStringProperty atProperty() {
        return at.getReadOnlyProperty();
    }

    /**
     * Does something with a file.
     *
     * @param what said meanwhile
     * @param done told of the result; trouble is told to the painter
     */
    public <T> void run(String what, Work<T> work, Consumer<T> done) {
        stop();
        at.set(what);
        Object mine = new Object();
        newest = mine;
        workers.execute(() -> {
            if (newest != mine) {
                return;
            }
            worker = Thread.currentThread();
            try {
                T result = work.run();
                answer(mine, () -> done.accept(result));
            } catch (FileTrouble e) {
                answer(mine, () -> workbench.tell(e.getMessage()));
            } catch (RuntimeException | Error e) {
                Journal.trouble("working with a file", e);
                answer(mine, () -> workbench.tellTrouble(what + " failed: the program stumbled over it. Nothing was changed."));
            }
        });
    }

    /** Says how far it is; from the work itself. */
    public void at(String words) {
        Object mine = newest;
        answers.execute(() -> {
            if (mine != null && newest == mine) {
                at.set(words);
            }
        });
    }

    private void answer(Object mine, Runnable told) {
        answers.execute(() -> {
            if (newest == mine) {
                newest = null;
                worker = null;
                at.set("");
                told.run();
            }
        });
    }

    /** Stops what is being done; nothing of it is taken over. */
    public void stop() {
        Thread working = worker;
        newest = null;
        worker = null;
        if (working != null && working != Thread.currentThread()) {
            working.interrupt();
        }
        at.set("");
    }
}
