package mosspebble.core.sketch.family;

import static mosspebble.core.sketch.family.Drawing.area;
import static mosspebble.core.sketch.family.Drawing.at;
import static mosspebble.core.sketch.family.Drawing.disc;
import static mosspebble.core.sketch.family.Drawing.lines;
import static mosspebble.core.sketch.family.Drawing.path;
import static mosspebble.core.sketch.family.Drawing.polar;
import static mosspebble.core.sketch.family.Drawing.whole;

import java.util.ArrayList;
import java.util.List;
import java.util.SplittableRandom;
import mosspebble.core.sketch.Family;
import mosspebble.core.area.Shapes;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Envelope;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;
import org.locationtech.jts.triangulate.VoronoiDiagramBuilder;

/** Plates, rows, glass, spirals and frames. */
final class Ornaments {

    private Ornaments() {}

    static List<Family> list() {
        return List.of(
                new Made("plate", "Plate with spokes and dashed rim", Ornaments::plate).number("corners", "Corners", 3, 12, 6)
                        .number("dashes", "Dashes", 0, 60, 36).dial("plate", "Size of the plate", 0.2, 0.8, 0.45)
                        .number("rings", "Rings", 0, 4, 2),
                new Made("rows", "Staggered rows of ticks", Ornaments::rows).number("rows", "Rows", 3, 24, 9)
                        .dial("length", "Length of a tick", 0.2, 0.9, 0.5).choice("curved", "Marks", 0, "ticks", "scales"),
                new Made("glass", "Stained-glass cells", Ornaments::glass).number("cells", "Cells", 4, 40, 14)
                        .dial("lead", "Lead, share of the width", 0.01, 0.08, 0.03).seeded(),
                new Made("spiral", "Spiral bands", Ornaments::spiral).number("arms", "Arms", 1, 4, 2).turns("turns", "Turns", 0.5, 4, 1.5),
                new Made("frame", "Bands along the edge", Ornaments::frame).number("bands", "Bands", 1, 3, 2)
                        .dial("width", "Width of a band", 0.03, 0.25, 0.08).choice("lines", "Lines between", 1, "none", "drawn"));
    }

    private static void plate(Drawing d, Made.Dials dials) {
        d.slot("ground", "Outside the plate", "#5c3768").slot("plate", "Plate", "#c9a878")
                .slot("lines", "Spokes, rings and dashes", "#efe3c6").within(whole(), true);
        int n = dials.count("corners");
        double r = dials.get("plate");
        d.fill("outside", "ground", whole(), 0, false);
        List<Coordinate> ring = new ArrayList<>();
        for (int i = 0; i < n; i++) {
            ring.add(polar(360.0 * i / n - 90, r));
        }
        d.fill("plate", "plate", area(ring), 0.2, true);
        List<Geometry> spokes = new ArrayList<>();
        for (int i = 0; i < n; i++) {
            spokes.add(path(List.of(polar(360.0 * i / n - 90, r), polar(360.0 * i / n - 90, 0.98))));
        }
        d.line("spokes", "lines", lines(spokes), 0.7);
        List<Geometry> rings = new ArrayList<>();
        for (int k = 1; k <= dials.count("rings"); k++) {
            double inner = r * k / (dials.count("rings") + 1.0);
            List<Coordinate> one = new ArrayList<>();
            for (int i = 0; i <= n; i++) {
                one.add(polar(360.0 * (i % n) / n - 90, inner));
            }
            rings.add(path(one));
        }
        if (!rings.isEmpty()) {
            d.line("rings", "lines", lines(rings), 0.5);
        }
        List<Geometry> dashes = new ArrayList<>();
        int m = dials.count("dashes");
        for (int i = 0; i < m; i++) {
            List<Coordinate> dash = new ArrayList<>();
            for (int k = 0; k <= 4; k++) {
                dash.add(polar(360.0 * (i + 0.25 + 0.5 * k / 4) / m - 90, 0.9));
            }
            dashes.add(path(dash));
        }
        if (!dashes.isEmpty()) {
            d.line("dashed rim", "lines", lines(dashes), 0.7);
        }
    }

    private static void rows(Drawing d, Made.Dials dials) {
        d.slot("ground", "Field", "#2f6a94").slot("ticks", "Ticks", "#ecdcb9").within(whole(), false);
        d.fill("field", "ground", whole(), 0.3, false);
        int n = dials.count("rows");
        double step = 2.0 / n;
        List<Geometry> ticks = new ArrayList<>();
        for (int row = 0; row < n; row++) {
            double y = -1 + (row + 0.5) * step;
            for (int i = -n; i <= n; i++) {
                double x = (i + row % 2 / 2.0) * step * 0.8;
                if (Math.hypot(x, y) > 0.93) {
                    continue;
                }
                double half = step * dials.get("length") / 2;
                if (dials.count("curved") == 1) {
                    List<Coordinate> scale = new ArrayList<>();
                    for (int k = 0; k <= 10; k++) {
                        scale.add(at(x - step * 0.4 + step * 0.8 * k / 10, y - half + 2 * half * Math.sin(Math.PI * k / 10)));
                    }
                    ticks.add(path(scale));
                } else {
                    ticks.add(path(x, y - half, x, y + half));
                }
            }
        }
        d.line("ticks", "ticks", lines(ticks), 0.5);
    }

