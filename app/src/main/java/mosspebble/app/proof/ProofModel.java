package mosspebble.app.proof;

import java.nio.file.Path;
import java.util.Optional;
import java.util.function.BooleanSupplier;
import javafx.beans.property.BooleanProperty;
import javafx.beans.property.IntegerProperty;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.ReadOnlyBooleanProperty;
import javafx.beans.property.ReadOnlyBooleanWrapper;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.beans.property.ReadOnlyStringProperty;
import javafx.beans.property.ReadOnlyStringWrapper;
import javafx.beans.property.SimpleBooleanProperty;
import javafx.beans.property.SimpleIntegerProperty;
import javafx.beans.property.SimpleObjectProperty;
import mosspebble.app.model.PlanWorker;
import mosspebble.app.model.Results;
import mosspebble.app.model.Workbench;
import mosspebble.core.photo.Photo;
import mosspebble.core.photo.PhotoHints;
import mosspebble.core.photo.PhotoReader;
import mosspebble.core.photo.PhotoReading;
import mosspebble.core.plan.DoneSteps;
import mosspebble.core.plan.PaintPlan;
import mosspebble.core.plan.Step;
import mosspebble.core.project.Project;
import mosspebble.core.proof.Moment;
import mosspebble.core.proof.PhotoProof;
import mosspebble.core.proof.Proof;
import mosspebble.core.proof.ProofFinding;
import mosspebble.core.proof.Stray;
import mosspebble.core.sketch.ItemMode;
import mosspebble.core.words.ProofWords;
import mosspebble.files.FileTrouble;
import mosspebble.files.PhotoFile;
import mosspebble.instruments.BenchCamera;
import mosspebble.instruments.BenchScene;
import mosspebble.instruments.PaintedFace;
import mosspebble.instruments.UnsteadyHand;

/**
 * A photo of the stone on the cloth held against its plan. It is compared anew whenever the plan, or how far the stone is, changes; what
 * stands there until then is not shown as if it were true.
 */
public final class ProofModel {

    /** How far the stone in the photo is. */
    public enum Far {
        PENCILLED("Pencilled"), SO_FAR("As far as done"), PAINTED("Painted");

        private final String label;

        Far(String label) {
            this.label = label;
        }

        public String label() {
            return label;
        }
    }

    /**
     * What came out.
     *
     * @param plan it was held against
     */
    public record Sight(PaintPlan plan, Photo photo, PhotoReading reading, Proof proof) {}

    private record Taken(Optional<Photo> photo, String trouble) {}

    /** Where a made-up stone lies before a made-up camera: mm from the card's corner. */
    private static final double LIES_X = 200;
    private static final double LIES_Y = 118;

    private final Workbench workbench;
    private final Results show;
    private final PlanWorker desk;
    private final BenchCamera camera;
    private final PlanWorker.Line drawing = new PlanWorker.Line();
    private final PlanWorker.Line line = new PlanWorker.Line();
    private final ReadOnlyObjectWrapper<Sight> sight = new ReadOnlyObjectWrapper<>();
    private final ReadOnlyBooleanWrapper busy = new ReadOnlyBooleanWrapper();
    private final ReadOnlyStringWrapper trouble = new ReadOnlyStringWrapper("");
    private final ObjectProperty<Far> far = new SimpleObjectProperty<>(Far.PENCILLED);
    private final BooleanProperty planShown = new SimpleBooleanProperty(true);
    private final IntegerProperty pointed = new SimpleIntegerProperty(-1);
    private Photo photo;
    private String stone = "";
    private long shots;

    public ProofModel(Workbench workbench, Results show, PlanWorker desk, BenchCamera camera) {
        this.workbench = workbench;
        this.show = show;
        this.desk = desk;
        this.camera = camera;
        show.planProperty().addListener((o, a, b) -> follow());
        far.addListener((o, a, b) -> again());
    }

    /** What came out; null before the first. */
    public ReadOnlyObjectProperty<Sight> sightProperty() {
        return sight.getReadOnlyProperty();
    }

    public ReadOnlyBooleanProperty busyProperty() {
        return busy.getReadOnlyProperty();
    }

    /** Why there is nothing to see, as a sentence; empty if nothing went wrong. */
    public ReadOnlyStringProperty troubleProperty() {
        return trouble.getReadOnlyProperty();
    }

    /** How far the stone in the photo is. */
    public ObjectProperty<Far> farProperty() {
        return far;
    }

    /** Whether the plan's lines lie over the photo. */
    public BooleanProperty planShownProperty() {
        return planShown;
    }

    /** Number of the finding that is pointed at; -1 for none. */
    public IntegerProperty pointedProperty() {
        return pointed;
    }

    public BenchCamera camera() {
        return camera;
    }

    /** How many steps are done when the stone is as far as that. */
    public int steps(PaintPlan plan, Far how) {
        return switch (how) {
            case PENCILLED -> 0;
            case SO_FAR -> new DoneSteps(plan, workbench.studio().diary()).inOrder();
            case PAINTED -> painted(plan);
        };
    }

    /** Up to the last paint: what seals it changes its look. */
    private static int painted(PaintPlan plan) {
        int last = 0;
        for (int i = 0; i < plan.steps().size(); i++) {
            last = plan.steps().get(i) instanceof Step.Lay ? i + 1 : last;
        }
        return last;
    }

    private Moment moment(PaintPlan plan) {
        return far.get() == Far.PENCILLED ? Moment.pencilled() : Moment.painted(steps(plan, far.get()));
    }

