package mosspebble.core.words;

import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import mosspebble.core.colour.Paint;
import mosspebble.core.colour.Shelf;
import mosspebble.core.plan.Hazard;
import mosspebble.core.plan.PaintPlan;
import mosspebble.core.plan.Step;
import mosspebble.core.supplies.Amounts;
import mosspebble.core.supplies.Jar;
import mosspebble.core.supplies.PaintUse;
import mosspebble.core.supplies.Puddle;
import mosspebble.core.units.Srgb;
import mosspebble.core.units.Words;

/** What is laid out before a stone is begun: paints and how much of each, what is mixed in drops, tools, the sealer, what is open. */
public final class LayOutWords {

    /** One thing to lay out. @param swatch its colour, where it has one */
    public record Line(String words, Optional<Srgb> swatch) {}

    /** Lines under a heading. @param ticked whether each is something to be laid out, with a box to tick */
    public record Section(String heading, boolean ticked, List<Line> lines) {}

    private LayOutWords() {}

    /** Sections in their order; those without anything in them are left out. */
    public static List<Section> of(PaintPlan plan, Shelf shelf) {
        List<Section> sections = new ArrayList<>();
        Set<String> seals = new LinkedHashSet<>();
        seals(plan).forEach(s -> s.mix().ifPresent(m -> m.parts().forEach(p -> seals.add(p.paint()))));
        sections.add(new Section("Paints and pens", true,
                plan.supplies().stream().filter(u -> !seals.contains(u.paint())).map(u -> paint(u, shelf)).toList()));
        sections.add(new Section("To mix, in drops", true, plan.puddles().stream().filter(p -> !p.mix().isSingle())
                .map(p -> new Line(mixed(p, shelf), swatch(plan, p))).toList()));
        sections.add(new Section("Tools", true, plan.steps().stream()
                .filter(s -> !(s instanceof Step.Seal || s instanceof Step.Earlier)).map(StepWords::tool)
                .map(tool -> tool.replaceAll(",.*", "")).distinct().map(tool -> new Line(Words.upper(tool), Optional.empty())).toList()));
        sections.add(new Section("To seal it", true, sealing(plan, shelf)));
        sections.add(new Section("Still open", false,
                plan.findings().stream().map(f -> new Line(FindingWords.sentence(f), Optional.empty())).distinct().toList()));
        sections.add(new Section("Take care", false,
                HazardWords.sentences(Hazard.of(plan, shelf)).stream().map(c -> new Line(c, Optional.empty())).toList()));
        return sections.stream().filter(s -> !s.lines().isEmpty()).toList();
    }

    private static List<Step.Seal> seals(PaintPlan plan) {
        return plan.steps().stream().filter(s -> s instanceof Step.Seal).map(s -> (Step.Seal) s).toList();
    }

    private static Line paint(PaintUse use, Shelf shelf) {
        Optional<Paint> paint = shelf.find(use.paint());
        Jar jar = new Jar(use.paint(), use.left(), use.needed(), use.runsOut() ? Optional.of("") : Optional.empty());
        return new Line(Words.upper(name(use.paint(), shelf)) + ": " + SupplyWords.amount(jar, shelf), paint.map(Paint::swatch));
    }

    /** "Moss and bark, 6 drops and 2: for steps 4 and 7", or what another puddle is brought to by a few drops. */
    private static String mixed(Puddle puddle, Shelf shelf) {
        List<String> drops = puddle.amounts().shares().stream().map(s -> drops(s, shelf)).toList();
        List<String> steps = puddle.steps().stream().map(i -> String.valueOf(i + 1)).toList();
        String first = puddle.from().map(from -> "some of " + shelf.words(from) + " and ").orElse("");
        return Words.upper(first + Words.list(drops)) + ", for step" + (steps.size() == 1 ? " " : "s ") + Words.list(steps);
    }

    private static String drops(Amounts.Share share, Shelf shelf) {
        return (share.drops() == 1 ? "one drop" : Words.number(share.drops()) + " drops") + " of " + name(share.paint(), shelf);
    }

    private static Optional<Srgb> swatch(PaintPlan plan, Puddle puddle) {
        return puddle.steps().stream().flatMap(i -> plan.steps().get(i).layers().stream()).filter(l -> l.load().mix().equals(puddle.mix()))
                .findFirst().map(l -> l.load().coat().swatch());
    }

    private static List<Line> sealing(PaintPlan plan, Shelf shelf) {
        return seals(plan).stream().flatMap(s -> {
            String with = s.mix()
                    .map(m -> Words.upper(shelf.words(m)) + ", " + Words.number(s.coats()) + (s.coats() == 1 ? " coat" : " coats"))
                    .orElse("");
            return with.isEmpty() ? List.<String>of().stream() : List.of(with, Words.upper(StepWords.tool(s))).stream();
        }).distinct().map(words -> new Line(words, Optional.empty())).toList();
    }

    private static String name(String paint, Shelf shelf) {
        return shelf.find(paint).map(Paint::name).orElse(paint);
    }
}
