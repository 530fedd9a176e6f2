package mosspebble.files;

import java.util.ArrayList;
import java.util.List;
import org.locationtech.jts.algorithm.RobustLineIntersector;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.LineString;
import org.locationtech.jts.geom.util.LinearComponentExtracter;
import org.locationtech.jts.noding.BasicSegmentString;
import org.locationtech.jts.noding.MCIndexNoder;
import org.locationtech.jts.noding.SegmentIntersector;
import org.locationtech.jts.noding.SegmentString;

/**
 * Counts how often lines cross before anything is done with them, and stops counting where it is too often: what areas cost grows with the
 * crossings, and a few kilobytes can hold a million of them. Lines are
 * compared by monotone chains in an index (JTS, {@code MCIndexNoder}); both the crossings and the comparisons have a limit.
 */
final class Intricacy implements SegmentIntersector {

    /** Most crossings of one drawing. */
    static final int MOST_CROSSINGS = 12_000;

    /** Most pairs of pieces compared. */
    private static final long MOST_PAIRS = 6_000_000;

    /** A drawing that is more than can be worked with; the message is a sentence. */
    static final class TooIntricate extends RuntimeException {
        private static final long serialVersionUID = 1;

        TooIntricate(String message) {
            super(message);
        }
    }

    private final RobustLineIntersector lines = new RobustLineIntersector();
    private int crossings;
    private long pairs;

    private Intricacy() {}

    /**
     * @param lines rings closed
     * @return how often they cross or touch one another and themselves, apart from where one piece of a line goes on to the next
     * @throws TooIntricate if it is too often
     */
    static int crossings(List<Coordinate[]> lines) {
        List<SegmentString> strings = new ArrayList<>();
        lines.stream().filter(l -> l.length > 1).forEach(l -> strings.add(new BasicSegmentString(l, l)));
        Intricacy count = new Intricacy();
        MCIndexNoder index = new MCIndexNoder(count);
        index.computeNodes(strings);
        if (count.isDone()) {
            throw new TooIntricate("Its lines cross one another more than " + MOST_CROSSINGS + " times, or lie too close to tell.");
        }
        return count.crossings;
    }

    /** The same for shapes. */
    static int crossingsOf(List<Geometry> shapes) {
        List<Coordinate[]> lines = new ArrayList<>();
        for (Geometry shape : shapes) {
            for (Object line : LinearComponentExtracter.getLines(shape)) {
                lines.add(((LineString) line).getCoordinates());
            }
        }
        return crossings(lines);
    }

    @Override
    public void processIntersections(SegmentString one, int i, SegmentString other, int k) {
        pairs++;
        if (one == other && (i == k || Math.abs(i - k) == 1 || Math.abs(i - k) == one.size() - 2 && one.isClosed())) {
            Coordinate joint = one.getCoordinate(Math.max(i, k));
            boolean around = Math.abs(i - k) > 1;
            if (i == k || !foldsBack(one, i, k, around ? one.getCoordinate(0) : joint)) {
                return;
            }
        }
        lines.computeIntersection(one.getCoordinate(i), one.getCoordinate(i + 1), other.getCoordinate(k), other.getCoordinate(k + 1));
        if (lines.hasIntersection()) {
            crossings++;
        }
    }

    /** Two pieces that follow each other meet in their joint; more than that only where the line goes back on itself. */
    private boolean foldsBack(SegmentString line, int i, int k, Coordinate joint) {
        lines.computeIntersection(line.getCoordinate(i), line.getCoordinate(i + 1), line.getCoordinate(k), line.getCoordinate(k + 1));
        return lines.getIntersectionNum() > 1 || lines.hasIntersection() && lines.getIntersection(0).distance(joint) > 1e-9;
    }

    @Override
    public boolean isDone() {
        return crossings > MOST_CROSSINGS || pairs > MOST_PAIRS;
    }
}
