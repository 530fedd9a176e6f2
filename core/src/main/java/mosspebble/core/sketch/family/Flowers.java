package mosspebble.core.sketch.family;

import static mosspebble.core.sketch.family.Drawing.area;
import static mosspebble.core.sketch.family.Drawing.at;
import static mosspebble.core.sketch.family.Drawing.blade;
import static mosspebble.core.sketch.family.Drawing.disc;
import static mosspebble.core.sketch.family.Drawing.lines;
import static mosspebble.core.sketch.family.Drawing.oval;
import static mosspebble.core.sketch.family.Drawing.path;
import static mosspebble.core.sketch.family.Drawing.polar;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import mosspebble.core.sketch.Family;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.util.AffineTransformation;

/** What goes round a centre. */
final class Flowers {

    private Flowers() {}

    static List<Family> list() {
        return List.of(
                new Made("rays", "Rays round a disc", Flowers::rays).number("count", "Rays", 5, 40, 16)
                        .dial("length", "Length", 0.3, 2.5, 0.9).dial("width", "Width", 0.3, 1, 0.8)
                        .number("ticks", "Inner ticks", 0, 5, 2).byHand(),
                new Made("petals", "Petals round a centre", Flowers::petals).number("count", "Petals", 3, 24, 8)
                        .dial("length", "Length", 0.6, 3, 1.7).dial("width", "Width", 0.3, 2, 0.9)
                        .degrees("tilt", "Seen from the side", 0, 70, 0).number("rows", "Rows", 1, 3, 1)
                        .number("veins", "Lines on a petal", 0, 5, 3).byHand(),
                new Made("overlap", "Overlapping petals", Flowers::overlapping).number("count", "Petals", 4, 12, 6)
                        .dial("length", "Length", 0.8, 3, 1.6).dial("width", "Width", 0.8, 2.4, 1.5)
                        .number("dots", "Dots in the centre", 0, 12, 6).byHand());
    }

    private static void rays(Drawing d, Made.Dials dials) {
        d.slot("disc", "Disc", "#f3c934").slot("rays", "Rays", "#e39a26").slot("ticks", "Ticks", "#7d3b1d");
        int n = dials.count("count");
        double length = dials.get("length");
        double half = 180.0 / n * dials.get("width");
        List<Geometry> ticks = new ArrayList<>();
        Sway sway = new Sway(dials);
        for (int i = 0; i < n; i++) {
            double angle = 360.0 * i / n - 90;
            Coordinate a = polar(angle - half, 1.03);
            Coordinate b = polar(angle + half, 1.03);
            Coordinate tip = polar(angle + 0.4 * sway.turn(i), 1 + length * (i % 2 == 0 ? 1 : 0.78) * sway.size(i));
            d.fill("ray " + (i + 1), "rays", area(List.of(a, tip, b, polar(angle, 0.97))), 0.2, true);
            for (int k = 0; k < dials.count("ticks"); k++) {
                double from = 1.12 + 0.08 * k;
                double spread = (k % 2 == 0 ? 1 : -1) * half * 0.22 * ((k + 1) / 2);
                ticks.add(path(List.of(polar(angle + spread, from), polar(angle + spread * 0.8, from + length * 0.28))));
            }
        }
        if (!ticks.isEmpty()) {
            d.line("inner ticks", "ticks", lines(ticks), 0.5);
        }
        d.fill("disc", "disc", disc(0, 0, 1), 0.8, true);
    }

