package mosspebble.app.colour;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.beans.property.SimpleObjectProperty;
import javafx.beans.property.SimpleStringProperty;
import javafx.beans.property.StringProperty;
import mosspebble.app.model.PlanWorker;
import mosspebble.app.model.Results;
import mosspebble.app.model.Workbench;
import mosspebble.core.advice.Neighbours;
import mosspebble.core.advice.Schemes;
import mosspebble.core.blend.Blend;
import mosspebble.core.colour.Closer;
import mosspebble.core.colour.ColourWords;
import mosspebble.core.colour.Lab;
import mosspebble.core.colour.Mix;
import mosspebble.core.colour.Nudge;
import mosspebble.core.colour.Paint;
import mosspebble.core.colour.Palette;
import mosspebble.core.colour.RecipeSearch;
import mosspebble.core.colour.Shelf;
import mosspebble.core.plan.PaintPlan;
import mosspebble.core.plan.Step;
import mosspebble.core.project.Habits;
import mosspebble.core.project.Project;
import mosspebble.core.sketch.PlacedPart;
import mosspebble.core.sketch.Role;
import mosspebble.core.sketch.Slot;
import mosspebble.core.units.Numbers;
import mosspebble.core.units.Srgb;
import mosspebble.core.units.Words;
import mosspebble.core.words.AdviceWords;
import org.locationtech.jts.algorithm.locate.SimplePointInAreaLocator;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Location;

/** The colour stage: which slot is in hand, what is wished for, what was found for it on the shelf. */
public final class ColourModel {

    /** The slot that stands for the background. */
    public static final Slot GROUND = new Slot(Project.GROUND, "Ground", Srgb.ofHex("#f3efe4"));

    /** Parts a painter counts out at most. */
    private static final int MOST_PARTS = RecipeSearch.MOST_PARTS;

    private static final int PROPOSALS = 4;

    /** What was found for the slot in hand. */
    public record Found(String slot, Srgb wanted, Shelf shelf, List<RecipeSearch.Recipe> recipes, Optional<Closer.Purchase> purchase) {}

    private final Workbench workbench;
    private final Results show;
    private final PlanWorker desk;
    private final PlanWorker.Line searching = new PlanWorker.Line();
    private final PlanWorker.Line buying = new PlanWorker.Line();
    private final PlanWorker.Line scheming = new PlanWorker.Line();
    private final StringProperty slot = new SimpleStringProperty("");
    private final ObjectProperty<Srgb> wish = new SimpleObjectProperty<>();
    private final ReadOnlyObjectWrapper<Found> found = new ReadOnlyObjectWrapper<>();
    private final ReadOnlyObjectWrapper<List<Schemes.Scheme>> schemes = new ReadOnlyObjectWrapper<>(List.of());
    private final PlanWorker.Line comparing = new PlanWorker.Line();
    private final ReadOnlyObjectWrapper<List<Neighbours.Apart>> apart = new ReadOnlyObjectWrapper<>(List.of());
    private PaintPlan apartOf;
    private Object schemesOf;
    private List<Object> asked = List.of();

    public ColourModel(Workbench workbench, Results show, PlanWorker desk) {
        this.workbench = workbench;
        this.show = show;
        this.desk = desk;
        slot.addListener((o, a, b) -> wish.set(null));
    }

    /** Id of the slot in hand. */
    public StringProperty slotProperty() {
        return slot;
    }

    /** A colour wished for instead of the slot's own; null for the slot's. */
    public ObjectProperty<Srgb> wishProperty() {
        return wish;
    }

    public ReadOnlyObjectProperty<Found> foundProperty() {
        return found.getReadOnlyProperty();
    }

    public ReadOnlyObjectProperty<List<Schemes.Scheme>> schemesProperty() {
        return schemes.getReadOnlyProperty();
    }

    public Palette palette() {
        return desk.palette(workbench.studio().shelf());
    }

    /** The slots of the design, the ground last if the stone gets one. */
    public List<Slot> slots() {
        List<Slot> slots = new ArrayList<>();
        Optional.ofNullable(show.plan()).flatMap(PaintPlan::design).ifPresent(d -> slots.addAll(d.slots()));
        if (workbench.shown().filter(p -> p.habits().ground() != Habits.Ground.BARE).isPresent()) {
            slots.add(GROUND);
        }
        return slots;
    }

    /** Takes the slot in hand whose colour lies at a place of the stone, mm: the front part there, else the ground. */
    public void pick(double x, double y) {
        PaintPlan plan = show.plan();
        if (plan == null || plan.design().isEmpty() || plan.survey().dome().levelAt(x, y) <= 0) {
            return;
        }
        List<PlacedPart> parts = plan.design().get().parts();
        Coordinate at = new Coordinate(x, y);
        for (int i = parts.size() - 1; i >= 0; i--) {
            PlacedPart part = parts.get(i);
            if (part.part().role() != Role.GUIDE && part.painted().getEnvelopeInternal().contains(at)
                    && SimplePointInAreaLocator.locate(at, part.painted()) != Location.EXTERIOR) {
                slot.set(part.part().slot());
                return;
            }
        }
        if (slots().contains(GROUND)) {
            slot.set(Project.GROUND);
        }
    }

