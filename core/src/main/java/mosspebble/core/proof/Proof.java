package mosspebble.core.proof;

import java.util.List;
import java.util.Optional;
import mosspebble.core.area.Grid;

/**
 * A photo of the work laid over its plan.
 *
 * @param face the stone's face cut out of the photo and laid flat; empty if the stone was not found in it
 * @param strays every thing and part that could be compared
 * @param tones every painted part whose colour could be compared
 */
public record Proof(Moment moment, Optional<Face> face, List<Stray> strays, List<Tone> tones, List<ProofFinding> findings) {

    public Proof {
        strays = List.copyOf(strays);
        tones = List.copyOf(tones);
        findings = List.copyOf(findings);
    }

    /** The face as photographed, in the plan's own frame. */
    public static final class Face {
        private final Grid grid;
        private final int[] argb;

        Face(Grid grid, int[] argb) {
            this.grid = grid;
            this.argb = argb;
        }

        public Grid grid() {
            return grid;
        }

        /** 0xAARRGGBB of a cell by its number, rows first; clear where there is no stone. */
        public int at(int cell) {
            return argb[cell];
        }
    }
}
