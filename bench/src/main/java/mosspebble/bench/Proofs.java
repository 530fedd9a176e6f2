package mosspebble.bench;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.SplittableRandom;
import java.util.concurrent.ConcurrentHashMap;
import java.util.stream.IntStream;
import mosspebble.core.area.Remembered;
import mosspebble.core.photo.Photo;
import mosspebble.core.photo.PhotoHints;
import mosspebble.core.photo.PhotoReader;
import mosspebble.core.photo.PhotoReading;
import mosspebble.core.plan.PaintPlan;
import mosspebble.core.plan.Step;
import mosspebble.core.project.Project;
import mosspebble.core.project.Workshop;
import mosspebble.core.proof.Moment;
import mosspebble.core.proof.PhotoProof;
import mosspebble.core.proof.Proof;
import mosspebble.core.proof.ProofFinding;
import mosspebble.core.proof.Stray;
import mosspebble.core.rules.Plans;
import mosspebble.core.sketch.PlacedItem;
import mosspebble.core.sketch.Placement;
import mosspebble.core.sketch.Sketch;
import mosspebble.core.stone.Survey;
import mosspebble.core.units.Parallel;
import mosspebble.files.BuiltIn;
import mosspebble.files.LanternWalk;
import mosspebble.instruments.BenchScene;
import mosspebble.instruments.PaintedFace;
import mosspebble.instruments.SimulatedBenchCamera;
import mosspebble.instruments.UnsteadyHand;
import org.locationtech.jts.algorithm.MinimumDiameter;
import org.locationtech.jts.geom.Coordinate;

/** Demo stones drawn with errors of known size, photographed by the stand-in camera and held against their plans. */
final class Proofs {

    private static final int TRIALS = 54;

    /** How far a real move may be from a plain one of the whole thing, mm: what follows a curve does not turn in one piece. */
    private static final double PLAIN_MM = 0.05;

    private static final Workshop WORKSHOP = TenPieces.workshop();
    private static final Map<String, PaintPlan> PLANS = new LinkedHashMap<>();
    /** Of each stone what its plans before left known. */
    private static final Map<String, Remembered> LEFT = new ConcurrentHashMap<>();

    private Proofs() {}

    /** The demo's stone of a name. */
    static synchronized PaintPlan demo(String id) {
        return PLANS.computeIfAbsent(id, i -> plan(projects().stream().filter(p -> p.id().equals(i)).findFirst().orElseThrow()));
    }

    static List<Project> projects() {
        return LanternWalk.studio(BuiltIn.repertoire()).projects();
    }

    static PaintPlan plan(Project project) {
        Remembered left = LEFT.computeIfAbsent(project.id(), i -> new Remembered());
        synchronized (left) { // belongs to one thread at a time
            return Plans.plan(project, Survey.of(project.stone()), WORKSHOP, left);
        }
    }

    static int pencilled(PaintPlan plan) {
        return 1 + IntStream.range(0, plan.steps().size()).filter(i -> plan.steps().get(i) instanceof Step.Pencil).findFirst().orElse(-1);
    }

    static int painted(PaintPlan plan) {
        return 1 + IntStream.range(0, plan.steps().size()).filter(i -> plan.steps().get(i) instanceof Step.Lay).max().orElse(-1);
    }

    /** A photo of 2 megapixels of a stone as it lies, somewhere and somehow turned. */
    static Photo photo(Survey survey, BenchScene.Cover face, long seed) {
        SplittableRandom random = new SplittableRandom(seed);
        return SimulatedBenchCamera.photograph(BenchScene.work(new BenchScene.Lying(survey.stone(), random.nextDouble(180, 210),
                random.nextDouble(105, 135), random.nextDouble(-180, 180), Optional.of(face)), seed));
    }

    static Proof proof(PaintPlan plan, Moment moment, Photo photo) {
        PhotoReading reading = new PhotoReader().read(photo, PhotoHints.none(), () -> false);
        return PhotoProof.of(plan, moment, photo, reading, () -> false);
    }

    /** One stone drawn or painted after another plan, held against its own. */
    static Proof proof(PaintPlan plan, PaintPlan lies, boolean pencil, long seed) {
        Photo photo = photo(lies.survey(), PaintedFace.of(lies, pencil ? pencilled(lies) : painted(lies)), seed);
        return proof(plan, pencil ? Moment.pencilled() : Moment.painted(painted(plan)), photo);
    }

    /** How one thing was really moved: by the least squares over all its corners; empty where that is not one plain move. */
    static Optional<Stray.Amount> truth(PaintPlan plan, PaintPlan lies, String item, Stray stray) {
        PlacedItem before = plan.design().orElseThrow().item(item).orElseThrow();
        PlacedItem after = lies.design().orElseThrow().item(item).orElseThrow();
        List<Coordinate> from = new ArrayList<>();
        List<Coordinate> to = new ArrayList<>();
        for (int k = 0; k < before.parts().size(); k++) {
            Coordinate[] a = before.parts().get(k).drawn().getCoordinates();
            Coordinate[] b = after.parts().get(k).drawn().getCoordinates();
            if (a.length != b.length) {
                return Optional.empty(); // cut at the edge
            }
            from.addAll(Arrays.asList(a));
            to.addAll(Arrays.asList(b));
        }
        Coordinate m = middle(from);
        Coordinate n = middle(to);
        double along = 0;
        double across = 0;
        double square = 0;
        for (int i = 0; i < from.size(); i++) {
            double x = from.get(i).x - m.x;
            double y = from.get(i).y - m.y;
            along += x * (to.get(i).x - n.x) + y * (to.get(i).y - n.y);
            across += x * (to.get(i).y - n.y) - y * (to.get(i).x - n.x);
            square += x * x + y * y;
        }
        double c = along / square;
        double s = across / square;
        for (int i = 0; i < from.size(); i++) {
            double x = n.x + c * (from.get(i).x - m.x) - s * (from.get(i).y - m.y);
            double y = n.y + s * (from.get(i).x - m.x) + c * (from.get(i).y - m.y);
            if (to.get(i).distance(new Coordinate(x, y)) > PLAIN_MM) {
                return Optional.empty();
            }
        }
        Coordinate at = stray.planned().getCentroid().getCoordinate();
        Coordinate[] box = new MinimumDiameter(stray.planned()).getMinimumRectangle().getCoordinates();
        double length = Math.max(box[0].distance(box[1]), box[1].distance(box[2]));
        return Optional
                .of(new Stray.Amount(n.x + c * (at.x - m.x) - s * (at.y - m.y) - at.x, n.y + s * (at.x - m.x) + c * (at.y - m.y) - at.y,
                        Math.toDegrees(Math.atan2(s, c)), (Math.hypot(c, s) - 1) * length));
    }

