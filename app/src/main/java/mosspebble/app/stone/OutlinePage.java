package mosspebble.app.stone;

import java.io.File;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.DoubleFunction;
import java.util.function.Function;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.ToggleButton;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import javafx.scene.shape.Polygon;
import javafx.stage.FileChooser;
import mosspebble.app.control.Hint;
import mosspebble.app.control.Choice;
import mosspebble.app.control.Entry;
import mosspebble.app.control.Measure;
import mosspebble.app.screen.PageView;
import mosspebble.app.screen.Panel;
import mosspebble.core.project.Project;
import mosspebble.core.stone.Form;
import mosspebble.core.stone.FoundStone;
import mosspebble.core.stone.Shape;
import mosspebble.core.stone.Stone;
import mosspebble.core.stone.StoneOutline;
import mosspebble.core.units.LengthText;
import mosspebble.core.units.Millimetres;
import mosspebble.core.units.Numbers;
import mosspebble.core.units.UnitTextException;
import mosspebble.files.OutlineReader;

/**
 * The outline: a form grown from the measures, callipers at any angles, a file, or points dragged; turning and turning over; what the stone
 * is called.
 */
final class OutlinePage extends PageView {

    private static final double FORM_PX = 30;
    private static final int FORM_POINTS = 60;

    private enum Way { FORM, CALLIPERS, POINTS }

    /** What the drawings of the forms show. */
    private record Drawn(Stone.Size size, double roundness) {}

    private final StonePanel panel;
    private final Choice<Way> way;
    private final VBox formBox;
    private final VBox callipers = new VBox(4);
    private final Choice<Form> form;
    private final List<Measure> measures = new ArrayList<>();
    private final Entry name;
    private final Entry purpose;
    private List<Shape.Spoke> shownSpokes = List.of();
    private Drawn shownForms;

    OutlinePage(StonePanel panel, StoneModel bench) {
        this.panel = panel;
        way = new Choice<>("Outline from", this::choose).unlabelled();
        way.unwrapped();
        way.option("way-form", "form", Way.FORM, "Length, width and a form")
                .option("way-callipers", "callipers", Way.CALLIPERS, "Distances from a middle point to the edge at any angles")
                .option("way-points", "points", Way.POINTS, "Drag the points of the outline on the cloth");
        form = new Choice<>("", f -> shape("Form", s -> new Shape.Grown(f, grown(s).roundness(), grown(s).irregularity())));
        for (Form f : Form.values()) {
            form.option("form-" + f.name().toLowerCase(Locale.ROOT), f.label(), f, "A " + f.label() + " stone");
        }
        measures.add(measure("roundness", "Corners", "From cornered to smooth", s -> grown(s).roundness(),
                v -> v < 0.25 ? "cornered" : v < 0.6 ? "soft" : v < 0.9 ? "rounded" : "smooth",
                (s, v) -> new Shape.Grown(grown(s).form(), v, grown(s).irregularity())));
        measures.add(measure("irregularity", "Irregular", "How far the outline departs from the form", s -> grown(s).irregularity(),
                v -> Math.round(v * 100) + " %",
                (s, v) -> new Shape.Grown(grown(s).form(), grown(s).roundness(), v)));
        form.unwrapped();
        HBox both = new HBox(22);
        both.getChildren().addAll(measures);
        measures.forEach(m -> {
            HBox.setHgrow(m, Priority.ALWAYS);
            m.setPrefWidth(100);
        });
        formBox = new VBox(8, form, both);
        Button file = Panel.button("outline-file", "File …", "An outline from SVG or a CSV of points in mm", this::file);
        Button turn = Panel.button("turn-stone", "Turn ↻", "Turn the stone a quarter clockwise (R); the wheel and [ ] turn it finely",
                panel::turn);
        Button over = Panel.button("turn-over", "Turn over", "The back is painted now; what is planned for this face is kept below (V)",
                () -> panel.edit("Turn the stone over", Project::turnedOver));
        ToggleButton points = new ToggleButton("Show points");
        points.setId("show-points");
        points.getStyleClass().add("pebble");
        Hint.on(points, "Shows the points of the outline to be dragged; they also appear near the pointer");
        points.selectedProperty().bindBidirectional(bench.pointsProperty());
        HBox from = new HBox(4, way, file);
        HBox more = new HBox(4, points, turn, over);
        name = new Entry("stone-name", "Name", "What you call this stone", () -> panel.project().map(Project::name).orElse(""),
                text -> panel.tryEdit("Name", p -> p.withName(text.strip(), p.purpose())));
        purpose = new Entry("stone-purpose", "What for", "Where it will lie or who will get it",
                () -> panel.project().map(Project::purpose).orElse(""),
                text -> panel.tryEdit("What for", p -> p.withName(p.name(), text.strip())));
        HBox names = new HBox(8, name, purpose);
        HBox.setHgrow(name, Priority.ALWAYS);
        HBox.setHgrow(purpose, Priority.ALWAYS);
        getChildren().addAll(from, formBox, callipers, more, names);
    }

