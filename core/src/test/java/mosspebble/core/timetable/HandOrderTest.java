package mosspebble.core.timetable;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.SplittableRandom;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;

class HandOrderTest {

    private static HandOrder.Job job(int minutes, int load) {
        return new HandOrder.Job(Duration.ofMinutes(minutes), Duration.ZERO, load, 0, load, -1);
    }

    private static HandOrder.Arc arc(int before, int then, int lag) {
        return new HandOrder.Arc(before, then, Duration.ofMinutes(lag));
    }

    @Test
    void aDryingTimeIsUsedForWhatElseCanBeDone() {
        HandOrder.Problem problem = new HandOrder.Problem(List.of(job(5, 0), job(5, 0), job(5, 1), job(5, 1)),
                List.of(arc(0, 1, 20), arc(2, 3, 20)), List.of());

        HandOrder found = HandOrder.of(problem, 10);

        assertThat(found.end()).as("5 + 20 + 5, and the other thing 5 later").isEqualTo(Duration.ofMinutes(35));
        assertThat(found.order().subList(0, 2)).containsExactlyInAnyOrder(0, 2);
    }

    @Test
    void whatMayComeInEitherOrderIsPutWhereItWaitsLeast() {
        HandOrder.Problem problem = new HandOrder.Problem(List.of(job(5, 0), job(5, 1), job(5, 2)), List.of(),
                List.of(new HandOrder.Pair(0, 1, Duration.ofMinutes(30), Duration.ofMinutes(2))));
        assertThat(HandOrder.of(problem, 20).end()).as("1 first, 2 while it dries, then 0").isEqualTo(Duration.ofMinutes(15));
    }

    @Test
    void aCircleIsRefused() {
        HandOrder.Problem circle = new HandOrder.Problem(List.of(job(1, 0), job(1, 0)), List.of(arc(0, 1, 0), arc(1, 0, 0)), List.of());
        assertThat(HandOrder.ifPossible(circle, 5)).isEmpty();
        assertThatThrownBy(() -> HandOrder.of(circle, 5)).hasMessageContaining("circle");
    }

    @Test
    void ofTwoEquallyGoodOrdersTheOneWithFewerLoadsIsTaken() {
        HandOrder.Problem problem = new HandOrder.Problem(List.of(job(5, 0), job(5, 1), job(5, 0), job(5, 1)), List.of(), List.of());
        List<Integer> order = HandOrder.of(problem, 20).order();
        assertThat(order.get(0) % 2).isEqualTo(order.get(1) % 2);
        assertThat(order.get(2) % 2).isEqualTo(order.get(3) % 2);
    }

    private static HandOrder.Job job(int minutes, double near, double depth) {
        return new HandOrder.Job(Duration.ofMinutes(minutes), Duration.ZERO, (int) near, 0, near, depth);
    }

    @Test
    void whereNothingElseDecidesTheFarComesBeforeTheNear() {
        List<HandOrder.Job> jobs = List.of(job(5, 0, 0.9), job(5, 1, 0.5), job(5, 2, 0.1), job(5, 3, 0.7));
        assertThat(HandOrder.of(new HandOrder.Problem(jobs, List.of(), List.of()), 20).order()).containsExactly(2, 1, 3, 0);
        List<HandOrder.Job> first = List.of(job(5, 0, 0.9), job(5, 1, 0.3), job(5, 2, 0.1), job(5, 3, -1));
        assertThat(HandOrder.of(new HandOrder.Problem(first, List.of(arc(0, 2, 0)), List.of()), 20).order())
                .as("but for what must come first").containsSubsequence(1, 0, 2);
    }

    /** The near one dries for long before more can be done on it: a little is waited for the far one's sake, more is not. */
    @Test
    void aLittleIsWaitedToGoFromTheFarToTheNear() {
        for (int far : new int[] {30, 1200}) {
            List<HandOrder.Job> jobs = List.of(job(5, 0, 1), job(5, 1, 1),
                    new HandOrder.Job(Duration.ofSeconds(far), Duration.ZERO, 2, 0, 2, 0));
            HandOrder found = HandOrder.of(new HandOrder.Problem(jobs, List.of(arc(0, 1, 60)), List.of()), 20);
            assertThat(found.order()).containsExactlyElementsOf(far == 30 ? List.of(2, 0, 1) : List.of(0, 2, 1));
            assertThat(found.end()).as("the end is that of the order, whatever it was chosen for")
                    .isEqualTo(Duration.ofMinutes(70).plusSeconds(far == 30 ? 30 : 0));
        }
    }

    @Test
    @Tag("outside") // against all orders there are of up to seven jobs
    void itIsNeverBelowItsBoundAndNearTheBestOfAllOrders() {
        SplittableRandom random = new SplittableRandom(7);
        int best = 0;
        for (int round = 0; round < 120; round++) {
            HandOrder.Problem problem = random(random, 4 + random.nextInt(4));
            HandOrder found = HandOrder.of(problem, 60);
            long least = exhaustive(problem);

            assertThat(HandOrder.end(problem, found.order())).as("the end it says is that of its order").isEqualTo(found.end());
            assertThat(found.end()).isGreaterThanOrEqualTo(found.bound());
            assertThat(found.bound().toSeconds()).as("the bound is one").isLessThanOrEqualTo(least);
            assertThat(found.end().toSeconds()).isGreaterThanOrEqualTo(least).isLessThanOrEqualTo(Math.round(1.25 * least));
            best += found.end().toSeconds() == least ? 1 : 0;
            assertThat(HandOrder.of(problem, 60)).as("the same each time").isEqualTo(found);
        }
        assertThat(best).as("the very best in most cases").isGreaterThan(108);
    }

    private static HandOrder.Problem random(SplittableRandom random, int n) {
        List<HandOrder.Job> jobs = new ArrayList<>();
        List<HandOrder.Arc> arcs = new ArrayList<>();
        List<HandOrder.Pair> pairs = new ArrayList<>();
        for (int i = 0; i < n; i++) {
            jobs.add(new HandOrder.Job(Duration.ofMinutes(1 + random.nextInt(8)), Duration.ofMinutes(random.nextInt(30)), random.nextInt(3),
                    random.nextInt(2), i, -1));
            for (int j = 0; j < i; j++) {
                if (random.nextInt(4) == 0) {
                    arcs.add(arc(j, i, random.nextInt(40)));
                } else if (random.nextInt(4) == 0) {
                    pairs.add(new HandOrder.Pair(j, i, Duration.ofMinutes(random.nextInt(30)), Duration.ofMinutes(random.nextInt(30))));
                }
            }
        }
        return new HandOrder.Problem(jobs, arcs, pairs);
    }

    private static long exhaustive(HandOrder.Problem problem) {
        return exhaustive(problem, new ArrayList<>());
    }

    private static long exhaustive(HandOrder.Problem problem, List<Integer> begun) {
        if (begun.size() == problem.jobs().size()) {
            return HandOrder.end(problem, begun).toSeconds();
        }
        long least = Long.MAX_VALUE;
        for (int i = 0; i < problem.jobs().size(); i++) {
            int next = i;
            if (!begun.contains(i) && problem.arcs().stream().allMatch(a -> a.then() != next || begun.contains(a.before()))) {
                begun.add(i);
                least = Math.min(least, exhaustive(problem, begun));
                begun.remove(begun.size() - 1);
            }
        }
        return least;
    }
}
