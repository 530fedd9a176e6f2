package mosspebble.bench;

import java.awt.image.BufferedImage;
import java.io.BufferedReader;
import java.io.File;
import java.lang.management.ManagementFactory;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.SplittableRandom;
import java.util.concurrent.Callable;
import java.util.stream.Stream;
import javax.imageio.ImageIO;
import mosspebble.core.area.Grid;
import mosspebble.core.area.Remembered;
import mosspebble.core.colour.Lab;
import mosspebble.core.colour.Lamp;
import mosspebble.core.colour.Mix;
import mosspebble.core.colour.Paint;
import mosspebble.core.colour.PaintKind;
import mosspebble.core.colour.Palette;
import mosspebble.core.colour.RecipeSearch;
import mosspebble.core.colour.Shelf;
import mosspebble.core.photo.Photo;
import mosspebble.core.photo.PhotoHints;
import mosspebble.core.photo.PhotoReader;
import mosspebble.core.picture.Care;
import mosspebble.core.picture.LargePicture;
import mosspebble.core.picture.StonePicture;
import mosspebble.core.picture.StoneTerrain;
import mosspebble.core.plan.StoneState;
import mosspebble.core.plan.PaintPlan;
import mosspebble.core.project.Habits;
import mosspebble.core.project.Project;
import mosspebble.core.project.Studio;
import mosspebble.core.project.Workshop;
import mosspebble.core.rules.Plans;
import mosspebble.core.sketch.Support;
import mosspebble.core.sketch.Designs;
import mosspebble.core.sketch.DotRing;
import mosspebble.core.sketch.Item;
import mosspebble.core.sketch.Lettering;
import mosspebble.core.sketch.ItemMode;
import mosspebble.core.sketch.Overlap;
import mosspebble.core.sketch.Placement;
import mosspebble.core.sketch.Repertoire;
import mosspebble.core.sketch.Sketch;
import mosspebble.core.sketch.Subject;
import mosspebble.core.stone.Dome;
import mosspebble.core.stone.Stone;
import mosspebble.core.stone.SurfacePath;
import mosspebble.core.stone.Survey;
import mosspebble.core.stone.Unrolling;
import mosspebble.core.units.Millilitres;
import mosspebble.core.units.Millimetres;
import mosspebble.core.units.Srgb;
import mosspebble.files.BuiltIn;
import mosspebble.files.FileTrouble;
import mosspebble.files.LanternWalk;
import mosspebble.files.PhotoFile;
import mosspebble.instruments.BenchScene;
import mosspebble.instruments.SimulatedBenchCamera;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;
import org.locationtech.jts.geom.LinearRing;
import org.locationtech.jts.geom.Polygon;
import picocli.CommandLine;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.ParameterException;
import picocli.CommandLine.Spec;

/**
 * How fast it is, as ratios and percentiles of one run: start-up against an empty JavaFX window on the same machine, replanning after an
 * edit, frames of the picture. Micro benchmarks with JMH are in {@link Kernels}.
 */
@Command(name = "bench", description = "Every figure beside what is wanted of it and what was kept last.", mixinStandardHelpOptions = true)
public final class Bench implements Callable<Integer> {

    private static final int STARTS = 7;

    /** Between two frames of a screen that shows sixty of them a second, ms. */
    private static final double FRAME_MS = 16.7;

    @Spec
    private CommandSpec spec;

    @Option(names = "--only", split = ",", paramLabel = "AREA", completionCandidates = Names.class,
            description = "these areas alone: ${COMPLETION-CANDIDATES}")
    private List<String> only = List.of();

    @Option(names = "--to", paramLabel = "FILE.svg", description = "where it is drawn how time grows")
    private Path drawing;

    @Option(names = "--keep", description = "keeps what is measured as that with which the next run compares")
    private boolean keep;

    @Option(names = "--jmh", description = "the inner kernels with JMH, and nothing else")
    private boolean kernels;

    public static void main(String[] args) {
        System.exit(new CommandLine(new Bench()).execute(args));
    }

