package mosspebble.files;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.DataOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.SplittableRandom;
import javax.imageio.ImageIO;
import mosspebble.core.photo.Photo;
import mosspebble.core.stone.Stone;
import mosspebble.core.stone.StoneOutline;
import org.assertj.core.data.Percentage;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Outlines from files, and photos of all kinds. */
class OutlineAndPhotoTest {

    @TempDir
    private Path folder;

    private static StoneOutline.Traced outline(String text, String name) throws FileTrouble {
        return OutlineReader.read(new ByteArrayInputStream(text.getBytes(StandardCharsets.UTF_8)), name);
    }

    private static double area(StoneOutline.Traced traced) {
        return Surveys.of(Stone.cobble().withOutline(traced.shape())).zones().outline().getArea();
    }

    @Test
    @Tag("outside") // area of an ellipse, pi a b
    void svgOutlinesAreTakenAtTheirSizeInMm() throws FileTrouble {
        String ellipse = "<svg xmlns='http://www.w3.org/2000/svg' width='%s' viewBox='0 0 200 200'><g transform='translate(10 "
                + "20)'><ellipse cx='80' cy='70' rx='60' ry='40'/></g><circle cx='1' cy='1' r='5'/></svg>";

        assertThat(area(outline(String.format(ellipse, "200mm"), "a.svg"))).isCloseTo(Math.PI * 60 * 40, Percentage.withPercentage(0.3));
        assertThat(area(outline(String.format(ellipse, "10cm"), "a.svg"))).isCloseTo(Math.PI * 30 * 20, Percentage.withPercentage(0.3));
        assertThat(area(outline(String.format(ellipse, "4in"), "a.svg"))).isCloseTo(Math.PI * 60 * 40 * Math.pow(101.6 / 200, 2),
                Percentage.withPercentage(0.3));
    }

    @Test
    void csvOutlinesAreReadWithCommasSemicolonsAndHeads() throws FileTrouble {
        assertThat(area(outline("x,y\n0,0\n80,0\n80,50\n0,50\n0,0\n", "p.csv"))).isCloseTo(4000, Percentage.withPercentage(1));
        assertThat(area(outline("0;0\n80,5;0\n80,5;50\n0;50\n", "p.csv"))).isCloseTo(80.5 * 50, Percentage.withPercentage(1));
        assertThat(area(outline("# found by the mill\n0\t0\n40\t0\n40\t40\n0\t40\n", "p.txt"))).isCloseTo(1600,
                Percentage.withPercentage(1));
    }

    @Test
    void outlinesThatCannotBeAreAnsweredWithPlaceAndRemedy() {
        assertThatThrownBy(() -> outline("0,0\n80,zero\n80,50\n", "p.csv")).hasMessageContaining("line 2")
                .hasMessageContaining("\"zero\" is not a length");
        assertThatThrownBy(() -> outline("0,0\n80,50\n80,0\n0,50\n", "p.csv")).hasMessageContaining("crosses itself");
        assertThatThrownBy(() -> outline("0,0\n8000,0\n8000,5000\n", "p.csv")).hasMessageContaining("8 to 600 mm");
        assertThatThrownBy(() -> outline("0,0\n", "p.csv")).hasMessageContaining("1 points");
        assertThatThrownBy(() -> outline("0\n1\n", "p.csv")).hasMessageContaining("1 cell");
        assertThatThrownBy(() -> outline("<svg xmlns='http://www.w3.org/2000/svg'/>", "p.svg")).hasMessageContaining("no closed shape");
        assertThatThrownBy(() -> outline("<!DOCTYPE svg [<!ENTITY a 'b'>]><svg/>", "p.svg")).isInstanceOf(FileTrouble.class);
        assertThatThrownBy(() -> outline("<svg xmlns='http://www.w3.org/2000/svg'><script>x</script></svg>", "p.svg"))
                .hasMessageContaining("refused");
        assertThatThrownBy(() -> outline("x", "p.doc")).hasMessageContaining(".svg or .csv");
    }

    private static BufferedImage picture(int width, int height) {
        BufferedImage image = new BufferedImage(width, height, BufferedImage.TYPE_INT_RGB);
        Graphics2D pen = image.createGraphics();
        pen.setColor(new Color(0x3f6fa8));
        pen.fillRect(0, 0, width, height);
        pen.setColor(Color.RED);
        pen.fillRect(0, 0, width / 4, height / 4);
        pen.dispose();
        return image;
    }

