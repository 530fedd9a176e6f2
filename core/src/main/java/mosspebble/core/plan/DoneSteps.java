package mosspebble.core.plan;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import mosspebble.core.project.Diary;
import mosspebble.core.project.OldPaint;

/**
 * What is done of a plan by the diary. A pass that was done with another paint than is planned now counts for the pass in its place: the
 * painter took what was at hand and told the plan afterwards.
 */
public final class DoneSteps {

    private final PaintPlan plan;
    private final Diary diary;
    private final List<String> names;
    private final Map<String, Map<Integer, Diary.Deed>> deeds = new LinkedHashMap<>();
    private final Map<Integer, String> taken = new HashMap<>();
    private final Set<String> strangers = new HashSet<>();

    public DoneSteps(PaintPlan plan, Diary diary) {
        this.plan = plan;
        this.diary = diary;
        this.names = plan.names();
        for (Diary.Deed deed : diary.deeds()) {
            if (deed.stone().equals(plan.project().id())) {
                Map<Integer, Diary.Deed> parts = deeds.computeIfAbsent(deed.step(), k -> new HashMap<>());
                if (deed.spoiled()) {
                    parts.remove(deed.part());
                } else {
                    parts.put(deed.part(), deed);
                }
            }
        }
        deeds.values().removeIf(Map::isEmpty);
        Set<String> known = new HashSet<>(names);
        for (String name : deeds.keySet()) {
            if (!known.contains(name) && !name.startsWith(Diary.EARLIER) && !place(name)) {
                strangers.add(name);
            }
        }
    }

    /** Finds the step in whose place something was done with another paint. */
    private boolean place(String name) {
        for (int i = 0; i < names.size(); i++) {
            if (!deeds.containsKey(names.get(i)) && !taken.containsKey(i) && sameButForPaint(name, i)) {
                taken.put(i, name);
                return true;
            }
        }
        return false;
    }

    private boolean sameButForPaint(String name, int step) {
        Step of = plan.steps().get(step);
        if (!(of instanceof Step.Lay)) {
            return false;
        }
        String paint = " " + of.mix().orElseThrow().parts().get(0).paint();
        String mine = names.get(step);
        int at = mine.lastIndexOf(paint);
        if (at < 0 || !name.startsWith(mine.substring(0, at + 1))) {
            return false;
        }
        String after = mine.substring(at + paint.length());
        String other = name.substring(at + 1);
        return other.endsWith(after) && !other.substring(0, other.length() - after.length()).contains(" ");
    }

    /** How a coat of a step was done; empty if it is still to be done, or to be done again. */
    public Optional<Diary.Deed> done(int step, int part) {
        Map<Integer, Diary.Deed> parts = deeds.get(taken.getOrDefault(step, names.get(step)));
        return Optional.ofNullable(parts).map(p -> p.get(part));
    }

    /** Whether all coats of a step are done. */
    public boolean done(int step) {
        return plan.steps().get(step) instanceof Step.Earlier || done(step, ManyStones.parts(plan.steps().get(step)) - 1).isPresent();
    }

    /** How many steps are done from the first on. */
    public int inOrder() {
        int count = 0;
        while (count < names.size() && done(count)) {
            count++;
        }
        return count;
    }

    /** How many steps that were done are no longer in the plan. */
    public int strangers() {
        return strangers.size();
    }

    /** What its passes that are done have laid on the stone, after what lay there from earlier. */
    public List<OldPaint> lying() {
        List<OldPaint> all = new ArrayList<>(plan.project().oldPaint());
        all.addAll(
                diary.lying(plan.project().id(), name -> names.contains(name) ? laid(plan.steps().get(names.indexOf(name))) : List.of()));
        return all;
    }

    /** What a pass lays. */
    public static List<OldPaint> laid(Step step) {
        return !(step instanceof Step.Lay) ? List.of()
                : step.layers().stream().map(l -> OldPaint.on(l.side(), l.place(), l.load().mix(), l.load().thin(), l.coats())).toList();
    }

    /** Whether anything was done. */
    public boolean begun() {
        return !deeds.isEmpty();
    }
}
