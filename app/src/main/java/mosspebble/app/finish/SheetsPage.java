package mosspebble.app.finish;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
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
import mosspebble.core.units.LengthUnit;
import mosspebble.core.words.CareWords;
import mosspebble.core.words.SealWords;
import mosspebble.files.FileTrouble;
import mosspebble.files.Paper;
import mosspebble.files.SheetBook;
import mosspebble.files.Sheets;
import mosspebble.files.SmearSheet;

/** Prints the sheets, or writes them. */
final class SheetsPage extends PageView {

    private final Panel panel;
    private final FinishModel model;
    private final Label untriedWords = Panel.quiet("");
    private final VBox untried;
    private final VBox cautions = new VBox(5);

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
        getChildren().addAll(new HBox(14, papers, cards), more, out, untried, Panel.heading("Take care"), cautions);
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
        if (panel.project().isEmpty()) {
            return;
        }
        List<Untested.Pair> pairs = model.untested();
        Panel.present(untried, !pairs.isEmpty());
        untriedWords.setText(CareWords.untried(pairs));
        cautions.getChildren().setAll(SealWords.cautions(model.advice()).stream().map(Panel::quiet).toList());
    }

    /** Writes guide and step cards. */
    void save() {
        LengthUnit unit = panel.workbench.studio().unit();
        Paper paper = model.paperProperty().get();
        Sheets.Layout layout = model.layout();
        model.exports.write("-sheets.pdf", (plan, file, progress) -> Sheets.write(plan, paper, unit, layout, file, progress));
    }

    /** Prints them on the usual printer. */
    void print() {
        LengthUnit unit = panel.workbench.studio().unit();
        Paper paper = model.paperProperty().get();
        Sheets.Layout layout = model.layout();
        model.exports.make((plan, progress) -> {
            List<PrintService> printers = SheetBook.printers();
            if (printers.isEmpty()) {
                throw new FileTrouble(plan.project().name(), "There is no printer on this machine.",
                        "Save the PDF and print it elsewhere, at 100 % with no fitting to the page.");
            }
            Optional<SheetBook> book = Sheets.book(plan, paper, unit, layout, progress);
            if (book.isEmpty()) {
                return Optional.empty();
            }
            book.get().print(printers.get(0), plan.project().name());
            return Optional.of("Sent to " + printers.get(0).getName() + ": " + book.get().titles().size() + " pages.");
        });
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
