package mosspebble.files;

import java.awt.image.BufferedImage;
import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import mosspebble.core.area.Grid;
import mosspebble.core.area.Shapes;
import mosspebble.core.colour.Shelf;
import mosspebble.core.picture.Care;
import mosspebble.core.picture.EdgePicture;
import mosspebble.core.picture.StonePicture;
import mosspebble.core.picture.StoneTerrain;
import mosspebble.core.plan.PaintPlan;
import mosspebble.core.plan.Step;
import mosspebble.core.plan.StoneState;
import mosspebble.core.project.Side;
import mosspebble.core.sketch.Stencil;
import mosspebble.core.stone.Dome;
import mosspebble.core.stone.Unrolling;
import mosspebble.core.timetable.Durations;
import mosspebble.core.units.LengthText;
import mosspebble.core.units.LengthUnit;
import mosspebble.core.units.Srgb;
import mosspebble.core.words.LayOutWords;
import mosspebble.core.words.StepWords;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.PDPageContentStream;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.apache.pdfbox.pdmodel.font.PDFont;
import org.apache.pdfbox.pdmodel.font.PDType0Font;
import org.apache.pdfbox.pdmodel.graphics.image.LosslessFactory;
import org.apache.pdfbox.pdmodel.graphics.image.PDImageXObject;
import org.apache.pdfbox.util.Matrix;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Envelope;
import mosspebble.core.units.Words;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.LineString;
import org.locationtech.jts.geom.Point;
import org.locationtech.jts.geom.util.LinearComponentExtracter;

/**
 * The sheets for the bench as PDF: the guide at true size with pencil lines and a 100 mm bar, over several pages where the stone is larger
 * than the paper; the same unrolled for the dome; then a card for
 * every step with its picture. Viewers are asked not to scale.
 */
public final class Sheets {

    private static final float PT = (float) (72 / 25.4);
    private static final float MARGIN = 12;
    private static final float HEAD = 24;
    private static final float FOOT = 24;
    private static final float INCH = 25.4f;
    private static final int INCHES = 4;
    /** Half a mark where pages are joined, mm. */
    private static final float JOIN = 4;
    /** Above the outline, where the mark of its top stands, mm. */
    private static final double MARK = 1.5;

    /** Pixels along a stone on a card: about 200 to an inch; where nobody looks so closely, as in tests, fewer can be asked for. */
    private static final int CARD_PIXELS = Math.max(36, Integer.getInteger("mosspebble.cards", 360));
    /** The same on a small card. */
    private static final int SMALL_PIXELS = CARD_PIXELS * 5 / 6;

    /** Least height of a card; one of many words takes more. */
    private static final float CARD = 41;
    private static final float CARD_HEAD = 7.5f;
    private static final float SWATCH = 9;
    private static final float PICTURE = 46;

    /** Relief cuts of a dome guide, at most. */
    private static final int CUTS = 8;

    /** Crowding of the paper from which it is cut (common practice, no source: paper gives about this much). */
    private static final double CROWDING = 0.03;

    /** Told how far it is; answers whether to go on. */
    public interface Progress {
        boolean at(double fraction, String what);
    }

    /** How steps are laid out: a card for each with all that is said of it, or all of them small on a page or two. */
    public enum Cards {
        WHOLE("large", "A card for each step with its sentence, its puddles and the reason"),
        CONTACT("small", "Twenty steps on a page, what each changes lit"), NONE("none", "The guides alone");

        private final String label;
        private final String tooltip;

        Cards(String label, String tooltip) {
            this.label = label;
            this.tooltip = tooltip;
        }

        public String label() {
            return label;
        }

        public String tooltip() {
            return tooltip;
        }
    }

    /**
     * What the sheets hold besides the guides.
     *
     * @param mirrored whether each guide comes once more the other way round, to be rubbed off or traced from behind
     * @param template whether there is a template to cut out, where the design leaves one
     * @param shelf from which is laid out what is needed, on a page of its own before the steps; no such page without
     */
    public record Layout(Cards cards, boolean mirrored, boolean template, Optional<Shelf> shelf) {

