package mosspebble.core.sketch.family;

import static mosspebble.core.sketch.family.Drawing.at;
import static mosspebble.core.sketch.family.Drawing.blade;
import static mosspebble.core.sketch.family.Drawing.curve;
import static mosspebble.core.sketch.family.Drawing.disc;
import static mosspebble.core.sketch.family.Drawing.lines;
import static mosspebble.core.sketch.family.Drawing.path;
import static mosspebble.core.sketch.family.Drawing.tapered;

import java.util.ArrayList;
import java.util.List;
import java.util.SplittableRandom;
import mosspebble.core.sketch.Family;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;

/** Leaves, fronds, stems, grass and vines. */
final class Greens {

    private Greens() {}

    static List<Family> list() {
        return List.of(
                new Made("leaf", "Leaf with half hatching", Greens::leaf).dial("width", "Width", 0.5, 1.6, 0.95)
                        .dial("bend", "Bend", -1, 1, 0.25).number("hatch", "Hatch lines", 0, 14, 8)
                        .choice("double", "Halves", 1, "one colour", "two colours").byHand(),
                new Made("frond", "Spine with ribs", Greens::frond).number("ribs", "Ribs to a side", 4, 22, 12)
                        .dial("bend", "Bend", -1, 1, 0.35).dial("reach", "Reach of the ribs", 0.3, 1.2, 0.7).byHand(),
                new Made("stem", "Tapered stem with leaves", Greens::stem).number("leaves", "Leaves", 0, 14, 7)
                        .dial("bend", "Bend", -1, 1, 0.4).dial("foot", "Thick at the foot", 0.04, 0.3, 0.1).byHand(),
                new Made("grass", "Grass, dark to light", Greens::grass).number("blades", "Blades", 5, 48, 21)
                        .dial("spread", "Spread", 0.6, 4, 2).dial("lean", "Lean", -1, 1, 0.15).seeded(),
                new Made("vine", "Vine with curls", Greens::vine).number("waves", "Waves", 1, 6, 3).number("curls", "Curls", 0, 8, 4)
                        .number("leaves", "Leaves", 0, 12, 6).byHand());
    }

    private static Coordinate along(List<Coordinate> line, double share) {
        double at = share * (line.size() - 1);
        int i = Math.min(line.size() - 2, (int) at);
        double f = at - i;
        return at(line.get(i).x * (1 - f) + line.get(i + 1).x * f, line.get(i).y * (1 - f) + line.get(i + 1).y * f);
    }

    private static double direction(List<Coordinate> line, double share) {
        Coordinate a = along(line, Math.max(0, share - 0.03));
        Coordinate b = along(line, Math.min(1, share + 0.03));
        return Math.atan2(b.y - a.y, b.x - a.x);
    }

    private static List<Coordinate> bent(double height, double bend) {
        List<Coordinate> line = new ArrayList<>(List.of(at(0, 0)));
        line.addAll(curve(at(0, 0), at(0, -height * 0.4), at(bend * height * 0.35, -height * 0.75), at(bend * height * 0.55, -height)));
        return line;
    }