    /** Opened for the stone on the cloth: as far as it is done, else pencilled. */
    public void opened() {
        PaintPlan plan = show.plan();
        if (plan != null && !plan.project().id().equals(stone)) {
            forget();
            stone = plan.project().id();
            int done = steps(plan, Far.SO_FAR);
            boolean paint = plan.steps().subList(0, done).stream().anyMatch(s -> s instanceof Step.Lay);
            far.set(!paint ? Far.PENCILLED : done >= painted(plan) ? Far.PAINTED : Far.SO_FAR);
        }
    }

    private void forget() {
        drawing.drop();
        line.drop();
        busy.set(false);
        photo = null;
        sight.set(null);
        pointed.set(-1);
        trouble.set("");
    }

    private void follow() {
        PaintPlan plan = show.plan();
        if (plan == null || !plan.project().id().equals(stone)) {
            forget();
            stone = "";
        } else {
            again();
        }
    }

    /** Takes a photo of the stone on the cloth. */
    public void take() {
        PaintPlan plan = show.plan();
        if (plan == null || plan.design().isEmpty()) {
            trouble.set("Nothing is planned on this face yet: sketch first, then hold a photo against it.");
            return;
        }
        opened();
        begin();
        if (!camera.simulated()) {
            compare(() -> new Taken(Optional.of(camera.take()), ""));
            return;
        }
        // a stand-in photographs what a made-up hand made of this plan
        long seed = shots++;
        Project drawn = plan.project().withSketch(plan.project().sketch().map(s -> UnsteadyHand.oneWrong(s, seed)));
        desk.ask(drawing, d -> d.plan(drawn, workbench.studio()), lies -> compare(() -> new Taken(Optional.of(camera.takeOf(
                () -> new BenchScene.Lying(lies.survey().stone(), LIES_X, LIES_Y, 10 * (seed % 7) - 30, Optional.of(face(lies))))), "")),
                this::failed);
    }

    private PaintedFace face(PaintPlan lies) {
        int pencilled = 0;
        for (int i = 0; i < lies.steps().size() && pencilled == 0; i++) {
            pencilled = lies.steps().get(i) instanceof Step.Pencil ? i + 1 : 0;
        }
        return PaintedFace.of(lies, far.get() == Far.PENCILLED ? pencilled : Math.min(lies.steps().size(), steps(lies, far.get())));
    }

    /** Opens a photo from a file. */
    public void open(Path file) {
        opened();
        begin();
        compare(() -> {
            try {
                return new Taken(Optional.of(PhotoFile.read(file)), "");
            } catch (FileTrouble e) {
                return new Taken(Optional.empty(), e.getMessage());
            }
        });
    }

    /** Compares the same photo anew. */
    private void again() {
        if (photo != null && show.plan() != null) {
            Photo same = photo;
            begin();
            compare(() -> new Taken(Optional.of(same), ""));
        }
    }

    public void cancel() {
        drawing.drop();
        line.drop();
        busy.set(false);
    }

    private void begin() {
        busy.set(true);
        trouble.set("");
        pointed.set(-1);
    }

    private record Answer(Optional<Sight> sight, String trouble) {}

    private interface Source {
        Taken take();
    }

    private void compare(Source source) {
        PaintPlan plan = show.plan();
        Moment moment = moment(plan);
        desk.askBeside(line, newer -> answer(source, plan, moment, newer), answer -> {
            busy.set(false);
            trouble.set(answer.trouble());
            answer.sight().ifPresent(s -> {
                photo = s.photo();
                sight.set(s);
            });
        }, this::failed);
    }

    private static Answer answer(Source source, PaintPlan plan, Moment moment, BooleanSupplier newer) {
        Taken taken = source.take();
        if (taken.photo().isEmpty()) {
            return new Answer(Optional.empty(), taken.trouble());
        }
        PhotoReading reading = new PhotoReader().read(taken.photo().get(), PhotoHints.none(), newer);
        return new Answer(Optional.of(new Sight(plan, taken.photo().get(), reading,
                PhotoProof.of(plan, moment, taken.photo().get(), reading, newer))), "");
    }

    private void failed(Throwable error) {
        busy.set(false);
        trouble.set("The photo could not be compared: the program stumbled over it. Take it again, closer and in even light.");
    }

    /** Whether the plan can follow the hand there: the thing is placed, and only strayed. */
    public boolean canFollow(ProofFinding finding) {
        return strayed(finding).isPresent() && switch (finding.kind()) {
            case TURNED, MOVED, SIZED, NEAR_EDGE -> true;
            default -> false;
        };
    }

    private Optional<Stray> strayed(ProofFinding finding) {
        Optional<Sight> now = Optional.ofNullable(sight.get());
        return now.filter(s -> finding.item().isPresent() && s.plan().project().sketch().flatMap(k -> k.item(finding.item().get()))
                .filter(i -> i.manner() != ItemMode.WEARING).isPresent())
                .flatMap(s -> s.proof().strays().stream()
                        .filter(t -> t.part().isEmpty() && t.item().equals(finding.item().get()) && t.isFound()).findFirst());
    }

    /** Places a thing in the plan as it lies on the stone. */
    public void follow(ProofFinding finding) {
        strayed(finding).ifPresent(stray -> workbench.edit("Plan on as it lies", p -> p.withSketch(p.sketch()
                .map(s -> s.with(stray.item(), i -> i.withPlacement(stray.placed(i.placement())))))));
    }

    /** One sentence about all of it. */
    public static String summary(Sight sight) {
        return ProofWords.summary(sight.proof());
    }
}
