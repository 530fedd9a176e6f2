package mosspebble.files;

import java.awt.image.BufferedImage;
import java.awt.print.PrinterException;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.List;
import javax.print.DocFlavor;
import javax.print.DocPrintJob;
import javax.print.PrintException;
import javax.print.PrintService;
import javax.print.PrintServiceLookup;
import javax.print.SimpleDoc;
import javax.print.attribute.HashPrintRequestAttributeSet;
import javax.print.attribute.PrintRequestAttributeSet;
import javax.print.attribute.standard.JobName;
import javax.print.attribute.standard.MediaSizeName;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.apache.pdfbox.pdmodel.interactive.viewerpreferences.PDViewerPreferences;
import org.apache.pdfbox.printing.PDFPageable;
import org.apache.pdfbox.rendering.ImageType;
import org.apache.pdfbox.rendering.PDFRenderer;

/** Sheets as they are, page by page: to look at, to print unscaled, to write as PDF. Immutable; from any thread. */
public final class SheetBook {

    private static final DocFlavor PAGES = DocFlavor.SERVICE_FORMATTED.PAGEABLE;

    /** Pages no wider, in pixels, are seen as a whole and not read. */
    private static final int SMALL = 300;

    private final Paper paper;
    private final List<String> titles;
    private final byte[] pdf;

    SheetBook(Paper paper, List<String> titles, byte[] pdf) {
        this.paper = paper;
        this.titles = titles;
        this.pdf = pdf;
    }

    /** A document as it is now; printers and viewers are asked not to scale it. */
    static SheetBook of(Paper paper, List<String> titles, PDDocument document) throws IOException {
        document.getDocumentInformation().setCreator("Moss Pebble");
        PDViewerPreferences preferences = new PDViewerPreferences(document.getDocumentCatalog().getCOSObject());
        preferences.setPrintScaling(PDViewerPreferences.PRINT_SCALING.None);
        document.getDocumentCatalog().setViewerPreferences(preferences);
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        document.save(bytes);
        return new SheetBook(paper, List.copyOf(titles), bytes.toByteArray());
    }

    public Paper paper() {
        return paper;
    }

    /** What each page is. */
    public List<String> titles() {
        return titles;
    }

    /**
     * A page as it comes out of a printer.
     *
     * @param page from 0
     * @param wide pixels across, to 4,000
     * @return 0xAARRGGBB, rows first, {@code wide} to a row
     */
    public int[] picture(int page, int wide) throws FileTrouble {
        if (wide < 1 || wide > 4_000) {
            throw new IllegalArgumentException("A page is drawn 1 to 4,000 pixels wide, was " + wide + ".");
        }
        try (PDDocument document = Loader.loadPDF(pdf)) {
            PDRectangle size = document.getPage(page).getMediaBox();
            PDFRenderer renderer = new PDFRenderer(document);
            renderer.setSubsamplingAllowed(wide <= SMALL); // pictures far larger than they are seen are read in part
            BufferedImage image = renderer.renderImage(page, wide / size.getWidth(), ImageType.RGB);
            int high = high(wide);
            int[] pixels = new int[wide * high];
            Arrays.fill(pixels, 0xFFFFFFFF);
            image.getRGB(0, 0, Math.min(wide, image.getWidth()), Math.min(high, image.getHeight()), pixels, 0, wide);
            return pixels;
        } catch (IOException e) {
            throw new FileTrouble(titles.get(page), "The page could not be drawn: " + SafeWrite.reason(e) + ".", "Save it as PDF.", e);
        }
    }

    /** Pixels down a page that is so many across. */
    public int high(int wide) {
        return (int) Math.round(wide * paper.heightMm() / paper.widthMm());
    }

    /** Writes it as PDF. */
    public void save(Path file) throws FileTrouble {
        SafeWrite.write(file, out -> out.write(pdf));
    }

    /** Printers of this machine that take it, the usual one first. */
    public static List<PrintService> printers() {
        PrintService usual = PrintServiceLookup.lookupDefaultPrintService();
        return Arrays.stream(PrintServiceLookup.lookupPrintServices(PAGES, null))
                .sorted((a, b) -> a.equals(usual) ? -1 : b.equals(usual) ? 1
                        : a.getName().compareTo(b.getName()))
                .toList();
    }

    /** Prints all pages, one millimetre as one millimetre. */
    public void print(PrintService to, String name) throws FileTrouble {
        try (PDDocument document = Loader.loadPDF(pdf)) {
            PrintRequestAttributeSet wishes = new HashPrintRequestAttributeSet();
            wishes.add(new JobName(name, null));
            wishes.add(paper == Paper.A4 ? MediaSizeName.ISO_A4 : MediaSizeName.NA_LETTER);
            DocPrintJob job = to.createPrintJob();
            job.print(new SimpleDoc(new PDFPageable(document), PAGES, null), wishes);
        } catch (IOException | PrintException e) {
            Throwable cause = e.getCause() instanceof PrinterException ? e.getCause() : e;
            throw new FileTrouble(to.getName(), "It could not be printed: " + cause.getMessage() + ".",
                    "See whether the printer is on and has paper, or save the PDF and print it elsewhere.", e);
        }
    }
}
