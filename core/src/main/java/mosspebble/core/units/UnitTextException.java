package mosspebble.core.units;

/** What was typed could not be read as a measure; the message says what was found and what would be understood. */
public final class UnitTextException extends Exception {

    private final int index;

    public UnitTextException(String message, int index) {
        super(message);
        this.index = index;
    }

    /** Position in the typed text, from 0. */
    public int index() {
        return index;
    }
}
