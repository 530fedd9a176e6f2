package mosspebble.files;

/** Something outside could not be read or written: which file, where in it, what was found, and what to do. Nothing has been changed. */
public final class FileTrouble extends Exception {

    private final String place;
    private final String remedy;

    /**
     * @param place file, and line or element where known
     * @param found what is wrong, a sentence
     * @param remedy what to do, a sentence
     */
    public FileTrouble(String place, String found, String remedy) {
        super(place + ": " + found + " " + remedy);
        this.place = place;
        this.remedy = remedy;
    }

    public FileTrouble(String place, String found, String remedy, Throwable cause) {
        this(place, found, remedy);
        initCause(cause);
    }

    public String place() {
        return place;
    }

    public String remedy() {
        return remedy;
    }
}
