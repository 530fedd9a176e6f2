package mosspebble.bench;

import java.awt.image.BufferedImage;
import java.io.BufferedReader;
import java.io.File;
import java.lang.management.ManagementFactory;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.SplittableRandom;
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

/**
 * How fast it is, as ratios and percentiles of one run: start-up against an empty JavaFX window on the same machine, replanning after an
 * edit, frames of the picture. Micro benchmarks
 * with JMH are in {@link Kernels}; {@code --jmh} runs them.
 */
public final class Bench {

    private static final int STARTS = 7;

    private Bench() {}

    public static void main(String[] args) throws Exception {
        if (Arrays.asList(args).contains("--jmh")) {
            org.openjdk.jmh.Main.main(new String[] {Kernels.class.getName()});
            return;
        }
        int to = Arrays.asList(args).indexOf("--to");
        if (to >= 0 && to + 1 == args.length) {
            System.err.println("--to wants a file for the drawing of growth, such as --to growth.svg.");
            System.exit(2);
        }
        Map<String, Area> areas = areas(to < 0 ? null : Path.of(args[to + 1]));
        int only = Arrays.asList(args).indexOf("--only");
        if (only >= 0) {
            String name = only + 1 < args.length ? args[only + 1] : "";
            if (!areas.containsKey(name)) {
                System.err.println("There is no area \"" + name + "\" to measure; there are " + String.join(", ", areas.keySet()) + ".");
                System.exit(2);
            }
            areas.keySet().removeIf(a -> !a.equals(name));
        }
        System.out.println("| what | median | 95th percentile | against |");
        System.out.println("|---|---|---|---|");
        for (Area area : areas.values()) {
            area.measure();
        }
    }

    /** Something that is measured, and printed. */
    private interface Area {
        void measure() throws Exception;
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
        areas.put("growth", () -> Growth.print(to));
        return areas;
    }

    private static void timetables() {
        Timetables.print();
        Studio studio = LanternWalk.studio(BuiltIn.repertoire());
        Workshop workshop = new Workshop(new Palette(studio.shelf()), BuiltIn.repertoire(), studio.climate(), studio.known());
        Timetables.print(studio.projects().stream().map(p -> Plans.plan(p, Survey.of(p.stone()), workshop, new Remembered())).toList(),
                studio.room());
    }

    // --- start-up: two processes, taken in turn so that load falls on both

    private static void starts() throws Exception {
        Path scratch = Files.createTempDirectory("moss-pebble-bench");
        Path dist = Path.of(System.getProperty("mosspebble.dist"));
        List<Double> empty = new ArrayList<>();
        List<Double> demo = new ArrayList<>();
        String version = String.valueOf(Runtime.version().feature());
        Path archive = dist.resolve("app-" + version + ".jsa");
        for (int i = 0; i < STARTS; i++) {
            List<String> plain = java(dist, null);
            plain.addAll(List.of("-cp", System.getProperty("java.class.path"), EmptyWindow.class.getName()));
            empty.add(seconds(plain));
            List<String> ours = java(dist, Files.exists(archive) ? archive : null);
            ours.addAll(List.of("-Dmosspebble.endWhenUsable=true", "-jar", dist.resolve("app-run.jar").toString(), "demo", "--studio",
                    scratch.resolve("s.pebble").toString()));
            demo.add(seconds(ours));
        }
        double ratio = median(demo) / median(empty);
        row("empty JavaFX window, start to third pulse", empty, 1000, "ms", "1");
        row("Moss Pebble with the demo, start to first usable window", demo, 1000, "ms",
                String.format(Locale.ROOT, "%.2f x the empty window (wanted: 1.6)", ratio));
        try (var files = Files.walk(scratch)) { // the studio, its copies and log, the deepest first
            files.sorted(Comparator.reverseOrder()).map(Path::toFile).forEach(File::delete);
        }
    }

    private static void rest() throws Exception {
        Path scratch = Files.createTempDirectory("moss-pebble-bench");
        Path dist = Path.of(System.getProperty("mosspebble.dist"));
        Path archive = dist.resolve("app-" + Runtime.version().feature() + ".jsa");
        List<String> empty = java(dist, null);
        empty.addAll(List.of("-Dmosspebble.stay=true", "-cp", System.getProperty("java.class.path"), EmptyWindow.class.getName()));
        List<String> demo = java(dist, Files.exists(archive) ? archive : null);
        demo.addAll(List.of("-jar", dist.resolve("app-run.jar").toString(), "demo", "--studio", scratch.resolve("s.pebble").toString()));
        AtRest.print(empty, demo, scratch);
    }

