package mosspebble.app.control;

import javafx.stage.Screen;
import mosspebble.core.project.Studio.Comfort;
import mosspebble.core.units.Millimetres;

/** How many pixels of the interface a millimetre is: by the card that was laid on the screen, else as the screen says of itself. */
public final class TrueSize {

    private TrueSize() {}

    public static double pixelsPerMm(Comfort comfort) {
        return comfort.cardPx() > 0 ? comfort.cardPx() / Comfort.CARD_MM : Screen.getPrimary().getDpi() / Millimetres.PER_INCH;
    }
}
