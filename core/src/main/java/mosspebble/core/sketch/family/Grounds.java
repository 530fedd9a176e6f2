package mosspebble.core.sketch.family;

import static mosspebble.core.sketch.family.Drawing.area;
import static mosspebble.core.sketch.family.Drawing.at;
import static mosspebble.core.sketch.family.Drawing.disc;
import static mosspebble.core.sketch.family.Drawing.lines;
import static mosspebble.core.sketch.family.Drawing.path;
import static mosspebble.core.sketch.family.Drawing.whole;

import java.util.ArrayList;
import java.util.List;
import java.util.SplittableRandom;
import mosspebble.core.sketch.Family;
import mosspebble.core.area.Shapes;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.LineString;
import org.locationtech.jts.geom.util.AffineTransformation;

/** What covers the stone or a part of it: bands, zones, water, sky, wood, an opening. */
final class Grounds {

    private static final String[] EVENING = {"#222a55", "#5c3768", "#c9707c", "#e39a26", "#f3c934", "#ecdcb9", "#2f6a94", "#4e6a39"};
    private static final String[] AURORA = {"#222a55", "#2f6a94", "#4f9a84", "#8fb073", "#c9b458", "#8b6aa8", "#5c3768", "#c9707c"};

    /** A band goes so far under the next one. */
    private static final double UNDER = 0.07;

    private Grounds() {}

    static List<Family> list() {
        return List.of(
                new Made("cover", "Plain cover", Grounds::cover),
                new Made("bands", "Bands of colour", Grounds::bands).number("bands", "Bands", 2, 8, 5).dial("arch", "Arch", -0.6, 0.6, 0.12)
                        .dial("wave", "Wave", 0, 0.15, 0).dial("grow", "A band against the one above", 0.6, 1.6, 1.1),
                new Made("split", "Two zones, arched join", Grounds::split).dial("share", "Upper share", 0.15, 0.85, 0.66).dial("arch",
                        "Arch", -0.8, 0.8, 0.25),
                new Made("opening", "Jagged opening with stripes", Grounds::opening).number("stripes", "Stripes", 2, 8, 6)
                        .degrees("lean", "Lean of the stripes", -60, 60, -18).number("jags", "Jags", 8, 40, 20)
                        .number("cracks", "Cracks", 0, 8, 4).seeded(),
                new Made("waves", "Waves with foam", Grounds::waves).number("rows", "Rows", 2, 6, 4)
                        .dial("height", "Height", 0.03, 0.25, 0.11).number("crests", "Crests", 2, 9, 4)
                        .choice("foam", "Foam", 1, "none", "on the crests").byHand(),
                new Made("wood", "Wood grain", Grounds::wood).number("planks", "Planks", 1, 5, 3).number("grain", "Grain lines", 3, 24, 13)
                        .number("knots", "Knots", 0, 4, 2).seeded(),
                new Made("clouds", "Clouds", Grounds::clouds).number("clouds", "Clouds", 1, 5, 1).number("puffs", "Puffs", 3, 9, 5)
                        .seeded());
    }

    private static void cover(Drawing d, Made.Dials dials) {
        d.slot("cover", "Cover", "#222a55").within(whole(), true).fill("cover", "cover", whole(), 0, false);
    }

    private static double edge(double x, double y, double arch, double wave, double phase) {
        return y - arch * (1 - x * x) + wave * Math.sin(2.4 * Math.PI * x + phase);
    }

    private static Geometry below(double y, double arch, double wave, double phase) {
        List<Coordinate> ring = new ArrayList<>();
        for (int i = 0; i <= 48; i++) {
            double x = -1.1 + 2.2 * i / 48;
            ring.add(at(x, edge(x, y, arch, wave, phase)));
        }
        ring.add(at(1.1, 2.2));
        ring.add(at(-1.1, 2.2));
        return area(ring);
    }

