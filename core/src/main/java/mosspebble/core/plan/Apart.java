package mosspebble.core.plan;

import java.time.Duration;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.IdentityHashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import mosspebble.core.area.Remembered;
import mosspebble.core.blend.Share;
import mosspebble.core.care.Compatibility;
import mosspebble.core.care.Quarrel;
import mosspebble.core.colour.Binder;
import mosspebble.core.colour.Mix;
import mosspebble.core.colour.Paint;
import mosspebble.core.colour.PaintKind.Use;
import mosspebble.core.colour.Palette;
import mosspebble.core.units.Facts;
import org.locationtech.jts.geom.Geometry;

/** Keeps apart what quarrels: an isolating coat between, where the shelf has one, or the wait that it takes. */
final class Apart {

    /** What meets on less is not seen, mm2. */
    private static final double LEAST_MM2 = 0.3;

    private final List<Region> regions;
    private final Palette palette;
    private final Compatibility.Known known;
    private final Remembered remembered;
    private final List<Region> coats = new ArrayList<>();
    private final Map<Region, Duration> rests = new IdentityHashMap<>();

    private Apart(List<Region> regions, Palette palette, Compatibility.Known known, Remembered remembered) {
        this.regions = regions;
        this.palette = palette;
        this.known = known;
        this.remembered = remembered;
    }

    /**
     * @param coats isolating coats to be laid besides
     * @param rests how long a region rests at least before anything is laid on it
     */
    record Kept(List<Region> coats, Map<Region, Duration> rests) {}

    /** @param sealer what comes over all of them in the end, if anything */
    static Kept of(List<Region> regions, Palette palette, Compatibility.Known known, Optional<Paint> sealer, Remembered remembered) {
        Apart apart = new Apart(regions, palette, known, remembered);
        Map<String, Boolean> isolated = new HashMap<>();
        Alike alike = new Alike(regions);
        Map<Mix, Map<Mix, Pair>> quarrels = apart.quarrels();
        int front = regions.stream().mapToInt(Region::part).max().orElse(0);
        for (Region lower : regions) {
            Map<Mix, Pair> own = quarrels.get(lower.colour().mix());
            if (own.isEmpty() || lower.what().share().kind() == Share.Kind.GEL || lower.what().share().kind() == Share.Kind.GLUE) {
                continue; // nothing quarrels with it, or what it holds lies on all of it
            }
            for (Region upper : regions) {
                Pair pair = own.get(upper.colour().mix());
                if (pair != null && upper.depth() > lower.depth() && !upper.what().share().isSet() && !isMeant(lower, upper)
                        && apart.meet(lower, upper)
                        && !(alike.share(lower, upper) && Alike.stage(upper) <= Alike.stage(lower))) {
                    apart.keep(lower, pair, lower.part(), isolated);
                }
            }
        }
        Map<Mix, Optional<Pair>> underSeal = new HashMap<>();
        for (Region lower : regions) {
            if (!isolated.containsKey(key(lower, lower.part()))) {
                underSeal.computeIfAbsent(lower.colour().mix(), m -> sealer.flatMap(s -> quarrel(m, s, palette, known)))
                        .filter(q -> q.verdict().way() != Quarrel.Way.WAIT)
                        .ifPresent(q -> apart.keep(lower, q, front, isolated));
            }
        }
        return new Kept(apart.coats, apart.rests);
    }

    private static String key(Region lower, int part) {
        return lower.part() + " " + part + " " + lower.what().of();
    }

    /** A coat that is to crack lies on its medium, and leaf on its size. */
    private static boolean isMeant(Region lower, Region upper) {
        return lower.part() == upper.part() && (upper.what().share().kind() == Share.Kind.CRACKED
                || upper.what().share().kind() == Share.Kind.LEAF);
    }

    /** Two products that quarrel, by name. */
    private record Pair(Paint below, Paint above, Compatibility.Verdict verdict) {}

