package mosspebble.core.sketch.family;

import static mosspebble.core.sketch.family.Drawing.area;
import static mosspebble.core.sketch.family.Drawing.at;
import static mosspebble.core.sketch.family.Drawing.blade;
import static mosspebble.core.sketch.family.Drawing.disc;
import static mosspebble.core.sketch.family.Drawing.lines;
import static mosspebble.core.sketch.family.Drawing.oval;
import static mosspebble.core.sketch.family.Drawing.path;
import static mosspebble.core.sketch.family.Drawing.star;
import static mosspebble.core.sketch.family.Drawing.whole;

import java.util.ArrayList;
import java.util.List;
import java.util.SplittableRandom;
import mosspebble.core.sketch.Family;
import mosspebble.core.area.Shapes;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;

/** Stars, strokes, spots, faces and tufts. */
final class Marks {

    private Marks() {}

    static List<Family> list() {
        return List.of(
                new Made("scatter", "Stars and scattered strokes", Marks::scatter).number("count", "How many", 3, 90, 28)
                        .choice("kind", "Kind", 3, "stars", "strokes", "dots", "mixed").dial("size", "Size", 0.02, 0.2, 0.07)
                        .number("points", "Points of a star", 4, 8, 5).seeded(),
                new Made("spots", "Spots and patches", Marks::spots).number("count", "How many", 1, 30, 9)
                        .dial("size", "Size", 0.05, 0.4, 0.17).dial("uneven", "Uneven", 0, 0.6, 0.25).seeded(),
                new Made("face", "Face", Marks::face).dial("eyes", "Size of the eyes", 0.1, 0.5, 0.27)
                        .dial("apart", "Eyes apart", 0.3, 1.4, 0.8).choice("nose", "Nose", 1, "none", "round", "pointed")
                        .choice("mouth", "Mouth", 1, "none", "smile", "open", "split")
                        .choice("cheeks", "Cheeks", 1, "none", "rosy").choice("lids", "Eyes", 0, "open", "asleep"),
                new Made("tufts", "Whole stone: tufts and a face zone", Marks::tufts).number("rows", "Rows of tufts", 3, 12, 7)
                        .dial("face", "Face zone", 0.2, 0.6, 0.42).dial("arch", "Arch of the join", 0, 0.6, 0.3).seeded());
    }

    /** Places kept apart: each new one is the farthest of some tries from those there are (Mitchell's best candidate). */
    private static List<Coordinate> apart(int count, SplittableRandom random, double reach) {
        List<Coordinate> found = new ArrayList<>();
        while (found.size() < count) {
            Coordinate best = null;
            double far = -1;
            for (int k = 0; k < 14; k++) {
                Coordinate c = at((random.nextDouble() * 2 - 1) * reach, (random.nextDouble() * 2 - 1) * reach);
                if (Math.hypot(c.x, c.y) > reach) {
                    continue;
                }
                double nearest = found.stream().mapToDouble(c::distance).min().orElse(9);
                if (nearest > far) {
                    far = nearest;
                    best = c;
                }
            }
            if (best != null) {
                found.add(best);
            }
        }
        return found;
    }

    private static void scatter(Drawing d, Made.Dials dials) {
        d.slot("marks", "Marks", "#f6f3ea").slot("others", "Small ones", "#f3c934");
        d.within(whole(), false);
        SplittableRandom random = new SplittableRandom(dials.count("seed") * 67867967L);
        double size = dials.get("size");
        int kind = dials.count("kind");
        List<Geometry> big = new ArrayList<>();
        List<Geometry> small = new ArrayList<>();
        List<Geometry> strokes = new ArrayList<>();
        int i = 0;
        for (Coordinate c : apart(dials.count("count"), random, 1 - size)) {
            double own = size * (0.6 + 0.7 * random.nextDouble());
            double turn = random.nextDouble() * 360;
            int what = kind == 3 ? i % 4 == 0 ? 0 : i % 4 == 2 ? 1 : 2 : kind;
            if (what == 0) {
                big.add(star(c.x, c.y, own, dials.count("points"), 0.45, turn));
            } else if (what == 1) {
                double a = Math.toRadians(turn);
                strokes.add(path(c.x - own * 0.6 * Math.cos(a), c.y - own * 0.6 * Math.sin(a), c.x + own * 0.6 * Math.cos(a),
                        c.y + own * 0.6 * Math.sin(a)));
            } else {
                small.add(disc(c.x, c.y, own * 0.3));
            }
            i++;
        }
        if (!big.isEmpty()) {
            d.fill("stars", "marks", Shapes.union(big), 0, false);
        }
        if (!small.isEmpty()) {
            d.fill("dots", "others", Shapes.union(small), 0, false);
        }
        if (!strokes.isEmpty()) {
            d.line("strokes", "marks", lines(strokes), 0.5);
        }
    }