    private static Shape.Grown grown(Stone stone) {
        return stone.shape().match(g -> g, m -> new Shape.Grown(Form.OVAL, 0.85, 0.3));
    }

    private interface WithShare {
        Shape with(Stone stone, double value);
    }

    private Measure measure(String id, String title, String tooltip, Function<Stone, Double> get, DoubleFunction<String> words,
            WithShare with) {
        return new Measure(id, title, tooltip, 0, 1, 0.05, () -> get.apply(panel.stone()), words,
                v -> panel.workbench.draft(p -> p.withStone(p.stone().withShape(with.with(p.stone(), v)))),
                v -> shape(title, s -> with.with(s, v)));
    }

    private void shape(String title, Function<Stone, Shape> change) {
        panel.edit(title, p -> p.withStone(p.stone().withShape(change.apply(p.stone()))));
    }

    private static Way wayOf(Stone stone) {
        return stone.shape().match(g -> Way.FORM, m -> m.source() == Shape.Source.CALLIPERS ? Way.CALLIPERS : Way.POINTS);
    }

    private void choose(Way wanted) {
        Stone stone = panel.stone();
        if (wanted == wayOf(stone)) {
            return;
        }
        switch (wanted) {
            case FORM -> shape("Outline from a form", s -> new Shape.Grown(Form.OVAL, 0.85, 0.3));
            case CALLIPERS -> panel.edit("Outline from callipers",
                    p -> p.withStone(p.stone()
                            .withOutline(new Shape.Measured(Shape.Source.CALLIPERS, StoneOutline.spokes(p.stone(), 8).spokes().stream()
                                    .map(s -> new Shape.Spoke(s.degrees(), Math.round(2 * s.mm()) / 2.0)).toList()))));
            case POINTS -> panel.edit("Outline from points", p -> p.withStone(p.stone().withOutline(StoneOutline.spokes(p.stone(), 120))));
        }
    }

    private void file() {
        FileChooser chooser = new FileChooser();
        chooser.setTitle("Outline of the stone");
        chooser.getExtensionFilters().add(new FileChooser.ExtensionFilter("Outline (SVG, CSV)", "*.svg", "*.csv", "*.txt"));
        File chosen = chooser.showOpenDialog(getScene().getWindow());
        if (chosen != null) {
            read(chosen);
        }
    }

    private void read(File chosen) {
        String stone = panel.project().map(p -> p.id()).orElse("");
        panel.files.run("Reading " + chosen.getName(), () -> OutlineReader.read(chosen.toPath()), (StoneOutline.Traced traced) -> {
            if (panel.project().filter(p -> p.id().equals(stone)).isEmpty()) {
                return; // another stone lies on the cloth by now
            }
            panel.edit("Outline from a file", p -> p.withStone(p.stone().withOutline(traced.shape())));
            if (traced.bridged()) {
                panel.workbench
                        .tell("The outline folds back on itself; its hollows are bridged over. Drag the points where that is wrong.");
            }
        });
    }

    @Override
    public void refresh() {
        Stone stone = panel.stone();
        Way now = wayOf(stone);
        way.show(now);
        Panel.present(formBox, now == Way.FORM);
        Panel.present(callipers, now == Way.CALLIPERS);
        forms(stone);
        measures.forEach(Measure::refresh);
        name.refresh();
        purpose.refresh();
        if (now == Way.CALLIPERS) {
            List<Shape.Spoke> spokes = stone.shape().match(g -> List.<Shape.Spoke>of(), Shape.Measured::spokes);
            if (!spokes.equals(shownSpokes) && callipers.getScene() != null || callipers.getChildren().isEmpty()) {
                shownSpokes = spokes;
                table(spokes);
            }
        }
    }

    private static Polygon drawing(double[][] curve, Stone stone) {
        double most = Math.max(stone.length().value(), stone.width().value());
        double wide = (FORM_PX / 2 - 3) * stone.length().value() / most;
        double high = (FORM_PX / 2 - 3) * stone.width().value() / most;
        Polygon shape = new Polygon();
        for (int i = 0; i < curve[0].length; i++) {
            shape.getPoints().addAll(FORM_PX / 2 + wide * curve[0][i], FORM_PX / 2 + high * curve[1][i]);
        }
        shape.getStyleClass().add("small-stone");
        return shape;
    }

