package mosspebble.core.picture;

import java.util.List;
import mosspebble.core.area.Grid;
import mosspebble.core.area.Mask;
import mosspebble.core.area.Shapes;
import mosspebble.core.sketch.PlacedPart;
import mosspebble.core.sketch.Role;
import mosspebble.core.units.Parallel;
import org.locationtech.jts.geom.Envelope;
import org.locationtech.jts.geom.Geometry;

/** Where lead or chalk lies when a design is pencilled: lines of what is behind are not drawn. */
final class PencilLines {

    /** Width of a line of chalk and of lead, mm. */
    private static final double CHALK = 0.7;
    private static final double LEAD = 0.4;

    private PencilLines() {}

    /** How much of each cell of a grid is drawn on, 0 to 1. */
    static float[] drawn(List<PlacedPart> parts, boolean chalk, Grid grid) {
        float[] drawn = new float[grid.cells()];
        Envelope drawnHere = new Envelope(grid.left() - 1, grid.left() + grid.columns() * grid.cellMm() + 1, grid.top() - 1,
                grid.top() + grid.rows() * grid.cellMm() + 1);
        // guides are rubbed out when the picture is pencilled; the screen and the sheets show them
        List<PlacedPart> lines = parts.stream()
                .filter(p -> p.part().role() != Role.GUIDE && drawnHere.intersects(p.drawn().getEnvelopeInternal())).toList();
        List<Geometry> strokes = Parallel.of(lines)
                .map(p -> Shapes.stroke(p.part().isArea() ? p.drawn().getBoundary() : p.drawn(), chalk ? CHALK : LEAD)).toList();
        for (int k = 0; k < lines.size(); k++) {
            if (lines.get(k).part().role() == Role.FILL) {
                rubOut(Mask.of(lines.get(k).drawn(), grid), drawn, grid); // lines behind it are not drawn
            }
            Mask mask = Mask.of(strokes.get(k), grid);
            for (int r = 0; r < mask.rows(); r++) {
                for (int c = 0; c < mask.columns(); c++) {
                    int i = (mask.row() + r) * grid.columns() + mask.column() + c;
                    drawn[i] = Math.max(drawn[i], mask.at(c, r));
                }
            }
        }
        return drawn;
    }

    private static void rubOut(Mask mask, float[] drawn, Grid grid) {
        for (int r = 0; r < mask.rows(); r++) {
            for (int c = 0; c < mask.columns(); c++) {
                if (mask.at(c, r) >= 0.5f) {
                    drawn[(mask.row() + r) * grid.columns() + mask.column() + c] = 0;
                }
            }
        }
    }
}
