package mosspebble.files;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.JsonNode;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.LinkOption;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.SQLException;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Base64;
import java.util.Locale;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import mosspebble.core.area.Remembered;
import mosspebble.core.book.Book;
import mosspebble.core.book.Page;
import mosspebble.core.colour.Palette;
import mosspebble.core.picture.Care;
import mosspebble.core.picture.LargePicture;
import mosspebble.core.colour.Lamp;
import mosspebble.core.picture.StonePicture;
import mosspebble.core.plan.PaintPlan;
import mosspebble.core.plan.StoneState;
import mosspebble.core.project.Project;
import mosspebble.core.project.Studio;
import mosspebble.core.project.Workshop;
import mosspebble.core.rules.Plans;
import mosspebble.core.sketch.OwnFile;
import mosspebble.core.stone.FoundStone;
import mosspebble.core.stone.Survey;

/**
 * A whole studio as open files, in a folder or a zip: each stone as JSON, its design as SVG and its picture as PNG, the shelf and the book
 * as JSON and as CSV, the days on which stones are to be looked at as a calendar, photos as they are, and the schemas of it all
 * (docs/studio-format.md). Taken in again it is the same studio; only the list of edits stays behind.
 */
public final class StudioFolder {

    /** What the index calls itself. */
    static final String FORMAT = "moss-pebble-studio";

    /** The first format that had a folder. */
    static final int FIRST = 11;

    private static final int PIXELS = 900;
    private static final double ROUND_MM = 14;
    private static final int LONGEST_INDEX = 4_000_000;
    private static final String AGAIN = "Nothing was changed. Take it from where it came once more.";
    private static final String INDEX = "studio.json";
    private static final List<String> SCHEMAS = List.of("studio", "stone", "found", "own", "page", "shelf", "tests", "room", "diary",
            "view", "plan");

    /** What lies in it, in its order. */
    record Index(String format, int version, List<String> stones, List<String> basket, List<String> own, List<String> pages) {

        Index {
            stones = List.copyOf(stones);
            basket = List.copyOf(basket);
            own = List.copyOf(own);
            pages = List.copyOf(pages);
            for (List<String> ids : List.of(stones, basket, own, pages)) {
                ids.forEach(FoundStone::checkId); // they become names of files
                if (Set.copyOf(ids).size() < ids.size()) {
                    throw new IllegalArgumentException("something is named twice");
                }
            }
        }

        static Index of(Studio studio, Book book) {
            return new Index(FORMAT, StudioFile.VERSION, studio.projects().stream().map(Project::id).toList(),
                    studio.basket().stream().map(FoundStone::id).toList(), studio.own().stream().map(OwnFile::id).toList(),
                    book.pages().stream().map(Page::id).toList());
        }
    }

    /** A studio that was taken in. @param file where it stands now */
    public record TakenIn(Path file, Studio studio, int pages) {}

    private StudioFolder() {}

    // --- out

    /**
     * Writes the studio into a folder of its own, or into a zip where the name ends in {@code .zip}; whole or not at all.
     *
     * @param progress told how far it is; false stops it
     * @param today for the days on which stones are to be looked at
     * @return whether it was written; false if it was stopped
     * @throws FileTrouble if it cannot be written, or something stands there already that is no zip
     */
    public static boolean write(Studio studio, BookKeeping book, Path to, LocalDate today, Sheets.Progress progress) throws FileTrouble {
        Path target = to.toAbsolutePath();
        boolean zip = target.toString().toLowerCase(Locale.ROOT).endsWith(".zip");
        if (zip ? Files.isDirectory(target) : Files.exists(target, LinkOption.NOFOLLOW_LINKS)) {
            throw new FileTrouble(to.toString(), "Something of that name stands there.", "Choose a name that is free.");
        }
        Path part = null;
        try {
            Files.createDirectories(target.getParent());
            part = Files.createTempDirectory(target.getParent(), ".studio-");
            Path folder = Files.createDirectory(part.resolve("studio"));
            if (!fill(folder, studio, book, today, progress)) {
                return false;
            }
            if (zip) {
                SafeWrite.write(target, out -> ZipFolder.zip(folder, out));
            } else {
                Files.move(folder, target);
            }
            return true;
        } catch (IOException e) {
            throw new FileTrouble(to.toString(), "The studio could not be written: " + SafeWrite.reason(e) + "; nothing is left half done.",
                    "Choose another folder or make room on the disk.", e);
        } finally {
            ZipFolder.remove(part);
        }
    }

