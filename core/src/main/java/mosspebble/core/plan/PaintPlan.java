package mosspebble.core.plan;

import java.time.Duration;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import mosspebble.core.coats.FilmMap;
import mosspebble.core.coats.FilmTable;
import mosspebble.core.coats.SoakIn;
import mosspebble.core.colour.Spectrum;
import mosspebble.core.colour.WetStone;
import mosspebble.core.area.Grid;
import mosspebble.core.area.Mask;
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
 * @param hardToPaint ids of parts too narrow for their tools
 * @param thickestUm thickest film at the end, dry, µm
 * @param sitting one step for each operation
 * @param weakest where the film of paint is thickest; empty if nothing is painted
 */
public record PaintPlan(Project project, Survey survey, Optional<PlacedDesign> design, List<Operation> operations, List<Finding> findings,
        Sitting sitting, List<PaintUse> supplies, Set<String> hardToPaint, double thickestUm, Optional<Weakest> weakest) {

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
        operations = List.copyOf(operations);
        findings = List.copyOf(findings);
        supplies = List.copyOf(supplies);
        hardToPaint = Set.copyOf(hardToPaint);
    }

    /** The same plan as the answer for a project of which a part had to be left out. */
    PaintPlan of(Project whole) {
        return new PaintPlan(whole, survey, design, operations, findings, sitting, supplies, hardToPaint, thickestUm, weakest);
    }

    public Duration handTime() {
        return operations.stream().map(Operation::hand).reduce(Duration.ZERO, Duration::plus);
    }

    /** From the first step to the last thing dry. */
    public Duration readyAfter() {
        return sitting.ready();
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

    /** An empty film map of the stone, to lay operations on. */
    public FilmMap bareFilms(Grid grid, Look look) {
        return new FilmMap(grid, new FilmTable(bare(survey.stone(), look), SoakIn.share(survey.stone())));
    }

    /** The films after so many operations. */
    public FilmMap filmsAfter(int steps, Grid grid, Look look) {
        FilmMap films = bareFilms(grid, look);
        for (Operation operation : operations.subList(0, steps)) {
            operation.coat().ifPresent(coat -> films.lay(Mask.of(operation.place(), grid), coat, operation.coats()));
        }
        return films;
    }
}
