package mosspebble.app.screen;

import mosspebble.app.model.FileWork;
import mosspebble.app.model.Navigator;
import mosspebble.app.model.PlanWorker;
import mosspebble.app.model.Results;
import mosspebble.app.model.Workbench;

/**
 * What every screen stands in.
 *
 * @param toCloth gives the cloth the focus
 */
public record Surroundings(Workbench workbench, Results results, PlanWorker worker, FileWork files, Navigator navigator, Runnable toCloth) {

    /** Back to the cloth, which gets the focus. */
    public void back() {
        navigator.back();
        toCloth.run();
    }
}
