package mosspebble.core.plan;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import mosspebble.core.coats.Film;
import mosspebble.core.coats.FilmTable;
import mosspebble.core.coats.SoakIn;
import org.locationtech.jts.algorithm.locate.IndexedPointInAreaLocator;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Location;

/**
 * Cuts through stone and paint along a line. Made once for a plan; a cut costs one point-in-area look-up per sample and step. Not shared
 * between threads.
 */
public final class Slice {

    /**
     * The film at a place along the line.
     *
     * @param alongMm distance from the line's start
     * @param heightMm height of the stone over its girdle
     * @param onStone whether the place is on the stone
     * @param layers coats from the stone up
     */
    public record Sample(double alongMm, double heightMm, boolean onStone, List<Film> layers) {

        public double totalUm() {
            return layers.isEmpty() ? 0 : layers.get(layers.size() - 1).totalUm();
        }
    }

    private final PaintPlan plan;
    private final List<List<Laid>> laid = new ArrayList<>();
    private final FilmTable table;

    private record Laid(IndexedPointInAreaLocator place, Step.Layer layer) {}

    public Slice(PaintPlan plan) {
        this.plan = plan;
        this.table = new FilmTable(PaintPlan.bare(plan.survey().stone(), StoneState.DRY), SoakIn.share(plan.survey().stone()));
        for (Step step : plan.steps()) {
            laid.add(step.layers().stream().filter(l -> !l.place().isEmpty() && l.side() == plan.up().side())
                    .map(l -> new Laid(new IndexedPointInAreaLocator(l.place()), l)).toList());
        }
    }

    /**
     * @param steps how many steps are done
     * @param count samples, 2 or more, evenly from start to end
     */
    public List<Sample> cut(int steps, double x0, double y0, double x1, double y1, int count) {
        return cut(steps, 0, x0, y0, x1, y1, count);
    }

    /**
     * The same within a step.
     *
     * @param coats of the last of the steps; 0 for all of them
     */
    public List<Sample> cut(int steps, int coats, double x0, double y0, double x1, double y1, int count) {
        List<Sample> samples = new ArrayList<>();
        double length = Math.hypot(x1 - x0, y1 - y0);
        for (int i = 0; i < count; i++) {
            double t = (double) i / (count - 1);
            double x = x0 + t * (x1 - x0);
            double y = y0 + t * (y1 - y0);
            boolean onStone = plan.survey().dome().levelAt(x, y) > 0;
            int film = 0;
            for (int step = 0; onStone && step < steps; step++) {
                for (Laid each : laid.get(step)) {
                    if (each.place.locate(new Coordinate(x, y)) != Location.EXTERIOR) {
                        int all = each.layer.coats();
                        film = table.over(film, each.layer.load().coat(), step == steps - 1 && coats > 0 ? Math.min(coats, all) : all);
                    }
                }
            }
            samples.add(new Sample(t * length, plan.survey().dome().heightAt(x, y), onStone, table.stack(film)));
        }
        return samples;
    }
}
