package mosspebble.app.cloth;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import javafx.scene.AccessibleRole;
import javafx.scene.canvas.Canvas;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.layout.Region;
import javafx.scene.paint.Color;
import javafx.scene.text.TextAlignment;
import mosspebble.app.control.Swatch;
import mosspebble.app.control.TextSize;
import mosspebble.app.control.Token;
import mosspebble.app.control.Token.Theme;
import mosspebble.app.model.Results;
import mosspebble.app.model.Workbench;
import mosspebble.core.coats.Coat;
import mosspebble.core.coats.Film;
import mosspebble.core.finding.Finding.Stage;
import mosspebble.core.plan.PaintPlan;
import mosspebble.core.plan.Slice;
import mosspebble.core.plan.StoneState;
import mosspebble.core.stone.Dome;
import mosspebble.core.stone.Stone;
import mosspebble.core.units.LengthText;
import mosspebble.core.units.Millimetres;
import mosspebble.core.units.Numbers;

/**
 * The cut through stone and paint along the line A to B: coats in their colours, thickness in µm much enlarged, the stone's own curve
 * flattened below.
 */
public final class SliceView extends Region {

    private static final int PROFILE = 160;
    private static final int SAMPLES = 150;
    private static final double CORE = 48;
    /** Letters of all figures, px. */
    private static final double LETTERS = 12;

    private final Workbench workbench;
    private final Results show;
    private final SliceLine line;
    private final Canvas canvas = new Canvas();
    private Slice slice;
    private double pointer = 0.5;

    public SliceView(Workbench workbench, Results show, SliceLine line) {
        this.workbench = workbench;
        this.show = show;
        this.line = line;
        setId("slice");
        getStyleClass().add("slice");
        setAccessibleRole(AccessibleRole.IMAGE_VIEW);
        getChildren().add(canvas);
        workbench.stageProperty().addListener((o, a, b) -> {
            height();
            draw();
        });
        height();
        show.planProperty().addListener((o, before, now) -> {
            slice = now == null ? null : new Slice(now);
            draw();
        });
        if (show.plan() != null) {
            slice = new Slice(show.plan());
        }
        workbench.stepProperty().addListener((o, a, b) -> draw());
        workbench.coatProperty().addListener((o, a, b) -> draw());
        workbench.studioProperty().addListener((o, a, b) -> {
            height();
            draw();
        });
        workbench.lookProperty().addListener((o, a, b) -> draw());
        line.addListener((o, a, b) -> draw());
        setOnMouseMoved(e -> {
            pointer = Math.min(1, Math.max(0, (e.getX() - left()) / Math.max(1, getWidth() - left() - 10)));
            draw();
        });
    }

    /** How much larger than usual words are. */
    private double grown() {
        return TextSize.of(workbench.studio());
    }

    /** Where the cut begins, beside the figures of its scale, px. */
    private double left() {
        return 10 + 24 * grown();
    }

    /** The cross-section of a bare stone needs less room than a film with its words. */
    private void height() {
        double high = (workbench.stageProperty().get() == Stage.STONE ? 118 : 146) + 58 * (grown() - 1);
        setPrefHeight(high);
        setMinHeight(high);
        setMaxHeight(high);
    }

    @Override
    protected void layoutChildren() {
        canvas.setWidth(getWidth());
        canvas.setHeight(getHeight());
        draw();
    }

