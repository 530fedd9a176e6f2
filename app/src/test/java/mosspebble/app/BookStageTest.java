package mosspebble.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import java.time.Clock;
import java.time.Instant;
import java.time.ZoneOffset;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** A stone is written into the book, found again a year later, looked at and painted again, all in the window. */
class BookStageTest {

    @TempDir
    private Path folder;

    private Driver at(String day) throws Exception {
        return new Driver(folder.resolve("s.pebble"), Clock.fixed(Instant.parse(day + "T18:00:00Z"), ZoneOffset.UTC), "snail", "owl");
    }

    @Test
    void aFinishedStoneIsFoundAYearLaterAndPaintedAgain() throws Exception {
        try (Driver app = at("2026-11-27")) {
            app.click("#tray-snail");
            app.settled();
            app.keys(KeyCode.U);
            app.until("an empty book", () -> app.present("#book-empty"));
            app.click("#book-write");
            app.until("its page", () -> app.present("#book-page-name") && app.text("#book-page-name").equals("Snail with post"));
            app.click("#gone-garden");
            app.type("#gone-words", "by the letter box");
            app.click("#note-happened");
            app.click("#event-smeared");
            app.type("#event-product", "white pen");
            app.type("#event-words", "under the first coat of varnish");
            app.click("#event-note");
            app.until("noted", () -> app.robot.lookup(".book-bad").tryQuery().isPresent());
            app.type("#event-product", "marble dust");
            app.click("#event-note");
            assertThat(app.text("#book-problem")).contains("marble dust", "was not used", "white pen");
        }
        try (Driver later = at("2027-12-01")) {
            later.settled();
            later.until("the book asks", () -> later.text("#to-book").equals("Book · 1"));
            later.click("#to-book");
            later.type("#book-search", "letter smea");
            later.until("it is found", () -> later.present("#book-snail"));
            later.click("#book-search");
            later.keys(KeyCode.CONTROL, KeyCode.A);
            later.keys(KeyCode.DELETE);
            later.click("#due-snail");
            later.click("#look-dull");
            later.type("#look-where", "on the rim");
            later.click("#look-note");
            later.until("nothing waits", () -> later.text("#to-book").equals("Book"));
            later.click("#book-answers");
            assertThat(later.text("#book-said")).contains("Too few to tell", "1 stone outdoors");
            later.click("#ask-failed");
            later.until("what failed", () -> later.text("#book-said").contains("White pen failed on 1 of 1 stone"));
            later.click("#answer-snail");
            later.click("#note-more");
            later.click("#book-again");
            later.until("on the cloth", () -> later.text("#name").equals("Snail with post again"));
            assertThat(later.text("#notice")).contains("Last time: white pen smeared, under the first coat of varnish",
                    "after 12 months: seal dull on the rim");
        }
    }

    @Test
    void aPageIsTakenOutOnlyWhenAskedTwice() throws Exception {
        try (Driver app = at("2026-11-27")) {
            app.click("#tray-snail");
            app.settled();
            app.robot.interact(() -> app.does("Write this stone into the book"));
            app.until("its page", () -> app.present("#book-page-name") || app.present("#book-write"));
            if (app.present("#book-write")) { // the book was not read yet
                app.click("#book-write");
            }
            app.click("#note-more");
            app.click("#book-out");
            assertThat(app.text("#book-out")).isEqualTo("Take it out for good");
            app.click("#book-out");
            app.until("an empty book", () -> app.present("#book-empty"));
        }
        try (Driver again = at("2026-11-27")) {
            again.settled();
            again.keys(KeyCode.U);
            again.until("still empty", () -> again.present("#book-empty"));
        }
    }
}
