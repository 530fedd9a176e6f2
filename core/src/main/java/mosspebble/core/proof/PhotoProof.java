package mosspebble.core.proof;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.BitSet;
import java.util.Comparator;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.function.BooleanSupplier;
import java.util.stream.IntStream;
import mosspebble.core.area.Grid;
import mosspebble.core.area.Shapes;
import mosspebble.core.photo.Photo;
import mosspebble.core.photo.PhotoReading;
import mosspebble.core.photo.PhotoStone;
import mosspebble.core.plan.PaintPlan;
import mosspebble.core.proof.ProofFinding.Kind;
import mosspebble.core.sketch.Role;
import mosspebble.core.sketch.Subject;
import mosspebble.core.stone.Survey;
import mosspebble.core.units.Facts;
import mosspebble.core.units.Parallel;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Envelope;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.operation.distance.DistanceOp;

/**
 * Holds a photo of the work against its plan. The stone is found by its outline, its face is laid flat, dome and perspective taken out,
 * and every planned thing is looked for where it should be and round it; what strayed by more than a painter minds, and more surely than
 * by the photo's own error, is said.
 */
public final class PhotoProof {

    /** What a painter minds: of words and of other things, degrees; mm and share of the size (common practice, no source). */
    static final double WORD_TURN = 1;
    static final double TURN = 2.5;
    static final double MOVE_MM = 1.2;
    static final double SIZE_MM = 0.7;
    static final double SIZE_SHARE = 0.04;
    static final double PART_MM = 0.6;
    static final double PART_SHARE = 0.1;
    /** A letter that left its line is seen sooner: by so much of its length (common practice, no source). */
    static final double LETTER_SHARE = 0.05;
    static final double EDGE_MM = 1.2;
    static final double EDGE_NEAR_MM = 4;

    /** So many deviations are sure enough, over the many things that are looked at. */
    static final double SURE = 3.5;

    /** From here a stone is too round to tell how far all of it is turned, radians. */
    private static final double ROUND = Math.toRadians(0.7);

    /** What an outline tells better than this of the turn needs no help, radians. */
    private static final double WELL_KNOWN = Math.toRadians(0.25);

    /** A stone turned by less lies as its outline tells, radians. */
    private static final double HARDLY = Math.toRadians(0.05);

    /** Turned by less, what was found need not be looked for anew, radians. */
    private static final double NEARLY = Math.toRadians(1.5);

    private static final double CELL_MM = 0.25;
    private static final double COARSE_CELL_MM = 0.8;
    private static final double SOFT_MM = 1.5;
    private static final int MOST_CELLS = 450_000;
    private static final int MOST_POSES = 100;
    private static final double LEAST_PART_MM2 = 7;
    private static final int MOST_PARTS = 60;
    private static final int LEAST_CELLS = 60;

    private static final double LEAST_PART_SEEN = 0.85;

    /** How far from its place a thing is looked for. */
    private static final Alignment.Range THING = new Alignment.Range(4.5, 9, true);

    /** Things among the lines of others are looked at so often anew; not those of which so much is left alone, nor so little. */
    private static final int AMONG_OTHERS = 2;
    private static final double STRAYED_MM = 0.5;
    private static final double UNDISTURBED = 0.98;
    private static final double LEAST_LEFT = 0.3;

    private final PaintPlan plan;
    private final Moment moment;
    private final Photo photo;
    private final PhotoReading reading;
    private final BooleanSupplier stopAsked;
    private final List<ProofFinding> findings = new ArrayList<>();

    private PhotoProof(PaintPlan plan, Moment moment, Photo photo, PhotoReading reading, BooleanSupplier stopAsked) {
        this.plan = plan;
        this.moment = moment;
        this.photo = photo;
        this.reading = reading;
        this.stopAsked = stopAsked;
    }