    private static void spots(Drawing d, Made.Dials dials) {
        d.slot("spots", "Spots", "#4a3425");
        d.within(whole(), false);
        SplittableRandom random = new SplittableRandom(dials.count("seed") * 86028121L);
        int i = 0;
        for (Coordinate c : apart(dials.count("count"), random, 1 - dials.get("size") * 0.7)) {
            double r = dials.get("size") * (0.55 + 0.6 * random.nextDouble());
            double a = random.nextDouble() * Math.PI;
            double b = random.nextDouble() * Math.PI;
            List<Coordinate> ring = new ArrayList<>();
            for (int k = 0; k < 40; k++) {
                double angle = 2 * Math.PI * k / 40;
                double own = r * (1 + dials.get("uneven") * (0.5 * Math.sin(2 * angle + a) + 0.35 * Math.sin(3 * angle + b)));
                ring.add(at(c.x + own * Math.cos(angle), c.y + own * Math.sin(angle)));
            }
            d.fill("spot " + ++i, "spots", area(ring), 0.1, false);
        }
    }

    private static void face(Drawing d, Made.Dials dials) {
        d.slot("white", "White of the eyes", "#f6f3ea").slot("dark", "Pupils, nose and mouth", "#1e1d20").slot("cheek", "Cheeks", "#c9707c")
                .slot("tongue", "Inside of the mouth", "#a8352a").slot("light", "Glints", "#ffffff");
        double r = dials.get("eyes");
        double half = Math.max(dials.get("apart") / 2, r * 1.05);
        List<Geometry> glints = new ArrayList<>();
        for (int side = -1; side <= 1; side += 2) {
            String which = side < 0 ? "left" : "right";
            if (dials.count("lids") == 1) {
                List<Coordinate> lid = new ArrayList<>();
                for (int k = 0; k <= 16; k++) {
                    double t = k / 8.0 - 1;
                    lid.add(at(side * half + t * r, 0.35 * r * (1 - t * t)));
                }
                d.line(which + " closed eye", "dark", path(lid), 0.8);
            } else {
                d.fill(which + " eye", "white", disc(side * half, 0, r), 0.5, true);
                d.fill(which + " pupil", "dark", disc(side * half, r * 0.12, r * 0.58), 0.3, false);
                glints.add(disc(side * half - r * 0.2, -r * 0.12, r * 0.17)); // both on the side the light comes from
            }
        }
        double under = r + 0.18;
        switch (dials.count("nose")) {
            case 1 -> d.fill("nose", "dark", oval(0, under, 0.13, 0.1, 0), 0.6, false);
            case 2 -> d.fill("nose", "dark", area(-0.14, under - 0.08, 0.14, under - 0.08, 0, under + 0.12), 0.4, false);
            default -> {}
        }
        double mouth = under + 0.24;
        switch (dials.count("mouth")) {
            case 1 -> d.line("mouth", "dark", smile(0, mouth, 0.34, 0.16), 0.7);
            case 2 -> {
                d.fill("mouth", "dark", Shapes.minus(oval(0, mouth - 0.02, 0.3, 0.26, 0),
                        area(-1, mouth - 0.6, 1, mouth - 0.6, 1, mouth - 0.02, -1, mouth - 0.02)), 0.2, false);
                d.fill("tongue", "tongue", Shapes.common(oval(0, mouth + 0.2, 0.19, 0.13, 0), oval(0, mouth - 0.02, 0.27, 0.23, 0)), 0.2,
                        false);
            }
            case 3 -> d.line("mouth", "dark",
                    lines(List.of(path(0, under + 0.1, 0, mouth), smile(-0.13, mouth, 0.13, 0.09), smile(0.13, mouth, 0.13, 0.09))), 0.7);
            default -> {}
        }
        if (dials.count("cheeks") == 1) {
            d.fill("left cheek", "cheek", oval(-half - r * 0.35, under + 0.1, 0.17, 0.12, 0), 0, false);
            d.fill("right cheek", "cheek", oval(half + r * 0.35, under + 0.1, 0.17, 0.12, 0), 0, false);
        }
        if (!glints.isEmpty()) {
            d.light("glints", "light", Drawing.FACTORY.buildGeometry(glints).union());
        }
    }

