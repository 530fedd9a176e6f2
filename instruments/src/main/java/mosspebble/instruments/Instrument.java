package mosspebble.instruments;

/** Something on the bench that measures. */
public interface Instrument {

    /** Words for the screen: which one this is. */
    String label();

    /** Whether it is a stand-in that measures nothing. */
    default boolean simulated() {
        return false;
    }

    /** Words for its button, which say so if it is a stand-in. */
    default String button(String words) {
        return simulated() ? words + " (simulated)" : words;
    }
}