    /**
     * Compares what was read from a photo with the face of the plan that is up.
     *
     * @param stopAsked asked between things; if it says so, what was found until then is given
     */
    public static Proof of(PaintPlan plan, Moment moment, Photo photo, PhotoReading reading, BooleanSupplier stopAsked) {
        if (moment.steps() > plan.steps().size()) {
            throw new IllegalArgumentException("the plan has " + plan.steps().size() + " steps, not " + moment.steps());
        }
        return new PhotoProof(plan, moment, photo, reading, stopAsked).proof();
    }

    private record Found(Lying lying, PhotoStone stone) {}

    /** The face as it lies in the photo if the stone lies so, and what compares it. */
    private record Seen(Pose pose, Field field, Alignment alignment) {

        static Seen of(Planned planned, Flattened flattened, Pose pose) {
            Field field = on(planned, flattened, pose);
            return new Seen(pose, field, new Alignment(planned.field(), planned.compared(field)));
        }

        /** The same if the stone is turned further, radians. */
        Seen turned(Planned planned, Flattened flattened, double by) {
            Field other = on(planned, flattened, pose.turned(by));
            return new Seen(pose.turned(by), other, alignment.with(planned.compared(other)));
        }

        private static Field on(Planned planned, Flattened flattened, Pose pose) {
            return flattened.on(planned.grid, planned.judged, pose, 2);
        }
    }

    private Proof proof() {
        if (plan.design().isEmpty()) {
            findings.add(ProofFinding.whole(Kind.NO_DESIGN, Facts.none()));
            return new Proof(moment, Optional.empty(), List.of(), List.of(), findings);
        }
        if (reading.map().isEmpty() || reading.stones().isEmpty()) {
            return new Proof(moment, Optional.empty(), List.of(), List.of(), findings);
        }
        Survey survey = plan.survey();
        Flattened flattened = new Flattened(photo, reading.map().get(), reading.light().orElseThrow(), survey);
        Optional<Found> found = found(survey, flattened);
        if (found.isEmpty()) {
            findings.add(ProofFinding.whole(Kind.OTHER_STONE, Facts.of("stones", reading.stones().size())));
            return new Proof(moment, Optional.empty(), List.of(), List.of(), findings);
        }
        Envelope box = survey.zones().outline().getEnvelopeInternal();
        double cell = Math.max(CELL_MM, Math.sqrt(box.getArea() / MOST_CELLS));
        Planned planned = new Planned(plan, moment, grid(box, cell));
        Lying lying = found.get().lying();
        Seen seen = Seen.of(planned, flattened, lying.pose());
        List<Laid> things = things(planned, seen.alignment, lying);
        for (int again = 0; again < 2 && lying.turnOff() > ROUND; again++) {
            double common = common(planned, things, lying, seen).turn();
            seen = seen.turned(planned, flattened, common);
            things = Math.abs(common) < NEARLY ? things.stream().map(t -> t.from(common)).toList()
                    : things(planned, seen.alignment, lying);
        }
        if (moment.pencil()) {
            for (int again = 0; again < AMONG_OTHERS && !stopAsked.getAsBoolean(); again++) {
                things = amongOthers(planned, seen.alignment, things);
            }
        }
        if (lying.turnOff() > WELL_KNOWN) {
            CommonTurn common = common(planned, things, lying, seen);
            double turn = Math.abs(common.turn()) < HARDLY ? 0 : common.turn();
            seen = turn == 0 ? seen : seen.turned(planned, flattened, turn);
            things = things.stream().map(t -> t.from(turn).known(new Laid.Off(lying.placeOff(), common.off()))).toList();
        }
        if (lying.turnOff() > ROUND) {
            findings.add(ProofFinding.whole(Kind.ROUND, Facts.of("degrees", Math.min(180, Math.toDegrees(lying.turnOff())))));
        }
        List<Laid> all = new ArrayList<>();
        for (Laid thing : things) {
            all.add(thing);
            say(planned, thing);
            if (thing.isFound() && !stopAsked.getAsBoolean()
                    && hasParts(planned.items.get(thing.item()).item().subject())) {
                List<Laid> parts = parts(planned, seen.alignment, thing, inFront(planned, things, thing));
                boolean word = planned.items.get(thing.item()).item().subject() instanceof Subject.Word;
                parts.stream().filter(p -> p.isTelling(planned))
                        .forEach(p -> sayPart(p.stray(planned), word));
                all.addAll(parts);
            }
        }
        List<Tone> tones = List.of();
        if (!moment.pencil() && !stopAsked.getAsBoolean()) {
            Colours colours = new Colours(planned, seen.field, all);
            tones = colours.tones();
            findings.addAll(colours.findings());
            findings.addAll(new DotsSeen(planned, seen.field, all).findings());
        }
        List<Stray> strays = all.stream().map(l -> l.stray(planned)).toList();
        return new Proof(moment, Optional.of(flattened.face(planned.grid, seen.pose)), strays, tones, findings);
    }