        /** A card for each step, guides as seen. */
        public static final Layout USUAL = new Layout(Cards.WHOLE, false, false, Optional.empty());

        public Layout(Cards cards, boolean mirrored, boolean template) {
            this(cards, mirrored, template, Optional.empty());
        }

        /** With a page of what to lay out. */
        public Layout withShelf(Shelf all) {
            return new Layout(cards, mirrored, template, Optional.of(all));
        }
    }

    private final PDDocument document;
    private final PDFont text;
    private final PDFont bold;
    private final PDFont display;
    private final PaintPlan plan;
    private final Paper paper;
    private final LengthUnit unit;
    /** Of each page. */
    private final List<String> titles = new ArrayList<>();

    private Sheets(PDDocument document, PaintPlan plan, Paper paper, LengthUnit unit) throws IOException {
        this.document = document;
        this.plan = plan;
        this.paper = paper;
        this.unit = unit;
        this.text = font("AtkinsonHyperlegible_400Regular.ttf");
        this.bold = font("AtkinsonHyperlegible_700Bold.ttf");
        this.display = font("ZillaSlab_600SemiBold.ttf");
    }

    private PDFont font(String name) throws IOException {
        try (InputStream in = BuiltIn.open("fonts/" + name)) {
            return PDType0Font.load(document, in);
        }
    }

    /**
     * Writes guide and step cards.
     *
     * @return whether it was finished; if the progress said stop, nothing is written
     */
    public static boolean write(PaintPlan plan, Paper paper, LengthUnit unit, Path file, Progress progress) throws FileTrouble {
        return write(plan, paper, unit, Layout.USUAL, file, progress);
    }

    /** The same laid out as wished. */
    public static boolean write(PaintPlan plan, Paper paper, LengthUnit unit, Layout layout, Path file, Progress progress)
            throws FileTrouble {
        Optional<SheetBook> book = book(plan, paper, unit, layout, progress);
        if (book.isPresent()) {
            book.get().save(file);
        }
        return book.isPresent();
    }

    /**
     * Guide and step cards, to be looked at, printed and written.
     *
     * @return empty if the progress said stop
     */
    public static Optional<SheetBook> book(PaintPlan plan, Paper paper, LengthUnit unit, Progress progress) throws FileTrouble {
        return book(plan, paper, unit, Layout.USUAL, progress);
    }

    /** The same laid out as wished. */
    public static Optional<SheetBook> book(PaintPlan plan, Paper paper, LengthUnit unit, Layout layout, Progress progress)
            throws FileTrouble {
        try (PDDocument document = new PDDocument()) {
            Sheets sheets = new Sheets(document, plan, paper, unit);
            for (PaintPlan face : sheets.faces()) {
                sheets.guide(face);
                if (layout.mirrored()) {
                    sheets.mirrored(face);
                }
                sheets.domeGuide(face);
                if (layout.template()) {
                    sheets.template(face);
                }
            }
            if (layout.cards() != Cards.NONE && layout.shelf().isPresent()) {
                new LayOutPages(sheets.text, sheets.display, paper).draw(LayOutWords.of(plan, layout.shelf().get()), () -> {
                    PDPageContentStream out = new PDPageContentStream(document, sheets.page("What to lay out"));
                    sheets.heading(out, "What to lay out", sheets.size());
                    return out;
                });
            }
            boolean whole = switch (layout.cards()) {
                case WHOLE -> sheets.cards(progress);
                case CONTACT -> sheets.contact(progress);
                case NONE -> progress.at(1, "Writing");
            };
            if (!whole) {
                return Optional.empty();
            }
            document.getDocumentInformation().setTitle(plan.project().name() + ": guide and steps");
            return Optional.of(SheetBook.of(paper, sheets.titles, document));
        } catch (IOException e) {
            throw new FileTrouble(plan.project().name(), "The sheets could not be made: " + SafeWrite.reason(e) + ".",
                    "Report it with the plan exported as JSON.", e);
        }
    }

