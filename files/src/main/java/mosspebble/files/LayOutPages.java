package mosspebble.files;

import java.io.IOException;
import java.util.List;
import mosspebble.core.words.LayOutWords;
import org.apache.pdfbox.pdmodel.PDPageContentStream;
import org.apache.pdfbox.pdmodel.font.PDFont;

/** What to lay out before a stone is begun, with boxes to tick, on as many pages as it takes. */
final class LayOutPages {

    private static final float PT = (float) (72 / 25.4);
    private static final float MARGIN = 12;
    private static final float HEAD = 24;
    private static final float SIZE = 10.5f;
    private static final float LINE = 4.8f;
    private static final float APART = 0.6f;
    /** A heading, with what stands over it. */
    private static final float HEADING = 10;
    private static final float BOX = 3.6f;
    private static final float INDENT = 6;
    /** Sections of so many short lines stand in two columns. */
    private static final int FEW = 3;

    /** Begins a page with its heading. */
    interface Pages {
        PDPageContentStream next() throws IOException;
    }

    private final PDFont text;
    private final PDFont display;
    private final Paper paper;
    private PDPageContentStream out;
    private float y;

    LayOutPages(PDFont text, PDFont display, Paper paper) {
        this.text = text;
        this.display = display;
        this.paper = paper;
    }

    private float room() {
        return (float) paper.widthMm() - 2 * MARGIN;
    }

    void draw(List<LayOutWords.Section> sections, Pages pages) throws IOException {
        try {
            for (LayOutWords.Section section : sections) {
                draw(section, pages);
            }
        } finally {
            if (out != null) {
                out.close();
            }
        }
    }

    private void draw(LayOutWords.Section section, Pages pages) throws IOException {
        int columns = inTwoColumns(section) ? 2 : 1;
        for (int i = 0; i < section.lines().size(); i++) {
            LayOutWords.Line line = section.lines().get(i);
            float indent = (section.ticked() ? INDENT : 0) + (line.swatch().isPresent() ? INDENT : 0);
            if (columns == 2 && i % 2 == 1) { // beside the one before
                y += LINE + APART;
                line(section, line, MARGIN + room() / 2, indent, List.of(line.words()));
                continue;
            }
            List<String> words = Sheets.wrapped(line.words(), text, SIZE, room() - indent);
            if (out == null || y - words.size() * LINE - (i == 0 ? HEADING : 0) < MARGIN) {
                if (out != null) {
                    out.close();
                }
                out = pages.next();
                y = (float) paper.heightMm() - MARGIN - HEAD;
            }
            if (i == 0) {
                Sheets.write(out, display, 13, MARGIN, y - 4, section.heading(), 0x22271F);
                y -= HEADING;
            }
            line(section, line, MARGIN, indent, words);
        }
    }

    private void line(LayOutWords.Section section, LayOutWords.Line line, float x, float indent, List<String> words) throws IOException {
        out.setLineWidth(0.3f * PT);
        Sheets.colour(out, 0x5A6057, true);
        if (section.ticked()) {
            out.addRect(x * PT, (y - 0.5f) * PT, BOX * PT, BOX * PT);
            out.stroke();
        }
        if (line.swatch().isPresent()) {
            Sheets.colour(out, line.swatch().get().rgb(), false);
            out.addRect((x + INDENT) * PT, (y - 0.5f) * PT, BOX * PT, BOX * PT);
            out.fillAndStroke();
        }
        for (String each : words) {
            Sheets.write(out, text, SIZE, x + indent, y, each, 0x22271F);
            y -= LINE;
        }
        y -= APART;
    }

    private boolean inTwoColumns(LayOutWords.Section section) throws IOException {
        for (LayOutWords.Line line : section.lines()) {
            float wide = text.getStringWidth(Sheets.printable(line.words(), text)) / 1000 * SIZE / PT;
            if (wide > room() / 2 - 2 * INDENT - 2) {
                return false;
            }
        }
        return section.ticked() && section.lines().size() > FEW;
    }
}
