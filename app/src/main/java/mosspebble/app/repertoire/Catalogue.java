package mosspebble.app.repertoire;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import mosspebble.core.project.Studio;
import mosspebble.core.sketch.Family;
import mosspebble.core.sketch.GuideKind;
import mosspebble.core.sketch.LetterSetting;
import mosspebble.core.sketch.OwnFile;
import mosspebble.core.sketch.Spoken;
import mosspebble.core.sketch.Subject;
import mosspebble.core.sketch.Typeface;
import mosspebble.core.sketch.family.Families;
import mosspebble.files.BuiltIn;

/** Everything that can be put on a stone, by shelf, and found by a few letters. */
public final class Catalogue {

    /** One thing to choose. */
    public record Offer(String id, String title, String shelf, Subject subject) {}

    /** A tracing that was kept. */
    public record Kept(String id, String title, OwnFile file) {}

    private static final String WRITTEN = "subject-written";

    private Catalogue() {}

    /** All offers in their order. */
    public static List<Offer> offers(Studio studio) {
        List<Offer> offers = new ArrayList<>();
        for (OwnFile own : studio.own()) {
            if (!own.drawnWith()) {
                continue; // a tracing is laid on as a whole, a picture is gone by
            }
            offers.add(new Offer("subject-" + own.id(), own.title(), "Your own",
                    own.kind() == OwnFile.Kind.MOTIF ? new Subject.Figure(own.id()) : new Subject.Word(List.of("Quillbeck"), own.id())));
        }
        for (BuiltIn.Kind kind : BuiltIn.Kind.values()) {
            BuiltIn.titles().stream().filter(t -> t.kind() == kind)
                    .forEach(t -> offers.add(new Offer("subject-" + t.id(), t.title(),
                            kind == BuiltIn.Kind.CHARACTER ? "Characters" : "Scenery and objects", new Subject.Figure(t.id()))));
        }
        for (Typeface face : BuiltIn.faces()) {
            offers.add(new Offer("subject-word-" + face.id(), "Words, " + face.title().toLowerCase(Locale.ROOT), "Words",
                    new Subject.Word(List.of("LANTERN"), face.id())));
        }
        LetterSetting plain = LetterSetting.plain();
        offers.add(new Offer("subject-word-arc", "Words on an arc", "Words",
                new Subject.Word(List.of("QUILLBECK"), "slab", plain.along(LetterSetting.Path.ARC, 110))));
        offers.add(new Offer("subject-word-wave", "Words on a wave", "Words",
                new Subject.Word(List.of("by the water"), "script", plain.along(LetterSetting.Path.WAVE, 45))));
        offers.add(new Offer("subject-word-rim", "Words round the rim", "Words",
                new Subject.Word(List.of("MIND THE STEP"), "slab", plain.along(LetterSetting.Path.RIM, 1))));
        for (Family family : Families.list()) {
            offers.add(new Offer("subject-" + family.id(), family.title(), "Patterns", new Subject.Pattern(family.id(), Map.of())));
        }
        Subject.Dots dots = Subject.Dots.usual();
        offers.add(new Offer("subject-dots", "Equal dots", "Borders of dots", dots));
        offers.add(new Offer("subject-dots-alternating", "Large and small in turn", "Borders of dots",
                dots.withShrink(new Subject.Dots.Shrink(Subject.Series.ALTERNATING, 0.5))));
        offers.add(new Offer("subject-dots-shrinking", "Shrinking dots", "Borders of dots",
                dots.withShrink(new Subject.Dots.Shrink(Subject.Series.SHRINKING, 0.3))));
        offers.add(new Offer("subject-dots-walking", "Walking dots", "Borders of dots",
                dots.withRing(new Subject.Dots.Ring(5, 3, 4)).withShrink(new Subject.Dots.Shrink(Subject.Series.WALKING, 0.36))));
        offers.add(new Offer("subject-dots-dragged", "Dragged dots", "Borders of dots",
                dots.withRing(new Subject.Dots.Ring(3, 0.8, 2)).withShrink(new Subject.Dots.Shrink(Subject.Series.DRAGGED, 0.5))));
        offers.add(
                new Offer("subject-dots-lines", "Dots between two lines", "Borders of dots", dots.withFrame(new Subject.Dots.Frame(5, 0))));
        offers.add(new Offer("subject-dots-step", "Two rings in step", "Borders of dots", dots.withFrame(new Subject.Dots.Frame(0, 1.6))));
        for (GuideKind kind : GuideKind.values()) {
            offers.add(new Offer("subject-guide-" + kind.name().toLowerCase(Locale.ROOT), kind.title(), "Pencil guides", kind.usual()));
        }
        return offers;
    }

    /** The offers whose title or shelf has all of the words; first those that begin with them, then what was asked for in so many words. */
    public static List<Offer> found(Studio studio, String text) {
        String[] wanted = text.toLowerCase(Locale.ROOT).strip().split("\\s+");
        List<Offer> found = new ArrayList<>();
        String start = text.toLowerCase(Locale.ROOT).strip();
        for (Offer offer : offers(studio)) {
            if (!start.isEmpty() && offer.title().toLowerCase(Locale.ROOT).startsWith(start)) {
                found.add(offer);
            }
        }
        spoken(text).ifPresent(found::add);
        for (Offer offer : offers(studio)) {
            if (found.contains(offer)) {
                continue;
            }
            String words = (offer.title() + " " + offer.shelf()).toLowerCase(Locale.ROOT);
            boolean all = true;
            for (String word : wanted) {
                all &= words.contains(word);
            }
            if (all) {
                found.add(offer);
            }
        }
        return found;
    }

    /** Tracings whose name has all of the words, the latest first. */
    static List<Kept> tracings(Studio studio, String text) {
        String[] wanted = text.toLowerCase(Locale.ROOT).strip().split("\\s+");
        List<Kept> kept = new ArrayList<>();
        for (OwnFile own : studio.own()) {
            String words = own.title().toLowerCase(Locale.ROOT) + " your tracings";
            if (own.kind() == OwnFile.Kind.TRACING && Arrays.stream(wanted).allMatch(words::contains)) {
                kept.add(0, new Kept("subject-" + own.id(), own.title(), own));
            }
        }
        return kept;
    }

    /** What is found, and last the text itself, to be written on the stone. */
    public static List<Offer> foundOrWritten(Studio studio, String text) {
        List<Offer> found = found(studio, text);
        String written = text.strip();
        boolean word = !written.isEmpty() && written.codePointCount(0, written.length()) <= Subject.Word.MOST_LETTERS
                && found.stream().noneMatch(o -> o.subject() instanceof Subject.Word);
        if (word) {
            found.add(new Offer(WRITTEN, "Write: " + written, "As written",
                    new Subject.Word(List.of(written.replaceAll("\\s+", " ")), BuiltIn.SLAB)));
        }
        return found;
    }

    /** Whether it is nothing but what was typed. */
    static boolean isWritten(Offer offer) {
        return offer.id().equals(WRITTEN);
    }

    /** What was asked for in so many words. */
    public static Optional<Offer> spoken(String text) {
        return Spoken.understood(text, BuiltIn.SLAB, Families.list())
                .map(u -> new Offer("subject-spoken", u.title(), "As asked for", u.subject()));
    }
}
