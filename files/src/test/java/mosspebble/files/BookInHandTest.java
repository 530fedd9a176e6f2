package mosspebble.files;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.nio.file.Path;
import java.time.LocalDate;
import java.util.List;
import mosspebble.core.book.Page;
import org.junit.jupiter.api.Test;

class BookInHandTest {

    private static final List<BookKeeping.Kept> YEAR = Year.pages();

    @Test
    void itKeepsAndForgetsLikeTheOneOnTheDisk() throws Exception {
        BookInHand book = new BookInHand(YEAR.subList(0, 3));
        Page first = YEAR.get(0).page();
        assertThat(book.book().pages()).hasSize(3);
        assertThat(book.planned(first.id())).isEqualTo(YEAR.get(0).planned());
        assertThatThrownBy(() -> book.add(YEAR.get(0))).isInstanceOf(FileTrouble.class);
        book.add(YEAR.get(5));
        Page sold = first.withGone(new Page.Gone(Page.Gone.Place.SOLD, false, "", 12, first.made().finished()));
        book.change(sold);
        assertThat(book.book().page(first.id())).hasValue(sold);
        assertThat(book.planned(first.id())).isEqualTo(YEAR.get(0).planned());
        byte[] picture = {1, 2};
        book.keepPicture(first.id(), picture);
        picture[0] = 9;
        assertThat(book.picture(first.id()).orElseThrow()).as("a copy of its own").containsExactly(1, 2);
        book.remove(first.id());
        assertThat(book.picture(first.id())).isEmpty();
        assertThat(book.book().pages()).hasSize(3);
        assertThatThrownBy(() -> book.planned(first.id())).isInstanceOf(FileTrouble.class).hasMessageContaining("no such page");
        assertThatThrownBy(() -> book.change(sold)).isInstanceOf(FileTrouble.class);
        assertThatThrownBy(() -> book.addPhoto(sold, Path.of("a.jpg"), LocalDate.of(2026, 6, 1), "")).isInstanceOf(FileTrouble.class);
    }
}