    @Override
    public Integer call() throws Exception {
        Map<String, Area> areas = areas(drawing);
        List<String> order = List.copyOf(areas.keySet());
        for (String name : only) {
            if (!areas.containsKey(name)) {
                throw new ParameterException(spec.commandLine(), "There is no area \"" + name + "\" to measure; there are "
                        + String.join(", ", order) + ".");
            }
        }
        if (drawing != null && !only.isEmpty() && !only.contains("growth")) {
            throw new ParameterException(spec.commandLine(), "--to draws growth, which --only leaves out; name it there as well.");
        }
        if (kernels) {
            org.openjdk.jmh.Main.main(new String[] {Kernels.class.getName()});
            return 0;
        }
        if (!only.isEmpty()) {
            areas.keySet().retainAll(only);
        }
        Path kept = Path.of(System.getProperty("mosspebble.figures", "docs/figures.csv"));
        Figures figures = new Figures(System.out, Figures.read(kept));
        for (Map.Entry<String, Area> area : areas.entrySet()) {
            figures.begin(area.getKey());
            area.getValue().measure(figures);
            figures.end();
        }
        figures.endAll();
        if (keep) {
            figures.keep(kept, order);
            System.out.println("Kept in " + kept + ".");
        }
        return 0;
    }

    /** The names of the areas, for the help. */
    private static final class Names extends ArrayList<String> {
        private static final long serialVersionUID = 1;

        Names() {
            super(areas(null).keySet());
        }
    }

    /** Something that is measured, and printed. */
    private interface Area {
        void measure(Figures figures) throws Exception;
    }

    /** @param to where growth is drawn; null for nowhere */
    private static Map<String, Area> areas(Path to) {
        Map<String, Area> areas = new LinkedHashMap<>();
        areas.put("start", Bench::starts);
        areas.put("rest", Bench::rest);
        areas.put("window", Bench::drags);
        areas.put("plan", Bench::computing);
        areas.put("stone", Bench::stones);
        areas.put("sketch", Bench::sketches);
        areas.put("timetable", Bench::timetables);
        areas.put("book", Books::print);
        areas.put("photo", Bench::photos);
        areas.put("proof", Proofs::print);
        areas.put("growth", figures -> Growth.print(figures, to));
        return areas;
    }

    private static void timetables(Figures figures) {
        Timetables.print(figures);
        Studio studio = LanternWalk.studio(BuiltIn.repertoire());
        Workshop workshop = new Workshop(new Palette(studio.shelf()), BuiltIn.repertoire(), studio.climate(), studio.known());
        Timetables.print(figures,
                studio.projects().stream().map(p -> Plans.plan(p, Survey.of(p.stone()), workshop, new Remembered())).toList(),
                studio.room());
    }

    // --- start-up: two processes, taken in turn so that load falls on both

    private static void starts(Figures figures) throws Exception {
        Path scratch = Files.createTempDirectory("moss-pebble-bench");
        Path dist = Path.of(System.getProperty("mosspebble.dist"));
        List<Double> empty = new ArrayList<>();
        List<Double> demo = new ArrayList<>();
        for (int i = 0; i < STARTS; i++) {
            List<String> plain = toolkit(dist);
            plain.addAll(List.of("-cp", System.getProperty("java.class.path"), EmptyWindow.class.getName()));
            empty.add(seconds(plain));
            List<String> ours = program(dist);
            ours.addAll(List.of("-Dmosspebble.endWhenUsable=true", "-jar", dist.resolve("app-run.jar").toString(), "demo", "--studio",
                    scratch.resolve("s.pebble").toString()));
            demo.add(seconds(ours));
        }
        double ratio = Figures.median(demo) / Figures.median(empty);
        figures.millis("empty JavaFX window, start to third pulse", empty, Figures.Goal.NONE);
        figures.millis("Moss Pebble with the demo, start to first usable window", demo, Figures.Goal.NONE);
        figures.one("the same against the empty window", "x", ratio, Figures.Goal.median(1.6), "");
        try (var files = Files.walk(scratch)) { // the studio, its copies and log, the deepest first
            files.sorted(Comparator.reverseOrder()).map(Path::toFile).forEach(File::delete);
        }
    }

    private static void rest(Figures figures) throws Exception {
        Path scratch = Files.createTempDirectory("moss-pebble-bench");
        Path dist = Path.of(System.getProperty("mosspebble.dist"));
        List<String> empty = toolkit(dist);
        empty.addAll(List.of("-Dmosspebble.stay=true", "-cp", System.getProperty("java.class.path"), EmptyWindow.class.getName()));
        List<String> demo = program(dist);
        demo.addAll(List.of("-jar", dist.resolve("app-run.jar").toString(), "demo", "--studio", scratch.resolve("s.pebble").toString()));
        AtRest.print(figures, empty, demo, List.of("--stage=SITTING", "--deed=Sit down and work along"), scratch);
    }

