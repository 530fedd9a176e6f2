package mosspebble.core.plan;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;
import mosspebble.core.colour.Mix;
import mosspebble.core.colour.Palette;
import mosspebble.core.finding.Finding.Remedy;
import mosspebble.core.finding.Finding.Stage;
import mosspebble.core.finding.Finding.Weight;
import mosspebble.core.finding.Finding;
import mosspebble.core.project.Project;
import mosspebble.core.sketch.Bed;
import mosspebble.core.sketch.Designs;
import mosspebble.core.sketch.Item;
import mosspebble.core.sketch.LetterSetting;
import mosspebble.core.sketch.Lettering;
import mosspebble.core.sketch.Manner;
import mosspebble.core.sketch.Pairs;
import mosspebble.core.sketch.PlacedDesign;
import mosspebble.core.sketch.PlacedItem;
import mosspebble.core.sketch.PlacedPart;
import mosspebble.core.sketch.Placement;
import mosspebble.core.area.Remembered;
import mosspebble.core.sketch.Repertoire;
import mosspebble.core.sketch.Role;
import mosspebble.core.area.Shapes;
import mosspebble.core.sketch.Subject;
import mosspebble.core.stone.Patch;
import mosspebble.core.stone.Survey;
import mosspebble.core.units.Numbers;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Envelope;
import org.locationtech.jts.geom.Geometry;

/** What a practised painter would say looking at the sketch: what does not fit, does not match, or cannot be painted. Adds to a list of findings. */
final class SketchRules {

    private static final double SLIGHT_MM = 0.3;

    /** Mirror partners may differ by this much before anyone sees it, mm (common practice, no source). */
    static final double UNEQUAL_MM = 0.5;

    /** Findings of one kind are told one by one up to this number. */
    private static final int ONE_BY_ONE = 2;

    private final Project project;
    private final Survey survey;
    private final Palette palette;
    private final Repertoire repertoire;
    private final Remembered remembered;
    private final List<Finding> findings;

    SketchRules(Project project, Survey survey, Palette palette, Repertoire repertoire, Remembered remembered, List<Finding> findings) {
        this.remembered = remembered;
        this.project = project;
        this.survey = survey;
        this.palette = palette;
        this.repertoire = repertoire;
        this.findings = findings;
    }

    void sketch(Optional<PlacedDesign> design) {
        if (project.sketch().isEmpty()) {
            findings.add(Finding.of(Weight.STOP, Stage.SKETCH, "No subject yet. Choose one and it is fitted to the face."));
            return;
        }
        for (Item item : project.sketch().get().items()) {
            if (item.subject() instanceof Subject.Word word) {
                repertoire.typeface(word.typeface()).ifPresent(face -> {
                    List<String> missing = Lettering.missing(word, face);
                    if (!missing.isEmpty()) {
                        findings.add(Finding.of(Weight.STOP, Stage.SKETCH, "The face " + face.title() + " has no " + String.join(" ", missing) + ". Write it with other letters."));
                    }
                });
            }
            if (design.flatMap(d -> d.item(item.id())).isEmpty()) {
                missing(item);
            }
        }
        design.ifPresent(d -> d.items().forEach(this::placed));
    }

    private void missing(Item item) {
        if (item.subject() instanceof Subject.Dots || item.subject() instanceof Subject.Guide) {
            findings.add(Finding.of(Weight.STOP, Stage.SKETCH, "There is no room for the " + (item.subject() instanceof Subject.Dots ? "border of dots" : "guide") + " where it runs. Make it smaller or bring it nearer the edge."));
        } else if (item.subject() instanceof Subject.Word word && word.setting().path() == LetterSetting.Path.RIM) {
            Optional<Placement> fit = Designs.fit(item, repertoire, bed());
            String sentence = "The words are longer than the rim" + fit.map(p -> "; letters of " + Numbers.text(p.scale(), 1) + " mm go round it").orElse("") + ".";
            findings.add(fit.isPresent() ? Finding.of(Weight.STOP, Stage.SKETCH, sentence, "Make them fit", p -> with(p, item, i -> i.at(fit.get()))) : Finding.of(Weight.STOP, Stage.SKETCH, sentence + " Take fewer words."));
        } else {
            findings.add(Finding.of(Weight.STOP, Stage.SKETCH, "The chosen subject is not in the repertoire. Choose another."));
        }
    }

