package mosspebble.app.proof;

import java.nio.IntBuffer;
import java.util.List;
import javafx.geometry.Pos;
import javafx.scene.AccessibleRole;
import javafx.scene.canvas.Canvas;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.control.Label;
import javafx.scene.image.PixelFormat;
import javafx.scene.image.WritableImage;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.input.MouseEvent;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import javafx.scene.text.Font;
import javafx.scene.text.TextAlignment;
import mosspebble.app.cloth.Geometries;
import mosspebble.app.control.Token;
import mosspebble.app.screen.Panel;
import mosspebble.core.proof.Proof;
import mosspebble.core.proof.ProofFinding;
import mosspebble.core.proof.Stray;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.util.AffineTransformation;

/** The stone's face from the photo, laid flat, with the planned lines over it and a numbered pin for everything to look at. */
final class ProofView extends Region {

    private static final double MARGIN = 34;
    private static final double PIN = 14;
    private static final double ASIDE = 34;
    private static final double VEIL = 0.45;

    private final ProofModel model;
    private final Canvas canvas = new Canvas();
    private final VBox empty;
    private Proof.Face imageOf;
    private WritableImage image;
    /** Whether lines over it must be pale. */
    private boolean dark;
    private double scale = 1;
    private double left;
    private double top;

    ProofView(ProofModel model) {
        this.model = model;
        setId("proof");
        getStyleClass().add("photo");
        setAccessibleRole(AccessibleRole.IMAGE_VIEW);
        setFocusTraversable(true);
        Label title = new Label("Is it as planned?");
        title.getStyleClass().add("empty-title");
        Label hint = Panel.quiet("Lay the pencilled or painted stone on a blue or green sheet, the printed scale card beside it, and "
                + "photograph it from straight above. What strays from the plan is said in mm, before paint covers it.");
        hint.setMaxWidth(460);
        empty = new VBox(12, title, hint);
        empty.setAlignment(Pos.CENTER);
        getChildren().addAll(canvas, empty);
        model.sightProperty().addListener((o, a, b) -> draw());
        model.busyProperty().addListener((o, a, b) -> draw());
        model.planShownProperty().addListener((o, a, b) -> draw());
        model.pointedProperty().addListener((o, a, b) -> draw());
        addEventHandler(MouseEvent.MOUSE_PRESSED, e -> {
            requestFocus();
            pointAt(e.getX(), e.getY());
        });
        addEventHandler(KeyEvent.KEY_PRESSED, e -> {
            if (e.getCode() == KeyCode.LEFT || e.getCode() == KeyCode.RIGHT) {
                step(e.getCode() == KeyCode.RIGHT ? 1 : -1);
                e.consume();
            }
        });
    }

    private List<ProofFinding> findings() {
        ProofModel.Sight sight = model.sightProperty().get();
        return sight == null ? List.of() : sight.proof().findings();
    }

    private void step(int by) {
        int count = findings().size();
        if (count > 0) {
            model.pointedProperty().set(Math.floorMod(Math.max(-1, model.pointedProperty().get()) + by, count));
        }
    }

    private void pointAt(double x, double y) {
        int found = -1;
        for (int i = 0; i < findings().size(); i++) {
            if (findings().get(i).at().isPresent()) {
                double[] at = pin(findings().get(i).at().get());
                found = Math.hypot(at[0] - x, at[1] - y) <= PIN + 4 ? i : found;
            }
        }
        model.pointedProperty().set(found);
    }

    private double[] point(ProofFinding.Place at) {
        return new double[] {left + scale * at.x(), top + scale * at.y()};
    }

