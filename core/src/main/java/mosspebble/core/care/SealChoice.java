package mosspebble.core.care;

import java.time.Duration;
import java.time.Month;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import mosspebble.core.colour.Finish;
import mosspebble.core.colour.Paint;
import mosspebble.core.stone.Stone;

/**
 * One way to seal a stone, to hold beside another.
 *
 * @param millilitres for all coats, or of the whole pour
 * @param cost in the painter's own money; 0 where the price is not known
 * @param days from the last paint until it may live where it is to live, with the waits between coats
 * @param lasts whether it lasts in that place
 * @param season what speaks against it out of doors at this time of the year, if it must be laid there
 * @param ruins what it would ruin of what lies below it, by the painter's tests and rules and by the table
 */
public record SealChoice(Paint sealer, SealAdvice advice, double millilitres, double cost, Duration days, boolean lasts,
        Optional<SealHours.Against> season, List<Paint> ruins) {

    /**
     * What is asked of a seal.
     *
     * @param outdoors whether the stone will live outdoors
     * @param finish wanted; SATIN where it does not matter
     * @param month in which it is sealed
     */
    public record Wish(boolean outdoors, Finish finish, Month month) {}

    public SealChoice {
        ruins = List.copyOf(ruins);
    }

    /**
     * The sealers of a shelf, the best first: what ruins nothing below it, what lasts in its place, outdoors what does not yellow in the
     * sun, then what the season allows, then what has the wanted finish, then what is mended more easily, then what is ready sooner.
     *
     * @param areaMm2 what is sealed, mm2
     * @param below what is painted with
     */
    public static List<SealChoice> of(List<Paint> sealers, Stone stone, double areaMm2, Wish wish, List<Paint> below,
            Compatibility.Known known) {
        Finish wanted = wish.finish;
        boolean outdoors = wish.outdoors;
        return sealers.stream().map(s -> of(s, stone, areaMm2, wish, below, known))
                .sorted(Comparator.comparing((SealChoice c) -> c.ruins.size()).thenComparing(c -> !c.lasts)
                        .thenComparing(c -> outdoors && c.advice.kind().yellowing() == SealKind.Yellowing.MARKED)
                        .thenComparing(c -> c.season.isPresent())
                        .thenComparing(c -> wanted != Finish.SATIN && c.sealer.finish() != wanted)
                        .thenComparing(c -> c.advice.kind().mending()).thenComparing(SealChoice::days).thenComparing(c -> c.sealer.id()))
                .toList();
    }

    private static SealChoice of(Paint sealer, Stone stone, double areaMm2, Wish wish, List<Paint> below,
            Compatibility.Known known) {
        SealAdvice advice = SealAdvice.of(stone, wish.outdoors, sealer);
        SealKind kind = advice.kind();
        double ml = kind == SealKind.RESIN ? Resin.USUAL.amount(areaMm2, Resin.LEVEL_MM).millilitres()
                : kind.millilitres(areaMm2, advice.coats());
        Duration days = kind.before().plus(advice.between().multipliedBy(advice.coats() - 1L)).plus(advice.cure());
        return new SealChoice(sealer, advice, ml, sealer.pot().costOf(ml), days, !wish.outdoors || kind.lastsOutdoors(),
                Season.against(advice, wish.month),
                below.stream().filter(p -> known.of(p, sealer, true).filter(v -> v.severity() == Compatibility.Severity.NEVER).isPresent())
                        .toList());
    }
}
