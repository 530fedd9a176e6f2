package mosspebble.core.plan;

import java.time.Duration;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
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
import mosspebble.core.stone.Stone;
import mosspebble.core.stone.Survey;
import mosspebble.core.supplies.PaintUse;
import mosspebble.core.timetable.Sitting;

/**
 * The answer of the planner for one stone.
 *
 * @param sitting one entry for each step
 * @param film how thick it lies
 * @param noticed what the planner came upon
 * @param findings what a practised painter says to it; empty as long as nobody looked it over
 */
public record PaintPlan(Project project, Survey survey, Optional<PlacedDesign> design, Schedule schedule, List<PaintUse> supplies, Thickness film, Noticed noticed, List<Finding> findings) {

    /** The steps and when each is done. */
    public record Schedule(List<Step> steps, Sitting sitting) {
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
        findings = List.copyOf(findings);
        supplies = List.copyOf(supplies);
    }

    /** The same plan as the answer for a project of which a part had to be left out. */
    public PaintPlan of(Project whole) {
        return new PaintPlan(whole, survey, design, schedule, supplies, film, noticed, findings);
    }

    /** The same, looked over. */
    public PaintPlan with(List<Finding> found) {
        return new PaintPlan(project, survey, design, schedule, supplies, film, noticed, found);
    }

    public List<Step> steps() {
        return schedule.steps();
    }

    public Sitting sitting() {
        return schedule.sitting();
    }

    public double thickestUm() {
        return film.thickestUm();
    }

    public Optional<Weakest> weakest() {
        return film.weakest();
    }

    /** Ids of parts too narrow for their tools. */
    public Set<String> hardToPaint() {
        return noticed.fit().narrow().stream().map(n -> n.part().part().id()).collect(Collectors.toUnmodifiableSet());
    }

    public Duration handTime() {
        return steps().stream().map(s -> s.work().hand()).reduce(Duration.ZERO, Duration::plus);
    }

    /** From the first step to the last thing dry. */
    public Duration readyAfter() {
        return sitting().ready();
    }

    public Duration waiting() {
        return readyAfter().minus(handTime());
    }

    /** Look of the bare stone. */
    public static Spectrum bare(Stone stone, Look look) {
        return switch (look) {
            case DRY -> Spectrum.of(stone.colour());
            case WET -> WetStone.wet(stone);
            case SEALED -> WetStone.sealed(stone);
        };
    }

    /** An empty film map of the stone, to lay steps on. */
    public FilmMap bareFilms(Grid grid, Look look) {
        return new FilmMap(grid, new FilmTable(bare(survey.stone(), look), SoakIn.share(survey.stone())));
    }

    /** The films after so many steps. */
    public FilmMap filmsAfter(int done, Grid grid, Look look) {
        FilmMap films = bareFilms(grid, look);
        for (Step step : steps().subList(0, done)) {
            step.layer().ifPresent(l -> films.lay(Mask.of(l.place(), grid), l.load().coat(), l.coats()));
        }
        return films;
    }
}