    private Bed bed() {
        return new Bed(survey, project.viewpoint());
    }

    private static Project with(Project p, Item item, UnaryOperator<Item> change) {
        return p.withSketch(p.sketch().map(s -> s.with(item.id(), change)));
    }

    private void placed(PlacedItem placed) {
        leaves(placed);
        unequal(placed);
        cracks(placed);
    }

    private void leaves(PlacedItem placed) {
        Item item = placed.item();
        if (item.subject() instanceof Subject.Guide) {
            return;
        }
        Geometry face = placed.wears() || item.subject() instanceof Subject.Dots ? survey.zones().outline() : onRim(item) ? survey.zones().paintable() : survey.zones().face();
        boolean pattern = item.subject() instanceof Subject.Pattern; // its lines may be meant to run out, as cracks do
        Map<String, Double> leaving = leaving(pattern ? placed.parts().stream().filter(p -> p.part().isArea()).toList() : placed.parts(), face);
        Optional<Map.Entry<String, Double>> worst = leaving.entrySet().stream().max(Map.Entry.comparingByValue()).filter(e -> e.getValue() > SLIGHT_MM);
        if (worst.isEmpty()) {
            return;
        }
        double far = worst.get().getValue();
        if (far <= item.runOffMm()) {
            findings.add(Finding.of(Weight.TIP, Stage.SKETCH, "The " + worst.get().getKey() + (plural(worst.get().getKey()) ? " run off the face by " : " runs off the face by ") + Numbers.text(far, 1) + " mm, as decided (at most " + Numbers.text(item.runOffMm(), 1) + " mm)."));
            return;
        }
        boolean offStone = !survey.zones().outline().covers(placed.silhouette());
        String others = leaving.size() > 1 ? ", and " + (leaving.size() - 1) + " more" : "";
        boolean word = item.subject() instanceof Subject.Word; // only words say their size; for others it is worked out when it is wanted
        Item lying = item.lying(Manner.ON_STONE);
        Optional<Placement> fit = word ? remembered.recall(() -> Designs.fit(lying, repertoire, bed()), "fit", lying, repertoire, survey.dome(), project.viewpoint()) : Optional.empty();
        String letters = item.subject() instanceof Subject.Word && !onRim(item) ? fit.map(f -> "; " + Numbers.text(f.scale(), 0) + " mm letters fit").orElse("") : "";
        String sentence = "The " + worst.get().getKey() + (plural(worst.get().getKey()) ? " leave the " : " leaves the ") + (offStone ? "stone or its face" : "face") + " by " + Numbers.text(far, 1) + " mm" + others + letters + ".";
        List<Remedy> remedies = new ArrayList<>();
        if (!word || fit.isPresent()) {
            remedies.add(new Remedy("Fit to the face", p -> fit.or(() -> Designs.fit(lying, repertoire, bed())).map(f -> with(p, item, i -> i.lying(i.wearing() ? Manner.ON_STONE : i.manner()).at(f))).orElse(p)));
        }
        if (!offStone && far < 20) {
            remedies.add(new Remedy("Let it run off", p -> with(p, item, i -> i.room(i.marginMm(), i.mostTurn(), Math.ceil(far)))));
        }
        findings.add(new Finding(offStone ? Weight.STOP : Weight.MIND, Stage.SKETCH, sentence, remedies));
    }

    private static boolean plural(String title) {
        return title.matches("[^ ]*[a-rt-z]s|[^ ]*[a-rt-z]s .*");
    }

