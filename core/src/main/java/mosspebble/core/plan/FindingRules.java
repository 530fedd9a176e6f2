package mosspebble.core.plan;

import static mosspebble.core.plan.Finding.Stage;
import static mosspebble.core.plan.Finding.Weight;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import mosspebble.core.care.SealAdvice;
import mosspebble.core.coats.Coat;
import mosspebble.core.coats.FilmTable;
import mosspebble.core.coats.SoakIn;
import mosspebble.core.colour.Lab;
import mosspebble.core.colour.Mix;
import mosspebble.core.colour.Paint;
import mosspebble.core.colour.PaintKind;
import mosspebble.core.colour.Palette;
import mosspebble.core.colour.RecipeSearch;
import mosspebble.core.drying.Climate;
import mosspebble.core.drying.Drying;
import mosspebble.core.drying.Psychrometrics;
import mosspebble.core.sketch.Item;
import mosspebble.core.sketch.PlacedDesign;
import mosspebble.core.sketch.PlacedPart;
import mosspebble.core.sketch.Role;
import mosspebble.core.sketch.Shapes;
import mosspebble.core.sketch.Slot;
import mosspebble.core.stone.Patch;
import mosspebble.core.stone.Survey;
import mosspebble.core.supplies.PaintUse;
import mosspebble.core.units.Numbers;

/** What a practised painter would say looking at the plan. Adds to a list of findings. */
final class FindingRules {

    /** A film thicker than this may peel, µm; thinner on glassy stone (common practice, no source). */
    private static final double PEEL_UM = 260;

    /** L* by which sealed stone must be darker before it is worth saying. */
    private static final double DARKENS = 5;

    /** Neighbouring colours closer than this cannot be told apart at arm's length (common practice, no source). */
    private static final double ALIKE = 8;

    /** L* below which a stone counts as mid or dark, where white needs its third coat (common practice, no source). */
    private static final double MID_TONE = 65;

    private final Project project;
    private final Survey survey;
    private final Palette palette;
    private final Climate climate;
    private final List<Finding> findings;

    FindingRules(Project project, Survey survey, Palette palette, Climate climate, List<Finding> findings) {
        this.project = project;
        this.survey = survey;
        this.palette = palette;
        this.climate = climate;
        this.findings = findings;
    }

    void stone() {
        switch (project.origin().taking()) {
            case FORBIDDEN -> findings.add(Finding.of(Weight.STOP, Stage.STONE, "Taking this stone was not allowed" + place() + ". Bring it back; protected beaches and parks forbid it, local rules come first."));
            case UNKNOWN, OWN, ALLOWED -> { }
        }
        long marks = survey.dome().patches().stream().filter(p -> p.kind() == Patch.Kind.CRACK).count();
        if (marks > 0) {
            findings.add(Finding.of(Weight.TIP, Stage.STONE, marks == 1 ? "One crack is marked: keep faces and letters off it." : marks + " cracks are marked: keep faces and letters off them."));
        }
        if (survey.stone().skin().sealed()) {
            findings.add(Finding.of(Weight.MIND, Stage.STONE, "The stone has been sealed before. Dull it with fine paper first, or the paint peels off whole."));
        }
        primerForPale();
        double dry = Lab.of(survey.stone().colour()).l();
        double sealed = Lab.of(PaintPlan.bare(survey.stone(), Look.SEALED)).l();
        if (dry - sealed >= DARKENS) {
            findings.add(Finding.of(Weight.TIP, Stage.STONE, "Sealed, this bare stone goes from L* " + Numbers.text(dry, 0) + " to " + Numbers.text(sealed, 0)
                    + ". Colours are judged against the darker one."));
        }
    }

    private String place() {
        return project.origin().where().isBlank() ? "" : " (" + project.origin().where() + ")";
    }

    /** Whether the palest paint needs more than two coats on this stone as it will look sealed. */
    private void primerForPale() {
        palette.shelf().ofKind(PaintKind.BRUSH).stream().max((a, b) -> Double.compare(Lab.of(a.swatch()).l(), Lab.of(b.swatch()).l())).flatMap(p -> palette.colour(Mix.of(p.id()))).ifPresent(pale -> {
            Coat coat = new Coat(palette.shelf().words(pale.mix()), pale.optics().full().toSrgb(), pale.optics(), pale.dryUm(), pale.dryingShift(), -1);
            int coats = new FilmTable(PaintPlan.bare(survey.stone(), Look.SEALED), SoakIn.share(survey.stone())).coatsToHide(0, coat, project.habits().tolerance(), PrimerChoice.MOST_COATS);
            if (coats > 2 && Lab.of(PaintPlan.bare(survey.stone(), Look.SEALED)).l() < MID_TONE) {
                findings.add(Finding.of(Weight.TIP, Stage.STONE, "Primer is needed for pale colours here: " + palette.shelf().words(pale.mix()) + " takes " + (coats > PrimerChoice.MOST_COATS ? "more than " + PrimerChoice.MOST_COATS : coats)
                        + " coats on this stone as it looks sealed."));
            }
        });
    }