    private static void leaf(Drawing d, Made.Dials dials) {
        d.slot("leaf", "Leaf", "#5d7a3a").slot("light", "Light half", "#8aa35b").slot("vein", "Vein and hatching", "#24391a");
        List<Coordinate> spine = bent(2.4, dials.get("bend"));
        List<Coordinate> left = new ArrayList<>();
        List<Coordinate> right = new ArrayList<>();
        for (int i = 0; i <= 20; i++) {
            double t = i / 20.0;
            Coordinate c = along(spine, t);
            double dir = direction(spine, t);
            double half = dials.get("width") / 2 * Drawing.swell(t, 0.42);
            left.add(at(c.x + Math.sin(dir) * half, c.y - Math.cos(dir) * half));
            right.add(0, at(c.x - Math.sin(dir) * half, c.y + Math.cos(dir) * half));
        }
        List<Coordinate> ring = new ArrayList<>(left);
        ring.addAll(right.subList(1, right.size() - 1));
        d.fill("leaf", "leaf", Drawing.area(ring), 0.4, true);
        if (dials.count("double") == 1) {
            List<Coordinate> half = new ArrayList<>(left);
            for (int i = 19; i >= 1; i--) {
                half.add(along(spine, i / 20.0));
            }
            d.fill("light half of the leaf", "light", Drawing.area(half), 0.2, false);
        }
        d.line("vein", "vein", path(List.of(at(0, 0.28), at(0, 0))).union(path(spine.subList(0, spine.size() - 1))), 0.5);
        List<Geometry> hatch = new ArrayList<>();
        Sway sway = new Sway(dials);
        for (int i = 0; i < dials.count("hatch"); i++) {
            double t = 0.12 + 0.74 * i / Math.max(1, dials.count("hatch") - 1);
            Coordinate c = along(spine, t);
            double dir = direction(spine, t) + Math.toRadians(52 + sway.turn(i));
            double reach = dials.get("width") * 0.42 * Drawing.swell(t, 0.42) * sway.size(i);
            hatch.add(path(List.of(c, at(c.x + Math.cos(dir) * reach, c.y + Math.sin(dir) * reach))));
        }
        if (!hatch.isEmpty()) {
            d.line("hatching on one side", "vein", lines(hatch), 0.3);
        }
    }

    private static void frond(Drawing d, Made.Dials dials) {
        d.slot("low", "Lower ribs", "#3f5a2c").slot("middle", "Middle ribs", "#5d7a3a").slot("high", "Upper ribs", "#9aac4c").slot("spine",
                "Spine", "#c9a878");
        List<Coordinate> spine = bent(3, dials.get("bend"));
        int n = dials.count("ribs");
        Sway sway = new Sway(dials);
        for (int i = 0; i < n; i++) {
            double t = 0.1 + 0.86 * i / n;
            Coordinate foot = along(spine, t);
            double dir = direction(spine, t);
            double reach = dials.get("reach") * (1.08 - 0.85 * t) * (t < 0.25 ? 0.62 + 1.5 * t : 1);
            String tone = t < 0.36 ? "low" : t < 0.68 ? "middle" : "high";
            for (int side = -1; side <= 1; side += 2) {
                double out = dir + side * Math.toRadians(54 - 16 * t + sway.turn(2 * i + side));
                double far = reach * sway.size(2 * i + side);
                Coordinate tip = at(foot.x + Math.cos(out) * far, foot.y + Math.sin(out) * far);
                d.fill((side < 0 ? "left" : "right") + " rib " + (i + 1), tone, blade(foot, tip, 2.3 * 0.86 / n, 0.5), 0.2, false);
            }
        }
        Coordinate top = along(spine, 1);
        double dir = direction(spine, 1);
        d.fill("top rib", "high", blade(along(spine, 0.95), at(top.x + Math.cos(dir) * 0.2, top.y + Math.sin(dir) * 0.2), 0.12, 0.5), 0.2,
                false);
        List<Coordinate> long_ = new ArrayList<>(List.of(at(0, 0.3)));
        long_.addAll(spine);
        d.fill("spine", "spine", tapered(long_, 0.09, 0.025), 0.2, false);
    }

    private static void stem(Drawing d, Made.Dials dials) {
        d.slot("stem", "Stem", "#4a3425").slot("leaves", "Leaves", "#5d7a3a").slot("others", "Leaves of the other side", "#87995a");
        List<Coordinate> spine = bent(3, dials.get("bend"));
        Sway sway = new Sway(dials);
        int n = dials.count("leaves");
        for (int i = 0; i < n; i++) {
            double t = 0.2 + 0.8 * (i + 0.5) / n;
            Coordinate foot = along(spine, t);
            double side = i % 2 == 0 ? 1 : -1;
            double out = direction(spine, t) + side * Math.toRadians(48 + 2 * sway.turn(i));
            double reach = (0.75 - 0.3 * t) * sway.size(i);
            d.fill("leaf " + (i + 1), i % 2 == 0 ? "leaves" : "others",
                    blade(foot, at(foot.x + Math.cos(out) * reach, foot.y + Math.sin(out) * reach), 0.3, 0.45), 0.3, true);
        }
        d.fill("stem", "stem", tapered(spine, dials.get("foot"), 0.03), 0.3, false);
    }