    /**
     * A petal's place: its angle and how near it is to the viewer; petals at the back are shorter and narrower when the flower is tilted.
     */
    private static void petals(Drawing d, Made.Dials dials) {
        d.slot("petals", "Petals", "#c9707c").slot("inner", "Inner petals", "#e3a3a9").slot("veins", "Lines on the petals", "#8b3b4c")
                .slot("centre", "Centre", "#f3c934").slot("seeds", "Seeds", "#8a5a36");
        int rows = dials.count("rows");
        double squash = Math.cos(Math.toRadians(dials.get("tilt")));
        AffineTransformation tilt = AffineTransformation.scaleInstance(1, squash);
        Sway sway = new Sway(dials);
        for (int row = 0; row < rows; row++) {
            double length = dials.get("length") * Math.pow(0.72, row);
            int n = dials.count("count");
            List<Double> angles = new ArrayList<>();
            for (int i = 0; i < n; i++) {
                angles.add(360.0 * (i + 0.5 * (row % 2)) / n - 90);
            }
            angles.sort(Comparator.comparingDouble(a -> Math.sin(Math.toRadians(a)))); // the far ones first
            int number = 0;
            for (double even : angles) {
                number++;
                double angle = even + sway.turn(100 * row + number);
                double reach = length * sway.size(100 * row + number);
                Geometry petal = petal(angle, reach, dials.get("width") * (row == 0 ? 1 : 0.8));
                d.fill("petal " + (row == 0 ? "" : "of row " + (row + 1) + " no ") + number, row % 2 == 0 ? "petals" : "inner",
                        tilt.transform(petal), 0.5, true);
                if (row == rows - 1) {
                    List<Geometry> veins = new ArrayList<>();
                    int count = dials.count("veins");
                    for (int k = 0; k < count; k++) {
                        double off = (k - (count - 1) / 2.0) * 9;
                        veins.add(path(List.of(polar(angle + off * 0.8, 0.62),
                                polar(angle + off * 0.55, 0.5 + (reach + 0.4) * (k == count / 2 ? 0.62 : 0.48)))));
                    }
                    if (!veins.isEmpty()) {
                        d.line("lines on petal " + number, "veins", tilt.transform(lines(veins)), 0.3);
                    }
                }
            }
        }
        double lift = -0.22 * Math.sin(Math.toRadians(dials.get("tilt")));
        d.fill("centre", "centre", oval(0, lift, 0.5, 0.5 * (0.35 + 0.65 * squash), 0), 0.7, true);
        List<Geometry> seeds = new ArrayList<>();
        for (int i = 0; i < 14; i++) {
            Coordinate at = polar(i * 137.508, 0.38 * Math.sqrt((i + 0.5) / 14));
            seeds.add(disc(at.x, lift + at.y * (0.35 + 0.65 * squash), 0.028));
        }
        d.fill("seeds", "seeds", Drawing.FACTORY.buildGeometry(seeds).union(), 0, false);
    }

    private static Geometry petal(double angle, double reach, double width) {
        return blade(polar(angle, 0.3), polar(angle, 0.4 + reach), width, 0.6);
    }

    private static void overlapping(Drawing d, Made.Dials dials) {
        d.slot("petals", "Petals", "#8f86c9").slot("others", "Petals between", "#b5aee0").slot("veins", "Lines on the petals", "#4d4480")
                .slot("centre", "Centre", "#e39a26").slot("dots", "Dots", "#fbf0d8");
        int n = dials.count("count");
        Sway sway = new Sway(dials);
        for (int i = 0; i < n; i++) {
            double angle = 360.0 * i / n - 90 + 0.5 * sway.turn(i);
            double reach = dials.get("length") * sway.size(i);
            Coordinate foot = polar(angle, 0.2);
            Coordinate tip = polar(angle, 0.4 + reach);
            List<Coordinate> ring = new ArrayList<>(List.of(foot));
            double half = dials.get("width") / 2;
            double c = Math.cos(Math.toRadians(angle));
            double s = Math.sin(Math.toRadians(angle));
            ring.addAll(Drawing.curve(foot, at(c * 0.9 - s * half * 1.2, s * 0.9 + c * half * 1.2),
                    at(c * (reach + 0.4) - s * half * 1.1, s * (reach + 0.4) + c * half * 1.1), tip));
            List<Coordinate> back = Drawing.curve(tip, at(c * (reach + 0.4) + s * half * 1.1, s * (reach + 0.4) - c * half * 1.1),
                    at(c * 0.9 + s * half * 1.2, s * 0.9 - c * half * 1.2), foot);
            ring.addAll(back.subList(0, back.size() - 1));
            d.fill("petal " + (i + 1), i % 2 == 0 ? "petals" : "others", area(ring), 0.6, true);
            d.line("line on petal " + (i + 1), "veins",
                    lines(List.of(path(List.of(polar(angle, 0.6), polar(angle, 0.4 + reach * 0.62))),
                            path(List.of(polar(angle - 12, 0.62), polar(angle - 8, 0.4 + reach * 0.45))),
                            path(List.of(polar(angle + 12, 0.62), polar(angle + 8, 0.4 + reach * 0.45))))),
                    0.4);
        }
        d.fill("centre", "centre", disc(0, 0, 0.48), 0.7, true);
        List<Geometry> dots = new ArrayList<>();
        for (int i = 0; i < dials.count("dots"); i++) {
            Coordinate c = polar(360.0 * i / dials.count("dots"), 0.3);
            dots.add(disc(c.x, c.y, 0.055));
        }
        if (!dots.isEmpty()) {
            d.light("dots in the centre", "dots", Drawing.FACTORY.buildGeometry(dots).union());
        }
    }
}