    private static boolean fill(Path folder, Studio studio, BookKeeping keeping, LocalDate today, Sheets.Progress progress)
            throws IOException, FileTrouble {
        Book book = keeping.book();
        double all = studio.projects().size() * 4.0 + book.pages().size() + 1;
        double done = 0;
        json(folder.resolve(INDEX), Index.of(studio, book));
        for (Map.Entry<String, Object> each : StudioFile.settings(studio).entrySet()) {
            json(folder.resolve(each.getKey() + ".json"), each.getValue());
        }
        for (Project project : studio.projects()) {
            if (!progress.at(done / all, project.name())) {
                return false;
            }
            json(folder.resolve("stones").resolve(project.id() + ".json"), project);
            double here = done;
            if (!picture(project, studio, folder.resolve("stones"), (fraction, what) -> progress.at((here + 4 * fraction) / all, what))) {
                return false;
            }
            done += 4;
        }
        for (FoundStone stone : studio.basket()) {
            json(folder.resolve("basket").resolve(stone.id() + ".json"), stone);
        }
        for (OwnFile own : studio.own()) {
            json(folder.resolve("own").resolve(own.id() + ".json"), own);
            if (own.kind() == OwnFile.Kind.MOTIF) {
                bytes(folder.resolve("own").resolve(own.id() + ".svg"), own.content().getBytes(StandardCharsets.UTF_8));
            } else if (own.kind() == OwnFile.Kind.SHEET) {
                bytes(folder.resolve("own").resolve(own.id() + ".jpg"), Base64.getDecoder().decode(OwnFiles.sheet(own).jpeg()));
            } else if (own.kind() == OwnFile.Kind.FACE) {
                bytes(folder.resolve("own").resolve(own.id() + ".ttf"), Base64.getDecoder().decode(own.content()));
            }
        }
        for (Page page : book.pages()) {
            if (!progress.at(done++ / all, page.stone().name())) {
                return false;
            }
            page(folder.resolve("book"), page, keeping);
        }
        ShelfCsv.write(studio.shelf(), folder.resolve("shelf.csv"));
        if (!book.pages().isEmpty()) {
            BookFiles.csv(book, folder.resolve("book.csv"));
            BookFiles.calendar(book, today, ZoneId.systemDefault(), folder.resolve("looks.ics"));
        }
        for (String schema : SCHEMAS) {
            try (var in = BuiltIn.open("schemas/" + schema + ".schema.json")) {
                bytes(folder.resolve("schemas").resolve(schema + ".schema.json"), in.readAllBytes());
            }
        }
        return progress.at(1, "");
    }

    private static void page(Path book, Page page, BookKeeping keeping) throws IOException, FileTrouble {
        json(book.resolve(page.id() + ".json"), page);
        json(book.resolve("planned").resolve(page.id() + ".json"), keeping.planned(page.id()));
        Optional<byte[]> picture = keeping.picture(page.id());
        if (picture.isPresent()) {
            bytes(book.resolve("pictures").resolve(page.id() + ".png"), picture.get());
        }
        for (Page.Photo photo : page.photos()) {
            Optional<byte[]> small = keeping.photo(photo.id());
            if (small.isPresent()) {
                bytes(book.resolve("photos").resolve(photo.id() + ".jpg"), small.get());
            }
            Path original = keeping.photos().resolve(photo.original());
            if (Files.isRegularFile(original)) { // taken away by hand it is missed, and said so where the page is looked at
                Files.createDirectories(book.resolve("originals"));
                Files.copy(original, book.resolve("originals").resolve(photo.original()));
            }
        }
    }

    /** Design and picture, for other programs to show; a stone that cannot be planned goes without. */
    private static boolean picture(Project project, Studio studio, Path folder, Sheets.Progress progress) throws FileTrouble {
        PaintPlan plan;
        try {
            Workshop workshop = new Workshop(new Palette(studio.shelf()), OwnFiles.with(BuiltIn.repertoire(), studio.own()),
                    studio.climate(), studio.known());
            plan = Plans.plan(project, Survey.of(project.stone()), workshop, new Remembered(),
                    error -> Journal.trouble("planning a thing of a sketch", error));
        } catch (RuntimeException e) {
            Journal.trouble("planning a stone to draw it", e);
            return true;
        }
        DesignSvg.write(plan, folder.resolve(project.id() + ".svg"));
        return PictureFile.write(plan, new LargePicture.Wish(PIXELS, ROUND_MM, StoneState.DRY, Lamp.DAYLIGHT,
                new StonePicture.Shown(plan.steps().size(), 0, project.habits().light().from(), Care.FULL)), PictureFile.Ground.LINEN,
                folder.resolve(project.id() + ".png"), progress);
    }

