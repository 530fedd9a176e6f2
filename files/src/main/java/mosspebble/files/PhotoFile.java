package mosspebble.files;

import com.drew.imaging.ImageMetadataReader;
import com.drew.imaging.ImageProcessingException;
import com.drew.metadata.Metadata;
import com.drew.metadata.MetadataException;
import com.drew.metadata.exif.ExifIFD0Directory;
import com.drew.metadata.exif.ExifSubIFDDirectory;
import java.awt.Rectangle;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.file.Path;
import java.util.Iterator;
import java.util.OptionalDouble;
import java.util.function.IntBinaryOperator;
import javax.imageio.IIOException;
import javax.imageio.ImageIO;
import javax.imageio.ImageReadParam;
import javax.imageio.ImageReader;
import javax.imageio.stream.ImageInputStream;
import javax.imageio.stream.MemoryCacheImageInputStream;
import mosspebble.core.photo.Photo;
import mosspebble.core.photo.PhotoReader;

/**
 * Reads PNG and JPEG photos in bounded memory: turned upright by their EXIF note, every second or third pixel where they are very large.
 */
public final class PhotoFile {

    private static final long MOST_BYTES = 160_000_000;
    private static final long MOST_PIXELS = 400_000_000;

    private PhotoFile() {}

    public static Photo read(Path file) throws FileTrouble {
        return InFile.read(file, MOST_BYTES, "Save it as JPEG.", PhotoFile::read);
    }

    /**
     * A photo with few of its pixels, to be seen while it is read.
     *
     * @param mostSide about as many pixels along the longer side as there are wanted, 64 or more
     */
    public static Photo glance(Path file, int mostSide) throws FileTrouble {
        return InFile.read(file, MOST_BYTES, "Save it as JPEG.",
                (bytes, place) -> read(bytes, place, (width, height) -> Math.max(1, Math.max(width, height) / mostSide)));
    }

    static Photo read(byte[] bytes, String place) throws FileTrouble {
        return read(bytes, place, (width, height) -> (int) Math.ceil(Math.sqrt((double) width * height / Photo.MOST_PIXELS)));
    }

    /** @param spread of width and height, every how many pixels one is read */
    private static Photo read(byte[] bytes, String place, IntBinaryOperator spread) throws FileTrouble {
        ImageReader reader = null;
        try (ImageInputStream in = new MemoryCacheImageInputStream(new ByteArrayInputStream(bytes))) {
            Iterator<ImageReader> readers = ImageIO.getImageReaders(in);
            reader = readers.hasNext() ? readers.next() : null;
            String format = reader == null ? "" : reader.getFormatName().toLowerCase(java.util.Locale.ROOT);
            if (!format.equals("png") && !format.equals("jpeg")) {
                throw new FileTrouble(place, "This is neither PNG nor JPEG.", "Save the photo as one of them.");
            }
            reader.setInput(in, true, true);
            int width = reader.getWidth(0);
            int height = reader.getHeight(0);
            if ((long) width * height > MOST_PIXELS || width < 64 || height < 64) {
                throw new FileTrouble(place, "The photo has " + width + " x " + height + " pixels.",
                        "Use one of 64 x 64 to 400 million pixels.");
            }
            int every = spread.applyAsInt(width, height);
            ImageReadParam param = reader.getDefaultReadParam();
            param.setSourceSubsampling(every, every, 0, 0);
            BufferedImage image = reader.read(0, param);
            if (image == null) {
                throw new FileTrouble(place, "The photo is damaged.", "Copy it from the camera again.");
            }
            return upright(image, bytes, format);
        } catch (IIOException e) {
            boolean print = e.getMessage() != null && e.getMessage().contains("Unsupported Image Type");
            throw print ? new FileTrouble(place, "The JPEG holds four colours for printing (CMYK).", "Save it again as RGB.", e)
                    : new FileTrouble(place, "The photo is damaged or cut off.", "Copy it from the camera again.", e);
        } catch (IOException | RuntimeException e) { // the toolkit's decoders answer damaged files with all kinds of exceptions
            throw new FileTrouble(place, "The photo is damaged.", "Copy it from the camera again.", e);
        } finally {
            if (reader != null) {
                reader.dispose();
            }
        }
    }

    /** A line of pixels as 0xRRGGBB; what cameras write is taken byte by byte, since asking for each pixel takes longer than reading it. */
    private static void line(BufferedImage image, int y, int[] row) {
        if (image.getType() != BufferedImage.TYPE_3BYTE_BGR) {
            image.getRGB(0, y, row.length, 1, row, 0, row.length);
            for (int x = 0; x < row.length; x++) {
                row[x] &= 0xFFFFFF;
            }
            return;
        }
        byte[] parts = (byte[]) image.getRaster().getDataElements(0, y, row.length, 1, null);
        for (int x = 0; x < row.length; x++) {
            row[x] = (parts[3 * x] & 0xFF) << 16 | (parts[3 * x + 1] & 0xFF) << 8 | parts[3 * x + 2] & 0xFF;
        }
    }

