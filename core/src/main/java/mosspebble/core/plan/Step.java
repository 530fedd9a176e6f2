package mosspebble.core.plan;

import java.time.Duration;
import java.util.List;
import java.util.Optional;
import mosspebble.core.area.Shapes;
import mosspebble.core.blend.Share;
import mosspebble.core.care.Preparation;
import mosspebble.core.care.SealAdvice;
import mosspebble.core.coats.Coat;
import mosspebble.core.colour.Mix;
import mosspebble.core.project.Side;
import mosspebble.core.units.Facts;
import org.locationtech.jts.geom.Geometry;

/** One step of the plan: what is done with what, to what, for how long, after what. Its words are made elsewhere. */
public sealed interface Step extends Facts.Named {

    /** Wet paint bleeds into wet paint up to this distance, mm (common practice, no source). */
    double BLEED_MM = 1.0;

    /** An edge is widened by so much before a large brush fills the rest, mm (common practice, no source). */
    double EDGE_MM = 2;

    /** Stable name within the plan, by which the painter's own order knows it. */
    String key();

    Kind kind();

    Work work();

    /** What it waits for and why. */
    List<After> after();

    /** The surface it belongs to; what is done to the whole stone counts to the front. */
    default Side side() {
        return layer().map(Layer::side).orElse(Side.FRONT);
    }

    /** The films it lays, one for each load, in the order in which they are laid; none for steps that lay no paint. */
    default List<Layer> layers() {
        return List.of();
    }

    /** What the hand lays with it: all its films, but none of what lies there from earlier. */
    default List<Layer> laidNow() {
        return this instanceof Earlier ? List.of() : layers();
    }

    /** The first film it lays, mostly the only one. */
    default Optional<Layer> layer() {
        return layers().stream().findFirst();
    }

    /** For what is worked wet: how long it stays open and how long the hand takes. */
    default Optional<Wet> wet() {
        return Optional.empty();
    }

    /** Where on the stone, mm; empty for steps that lay no paint. */
    default Geometry place() {
        return layers().size() == 1 ? layers().get(0).place() : Shapes.union(layers().stream().map(Layer::place).toList());
    }

    default Optional<Mix> mix() {
        return layer().map(l -> l.load().mix());
    }

    default Optional<Coat> coat() {
        return layer().map(l -> l.load().coat());
    }

    /** How its edge runs out. */
    default Soft soft() {
        return layer().map(Layer::soft).orElse(Soft.CRISP);
    }

    /** How many coats: one for a pass, 0 for steps that lay no paint. */
    default int coats() {
        return layer().map(Layer::coats).orElse(0);
    }

    /** What kind of step it is, in the order of the work. */
    enum Kind {
        EARLIER, PREPARE, PENCIL, PRIME, GROUND, PENCIL_AGAIN, LINE_FIRST, FILL, SHADE, DETAIL, OUTLINE, HIGHLIGHT, SIGN, SEAL;

        /** Whether it is laid over an area, not drawn or dotted. */
        public boolean spreads() {
            return this == PRIME || this == GROUND || this == FILL;
        }

        /** Whether the painter may move it in the order. */
        public boolean movable() {
            return this != EARLIER && this != PREPARE && this != PENCIL && this != PENCIL_AGAIN && this != SIGN && this != SEAL;
        }
    }

    /** What lies on a surface from earlier and is no longer planned: done before anything else, by nobody now. */
    record Earlier(List<Layer> layers) implements Step {
        private static final Work NONE = new Work(0, Duration.ZERO, Duration.ZERO, Duration.ZERO, Duration.ZERO);

        public Earlier {
            layers = List.copyOf(layers);
        }

        @Override
        public String key() {
            return "EARLIER";
        }

        @Override
        public Kind kind() {
            return Kind.EARLIER;
        }

        @Override
        public Work work() {
            return NONE;
        }

        @Override
        public List<After> after() {
            return List.of();
        }
    }

    /** Makes the stone ready. */
    record Prepare(Preparation.Task task, Work work, List<After> after) implements Step {
        public Prepare {
            after = List.copyOf(after);
        }