    private static void json(Path file, Object value) throws IOException {
        try {
            bytes(file, StudioJson.shared().writerWithDefaultPrettyPrinter().writeValueAsBytes(value));
        } catch (JsonProcessingException e) {
            throw new IllegalStateException("a value of the core could not be written: " + value, e);
        }
    }

    private static void bytes(Path file, byte[] content) throws IOException {
        Files.createDirectories(file.getParent());
        try (OutputStream out = Files.newOutputStream(file)) {
            out.write(content);
        }
    }

    // --- in

    /**
     * Makes a new studio of such a folder or zip. Everything is looked through before it takes its place.
     *
     * @param studio file of the new studio; nothing may stand there
     * @throws FileTrouble if it is no studio, damaged, too large, or names files elsewhere; then nothing has changed
     */
    public static TakenIn read(Path from, Path studio) throws FileTrouble {
        Path target = studio.toAbsolutePath();
        if (Files.exists(target, LinkOption.NOFOLLOW_LINKS)) {
            throw new FileTrouble(studio.toString(), "Something of that name stands there.", "Choose a name that is free.");
        }
        if (Files.isDirectory(from)) {
            return taken(root(from, from), from, target);
        }
        Path part = null;
        try {
            Files.createDirectories(target.getParent());
            part = Files.createTempDirectory(target.getParent(), ".studio-");
            ZipFolder.unzip(from, part, ZipFolder.USUAL);
            return taken(root(part, from), from, target);
        } catch (IOException e) {
            throw new FileTrouble(from.toString(), "The studio cannot be taken in: " + SafeWrite.reason(e) + ".",
                    "Check the disk and that the folder may be written.", e);
        } finally {
            ZipFolder.remove(part);
        }
    }

    /** Where the index lies: there, or in the only folder in it, as a file manager packs it. */
    private static Path root(Path folder, Path from) throws FileTrouble {
        if (Files.isRegularFile(folder.resolve(INDEX), LinkOption.NOFOLLOW_LINKS)) {
            return folder;
        }
        try (var inside = Files.list(folder)) {
            List<Path> with = inside.filter(p -> Files.isRegularFile(p.resolve(INDEX), LinkOption.NOFOLLOW_LINKS)).limit(2).toList();
            if (with.size() == 1) {
                return with.get(0);
            }
        } catch (IOException e) {
            throw new FileTrouble(from.toString(), "The folder cannot be read.", "Check who may read it.", e);
        }
        throw new FileTrouble(from.toString(), "There is no studio in it: " + INDEX + " is missing.",
                "Choose a folder or a zip that was saved as open files.");
    }

    private static TakenIn taken(Path root, Path from, Path target) throws FileTrouble {
        Index index = read(root, INDEX, Index.class);
        if (!FORMAT.equals(index.format) || index.version < FIRST) {
            throw new FileTrouble(from.toString(), "This is no studio of Moss Pebble.", "Choose one that was saved as open files.");
        }
        if (index.version > StudioFile.VERSION) {
            throw new FileTrouble(from.toString(), "This studio was written by a newer Moss Pebble (format " + index.version
                    + ", this program knows " + StudioFile.VERSION + ").", "It is left untouched. Update the program.");
        }
        Path photos = StudioBook.photos(target);
        boolean whole = false;
        List<Path> copied = new ArrayList<>();
        try {
            Studio studio = StudioFile.make(target, index.version, connection -> {
                fill(connection, root, index);
                originals(root, index, photos, copied);
            });
            whole = true;
            return new TakenIn(target, studio, index.pages.size());
        } finally {
            if (!whole) {
                copied.forEach(ZipFolder::remove);
            }
        }
    }