    /** The slot in hand, else the first; empty without slots. */
    public Optional<Slot> inHand() {
        List<Slot> all = slots();
        return all.stream().filter(s -> s.id().equals(slot.get())).findFirst().or(() -> all.stream().findFirst());
    }

    public Optional<Mix> mix(Slot of) {
        return of.id().equals(Project.GROUND) ? workbench.shown().flatMap(Project::ground)
                : workbench.shown().map(p -> p.colours().get(of.id()));
    }

    public Blend blend(Slot of) {
        return workbench.shown().map(p -> p.blends().getOrDefault(of.id(), Blend.flat())).orElse(Blend.flat());
    }

    public Srgb wished(Slot of) {
        return wish.get() != null ? wish.get() : of.wish();
    }

    /** What the slot looks like: its mix as a thick dry film, else its wish. */
    public Srgb look(Slot of) {
        return mix(of).flatMap(palette()::colour).map(c -> c.optics().full().toSrgb()).orElse(of.wish());
    }

    // --- deeds

    public void set(Slot of, Mix mix) {
        if (of.id().equals(Project.GROUND)) {
            workbench.edit("Colour of the ground", p -> p.withGround(Optional.of(mix)));
        } else {
            workbench.edit("Colour of " + of.title().toLowerCase(Locale.ROOT), p -> p.withColour(of.id(), mix));
        }
    }

    public void leaveBare() {
        workbench.edit("Leave the ground bare", p -> p.withGround(Optional.empty()));
    }

    public void set(Slot of, Blend blend) {
        workbench.edit(of.title() + ": " + blend.kind().label(), p -> p.withBlend(of.id(), blend));
    }

    /** One part of a paint more or less. */
    public void change(Slot of, String paint, int by) {
        Optional<Mix> mix = mix(of);
        if (mix.isEmpty()) {
            if (by > 0) {
                set(of, Mix.of(paint));
            }
            return;
        }
        List<Mix.Part> parts = new ArrayList<>();
        boolean there = false;
        for (Mix.Part part : mix.get().parts()) {
            boolean same = part.paint().equals(paint);
            there |= same;
            int count = part.parts() + (same ? by : 0);
            if (count > 0) {
                parts.add(new Mix.Part(part.paint(), Math.min(24, count)));
            }
        }
        if (!there && by > 0) {
            Shelf shelf = workbench.studio().shelf();
            boolean mixes = shelf.find(paint).filter(p -> p.kind().mixable()).isPresent()
                    && mix.get().parts().stream().allMatch(p -> shelf.find(p.paint()).filter(q -> q.kind().mixable()).isPresent());
            if (!mixes) {
                workbench.tell("Pens, metallics and glitter do not mix. Take it alone.");
                return;
            }
            if (parts.size() == 3) {
                workbench.tell("A mix holds three paints. Take one out first.");
                return;
            }
            parts.add(new Mix.Part(paint, by));
        }
        if (!parts.isEmpty()) {
            set(of, new Mix(parts));
        }
    }

    /** Whether what was found is for this slot, as it is wished for now, from the shelf as it is. */
    public boolean isFound(Slot of) {
        Found now = found.get();
        return now != null && now.slot().equals(of.id()) && now.wanted().equals(wished(of))
                && now.shelf().equals(workbench.studio().shelf());
    }

    /** Looks for the best recipes for what is wished, unless that was done already. */
    public void propose(Slot of) {
        if (!isFound(of) && !asked.equals(List.of(of.id(), wished(of), workbench.studio().shelf()))) {
            search(of, false);
        }
    }

    /**
     * Looks for the best recipes for what is wished.
     *
     * @param take whether the best is taken
     */
    public void search(Slot of, boolean take) {
        Srgb wanted = wished(of);
        Shelf shelf = workbench.studio().shelf();
        asked = List.of(of.id(), wanted, shelf);
        desk.ask(searching, d -> RecipeSearch.best(Lab.of(wanted), d.palette(shelf), MOST_PARTS, 3, 40), recipes -> {
            if (recipes.isEmpty() && take) {
                workbench.tell("The shelf has no paint that mixes. Add a brush paint to the shelf first.");
                return;
            }
            found.set(new Found(of.id(), wanted, shelf, different(recipes), Optional.empty()));
            if (take && !recipes.isEmpty()) {
                set(of, recipes.get(0).mix());
            }
        });
    }

