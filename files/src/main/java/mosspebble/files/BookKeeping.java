package mosspebble.files;

import java.nio.file.Path;
import java.time.LocalDate;
import java.util.Optional;
import mosspebble.core.book.Book;
import mosspebble.core.book.Page;
import mosspebble.core.project.Project;

/** Keeps the painter's book. Every call reads or writes the disk, so none of them belongs on the interface thread. */
public interface BookKeeping {

    /** A page with what was planned for its stone. */
    record Kept(Page page, Project planned) {}

    /** All pages. */
    Book book() throws FileTrouble;

    /** What was planned for the stone of a page. */
    Project planned(String page) throws FileTrouble;

    void add(Kept kept) throws FileTrouble;

    /** Writes a page that is there already as it is now. */
    void change(Page page) throws FileTrouble;

    /** Takes a page out with its photos; their originals stay where they lie. */
    void remove(String page) throws FileTrouble;

    /** How the stone looks as planned, a PNG; empty while it was not drawn yet. */
    Optional<byte[]> picture(String page) throws FileTrouble;

    void keepPicture(String page, byte[] png) throws FileTrouble;

    /** The shrunk copy of a photo, a JPEG; empty where it is not there. */
    Optional<byte[]> photo(String photo) throws FileTrouble;

    /**
     * Lays a photo to a page: the file is copied beside the studio as it is, and a shrunk copy goes inside.
     *
     * @return the page with it
     */
    Page addPhoto(Page page, Path photo, LocalDate taken, String words) throws FileTrouble;

    /** The folder of originals. */
    Path photos();
}
