package mosspebble.core.advice;

import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import mosspebble.core.area.Grid;
import mosspebble.core.coats.Coat;
import mosspebble.core.coats.Film;
import mosspebble.core.coats.FilmMap;
import mosspebble.core.coats.FilmTable;
import mosspebble.core.coats.Sheen;
import mosspebble.core.colour.Mix;
import mosspebble.core.colour.PaintKind;
import mosspebble.core.colour.Palette;
import mosspebble.core.drying.Climate;
import mosspebble.core.drying.Drying;
import mosspebble.core.plan.PaintPlan;
import mosspebble.core.plan.Step;
import mosspebble.core.plan.StoneState;
import mosspebble.core.units.Facts;

/**
 * How a mistake at one place is put right: let dry, bring back what was there coat by coat, restore the line. Which colours lie there comes
 * from the plan as far as it is painted; how
 * many coats hide the mistake comes from the films.
 *
 * @param place what lies there; empty on bare stone
 */
public record Correction(Optional<Place> place, List<Repair> steps) {

    /** What went wrong. */
    public enum Mishap {
        /** Another colour slipped onto it. */
        SLIP,
        /** An edge ran into its neighbour. */
        BLED, WRONG_COLOUR, CRACKED,
        /** Bald places in the glitter. */
        BALD_GLITTER,
        /** Grey from erasing. */
        SMUDGE;

        /** Whether it makes sense to say which colour slipped. */
        public boolean hasColour() {
            return this == SLIP || this == BLED || this == WRONG_COLOUR;
        }
    }

    /** What is done to put it right. Colours are named by {@code colour}, coats counted by {@code coats}. */
    public enum Act {
        DULL_SEAL, SEAL_AGAIN, WIPE_OFF_STONE, LET_DRY, LET_BOTH_DRY, LIFT, BLOCK, COVER,
        /** Restores the line crossed, with the tool of the step {@code line}. */
        RESTORE_LINE, CHOOSE, LET_WRONG_DRY, PRIME_FIRST, REPAINT, STRIP_CRACKLE, WAIT_HARD, SAND, SAY_GLITTER, DAB_GLITTER, BRUSH_CRUMBS,
        WIPE_STONE, CLEAN_UP
    }

    /**
     * One step of the repair.
     *
     * @param facts what the sentence about it needs
     * @param mix what is laid; empty if nothing
     * @param waits until the next step
     */
    public record Repair(Act act, Facts facts, Optional<Mix> mix, int coats, Duration waits) {}

    /**
     * What lies at the place.
     *
     * @param on the step whose coat lies on top
     * @param colour of it, in the shelf's words
     */
    public record Place(Step on, String colour) {}

    /** Most coats worth laying; beyond, take the paint off. */
    private static final int MOST_COATS = 5;

    public Correction {
        steps = List.copyOf(steps);
    }

    /**
     * @param done how many steps of the plan are painted
     * @param slipped colour that lies where it should not; not needed for every mishap
     */
    public static Correction of(PaintPlan plan, int done, double x, double y, Mishap mishap, Optional<Mix> slipped, Palette palette,
            Climate climate) {
        return new Bench(plan, done, x, y, palette, climate).correct(mishap, slipped);
    }

    private static final class Bench {
        private final PaintPlan plan;
        private final Palette palette;
        private final Climate climate;
        private final FilmTable table;
        private final int film;
        private final List<Film> stack;
        private final boolean sealed;
        private final List<Repair> steps = new ArrayList<>();

        Bench(PaintPlan plan, int done, double x, double y, Palette palette, Climate climate) {
            this.plan = plan;
            this.palette = palette;
            this.climate = climate;
            double half = Math.max(plan.survey().dome().outline().halfWidth(), plan.survey().dome().outline().halfHeight());
            FilmMap films = plan.filmsAfter(done, Grid.around(plan.survey().dome().outline().halfWidth(),
                    plan.survey().dome().outline().halfHeight(), Math.max(0.4, half / 200)), StoneState.DRY);
            this.table = films.table();
            this.film = films.at(x, y);
            List<Film> whole = table.stack(film);
            this.sealed = whole.stream().anyMatch(f -> f.coat().orElseThrow().optics().isClear());
            this.stack = whole.stream().filter(f -> !f.coat().orElseThrow().optics().isClear()).toList();
        }

        Correction correct(Mishap mishap, Optional<Mix> slipped) {
            Optional<Place> place = stack.isEmpty() ? Optional.empty()
                    : Optional.of(new Place(plan.steps().get(top().step()), top().name()));
            if (sealed) {
                say(Act.DULL_SEAL, Duration.ZERO);
            }
            switch (mishap) {
                case SLIP, BLED -> covered(mishap == Mishap.BLED, slipped);
                case WRONG_COLOUR -> recoloured(slipped);
                case CRACKED -> cracked();
                case BALD_GLITTER -> glitter();
                case SMUDGE -> smudge();
            }
            if (sealed) {
                say(Act.SEAL_AGAIN, Drying.beforeSealing(60, climate));
            }
            return new Correction(place, steps);
        }

        private Coat top() {
            return stack.get(stack.size() - 1).coat().orElseThrow();
        }

        private void say(Act act, Duration wait) {
            steps.add(new Repair(act, Facts.none(), Optional.empty(), 0, wait));
        }

        private Duration dry(Optional<Mix> mix) {
            return mix.flatMap(palette::colour)
                    .map(c -> Drying.of(c.wetUm(), c.solids(), Drying.Below.PAINT, plan.project().habits().dryer(), climate).recoat())
                    .orElse(Duration.ofMinutes(10));
        }

