package mosspebble.core.picture;

import mosspebble.core.rock.Fabric;
import mosspebble.core.rock.Noise;
import mosspebble.core.rock.SkinRow;
import mosspebble.core.rock.Waves;
import mosspebble.core.stone.Stone;
import mosspebble.core.stone.Survey;

/**
 * What the skin of a stone is made of, and where on it a place lies that is seen from above.
 *
 * @param cos of the turn of the stone's own length
 */
record Skin(Fabric fabric, Waves dents, Unfolding unfolding, double cos, double sin) {

    /** Dents of the stone as a whole: depth and width of the widest, mm. */
    private static final double DENT = 0.8;
    private static final double DENT_WIDE = 30;

    static Skin of(Survey survey) {
        Stone stone = survey.stone();
        double turn = Math.toRadians(stone.wayUp());
        return new Skin(Fabric.of(stone), new Waves(new Noise(stone.seed()), DENT_WIDE, 2), new Unfolding(survey.dome()), Math.cos(turn),
                Math.sin(turn));
    }

    /** Asks for a place of a row, mm. */
    void put(double x, double y, SkinRow row, int k) {
        double longer = unfolding.longerAt(x, y);
        row.u[k] = longer * (x * cos + y * sin);
        row.v[k] = longer * (y * cos - x * sin);
        row.pixel[k] = row.cell * longer;
    }

    /**
     * How steep the dents are at a place of the skin.
     *
     * @param into receives the rise for each mm as seen from above, to the right and down
     */
    void dent(double u, double v, double[] into) {
        dents.slope(u, v, into);
        double du = DENT * into[0];
        double dv = DENT * into[1];
        into[0] = du * cos - dv * sin;
        into[1] = du * sin + dv * cos;
    }
}
