package mosspebble.core.words;

import mosspebble.core.photo.PhotoFinding;
import mosspebble.core.units.Facts;
import mosspebble.core.units.Numbers;

/** The words about what is odd in a photo. */
public final class PhotoWords {

    private PhotoWords() {}

    /** What is odd, what it means and the way out. */
    public static String sentence(PhotoFinding finding) {
        Facts facts = finding.facts();
        return switch (finding.kind()) {
            case NO_CARD -> "The scale card is not in the picture, or too blurred to read. Lay the printed card flat beside the stones, or "
                    + "mark two points a known distance apart.";
            case CARD_PARTLY_HIDDEN -> "Only " + facts.count("seen") + " of the card's " + facts.count("marks") + " marks can be read"
                    + (facts.count("seen") == 1 ? "; far from it lengths may be off by 2 %" : "")
                    + ". Uncover the card and photograph again, or check one length with callipers.";
            case CARD_UNEVEN -> "The card's corners are off by " + Numbers.text(facts.number("offMm"), 1)
                    + " mm: it is bent, or printed at another size. Press it flat and check its 50 mm ruler.";
            case LEANED -> "The camera leaned by " + Numbers.text(facts.number("degrees"), 0)
                    + "°. From straight above, outlines are truest; photograph again or check one length with callipers.";
            case BLURRED -> "The picture is blurred: an edge is " + Numbers.text(facts.number("edgeMm"), 1)
                    + " mm wide. Rest the camera on something, let it focus, and photograph again.";
            case TOUCHES_EDGE -> "A stone touches the edge of the picture, so its outline is not whole. Step back, or move it in, and "
                    + "photograph again.";
            case TOUCHES_ANOTHER -> "Two stones seem to touch. Move them apart and photograph again, or draw a line between them to cut "
                    + "them apart.";
            case SHADOW -> "About " + Numbers.text(100 * facts.number("soft"), 0)
                    + " % of the edge is soft, as a shadow's is. Light the sheet from two sides, or take a coloured sheet; check the "
                    + "edge with callipers.";
            case NO_STONES -> "No stone stands out from the sheet. Lay pale stones on a blue or green sheet, keep the light off the "
                    + "camera's side, and photograph again.";
            case PALE_SHEET -> "The sheet is grey or white: on it a shadow can be taken for stone and pale stones vanish. A blue or green "
                    + "sheet tells them apart; else check every edge on the shadow side.";
            case SCALE_BY_HAND -> "The scale is from two marked points: perspective is not taken out. Lengths may be off by 3 %; measure "
                    + "one with callipers.";
            case FOLDED -> "The outline folds back on itself; its hollows are bridged over. Drag the points where that is wrong.";
            case SMALL -> "This stone is small in the picture: its area may be off by more than 1 %. Go closer, or check its length with "
                    + "callipers.";
            case ASIDE -> "This stone is seen from aside, so its side hides where its edge is. Move it beneath the camera, or check its "
                    + "length with callipers.";
        };
    }
}