        private void covered(boolean bled, Optional<Mix> slipped) {
            if (stack.isEmpty()) {
                say(Act.WIPE_OFF_STONE, Duration.ZERO);
                return;
            }
            say(bled ? Act.LET_BOTH_DRY : Act.LET_DRY, dry(slipped));
            restore(slipped);
            lines();
        }

        /** Brings back the colour that was there, with as many coats as hide what slipped. */
        private void restore(Optional<Mix> slipped) {
            Coat right = top();
            Step step = plan.steps().get(right.step());
            int ground = film;
            if (slipped.isPresent() && palette.colour(slipped.get()).isPresent()) {
                Palette.Colour over = palette.colour(slipped.get()).get();
                ground = table.over(film,
                        new Coat("slip", over.optics().full().toSrgb(), over.optics(), over.dryUm(), 0, Sheen.SATIN, right.step()));
            }
            int coats = table.coatsToHide(ground, right, plan.project().habits().tolerance(), MOST_COATS);
            Optional<Mix> mix = step.mix();
            if (coats > MOST_COATS) {
                steps.add(new Repair(Act.LIFT, Facts.of("coats", MOST_COATS).and("colour", right.name()), Optional.empty(), 0, dry(mix)));
                Optional<Palette.Colour> white = palette.shelf().paints().stream()
                        .filter(p -> p.kind().does(PaintKind.Use.PRIMES) || p.kind().does(PaintKind.Use.FILLS))
                        .map(p -> palette.colour(Mix.of(p.id())).orElseThrow())
                        .max((a, b) -> Double.compare(a.optics().contrastRatio(a.dryUm()) + a.lab().l() / 100,
                                b.optics().contrastRatio(b.dryUm()) + b.lab().l() / 100));
                if (white.isPresent()) {
                    Coat blocking = new Coat("block", white.get().optics().full().toSrgb(), white.get().optics(), white.get().dryUm(), 0,
                            Sheen.MATT, right.step());
                    int blocked = table.over(ground, blocking, 2);
                    steps.add(new Repair(Act.BLOCK, Facts.of("colour", palette.shelf().words(white.get().mix())),
                            Optional.of(white.get().mix()), 2, dry(Optional.of(white.get().mix())).multipliedBy(2)));
                    coats = Math.min(MOST_COATS, table.coatsToHide(blocked, right, plan.project().habits().tolerance(), MOST_COATS));
                } else {
                    coats = MOST_COATS;
                }
            }
            steps.add(
                    new Repair(Act.COVER, Facts.of("coats", coats).and("colour", right.name()), mix, coats, dry(mix).multipliedBy(coats)));
        }

        /** Lines that the plan draws over the place and that the repair covers. */
        private void lines() {
            plan.steps().stream().filter(o -> o.kind() == Step.Kind.OUTLINE || o.kind() == Step.Kind.DETAIL).findFirst()
                    .ifPresent(o -> steps.add(new Repair(Act.RESTORE_LINE, Facts.of("line", o), o.mix(), 1, dry(o.mix()))));
        }

        private void recoloured(Optional<Mix> wanted) {
            if (stack.isEmpty() || wanted.isEmpty() || palette.colour(wanted.get()).isEmpty()) {
                say(Act.CHOOSE, Duration.ZERO);
                return;
            }
            say(Act.LET_WRONG_DRY, dry(plan.steps().get(top().step()).mix()));
            Palette.Colour right = palette.colour(wanted.get()).get();
            Coat coat = new Coat(palette.shelf().words(wanted.get()), right.optics().full().toSrgb(), right.optics(), right.dryUm(),
                    right.dryingShift(), Sheen.SATIN, top().step());
            int coats = table.coatsToHide(film, coat, plan.project().habits().tolerance(), MOST_COATS + 2);
            steps.add(
                    new Repair(coats > MOST_COATS + 2 ? Act.PRIME_FIRST : Act.REPAINT,
                            Facts.of("coats", coats).and("colour", coat.name()),
                            wanted, Math.min(coats, MOST_COATS + 2), dry(wanted).multipliedBy(Math.min(coats, MOST_COATS + 2))));
            lines();
        }

        private void cracked() {
            boolean medium = stack.stream().anyMatch(f -> f.coat().orElseThrow().sheen() == Sheen.CRACKLE);
            say(medium ? Act.STRIP_CRACKLE : Act.WAIT_HARD, Duration.ofHours(12));
            say(Act.SAND, Duration.ofMinutes(20));
            if (!stack.isEmpty()) {
                restore(Optional.empty());
                lines();
            }
        }

        private void glitter() {
            Optional<Mix> glitter = plan.steps().stream().filter(o -> o.coat().filter(c -> c.sheen() == Sheen.GLITTER).isPresent())
                    .findFirst().flatMap(Step::mix);
            say(Act.SAY_GLITTER, dry(glitter));
            steps.add(new Repair(Act.DAB_GLITTER, Facts.none(), glitter, 2,
                    dry(glitter).multipliedBy(2)));
        }

        private void smudge() {
            say(Act.BRUSH_CRUMBS, Duration.ZERO);
            if (stack.isEmpty()) {
                say(Act.WIPE_STONE, Duration.ofMinutes(15));
            } else {
                steps.add(new Repair(Act.CLEAN_UP, Facts.of("colour", top().name()), plan.steps().get(top().step()).mix(), 1,
                        dry(plan.steps().get(top().step()).mix())));
            }
        }
    }
}