    /** Where a pixel of a photo of so many belongs in the upright one, of which the longer side may be the other. */
    private static int place(int orientation, int w, int h, int x, int y) {
        int tx = switch (orientation) {
            case 2, 3 -> w - 1 - x;
            case 5, 8 -> y;
            case 6, 7 -> h - 1 - y;
            default -> x;
        };
        int ty = switch (orientation) {
            case 3, 4 -> h - 1 - y;
            case 5, 6 -> x;
            case 7, 8 -> w - 1 - x;
            default -> y;
        };
        return ty * (orientation >= 5 && orientation <= 8 ? h : w) + tx;
    }

    private static Photo upright(BufferedImage image, byte[] bytes, String format) {
        int orientation = 1;
        double equivalentMm = 0;
        if (format.equals("jpeg")) {
            try {
                Metadata metadata = ImageMetadataReader.readMetadata(new ByteArrayInputStream(bytes));
                ExifIFD0Directory first = metadata.getFirstDirectoryOfType(ExifIFD0Directory.class);
                if (first != null && first.containsTag(ExifIFD0Directory.TAG_ORIENTATION)) {
                    orientation = first.getInt(ExifIFD0Directory.TAG_ORIENTATION);
                }
                ExifSubIFDDirectory second = metadata.getFirstDirectoryOfType(ExifSubIFDDirectory.class);
                if (second != null && second.containsTag(ExifSubIFDDirectory.TAG_35MM_FILM_EQUIV_FOCAL_LENGTH)) {
                    equivalentMm = second.getInt(ExifSubIFDDirectory.TAG_35MM_FILM_EQUIV_FOCAL_LENGTH);
                }
            } catch (ImageProcessingException | IOException | MetadataException e) {
                orientation = 1; // a damaged note is no note
            }
        }
        int w = image.getWidth();
        int h = image.getHeight();
        boolean swapped = orientation >= 5 && orientation <= 8;
        int width = swapped ? h : w;
        int height = swapped ? w : h;
        int[] rgb = new int[width * height];
        int[] row = new int[w];
        for (int y = 0; y < h; y++) {
            line(image, y, row);
            int first = place(orientation, w, h, 0, y);
            int step = place(orientation, w, h, 1, y) - first;
            for (int x = 0; x < w; x++) {
                rgb[first + x * step] = row[x];
            }
        }
        boolean usable = equivalentMm >= 8 && equivalentMm <= 400;
        return new Photo(width, height, rgb, usable ? PhotoReader.focalPx(equivalentMm, width, height) : OptionalDouble.empty());
    }

    /**
     * A small PNG cut out of a photo, to keep with a stone.
     *
     * @param mostSide longer side of the picture, pixels
     */
    public static byte[] cutOut(Photo photo, double left, double top, double right, double bottom, int mostSide) {
        return small(photo, left, top, right, bottom, mostSide, "png");
    }

    /** The whole of a photo, shrunk, as a JPEG. @param mostSide longer side, pixels */
    static byte[] shrunk(Photo photo, int mostSide) {
        return small(photo, 0, 0, photo.width(), photo.height(), mostSide, "jpg");
    }

    private static byte[] small(Photo photo, double left, double top, double right, double bottom, int mostSide, String format) {
        Rectangle all = new Rectangle(0, 0, photo.width(), photo.height());
        Rectangle part = all
                .intersection(new Rectangle((int) left, (int) top, (int) Math.ceil(right - left), (int) Math.ceil(bottom - top)));
        int every = Math.max(1, (int) Math.ceil((double) Math.max(part.width, part.height) / mostSide));
        int w = Math.max(1, part.width / every);
        int h = Math.max(1, part.height / every);
        BufferedImage small = new BufferedImage(w, h, BufferedImage.TYPE_INT_RGB);
        for (int y = 0; y < h; y++) {
            for (int x = 0; x < w; x++) {
                small.setRGB(x, y, mean(photo, part.x + x * every, part.y + y * every, every));
            }
        }
        try (ByteArrayOutputStream out = new ByteArrayOutputStream()) {
            ImageIO.write(small, format, out);
            return out.toByteArray();
        } catch (IOException e) {
            throw new IllegalStateException("a picture in memory could not be written", e);
        }
    }

    private static int mean(Photo photo, int left, int top, int every) {
        int red = 0;
        int green = 0;
        int blue = 0;
        for (int dy = 0; dy < every; dy++) {
            for (int dx = 0; dx < every; dx++) {
                int pixel = photo.at(Math.min(photo.width() - 1, left + dx), Math.min(photo.height() - 1, top + dy));
                red += pixel >> 16 & 255;
                green += pixel >> 8 & 255;
                blue += pixel & 255;
            }
        }
        int n = every * every;
        return red / n << 16 | green / n << 8 | blue / n;
    }
}