    private static void bands(Drawing d, Made.Dials dials) {
        d.within(whole(), true);
        int n = dials.count("bands");
        double total = 0;
        for (int i = 0; i < n; i++) {
            total += Math.pow(dials.get("grow"), i);
        }
        double y = -1;
        for (int i = 0; i < n; i++) {
            d.slot("band" + i, "Band " + (i + 1) + " from the top", EVENING[i]);
            double next = y + 2 * Math.pow(dials.get("grow"), i) / total;
            Geometry from = i == 0 ? whole() : below(y, dials.get("arch"), dials.get("wave"), 0.9 * i);
            Geometry band = i == n - 1 ? from
                    : Shapes.minus(from, below(next + UNDER, dials.get("arch"), dials.get("wave"), 0.9 * (i + 1)));
            d.fill("band " + (i + 1), "band" + i, band, 0, false);
            y = next;
        }
    }

    private static void split(Drawing d, Made.Dials dials) {
        d.slot("upper", "Upper zone", "#8a5a36").slot("lower", "Lower zone", "#ecdcb9").within(whole(), true);
        d.fill("upper zone", "upper", whole(), 0.6, false);
        d.fill("lower zone", "lower", below(-1 + 2 * dials.get("share"), dials.get("arch"), 0, 0), 0.4, true);
    }

    /** Stripes seen through a broken opening; its cracks run out from the jags, and one goes to meet each crack of the stone. */
    private static void opening(Drawing d, Made.Dials dials) {
        SplittableRandom random = new SplittableRandom(dials.count("seed") * 15485863L);
        int n = dials.count("jags");
        List<Coordinate> ring = new ArrayList<>();
        for (int i = 0; i < n; i++) {
            double angle = 360.0 * (i + 0.5 * (random.nextDouble() - 0.5)) / n;
            double r = (i % 2 == 0 ? 1 : 0.78) * (0.92 + 0.14 * random.nextDouble());
            ring.add(at(1.15 * r * Math.cos(Math.toRadians(angle)), 0.82 * r * Math.sin(Math.toRadians(angle))));
        }
        Geometry opening = area(ring);
        d.slot("edge", "Edge of the opening", "#1e1d20").slot("cracks", "Cracks", "#1e1d20");
        d.fill("broken edge", "edge", Shapes.grown(opening, 0.05), -0.7, false);
        int stripes = dials.count("stripes");
        double lean = Math.toRadians(dials.get("lean"));
        double half = 1.25;
        for (int i = 0; i < stripes; i++) {
            d.slot("stripe" + i, "Stripe " + (i + 1), AURORA[i]);
            double from = -half + 2 * half * i / stripes;
            double to = -half + 2 * half * (i + 1) / stripes;
            List<Coordinate> band = new ArrayList<>();
            for (int k = 0; k <= 24; k++) {
                double y = -1.4 + 2.8 * k / 24;
                band.add(at(from + 0.06 * Math.sin(3 * y) + y * Math.tan(lean), y));
            }
            for (int k = 24; k >= 0; k--) {
                double y = -1.4 + 2.8 * k / 24;
                band.add(at(to + 0.06 * Math.sin(3 * y) + y * Math.tan(lean), y));
            }
            Geometry stripe = Shapes.common(area(band), opening);
            if (!stripe.isEmpty()) {
                d.fill("stripe " + (i + 1), "stripe" + i, stripe, 0, false);
            }
        }
        List<Geometry> cracks = new ArrayList<>();
        List<Coordinate> taken = new ArrayList<>();
        for (LineString crack : dials.site.cracks()) {
            Coordinate a = crack.getCoordinateN(0);
            Coordinate b = crack.getCoordinateN(1);
            Coordinate jag = nearest(ring, a.distance(at(0, 0)) < b.distance(at(0, 0)) ? a : b);
            Coordinate mouth = jag.distance(a) < jag.distance(b) ? a : b;
            List<Coordinate> way = jagged(jag, mouth, random);
            way.add(mouth == a ? b : a);
            cracks.add(path(way));
            taken.add(jag);
        }
        for (int k = 0; k < dials.count("cracks"); k++) {
            Coordinate jag = ring.get(2 * ((k * n / Math.max(1, dials.count("cracks")) + random.nextInt(2)) / 2) % n);
            if (taken.stream().noneMatch(t -> t.distance(jag) < 0.3)) {
                double reach = 0.3 + 0.35 * random.nextDouble();
                cracks.add(path(jagged(jag, at(jag.x * (1 + reach), jag.y * (1 + reach)), random)));
                taken.add(jag);
            }
        }
        if (!cracks.isEmpty()) {
            d.line("cracks", "cracks", lines(cracks), 0.7);
        }
    }

