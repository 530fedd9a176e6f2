package mosspebble.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import java.time.Clock;
import java.time.Instant;
import java.time.ZoneOffset;
import javafx.scene.Node;
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
            app.keys(KeyCode.DIGIT6);
            app.until("the column, which moves until all of it is there", () -> app.present("#into-book") && app.show().idle());
            app.click("#into-book");
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
            app.until("its page, also where the book was not read yet", () -> app.present("#book-page-name"));
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

    @Test
    void theDemosYearIsSearchedTurnedAndAsked() throws Exception {
        try (Driver app = Driver.ofTheWholeWalk(folder.resolve("walk.pebble"), Clock.fixed(Instant.parse("2026-11-27T18:00:00Z"),
                ZoneOffset.UTC))) {
            app.settled();
            app.until("the book is read", () -> app.text("#to-book").startsWith("Book ·"));
            app.keys(KeyCode.U);
            app.until("the shelf", () -> app.present("#book-y-toadstool"));
            assertThat(app.text("#book-count")).isEqualTo("27 stones");

            app.type("#book-search", "smeared whisk");
            app.until("one of them", () -> app.text("#book-count").equals("1 of 27 stones") && app.present("#book-y-mole"));
            app.click("#book-y-mole");
            app.until("its page", () -> app.present("#book-page-name") && app.text("#book-page-name").equals("Mole with a candle cap"));
            app.click("#book-next");
            assertThat(app.text("#book-page-name")).as("the only one that is found").isEqualTo("Mole with a candle cap");
            app.type("#book-search", "no such stone anywhere");
            app.until("none", () -> app.text("#book-count").equals("0 of 27 stones") && !app.present("#book-y-mole"));
            app.click("#book-search");
            app.keys(KeyCode.CONTROL, KeyCode.A);
            app.keys(KeyCode.DELETE);

            app.robot.interact(() -> app.does("Ask the book: What lasts?"));
            app.until("what lasts",
                    () -> app.present("#book-said") && app.text("#book-said").startsWith("Gloss varnish outdoors: 3 of 5 worn"));
            app.click("#ask-porous");
            app.until("porous stone", () -> app.text("#book-said").contains("on porous stone"));
            app.click("#ask-any-rock");
            app.click("#ask-indoors");
            app.until("indoors", () -> app.text("#book-said").contains("indoors"));
            String[][] asked = {{"#ask-takes", "of about the size of this one"}, {"#ask-failed", "Black alcohol ink pen failed on 2 of 2"},
                {"#ask-sold", "7 stones sold for 168.00"}, {"#ask-out", "27 stones in the book, 26 of them out of the house"}};
            for (String[] each : asked) {
                app.click(each[0]);
                app.until(each[1], () -> app.text("#book-said").contains(each[1]));
            }
            app.click("#answer-y-badger");
            app.until("the page behind it", () -> app.text("#book-page-name").equals("Badger with a lamp"));
        }
    }

    @Test
    void whatIsTypedOnAPageIsCheckedAndKept() throws Exception {
        Path file = folder.resolve("walk.pebble");
        Clock clock = Clock.fixed(Instant.parse("2026-11-27T18:00:00Z"), ZoneOffset.UTC);
        try (Driver app = Driver.ofTheWholeWalk(file, clock)) {
            app.settled();
            app.until("the book is read", () -> app.text("#to-book").startsWith("Book ·"));
            app.keys(KeyCode.U);
            app.click("#book-y-toadstool");
            app.until("the page", () -> app.present("#gone-sold"));
            assertThat(((Node) app.find("#gone-price")).getParent().isVisible()).as("it is still here").isFalse();
            app.click("#gone-sold");
            app.type("#gone-price", "a fortune");
            assertThat(app.text("#gone-price-problem")).contains("not a number");
            app.type("#gone-price", "-3");
            assertThat(app.text("#gone-price-problem")).contains("not below 0");
            app.type("#gone-price", "18,50");
            app.type("#gone-since", "yesterday");
            assertThat(app.text("#gone-since-problem")).contains("2026-05-01");
            app.type("#gone-since", "2026-11-20");
            app.click("#note-lasted");
            app.click("#look-chipped");
            app.type("#look-day", "2026-11-01");
            app.click("#look-note");
            assertThat(app.text("#book-problem")).as("before it was finished").contains("2026-11-01");
            app.type("#look-day", "2026-11-25");
            app.click("#look-note");
            app.click("#look-undo");
            app.click("#look-note");
        }
        try (Driver again = Driver.ofTheWholeWalk(file, clock)) {
            again.settled();
            again.until("the book is read", () -> again.text("#to-book").startsWith("Book ·"));
            again.keys(KeyCode.U);
            again.click("#book-y-toadstool");
            again.until("the price", () -> again.present("#gone-price") && again.text("#gone-price").equals("18.50"));
            assertThat(again.text("#gone-since")).isEqualTo("2026-11-20");
            assertThat(again.robot.lookup(".book-bad").queryAll()).hasSize(1);
        }
    }
}