    /** What quarrels, mix below by mix above: there are few mixes and many regions. */
    private Map<Mix, Map<Mix, Pair>> quarrels() {
        List<Mix> mixes = regions.stream().map(r -> r.colour().mix()).distinct().toList();
        Map<Mix, Map<Mix, Pair>> all = new HashMap<>();
        for (Mix below : mixes) {
            Map<Mix, Pair> own = new HashMap<>();
            for (Mix above : mixes) {
                remembered
                        .recall("quarrel", below, above, palette, known,
                                (lower, upper, shelf, knows, m) -> quarrel(lower, upper, shelf, knows))
                        .ifPresent(pair -> own.put(above, pair));
            }
            all.put(below, own);
        }
        return all;
    }

    /** The first paint of the one that quarrels with one of the other, where something can be done about it. */
    private static Optional<Pair> quarrel(Mix lower, Mix upper, Palette palette, Compatibility.Known known) {
        return paints(upper, palette).stream().flatMap(above -> quarrel(lower, above, palette, known).stream()).findFirst();
    }

    private static Optional<Pair> quarrel(Mix lower, Paint above, Palette palette, Compatibility.Known known) {
        return paints(lower, palette).stream().filter(below -> !below.id().equals(above.id()))
                .flatMap(below -> known.of(below, above, true).filter(v -> v.way() != Quarrel.Way.NONE)
                        .map(v -> new Pair(below, above, v)).stream())
                .findFirst();
    }

    private static List<Paint> paints(Mix mix, Palette palette) {
        return mix.parts().stream().flatMap(p -> palette.shelf().find(p.paint()).stream()).toList();
    }

    private boolean meet(Region lower, Region upper) {
        return lower.place().getEnvelopeInternal().intersects(upper.place().getEnvelopeInternal())
                && remembered.common(lower.place(), upper.place()).getArea() > LEAST_MM2;
    }

    private void keep(Region lower, Pair pair, int part, Map<String, Boolean> isolated) {
        if (pair.verdict().way() == Quarrel.Way.WAIT) {
            rests.merge(lower, pair.verdict().rest(), (a, b) -> a.compareTo(b) >= 0 ? a : b);
            return;
        }
        Optional<Palette.Colour> between = isolating(pair.verdict().way()).flatMap(p -> palette.colour(Mix.of(p.id())));
        if (between.isEmpty() || isolated.putIfAbsent(key(lower, part), true) != null) {
            return;
        }
        Geometry place = whole(lower);
        coats.add(new Region(Step.Kind.FILL, lower.what().share(Share.of(Share.Kind.ISOLATED)), place, between.get(),
                Region.Spread.thin(1, Soft.CRISP),
                Math.max(part * Region.LEVELS + Region.APART, lower.part() == part ? lower.depth() + 1 : 0), Region.Line.NONE,
                Why.of(Why.Reason.KEEPS_APART, Facts.of("below", pair.below().name()).and("above", pair.above().name()))));
    }

    /** All of the part that asks for it: the largest of its pieces. */
    private Geometry whole(Region lower) {
        return regions.stream().filter(r -> r.part() == lower.part() && r.kind() == lower.kind()).map(Region::place)
                .filter(p -> p.getEnvelopeInternal().contains(lower.place().getEnvelopeInternal()))
                .max((a, b) -> Double.compare(a.getArea(), b.getArea())).orElse(lower.place());
    }

    /** A spray where a brush would smear; else any isolating coat, or a thin one of acrylic varnish. */
    private Optional<Paint> isolating(Quarrel.Way way) {
        List<Paint> all = palette.shelf().that(Use.ISOLATES);
        boolean spray = way == Quarrel.Way.SPRAY_BETWEEN;
        return all.stream().filter(p -> spray == (p.binder() == Binder.SOLVENT_LACQUER)).findFirst()
                .or(() -> spray ? Optional.empty()
                        : all.stream().findFirst()
                                .or(() -> palette.shelf().that(Use.SEALS).stream().filter(p -> p.binder() == Binder.ACRYLIC).findFirst()));
    }
}
