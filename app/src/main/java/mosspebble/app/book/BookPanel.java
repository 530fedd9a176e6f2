package mosspebble.app.book;

import java.io.File;
import java.time.LocalDate;
import java.time.format.DateTimeParseException;
import java.util.EnumMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.function.Supplier;
import java.util.function.UnaryOperator;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.layout.VBox;
import javafx.stage.DirectoryChooser;
import javafx.stage.FileChooser;
import mosspebble.app.control.Hint;
import mosspebble.app.book.BookModel.Matter;
import mosspebble.app.control.Choice;
import mosspebble.app.control.Entry;
import mosspebble.app.screen.PagePlace;
import mosspebble.app.screen.PageView;
import mosspebble.app.screen.Panel;
import mosspebble.app.screen.Surroundings;
import mosspebble.core.book.Answers;
import mosspebble.core.book.Page;
import mosspebble.core.project.Project;
import mosspebble.core.stone.FoundStone;
import mosspebble.core.units.Numbers;
import mosspebble.core.words.BookWords;
import mosspebble.core.words.BookWords.Question;
import mosspebble.files.LabelSheet;

/** The column beside the book: what is sought, what is noted on a page, what is asked. */
final class BookPanel extends Panel {

    /** What is written on a page that lies open. */
    private enum Note {
        WHERE("Where"), LASTED("Lasted"), HAPPENED("Happened"), MORE("More");

        private final String label;

        Note(String label) {
            this.label = label;
        }
    }

    private final Surroundings with;
    private final BookModel model;
    private final PagePlace<Matter> place = placeFor(List.of(Matter.values()), this::page);

    BookPanel(Surroundings with, BookModel model) {
        super(with.workbench(), with.results());
        this.with = with;
        this.model = model;
        TextField search = new TextField();
        search.setId("book-search");
        search.setPromptText("Find in the book");
        search.setAccessibleText("Find in the book");
        Hint.on(search, "Beginnings of words from anywhere on a page, such as frog, slate, smeared, 2025");
        search.textProperty().addListener((o, a, b) -> {
            model.searchProperty().set(b);
            if (!b.isBlank() && model.matterProperty().get() != Matter.SHELF) {
                model.matterProperty().set(Matter.SHELF);
            }
        });
        Choice<Matter> choice = new Choice<>("", m -> model.matterProperty().set(m));
        for (Matter matter : Matter.values()) {
            choice.option("book-" + matter.name().toLowerCase(Locale.ROOT), matter.label(), matter, matter.tooltip());
        }
        getChildren().addAll(search, choice, place);
        model.matterProperty().addListener((o, a, b) -> refresh());
        model.bookProperty().addListener((o, a, b) -> refresh());
        model.openProperty().addListener((o, a, b) -> refresh());
        model.questionProperty().addListener((o, a, b) -> refresh());
        model.searchProperty().addListener((o, a, b) -> refresh());
        onRefresh(() -> {
            Matter matter = model.matterProperty().get();
            choice.show(matter);
            place.show(matter);
        });
    }

    private PageView page(Matter matter) {
        return switch (matter) {
            case SHELF -> new Shelf();
            case PAGE -> new Notes();
            case ANSWERS -> new Asked();
        };
    }

    /** Everything, and what waits to be looked at. */
    private final class Shelf extends PageView {

        private final Label count = quiet("");
        private final Button write = button("book-write", "", "A page for the stone on the cloth, from its plan and what was ticked off",
                model::write);
        private final Label heading = heading("To be looked at");
        private final VBox due = new VBox(2);

        Shelf() {
            write.getStyleClass().add("main");
            write.setMaxWidth(Double.MAX_VALUE);
            write.setWrapText(true);
            count.setId("book-count");
            Button save = button("book-save", "Save for other programs …",
                    "Rows of all stones (CSV), and the days on which they are to be looked at as a calendar (.ics)", this::save);
            getChildren().addAll(count, write, heading, due, save);
        }

        private void save() {
            DirectoryChooser chooser = new DirectoryChooser();
            chooser.setTitle("Where to save the book");
            Optional.ofNullable(chooser.showDialog(getScene().getWindow())).ifPresent(folder -> model.save(with.files(), folder.toPath()));
        }

