package mosspebble.core.words;

import java.util.Collection;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import mosspebble.core.colour.Shelf;
import mosspebble.core.plan.Hazard;
import mosspebble.core.plan.Step;

/** What can hurt, and how not to get hurt; whatever a label says comes first. */
public final class HazardWords {

    private HazardWords() {}

    public static String sentence(Hazard hazard) {
        return switch (hazard) {
            case STONE_DUST -> "Stone dust harms the lungs: wet or in the open, with a mask on.";
            case CASTING ->
                    "Plaster and cement: mask, gloves and eye protection; wet cement burns, and what sets grows hot: never round a hand.";
            case STRIPPER -> "Stripper: gloves, eye protection and fresh air, as its label says.";
            case SOLVENT -> "Solvent is in it: fresh air, no flame or spark near it, and no hair dryer while it is wet.";
            case OILY_RAGS ->
                    "Rags with oil in them can catch fire by themselves: spread them out to dry outdoors, or keep them under water.";
            case UNCURED_GEL ->
                    "Gel that is not cured can bring an allergy that stays: gloves, and off the skin at once with soap. Do not look "
                            + "into the lamp.";
            case LOOSE_POWDER -> "Loose powder: a dust mask and no draught; away from eyes and children.";
            case GLUE -> "Glue: fresh air, off fingers and eyes, as its label says.";
            case RESIN -> "Resin: gloves, eye protection and fresh air; mix exactly as its sheet says, and never more than that at once: a "
                    + "large cup heats up.";
            case VARNISH ->
                    "Varnish with the window open; sprays and solvent products only outdoors, away from flames, with a suitable mask. "
                            + "The product's own sheet comes first.";
            case HOT_AIR -> "Hair dryer: warm, moving, well away from the water pot; never on what has solvent in it.";
            case HEAVY -> "It is heavy: two lift it, and it lies where it cannot fall.";
            case FOOD_AND_FIRE -> "A painted stone is not for food, aquaria or heating: a wet stone in a fire can burst.";
            case CHILDREN -> "Small stones are a choking hazard. Children paint with an adult. No brush in the mouth.";
        };
    }

    /** What can hurt in a step, as far as its own sentence does not say it; empty where nothing is to be added. */
    public static String besides(Step step, Shelf shelf) {
        Set<Hazard> told = EnumSet.of(Hazard.STONE_DUST, Hazard.CASTING, Hazard.STRIPPER, Hazard.LOOSE_POWDER);
        return String.join(" ", sentences(Hazard.of(step, shelf).stream().filter(h -> !told.contains(h)).toList()));
    }

    /** In the order in which they are met. */
    public static List<String> sentences(Collection<Hazard> hazards) {
        return hazards.stream().sorted().map(HazardWords::sentence).toList();
    }
}
