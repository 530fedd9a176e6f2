package mosspebble.core.plan;

import java.util.List;
import java.util.stream.Collectors;
import mosspebble.core.units.Numbers;
import mosspebble.core.units.Words;

/** The words of a step: short title, what to do, why. */
final class StepWords {

    private StepWords() {}

    static String title(List<Region> together, String coat) {
        Region first = together.get(0);
        boolean outline = first.kind() == Operation.Kind.OUTLINE || first.kind() == Operation.Kind.LINE_FIRST;
        return outline ? (first.title().contains("inner") ? "Second line with the " : "Outline with the ") + coat
                : verb(first) + " " + shortened(together.stream().map(Region::title).distinct().collect(Collectors.joining(", ")));
    }

    private static String shortened(String what) {
        String[] names = what.split(", ");
        return names.length <= 3 ? what : names[0] + ", " + names[1] + " and " + (names.length - 2) + " more";
    }

    private static String verb(Region region) {
        if (region.wetGroup() >= 0) {
            return "Work in";
        }
        return switch (region.kind()) {
            case PRIME -> "Prime";
            case GROUND -> region.hides() ? "Paint" : "Lay";
            case FILL, PREPARE, PENCIL, PENCIL_AGAIN, SIGN -> region.hides() ? "Fill" : "Lay";
            case MORE -> "Coat again:";
            case SHADE -> region.title().startsWith("the light side") ? "Lighten" : "Glaze";
            case LINE_FIRST, DETAIL, OUTLINE -> "Draw";
            case HIGHLIGHT -> "Set";
            case SEAL -> "Seal";
        };
    }

    static String sentence(Region region, String coat, int coats) {
        String own = region.how().isEmpty() ? "" : " " + region.how();
        String how = switch (region.kind()) {
            case SHADE -> region.title().startsWith("the light side") ? "Lay a thin line of " + coat + " along the lit edge and draw it out with a damp, clean brush."
                    : "Lay a thin line of " + coat + " along the dark edge and draw it out with a damp, clean brush.";
            case OUTLINE, LINE_FIRST, DETAIL -> "Draw with " + coat + ", lightly, turning the stone so that the hand pulls toward you.";
            case HIGHLIGHT -> "Touch on " + coat + "; reload for every dot of equal size.";
            default -> !own.isEmpty() ? Words.upper(coat) + "." + own + (coats > 1 ? " " + Words.coats(coats) + ", each dry before the next." : "")
                    : Words.coats(coats) + " of " + coat + (coats > 1 ? ", thin, each dry before the next." : ", thin and even.");
        };
        String first = Words.upper(how);
        return coats > 1 && !first.contains("coats") ? first + " " + Words.coats(coats) + "." : first;
    }

    static String reason(Region region, int coats, int wanted, double tolerance) {
        if (!region.reason().isEmpty()) {
            return region.reason() + (region.hides() && coats > 1 && region.kind() != Operation.Kind.MORE && region.kind() != Operation.Kind.PRIME
                    ? " " + Words.coats(coats) + " until nothing shows through." : "");
        }
        if (!region.hides()) {
            return "One thin coat; what is below is meant to show.";
        }
        return wanted > coats ? "Even " + Words.coats(coats) + " let the ground show; see the findings."
                : coats == 1 ? "One coat hides what is below to within " + Numbers.text(tolerance, 1) + " (CIEDE2000)."
                : "What is below shows through " + Words.coats(coats - 1) + "; after " + coats + " it differs by less than " + Numbers.text(tolerance, 1) + " (CIEDE2000).";
    }
}
