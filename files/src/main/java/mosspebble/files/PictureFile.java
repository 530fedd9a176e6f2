package mosspebble.files;

import java.awt.Point;
import java.awt.Rectangle;
import java.awt.image.BufferedImage;
import java.awt.image.ColorModel;
import java.awt.image.Raster;
import java.awt.image.RenderedImage;
import java.awt.image.SampleModel;
import java.awt.image.WritableRaster;
import java.nio.file.Path;
import java.util.List;
import java.util.Vector;
import java.util.concurrent.CancellationException;
import mosspebble.core.picture.LargePicture;
import mosspebble.core.picture.Moments;
import mosspebble.core.picture.Shadow;
import mosspebble.core.picture.StonePicture;
import mosspebble.core.plan.PaintPlan;
import mosspebble.core.plan.StoneState;
import mosspebble.core.stone.StoneOutline;
import mosspebble.core.units.Srgb;

/** A picture of a stone as a PNG of any size: strip after strip, so that no more than one is held. */
public final class PictureFile {

    /** What lies behind the stone. */
    public enum Ground {
        LINEN("on linen"), CLEAR("transparent");

        private final String label;

        Ground(String label) {
            this.label = label;
        }

        public String label() {
            return label;
        }
    }

    private static final Srgb CLOTH = Srgb.ofHex("#e7e1d3");

    private PictureFile() {}

    /**
     * Writes the picture.
     *
     * @param progress told how far it is; false stops it
     * @return whether it was written; false if it was stopped, and then nothing is left of it
     * @throws FileTrouble if it could not be written or there was not the memory for it
     */
    public static boolean write(PaintPlan plan, LargePicture.Wish wish, Ground ground, Path file, Sheets.Progress progress)
            throws FileTrouble {
        try {
            Strips strips = new Strips(new LargePicture(plan, wish), ground,
                    Shadow.of(plan.survey().dome(), wish.shown().lightFrom()), progress);
            PngFile.write(file, strips);
            return true;
        } catch (CancellationException e) {
            return false;
        } catch (IllegalStateException | OutOfMemoryError e) {
            throw tooLarge(file, wish, e);
        }
    }

    /**
     * Writes the painting in so many pictures side by side, dry as it grows and as it is wished at the end.
     *
     * @param wish of the finished stone; its longest side is that of the whole strip
     * @param most pictures, 2 or more
     */
    public static boolean writeStrip(PaintPlan plan, LargePicture.Wish wish, int most, Ground ground, Path file, Sheets.Progress progress)
            throws FileTrouble {
        List<Integer> moments = Moments.of(plan, most);
        StoneOutline outline = plan.survey().dome().outline();
        double wide = outline.halfWidth() + wish.roundMm();
        double high = outline.halfHeight() + wish.roundMm();
        double frame = (double) wish.longest() / Math.max(moments.size(), high / wide);
        int longest = (int) Math.max(LargePicture.SHORTEST, Math.min(wish.longest(), frame * Math.max(1, high / wide)));
        Shadow shadow = Shadow.of(plan.survey().dome(), wish.shown().lightFrom());
        BufferedImage strip = null;
        try {
            for (int k = 0; k < moments.size(); k++) {
                boolean last = k == moments.size() - 1;
                double done = (double) k / moments.size();
                if (!progress.at(done, "picture")) {
                    return false;
                }
                StonePicture.Shown shown = new StonePicture.Shown(moments.get(k), 0, wish.shown().lightFrom(), wish.shown().care());
                LargePicture picture = new LargePicture(plan, new LargePicture.Wish(longest, wish.roundMm(),
                        last ? wish.look() : StoneState.DRY, wish.lamp(), shown));
                int columns = picture.columns();
                if (strip == null) {
                    strip = new BufferedImage(columns * moments.size(), picture.rows(),
                            ground == Ground.CLEAR ? BufferedImage.TYPE_INT_ARGB : BufferedImage.TYPE_INT_RGB);
                }
                int[] pixels = picture.rows(0, picture.rows(), () -> !progress.at(done, "picture"));
                for (int i = 0; i < pixels.length; i++) {
                    pixels[i] = ground == Ground.CLEAR ? Pictures.straight(pixels[i])
                            : over(pixels[i], shadow.at(picture.x(i % columns), picture.y(i / columns)));
                }
                strip.setRGB(k * columns, 0, columns, picture.rows(), pixels, 0, columns);
            }
            PngFile.write(file, strip);
            return true;
        } catch (CancellationException e) {
            return false;
        } catch (IllegalStateException | OutOfMemoryError e) {
            throw tooLarge(file, wish, e);
        }
    }

