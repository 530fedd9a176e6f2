package mosspebble.app.photo;

import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Base64;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Supplier;
import javafx.beans.property.DoubleProperty;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.ReadOnlyBooleanProperty;
import javafx.beans.property.ReadOnlyBooleanWrapper;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.beans.property.ReadOnlyStringProperty;
import javafx.beans.property.ReadOnlyStringWrapper;
import javafx.beans.property.SimpleDoubleProperty;
import javafx.beans.property.SimpleObjectProperty;
import mosspebble.app.model.PlanWorker;
import mosspebble.app.model.Workbench;
import mosspebble.core.photo.Photo;
import mosspebble.core.photo.PhotoHints;
import mosspebble.core.photo.PhotoReader;
import mosspebble.core.photo.PhotoReading;
import mosspebble.core.photo.PhotoStone;
import mosspebble.core.project.Project;
import mosspebble.core.stone.FoundStone;
import mosspebble.core.stone.Origin;
import mosspebble.core.stone.Stone;
import mosspebble.core.units.Millimetres;
import mosspebble.core.units.Numbers;
import mosspebble.files.FileTrouble;
import mosspebble.files.PhotoFile;
import mosspebble.instruments.BenchCamera;
import org.locationtech.jts.geom.Coordinate;

/** Stones from a photo: take or open one, see what was read, help where it went wrong, measure heights, take the stones. */
public final class PhotoModel {

    /** A photo with what was read from it; the heights are as typed, empty where not measured. */
    public record Sight(Photo photo, PhotoHints hints, PhotoReading reading, List<Optional<Millimetres>> heights) {
        public Sight {
            heights = List.copyOf(heights);
        }

        /** Height a stone is taken to have, mm. */
        public Millimetres height(int stone) {
            return heights.get(stone).orElse(new Millimetres(reading.stones().get(stone).guessedHeightMm()));
        }
    }

    /** What the next line drawn on the photo means. */
    public enum Marking { NONE, CUT, DISTANCE }

    private record Read(Optional<Sight> sight, String trouble) {}

    /** How far a height may be off: measured with callipers, or guessed from the width. */
    private static final double MEASURED_OFF = 0.5;
    private static final double GUESSED_OFF = 8;

    /** Longer side of a photo that is shown while it is read, pixels. */
    private static final int GLANCE_PX = 800;

    private final Workbench workbench;
    private final PlanWorker desk;
    private final BenchCamera camera;
    private final PlanWorker.Line line = new PlanWorker.Line();
    private final PlanWorker.Line glancing = new PlanWorker.Line();
    private final ReadOnlyObjectWrapper<Photo> glance = new ReadOnlyObjectWrapper<>();
    private final ReadOnlyObjectWrapper<Sight> sight = new ReadOnlyObjectWrapper<>();
    private final ReadOnlyBooleanWrapper busy = new ReadOnlyBooleanWrapper();
    private final ReadOnlyStringWrapper trouble = new ReadOnlyStringWrapper("");
    private final ObjectProperty<Marking> marking = new SimpleObjectProperty<>(Marking.NONE);
    private final DoubleProperty distanceMm = new SimpleDoubleProperty(100);
    private PhotoReader reader;
    private volatile boolean stop;

    public PhotoModel(Workbench workbench, PlanWorker desk, BenchCamera camera) {
        this.workbench = workbench;
        this.desk = desk;
        this.camera = camera;
    }

    /** The photo on the table; null before the first. */
    public ReadOnlyObjectProperty<Sight> sightProperty() {
        return sight.getReadOnlyProperty();
    }

    /** A photo that is being read, small, as soon as it can be seen; null where there is none. */
    public ReadOnlyObjectProperty<Photo> glanceProperty() {
        return glance.getReadOnlyProperty();
    }

    public ReadOnlyBooleanProperty busyProperty() {
        return busy.getReadOnlyProperty();
    }

    /** Why there is no photo, as a sentence; empty if nothing went wrong. */
    public ReadOnlyStringProperty troubleProperty() {
        return trouble.getReadOnlyProperty();
    }

    public ObjectProperty<Marking> markingProperty() {
        return marking;
    }

    /** The known distance that is marked next, mm. */
    public DoubleProperty distanceMmProperty() {
        return distanceMm;
    }

    /** A line drawn on the photo, for what is being marked. */
    public void drawn(PhotoHints.Line line) {
        Marking what = marking.get();
        marking.set(Marking.NONE);
        switch (what) {
            case CUT -> cut(line);
            case DISTANCE -> distance(line, distanceMm.get());
            case NONE -> {}
        }
    }

    public BenchCamera camera() {
        return camera;
    }

    /** Takes a photo and reads it. */
    public void take() {
        ask(() -> new Read(Optional.of(read(camera.take(), PhotoHints.none())), ""));
    }

    /** Opens a photo and reads it; it is seen before that. */
    public void open(Path file) {
        ask(() -> {
            try {
                return new Read(Optional.of(read(PhotoFile.read(file), PhotoHints.none())), "");
            } catch (FileTrouble e) {
                return new Read(Optional.empty(), e.getMessage());
            }
        });
        desk.askBeside(glancing, unwanted -> glance(file), small -> {
            if (busy.get()) {
                small.ifPresent(glance::set);
            }
        }, error -> {}); // who reads it says what is wrong
    }

