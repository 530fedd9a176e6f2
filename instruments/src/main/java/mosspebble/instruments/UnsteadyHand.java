package mosspebble.instruments;

import java.util.ArrayList;
import java.util.List;
import java.util.SplittableRandom;
import java.util.stream.IntStream;
import mosspebble.core.sketch.Item;
import mosspebble.core.sketch.ItemMode;
import mosspebble.core.sketch.Placement;
import mosspebble.core.sketch.Sketch;

/** A made-up painter who traces a design nearly true and goes wrong at one thing, by an amount that is known. */
public final class UnsteadyHand {

    /** How true a tracing is: mm, degrees, share of the size. */
    private static final double PLACE = 0.2;
    private static final double TURN = 0.25;
    private static final double SIZE = 0.004;

    private UnsteadyHand() {}

    /** A faithful tracing. */
    public static Sketch faithful(Sketch sketch, long seed) {
        SplittableRandom random = new SplittableRandom(seed);
        return new Sketch(sketch.items().stream().map(i -> moves(i) ? i.withPlacement(near(i.placement(), random)) : i).toList());
    }

    private static Placement near(Placement p, SplittableRandom random) {
        return p.movedBy(random.nextDouble(-PLACE, PLACE), random.nextDouble(-PLACE, PLACE)).turnedBy(random.nextDouble(-TURN, TURN))
                .sizedBy(1 + random.nextDouble(-SIZE, SIZE));
    }

    /** A tracing with one thing turned, moved or sized clearly wrong; in turn, by the seed. */
    public static Sketch oneWrong(Sketch sketch, long seed) {
        List<Item> items = new ArrayList<>(faithful(sketch, seed).items());
        List<Integer> free = IntStream.range(0, items.size()).filter(i -> moves(items.get(i))).boxed().toList();
        if (free.isEmpty()) {
            return sketch;
        }
        SplittableRandom random = new SplittableRandom(seed + 1);
        int which = free.get(random.nextInt(free.size()));
        Item item = items.get(which);
        double way = random.nextBoolean() ? 1 : -1;
        Placement wrong = switch ((int) Math.floorMod(seed, 3L)) {
            case 0 -> item.placement().turnedBy(way * random.nextDouble(3, 4.5));
            case 1 -> item.placement().movedBy(way * random.nextDouble(1.8, 2.6), -way * random.nextDouble(0.5, 1.5));
            default -> item.placement().sizedBy(1 + way * random.nextDouble(0.06, 0.08));
        };
        items.set(which, item.withPlacement(wrong));
        return new Sketch(items);
    }

    private static boolean moves(Item item) {
        return item.manner() != ItemMode.WEARING;
    }
}
