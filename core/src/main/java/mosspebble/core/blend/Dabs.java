package mosspebble.core.blend;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.SplittableRandom;
import java.util.function.ToDoubleFunction;
import mosspebble.core.area.Shapes;
import org.locationtech.jts.algorithm.locate.IndexedPointInAreaLocator;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Envelope;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;
import org.locationtech.jts.geom.Location;
import org.locationtech.jts.geom.Polygon;
import org.locationtech.jts.triangulate.VoronoiDiagramBuilder;

/** Marks of a tool scattered over an area, none over another: sponge dabs, facets, dry streaks. The same seed gives the same marks. */
final class Dabs {

    private static final GeometryFactory FACTORY = new GeometryFactory();

    /** Marks at most; the tool grows where there would be more. */
    private static final int MOST = 2400;

    /** Clouds of sponge dabs are so many dabs wide. */
    private static final double CLOUD = 4.5;

    /** How much likelier a dab is in the thick of a cloud: the chance is taken to this power, or its inverse. */
    private static final double CONTRAST = 5;

    private final Geometry area;
    private final IndexedPointInAreaLocator inside;
    private final SplittableRandom random;

    Dabs(Geometry area, long seed) {
        this.area = area;
        this.inside = new IndexedPointInAreaLocator(area);
        this.random = new SplittableRandom(seed);
    }

    private boolean holds(Coordinate c) {
        return inside.locate(c) != Location.EXTERIOR;
    }

    private double pitch(double wanted) {
        Envelope box = area.getEnvelopeInternal();
        return Math.max(wanted, Math.sqrt(Math.max(1, box.getArea()) / MOST));
    }

    /**
     * Rounded dabs on a shaken grid, in clouds: a sponge sets many where it is pressed and few beside that, and is pressed elsewhere for
     * another colour.
     *
     * @param kinds how many tools take turns
     * @param share of the cells that get a dab, by place, in the middle of clouds and gaps
     * @return the dabs of each tool
     */
    List<Geometry> sponge(double pitchMm, int kinds, ToDoubleFunction<Coordinate> share) {
        List<List<Polygon>> dabs = new ArrayList<>();
        double pitch = pitch(pitchMm);
        Envelope box = area.getEnvelopeInternal();
        List<Cloud> clouds = new ArrayList<>();
        for (int k = 0; k < kinds; k++) {
            dabs.add(new ArrayList<>());
            clouds.add(new Cloud(box, CLOUD * pitch, random));
        }
        for (double y = box.getMinY(); y < box.getMaxY(); y += pitch) {
            for (double x = box.getMinX() - pitch * random.nextDouble(); x < box.getMaxX(); x += pitch) {
                double wide = random.nextDouble();
                int kind = 0;
                double thick = 0;
                for (int k = 0; k < kinds; k++) {
                    double here = clouds.get(k).at(x, y) + 0.3 * random.nextDouble() - 0.15;
                    if (k == 0 || here > thick) {
                        kind = k;
                        thick = here;
                    }
                }
                double size = pitch * Math.min(0.49, (0.16 + 0.30 * wide) * (0.8 + 0.5 * thick));
                double play = pitch - 2 * size;
                Coordinate middle = new Coordinate(x + size + play * random.nextDouble(), y + size + play * random.nextDouble());
                double chance = Math.pow(share.applyAsDouble(middle), Math.pow(CONTRAST, 1 - 2 * thick));
                boolean set = random.nextDouble() < chance;
                Polygon dab = blob(middle, size * 0.99);
                if (set && holds(middle) && Arrays.stream(dab.getCoordinates()).allMatch(this::holds)) {
                    dabs.get(kind).add(dab);
                }
            }
        }
        return dabs.stream().map(Dabs::together).toList();
    }

    /** How thick it is pressed by place, 0 to 1: chance at the knots of a grid, smooth between them. */
    private static final class Cloud {
        private final double left;
        private final double top;
        private final double pitch;
        private final double[][] knots;

        Cloud(Envelope box, double pitch, SplittableRandom random) {
            this.left = box.getMinX() - pitch;
            this.top = box.getMinY() - pitch;
            this.pitch = pitch;
            this.knots = new double[(int) (box.getHeight() / pitch) + 4][(int) (box.getWidth() / pitch) + 4];
            for (double[] row : knots) {
                Arrays.setAll(row, c -> random.nextDouble());
            }
        }

        double at(double x, double y) {
            double u = Math.max(0, Math.min(knots[0].length - 2, (x - left) / pitch));
            double v = Math.max(0, Math.min(knots.length - 2, (y - top) / pitch));
            int c = (int) u;
            int r = (int) v;
            double across = eased(u - c);
            double down = eased(v - r);
            double above = knots[r][c] + (knots[r][c + 1] - knots[r][c]) * across;
            double below = knots[r + 1][c] + (knots[r + 1][c + 1] - knots[r + 1][c]) * across;
            return above + (below - above) * down;
        }