    private static Coordinate nearest(List<Coordinate> points, Coordinate to) {
        return points.stream().min((a, b) -> Double.compare(a.distance(to), b.distance(to))).orElseThrow();
    }

    private static List<Coordinate> jagged(Coordinate from, Coordinate to, SplittableRandom random) {
        List<Coordinate> way = new ArrayList<>(List.of(from));
        double length = from.distance(to);
        for (int i = 1; i < 5; i++) {
            double t = i / 5.0;
            double off = (random.nextDouble() - 0.5) * 0.22 * length;
            way.add(at(from.x + t * (to.x - from.x) - off * (to.y - from.y) / Math.max(1e-9, length),
                    from.y + t * (to.y - from.y) + off * (to.x - from.x) / Math.max(1e-9, length)));
        }
        way.add(to);
        return way;
    }

    private static void waves(Drawing d, Made.Dials dials) {
        d.within(whole(), true);
        String[] hues = {"#9cc3cf", "#5f97ad", "#2f6a94", "#2a4f7d", "#273f69", "#222a55"};
        int n = dials.count("rows");
        double high = dials.get("height");
        Sway sway = new Sway(dials);
        d.slot("sky", "Above the water", "#ecdcb9").fill("sky", "sky", whole(), 0, false);
        for (int row = 0; row < n; row++) {
            d.slot("row" + row, "Row " + (row + 1), hues[row]);
            double y = -0.35 + 1.3 * row / n;
            List<Coordinate> crest = new ArrayList<>();
            int crests = dials.count("crests");
            for (int i = 0; i <= 160; i++) {
                double x = -1.1 + 2.2 * i / 160;
                double phase = (x + 1.1) / 2.2 * crests + 0.5 * (row % 2);
                double part = phase - Math.floor(phase);
                double own = high * (1 + 2 * (sway.size(40 * row + (int) Math.floor(phase)) - 1));
                crest.add(at(x, y - own * Math.pow(Math.sin(Math.PI * part), 2) * (0.6 + 0.8 * part)));
            }
            List<Coordinate> ring = new ArrayList<>(crest);
            ring.add(at(1.1, 2));
            ring.add(at(-1.1, 2));
            d.fill("wave " + (row + 1), "row" + row, area(ring), 0.2, false);
            if (dials.count("foam") == 1) {
                d.slot("foam", "Foam", "#f6f3ea");
                d.line("foam of wave " + (row + 1), "foam", path(crest), 0.9);
                List<Geometry> drops = new ArrayList<>();
                for (int k = 0; k < crests * 2; k++) {
                    Coordinate c = crest.get(Math.min(160, (int) (160.0 * (k + 0.62) / (crests * 2))));
                    drops.add(disc(c.x, c.y + 0.05 + 0.02 * (k % 3), 0.013));
                }
                d.light("foam drops " + (row + 1), "foam", Drawing.FACTORY.buildGeometry(drops).union());
            }
        }
    }

