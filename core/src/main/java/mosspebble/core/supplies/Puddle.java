package mosspebble.core.supplies;

import java.time.Duration;
import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import mosspebble.core.colour.Mix;
import mosspebble.core.units.Millilitres;

/**
 * A puddle of one mix on the palette and what it serves, until it has dried up.
 *
 * @param mix what it is of
 * @param from the mix it was begun from, where it is that and a touch of one more paint; else it is mixed from the pots
 * @param amounts how it is counted out; where it is begun from another puddle, only what is added
 * @param steps numbers of the steps it serves, from 0, in their order
 */
public record Puddle(Mix mix, Optional<Mix> from, Amounts amounts, List<Integer> steps) {

    /** So long a puddle stays workable, covered and sprayed now and then (common practice, no source). */
    public static final Duration KEPT = Duration.ofMinutes(120);

    /**
     * What one step takes of a mix.
     *
     * @param ml what lies on the stone and what is lost in brush and palette, 0 or more
     * @param start when the step begins
     */
    public record Load(int step, Mix mix, double ml, Duration start) {}

    public Puddle {
        steps = List.copyOf(steps);
    }

    /** A puddle as it grows: its loads, and what is taken from it to begin others. */
    private static final class Open {
        private final Mix mix;
        private final List<Load> loads = new ArrayList<>();
        private Optional<Open> base = Optional.empty();
        private Mix.Part touch;
        private double taken;

        Open(Mix mix) {
            this.mix = mix;
        }

        boolean isDamp(Duration at) {
            return at.compareTo(loads.get(0).start().plus(KEPT)) <= 0;
        }

        Puddle closed() {
            double ml = loads.stream().mapToDouble(Load::ml).sum() + taken;
            Amounts amounts = Amounts.of(mix, ml);
            if (base.isPresent()) {
                // some of the other puddle, and so many drops of what it lacks
                int drops = (int) Math.max(1,
                        Math.ceil(Math.max(Amounts.LEAST_ML, ml) * touch.parts() / mix.totalParts() / Amounts.DROP_ML));
                double added = drops * Amounts.DROP_ML;
                base.get().taken += added * (mix.totalParts() - touch.parts()) / touch.parts();
                amounts = new Amounts(amounts.needed(), 1, new Millilitres(added * mix.totalParts() / touch.parts()),
                        List.of(new Amounts.Share(touch.paint(), drops, new Millilitres(added))));
            }
            return new Puddle(mix, base.map(b -> b.mix), amounts, loads.stream().map(Load::step).distinct().toList());
        }
    }

    /**
     * The puddles for all loads, by the first step they serve. A mix is mixed again only when the last puddle of it has dried up; what is
     * another mix and a touch of one more paint is begun from that, while it is damp.
     */
    public static List<Puddle> of(List<Load> loads) {
        List<Open> open = new ArrayList<>();
        for (Load load : loads.stream().sorted(Comparator.comparing(Load::start).thenComparing(Load::step)).toList()) {
            Optional<Open> same = open.stream().filter(o -> o.mix.equals(load.mix()) && o.isDamp(load.start())).findFirst();
            Open puddle = same.orElseGet(() -> begun(load, open));
            puddle.loads.add(load);
        }
        List<Puddle> closed = new ArrayList<>();
        for (int i = open.size() - 1; i >= 0; i--) { // what was begun from another is closed before it
            closed.add(open.get(i).closed());
        }
        Collections.reverse(closed);
        return List.copyOf(closed);
    }

    private static Open begun(Load load, List<Open> open) {
        Open puddle = new Open(load.mix());
        for (Open other : open) {
            Optional<Mix.Part> touch = load.mix().touchOver(other.mix);
            if (touch.isPresent() && other.isDamp(load.start())) {
                puddle.base = Optional.of(other);
                puddle.touch = touch.get();
            }
        }
        open.add(puddle);
        return puddle;
    }
}
