package mosspebble.files;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.PreparedStatement;
import java.sql.Statement;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.CountDownLatch;
import mosspebble.core.book.Book;
import mosspebble.core.book.Page;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** A book that somebody has meddled with, and one that is written while other things are. */
class BookRowsTest {

    private static final List<BookKeeping.Kept> YEAR = Year.pages();

    @TempDir
    private Path folder;
    private Path file;

    @BeforeEach
    void aStudioWithABook() throws Exception {
        file = folder.resolve("studio.pebble");
        StudioStore.open(file, LanternWalk::newcomer, () -> YEAR).close();
    }

    private void meddle(String statement, Object... values) throws Exception {
        try (Connection sql = DriverManager.getConnection("jdbc:sqlite:" + file);
                PreparedStatement change = sql.prepareStatement(statement)) {
            for (int i = 0; i < values.length; i++) {
                change.setObject(i + 1, values[i]);
            }
            change.executeUpdate();
        }
    }

    private StudioStore open() throws FileTrouble {
        return StudioStore.open(file, LanternWalk::newcomer);
    }

    @Test
    void aPageThatCallsItselfOtherwiseIsRefused() throws Exception {
        meddle("UPDATE page SET id = 'y-kettle-2' WHERE id = 'y-kettle'");
        try (StudioStore store = open()) {
            assertThatThrownBy(() -> store.book().book()).isInstanceOf(FileTrouble.class).hasMessageContaining("calls itself")
                    .hasMessageContaining("y-kettle");
        }
    }

    @Test
    void aPageThatIsFarTooLongIsNotReadIntoMemory() throws Exception {
        meddle("UPDATE page SET document = ? WHERE id = 'y-kettle'", "x".repeat(2_000_001));
        try (StudioStore store = open()) {
            assertThatThrownBy(() -> store.book().book()).isInstanceOf(FileTrouble.class).hasMessageContaining("million letters");
        }
    }

    @Test
    void whatCannotBeOnAPageIsRefusedWithTheReason() throws Exception {
        String[][] wrong = {{"\"handMinutes\":70.0", "\"handMinutes\":-70.0"}, {"\"lengthMm\":112.0", "\"lengthMm\":0.0"},
            {"\"place\":\"SOLD\"", "\"place\":\"STOLEN\""}, {"\"price\":14.0", "\"price\":-14.0"}, {"\"looks\":[]", "\"looks\":7"}};
        for (String[] each : wrong) {
            meddle("UPDATE page SET document = replace(document, ?, ?) WHERE id = 'y-key'", each[0], each[1]);
            try (StudioStore store = open()) {
                assertThatThrownBy(() -> store.book().book()).as(each[1]).isInstanceOf(FileTrouble.class).hasMessageContaining("y-key");
                assertThat(store.studio()).as("the studio itself opens").isEqualTo(LanternWalk.newcomer());
            }
            meddle("UPDATE page SET document = replace(document, ?, ?) WHERE id = 'y-key'", each[1], each[0]);
        }
        try (StudioStore store = open()) {
            assertThat(store.book().book().pages()).hasSize(YEAR.size());
        }
    }

    @Test
    void aDamagedPlanSpoilsOnePageOnly() throws Exception {
        meddle("UPDATE page SET planned = substr(planned, 1, 40) WHERE id = 'y-key'");
        try (StudioStore store = open()) {
            assertThat(store.book().book().page("y-key")).isPresent();
            assertThatThrownBy(() -> store.book().planned("y-key")).isInstanceOf(FileTrouble.class).hasMessageContaining("y-key");
            assertThat(store.book().planned("y-bear").name()).isEqualTo("Sleeping bear");
        }
    }

    @Test
    void aPictureThatIsTooLargeIsNoneAndIsNotKept() throws Exception {
        meddle("UPDATE page SET picture = zeroblob(500000) WHERE id = 'y-key'");
        try (StudioStore store = open()) {
            assertThat(store.book().picture("y-key")).isEmpty();
            store.book().keepPicture("y-bear", new byte[BookRows.LARGEST_PICTURE + 1]);
            assertThat(store.book().picture("y-bear")).isEmpty();
            assertThat(store.book().photo("photo-of-old")).isEmpty();
        }
    }

    @Test
    void aTriggerOnTheBookIsRefusedLikeAnyOther() throws Exception {
        try (Connection sql = DriverManager.getConnection("jdbc:sqlite:" + file); Statement change = sql.createStatement()) {
            change.execute("CREATE TRIGGER sly AFTER UPDATE ON page BEGIN DELETE FROM project; END");
        }
        assertThatThrownBy(this::open).isInstanceOf(FileTrouble.class).hasMessageContaining("trigger").hasMessageContaining("sly");
    }

    @Test
    void theBookIsWrittenWhileStonesAreEditedAndNeitherIsLost() throws Exception {
        int edits = 40;
        try (StudioStore store = open()) {
            CountDownLatch begun = new CountDownLatch(1);
            List<Throwable> wrong = new ArrayList<>();
            Thread writer = new Thread(() -> {
                try {
                    begun.await();
                    for (int i = 0; i < edits; i++) {
                        Page page = YEAR.get(0).page().plus(new Page.Look(LocalDate.of(2027, 1, 1).plusDays(i), Page.Look.State.LIKE_NEW,
                                "", "look " + i));
                        store.book().change(page);
                        store.book().add(new BookKeeping.Kept(YEAR.get(1).page().withId("more-" + i), YEAR.get(1).planned()));
                    }
                } catch (FileTrouble | InterruptedException | RuntimeException e) {
                    wrong.add(e);
                }
            });
            writer.start();
            begun.countDown();
            for (int i = 0; i < edits; i++) {
                store.commit(store.studio().withView(store.studio().unit(), i % 2 == 0), "edit " + i);
            }
            writer.join();
            assertThat(wrong).isEmpty();
        }
        try (StudioStore again = open()) {
            Book book = again.book().book();
            assertThat(book.pages()).hasSize(YEAR.size() + edits);
            assertThat(book.page(YEAR.get(0).page().id()).orElseThrow().lastLook().orElseThrow().words()).isEqualTo("look " + (edits - 1));
            assertThat(again.studio().evening()).isFalse();
        }
    }

    @Test
    void aSecondProgramCannotWriteIntoTheBookMeanwhile() throws Exception {
        try (StudioStore store = open()) {
            store.book().change(YEAR.get(0).page());
            assertThatThrownBy(this::open).isInstanceOf(FileTrouble.class).hasMessageContaining("already open");
        }
    }

    @Test
    void theBookOfAStudioThatIsClosedIsNotWritten() throws Exception {
        StudioStore store = open();
        BookKeeping book = store.book();
        store.close();
        assertThatThrownBy(() -> book.change(YEAR.get(0).page())).isInstanceOf(IllegalStateException.class);
        assertThat(Files.exists(Path.of(file + "-wal"))).isFalse();
    }
}