    /** Every form as this very stone would have it; what is as wide as long is round, else oval. */
    private void forms(Stone stone) {
        boolean round = FoundStone.proportions(stone).equals(Form.ROUND.label());
        Form offered = round ? Form.ROUND : Form.OVAL;
        form.allow(Form.ROUND, round);
        form.allow(Form.OVAL, !round);
        Form now = grown(stone).form();
        form.show(now == Form.ROUND || now == Form.OVAL ? offered : now);
        Drawn drawn = new Drawn(stone.size(), grown(stone).roundness());
        if (!drawn.equals(shownForms)) {
            shownForms = drawn;
            for (Form each : Form.values()) {
                form.draw(each, drawing(each.curve(drawn.roundness(), FORM_POINTS), stone));
            }
        }
    }

    /** Angle and radius of every measured direction, with a row to add one. */
    private void table(List<Shape.Spoke> spokes) {
        callipers.getChildren().setAll(Panel.quiet("From a middle point to the edge; 0° is to the right, clockwise."));
        for (int i = 0; i < spokes.size(); i++) {
            int row = i;
            Shape.Spoke spoke = spokes.get(i);
            Entry angle = new Entry("calliper-angle-" + i, "at °", "Direction of the measure", () -> Numbers.shortText(spoke.degrees()),
                    text -> Panel.number(text, "45", v -> replace(row, Optional.of(new Shape.Spoke((v % 360 + 360) % 360, spoke.mm())))));
            Entry radius = new Entry("calliper-" + i, "to the edge", "Distance from the middle point to the edge",
                    () -> LengthText.number(new Millimetres(spoke.mm()), panel.workbench.studio().unit()),
                    text -> {
                        try {
                            double mm = LengthText.parse(text, panel.workbench.studio().unit()).value();
                            return replace(row, Optional.of(new Shape.Spoke(spoke.degrees(), mm)));
                        } catch (UnitTextException | IllegalArgumentException e) {
                            return Optional.of(e.getMessage());
                        }
                    });
            Button drop = Panel.button("calliper-drop-" + i, "–", "Take this measure away",
                    () -> replace(row, Optional.empty()).ifPresent(panel.workbench::tell));
            drop.getStyleClass().add("round");
            drop.setAccessibleText("Take the measure at " + Numbers.shortText(spoke.degrees()) + "° away");
            HBox line = new HBox(6, angle, radius, drop);
            line.setAlignment(Pos.BOTTOM_LEFT);
            HBox.setHgrow(angle, Priority.ALWAYS);
            HBox.setHgrow(radius, Priority.ALWAYS);
            callipers.getChildren().add(line);
        }
        callipers.getChildren().add(Panel.button("calliper-add", "Add a measure", "Another direction, in the widest gap", this::add));
    }

    private Optional<String> replace(int row, Optional<Shape.Spoke> spoke) {
        return panel.tryEdit("Callipers", p -> p.withStone(p.stone().withOutline(p.stone().shape().match(g -> null, m -> {
            List<Shape.Spoke> changed = new ArrayList<>(m.spokes());
            changed.remove(row);
            spoke.ifPresent(changed::add);
            changed.sort(Comparator.comparingDouble(Shape.Spoke::degrees));
            return new Shape.Measured(Shape.Source.CALLIPERS, changed);
        }))));
    }

    private void add() {
        panel.edit("Callipers", p -> p.withStone(p.stone().withOutline(p.stone().shape().match(g -> null, m -> {
            List<Shape.Spoke> changed = new ArrayList<>(m.spokes());
            double widest = 0;
            double at = 0;
            for (int i = 0; i < changed.size(); i++) {
                double next = i + 1 < changed.size() ? changed.get(i + 1).degrees() : changed.get(0).degrees() + 360;
                if (next - changed.get(i).degrees() > widest) {
                    widest = next - changed.get(i).degrees();
                    at = changed.get(i).degrees() + widest / 2;
                }
            }
            StoneOutline own = StoneOutline.of(p.stone().withWayUp(0));
            changed.add(new Shape.Spoke(Math.round(at) % 360, Math.round(2 * own.radius(Math.toRadians(at))) / 2.0));
            changed.sort(Comparator.comparingDouble(Shape.Spoke::degrees));
            return new Shape.Measured(Shape.Source.CALLIPERS, changed);
        }))));
    }
}
