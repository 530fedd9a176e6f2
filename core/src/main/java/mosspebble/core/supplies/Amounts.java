package mosspebble.core.supplies;

import java.util.ArrayList;
import java.util.List;
import mosspebble.core.colour.Mix;
import mosspebble.core.units.Millilitres;

/**
 * How much of a mix to make, counted out in drops so that the parts come out whole.
 *
 * @param needed what the area takes, with the loss of {@link PaintUse#LOSS}
 * @param dropsPerPart drops of each part, 1 or more
 * @param made what is mixed in the end, at least what is needed
 */
public record Amounts(Millilitres needed, int dropsPerPart, Millilitres made, List<Share> shares) {

    /** One drop from a nozzle (common practice, no source). */
    public static final double DROP_ML = 0.05;

    /** Less cannot be stirred: about four drops (common practice, no source). */
    public static final double LEAST_ML = 0.2;

    /** Drops and millilitres of one paint. */
    public record Share(String paint, int drops, Millilitres volume) {}

    public Amounts {
        shares = List.copyOf(shares);
    }

    /**
     * @param areaMm2 along the stone, 0 or more
     * @param wetUm wet thickness of a coat, µm
     * @param coats 0 or more
     */
    public static Amounts of(Mix mix, double areaMm2, double wetUm, int coats) {
        return of(mix, PaintUse.spread(areaMm2, wetUm, coats).value());
    }

    /** @param ml what is to be laid, loss included, 0 or more */
    public static Amounts of(Mix mix, double ml) {
        double needed = Math.max(mix.isSingle() ? 0 : LEAST_ML, ml);
        int perPart = (int) Math.max(1, Math.ceil(needed / DROP_ML / mix.totalParts() - 1e-9));
        List<Share> shares = new ArrayList<>();
        for (Mix.Part part : mix.parts()) {
            shares.add(new Share(part.paint(), perPart * part.parts(), new Millilitres(perPart * part.parts() * DROP_ML)));
        }
        return new Amounts(new Millilitres(needed), perPart, new Millilitres(perPart * mix.totalParts() * DROP_ML), shares);
    }
}
