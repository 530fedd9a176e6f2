package mosspebble.files;

import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Path;
import mosspebble.core.photo.ScaleCard;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.PDPageContentStream;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.apache.pdfbox.pdmodel.font.PDFont;
import org.apache.pdfbox.pdmodel.font.PDType0Font;
import org.apache.pdfbox.pdmodel.interactive.viewerpreferences.PDViewerPreferences;

/** The scale card as PDF, two on a page, at true size: printed, cut out and laid beside the stones. */
public final class ScaleCardSheet {

    private static final float PT = (float) (72 / 25.4);
    private static final float MARGIN = 15;

    private ScaleCardSheet() {}

    public static void write(Paper paper, Path file) throws FileTrouble {
        try (PDDocument document = new PDDocument()) {
            PDPage page = new PDPage(new PDRectangle((float) paper.widthMm() * PT, (float) paper.heightMm() * PT));
            document.addPage(page);
            PDFont text = font(document, "AtkinsonHyperlegible_400Regular.ttf");
            PDFont display = font(document, "ZillaSlab_600SemiBold.ttf");
            try (PDPageContentStream out = new PDPageContentStream(document, page)) {
                float top = (float) paper.heightMm() - MARGIN;
                words(out, display, 17, MARGIN, top - 6, "Scale card for stone photos");
                words(out, text, 10, MARGIN, top - 13,
                        "Print at 100 %, with no fitting to the page; the ruler on the card must be 50 mm. Glue it on board and cut along "
                                + "the frame.");
                words(out, text, 10, MARGIN, top - 18,
                        "Lay it flat on a plain blue or green sheet beside the stones; photograph from straight above, with nothing over "
                                + "its four marks.");
                card(out, text, MARGIN + 10, top - 30);
                card(out, text, MARGIN + 10, top - 30 - (float) ScaleCard.HEIGHT_MM - 20);
            }
            document.getDocumentInformation().setTitle("Scale card");
            document.getDocumentInformation().setCreator("Moss Pebble");
            PDViewerPreferences preferences = new PDViewerPreferences(document.getDocumentCatalog().getCOSObject());
            preferences.setPrintScaling(PDViewerPreferences.PRINT_SCALING.None);
            document.getDocumentCatalog().setViewerPreferences(preferences);
            SafeWrite.write(file, document::save);
        } catch (IOException e) {
            throw new FileTrouble(file.toString(), "The card could not be made: " + e.getMessage() + ".", "Choose another folder.", e);
        }
    }

    private static PDFont font(PDDocument document, String name) throws IOException {
        try (InputStream in = BuiltIn.open("fonts/" + name)) {
            return PDType0Font.load(document, in);
        }
    }

    private static void card(PDPageContentStream out, PDFont text, float left, float top) throws IOException {
        out.setStrokingColor(0.75f, 0.72f, 0.66f);
        out.setLineWidth(0.2f * PT);
        out.addRect(left * PT, (top - (float) ScaleCard.HEIGHT_MM) * PT, (float) ScaleCard.WIDTH_MM * PT, (float) ScaleCard.HEIGHT_MM * PT);
        out.stroke();
        out.setNonStrokingColor(0f, 0f, 0f);
        float cell = (float) (ScaleCard.MARK_MM / ScaleCard.CELLS);
        for (ScaleCard.Mark mark : ScaleCard.MARKS) {
            float x = left + (float) mark.x();
            float y = top - (float) mark.y();
            // one black square with its white cells laid over, so that no hairlines show between cells
            box(out, x, y, (float) ScaleCard.MARK_MM, (float) ScaleCard.MARK_MM, 0);
            for (int row = 0; row < ScaleCard.CELLS; row++) {
                for (int column = 0; column < ScaleCard.CELLS; column++) {
                    if (!mark.black(column, row)) {
                        box(out, x + column * cell, y - row * cell, cell, cell, 1);
                    }
                }
            }
        }
        out.setStrokingColor(0f, 0f, 0f);
        out.setLineWidth(0.4f * PT);
        float y = top - 44.25f;
        out.moveTo((left + 25) * PT, y * PT);
        out.lineTo((left + 75) * PT, y * PT);
        out.stroke();
        for (int tick = 0; tick <= 10; tick++) {
            out.moveTo((left + 25 + 5 * tick) * PT, y * PT);
            out.lineTo((left + 25 + 5 * tick) * PT, (y + (tick % 2 == 0 ? 4 : 2.5f)) * PT);
            out.stroke();
        }
        words(out, text, 7, left + 43, y - 4, "50 mm");
    }

    private static void box(PDPageContentStream out, float left, float top, float width, float height, float tone) throws IOException {
        out.setNonStrokingColor(tone, tone, tone);
        out.addRect(left * PT, (top - height) * PT, width * PT, height * PT);
        out.fill();
    }

    private static void words(PDPageContentStream out, PDFont font, float size, float x, float y, String words) throws IOException {
        out.setNonStrokingColor(0.13f, 0.15f, 0.12f);
        out.beginText();
        out.setFont(font, size);
        out.newLineAtOffset(x * PT, y * PT);
        out.showText(words);
        out.endText();
    }
}