        @Override
        public void refresh() {
            int all = model.bookProperty().get() == null ? 0 : model.bookProperty().get().pages().size();
            int found = model.found().size();
            count.setText(model.bookProperty().get() == null ? "The book is being read."
                    : found == all ? all + (all == 1 ? " stone" : " stones") : found + " of " + all + " stones");
            Optional<Project> stone = project();
            write.setText("Write " + stone.map(Project::name).orElse("") + " into the book");
            present(write, model.canWrite());
            due.getChildren().clear();
            model.due().forEach(p -> {
                Button each = button("due-" + p.id(), p.stone().name(), BookWords.next(p, model.today()), () -> {
                    model.turnTo(p.id());
                    ((Notes) place.page(Matter.PAGE)).show(Note.LASTED);
                });
                each.setMaxWidth(Double.MAX_VALUE);
                due.getChildren().add(each);
            });
            present(heading, !due.getChildren().isEmpty());
        }
    }

    /** What is noted on the open page. */
    private final class Notes extends PageView {

        private final Choice<Note> choice = new Choice<>("", this::show);
        private final Map<Note, VBox> notes = new EnumMap<>(Note.class);
        private final VBox under = new VBox();
        private Note shown = Note.WHERE;

        // where it is
        private final Choice<Page.Gone.Place> where = new Choice<>("", p -> gone(g -> g.withPlace(p)
                .withOutdoors(p == Page.Gone.Place.GARDEN || p == Page.Gone.Place.HIDDEN)
                .withPrice(p == Page.Gone.Place.SOLD ? g.price() : 0)
                .withSince(g.place() == Page.Gone.Place.HERE ? latest(model.today()) : g.since())));
        private final Choice<Boolean> outdoors = new Choice<>("", o -> gone(g -> g.withOutdoors(o)));
        private final Entry words = new Entry("gone-words", "To whom, or where exactly", "For a hidden stone: the rules of the place",
                () -> page().map(p -> p.gone().words()).orElse(""), text -> gone(g -> g.withWords(text.strip())));
        private final Entry price = new Entry("gone-price", "Price", "In your own money, such as 18.50",
                () -> page().map(p -> Numbers.money(p.gone().price())).orElse(""),
                text -> number(text, "18.50", v -> gone(g -> g.withPrice(v))));
        private final Entry since = dated("gone-since", "Since", () -> page().map(p -> p.gone().since()).orElse(model.today()),
                day -> gone(g -> g.withSince(day)));

        // how it lasted
        private final Choice<Page.Look.State> state = new Choice<>("", s -> looked = s);
        private Page.Look.State looked = Page.Look.State.LIKE_NEW;
        private LocalDate lookedOn;
        private final TextField lookWhere = field("look-where", "Where on it, such as on the rim");
        private final TextField lookWords = field("look-words", "In your words");
        private final Entry lookDay = dated("look-day", "On", () -> lookedOn == null ? model.today() : lookedOn, day -> {
            lookedOn = day;
            return Optional.empty();
        });

        // what happened
        private final Choice<Page.Event.Kind> kind = new Choice<>("", k -> happened = k);
        private Page.Event.Kind happened = Page.Event.Kind.WRONG;
        private final TextField product = field("event-product", "Pen or paint, where it was one");
        private final TextField eventWords = field("event-words", "In your words");

        private final Label problem = new Label();
        private final Button out = button("book-out", "", "Takes this page out of the book", this::takeOut);
        private String sure = "";
        private final VBox basket = new VBox(2);

        Notes() {
            for (Note note : Note.values()) {
                choice.option("note-" + note.name().toLowerCase(Locale.ROOT), note.label, note, note.label);
            }
            problem.getStyleClass().add("problem");
            problem.setId("book-problem");
            problem.setWrapText(true);
            notes.put(Note.WHERE, whereIs());
            notes.put(Note.LASTED, lasted());
            notes.put(Note.HAPPENED, happened());
            notes.put(Note.MORE, more());
            getChildren().addAll(choice, under, problem);
        }

        void show(Note note) {
            shown = note;
            say(Optional.empty());
            refresh();
        }

        private VBox whereIs() {
            for (Page.Gone.Place each : Page.Gone.Place.values()) {
                where.option("gone-" + each.name().toLowerCase(Locale.ROOT), each.label(), each, each.label());
            }
            outdoors.option("gone-indoors", "indoors", false, "No rain, frost or sun reaches it")
                    .option("gone-outdoors", "outdoors", true, "Rain, frost and sun reach it");
            return new VBox(10, where, outdoors, words, since, price);
        }