    private static boolean onRim(Item item) {
        return item.subject() instanceof Subject.Word word && word.setting().path() == LetterSetting.Path.RIM;
    }

    private void unequal(PlacedItem placed) {
        List<Pairs.Pair> pairs = Pairs.of(placed).stream().filter(p -> p.apartMm() > UNEQUAL_MM && Math.abs(p.larger() - 1) > 0.02).toList();
        if (pairs.isEmpty()) {
            return;
        }
        Pairs.Pair worst = pairs.stream().max((a, b) -> Double.compare(a.apartMm(), b.apartMm())).orElseThrow();
        boolean first = worst.larger() < 1;
        double percent = 100 * (Math.max(worst.larger(), 1 / worst.larger()) - 1);
        String larger = (first ? worst.one() : worst.other()).part().title();
        String smaller = (first ? worst.other() : worst.one()).part().title();
        findings.add(Finding.of(Weight.MIND, Stage.SKETCH, "The " + larger + " is " + Numbers.text(percent, 0) + " % larger than the " + smaller + (pairs.size() > 1 ? ", and " + (pairs.size() - 1) + " more pairs differ" : "")
                + ": the stone's shape pulls them apart.", "Make the pairs equal", p -> with(p, placed.item(), i -> i.matched(true))));
    }

    /** Faces and letters are kept off cracks. */
    private void cracks(PlacedItem placed) {
        for (Patch patch : survey.dome().patches()) {
            if (patch.kind() == Patch.Kind.CRACK && placed.item().subject() instanceof Subject.Word) {
                Geometry crack = placed.silhouette().getFactory().createLineString(new Coordinate[] {new Coordinate(patch.x(), patch.y()), new Coordinate(patch.toX(), patch.toY())});
                Optional<PlacedPart> over = placed.parts().stream().filter(p -> p.painted().distance(crack) < patch.radiusMm()).findFirst();
                if (over.isPresent()) {
                    findings.add(Finding.of(Weight.MIND, Stage.SKETCH, "The " + over.get().part().title() + " lies over the crack.", "Fit beside the crack",
                            p -> Designs.fit(placed.item(), repertoire, bed()).map(f -> with(p, placed.item(), i -> i.at(f))).orElse(p)));
                    return;
                }
            }
        }
    }

    // --- tools

    /** @return ids of the parts that are too narrow */
    Set<String> tools(PlacedDesign design, Regions cut, Map<String, Palette.Colour> colours) {
        Paintability paintability = new Paintability(design, cut.seen(), colours, palette, survey.stone().texture().pitMm(), remembered);
        List<Paintability.Narrow> narrow = paintability.narrow();
        Map<String, List<Paintability.Narrow>> byItem = new LinkedHashMap<>();
        narrow.forEach(n -> byItem.computeIfAbsent(n.item().item().id(), id -> new ArrayList<>()).add(n));
        byItem.values().forEach(this::narrow);
        List<Paintability.Tight> tight = paintability.tight();
        tight.stream().limit(ONE_BY_ONE).forEach(this::tight);
        return narrow.stream().map(n -> n.part().part().id()).collect(Collectors.toSet());
    }

