package mosspebble.core.proof;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.BitSet;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.stream.IntStream;
import mosspebble.core.area.Shapes;
import mosspebble.core.coats.Film;
import mosspebble.core.coats.Sheen;
import mosspebble.core.colour.Lab;
import mosspebble.core.proof.ProofFinding.Kind;
import mosspebble.core.sketch.Role;
import mosspebble.core.units.Facts;
import mosspebble.core.units.LinearSystem;
import mosspebble.core.units.Parallel;
import org.locationtech.jts.geom.Geometry;

/**
 * The colours of the painted parts in a photo against those of their mixes, and the places where paint is missing or lies beside its part.
 * The shade of the dome is taken out by what all the face has in common: in lightness, the logarithm of seen over planned is fitted by the
 * lean of the surface.
 */
final class Colours {

    /** How far a photo's colour may be off, CIEDE2000 (common practice, no source: a phone under room light, white taken from a card). */
    static final double PHOTO_OFF = 4;

    /** A difference a painter would mend, CIEDE2000 (common practice, no source). */
    static final double MINDED = 9;

    /** Colours must differ by so much for it to be told which of them is seen, CIE76. */
    private static final double TOLD_APART = 16;

    private static final double SHARP_MM = 0.3;
    private static final double INWARD_MM = 0.7;
    private static final double LEAST_MM2 = 5;
    private static final double PATCH_MM2 = 2.5;
    private static final double SURELY = 0.85;
    private static final double HOLE_MM2 = 5;
    private static final double BLED_MM2 = 6;
    private static final double BALD_SHARE = 0.02;
    private static final double BLED_FROM_MM = 1;
    private static final double BLED_TO_MM = 2.5;
    private static final double NEARBY_MM = 0.65;

    /** A patch beside a part must be so many times what bare stone shows far from all paint, or it may be grain, which comes again. */
    private static final double GRAIN_TIMES = 1.25;
    private static final int GRAIN_AGAIN = 3;

    /** What looks different with every turn cannot be judged in one photo. */
    private static final Set<Sheen> PLAYS = Set.of(Sheen.METAL, Sheen.GLITTER, Sheen.SHIFT, Sheen.CHROME, Sheen.LEAF, Sheen.GEM);

    private final Planned planned;
    private final Field seen;
    private final List<Laid> laid;
    private final Map<Integer, BitSet> others = new ConcurrentHashMap<>();
    private final int[] bare;
    private final List<Told> told;

    /** What is told of one part. */
    private record Told(List<Tone> tones, List<ProofFinding> findings) {}

    Colours(Planned planned, Field photo, List<Laid> laid) {
        this.planned = planned;
        this.laid = laid;
        this.seen = photo.blurred(SHARP_MM);
        takeOutShade();
        this.bare = farFromPaint();
        this.told = Parallel.range(0, planned.parts.size()).filter(p -> planned.parts.get(p).part().role() == Role.FILL)
                .mapToObj(part -> {
                    Told of = new Told(new ArrayList<>(), new ArrayList<>());
                    part(part, of);
                    return of;
                }).toList();
    }

    List<Tone> tones() {
        return told.stream().flatMap(t -> t.tones.stream()).toList();
    }

    List<ProofFinding> findings() {
        return told.stream().flatMap(t -> t.findings.stream()).toList();
    }

    private Lab plannedAt(int cell) {
        return planned.films.table().film(planned.films.at(cell)).lab();
    }

