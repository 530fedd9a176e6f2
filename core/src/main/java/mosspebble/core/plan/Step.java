package mosspebble.core.plan;

import java.time.Duration;
import java.util.List;
import java.util.Optional;
import mosspebble.core.area.Shapes;
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

    /** The film it lays; empty for steps that lay none. */
    default Optional<Layer> layer() {
        return Optional.empty();
    }

    /** For what is laid into wet paint: with which step, and until when. */
    default Optional<Wet> wet() {
        return Optional.empty();
    }

    /** Where on the stone, mm; empty for steps that lay no paint. */
    default Geometry place() {
        return layer().map(Layer::place).orElse(Shapes.nothing());
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

    /** How many coats; 0 for steps that lay no paint. */
    default int coats() {
        return layer().map(Layer::coats).orElse(0);
    }

    /** What kind of step it is, in the order of the work. */
    enum Kind {
        PREPARE, PENCIL, PRIME, GROUND, PENCIL_AGAIN, LINE_FIRST, FILL, MORE, SHADE, DETAIL, OUTLINE, HIGHLIGHT, SIGN, SEAL;

        /** Whether the painter may move it in the order. */
        public boolean movable() {
            return this != PREPARE && this != PENCIL && this != PENCIL_AGAIN && this != SIGN && this != SEAL;
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
     * @param again whether the first lines lie under paint by now
     * @param chalk whether the pencil is white chalk, for a dark stone
     * @param stoneL lightness of the stone, CIE L*
     */
    record Pencil(Side side, boolean again, boolean chalk, double stoneL, Work work, List<After> after) implements Step {
        public Pencil {
            after = List.copyOf(after);
        }

        @Override
        public String key() {
            return kind().name();
        }

        @Override
        public Kind kind() {
            return again ? Kind.PENCIL_AGAIN : Kind.PENCIL;
        }
    }

    /** Lays paint: primer, ground, areas, shades, lines, dots. */
    record Lay(String key, Kind kind, Doing doing, Layer paint, Tool tool, Work work, Optional<Wet> wet, List<After> after)
            implements Step {
        public Lay {
            after = List.copyOf(after);
        }

        @Override
        public Optional<Layer> layer() {
            return Optional.of(paint);
        }
    }

    /** The name and the day. */
    record Sign(Work work, List<After> after) implements Step {
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
     * @param turned whether the stone is then laid on the sealed side to seal the other
     */
    record Seal(SealAdvice advice, Layer varnish, boolean turned, Work work, List<After> after) implements Step {
        public Seal {
            after = List.copyOf(after);
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
        public Optional<Layer> layer() {
            return Optional.of(varnish);
        }
    }

    /**
     * What the hand does.
     *
     * @param hides whether nothing of what is below may show
     * @param wanted coats that would hide it all; more than are laid if none ever do
     * @param tolerance what still counts as hidden, CIEDE2000
     * @param widened whether a small brush widens the edge first
     */
    record Doing(List<What> what, boolean hides, Why why, int wanted, double tolerance, boolean widened, Turn turn) {
        public Doing {
            what = List.copyOf(what);
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
     */
    record Layer(Side side, Geometry place, Soft soft, Load load, int coats) {}

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
     * @param dries until what waits for it may start
     */
    record Work(double areaMm2, Duration hand, Duration between, Duration dries) {}

    /** An earlier step, by number from 0, that must be done and dry first. */
    record After(int step, Waits waits) {}

    /** Why a step waits for another. */
    enum Waits {
        STEP_BEFORE, DRY_GROUND, BEFORE_PAINT, LIES_BELOW, WOULD_BLEED, HANDLED, ALL_PAINTED, DRY_THROUGH, LIES_ON_SEALED
    }

    /**
     * Laid while earlier paint is wet.
     *
     * @param first number of the first step of the group
     * @param open how long that paint stays workable
     * @param work time of the hand from its start to the end of this step
     */
    record Wet(int first, Duration open, Duration work) {
        public boolean inTime() {
            return work.compareTo(open) <= 0;
        }
    }
}
