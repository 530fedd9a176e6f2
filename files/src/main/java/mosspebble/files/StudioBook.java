package mosspebble.files;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.Locale;
import java.util.Optional;
import java.util.UUID;
import mosspebble.core.book.Book;
import mosspebble.core.book.Page;
import mosspebble.core.photo.Photo;
import mosspebble.core.project.Project;

/** The book in the studio's own file, and its photos in a folder beside it. */
final class StudioBook implements BookKeeping {

    /** Longer side of the copies inside, pixels. */
    private static final int SMALL = 640;

    private final StudioStore store;

    StudioBook(StudioStore store) {
        this.store = store;
    }

    @Override
    public Book book() throws FileTrouble {
        return store.withBook("The book", false, c -> BookRows.load(c, store.file()));
    }

    @Override
    public Project planned(String page) throws FileTrouble {
        return store.withBook("What was planned", false, c -> BookRows.planned(c, store.file(), page));
    }

    @Override
    public void add(Kept kept) throws FileTrouble {
        store.withBook("The page", true, c -> {
            BookRows.add(c, kept.page(), kept.planned());
            return kept;
        });
    }

    @Override
    public void change(Page page) throws FileTrouble {
        store.withBook("The page", true, c -> {
            BookRows.change(c, page);
            return page;
        });
    }

    @Override
    public void remove(String page) throws FileTrouble {
        store.withBook("That the page is taken out", true, c -> {
            BookRows.remove(c, page);
            return page;
        });
    }

    @Override
    public Optional<byte[]> picture(String page) throws FileTrouble {
        return store.withBook("The picture", false, c -> BookRows.picture(c, page));
    }

    @Override
    public void keepPicture(String page, byte[] png) throws FileTrouble {
        if (png.length <= BookRows.LARGEST_PICTURE) {
            store.withBook("The picture", true, c -> {
                BookRows.picture(c, page, png);
                return page;
            });
        }
    }

    @Override
    public Optional<byte[]> photo(String photo) throws FileTrouble {
        return store.withBook("The photo", false, c -> BookRows.photo(c, photo));
    }

    @Override
    public Page addPhoto(Page page, Path photo, LocalDate taken, String words) throws FileTrouble {
        Photo read = PhotoFile.read(photo); // which also says if it is no photo, or too large
        byte[] small = PhotoFile.shrunk(read, SMALL);
        if (small.length > BookRows.LARGEST_PICTURE) {
            throw new FileTrouble(photo.toString(), "Even shrunk, this photo is too large to keep.", "Save it as a JPEG with less detail.");
        }
        String id = "photo-" + UUID.randomUUID();
        String name = photo.getFileName().toString().toLowerCase(Locale.ROOT);
        String original = id + (name.endsWith(".png") ? ".png" : ".jpg");
        Page with = page.plus(new Page.Photo(id, taken, original, words));
        Path beside = photos().resolve(original);
        try {
            byte[] whole = Files.readAllBytes(photo);
            SafeWrite.write(beside, out -> out.write(whole));
        } catch (IOException e) {
            throw new FileTrouble(photo.toString(), "The photo cannot be read: " + SafeWrite.reason(e) + ".", "Copy it again.", e);
        }
        store.withBook("The photo", true, c -> {
            BookRows.addPhoto(c, id, page.id(), small);
            BookRows.change(c, with);
            return with;
        });
        return with;
    }

    @Override
    public Path photos() {
        return photos(store.file());
    }

    /** The folder of originals beside a studio. */
    static Path photos(Path studio) {
        String name = studio.getFileName().toString();
        return studio.resolveSibling(name.replaceFirst("\\.pebble$", "") + "-photos");
    }
}