    /** Figures have parts, words have letters. */
    private static boolean hasParts(Subject subject) {
        return subject instanceof Subject.Figure || subject instanceof Subject.Word;
    }

    private static Grid grid(Envelope box, double cell) {
        int columns = (int) Math.ceil(box.getWidth() / cell) + 4;
        int rows = (int) Math.ceil(box.getHeight() / cell) + 4;
        return new Grid(box.getMinX() - 2 * cell, box.getMinY() - 2 * cell, cell, columns, rows);
    }

    /** Which stone it is and how it lies: by outline, and where that leaves a choice by what is on it. */
    private Optional<Found> found(Survey survey, Flattened flattened) {
        List<Found> all = new ArrayList<>();
        for (PhotoStone stone : reading.stones()) {
            Lying.of(survey.stone(), stone).stream().limit(MOST_POSES).forEach(l -> all.add(new Found(l, stone)));
        }
        if (all.size() <= 1) {
            return all.stream().findFirst();
        }
        Planned coarse = new Planned(plan, moment, grid(survey.zones().outline().getEnvelopeInternal(),
                moment.pencil() ? COARSE_CELL_MM * 0.7 : COARSE_CELL_MM));
        Field planned = coarse.field().blurred(SOFT_MM);
        int[] cells = coarse.cells(survey.zones().outline());
        double independent = cells.length * coarse.grid.cellMm() * coarse.grid.cellMm() / (4 * Math.PI * SOFT_MM * SOFT_MM);
        return Parallel.of(all).max(Comparator.comparingDouble(f -> {
            Field seen = coarse.compared(flattened.on(coarse.grid, coarse.judged, f.lying().pose(), 1)).blurred(SOFT_MM);
            double alike = Math.max(0, Alignment.likeness(planned, seen, cells));
            return f.lying().likelihood() - independent / 2 * Math.log(1 - 0.99 * alike * alike);
        }));
    }

    // --- things and parts

    private static List<Laid> things(Planned planned, Alignment alignment, Lying lying) {
        return Parallel.range(0, planned.items.size()).mapToObj(item -> {
            int[] cells = planned.about(item);
            return cells.length < LEAST_CELLS ? null
                    : new Laid(item, -1, alignment.find(cells, Fit.none(0, 0), THING), new Laid.Off(lying.placeOff(), lying.turnOff()),
                            Fit.none(0, 0));
        }).filter(Objects::nonNull).toList();
    }

