package mosspebble.core.sketch.family;

import java.util.ArrayList;
import java.util.List;
import mosspebble.core.sketch.Family;

/** All pattern families that ship. */
public final class Families {

    private static final List<Family> ALL = all();

    private Families() {}

    /** In the order in which they are offered. */
    public static List<Family> list() {
        return ALL;
    }

    private static List<Family> all() {
        List<Family> all = new ArrayList<>();
        all.addAll(Flowers.list());
        all.addAll(Greens.list());
        all.addAll(Ornaments.list());
        all.addAll(Grounds.list());
        all.addAll(Marks.list());
        return List.copyOf(all);
    }
}
