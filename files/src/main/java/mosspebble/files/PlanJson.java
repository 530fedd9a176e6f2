package mosspebble.files;

import com.fasterxml.jackson.core.util.DefaultPrettyPrinter;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.nio.file.Path;
import java.time.Duration;
import java.util.Locale;
import mosspebble.core.finding.Finding;
import mosspebble.core.plan.PaintPlan;
import mosspebble.core.plan.Step;
import mosspebble.core.plan.What;
import mosspebble.core.timetable.Sitting;
import mosspebble.core.units.Facts;
import mosspebble.core.words.FindingWords;
import mosspebble.core.words.PartWords;
import mosspebble.core.words.StepWords;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.PrecisionModel;
import org.locationtech.jts.io.WKTWriter;

/** Writes a plan as JSON, format described in {@code docs/plan-format.md}: mm, mm2, µm, ml and minutes, areas as well-known text. */
public final class PlanJson {

    /** Version of the format. */
    public static final int FORMAT = 3;

    private PlanJson() {}

    /** @throws FileTrouble if it cannot be written; no half file remains */
    public static void write(PaintPlan plan, Path file) throws FileTrouble {
        ObjectMapper mapper = StudioJson.shared();
        ObjectNode root = mapper.createObjectNode();
        root.put("format", "moss-pebble-plan").put("version", FORMAT);
        root.set("project", mapper.valueToTree(plan.project()));
        ObjectNode stone = root.putObject("stone");
        stone.put("faceMm2", round(plan.survey().facts().faceMm2())).put("shoulderMm2", round(plan.survey().facts().shoulderMm2()))
                .put("paintableMm2", round(plan.survey().facts().paintableMm2())).put("volumeMm3", round(plan.survey().facts().volumeMm3()))
                .put("weightG", round(plan.survey().facts().weight().value())).put("outline", wkt(plan.survey().zones().outline()));
        stone.put("up", name(plan.up().side()));
        plan.below().ifPresent(below -> stone.put("outlineBelow", wkt(below.survey().zones().outline())));
        plan.edge().ifPresent(strip -> stone.putObject("edge").put("lengthMm", round(strip.lengthMm()))
                .put("lowestMm", round(strip.lowestMm())).put("strip", wkt(strip.polygon())));
        ArrayNode steps = root.putArray("steps");
        for (int i = 0; i < plan.steps().size(); i++) {
            Step o = plan.steps().get(i);
            Sitting.Step time = plan.sitting().steps().get(i);
            ObjectNode step = steps.addObject();
            step.put("number", i + 1).put("side", name(o.side())).put("key", o.key()).put("kind", name(o.kind()))
                    .put("title", StepWords.title(o)).put("sentence", StepWords.sentence(o))
                    .put("reason", StepWords.reason(o)).put("tool", StepWords.tool(o)).put("coats", o.coats())
                    .put("areaMm2", round(o.work().areaMm2()));
            if (o instanceof Step.Lay lay) {
                step.put("coat", lay.doing().count().number()).put("ofCoats", lay.doing().count().of());
                step.put("coatsLeast", lay.doing().count().hiding().least()).put("coatsMost", lay.doing().count().hiding().most())
                        .put("figures", StepWords.figures(o));
                ArrayNode on = step.putArray("on");
                lay.doing().what().forEach(w -> on.add(PartWords.name(w)));
            }
            o.mix().ifPresent(mix -> step.set("mix", mapper.valueToTree(mix)));
            if (o.layers().size() > 1) {
                ArrayNode loads = step.putArray("loads");
                o.layers().forEach(l -> loads.addObject().put("colour", l.load().coat().swatch().hex()).put("place", wkt(l.place()))
                        .set("mix", mapper.valueToTree(l.load().mix())));
            }
            o.coat().ifPresent(coat -> step.put("colour", coat.swatch().hex()).put("dryUmPerCoat", round(coat.dryUm())));
            step.put("handMin", round(o.work().hand().toSeconds() / 60.0))
                    .put("betweenCoatsMin", round(o.work().between().toSeconds() / 60.0))
                    .put("touchDryMin", round(o.work().touch().toSeconds() / 60.0))
                    .put("driesMin", round(o.work().dries().toSeconds() / 60.0))
                    .put("startMin", round(time.start().toSeconds() / 60.0)).put("endMin", round(time.end().toSeconds() / 60.0));
            if (o.soft().mm() > 0) {
                step.put("softMm", round(o.soft().mm()));
            }
            o.wet().ifPresent(w -> step.putObject("wet").put("openMin", round(w.open().toSeconds() / 60.0))
                    .put("workMin", round(w.work().toSeconds() / 60.0)));
            ArrayNode after = step.putArray("after");
            o.after().forEach(a -> after.addObject().put("step", a.step() + 1).put("waits", name(a.waits()))
                    .put("lagMin", round(a.lag(plan.steps().get(a.step())).toSeconds() / 60.0)).put("reason", StepWords.reason(a)));
            if (!o.place().isEmpty()) {
                step.put("place", wkt(o.place()));
            }
        }
        ArrayNode findings = root.putArray("findings");
        for (Finding finding : plan.findings()) {
            ObjectNode found = findings.addObject().put("code", name(finding.code())).put("weight", name(finding.weight()))
                    .put("stage", name(finding.stage())).put("below", finding.below());
            facts(finding.facts(), found.putObject("facts"));
            found.put("sentence", FindingWords.sentence(finding)).put("figures", FindingWords.figures(finding));
        }
        ArrayNode puddles = root.putArray("puddles");
        plan.puddles().forEach(p -> {
            ObjectNode puddle = puddles.addObject().put("dropsPerPart", p.amounts().dropsPerPart()).put("ml", p.amounts().made().value());
            puddle.set("mix", mapper.valueToTree(p.mix()));
            p.from().ifPresent(from -> puddle.set("from", mapper.valueToTree(from)));
            ArrayNode serves = puddle.putArray("steps");
            p.steps().forEach(step -> serves.add(step + 1));
        });
        ArrayNode supplies = root.putArray("supplies");
        plan.supplies().forEach(use -> supplies.addObject().put("paint", use.paint()).put("neededMl", round(use.needed().value()))
                .put("leftMl", round(use.left().value())));
        root.put("paintingMin", round(plan.painting().toSeconds() / 60.0))
                .put("paintingAtLeastMin", round(plan.schedule().bound().toSeconds() / 60.0));
        root.put("handMin", round(plan.handTime().toSeconds() / 60.0)).put("readyAfterMin", round(plan.readyAfter().toSeconds() / 60.0))
                .put("thickestFilmUm", round(plan.thickestUm()));
        SafeWrite.write(file, out -> mapper.writer(new DefaultPrettyPrinter()).writeValue(out, root));
    }

    private static String name(Enum<?> code) {
        return code.name().toLowerCase(Locale.ROOT).replace('_', '-');
    }

    private static void facts(Facts facts, ObjectNode into) {
        facts.values().forEach((name, value) -> {
            if (value instanceof Integer whole) {
                into.put(name, whole);
            } else if (value instanceof Number number) {
                into.put(name, round(number.doubleValue()));
            } else if (value instanceof Boolean yes) {
                into.put(name, yes);
            } else if (value instanceof Duration time) {
                into.put(name + "Min", round(time.toSeconds() / 60.0));
            } else if (value instanceof Enum<?> choice) {
                into.put(name, name(choice));
            } else if (value instanceof What what) {
                into.put(name, PartWords.name(what));
            } else if (value instanceof Step step) {
                into.put(name, step.key());
            } else {
                into.put(name, String.valueOf(value));
            }
        });
    }

    private static String wkt(Geometry place) {
        WKTWriter writer = new WKTWriter();
        writer.setPrecisionModel(new PrecisionModel(1000));
        return writer.write(place);
    }

    private static double round(double value) {
        return Math.round(value * 100) / 100.0;
    }
}
