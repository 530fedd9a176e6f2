package mosspebble.core.sketch;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import mosspebble.core.stone.Zones;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.util.AffineTransformation;

/** Puts a sketch on a stone. */
public final class Designs {

    /** Parts touch the rim of what they wear; kept this far inside the zone, mm. */
    private static final double WEARING_INSET = 0.5;

    private Designs() {}

    /** The motif a subject stands for; empty if the repertoire lacks the motif or face, or the face all of its letters. */
    public static Optional<Motif> motif(Subject subject, Repertoire repertoire) {
        return subject.match(
                figure -> repertoire.motif(figure.motif()),
                word -> repertoire.typeface(word.typeface())
                        .filter(face -> Lettering.missing(word, face).size() < String.join("", word.lines()).codePoints().distinct().count())
                        .map(face -> Lettering.set(word, face)));
    }

    /** A design may be this much smaller than the largest to sit nearer the middle (common practice, no source). */
    private static final double WORTH_CENTRING = 0.94;

    /**
     * A large placement of a motif inside the face: the largest there is, drawn toward the middle of the face as far as that costs little size.
     *
     * @param marginMm kept clear along the edge of the face
     * @param mostTurn allowed turn to either side, degrees
     */
    public static Optional<LargestFit.Fit> fit(Motif motif, Zones zones, double marginMm, double mostTurn) {
        return LargestFit.centred(motif.sitting(), Shapes.grown(zones.face(), -marginMm), 0, mostTurn, WORTH_CENTRING);
    }

    public static PlacedDesign place(Motif motif, Sketch sketch, Zones zones) {
        boolean wearing = sketch.wearing() && motif.wears();
        WearingMap map = wearing ? new WearingMap(motif.silhouette(), Shapes.grown(zones.paintable(), -WEARING_INSET)) : null;
        Coordinate middle = LargestFit.middle(motif.sitting());
        AffineTransformation rigid = sketch.placement().transformation(middle.x, middle.y);
        List<PlacedPart> parts = new ArrayList<>();
        List<Geometry> areas = new ArrayList<>();
        for (MotifPart part : motif.parts()) {
            if (part.sits() == (wearing ? Sits.ON_STONE : Sits.WEARING)) {
                continue;
            }
            Geometry drawn = wearing ? map.apply(part.isArea() ? Shapes.common(part.shape(), motif.silhouette()) : part.shape()) : rigid.transform(part.shape());
            if (drawn.isEmpty()) {
                continue; // wholly outside the silhouette that becomes the stone's outline
            }
            if (part.isArea()) {
                drawn = drawn.isValid() ? drawn : Shapes.grown(drawn, 1e-6);
                parts.add(new PlacedPart(part, drawn, drawn));
                areas.add(drawn);
            } else {
                parts.add(new PlacedPart(part, drawn, Shapes.stroke(drawn, part.penMm())));
            }
        }
        return new PlacedDesign(motif.slots(), parts, Shapes.union(areas));
    }
}
