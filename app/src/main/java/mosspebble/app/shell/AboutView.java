package mosspebble.app.shell;

import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.TextArea;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import mosspebble.app.control.Choice;
import mosspebble.app.screen.Panel;

/** Which version this is, where what is kept lies, what changed, and under which licences all of it is shipped. */
public final class AboutView extends VBox {

    /**
     * What is told of this program.
     *
     * @param studio the studio's file
     * @param copies its copies, in words
     */
    public record Facts(String version, Path studio, String copies) {}

    /** The pages of it. */
    enum Page {
        KEPT, CHANGED, LICENCES
    }

    private final Runnable closed;
    private final Label title = new Label("Moss Pebble");
    private final TextArea text = new TextArea();
    private final Choice<Page> pages = Choice.pages(this::show);
    private final Button close;
    private Page shown = Page.KEPT;
    private Facts facts;

    AboutView(Runnable showLog, Runnable closed) {
        this.closed = closed;
        setId("about");
        getStyleClass().add("log");
        setSpacing(10);
        setMaxSize(760, 520);
        title.setId("about-title");
        title.getStyleClass().add("empty-title");
        pages.option("about-kept", "What is kept", Page.KEPT, "Where the studio, its copies and the log lie")
                .option("about-changed", "What changed", Page.CHANGED, "By version, the newest first")
                .option("about-licences", "Licences", Page.LICENCES, "Of the program and of all that is shipped with it");
        text.setId("about-text");
        text.setEditable(false);
        text.setWrapText(true);
        text.setAccessibleText("About Moss Pebble");
        VBox.setVgrow(text, Priority.ALWAYS);
        Region gap = new Region();
        HBox.setHgrow(gap, Priority.ALWAYS);
        close = Panel.button("about-close", "Close", "Back to the stone (Escape)", this::close);
        HBox buttons = new HBox(10, Panel.button("about-log", "Show the log", "What the program wrote down", () -> {
            close();
            showLog.run();
        }), gap, close);
        buttons.setAlignment(Pos.CENTER_LEFT);
        getChildren().addAll(title, pages, text, buttons);
        addEventFilter(KeyEvent.KEY_PRESSED, e -> {
            if (e.getCode() == KeyCode.ESCAPE) {
                close();
                e.consume();
            }
        });
        Panel.present(this, false);
    }

    void open(Page page) {
        show(page);
        Panel.present(this, true);
        close.requestFocus();
    }

    /** What is known once it has been looked up. */
    void tell(Facts known) {
        facts = known;
        title.setText("Moss Pebble " + known.version());
        if (shown == Page.KEPT) {
            show(shown);
        }
    }

    private void show(Page page) {
        shown = page;
        pages.show(page);
        text.setText(switch (page) {
            case KEPT -> facts == null ? ""
                    : "Your studio: " + facts.studio() + "\n\nIts copies: " + facts.copies() + "\n\nIts log: in " + facts.studio()
                            .toAbsolutePath().getParent()
                            + "\n\nNothing of it leaves this machine, and taking the program off leaves it where it is.";
            case CHANGED -> plain(shipped("CHANGELOG.md"));
            case LICENCES -> plain(shipped("NOTICE.md")) + "\n\n" + shipped("LICENSE");
        });
        text.positionCaret(0);
    }

    void close() {
        Panel.present(this, false);
        closed.run();
    }

    private static String shipped(String name) {
        try (InputStream in = AboutView.class.getResourceAsStream(name)) {
            return in == null ? "" : new String(in.readAllBytes(), StandardCharsets.UTF_8).strip();
        } catch (IOException e) {
            return "";
        }
    }

    /** Marked text as one reads it: heads, points and rows of tables without their marks. */
    static String plain(String marked) {
        return marked.lines().filter(l -> !l.matches("\\|[-|: ]+\\|"))
                .map(l -> l.replaceAll("^#+ ", "").replaceAll("^[-*] ", "•  ").replaceAll("\\*\\*|`", "").replaceAll("^\\| | \\|$", "")
                        .replaceAll(" \\| ", "   ·   "))
                .reduce((a, b) -> a + "\n" + b).orElse("");
    }
}
