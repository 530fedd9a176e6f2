package mosspebble.torture;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** A short seeded part of each kind of torture; the long runs are {@code ./pebble torture}, their figures in docs/reliability.md. */
class TortureTest {

    @ParameterizedTest
    @CsvSource({"FILES, 1", "KILLS, 1", "DISK, 2", "FUZZ, 25", "WINDOW, 1", "LONG, 20"})
    void nothingIsLostLeftHalfOrUnclear(Torture.Kind kind, int runs) throws Exception {
        Tally tally = Torture.run(kind, 20261125, runs, 1);

        assertThat(tally.line()).startsWith("lost 0, unopened 0, half 0, unclear 0, slow "); // how long it takes is no matter for a test
    }

    @Test
    void theSameSeedGivesTheSameEditsAndAnotherSeedOthers() {
        Edits one = new Edits(3);
        Edits same = new Edits(3);
        Edits other = new Edits(4);
        var studio = Child.fresh().get();
        var a = studio;
        var b = studio;
        var c = studio;
        for (int i = 0; i < 40; i++) {
            a = one.next(a).after();
            b = same.next(b).after();
            c = other.next(c).after();
        }
        assertThat(a).isEqualTo(b).isNotEqualTo(c).isNotEqualTo(studio);
    }

    @Test
    void aTallyThatCountedSomethingIsNotClean() {
        Tally tally = new Tally("t");
        tally.row("a").runs++;
        assertThat(tally.clean()).isTrue();
        tally.row("b").half++;
        tally.row("b").took(3_000);
        assertThat(tally.clean()).isFalse();
        assertThat(tally.line()).isEqualTo("lost 0, unopened 0, half 1, unclear 0, slow 1");
        assertThat(tally.table()).contains("a").contains("3000");
    }
}
