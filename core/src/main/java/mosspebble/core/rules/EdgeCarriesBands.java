package mosspebble.core.rules;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import mosspebble.core.colour.Mix;
import mosspebble.core.colour.Paint;
import mosspebble.core.finding.Code;
import mosspebble.core.finding.Finding.Cure;
import mosspebble.core.finding.Finding.Remedy;
import mosspebble.core.finding.Finding;
import mosspebble.core.project.Edge;
import mosspebble.core.stone.EdgeStrip;
import mosspebble.core.units.Facts;

/** Bands round the edge that are too thin to paint, that leave it, or whose colour is not there. */
final class EdgeCarriesBands implements Rule {

    /** A liner brush draws no finer line, mm (common practice, no source). */
    private static final double LINER_MM = 0.6;
    /** So much less nobody sees, mm (common practice, no source). */
    private static final double SLIGHT_MM = 0.3;

    @Override
    public List<Finding> look(Bench on) {
        List<Finding> found = new ArrayList<>();
        Edge edge = on.project().edge();
        edge.ground().filter(g -> on.palette().colour(g).isEmpty()).ifPresent(g -> found.add(unknown(g, on)));
        for (int i = 0; i < edge.bands().size(); i++) {
            Edge.Band band = edge.bands().get(i);
            if (on.palette().colour(band.mix()).isEmpty()) {
                found.add(unknown(band.mix(), on));
            } else {
                fits(band, i, on).ifPresent(found::add);
            }
        }
        return found;
    }

    private static Finding unknown(Mix mix, Bench on) {
        return Finding.of(Code.EDGE_NOT_ON_SHELF, Facts.of("mix", on.palette().shelf().words(mix)));
    }

    private static Optional<Finding> fits(Edge.Band band, int number, Bench on) {
        double finest = band.mix().isSingle() ? on.palette().shelf().find(band.mix().parts().get(0).paint()).filter(Paint::hasNib)
                .map(p -> p.tip().value()).orElse(LINER_MM) : LINER_MM;
        EdgeStrip strip = on.plan().edge().orElseThrow();
        double room = narrowest(strip, band);
        Facts facts = Facts.of("wideMm", band.wideMm()).and("number", number + 1).and("finestMm", finest);
        if (band.wideMm() < finest) {
            return Optional.of(Finding.of(Code.BAND_TOO_THIN, facts, new Remedy(Cure.WIDEN_BAND, Facts.of("mm", finest),
                    p -> p.withEdge(with(p.edge(), number, new Edge.Band(band.offMm(), finest, band.mix()))))));
        }
        if (room >= band.wideMm() - SLIGHT_MM && room >= finest) {
            return Optional.empty();
        }
        Facts there = facts.and("roomMm", room).and("lowestMm", strip.lowestMm());
        double middle = middle(strip);
        boolean helps = narrowest(strip, new Edge.Band(middle, band.wideMm(), band.mix())) > room + SLIGHT_MM;
        return Optional.of(!helps ? Finding.of(Code.BAND_LEAVES_EDGE, there)
                : Finding.of(Code.BAND_LEAVES_EDGE, there, Remedy.of(Cure.BAND_TO_MIDDLE,
                        p -> p.withEdge(with(p.edge(), number, new Edge.Band(middle, band.wideMm(), band.mix()))))));
    }

    /** The middle of what all places of the edge have in common, mm toward the front. */
    private static double middle(EdgeStrip strip) {
        double top = Double.POSITIVE_INFINITY;
        double bottom = Double.NEGATIVE_INFINITY;
        for (int i = 0; i < strip.along().length; i++) {
            top = Math.min(top, strip.front()[i]);
            bottom = Math.max(bottom, -strip.back()[i]);
        }
        return (top + bottom) / 2;
    }

    /** What is left of the band where the edge leaves it least, mm. */
    private static double narrowest(EdgeStrip strip, Edge.Band band) {
        double least = Double.POSITIVE_INFINITY;
        for (int i = 0; i < strip.along().length; i++) {
            double top = Math.min(strip.front()[i], band.offMm() + band.wideMm() / 2);
            double bottom = Math.max(-strip.back()[i], band.offMm() - band.wideMm() / 2);
            least = Math.min(least, Math.max(0, top - bottom));
        }
        return least;
    }

    private static Edge with(Edge edge, int number, Edge.Band band) {
        List<Edge.Band> bands = new ArrayList<>(edge.bands());
        bands.set(number, band);
        return edge.withBands(bands);
    }
}