    /** How a program with the toolkit is started by hand: by this Java, the toolkit's modules beside it. */
    private static List<String> toolkit(Path dist) {
        List<String> command = new ArrayList<>(List.of(Path.of(System.getProperty("java.home"), "bin", "java").toString()));
        command.addAll(settings());
        command.addAll(List.of("--module-path", dist.resolve("fx").toString(), "--add-modules", "javafx.controls"));
        return command;
    }

    /** As the script starts the program: by its own Java, if there is one, and with the archive of its classes. */
    private static List<String> program(Path dist) {
        Path own = dist.resolve("runtime/bin/java");
        boolean has = Files.isExecutable(own);
        List<String> command = has ? new ArrayList<>(List.of(own.toString())) : toolkit(dist);
        if (has) {
            command.addAll(settings());
        }
        Path archive = dist.resolve(has ? "runtime/app.jsa" : "app-" + Runtime.version().feature() + ".jsa");
        if (Files.exists(archive)) {
            command.add("-XX:SharedArchiveFile=" + archive);
        }
        return command;
    }

    /** The settings the script starts the program with, and this. */
    private static List<String> settings() {
        return Stream.concat(
                ManagementFactory.getRuntimeMXBean().getInputArguments().stream().filter(a -> a.startsWith("-X") || a.startsWith("-Dsun.")),
                Stream.of("--enable-native-access=javafx.graphics,ALL-UNNAMED")).toList();
    }

    /** Seconds until the program says that its window is usable. */
    private static double seconds(List<String> command) throws Exception {
        long start = System.nanoTime();
        Process process = new ProcessBuilder(command).redirectError(ProcessBuilder.Redirect.DISCARD).start();
        double usable = -1;
        try (BufferedReader out = process.inputReader()) {
            for (String line = out.readLine(); line != null; line = out.readLine()) {
                usable = line.equals("usable") ? (System.nanoTime() - start) / 1e9 : usable;
            }
        }
        if (process.waitFor() != 0 || usable < 0) {
            throw new IllegalStateException("did not come up: " + command);
        }
        return usable;
    }

    // --- a thing under the hand

    private static void drags(Figures figures) throws Exception {
        double trembles = beat(figures, "before");
        window(figures, trembles, "made ready while nobody pressed anything");
        window(figures, trembles, "right after the start, with nothing ready", "presses", "unready");
        beat(figures, "after");
    }

    /**
     * @param trembles how far apart frames of an empty window begin at the 95th percentile: no other can do better
     * @param when what is said of the presses
     * @param wish what {@link WindowTimes} is asked for
     */
    private static void window(Figures figures, double trembles, String when, String... wish) throws Exception {
        List<String> command = toolkit(Path.of(System.getProperty("mosspebble.dist")));
        command.addAll(List.of("-cp", System.getProperty("java.class.path"), WindowTimes.class.getName()));
        command.addAll(List.of(wish));
        Figures.Goal frame = Figures.Goal.ninetyFifth(Math.max(FRAME_MS, trembles));
        for (String line : lines(command)) {
            String[] cells = line.split(" ", line.startsWith("press ") || line.startsWith("whole ") ? 4 : 0);
            switch (cells[0]) {
                case "frame", "pan" -> figures.add(
                        "frames while " + (cells[0].equals("pan") ? "the cloth is moved, 5 x" : "a thing is dragged") + ": " + cells[1],
                        "ms", number(cells[2]), number(cells[3]), frame,
                        "interface thread busy " + cells[4] + " ms, " + cells[5] + " ms");
                case "press" -> {
                    figures.add("from a press to its answer laid out, each for the first time, " + when, "ms", number(cells[1]),
                            number(cells[2]), Figures.Goal.NONE, "");
                    figures.one("presses that take over 100 ms, " + when, "", named(cells[3]), Figures.Goal.median(0), cells[3]);
                }
                case "whole" -> figures.add("until all that belongs there is laid out, " + when, "ms", number(cells[1]), number(cells[2]),
                        Figures.Goal.NONE, cells[3]);
                case "step" -> {
                    if (wish.length == 0) {
                        figures.add("at the table, from done to the next picture", "ms", number(cells[1]), number(cells[2]),
                                Figures.Goal.ninetyFifth(150), "sharp after " + cells[3] + " ms, " + cells[4] + " ms");
                    }
                }
                default -> { // something else was said
                }
            }
        }
    }

