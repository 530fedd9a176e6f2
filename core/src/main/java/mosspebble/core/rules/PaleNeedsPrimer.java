package mosspebble.core.rules;

import java.util.List;
import java.util.Optional;
import mosspebble.core.coats.Coat;
import mosspebble.core.coats.FilmTable;
import mosspebble.core.coats.Sheen;
import mosspebble.core.coats.SoakIn;
import mosspebble.core.colour.Lab;
import mosspebble.core.colour.Mix;
import mosspebble.core.colour.PaintKind;
import mosspebble.core.colour.Palette;
import mosspebble.core.finding.Code;
import mosspebble.core.finding.Finding;
import mosspebble.core.plan.PaintPlan;
import mosspebble.core.plan.Planner;
import mosspebble.core.plan.StoneState;
import mosspebble.core.units.Facts;

/**
 * Whether the palest paint needs more than two coats on this stone as it will look sealed: to know while colours are chosen. Once paint is
 * laid the passes themselves say where a primer goes.
 */
final class PaleNeedsPrimer implements Rule {

    /** L* below which a stone counts as mid or dark, where white needs its third coat (common practice, no source). */
    private static final double MID_TONE = 65;

    @Override
    public List<Finding> look(Bench on) {
        double sealed = on.sealedLightness();
        if (sealed >= MID_TONE || on.plan().steps().stream().anyMatch(s -> s.layer().isPresent())) {
            return List.of();
        }
        Optional<Palette.Colour> palest = on.palette().shelf().that(PaintKind.Use.FILLS).stream()
                .max((a, b) -> Double.compare(Lab.of(a.swatch()).l(), Lab.of(b.swatch()).l()))
                .flatMap(p -> on.palette().colour(Mix.of(p.id())));
        if (palest.isEmpty()) {
            return List.of();
        }
        Palette.Colour pale = palest.get();
        String paint = on.palette().shelf().words(pale.mix());
        Coat coat = new Coat(paint, pale.optics().full().toSrgb(), pale.optics(), pale.dryUm(), pale.dryingShift(), Sheen.SATIN, -1);
        FilmTable bare = new FilmTable(PaintPlan.bare(on.survey().stone(), StoneState.SEALED), SoakIn.share(on.survey().stone()));
        int coats = bare.coatsToHide(0, coat, on.habits().tolerance(), Planner.MOST_COATS);
        return coats <= 2 ? List.of()
                : List.of(Finding.of(Code.PALE_NEEDS_PRIMER, Facts.of("paint", paint).and("coats", coats).and("most", Planner.MOST_COATS)));
    }
}
