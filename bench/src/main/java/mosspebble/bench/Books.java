package mosspebble.bench;

import java.io.File;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import mosspebble.core.book.Book;
import mosspebble.files.BookKeeping;
import mosspebble.files.BuiltIn;
import mosspebble.files.FileTrouble;
import mosspebble.files.LanternWalk;
import mosspebble.files.StudioStore;

/** A book of many years: how long it takes to read it and to find something in it. */
final class Books {

    private static final int PAGES = 2000;

    private Books() {}

    static void print(Figures figures) throws Exception {
        List<BookKeeping.Kept> year = LanternWalk.book(BuiltIn.repertoire());
        List<BookKeeping.Kept> pages = new ArrayList<>();
        for (int i = 0; i < PAGES; i++) {
            BookKeeping.Kept one = year.get(i % year.size());
            pages.add(new BookKeeping.Kept(one.page().withId("page-" + i), one.planned()));
        }
        Path folder = Files.createTempDirectory("moss-pebble-book");
        try (StudioStore store = StudioStore.open(folder.resolve("book.pebble"), LanternWalk::newcomer, () -> pages)) {
            BookKeeping keeping = store.book();
            Book all = keeping.book();
            figures.millis("a book of 2,000 pages: read", Bench.times(0, 20, () -> read(keeping)), Figures.Goal.median(1000));
            figures.millis("a book of 2,000 pages: searched for two words, while one types",
                    Bench.times(3, 20, () -> all.found("gran slea")), Figures.Goal.median(100));
        }
        try (var files = Files.walk(folder)) {
            files.sorted(Comparator.reverseOrder()).map(Path::toFile).forEach(File::delete);
        }
    }

    private static Book read(BookKeeping keeping) {
        try {
            return keeping.book();
        } catch (FileTrouble e) {
            throw new IllegalStateException(e);
        }
    }
}