    private static Coordinate middle(List<Coordinate> all) {
        return new Coordinate(all.stream().mapToDouble(c -> c.x).average().orElseThrow(),
                all.stream().mapToDouble(c -> c.y).average().orElseThrow());
    }

    /**
     * Errors of what was measured at one thing that was moved, turned and sized at random.
     *
     * @param found whether the thing could be made out
     */
    record Error(String stone, boolean pencil, boolean found, double turn, double mm, double place) {}

    /** One trial; empty where the made-up error is not a plain move. */
    static Optional<Error> trial(int number) {
        SplittableRandom random = new SplittableRandom(77 + number * 1_000_003L);
        List<Project> all = projects();
        Project project = all.get(number % all.size());
        boolean pencil = (number + number / all.size()) % 2 == 0; // each stone both ways
        PaintPlan plan = demo(project.id());
        List<PlacedItem> free = plan.design().orElseThrow().items().stream().filter(i -> !i.wears()).toList();
        if (free.isEmpty()) {
            return Optional.empty();
        }
        String item = free.get(random.nextInt(free.size())).item().id();
        PaintPlan lies = plan(
                project.withSketch(project.sketch().map(s -> s.with(item, i -> i.withPlacement(wrong(i.placement(), random))))));
        Proof proof = proof(plan, lies, pencil, random.nextInt(100_000));
        boolean round = proof.findings().stream().anyMatch(f -> f.kind() == ProofFinding.Kind.ROUND);
        return proof.strays().stream().filter(s -> s.part().isEmpty() && s.item().equals(item)).findFirst()
                .flatMap(s -> truth(plan, lies, item, s).map(t -> new Error(project.id(), pencil, s.isFound(),
                        round ? 0 : s.by().turn() - t.turn(), s.by().mm() - t.mm(),
                        round ? 0 : Math.hypot(s.by().dx() - t.dx(), s.by().dy() - t.dy()))));
    }

    private static Placement wrong(Placement p, SplittableRandom random) {
        return p.movedBy(random.nextDouble(-2, 2), random.nextDouble(-2, 2)).turnedBy(random.nextDouble(-4, 4))
                .sizedBy(random.nextDouble(0.94, 1.06));
    }

    /** What is said of a faithful tracing, apart from what is true of the stone: should be nothing. */
    static List<ProofFinding> alarms(int number) {
        List<Project> all = projects();
        Project project = all.get(number % all.size());
        boolean pencil = (number + number / all.size()) % 2 == 0; // each stone both ways
        Sketch copy = UnsteadyHand.faithful(project.sketch().orElseThrow(), 900 + number);
        Proof proof = proof(demo(project.id()), plan(project.withSketch(Optional.of(copy))), pencil, 4_000 + number);
        return proof.findings().stream().filter(f -> f.kind() != ProofFinding.Kind.ROUND).toList();
    }

    static void print(Figures figures) {
        List<Error> errors = Parallel.range(0, TRIALS).mapToObj(Proofs::trial).flatMap(Optional::stream).toList();
        List<Error> found = errors.stream().filter(Error::found).toList();
        figures.add("slope of a thing drawn wrong, off by", "°", found.stream().map(e -> Math.abs(e.turn())).toList(),
                Figures.Goal.ninetyFifth(0.5), "");
        figures.add("its size, off by", "mm", found.stream().map(e -> Math.abs(e.mm())).toList(), Figures.Goal.ninetyFifth(0.4), "");
        figures.add("its place, off by", "mm", found.stream().map(Error::place).toList(), Figures.Goal.NONE, "");
        figures.one("things drawn wrong that were not made out, of " + errors.size(), "", errors.size() - found.size(), Figures.Goal.NONE,
                "");
        long alarms = Parallel.range(0, TRIALS).filter(i -> !alarms(i).isEmpty()).count();
        figures.one("faithful copies at which something was said, of " + TRIALS, "", alarms, Figures.Goal.median(0.05 * TRIALS), "");
        time(figures, "toadstool", 4000);
        time(figures, "owl", 4000);
    }

    /** Reading and comparing a photo of 12 megapixels. */
    private static void time(Figures figures, String id, int wide) {
        PaintPlan plan = demo(id);
        BenchScene scene = BenchScene.work(new BenchScene.Lying(plan.survey().stone(), 200, 118, 12,
                Optional.of(PaintedFace.of(plan, painted(plan)))), 3).withWidth(wide).withHeight(wide * 3 / 4);
        Photo photo = SimulatedBenchCamera.photograph(scene);
        figures.add(id + " painted, photo of 12 megapixels read and compared", "s",
                Bench.times(0, 5, () -> proof(plan, Moment.painted(painted(plan)), photo)), Figures.Goal.median(2), "");
    }
}
