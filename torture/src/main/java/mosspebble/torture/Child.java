package mosspebble.torture;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.function.Supplier;
import mosspebble.core.colour.Palette;
import mosspebble.core.drying.Climate;
import mosspebble.core.plan.PaintPlan;
import mosspebble.core.project.Project;
import mosspebble.core.project.Studio;
import mosspebble.core.rules.Plans;
import mosspebble.core.stone.Stone;
import mosspebble.core.stone.Survey;
import mosspebble.core.units.LengthUnit;
import mosspebble.files.BuiltIn;
import mosspebble.files.FileTrouble;
import mosspebble.files.LanternWalk;
import mosspebble.files.Paper;
import mosspebble.files.PlanJson;
import mosspebble.files.Sheets;
import mosspebble.files.StudioStore;

/** What is run in a process of its own to be killed: says on its output what it has done, a line at a time. */
final class Child {

    private Child() {}

    /** Modes: {@code edit FILE SEED MOST}, {@code open FILE}, {@code export FOLDER}. */
    public static void main(String[] args) throws Exception {
        switch (args[0]) {
            case "edit" -> edit(Path.of(args[1]), Long.parseLong(args[2]), Integer.parseInt(args[3]));
            case "open" -> open(Path.of(args[1]));
            case "export" -> export(Path.of(args[1]));
            default -> throw new IllegalArgumentException(args[0]);
        }
    }

    /** The demo, worked out once. */
    static Supplier<Studio> fresh() {
        return () -> Demo.STUDIO;
    }

    private static final class Demo {
        private static final Studio STUDIO = LanternWalk.studio(BuiltIn.repertoire());
    }

    static void say(String words) {
        System.out.println(words);
        System.out.flush();
    }

    /** Edits and says so after each commit. */
    private static void edit(Path file, long seed, int most) throws FileTrouble {
        try (StudioStore store = StudioStore.open(file, fresh())) {
            Edits edits = new Edits(seed);
            Studio studio = store.studio();
            say("begin");
            for (int i = 1; i <= most; i++) {
                studio = edits.next(studio).after();
                store.commit(studio, "edit " + i);
                say("ack " + i);
            }
        }
        say("end");
    }

    /** Opens and stays open until it is killed or its input ends. */
    private static void open(Path file) throws Exception {
        Studio newcomer = LanternWalk.newcomer(); // ready before the start that is to be hit
        say("begin");
        try (StudioStore store = StudioStore.open(file, () -> newcomer)) {
            say("open " + store.studio().projects().size());
            while (System.in.read() >= 0) {
                continue;
            }
        } catch (FileTrouble e) {
            say(e.passes() ? "in use" : "trouble " + e.getMessage());
        }
    }

    /** Writes sheets and plans over and over. */
    private static void export(Path folder) throws Exception {
        Project stone = Project.begin("stone", "Stone", Stone.cobble()); // a plan of few steps: it is the writing that is to be hit
        PaintPlan plan = Plans.plan(stone, Survey.of(stone.stone()), new Palette(LanternWalk.shelf()), BuiltIn.repertoire(),
                Climate.room());
        Files.createDirectories(folder);
        say("begin");
        for (int i = 1;; i++) {
            PlanJson.write(plan, folder.resolve("plan.json"));
            say("ack " + i);
            Sheets.write(plan, Paper.A4, LengthUnit.MM, folder.resolve("sheets.pdf"), (fraction, what) -> true);
            say("ack " + i);
        }
    }
}