    private static void wood(Drawing d, Made.Dials dials) {
        d.slot("a", "Planks", "#8a5a36").slot("b", "Planks between", "#9c6f48").slot("grain", "Grain, watered", "#5b3a24").within(whole(),
                true);
        SplittableRandom random = new SplittableRandom(dials.count("seed") * 32452843L);
        int planks = dials.count("planks");
        List<double[]> knots = new ArrayList<>();
        for (int k = 0; k < dials.count("knots"); k++) {
            double plank = (k + random.nextInt(planks)) % planks;
            knots.add(new double[] {-0.6 + 1.2 * random.nextDouble(), -1 + 2 * (plank + 0.5) / planks, 0.05 + 0.03 * random.nextDouble()});
        }
        List<Geometry> grain = new ArrayList<>();
        for (int p = 0; p < planks; p++) {
            double top = -1 + 2.0 * p / planks;
            double bottom = top + 2.0 / planks;
            d.fill("plank " + (p + 1), p % 2 == 0 ? "a" : "b", area(-1.1, top, 1.1, top, 1.1, bottom, -1.1, bottom), 0.15, planks > 1);
            int n = Math.max(1, dials.count("grain") / planks);
            for (int i = 0; i < n; i++) {
                double y = top + (bottom - top) * (i + 0.5) / n;
                double start = -1.05 + 0.5 * random.nextDouble();
                double end = 1.05 - 0.5 * random.nextDouble();
                List<Coordinate> line = new ArrayList<>();
                for (int k = 0; k <= 40; k++) {
                    double x = start + (end - start) * k / 40;
                    double bent = y + 0.012 * Math.sin(5 * x + 3 * y + p);
                    for (double[] knot : knots) { // the grain flows round a knot
                        double far = Math.hypot((x - knot[0]) / 2.2, bent - knot[1]);
                        double reach = knot[2] * 2.2;
                        bent += far < reach ? Math.signum(bent - knot[1] + 1e-9) * (reach - far) * 0.75 : 0;
                    }
                    line.add(at(x, Math.max(top + 0.02, Math.min(bottom - 0.02, bent))));
                }
                grain.add(path(line));
            }
        }
        d.line("grain", "grain", lines(grain), 0.4);
        for (int k = 0; k < knots.size(); k++) {
            double[] knot = knots.get(k);
            d.fill("knot " + (k + 1), "grain", Drawing.oval(knot[0], knot[1], knot[2] * 1.3, knot[2] * 0.75, 0), 0, false);
        }
    }

    private static void clouds(Drawing d, Made.Dials dials) {
        d.slot("cloud", "Cloud", "#f6f3ea").slot("shade", "Underside", "#b9c3cf");
        SplittableRandom random = new SplittableRandom(dials.count("seed") * 49979687L);
        int n = dials.count("clouds");
        for (int k = 0; k < n; k++) {
            double cx = k == 0 ? 0 : 2.2 * (k % 2 == 1 ? 1 : -1) * ((k + 1) / 2) * 0.75;
            double cy = k == 0 ? 0 : -0.9 * (k % 2) + 0.35 * k * (random.nextDouble() - 0.3);
            double size = k == 0 ? 1 : 0.55 + 0.25 * random.nextDouble();
            int puffs = dials.count("puffs");
            List<Geometry> all = new ArrayList<>();
            for (int i = 0; i < puffs; i++) {
                double t = (i + 0.5) / puffs * 2 - 1;
                double r = size * (0.22 + 0.3 * (1 - t * t)) * (0.85 + 0.3 * random.nextDouble());
                all.add(disc(cx + t * size, cy - r * 0.55, r));
            }
            double low = size * 0.16; // a soft underside, as broad as the puffs
            all.add(area(cx - size + low, cy - low, cx + size - low, cy - low, cx + size - low, cy + low, cx - size + low, cy + low));
            all.add(disc(cx - size + low, cy, low));
            all.add(disc(cx + size - low, cy, low));
            Geometry floor = area(cx - size * 2, cy + low, cx + size * 2, cy + low, cx + size * 2, cy + size * 2, cx - size * 2,
                    cy + size * 2);
            Geometry cloud = Shapes.minus(Shapes.union(all), floor);
            d.fill(n == 1 ? "cloud" : "cloud " + (k + 1), "cloud", cloud, 0.7, true);
            d.fill(n == 1 ? "underside" : "underside of cloud " + (k + 1), "shade",
                    Shapes.minus(cloud, AffineTransformation.translationInstance(-size * 0.05, -size * 0.13).transform(cloud)), 0, false);
        }
    }
}
