package mosspebble.app;

import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.ZoneId;
import java.time.temporal.ChronoUnit;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.Callable;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import javafx.geometry.Dimension2D;
import mosspebble.core.area.Remembered;
import mosspebble.core.book.Answers;
import mosspebble.core.care.Lessons;
import mosspebble.core.colour.Palette;
import mosspebble.core.colour.Shelf;
import mosspebble.core.drying.Climate;
import mosspebble.core.finding.Finding;
import mosspebble.core.plan.ManyStones;
import mosspebble.core.plan.PaintPlan;
import mosspebble.core.plan.SittingPage;
import mosspebble.core.project.Diary;
import mosspebble.core.project.Project;
import mosspebble.core.project.Room;
import mosspebble.core.project.Studio;
import mosspebble.core.project.Workshop;
import mosspebble.core.rules.Plans;
import mosspebble.core.rules.Taught;
import mosspebble.core.sketch.Repertoire;
import mosspebble.core.stone.Survey;
import mosspebble.core.timetable.Timetable;
import mosspebble.core.words.FindingWords;
import mosspebble.core.words.TimetableWords;
import mosspebble.files.BuiltIn;
import mosspebble.files.FileTrouble;
import mosspebble.files.InFile;
import mosspebble.files.Instead;
import mosspebble.files.Journal;
import mosspebble.files.LanternWalk;
import mosspebble.files.OwnFiles;
import mosspebble.files.Paper;
import mosspebble.files.PlanJson;
import mosspebble.files.Sheets;
import mosspebble.files.SittingSheets;
import mosspebble.files.StudioFolder;
import mosspebble.files.StudioStore;
import mosspebble.files.TimetableFiles;
import mosspebble.instruments.CpSatSolver;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;
import picocli.CommandLine;

/** The command line: the studio by default, {@code demo}, {@code export}, {@code check}. */
@Command(name = "pebble", description = "Moss Pebble plans painted stones.", mixinStandardHelpOptions = true,
        versionProvider = Main.Versions.class, subcommands = {
            Main.Demo.class, Main.Export.class, Main.Check.class, Main.Sittings.class, Main.Archive.class})
public final class Main implements Callable<Integer> {

    /** The program's version. */
    static final class Versions implements CommandLine.IVersionProvider {
        @Override
        public String[] getVersion() {
            return new String[] {"Moss Pebble " + Version.TEXT};
        }
    }

    /** A path of the command line; what can be no path is said without the names of classes. */
    static final class Paths implements CommandLine.ITypeConverter<Path> {
        @Override
        public Path convert(String text) {
            try {
                return InFile.path(text);
            } catch (FileTrouble e) {
                throw new CommandLine.TypeConversionException(e.getMessage());
            }
        }
    }

    /** Reads a width and a height, such as 1280x800. */
    static final class SizeConverter implements CommandLine.ITypeConverter<Dimension2D> {

        private static final Pattern SIZE = Pattern.compile("(\\d{3,4})\\s*[x×]\\s*(\\d{3,4})");

        @Override
        public Dimension2D convert(String text) {
            Matcher size = SIZE.matcher(text.trim());
            if (!size.matches()) {
                throw new CommandLine.TypeConversionException("a size is width x height in pixels, such as 1280x800, was " + text);
            }
            Dimension2D found = new Dimension2D(Double.parseDouble(size.group(1)), Double.parseDouble(size.group(2)));
            if (found.getWidth() < 1100 || found.getHeight() < 720 || found.getWidth() > 7680 || found.getHeight() > 4320) {
                throw new CommandLine.TypeConversionException("the window is 1100x720 to 7680x4320, was " + text);
            }
            return found;
        }
    }

    /** How the name of a studio ends. */
    private static final String STUDIO = ".pebble";

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
            Path base = home != null ? Path.of(home) : data != null ? Path.of(data, "moss-pebble")
                    : Path.of(System.getProperty("user.home"), ".local", "share", "moss-pebble");
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

        @Option(names = "--deed", paramLabel = "NAME", description = "then do this, by the name it has in the command field; may be "
                + "repeated")
        private List<String> deeds = List.of();

        @Option(names = "--size", paramLabel = "WxH", defaultValue = "1280x800", converter = SizeConverter.class,
                description = "width and height of the window, 1100x720 to 7680x4320 (default: ${DEFAULT-VALUE})")
        private Dimension2D size;

        @Option(names = "--now", paramLabel = "WHEN", description = "as if the clock stood there, such as 2026-11-27T18:55")
        private LocalDateTime now;

