package mosspebble.app.screen;

import java.time.Clock;
import mosspebble.app.model.FileWork;
import mosspebble.app.model.Navigator;
import mosspebble.app.model.PlanWorker;
import mosspebble.app.model.Results;
import mosspebble.app.model.Workbench;

/**
 * What every screen stands in.
 *
 * @param toCloth gives the cloth the focus
 * @param clock what time it is, and where
 */
public record Surroundings(Workbench workbench, Results results, PlanWorker worker, FileWork files, Navigator navigator, Runnable toCloth,
        Clock clock) {

    /** Back to the cloth, which gets the focus. */
    public void back() {
        navigator.back();
        toCloth.run();
    }
}