    void colours(PlacedDesign design, Map<String, Palette.Colour> colours, Optional<Palette.Colour> ground) {
        if (palette.shelf().paints().isEmpty()) {
            findings.add(Finding.of(Weight.STOP, Stage.COLOUR, "The shelf is empty. Without paints nothing can be planned."));
            return;
        }
        for (Slot slot : design.slots()) {
            Mix mix = project.colours().get(slot.id());
            if (!colours.containsKey(slot.id())) {
                String sentence = mix == null ? slot.title() + " has no colour yet; its parts are left out of the plan."
                        : slot.title() + " uses " + palette.shelf().words(mix) + "; its parts are left out of the plan.";
                findings.add(Finding.of(Weight.STOP, Stage.COLOUR, sentence, "Take the nearest mix", p -> nearest(p, slot)));
            }
        }
        if (project.ground().isPresent() && ground.isEmpty()) {
            findings.add(Finding.of(Weight.STOP, Stage.COLOUR, "The ground uses " + palette.shelf().words(project.ground().get()) + ". Choose another."));
        }
    }

    private Project nearest(Project p, Slot slot) {
        return RecipeSearch.nearest(Lab.of(slot.wish()), palette, 6, 2).map(r -> p.withColour(slot.id(), r.mix())).orElse(p);
    }

    void contrast(PlacedDesign design, Regions cut, Map<String, Palette.Colour> colours) {
        if (cut.weakestContrast() < OutlinePen.LOST) {
            findings.add(Finding.of(Weight.MIND, Stage.COLOUR, "No pen on the shelf stands out round the " + cut.weakestPart() + ": the best differs by only "
                    + Numbers.text(cut.weakestContrast(), 0) + " (CIEDE2000) from one of its sides."));
        }
        vanishing(design, colours);
    }

    /** A subject without outline whose colour is that of what is behind it. */
    private void vanishing(PlacedDesign design, Map<String, Palette.Colour> colours) {
        Lab behind = project.ground().flatMap(palette::colour).filter(g -> project.habits().ground() != Habits.Ground.BARE).map(Palette.Colour::lab)
                .orElse(Lab.of(PaintPlan.bare(survey.stone(), project.habits().outdoors() ? Look.SEALED : Look.DRY)));
        if (project.sketch().filter(s -> s.items().stream().anyMatch(Item::wearing)).isPresent()) {
            return;
        }
        for (PlacedPart part : design.parts()) {
            Palette.Colour colour = colours.get(part.part().slot());
            if (part.part().role() == Role.FILL && colour != null && !part.part().outlined() && colour.lab().differenceTo(behind) < ALIKE
                    && Shapes.grown(design.silhouette(), -0.5).getArea() > 0 && !Shapes.grown(design.silhouette(), -0.5).covers(part.drawn())) {
                findings.add(Finding.of(Weight.MIND, Stage.COLOUR, "The " + part.part().title() + " differs by only " + Numbers.text(colour.lab().differenceTo(behind), 0)
                        + " (CIEDE2000) from what is behind it and would vanish."));
                return;
            }
        }
    }

    static void hiding(List<Finding> findings, Project project, Region region, int coats, int most) {
        if (coats > most) {
            boolean never = project.habits().primer() == Habits.Primer.NEVER;
            String sentence = "Even " + most + " coats on " + region.title() + " let what is below show through.";
            findings.add(never ? Finding.of(Weight.MIND, Stage.BUILD_UP, sentence, "Allow primer", p -> p.withHabits(
                    p.habits().with(p.habits().ground(), p.habits().lines(), p.habits().lineColour(), Habits.Primer.WHERE_NEEDED)))
                    : Finding.of(Weight.MIND, Stage.BUILD_UP, sentence + " Choose a paint that hides better."));
        }
    }

    void supplies(List<PaintUse> supplies) {
        for (PaintUse use : supplies) {
            if (use.runsOut()) {
                findings.add(Finding.of(Weight.MIND, Stage.BUILD_UP, palette.shelf().find(use.paint()).map(Paint::name).orElse(use.paint()) + " will run out: "
                        + Numbers.text(use.needed().value(), 1) + " ml needed, " + Numbers.text(use.left().value(), 1) + " ml left."));
            }
        }
    }

    void film(double thickestUm) {
        boolean glassy = survey.stone().porosity() < 0.02;
        double limit = glassy ? 0.7 * PEEL_UM : PEEL_UM;
        if (thickestUm > limit) {
            findings.add(Finding.of(Weight.MIND, Stage.BUILD_UP, "The film grows to " + Numbers.text(thickestUm, 0) + " µm; over " + Numbers.text(limit, 0)
                    + " µm it may peel" + (glassy ? " from a stone as glassy as this" : "") + "."));
        }
    }

    void sealing(boolean planned) {
        if (planned && !Drying.safeToSeal(climate)) {
            findings.add(Finding.of(Weight.STOP, Stage.SITTING, "The room is at " + climate.temperature() + ", only "
                    + Numbers.text(climate.temperature().value() - Psychrometrics.dewPoint(climate).value(), 1) + " K above the dew point. Do not seal below 3 K: damp is locked in."));
        }
        if (planned && palette.shelf().ofKind(PaintKind.VARNISH).isEmpty() && project.habits().outdoors()) {
            findings.add(Finding.of(Weight.STOP, Stage.FINISH, "There is no varnish on the shelf, and outdoors the stone must be sealed with " + SealAdvice.of(survey.stone(), true).coats() + " coats."));
        }
    }
}
