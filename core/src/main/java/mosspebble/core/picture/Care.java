package mosspebble.core.picture;

/** With how much care a picture is lit. */
public enum Care {
    /** Colours as they are, without light: to judge them. */
    FLAT,
    /** Form and relief, without what shines. */
    MATT,
    /** Form, relief and shine, without what needs its surroundings: while something moves. */
    QUICK,
    /** All of it. */
    FULL;

    /** Whether crumbs and tape are seen; colours are judged without what does not stay. */
    boolean showsLoose() {
        return this != FLAT;
    }
}