    private static FileTrouble tooLarge(Path file, LargePicture.Wish wish, Throwable e) {
        Journal.trouble("drawing a large picture", e);
        return new FileTrouble(file.toString(), "There is not the memory for a picture of " + wish.longest() + " pixels.",
                "Choose a smaller one, or close the program, open it again and write the picture first.");
    }

    /** A premultiplied colour on the cloth, from which so much of the light is kept, 0 to 1. */
    private static int over(int colour, double shadow) {
        int bare = 255 - (colour >>> 24);
        if (bare == 0) {
            return colour;
        }
        int result = 0xFF000000;
        for (int shift = 0; shift < 24; shift += 8) {
            int cloth = (int) Math.round((CLOTH.rgb() >>> shift & 255) * (1 - shadow));
            result |= Math.min(255, (colour >>> shift & 255) + cloth * bare / 255) << shift;
        }
        return result;
    }

    /** The picture as its writer asks for it: one row after another. */
    private static final class Strips implements RenderedImage {

        private final LargePicture picture;
        private final boolean clear;
        private final Shadow shadow;
        private final Sheets.Progress progress;
        private final BufferedImage row;
        private int[] strip = new int[0];
        private int from;

        Strips(LargePicture picture, Ground ground, Shadow shadow, Sheets.Progress progress) {
            this.picture = picture;
            this.clear = ground == Ground.CLEAR;
            this.shadow = shadow;
            this.progress = progress;
            this.row = new BufferedImage(picture.columns(), 1, clear ? BufferedImage.TYPE_INT_ARGB : BufferedImage.TYPE_INT_RGB);
        }

        private void draw(int y) {
            if (!progress.at((double) y / picture.rows(), "picture")) {
                throw new CancellationException();
            }
            from = y / picture.strip() * picture.strip();
            strip = null; // the last one makes room first
            strip = picture.rows(from, Math.min(picture.strip(), picture.rows() - from),
                    () -> !progress.at((double) y / picture.rows(), "picture"));
        }

        @Override
        public Raster getData(Rectangle part) {
            if (part.y < from || part.y >= from + strip.length / picture.columns()) {
                draw(part.y);
            }
            int[] pixels = new int[picture.columns()];
            System.arraycopy(strip, (part.y - from) * picture.columns(), pixels, 0, pixels.length);
            for (int c = 0; c < pixels.length; c++) {
                pixels[c] = clear ? Pictures.straight(pixels[c]) : over(pixels[c], shadow.at(picture.x(c), picture.y(part.y)));
            }
            row.setRGB(0, 0, pixels.length, 1, pixels, 0, pixels.length);
            return row.getData().createTranslatedChild(0, part.y);
        }

        @Override
        public int getWidth() {
            return picture.columns();
        }

        @Override
        public int getHeight() {
            return picture.rows();
        }

        @Override
        public ColorModel getColorModel() {
            return row.getColorModel();
        }

        @Override
        public SampleModel getSampleModel() {
            return row.getSampleModel().createCompatibleSampleModel(picture.columns(), picture.rows());
        }

        @Override
        public Vector<RenderedImage> getSources() {
            return null;
        }

        @Override
        public Object getProperty(String name) {
            return java.awt.Image.UndefinedProperty;
        }

        @Override
        public String[] getPropertyNames() {
            return null;
        }

        @Override
        public int getMinX() {
            return 0;
        }

        @Override
        public int getMinY() {
            return 0;
        }

        @Override
        public int getNumXTiles() {
            return 1;
        }

        @Override
        public int getNumYTiles() {
            return picture.rows();
        }

        @Override
        public int getMinTileX() {
            return 0;
        }

        @Override
        public int getMinTileY() {
            return 0;
        }

        @Override
        public int getTileWidth() {
            return picture.columns();
        }

        @Override
        public int getTileHeight() {
            return 1;
        }

        @Override
        public int getTileGridXOffset() {
            return 0;
        }

        @Override
        public int getTileGridYOffset() {
            return 0;
        }

        @Override
        public Raster getTile(int x, int y) {
            return getData(new Rectangle(0, y, picture.columns(), 1));
        }

        @Override
        public Raster getData() {
            throw new UnsupportedOperationException("it is not held as a whole");
        }

        @Override
        public WritableRaster copyData(WritableRaster to) {
            WritableRaster rows = to == null ? Raster.createWritableRaster(getSampleModel(), new Point(0, 0)) : to;
            for (int y = rows.getMinY(); y < rows.getMinY() + rows.getHeight(); y++) {
                rows.setRect(getData(new Rectangle(0, y, picture.columns(), 1)));
            }
            return rows;
        }
    }
}
