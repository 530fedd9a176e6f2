package mosspebble.core.coats;

import mosspebble.core.stone.Stone;
import mosspebble.core.stone.Texture;

/** How much of the first coat the bare stone drinks (common practice, no source). */
public final class SoakIn {

    private SoakIn() {}

    /**
     * Share of the first coat that goes into the pores and pits and hides nothing: twice the open porosity, a tenth more on rough stone and
     * half of that on grainy, at most 0.6; a stone sealed before drinks nothing.
     */
    public static double share(Stone stone) {
        if (stone.skin().sealed()) {
            return 0;
        }
        double pits = stone.texture() == Texture.ROUGH ? 0.1 : stone.texture() == Texture.GRAINY ? 0.05 : 0;
        return Math.min(0.6, 2 * stone.porosity() + pits);
    }
}
