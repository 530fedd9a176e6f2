package mosspebble.core.plan;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import mosspebble.core.colour.Mix;
import mosspebble.core.colour.Paint;
import mosspebble.core.colour.Pot;
import mosspebble.core.colour.Shelf;
import mosspebble.core.project.Diary;
import mosspebble.core.supplies.PaintUse;
import mosspebble.core.units.Millilitres;

/**
 * What passes that are done have taken out of the jars. The whole stone takes what its plan says, rests of puddles included; each pass
 * takes the share of a paint that lies in it, by area, coats and parts of the mix, so that all passes together take the whole. The pots
 * of the shelf stay as they were counted until a stone leaves the tray: what is in them now is what was counted less this.
 */
public final class TakenOut {

    private final PaintPlan plan;
    private final DoneSteps done;
    private final Map<String, Double> whole = new HashMap<>();
    private final Map<String, Double> laid = new HashMap<>();

    /** @param diary in which passes of the stone may be done */
    public TakenOut(PaintPlan plan, Diary diary) {
        this.plan = plan;
        this.done = new DoneSteps(plan, diary);
        for (int i = 0; i < plan.steps().size(); i++) {
            Step step = plan.steps().get(i);
            int parts = ManyStones.parts(step);
            int over = 0;
            for (int part = 0; part < parts; part++) {
                over += done.done(i, part).isPresent() ? 1 : 0;
            }
            for (Step.Layer layer : step.laidNow()) {
                Mix mix = layer.load().mix();
                double area = layer.place().getArea() * layer.load().thin() * layer.coats();
                for (Mix.Part part : mix.parts()) {
                    double share = area * part.parts() / mix.totalParts();
                    whole.merge(part.paint(), share, Double::sum);
                    laid.merge(part.paint(), share * over / parts, Double::sum);
                }
            }
        }
    }

    private double share(String paint) {
        double all = whole.getOrDefault(paint, 0.0);
        return all > 0 ? laid.getOrDefault(paint, 0.0) / all : 0;
    }

    /** Millilitres taken so far, by paint; without those of which nothing was. */
    public Map<String, Double> byPaint() {
        Map<String, Double> taken = new TreeMap<>();
        for (PaintUse use : plan.supplies()) {
            double ml = use.needed().value() * share(use.paint());
            if (ml > 0) {
                taken.put(use.paint(), ml);
            }
        }
        return taken;
    }

    /** What the passes that are still to be done take. */
    public List<PaintUse> stillNeeded() {
        return plan.supplies().stream()
                .map(u -> new PaintUse(u.paint(), new Millilitres(u.needed().value() * (1 - share(u.paint()))), u.left())).toList();
    }

    /**
     * A shelf with so much out of its pots, none below empty.
     *
     * @param byPaint ml; paints that are not on the shelf are passed over
     */
    public static Shelf from(Shelf shelf, Map<String, Double> byPaint) {
        Shelf left = shelf;
        for (Map.Entry<String, Double> each : byPaint.entrySet()) {
            Paint paint = shelf.find(each.getKey()).orElse(null);
            if (paint != null && each.getValue() != 0) {
                Pot pot = paint.pot();
                double rest = Math.max(0, pot.left().value() - each.getValue());
                left = left.with(paint.withPot(new Pot(new Millilitres(rest), pot.full(), pot.price())));
            }
        }
        return left;
    }
}
