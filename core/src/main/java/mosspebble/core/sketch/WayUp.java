package mosspebble.core.sketch;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import mosspebble.core.area.Shapes;
import mosspebble.core.stone.Stone;
import mosspebble.core.stone.StoneOutline;
import mosspebble.core.stone.Survey;
import mosspebble.core.units.Facts;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Envelope;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.util.AffineTransformation;

/**
 * One way up for a stone, judged for a subject: how large the subject becomes, whether the heavy end is below, whether it stands upright or
 * lies across.
 *
 * @param degrees way up of the stone
 * @param score 0 to 1, the best first
 * @param largestMm longer side of the subject there, mm; 0 without a subject
 */
public record WayUp(double degrees, double score, double largestMm, List<Reason> reasons) {

    /** What speaks for it or against it. */
    public enum Sort {
        /** How long the subject becomes, mm: {@code longMm}; how much smaller than the best, as a share: {@code smaller}. */
        SIZE,
        /** The wide end is {@code below}, or on top. */
        WIDE_END,
        /** How it stands: {@code posture}, with the subject if {@code withSubject}; whether that {@code suits}. */
        POSTURE, SLANT
    }

    /** How a stone stands. */
    public enum Posture { UPRIGHT, ACROSS, SQUARE }

    /**
     * One reason.
     *
     * @param facts what the words about it need
     */
    public record Reason(Sort sort, Facts facts) {}

    /** Shares of the score (common practice, no source): size of the subject, heavy end below, fitting posture. */
    private static final double[] SHARES = {0.55, 0.25, 0.20};

    private static final double STEP = 45;

    public WayUp {
        reasons = List.copyOf(reasons);
    }

    /** All eighths of a turn, judged, the best first. */
    public static List<WayUp> ranked(Survey survey, Optional<Motif> motif, double marginMm) {
        Stone stone = survey.stone();
        Geometry face = Shapes.grown(survey.zones().face(), -marginMm);
        List<Double> turns = new ArrayList<>();
        for (double turn = 0; turn < 360; turn += STEP) {
            turns.add(turn);
        }
        List<Double> sizes = new ArrayList<>();
        for (double turn : turns) {
            Geometry turned = AffineTransformation.rotationInstance(Math.toRadians(turn)).transform(face);
            sizes.add(motif.flatMap(m -> LargestFit.centred(m.sitting(), turned, 0, 0, 1)).map(f -> f.placement().scale()).orElse(0.0));
        }
        double largest = Math.max(1e-9, sizes.stream().mapToDouble(Double::doubleValue).max().orElse(1));
        List<WayUp> ways = new ArrayList<>();
        for (int i = 0; i < turns.size(); i++) {
            ways.add(judged(survey, stone, motif, turns.get(i), sizes.get(i), largest));
        }
        ways.sort(Comparator.comparingDouble((WayUp w) -> -Math.round(w.score() * 1e6)).thenComparingDouble(WayUp::degrees));
        return ways;
    }

    private static WayUp judged(Survey survey, Stone stone, Optional<Motif> motif, double turn, double size, double largest) {
        Geometry outline = AffineTransformation.rotationInstance(Math.toRadians(turn)).transform(survey.zones().outline());
        Envelope box = outline.getEnvelopeInternal();
        Coordinate heavy = outline.getCentroid().getCoordinate();
        double below = (heavy.y - box.centre().y) / box.getHeight();
        double upright = box.getHeight() / box.getWidth();
        List<Reason> reasons = new ArrayList<>();
        double sizeScore = motif.isPresent() ? size / largest : 1;
        double longer = 0;
        if (motif.isPresent()) {
            Envelope own = motif.get().sitting().getEnvelopeInternal();
            longer = Math.max(own.getWidth(), own.getHeight()) * size;
            reasons.add(new Reason(Sort.SIZE, Facts.of("longMm", longer).and("smaller", 1 - sizeScore)));
        }
        double weighted = Math.max(0, Math.min(1, 0.5 + below / 0.08));
        if (Math.abs(below) > 0.008) {
            reasons.add(new Reason(Sort.WIDE_END, Facts.of("below", below > 0)));
        }
        Facts stands = Facts.of("posture", upright > 1.05 ? Posture.UPRIGHT : upright < 0.95 ? Posture.ACROSS : Posture.SQUARE);
        double posture = 0.5;
        if (motif.isPresent()) {
            Envelope own = motif.get().sitting().getEnvelopeInternal();
            boolean tall = own.getHeight() > 1.15 * own.getWidth();
            boolean wide = own.getWidth() > 1.15 * own.getHeight();
            posture = tall == upright > 1.05 && wide == upright < 0.95 ? 1 : !tall && !wide ? 0.7 : 0.2;
            if (tall || wide) {
                reasons.add(new Reason(Sort.POSTURE, stands.and("withSubject", true).and("suits", posture == 1)));
            }
        } else {
            reasons.add(new Reason(Sort.POSTURE, stands.and("withSubject", false).and("suits", false)));
        }
        boolean slanted = turn % 90 != 0 && Math.abs(turn % 45) < 1e-9 && stone.length().value() > 1.15 * stone.width().value();
        double score = SHARES[0] * sizeScore + SHARES[1] * weighted + SHARES[2] * posture - (slanted ? 0.12 : 0);
        if (slanted) {
            reasons.add(new Reason(Sort.SLANT, Facts.none()));
        }
        double degrees = (stone.wayUp() + turn) % 360;
        return new WayUp(degrees, Math.max(0, Math.min(1, score)), longer, reasons);
    }

    /** The outline as it would lie, for a small picture. */
    public StoneOutline outline(Stone stone) {
        return StoneOutline.of(stone.withWayUp(degrees));
    }
}