    /**
     * A thing drawn elsewhere lies among lines that its plan does not know, and next to one drawn elsewhere there are some too: where
     * others lie by now nothing is looked at. What does not lie so stays as it was found.
     */
    private static List<Laid> amongOthers(Planned planned, Alignment alignment, List<Laid> things) {
        List<Boolean> strayed = things.stream().map(t -> t.isFound() && strayed(planned, t)).toList();
        if (!strayed.contains(true)) {
            return things;
        }
        List<BitSet> lines = Parallel.of(things).map(t -> planned.covered(lies(t, planned.lines(t.item())))).toList();
        List<BitSet> areas = Parallel.of(things).map(t -> planned.covered(lies(t, planned.silhouette(t.item())))).toList();
        return Parallel.range(0, things.size()).mapToObj(k -> {
            Laid thing = things.get(k);
            BitSet others = new BitSet();
            for (int other = 0; other < things.size(); other++) {
                if (other != k && things.get(other).isFound() && (strayed.get(k) || strayed.get(other))) {
                    others.or((things.get(other).item() > thing.item() ? areas : lines).get(other));
                }
            }
            int[] about = planned.about(thing.item());
            int[] cells = Arrays.stream(about).filter(c -> !planned.isCovered(c, thing.fit(), others)).toArray();
            boolean disturbed = cells.length < about.length * UNDISTURBED
                    && cells.length >= Math.max(LEAST_CELLS, about.length * LEAST_LEFT);
            return !disturbed ? thing
                    : new Laid(thing.item(), -1, alignment.near(cells, thing.fit(), Fit.none(0, 0)), thing.off(), Fit.none(0, 0));
        }).toList();
    }

    /** Whether some of its lines lie elsewhere than planned. */
    private static boolean strayed(Planned planned, Laid thing) {
        Envelope box = planned.lines(thing.item()).getEnvelopeInternal();
        double[] xs = {box.getMinX(), box.getMaxX()};
        double[] ys = {box.getMinY(), box.getMaxY()};
        for (double x : xs) {
            for (double y : ys) {
                if (Math.hypot(thing.fit().toX(x, y) - x, thing.fit().toY(x, y) - y) > STRAYED_MM) {
                    return true;
                }
            }
        }
        return false;
    }

    private static Geometry lies(Laid thing, Geometry planned) {
        return thing.fit().transformation().transform(planned);
    }

    /** How far the stone is turned, against the pose in which things were found. A ring of dots looks the same in many turns. */
    private static CommonTurn common(Planned planned, List<Laid> things, Lying lying, Seen seen) {
        List<Fit> drawn = things.stream()
                .filter(t -> t.isFound() && !(planned.items.get(t.item()).item().subject() instanceof Subject.Dots)).map(Laid::fit)
                .toList();
        return CommonTurn.of(drawn, lying.pose().turn() - seen.pose.turn(), lying.turnOff());
    }

    /** What lies in front of a thing, where it lies. */
    private static Geometry inFront(Planned planned, List<Laid> things, Laid thing) {
        return Shapes.union(things.stream().filter(t -> t.item() > thing.item() && t.isFound()).map(t -> t.stray(planned).lies()).toList());
    }

    private static List<Laid> parts(Planned planned, Alignment alignment, Laid thing, Geometry front) {
        BitSet covered = planned.covered(front);
        List<Integer> own = IntStream.range(0, planned.parts.size())
                .filter(p -> planned.itemOf(p) == thing.item() && planned.parts.get(p).part().role() == Role.FILL
                        && planned.seen(p).getArea() >= LEAST_PART_MM2
                        && planned.seen(p).getArea() > LEAST_PART_SEEN * planned.parts.get(p).painted().getArea())
                .boxed().sorted(Comparator.comparingDouble(p -> -planned.parts.get(p).painted().getArea())).limit(MOST_PARTS).toList();
        return own.size() < 2 ? List.of() : Parallel.of(own).map(part -> {
            int[] cells = planned.aboutPart(part).filter(c -> !planned.isCovered(c, thing.fit(), covered)).toArray();
            return cells.length < LEAST_CELLS ? null
                    : new Laid(thing.item(), part, alignment.find(cells, thing.fit(), new Alignment.Range(Laid.PART_RANGE_MM, 0, false)),
                            Laid.PART, thing.fit());
        }).filter(Objects::nonNull).toList();
    }

    // --- what is said

