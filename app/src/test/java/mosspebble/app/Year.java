package mosspebble.app;

import java.util.List;
import mosspebble.files.BookKeeping;
import mosspebble.files.BuiltIn;
import mosspebble.files.LanternWalk;

/** The demo's year in the book, made once for all tests of one process: its stones are fitted and measured for that. */
public final class Year {

    private static final List<BookKeeping.Kept> PAGES = List.copyOf(LanternWalk.book(BuiltIn.repertoire()));

    private Year() {}

    public static List<BookKeeping.Kept> pages() {
        return PAGES;
    }
}