    private static void grass(Drawing d, Made.Dials dials) {
        d.slot("dark", "Dark blades, behind", "#2f4a2a").slot("middle", "Middle blades", "#5d7a3a").slot("light", "Light blades, in front",
                "#a9b85a");
        SplittableRandom random = new SplittableRandom(dials.count("seed") * 7919L);
        int n = dials.count("blades");
        double spread = dials.get("spread");
        String[] tones = {"dark", "middle", "light"};
        for (int tone = 0; tone < 3; tone++) {
            for (int i = tone; i < n; i += 3) {
                double x = (i / (n - 1.0) - 0.5) * spread + (random.nextDouble() - 0.5) * spread / n;
                double high = (1.05 - 0.2 * tone) * (0.75 + 0.35 * random.nextDouble());
                double lean = (dials.get("lean") + (random.nextDouble() - 0.5) * 0.9) * high * 0.6;
                List<Coordinate> line = new ArrayList<>(List.of(at(x, 0)));
                line.addAll(curve(at(x, 0), at(x, -high * 0.45), at(x + lean * 0.35, -high * 0.8), at(x + lean, -high)));
                d.fill("blade " + (i + 1), tones[tone], tapered(line, 0.085, 0.012), 0, false);
            }
        }
    }

    private static void vine(Drawing d, Made.Dials dials) {
        d.slot("vine", "Vine", "#4e6a39").slot("leaves", "Leaves", "#87995a").slot("berries", "Berries", "#a8352a");
        int waves = dials.count("waves");
        List<Coordinate> line = new ArrayList<>();
        int steps = waves * 24;
        for (int i = 0; i <= steps; i++) {
            double t = (double) i / steps;
            line.add(at((t - 0.5) * 1.6 * waves, -0.32 * Math.sin(2 * Math.PI * waves / 2.0 * t)));
        }
        Sway sway = new Sway(dials);
        int n = dials.count("leaves");
        for (int i = 0; i < n; i++) {
            double t = (i + 0.5) / n;
            Coordinate foot = along(line, t);
            double out = direction(line, t) + (i % 2 == 0 ? -1 : 1) * Math.toRadians(62 + 2 * sway.turn(i));
            double reach = 0.42 * sway.size(i);
            d.fill("leaf " + (i + 1), "leaves", blade(foot, at(foot.x + Math.cos(out) * reach, foot.y + Math.sin(out) * reach), 0.24, 0.45),
                    0.3, true);
        }
        d.fill("vine", "vine", tapered(line, 0.07, 0.035), 0.2, false);
        List<Geometry> curls = new ArrayList<>();
        List<Geometry> berries = new ArrayList<>();
        int c = dials.count("curls");
        for (int i = 0; i < c; i++) {
            double t = (i + 0.35) / c;
            Coordinate foot = along(line, t);
            double side = i % 2 == 0 ? 1 : -1;
            List<Coordinate> curl = new ArrayList<>();
            for (int k = 0; k <= 40; k++) {
                double turn = k / 40.0 * 3.4 * Math.PI;
                double r = 0.26 * (1 - k / 46.0);
                curl.add(at(foot.x + 0.26 - r * Math.cos(turn),
                        foot.y + side * (0.12 + r * Math.sin(turn)) - side * 0.12 * (1 - Math.min(1, k / 6.0))));
            }
            curls.add(path(curl));
            Coordinate end = curl.get(40);
            berries.add(disc(end.x, end.y, 0.05));
        }
        if (!curls.isEmpty()) {
            d.line("curls", "vine", lines(curls), 0.5);
            d.fill("berries", "berries", Drawing.FACTORY.buildGeometry(berries).union(), 0.5, false);
        }
    }
}
