package mosspebble.core.words;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import mosspebble.core.proof.Proof;
import mosspebble.core.proof.ProofFinding;
import mosspebble.core.proof.Stray;
import mosspebble.core.sketch.PlacedDesign;
import mosspebble.core.sketch.PlacedItem;
import mosspebble.core.sketch.Subject;
import mosspebble.core.units.Facts;
import mosspebble.core.units.Numbers;
import mosspebble.core.units.Words;

/** The words about where the work strays from its plan, and how that is mended. */
public final class ProofWords {

    /** Below this much a way is not worth naming beside the other, as a share of it. */
    private static final double HARDLY = 0.4;

    private static final double SAME_MM = 0.1;

    private ProofWords() {}

    /** What is wrong and by how much. */
    public static String sentence(ProofFinding finding, PlacedDesign design) {
        Facts facts = finding.facts();
        String what = what(finding, design);
        return switch (finding.kind()) {
            case OTHER_STONE -> (facts.count("stones") == 1 ? "The stone in this photo does not have" : "No stone in this photo has")
                    + " this outline.";
            case NO_DESIGN -> "Nothing is planned on this face yet.";
            case ROUND -> "The stone is so round that its outline does not tell how far all of it is turned.";
            case NOT_SEEN -> Words.upper(what) + " cannot be made out where it was planned, nor near there.";
            case TURNED ->
                    Words.upper(what) + " " + turned(facts) + " by " + Numbers.text(Math.abs(facts.number("degrees")), 1) + "° (±\u00a0"
                            + Numbers.text(facts.number("off"), 1) + ").";
            case MOVED, PART_MOVED -> Words.upper(what) + " sits " + mm(facts.number("mm")) + " too far "
                    + way(facts.number("right"), facts.number("down")) + " (±\u00a0" + Numbers.text(facts.number("off"), 1) + ").";
            case SIZED, PART_SIZED -> Words.upper(what) + " is " + mm(Math.abs(facts.number("mm")))
                    + (facts.number("mm") > 0 ? " longer" : " shorter") + " than planned, where " + mm(facts.number("length"))
                    + " were wanted (±\u00a0" + Numbers.text(facts.number("off"), 1) + ").";
            case NEAR_EDGE -> Words.upper(what) + (facts.number("left") <= 0 ? " runs over the edge; "
                    : " ends " + mm(facts.number("left")) + " before the edge; ") + mm(facts.number("planned")) + " were planned.";
            case DOTS_COUNT -> Words.upper(what) + " has " + facts.count("seen") + " dots where " + facts.count("planned")
                    + " were planned.";
            case DOTS_GAP -> "One gap in " + what + " is too wide: " + mm(facts.number("gap")) + " from dot to dot, where "
                    + mm(facts.number("usual")) + " is usual.";
            case COLOUR -> Words.upper(what) + " came out " + colour(facts) + " than its mix: apart by "
                    + Numbers.text(facts.number("difference"), 0) + ", of which a photo may be wrong by "
                    + Numbers.text(facts.number("off"), 0)
                    + ".";
            case BALD -> "In " + what + " what lies below shows through " + places(facts) + ".";
            case BLED -> "Colour of " + what + " lies beside it " + places(facts) + ".";
        };
    }

    /** The way to mend it. */
    public static String mend(ProofFinding finding, boolean pencil) {
        return switch (finding.kind()) {
            case OTHER_STONE -> "Photograph this one with its face up, the card beside it; or measure its outline and height anew.";
            case NO_DESIGN -> "Sketch first, then hold a photo against it.";
            case ROUND -> "All things are compared with one another; one that strayed alone is found.";
            case NOT_SEEN -> pencil ? "Draw it, or go over its lines once more, and photograph again."
                    : "If it is painted, take the photo closer and in even light.";
            case TURNED -> pencil ? "Rub it out, pencil a line for it to stand on, and draw it again; or plan on as it lies."
                    : "Plan on as it lies, or paint over it and begin that thing again.";
            case MOVED, SIZED, NEAR_EDGE -> pencil ? "Rub it out and trace it again from the guide; or plan on as it lies."
                    : "Plan on as it lies, or paint over it and begin that thing again.";
            case PART_SIZED, PART_MOVED -> pencil ? "Draw that part again before any paint covers it."
                    : "Trim it with the colour beside it once both are dry.";
            case DOTS_COUNT -> "Take one dot off while it is wet and spread its neighbours, or let the gap be.";
            case DOTS_GAP -> "A small dot in the gap hides it.";
            case COLOUR -> "Lay a dried swatch of the mix beside it by daylight before mixing anew.";
            case BALD -> "One more thin coat there once the last is dry.";
            case BLED -> "Scrape it off while it is fresh, or cover it with the colour that belongs there.";
        };
    }