        private VBox lasted() {
            for (Page.Look.State each : Page.Look.State.values()) {
                state.option("look-" + each.name().toLowerCase(Locale.ROOT), each.label(), each, each.label());
            }
            state.show(looked);
            Button note = button("look-note", "Note it", "Writes it on the page", () -> {
                LocalDate on = lookedOn == null ? model.today() : lookedOn;
                Optional<String> refused = model.change(p -> p.plus(new Page.Look(on, looked, lookWhere.getText().strip(),
                        lookWords.getText().strip())));
                say(refused);
                if (refused.isEmpty()) {
                    lookWhere.clear();
                    lookWords.clear();
                }
            });
            note.getStyleClass().add("main");
            Button undo = button("look-undo", "Take the last look out", "What was noted last about how it lasted",
                    () -> model.change(p -> p.looks().isEmpty() ? p : p.withLooks(p.looks().subList(0, p.looks().size() - 1))));
            return new VBox(10, state, lookDay, lookWhere, lookWords, note, undo);
        }

        private VBox happened() {
            for (Page.Event.Kind each : Page.Event.Kind.values()) {
                kind.option("event-" + each.name().toLowerCase(Locale.ROOT), each.label(), each, each.label());
            }
            kind.show(happened);
            Button note = button("event-note", "Note it", "Writes it on the page", () -> {
                Optional<String> of = page().flatMap(p -> BookModel.used(p, product.getText()));
                if (!product.getText().isBlank() && of.isEmpty()) {
                    say(Optional.of("\"" + product.getText().strip() + "\" was not used on this stone. On it were: "
                            + page().map(p -> String.join(", ", p.used().stream().map(Page.Used::name).toList())).orElse("") + "."));
                    return;
                }
                LocalDate on = page().map(p -> p.made().finished()).orElse(model.today());
                Page.Event event = new Page.Event(on, happened, of.orElse(""), eventWords.getText().strip());
                Optional<String> refused = model.change(p -> p.plus(event));
                say(refused);
                if (refused.isEmpty()) {
                    page().ifPresent(p -> model.mind(p, event));
                    product.clear();
                    eventWords.clear();
                }
            });
            note.getStyleClass().add("main");
            Button undo = button("event-undo", "Take the last one out", "What was noted last about what happened",
                    () -> model.change(p -> p.events().isEmpty() ? p : p.withEvents(p.events().subList(0, p.events().size() - 1))));
            return new VBox(10, kind, product, eventWords, note, undo);
        }

        private VBox more() {
            Button again = button("book-again", "Paint it again", "A new stone of the same size with this design; what was learnt is told",
                    () -> model.again(Optional.empty(), () -> with.back()));
            again.getStyleClass().add("main");
            Button photo = button("book-add-photo", "Lay a photo to it …", "A PNG or JPEG; the original stays as it is", this::choosePhoto);
            Choice<LabelSheet.Size> label = new Choice<>("Label for gift or sale (PDF)", this::saveLabel);
            for (LabelSheet.Size size : LabelSheet.Size.values()) {
                String mm = (int) size.wideMm() + " × " + (int) size.highMm() + " mm";
                label.option("label-" + size.name().toLowerCase(Locale.ROOT), mm + " …", size, "A label of " + mm + ", to be cut out");
            }
            return new VBox(10, again, basket, photo, label, out);
        }

        private void saveLabel(LabelSheet.Size size) {
            FileChooser chooser = new FileChooser();
            chooser.setTitle("Where to save the label");
            chooser.setInitialFileName("label.pdf");
            Optional.ofNullable(chooser.showSaveDialog(getScene().getWindow()))
                    .ifPresent(file -> model.label(with.files(), size, 1, file.toPath()));
        }

        private void choosePhoto() {
            FileChooser chooser = new FileChooser();
            chooser.setTitle("A photo of this stone");
            chooser.getExtensionFilters().add(new FileChooser.ExtensionFilter("Photos", "*.jpg", "*.jpeg", "*.png", "*.JPG", "*.PNG"));
            File file = chooser.showOpenDialog(getScene().getWindow());
            if (file != null) {
                model.addPhoto(file.toPath());
            }
        }