    /** The best, and then the best of fewer paints or other paints: what is nearly the same twice is left out. */
    private static List<RecipeSearch.Recipe> different(List<RecipeSearch.Recipe> recipes) {
        List<RecipeSearch.Recipe> kept = new ArrayList<>();
        for (RecipeSearch.Recipe each : recipes) {
            boolean known = kept.stream().anyMatch(k -> k.mix().parts().stream().map(Mix.Part::paint).sorted().toList()
                    .equals(each.mix().parts().stream().map(Mix.Part::paint).sorted().toList()));
            if (!known && kept.size() < PROPOSALS) {
                kept.add(each);
            }
        }
        return kept;
    }

    /** What to buy to come nearer. */
    public void buy() {
        Found now = found.get();
        if (now != null) {
            desk.ask(buying, d -> Closer.of(Lab.of(now.wanted()), d.palette(now.shelf()), 8), purchase -> {
                if (found.get() == now) {
                    found.set(new Found(now.slot(), now.wanted(), now.shelf(), now.recipes(), purchase));
                    if (purchase.isEmpty()) {
                        workbench.tell("No usual paint would bring it nearer than the shelf does.");
                    }
                }
            });
        }
    }

    public void nudge(Slot of, Nudge.Toward toward) {
        mix(of).flatMap(m -> Nudge.of(m, toward, palette())).ifPresentOrElse(move -> {
            set(of, move.mix());
            workbench.tell(Words.upper(toward.name().toLowerCase(Locale.ROOT)) + ": " + move.words() + ".");
        }, () -> workbench.tell("Nothing on the shelf moves this mix " + toward.name().toLowerCase(Locale.ROOT) + "."));
    }

    public void askSchemes() {
        PaintPlan plan = show.plan();
        Shelf shelf = workbench.studio().shelf();
        if (plan == null || plan.design().isEmpty()) {
            schemes.set(List.of());
            return;
        }
        Object of = List.of(plan.design().get().slots(), plan.project().id(), shelf, plan.project().ground(),
                plan.project().habits().ground());
        if (!of.equals(schemesOf)) {
            schemesOf = of;
            desk.ask(scheming, d -> Schemes.of(plan, d.palette(shelf)), schemes::set);
        }
    }

    public void take(Schemes.Scheme scheme) {
        workbench.edit("Palette: " + AdviceWords.title(scheme.mood()), p -> {
            Project changed = p;
            for (var each : scheme.colours().entrySet()) {
                changed = changed.withColour(each.getKey(), each.getValue());
            }
            return changed;
        });
    }

    // --- facts

    /** Area of a slot's steps times their coats, mm2, and its coats at most; both 0 without a plan. */
    public double[] use(Slot of) {
        PaintPlan plan = show.plan();
        Optional<Mix> mix = mix(of);
        if (plan == null || mix.isEmpty()) {
            return new double[] {0, 0};
        }
        double area = 0;
        int coats = 0;
        for (Step step : plan.steps()) {
            if (step instanceof Step.Lay lay && step.mix().equals(mix)) {
                area += lay.work().areaMm2() * lay.paint().load().thin();
                coats = Math.max(coats, lay.doing().count().of());
            }
        }
        return new double[] {area, coats};
    }

    /** How well the neighbours of the plan asked for last are told apart, the least first. */
    public ReadOnlyObjectProperty<List<Neighbours.Apart>> apartProperty() {
        return apart.getReadOnlyProperty();
    }

    public void askApart() {
        PaintPlan plan = show.plan();
        Shelf shelf = workbench.studio().shelf();
        if (plan != null && plan != apartOf) {
            apartOf = plan;
            desk.ask(comparing, d -> Neighbours.apart(plan, d.palette(shelf)), apart::set);
        }
    }

    public String title(String slotId) {
        return slotId.equals(Neighbours.BEHIND)
                ? workbench.shown().flatMap(Project::ground).isPresent() && slots().contains(GROUND) ? "the ground" : "the bare stone"
                : slots().stream().filter(s -> s.id().equals(slotId)).map(s -> s.title().toLowerCase(Locale.ROOT)).findFirst()
                        .orElse(slotId);
    }

    /** A recipe's nearness in words and number. */
    public static String nearness(RecipeSearch.Recipe recipe, Srgb wanted) {
        String off = ColourWords.off(recipe.dry(), Lab.of(wanted));
        return ColourWords.near(recipe.difference()) + " (" + Numbers.text(recipe.difference(), 1) + ")"
                + (off.isEmpty() || recipe.difference() < 1 ? "" : ", " + off);
    }

    /** A paint in words. */
    public static String about(Paint paint) {
        return paint.name() + ", " + paint.kind().label() + (paint.hasNib() ? " " + Numbers.text(paint.tip().value(), 1) + " mm" : "")
                + ", hides " + Math.round(100 * paint.hiding()) + " % in one coat, "
                + Numbers.text(paint.left().value(), 0) + " ml left";
    }
}
