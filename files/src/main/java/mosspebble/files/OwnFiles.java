package mosspebble.files;

import java.awt.Font;
import java.awt.FontFormatException;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.Base64;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.Supplier;
import mosspebble.core.photo.Photo;
import mosspebble.core.project.Project;
import mosspebble.core.project.SheetBelow;
import mosspebble.core.project.Studio;
import mosspebble.core.project.Tracing;
import mosspebble.core.sketch.Family;
import mosspebble.core.sketch.Motif;
import mosspebble.core.sketch.OwnFile;
import mosspebble.core.sketch.Repertoire;
import mosspebble.core.sketch.Subject;
import mosspebble.core.sketch.Typeface;

/** Motifs and faces of the painter's own: read, checked as strictly as anything from outside, and kept in the studio. */
public final class OwnFiles {

    private static final long LARGEST_MOTIF = 2_000_000;
    private static final long LARGEST_FONT = 4_000_000;

    /** Words and patterns remembered as they were made. */
    private static final int REMEMBERED = 60;

    private OwnFiles() {}

    /**
     * Reads a motif (SVG) or a face (TrueType or OpenType), by what is in the file.
     *
     * @throws FileTrouble saying what is wrong and what to do; nothing is kept
     */
    public static OwnFile read(Path file) throws FileTrouble {
        return InFile.read(file, LARGEST_FONT, "A motif has 2 MB at most, a font 4 MB.", OwnFiles::read);
    }

    static OwnFile read(byte[] bytes, String name) throws FileTrouble {
        return looksLikeFont(bytes) || name.toLowerCase(Locale.ROOT).matches(".*\\.(ttf|otf)") ? face(bytes, name) : motif(bytes, name);
    }

    private static OwnFile motif(byte[] bytes, String name) throws FileTrouble {
        if (bytes.length > LARGEST_MOTIF) {
            throw new FileTrouble(name, "The file has more than 2 MB.", "Simplify the paths.");
        }
        Motif motif = MotifReader.read(bytes, name);
        return new OwnFile(OwnFile.Kind.MOTIF, "own-" + motif.id(), shortened(motif.title().isBlank() ? motif.id() : motif.title()),
                new String(bytes, StandardCharsets.UTF_8));
    }

    private static OwnFile face(byte[] bytes, String name) throws FileTrouble {
        Font font = font(bytes, name);
        if (font.canDisplayUpTo("AHaehn") >= 0) {
            throw new FileTrouble(name, "The font has no plain Latin letters.", "Choose another font.");
        }
        FontFace trial = new FontFace("trial", name, bytes);
        for (char letter = ' '; letter < 127; letter++) {
            InFile.stopIfAsked(name);
            if (font.canDisplay(letter) && trial.glyph(letter).isEmpty()) {
                throw new FileTrouble(name, "The letter \"" + letter + "\" of the font cannot be drawn.", "Choose another font.");
            }
        }
        String title = shortened(font.getFontName(Locale.ROOT));
        String id = title.toLowerCase(Locale.ROOT).replaceAll("[^a-z0-9]+", "-").replaceAll("^-|-$", "");
        return new OwnFile(OwnFile.Kind.FACE, "own-" + (id.isEmpty() ? "face" : id.substring(0, Math.min(40, id.length()))), title,
                Base64.getEncoder().encodeToString(bytes));
    }

    /**
     * A tracing to be kept under a name.
     *
     * @param studio for an id that is free there
     * @throws IllegalArgumentException if the name is empty or too long, or there is too much on it
     */
    public static OwnFile kept(Tracing tracing, String name, Studio studio) {
        String content = StudioJson.write(tracing);
        for (int i = 1;; i++) {
            String id = "own-tracing-" + i;
            if (studio.own().stream().noneMatch(o -> o.id().equals(id))) {
                return new OwnFile(OwnFile.Kind.TRACING, id, name.strip(), content);
            }
        }
    }

    /** A tracing that was kept, to be laid on a stone. */
    public static Tracing tracing(OwnFile kept) throws FileTrouble {
        if (kept.kind() != OwnFile.Kind.TRACING) {
            throw new FileTrouble(kept.title(), "This is no tracing.", "Choose a tracing.");
        }
        return StudioJson.read(kept.content(), Tracing.class, kept.title());
    }

    /** Longer side of a picture to go by, pixels. */
    private static final int SHEET_PIXELS = 1400;