    private static void fill(Connection connection, Path root, Index index) throws SQLException, FileTrouble {
        rows(connection, "project", root, "stones", index.stones);
        rows(connection, "found", root, "basket", index.basket);
        rows(connection, "own", root, "own", index.own);
        for (String key : List.of("shelf", "tests", "room", "diary", "view")) {
            StudioFile.run(connection, "INSERT INTO setting(key, document) VALUES(?, ?)", key, document(root, key + ".json"));
        }
        for (String id : index.pages) {
            byte[] picture = within(root, "book/pictures/" + id + ".png", BookRows.LARGEST_PICTURE).orElse(null);
            StudioFile.run(connection, "INSERT INTO page(id, document, planned, picture) VALUES(?, ?, ?, ?)", id,
                    document(root, "book/" + id + ".json"), document(root, "book/planned/" + id + ".json"), picture);
            for (String photo : photos(root, id)) {
                Optional<byte[]> small = within(root, "book/photos/" + photo + ".jpg", BookRows.LARGEST_PICTURE);
                if (small.isPresent()) { // one that is named by two pages stays with the first
                    StudioFile.run(connection, "INSERT OR IGNORE INTO photo(id, page, small) VALUES(?, ?, ?)", photo, id, small.get());
                }
            }
        }
    }

    private static List<String> photos(Path root, String page) throws FileTrouble {
        List<String> ids = new ArrayList<>();
        for (JsonNode photo : tree(root, "book/" + page + ".json").path("photos")) {
            ids.add(checked(photo.path("id").asText(), root));
        }
        return ids;
    }

    /** Originals are laid beside the studio, those that lie there already left as they are. */
    private static void originals(Path root, Index index, Path photos, List<Path> copied) throws FileTrouble {
        try {
            for (String page : index.pages) {
                for (JsonNode photo : tree(root, "book/" + page + ".json").path("photos")) {
                    String name = checked(photo.path("original").asText(), root);
                    Path original = root.resolve("book/originals").resolve(name);
                    Path beside = photos.resolve(name);
                    if (Files.isRegularFile(original, LinkOption.NOFOLLOW_LINKS) && !Files.exists(beside)) {
                        Files.createDirectories(photos);
                        copied.add(beside);
                        Files.copy(original, beside);
                    }
                }
            }
        } catch (IOException e) {
            throw new FileTrouble(photos.toString(), "The photos cannot be laid beside the studio: " + SafeWrite.reason(e) + ".",
                    "Make room on the disk, or choose another folder.", e);
        }
    }

    private static String checked(String name, Path root) throws FileTrouble {
        try {
            FoundStone.checkId(name);
            return name;
        } catch (IllegalArgumentException e) {
            throw new FileTrouble(root.toString(), "A photo is called \"" + Said.shortly(name, 40) + "\", which no photo of ours is.",
                    AGAIN,
                    e);
        }
    }

    private static void rows(Connection connection, String table, Path root, String folder, List<String> ids)
            throws SQLException, FileTrouble {
        for (int i = 0; i < ids.size(); i++) {
            StudioFile.run(connection, "INSERT INTO " + table + "(id, position, document) VALUES(?, ?, ?)", ids.get(i), i,
                    document(root, folder + "/" + ids.get(i) + ".json"));
        }
    }

    /** A document as it stands, brought into one line. */
    private static String document(Path root, String name) throws FileTrouble {
        return tree(root, name).toString();
    }

    private static JsonNode tree(Path root, String name) throws FileTrouble {
        return InFile.read(plain(root, name), StudioFile.LONGEST * 2L, AGAIN, (bytes, place) -> {
            try {
                return StudioJson.shared().readTree(bytes);
            } catch (JsonProcessingException | StackOverflowError e) {
                throw new FileTrouble(name, "The entry cannot be understood: it is not whole.", AGAIN, e);
            }
        });
    }

    private static <T> T read(Path root, String name, Class<T> type) throws FileTrouble {
        return InFile.read(plain(root, name), LONGEST_INDEX, AGAIN,
                (bytes, place) -> StudioJson.read(new String(bytes, StandardCharsets.UTF_8), type, name));
    }

    private static Path plain(Path root, String name) throws FileTrouble {
        Path file = root.resolve(name);
        if (!Files.isRegularFile(file, LinkOption.NOFOLLOW_LINKS)) {
            throw new FileTrouble(name, "This file is missing, or it is no plain file.", AGAIN);
        }
        return file;
    }

    private static Optional<byte[]> within(Path root, String name, int most) throws FileTrouble {
        Path file = root.resolve(name);
        return Files.isRegularFile(file, LinkOption.NOFOLLOW_LINKS)
                ? Optional.of(InFile.read(file, most, AGAIN, (bytes, place) -> bytes)) : Optional.empty();
    }
}
