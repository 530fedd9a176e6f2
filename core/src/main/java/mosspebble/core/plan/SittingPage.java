package mosspebble.core.plan;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import mosspebble.core.colour.Mix;
import mosspebble.core.colour.Shelf;
import mosspebble.core.timetable.Timetable;
import mosspebble.core.timetable.Workload;

/**
 * One sitting as one sits down to it: what to lay out, then what to do in order.
 *
 * @param from when it begins, with its first pass
 * @param to when the last is done
 * @param paints ids of all paints and pens that are used, in the order in which they are needed
 * @param tools steps that stand for the tools that are used, each tool once
 * @param rows in order
 */
public record SittingPage(Instant from, Instant to, List<String> paints, List<Step> tools, List<Row> rows) {

    /**
     * One thing to do.
     *
     * @param step its number on its stone, from 0
     * @param part which coat, from 0
     * @param waited before it, since the last was done
     * @param hand how long it takes
     * @param dry when it is dry
     * @param damp when what it lays was mixed, if all of that is damp from before
     */
    public record Row(PaintPlan plan, int step, int part, Instant start, Duration waited, Duration hand, Instant dry,
            Optional<Instant> damp) {
        public Step done() {
            return plan.steps().get(step);
        }
    }

    public SittingPage {
        paints = List.copyOf(paints);
        tools = List.copyOf(tools);
        rows = List.copyOf(rows);
    }

    /** What can hurt in it. */
    public Set<Hazard> hazards(Shelf shelf) {
        Set<Hazard> found = EnumSet.noneOf(Hazard.class);
        rows.forEach(row -> found.addAll(Hazard.of(row.done(), shelf)));
        return found;
    }

    /**
     * All sittings of a timetable.
     *
     * @param plans by the id of their project
     */
    public static List<SittingPage> of(Timetable table, Map<String, PaintPlan> plans) {
        List<SittingPage> pages = new ArrayList<>();
        List<Map<String, Instant>> mixed = table.mixed();
        int place = 0;
        for (List<Timetable.Placed> sitting : table.bySitting()) {
            Set<String> paints = new LinkedHashSet<>();
            Map<String, Step> tools = new LinkedHashMap<>();
            List<Row> rows = new ArrayList<>();
            Instant free = sitting.get(0).start();
            for (Timetable.Placed each : sitting) {
                Workload.Piece piece = table.of().pieces().get(each.piece());
                PaintPlan plan = plans.get(piece.stone());
                Step step = plan.steps().get(piece.step());
                step.layers().forEach(l -> l.load().mix().parts().stream().map(Mix.Part::paint).forEach(paints::add));
                tools.putIfAbsent(step instanceof Step.Prepare ? step.key() : piece.tool(), step);
                rows.add(new Row(plan, piece.step(), piece.part(), each.start(), Duration.between(free, each.start()), each.takes(),
                        each.end().plus(piece.dries()),
                        mixed.get(place++).values().stream().max(Instant::compareTo).filter(at -> at.isBefore(each.start()))));
                free = each.end();
            }
            pages.add(new SittingPage(sitting.get(0).start(), free, List.copyOf(paints), List.copyOf(tools.values()), rows));
        }
        return pages;
    }
}
