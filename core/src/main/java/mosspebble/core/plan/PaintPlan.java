package mosspebble.core.plan;

import java.time.Duration;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import mosspebble.core.area.Grid;
import mosspebble.core.area.Mask;
import mosspebble.core.coats.FilmMap;
import mosspebble.core.coats.FilmTable;
import mosspebble.core.coats.SoakIn;
import mosspebble.core.colour.Spectrum;
import mosspebble.core.colour.WetStone;
import mosspebble.core.finding.Finding;
import mosspebble.core.project.Project;
import mosspebble.core.sketch.PlacedDesign;
import mosspebble.core.stone.EdgeStrip;
import mosspebble.core.stone.Stone;
import mosspebble.core.stone.Survey;
import mosspebble.core.supplies.PaintUse;
import mosspebble.core.supplies.Puddle;
import mosspebble.core.timetable.Sitting;

/**
 * The answer of the planner for one stone: one job over both faces and the edge. What is asked of it without further words is asked of the
 * face that is up.
 *
 * @param faces the one that is up, then the other one if it is painted
 * @param edge the edge unrolled, if it is painted
 * @param supplies for all of it, what is left of puddles included
 * @param puddles in which it is mixed
 * @param findings what a practised painter says to it; empty as long as nobody looked it over
 */
public record PaintPlan(List<FacePlan> faces, Optional<EdgeStrip> edge, Schedule schedule, List<PaintUse> supplies,
        List<Puddle> puddles, List<Finding> findings) {

    /**
     * The steps and when each is done.
     *
     * @param bound no order of these passes is painted and dry sooner
     */
    public record Schedule(List<Step> steps, Sitting sitting, Duration bound) {
        public Schedule {
            steps = List.copyOf(steps);
        }
    }

    /**
     * How thick the film is.
     *
     * @param thickestUm thickest at the end, dry, sealer included, µm
     * @param weakest where the film of paint is thickest; empty if nothing is painted
     */
    public record Thickness(double thickestUm, Optional<Weakest> weakest) {}

    /**
     * Where the film of paint is thickest and so the first to peel.
     *
     * @param um dry, sealer left out
     * @param coats how many lie there
     * @param top number of the step that lies on top
     * @param onRim whether the stone is steep there
     */
    public record Weakest(double x, double y, double um, int coats, int top, boolean onRim) {}

    public PaintPlan {
        faces = List.copyOf(faces);
        findings = List.copyOf(findings);
        supplies = List.copyOf(supplies);
    }

    /** The same plan as the answer for a project of which a part had to be left out. */
    public PaintPlan of(Project whole) {
        List<FacePlan> both = new ArrayList<>(List.of(up().of(whole)));
        below().ifPresent(f -> both.add(f.of(whole.turnedOver())));
        return new PaintPlan(both, edge, schedule, supplies, puddles, findings);
    }

    /** The same, looked over. */
    public PaintPlan with(List<Finding> found) {
        return new PaintPlan(faces, edge, schedule, supplies, puddles, found);
    }

    /** The same job with the other face up; the findings are left out. Itself where only one face is painted. */
    public PaintPlan turnedOver() {
        return below().map(f -> new PaintPlan(List.of(f, up()), edge, schedule, supplies, puddles, List.of())).orElse(this);
    }

    /** The face that is up. */
    public FacePlan up() {
        return faces.get(0);
    }

    /** The face that lies below, if it is painted. */
    public Optional<FacePlan> below() {
        return faces.stream().skip(1).findFirst();
    }

    public Project project() {
        return up().project();
    }

    public Survey survey() {
        return up().survey();
    }

    public Optional<PlacedDesign> design() {
        return up().design();
    }

    public Noticed noticed() {
        return up().noticed();
    }

    public List<Step> steps() {
        return schedule.steps();
    }

    /** Each step by a name of its own within the plan: side, key, and a number for the second of one. It stays as long as the step does. */
    public List<String> names() {
        Map<String, Integer> known = new HashMap<>();
        List<String> names = new ArrayList<>();
        for (Step step : steps()) {
            String name = step.side() + " " + step.key();
            int count = known.merge(name, 1, Integer::sum);
            names.add(count == 1 ? name : name + " #" + count);
        }
        return names;
    }

    /** Keys of the passes of the face that is up that may be moved, in their order; primer goes with what it lies under. */
    public List<String> order() {
        return steps().stream().filter(this::moves).map(Step::key).toList();
    }

    private boolean moves(Step step) {
        return step.side() == up().side() && step.kind().movable() && step.kind() != Step.Kind.PRIME;
    }

    /**
     * The order with one pass moved to the place of another.
     *
     * @param step number of the pass, from 0
     * @param to number of the step whose place it takes, from 0; the nearest that moves counts
     * @return empty if the pass keeps its place, or has it already
     */
    public Optional<List<String>> moved(int step, int to) {
        if (step == to || !moves(steps().get(step))) {
            return Optional.empty();
        }
        List<String> keys = new ArrayList<>(order());
        int from = keys.indexOf(steps().get(step).key());
        int place = (int) steps().subList(0, to).stream().filter(this::moves).count();
        int end = to > step && !moves(steps().get(to)) ? place - 1 : place;
        if (end == from) {
            return Optional.empty();
        }
        keys.add(end, keys.remove(from));
        return Optional.of(List.copyOf(keys));
    }

    public Sitting sitting() {
        return schedule.sitting();
    }

    public double thickestUm() {
        return up().film().thickestUm();
    }

    public Optional<Weakest> weakest() {
        return up().film().weakest();
    }

    /** Ids of parts too narrow for their tools. */
    public Set<String> hardToPaint() {
        return noticed().fit().narrow().stream().map(n -> n.part().part().id()).collect(Collectors.toUnmodifiableSet());
    }

    public Duration handTime() {
        return steps().stream().map(s -> s.work().hand()).reduce(Duration.ZERO, Duration::plus);
    }

    /** From the first step to the last thing dry. */
    public Duration readyAfter() {
        return sitting().ready();
    }

    /** From the first stroke of paint until all of it can be recoated. */
    public Duration painting() {
        List<Integer> laid = IntStream.range(0, steps().size()).filter(i -> steps().get(i) instanceof Step.Lay).boxed().toList();
        return laid.isEmpty() ? Duration.ZERO
                : laid.stream().map(i -> sitting().steps().get(i).dry()).max(Duration::compareTo).orElseThrow()
                        .minus(sitting().steps().get(laid.get(0)).start());
    }

    public Duration waiting() {
        return readyAfter().minus(handTime());
    }

    /** How the bare stone looks. */
    public static Spectrum bare(Stone stone, StoneState look) {
        return switch (look) {
            case DRY -> Spectrum.of(stone.colour());
            case WET -> WetStone.wet(stone);
            case CURING, SEALED -> WetStone.sealed(stone);
        };
    }

    /** An empty film map of the stone, to lay steps on. */
    public FilmMap bareFilms(Grid grid, StoneState look) {
        return new FilmMap(grid, new FilmTable(bare(survey().stone(), look), SoakIn.share(survey().stone())));
    }

    /** The films of the face that is up after so many steps. */
    public FilmMap filmsAfter(int done, Grid grid, StoneState look) {
        FilmMap films = bareFilms(grid, look);
        for (Step step : steps().subList(0, done)) {
            step.layers().stream().filter(l -> l.side() == up().side())
                    .forEach(l -> films.lay(Mask.of(l.place(), grid), l.load().coat(), l.coats()));
        }
        return films;
    }
}
