package mosspebble.app.sketch;

import java.util.Optional;
import java.util.function.ToDoubleFunction;
import java.util.function.UnaryOperator;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;
import mosspebble.app.control.Choice;
import mosspebble.app.control.Entry;
import mosspebble.app.control.Pages;
import mosspebble.app.screen.PageView;
import mosspebble.app.screen.Panel;
import mosspebble.core.plan.PaintPlan;
import mosspebble.core.sketch.Designs;
import mosspebble.core.sketch.DotBorder;
import mosspebble.core.sketch.Item;
import mosspebble.core.sketch.ItemMode;
import mosspebble.core.sketch.Subject.Dots;
import mosspebble.core.sketch.Subject.Series;
import mosspebble.core.units.Millimetres;
import mosspebble.core.units.Numbers;

/** A border of dots: which, how large, how many, along what; and what comes out. */
final class DotsPage extends PageView {

    private final SketchPanel panel;
    private final SketchModel sketch;
    private final Label words = new Label();
    private final Label tools = Panel.quiet("");
    private final Choice<Series> series;
    private final Choice<Boolean> runs;
    private final Choice<Boolean> onTop;
    private final Choice<Boolean> colours;
    private final Entry dot;
    private final Entry gap;
    private final Entry inset;
    private final Entry count;
    private final Entry ratio;
    private final Entry band;
    private final Entry inner;

    private enum Matter {
        EACH, RING, BESIDE, TOOLS
    }

    private interface With {
        Dots to(Dots dots, double value);
    }

    DotsPage(SketchPanel panel, SketchModel sketch) {
        this.panel = panel;
        this.sketch = sketch;
        words.setId("dot-words");
        words.setWrapText(true);
        tools.setId("dot-tools");
        series = new Choice<>("Dots", s -> change("Kind of dots", d -> d.withShrink(new Dots.Shrink(s, d.ratio()))));
        series.option("series-equal", "equal", Series.EQUAL, "All alike; reload for every dot")
                .option("series-alternating", "in turn", Series.ALTERNATING, "Large and small in turn")
                .option("series-shrinking", "shrinking", Series.SHRINKING, "Largest on top, smaller down both sides; do not reload")
                .option("series-walking", "walking", Series.WALKING, "Small ones up and over each large one")
                .option("series-dragged", "dragged", Series.DRAGGED, "Two loads, pulled inward to a point");
        dot = length("dot-mm", "Wide", "Width of a dot", Dots::diameterMm, (d, v) -> d.withRing(new Dots.Ring(v, d.gapMm(), d.insetMm())));
        gap = length("gap-mm", "Least gap", "From edge to edge of neighbours; it comes out a little larger, so that all are alike",
                Dots::gapMm, (d, v) -> d.withRing(new Dots.Ring(d.diameterMm(), v, d.insetMm())));
        inset = length("inset-mm", "From the edge", "How far inside the edge of what is painted the border runs", Dots::insetMm,
                (d, v) -> d.withRing(new Dots.Ring(d.diameterMm(), d.gapMm(), v)));
        count = new Entry("dot-count", "How many", "Just so many, 3 to 400; 0 for as many as go",
                () -> dots().count() == 0 ? "as many as go" : String.valueOf(dots().count()),
                text -> text.isBlank() || text.startsWith("as") ? take(d -> d.withCounted(new Dots.Count(0, d.dotOnTop(), d.twoColours())))
                        : Panel.number(text, "24",
                                v -> take(d -> d.withCounted(new Dots.Count((int) Math.round(v), d.dotOnTop(), d.twoColours())))));
        ratio = new Entry("dot-ratio", "Small to large", "Width of the small ones, or of the last, as a share of the large",
                () -> Numbers.shortText(dots().ratio()),
                text -> Panel.number(text, "0.5", v -> take(d -> d.withShrink(new Dots.Shrink(d.series(), v)))));
        band = length("band-mm", "Lines apart", "Two lines beside the dots, so far apart; 0 for none", Dots::bandMm,
                (d, v) -> d.withFrame(new Dots.Frame(v, d.innerMm())));
        inner = length("inner-mm", "Second ring", "Width of the dots of a second ring, locked in step inside the first; 0 for none",
                Dots::innerMm, (d, v) -> d.withFrame(new Dots.Frame(d.bandMm(), v)));
        runs = new Choice<>("Runs",
                along -> panel.workbench.editItem("Border of dots", i -> i.withManner(along ? ItemMode.WEARING : ItemMode.ON_STONE)));
        runs.option("ring-circle", "on a circle", false, "Its middle and size are moved on the cloth").option("ring-edge", "along the edge",
                true, "Follows the stone's own outline");
        onTop = new Choice<>("At the top",
                top -> change("Dot or gap on top", d -> d.withCounted(new Dots.Count(d.count(), top, d.twoColours()))));
        onTop.option("top-dot", "a dot", true, "A dot on the middle line").option("top-gap", "a gap", false, "The gap on the middle line");
        colours = new Choice<>("Colours",
                two -> change("Colours of the dots", d -> d.withCounted(new Dots.Count(d.count(), d.dotOnTop(), two))));
        colours.option("dots-one", "one", false, "All dots alike").option("dots-two", "two in turn", true,
                "Every other dot has a second colour; the number is even");
        Pages<Matter> pages = new Pages<>();
        pages.add("dots-each", "Dots", Matter.EACH, "How wide, how near, of which kind", new VBox(9, series, row(dot, gap), ratio));
        pages.add("dots-ring", "Ring", Matter.RING, "Where it runs, how many, and what is on top",
                new VBox(9, runs, row(count, inset), new HBox(12, onTop, colours)));
        pages.add("dots-beside", "Beside", Matter.BESIDE, "Two lines, and a second ring", new VBox(9, row(band, inner)));
        pages.add("dots-tools", "Tools", Matter.TOOLS, "What is dipped for each, and how much paint it takes", tools);
        getChildren().addAll(words, pages.row());
        getChildren().addAll(pages.all());
    }

