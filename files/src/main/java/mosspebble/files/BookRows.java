package mosspebble.files;

import java.nio.file.Path;
import java.sql.Connection;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import mosspebble.core.book.Book;
import mosspebble.core.book.Page;
import mosspebble.core.project.Project;

/**
 * The rows of the book in the studio's file, beside the studio's own and outside its undo. What was planned for a stone and what it looks
 * like stand in columns of their own, so that opening a book of thousands reads the pages alone.
 */
final class BookRows {

    static final String PAGE = "CREATE TABLE page(id TEXT PRIMARY KEY, document TEXT NOT NULL, planned TEXT NOT NULL, picture BLOB)";
    static final String PHOTO = "CREATE TABLE photo(id TEXT PRIMARY KEY, page TEXT NOT NULL, small BLOB NOT NULL)";

    /** Longest document of a page and of what was planned, characters. */
    private static final int LONGEST = 2_000_000;
    /** Largest picture kept inside, bytes. */
    static final int LARGEST_PICTURE = 400_000;
    /** Most pages read. */
    private static final int MOST = 20_000;

    private static final String RESTORE = "The studio is left untouched. Restore a copy.";

    private BookRows() {}

    static Book load(Connection connection, Path file) throws SQLException, FileTrouble {
        List<Page> pages = new ArrayList<>();
        try (Statement sql = connection.createStatement();
                ResultSet rows = sql.executeQuery("SELECT id, length(document), document FROM page LIMIT " + (MOST + 1))) {
            while (rows.next()) {
                String place = file + ", page " + Said.shortly(String.valueOf(rows.getString(1)), 60);
                if (rows.getLong(2) > LONGEST || pages.size() >= MOST) {
                    throw new FileTrouble(place, "The book has more than " + MOST + " pages, or a page of more than " + LONGEST / 1_000_000
                            + " million letters.", RESTORE);
                }
                Page page = StudioJson.read(rows.getString(3), Page.class, place);
                if (!page.id().equals(rows.getString(1))) {
                    throw new FileTrouble(place, "The page calls itself \"" + Said.shortly(page.id(), 60) + "\".", RESTORE);
                }
                pages.add(page);
            }
        }
        return new Book(pages);
    }

    static Project planned(Connection connection, Path file, String id) throws SQLException, FileTrouble {
        try (PreparedStatement sql = connection
                .prepareStatement("SELECT planned FROM page WHERE id = ? AND length(planned) <= " + LONGEST)) {
            sql.setString(1, id);
            try (ResultSet row = sql.executeQuery()) {
                if (!row.next()) {
                    throw new FileTrouble(file + ", page " + Said.shortly(id, 60), "What was planned for this stone is not there any more.",
                            RESTORE);
                }
                return StudioJson.read(row.getString(1), Project.class, file + ", page " + id);
            }
        }
    }

    static Optional<byte[]> picture(Connection connection, String id) throws SQLException {
        return blob(connection, "SELECT picture FROM page WHERE id = ? AND length(picture) <= " + LARGEST_PICTURE, id);
    }

    static Optional<byte[]> photo(Connection connection, String id) throws SQLException {
        return blob(connection, "SELECT small FROM photo WHERE id = ? AND length(small) <= " + LARGEST_PICTURE, id);
    }

    private static Optional<byte[]> blob(Connection connection, String query, String id) throws SQLException {
        try (PreparedStatement sql = connection.prepareStatement(query)) {
            sql.setString(1, id);
            try (ResultSet row = sql.executeQuery()) {
                return row.next() ? Optional.ofNullable(row.getBytes(1)) : Optional.empty();
            }
        }
    }

    static void add(Connection connection, Page page, Project planned) throws SQLException {
        run(connection, "INSERT INTO page(id, document, planned) VALUES(?, ?, ?)", page.id(), StudioJson.write(page),
                StudioJson.write(planned));
    }

    static void change(Connection connection, Page page) throws SQLException {
        run(connection, "UPDATE page SET document = ? WHERE id = ?", StudioJson.write(page), page.id());
    }

    static void picture(Connection connection, String id, byte[] picture) throws SQLException {
        run(connection, "UPDATE page SET picture = ? WHERE id = ?", picture, id);
    }

    static void addPhoto(Connection connection, String id, String page, byte[] small) throws SQLException {
        run(connection, "INSERT INTO photo(id, page, small) VALUES(?, ?, ?)", id, page, small);
    }

    static void remove(Connection connection, String id) throws SQLException {
        run(connection, "DELETE FROM photo WHERE page = ?", id);
        run(connection, "DELETE FROM page WHERE id = ?", id);
    }

    /** All rows of one file's book into another's, which has none of them; row by row, so that photos do not fill the memory. */
    static void copy(Connection from, Connection to) throws SQLException {
        try (Statement begin = to.createStatement()) {
            begin.execute("BEGIN IMMEDIATE");
            copy(from, to, "SELECT id, document, planned, picture FROM page",
                    "INSERT INTO page(id, document, planned, picture) VALUES(?, ?, ?, ?)");
            copy(from, to, "SELECT id, page, small FROM photo", "INSERT INTO photo(id, page, small) VALUES(?, ?, ?)");
            begin.execute("COMMIT");
        }
    }

    private static void copy(Connection from, Connection to, String query, String insert) throws SQLException {
        try (Statement sql = from.createStatement(); ResultSet rows = sql.executeQuery(query);
                PreparedStatement put = to.prepareStatement(insert)) {
            int columns = rows.getMetaData().getColumnCount();
            while (rows.next()) {
                for (int i = 1; i <= columns; i++) {
                    put.setObject(i, rows.getObject(i));
                }
                put.executeUpdate();
            }
        }
    }

    private static void run(Connection connection, String statement, Object... values) throws SQLException {
        try (PreparedStatement sql = connection.prepareStatement(statement)) {
            for (int i = 0; i < values.length; i++) {
                sql.setObject(i + 1, values[i]);
            }
            sql.executeUpdate();
        }
    }
}
