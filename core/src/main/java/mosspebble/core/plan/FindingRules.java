package mosspebble.core.plan;

import static mosspebble.core.finding.Finding.Stage;
import static mosspebble.core.finding.Finding.Weight;

import java.time.Duration;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import mosspebble.core.blend.Blend;
import mosspebble.core.care.Compatibility;
import mosspebble.core.care.SealAdvice;
import mosspebble.core.care.SmearTest;
import mosspebble.core.coats.Coat;
import mosspebble.core.coats.FilmTable;
import mosspebble.core.coats.Sheen;
import mosspebble.core.coats.SoakIn;
import mosspebble.core.colour.Binder;
import mosspebble.core.colour.Finish;
import mosspebble.core.colour.Lab;
import mosspebble.core.colour.Mix;
import mosspebble.core.colour.Paint;
import mosspebble.core.colour.PaintKind;
import mosspebble.core.colour.Palette;
import mosspebble.core.colour.RecipeSearch;
import mosspebble.core.drying.Climate;
import mosspebble.core.drying.Drying;
import mosspebble.core.drying.Psychrometrics;
import mosspebble.core.drying.SteadyMass;
import mosspebble.core.finding.Finding;
import mosspebble.core.project.Habits;
import mosspebble.core.project.Project;
import mosspebble.core.project.Workshop;
import mosspebble.core.sketch.Item;
import mosspebble.core.sketch.PlacedDesign;
import mosspebble.core.sketch.PlacedPart;
import mosspebble.core.sketch.Role;
import mosspebble.core.area.Shapes;
import mosspebble.core.sketch.Slot;
import mosspebble.core.stone.Patch;
import mosspebble.core.stone.Survey;
import mosspebble.core.supplies.PaintUse;
import mosspebble.core.timetable.Durations;
import mosspebble.core.units.Numbers;
import mosspebble.core.units.Words;

/** What a practised painter would say looking at the plan. Adds to a list of findings. */
final class FindingRules {

    /** A film thicker than this may peel, µm; thinner on glassy stone (common practice, no source). */
    private static final double PEEL_UM = 260;

    /** Open porosity below which stone is glassy. */
    private static final double GLASSY = 0.02;

    /** More coats than this on a rim chip (common practice, no source). */
    private static final int RIM_COATS = 6;

    /** L* from which a paint counts as a white. */
    private static final double WHITE = 90;

    private static final int MOST_BROKEN = 3;

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
    private final List<SmearTest> tests;
    private final List<Finding> findings;

    FindingRules(Project project, Survey survey, Workshop workshop, List<Finding> findings) {
        this.project = project;
        this.survey = survey;
        this.palette = workshop.palette();
        this.climate = workshop.climate();
        this.tests = workshop.tests();
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
        if (survey.stone().skin().loose()) {
            findings.add(Finding.of(Weight.MIND, Stage.STONE, "Grains rub off this stone, and paint comes off with them. Brush it, wash it, and bind it with a thin coat of sealer first."));
        }
        damp();
        primerForPale();
        double dry = Lab.of(survey.stone().colour()).l();
        double sealed = Lab.of(PaintPlan.bare(survey.stone(), Look.SEALED)).l();
        if (dry - sealed >= DARKENS) {
            findings.add(Finding.of(Weight.TIP, Stage.STONE, "Sealed, this bare stone goes from L* " + Numbers.text(dry, 0) + " to " + Numbers.text(sealed, 0)
                    + ". Colours are judged against the darker one."));
        }
    }

    /** Water still in the stone, as the last weighing tells. */
    private void damp() {
        List<SteadyMass.Weighing> weighings = project.weighings();
        if (weighings.size() < 3) {
            return;
        }
        SteadyMass mass = SteadyMass.fit(weighings);
        double now = weighings.get(weighings.size() - 1).hours();
        if (mass.question().isEmpty() && mass.readyHours() > now + 0.5) {
            double left = mass.waterGrams() * Math.exp(-now / mass.tauHours());
            findings.add(Finding.of(Weight.MIND, Stage.STONE, "The stone still holds about " + Numbers.text(left, 1) + " g of water; paint on a damp stone peels. It is steady in about "
                    + Durations.words(Duration.ofMinutes(Math.round(60 * (mass.readyHours() - now)))) + "."));
        }
    }

    private String place() {
        return project.origin().where().isBlank() ? "" : " (" + project.origin().where() + ")";
    }

