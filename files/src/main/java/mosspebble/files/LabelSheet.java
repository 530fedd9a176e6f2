package mosspebble.files;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import javax.imageio.ImageIO;
import mosspebble.core.area.Grid;
import mosspebble.core.book.Page;
import mosspebble.core.picture.StonePicture;
import mosspebble.core.picture.StoneTerrain;
import mosspebble.core.plan.PaintPlan;
import mosspebble.core.plan.StoneState;
import mosspebble.core.stone.StoneOutline;
import mosspebble.core.words.BookWords;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.PDPageContentStream;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.apache.pdfbox.pdmodel.font.PDFont;
import org.apache.pdfbox.pdmodel.font.PDType0Font;
import org.apache.pdfbox.pdmodel.graphics.image.PDImageXObject;

/** Labels for stones that are given or sold: picture, name, when it was made, how to care for it; several on a page, to be cut out. */
public final class LabelSheet {

    private static final float PT = (float) (72 / 25.4);
    private static final float MARGIN = 12;
    private static final float INSIDE = 3;
    /** From line to line, mm for a point of size. */
    private static final float LEADING = 0.44f;

    /** Sizes of labels, mm. */
    public enum Size {
        SMALL(60, 38, 9, 6.5f), LARGE(90, 55, 13, 8.5f);

        private final float wide;
        private final float high;
        private final float name;
        private final float text;

        Size(float wide, float high, float name, float text) {
            this.wide = wide;
            this.high = high;
            this.name = name;
            this.text = text;
        }

        public double wideMm() {
            return wide;
        }

        public double highMm() {
            return high;
        }
    }

    /** What a label is made of. @param png picture of the stone */
    public record Label(Page page, byte[] png) {}

    /** Longer side of the picture on a label, pixels: 300 to an inch on a large one. */
    private static final int PIXELS = 340;

    private LabelSheet() {}

    /** The label of a stone as it will be when it is sealed. */
    public static Label label(Page page, PaintPlan plan) throws FileTrouble {
        StoneOutline outline = plan.survey().dome().outline();
        double reach = Math.max(outline.halfWidth(), outline.halfHeight());
        Grid grid = Grid.around(outline.halfWidth() + 1, outline.halfHeight() + 1, reach * 2 / PIXELS);
        StonePicture picture = StonePicture.of(plan, StoneTerrain.of(plan.survey(), grid), StoneState.SEALED);
        ByteArrayOutputStream png = new ByteArrayOutputStream();
        try {
            ImageIO.write(Pictures.of(picture, plan.steps().size(), plan.project().habits().light().from()), "png", png);
        } catch (IOException e) {
            throw new FileTrouble(plan.project().name(), "Its picture could not be made.", "Open it again.", e);
        }
        return new Label(page, png.toByteArray());
    }

    /**
     * Writes labels side by side on as many pages as they need.
     *
     * @throws FileTrouble if it cannot be written; then nothing has changed
     */
    public static void write(List<Label> labels, Size size, Paper paper, Path file) throws FileTrouble {
        book(labels, size, paper).save(file);
    }

    /** How many stand on a page. */
    public static int toAPage(Size size, Paper paper) {
        return (int) ((paper.widthMm() - 2 * MARGIN) / size.wide) * (int) ((paper.heightMm() - 2 * MARGIN) / size.high);
    }

    /** Labels side by side, to be looked at, printed and written. */
    public static SheetBook book(List<Label> labels, Size size, Paper paper) throws FileTrouble {
        try (PDDocument document = new PDDocument()) {
            List<String> titles = new ArrayList<>();
            PDFont text = font(document, "AtkinsonHyperlegible_400Regular.ttf");
            PDFont display = font(document, "ZillaSlab_600SemiBold.ttf");
            int across = (int) ((paper.widthMm() - 2 * MARGIN) / size.wide);
            int down = (int) ((paper.heightMm() - 2 * MARGIN) / size.high);
            for (int i = 0; i < labels.size(); i += across * down) {
                PDPage page = new PDPage(new PDRectangle((float) paper.widthMm() * PT, (float) paper.heightMm() * PT));
                document.addPage(page);
                titles.add("Labels to cut out");
                try (PDPageContentStream out = new PDPageContentStream(document, page)) {
                    for (int k = 0; k < across * down && i + k < labels.size(); k++) {
                        float x = MARGIN + k % across * size.wide;
                        float y = (float) paper.heightMm() - MARGIN - (k / across + 1) * size.high;
                        label(document, out, labels.get(i + k), size, x, y, text, display);
                    }
                }
            }
            return SheetBook.of(paper, titles, document);
        } catch (IOException e) {
            throw new FileTrouble("Labels", "They could not be made: " + SafeWrite.reason(e) + ".", "Open the book's page again.", e);
        }
    }

    private static PDFont font(PDDocument document, String name) throws IOException {
        try (InputStream in = BuiltIn.open("fonts/" + name)) {
            return PDType0Font.load(document, in);
        }
    }

    private static void label(PDDocument document, PDPageContentStream out, Label label, Size size, float x, float y, PDFont text,
            PDFont display) throws IOException {
        out.setLineWidth(0.2f * PT);
        out.setStrokingColor(0.6f);
        out.setLineDashPattern(new float[] {2, 2}, 0);
        out.addRect(x * PT, y * PT, size.wide * PT, size.high * PT);
        out.stroke();
        out.setLineDashPattern(new float[0], 0);
        float side = size.high * 0.52f;
        PDImageXObject image = PDImageXObject.createFromByteArray(document, label.png, label.page.id());
        float scale = side / Math.max(image.getWidth(), image.getHeight());
        float wide = image.getWidth() * scale;
        float high = image.getHeight() * scale;
        float top = y + size.high - INSIDE;
        out.drawImage(image, (x + INSIDE + (side - wide) / 2) * PT, (top - side + (side - high) / 2) * PT, wide * PT, high * PT);
        float left = x + INSIDE + side + 2.5f;
        float room = x + size.wide - INSIDE - left;
        float at = top - size.name * 0.36f;
        for (String line : Sheets.wrapped(Sheets.printable(label.page.stone().name(), display), display, size.name, room)) {
            words(out, display, size.name, left, at, line);
            at -= size.name * 0.42f;
        }
        for (String line : BookWords.label(label.page)) {
            for (String part : Sheets.wrapped(Sheets.printable(line, text), text, size.text, room)) {
                words(out, text, size.text, left, at, part);
                at -= size.text * LEADING;
            }
        }
        at = y + INSIDE + 1;
        List<String> care = Sheets.wrapped(Sheets.printable(BookWords.care(label.page), text), text, size.text, size.wide - 2 * INSIDE);
        at += (care.size() - 1) * size.text * LEADING;
        for (String line : care) {
            words(out, text, size.text, x + INSIDE, at, line);
            at -= size.text * LEADING;
        }
    }

    private static void words(PDPageContentStream out, PDFont font, float size, float x, float y, String words) throws IOException {
        out.beginText();
        out.setNonStrokingColor(0f);
        out.setFont(font, size);
        out.newLineAtOffset(x * PT, y * PT);
        out.showText(words);
        out.endText();
    }
}
