package mosspebble.files;

import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Path;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import mosspebble.core.colour.Shelf;
import mosspebble.core.plan.SittingPage;
import mosspebble.core.units.Srgb;
import mosspebble.core.words.HazardWords;
import mosspebble.core.words.TimetableWords;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.PDPageContentStream;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.apache.pdfbox.pdmodel.font.PDFont;
import org.apache.pdfbox.pdmodel.font.PDType0Font;

/** Sittings on paper: for each a page that says what to lay out and what to do in order, with boxes to tick. */
public final class SittingSheets implements AutoCloseable {

    private static final float PT = (float) (72 / 25.4);
    private static final float MARGIN = 15;
    private static final float BOX = 4;
    private static final float LINE = 4.6f;
    private static final float ROW = 8.4f;
    private static final float SWATCH = 4;
    private static final float TIME = 16;
    private static final float DRY = 30;

    private final PDDocument document = new PDDocument();
    private final PDFont text = font("AtkinsonHyperlegible_400Regular.ttf");
    private final PDFont display = font("ZillaSlab_600SemiBold.ttf");
    private final List<String> titles = new ArrayList<>();
    private final Paper paper;
    private final ZoneId zone;
    private PDPageContentStream out;
    private float y;

    private SittingSheets(Paper paper, ZoneId zone) throws IOException {
        this.paper = paper;
        this.zone = zone;
    }

    /**
     * Writes one page for each sitting, more where one is long.
     *
     * @param shelf for the names of paints
     * @throws FileTrouble if it cannot be written; then nothing has changed
     */
    public static void write(List<SittingPage> pages, Shelf shelf, Paper paper, ZoneId zone, Path file) throws FileTrouble {
        book(pages, shelf, paper, zone).save(file);
    }

    /** The same, to be looked at, printed and written. */
    public static SheetBook book(List<SittingPage> pages, Shelf shelf, Paper paper, ZoneId zone) throws FileTrouble {
        try (SittingSheets sheets = new SittingSheets(paper, zone)) {
            for (SittingPage page : pages) {
                sheets.page(page, shelf);
            }
            sheets.end();
            return SheetBook.of(paper, sheets.titles, sheets.document);
        } catch (IOException e) {
            throw new FileTrouble("Sittings", "Their pages could not be made: " + SafeWrite.reason(e) + ".", "Plan the sittings again.", e);
        }
    }

    private PDFont font(String name) throws IOException {
        try (InputStream in = BuiltIn.open("fonts/" + name)) {
            return PDType0Font.load(document, in);
        }
    }

    private float wide() {
        return (float) paper.widthMm() - 2 * MARGIN;
    }

    private void page(SittingPage sitting, Shelf shelf) throws IOException {
        begin(TimetableWords.heading(sitting, zone));
        paragraph(TimetableWords.layOut(sitting, shelf));
        paragraph(HazardWords.sentences(sitting.hazards(shelf)));
        y -= 2;
        for (SittingPage.Row row : sitting.rows()) {
            float needs = ROW + LINE + (row.waited().toMinutes() >= 3 ? LINE + 1 : 0);
            if (y - needs < MARGIN) {
                begin(TimetableWords.headingAgain(sitting, zone));
            }
            row(row);
        }
    }

    private void begin(String heading) throws IOException {
        end();
        PDPage page = new PDPage(new PDRectangle((float) paper.widthMm() * PT, (float) paper.heightMm() * PT));
        document.addPage(page);
        titles.add(heading);
        out = new PDPageContentStream(document, page);
        y = (float) paper.heightMm() - MARGIN - 7;
        words(display, 19, MARGIN, heading, wide());
        y -= 8;
    }

    private void end() throws IOException {
        if (out != null) {
            out.close();
        }
    }

    private void paragraph(List<String> lines) throws IOException {
        for (String line : lines) {
            for (String part : Sheets.wrapped(line, text, 10.5f, wide())) {
                words(text, 10.5f, MARGIN, part, wide());
                y -= LINE;
            }
        }
    }

    private void row(SittingPage.Row row) throws IOException {
        if (row.waited().toMinutes() >= 3) {
            words(text, 9, MARGIN + BOX + 3 + TIME, TimetableWords.waited(row), wide());
            y -= LINE + 1;
        }
        out.setLineWidth(0.35f * PT);
        out.setStrokingColor(0.25f);
        out.addRect(MARGIN * PT, (y - 0.6f) * PT, BOX * PT, BOX * PT);
        out.stroke();
        words(text, 10.5f, MARGIN + BOX + 3, TimetableWords.time(row.start(), zone), TIME);
        float x = MARGIN + BOX + 3 + TIME;
        if (row.done().coat().isPresent()) {
            Srgb c = row.done().coat().get().swatch();
            out.setNonStrokingColor(c.red() / 255f, c.green() / 255f, c.blue() / 255f);
            out.addRect(x * PT, (y - 0.6f) * PT, SWATCH * PT, SWATCH * PT);
            out.fillAndStroke();
            out.setNonStrokingColor(0f);
        }
        x += SWATCH + 2.5f;
        float room = MARGIN + wide() - DRY - x;
        words(text, 9, MARGIN + wide() - DRY, TimetableWords.rowDry(row, zone), DRY);
        List<String> what = Sheets.wrapped(TimetableWords.row(row), display, 10.5f, room);
        for (int i = 0; i < Math.min(2, what.size()); i++) {
            y -= i == 0 ? 0 : LINE;
            words(display, 10.5f, x, what.get(i) + (i == 1 && what.size() > 2 ? " …" : ""), room);
        }
        y -= 3.6f;
        words(text, 8.5f, x, TimetableWords.rowWith(row, zone), room);
        y -= ROW - 3.6f;
    }

    /** One line, cut off with an ellipsis where it has no room. */
    private void words(PDFont font, float size, float x, String words, float roomMm) throws IOException {
        String shown = Sheets.printable(words, font);
        String cut = shown;
        for (int letters = shown.length() - 1; letters > 0 && font.getStringWidth(cut) / 1000 * size / PT > roomMm; letters--) {
            cut = shown.substring(0, letters).strip() + "…";
        }
        out.beginText();
        out.setFont(font, size);
        out.newLineAtOffset(x * PT, y * PT);
        out.showText(cut);
        out.endText();
    }

    @Override
    public void close() throws IOException {
        document.close();
    }
}
