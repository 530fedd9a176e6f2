package mosspebble.core.advice;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import mosspebble.core.area.Shapes;
import mosspebble.core.colour.Paint;
import mosspebble.core.colour.PaintKind;
import mosspebble.core.colour.Shelf;
import mosspebble.core.sketch.Designs;
import mosspebble.core.sketch.LargestFit;
import mosspebble.core.sketch.Motif;
import mosspebble.core.sketch.MotifPart;
import mosspebble.core.sketch.Role;
import mosspebble.core.stone.Patch;
import mosspebble.core.stone.Survey;
import mosspebble.core.units.Facts;
import org.locationtech.jts.algorithm.construct.MaximumInscribedCircle;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Envelope;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;
import org.locationtech.jts.geom.Point;
import org.locationtech.jts.geom.util.AffineTransformation;

/**
 * How well a subject and a stone suit each other: proportions, smallest detail against the finest pen, symmetry, marks in the way.
 *
 * @param score 0 to 1
 */
public record Suitability(double score, List<Reason> reasons) {

    /** What speaks for it or against it. */
    public enum Sort {
        NO_ROOM,
        /** Share of the face that it fills: {@code share}. */
        FILLS,
        /** Its smallest part: {@code smallestMm}; what the finest pen needs: {@code neededMm}. */
        DETAIL,
        /** How much the outline is lopsided, as a share: {@code lopsided}; whether that counts as {@code even}. */
        EVENNESS,
        /** Holes and cracks in the way: {@code marks}. */
        MARKS
    }

    /** In a word. */
    public enum Verdict { MADE_FOR_IT, GOOD, WILL_DO, POOR }

    /**
     * One reason.
     *
     * @param facts what the words about it need
     */
    public record Reason(Sort sort, Facts facts) {}

    /** Shares of the score (common practice, no source): fill of the face, detail against pens, symmetry, marks. */
    private static final double[] SHARES = {0.45, 0.30, 0.10, 0.15};

    public Suitability {
        reasons = List.copyOf(reasons);
    }

    public static Suitability of(Motif motif, Survey survey, Shelf shelf) {
        Optional<LargestFit.Fit> fit = Designs.fit(motif, survey.zones(), 0, 0);
        if (fit.isEmpty()) {
            return new Suitability(0, List.of(new Reason(Sort.NO_ROOM, Facts.none())));
        }
        double scale = fit.get().placement().scale();
        List<Reason> reasons = new ArrayList<>();
        double fill = motif.sitting().convexHull().getArea() * scale * scale / survey.zones().face().getArea();
        reasons.add(new Reason(Sort.FILLS, Facts.of("share", fill)));

        double finest = shelf.that(PaintKind.Use.DRAWS).stream().map(Paint::tip).mapToDouble(t -> t.value()).filter(t -> t > 0).min()
                .orElse(0.5);
        double needed = 2 * finest + survey.stone().texture().pitMm();
        double detail = smallest(motif) * scale;
        double reached = Math.min(1, detail / needed);
        reasons.add(new Reason(Sort.DETAIL, Facts.of("smallestMm", detail).and("neededMm", needed)));

        double even = symmetry(survey.zones().outline());
        boolean pairs = motif.parts().stream().anyMatch(p -> p.mirror().isPresent());
        double symmetric = pairs ? even : 1;
        if (pairs) {
            reasons.add(new Reason(Sort.EVENNESS, Facts.of("even", even > 0.93).and("lopsided", 1 - even)));
        }

        int marks = inTheWay(motif, survey, fit.get());
        reasons.add(new Reason(Sort.MARKS, Facts.of("marks", marks)));
        double score = SHARES[0] * Math.min(1, fill / 0.75) + SHARES[1] * reached + SHARES[2] * symmetric + SHARES[3] / (1 + marks);
        return new Suitability(Math.max(0, Math.min(1, score)), reasons);
    }

    /** Widest disc in the narrowest filled part, in motif units. */
    private static double smallest(Motif motif) {
        double smallest = Double.POSITIVE_INFINITY;
        for (MotifPart part : motif.parts()) {
            if (part.role() == Role.FILL && part.isArea() && !part.shape().isEmpty()) {
                Envelope box = part.shape().getEnvelopeInternal();
                if (Math.min(box.getWidth(), box.getHeight()) < smallest) { // only such a part can be narrower
                    double tolerance = Math.max(1e-6, Math.min(box.getWidth(), box.getHeight()) / 40);
                    smallest = Math.min(smallest, 2 * new MaximumInscribedCircle(part.shape(), tolerance).getRadiusLine().getLength());
                }
            }
        }
        return Double.isInfinite(smallest) ? 1 : smallest;
    }

    /** Common area of the outline and its mirror image over their united area. */
    private static double symmetry(Geometry outline) {
        Point middle = outline.getCentroid();
        Geometry mirrored = AffineTransformation.reflectionInstance(middle.getX(), middle.getY() - 1, middle.getX(), middle.getY() + 1)
                .transform(outline);
        double common = Shapes.common(outline, mirrored).getArea();
        return common / (2 * outline.getArea() - common);
    }

    private static int inTheWay(Motif motif, Survey survey, LargestFit.Fit fit) {
        Envelope own = motif.sitting().getEnvelopeInternal();
        double halfWidth = own.getWidth() * fit.placement().scale() / 2;
        double halfHeight = own.getHeight() * fit.placement().scale() / 2;
        int marks = 0;
        for (Patch patch : survey.dome().patches()) {
            boolean bad = patch.kind() == Patch.Kind.HOLE || patch.kind() == Patch.Kind.CRACK;
            Geometry line = new GeometryFactory()
                    .createLineString(new Coordinate[] {new Coordinate(patch.x(), patch.y()), new Coordinate(patch.toX(), patch.toY())});
            Envelope reach = line.getEnvelopeInternal();
            reach.expandBy(patch.radiusMm());
            if (bad && reach.intersects(new Envelope(fit.placement().x() - halfWidth, fit.placement().x() + halfWidth,
                    fit.placement().y() - halfHeight, fit.placement().y() + halfHeight))) {
                marks++;
            }
        }
        return marks;
    }

    /** The score in a word. */
    public Verdict verdict() {
        return score >= 0.85 ? Verdict.MADE_FOR_IT : score >= 0.7 ? Verdict.GOOD : score >= 0.5 ? Verdict.WILL_DO : Verdict.POOR;
    }
}