        private static double eased(double t) {
            return t * t * (3 - 2 * t);
        }
    }

    private Polygon blob(Coordinate middle, double radius) {
        int corners = 8;
        Coordinate[] ring = new Coordinate[corners + 1];
        double turn = random.nextDouble() * Math.PI;
        for (int i = 0; i < corners; i++) {
            double r = radius * (0.7 + 0.3 * random.nextDouble());
            double angle = turn + 2 * Math.PI * i / corners;
            ring[i] = new Coordinate(middle.x + r * Math.cos(angle), middle.y + r * Math.sin(angle));
        }
        ring[corners] = ring[0].copy();
        return FACTORY.createPolygon(ring);
    }

    /** Facets: the triangles of a shaken grid, each a little smaller than its place. */
    List<Geometry> facets(double pitchMm, int kinds, double share) {
        List<List<Polygon>> facets = new ArrayList<>();
        for (int k = 0; k < kinds; k++) {
            facets.add(new ArrayList<>());
        }
        double pitch = pitch(pitchMm * 1.4);
        Envelope box = area.getEnvelopeInternal();
        int columns = (int) Math.ceil(box.getWidth() / pitch) + 2;
        int rows = (int) Math.ceil(box.getHeight() / pitch) + 2;
        Coordinate[][] knots = new Coordinate[rows][columns];
        for (int r = 0; r < rows; r++) {
            for (int c = 0; c < columns; c++) {
                knots[r][c] = new Coordinate(box.getMinX() + (c - 0.5 + 0.6 * (random.nextDouble() - 0.5)) * pitch,
                        box.getMinY() + (r - 0.5 + 0.6 * (random.nextDouble() - 0.5)) * pitch);
            }
        }
        for (int r = 0; r + 1 < rows; r++) {
            for (int c = 0; c + 1 < columns; c++) {
                boolean falling = random.nextBoolean();
                Coordinate[][] halves = falling
                        ? new Coordinate[][] {{knots[r][c], knots[r][c + 1], knots[r + 1][c + 1]},
                            {knots[r][c], knots[r + 1][c + 1], knots[r + 1][c]}}
                        : new Coordinate[][] {{knots[r][c], knots[r][c + 1], knots[r + 1][c]},
                            {knots[r][c + 1], knots[r + 1][c + 1], knots[r + 1][c]}};
                for (Coordinate[] half : halves) {
                    int kind = random.nextInt(kinds);
                    boolean set = random.nextDouble() < share;
                    if (set && holds(half[0]) && holds(half[1]) && holds(half[2])) {
                        facets.get(kind).add(shrunk(half));
                    }
                }
            }
        }
        return facets.stream().map(Dabs::together).toList();
    }

    private static Polygon shrunk(Coordinate[] corners) {
        double mx = (corners[0].x + corners[1].x + corners[2].x) / 3;
        double my = (corners[0].y + corners[1].y + corners[2].y) / 3;
        Coordinate[] ring = new Coordinate[4];
        for (int i = 0; i < 4; i++) {
            Coordinate c = corners[i % 3];
            ring[i] = new Coordinate(mx + 0.88 * (c.x - mx), my + 0.88 * (c.y - my));
        }
        return FACTORY.createPolygon(ring);
    }

    /** Long thin marks in lanes along a direction, thick at their start. */
    Geometry streaks(double angle, double laneMm, double share) {
        double ax = Math.sin(Math.toRadians(angle));
        double ay = -Math.cos(Math.toRadians(angle));
        double lane = pitch(2.2) * laneMm / 2.2;
        Envelope box = area.getEnvelopeInternal();
        double reach = Math.hypot(box.getWidth(), box.getHeight()) / 2;
        Coordinate middle = box.centre();
        List<Polygon> streaks = new ArrayList<>();
        for (double across = -reach; across < reach; across += lane) {
            double along = -reach - random.nextDouble() * 6 * lane;
            while (along < reach) {
                double length = lane * (4 + 10 * random.nextDouble());
                double wide = lane * (0.25 + 0.4 * random.nextDouble()) / 2;
                boolean set = random.nextDouble() < share;
                Coordinate[] ring = {at(middle, ax, ay, along, across - wide * 0.7),
                    at(middle, ax, ay, along + 0.2 * length, across - wide), at(middle, ax, ay, along + length, across),
                    at(middle, ax, ay, along + 0.3 * length, across + wide), at(middle, ax, ay, along, across + wide * 0.7), null};
                ring[5] = ring[0].copy();
                boolean whole = true;
                for (Coordinate c : ring) {
                    whole &= holds(c);
                }
                if (set && whole) {
                    streaks.add(FACTORY.createPolygon(ring));
                }
                along += length * 1.08;
            }
        }
        return together(streaks);
    }

