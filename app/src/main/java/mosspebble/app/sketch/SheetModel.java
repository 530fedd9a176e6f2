package mosspebble.app.sketch;

import java.io.ByteArrayInputStream;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.Base64;
import java.util.Optional;
import java.util.function.UnaryOperator;
import javafx.beans.property.BooleanProperty;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.beans.property.SimpleBooleanProperty;
import javafx.scene.image.Image;
import javafx.scene.image.PixelFormat;
import javafx.scene.image.WritableImage;
import mosspebble.app.model.FileWork;
import mosspebble.app.model.Workbench;
import mosspebble.core.colour.Lab;
import mosspebble.core.project.Project;
import mosspebble.core.project.SheetBelow;
import mosspebble.core.project.Studio;
import mosspebble.core.sketch.OwnFile;
import mosspebble.files.FileTrouble;
import mosspebble.files.Journal;
import mosspebble.files.OwnFiles;

/** The drawing or photo to go by, as it lies on the face that is up: brought, moved, turned, sized, hidden and taken away. */
public final class SheetModel {

    /** Pictures whose pixels are lighter in the middle are drawings on paper. */
    private static final double PAPER = 0.7;
    /** How much is seen of paper and of ink, and of a photo. */
    private static final double LEAST = 0.06;
    private static final double MOST = 0.68;
    private static final double FAINT = 0.42;
    /** Pencil is no black. */
    private static final double STRONGER = 1.6;
    /** Below this L* a stone wants chalk. */
    private static final double DARK = 48;

    private final Workbench workbench;
    private final FileWork files;
    private final ReadOnlyObjectWrapper<SheetBelow> sheet = new ReadOnlyObjectWrapper<>();
    private final BooleanProperty moving = new SimpleBooleanProperty();
    private OwnFile known;
    private Image image;
    private String imageOf = "";
    private boolean imageOnDark;

    public SheetModel(Workbench workbench, FileWork files) {
        this.workbench = workbench;
        this.files = files;
        workbench.studioProperty().addListener((o, a, b) -> follow());
        workbench.shownProperty().addListener((o, a, b) -> follow());
        follow();
    }

    /** What lies on the face that is up; null for nothing. */
    public ReadOnlyObjectProperty<SheetBelow> sheetProperty() {
        return sheet.getReadOnlyProperty();
    }

    /** Whether the hand moves the picture, not the things on the stone. */
    public BooleanProperty movingProperty() {
        return moving;
    }

    private Optional<String> id() {
        return workbench.shown().map(p -> SheetBelow.id(p.id(), p.sides().backUp()));
    }

    private void follow() {
        OwnFile now = id().flatMap(id -> workbench.studio().own().stream().filter(o -> o.id().equals(id)).findFirst()).orElse(null);
        if (now == known) {
            return;
        }
        known = now;
        SheetBelow read = null;
        if (now != null) {
            try {
                read = OwnFiles.sheet(now);
            } catch (FileTrouble e) {
                Journal.trouble("a picture to go by", e);
            }
        }
        sheet.set(read);
        if (read == null) {
            moving.set(false);
        }
    }

    /** The picture as it is seen on the stone: of a drawing the lines, of a photo all of it, faint; null for nothing. */
    Image image() {
        SheetBelow now = sheet.get();
        if (now == null) {
            return null;
        }
        boolean dark = workbench.shown().filter(p -> Lab.of(p.stone().colour()).l() < DARK).isPresent();
        if (!now.jpeg().equals(imageOf) || dark != imageOnDark) {
            imageOf = now.jpeg();
            imageOnDark = dark;
            image = seen(new Image(new ByteArrayInputStream(Base64.getDecoder().decode(imageOf))), dark);
        }
        imageOf = now.jpeg(); // the very text, so that the next frame sees at once that it is the same
        return image;
    }

    /** A drawing leaves its paper away, and on dark stone its lines are as of chalk. */
    private static Image seen(Image whole, boolean dark) {
        int wide = (int) whole.getWidth();
        int high = (int) whole.getHeight();
        if (whole.isError() || wide < 1 || high < 1) {
            return whole;
        }
        int[] pixels = new int[wide * high];
        whole.getPixelReader().getPixels(0, 0, wide, high, PixelFormat.getIntArgbInstance(), pixels, 0, wide);
        double mean = Arrays.stream(pixels).mapToDouble(SheetModel::light).average().orElse(0);
        boolean drawing = mean > PAPER;
        for (int i = 0; i < pixels.length; i++) {
            double ink = drawing ? LEAST + (MOST - LEAST) * Math.min(1, (1 - light(pixels[i])) * STRONGER) : FAINT;
            int colour = drawing && dark ? 0xF4F1E8 : pixels[i] & 0xFFFFFF;
            pixels[i] = (int) Math.round(255 * ink) << 24 | colour;
        }
        WritableImage image = new WritableImage(wide, high);
        image.getPixelWriter().setPixels(0, 0, wide, high, PixelFormat.getIntArgbInstance(), pixels, 0, wide);
        return image;
    }

    /** 0 to 1. */
    private static double light(int rgb) {
        return (0.3 * (rgb >> 16 & 255) + 0.59 * (rgb >> 8 & 255) + 0.11 * (rgb & 255)) / 255;
    }

    /** Lays a drawing or photo on the face that is up, as wide as the stone, and lets the hand move it. */
    public void bring(Path file) {
        Project on = workbench.shown().orElse(null);
        if (on == null) {
            workbench.tell("Put a stone on the cloth first.");
            return;
        }
        files.run("Reading " + file.getFileName(), () -> OwnFiles.sheet(file, on), (OwnFile brought) -> {
            if (workbench.editStudio("Go by a picture", s -> s.plus(brought))) {
                moving.set(sheet.get() != null);
                workbench.tell(brought.title() + " lies on the stone, to go by; it is never painted. Move it where it belongs.");
            }
        });
    }

    /** Changes how it lies, as one edit. */
    boolean change(String title, UnaryOperator<SheetBelow> how) {
        SheetBelow now = sheet.get();
        OwnFile kept = known;
        return now != null && workbench.editStudio(title, (Studio s) -> s.plus(OwnFiles.kept(how.apply(now), kept.title())));
    }

    /** Shows it under the hand as it would lie; nothing is kept until it is changed. */
    void draft(SheetBelow lying) {
        sheet.set(lying);
    }

    /** Takes it away; undo brings it back. */
    void takeAway() {
        id().ifPresent(id -> workbench.editStudio("Take the picture away", s -> s.withoutOwn(id)));
    }

    /** What it is called; empty for nothing. */
    String title() {
        return known == null ? "" : known.title();
    }
}
