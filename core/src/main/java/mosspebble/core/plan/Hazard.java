package mosspebble.core.plan;

import java.util.EnumSet;
import java.util.Set;
import mosspebble.core.care.SealAdvice;
import mosspebble.core.care.SealKind;
import mosspebble.core.colour.Binder;
import mosspebble.core.colour.Mix;
import mosspebble.core.colour.Paint;
import mosspebble.core.colour.PaintKind;
import mosspebble.core.colour.Shelf;
import mosspebble.core.project.Project;

/** What can hurt while a stone is made or afterwards (the usual cautions of the trade, no source; what a label says comes first). */
public enum Hazard {
    STONE_DUST, CASTING, STRIPPER, SOLVENT, OILY_RAGS, UNCURED_GEL, LOOSE_POWDER, GLUE, RESIN, VARNISH, HOT_AIR, HEAVY, FOOD_AND_FIRE,
    CHILDREN;

    /** From so many kg on nobody lifts it alone (common practice, no source). */
    static final double HEAVY_KG = 12;

    /** Those of a step, by what it is done with. */
    public static Set<Hazard> of(Step step, Shelf shelf) {
        Set<Hazard> found = EnumSet.noneOf(Hazard.class);
        if (step instanceof Step.Prepare prepare) {
            switch (prepare.task().act()) {
                case CAST -> found.add(CASTING);
                case STRIP -> found.add(STRIPPER);
                case BRUSH, SAND, DULL -> found.add(STONE_DUST);
                case DRY_CAST, WASH, FILL -> {}
            }
        }
        if (step instanceof Step.Seal seal) {
            found.addAll(of(seal.advice()));
        } else {
            step.layers().stream().flatMap(l -> l.load().mix().parts().stream()).map(Mix.Part::paint)
                    .flatMap(id -> shelf.find(id).stream()).forEach(paint -> laid(paint, found));
        }
        return found;
    }

    /** Those of sealing. */
    public static Set<Hazard> of(SealAdvice advice) {
        Set<Hazard> found = EnumSet.of(advice.why().poured() ? RESIN : VARNISH);
        if (advice.kind().fumes() == SealKind.Fumes.SOLVENT) {
            found.add(SOLVENT);
        }
        return found;
    }

    private static void laid(Paint paint, Set<Hazard> found) {
        Binder binder = paint.binder();
        if (binder == Binder.ALCOHOL || binder == Binder.OIL || binder == Binder.SOLVENT_LACQUER) {
            found.add(SOLVENT);
        }
        if (binder == Binder.OIL) {
            found.add(OILY_RAGS);
        }
        if (binder == Binder.UV_GEL) {
            found.add(UNCURED_GEL);
        }
        if (binder == Binder.RESIN) {
            found.add(RESIN);
        }
        if (paint.kind() == PaintKind.POWDER || paint.kind() == PaintKind.FLAKES) {
            found.add(LOOSE_POWDER);
        }
        if (paint.kind().does(PaintKind.Use.GLUES)) {
            found.add(GLUE);
        }
    }

    /** Those of a whole stone, sealed or not: those of its steps, of how it is dried, of its weight, and what holds for every stone. */
    public static Set<Hazard> of(PaintPlan plan, Shelf shelf) {
        Set<Hazard> found = EnumSet.of(FOOD_AND_FIRE, CHILDREN);
        plan.steps().forEach(step -> found.addAll(of(step, shelf)));
        Project project = plan.project();
        if (project.habits().dryer() || project.below().filter(f -> f.own().orElse(project.wholeHabits()).dryer()).isPresent()) {
            found.add(HOT_AIR);
        }
        if (plan.survey().facts().weight().value() >= 1000 * HEAVY_KG) {
            found.add(HEAVY);
        }
        return found;
    }
}