    private void draw() {
        GraphicsContext pen = canvas.getGraphicsContext2D();
        double w = canvas.getWidth();
        double h = canvas.getHeight();
        pen.clearRect(0, 0, w, h);
        PaintPlan plan = show.plan();
        if (slice == null || plan == null || w < 60) {
            return;
        }
        if (workbench.stageProperty().get() == Stage.STONE) {
            profile(pen, w, h, plan);
            return;
        }
        Theme theme = Theme.of(workbench.studio());
        Color ink = Token.INK.colour(theme);
        Color quiet = Token.QUIET.colour(theme);
        double[] at = line.get();
        List<Slice.Sample> samples = slice.cut(show.steps(), workbench.coatProperty().get(), at[0], at[1], at[2], at[3], SAMPLES);
        double grown = grown();
        double top = 4 + 16 * grown;
        double ground = h - 30 - 28 * grown;
        double left = left();
        double[] pointed = line.pointed();
        double width = w - left - 10 - (pointed == null ? 0 : CORE + 8);
        double thickest = samples.stream().mapToDouble(Slice.Sample::totalUm).max().orElse(0);
        double full = thickest <= 60 ? 60 : thickest <= 120 ? 120 : Math.ceil(thickest / 100) * 100;
        double perUm = (ground - top) / full;
        pen.setFill(Token.SLICE.colour(theme));
        pen.fillRoundRect(left - 4, top - 8, w - left - 2, ground - top + 38, 16, 16);
        pen.setFont(TextSize.font(workbench.studio(), 12));
        pen.setTextAlign(TextAlignment.RIGHT);
        pen.setLineWidth(1);
        for (int tick = 0; tick <= 2; tick++) {
            double y = ground - tick * (ground - top) / 2;
            pen.setStroke(Token.SLICE_LINE.colour(theme));
            pen.strokeLine(left, y + 0.5, w - 10, y + 0.5);
            pen.setFill(quiet);
            pen.fillText(Numbers.text(full * tick / 2, 0), left - 5, y + 4 * grown);
        }
        pen.fillText("µm", left - 5, top - 8 * grown);
        Color stone = Swatch.colour(plan.survey().stone().colour());
        double highest = plan.survey().dome().heightMm();
        double cell = width / SAMPLES;
        for (int i = 0; i < samples.size(); i++) {
            Slice.Sample sample = samples.get(i);
            double x = left + i * width / SAMPLES;
            if (!sample.onStone()) {
                continue;
            }
            double drop = (1 - sample.heightMm() / highest) * 10;
            pen.setFill(stone.deriveColor(0, 1, i % 7 == 0 ? 0.93 : 1, 1));
            pen.fillRect(x, ground, cell + 0.7, 26 - drop);
            double y = ground;
            for (Film film : sample.layers()) {
                Coat coat = film.coat().orElseThrow();
                double high = film.layerUm() * perUm;
                pen.setFill(coat.optics().isClear() ? Token.CLEAR.colour(theme) : Swatch.colour(coat.swatch()));
                pen.fillRect(x, y - high, cell + 0.7, high);
                if (wet(coat)) {
                    pen.setFill(Token.SHINE.colour(i % 3 == 0 ? 0.42 : 0.14));
                    pen.fillRect(x, y - high, cell + 0.7, high);
                }
                y -= high;
            }
        }
        pen.setFill(Token.on(plan.survey().stone().colour()).colour());
        pen.setTextAlign(TextAlignment.LEFT);
        pen.fillText("A", left + 3, ground + 23);
        pen.setTextAlign(TextAlignment.RIGHT);
        pen.fillText("B", left + width - 3, ground + 23);
        pen.setFill(ink);
        Slice.Sample here = samples.get((int) Math.min(SAMPLES - 1, Math.round(pointer * (SAMPLES - 1))));
        double x = left + pointer * width;
        pen.setStroke(ink);
        pen.setLineDashes(2, 3);
        pen.strokeLine(x, top - 6, x, ground + 14);
        pen.setLineDashes();
        pen.setTextAlign(TextAlignment.LEFT);
        String words = words(here);
        if (pointed != null) { // the place under the pointer on the stone, as a core
            Slice.Sample core = slice
                    .cut(show.steps(), workbench.coatProperty().get(), pointed[0], pointed[1], pointed[0] + 0.01, pointed[1], 2).get(0);
            words = words(core);
            core(pen, core, w - 10 - CORE, top, ground);
        }
        pen.setFont(TextSize.font(workbench.studio(), 12));
        List<String> lines = lines(words, (int) (width / (5.7 * grown)));
        for (int i = 0; i < lines.size(); i++) {
            pen.fillText(lines.get(i), left, h - 3 + 14 * grown * (i - 1));
        }
        setAccessibleText("Slice from A to B, thickest film " + Numbers.text(thickest, 0) + " µm; at the pointer: " + words);
    }

    /** Every coat of one place, from the stone up, as tall as there is room. */
    private void core(GraphicsContext pen, Slice.Sample core, double left, double top, double ground) {
        if (core.totalUm() <= 0) {
            return;
        }
        double perUm = (ground - top) / core.totalUm();
        double y = ground;
        for (Film film : core.layers()) {
            Coat coat = film.coat().orElseThrow();
            double high = film.layerUm() * perUm;
            pen.setFill(coat.optics().isClear() ? Token.CLEAR.colour() : Swatch.colour(coat.swatch()));
            pen.fillRect(left, y - high, CORE, high);
            pen.setFill((coat.optics().isClear() ? Token.ON_PALE : Token.on(coat.swatch())).colour());
            pen.setTextAlign(TextAlignment.CENTER);
            pen.setFont(TextSize.font(workbench.studio(), 12));
            if (high > LETTERS * grown()) {
                pen.fillText(Numbers.text(film.layerUm(), 0) + (wet(coat) ? " wet" : ""), left + CORE / 2, y - high / 2 + 4 * grown());
            }
            pen.setStroke(Token.SHADOW.colour(0.25));
            pen.strokeLine(left, y - high, left + CORE, y - high);
            y -= high;
        }
        pen.setTextAlign(TextAlignment.LEFT);
    }

