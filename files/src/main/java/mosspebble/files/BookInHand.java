package mosspebble.files;

import java.nio.file.Path;
import java.time.LocalDate;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import mosspebble.core.book.Book;
import mosspebble.core.book.Page;
import mosspebble.core.project.Project;

/** A book that is kept nowhere: beside a studio that is on no disk, as in the bench and in tests. It takes no photos. */
public final class BookInHand implements BookKeeping {

    private final Map<String, Kept> pages = new LinkedHashMap<>();
    private final Map<String, byte[]> pictures = new HashMap<>();

    public BookInHand(List<Kept> kept) {
        kept.forEach(k -> pages.put(k.page().id(), k));
    }

    @Override
    public synchronized Book book() {
        return new Book(pages.values().stream().map(Kept::page).toList());
    }

    @Override
    public synchronized Project planned(String page) throws FileTrouble {
        return kept(page).planned();
    }

    private Kept kept(String page) throws FileTrouble {
        return Optional.ofNullable(pages.get(page))
                .orElseThrow(() -> new FileTrouble(page, "There is no such page.", "Open the book again."));
    }

    @Override
    public synchronized void add(Kept kept) throws FileTrouble {
        if (pages.putIfAbsent(kept.page().id(), kept) != null) {
            throw new FileTrouble(kept.page().id(), "The book has this page already.", "Open the book again.");
        }
    }

    @Override
    public synchronized void change(Page page) throws FileTrouble {
        pages.put(page.id(), new Kept(page, kept(page.id()).planned()));
    }

    @Override
    public synchronized void remove(String page) {
        pages.remove(page);
        pictures.remove(page);
    }

    @Override
    public synchronized Optional<byte[]> picture(String page) {
        return Optional.ofNullable(pictures.get(page));
    }

    @Override
    public synchronized void keepPicture(String page, byte[] png) {
        pictures.put(page, png.clone());
    }

    @Override
    public Optional<byte[]> photo(String photo) {
        return Optional.empty();
    }

    @Override
    public Page addPhoto(Page page, Path photo, LocalDate taken, String words) throws FileTrouble {
        throw new FileTrouble(photo.toString(), "There is no studio on the disk beside which it could lie.", "Save the studio first.");
    }

    @Override
    public Path photos() {
        return Path.of(".");
    }
}