    /**
     * Short strokes of a brush that is set down and lifted again, in lanes along a direction, each a little askew.
     *
     * @param wideMm of a stroke
     * @param kinds how many colours take turns at random
     * @param share of the places that get a stroke
     * @return the strokes of each colour
     */
    List<Geometry> strokes(double angle, double wideMm, int kinds, double share) {
        List<List<Polygon>> strokes = new ArrayList<>();
        for (int k = 0; k < kinds; k++) {
            strokes.add(new ArrayList<>());
        }
        double ax = Math.sin(Math.toRadians(angle));
        double ay = -Math.cos(Math.toRadians(angle));
        double lane = pitch(2 * wideMm) * 0.75;
        Envelope box = area.getEnvelopeInternal();
        double reach = Math.hypot(box.getWidth(), box.getHeight()) / 2;
        for (double across = -reach; across < reach; across += lane) {
            double along = -reach - random.nextDouble() * 4 * lane;
            while (along < reach) {
                double length = lane * (2.4 + 1.6 * random.nextDouble());
                double wide = lane * (0.5 + 0.2 * random.nextDouble()) / 2;
                double askew = lane * 0.24 * (random.nextDouble() - 0.5);
                int kind = random.nextInt(kinds);
                boolean set = random.nextDouble() < share;
                Polygon stroke = FACTORY.createPolygon(new Coordinate[] {at(box.centre(), ax, ay, along, across - askew),
                    at(box.centre(), ax, ay, along + 0.15 * length, across - askew - wide),
                    at(box.centre(), ax, ay, along + 0.7 * length, across + askew - wide),
                    at(box.centre(), ax, ay, along + length, across + askew),
                    at(box.centre(), ax, ay, along + 0.7 * length, across + askew + wide),
                    at(box.centre(), ax, ay, along + 0.15 * length, across - askew + wide),
                    at(box.centre(), ax, ay, along, across - askew)});
                if (set && Arrays.stream(stroke.getCoordinates()).allMatch(this::holds)) {
                    strokes.get(kind).add(stroke);
                }
                along += length * 1.12;
            }
        }
        return strokes.stream().map(Dabs::together).toList();
    }

    /**
     * The whole area in uneven patches, each nearest to one of its shaken middles.
     *
     * @param pitchMm from middle to middle
     * @param kinds how many colours; each has its share, none twice in a row
     * @return the patches of each colour; together they are the area
     */
    List<Geometry> patches(double pitchMm, int kinds) {
        Geometry cells = cells(pitchMm);
        List<List<Geometry>> patches = new ArrayList<>();
        for (int k = 0; k < kinds; k++) {
            patches.add(new ArrayList<>());
        }
        int kind = random.nextInt(kinds);
        for (int i = 0; i < cells.getNumGeometries(); i++) {
            Geometry cell = Shapes.common(cells.getGeometryN(i), area);
            if (!cell.isEmpty()) {
                patches.get(kind).add(cell);
                kind = (kind + 1 + (kinds > 2 ? random.nextInt(kinds - 1) : 0)) % kinds;
            }
        }
        return patches.stream().map(Shapes::union).toList();
    }

    /** The flakes of a coat that tore: cells with cracks of a width between them. */
    Geometry flakes(double wantedMm, double crackMm) {
        double pitchMm = pitch(wantedMm);
        Geometry cells = cells(pitchMm);
        List<Geometry> flakes = new ArrayList<>();
        for (int i = 0; i < cells.getNumGeometries(); i++) {
            Geometry flake = Shapes.common(Shapes.grown(cells.getGeometryN(i), -crackMm / 2), area);
            if (flake.getArea() > crackMm * crackMm) {
                flakes.add(flake);
            }
        }
        return Shapes.union(flakes);
    }

    /** Cells round middles on a shaken grid, over the area and beyond. */
    private Geometry cells(double pitchMm) {
        Envelope box = area.getEnvelopeInternal();
        List<Coordinate> middles = new ArrayList<>();
        for (double y = box.getMinY() - pitchMm / 2; y < box.getMaxY() + pitchMm; y += pitchMm) {
            for (double x = box.getMinX() - pitchMm / 2; x < box.getMaxX() + pitchMm; x += pitchMm) {
                middles.add(
                        new Coordinate(x + pitchMm * 0.7 * (random.nextDouble() - 0.5), y + pitchMm * 0.7 * (random.nextDouble() - 0.5)));
            }
        }
        VoronoiDiagramBuilder builder = new VoronoiDiagramBuilder();
        builder.setSites(middles);
        Envelope clip = new Envelope(box);
        clip.expandBy(2 * pitchMm);
        builder.setClipEnvelope(clip);
        return builder.getDiagram(FACTORY);
    }

    private static Coordinate at(Coordinate middle, double ax, double ay, double along, double across) {
        return new Coordinate(middle.x + along * ax - across * ay, middle.y + along * ay + across * ax);
    }

    private static Geometry together(List<Polygon> marks) {
        return marks.isEmpty() ? Shapes.nothing() : FACTORY.createMultiPolygon(marks.toArray(new Polygon[0]));
    }
}