    /** Log of seen over planned, (L* + 16), by nx, ny and 1 - nz; the constant stays, it is what the photo says of the whole. */
    private void takeOutShade() {
        double[] normal = new double[3];
        List<double[]> rows = new ArrayList<>();
        for (int cell = 0; cell < planned.grid.cells(); cell += 17) {
            if (seen.known[cell] > 0) {
                planned.plan.survey().dome().normalAt(planned.grid.x(cell % planned.grid.columns()),
                        planned.grid.y(cell / planned.grid.columns()), normal);
                double ratio = Math.log((Math.max(0, seen.value[0][cell]) + 16) / (plannedAt(cell).l() + 16));
                rows.add(new double[] {1, normal[0], normal[1], 1 - normal[2], ratio});
            }
        }
        double[] fit = {0, 0, 0, 0};
        double tolerance = Double.MAX_VALUE;
        for (int turn = 0; turn < 6; turn++) {
            double[][] equations = new double[4][5];
            for (double[] row : rows) {
                if (Math.abs(row[4] - fit[0] - fit[1] * row[1] - fit[2] * row[2] - fit[3] * row[3]) < tolerance) {
                    for (int a = 0; a < 4; a++) {
                        for (int b = 0; b < 4; b++) {
                            equations[a][b] += row[a] * row[b];
                        }
                        equations[a][4] += row[a] * row[4];
                    }
                }
            }
            for (int a = 1; a < 4; a++) {
                equations[a][a] += 1e-3 * rows.size();
            }
            double[] found = LinearSystem.solve(equations).orElse(null);
            if (found == null) {
                return;
            }
            fit = found;
            double[] now = fit;
            double[] rests = rows.stream().mapToDouble(r -> Math.abs(r[4] - now[0] - now[1] * r[1] - now[2] * r[2] - now[3] * r[3]))
                    .sorted()
                    .toArray();
            tolerance = rests.length == 0 ? 1 : Math.max(0.02, 2.5 * rests[rests.length / 2] / 0.6745);
        }
        for (int cell = 0; cell < planned.grid.cells(); cell++) {
            if (seen.known[cell] > 0) {
                planned.plan.survey().dome().normalAt(planned.grid.x(cell % planned.grid.columns()),
                        planned.grid.y(cell / planned.grid.columns()), normal);
                double times = Math.exp(-fit[1] * normal[0] - fit[2] * normal[1] - fit[3] * (1 - normal[2]));
                seen.value[0][cell] = (float) ((seen.value[0][cell] + 16) * times - 16);
                seen.value[1][cell] *= (float) times;
                seen.value[2][cell] *= (float) times;
            }
        }
    }

    /** How a part lies: by itself if that is told well, else as its thing does; empty where not even that is. */
    private Optional<Fit> fitOf(int part) {
        int item = planned.itemOf(part);
        Optional<Laid> thing = laid.stream().filter(l -> l.part() < 0 && l.item() == item && l.isTelling(planned)).findFirst();
        return thing.map(t -> laid.stream().filter(l -> l.part() == part && l.isTelling(planned)).findFirst().orElse(t)).map(Laid::fit);
    }

    private void part(int part, Told told) {
        Geometry visible = planned.seen(part);
        Optional<Fit> lies = fitOf(part);
        if (lies.isEmpty()) {
            return;
        }
        Fit fit = lies.get();
        BitSet front = otherThings(planned.itemOf(part), true);
        int[] cells = Arrays.stream(planned.cells(Shapes.grown(visible, -INWARD_MM))).filter(c -> !planned.isCovered(c, fit, front))
                .toArray();
        double square = planned.grid.cellMm() * planned.grid.cellMm();
        if (cells.length * square < LEAST_MM2) {
            return;
        }
        int film = usual(cells);
        Film top = planned.films.table().film(film);
        if (top.isBare() || PLAYS.contains(top.coat().get().sheen())) {
            return;
        }
        Lab wanted = median(cells, null, false);
        Lab there = median(cells, fit, true);
        int middle = cells[cells.length / 2];
        double x = planned.grid.x(middle % planned.grid.columns());
        double y = planned.grid.y(middle / planned.grid.columns());
        String id = planned.parts.get(part).part().id();
        Tone tone = new Tone(id, fit.toX(x, y), fit.toY(x, y), wanted, there);
        told.tones.add(tone);
        List<int[]> bald = bald(cells, fit);
        double mm2 = bald.stream().mapToInt(b -> b.length).sum() * square;
        // another paint, not a lack of it
        boolean another = tone.difference() > MINDED && lower(film).stream().noneMatch(l -> distance(there, l) < TOLD_APART);
        if (!another && (!bald.isEmpty() && bald.get(0).length * square > HOLE_MM2
                || mm2 > HOLE_MM2 && mm2 > BALD_SHARE * cells.length * square)) {
            told.findings.add(at(Kind.BALD, part, bald.get(0), fit, Facts.of("mm2", mm2).and("places", bald.size())));
        } else if (tone.difference() > MINDED) {
            told.findings
                    .add(new ProofFinding(Kind.COLOUR, Optional.of(new ProofFinding.Place(tone.x(), tone.y())), item(part), Optional.of(id),
                            Facts.of("difference", tone.difference()).and("lighter", there.l() - wanted.l())
                                    .and("chroma", there.chroma() - wanted.chroma()).and("off", PHOTO_OFF)));
        }
        bled(part, fit, wanted).ifPresent(told.findings::add);
    }

    /** Where other things lie: those in front, which may cover this one, or all. */
    private BitSet otherThings(int item, boolean inFront) {
        return others.computeIfAbsent(inFront ? item : -1 - item, key -> planned.covered(Shapes.union(laid.stream()
                .filter(l -> l.part() < 0 && (inFront ? l.item() > item : l.item() != item)).map(l -> l.stray(planned).lies()).toList())));
    }

