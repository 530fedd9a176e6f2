package mosspebble.core.care;

import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import mosspebble.core.colour.Binder;
import mosspebble.core.colour.Finish;
import mosspebble.core.colour.Paint;
import mosspebble.core.stone.Stone;

/**
 * How a painted stone is sealed (common practice, no source): two coats, three where the stone is porous; resin in one pour.
 *
 * @param between wait between coats
 * @param cure until it may go out or be handled freely
 */
public record SealAdvice(int coats, Duration between, Duration cure, String tool, String reason, List<String> cautions) {

    /** Open porosity from which a stone counts as porous. */
    public static final double POROUS = 0.06;

    public SealAdvice {
        cautions = List.copyOf(cautions);
    }

    /** For a brushed varnish. */
    public static SealAdvice of(Stone stone, boolean outdoors) {
        boolean porous = stone.porosity() >= POROUS;
        int coats = porous ? 3 : 2;
        String reason = porous ? "The stone is porous and drinks the first coat of varnish." : "Two thin coats close the surface of a tight stone.";
        if (outdoors) {
            reason += " Outdoors an unsealed picture would not last.";
        }
        return new SealAdvice(coats, Duration.ofHours(2), Duration.ofHours(outdoors ? 48 : 24), "wide soft brush", reason, List.of(
                "Varnish with the window open; sprays and solvent products only outdoors, away from flames, with a suitable mask. The product's own sheet comes first.",
                "A painted stone is not for food, aquaria or heating: a wet stone in a fire can burst.",
                "Small stones are a choking hazard. Children paint with an adult."));
    }

    /** For a certain sealer. */
    public static SealAdvice of(Stone stone, boolean outdoors, Paint sealer) {
        SealAdvice brushed = of(stone, outdoors);
        if (sealer.binder() == Binder.RESIN) {
            List<String> cautions = new ArrayList<>(List.of("Resin: gloves, eye protection and fresh air; mix exactly as its sheet says, and never more than that at once: a large cup heats up."));
            cautions.addAll(brushed.cautions);
            return new SealAdvice(1, Duration.ZERO, Duration.ofHours(72), "mixing stick, level rest", "One pour levels itself and shows the colours deepest. It must lie level and free of dust for a day.", cautions);
        }
        String finish = sealer.finish() == Finish.MATT ? " Matt shows where pen and brush paint differ in sheen." : sealer.finish() == Finish.GLOSS ? " Gloss hides the difference between pen and brush paint." : "";
        return new SealAdvice(brushed.coats, brushed.between, brushed.cure, brushed.tool, brushed.reason + finish, brushed.cautions);
    }

    /** What to do. */
    public String sentence(String sealer) {
        return coats == 1 ? "One pour of " + sealer + ", spread to the rim; prick the bubbles." : coats + " coats of " + sealer + ", thin, each fully dry before the next.";
    }
}
