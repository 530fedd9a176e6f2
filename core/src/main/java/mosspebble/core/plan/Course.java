package mosspebble.core.plan;

import java.time.Duration;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.stream.IntStream;
import mosspebble.core.colour.Mix;
import mosspebble.core.project.Side;

/** The steps of one job in the order in which they are found, over all its surfaces. */
final class Course {

    private final List<Step> steps = new ArrayList<>();
    private final Set<Mix> mixed = new HashSet<>();
    private Duration bound = Duration.ZERO;

    /** One more surface whose passes cannot be done and dry sooner. */
    void atLeast(Duration more) {
        bound = bound.plus(more);
    }

    /** No order of the passes ends sooner, one surface after the other. */
    Duration bound() {
        return bound;
    }

    /** Takes up a mix; whether it had to be mixed for it. */
    boolean mix(Mix mix) {
        return mixed.add(mix);
    }

    List<Step> steps() {
        return steps;
    }

    int size() {
        return steps.size();
    }

    Step get(int number) {
        return steps.get(number);
    }

    void add(Step step) {
        steps.add(step);
    }

    /** After the last step. */
    List<Step.After> last(Step.Waits waits) {
        return steps.isEmpty() || steps.get(steps.size() - 1) instanceof Step.Earlier ? List.of()
                : List.of(new Step.After(steps.size() - 1, waits));
    }

    /** After all steps. */
    List<Step.After> all(Step.Waits waits) {
        return IntStream.range(0, steps.size()).filter(i -> !(steps.get(i) instanceof Step.Earlier))
                .mapToObj(i -> new Step.After(i, waits)).toList();
    }

    /** After all that was painted on other surfaces. */
    List<Step.After> others(Side side, Step.Waits waits) {
        return IntStream.range(0, steps.size()).filter(i -> steps.get(i) instanceof Step.Lay && steps.get(i).side() != side)
                .mapToObj(i -> new Step.After(i, waits)).toList();
    }
}
