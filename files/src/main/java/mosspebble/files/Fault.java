package mosspebble.files;

import java.sql.SQLException;
import org.sqlite.SQLiteErrorCode;
import org.sqlite.SQLiteException;

/** What a failed statement of the database comes to, for the one who reads about it. */
enum Fault {
    FULL, NO_PERMISSION, IN_USE, DAMAGED, OTHER;

    /** By the database's primary result code (SQLite, "Result and Error Codes"). */
    static Fault of(SQLException e) {
        for (Throwable each = e; each != null; each = each.getCause()) {
            if (each instanceof SQLiteException sqlite) {
                return of(sqlite.getResultCode());
            }
        }
        return OTHER;
    }

    private static Fault of(SQLiteErrorCode code) {
        return switch (code.code & 255) {
            case 13 -> FULL; // SQLITE_FULL
            case 3, 8, 14, 23 -> NO_PERMISSION; // SQLITE_PERM, READONLY, CANTOPEN, AUTH
            case 5, 6, 15 -> IN_USE; // SQLITE_BUSY, LOCKED, PROTOCOL
            case 11, 26, 24 -> DAMAGED; // SQLITE_CORRUPT, NOTADB, FORMAT
            default -> OTHER;
        };
    }

    /** The reason within a sentence. */
    String reason() {
        return switch (this) {
            case FULL -> "the disk is full";
            case NO_PERMISSION -> "the file may not be written";
            case IN_USE -> "another program holds the file";
            case DAMAGED -> "the file is damaged";
            case OTHER -> "the disk does not answer as it should";
        };
    }
}