    private void narrow(List<Paintability.Narrow> found) {
        Paintability.Narrow worst = found.get(0);
        double factor = 1.02 * found.stream().mapToDouble(Paintability.Narrow::growth).max().orElse(1);
        boolean rough = survey.stone().texture().pitMm() > 0.1;
        String more = found.size() > 1 ? ", and " + (found.size() - 1) + " more are" : "";
        String sentence = "The " + worst.part().part().title() + (plural(worst.part().part().title()) ? " are " : " is ") + Numbers.text(worst.wideMm(), 1) + " mm wide, too narrow: " + worst.tool() + " needs " + Numbers.text(worst.neededMm(), 1) + " mm" + (rough ? " on stone as rough as this" : "") + more + ".";
        Item item = worst.item().item();
        List<Remedy> remedies = new ArrayList<>();
        Envelope own = worst.item().silhouette().getEnvelopeInternal();
        Envelope face = survey.zones().face().getEnvelopeInternal();
        boolean room = item.manner() != Manner.WEARING && factor <= 12 && own.getWidth() * factor < 0.95 * face.getWidth() && own.getHeight() * factor < 0.95 * face.getHeight();
        if (room) {
            remedies.add(new Remedy("Enlarge " + Numbers.text(factor, 1) + " times", p -> with(p, item, i -> i.at(i.placement().sizedBy(factor)))));
        }
        worst.finer().ifPresent(pen -> remedies.add(new Remedy("Use the " + pen.name(), p -> p.withColour(worst.part().part().slot(), Mix.of(pen.id())))));
        if (item.subject() instanceof Subject.Word word && word.setting().swell() < 0.1) {
            remedies.add(new Remedy("Thicken the strokes", p -> with(p, item, i -> i.showing(word.with(word.setting().swelled(Math.min(0.12, word.setting().swell() + 0.04)))))));
        }
        if (worst.item().parts().size() > found.size()) {
            Set<String> out = new LinkedHashSet<>(item.leftOut());
            int prefix = item.named("").length();
            found.forEach(n -> out.add(n.part().part().id().substring(prefix)));
            remedies.add(new Remedy(found.size() == 1 ? "Leave it out" : "Leave them out", p -> with(p, item, i -> i.without(out))));
        }
        findings.add(new Finding(Weight.MIND, Stage.SKETCH, sentence, remedies));
    }

    private void tight(Paintability.Tight found) {
        Item item = found.item().item();
        boolean letters = found.one() != found.other();
        String between = letters ? "Between the " + found.one().part().title() + " and the " + found.other().part().title() : "Between the lines of the " + found.one().part().title();
        String sentence = between + " there is " + Numbers.text(found.gapMm(), 1) + " mm; below " + Numbers.text(found.neededMm(), 1) + " mm they run together.";
        List<Remedy> remedies = new ArrayList<>();
        if (letters && item.subject() instanceof Subject.Word word && word.setting().space() <= 0.9) {
            double em = Math.max(0.02, (found.neededMm() - found.gapMm()) / item.placement().scale() * 0.75);
            remedies.add(new Remedy("More space between letters", p -> with(p, item, i -> i.showing(word.with(word.setting().spaced(word.setting().optical(), word.setting().space() + em, word.setting().lineStep()))))));
        } else if (item.manner() != Manner.WEARING && found.gapMm() > 0.05 && found.neededMm() / found.gapMm() < 2.5) {
            double factor = 1.02 * found.neededMm() / found.gapMm();
            remedies.add(new Remedy("Enlarge " + Numbers.text(factor, 1) + " times", p -> with(p, item, i -> i.at(i.placement().sizedBy(factor)))));
        }
        if (!letters) {
            Set<String> out = new LinkedHashSet<>(item.leftOut());
            out.add(found.one().part().id().substring(item.named("").length()));
            remedies.add(new Remedy("Leave them out", p -> with(p, item, i -> i.without(out))));
        }
        findings.add(new Finding(Weight.TIP, Stage.SKETCH, sentence, remedies));
    }

    /** Parts of the design that leave the stone, with how far, mm. */
    static Map<String, Double> leaving(List<PlacedPart> parts, Geometry zone) {
        Map<String, Double> found = new TreeMap<>();
        for (PlacedPart part : parts) {
            if (part.part().role() == Role.GUIDE) {
                continue;
            }
            Geometry out = Shapes.outside(part.drawn(), zone);
            if (!out.isEmpty()) {
                double far = 0;
                for (Coordinate point : out.getCoordinates()) {
                    far = Math.max(far, zone.distance(zone.getFactory().createPoint(point)));
                }
                found.put(part.part().title(), far);
            }
        }
        return found;
    }
}
