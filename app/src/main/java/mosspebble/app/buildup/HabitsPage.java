package mosspebble.app.buildup;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.function.DoubleFunction;
import java.util.function.Function;
import java.util.function.UnaryOperator;
import javafx.scene.layout.VBox;
import mosspebble.app.control.Choice;
import mosspebble.app.control.Measure;
import mosspebble.app.control.Pages;
import mosspebble.app.screen.PageView;
import mosspebble.app.screen.Panel;
import mosspebble.core.project.Habits;
import mosspebble.core.project.Light;

/** The schools of the trade as settings, and the light. */
public final class HabitsPage extends PageView {

    /** What habits are about. */
    public enum Matter {
        COATS("Coats"), LINES("Lines"), DRYING("Drying, seal"), LIGHT("Light");

        private final String label;

        Matter(String label) {
            this.label = label;
        }

        public String label() {
            return label;
        }
    }

    /** One question on which practitioners disagree, with its answers. */
    public record Question<T>(Matter matter, String id, String title, Function<Habits, T> get, Function<T, UnaryOperator<Habits>> set,
            List<Answer<T>> answers) {}

    /** One school. */
    public record Answer<T>(String id, String words, T value, String tooltip) {}

    public static final List<Question<?>> QUESTIONS = List.of(
            new Question<>(Matter.COATS, "ground", "Ground colour", Habits::ground, v -> h -> h.withGround(v),
                    List.of(new Answer<>("ground-around", "around", Habits.Ground.AROUND, "Only around the subject, 1 mm under its edge"),
                            new Answer<>("ground-under", "under all", Habits.Ground.UNDER, "Under everything"),
                            new Answer<>("ground-bare", "bare stone", Habits.Ground.BARE, "No ground colour"))),
            new Question<>(Matter.COATS, "primer", "Primer", Habits::primer, v -> h -> h.withPrimer(v),
                    List.of(new Answer<>("primer-needed", "where it saves coats", Habits.Primer.WHERE_NEEDED,
                            "Only under areas that would need more coats without it"),
                            new Answer<>("primer-whole", "whole", Habits.Primer.WHOLE, "Everywhere: even and bright"),
                            new Answer<>("primer-never", "never", Habits.Primer.NEVER, "The first coat soaks in and grips"))),
            new Question<>(Matter.LINES, "lines", "Outline", Habits::lines, v -> h -> h.withLines(v),
                    List.of(new Answer<>("lines-last", "last", Habits.Lines.LAST, "Fill first, line last"),
                            new Answer<>("lines-first", "first and restored", Habits.Lines.FIRST,
                                    "Line first, fill up to it, restore it"))),
            new Question<>(Matter.LINES, "line-colour", "Line colour", Habits::lineColour, v -> h -> h.withLineColour(v),
                    List.of(new Answer<>("line-contrast", "by contrast", Habits.LineColour.CONTRAST,
                            "Black beside light, white beside dark"),
                            new Answer<>("line-dark", "always dark", Habits.LineColour.DARK, "The darkest pen"),
                            new Answer<>("line-black", "black", Habits.LineColour.BLACK, "A black pen, wherever"),
                            new Answer<>("line-white", "white", Habits.LineColour.WHITE, "A white pen, wherever"),
                            new Answer<>("line-grey", "grey", Habits.LineColour.GREY, "A grey pen, wherever"),
                            new Answer<>("line-none", "no lines", Habits.LineColour.NONE,
                                    "No outlines; a thing or a part may still ask for one in Sketch"))),
            new Question<>(Matter.LINES, "line-style", "Line style", Habits::lineStyle, v -> h -> h.withLineStyle(v),
                    List.of(new Answer<>("style-even", "even", Habits.LineStyle.EVEN, "The nib’s width all the way"),
                            new Answer<>("style-shaded", "thick in shade", Habits.LineStyle.SHADED,
                                    "Thicker on the side away from the light and in corners"),
                            new Answer<>("style-double", "double", Habits.LineStyle.DOUBLE, "A second line just inside"),
                            new Answer<>("style-metallic", "metal inside", Habits.LineStyle.METALLIC, "A metallic line just inside"))),
            new Question<>(Matter.COATS, "medium", "Painted with", Habits::medium, v -> h -> h.withMedium(v),
                    List.of(new Answer<>("medium-area", "by area", Habits.Medium.BY_AREA, "Pens for lines, brushes for areas"),
                            new Answer<>("medium-pens", "pens", Habits.Medium.PENS, "Pens also for areas, where one has the colour"),
                            new Answer<>("medium-brushes", "brushes", Habits.Medium.BRUSHES, "A liner brush also for lines"))),
            new Question<>(Matter.COATS, "sparkle", "Under glitter", Habits::sparkleBase, v -> h -> h.withSparkleBase(v),
                    List.of(new Answer<>("sparkle-base", "its own colour", true, "A base that closes the gaps between the flakes"),
                            new Answer<>("sparkle-bare", "as it is", false, "What lies there shows between the flakes"))),
            new Question<>(Matter.DRYING, "lamp", "Lamp for gel", Habits::lamp, v -> h -> h.withLamp(v),
                    List.of(new Answer<>("lamp-there", "there is one", true, "Gel is cured under it, and powder rubbed on"),
                            new Answer<>("lamp-none", "none", false, "Gel cannot be cured: powder on it is left out"))),
            new Question<>(Matter.DRYING, "dryer", "Drying", Habits::dryer, v -> h -> h.withDryer(v),
                    List.of(new Answer<>("habit-air", "in the air", false, "No dryer"),
                            new Answer<>("habit-dryer", "dryer", true, "A hair dryer between coats"))),
            new Question<>(Matter.DRYING, "seal", "Seal", Habits::seal, v -> h -> h.withSeal(v),
                    List.of(new Answer<>("seal-gloss", "gloss", Habits.Seal.GLOSS, "Hides the difference of pen and brush"),
                            new Answer<>("seal-matt", "matt", Habits.Seal.MATT, "Quiet; shows where pen and brush differ"),
                            new Answer<>("seal-resin", "resin", Habits.Seal.RESIN, "One deep pour"),
                            new Answer<>("seal-none", "none", Habits.Seal.NONE, "Indoors only"))),
            new Question<>(Matter.LINES, "hand", "Hand", Habits::hand, v -> h -> h.withHand(v),
                    List.of(new Answer<>("hand-right", "right", Habits.Hand.RIGHT, "The order comes from the left"),
                            new Answer<>("hand-left", "left", Habits.Hand.LEFT, "The order comes from the right"))),
            new Question<>(Matter.COATS, "cover", "Cover", Habits::tolerance, v -> h -> h.withTolerance(v),
                    List.of(new Answer<>("cover-fussy", "fussy", 1.0, "Nothing shows through: difference under 1"),
                            new Answer<>("cover-usual", "usual", 2.0, "Difference under 2"),
                            new Answer<>("cover-easy", "easy", 3.0, "Difference under 3"))));

