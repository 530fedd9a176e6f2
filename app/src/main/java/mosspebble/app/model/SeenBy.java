package mosspebble.app.model;

import mosspebble.core.colour.Lamp;
import mosspebble.core.picture.Care;

/** By what light the stone on the cloth is looked at. */
public enum SeenBy {
    DAY(Lamp.DAYLIGHT, false, ""),
    WARM_LAMP(Lamp.WARM_LAMP, false, "by a warm lamp"),
    COOL_LAMP(Lamp.COOL_LED, false, "by a cool white LED"),
    /** Colours only, to judge them. */
    FLAT(Lamp.DAYLIGHT, true, "flat: colours without light");

    private final Lamp lamp;
    private final boolean flat;
    private final String words;

    SeenBy(Lamp lamp, boolean flat, String words) {
        this.lamp = lamp;
        this.flat = flat;
        this.words = words;
    }

    public Lamp lamp() {
        return lamp;
    }

    /** How it is to be drawn that would be drawn with so much care. */
    public Care care(Care otherwise) {
        return flat ? Care.FLAT : otherwise;
    }

    /** What to write beside it; empty by daylight. */
    public String words() {
        return words;
    }

    public SeenBy next() {
        return values()[(ordinal() + 1) % values().length];
    }
}