    /** The plan seen from each face that is painted, the front first. */
    private List<PaintPlan> faces() {
        if (plan.below().isEmpty()) {
            return List.of(plan);
        }
        return plan.up().side() == Side.FRONT ? List.of(plan, plan.turnedOver()) : List.of(plan.turnedOver(), plan);
    }

    private String of(PaintPlan face) {
        return plan.below().isEmpty() ? "" : face.up().side() == Side.FRONT ? "Front. " : "Back. ";
    }

    private PDPage page(String title) {
        titles.add(title);
        PDPage page = new PDPage(new PDRectangle((float) paper.widthMm() * PT, (float) paper.heightMm() * PT));
        document.addPage(page);
        return page;
    }

    /** What is drawn about the middle of a page. */
    private interface Drawing {
        void on(PDPageContentStream out, double middleX, double middleY) throws IOException;
    }

    private void guide(PaintPlan face) throws IOException {
        pages(of(face) + "Guide at true size", face.survey().dome().outline().halfWidth(), face.survey().dome().outline().halfHeight(),
                "Solid: outline. Dashed: where the face ends. Thin: pencil lines.",
                (out, x, y) -> drawing(face, out, x, y));
    }

    /** The guide with left and right exchanged, which come right again when its lines are rubbed off. */
    private void mirrored(PaintPlan face) throws IOException {
        pages(of(face) + "Guide mirrored, to rub off or trace from behind", face.survey().dome().outline().halfWidth(),
                face.survey().dome().outline().halfHeight(),
                "Go over the lines with soft pencil, lay it face down on the stone and rub: they come out the right way round.",
                (out, x, y) -> {
                    out.transform(new Matrix(-1, 0, 0, 1, (float) (2 * x) * PT, 0));
                    drawing(face, out, x, y);
                });
    }

    /** A sheet to cut out, its cuts numbered in their order; none where the design leaves none. */
    private void template(PaintPlan face) throws IOException {
        Optional<Stencil> made = DesignSvg.stencil(face);
        if (made.isEmpty()) {
            return;
        }
        Stencil stencil = made.get();
        Envelope box = stencil.paper().getEnvelopeInternal();
        double aside = (box.getMinX() + box.getMaxX()) / 2;
        double along = (box.getMinY() + box.getMaxY()) / 2;
        String held = stencil.bridges() == 0 ? "" : stencil.bridges() == 1 ? " One bridge holds what would fall out."
                : " " + Words.upper(Words.number(stencil.bridges())) + " bridges hold what would fall out.";
        pages(of(face) + "Template to cut out", box.getWidth() / 2, box.getHeight() / 2,
                "Print on card and cut in the order of the numbers, the edge last." + held, (out, x, y) -> {
                    out.setLineWidth(0.3f * PT);
                    int number = 0;
                    for (Geometry cut : stencil.cuts()) {
                        stroke(out, cut, x - aside, y + along, 0x22271F);
                        Coordinate at = cut.getInteriorPoint().getCoordinate();
                        write(out, text, 6, (float) (x - aside + at.x) - 1, (float) (y + along - at.y) - 0.8f, String.valueOf(++number),
                                0x7A7568);
                    }
                    out.setLineWidth(0.5f * PT);
                    stroke(out, stencil.paper(), x - aside, y + along, 0x22271F);
                });
    }