    private static byte[] written(BufferedImage image, String format) throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        ImageIO.write(image, format, out);
        return out.toByteArray();
    }

    /** A JPEG with an EXIF note of orientation and 35 mm focal length put after its first marker. */
    private static byte[] noted(byte[] jpeg, int orientation, int focal) throws IOException {
        ByteArrayOutputStream tiff = new ByteArrayOutputStream();
        DataOutputStream t = new DataOutputStream(tiff);
        t.writeBytes("MM");
        t.writeShort(42);
        t.writeInt(8);
        t.writeShort(2);
        entry(t, 0x0112, 3, orientation << 16);
        entry(t, 0x8769, 4, 8 + 2 + 24 + 4);
        t.writeInt(0);
        t.writeShort(1);
        entry(t, 0xA405, 3, focal << 16);
        t.writeInt(0);
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        DataOutputStream d = new DataOutputStream(out);
        d.write(jpeg, 0, 2);
        d.writeShort(0xFFE1);
        d.writeShort(2 + 6 + tiff.size());
        d.writeBytes("Exif\0\0");
        d.write(tiff.toByteArray());
        d.write(jpeg, 2, jpeg.length - 2);
        return out.toByteArray();
    }

    private static void entry(DataOutputStream t, int tag, int type, int value) throws IOException {
        t.writeShort(tag);
        t.writeShort(type);
        t.writeInt(1);
        t.writeInt(value);
    }

    private static boolean red(Photo photo, double x, double y) {
        int pixel = photo.at((int) (x * photo.width()), (int) (y * photo.height()));
        return (pixel >> 16 & 255) > 200 && (pixel & 255) < 60;
    }

    @Test
    @Tag("outside") // EXIF 2.3, tag 0x0112: 1 upright, 3 turned by 180, 6 shown turned clockwise, 8 counterclockwise, the others
    // mirrored too (from memory)
    void photosAreTurnedUprightByTheirNoteAndTellTheirFocalLength() throws Exception {
        byte[] jpeg = written(picture(400, 300), "jpg");
        double[][] corners = {{1, 0.1, 0.1}, {3, 0.9, 0.9}, {6, 0.9, 0.1}, {8, 0.1, 0.9}, {2, 0.9, 0.1}, {4, 0.1, 0.9},
            {5, 0.1, 0.1}, {7, 0.9, 0.9}};
        for (double[] c : corners) {
            Photo photo = PhotoFile.read(noted(jpeg, (int) c[0], 26), "p.jpg");
            boolean swapped = c[0] >= 5;
            assertThat(photo.width()).isEqualTo(swapped ? 300 : 400);
            assertThat(red(photo, c[1], c[2])).as("orientation %s", c[0]).isTrue();
            assertThat(red(photo, 1 - c[1], 1 - c[2])).isFalse();
            assertThat(photo.focalPx().orElse(0)).isCloseTo(26.0 / 36 * 400, within(1e-9));
        }
        assertThat(PhotoFile.read(written(picture(80, 64), "png"), "p.png").focalPx()).isEmpty();
    }

    /** However a file holds its colours: three bytes, one of grey, or with what can be seen through. */
    @Test
    void everyPixelIsWhatTheReaderOfTheLibraryTells() throws Exception {
        SplittableRandom random = new SplittableRandom(5);
        for (int type : new int[] {BufferedImage.TYPE_INT_RGB, BufferedImage.TYPE_BYTE_GRAY, BufferedImage.TYPE_INT_ARGB}) {
            for (String format : type == BufferedImage.TYPE_INT_ARGB ? List.of("png") : List.of("jpg", "png")) {
                BufferedImage image = new BufferedImage(90, 70, type);
                for (int i = 0; i < 90 * 70; i++) {
                    image.setRGB(i % 90, i / 90, random.nextInt());
                }
                byte[] file = written(image, format);
                BufferedImage told = ImageIO.read(new ByteArrayInputStream(file));
                Photo photo = PhotoFile.read(file, "p." + format);
                for (int i = 0; i < 90 * 70; i++) {
                    assertThat(photo.at(i % 90, i / 90)).as("%s of kind %s, pixel %s", format, type, i)
                            .isEqualTo(told.getRGB(i % 90, i / 90) & 0xFFFFFF);
                }
            }
        }
    }

    @Test
    void hugePhotosAreReadAtEverySoManyPixels() throws Exception {
        BufferedImage large = new BufferedImage(10_000, 10_000, BufferedImage.TYPE_BYTE_GRAY);
        Photo photo = PhotoFile.read(written(large, "jpg"), "p.jpg");

        assertThat((long) photo.width() * photo.height()).isLessThanOrEqualTo(Photo.MOST_PIXELS);
        assertThat(photo.width()).isEqualTo(5000);
    }

    @Test
    void aGlanceIsTheSamePhotoWithFewOfItsPixels() throws Exception {
        byte[] jpeg = noted(written(picture(4_000, 3_000), "jpg"), 6, 26);
        Path file = Files.write(folder.resolve("p.jpg"), jpeg);
        Photo glance = PhotoFile.glance(file, 800);
        assertThat(glance.width()).as("turned upright").isEqualTo(600);
        assertThat(glance.height()).isEqualTo(800);
        assertThat(red(glance, 0.9, 0.1)).isTrue();
        assertThat(red(glance, 0.1, 0.9)).isFalse();
        assertThat(PhotoFile.glance(Files.write(folder.resolve("small.png"), written(picture(400, 300), "png")), 800).width())
                .as("no more than there are").isEqualTo(400);
        assertThatThrownBy(() -> PhotoFile.glance(Files.writeString(folder.resolve("list.jpg"), "bread"), 800))
                .hasMessageContaining("neither PNG nor JPEG");
    }

    @Test
    void damagedAndForeignPhotosAreRefusedClearly() throws Exception {
        byte[] jpeg = written(picture(400, 300), "jpg");
        assertThatThrownBy(() -> PhotoFile.read("a shopping list".getBytes(StandardCharsets.UTF_8), "p.jpg"))
                .hasMessageContaining("neither PNG nor JPEG");
        assertThatThrownBy(() -> PhotoFile.read(written(picture(400, 300), "gif"), "p.gif")).hasMessageContaining("neither PNG nor JPEG");
        assertThatThrownBy(() -> PhotoFile.read(written(picture(40, 30), "png"), "p.png")).hasMessageContaining("40 x 30 pixels");
        assertThatThrownBy(() -> PhotoFile.read(new byte[0], "p.png")).isInstanceOf(FileTrouble.class);
        byte[] print = jpeg.clone();
        for (int i = 0; i + 9 < print.length; i++) { // say that the frame holds four components
            if ((print[i] & 255) == 0xFF && (print[i + 1] & 255) == 0xC0) {
                print[i + 9] = 4;
                break;
            }
        }
        assertThatThrownBy(() -> PhotoFile.read(print, "p.jpg")).isInstanceOf(FileTrouble.class);
        SplittableRandom random = new SplittableRandom(3);
        byte[] png = written(picture(120, 90), "png");
        for (int i = 0; i < 1500; i++) {
            byte[] broken = (i % 2 == 0 ? jpeg : png).clone();
            for (int k = random.nextInt(1, 12); k > 0; k--) {
                broken[random.nextInt(broken.length)] = (byte) random.nextInt(256);
            }
            try {
                PhotoFile.read(i % 5 == 0 ? java.util.Arrays.copyOf(broken, random.nextInt(broken.length)) : broken, "p");
            } catch (FileTrouble e) {
                assertThat(e.getMessage()).startsWith("p: ");
            }
        }
    }

    @Test
    void mutatedOutlinesGiveOnlyClearErrors() throws Exception {
        String svg = "<svg xmlns='http://www.w3.org/2000/svg' width='200mm' viewBox='0 0 200 200'><path transform='rotate(10)' d='M50 5 "
                + "L85 45 C80 90 60 92 50 80 L15 45 Z'/></svg>";
        String csv = "x,y\n0,0\n80.5,0\n80,50\n0,50\n";
        SplittableRandom random = new SplittableRandom(4);
        int read = 0;
        for (int i = 0; i < 20_000; i++) {
            StringBuilder text = new StringBuilder(i % 2 == 0 ? svg : csv);
            for (int k = random.nextInt(1, 6); k > 0; k--) {
                text.setCharAt(random.nextInt(text.length()), (char) random.nextInt(9, 127));
            }
            try {
                outline(text.toString(), i % 2 == 0 ? "m.svg" : "m.csv");
                read++;
            } catch (FileTrouble e) {
                assertThat(e.getMessage()).startsWith("m.");
            }
        }
        assertThat(read).isGreaterThan(1000);
    }

    @Test
    void aCutOutIsASmallPng() throws Exception {
        Photo photo = PhotoFile.read(written(picture(400, 300), "png"), "p.png");
        BufferedImage small = ImageIO.read(new ByteArrayInputStream(PhotoFile.cutOut(photo, 0, 0, 100, 75, 60)));

        assertThat(small.getWidth()).isBetween(40, 60);
        assertThat(new Color(small.getRGB(5, 5))).isEqualTo(Color.RED);
    }
}
