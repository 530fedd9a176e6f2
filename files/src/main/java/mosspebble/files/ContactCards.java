package mosspebble.files;

import java.awt.image.BufferedImage;
import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import mosspebble.core.plan.PaintPlan;
import mosspebble.core.plan.Step;
import mosspebble.core.timetable.Durations;
import mosspebble.core.units.Srgb;
import mosspebble.core.units.Words;
import mosspebble.core.words.StepWords;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPageContentStream;
import org.apache.pdfbox.pdmodel.font.PDFont;
import org.apache.pdfbox.pdmodel.graphics.image.LosslessFactory;
import org.apache.pdfbox.pdmodel.graphics.image.PDImageXObject;

/** All steps small, side by side: on each picture what the step changes stands out and the rest is pale. */
final class ContactCards {

    static final int ACROSS = 4;
    static final int DOWN = 5;

    private static final float PT = (float) (72 / 25.4);
    private static final float GAP = 3;
    private static final float PICTURE = 27;
    private static final float SWATCH = 2.3f;
    private static final int MOST_LOADS = 4;
    private static final float TITLE = 8.5f;
    private static final float FACTS = 7;
    /** From line to line, mm for a point of size. */
    private static final float LEADING = 0.41f;
    private static final int MOST_TITLE = 2;
    /** Share of paper over what a step leaves as it was. */
    private static final double PALE = 0.62;

    private final PDDocument document;
    private final PaintPlan plan;
    private final PDFont text;
    private final PDFont display;

    ContactCards(PDDocument document, PaintPlan plan, PDFont text, PDFont display) {
        this.document = document;
        this.plan = plan;
        this.text = text;
        this.display = display;
    }

    /**
     * Where a step has room.
     *
     * @param x left edge, mm
     * @param top upper edge, mm from the foot of the page
     */
    record Place(float x, float top, float wide, float high) {}

    /**
     * Draws one step.
     *
     * @param before the stone before the step, null for the first
     */
    void draw(PDPageContentStream out, int number, Place place, BufferedImage before, BufferedImage after)
            throws IOException {
        Step step = plan.steps().get(number);
        float x = place.x;
        float top = place.top;
        BufferedImage shown = before == null ? after : lit(before, after);
        float room = place.wide - GAP;
        float scale = Math.min(room / shown.getWidth(), PICTURE / shown.getHeight());
        float w = shown.getWidth() * scale;
        float h = shown.getHeight() * scale;
        PDImageXObject image = LosslessFactory.createFromImage(document, shown);
        out.drawImage(image, (x + (room - w) / 2) * PT, (top - (PICTURE + h) / 2) * PT, w * PT, h * PT);
        float y = top - PICTURE - TITLE * LEADING;
        List<String> title = Sheets.wrapped(number + 1 + "  " + StepWords.title(step), display, TITLE, room);
        y = lines(out, title, MOST_TITLE, display, TITLE, x, y);
        List<String> facts = new ArrayList<>();
        List<Step.Layer> layers = step.layers().stream().limit(MOST_LOADS).toList();
        float at = x;
        for (Step.Layer layer : layers) {
            Srgb c = layer.load().coat().swatch();
            out.setNonStrokingColor(c.red() / 255f, c.green() / 255f, c.blue() / 255f);
            out.setStrokingColor(0.55f);
            out.setLineWidth(0.15f * PT);
            out.addRect(at * PT, y * PT, SWATCH * PT, SWATCH * PT);
            out.fillAndStroke();
            at += SWATCH + 0.8f;
        }
        if (!layers.isEmpty()) { // the first line goes on beside the swatches
            List<String> names = step.layers().stream().map(l -> l.load().coat().name()).distinct().toList();
            String load = names.size() < 3 ? String.join(", ", names) : names.get(0) + " and " + Words.number(names.size() - 1) + " more";
            List<String> first = Sheets.wrapped(load, text, FACTS, room - (at - x) - 0.6f);
            lines(out, first.subList(0, 1), 1, text, FACTS, at + 0.6f, y + 0.3f);
            y -= FACTS * LEADING;
            if (first.size() > 1) {
                facts.addAll(Sheets.wrapped(String.join(" ", first.subList(1, first.size())), text, FACTS, room));
            }
        }
        String puddles = StepWords.puddles(plan, number);
        if (!puddles.isEmpty()) {
            facts.addAll(Sheets.wrapped(puddles, text, FACTS, room));
        }
        facts.addAll(
                step instanceof Step.Earlier ? List.of() : Sheets.wrapped(StepWords.tool(step) + ", " + Durations.words(step.work().hand())
                        + (step.work().dries().isZero() ? "" : ", dries " + Durations.words(step.work().dries())), text, FACTS, room));
        int fit = 1 + (int) ((y - (top - place.high + GAP)) / (FACTS * LEADING));
        lines(out, facts, fit, text, FACTS, x, y);
    }

    private static float lines(PDPageContentStream out, List<String> lines, int most, PDFont font, float size, float x, float y)
            throws IOException {
        float at = y;
        for (int i = 0; i < Math.min(most, lines.size()); i++) {
            boolean cut = i == most - 1 && lines.size() > most;
            out.beginText();
            out.setNonStrokingColor(0.1f);
            out.setFont(font, size);
            out.newLineAtOffset(x * PT, at * PT);
            out.showText(lines.get(i) + (cut ? " …" : ""));
            out.endText();
            at -= size * LEADING;
        }
        return at;
    }

    /** A picture on which only what differs from the one before is full; the same picture where nothing does. */
    static BufferedImage lit(BufferedImage before, BufferedImage after) {
        int w = after.getWidth();
        int h = after.getHeight();
        if (before.getWidth() != w || before.getHeight() != h) {
            return after; // another face
        }
        int[] was = Pictures.pixels(before);
        int[] is = Pictures.pixels(after);
        BufferedImage image = new BufferedImage(w, h, after.getType());
        int[] shown = Pictures.pixels(image);
        boolean any = false;
        for (int i = 0; i < is.length; i++) {
            boolean same = was[i] == is[i];
            any |= !same;
            shown[i] = same ? pale(is[i]) : is[i];
        }
        if (!any) {
            return after;
        }
        return image;
    }

    /** Towards the paper, as far as the pixel covers it: premultiplied, white is the alpha itself. */
    private static int pale(int argb) {
        int a = argb >>> 24;
        return a << 24 | towards(a, argb >> 16 & 255) << 16 | towards(a, argb >> 8 & 255) << 8 | towards(a, argb & 255);
    }

    private static int towards(int white, int value) {
        return (int) (value + PALE * (white - value) + 0.5);
    }
}
