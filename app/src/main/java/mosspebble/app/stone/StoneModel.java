package mosspebble.app.stone;

import javafx.beans.property.BooleanProperty;
import javafx.beans.property.IntegerProperty;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.SimpleBooleanProperty;
import javafx.beans.property.SimpleIntegerProperty;
import javafx.beans.property.SimpleObjectProperty;
import mosspebble.core.stone.Patch;

/** What the painter looks at and has in hand while getting to know a stone; none of it is kept. */
public final class StoneModel {

    /** Matters of the Stone stage. */
    public enum Page {
        OUTLINE("Outline"), DOME("Dome"), WEIGH("Weigh"), ROCK("Rock"), SKIN("Skin"), MARKS("Marks"), SEEN("Seen"), SUITS("Suits"),
        READY("Ready"), FOUND("Found");

        private final String label;

        Page(String label) {
            this.label = label;
        }

        public String label() {
            return label;
        }

        /** Whether length, width and height stand above it. */
        public boolean measures() {
            return this == OUTLINE || this == DOME || this == WEIGH;
        }

        /** Whether what follows from them stands above it too. */
        public boolean follows() {
            return this == OUTLINE || this == WEIGH;
        }
    }

    /** What shall look straight or round. */
    public enum Guide { NONE, LINE, RING }

    private final ObjectProperty<Page> page = new SimpleObjectProperty<>(Page.OUTLINE);
    private final ObjectProperty<Guide> guide = new SimpleObjectProperty<>(Guide.LINE);
    private final ObjectProperty<double[]> guideAt = new SimpleObjectProperty<>(new double[] {0, 0});
    private final ObjectProperty<Patch.Kind> placing = new SimpleObjectProperty<>();
    private final IntegerProperty mark = new SimpleIntegerProperty(-1);
    private final BooleanProperty points = new SimpleBooleanProperty();

    public ObjectProperty<Page> pageProperty() {
        return page;
    }

    public ObjectProperty<Guide> guideProperty() {
        return guide;
    }

    /** Place of the guide on the stone, x and y in mm. */
    public ObjectProperty<double[]> guideAtProperty() {
        return guideAt;
    }

    /** Kind of mark that the next click on the stone makes; null for none. */
    public ObjectProperty<Patch.Kind> placingProperty() {
        return placing;
    }

    /** Number of the mark in hand; -1 for none. */
    public IntegerProperty markProperty() {
        return mark;
    }

    /** Whether the outline's points are shown to be dragged. */
    public BooleanProperty pointsProperty() {
        return points;
    }
}