    /** The guide to lay on the dome: unrolled about the middle of the face, with relief cuts where the paper would crowd. */
    private void domeGuide(PaintPlan face) throws IOException {
        Dome dome = face.survey().dome();
        Point middle = face.survey().zones().face().getCentroid();
        Unrolling unrolling = Unrolling.about(dome, middle.getX(), middle.getY());
        Geometry paperOutline = unrolling.paper(face.survey().zones().paintable());
        List<Unrolling.Cut> cuts = unrolling.cuts(paperOutline, CUTS, CROWDING);
        double reachX = 0;
        double reachY = 0;
        for (Coordinate c : paperOutline.getCoordinates()) {
            reachX = Math.max(reachX, Math.abs(c.x));
            reachY = Math.max(reachY, Math.abs(c.y));
        }
        String legend = cuts.isEmpty() ? "Cut round and lay it on with its cross on the middle of the face; it needs no relief cuts."
                : "Cut round, cut out the grey wedges, lay it on with its cross on the middle of the face and close the wedges.";
        pages(of(face) + "Guide unrolled for the dome, face and shoulder", reachX, reachY, legend, (out, x, y) -> {
            for (Unrolling.Cut cut : cuts) {
                colour(out, 0xDAD5C8, false);
                fill(out, Shapes.common(cut.triangle(), paperOutline), x, y);
            }
            out.setLineWidth(0.3f * PT);
            stroke(out, paperOutline, x, y, 0x22271F);
            out.setLineWidth(0.2f * PT);
            for (Unrolling.Cut cut : cuts) {
                stroke(out, Shapes.common(cut.triangle(), paperOutline), x, y, 0x7A7568);
            }
            line(out, x, y, 0, -3, 0, 3);
            line(out, x, y, -3, 0, 3, 0);
            if (face.design().isPresent()) {
                out.setLineWidth(0.25f * PT);
                for (Geometry pencil : face.design().get().pencilLines()) {
                    stroke(out, Unrolling.squeezed(unrolling.paper(pencil.intersection(face.survey().zones().paintable())), cuts), x, y,
                            0x4E4F52);
                }
            }
        });
    }

    private void pages(String what, double halfWidth, double halfHeight, String legend, Drawing drawing) throws IOException {
        double room = paper.widthMm() - 2 * MARGIN;
        double high = paper.heightMm() - 2 * MARGIN - HEAD - FOOT;
        int columns = (int) Math.max(1, Math.ceil((2 * halfWidth + 2) / room));
        int rows = (int) Math.max(1, Math.ceil((2 * halfHeight + 2) / high));
        for (int row = 0; row < rows; row++) {
            for (int column = 0; column < columns; column++) {
                String part = columns * rows == 1 ? "" : ", part " + (row * columns + column + 1) + " of " + columns * rows;
                try (PDPageContentStream out = new PDPageContentStream(document, page(what + part))) {
                    heading(out, what + part, size());
                    double middleX = MARGIN + room / 2 + (columns - 1) * room / 2 - column * room;
                    double middleY = paper.heightMm() - MARGIN - HEAD - high / 2 - (rows - 1) * high / 2 + row * high;
                    out.saveGraphicsState();
                    out.addRect(MARGIN * PT, (MARGIN + FOOT) * PT, (float) room * PT, (float) high * PT);
                    out.clip();
                    drawing.on(out, middleX, middleY);
                    out.restoreGraphicsState();
                    joins(out, new Tile(column, row, columns, rows), (float) room, (float) high);
                    bar(out, legend);
                }
            }
        }
    }

    /** One of several pages that are laid together. */
    private record Tile(int column, int row, int columns, int rows) {}

    /** Half a diamond with a letter at each side that is joined: laid together rightly, the halves make whole ones. */
    private void joins(PDPageContentStream out, Tile tile, float room, float high) throws IOException {
        float low = MARGIN + FOOT;
        out.setLineWidth(0.2f * PT);
        colour(out, 0x5A6057, true);
        for (int at = 1; at <= 3; at += 2) {
            float y = low + high * at / 4;
            float x = MARGIN + room * at / 4;
            int page = tile.row * tile.columns + tile.column;
            if (tile.column < tile.columns - 1) {
                half(out, MARGIN + room, y, -JOIN, 0, join(page, at, "ab"));
            }
            if (tile.column > 0) {
                half(out, MARGIN, y, JOIN, 0, join(page - 1, at, "ab"));
            }
            if (tile.row < tile.rows - 1) {
                half(out, x, low, 0, JOIN, join(page, at, "cd"));
            }
            if (tile.row > 0) {
                half(out, x, low + high, 0, -JOIN, join(page - tile.columns, at, "cd"));
            }
        }
    }

