package mosspebble.files;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.Statement;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.List;
import javax.imageio.ImageIO;
import mosspebble.core.book.Answers;
import mosspebble.core.book.Finished;
import mosspebble.core.book.Page;
import mosspebble.core.plan.PaintPlan;
import mosspebble.core.project.Diary;
import mosspebble.core.project.Project;
import mosspebble.core.project.Studio;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** The book in the studio's file: kept, copied and found again, and never lost with the file. */
class StudioBookTest {

    private static final List<BookKeeping.Kept> YEAR = Year.pages();

    @TempDir
    private Path folder;

    private Path file() {
        return folder.resolve("studio.pebble");
    }

    private StudioStore open() throws FileTrouble {
        return StudioStore.open(file(), LanternWalk::newcomer, () -> YEAR);
    }

    @Test
    void aYearOfStonesIsThereAgainPageByPage() throws Exception {
        Page changed;
        try (StudioStore store = open()) {
            BookKeeping book = store.book();
            assertThat(book.book().pages()).containsExactlyInAnyOrderElementsOf(YEAR.stream().map(BookKeeping.Kept::page).toList());
            for (BookKeeping.Kept kept : YEAR) {
                assertThat(book.planned(kept.page().id())).isEqualTo(kept.planned());
            }
            changed = YEAR.get(0).page().plus(new Page.Look(LocalDate.of(2026, 12, 1), Page.Look.State.DULL, "below", "at last"));
            book.change(changed);
            book.remove(YEAR.get(1).page().id());
            book.keepPicture(YEAR.get(2).page().id(), new byte[] {1, 2, 3});
            store.commit(store.studio().withView(store.studio().unit(), true), "another edit");
        }
        try (StudioStore again = open()) {
            assertThat(again.book().book().pages()).hasSize(YEAR.size() - 1).contains(changed);
            assertThat(again.book().picture(YEAR.get(2).page().id())).hasValueSatisfying(p -> assertThat(p).containsExactly(1, 2, 3));
            assertThat(again.book().picture(YEAR.get(3).page().id())).isEmpty();
            assertThatThrownBy(() -> again.book().planned(YEAR.get(1).page().id())).isInstanceOf(FileTrouble.class)
                    .hasMessageContaining("not there any more");
            assertThatThrownBy(() -> again.book().add(YEAR.get(0))).as("twice the same page").isInstanceOf(FileTrouble.class);
            assertThat(again.book().book().pages()).hasSize(YEAR.size() - 1);
        }
    }

    @Test
    void theDemosYearHasAtLeastTwentyFiveStonesAndSomeFailuresAmongThem() {
        List<Page> pages = YEAR.stream().map(BookKeeping.Kept::page).toList();
        assertThat(pages).hasSizeGreaterThanOrEqualTo(25);
        assertThat(pages).allSatisfy(p -> assertThat(p.made().finished()).isBetween("2025-12-01", "2026-11-26"));
        assertThat(pages.stream().flatMap(p -> p.looks().stream()).filter(l -> l.state().worn())).hasSizeGreaterThan(5);
        assertThat(Answers.failures(pages)).extracting(Answers.Behaved::product).contains("ink-black", "pen-gold");
        assertThat(Answers.sales(pages)).hasSizeGreaterThan(5);
    }

    @Test
    void aCopyAndADaysCopyHoldTheBook() throws Exception {
        Path copy = folder.resolve("copy.pebble");
        Path day;
        try (StudioStore store = open()) {
            store.book().keepPicture("y-key", new byte[] {9});
            store.copyTo(copy, store.studio());
            day = store.keepDailyCopy().orElseThrow();
        }
        for (Path each : List.of(copy, day)) {
            Path taken = folder.resolve("taken-" + each.getFileName());
            Files.copy(each, taken);
            try (StudioStore there = StudioStore.open(taken, LanternWalk::newcomer)) {
                assertThat(there.book().book().pages()).as(each.toString()).hasSize(YEAR.size());
                assertThat(there.book().picture("y-key")).isPresent();
            }
        }
    }

    @Test
    void whenTheFileIsTakenAwayItsBookIsWrittenAnewWithIt() throws Exception {
        try (StudioStore store = open()) {
            store.book().remove("y-key");
            Files.delete(file());
            Files.deleteIfExists(Path.of(file() + "-wal"));
            assertThat(store.watch()).isTrue();
            assertThat(store.takeNote()).contains("nothing is lost");
            assertThat(store.book().book().pages()).hasSize(YEAR.size() - 1);
            store.book().remove("y-bear");
        }
        try (StudioStore again = open()) {
            assertThat(again.book().book().pages()).hasSize(YEAR.size() - 2);
        }
    }