    /** How many are named, each with its milliseconds, such as "Go to Stone 216 ms, skin 108 ms". */
    static int named(String each) {
        return each.split(" ms\\b", -1).length - 1;
    }

    private static double number(String cell) {
        return Double.parseDouble(cell);
    }

    /** What a process prints until it ends well. */
    private static List<String> lines(List<String> command) throws Exception {
        Process process = new ProcessBuilder(command).redirectError(ProcessBuilder.Redirect.DISCARD).start();
        List<String> lines;
        try (BufferedReader out = process.inputReader()) {
            lines = out.lines().toList();
        }
        if (process.waitFor() != 0) {
            throw new IllegalStateException("did not come to its end: " + command);
        }
        return lines;
    }

    /** How the beat itself trembles on this machine at this moment, ms at the 95th percentile. */
    private static double beat(Figures figures, String when) throws Exception {
        List<String> command = toolkit(Path.of(System.getProperty("mosspebble.dist")));
        command.addAll(List.of("-Dmosspebble.beat=true", "-cp", System.getProperty("java.class.path"), EmptyWindow.class.getName()));
        String[] cells = lines(command).stream().filter(line -> line.startsWith("beat ")).findFirst().orElseThrow().split(" ");
        figures.add("frames of an empty window in which a small square moves, " + when, "ms", number(cells[1]), number(cells[2]),
                Figures.Goal.NONE, "interface thread busy " + cells[3] + " ms, " + cells[4] + " ms");
        return number(cells[2]);
    }

    // --- planning and painting