    /** The name of a join by the page left of it or above, such as 2a. */
    private static String join(int page, int at, String letters) {
        return (page + 1) + letters.substring(at / 2, at / 2 + 1);
    }

    private void half(PDPageContentStream out, float x, float y, float dx, float dy, String letter) throws IOException {
        out.moveTo((x + dy) * PT, (y + dx) * PT);
        out.lineTo((x + dx) * PT, (y + dy) * PT);
        out.lineTo((x - dy) * PT, (y - dx) * PT);
        out.stroke();
        write(out, text, 6, x + dx * 0.45f - 1.2f, y + dy * 0.45f - 0.9f, letter, 0x5A6057);
    }

    private String size() {
        var stone = plan.project().stone();
        return LengthText.number(stone.length(), unit) + " x " + LengthText.number(stone.width(), unit) + " x "
                + LengthText.format(stone.height(), unit) + ", " + stone.rock().label();
    }

    private void heading(PDPageContentStream out, String what, String detail) throws IOException {
        float top = (float) paper.heightMm() - MARGIN - 6;
        String name = printable(plan.project().name(), display);
        float wide = display.getStringWidth(name) / 1000 * 17;
        float room = ((float) paper.widthMm() - 2 * MARGIN) * PT;
        write(out, display, wide > room ? 17 * room / wide : 17, MARGIN, top, name, 0x22271F);
        write(out, text, 10, MARGIN, top - 6.5f, what + ", " + detail, 0x5A6057);
    }

    private void drawing(PaintPlan face, PDPageContentStream out, double middleX, double middleY) throws IOException {
        out.setLineWidth(0.35f * PT);
        stroke(out, face.survey().zones().outline(), middleX, middleY, 0x22271F);
        out.setLineWidth(0.2f * PT);
        out.setLineDashPattern(new float[] {2 * PT, 1.2f * PT}, 0);
        stroke(out, face.survey().zones().face(), middleX, middleY, 0x9A958A);
        out.setLineDashPattern(new float[0], 0);
        line(out, middleX, middleY, 0, -3, 0, 3);
        line(out, middleX, middleY, -3, 0, 3, 0);
        marks(face, out, middleX, middleY);
        if (face.design().isPresent()) {
            out.setLineWidth(0.25f * PT);
            for (Geometry line : face.design().get().pencilLines()) {
                stroke(out, line.intersection(face.survey().zones().outline()), middleX, middleY, 0x4E4F52);
            }
        }
    }

    /** Which way up, and which face where both are painted: a sheet turned over or round is laid on wrong. */
    private void marks(PaintPlan face, PDPageContentStream out, double mx, double my) throws IOException {
        Envelope box = face.survey().zones().outline().getEnvelopeInternal();
        float top = (float) (my - box.getMinY() + MARK);
        line(out, mx, my, 0, box.getMinY() - MARK, -1.2, box.getMinY() - MARK + 1.2);
        line(out, mx, my, 0, box.getMinY() - MARK, 1.2, box.getMinY() - MARK + 1.2);
        write(out, text, 8, (float) mx + 2, top - 1, "top", 0x5A6057);
        if (!plan.below().isEmpty()) {
            write(out, text, 8, (float) mx + 2, (float) (my - box.getMaxY() - MARK - 2), face.up().side() == Side.FRONT ? "front" : "back",
                    0x5A6057);
        }
    }

    private void line(PDPageContentStream out, double mx, double my, double x0, double y0, double x1, double y1) throws IOException {
        out.moveTo((float) (mx + x0) * PT, (float) (my - y0) * PT);
        out.lineTo((float) (mx + x1) * PT, (float) (my - y1) * PT);
        out.stroke();
    }

    private static void fill(PDPageContentStream out, Geometry shape, double mx, double my) throws IOException {
        Coordinate[] points = shape.getCoordinates();
        for (int i = 0; i < points.length; i++) {
            float x = (float) (mx + points[i].x) * PT;
            float y = (float) (my - points[i].y) * PT;
            if (i == 0) {
                out.moveTo(x, y);
            } else {
                out.lineTo(x, y);
            }
        }
        if (points.length > 2) {
            out.closePath();
            out.fill();
        }
    }

