package mosspebble.core.sketch;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;

/**
 * The sketch as decided: the things on the stone, the deepest first. What is in front is drawn whole; lines of what is behind stop just
 * short of it, and hidden parts are neither drawn nor painted.
 *
 * @param items 1 to {@link #MOST}
 */
public record Sketch(List<Item> items) {

    /** Most things on one stone. */
    public static final int MOST = 40;

    public Sketch {
        items = List.copyOf(items);
        if (items.isEmpty() || items.size() > MOST) {
            throw new IllegalArgumentException("A stone carries 1 to " + MOST + " things, had " + items.size() + ".");
        }
        if (items.stream().map(Item::id).distinct().count() < items.size()) {
            throw new IllegalArgumentException("two things on the stone have the same id");
        }
    }

    /** One thing alone. */
    public static Sketch of(Subject subject, ItemMode manner, Placement placement, double marginMm) {
        return new Sketch(List.of(Item.of(subject, manner, placement, marginMm)));
    }

    public Optional<Item> item(String id) {
        return items.stream().filter(i -> i.id().equals(id)).findFirst();
    }

    /** The thing of this id, or the front one where there is none. */
    public Item inHand(String id) {
        return item(id).orElse(items.get(items.size() - 1));
    }

    /** The things that move together with one: its group, or it alone. */
    public List<Item> together(String id) {
        Item in = inHand(id);
        return in.group().isEmpty() ? List.of(in) : items.stream().filter(i -> i.group().equals(in.group())).toList();
    }

    /** The sketch with one thing changed. */
    public Sketch with(String id, UnaryOperator<Item> change) {
        return new Sketch(items.stream().map(i -> i.id().equals(id) ? change.apply(i) : i).toList());
    }

    /** With another thing in front; its id is made new. */
    public Sketch plus(Item item) {
        List<Item> more = new ArrayList<>(items);
        more.add(item.withId(freshId()));
        return new Sketch(more);
    }

    /** Without one thing; empty if it was the only one. What was kept within it is free then. */
    public Optional<Sketch> without(String id) {
        List<Item> fewer = items.stream().filter(i -> !i.id().equals(id))
                .map(i -> i.within().filter(inHand(id)::owns).isPresent() && item(id).isPresent() ? i.withWithin(Optional.empty()) : i)
                .toList();
        return fewer.isEmpty() ? Optional.empty() : Optional.of(new Sketch(fewer));
    }

    /** With one thing so many steps nearer the front (positive) or farther back. */
    public Sketch moved(String id, int by) {
        List<Item> order = new ArrayList<>(items);
        int from = items.indexOf(inHand(id));
        Item item = order.remove(from);
        order.add(Math.max(0, Math.min(order.size(), from + by)), item);
        return new Sketch(order);
    }

    /** An id that no thing has yet. */
    public String freshId() {
        int number = items.size() + 1;
        while (item("i" + number).isPresent()) {
            number++;
        }
        return "i" + number;
    }
}
