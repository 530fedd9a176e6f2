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
import mosspebble.core.units.Words;
import mosspebble.core.words.StepWords;

/**
 * How a mistake at one place is put right: let dry, bring back what was there coat by coat, restore the line. Which colours lie there comes
 * from the plan as far as it is painted; how
 * many coats hide the mistake comes from the films.
 *
 * @param place what lies there, in the painter's words
 */
public record Correction(String place, List<Repair> steps) {

    /** What went wrong. */
    public enum Mishap {
        SLIP("slip", "Another colour slipped onto it"),
        BLED("bled edge", "An edge ran into its neighbour"),
        WRONG_COLOUR("wrong colour", "It should have another colour"),
        CRACKED("cracked", "The paint cracked"),
        BALD_GLITTER("bald glitter", "Bald places in the glitter"),
        SMUDGE("smudge", "A grey smudge from erasing");

        private final String label;

        private final String sentence;

        Mishap(String label, String sentence) {
            this.label = label;
            this.sentence = sentence;
        }

        public String sentence() {
            return sentence;
        }

        public String label() {
            return label;
        }

        /** Whether it makes sense to say which colour slipped. */
        public boolean hasColour() {
            return this == SLIP || this == BLED || this == WRONG_COLOUR;
        }
    }

    /**
     * One step of the repair.
     *
     * @param mix what is laid; empty if nothing
     * @param waits until the next step
     */
    public record Repair(String sentence, Optional<Mix> mix, int coats, Duration waits) {}

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
            String place = stack.isEmpty() ? "bare stone" : StepWords.what(plan.steps().get(top().step())) + ", " + top().name();
            if (sealed) {
                say("The stone is sealed here: wipe it, dull the place with very fine paper so that paint grips, and dust it off.",
                        Duration.ZERO);
            }
            switch (mishap) {
                case SLIP, BLED -> covered(mishap == Mishap.BLED, slipped);
                case WRONG_COLOUR -> recoloured(slipped);
                case CRACKED -> cracked();
                case BALD_GLITTER -> glitter();
                case SMUDGE -> smudge();
            }
            if (sealed) {
                say("Seal the place again once it is dry through.", Drying.beforeSealing(60, climate));
            }
            return new Correction(place, steps);
        }

        private Coat top() {
            return stack.get(stack.size() - 1).coat().orElseThrow();
        }

        private void say(String sentence, Duration wait) {
            steps.add(new Repair(sentence, Optional.empty(), 0, wait));
        }

        private Duration dry(Optional<Mix> mix) {
            return mix.flatMap(palette::colour)
                    .map(c -> Drying.of(c.wetUm(), c.solids(), false, plan.project().habits().dryer(), climate).recoat())
                    .orElse(Duration.ofMinutes(10));
        }

        private void covered(boolean bled, Optional<Mix> slipped) {
            if (stack.isEmpty()) {
                say("On bare stone: wipe it off at once with a damp cloth; once dry, rub with a damp melamine sponge or fine paper until "
                        + "the stone shows.",
                        Duration.ZERO);
                return;
            }
            say(bled ? "Do not touch it while it is wet: wet on wet makes it worse. Let both sides dry."
                    : "Let it dry; wet on wet makes it worse.", dry(slipped));
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
                say("Even " + MOST_COATS + " coats of " + right.name()
                        + " would not hide it. Lift what slipped first: roll a barely damp swab over it, do not rub.", dry(mix));
                Optional<Palette.Colour> white = palette.shelf().paints().stream()
                        .filter(p -> p.kind().does(PaintKind.Use.PRIMES) || p.kind().does(PaintKind.Use.FILLS))
                        .map(p -> palette.colour(Mix.of(p.id())).orElseThrow())
                        .max((a, b) -> Double.compare(a.optics().contrastRatio(a.dryUm()) + a.lab().l() / 100,
                                b.optics().contrastRatio(b.dryUm()) + b.lab().l() / 100));
                if (white.isPresent()) {
                    Coat blocking = new Coat("block", white.get().optics().full().toSrgb(), white.get().optics(), white.get().dryUm(), 0,
                            Sheen.MATT, right.step());
                    int blocked = table.over(ground, blocking, 2);
                    steps.add(new Repair("Two thin coats of " + palette.shelf().words(white.get().mix()) + " on the spot only.",
                            Optional.of(white.get().mix()), 2, dry(Optional.of(white.get().mix())).multipliedBy(2)));
                    coats = Math.min(MOST_COATS, table.coatsToHide(blocked, right, plan.project().habits().tolerance(), MOST_COATS));
                } else {
                    coats = MOST_COATS;
                }
            }
            steps.add(new Repair(Words.upper(Words.coats(coats)) + " of " + right.name() + " with a small brush, feathered out at the edge"
                    + (coats > 1 ? "; each dry before the next." : "."), mix, coats, dry(mix).multipliedBy(coats)));
        }

        /** Lines that the plan draws over the place and that the repair covers. */
        private void lines() {
            plan.steps().stream().filter(o -> o.kind() == Step.Kind.OUTLINE || o.kind() == Step.Kind.DETAIL).findFirst()
                    .ifPresent(o -> steps.add(new Repair("Restore the line where the repair crossed it (" + StepWords.tool(o) + ", "
                            + o.coat().map(Coat::name).orElse("as before") + ").", o.mix(), 1, dry(o.mix()))));
        }

        private void recoloured(Optional<Mix> wanted) {
            if (stack.isEmpty() || wanted.isEmpty() || palette.colour(wanted.get()).isEmpty()) {
                say("Choose the colour that should be there.", Duration.ZERO);
                return;
            }
            say("Let the wrong colour dry.", dry(plan.steps().get(top().step()).mix()));
            Palette.Colour right = palette.colour(wanted.get()).get();
            Coat coat = new Coat(palette.shelf().words(wanted.get()), right.optics().full().toSrgb(), right.optics(), right.dryUm(),
                    right.dryingShift(), Sheen.SATIN, top().step());
            int coats = table.coatsToHide(film, coat, plan.project().habits().tolerance(), MOST_COATS + 2);
            steps.add(
                    new Repair(
                            coats > MOST_COATS + 2
                                    ? "Prime the area with two coats first; " + coat.name() + " alone never hides what is there."
                                    : Words.upper(Words.coats(coats)) + " of " + coat.name()
                                            + " over the whole area, each dry before the next.",
                            wanted, Math.min(coats, MOST_COATS + 2), dry(wanted).multipliedBy(Math.min(coats, MOST_COATS + 2))));
            lines();
        }

        private void cracked() {
            boolean medium = stack.stream().anyMatch(f -> f.coat().orElseThrow().sheen() == Sheen.CRACKLE);
            say(medium ? "Crackle medium lies beneath and will crack every coat: the paint must come off down to it, and the medium too."
                    : "It cracked because the coat was thick or its ground was wet. Wait until it is hard right through.",
                    Duration.ofHours(12));
            say("Sand the cracked place level with fine paper, wet, and wipe the dust away. Wear a dust mask.", Duration.ofMinutes(20));
            if (!stack.isEmpty()) {
                restore(Optional.empty());
                lines();
            }
        }

        private void glitter() {
            Optional<Mix> glitter = plan.steps().stream().filter(o -> o.coat().filter(c -> c.sheen() == Sheen.GLITTER).isPresent())
                    .findFirst().flatMap(Step::mix);
            say("The binder of glitter paint is clear; bald places show what is below. A coat of a matching colour beneath would have "
                    + "hidden them.",
                    dry(glitter));
            steps.add(new Repair("One or two further coats of the glitter paint, dabbed rather than brushed, each dry.", glitter, 2,
                    dry(glitter).multipliedBy(2)));
        }

        private void smudge() {
            say("Brush the crumbs away; do not wash. A soft kneaded eraser lifts graphite, a hard one takes paint with it.", Duration.ZERO);
            if (stack.isEmpty()) {
                say("On bare stone: wipe with a barely damp cloth and let it dry.", Duration.ofMinutes(15));
            } else {
                steps.add(new Repair("One clean-up coat of " + top().name() + " round the sketch.", plan.steps().get(top().step()).mix(), 1,
                        dry(plan.steps().get(top().step()).mix())));
            }
        }
    }
}