    /** Cells about scattered seeds, evened out (two rounds of Lloyd's method), with the leads between them left dark. */
    private static void glass(Drawing d, Made.Dials dials) {
        d.slot("lead", "Leads", "#1e1d20").slot("a", "Glass, lightest", "#f3c934").slot("b", "Glass", "#e39a26")
                .slot("c", "Glass, deeper", "#c9707c").slot("d", "Glass, deepest", "#5c3768").within(whole(), true);
        d.fill("leads", "lead", whole(), 0, false);
        SplittableRandom random = new SplittableRandom(dials.count("seed") * 104729L);
        List<Coordinate> seeds = new ArrayList<>();
        while (seeds.size() < dials.count("cells")) {
            Coordinate c = at(random.nextDouble() * 2 - 1, random.nextDouble() * 2 - 1);
            if (Math.hypot(c.x, c.y) < 0.97) {
                seeds.add(c);
            }
        }
        List<Geometry> cells = List.of();
        for (int round = 0; round < 3; round++) {
            cells = cells(seeds);
            seeds = new ArrayList<>(cells.stream().map(c -> c.getCentroid().getCoordinate()).toList());
        }
        int number = 0;
        for (Geometry cell : cells) {
            Geometry glass = Shapes.grown(cell, -dials.get("lead") / 2);
            if (!glass.isEmpty()) {
                double high = (glass.getCentroid().getY() + 1) / 2;
                d.fill("cell " + ++number, high < 0.27 ? "a" : high < 0.5 ? "b" : high < 0.74 ? "c" : "d", glass, 0.15, false);
            }
        }
    }

    private static List<Geometry> cells(List<Coordinate> seeds) {
        VoronoiDiagramBuilder builder = new VoronoiDiagramBuilder();
        builder.setSites(seeds);
        builder.setClipEnvelope(new Envelope(-2, 2, -2, 2));
        Geometry all = builder.getDiagram(new GeometryFactory());
        List<Geometry> cells = new ArrayList<>();
        for (int i = 0; i < all.getNumGeometries(); i++) {
            Geometry cell = Shapes.common(all.getGeometryN(i), whole());
            if (cell.getArea() > 1e-6) {
                cells.add(cell);
            }
        }
        cells.sort((p, q) -> {
            int byRow = Double.compare(p.getCentroid().getY(), q.getCentroid().getY());
            return byRow != 0 ? byRow : Double.compare(p.getCentroid().getX(), q.getCentroid().getX());
        });
        return cells;
    }

    private static void spiral(Drawing d, Made.Dials dials) {
        String[] hues = {"#2f6a94", "#ecdcb9", "#5c3768", "#e39a26"};
        int arms = dials.count("arms");
        d.within(whole(), false);
        for (int arm = 0; arm < Math.max(2, arms); arm++) {
            d.slot("arm" + arm, arm < arms ? "Arm " + (arm + 1) : "Between", hues[arm]);
        }
        int all = Math.max(2, arms);
        d.fill("spiral ground", "arm0", whole(), 0.2, false);
        for (int arm = 1; arm < all; arm++) {
            List<Coordinate> edge = new ArrayList<>();
            for (int side = 0; side <= 1; side++) {
                List<Coordinate> one = new ArrayList<>();
                for (int i = 0; i <= 160; i++) {
                    double t = i / 160.0;
                    one.add(polar(360 * (dials.get("turns") * t + (double) (arm + side) / all), 1.05 * t));
                }
                if (side == 0) {
                    edge.addAll(one);
                } else {
                    for (int k = 1; k < 24; k++) { // round the outside from one edge to the next
                        edge.add(polar(360 * (dials.get("turns") + (arm + k / 24.0) / all), 1.05));
                    }
                    for (int i = 160; i > 0; i--) {
                        edge.add(one.get(i));
                    }
                }
            }
            d.fill("arm " + (arm + 1), "arm" + arm, area(edge), 0.2, false);
        }
    }

    private static void frame(Drawing d, Made.Dials dials) {
        String[] hues = {"#4e6a39", "#ecdcb9", "#a8352a"};
        d.within(whole(), true);
        int n = dials.count("bands");
        double wide = dials.get("width");
        List<Geometry> edges = new ArrayList<>();
        for (int i = 0; i < n; i++) {
            d.slot("band" + i, "Band " + (i + 1), hues[i]);
            Geometry band = Shapes.minus(disc(0, 0, 1.001 - i * wide), disc(0, 0, 1 - (i + 1) * wide));
            d.fill("band " + (i + 1), "band" + i, band, 0, false);
            edges.add(disc(0, 0, 1 - (i + 1) * wide).getBoundary());
        }
        if (dials.count("lines") == 1) {
            d.slot("line", "Lines", "#efe3c6");
            d.line("lines of the bands", "line", lines(edges), 0.5);
        }
    }
}
