package mosspebble.core.picture;

import mosspebble.core.area.Grid;
import mosspebble.core.area.Mask;
import mosspebble.core.stone.Dome;
import mosspebble.core.stone.Stone;
import mosspebble.core.stone.Survey;
import mosspebble.core.stone.Texture;

/**
 * The bare stone on a grid of pixels: where it is, how it leans, its grain by rock kind. Depends on the stone and the grid only; immutable.
 */
public final class StoneTerrain {

    final Survey survey;
    final Grid grid;
    final float[] nx;
    final float[] ny;
    final float[] nz;
    /** Share of the pixel that is stone. */
    final float[] inside;
    /** Tone of the grain against the stone's colour, about -0.5 to 0.5. */
    final float[] grain;

    private StoneTerrain(Survey survey, Grid grid) {
        this.survey = survey;
        this.grid = grid;
        this.nx = new float[grid.cells()];
        this.ny = new float[grid.cells()];
        this.nz = new float[grid.cells()];
        this.inside = new float[grid.cells()];
        this.grain = new float[grid.cells()];
    }

    public static StoneTerrain of(Survey survey, Grid grid) {
        StoneTerrain terrain = new StoneTerrain(survey, grid);
        Dome dome = survey.dome();
        Stone stone = survey.stone();
        Mask mask = Mask.of(survey.zones().outline(), grid);
        Noise noise = new Noise(stone.seed() * 31 + stone.rock().ordinal());
        double turn = Math.toRadians(stone.wayUp());
        double cos = Math.cos(turn);
        double sin = Math.sin(turn);
        double rough = stone.texture() == Texture.ROUGH ? 1 : stone.texture() == Texture.GRAINY ? 0.55 : 0.25;
        double[] normal = new double[3];
        for (int r = 0; r < mask.rows(); r++) {
            for (int c = 0; c < mask.columns(); c++) {
                float share = mask.at(c, r);
                if (share <= 0) {
                    continue;
                }
                int i = (mask.row() + r) * grid.columns() + mask.column() + c;
                double x = grid.x(mask.column() + c);
                double y = grid.y(mask.row() + r);
                terrain.inside[i] = share;
                dome.normalAt(x, y, normal);
                double u = x * cos + y * sin;
                double v = -x * sin + y * cos;
                terrain.grain[i] = (float) grain(stone, noise, u, v);
                double bump = 0.10 * rough;
                double lean = noise.octaves(u / 7 + 90, v / 7, 3) - 0.5;
                double across = noise.octaves(u / 7, v / 7 + 50, 3) - 0.5;
                double ax = normal[0] + bump * (noise.smooth(1.6 * u, 1.6 * v + 300) - 0.5) + 0.10 * lean;
                double ay = normal[1] + bump * (noise.smooth(1.6 * u + 200, 1.6 * v) - 0.5) + 0.10 * across;
                double size = Math.sqrt(ax * ax + ay * ay + normal[2] * normal[2]);
                terrain.nx[i] = (float) (ax / size);
                terrain.ny[i] = (float) (ay / size);
                terrain.nz[i] = (float) (normal[2] / size);
            }
        }
        return terrain;
    }

    private static double grain(Stone stone, Noise noise, double u, double v) {
        double cloud = noise.octaves(u / 18, v / 18, 4) - 0.5;
        double fine = noise.smooth(3.1 * u, 3.1 * v) - 0.5;
        return switch (stone.rock()) {
            case GRANITE -> {
                double crystal = noise.crystal(u / 1.2, v / 1.2);
                double small = noise.crystal(u / 0.5 + 70, v / 0.5);
                double mica = noise.crystal(u / 0.32 + 140, v / 0.32);
                double speck = small < 0.13 ? -0.34 : small > 0.86 ? 0.24 : (small - 0.5) * 0.18;
                yield speck + 0.15 * (crystal - 0.5) + (mica > 0.982 ? 0.5 : 0) + 0.16 * cloud + 0.06 * fine;
            }
            case MARBLE -> {
                double vein = Math.abs(noise.octaves(u / 30 + 0.5 * cloud, v / 14, 4) - 0.5);
                yield 0.10 * cloud + 0.03 * fine - (vein < 0.03 ? 0.20 * (0.03 - vein) / 0.03 : 0);
            }
            case FLINT -> 0.24 * (noise.octaves(u / 12, v / 12, 3) - 0.5) + 0.02 * fine;
            case SLATE -> 0.22 * (noise.octaves(u / 26, v / 2.6, 4) - 0.5) + 0.16 * cloud + 0.06 * fine;
            case LIMESTONE -> {
                double pit = noise.smooth(0.9 * u + 40, 0.9 * v);
                yield 0.22 * cloud + 0.05 * fine - (pit > 0.86 ? 0.9 * (pit - 0.86) : 0);
            }
            case SANDSTONE -> 0.20 * (noise.octaves(u / 40 + 0.3 * cloud, v / 5, 3) - 0.5) + 0.16 * (noise.crystal(2.4 * u, 2.4 * v) - 0.5)
                    + 0.10 * cloud;
            case BASALT -> {
                double pore = noise.smooth(1.5 * u + 11, 1.5 * v + 40);
                yield 0.20 * cloud + 0.15 * (noise.crystal(2.6 * u, 2.6 * v) - 0.5) + 0.05 * fine - (pore > 0.87 ? 3.2 * (pore - 0.87) : 0);
            }
            case CAST_CEMENT -> {
                double pore = noise.smooth(1.2 * u + 5, 1.2 * v + 90);
                yield 0.10 * cloud + 0.07 * (noise.crystal(1.8 * u, 1.8 * v) - 0.5) - (pore > 0.90 ? 2.6 * (pore - 0.90) : 0);
            }
            case CAST_PLASTER -> 0.05 * cloud + 0.04 * fine;
        };
    }

    public Grid grid() {
        return grid;
    }

    /**
     * A soft shadow of the stone on a flat cloth, as black with alpha, on the same grid.
     *
     * @param blurMm radius of the softness
     */
    public int[] shadow(double blurMm) {
        float[] values = inside.clone();
        int reach = Math.max(1, (int) Math.round(blurMm / grid.cellMm() / 2));
        for (int pass = 0; pass < 3; pass++) {
            values = Blur.box(values, grid.columns(), grid.rows(), reach);
        }
        int[] pixels = new int[values.length];
        for (int i = 0; i < values.length; i++) {
            pixels[i] = (int) (values[i] * 120) << 24;
        }
        return pixels;
    }
}
