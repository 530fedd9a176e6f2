package mosspebble.app.photo;

import java.nio.IntBuffer;
import java.util.List;
import javafx.geometry.Pos;
import javafx.scene.AccessibleRole;
import javafx.scene.Cursor;
import javafx.scene.canvas.Canvas;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.control.Label;
import javafx.scene.image.PixelFormat;
import javafx.scene.image.WritableImage;
import javafx.scene.input.MouseEvent;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import javafx.scene.text.Font;
import javafx.scene.text.TextAlignment;
import mosspebble.app.control.Token;
import mosspebble.app.photo.PhotoModel.Marking;
import mosspebble.app.screen.Panel;
import mosspebble.core.photo.Photo;
import mosspebble.core.photo.PhotoFinding;
import mosspebble.core.photo.PhotoHints;
import org.locationtech.jts.geom.Coordinate;

/** The photo with the outlines that were read, numbered; a line drawn on it cuts stones apart or marks a known distance. */
public final class PhotoView extends Region {

    private static final int MOST_SIDE = 1600;

    private final PhotoModel photos;
    private final Canvas canvas = new Canvas();
    private final VBox empty;
    private Photo imageOf;
    private WritableImage image;
    private double scale;
    private double left;
    private double top;
    private double[] drawing;

    public PhotoView(PhotoModel photos) {
        this.photos = photos;
        setId("photo");
        getStyleClass().add("photo");
        setAccessibleRole(AccessibleRole.IMAGE_VIEW);
        setFocusTraversable(true);
        Label title = new Label("No photo on the table");
        title.getStyleClass().add("empty-title");
        Label hint = Panel.quiet(
                "Lay the stones on a plain blue or green sheet, the printed scale card beside them, and photograph from straight above.");
        hint.setMaxWidth(420);
        empty = new VBox(12, title, hint);
        empty.setAlignment(Pos.CENTER);
        getChildren().addAll(canvas, empty);
        photos.sightProperty().addListener((o, a, b) -> draw());
        photos.glanceProperty().addListener((o, a, b) -> draw());
        photos.markingProperty().addListener((o, a, b) -> {
            setCursor(b == Marking.NONE ? Cursor.DEFAULT : Cursor.CROSSHAIR);
            draw();
        });
        addEventHandler(MouseEvent.MOUSE_PRESSED, e -> {
            requestFocus();
            if (photos.markingProperty().get() != Marking.NONE && image != null) {
                drawing = new double[] {e.getX(), e.getY(), e.getX(), e.getY()};
            }
        });
        addEventHandler(MouseEvent.MOUSE_DRAGGED, e -> {
            if (drawing != null) {
                drawing[2] = e.getX();
                drawing[3] = e.getY();
                draw();
            }
        });
        addEventHandler(MouseEvent.MOUSE_RELEASED, e -> {
            if (drawing != null) {
                PhotoHints.Line line = new PhotoHints.Line(toPhoto(drawing[0], left), toPhoto(drawing[1], top), toPhoto(drawing[2], left),
                        toPhoto(drawing[3], top));
                drawing = null;
                photos.drawn(line);
                draw();
            }
        });
    }

    private double toPhoto(double pixel, double from) {
        return (pixel - from) / scale;
    }

    @Override
    protected void layoutChildren() {
        canvas.setWidth(getWidth());
        canvas.setHeight(getHeight());
        empty.resizeRelocate(0, 0, getWidth(), getHeight());
        draw();
    }

    private void draw() {
        GraphicsContext pen = canvas.getGraphicsContext2D();
        pen.clearRect(0, 0, canvas.getWidth(), canvas.getHeight());
        PhotoModel.Sight sight = photos.sightProperty().get();
        Photo glance = photos.glanceProperty().get();
        empty.setVisible(sight == null && glance == null);
        if (sight == null && glance == null || canvas.getWidth() < 20) {
            setAccessibleText("No photo");
            return;
        }
        lay(pen, glance != null ? glance : sight.photo());
        if (glance != null) {
            setAccessibleText("A photo that is being read");
            return;
        }
        for (int i = 0; i < sight.reading().stones().size(); i++) {
            stone(pen, sight, i);
        }
        pen.setStroke(Token.PHOTO_LINE.colour());
        pen.setLineWidth(2.5);
        for (PhotoHints.Line cut : sight.hints().cuts()) {
            pen.strokeLine(left + scale * cut.x(), top + scale * cut.y(), left + scale * cut.toX(), top + scale * cut.toY());
        }
        sight.hints().distance().ifPresent(d -> pen.strokeLine(left + scale * d.line().x(), top + scale * d.line().y(),
                left + scale * d.line().toX(), top + scale * d.line().toY()));
        if (drawing != null) {
            pen.strokeLine(drawing[0], drawing[1], drawing[2], drawing[3]);
        }
        setAccessibleText("Photo with " + PhotoModel.summary(sight));
    }

    /** The photo as large as there is room. */
    private void lay(GraphicsContext pen, Photo photo) {
        if (imageOf != photo) {
            imageOf = photo;
            image = image(photo.reduced(MOST_SIDE));
        }
        double w = canvas.getWidth() - 32;
        double h = canvas.getHeight() - 32;
        scale = Math.min(w / photo.width(), h / photo.height());
        left = 16 + (w - scale * photo.width()) / 2;
        top = 16 + (h - scale * photo.height()) / 2;
        pen.drawImage(image, left, top, scale * photo.width(), scale * photo.height());
    }

    private void stone(GraphicsContext pen, PhotoModel.Sight sight, int number) {
        List<Coordinate> ring = sight.reading().stones().get(number).pixels();
        boolean doubt = sight.reading().findings().stream().map(PhotoFinding::stone).anyMatch(s -> s == number);
        double cx = 0;
        double cy = 0;
        for (int pass = 0; pass < 2; pass++) {
            pen.setStroke(pass == 0 ? Token.UNDER_CHALK.colour(0.7) : doubt ? Token.PHOTO_LINE.colour() : Token.CHALK.colour());
            pen.setLineWidth(pass == 0 ? 4 : 2);
            pen.beginPath();
            for (int i = 0; i < ring.size(); i++) {
                double x = left + scale * ring.get(i).x;
                double y = top + scale * ring.get(i).y;
                cx += pass == 0 ? x / ring.size() : 0;
                cy += pass == 0 ? y / ring.size() : 0;
                if (i == 0) {
                    pen.moveTo(x, y);
                } else {
                    pen.lineTo(x, y);
                }
            }
            pen.closePath();
            pen.stroke();
        }
        pen.setFill(Token.CHALK.colour());
        pen.fillOval(cx - 13, cy - 13, 26, 26);
        pen.setFill(Token.ON_PALE.colour());
        pen.setFont(Font.font("Atkinson Hyperlegible", 15));
        pen.setTextAlign(TextAlignment.CENTER);
        pen.fillText((number + 1) + (doubt ? " ?" : ""), cx, cy + 5);
        pen.setTextAlign(TextAlignment.LEFT);
    }

    private static WritableImage image(Photo photo) {
        WritableImage image = new WritableImage(photo.width(), photo.height());
        int[] row = new int[photo.width()];
        for (int y = 0; y < photo.height(); y++) {
            for (int x = 0; x < row.length; x++) {
                row[x] = 0xFF000000 | photo.at(x, y);
            }
            image.getPixelWriter().setPixels(0, y, row.length, 1, PixelFormat.getIntArgbInstance(), IntBuffer.wrap(row), row.length);
        }
        return image;
    }
}
