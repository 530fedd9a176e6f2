package mosspebble.torture;

import java.util.ArrayList;
import java.util.List;
import mosspebble.core.area.Remembered;
import mosspebble.core.colour.Palette;
import mosspebble.core.plan.PaintPlan;
import mosspebble.core.project.Project;
import mosspebble.core.project.Studio;
import mosspebble.core.project.Workshop;
import mosspebble.core.sketch.Repertoire;
import mosspebble.core.stone.Survey;
import mosspebble.files.BuiltIn;
import mosspebble.files.LanternWalk;

/** Plans of whatever the records accept: none may fail, none may take for ever. */
final class Plans {

    /** A plan from nothing of what nobody would paint may take this long, ms. */
    private static final long SLOW_MS = 10_000;

    private Plans() {}

    static void run(Tally tally, long seed, long until, int most) {
        Repertoire repertoire = BuiltIn.repertoire();
        Tally.Row row = tally.row("planner, random sketches");
        Edits edits = new Edits(seed);
        Studio studio = LanternWalk.studio(repertoire);
        for (int i = 0; i < most && System.currentTimeMillis() < until; i++) {
            Studio before = studio;
            studio = edits.next(studio).after();
            for (Project project : studio.projects()) {
                if (!before.project(project.id()).equals(studio.project(project.id()))) {
                    plan(project, studio, repertoire, row, tally, seed + " edit " + i);
                }
            }
        }
    }

    private static void plan(Project project, Studio studio, Repertoire repertoire, Tally.Row row, Tally tally, String name) {
        row.runs++;
        long from = System.nanoTime();
        List<Throwable> troubled = new ArrayList<>();
        try {
            PaintPlan plan = mosspebble.core.rules.Plans.plan(project, Survey.of(project.stone()),
                    new Workshop(new Palette(studio.shelf()), repertoire, studio.climate(), studio.known()), new Remembered(),
                    troubled::add);
            row.acknowledged += plan.steps().size();
        } catch (RuntimeException | StackOverflowError | OutOfMemoryError e) {
            row.lost++;
            tally.fault("no plan at all, seed " + name + ": " + e);
        }
        for (Throwable each : troubled) {
            row.unclear++;
            tally.fault("a thing was left out, seed " + name + ": " + each + " at " + (each.getStackTrace().length > 0 ? where(each) : "?")
                    + " of " + project.sketch().map(Object::toString).orElse(""));
        }
        long ms = (System.nanoTime() - from) / 1_000_000;
        row.slowestMs = Math.max(row.slowestMs, ms);
        if (ms > SLOW_MS) {
            row.slow++;
            tally.fault(ms + " ms, seed " + name + ": " + project.stone().length() + " x " + project.stone().width() + " "
                    + project.sketch().map(Object::toString).orElse(""));
        }
    }

    private static String where(Throwable e) {
        for (StackTraceElement frame : e.getStackTrace()) {
            if (frame.getClassName().startsWith("mosspebble")) {
                return frame.toString();
            }
        }
        return e.getStackTrace()[0].toString();
    }
}