    private static void computing(Figures figures) {
        Repertoire repertoire = BuiltIn.repertoire();
        Studio studio = LanternWalk.studio(repertoire);
        Palette palette = new Palette(studio.shelf());
        for (Project project : studio.projects()) {
            Survey survey = Survey.of(project.stone());
            Workshop workshop = new Workshop(palette, repertoire, studio.climate(), List.of());
            figures.millis("plan from nothing: " + project.id(),
                    times(40, 30, () -> Plans.plan(project, survey, workshop, new Remembered())), Figures.Goal.NONE);
            replans(figures, project.id(), project, survey, workshop, Figures.Goal.median(50));
        }
        Project owl = studio.projects().get(0);
        Survey survey = Survey.of(owl.stone());
        figures.millis("survey of a stone (dome, zones, area, weight)", times(30, 30, () -> Survey.of(owl.stone())),
                Figures.Goal.median(30));
        PaintPlan plan = Plans.plan(owl, survey, palette, repertoire, studio.climate());
        Grid grid = Grid.around(survey.dome().outline().halfWidth() + 6, survey.dome().outline().halfHeight() + 6, 1 / 5.4);
        StoneTerrain terrain = StoneTerrain.of(survey, grid);
        List<Double> painted = times(10, 20, () -> StonePicture.of(plan, terrain, StoneState.DRY));
        figures.millis("picture of all steps, " + grid.columns() + " x " + grid.rows(), painted, Figures.Goal.NONE);
        StonePicture picture = StonePicture.of(plan, terrain, StoneState.DRY);
        int[] pixels = new int[grid.cells()];
        int[] step = {0};
        Grid half = Grid.around(survey.dome().outline().halfWidth() + 6, survey.dome().outline().halfHeight() + 6, 2 / 5.4);
        StoneTerrain coarse = StoneTerrain.of(survey, half);
        StonePicture draft = StonePicture.of(plan, coarse, StoneState.DRY);
        int[] few = new int[half.cells()];
        figures.millis("preview frame while the step slider is dragged, half the scale", times(100, 300,
                () -> draft.draw(new StonePicture.Shown(step[0]++ % (draft.steps() + 1), 0, 320, Care.QUICK), () -> false, few)),
                Figures.Goal.ninetyFifth(FRAME_MS));
        figures.millis("draft of all steps", times(10, 20, () -> StonePicture.of(plan, coarse, StoneState.DRY)), Figures.Goal.median(100));
        List<Double> lit = times(10, 30, () -> picture.draw(picture.steps(), 320, pixels));
        figures.millis("full care: light", lit, Figures.Goal.NONE);
        figures.one("full care with the picture of all steps", "ms", 1000 * (Figures.median(painted) + Figures.median(lit)),
                Figures.Goal.median(250), "");
        figures.millis("full care: bare granite", times(5, 15, () -> StoneTerrain.of(survey, grid)), Figures.Goal.NONE);
        Grid near = new Grid(-7, -7, 1 / (8 * 5.4), 720, 560); // eight times closer
        Grid nearly = new Grid(-7, -7, 2 * near.cellMm(), 360, 280);
        int[] some = new int[nearly.cells()];
        figures.millis("zoom to 8 x: draft", times(3, 10, () -> {
            StonePicture quick = StonePicture.of(plan, StoneTerrain.of(survey, nearly), StoneState.DRY);
            quick.draw(new StonePicture.Shown(quick.steps(), 0, 320, Care.QUICK), () -> false, some);
        }), Figures.Goal.median(150));
        int[] all = new int[near.cells()];
        figures.millis("zoom to 8 x: full care", times(2, 6, () -> {
            StonePicture close = StonePicture.of(plan, StoneTerrain.of(survey, near), StoneState.DRY);
            close.draw(close.steps(), 320, all);
        }), Figures.Goal.NONE);
        figures.add("picture of 4,000 pixels for a file", "s", times(0, 2, () -> large(plan)), Figures.Goal.median(8), "");
        PaintPlan moon = Proofs.demo("moon");
        figures.add("the same of the moon, which is square: 16 million pixels for 12", "s", times(0, 2, () -> large(moon)),
                Figures.Goal.median(8), "");
        Lab wish = Lab.of(Srgb.ofHex("#7a8f5a"));
        Palette many = paints(24);
        figures.millis("best recipe from 24 paints, up to 3 of them, up to 12 parts",
                times(20, 40, () -> RecipeSearch.nearest(wish, many, 12, 3)), Figures.Goal.median(50));
        System.gc();
        Runtime runtime = Runtime.getRuntime();
        List<Object> demo = new ArrayList<>();
        for (Project project : studio.projects()) { // what the window keeps: a plan and a small picture of each, one large picture
            Survey of = Survey.of(project.stone());
            PaintPlan each = Plans.plan(project, of, palette, repertoire, studio.climate());
            demo.add(each);
            demo.add(StonePicture.of(each,
                    StoneTerrain.of(of, Grid.around(of.dome().outline().halfWidth() + 6, of.dome().outline().halfHeight() + 6, 1 / 1.6)),
                    StoneState.SEALED));
        }
        demo.add(picture);
        System.gc();
        figures.one("heap with the plans and pictures of the demo", "MB", (runtime.totalMemory() - runtime.freeMemory()) / 1e6,
                Figures.Goal.median(300), "");
        if (demo.isEmpty()) {
            throw new IllegalStateException("the demo was let go of");
        }
        nineLarge(figures, studio);
    }

    private static void large(PaintPlan plan) {
        LargePicture large = new LargePicture(plan, new LargePicture.Wish(4_000, 2, StoneState.DRY, Lamp.DAYLIGHT,
                new StonePicture.Shown(plan.steps().size(), 0, 320, Care.FULL)));
        for (int first = 0; first < large.rows(); first += large.strip()) {
            large.rows(first, Math.min(large.strip(), large.rows() - first), () -> false);
        }
    }

    /** What pictures of all stones as large as the cloth hold, with what plans and surveys come to keep for them. */
    private static void nineLarge(Figures figures, Studio studio) {
        Runtime runtime = Runtime.getRuntime();
        double sum = 0;
        for (Project project : studio.projects()) {
            PaintPlan plan = Proofs.demo(project.id());
            System.gc();
            long before = runtime.totalMemory() - runtime.freeMemory();
            double half = Math.max(plan.survey().dome().outline().halfWidth() / 360, plan.survey().dome().outline().halfHeight() / 280);
            Grid cloth = new Grid(-360 * half, -280 * half, half, 720, 560);
            StonePicture picture = StonePicture.of(plan, StoneTerrain.of(plan.survey(), cloth), StoneState.DRY);
            System.gc();
            sum += runtime.totalMemory() - runtime.freeMemory() - before;
            if (picture.steps() == 0) {
                throw new IllegalStateException("a picture without steps was held for a stone of the demo");
            }
        }
        figures.one("heap with nine pictures of 720 x 560", "MB", sum / 1e6, Figures.Goal.median(200), "");
    }