    private Dots dots() {
        return panel.workbench.itemInHand().map(Item::subject).filter(Dots.class::isInstance).map(Dots.class::cast).orElse(Dots.usual());
    }

    private void change(String title, UnaryOperator<Dots> change) {
        sketch.change(title, s -> s instanceof Dots d ? change.apply(d) : s);
    }

    private Optional<String> take(UnaryOperator<Dots> change) {
        if (sketch.change("Dots", s -> s instanceof Dots d ? change.apply(d) : s)) {
            return Optional.empty();
        }
        String reason = panel.workbench.noticeProperty().get();
        panel.workbench.tell("");
        return Optional.of(reason);
    }

    private Entry length(String id, String name, String tooltip, ToDoubleFunction<Dots> get, With with) {
        return panel.lengthEntry(id, name, tooltip, () -> new Millimetres(get.applyAsDouble(dots())),
                value -> take(d -> with.to(d, value.value())));
    }

    @Override
    public void refresh() {
        Item item = panel.workbench.itemInHand().orElseThrow();
        for (Entry entry : new Entry[] {dot, gap, inset, count, ratio, band, inner}) {
            entry.refresh();
        }
        series.show(dots().series());
        Panel.present(ratio, dots().series() != Series.EQUAL && dots().series() != Series.DRAGGED);
        Panel.present(colours, dots().series() == Series.EQUAL || dots().series() == Series.DRAGGED);
        Panel.present(inset, item.wearing());
        runs.show(item.wearing());
        onTop.show(dots().dotOnTop());
        colours.show(dots().twoColours());
        PaintPlan plan = panel.show.plan();
        if (plan != null) {
            Optional<DotBorder> border = Designs.dots(item, dots(), plan.survey().zones());
            words.setText(border.map(b -> b.dots().size() + " dots, gaps of " + Numbers.text(b.gapMm(), 2) + " mm.")
                    .orElse("There is no room for a border there."));
            tools.setText(border.map(b -> String.join("\n", b.tools().subList(0, Math.min(5, b.tools().size()))) + "\nTakes "
                    + Numbers.millilitres(b.millilitres()) + " of paint.").orElse(""));
        }
    }
}
