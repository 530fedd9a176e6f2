package mosspebble.core.care;

import java.time.Duration;
import java.util.List;
import mosspebble.core.stone.Stone;

/**
 * How a painted stone is sealed (common practice, no source): two coats, three where the stone is porous; outdoors always gloss brush varnish.
 *
 * @param between wait between coats
 * @param cure until it may go out or be handled freely
 */
public record SealAdvice(int coats, Duration between, Duration cure, String reason, List<String> cautions) {

    /** Open porosity from which a stone counts as porous. */
    public static final double POROUS = 0.06;

    public SealAdvice {
        cautions = List.copyOf(cautions);
    }

    public static SealAdvice of(Stone stone, boolean outdoors) {
        boolean porous = stone.porosity() >= POROUS;
        int coats = porous ? 3 : 2;
        String reason = porous ? "The stone is porous and drinks the first coat of varnish." : "Two thin coats close the surface of a tight stone.";
        if (outdoors) {
            reason += " Outdoors an unsealed picture would not last.";
        }
        return new SealAdvice(coats, Duration.ofHours(2), Duration.ofHours(outdoors ? 48 : 24), reason, List.of(
                "Varnish with the window open; sprays and solvent products only outdoors, away from flames, with a suitable mask. The product's own sheet comes first.",
                "A painted stone is not for food, aquaria or heating: a wet stone in a fire can burst.",
                "Small stones are a choking hazard. Children paint with an adult."));
    }
}