        /** Asks first, as it cannot be taken back. */
        private void takeOut() {
            String id = model.openProperty().get();
            if (sure.equals(id)) {
                sure = "";
                model.takeOut();
            } else {
                sure = id;
                refresh();
            }
        }

        private Optional<Page> page() {
            return model.page();
        }

        private LocalDate latest(LocalDate day) {
            LocalDate finished = page().map(p -> p.made().finished()).orElse(day);
            return day.isBefore(finished) ? finished : day;
        }

        private Optional<String> gone(UnaryOperator<Page.Gone> how) {
            Optional<String> refused = model.change(p -> p.withGone(how.apply(p.gone())));
            say(refused);
            return refused;
        }

        private void say(Optional<String> refused) {
            problem.setText(refused.orElse(""));
            present(problem, refused.isPresent());
        }

        @Override
        public void refresh() {
            choice.show(shown);
            if (!under.getChildren().contains(notes.get(shown))) {
                under.getChildren().setAll(notes.get(shown));
            }
            if (!model.openProperty().get().equals(sure)) {
                sure = "";
            }
            out.setText(sure.isEmpty() ? "Take it out of the book" : "Take it out for good");
            page().ifPresent(p -> {
                where.show(p.gone().place());
                outdoors.show(p.gone().outdoors());
                present(price, p.gone().place() == Page.Gone.Place.SOLD);
                present(since, p.gone().place() != Page.Gone.Place.HERE);
                present(outdoors, p.gone().place() != Page.Gone.Place.HERE);
                basket.getChildren().clear();
                for (FoundStone found : workbench.studio().basket().stream().limit(4).toList()) {
                    basket.getChildren().add(button("again-" + found.id(), "… on " + found.name(), "The same design on this stone of the "
                            + "basket, to be fitted there", () -> model.again(Optional.of(found.stone()), () -> with.back())));
                }
            });
            words.refresh();
            price.refresh();
            since.refresh();
            lookDay.refresh();
        }
    }

    private TextField field(String id, String prompt) {
        TextField field = new TextField();
        field.setId(id);
        field.setPromptText(prompt);
        field.setAccessibleText(prompt);
        Hint.on(field, prompt);
        return field;
    }

    /** A day as it is written, such as 2026-05-01. */
    private static Entry dated(String id, String name, Supplier<LocalDate> get,
            Function<LocalDate, Optional<String>> take) {
        return new Entry(id, name, "A day, such as 2026-05-01", () -> get.get().toString(), text -> {
            try {
                return take.apply(LocalDate.parse(text.strip()));
            } catch (DateTimeParseException e) {
                return Optional.of("Write a day as 2026-05-01.");
            }
        });
    }

    /** What the book is asked. */
    private final class Asked extends PageView {

        private final Choice<Question> question = new Choice<>("", q -> model.questionProperty().set(q));
        private final Choice<Boolean> outdoors = new Choice<>("Where", o -> model.outdoorsProperty().set(o));

        private final Choice<Answers.Rock> rock = new Choice<>("On", r -> model.rockProperty().set(r));

        Asked() {
            for (Question each : Question.values()) {
                question.option("ask-" + each.name().toLowerCase(Locale.ROOT), each.label(), each, each.means());
            }
            outdoors.option("ask-outdoors", "outdoors", true, "Stones that rain, frost and sun reach")
                    .option("ask-indoors", "indoors", false, "Stones in the house");
            rock.option("ask-any-rock", "any rock", Answers.Rock.ANY, "Every kind of stone")
                    .option("ask-porous", "porous", Answers.Rock.POROUS, "Stone that drinks: sandstone, limestone, casts")
                    .option("ask-tight", "tight", Answers.Rock.TIGHT, "Stone that does not: granite, slate, basalt, flint");
            getChildren().addAll(question, outdoors, rock,
                    quiet("Counts are counts: three stones are three stones, and what nobody has looked at "
                            + "tells nothing."));
        }

        @Override
        public void refresh() {
            question.show(model.questionProperty().get());
            outdoors.show(model.outdoorsProperty().get());
            rock.show(model.rockProperty().get());
            present(outdoors, model.questionProperty().get() == Question.LASTS);
            present(rock, model.questionProperty().get() == Question.LASTS);
        }
    }
}