    private static List<String> java(Path dist, Path archive) {
        List<String> command = new ArrayList<>(List.of(Path.of(System.getProperty("java.home"), "bin", "java").toString()));
        ManagementFactory.getRuntimeMXBean().getInputArguments().stream() // as the script starts the program, and this
                .filter(a -> a.startsWith("-X")).forEach(command::add);
        command.addAll(List.of("--module-path", dist.resolve("fx").toString(), "--add-modules", "javafx.controls",
                "--enable-native-access=javafx.graphics,ALL-UNNAMED"));
        if (archive != null) {
            command.add("-XX:SharedArchiveFile=" + archive);
        }
        return command;
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

    private static void drags() throws Exception {
        beat();
        window("made ready while nobody pressed anything");
        window("right after the start, with nothing ready", "presses", "unready");
        beat();
    }

    /** @param when what is said of the presses @param wish what {@link WindowTimes} is asked for */
    private static void window(String when, String... wish) throws Exception {
        List<String> command = java(Path.of(System.getProperty("mosspebble.dist")), null);
        command.addAll(List.of("-cp", System.getProperty("java.class.path"), WindowTimes.class.getName()));
        command.addAll(List.of(wish));
        Process process = new ProcessBuilder(command).redirectError(ProcessBuilder.Redirect.DISCARD).start();
        try (BufferedReader out = process.inputReader()) {
            for (String line = out.readLine(); line != null; line = out.readLine()) {
                if (line.startsWith("frame ") || line.startsWith("pan ")) {
                    String[] cells = line.split(" ");
                    System.out.printf(Locale.ROOT,
                            "| frames while %s: %s | %s ms | %s ms | interface thread busy %s ms, %s ms (wanted: 16.7 ms at the 95th "
                                    + "percentile, also the screen's own beat) |%n",
                            cells[0].equals("pan") ? "the cloth is moved, 5 x" : "a thing is dragged", cells[1], cells[2], cells[3],
                            cells[4], cells[5]);
                } else if (line.startsWith("press ")) {
                    String[] cells = line.split(" ", 4);
                    System.out.printf(Locale.ROOT,
                            "| from a press to its answer laid out, each for the first time, %s | %s ms | %s ms | wanted: 100 ms; over it: "
                                    + "%s |%n",
                            when, cells[1], cells[2], cells[3]);
                } else if (wish.length == 0 && line.startsWith("step ")) {
                    String[] cells = line.split(" ");
                    System.out.printf(Locale.ROOT,
                            "| at the table, from done to the next picture | %s ms | %s ms | wanted: 150 ms; sharp after "
                                    + "%s ms, %s ms |%n",
                            cells[1], cells[2], cells[3], cells[4]);
                }
            }
        }
        if (process.waitFor() != 0) {
            throw new IllegalStateException("the dragging did not come to its end");
        }
    }

    /** How the beat itself trembles on this machine at this moment. */
    private static void beat() throws Exception {
        List<String> command = java(Path.of(System.getProperty("mosspebble.dist")), null);
        command.addAll(List.of("-Dmosspebble.beat=true", "-cp", System.getProperty("java.class.path"), EmptyWindow.class.getName()));
        Process process = new ProcessBuilder(command).redirectError(ProcessBuilder.Redirect.DISCARD).start();
        try (BufferedReader out = process.inputReader()) {
            out.lines().filter(line -> line.startsWith("beat ")).map(line -> line.split(" ")).forEach(cells -> System.out.printf(
                    Locale.ROOT,
                    "| frames of an empty window in which a small square moves | %s ms | %s ms | interface thread busy %s ms, %s ms |%n",
                    cells[1], cells[2], cells[3], cells[4]));
        }
        if (process.waitFor() != 0) {
            throw new IllegalStateException("the empty window did not come to its end");
        }
    }

    // --- planning and painting

    private static void computing() {
        Repertoire repertoire = BuiltIn.repertoire();
        Studio studio = LanternWalk.studio(repertoire);
        Palette palette = new Palette(studio.shelf());
        for (Project project : studio.projects()) {
            Survey survey = Survey.of(project.stone());
            Workshop workshop = new Workshop(palette, repertoire, studio.climate(), List.of());
            row("plan from nothing: " + project.id(), times(40, 30, () -> Plans.plan(project, survey, workshop, new Remembered())), 1000,
                    "ms", "");
            replans(project.id(), project, survey, workshop, "wanted: 50 ms");
        }
        Project owl = studio.projects().get(0);
        Survey survey = Survey.of(owl.stone());
        row("survey of a stone (dome, zones, area, weight)", times(30, 30, () -> Survey.of(owl.stone())), 1000, "ms", "dome wanted: 30 ms");
        PaintPlan plan = Plans.plan(owl, survey, palette, repertoire, studio.climate());
        Grid grid = Grid.around(survey.dome().outline().halfWidth() + 6, survey.dome().outline().halfHeight() + 6, 1 / 5.4);
        StoneTerrain terrain = StoneTerrain.of(survey, grid);
        row("picture of all steps, " + grid.columns() + " x " + grid.rows(),
                times(10, 20, () -> StonePicture.of(plan, terrain, StoneState.DRY)), 1000, "ms", "");
        StonePicture picture = StonePicture.of(plan, terrain, StoneState.DRY);
        int[] pixels = new int[grid.cells()];
        int[] step = {0};
        Grid half = Grid.around(survey.dome().outline().halfWidth() + 6, survey.dome().outline().halfHeight() + 6, 2 / 5.4);
        StoneTerrain coarse = StoneTerrain.of(survey, half);
        StonePicture draft = StonePicture.of(plan, coarse, StoneState.DRY);
        int[] few = new int[half.cells()];
        row("preview frame while the step slider is dragged, half the scale", times(100, 300,
                () -> draft.draw(new StonePicture.Shown(step[0]++ % (draft.steps() + 1), 0, 320, Care.QUICK), () -> false, few)), 1000,
                "ms",
                "wanted: 16.7 ms at the 95th percentile");
        row("draft of all steps", times(10, 20, () -> StonePicture.of(plan, coarse, StoneState.DRY)), 1000, "ms", "wanted: 100 ms");
        row("full care: light", times(10, 30, () -> picture.draw(picture.steps(), 320, pixels)), 1000, "ms",
                "wanted: 250 ms with the picture of all steps");
        row("full care: bare granite", times(5, 15, () -> StoneTerrain.of(survey, grid)), 1000, "ms", "once a stone and scale");
        Grid near = new Grid(-7, -7, 1 / (8 * 5.4), 720, 560); // eight times closer
        Grid nearly = new Grid(-7, -7, 2 * near.cellMm(), 360, 280);
        int[] some = new int[nearly.cells()];
        row("zoom to 8 x: draft", times(3, 10, () -> {
            StonePicture quick = StonePicture.of(plan, StoneTerrain.of(survey, nearly), StoneState.DRY);
            quick.draw(new StonePicture.Shown(quick.steps(), 0, 320, Care.QUICK), () -> false, some);
        }), 1000, "ms", "wanted: 150 ms");
        int[] all = new int[near.cells()];
        row("zoom to 8 x: full care", times(2, 6, () -> {
            StonePicture close = StonePicture.of(plan, StoneTerrain.of(survey, near), StoneState.DRY);
            close.draw(close.steps(), 320, all);
        }), 1000, "ms", "");
        row("picture of 4,000 pixels for a file", times(0, 2, () -> {
            LargePicture large = new LargePicture(plan, new LargePicture.Wish(4_000, 2, StoneState.DRY, Lamp.DAYLIGHT,
                    new StonePicture.Shown(plan.steps().size(), 0, 320, Care.FULL)));
            for (int first = 0; first < large.rows(); first += large.strip()) {
                large.rows(first, Math.min(large.strip(), large.rows() - first), () -> false);
            }
        }), 1, "s", "wanted: 8 s");
        Lab wish = Lab.of(Srgb.ofHex("#7a8f5a"));
        Palette many = paints(24);
        row("best recipe from 24 paints, up to 3 of them, up to 12 parts", times(20, 40, () -> RecipeSearch.nearest(wish, many, 12, 3)),
                1000, "ms", "wanted: 50 ms");
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
        System.out.printf(Locale.ROOT, "| heap with the plans and pictures of the demo | %.0f MB | | wanted: under 300 MB |%n",
                (runtime.totalMemory() - runtime.freeMemory()) / 1e6);
        if (demo.isEmpty()) {
            throw new IllegalStateException("the demo was let go of");
        }
    }

    /** After an edit of each kind: a colour, a habit, a thing moved to where it was not before. */
    private static void replans(String name, Project project, Survey survey, Workshop workshop, String wanted) {
        Remembered remembered = new Remembered();
        String slot = project.colours().keySet().iterator().next();
        int[] count = {0};
        row("replan after another colour: " + name, times(20, 30,
                () -> Plans.plan(project.withColour(slot, Mix.of(count[0]++ % 2 == 0 ? "brick" : "river")), survey, workshop, remembered)),
                1000, "ms", wanted);
        row("replan after another habit: " + name,
                times(20, 30,
                        () -> Plans.plan(
                                project.withHabits(
                                        project.habits().withLines(count[0]++ % 2 == 0 ? Habits.Lines.FIRST : Habits.Lines.LAST)),
                                survey, workshop, remembered)),
                1000, "ms", wanted);
        row("replan after a move: " + name, times(20, 30, () -> {
            double far = 0.003 * ++count[0];
            Plans.plan(
                    project.withSketch(project.sketch()
                            .map(s -> s.with(s.items().get(s.items().size() - 1).id(),
                                    i -> i.withPlacement(i.placement().movedBy(far, 0))))),
                    survey, workshop, remembered);
        }), 1000, "ms", wanted);
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

    private static void stones() {
        Stone large = Stone.cobble().withSize(new Millimetres(150), new Millimetres(110), new Millimetres(40));
        row("dome of a 150 mm stone at 1 mm", times(30, 40, () -> Dome.of(large)), 1000, "ms", "wanted: 30 ms");
        Dome dome = Dome.of(large);
        row("tape across it", times(10, 40, () -> SurfacePath.between(dome, -60, 10, 55, -20)), 1000, "ms", "");
        row("unrolling it", times(5, 20, () -> Unrolling.about(dome, 0, 0)), 1000, "ms", "");
    }

    /** Fitting, overlap, dots and letters. */
    private static void sketches() {
        Repertoire repertoire = BuiltIn.repertoire();
        Support bed = Support.of(Survey.of(Stone.cobble().withSize(new Millimetres(150), new Millimetres(110), new Millimetres(40))));
        Item owl = Item.of(new Subject.Figure("owl-lamp"), ItemMode.ON_STONE, new Placement(0, 0, 0, 1), 1);
        row("largest fit of the owl (29 parts)", times(20, 40, () -> Designs.fit(owl, repertoire, bed)), 1000, "ms", "wanted: 150 ms");
        Overlap small = partition(400);
        List<Double> four = times(5, 10, () -> seen(small, 400));
        row("overlap of 400 parts, each seen part", four, 1000, "ms", "wanted: 300 ms");
        Overlap large = partition(1600);
        List<Double> sixteen = times(1, 4, () -> seen(large, 1600));
        row("overlap of 1,600 parts", sixteen, 1000, "ms",
                String.format(Locale.ROOT, "%.1f x 400 parts (n log n: 4.9 x)", median(sixteen) / median(four)));
        Geometry round = bed.zones().face();
        LinearRing edge = ((Polygon) round).getExteriorRing();
        row("ring of 400 dots", times(20, 40, () -> DotRing.count(edge, 400, 0.4, true)), 1000, "ms", "wanted: 5 ms");
        Subject.Word words = new Subject.Word(List.of("mind the step by the old water gate"), "slab");
        row("best line break of eight words",
                times(3, 10, () -> Lettering.arranged(words, repertoire.typeface("slab").orElseThrow(), bed, 2)), 1000, "ms", "");
        Studio studio = LanternWalk.studio(repertoire);
        Project crowd = crowd(Stone.cobble().withSize(new Millimetres(150), new Millimetres(110), new Millimetres(40)), 20);
        Palette palette = new Palette(studio.shelf());
        Survey survey = bed.survey();
        int parts = Plans.plan(crowd, survey, palette, repertoire, studio.climate()).design().orElseThrow().parts().size();
        Workshop workshop = new Workshop(palette, repertoire, studio.climate(), List.of());
        row("plan from nothing: " + parts + " parts", times(2, 6, () -> Plans.plan(crowd, survey, workshop, new Remembered())), 1000, "ms",
                "");
        replans(parts + " parts", crowd, survey, workshop, "wanted: 400 ms");
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
    private static void photos() throws Exception {
        Photo photo = SimulatedBenchCamera.photograph(BenchScene.varied(309, 4000, 3000));
        PhotoReader reader = new PhotoReader();
        row("photo of 12 megapixels to outlines", times(2, 8, () -> reader.read(photo, PhotoHints.none(), () -> false)), 1000, "ms",
                "wanted: 1000 ms");
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
        row("file of 100 megapixels, opened", seconds, 1000, "ms",
                "heap of this process: " + Runtime.getRuntime().maxMemory() / 1_000_000 + " MB (wanted: under 1000)");
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

    static double median(List<Double> values) {
        return percentile(values, 50);
    }

    private static double percentile(List<Double> values, int percent) {
        double[] sorted = values.stream().mapToDouble(Double::doubleValue).sorted().toArray();
        return sorted[Math.min(sorted.length - 1, (int) Math.ceil(percent / 100.0 * sorted.length) - 1)];
    }

    static void row(String what, List<Double> values, double factor, String unit, String against) {
        System.out.printf(Locale.ROOT, "| %s | %.1f %s | %.1f %s | %s |%n", what, median(values) * factor, unit,
                percentile(values, 95) * factor, unit, against);
    }
}
