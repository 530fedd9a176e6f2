package mosspebble.files;

/** Something outside could not be read or written: which file, where in it, what was found, and what to do. Nothing has been changed. */
public final class FileTrouble extends Exception {

    private final String place;
    private final String found;
    private final String remedy;
    private boolean passing;

    /**
     * @param place file, and line or element where known
     * @param found what is wrong, a sentence
     * @param remedy what to do, a sentence
     */
    public FileTrouble(String place, String found, String remedy) {
        super(place + ": " + found + " " + remedy);
        this.place = place;
        this.found = found;
        this.remedy = remedy;
    }

    public FileTrouble(String place, String found, String remedy, Throwable cause) {
        this(place, found, remedy);
        initCause(cause);
    }

    /** Marks trouble that ends by itself, such as a file that is in use. */
    FileTrouble thatPasses() {
        passing = true;
        return this;
    }

    /** Whether it ends by itself and nothing need be mended. */
    public boolean passes() {
        return passing;
    }

    public String place() {
        return place;
    }

    /** What is wrong, a sentence. */
    public String found() {
        return found;
    }

    /** Why, as the end of another sentence: what stands after the last colon of what was found. */
    public String reason() {
        String last = found.substring(found.lastIndexOf(": ") < 0 ? 0 : found.lastIndexOf(": ") + 2);
        return last.endsWith(".") ? last.substring(0, last.length() - 1) : last;
    }

    public String remedy() {
        return remedy;
    }
}
