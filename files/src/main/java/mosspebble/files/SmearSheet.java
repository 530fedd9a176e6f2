package mosspebble.files;

import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Path;
import java.util.List;
import mosspebble.core.care.SmearTest;
import mosspebble.core.plan.Untested;
import mosspebble.core.words.CareWords;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.PDPageContentStream;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.apache.pdfbox.pdmodel.font.PDFont;
import org.apache.pdfbox.pdmodel.font.PDType0Font;

/** A five-minute test on one sheet: a field to draw in for each product, a sealer to go over half of it, and what to tick. */
public final class SmearSheet {

    private static final float PT = (float) (72 / 25.4);
    private static final float MARGIN = 15;
    private static final float ROW = 24;
    private static final float FIELD_WIDE = 60;
    private static final float FIELD_HIGH = 16;
    private static final float BOX = 3.5f;
    private static final float HEAD = 42;

    private SmearSheet() {}

    /**
     * @param pairs what is to be tried; at least one
     * @throws FileTrouble if it cannot be written; then nothing has changed
     */
    public static void write(List<Untested.Pair> pairs, Paper paper, Path file) throws FileTrouble {
        try (PDDocument document = new PDDocument()) {
            PDFont text = font(document, "AtkinsonHyperlegible_400Regular.ttf");
            PDFont display = font(document, "ZillaSlab_600SemiBold.ttf");
            int perPage = (int) ((paper.heightMm() - 2 * MARGIN - HEAD) / ROW);
            for (int first = 0; first < pairs.size(); first += perPage) {
                PDPage page = new PDPage(new PDRectangle((float) paper.widthMm() * PT, (float) paper.heightMm() * PT));
                document.addPage(page);
                try (PDPageContentStream out = new PDPageContentStream(document, page)) {
                    float top = (float) paper.heightMm() - MARGIN;
                    words(out, display, 20, MARGIN, top - 7, CareWords.TEST_TITLE);
                    float y = top - 15;
                    for (String line : CareWords.testSteps()) {
                        words(out, text, 10, MARGIN, y, line);
                        y -= 5;
                    }
                    for (int i = first; i < Math.min(pairs.size(), first + perPage); i++) {
                        row(out, text, display, pairs.get(i), top - HEAD - (i - first) * ROW);
                    }
                }
            }
            SafeWrite.write(file, document::save);
        } catch (IOException e) {
            throw new FileTrouble(file.toString(), "The sheet could not be made: " + SafeWrite.reason(e) + ".", "Choose another folder.",
                    e);
        }
    }

    private static PDFont font(PDDocument document, String name) throws IOException {
        try (InputStream in = BuiltIn.open("fonts/" + name)) {
            return PDType0Font.load(document, in);
        }
    }

    private static void row(PDPageContentStream out, PDFont text, PDFont display, Untested.Pair pair, float top) throws IOException {
        out.setLineWidth(0.3f * PT);
        out.addRect(MARGIN * PT, (top - FIELD_HIGH) * PT, FIELD_WIDE * PT, FIELD_HIGH * PT);
        out.moveTo((MARGIN + FIELD_WIDE / 2) * PT, top * PT);
        out.lineTo((MARGIN + FIELD_WIDE / 2) * PT, (top - FIELD_HIGH) * PT);
        out.stroke();
        float x = MARGIN + FIELD_WIDE + 6;
        words(out, display, 12, x, top - 4, pair.below().name());
        words(out, text, 10, x, top - 9, CareWords.under(pair.above().name()));
        for (SmearTest.Outcome outcome : SmearTest.Outcome.values()) {
            out.addRect(x * PT, (top - FIELD_HIGH) * PT, BOX * PT, BOX * PT);
            out.stroke();
            words(out, text, 10, x + BOX + 1.5f, top - FIELD_HIGH + 0.6f, outcome.label());
            x += BOX + 5 + text.getStringWidth(outcome.label()) / 1000 * 10 / PT;
        }
    }

    private static void words(PDPageContentStream out, PDFont font, float size, float x, float y, String words) throws IOException {
        out.beginText();
        out.setFont(font, size);
        out.newLineAtOffset(x * PT, y * PT);
        out.showText(Sheets.printable(words, font));
        out.endText();
    }
}