    /** After an edit of each kind: a colour, a habit, a thing moved to where it was not before. */
    private static void replans(Figures figures, String name, Project project, Survey survey, Workshop workshop, Figures.Goal wanted) {
        Remembered remembered = new Remembered();
        String slot = project.colours().keySet().iterator().next();
        int[] count = {0};
        figures.millis("replan after another colour: " + name, times(20, 30,
                () -> Plans.plan(project.withColour(slot, Mix.of(count[0]++ % 2 == 0 ? "brick" : "river")), survey, workshop, remembered)),
                wanted);
        figures.millis("replan after another habit: " + name,
                times(20, 30,
                        () -> Plans.plan(
                                project.withHabits(
                                        project.habits().withLines(count[0]++ % 2 == 0 ? Habits.Lines.FIRST : Habits.Lines.LAST)),
                                survey, workshop, remembered)),
                wanted);
        figures.millis("replan after a move: " + name, times(20, 30, () -> {
            double far = 0.003 * ++count[0];
            Plans.plan(
                    project.withSketch(project.sketch()
                            .map(s -> s.with(s.items().get(s.items().size() - 1).id(),
                                    i -> i.withPlacement(i.placement().movedBy(far, 0))))),
                    survey, workshop, remembered);
        }), wanted);
    }

    /** As many mixing paints as asked for, made up. */
    static Palette paints(int count) {
        List<Paint> paints = new ArrayList<>();
        for (int i = 0; i < count; i++) {
            int rgb = (int) (0x9E3779B9L * (i + 1) & 0xFFFFFF);
            paints.add(Paint.usual("p" + i, "p" + i, PaintKind.BRUSH, Srgb.ofRgb(rgb), new Millilitres(20)));
        }
        return new Palette(new Shelf(paints));
    }

    private static void stones(Figures figures) {
        Stone large = Stone.cobble().withSize(new Millimetres(150), new Millimetres(110), new Millimetres(40));
        figures.millis("dome of a 150 mm stone at 1 mm", times(30, 40, () -> Dome.of(large)), Figures.Goal.median(30));
        Dome dome = Dome.of(large);
        figures.millis("tape across it", times(10, 40, () -> SurfacePath.between(dome, -60, 10, 55, -20)), Figures.Goal.NONE);
        figures.millis("unrolling it", times(5, 20, () -> Unrolling.about(dome, 0, 0)), Figures.Goal.NONE);
    }

    /** Fitting, overlap, dots and letters. */
    private static void sketches(Figures figures) {
        Repertoire repertoire = BuiltIn.repertoire();
        Support bed = Support.of(Survey.of(Stone.cobble().withSize(new Millimetres(150), new Millimetres(110), new Millimetres(40))));
        Item owl = Item.of(new Subject.Figure("owl-lamp"), ItemMode.ON_STONE, new Placement(0, 0, 0, 1), 1);
        figures.millis("largest fit of the owl (29 parts)", times(20, 40, () -> Designs.fit(owl, repertoire, bed)),
                Figures.Goal.median(150));
        Overlap small = partition(400);
        List<Double> four = times(5, 10, () -> seen(small, 400));
        figures.millis("overlap of 400 parts, each seen part", four, Figures.Goal.median(300));
        Overlap large = partition(1600);
        List<Double> sixteen = times(1, 4, () -> seen(large, 1600));
        figures.millis("overlap of 1,600 parts", sixteen, Figures.Goal.NONE);
        figures.one("the same against 400 parts, n log n", "x", Figures.median(sixteen) / Figures.median(four), Figures.Goal.median(4.9),
                "");
        Geometry round = bed.zones().face();
        LinearRing edge = ((Polygon) round).getExteriorRing();
        figures.millis("ring of 400 dots", times(20, 40, () -> DotRing.count(edge, 400, 0.4, true)), Figures.Goal.median(5));
        Subject.Word words = new Subject.Word(List.of("mind the step by the old water gate"), "slab");
        figures.millis("best line break of eight words",
                times(3, 10, () -> Lettering.arranged(words, repertoire.typeface("slab").orElseThrow(), bed, 2)), Figures.Goal.median(100));
        Studio studio = LanternWalk.studio(repertoire);
        Project crowd = crowd(Stone.cobble().withSize(new Millimetres(150), new Millimetres(110), new Millimetres(40)), 20);
        Palette palette = new Palette(studio.shelf());
        Survey survey = bed.survey();
        int parts = Plans.plan(crowd, survey, palette, repertoire, studio.climate()).design().orElseThrow().parts().size();
        Workshop workshop = new Workshop(palette, repertoire, studio.climate(), List.of());
        figures.millis("plan from nothing: " + parts + " parts", times(2, 6, () -> Plans.plan(crowd, survey, workshop, new Remembered())),
                Figures.Goal.NONE);
        replans(figures, parts + " parts", crowd, survey, workshop, Figures.Goal.median(400));
    }

