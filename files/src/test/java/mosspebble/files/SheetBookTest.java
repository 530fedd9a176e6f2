package mosspebble.files;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.io.ByteArrayOutputStream;
import java.lang.reflect.Proxy;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import javax.print.DocFlavor;
import javax.print.DocPrintJob;
import javax.print.PrintException;
import javax.print.PrintService;
import javax.print.StreamPrintServiceFactory;
import mosspebble.core.plan.PaintPlan;
import mosspebble.core.project.Studio;
import mosspebble.core.units.LengthUnit;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.junit.jupiter.api.Tag;
import java.awt.image.BufferedImage;
import mosspebble.core.words.StepWords;
import org.apache.pdfbox.text.PDFTextStripper;
import mosspebble.core.plan.Step;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class SheetBookTest {

    private static final Studio STUDIO = LanternWalk.studio(BuiltIn.repertoire());
    private static final PaintPlan OWL = WalkPlans.of("owl");
    private static final Sheets.Layout SMALL = new Sheets.Layout(Sheets.Cards.CONTACT, false, false);

    @TempDir
    private Path folder;

    private static final Map<Paper, SheetBook> BOUND = new EnumMap<>(Paper.class);

    /** The owl's sheets, bound once for all tests: nobody changes them. */
    private static SheetBook book(Paper paper) throws FileTrouble {
        SheetBook known = BOUND.get(paper);
        if (known == null) {
            known = Sheets.book(OWL, paper, LengthUnit.MM, (f, what) -> true).orElseThrow();
            BOUND.put(paper, known);
        }
        return known;
    }

    @Test
    void everyPageSaysWhatItIsAndItsStepsFollowOnEachOther() throws Exception {
        SheetBook book = book(Paper.A4);
        Path file = folder.resolve("book.pdf");
        book.save(file);
        try (PDDocument document = Loader.loadPDF(file.toFile())) {
            assertThat(book.titles()).hasSize(document.getNumberOfPages());
        }
        assertThat(book.titles()).startsWith("Guide at true size", "Guide unrolled for the dome, face and shoulder");
        List<String> steps = book.titles().stream().filter(t -> t.startsWith("Step")).toList();
        int next = 1;
        for (String title : steps) {
            String[] words = title.split(" ");
            assertThat(Integer.parseInt(words[1])).isEqualTo(next);
            next = Integer.parseInt(words[words.length - 1]) + 1;
        }
        assertThat(next - 1).isEqualTo(OWL.steps().size());
        assertThat(Sheets.book(OWL, Paper.A4, LengthUnit.MM, (f, what) -> f < 0.2)).as("stopped on the way").isEmpty();
    }

    @Test
    void aPageLooksAsItIsPrintedAHundredMillimetresAHundredMillimetresLong() throws Exception {
        for (Paper paper : Paper.values()) {
            SheetBook book = book(paper);
            int wide = (int) Math.round(10 * paper.widthMm());
            int[] pixels = book.picture(0, wide);
            assertThat(pixels).hasSize(wide * book.high(wide));
            List<Double> bars = new ArrayList<>();
            int run = 0;
            for (int i = 0; i < pixels.length; i++) {
                boolean dark = (pixels[i] & 0xFF) < 128 && i % wide > 0;
                if (!dark && run > 600) {
                    bars.add(run / 10.0);
                }
                run = dark ? run + 1 : 0;
            }
            assertThat(bars).as("100 mm on %s", paper).anySatisfy(mm -> assertThat(mm).isCloseTo(100, within(0.5)));
            assertThat(bars).as("4 inches of 25.4 mm").anySatisfy(mm -> assertThat(mm).isCloseTo(101.6, within(0.5)));
            assertThat(bars).as("and no other").allSatisfy(mm -> assertThat(mm).isBetween(99.4, 102.2));
        }
        assertThatThrownBy(() -> book(Paper.A4).picture(0, 5_000)).isInstanceOf(IllegalArgumentException.class);
    }

    /** Of small pages their pictures are read in part only: all the same they are the large ones seen from afar. */
    @Test
    void aSmallPageLooksAsTheLargeOneFromAfar() throws Exception {
        SheetBook book = book(Paper.A4);
        int cards = book.titles().indexOf(book.titles().stream().filter(t -> t.startsWith("Step")).findFirst().orElseThrow());
        int wide = 74;
        int[] small = book.picture(cards, wide);
        int[] large = book.picture(cards, 10 * wide);
        double off = 0;
        double inked = 0;
        for (int i = 0; i < small.length; i++) {
            double mean = 0;
            for (int k = 0; k < 100; k++) {
                int row = Math.min(book.high(10 * wide) - 1, 10 * (i / wide) + k / 10);
                mean += (large[row * 10 * wide + 10 * (i % wide) + k % 10] >> 8 & 0xFF) / 100.0;
            }
            off += Math.abs((small[i] >> 8 & 0xFF) - mean) / small.length;
            inked += (255 - mean) / small.length;
        }
        assertThat(inked).as("there is something on it").isGreaterThan(8);
        assertThat(off).as("mean difference of green, of 255").isLessThan(0.25 * inked);
    }

    @Test
    @Tag("outside") // the printer of the JDK that writes PostScript: its page is as large as the paper (ISO 216: A4 is 210 x 297 mm)
    void itIsPrintedWholeOnItsPaperUnscaled() throws Exception {
        SheetBook book = book(Paper.A4);
        ByteArrayOutputStream printed = new ByteArrayOutputStream();
        PrintService service = StreamPrintServiceFactory.lookupStreamPrintServiceFactories(DocFlavor.SERVICE_FORMATTED.PAGEABLE,
                "application/postscript")[0].getPrintService(printed);
        book.print(service, "Owl");
        String text = printed.toString(StandardCharsets.ISO_8859_1);
        assertThat(text).startsWith("%!PS-Adobe");
        assertThat(text.lines().filter(l -> l.endsWith("showpage")).count()).isEqualTo(book.titles().size());
        Optional<String> size = text.lines().filter(l -> l.contains("/PageSize [")).findFirst();
        assertThat(size).hasValueSatisfying(l -> {
            String[] points = l.replaceAll(".*/PageSize \\[([0-9. ]+)].*", "$1").strip().split(" +");
            assertThat(Double.parseDouble(points[0]) / 72 * 25.4).isCloseTo(210, within(0.5));
            assertThat(Double.parseDouble(points[1]) / 72 * 25.4).isCloseTo(297, within(0.5));
        });
    }

    @Test
    void aPrinterThatFailsIsNamedWithAWayOut() throws Exception {
        SheetBook book = book(Paper.A4);
        DocPrintJob job = (DocPrintJob) Proxy.newProxyInstance(getClass().getClassLoader(), new Class<?>[] {DocPrintJob.class},
                (proxy, method, args) -> {
                    throw new PrintException("no paper");
                });
        PrintService broken = (PrintService) Proxy.newProxyInstance(getClass().getClassLoader(), new Class<?>[] {PrintService.class},
                (proxy, method, args) -> method.getName().equals("createPrintJob") ? job : "Printer in the hall");
        assertThatThrownBy(() -> book.print(broken, "Owl")).isInstanceOf(FileTrouble.class).hasMessageContaining("Printer in the hall")
                .hasMessageContaining("no paper").hasMessageContaining("save the PDF");
        Path nowhere = folder.resolve("file");
        Files.writeString(nowhere, "in the way");
        assertThatThrownBy(() -> book.save(nowhere.resolve("book.pdf"))).isInstanceOf(FileTrouble.class);
    }

    @Test
    void aMirroredGuideIsTheGuideWithLeftAndRightExchanged() throws Exception {
        SheetBook book = Sheets.book(OWL, Paper.A4, LengthUnit.MM, new Sheets.Layout(Sheets.Cards.NONE, true, false), (f, what) -> true)
                .orElseThrow();
        assertThat(book.titles().subList(0, 2)).containsExactly("Guide at true size", "Guide mirrored, to rub off or trace from behind");
        int wide = 840; // 4 pixels a mm; the middle of the page is the middle of the stone
        int[] guide = book.picture(0, wide);
        int[] mirrored = book.picture(1, wide);
        int dark = 0;
        int alike = 0;
        int plain = 0;
        for (int y = 300; y < 880; y++) { // the stone, without heading and bar
            for (int x = 0; x < wide; x++) {
                if ((guide[y * wide + x] & 255) < 128) {
                    dark++;
                    alike += near(mirrored, wide, wide - 1 - x, y) ? 1 : 0;
                    plain += near(mirrored, wide, x, y) ? 1 : 0;
                }
            }
        }
        assertThat(dark).isGreaterThan(1_000);
        assertThat(alike).as("dark where the guide's mirror is").isGreaterThan((int) (0.97 * dark));
        assertThat(plain).as("the owl holds its lamp on one side").isLessThan((int) (0.9 * dark));
        assertThat(book(Paper.A4).titles()).noneMatch(t -> t.contains("mirrored"));
    }

    @Test
    void aTemplateStandsAfterTheGuidesWithItsBridgesToldAndNoneWhereTheDesignIsTheStone() throws Exception {
        Sheets.Layout with = new Sheets.Layout(Sheets.Cards.NONE, false, true);
        SheetBook book = Sheets.book(WalkPlans.of("lettering"), Paper.A4, LengthUnit.MM, with, (f, what) -> true).orElseThrow();
        assertThat(book.titles()).contains("Template to cut out");
        Path file = folder.resolve("template.pdf");
        book.save(file);
        try (PDDocument document = Loader.loadPDF(file.toFile())) {
            PDFTextStripper words = new PDFTextStripper();
            words.setStartPage(book.titles().indexOf("Template to cut out") + 1);
            words.setEndPage(words.getStartPage());
            assertThat(words.getText(document)).contains("cut in the order of the numbers, the edge last", "hold what would fall out",
                    "100 mm");
        }
        assertThat(Sheets.book(WalkPlans.of("harbour"), Paper.A4, LengthUnit.MM, with, (f, what) -> true).orElseThrow().titles())
                .as("a scene that wears the stone leaves no sheet").noneMatch(t -> t.contains("Template"));
    }

    private static boolean near(int[] page, int wide, int x, int y) {
        for (int dy = -1; dy <= 1; dy++) {
            for (int dx = -1; dx <= 1; dx++) {
                if ((page[(y + dy) * wide + Math.max(0, Math.min(wide - 1, x + dx))] & 255) < 160) {
                    return true;
                }
            }
        }
        return false;
    }

    @Test
    void aWholePlanStandsOnTwoPagesWithEveryStepAndItsMix() throws Exception {
        SheetBook small = Sheets.book(OWL, Paper.A4, LengthUnit.MM, SMALL, (f, what) -> true).orElseThrow();
        assertThat(OWL.steps()).hasSizeBetween(30, 40);
        assertThat(small.titles()).filteredOn(t -> t.startsWith("Steps")).containsExactly("Steps 1 to 20",
                "Steps 21 to " + OWL.steps().size());
        Path file = folder.resolve("small.pdf");
        small.save(file);
        try (PDDocument document = Loader.loadPDF(file.toFile())) {
            String words = new PDFTextStripper().getText(document).replaceAll("\\s+", " ");
            for (int i = 0; i < OWL.steps().size(); i++) {
                String title = StepWords.title(OWL.steps().get(i));
                assertThat(words).contains(i + 1 + " " + title.substring(0, Math.min(12, title.length())));
            }
            assertThat(words).contains("2 rust brown : 1 sand", "3 marigold : 1 rust brown");
        }
        assertThat(Sheets.book(OWL, Paper.LETTER, LengthUnit.MM, SMALL, (f, what) -> f < 0.2)).as("stopped").isEmpty();
    }

    @Test
    void onlyWhatAStepChangesIsFull() {
        BufferedImage before = new BufferedImage(4, 2, BufferedImage.TYPE_INT_ARGB);
        BufferedImage after = new BufferedImage(4, 2, BufferedImage.TYPE_INT_ARGB);
        for (int x = 0; x < 4; x++) {
            for (int y = 0; y < 2; y++) {
                before.setRGB(x, y, 0xFF404040);
                after.setRGB(x, y, x == 2 ? 0xFFA02020 : 0xFF404040);
            }
        }
        BufferedImage lit = ContactCards.lit(before, after);
        assertThat(lit.getRGB(2, 1)).isEqualTo(0xFFA02020);
        assertThat(lit.getRGB(0, 0)).isEqualTo(0xFFB6B6B6); // 64 + 0.62 x (255 - 64) = 182
        assertThat(ContactCards.lit(before, before)).as("nothing changes: washing").isSameAs(before);
    }

    @Test
    void bothFacesAndTheEdgeStandAmongTheSmallSteps() throws Exception {
        PaintPlan plan = WalkPlans.of("window");
        SheetBook small = Sheets.book(plan, Paper.LETTER, LengthUnit.INCH, SMALL, (f, what) -> true).orElseThrow();
        int steps = plan.steps().size();
        assertThat(small.titles().stream().filter(t -> t.startsWith("Steps"))).hasSize((steps + 19) / 20);
        assertThat(plan.steps().stream().map(Step::side).distinct()).hasSize(3);
        int last = small.titles().size() - 1;
        int wide = 400;
        int[] page = small.picture(last, wide);
        int cells = steps - 20 * ((steps - 1) / 20);
        int high = small.high(wide);
        // the place of the last step is not white paper, the one after it is
        assertThat(inked(page, wide, high, cells - 1)).isGreaterThan(40);
        if (cells < 20) {
            assertThat(inked(page, wide, high, cells)).isZero();
        }
    }

    /** Pixels of the picture of a small step that are darker than paper. */
    private static int inked(int[] page, int wide, int high, int cell) {
        double mm = wide / Paper.LETTER.widthMm();
        double cellWide = (Paper.LETTER.widthMm() - 24) / ContactCards.ACROSS;
        double cellHigh = (Paper.LETTER.heightMm() - 24 - 24) / ContactCards.DOWN;
        int inked = 0;
        for (int y = 0; y < 25 * mm; y++) {
            for (int x = 0; x < (cellWide - 4) * mm; x++) {
                int px = (int) ((12 + cell % ContactCards.ACROSS * cellWide) * mm) + x;
                int py = (int) ((12 + 24 + cell / ContactCards.ACROSS * cellHigh) * mm) + y;
                inked += (page[Math.min(high - 1, py) * wide + px] & 255) < 225 ? 1 : 0;
            }
        }
        return inked;
    }
}
