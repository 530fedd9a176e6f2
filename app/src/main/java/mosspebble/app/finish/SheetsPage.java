package mosspebble.app.finish;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.Consumer;
import javafx.beans.property.BooleanProperty;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ToggleButton;
import javafx.geometry.Pos;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;
import javax.print.PrintService;
import mosspebble.app.control.Choice;
import mosspebble.app.control.Hint;
import mosspebble.app.screen.PageView;
import mosspebble.app.screen.Panel;
import mosspebble.core.plan.Untested;
import mosspebble.core.project.Studio;
import mosspebble.core.words.CareWords;
import mosspebble.files.FileTrouble;
import mosspebble.files.LabelSheet;
import mosspebble.files.Paper;
import mosspebble.files.SheetBook;
import mosspebble.files.Sheets;
import mosspebble.files.SmearSheet;

/** Prints the sheets, or writes them. */
final class SheetsPage extends PageView {

    private final Panel panel;
    private final FinishModel model;
    private final Choice<FinishModel.Pages> what;
    /** Room for three short words in a row. */
    private static final double THREE_SHORT = 172;

    private final Choice<Sheets.Cards> steps;
    private final VBox ofStone = new VBox(12);
    private final VBox ofLabel = new VBox(12);
    private final Label untriedWords = Panel.quiet("");
    private final VBox untried;

    SheetsPage(Panel panel, FinishModel model) {
        this.panel = panel;
        this.model = model;
        Choice<Paper> papers = new Choice<>("Paper", p -> model.paperProperty().set(p));
        for (Paper p : Paper.values()) {
            papers.option("paper-" + p.name().toLowerCase(Locale.ROOT), p.label(), p, p.label());
        }
        papers.show(model.paperProperty().get());
        Choice<Sheets.Cards> cards = new Choice<>("Steps", c -> model.cardsProperty().set(c));
        for (Sheets.Cards each : Sheets.Cards.values()) {
            cards.option("cards-" + each.name().toLowerCase(Locale.ROOT), each.label(), each, each.tooltip());
        }
        cards.show(model.cardsProperty().get());
        steps = cards;
        steps.setMinWidth(THREE_SHORT);
        what = new Choice<>("On the table", p -> model.pagesProperty().set(p));
        for (FinishModel.Pages each : FinishModel.Pages.values()) {
            what.option("pages-" + each.name().toLowerCase(Locale.ROOT), each.label(), each, each.tooltip());
        }
        Choice<LabelSheet.Size> size = new Choice<>("Size", s -> model.labelSizeProperty().set(s));
        for (LabelSheet.Size each : LabelSheet.Size.values()) {
            size.option("label-" + each.name().toLowerCase(Locale.ROOT), each.name().toLowerCase(Locale.ROOT), each,
                    Math.round(each.wideMm()) + " by " + Math.round(each.highMm()) + " mm");
        }
        size.show(model.labelSizeProperty().get());
        Choice<Boolean> count = new Choice<>("How many", f -> model.pageFullProperty().set(f));
        count.option("labels-one", "one", false, "One label").option("labels-full", "a page full", true, "As many as a page holds");
        count.show(model.pageFullProperty().get());
        ofLabel.getChildren().addAll(size, count);
        HBox more = new HBox(6,
                also("mirrored", "Mirrored guide", "The guide once more, left and right exchanged, to rub off or trace from behind",
                        model.mirroredProperty()),
                also("template", "Template", "A sheet to cut out, with bridges for what would fall out, where the design leaves one",
                        model.templateProperty()));
        Button print = Panel.button("print", "Print", "Guide and cards on the printer of this machine, unscaled", this::print);
        print.getStyleClass().addAll("main", "widest");
        print.setMaxWidth(Double.MAX_VALUE);
        Button save = Panel.button("export-sheets", "Save as PDF", "The guide at true size and a card for every step", this::save);
        save.setMinHeight(44);
        save.setMinWidth(Region.USE_PREF_SIZE);
        HBox.setHgrow(print, Priority.ALWAYS);
        HBox out = new HBox(8, print, save);
        out.setAlignment(Pos.CENTER_LEFT);
        untried = new VBox(6, untriedWords, Panel.button("export-tests", "Test sheet (PDF)", "A field for each to try it under the sealer",
                this::testSheet));
        untried.setId("untried");
        ofStone.getChildren().addAll(more);
        getChildren().addAll(what, new HBox(14, papers, steps), ofStone, ofLabel, out, untried);
        model.pagesProperty().addListener((o, a, b) -> refresh());
    }

    private static ToggleButton also(String id, String words, String tooltip, BooleanProperty wanted) {
        ToggleButton button = new ToggleButton(words);
        button.setId(id);
        button.getStyleClass().add("pebble");
        Hint.on(button, tooltip);
        button.selectedProperty().bindBidirectional(wanted);
        return button;
    }

    @Override
    public void refresh() {
        FinishModel.Pages pages = model.pagesProperty().get();
        boolean stone = pages == FinishModel.Pages.STONE;
        what.show(pages);
        Panel.present(ofStone, stone);
        Panel.present(steps, stone);
        Panel.present(ofLabel, pages == FinishModel.Pages.LABEL);
        Panel.present(untried, false);
        if (panel.project().isEmpty() || !stone) {
            return;
        }
        List<Untested.Pair> pairs = model.untested();
        Panel.present(untried, !pairs.isEmpty());
        untriedWords.setText(CareWords.untried(pairs));
    }

    /** Writes what lies on the table, guide and step cards of what is kept now. */
    void save() {
        made(making -> model.exports.write(model.ending(), (plan, file, progress) -> {
            Optional<SheetBook> book = making.of(plan, progress);
            if (book.isPresent()) {
                book.get().save(file);
            }
            return book.isPresent();
        }));
    }

    /** Prints the same on the usual printer. */
    void print() {
        made(making -> model.exports.make((plan, progress) -> {
            List<PrintService> printers = SheetBook.printers();
            if (printers.isEmpty()) {
                throw new FileTrouble(plan.project().name(), "There is no printer on this machine.",
                        "Save the PDF and print it elsewhere, at 100 % with no fitting to the page.");
            }
            Optional<SheetBook> book = making.of(plan, progress);
            if (book.isEmpty()) {
                return Optional.empty();
            }
            book.get().print(printers.get(0), plan.project().name());
            return Optional.of("Sent to " + printers.get(0).getName() + ": " + book.get().titles().size() + " pages.");
        }));
    }

    private void made(Consumer<FinishModel.Making> then) {
        model.making().ifPresentOrElse(then, () -> model.exports.say("The pages are not made yet."));
    }

    /** Writes a sheet to try out what was never tried under the sealer. */
    void testSheet() {
        Paper paper = model.paperProperty().get();
        Studio studio = panel.workbench.studio();
        model.exports.write("-tests.pdf", (plan, file, progress) -> {
            List<Untested.Pair> pairs = Untested.of(plan, studio.shelf(), studio.known());
            if (pairs.isEmpty()) {
                throw new FileTrouble(plan.project().name(), "All its pens and inks were tried under its sealer.",
                        "There is nothing to test.");
            }
            SmearSheet.write(pairs, paper, file);
            return true;
        });
    }
}
