package mosspebble.core.plan;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import mosspebble.core.blend.Share;
import mosspebble.core.colour.Mix;

/**
 * Parts laid with the same material: all their bases come first, then the medium on all of them, then the material, so that the lamp is lit
 * once and no base runs over a neighbour's powder.
 */
final class Alike {

    private static final int LAST = 3;

    /** Powder, leaf, gem or torn coat of each part that has one. */
    private final Map<Integer, Mix> materials = new HashMap<>();

    private final List<Region> regions;
    private final Map<Long, Boolean> known = new HashMap<>();

    Alike(List<Region> regions) {
        this.regions = regions;
        for (Region region : regions) {
            switch (region.what().share().kind()) {
                case POWDER, LEAF, CRACKED, GEM -> materials.put(region.part(), region.colour().mix());
                default -> {}
            }
        }
    }

    /** Whether two regions belong to different parts that take the same material. */
    boolean share(Region one, Region other) {
        return one.part() != other.part() && materials.containsKey(one.part())
                && materials.get(one.part()).equals(materials.get(other.part()))
                && known.computeIfAbsent((long) Math.min(one.part(), other.part()) << 32 | Math.max(one.part(), other.part()),
                        k -> !isParted(Math.min(one.part(), other.part()), Math.max(one.part(), other.part())));
    }

    /** Whether something else lies on the one and below the other, so that the one must be done before the other is begun. */
    private boolean isParted(int deep, int front) {
        List<Region> lower = regions.stream().filter(r -> r.part() == deep).toList();
        List<Region> upper = regions.stream().filter(r -> r.part() == front).toList();
        return regions.stream().filter(r -> r.part() > deep && r.part() < front && r.what().share().kind() != Share.Kind.ISOLATED)
                .anyMatch(between -> lower.stream().anyMatch(r -> meet(r, between)) && upper.stream().anyMatch(r -> meet(r, between)));
    }

    private static boolean meet(Region one, Region other) {
        return one.place().getEnvelopeInternal().intersects(other.place().getEnvelopeInternal()) && one.place().intersects(other.place());
    }

    /** Base, medium, material, and what comes when these are done. */
    static int stage(Region region) {
        return switch (region.what().share().kind()) {
            case WHOLE, PASTE -> region.kind() == Step.Kind.FILL || region.kind() == Step.Kind.GROUND ? 0 : LAST;
            case SIZE, CRACKLE -> 1;
            case LEAF, CRACKED, GEL, POWDER, GLUE, GEM -> 2; // what is set is one work with what holds it
            default -> LAST;
        };
    }

    /** Whether two are set in one work: gel and powder of neighbours. */
    boolean together(Region one, Region other) {
        return share(one, other) && one.what().share().isSet() && other.what().share().isSet();
    }

    /** Whether one of two comes first whatever lies in front: it is of an earlier stage, and one of both is the material or its medium. */
    boolean comesFirst(Region one, Region other) {
        return share(one, other) && stage(one) < stage(other) && stage(one) < LAST;
    }
}