        @Override
        public String key() {
            return "PREPARE " + task.act();
        }

        @Override
        public Kind kind() {
            return Kind.PREPARE;
        }
    }

    /**
     * Draws on the stone what will be painted.
     *
     * @param side which face
     */
    record Pencil(Side side, Drawing drawing, Work work, List<After> after) implements Step {
        public Pencil {
            after = List.copyOf(after);
        }

        @Override
        public String key() {
            return kind().name();
        }

        @Override
        public Kind kind() {
            return drawing.onPaint() ? Kind.PENCIL_AGAIN : Kind.PENCIL;
        }
    }

    /**
     * How it is drawn.
     *
     * @param again whether the first lines lie under paint by now
     * @param onPaint whether it is drawn on dry paint
     * @param chalk whether the pencil is white chalk, for what is dark
     * @param belowL lightness of what it is drawn on, CIE L*
     */
    record Drawing(boolean again, boolean onPaint, boolean chalk, double belowL) {}

    /** A pass: one coat of one load, on all places that take it; or of several loads worked wet into each other. */
    record Lay(String key, Kind kind, Doing doing, List<Layer> layers, Tool tool, Work work, Optional<Wet> wet, List<After> after)
            implements Step {
        public Lay {
            layers = List.copyOf(layers);
            after = List.copyOf(after);
        }

        /** Which share of its blend a layer is. */
        public Share share(Layer layer) {
            return doing.what().get(layers.indexOf(layer) * (doing.what().size() / layers.size())).share();
        }

        /** What is mixed on the palette for it, each once: neither paint as it is nor what is mixed on the stone. */
        public List<Mix> mixes() {
            return layers.stream().filter(l -> !isMixedOnTheStone(l)).map(l -> l.load().mix()).filter(m -> !m.isSingle()).distinct()
                    .toList();
        }

        /** Whether it comes of two others that are worked into each other wet. */
        public boolean isMixedOnTheStone(Layer layer) {
            return wet.isPresent() && share(layer).kind() == Share.Kind.MIXED_STEP;
        }

        /** The paint of the first load. */
        public Layer paint() {
            return layers.get(0);
        }
    }

    /**
     * The name and the day.
     *
     * @param sealed whether a seal comes over it
     */
    record Sign(Work work, List<After> after, boolean sealed) implements Step {
        public Sign {
            after = List.copyOf(after);
        }

        @Override
        public String key() {
            return "SIGN";
        }

        @Override
        public Kind kind() {
            return Kind.SIGN;
        }
    }

    /**
     * Seals one side, or the whole where only one is painted.
     *
     * @param lying what is to be minded of the face and the stone
     */
    record Seal(SealAdvice advice, Layer varnish, Lying lying, Work work, List<After> after) implements Step {
        public Seal {
            after = List.copyOf(after);
        }

        /** Whether the stone is then laid on the sealed side to seal the other. */
        public boolean turned() {
            return lying.turned;
        }

        @Override
        public String key() {
            return "SEAL";
        }

        @Override
        public Kind kind() {
            return Kind.SEAL;
        }

        @Override
        public List<Layer> layers() {
            return List.of(varnish);
        }
    }

    /**
     * How a face lies when it is sealed.
     *
     * @param turned whether the stone is then laid on the sealed side to seal the other
     * @param gems whether gems stand on it
     * @param lines what was drawn on it before
     */
    record Lying(boolean turned, boolean gems, Lines lines) {}

    /** What is left of the drawing where no paint covers it. */
    enum Lines { NONE, GRAPHITE, CHALK, BOTH }

    /**
     * What the hand does.
     *
     * @param hides whether nothing of what is below may show
     * @param count which coat it is
     * @param tolerance what still counts as hidden, CIEDE2000
     * @param widened whether a small brush widens the edge first
     * @param pencil what is drawn on the dry paint below just before; empty where that was drawn already
     */
    record Doing(List<What> what, boolean hides, Why why, Count count, double tolerance, boolean widened, Turn turn,
            Optional<Drawing> pencil) {
        public Doing {
            what = List.copyOf(what);
        }
    }

