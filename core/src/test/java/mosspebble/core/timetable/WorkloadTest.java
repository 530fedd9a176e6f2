package mosspebble.core.timetable;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.time.Instant;
import java.util.Optional;
import org.junit.jupiter.api.Test;

class WorkloadTest {

    private static final Instant NOON = Instant.parse("2026-11-27T12:00:00Z");
    private static final Instant ONE = NOON.plusSeconds(3_600);

    @Test
    void aWindowIsAsNarrowAsTheNarrowerOfTwo() {
        Workload.Window noon = Workload.Window.ANY.after(NOON);
        assertThat(noon.earliest()).contains(NOON);
        assertThat(noon.after(ONE).earliest()).as("later").contains(ONE);
        assertThat(noon.after(ONE).after(NOON).earliest()).as("it was later before").contains(ONE);
        assertThat(noon.latest()).isEmpty();
        Workload.Window until = noon.by(ONE);
        assertThat(until.latest()).contains(ONE);
        assertThat(until.by(NOON).latest()).as("sooner").contains(NOON);
        assertThat(until.by(NOON).by(ONE).latest()).as("it was sooner before").contains(NOON);
        assertThat(until.earliest()).contains(NOON);
    }

    @Test
    void aPieceAtAnotherTimeIsTheSameWork() {
        Workload.Piece piece = new Workload.Piece("owl", 3, Duration.ofMinutes(5), Duration.ofMinutes(20), "moss green", "brush");
        Workload.Piece pinned = piece.within(Workload.Window.ANY.after(NOON));
        assertThat(pinned.when().earliest()).contains(NOON);
        assertThat(pinned.within(Workload.Window.ANY)).isEqualTo(piece);
    }

    @Test
    void aStoneIsLateByWhatItIsReadyAfterItsTime() {
        Timetable.Ready inTime = new Timetable.Ready("owl", NOON, NOON, Optional.of(NOON));
        assertThat(inTime.late()).isZero();
        assertThat(inTime.hopeless()).isFalse();
        Timetable.Ready late = new Timetable.Ready("owl", ONE, NOON, Optional.of(NOON));
        assertThat(late.late()).isEqualTo(Duration.ofHours(1));
        assertThat(late.hopeless()).as("alone it would be ready in time").isFalse();
        Timetable.Ready never = new Timetable.Ready("owl", ONE.plusSeconds(60), ONE, Optional.of(NOON));
        assertThat(never.late()).isEqualTo(Duration.ofMinutes(61));
        assertThat(never.hopeless()).isTrue();
        Timetable.Ready whenever = new Timetable.Ready("owl", ONE, ONE, Optional.empty());
        assertThat(whenever.late()).isZero();
        assertThat(whenever.hopeless()).isFalse();
    }
}
