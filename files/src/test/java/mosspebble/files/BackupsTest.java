package mosspebble.files;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.time.LocalDate;
import java.time.YearMonth;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Optional;
import mosspebble.core.project.Studio;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class BackupsTest {

    private static final Studio DEMO = LanternWalk.studio(BuiltIn.repertoire());

    @TempDir
    private Path folder;

    private Path file() {
        return folder.resolve("studio.pebble");
    }

    private static Clock on(LocalDate day) {
        return Clock.fixed(day.atTime(9, 0).toInstant(ZoneOffset.UTC), ZoneOffset.UTC);
    }

    private static Backups.Source of(Studio studio) {
        return part -> {
            StudioFile.make(part, studio);
            return studio;
        };
    }

    @Test
    void theLastTenDaysOfUseAreKeptAndThenOneAMonth() throws FileTrouble {
        LocalDate last = LocalDate.of(2026, 11, 25);
        Studio small = LanternWalk.newcomer();
        for (int back = 130; back >= 0; back -= back % 7 == 0 ? 3 : 2) { // not used every day
            Backups.of(file(), on(last.minusDays(back))).keep(of(small), false);
        }
        List<LocalDate> kept = Backups.of(file()).list().stream().map(Backups.Copy::day).toList();

        assertThat(kept.subList(0, 10)).as("ten days of use, the newest first").isSortedAccordingTo((a, b) -> b.compareTo(a))
                .startsWith(last);
        assertThat(kept.subList(10, kept.size())).as("then the last of each month").isNotEmpty();
        assertThat(kept.subList(10, kept.size()).stream().map(YearMonth::from)).doesNotHaveDuplicates();
        assertThat(kept).hasSizeBetween(13, 16);
    }

    @Test
    void aDaysCopyIsMadeOnceAndBroughtUpToDateAtTheEnd() throws FileTrouble {
        Studio evening;
        try (StudioStore store = StudioStore.open(file(), () -> DEMO)) {
            assertThat(store.keepDailyCopy()).isPresent();
            assertThat(store.keepDailyCopy()).isEmpty();
            evening = DEMO.without("owl");
            store.commit(evening, "Take off");
            assertThat(Backups.look(store.backups().list().get(0))).as("as it was in the morning").isEqualTo(DEMO);
        }
        assertThat(Backups.of(file()).list()).hasSize(1);
        assertThat(Backups.look(Backups.of(file()).list().get(0))).isEqualTo(evening);
    }

    @Test
    void aCopyThatIsNotLikeTheStudioIsNotKept() {
        Backups backups = Backups.of(file());
        assertThatThrownBy(() -> backups.keep(part -> {
            StudioFile.make(part, LanternWalk.newcomer());
            return DEMO;
        }, false)).hasMessageContaining("not like the studio");
        assertThat(backups.list()).isEmpty();
        assertThat(backups.folder()).isEmptyDirectory();
    }

    @Test
    void aCopyPutBackTakesThePlaceOfTheTroubledStudioWhichIsKept() throws Exception {
        try (StudioStore store = StudioStore.open(file(), () -> DEMO)) {
            store.keepDailyCopy();
        }
        Files.writeString(file(), "water got in");
        assertThatThrownBy(() -> StudioStore.open(file(), LanternWalk::newcomer)).isInstanceOf(FileTrouble.class);

        Backups backups = Backups.of(file());
        Optional<Path> aside = backups.restore(backups.list().get(0));

        assertThat(Files.readString(aside.orElseThrow())).isEqualTo("water got in");
        assertThat(aside.orElseThrow().getFileName()).hasToString("studio-troubled.pebble");
        try (StudioStore store = StudioStore.open(file(), LanternWalk::newcomer)) {
            assertThat(store.studio()).isEqualTo(DEMO);
            Backups.Copy copy = backups.list().get(0);
            assertThatThrownBy(() -> backups.restore(copy)).as("while it is open").hasMessageContaining("already open");
        }
    }

    @Test
    void aDamagedCopyIsNotPutBack() throws Exception {
        try (StudioStore store = StudioStore.open(file(), () -> DEMO)) {
            store.keepDailyCopy();
        }
        Backups backups = Backups.of(file());
        Backups.Copy copy = backups.list().get(0);
        byte[] bytes = Files.readAllBytes(copy.file());
        for (int i = 4096; i < bytes.length; i += 64) {
            bytes[i] ^= 0x55;
        }
        Files.write(copy.file(), bytes);
        byte[] before = Files.readAllBytes(file());
        assertThatThrownBy(() -> backups.restore(copy)).isInstanceOf(FileTrouble.class);
        assertThat(Files.readAllBytes(file())).isEqualTo(before);
    }

    @Test
    void filesThatAreNoCopiesOfOursAreNeitherListedNorTakenAway() throws Exception {
        Backups backups = Backups.of(file());
        Files.createDirectories(backups.folder());
        Path letter = Files.writeString(backups.folder().resolve("letter.pebble"), "mine");
        Path odd = Files.writeString(backups.folder().resolve("2026-99-99.pebble"), "mine");
        backups.keep(of(LanternWalk.newcomer()), false);
        assertThat(letter).exists();
        assertThat(odd).exists();
    }

    @Test
    void theStudioBegunInPlaceOfATroubledOneIsRememberedAndOnlyThatOne() throws Exception {
        Path second = Files.writeString(folder.resolve("studio-2.pebble"), "x");
        assertThat(Instead.of(file())).isEqualTo(file());
        Instead.remember(file(), second);
        assertThat(Instead.of(file())).isEqualTo(second);
        for (String hostile : List.of("../studio-2.pebble", "/etc/passwd", "", ".", "..", "studio.pebble", "no\u0000name",
                "x".repeat(5000))) {
            Files.writeString(folder.resolve("studio.pebble.instead"), hostile);
            assertThat(Instead.of(file())).as("a note that says \"%s\"", hostile.substring(0, Math.min(20, hostile.length())))
                    .isEqualTo(file());
        }
        Instead.remember(file(), second);
        Instead.forget(file());
        assertThat(Instead.of(file())).isEqualTo(file());
    }
}