    /** Whether the palest paint needs more than two coats on this stone as it will look sealed. */
    private void primerForPale() {
        palette.shelf().ofKind(PaintKind.BRUSH).stream().max((a, b) -> Double.compare(Lab.of(a.swatch()).l(), Lab.of(b.swatch()).l())).flatMap(p -> palette.colour(Mix.of(p.id()))).ifPresent(pale -> {
            Coat coat = new Coat(palette.shelf().words(pale.mix()), pale.optics().full().toSrgb(), pale.optics(), pale.dryUm(), pale.dryingShift(), Sheen.SATIN, -1);
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
        if (palette.shelf().paints().stream().filter(p -> p.kind() == PaintKind.BRUSH).noneMatch(p -> Lab.of(p.swatch()).l() > WHITE)) {
            findings.add(Finding.of(Weight.MIND, Stage.COLOUR, "The shelf lacks a white brush paint: nothing can be lightened, and pale colours are out of reach. Buy a white first."));
        }
        project.blends().forEach((slot, blend) -> {
            long there = blend.more().stream().filter(mix -> palette.colour(mix).isPresent()).count();
            boolean used = slot.equals(Project.GROUND) ? project.ground().isPresent() && project.habits().ground() != Habits.Ground.BARE : design.slots().stream().anyMatch(s -> s.id().equals(slot));
            if (used && there < blend.kind().leastColours()) {
                String what = slot.equals(Project.GROUND) ? "The ground" : design.slots().stream().filter(s -> s.id().equals(slot)).map(Slot::title).findFirst().orElse(slot);
                findings.add(Finding.of(Weight.MIND, Stage.COLOUR, what + " is to be " + blend.kind().label() + " but has not the " + (blend.kind().leastColours() + 1) + " colours for it; it is planned flat.",
                        "Lay it flat", p -> p.withBlend(slot, Blend.flat())));
            }
        });
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
            findings.add(never ? Finding.of(Weight.MIND, Stage.BUILD_UP, sentence, "Allow primer", p -> p.withHabits(p.habits().with(Habits.Primer.WHERE_NEEDED)))
                    : Finding.of(Weight.MIND, Stage.BUILD_UP, sentence + " Choose a paint that hides better."));
        }
    }

    void supplies(List<PaintUse> supplies) {
        for (PaintUse use : supplies) {
            if (use.runsOut()) {
                findings.add(Finding.of(Weight.MIND, Stage.BUILD_UP, palette.shelf().find(use.paint()).map(Paint::name).orElse(use.paint()) + " will run out: "
                        + Numbers.millilitres(use.needed().value()) + " needed, " + Numbers.text(use.left().value(), 1) + " ml left."));
            }
        }
    }

    /** Where the film is thickest, and everything that makes it let go there. */
    void film(Optional<PaintPlan.Weakest> weakest, List<Operation> operations) {
        boolean glassy = survey.stone().porosity() < GLASSY;
        if (weakest.isPresent()) {
            PaintPlan.Weakest w = weakest.get();
            double limit = PEEL_UM * (glassy ? 0.7 : 1) * (w.onRim() ? 0.8 : 1);
            String where = operations.get(w.top()).what();
            if (w.um() > limit) {
                String why = glassy && w.onRim() ? " from a rim of stone as glassy as this" : glassy ? " from a stone as glassy as this" : w.onRim() ? " where it bends over the rim" : "";
                findings.add(Finding.of(Weight.MIND, Stage.BUILD_UP, "The film is thickest under " + where + ": " + Numbers.text(w.um(), 0) + " µm in " + w.coats() + " coats; over " + Numbers.text(limit, 0) + " µm it may peel" + why + "."));
            }
            if (w.onRim() && w.coats() > RIM_COATS) {
                findings.add(Finding.of(Weight.TIP, Stage.BUILD_UP, w.coats() + " coats meet on the rim by " + where + "; edges chip first. Thin them out toward the rim."));
            }
        }
        boolean primed = operations.stream().anyMatch(o -> o.kind() == Operation.Kind.PRIME);
        if (primed && glassy) {
            findings.add(Finding.of(Weight.MIND, Stage.BUILD_UP, "Primer on a stone as glassy as this can peel off whole: dull it with fine paper and dust it off first.", "Paint the bare stone", p -> p.withHabits(p.habits().with(Habits.Primer.NEVER))));
        }
    }

    /** Products that do not go over one another, as the plan lays them. */
    void compatible(List<Operation> operations, Set<BuildUp.Laid> laid) {
        Set<String> said = new LinkedHashSet<>();
        for (BuildUp.Laid pair : laid) {
            if (pair.below() < 0) {
                continue;
            }
            for (Mix.Part lower : parts(operations.get(pair.below()))) {
                for (Mix.Part upper : parts(operations.get(pair.above()))) {
                    Optional<Paint> below = palette.shelf().find(lower.paint());
                    Optional<Paint> above = palette.shelf().find(upper.paint());
                    if (below.isPresent() && above.isPresent() && !below.equals(above) && said.add(below.get().id() + " " + above.get().id())) {
                        Compatibility.of(below.get(), above.get(), true, tests).ifPresent(v -> findings.add(Finding.of(
                                v.severity() == Compatibility.Severity.NEVER ? Weight.STOP : v.severity() == Compatibility.Severity.CARE ? Weight.MIND : Weight.TIP, Stage.BUILD_UP,
                                Words.upper(above.get().name()) + " over " + below.get().name() + ": " + v.sentence())));
                    }
                }
            }
        }
    }

    private static List<Mix.Part> parts(Operation operation) {
        return operation.mix().map(Mix::parts).orElse(List.of());
    }

    void mud(Regions cut) {
        for (Regions.Muddy muddy : cut.muddy()) {
            findings.add(Finding.of(Weight.MIND, Stage.COLOUR, "Where the colours of " + muddy.title() + " run together they go to mud (" + muddy.mud().words() + ", " + Math.round(100 * muddy.mud().lost())
                    + " % of the colour lost). Put a pale or a neighbouring colour between them, or let one dry and glaze."));
        }
    }

    /** Whether what is laid wet can be done while it stays open. */
    void wet(List<Operation> operations) {
        Operation worst = null;
        for (Operation operation : operations) {
            if (operation.wet().isPresent() && !operation.wet().get().inTime() && (worst == null || operation.wet().get().work().compareTo(worst.wet().get().work()) > 0)) {
                worst = operation;
            }
        }
        if (worst != null) {
            Operation.Wet wet = worst.wet().get();
            findings.add(Finding.of(Weight.MIND, Stage.BUILD_UP, "\"" + worst.title() + "\" takes the hand " + Durations.words(wet.work()) + ", but the paint stays open only " + Durations.words(wet.open())
                    + ". Mix a little slow medium in, work a piece at a time, or build the join from glazes.", "Build joins from glazes", FindingRules::glazed));
        }
    }

    private static Project glazed(Project project) {
        Project changed = project;
        for (Map.Entry<String, Blend> each : project.blends().entrySet()) {
            changed = changed.withBlend(each.getKey(), each.getValue().withMethod(Blend.Method.GLAZES));
        }
        return changed;
    }

    /** What the painter's own order breaks. */
    void order(PaintOrder order, List<Region> regions) {
        order.broken().stream().limit(MOST_BROKEN).forEach(b -> {
            Region first = regions.get(b.first().regions().get(0));
            Region then = regions.get(b.then().regions().get(0));
            findings.add(Finding.of(Weight.STOP, Stage.BUILD_UP, "In your order " + first.title() + " comes after " + then.title() + ", which " + b.reason() + ": it would cover what lies on it.", "Put the order back",
                    p -> p.withOrder(List.of())));
        });
    }

    void sealing(boolean planned, Optional<Paint> sealer) {
        if (planned && sealer.isPresent() && !Drying.safeToSeal(climate)) {
            findings.add(Finding.of(Weight.STOP, Stage.SITTING, "The room is at " + climate.temperature() + ", only "
                    + Numbers.text(climate.temperature().value() - Psychrometrics.dewPoint(climate).value(), 1) + " K above the dew point. Do not seal below 3 K: damp is locked in."));
        }
        if (planned && sealer.isEmpty() && project.habits().outdoors()) {
            String coats = SealAdvice.of(survey.stone(), true).coats() + " coats.";
            findings.add(palette.shelf().ofKind(PaintKind.VARNISH).isEmpty() ? Finding.of(Weight.STOP, Stage.FINISH, "There is no varnish on the shelf, and outdoors the stone must be sealed with " + coats)
                    : Finding.of(Weight.STOP, Stage.FINISH, "Outdoors an unsealed picture does not last: seal it with " + coats, "Seal it", p -> p.withHabits(p.habits().with(Habits.Seal.GLOSS))));
        }
        if (planned && sealer.isPresent() && !matches(sealer.get())) {
            findings.add(Finding.of(Weight.TIP, Stage.FINISH, "The shelf has no " + project.habits().seal().name().toLowerCase(java.util.Locale.ROOT) + " sealer; " + sealer.get().name() + " is planned instead."));
        }
    }

    private boolean matches(Paint sealer) {
        return switch (project.habits().seal()) {
            case RESIN -> sealer.binder() == Binder.RESIN;
            case MATT -> sealer.finish() == Finish.MATT;
            case GLOSS -> sealer.finish() == Finish.GLOSS && sealer.binder() != Binder.RESIN;
            case NONE -> true;
        };
    }
}
