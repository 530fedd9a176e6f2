package mosspebble.app.book;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import mosspebble.app.screen.Panel;
import mosspebble.app.screen.Surroundings;
import mosspebble.core.book.Answers;
import mosspebble.core.book.Page;
import mosspebble.core.plan.PaintPlan;
import mosspebble.core.units.Numbers;
import mosspebble.core.units.Words;
import mosspebble.core.words.BookWords;

/** An answer of the book: the sentence, a plot where looking beats reading, and the stones behind it. */
final class AnswerView extends VBox {

    private final Surroundings with;
    private final BookModel model;
    private final Label said = new Label();
    private final Label about = Panel.quiet("");
    private final AnswerPlot plot;
    private final VBox rows = new VBox(2);

    AnswerView(Surroundings with, BookModel model) {
        super(10);
        this.with = with;
        this.model = model;
        this.plot = new AnswerPlot(with, model);
        setId("book-answer");
        getStyleClass().add("book-answer");
        said.setId("book-said");
        said.getStyleClass().add("book-said");
        said.setWrapText(true);
        said.setMinHeight(Region.USE_PREF_SIZE);
        VBox content = new VBox(12, plot, rows);
        ScrollPane scroll = new ScrollPane(content);
        scroll.setFitToWidth(true);
        scroll.setHbarPolicy(ScrollPane.ScrollBarPolicy.NEVER);
        scroll.getStyleClass().add("stage-scroll");
        VBox.setVgrow(scroll, Priority.ALWAYS);
        getChildren().addAll(said, about, scroll);
    }

    void refresh() {
        List<Page> pages = model.bookProperty().get().pages();
        rows.getChildren().clear();
        about.setText(model.questionProperty().get().means() + ".");
        switch (model.questionProperty().get()) {
            case LASTS -> lasts(pages);
            case TAKES -> takes(pages);
            case FAILED -> failed(pages);
            case SOLD -> sold(pages);
            case OUT -> out(pages);
        }
    }

    private void lasts(List<Page> pages) {
        boolean out = model.outdoorsProperty().get();
        Answers.Rock rock = model.rockProperty().get();
        List<Answers.Sealed> sealers = Answers.sealers(pages,
                p -> p.gone().outdoors() == out && p.gone().place() != Page.Gone.Place.HERE && rock.fits(p));
        said.setText(BookWords.lasting(sealers, out, rock));
        about.setText(
                "A thread for each stone from the day it went out: a ring where it was like new when it was seen last, a cross where it "
                        + "was worn. What has not worn yet counts as long as it was seen (Kaplan and Meier, 1958).");
        plot.lasts(sealers);
        sealers.forEach(s -> rows.getChildren().add(new Label(Words.upper(BookWords.name(s.sealer())) + ": "
                + BookWords.lasts(s) + ".")));
    }

    private void takes(List<Page> pages) {
        List<Answers.Took> times = Answers.times(pages);
        PaintPlan plan = with.results().plan();
        double area = plan == null ? 0 : plan.survey().facts().paintableMm2();
        Optional<Answers.Middle> like = area > 0 ? Answers.hours(pages, area) : Optional.empty();
        said.setText(BookWords.takes(times, like, Answers.asPlanned(pages)));
        plot.takes(times, area, plan == null || plan.steps().isEmpty() ? 0 : plan.handTime().toMinutes() / 60.0);
        List<Answers.Took> largest = new ArrayList<>(times);
        Collections.reverse(largest);
        largest.forEach(t -> row(t.page(), BookWords.hours(t.hours()) + ", " + Numbers.text(t.area() / 100, 0) + " cm² painted"));
    }

    private void failed(List<Page> pages) {
        List<Answers.Behaved> failures = Answers.failures(pages);
        said.setText(BookWords.failed(failures));
        plot.failed(failures);
        failures.forEach(f -> f.failed().forEach(p -> p.events().stream()
                .filter(e -> e.kind().fails() && e.product().equals(f.product()))
                .forEach(e -> row(p.id(), f.name() + " " + e.kind().label() + (e.words().isBlank() ? "" : ", " + e.words())))));
    }

    private void sold(List<Page> pages) {
        List<Answers.Sale> sales = Answers.sales(pages);
        said.setText(BookWords.sold(sales, Answers.perHour(sales)));
        plot.sold(sales);
        sales.forEach(s -> row(s.page(), Numbers.money(s.price()) + " for " + BookWords.hours(s.hours()) + ": " + Numbers.money(s.perHour())
                + " an hour"));
    }

    private void out(List<Page> pages) {
        List<Page> due = model.due();
        said.setText(BookWords.out(pages, due.size()));
        plot.out(pages);
        due.forEach(p -> row(p.id(), BookWords.next(p, model.today())));
        pages.stream().filter(p -> !due.contains(p) && p.gone().place() != Page.Gone.Place.HERE)
                .forEach(p -> row(p.id(), BookWords.gone(p)));
    }

    /** A stone behind the answer; pressing it turns to its page. */
    private void row(String page, String words) {
        StonePrint print = new StonePrint(model, 34);
        Page of = model.bookProperty().get().page(page).orElseThrow();
        print.show(of);
        Label name = new Label(of.stone().name());
        name.setMinWidth(Region.USE_PREF_SIZE);
        Label facts = Panel.quiet(words);
        facts.setWrapText(false);
        facts.setMinWidth(0);
        facts.getStyleClass().add("shortened"); // whole on its page
        HBox row = new HBox(10, print, name, facts);
        row.setAlignment(Pos.CENTER_LEFT);
        Button button = new Button("", row);
        button.getStyleClass().add("next-pass");
        button.setMaxWidth(Double.MAX_VALUE);
        button.setAlignment(Pos.CENTER_LEFT);
        button.setId("answer-" + page);
        button.setAccessibleText(of.stone().name() + ": " + words);
        button.setOnAction(e -> model.turnTo(page));
        rows.getChildren().add(button);
    }
}