    /** Reads the same photo again with a line that cuts stones apart. */
    public void cut(PhotoHints.Line cut) {
        Sight now = sight.get();
        if (now != null) {
            List<PhotoHints.Line> cuts = new ArrayList<>(now.hints().cuts());
            cuts.add(cut);
            again(now, new PhotoHints(now.hints().distance(), cuts));
        }
    }

    /** Reads the same photo again with a known distance in place of the card. */
    public void distance(PhotoHints.Line marked, double mm) {
        Sight now = sight.get();
        if (now != null) {
            try {
                again(now, new PhotoHints(Optional.of(new PhotoHints.Distance(marked, mm)), now.hints().cuts()));
            } catch (IllegalArgumentException e) {
                trouble.set(e.getMessage());
            }
        }
    }

    /** Reads the same photo again as if nothing had been marked. */
    public void forgetMarks() {
        Sight now = sight.get();
        if (now != null) {
            again(now, PhotoHints.none());
        }
    }

    private static Optional<Photo> glance(Path file) {
        try {
            return Optional.of(PhotoFile.glance(file, GLANCE_PX));
        } catch (FileTrouble e) {
            return Optional.empty(); // who reads it says what is wrong
        }
    }

    public void cancel() {
        stop = true;
        ended();
    }

    private void ended() {
        busy.set(false);
        glancing.drop();
        glance.set(null);
    }

    private void again(Sight now, PhotoHints hints) {
        ask(() -> new Read(Optional.of(read(now.photo(), hints)), ""));
    }

    private Sight read(Photo photo, PhotoHints hints) {
        if (reader == null) {
            reader = new PhotoReader();
        }
        PhotoReading reading = reader.read(photo, hints, () -> stop);
        List<Optional<Millimetres>> heights = new ArrayList<>();
        reading.stones().forEach(s -> heights.add(Optional.empty()));
        return new Sight(photo, hints, reading, heights);
    }

    private void ask(Supplier<Read> work) {
        busy.set(true);
        stop = false;
        trouble.set("");
        desk.ask(line, d -> work.get(), read -> {
            if (!stop) {
                trouble.set(read.trouble());
                read.sight().ifPresent(sight::set);
                ended();
            }
        }, error -> {
            ended();
            trouble.set("The photo could not be read: the program stumbled over it. Take it again, or mark a known distance by hand.");
        });
    }

    /** Sets the measured height of a stone; refused with a reason. */
    public Optional<String> height(int stone, Millimetres height) {
        if (!(height.value() >= Stone.LOWEST_MM && height.value() <= Stone.HIGHEST_MM)) {
            return Optional.of("A stone is 2 to 400 mm high, was " + Numbers.shortText(height.value()) + " mm.");
        }
        Sight now = sight.get();
        List<Optional<Millimetres>> heights = new ArrayList<>(now.heights());
        heights.set(stone, Optional.of(height));
        sight.set(new Sight(now.photo(), now.hints(), now.reading(), heights));
        return Optional.empty();
    }

    /** A stone of the photo as it would be taken. */
    public static Stone stone(Sight sight, int number) {
        PhotoStone found = sight.reading().stones().get(number);
        return found.stone(sight.height(number), Stone.cobble().withSeed(1000 + number));
    }

    /** Two standard deviations of a length of a stone, mm. */
    public static double lengthOff(Sight sight, int number) {
        return sight.reading().stones().get(number).lengthOffMm(sight.heights().get(number).isPresent() ? MEASURED_OFF : GUESSED_OFF);
    }

    /** Lays all stones of the photo into the basket, each with its picture. */
    public boolean toBasket() {
        Sight now = sight.get();
        if (now == null || now.reading().stones().isEmpty()) {
            return false;
        }
        List<FoundStone> found = new ArrayList<>(workbench.studio().basket());
        int count = now.reading().stones().size();
        int first = found.size() + workbench.studio().projects().size() + 1;
        for (int i = 0; i < count; i++) {
            Origin origin = new Origin("", Origin.Taking.UNKNOWN, "", Optional.of(Base64.getEncoder().encodeToString(cutOut(now, i))));
            found.add(new FoundStone("stone-" + UUID.randomUUID(), "Stone " + (first + i), stone(now, i), origin));
        }
        return workbench.editStudio("Put " + count + (count == 1 ? " stone" : " stones") + " into the basket", s -> s.withBasket(found));
    }

    /** Takes one stone's outline for the stone on the cloth. */
    public boolean toCloth(int number) {
        Sight now = sight.get();
        return now != null && workbench.edit("Outline from the photo", (Project p) -> p.withStone(now.reading().stones().get(number)
                .stone(now.heights().get(number).orElse(p.stone().height()), p.stone())));
    }

    private static byte[] cutOut(Sight sight, int number) {
        List<Coordinate> pixels = sight.reading().stones().get(number).pixels();
        double left = pixels.stream().mapToDouble(c -> c.x).min().orElse(0);
        double right = pixels.stream().mapToDouble(c -> c.x).max().orElse(1);
        double top = pixels.stream().mapToDouble(c -> c.y).min().orElse(0);
        double bottom = pixels.stream().mapToDouble(c -> c.y).max().orElse(1);
        double margin = 0.06 * Math.max(right - left, bottom - top);
        return PhotoFile.cutOut(sight.photo(), left - margin, top - margin, right + margin, bottom + margin, 150);
    }

    /** Words for the stones found. */
    public static String summary(Sight sight) {
        int count = sight.reading().stones().size();
        return count == 0 ? "no stone read" : count == 1 ? "one stone" : String.format(Locale.ROOT, "%d stones", count);
    }
}