    private static void stroke(PDPageContentStream out, Geometry shape, double mx, double my, int rgb) throws IOException {
        colour(out, rgb, true);
        for (Object component : LinearComponentExtracter.getLines(shape)) {
            Coordinate[] points = ((LineString) component).getCoordinates();
            for (int i = 0; i < points.length; i++) {
                float x = (float) (mx + points[i].x) * PT;
                float y = (float) (my - points[i].y) * PT;
                if (i == 0) {
                    out.moveTo(x, y);
                } else {
                    out.lineTo(x, y);
                }
            }
            out.stroke();
        }
    }

    /** 100 mm with a tick every 10, and 4 inches with one every half: what proves the print, whichever rule is at hand. */
    private void bar(PDPageContentStream out, String legend) throws IOException {
        float y = MARGIN + 13;
        colour(out, 0x22271F, true);
        out.setLineWidth(0.3f * PT);
        out.moveTo(MARGIN * PT, y * PT);
        out.lineTo((MARGIN + 100) * PT, y * PT);
        out.stroke();
        float below = y - 1.2f;
        out.moveTo(MARGIN * PT, below * PT);
        out.lineTo((MARGIN + INCHES * INCH) * PT, below * PT);
        out.stroke();
        for (int tick = 0; tick <= 2 * INCHES; tick++) {
            out.moveTo((MARGIN + tick * INCH / 2) * PT, below * PT);
            out.lineTo((MARGIN + tick * INCH / 2) * PT, (below - (tick % 2 == 0 ? 3 : 1.8f)) * PT);
            out.stroke();
        }
        write(out, text, 7.5f, MARGIN + INCHES * INCH + 2, y + 0.6f, "100 mm", 0x5A6057);
        write(out, text, 7.5f, MARGIN + INCHES * INCH + 2, below - 2.6f, "4 in", 0x5A6057);
        for (int tick = 0; tick <= 10; tick++) {
            out.moveTo((MARGIN + 10 * tick) * PT, y * PT);
            out.lineTo((MARGIN + 10 * tick) * PT, (y + (tick % 5 == 0 ? 4 : 2.5f)) * PT);
            out.stroke();
        }
        write(out, text, 9, MARGIN, y - 8,
                "The upper bar is 100 mm, the lower 4 inches. If they are not, print again at 100 % with no fitting to the page.",
                0x22271F);
        write(out, text, 9, MARGIN, y - 12, legend, 0x5A6057);
    }

    /** The stone after so many steps, seen from where the last of them is done. */
    private interface StepPicture {
        BufferedImage after(int steps);
    }

    private StepPicture pictures(int pixels, Care care) {
        Map<Side, StonePicture> pictures = new EnumMap<>(Side.class);
        for (PaintPlan face : faces()) {
            double reach = Math.max(face.survey().dome().outline().halfWidth(), face.survey().dome().outline().halfHeight());
            Grid grid = Grid.around(face.survey().dome().outline().halfWidth() + 1, face.survey().dome().outline().halfHeight() + 1,
                    reach * 2 / pixels);
            pictures.put(face.up().side(), StonePicture.of(face, StoneTerrain.of(face.survey(), grid), StoneState.DRY));
        }
        Optional<EdgePicture> edge = plan.edge().map(strip -> new EdgePicture(plan, pixels * 3 / 2, StoneState.DRY));
        return steps -> {
            Side side = plan.steps().get(Math.max(0, steps - 1)).side();
            return side == Side.EDGE ? Pictures.of(edge.orElseThrow(), steps)
                    : Pictures.of(pictures.getOrDefault(side, pictures.values().iterator().next()),
                            new StonePicture.Shown(steps, 0, plan.project().habits().light().from(), care));
        };
    }