    /**
     * Which coat of how many.
     *
     * @param number from 1
     * @param of on the place that takes the most
     * @param wanted coats that would hide it all; more than are laid if none ever do
     * @param hiding how sure that is
     * @param enough what takes no further coat while others do
     */
    record Count(int number, int of, int wanted, Hiding hiding, List<What> enough) {
        public Count {
            enough = List.copyOf(enough);
        }

        /** The same for all it is laid on. */
        public Count(int number, int of, int wanted, Hiding hiding) {
            this(number, of, wanted, hiding, List.of());
        }

        /** Whether it is the last that is planned and one more may be needed. */
        public boolean perhapsMore() {
            return number == of && hiding.most() > of && wanted <= Planner.MOST_COATS;
        }
    }

    /**
     * How sure a number of coats is: what paints hide is known with a spread.
     *
     * @param least coats that may do, 1 or more
     * @param most coats that it may take
     * @param left difference to the colour itself that is left after the coats planned, CIEDE2000
     */
    record Hiding(int least, int most, double left) {
        /** So many coats, as a matter of habit. */
        static Hiding sure(int coats) {
            return new Hiding(coats, coats, 0);
        }
    }

    /** How the stone is turned so that the hand keeps off wet paint. */
    enum Turn { AS_IT_LIES, HALF_ROUND, LEFT_TO_RIGHT, RIGHT_TO_LEFT }

    /**
     * Paint as it lies.
     *
     * @param side on which surface
     * @param place mm
     * @param soft how its edge runs out
     * @param again where another coat of it follows, so that this one may be streaky
     */
    record Layer(Side side, Geometry place, Soft soft, Load load, int coats, Geometry again) {}

    /**
     * What is on the brush.
     *
     * @param coat one coat of it
     * @param thin thickness of a coat against a normal one
     */
    record Load(Mix mix, Coat coat, double thin) {}

    /**
     * How long it takes.
     *
     * @param areaMm2 surface along the stone
     * @param hand time of the hand
     * @param between waiting between its own coats
     * @param touch until another colour may lie beside it
     * @param dries until what waits for it may start
     */
    record Work(double areaMm2, Duration hand, Duration between, Duration touch, Duration dries) {}

    /** An earlier step, by number from 0, that must be done and dry first. */
    record After(int step, Waits waits) {

        /** How long it waits from the end of that step on. */
        public Duration lag(Step before) {
            return waits == Waits.WOULD_BLEED ? before.work().touch() : before.work().dries();
        }
    }

    /** Within how long after this step another that lies on it must be begun, such as leaf on size; empty for any time. */
    default Optional<Duration> lapses(Step then) {
        return this instanceof Lay below && then instanceof Lay upper && below.layers.stream().map(l -> below.share(l).kind())
                .anyMatch(k -> k.holds().filter(h -> upper.layers.stream().anyMatch(l -> upper.share(l).kind() == h)).isPresent())
                        ? Optional.of(Share.HOLDS) : Optional.empty();
    }

    /** Why a step waits for another. */
    enum Waits {
        STEP_BEFORE, DRY_GROUND, BEFORE_PAINT, LIES_BELOW, OWN_COAT, WOULD_BLEED, HANDLED, ALL_PAINTED, DRY_THROUGH, LIES_ON_SEALED
    }

    /**
     * Several loads worked into each other while they are wet.
     *
     * @param open how long the paint stays workable
     * @param work time of the hand from the first stroke to the last
     */
    record Wet(Duration open, Duration work) {
        /** More pieces than this nobody keeps a wet edge between (common practice, no source). */
        public static final int MOST_PIECES = 4;

        /** In how many pieces it is worked, each within the open time. */
        public int pieces() {
            return (int) Math.max(1, Math.ceil((double) work.toSeconds() / Math.max(1, open.toSeconds())));
        }

        /** Whether it can be done: at once, or piece by piece. */
        public boolean inTime() {
            return pieces() <= MOST_PIECES;
        }
    }
}
