package mosspebble.core.proof;

import java.util.Arrays;
import java.util.stream.IntStream;
import mosspebble.core.area.Grid;
import mosspebble.core.area.Mask;
import mosspebble.core.colour.Lab;
import mosspebble.core.colour.Xyz;
import mosspebble.core.photo.Photo;
import mosspebble.core.photo.PhotoLight;
import mosspebble.core.photo.PhotoReader;
import mosspebble.core.photo.SheetMap;
import mosspebble.core.stone.Survey;
import mosspebble.core.units.Parallel;
import mosspebble.core.units.Srgb;
import org.locationtech.jts.geom.Coordinate;

/** The stone's face cut out of a photo and laid flat on the plan's grid, mm for mm, with the dome taken out. */
final class Flattened {

    /** Steeper places are seen too much from aside, degrees. */
    private static final double STEEPEST = 62;

    private static final double INSIDE_MM = 1.2;

    private final Photo photo;
    private final SheetMap map;
    private final PhotoLight light;
    private final Survey survey;
    private final double factor;

    Flattened(Photo photo, SheetMap map, PhotoLight light, Survey survey) {
        this.photo = photo;
        this.map = map;
        this.light = light;
        this.survey = survey;
        this.factor = PhotoReader.reducedBy(photo);
    }

    /** Where a place of the stone is seen in the photo, pixels. */
    double[] inPhoto(Pose pose, double x, double y) {
        double z = survey.stone().backDepthMm() + Math.max(0, survey.dome().heightAt(x, y));
        double[] camera = map.camera();
        double away = camera[2] / Math.max(1, camera[2] - z);
        Coordinate at = map.toImage(camera[0] + (pose.sheetX(x, y) - camera[0]) * away,
                camera[1] + (pose.sheetY(x, y) - camera[1]) * away);
        return new double[] {at.x * factor, at.y * factor};
    }

    /** Where the face is seen well enough to be judged, 1 or 0. */
    static float[] judged(Survey survey, Grid grid) {
        Mask mask = Mask.of(survey.zones().outline().buffer(-INSIDE_MM), grid);
        float[] judged = new float[grid.cells()];
        for (int r = 0; r < mask.rows(); r++) {
            for (int c = 0; c < mask.columns(); c++) {
                int i = (mask.row() + r) * grid.columns() + mask.column() + c;
                judged[i] = mask.at(c, r) > 0.99f
                        && survey.dome().tiltAt(grid.x(mask.column() + c), grid.y(mask.row() + r)) < STEEPEST ? 1 : 0;
            }
        }
        return judged;
    }

    /**
     * CIE L*, a*, b* of the face under the card's white, as a matt plate would show it.
     *
     * @param sub places to the side of a cell whose mean is taken
     */
    Field on(Grid grid, float[] judged, Pose pose, int sub) {
        float[][] lab = new float[3][grid.cells()];
        float[] known = judged.clone();
        Parallel.range(0, grid.rows()).forEach(row -> row(row, grid, pose, sub, lab, known));
        return new Field(grid, lab, known);
    }

    /** The face as it was photographed. */
    Proof.Face face(Grid grid, Pose pose) {
        Mask mask = Mask.of(survey.zones().outline(), grid);
        int[] argb = new int[grid.cells()];
        for (int r = 0; r < mask.rows(); r++) {
            for (int c = 0; c < mask.columns(); c++) {
                double[] at = inPhoto(pose, grid.x(mask.column() + c), grid.y(mask.row() + r));
                double[] sum = new double[3];
                if (mask.at(c, r) > 0 && add(at[0], at[1], sum)) {
                    int rgb = 0;
                    for (int k = 0; k < 3; k++) {
                        rgb = rgb << 8 | (int) Math.round(255 * Xyz.encoded(sum[k]));
                    }
                    argb[(mask.row() + r) * grid.columns() + mask.column() + c] = Math.round(255 * mask.at(c, r)) << 24 | rgb;
                }
            }
        }
        return new Proof.Face(grid, argb);
    }

    private void row(int row, Grid grid, Pose pose, int sub, float[][] lab, float[] known) {
        double[] sum = new double[3];
        double[] white = new double[3];
        for (int column = 0; column < grid.columns(); column++) {
            int i = row * grid.columns() + column;
            if (known[i] == 0) {
                continue;
            }
            Arrays.fill(sum, 0);
            double part = grid.cellMm() / sub;
            for (int k = 0; k < sub * sub; k++) {
                double[] at = inPhoto(pose, grid.x(column) + (k % sub - (sub - 1) / 2.0) * part,
                        grid.y(row) + (k / sub - (sub - 1) / 2.0) * part);
                if (!add(at[0], at[1], sum)) {
                    known[i] = 0;
                    break;
                }
                if (k == 0) {
                    light.at(at[0], at[1], white);
                }
            }
            if (known[i] > 0) {
                int[] code = new int[3];
                for (int k = 0; k < 3; k++) {
                    code[k] = (int) Math
                            .round(255 * Xyz.encoded(Math.max(0, Math.min(1, sum[k] / (sub * sub) / Math.max(1e-4, white[k])))));
                }
                Lab seen = Lab.of(new Srgb(code[0], code[1], code[2]));
                lab[0][i] = (float) seen.l();
                lab[1][i] = (float) seen.a();
                lab[2][i] = (float) seen.b();
            }
        }
    }

    /** Linear colour between the pixels, added on; false outside the photo. */
    private boolean add(double x, double y, double[] sum) {
        int c = (int) Math.floor(x - 0.5);
        int r = (int) Math.floor(y - 0.5);
        if (c < 0 || r < 0 || c >= photo.width() - 1 || r >= photo.height() - 1) {
            return false;
        }
        double fx = x - 0.5 - c;
        double fy = y - 0.5 - r;
        weigh(photo.at(c, r), (1 - fx) * (1 - fy), sum);
        weigh(photo.at(c + 1, r), fx * (1 - fy), sum);
        weigh(photo.at(c, r + 1), (1 - fx) * fy, sum);
        weigh(photo.at(c + 1, r + 1), fx * fy, sum);
        return true;
    }

    private static final double[] LINEAR = IntStream.range(0, 256).mapToDouble(Xyz::linear).toArray();

    private static void weigh(int rgb, double weight, double[] sum) {
        sum[0] += weight * LINEAR[rgb >> 16 & 255];
        sum[1] += weight * LINEAR[rgb >> 8 & 255];
        sum[2] += weight * LINEAR[rgb & 255];
    }
}
