package mosspebble.core.advice;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import mosspebble.core.colour.ColourVision;
import mosspebble.core.colour.Lab;
import mosspebble.core.colour.Palette;
import mosspebble.core.plan.StoneState;
import mosspebble.core.plan.PaintPlan;
import mosspebble.core.project.Habits;
import mosspebble.core.sketch.Overlap;
import mosspebble.core.sketch.PlacedDesign;
import mosspebble.core.sketch.PlacedPart;
import mosspebble.core.sketch.Role;
import mosspebble.core.area.Shapes;
import mosspebble.core.units.Srgb;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.linearref.LengthIndexedLine;

/** Which colours of a design lie beside each other on the stone, over what length, and how well they can be told apart. */
public final class Neighbours {

    /** Stands for what is behind everything: the ground colour or the bare stone. */
    public static final String BEHIND = "";

    /** Two colours closer than this are not told apart at arm's length (common practice, no source). */
    public static final double ALIKE = 8;

    /** WCAG 2.1 asks 3 : 1 of graphic shapes; here it is shown, not asked for. */
    public static final double GRAPHIC_CONTRAST = 3;

    /** A look round an edge every so many mm. */
    private static final double EVERY_MM = 2.5;

    /** Looked at this far outside the edge, mm. */
    private static final double OUTSIDE_MM = 0.8;

    /**
     * Two neighbours.
     *
     * @param one slot
     * @param other slot, or {@link #BEHIND}
     * @param edgeMm length of the edge they share
     * @param outlined whether a line stands between them all along
     */
    public record Edge(String one, String other, double edgeMm, boolean outlined) {}

    /**
     * How well two neighbours are told apart.
     *
     * @param dry difference, CIEDE2000, dry
     * @param sealed the same with the bare stone as it looks sealed
     * @param least smallest for any eyes, dry or sealed
     * @param eyes whose eyes those are
     * @param contrast WCAG 2.1 contrast ratio, dry
     */
    public record Apart(Edge edge, Srgb first, Srgb second, double dry, double sealed, double least, ColourVision eyes, double contrast) {
        /** Whether one would vanish on the other: alike, and no line between. */
        public boolean vanishes() {
            return Math.min(dry, sealed) < ALIKE && !edge.outlined();
        }

        /** Whether only some eyes would lose one on the other. */
        public boolean vanishesForSome() {
            return least < ALIKE && !edge.outlined() && !vanishes();
        }
    }

    private Neighbours() {}

    /** The neighbours of a design, the longest edge first; deterministic. */
    public static List<Edge> edges(PlacedDesign design) {
        List<PlacedPart> parts = design.parts();
        Overlap overlap = new Overlap(parts.stream().map(p -> p.part().role() == Role.FILL ? p.drawn() : Shapes.nothing()).toList());
        Map<String, double[]> found = new TreeMap<>();
        for (int i = 0; i < parts.size(); i++) {
            PlacedPart part = parts.get(i);
            if (part.part().role() != Role.FILL) {
                continue;
            }
            Geometry ring = Shapes.grown(part.drawn(), OUTSIDE_MM).getBoundary();
            LengthIndexedLine line = new LengthIndexedLine(ring);
            int looks = (int) Math.max(12, Math.min(120, ring.getLength() / EVERY_MM));
            for (int k = 0; k < looks; k++) {
                Coordinate at = line.extractPoint(ring.getLength() * k / looks);
                int front = overlap.frontAt(at, index -> true);
                if (front > i) {
                    continue; // covered there by what is in front
                }
                String other = front < 0 ? BEHIND : parts.get(front).part().slot();
                if (!other.equals(part.part().slot())) {
                    boolean line0 = part.part().outlined() || front >= 0 && parts.get(front).part().outlined();
                    String key = part.part().slot().compareTo(other) < 0 && front >= 0 ? part.part().slot() + "\n" + other
                            : front < 0 ? part.part().slot() + "\n" : other + "\n" + part.part().slot();
                    double[] sum = found.computeIfAbsent(key, id -> new double[2]);
                    sum[0] += ring.getLength() / looks;
                    sum[1] += line0 ? 0 : ring.getLength() / looks;
                }
            }
        }
        List<Edge> edges = new ArrayList<>();
        found.forEach((key, sum) -> {
            String[] names = key.split("\n", -1);
            edges.add(new Edge(names[0], names[1], sum[0], sum[1] < 0.05 * sum[0]));
        });
        edges.sort((a, b) -> Double.compare(b.edgeMm(), a.edgeMm()));
        return edges;
    }

    /** How well the neighbours of a plan are told apart, the least first; slots without a colour are left out. */
    public static List<Apart> apart(PaintPlan plan, Palette palette) {
        if (plan.design().isEmpty()) {
            return List.of();
        }
        Map<String, Srgb> colours = new HashMap<>();
        palette.colours(plan.project().colours()).forEach((slot, colour) -> colours.put(slot, colour.optics().full().toSrgb()));
        Optional<Palette.Colour> ground = plan.project().ground().flatMap(palette::colour)
                .filter(g -> plan.project().habits().ground() != Habits.Ground.BARE);
        Srgb dry = ground.map(g -> g.optics().full().toSrgb()).orElse(plan.survey().stone().colour());
        Srgb sealed = ground.isPresent() ? dry : PaintPlan.bare(plan.survey().stone(), StoneState.SEALED).toSrgb();
        List<Apart> found = new ArrayList<>();
        for (Edge edge : edges(plan.design().get())) {
            Srgb one = colours.get(edge.one());
            Srgb other = edge.other().equals(BEHIND) ? dry : colours.get(edge.other());
            Srgb otherSealed = edge.other().equals(BEHIND) ? sealed : other;
            if (one != null && other != null) {
                found.add(apart(edge, one, other, otherSealed));
            }
        }
        found.sort((a, b) -> Double.compare(a.least(), b.least()));
        return found;
    }

    private static Apart apart(Edge edge, Srgb one, Srgb dry, Srgb sealed) {
        double least = Double.POSITIVE_INFINITY;
        ColourVision eyes = ColourVision.USUAL;
        for (ColourVision each : ColourVision.values()) {
            double here = Math.min(each.difference(one, dry), each.difference(one, sealed));
            if (here < least - 1e-9) {
                least = here;
                eyes = each;
            }
        }
        return new Apart(edge, one, dry, Lab.of(one).differenceTo(Lab.of(dry)), Lab.of(one).differenceTo(Lab.of(sealed)), least, eyes,
                ColourVision.contrast(one, dry));
    }
}