    private Optional<String> item(int part) {
        int item = planned.itemOf(part);
        return item < 0 ? Optional.empty() : Optional.of(planned.items.get(item).item().id());
    }

    private int usual(int[] cells) {
        int[] films = Arrays.stream(cells).map(planned.films::at).sorted().toArray();
        return films[films.length / 2];
    }

    /** All that lies below the top of a film, down to the stone, and can be told from it. */
    private List<Lab> lower(int number) {
        List<Lab> found = new ArrayList<>();
        Film film = planned.films.table().film(number);
        Lab top = film.lab();
        while (!film.isBare()) {
            film = planned.films.table().film(film.below());
            if (distance(film.lab(), top) > TOLD_APART) {
                found.add(film.lab());
            }
        }
        return found;
    }

    private Lab median(int[] cells, Fit fit, boolean photo) {
        double[][] values = new double[3][cells.length];
        double[] at = new double[3];
        int count = 0;
        for (int cell : cells) {
            if (photo) {
                double x = planned.grid.x(cell % planned.grid.columns());
                double y = planned.grid.y(cell / planned.grid.columns());
                if (!seen.sample(fit.toX(x, y), fit.toY(x, y), at)) {
                    continue;
                }
            } else {
                Lab lab = plannedAt(cell);
                at[0] = lab.l();
                at[1] = lab.a();
                at[2] = lab.b();
            }
            for (int k = 0; k < 3; k++) {
                values[k][count] = at[k];
            }
            count++;
        }
        double[] middle = new double[3];
        for (int k = 0; k < 3; k++) {
            double[] sorted = Arrays.copyOf(values[k], count);
            Arrays.sort(sorted);
            middle[k] = count == 0 ? 0 : sorted[count / 2];
        }
        return new Lab(middle[0], middle[1], middle[2]);
    }

    private static double distance(Lab a, Lab b) {
        return Math.sqrt(Math.pow(a.l() - b.l(), 2) + Math.pow(a.a() - b.a(), 2) + Math.pow(a.b() - b.b(), 2));
    }

    /** Connected cells in which what lies below is seen rather than the paint, the largest first; small ones are grain. */
    private List<int[]> bald(int[] cells, Fit fit) {
        boolean[] marked = new boolean[planned.grid.cells()];
        Map<Integer, List<Lab>> lower = new HashMap<>();
        double[] at = new double[3];
        for (int cell : cells) {
            double x = planned.grid.x(cell % planned.grid.columns());
            double y = planned.grid.y(cell / planned.grid.columns());
            int film = planned.films.at(cell);
            if (planned.films.table().film(film).isBare() || !seen.sample(fit.toX(x, y), fit.toY(x, y), at)) {
                continue;
            }
            Lab there = new Lab(at[0], at[1], at[2]);
            double off = distance(there, plannedAt(cell));
            marked[cell] = lower.computeIfAbsent(film, this::lower).stream().anyMatch(l -> distance(there, l) < SURELY * off);
        }
        return connected(marked, cells);
    }

    /** Whether a colour is more than half way from one to another. */
    private static boolean nearer(double[] colour, Lab to, Lab from) {
        double dl = to.l() - from.l();
        double da = to.a() - from.a();
        double db = to.b() - from.b();
        double along = (colour[0] - from.l()) * dl + (colour[1] - from.a()) * da + (colour[2] - from.b()) * db;
        return along > 0.5 * (dl * dl + da * da + db * db);
    }

    private List<int[]> connected(boolean[] all, int[] cells) {
        boolean[] marked = solid(all, cells);
        int columns = planned.grid.columns();
        double square = planned.grid.cellMm() * planned.grid.cellMm();
        List<int[]> found = new ArrayList<>();
        for (int start : cells) {
            if (!marked[start]) {
                continue;
            }
            int[] queue = new int[cells.length];
            int end = 0;
            queue[end++] = start;
            marked[start] = false;
            for (int next = 0; next < end; next++) {
                for (int way : new int[] {-1, 1, -columns, columns}) {
                    int cell = queue[next] + way;
                    if (cell >= 0 && cell < marked.length && marked[cell]) {
                        marked[cell] = false;
                        queue[end++] = cell;
                    }
                }
            }
            if (end * square > 0.8) {
                found.add(Arrays.copyOf(queue, end));
            }
        }
        found.sort((a, b) -> Integer.compare(b.length, a.length));
        return found;
    }

