package mosspebble.core.project;

import java.util.ArrayList;
import java.util.Collection;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Supplier;
import mosspebble.core.sketch.Refit;
import mosspebble.core.sketch.Repertoire;
import mosspebble.core.sketch.Support;
import mosspebble.core.stone.Origin;
import mosspebble.core.stone.Stone;
import mosspebble.core.stone.Survey;

/** Painting once more what was decided for one stone: on another stone, on several alike, or on one to practise on. */
public final class Again {

    /** Most stones added at once. */
    public static final int MOST = 24;

    private Again() {}

    /**
     * A design on another stone.
     *
     * @param size of the face that is up, times its size on the first
     */
    public record Refitted(Project project, double size) {}

    /** The same design on another stone, both faces fitted as they were fitted to the first, bands of the edge sized with them. */
    public static Refitted on(Stone stone, Project project, Repertoire repertoire) {
        double[] size = {1};
        Project up = refitted(project, project.withStone(stone).withOldPaint(List.of()), repertoire, size);
        double front = size[0];
        if (up.paintedBelow()) {
            up = refitted(project.turnedOver(), up.turnedOver(), repertoire, size).turnedOver();
        }
        List<Edge.Band> bands = up.edge().bands().stream()
                .map(b -> new Edge.Band(front * b.offMm(), Math.max(0.3, Math.min(60, front * b.wideMm())), b.mix())).toList();
        return new Refitted(up.withEdge(up.edge().withBands(bands)), front);
    }

    private static Project refitted(Project from, Project to, Repertoire repertoire, double[] size) {
        if (to.sketch().isEmpty()) {
            return to;
        }
        Refit.Refitted found = Refit.onto(to.sketch().get(), repertoire, new Support(Survey.of(from.stone()), from.viewpoint()),
                new Support(Survey.of(to.stone()), to.viewpoint()));
        size[0] = found.size();
        return to.withSketch(Optional.of(found.sketch()));
    }

    /**
     * Stones alike, to be painted beside the first: the same in all but their names, with nothing weighed yet.
     *
     * @param more 1 to {@link #MOST}
     * @param taken names that are given already
     * @param ids makes an id for each
     */
    public static List<Project> series(Project first, int more, Collection<String> taken, Supplier<String> ids) {
        if (more < 1 || more > MOST) {
            throw new IllegalArgumentException("A series takes 1 to " + MOST + " stones more, not " + more + ".");
        }
        Set<String> names = new HashSet<>(taken);
        names.add(first.name());
        List<Project> series = new ArrayList<>();
        for (int i = 0; i < more; i++) {
            String name = free(first.name(), names);
            names.add(name);
            series.add(first.withId(ids.get()).withName(name).withWeighings(List.of()).withOldPaint(List.of()));
        }
        return series;
    }

    /** A stone like it to practise on: its marks left out, it stays indoors and is not sealed. */
    public static Project practice(Project first, Collection<String> taken, Supplier<String> ids) {
        Project like = first.withName(free("Practice for " + first.name(), Set.copyOf(taken))).withId(ids.get()).withWeighings(List.of())
                .withOldPaint(List.of())
                .withOrigin(Origin.unknown()).withStone(first.stone().withPatches(List.of()));
        Habits.Keeping plain = new Habits.Keeping(Habits.Seal.NONE, "", false);
        return like.withWholeHabits(like.wholeHabits().withKeeping(plain));
    }

    /** A name that is not taken: the one wanted, or with a number after it. */
    private static String free(String wanted, Set<String> taken) {
        for (int number = 1;; number++) {
            String after = number == 1 ? "" : " " + number;
            String name = wanted.substring(0, Math.min(wanted.length(), Project.LONGEST - after.length())).strip() + after;
            if (!taken.contains(name)) {
                return name;
            }
        }
    }
}