    /** Whether a coat was just laid and is wet at the moment shown. */
    private boolean wet(Coat coat) {
        return workbench.lookProperty().get() == StoneState.WET && coat.step() == show.steps() - 1;
    }

    /** The cross-section of the bare stone along the tape, face above the girdle and back below, both at one scale. */
    private void profile(GraphicsContext pen, double w, double h, PaintPlan plan) {
        Theme theme = Theme.of(workbench.studio());
        double[] at = line.get();
        double length = Math.hypot(at[2] - at[0], at[3] - at[1]);
        Stone stone = plan.survey().stone();
        Dome dome = plan.survey().dome();
        Dome back = dome.back(stone);
        double scale = Math.min((w - 36) / Math.max(1, length), (h - 44) / stone.height().value());
        double left = (w - scale * length) / 2;
        double girdle = 16 + scale * dome.heightMm() + (h - 44 - scale * stone.height().value()) / 2;
        double[] x = new double[2 * (PROFILE + 1)];
        double[] y = new double[x.length];
        double highest = 0;
        double deepest = 0;
        for (int i = 0; i <= PROFILE; i++) {
            double t = (double) i / PROFILE;
            double px = at[0] + t * (at[2] - at[0]);
            double py = at[1] + t * (at[3] - at[1]);
            double top = dome.heightAt(px, py);
            double below = stone.flatBack() ? 0 : back.heightAt(px, py);
            highest = Math.max(highest, top);
            deepest = Math.max(deepest, below);
            x[i] = left + scale * t * length;
            y[i] = girdle - scale * top;
            x[x.length - 1 - i] = x[i];
            y[x.length - 1 - i] = girdle + scale * below;
        }
        pen.setFill(Swatch.colour(stone.colour()));
        pen.fillPolygon(x, y, x.length);
        pen.setStroke(Token.INK.colour(theme, 0.7));
        pen.setLineWidth(1);
        pen.strokePolygon(x, y, x.length);
        pen.setLineDashes(2, 3);
        pen.strokeLine(left - 6, girdle + 0.5, left + scale * length + 6, girdle + 0.5);
        pen.setLineDashes();
        pen.setFill(Token.INK.colour(theme));
        pen.setFont(TextSize.font(workbench.studio(), 12));
        pen.setTextAlign(TextAlignment.LEFT);
        pen.fillText("A", left - 14, girdle + 4);
        pen.fillText("B", left + scale * length + 7, girdle + 4);
        String words = "Cut from A to B: " + LengthText.format(new Millimetres(highest), workbench.studio().unit()) + " above the girdle, "
                + LengthText.format(new Millimetres(deepest), workbench.studio().unit()) + " below";
        pen.setTextAlign(TextAlignment.CENTER);
        pen.fillText(words, w / 2, h - 8);
        setAccessibleText(words);
    }

    /** At most two lines of so many letters; what still does not fit is told by dots. */
    private static List<String> lines(String words, int most) {
        if (words.length() <= most) {
            return List.of(words);
        }
        int cut = Math.max(words.lastIndexOf(' ', most), 1);
        String rest = words.substring(cut).strip();
        return List.of(words.substring(0, cut), rest.length() <= most ? rest : rest.substring(0, most - 1) + "…");
    }

    private static String words(Slice.Sample sample) {
        if (!sample.onStone()) {
            return "beside the stone";
        }
        if (sample.layers().isEmpty()) {
            return "bare stone";
        }
        Map<String, Integer> coats = new LinkedHashMap<>();
        sample.layers().forEach(f -> coats.merge(f.coat().orElseThrow().name(), 1, Integer::sum));
        List<String> parts = new ArrayList<>();
        coats.forEach((name, count) -> parts.add(0, (count > 1 ? count + " × " : "") + (name.contains(" : ") ? "(" + name + ")" : name)));
        return Numbers.text(sample.totalUm(), 0) + " µm: " + String.join(" / ", parts);
    }
}
