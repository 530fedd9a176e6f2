package mosspebble.files;

import java.util.List;

/** The book of the demo, which takes a second to write: once for all tests of one process. */
final class Year {

    private static final List<BookKeeping.Kept> PAGES = List.copyOf(LanternWalk.book(BuiltIn.repertoire()));

    private Year() {}

    static List<BookKeeping.Kept> pages() {
        return PAGES;
    }
}