    /** Marked cells whose neighbours two cells away are marked too, and those within two cells of them: what is thinner is an edge. */
    private boolean[] solid(boolean[] marked, int[] cells) {
        int columns = planned.grid.columns();
        boolean[] result = new boolean[marked.length];
        for (int cell : cells) {
            boolean whole = marked[cell] && cell >= 2 * columns + 2 && cell < marked.length - 2 * columns - 2;
            for (int way : new int[] {1, 2, columns, 2 * columns, columns + 1, columns - 1}) {
                whole = whole && marked[cell + way] && marked[cell - way];
            }
            if (whole) {
                for (int dr = -2; dr <= 2; dr++) {
                    for (int dc = -2; dc <= 2; dc++) {
                        result[cell + dr * columns + dc] |= marked[cell + dr * columns + dc];
                    }
                }
            }
        }
        return result;
    }

    /** Paint of a part that lies beside it, where something else should be seen and nothing planned nearby looks like it. */
    private Optional<ProofFinding> bled(int part, Fit fit, Lab own) {
        Geometry visible = planned.seen(part);
        BitSet other = otherThings(planned.itemOf(part), false);
        int[] cells = planned.cells(Shapes.minus(Shapes.grown(visible, BLED_TO_MM), Shapes.grown(visible, BLED_FROM_MM)));
        int[] beside = Arrays.stream(cells).filter(c -> !planned.isCovered(c, fit, other) && !looksLike(c, own)).toArray();
        double square = planned.grid.cellMm() * planned.grid.cellMm();
        List<int[]> patches = patches(beside, fit, own);
        if (!patches.isEmpty()) {
            double grain = GRAIN_TIMES * patches(bare, Fit.none(0, 0), own).stream().skip(GRAIN_AGAIN - 1).mapToInt(b -> b.length)
                    .findFirst().orElse(0);
            patches.removeIf(b -> planned.films.table().film(planned.films.at(b[b.length / 2])).isBare() && b.length <= grain);
        }
        double mm2 = patches.stream().mapToInt(b -> b.length).sum() * square;
        return mm2 > BLED_MM2 && patches.get(0).length * square > PATCH_MM2
                ? Optional.of(at(Kind.BLED, part, patches.get(0), fit, Facts.of("mm2", mm2).and("places", patches.size())))
                : Optional.empty();
    }

    /** Where a colour is seen and another was planned, the largest first. */
    private List<int[]> patches(int[] cells, Fit fit, Lab own) {
        boolean[] marked = new boolean[planned.grid.cells()];
        double[] at = new double[3];
        for (int cell : cells) {
            Lab wanted = plannedAt(cell);
            double x = planned.grid.x(cell % planned.grid.columns());
            double y = planned.grid.y(cell / planned.grid.columns());
            if (distance(wanted, own) > TOLD_APART && seen.sample(fit.toX(x, y), fit.toY(x, y), at)) {
                marked[cell] = nearer(at, own, wanted) && distance(new Lab(at[0], at[1], at[2]), own) < 0.5 * distance(wanted, own);
            }
        }
        return connected(marked, cells);
    }

    /** Cells of the bare stone that lie far from all paint, even from what has run. */
    private int[] farFromPaint() {
        BitSet painted = planned
                .covered(Shapes.grown(Shapes.union(IntStream.range(0, planned.parts.size()).mapToObj(planned::seen).toList()),
                        BLED_TO_MM));
        return IntStream.range(0, planned.grid.cells()).filter(c -> planned.judged[c] > 0 && !painted.get(c)
                && planned.films.table().film(planned.films.at(c)).isBare()).toArray();
    }

    /** Whether anything planned within a line's width looks like a colour. */
    private boolean looksLike(int cell, Lab colour) {
        int reach = (int) Math.round(NEARBY_MM / planned.grid.cellMm());
        int columns = planned.grid.columns();
        for (int dr = -reach; dr <= reach; dr++) {
            for (int dc = -reach; dc <= reach; dc++) {
                int near = cell + dr * columns + dc;
                if (near >= 0 && near < planned.grid.cells() && dr * dr + dc * dc <= reach * reach
                        && distance(plannedAt(near), colour) < TOLD_APART) {
                    return true;
                }
            }
        }
        return false;
    }

    private ProofFinding at(Kind kind, int part, int[] patch, Fit fit, Facts facts) {
        int cell = patch[patch.length / 2];
        double x = planned.grid.x(cell % planned.grid.columns());
        double y = planned.grid.y(cell / planned.grid.columns());
        return new ProofFinding(kind, Optional.of(new ProofFinding.Place(fit.toX(x, y), fit.toY(x, y))), item(part),
                Optional.of(planned.parts.get(part).part().id()), facts);
    }
}