    private void say(Planned planned, Laid thing) {
        Subject subject = planned.items.get(thing.item()).item().subject();
        Stray stray = thing.stray(planned);
        if (!stray.isFound()) {
            findings.add(finding(Kind.NOT_SEEN, stray, Facts.none()));
            return;
        }
        Stray.Amount by = stray.by();
        Stray.Amount off = stray.off();
        boolean word = subject instanceof Subject.Word;
        boolean ring = subject instanceof Subject.Dots;
        if (!ring && sure(by.turn(), off.turn(), word ? WORD_TURN : TURN)) {
            findings.add(finding(Kind.TURNED, stray, Facts.of("degrees", by.turn()).and("off", 2 * off.turn())
                    .and("climbs", word && by.turn() < 0).and("word", word)));
        }
        double place = Math.max(off.dx(), off.dy());
        if (sure(by.distance(), place, MOVE_MM)) {
            findings.add(finding(Kind.MOVED, stray, Facts.of("mm", by.distance()).and("right", by.dx()).and("down", by.dy())
                    .and("off", 2 * place)));
        }
        if (sure(by.mm(), off.mm(), Math.max(SIZE_MM, SIZE_SHARE * Laid.longest(stray.planned())))) {
            findings.add(finding(Kind.SIZED, stray,
                    Facts.of("mm", by.mm()).and("length", Laid.longest(stray.planned())).and("off", 2 * off.mm())));
        }
        nearEdge(planned, thing, stray, word);
    }

    private void nearEdge(Planned planned, Laid thing, Stray stray, boolean word) {
        Geometry edge = planned.plan.survey().zones().outline().getBoundary();
        double wanted = stray.planned().distance(edge);
        Geometry lies = stray.lies();
        boolean within = planned.plan.survey().zones().outline().contains(lies);
        double left = within ? lies.distance(edge) : 0;
        if (left < EDGE_NEAR_MM && sure(wanted - left, Math.max(stray.off().dx(), stray.off().dy()) + stray.off().mm() / 2, EDGE_MM)) {
            Coordinate at = DistanceOp.nearestPoints(lies, edge)[0];
            findings.add(new ProofFinding(Kind.NEAR_EDGE, Optional.of(new ProofFinding.Place(at.x, at.y)), Optional.of(stray.item()),
                    word ? nearest(planned, thing, edge) : Optional.empty(), Facts.of("left", left).and("planned", wanted)));
        }
    }

    /** The letter that comes nearest to the edge. */
    private static Optional<String> nearest(Planned planned, Laid thing, Geometry edge) {
        return IntStream.range(0, planned.parts.size()).filter(p -> planned.itemOf(p) == thing.item()).boxed()
                .min(Comparator.comparingDouble(p -> thing.fit().transformation().transform(planned.parts.get(p).painted()).distance(edge)))
                .map(p -> planned.parts.get(p).part().id());
    }

    private void sayPart(Stray stray, boolean letter) {
        double minded = letter ? LETTER_SHARE : PART_SHARE;
        double longest = Laid.longest(stray.planned());
        if (!letter && sure(stray.by().mm(), stray.off().mm(), Math.max(PART_MM, minded * longest))) {
            findings.add(finding(Kind.PART_SIZED, stray,
                    Facts.of("mm", stray.by().mm()).and("length", longest).and("off", 2 * stray.off().mm())));
        }
        double place = Math.max(stray.off().dx(), stray.off().dy());
        if (sure(stray.by().distance(), place, Math.max(PART_MM, minded * longest))) {
            findings.add(finding(Kind.PART_MOVED, stray, Facts.of("mm", stray.by().distance()).and("right", stray.by().dx())
                    .and("down", stray.by().dy()).and("off", 2 * place)));
        }
    }

    private static boolean sure(double value, double off, double minded) {
        return Math.abs(value) > minded && Math.abs(value) > SURE * off;
    }

    private static ProofFinding finding(Kind kind, Stray stray, Facts facts) {
        Coordinate at = stray.lies().getInteriorPoint().getCoordinate();
        return new ProofFinding(kind, Optional.of(new ProofFinding.Place(at.x, at.y)), Optional.of(stray.item()), stray.part(), facts);
    }
}