    @Test
    void aPhotoIsShrunkInsideAndLiesBesideAsItWas() throws Exception {
        Path photo = folder.resolve("Sill.JPG");
        BufferedImage large = new BufferedImage(1600, 1200, BufferedImage.TYPE_INT_RGB);
        for (int y = 0; y < 1200; y++) {
            for (int x = 0; x < 1600; x++) {
                large.setRGB(x, y, x < 800 ? 0xC02020 : 0x2020C0);
            }
        }
        ImageIO.write(large, "jpg", photo.toFile());
        byte[] original = Files.readAllBytes(photo);
        try (StudioStore store = open()) {
            Page page = store.book().addPhoto(YEAR.get(0).page(), photo, LocalDate.of(2026, 6, 1), "on the sill");
            Page.Photo kept = page.photos().get(0);
            assertThat(Files.readAllBytes(store.book().photos().resolve(kept.original()))).isEqualTo(original);
            BufferedImage small = ImageIO.read(new ByteArrayInputStream(store.book().photo(kept.id()).orElseThrow()));
            assertThat(Math.max(small.getWidth(), small.getHeight())).isLessThanOrEqualTo(640);
            assertThat(small.getWidth()).isEqualTo(small.getHeight() * 4 / 3);
            assertThat(small.getRGB(10, 10) >> 16 & 255).as("red at the left").isGreaterThan(150);
            assertThat(small.getRGB(small.getWidth() - 10, 10) & 255).as("blue at the right").isGreaterThan(150);
            assertThat(store.book().book().page(page.id()).orElseThrow().photos()).containsExactly(kept);

            Path none = Files.writeString(folder.resolve("words.jpg"), "no photo");
            assertThatThrownBy(() -> store.book().addPhoto(page, none, LocalDate.of(2026, 6, 1), "")).isInstanceOf(FileTrouble.class)
                    .hasMessageContaining("neither PNG nor JPEG");
            assertThatThrownBy(() -> store.book().addPhoto(page, folder.resolve("gone.jpg"), LocalDate.of(2026, 6, 1), ""))
                    .isInstanceOf(FileTrouble.class);
            assertThat(store.book().book().page(page.id()).orElseThrow().photos()).hasSize(1);
            store.book().remove(page.id());
            assertThat(store.book().photo(kept.id())).isEmpty();
            assertThat(store.book().photos().resolve(kept.original())).as("an original is never taken away").exists();
        }
    }

    @Test
    void aDamagedPageIsNamedAndNothingElseIsTouched() throws Exception {
        open().close();
        try (Connection sql = DriverManager.getConnection("jdbc:sqlite:" + file()); Statement change = sql.createStatement()) {
            change.execute("UPDATE page SET document = replace(document, '2026-02-07', 'some day') WHERE id = 'y-key'");
        }
        try (StudioStore store = open()) {
            assertThatThrownBy(() -> store.book().book()).isInstanceOf(FileTrouble.class).hasMessageContaining("y-key");
            assertThat(store.studio()).isEqualTo(LanternWalk.newcomer());
        }
    }

    @Test
    void aFinishedStoneWritesItsOwnPage() {
        Studio studio = LanternWalk.studio(BuiltIn.repertoire());
        ZoneId zone = ZoneId.of("UTC");
        LocalDate today = LocalDate.of(2026, 11, 27);
        Project owl = studio.project("owl").orElseThrow();
        PaintPlan plan = WalkPlans.of(owl);
        Page page = Finished.page("owl", plan, studio, List.of("Owl keeping a lamp"), today, zone);

        assertThat(page.made().timed()).isFalse();
        assertThat(page.made().handMinutes() * 60).isEqualTo(plan.handTime().toSeconds());
        assertThat(page.made().sealer()).isEqualTo("varnish");
        assertThat(page.made().begun()).isEqualTo(page.made().finished()).isEqualTo(today);
        assertThat(page.used()).extracting(Page.Used::paint).contains("rust", "umber", "varnish");
        assertThat(page.stone().lengthMm()).isEqualTo(96);

        Instant friday = Instant.parse("2026-11-20T19:00:00Z");
        Diary diary = studio.diary();
        for (int i = 0; i < 10; i++) { // 15 minutes each, one of them spoiled; a deed left open over night has no time
            diary = diary
                    .plus(new Diary.Deed("owl", "FRONT FILL x" + i, 0, friday.plusSeconds(1000L * i), friday.plusSeconds(1000L * i + 900),
                            i == 3));
        }
        diary = diary.plus(new Diary.Deed("owl", "FRONT SEAL", 0, friday.plusSeconds(86_400), friday.plusSeconds(86_400 * 2), false))
                .plus(new Diary.Deed("fox", "FRONT FILL", 0, friday, friday.plusSeconds(9000), false));
        Page timed = Finished.page("owl", plan, studio.withDiary(diary), List.of(), today, zone);
        assertThat(timed.made().timed()).isTrue();
        assertThat(timed.made().handMinutes()).isEqualTo(150);
        assertThat(timed.made().plannedMinutes()).isEqualTo(page.made().handMinutes());
        assertThat(timed.made().begun()).isEqualTo("2026-11-20");
        assertThat(timed.made().finished()).isEqualTo("2026-11-22");
        assertThat(timed.events()).hasSize(1);
    }
}