    private final Panel panel;
    private final List<Runnable> refreshers = new ArrayList<>();
    private final Map<Matter, VBox> matters = new EnumMap<>(Matter.class);
    private final Pages<Matter> pages = new Pages<>();

    HabitsPage(Panel panel, Runnable compare) {
        this.panel = panel;
        getChildren().add(Panel.button("compare", "Compare two habits …", "Coats, film, time and picture side by side (C)", compare));
        Choice<Boolean> whose = new Choice<>("These habits are for",
                own -> panel.edit(own ? "Habits of this face alone" : "Habits of the whole stone", p -> p.withOwnHabits(own)));
        whose.option("habits-stone", "both faces", false, "One way for the whole stone").option("habits-face", "this face", true,
                "This face has habits of its own");
        refreshers.add(() -> {
            Panel.present(whose, panel.project().filter(p -> p.below().isPresent()).isPresent());
            whose.show(panel.project().filter(p -> p.sides().up().own().isPresent()).isPresent());
        });
        getChildren().add(whose);
        for (Matter matter : Matter.values()) {
            VBox page = new VBox(10);
            matters.put(matter, page);
            pages.add("habits-" + matter.name().toLowerCase(Locale.ROOT), matter.label, matter, switch (matter) {
                case COATS -> "Ground, primer, what paints, how well it covers";
                case LINES -> "When they are drawn, in what colour and style, by which hand";
                case DRYING -> "Air or a dryer, a lamp, the seal";
                case LIGHT -> "Light, shade and highlights that are painted";
            }, page);
        }
        getChildren().add(pages.row());
        getChildren().addAll(pages.all());
        QUESTIONS.forEach(this::ask);
        light("light", "Light from", "Where the light on the stone comes from", 0, 345, 15, Light::from, HabitsPage::clock,
                (l, v) -> l.withFrom(v), true);
        light("shade", "Shade", "On the side away from the light", 0, 1, 0.1, Light::shade, HabitsPage::percent,
                (l, v) -> l.with(v, l.contact(), l.highlight(), l.halo()), false);
        light("contact", "Contact shadow", "Below what overlaps", 0, 1, 0.1, Light::contact, HabitsPage::percent,
                (l, v) -> l.with(l.shade(), v, l.highlight(), l.halo()), false);
        light("highlight", "Highlight", "On the side toward the light", 0, 1, 0.1, Light::highlight, HabitsPage::percent,
                (l, v) -> l.with(l.shade(), l.contact(), v, l.halo()), false);
        light("halo", "Halo on the ground", "The ground darker close round the subject", 0, 1, 0.1, Light::halo, HabitsPage::percent,
                (l, v) -> l.with(l.shade(), l.contact(), l.highlight(), v), false);
    }

    /** Turns to habits of one kind. */
    void show(Matter matter) {
        pages.show(matter);
    }

    private <T> void ask(Question<T> question) {
        Choice<T> choice = new Choice<>(question.title,
                v -> panel.edit(question.title, p -> p.withHabits(question.set.apply(v).apply(p.habits()))));
        question.answers.forEach(a -> choice.option(a.id, a.words, a.value, a.tooltip));
        refreshers.add(() -> choice.show(question.get.apply(habits())));
        matters.get(question.matter).getChildren().add(choice);
    }

    private interface Get {
        double of(Light light);
    }

    private interface Set {
        Light of(Light light, double value);
    }

    private void light(String id, String name, String tooltip, double low, double high, double step, Get get, DoubleFunction<String> words,
            Set set, boolean live) {
        Measure measure = new Measure(id, name, tooltip, low, high, step, () -> get.of(habits().light()), words, v -> {
            if (live) {
                panel.workbench.draft(p -> p.withHabits(p.habits().withLight(set.of(p.habits().light(), v))));
            }
        }, v -> panel.edit(name, p -> p.withHabits(p.habits().withLight(set.of(p.habits().light(), v)))));
        refreshers.add(measure::refresh);
        matters.get(Matter.LIGHT).getChildren().add(measure);
    }

    private Habits habits() {
        return panel.project().map(p -> p.habits()).orElseGet(Habits::usual);
    }

    static String percent(double v) {
        return v == 0 ? "none" : Math.round(100 * v) + " %";
    }

    static String clock(double degrees) {
        int hour = (int) Math.round(degrees / 30) % 12;
        return (hour == 0 ? 12 : hour) + " o’clock";
    }

    @Override
    public void refresh() {
        refreshers.forEach(Runnable::run);
    }
}