    /** A stone with so many things of 22 parts side by side, in rows of five, painted. */
    static Project crowd(Stone stone, int count) {
        double side = 5 * Math.sqrt(20.0 / count);
        int rows = Math.max(1, count / 5);
        List<Item> items = new ArrayList<>();
        for (int i = 0; i < count; i++) {
            items.add(Item.of(new Subject.Pattern("petals", Map.of("count", 10.0, "veins", 3.0)), ItemMode.ON_STONE,
                    new Placement(-48 + 24 * (i % 5), rows == 1 ? 0 : -30 + 60.0 * (i / 5) / (rows - 1), 0, Math.min(5, side)), 0)
                    .withId("i" + i));
        }
        Project painted = Project.begin("many", "Many", stone).withSketch(Optional.of(new Sketch(items)));
        for (Item item : items) {
            for (String slot : List.of("petals", "veins", "centre", "seeds")) {
                painted = painted.withColour(item.named(slot),
                        slot.equals("veins") ? Mix.of("pen-umber") : slot.equals("petals") ? Mix.of("rose") : Mix.of("yellow"));
            }
        }
        return painted;
    }

    static Overlap partition(int count) {
        SplittableRandom random = new SplittableRandom(count);
        double side = 5 * Math.sqrt(count);
        List<Geometry> areas = new ArrayList<>();
        for (int i = 0; i < count; i++) {
            areas.add(new GeometryFactory().createPoint(new Coordinate(random.nextDouble() * side, random.nextDouble() * side))
                    .buffer(2 + 3 * random.nextDouble(), 8));
        }
        return new Overlap(areas);
    }

    static double seen(Overlap overlap, int count) {
        double sum = 0;
        for (int i = 0; i < count; i++) {
            sum += overlap.seen(i).getArea();
        }
        return sum;
    }

    /** A photo of 12 megapixels from the stand-in camera, then a file of 100 megapixels within this process's heap. */
    private static void photos(Figures figures) throws Exception {
        Photo photo = SimulatedBenchCamera.photograph(BenchScene.varied(309, 4000, 3000));
        PhotoReader reader = new PhotoReader();
        figures.millis("photo of 12 megapixels to outlines", times(2, 8, () -> reader.read(photo, PhotoHints.none(), () -> false)),
                Figures.Goal.median(1000));
        Path file = Files.createTempFile("moss-pebble-bench", ".jpg");
        BufferedImage large = new BufferedImage(10_000, 10_000, BufferedImage.TYPE_BYTE_GRAY);
        ImageIO.write(large, "jpg", file.toFile());
        large = null;
        List<Double> seconds = times(0, 2, () -> {
            try {
                PhotoFile.read(file);
            } catch (FileTrouble e) {
                throw new IllegalStateException(e);
            }
        });
        figures.millis("file of 100 megapixels, opened", seconds, Figures.Goal.NONE);
        figures.one("heap in which that was done", "MB", Runtime.getRuntime().maxMemory() / 1e6, Figures.Goal.median(1000), "");
        Files.delete(file);
    }

    static List<Double> times(int warm, int count, Runnable work) {
        for (int i = 0; i < warm; i++) {
            work.run();
        }
        List<Double> seconds = new ArrayList<>();
        for (int i = 0; i < count; i++) {
            long start = System.nanoTime();
            work.run();
            seconds.add((System.nanoTime() - start) / 1e9);
        }
        return seconds;
    }
}