    private static Geometry smile(double x, double y, double half, double deep) {
        List<Coordinate> points = new ArrayList<>();
        for (int k = 0; k <= 16; k++) {
            double t = k / 8.0 - 1;
            points.add(at(x + t * half, y + deep * (1 - t * t)));
        }
        return path(points);
    }

    /**
     * The stone is the creature: tufts, fur or quills over the upper part in rows from dark to light, a face zone with an arched join
     * below.
     */
    private static void tufts(Drawing d, Made.Dials dials) {
        d.slot("back", "Back", "#2f4a2a").slot("tufts", "Tufts", "#5d7a3a").slot("tips", "Tufts in front", "#b9c58c")
                .slot("face", "Face zone", "#ecdcb9").slot("dark", "Eyes and mouth", "#1e1d20").slot("cheek", "Cheeks", "#c9707c")
                .slot("light", "Glints", "#ffffff");
        d.within(whole(), true);
        SplittableRandom random = new SplittableRandom(dials.count("seed") * 2750159L);
        d.fill("back", "back", whole(), 0.7, false);
        double join = 1 - 2 * dials.get("face");
        List<Coordinate> zone = new ArrayList<>();
        for (int i = 0; i <= 48; i++) {
            double x = -1.1 + 2.2 * i / 48;
            zone.add(at(x, join - dials.get("arch") * (1 - x * x)));
        }
        zone.add(at(1.1, 2));
        zone.add(at(-1.1, 2));
        int rows = dials.count("rows");
        for (int row = 0; row < rows; row++) {
            List<Geometry> tufts = new ArrayList<>();
            double share = (row + 0.5) / rows;
            int n = 9 + 2 * row;
            for (int i = 0; i < n; i++) {
                double t = (i + 0.5 * (row % 2)) / (n - 1.0) * 2 - 1;
                double x = t * 1.05;
                double y = -1 + share * (join - dials.get("arch") * (1 - x * x) + 1) * 0.97;
                double lean = t * 0.9 + (random.nextDouble() - 0.5) * 0.25;
                double length = 0.2 + 0.05 * random.nextDouble();
                tufts.add(blade(at(x - length * 0.5 * Math.sin(lean), y + length * 0.5 * Math.cos(lean) - 0.04),
                        at(x + length * 0.6 * Math.sin(lean), y - length * 0.6 * Math.cos(lean)), 0.05, 0.4));
            }
            d.fill("tufts of row " + (row + 1), row % 2 == 0 ? "tufts" : "tips", Shapes.union(tufts), 0, false);
        }
        d.fill("face zone", "face", area(zone), 0.5, true);
        double y = join + 0.22;
        for (int side = -1; side <= 1; side += 2) {
            String which = side < 0 ? "left" : "right";
            d.fill(which + " eye", "light", disc(side * 0.27, y, 0.15), 0.4, true);
            d.fill(which + " pupil", "dark", disc(side * 0.27, y + 0.02, 0.095), 0.2, false);
            d.fill(which + " cheek", "cheek", oval(side * 0.5, y + 0.2, 0.11, 0.075, 0), 0, false);
        }
        d.line("mouth", "dark", smile(0, y + 0.2, 0.2, 0.1), 0.8);
        d.light("glints", "light",
                Drawing.FACTORY.buildGeometry(List.of(disc(-0.305, y - 0.02, 0.032), disc(0.235, y - 0.02, 0.032))).union());
    }
}