    /**
     * Reads a drawing or photo (PNG or JPEG) to go by on the face of a stone that is up, as wide as the stone.
     *
     * @throws FileTrouble if it is no picture, damaged or too large
     */
    public static OwnFile sheet(Path file, Project on) throws FileTrouble {
        Photo photo = PhotoFile.read(file);
        String jpeg = Base64.getEncoder().encodeToString(PhotoFile.shrunk(photo, SHEET_PIXELS));
        double wide = Math.min(on.stone().length().value(), on.stone().width().value() * photo.width() / photo.height());
        return kept(new SheetBelow(on.id(), on.sides().backUp(), 0, 0, 0, wide, true, jpeg), shortened(file.getFileName().toString()));
    }

    /** A picture to go by, to be kept with the studio. */
    public static OwnFile kept(SheetBelow sheet, String title) {
        return new OwnFile(OwnFile.Kind.SHEET, SheetBelow.id(sheet.stone(), sheet.backUp()), title, StudioJson.write(sheet));
    }

    /** A picture to go by that was kept. */
    public static SheetBelow sheet(OwnFile kept) throws FileTrouble {
        if (kept.kind() != OwnFile.Kind.SHEET) {
            throw new FileTrouble(kept.title(), "This is no picture to go by.", "Bring it again.");
        }
        return StudioJson.read(kept.content(), SheetBelow.class, kept.title());
    }

    private static String shortened(String title) {
        return Said.first(title, 60);
    }

    private static boolean looksLikeFont(byte[] bytes) {
        if (bytes.length < 12) {
            return false;
        }
        String magic = new String(bytes, 0, 4, StandardCharsets.ISO_8859_1);
        return magic.equals("\0\1\0\0") || magic.equals("OTTO") || magic.equals("true") || magic.equals("ttcf");
    }

    private static Font font(byte[] bytes, String name) throws FileTrouble {
        if (!looksLikeFont(bytes)) {
            throw new FileTrouble(name, "This is not a font: it does not begin as a TrueType or OpenType file does.",
                    "Choose a .ttf or .otf file.");
        }
        try {
            return Font.createFont(Font.TRUETYPE_FONT, new ByteArrayInputStream(bytes));
            // the toolkit's reader answers some damaged files with unchecked exceptions
        } catch (FontFormatException | IOException | RuntimeException e) {
            throw new FileTrouble(name, "The font is damaged.", "Get the font again, or choose another.", e);
        }
    }

    /** A repertoire and with it the painter's own; each is read when it is first asked for. */
    public static Repertoire with(Repertoire shipped, List<OwnFile> own) {
        Map<String, Optional<Motif>> motifs = new ConcurrentHashMap<>();
        Map<String, Optional<Typeface>> faces = new ConcurrentHashMap<>();
        Map<Subject, Optional<Motif>> made = new LinkedHashMap<>(16, 0.75f, true) {
            @Override
            protected boolean removeEldestEntry(Map.Entry<Subject, Optional<Motif>> eldest) {
                return size() > REMEMBERED;
            }
        };
        return new Repertoire() {
            @Override
            public Optional<Motif> motif(String id) {
                Optional<OwnFile> mine = own.stream().filter(o -> o.kind() == OwnFile.Kind.MOTIF && o.id().equals(id)).findFirst();
                return mine.isEmpty() ? shipped.motif(id) : motifs.computeIfAbsent(id, key -> readAgain(mine.get()));
            }

            @Override
            public Optional<Typeface> typeface(String id) {
                Optional<OwnFile> mine = own.stream().filter(o -> o.kind() == OwnFile.Kind.FACE && o.id().equals(id)).findFirst();
                return mine.isEmpty() ? shipped.typeface(id) : faces.computeIfAbsent(id,
                        key -> mine.map(m -> new FontFace(m.id(), m.title(), Base64.getDecoder().decode(m.content()))));
            }

            @Override
            public Optional<Family> family(String id) {
                return shipped.family(id);
            }

            @Override
            public Optional<Motif> made(Subject subject, Supplier<Optional<Motif>> making) {
                synchronized (made) {
                    Optional<Motif> known = made.get(subject);
                    if (known != null) {
                        return known;
                    }
                }
                Optional<Motif> fresh = making.get();
                synchronized (made) {
                    made.put(subject, fresh);
                }
                return fresh;
            }
        };
    }

    private static Optional<Motif> readAgain(OwnFile mine) {
        try {
            return Optional.of(MotifReader.read(mine.content().getBytes(StandardCharsets.UTF_8), mine.title()));
        } catch (FileTrouble e) {
            // it was read before it was kept; a reader that has become stricter leaves it out, and the finding says so
            return Optional.empty();
        }
    }
}
