package mosspebble.core.care;

import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import mosspebble.core.drying.Climate;
import mosspebble.core.drying.Evaporation;
import mosspebble.core.stone.Patch;
import mosspebble.core.stone.RockKind;
import mosspebble.core.stone.Skin;
import mosspebble.core.stone.Stone;
import mosspebble.core.stone.Survey;
import mosspebble.core.stone.Texture;
import mosspebble.core.units.Facts;

/** What a bare stone needs before the first pencil line. */
public final class Preparation {

    /** Washing wets pores to this depth, mm (common practice, no source). */
    private static final double WETTED_MM = 3;

    /** Water in pores leaves at this share of the rate of a free surface (common practice, no source). */
    private static final double FROM_PORES = 0.35;

    /** Holes and cracks deeper than this are filled, mm (common practice, no source). */
    public static final double FILLED_MM = 0.8;

    /** A fresh cast, days. */
    private static final double CAST_DAYS = 3;
    private static final double LEAST_CAST_DAYS = 1;
    private static final double MOST_CAST_DAYS = 14;

    /** Until it comes out of the mould (common practice, no source). */
    private static final Duration PLASTER_SETS = Duration.ofHours(1);
    private static final Duration CEMENT_SETS = Duration.ofHours(24);

    private static final Duration MOST = Duration.ofDays(5);

    /** What there is to do. */
    public enum Act { CAST, DRY_CAST, STRIP, BRUSH, WASH, SAND, DULL, FILL }

    /**
     * One thing to do.
     *
     * @param hand work of the hand
     * @param waits until the next may begin
     */
    public record Task(Act act, Facts facts, Duration hand, Duration waits) {}

    private Preparation() {}

    /** What this stone needs, in order. */
    public static List<Task> of(Survey survey, Climate climate) {
        return of(survey, Optional.empty(), false, climate);
    }

    /**
     * The same for a stone of which both faces may be painted: the marks of both are filled.
     *
     * @param primed whether primer goes on either face: on a tight stone it grips only where the skin is dulled
     */
    public static List<Task> of(Survey survey, Optional<Survey> other, boolean primed, Climate climate) {
        Stone stone = survey.stone();
        List<Task> tasks = new ArrayList<>();
        boolean cast = stone.rock().isCast();
        Facts room = Facts.of("celsius", climate.temperature().value()).and("humidity", climate.humidity());
        if (cast && stone.skin().before() == Skin.Before.TO_BE_CAST) {
            Casting mix = Casting.of(stone.rock(), survey.facts().volumeMm3());
            boolean plaster = stone.rock() == RockKind.CAST_PLASTER;
            tasks.add(new Task(Act.CAST,
                    Facts.of("plaster", plaster).and("powder", mix.powder()).and("sand", mix.sand()).and("water", mix.water()),
                    Duration.ofMinutes(15), plaster ? PLASTER_SETS : CEMENT_SETS));
        }
        if (cast) {
            Duration dry = castDries(climate);
            tasks.add(new Task(Act.DRY_CAST, room.and("dry", dry), Duration.ofMinutes(1), dry));
        }
        Skin.Before before = stone.skin().before();
        if (before == Skin.Before.PAINT_STRIPPED) { // the stripper takes its time, and is washed off with the rest
            tasks.add(new Task(Act.STRIP, Facts.none(), Duration.ofMinutes(15), Duration.ofMinutes(30)));
        }
        if (cast || stone.skin().loose() || stone.texture() == Texture.ROUGH) {
            tasks.add(new Task(Act.BRUSH, Facts.of("loose", stone.skin().loose()).and("cast", cast), Duration.ofMinutes(cast ? 2 : 4),
                    Duration.ZERO));
        }
        if (!cast) { // water would undo the drying
            Duration dry = dryAfterWashing(stone, climate);
            tasks.add(new Task(Act.WASH, room.and("pores", stone.porosity()).and("dry", dry), Duration.ofMinutes(5), dry));
        }
        if (before == Skin.Before.PAINT_SANDED) {
            tasks.add(new Task(Act.SAND, Facts.none(), Duration.ofMinutes(12), Duration.ofMinutes(15)));
        } else if (stone.skin().sealed() || stone.rock().isGlassy() || primed && stone.isGlassy()) {
            tasks.add(dull(before));
        }
        List<Patch> deep = Stream.concat(survey.dome().patches().stream(), other.stream().flatMap(s -> s.dome().patches().stream()))
                .filter(p -> (p.kind() == Patch.Kind.HOLE || p.kind() == Patch.Kind.CRACK) && p.depthMm() >= FILLED_MM).toList();
        if (!deep.isEmpty()) {
            Facts facts = Facts.of("marks", deep.size()).and("kind", deep.get(0).kind())
                    .and("ml", deep.stream().mapToDouble(Preparation::volumeMm3).sum() / 1000)
                    .and("deepestMm", deep.stream().mapToDouble(Patch::depthMm).max().orElse(0));
            tasks.add(new Task(Act.FILL, facts, Duration.ofMinutes(4L * deep.size()), Duration.ofHours(3)));
        }
        return tasks;
    }

    /**
     * Volume of a mark, mm3: a bowl of radius R and depth d holds {@code pi R^2 d / 3}, a crack its section {@code 16/15 R d} along its
     * length.
     */
    private static double volumeMm3(Patch patch) {
        if (patch.kind() == Patch.Kind.CRACK) {
            return 16.0 / 15 * patch.radiusMm() * patch.depthMm() * Math.hypot(patch.toX() - patch.x(), patch.toY() - patch.y());
        }
        return Math.PI * patch.radiusMm() * patch.radiusMm() * patch.depthMm() * (patch.kind() == Patch.Kind.HOLE ? 0.7 : 1 / 3.0);
    }

    /** Dulling the skin so that paint grips. */
    private static Task dull(Skin.Before before) {
        return new Task(Act.DULL, Facts.of("before", before), Duration.ofMinutes(6),
                before == Skin.Before.SEALER || before == Skin.Before.PAINT_KEPT ? Duration.ofMinutes(15) : Duration.ZERO);
    }

    /**
     * A fresh cast dries three days in a quiet room at 20 °C and 50 %, in proportion elsewhere, 1 to 14 days (common practice, no source).
     */
    public static Duration castDries(Climate climate) {
        double usual = Evaporation.rate(Climate.room(), Climate.room().temperature());
        double rate = Evaporation.rate(climate, climate.temperature());
        double days = rate > 0 ? CAST_DAYS * usual / rate : MOST_CAST_DAYS;
        return Duration.ofHours(Math.round(24 * Math.max(LEAST_CAST_DAYS, Math.min(MOST_CAST_DAYS, days))));
    }

    /**
     * Time until a washed stone is dry: the water in the wetted skin over the evaporation of the room (Carrier), slowed as it comes out of
     * pores, and a quarter of an hour for the film on top.
     */
    public static Duration dryAfterWashing(Stone stone, Climate climate) {
        double grams = stone.skin().sealed() ? 0 : 1000 * WETTED_MM * stone.porosity(); // per m2
        double rate = Evaporation.rate(climate, climate.temperature());
        double seconds = rate > 0 ? 900 + grams / (rate * FROM_PORES) : Double.POSITIVE_INFINITY;
        return seconds < MOST.toSeconds() ? Duration.ofMinutes(Math.round(seconds / 60)) : MOST;
    }
}
