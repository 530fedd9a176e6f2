package mosspebble.app;

import java.nio.file.Path;
import java.util.List;
import java.util.Locale;
import java.util.concurrent.Callable;
import mosspebble.core.colour.Palette;
import mosspebble.core.plan.Finding;
import mosspebble.core.plan.PaintPlan;
import mosspebble.core.plan.Planner;
import mosspebble.core.plan.Project;
import mosspebble.core.sketch.Repertoire;
import mosspebble.core.stone.Survey;
import mosspebble.files.BuiltIn;
import mosspebble.files.FileTrouble;
import mosspebble.files.LanternWalk;
import mosspebble.files.Paper;
import mosspebble.files.PlanJson;
import mosspebble.files.Sheets;
import mosspebble.files.StudioStore;
import picocli.CommandLine;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Option;

/** The command line: the studio by default, {@code demo}, {@code export}, {@code check}. */
@Command(name = "pebble", description = "Moss Pebble plans painted stones.", mixinStandardHelpOptions = true, version = "Moss Pebble 0.1.0",
        subcommands = {Main.Demo.class, Main.Export.class, Main.Check.class})
public final class Main implements Callable<Integer> {

    /** Which studio. */
    static final class Place {
        @Option(names = "--studio", paramLabel = "FILE", description = "studio file (default: your own)")
        private Path studio;

        Path file(boolean demo) {
            if (studio != null) {
                return studio;
            }
            String home = System.getenv("MOSS_PEBBLE_HOME");
            String data = System.getenv("XDG_DATA_HOME");
            Path base = home != null ? Path.of(home) : data != null ? Path.of(data, "moss-pebble") : Path.of(System.getProperty("user.home"), ".local", "share", "moss-pebble");
            return base.resolve(demo ? "demo.pebble" : "studio.pebble");
        }
    }

    /** What shows a window. */
    static final class Window {
        @Option(names = "--shot", paramLabel = "PNG", description = "save a picture of the window once it is ready")
        private Path shot;

        @Option(names = "--once", description = "end after the picture is saved")
        private boolean once;

        @Option(names = "--stage", paramLabel = "STAGE", defaultValue = "STONE", description = "open at ${COMPLETION-CANDIDATES}")
        private Finding.Stage stage;

        @Option(names = "--stone", paramLabel = "ID", description = "open with this stone on the cloth")
        private String stone;

        @Option(names = "--deed", paramLabel = "NAME", description = "then do this, by the name it has in the command field; may be repeated")
        private List<String> deeds = List.of();

        MossPebbleApp.Wish wish(Path studio, boolean demo) {
            return new MossPebbleApp.Wish(studio, demo, shot, once, stage, stone, deeds);
        }
    }

    @Mixin
    private Place place;

    @Mixin
    private Window window;

    public static void main(String[] args) {
        System.setProperty("java.awt.headless", "true");
        System.exit(new CommandLine(new Main()).execute(args));
    }

    @Override
    public Integer call() {
        MossPebbleApp.launchWith(window.wish(place.file(false), false));
        return 0;
    }

    /** The demo studio in a window. */
    @Command(name = "demo", description = "opens the Lantern Walk, a made-up studio", mixinStandardHelpOptions = true)
    static final class Demo implements Callable<Integer> {
        @Mixin
        private Place place;

        @Mixin
        private Window window;

        @Override
        public Integer call() {
            MossPebbleApp.launchWith(window.wish(place.file(true), true));
            return 0;
        }
    }

    /** Sheets and plans without a window. */
    @Command(name = "export", description = "writes the sheets (PDF) and plan (JSON) of every stone", mixinStandardHelpOptions = true)
    static final class Export implements Callable<Integer> {
        @Mixin
        private Place place;

        @Option(names = "--demo", description = "take the demo studio")
        private boolean demo;

        @Option(names = "--to", paramLabel = "FOLDER", defaultValue = ".", description = "where to write (default: here)")
        private Path to;

        @Option(names = "--paper", paramLabel = "PAPER", defaultValue = "A4", description = "A4 or LETTER")
        private Paper paper;

        @Override
        public Integer call() {
            return withPlans(place.file(demo), demo, (plan, store) -> {
                Path sheets = to.resolve(plan.project().id() + "-sheets.pdf");
                Path json = to.resolve(plan.project().id() + "-plan.json");
                Sheets.write(plan, paper, store.studio().unit(), sheets, (fraction, what) -> true);
                PlanJson.write(plan, json);
                System.out.println(plan.project().name() + ": " + sheets + ", " + json);
            });
        }
    }

    /** The findings of every stone. */
    @Command(name = "check", description = "prints the findings of every stone", mixinStandardHelpOptions = true)
    static final class Check implements Callable<Integer> {
        @Mixin
        private Place place;

        @Option(names = "--demo", description = "take the demo studio")
        private boolean demo;

        @Override
        public Integer call() {
            return withPlans(place.file(demo), demo, (plan, store) -> {
                System.out.println(plan.project().name());
                plan.findings().forEach(f -> System.out.println("  " + f.weight().name().toLowerCase(Locale.ROOT) + ": " + f.sentence()));
            });
        }
    }

    private interface Use {
        void of(PaintPlan plan, StudioStore store) throws FileTrouble;
    }

    private static int withPlans(Path file, boolean demo, Use use) {
        Repertoire repertoire = BuiltIn.repertoire();
        try (StudioStore store = StudioStore.open(file, demo ? () -> LanternWalk.studio(repertoire) : LanternWalk::newcomer)) {
            Palette palette = new Palette(store.studio().shelf());
            List<Project> projects = store.studio().projects();
            if (projects.isEmpty()) {
                System.out.println("The studio has no stones yet: " + file);
            }
            for (Project project : projects) {
                use.of(Planner.plan(project, Survey.of(project.stone()), palette, repertoire, store.studio().climate()), store);
            }
            return 0;
        } catch (FileTrouble trouble) {
            System.err.println(trouble.getMessage());
            return 1;
        }
    }
}