    /** Its head: aside, so that what it points at is seen. */
    private double[] pin(ProofFinding.Place at) {
        double[] point = point(at);
        double away = point[1] - ASIDE < 2 * PIN ? -1 : 1;
        return new double[] {point[0] + 0.6 * ASIDE, point[1] - away * ASIDE};
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
        pen.setGlobalAlpha(1);
        pen.clearRect(0, 0, canvas.getWidth(), canvas.getHeight());
        ProofModel.Sight sight = model.sightProperty().get();
        boolean face = sight != null && sight.proof().face().isPresent();
        empty.setVisible(!face && !model.busyProperty().get());
        if (!face || canvas.getWidth() < 20) {
            setAccessibleText("No photo compared");
            return;
        }
        Proof.Face shown = sight.proof().face().get();
        if (imageOf != shown) {
            imageOf = shown;
            image = image(shown);
            dark = isDark(shown);
        }
        double wide = shown.grid().columns() * shown.grid().cellMm();
        double high = shown.grid().rows() * shown.grid().cellMm();
        scale = Math.min((canvas.getWidth() - 2 * MARGIN) / wide, (canvas.getHeight() - 2 * MARGIN) / high);
        double x = (canvas.getWidth() - scale * wide) / 2;
        double y = (canvas.getHeight() - scale * high) / 2;
        left = x - scale * shown.grid().left();
        top = y - scale * shown.grid().top();
        pen.setGlobalAlpha(model.busyProperty().get() ? VEIL : 1);
        pen.drawImage(image, x, y, scale * wide, scale * high);
        if (model.planShownProperty().get()) {
            sight.plan().design().ifPresent(d -> d.pencilLines().forEach(l -> line(pen, l, dark ? Token.PHOTO_LINE : Token.MEND, 1.3)));
        }
        pointed(pen, sight);
        for (int i = 0; i < findings().size(); i++) {
            pin(pen, i, findings().get(i));
        }
        pen.setGlobalAlpha(1);
        setAccessibleText("Photo of the stone against its plan. " + ProofModel.summary(sight));
    }

    /** Of what is pointed at, its line where it lies. */
    private void pointed(GraphicsContext pen, ProofModel.Sight sight) {
        int number = model.pointedProperty().get();
        if (number < 0 || number >= findings().size()) {
            return;
        }
        ProofFinding finding = findings().get(number);
        sight.proof().strays().stream()
                .filter(s -> finding.item().filter(s.item()::equals).isPresent()
                        && (s.part().equals(finding.part()) || finding.part().isEmpty() && s.part().isEmpty()))
                .map(Stray::lies).findFirst().ifPresent(l -> line(pen, l, dark ? Token.CHALK : Token.UNDER_CHALK, 2.2));
    }

    private void line(GraphicsContext pen, Geometry line, Token colour, double width) {
        Geometry there = new AffineTransformation(scale, 0, left, 0, scale, top).transform(line);
        pen.setStroke((dark ? Token.UNDER_CHALK : Token.CHALK).colour(0.55));
        pen.setLineWidth(width + 2);
        Geometries.stroke(pen, there);
        pen.setStroke(colour.colour());
        pen.setLineWidth(width);
        Geometries.stroke(pen, there);
    }

    private void pin(GraphicsContext pen, int number, ProofFinding finding) {
        if (finding.at().isEmpty()) {
            return;
        }
        double[] at = pin(finding.at().get());
        double[] point = point(finding.at().get());
        pen.setStroke(Token.UNDER_CHALK.colour(0.8));
        pen.setLineWidth(2.2);
        pen.strokeLine(at[0], at[1], point[0], point[1]);
        boolean here = number == model.pointedProperty().get();
        pen.setFill(Token.UNDER_CHALK.colour(0.7));
        pen.fillOval(at[0] - PIN - 2, at[1] - PIN - 2, 2 * PIN + 4, 2 * PIN + 4);
        pen.setFill(here ? Token.PHOTO_LINE.colour() : Token.CHALK.colour());
        pen.fillOval(at[0] - PIN, at[1] - PIN, 2 * PIN, 2 * PIN);
        pen.setFill(Token.ON_PALE.colour());
        pen.setFont(Font.font("Atkinson Hyperlegible", 16));
        pen.setTextAlign(TextAlignment.CENTER);
        pen.fillText(String.valueOf(number + 1), at[0], at[1] + 5.5);
        pen.setTextAlign(TextAlignment.LEFT);
    }

    /** Whether the stone is darker than the middle between black and white, by the mean of its green. */
    private static boolean isDark(Proof.Face face) {
        long sum = 0;
        long count = 0;
        for (int i = 0; i < face.grid().cells(); i++) {
            if (face.at(i) >>> 24 == 255) {
                sum += face.at(i) >> 8 & 255;
                count++;
            }
        }
        return sum < 128 * count;
    }

    private static WritableImage image(Proof.Face face) {
        int columns = face.grid().columns();
        int rows = face.grid().rows();
        WritableImage image = new WritableImage(columns, rows);
        int[] row = new int[columns];
        for (int y = 0; y < rows; y++) {
            for (int x = 0; x < columns; x++) {
                row[x] = face.at(y * columns + x);
            }
            image.getPixelWriter().setPixels(0, y, columns, 1, PixelFormat.getIntArgbInstance(), IntBuffer.wrap(row), columns);
        }
        return image;
    }
}