    /** How well one thing lies, in one line. */
    public static String lies(Stray stray, PlacedDesign design) {
        String name = name(Optional.of(stray.item()), design);
        if (!stray.isFound()) {
            return name + ": not made out";
        }
        double longer = stray.by().mm();
        return name + ": " + mm(stray.by().distance()) + " and " + Numbers.text(Math.abs(stray.by().turn()), 1) + "° off, "
                + (Math.abs(longer) < SAME_MM ? "as long as planned" : mm(Math.abs(longer)) + (longer > 0 ? " longer" : " shorter"));
    }

    /** All in one sentence. */
    public static String summary(Proof proof) {
        List<Stray> things = proof.strays().stream().filter(s -> s.part().isEmpty()).toList();
        long said = proof.findings().stream().filter(f -> f.at().isPresent()).count();
        if (proof.face().isEmpty()) {
            return "Not compared.";
        }
        String looked = Words.upper(counted(things.size(), "thing"))
                + (proof.tones().isEmpty() ? "" : " and " + counted(proof.tones().size(), "colour"));
        return said == 0 ? looked + " compared: all as planned." : looked + " compared, " + counted((int) said, "place") + " to look at.";
    }

    private static String counted(int count, String what) {
        return Words.number(count) + " " + (count == 1 ? what : Words.plural(what));
    }

    private static String turned(Facts facts) {
        double degrees = facts.number("degrees");
        if (facts.is("word")) {
            return facts.is("climbs") ? "climbs" : "falls";
        }
        return degrees > 0 ? "is turned clockwise" : "is turned anticlockwise";
    }

    private static String places(Facts facts) {
        int places = facts.count("places");
        String size = "over " + Numbers.text(facts.number("mm2"), 0) + " mm²";
        return places == 1 ? size : "in " + places + " places, " + size;
    }

    private static String colour(Facts facts) {
        double lighter = facts.number("lighter");
        double chroma = facts.number("chroma");
        List<String> said = new ArrayList<>();
        if (Math.abs(lighter) > HARDLY * Math.abs(chroma)) {
            said.add(lighter > 0 ? "lighter" : "darker");
        }
        if (Math.abs(chroma) > HARDLY * Math.abs(lighter)) {
            said.add(chroma > 0 ? "stronger" : "duller");
        }
        return Words.list(said);
    }

    private static String way(double right, double down) {
        String across = right > 0 ? "right" : "left";
        String along = down > 0 ? "down" : "up";
        if (Math.abs(right) < HARDLY * Math.abs(down)) {
            return along;
        }
        return Math.abs(down) < HARDLY * Math.abs(right) ? "to the " + across : "to the " + across + " and " + along;
    }

    private static String mm(double mm) {
        return Numbers.text(mm, 1) + " mm";
    }

    private static String what(ProofFinding finding, PlacedDesign design) {
        return finding.part().flatMap(id -> design.parts().stream().filter(p -> p.part().id().equals(id)).findFirst())
                .map(p -> PartWords.the(p.part().title())).orElseGet(() -> name(finding.item(), design));
    }

    /** A thing by its name: a word by what is written. */
    private static String name(Optional<String> item, PlacedDesign design) {
        Optional<PlacedItem> placed = item.flatMap(design::item);
        return placed.map(p -> {
            if (p.item().subject() instanceof Subject.Word word) {
                return "\"" + word.text() + "\"";
            }
            return p.item().subject() instanceof Subject.Dots ? "the ring of dots" : "the " + p.motif().title().toLowerCase(Locale.ROOT);
        }).orElse("it");
    }
}