        Clock clock() {
            Clock here = Clock.systemDefaultZone();
            return now == null ? here : Clock.offset(here, Duration.between(here.instant(), now.atZone(here.getZone()).toInstant()));
        }

        MossPebbleApp.Wish wish(Path studio, boolean demo) {
            return new MossPebbleApp.Wish(studio, demo, shot, once, stage, stone, deeds, size);
        }
    }

    @Mixin
    private Place place;

    @Mixin
    private Window window;

    @Parameters(arity = "0..1", paramLabel = "STUDIO", description = "studio file to open, as --studio")
    private Path opened;

    public static void main(String[] args) {
        System.setProperty("java.awt.headless", "true");
        // mostly only a studio is asked for: read without the library for command lines, which takes a fifth of a second to load
        System.exit(plain(args).map(wish -> open(wish, Clock.systemDefaultZone())).orElseGet(() -> commandLine().execute(args)));
    }

    /**
     * Opens the window and stays until it is closed.
     *
     * @return what the process ends with: 1 where no window can be opened, which is said
     */
    private static int open(MossPebbleApp.Wish wish, Clock clock) {
        try {
            MossPebbleApp.launchWith(wish, clock);
            return 0;
        } catch (UnsupportedOperationException | UnsatisfiedLinkError e) { // what the toolkit ends with where it finds no display
            Journal.trouble("opening the window", e);
            System.err.println(noWindow(System.getenv("DISPLAY"), System.getenv("WAYLAND_DISPLAY")));
            return 1;
        }
    }

    /** Why no window opens, and what works without one. */
    static String noWindow(String display, String wayland) {
        boolean none = (display == null || display.isBlank()) && (wayland == null || wayland.isBlank());
        return (none ? "There is no display to open a window on: DISPLAY is not set. Start it from a desktop, or set DISPLAY."
                : "No window can be opened: the display \"" + (display == null || display.isBlank() ? wayland : display)
                        + "\" does not answer, or GTK 3 (libgtk-3) is not installed.")
                + " export, check and sittings work without a window; see --help.";
    }

    /**
     * Nothing, or {@code demo}, each with {@code --studio FILE} or {@code --studio=FILE}, or the file of a studio alone, as a file manager
     * gives it; empty for anything else.
     */
    static Optional<MossPebbleApp.Wish> plain(String[] args) {
        boolean demo = args.length > 0 && args[0].equals("demo");
        List<String> rest = List.of(args).subList(demo ? 1 : 0, args.length);
        Place place = new Place();
        if (!rest.isEmpty()) {
            boolean apart = rest.size() == 2 && rest.get(0).equals("--studio") && !rest.get(1).startsWith("-");
            boolean together = rest.size() == 1 && rest.get(0).startsWith("--studio=");
            boolean alone = !demo && rest.size() == 1 && rest.get(0).endsWith(STUDIO) && !rest.get(0).startsWith("-");
            if (!apart && !together && !alone) {
                return Optional.empty();
            }
            try {
                place.studio = InFile.path(apart ? rest.get(1) : alone ? rest.get(0) : rest.get(0).substring("--studio=".length()));
            } catch (FileTrouble e) {
                return Optional.empty(); // said where all arguments are read
            }
        }
        return Optional.of(new MossPebbleApp.Wish(place.file(demo), demo, null, false, Finding.Stage.STONE, null, List.of(),
                new Dimension2D(1280, 800)));
    }

    static CommandLine commandLine() {
        return new CommandLine(new Main()).registerConverter(Path.class, new Paths())
                .setExecutionExceptionHandler((error, command, parsed) -> {
                    Journal.trouble("on the command line", error);
                    command.getErr().println(
                            "The program stumbled over something and has ended. Nothing that was kept is lost; the log lies beside the "
                                    + "studio.");
                    return 1;
                });
    }

    @Spec
    private CommandSpec spec;

    @Override
    public Integer call() {
        if (opened != null && !opened.toString().endsWith(STUDIO)) {
            throw new CommandLine.ParameterException(spec.commandLine(), "\"" + opened + "\" is no studio, whose file ends in " + STUDIO
                    + ", and none of " + String.join(", ", spec.subcommands().keySet()) + ".");
        }
        return open(window.wish(opened == null ? place.file(false) : opened, false), window.clock());
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
            return open(window.wish(place.file(true), true), window.clock());
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

        @Option(names = "--mirrored", description = "each guide once more, left and right exchanged, to rub off or trace from behind")
        private boolean mirrored;

        @Option(names = "--template", description = "a template to cut out, where the design leaves one")
        private boolean template;

        @Override
        public Integer call() {
            return withPlans(place, demo, (plan, store) -> {
                Path sheets = to.resolve(plan.project().id() + "-sheets.pdf");
                Path json = to.resolve(plan.project().id() + "-plan.json");
                Sheets.write(plan, paper, store.studio().unit(), new Sheets.Layout(Sheets.Cards.WHOLE, mirrored, template)
                        .withShelf(store.studio().shelf()), sheets,
                        (fraction, what) -> true);
                PlanJson.write(plan, json);
                System.out.println(plan.project().name() + ": " + sheets + ", " + json);
            });
        }
    }

    /** A whole studio as open files. */
    @Command(name = "archive", description = "writes a whole studio as open files, in a zip or a folder, or takes one in",
            mixinStandardHelpOptions = true)
    static final class Archive implements Callable<Integer> {
        @Mixin
        private Place place;

        @Option(names = "--demo", description = "take the demo studio")
        private boolean demo;

        @Option(names = "--to", paramLabel = "ZIP|FOLDER", description = "where to write it; nothing may stand there but a zip")
        private Path to;

        @Option(names = "--take-in", paramLabel = "ZIP|FOLDER",
                description = "takes one in from there, into the file of --studio, which must be new")
        private Path from;

        @Spec
        private CommandSpec spec;

        @Override
        public Integer call() {
            if ((to == null) == (from == null) || from != null && (place.studio == null || demo)) {
                throw new CommandLine.ParameterException(spec.commandLine(),
                        "Say where to write it with --to, or name one with --take-in and a new --studio.");
            }
            try {
                if (from != null) {
                    StudioFolder.TakenIn in = StudioFolder.read(from, place.studio);
                    System.out.println(in.studio().projects().size() + " stones, " + in.pages() + " pages: " + in.file());
                    return 0;
                }
                try (StudioStore store = store(place, demo)) {
                    StudioFolder.write(store.studio(), store.book(), to, LocalDate.now(), (fraction, what) -> true);
                }
                System.out.println("Written: " + to);
                return 0;
            } catch (FileTrouble trouble) {
                System.err.println(trouble.getMessage());
                return 1;
            } finally {
                Journal.close();
            }
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
            return withPlans(place, demo, (plan, store) -> {
                System.out.println(plan.project().name());
                plan.findings().forEach(
                        f -> System.out.println("  " + f.weight().name().toLowerCase(Locale.ROOT) + ": " + FindingWords.sentence(f)));
            });
        }
    }

    /** When several stones are painted by one pair of hands. */
    @Command(name = "sittings", description = "prints a timetable of all stones: what to do when, and when each is ready",
            mixinStandardHelpOptions = true)
    static final class Sittings implements Callable<Integer> {
        @Mixin
        private Place place;

        @Option(names = "--demo", description = "take the demo studio")
        private boolean demo;

        @Option(names = "--to", paramLabel = "FOLDER",
                description = "also write the timetable as CSV, as a calendar, and the sittings on paper (PDF)")
        private Path to;

        @Option(names = "--paper", paramLabel = "PAPER", defaultValue = "A4", description = "A4 or LETTER")
        private Paper paper;

        @Option(names = "--hours", paramLabel = "WEEK",
                description = "when there is time to paint, such as \"Mon-Fri 19:00-21:00, Sat 14-18\" (default: as the studio has it)")
        private String hours;

        @Option(names = "--from", paramLabel = "WHEN", description = "when it begins, such as 2026-11-27T18:00 (default: now)")
        private LocalDateTime from;

        @Option(names = "--due", paramLabel = "ID=WHEN", description = "when a stone should be ready, such as owl=2026-12-06T12:00; may be "
                + "repeated")
        private Map<String, LocalDateTime> due = Map.of();

        @Override
        public Integer call() {
            if (hours != null) {
                try {
                    Diary.USUAL.withWeek(hours); // said before anything is planned
                } catch (IllegalArgumentException e) {
                    System.err.println(e.getMessage());
                    return 1;
                }
            }
            ZoneId zone = ZoneId.systemDefault();
            LocalDateTime begins = from == null ? LocalDateTime.now().truncatedTo(ChronoUnit.MINUTES) : from;
            Map<String, PaintPlan> plans = new LinkedHashMap<>();
            Shelf[] shelf = {new Shelf(List.of())};
            Diary[] diary = {Diary.USUAL};
            Room[] room = {new Room(Climate.room())};
            int troubled = withPlans(place, demo, (plan, store) -> {
                shelf[0] = store.studio().shelf();
                diary[0] = store.studio().diary();
                room[0] = store.studio().room();
                if (!plan.steps().isEmpty()) {
                    plans.put(plan.project().id(), plan);
                }
            });
            try {
                for (String id : due.keySet()) {
                    if (!plans.containsKey(id)) {
                        throw new IllegalArgumentException("There is no stone \"" + id + "\" to be due; there are "
                                + String.join(", ", plans.keySet()) + ".");
                    }
                }
                Diary asked = hours == null ? diary[0] : diary[0].withWeek(hours).withDays(List.of());
                for (Map.Entry<String, LocalDateTime> each : due.entrySet()) {
                    asked = asked.withDue(each.getKey(), Optional.of(each.getValue()));
                }
                Timetable found = Timetable
                        .of(ManyStones.workload(List.copyOf(plans.values()), asked, room[0], begins.atZone(zone).toInstant(), zone));
                Optional<Timetable> better = new CpSatSolver().better(found, () -> false);
                Timetable table = better.orElse(found);
                if (to != null) {
                    TimetableFiles.csv(table, plans, zone, to.resolve("timetable.csv"));
                    TimetableFiles.calendar(table, plans, to.resolve("timetable.ics"));
                    SittingSheets.write(SittingPage.of(table, plans), shelf[0], paper, zone, to.resolve("sittings.pdf"));
                    System.out
                            .println(to.resolve("timetable.csv") + ", " + to.resolve("timetable.ics") + ", " + to.resolve("sittings.pdf"));
                }
                TimetableWords.lines(table, plans, zone).forEach(System.out::println);
                System.out.println();
                table.ready().values().stream().sorted(Comparator.comparing(Timetable.Ready::at)).forEach(
                        r -> System.out.println(TimetableWords.ready(table, r, plans.get(r.stone()).project().name(), zone)));
                if (!plans.isEmpty()) {
                    System.out.println(TimetableWords.bound(table, zone) + " " + TimetableWords.sittings(table)
                            + (better.isEmpty() ? " " + TimetableWords.WITHOUT_SOLVER : ""));
                    System.out.println(TimetableWords.stretched(table, zone));
                }
                return troubled;
            } catch (IllegalArgumentException | FileTrouble e) {
                System.err.println(e.getMessage());
                return 1;
            }
        }
    }

    private interface Use {
        void of(PaintPlan plan, StudioStore store) throws FileTrouble;
    }

    /** Opens the studio that is meant, beside its log. */
    private static StudioStore store(Place place, boolean demo) throws FileTrouble {
        if (place.studio != null && !demo && Files.notExists(place.studio)) {
            throw new FileTrouble(String.valueOf(place.studio.getFileName()),
                    "There is no studio at " + place.studio.toAbsolutePath() + ".",
                    "Name a file that is there, or leave --studio away for your own.");
        }
        Path file = Instead.of(place.file(demo));
        if (file.toAbsolutePath().getParent() != null) {
            Journal.beside(file.toAbsolutePath().getParent(), Version.TEXT);
        }
        return StudioStore.open(file, demo ? () -> LanternWalk.studio(BuiltIn.repertoire()) : LanternWalk::newcomer,
                demo ? () -> LanternWalk.book(BuiltIn.repertoire()) : List::of);
    }

    private static int withPlans(Place place, boolean demo, Use use) {
        Repertoire shipped = BuiltIn.repertoire();
        try (StudioStore store = store(place, demo)) {
            Path file = store.file();
            Studio studio = store.studio();
            Workshop workshop = new Workshop(new Palette(studio.shelf()), OwnFiles.with(shipped, studio.own()), studio.climate(),
                    studio.known());
            if (studio.projects().isEmpty()) {
                System.out.println("The studio has no stones yet: " + file);
            }
            int troubled = 0;
            Lessons lessons = Answers.lessons(store.book().book().pages());
            for (Project project : studio.projects()) {
                PaintPlan plan;
                try {
                    plan = Taught.by(Plans.plan(project, Survey.of(project.stone()), workshop, new Remembered(),
                            error -> Journal.trouble("planning a thing of a sketch", error)), lessons, studio.shelf());
                } catch (RuntimeException e) {
                    Journal.trouble("planning a stone", e);
                    System.err.println(project.name() + " cannot be worked out as it is now, so nothing of it is written.");
                    troubled = 1;
                    continue;
                }
                use.of(plan, store);
            }
            return troubled;
        } catch (FileTrouble trouble) {
            System.err.println(trouble.getMessage());
            return 1;
        } finally {
            Journal.close();
        }
    }
}