    /** All steps small, twenty on a page. */
    private boolean contact(Progress progress) throws IOException {
        StepPicture pictures = pictures(SMALL_PIXELS, Care.QUICK);
        ContactCards cards = new ContactCards(document, plan, text, display);
        int steps = plan.steps().size();
        int most = ContactCards.ACROSS * ContactCards.DOWN;
        float wide = ((float) paper.widthMm() - 2 * MARGIN) / ContactCards.ACROSS;
        float high = ((float) paper.heightMm() - 2 * MARGIN - HEAD) / ContactCards.DOWN;
        BufferedImage before = null;
        Side faced = null;
        for (int first = 0; first < steps; first += most) {
            int last = Math.min(steps, first + most);
            try (PDPageContentStream out = new PDPageContentStream(document, page("Steps " + (first + 1) + " to " + last))) {
                heading(out, "Steps " + (first + 1) + " to " + last,
                        "hand time " + Durations.words(plan.handTime()) + ", ready after " + Durations.words(plan.readyAfter()));
                for (int i = first; i < last; i++) {
                    if (!progress.at((double) i / steps, "Step " + (i + 1) + " of " + steps)) {
                        return false;
                    }
                    BufferedImage after = pictures.after(i + 1);
                    Side side = plan.steps().get(i).side();
                    int place = i - first;
                    cards.draw(out, i, new ContactCards.Place(MARGIN + place % ContactCards.ACROSS * wide,
                            (float) paper.heightMm() - MARGIN - HEAD - place / ContactCards.ACROSS * high, wide, high),
                            side == faced ? before : null, after);
                    before = after;
                    faced = side;
                }
            }
        }
        progress.at(1, "Writing");
        return true;
    }

    private boolean cards(Progress progress) throws IOException {
        StepPicture pictures = pictures(CARD_PIXELS, Care.FULL);
        float room = (float) paper.heightMm() - 2 * MARGIN - HEAD;
        List<Card> all = new ArrayList<>();
        for (int i = 0; i < plan.steps().size(); i++) {
            all.add(card(i));
        }
        for (int first = 0; first < all.size();) {
            int from = first;
            try (PDPageContentStream out = new PDPageContentStream(document, page("Steps"))) {
                heading(out, "Steps",
                        "hand time " + Durations.words(plan.handTime()) + ", ready after " + Durations.words(plan.readyAfter()));
                float down = 0;
                for (boolean any = false; first < all.size() && (!any || down + all.get(first).height() <= room); any = true) {
                    if (!progress.at((double) first / all.size(), "Card " + (first + 1) + " of " + all.size())) {
                        return false;
                    }
                    draw(out, all.get(first), (float) paper.heightMm() - MARGIN - HEAD - down, pictures.after(first + 1));
                    down += all.get(first).height();
                    first++;
                }
            }
            titles.set(titles.size() - 1, first - from == 1 ? "Step " + first : "Steps " + (from + 1) + " to " + first);
        }
        progress.at(1, "Writing");
        return true;
    }

    /** Some words in a line of their own. */
    private record Line(String words, PDFont font, float size, float down, int rgb) {}

    /** The words of a step and the room that they take, mm. */
    private record Card(List<Line> lines, Optional<Srgb> swatch) {

        float height() {
            return Math.max(CARD, CARD_HEAD + (float) lines.stream().mapToDouble(Line::down).sum() - 1);
        }
    }

    private Card card(int number) throws IOException {
        Step step = plan.steps().get(number);
        float room = (float) paper.widthMm() - 2 * MARGIN - PICTURE - 6;
        Optional<Srgb> swatch = step.coat().map(c -> c.swatch());
        List<Line> lines = new ArrayList<>();
        for (String line : wrapped(number + 1 + "  " + StepWords.title(step), display, 13, room - (swatch.isPresent() ? SWATCH + 3 : 0))) {
            lines.add(new Line(line, display, 13, 5.5f, 0x22271F));
        }
        String puddles = StepWords.puddles(plan, number);
        for (String line : wrapped(StepWords.sentence(step) + (puddles.isEmpty() ? "" : " " + puddles), text, 10, room)) {
            lines.add(new Line(line, text, 10, 4.4f, 0x22271F));
        }
        List<String> facts = new ArrayList<>();
        if (!(step instanceof Step.Earlier)) {
            facts.add(StepWords.tool(step));
            facts.add("hand " + Durations.words(step.work().hand()));
        }
        if (!step.work().between().isZero()) {
            facts.add("dry " + Durations.words(step.work().between()) + " between coats");
        }
        if (!step.work().dries().isZero()) {
            facts.add("then dries " + Durations.words(step.work().dries()));
        }
        for (String line : facts.isEmpty() ? List.<String>of() : wrapped(String.join(" · ", facts), bold, 9.5f, room)) {
            lines.add(new Line(line, bold, 9.5f, 4.4f, 0x4E6A39));
        }
        for (String line : wrapped(StepWords.reason(step), text, 9, room)) {
            lines.add(new Line(line, text, 9, 4f, 0x5A6057));
        }
        return new Card(lines, swatch);
    }

