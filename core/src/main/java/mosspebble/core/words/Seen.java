package mosspebble.core.words;

/** How a difference looks, in words; the figures stand behind them. Bounds: common practice, no source. */
final class Seen {

    /** Up to here nobody sees a difference, CIEDE2000. */
    private static final double UNSEEN = 1;
    /** Up to here only who looks for it. */
    private static final double GOOD_AS_GONE = 2.5;
    private static final double A_LITTLE = 6;

    /** L* from which stone or paint looks clearly darker than it was. */
    private static final double CLEARLY = 10;

    private Seen() {}

    /** What is left of something painted over, such as "is as good as gone". */
    static String left(double difference) {
        return difference <= UNSEEN ? "is gone" : difference <= GOOD_AS_GONE ? "is as good as gone"
                : difference <= A_LITTLE ? "still shows a little" : "still shows clearly";
    }

    /** How much darker something gets, by L*. */
    static String darker(double lightness) {
        return lightness < CLEARLY ? "a little darker" : "clearly darker";
    }

    /** How one colour looks beside another, by CIEDE2000. */
    static String beside(double difference) {
        return difference <= UNSEEN ? "the same to the eye" : difference <= GOOD_AS_GONE ? "a difference one must look for"
                : difference <= A_LITTLE ? "a little different" : "clearly different";
    }

    /** How two colours are told apart, by CIEDE2000. */
    static String apart(double difference) {
        return difference <= UNSEEN ? "cannot be told from" : difference <= A_LITTLE ? "hardly differs from" : "differs too little from";
    }
}