    private void draw(PDPageContentStream out, Card card, float top, BufferedImage image) throws IOException {
        colour(out, 0xCFC6B2, true);
        out.setLineWidth(0.2f * PT);
        out.moveTo(MARGIN * PT, top * PT);
        out.lineTo((float) (paper.widthMm() - MARGIN) * PT, top * PT);
        out.stroke();
        float height = CARD - 5;
        float scale = Math.min(PICTURE / image.getWidth(), height / image.getHeight());
        float w = image.getWidth() * scale;
        float h = image.getHeight() * scale;
        PDImageXObject stone = LosslessFactory.createFromImage(document, image);
        out.drawImage(stone, (MARGIN + (PICTURE - w) / 2) * PT, (top - 2.5f - (height - h) / 2 - h) * PT, w * PT, h * PT);
        float y = top - CARD_HEAD;
        for (Line line : card.lines()) {
            write(out, line.font(), line.size(), MARGIN + PICTURE + 6, y, line.words(), line.rgb());
            y -= line.down();
        }
        if (card.swatch().isPresent()) {
            colour(out, card.swatch().get().rgb(), false);
            colour(out, 0x9A958A, true); // a rim, or white would vanish on white paper
            out.setLineWidth(0.2f * PT);
            out.addRect(((float) paper.widthMm() - MARGIN - SWATCH) * PT, (top - 8.5f) * PT, SWATCH * PT, 5 * PT);
            out.fillAndStroke();
        }
    }

    static void write(PDPageContentStream out, PDFont font, float size, float x, float y, String words, int rgb) throws IOException {
        colour(out, rgb, false);
        out.beginText();
        out.setFont(font, size);
        out.newLineAtOffset(x * PT, y * PT);
        out.showText(printable(words, font));
        out.endText();
    }

    /** Letters the font lacks become a question mark instead of an error. */
    static String printable(String words, PDFont font) {
        StringBuilder kept = new StringBuilder();
        words.codePoints().forEach(code -> {
            try {
                font.encode(Character.toString(code));
                kept.appendCodePoint(code);
            } catch (IOException | IllegalArgumentException e) {
                kept.append('?');
            }
        });
        return kept.toString();
    }

    static List<String> wrapped(String words, PDFont font, float size, float roomMm) throws IOException {
        List<String> lines = new ArrayList<>();
        StringBuilder line = new StringBuilder();
        for (String word : printable(words, font).split(" ")) {
            String longer = line.isEmpty() ? word : line + " " + word;
            if (font.getStringWidth(longer) / 1000 * size > roomMm * PT && !line.isEmpty()) {
                lines.add(line.toString());
                line = new StringBuilder(word);
            } else {
                line = new StringBuilder(longer);
            }
        }
        lines.add(line.toString());
        return lines;
    }

    static void colour(PDPageContentStream out, int rgb, boolean stroking) throws IOException {
        float r = (rgb >> 16 & 255) / 255f;
        float g = (rgb >> 8 & 255) / 255f;
        float b = (rgb & 255) / 255f;
        if (stroking) {
            out.setStrokingColor(r, g, b);
        } else {
            out.setNonStrokingColor(r, g, b);
        }
    }
}
