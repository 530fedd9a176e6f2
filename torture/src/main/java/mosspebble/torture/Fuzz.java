package mosspebble.torture;

import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.Statement;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import javax.imageio.ImageIO;
import mosspebble.files.BuiltIn;
import mosspebble.files.FileTrouble;
import mosspebble.files.LanternWalk;
import mosspebble.files.MotifReader;
import mosspebble.files.OutlineReader;
import mosspebble.files.OwnFiles;
import mosspebble.files.PhotoFile;
import mosspebble.files.ShelfCsv;
import mosspebble.files.StudioStore;

/**
 * Mutated files for every reader: only clear errors, none over two seconds, none over 256 MB. What broke a reader once is in the corpus
 * ({@code cases/}).
 */
final class Fuzz {

    /** One costly reading for so many cheap ones. */
    private static final int COSTLY = 5;

    private interface Reader {
        void read(byte[] bytes) throws Exception;
    }

    private record Target(String name, List<byte[]> corpus, Reader reader, boolean cheap) {}

    private final Tally tally;
    private final long seed;
    private final Path folder;

    Fuzz(Tally tally, long seed, Path folder) {
        this.tally = tally;
        this.seed = seed;
        this.folder = folder;
    }

    /** @param most inputs of each cheap reader; a fifth of it for each costly one */
    void run(int most, long until) throws Exception {
        List<Target> targets = targets();
        List<Mutator> mutators = new ArrayList<>();
        for (int i = 0; i < targets.size(); i++) {
            mutators.add(new Mutator(seed * 31 + i));
        }
        for (Target target : targets) { // what is known comes first
            for (byte[] known : target.corpus()) {
                read(target, known, "corpus");
            }
        }
        for (int i = 0; i < most && System.currentTimeMillis() < until; i++) {
            for (int t = 0; t < targets.size(); t++) {
                if (targets.get(t).cheap() || i % COSTLY == 0) {
                    read(targets.get(t), mutators.get(t).next(targets.get(t).corpus()), "seed " + seed + ", input " + i);
                }
            }
        }
        Plans.run(tally, seed, until, Math.max(10, most / 200));
    }

    private void read(Target target, byte[] bytes, String name) throws IOException {
        Tally.Row row = tally.row(target.name());
        row.runs++;
        long from = System.nanoTime();
        List<String> wrong = new ArrayList<>();
        try {
            target.reader().read(bytes);
            row.acknowledged++;
        } catch (FileTrouble e) {
            wrong.addAll(Clear.wrong(e));
            if (e.getCause() instanceof OutOfMemoryError) {
                wrong.add("more than 256 MB");
            }
            wrong.replaceAll(w -> w + ": " + e.getMessage());
        } catch (Exception | StackOverflowError | OutOfMemoryError e) {
            wrong.add("threw " + e);
        }
        long ms = (System.nanoTime() - from) / 1_000_000;
        row.took(ms);
        row.unclear += wrong.isEmpty() ? 0 : 1;
        if (!wrong.isEmpty() || ms > Tally.SLOW_MS) {
            Path kept = Files
                    .createDirectories(
                            Path.of(System.getProperty("torture.cases", System.getProperty("java.io.tmpdir")), "moss-pebble-cases"))
                    .resolve(target.name().replace(' ', '-') + "-" + Integer.toHexString(java.util.Arrays.hashCode(bytes)));
            Files.write(kept, bytes);
            tally.fault(
                    target.name() + ", " + name + ": " + (wrong.isEmpty() ? ms + " ms" : String.join("; ", wrong)) + ", kept as " + kept);
        }
        Runtime memory = Runtime.getRuntime();
        row.mostBytes = Math.max(row.mostBytes, memory.totalMemory() - memory.freeMemory());
    }

    private List<Target> targets() throws Exception {
        List<Target> targets = new ArrayList<>();
        List<byte[]> motifs = new ArrayList<>(cases("motif"));
        for (BuiltIn.Title title : BuiltIn.titles()) {
            try (InputStream in = BuiltIn.class.getResourceAsStream("motifs/" + title.id() + ".svg")) {
                motifs.add(in.readAllBytes());
            }
        }
        targets.add(new Target("motif", motifs, bytes -> MotifReader.read(new ByteArrayInputStream(bytes), "kite.svg"), true));
        List<byte[]> outlines = new ArrayList<>(cases("outline"));
        outlines.addAll(motifs.subList(motifs.size() - 6, motifs.size()));
        outlines.add(
                ("<svg xmlns=\"http://www.w3.org/2000/svg\" width=\"92mm\" viewBox=\"0 0 92 70\"><path d=\"M46 0C80 0 92 20 92 35S70 70 46 "
                        + "70 0 50 0 35 20 0 46 0Z\"/></svg>").getBytes(StandardCharsets.UTF_8));
        targets.add(new Target("outline svg", outlines, bytes -> OutlineReader.read(new ByteArrayInputStream(bytes), "stone.svg"), true));
        StringBuilder ring = new StringBuilder("x,y\n");
        for (int i = 0; i < 60; i++) {
            ring.append(46 * Math.cos(i * Math.PI / 30)).append(',').append(35 * Math.sin(i * Math.PI / 30)).append('\n');
        }
        targets.add(new Target("outline csv",
                List.of(ring.toString().getBytes(StandardCharsets.UTF_8), "0;0\n40,5;0\n40,5;30\n0;30\n".getBytes(StandardCharsets.UTF_8)),
                bytes -> OutlineReader.read(new ByteArrayInputStream(bytes), "stone.csv"), true));
        Path shelf = folder.resolve("shelf.csv");
        ShelfCsv.write(LanternWalk.shelf(), shelf);
        List<byte[]> shelves = new ArrayList<>(cases("shelf"));
        shelves.add(Files.readAllBytes(shelf));
        shelves.add("name;kind;colour;left\nfog;brush paint;#99aabb;12,5 ml\n".getBytes(StandardCharsets.UTF_8));
        targets.add(new Target("shelf csv", shelves, bytes -> {
            for (ShelfCsv.Trouble trouble : ShelfCsv.read(new ByteArrayInputStream(bytes), "shelf.csv").troubles()) {
                if (trouble.sentence() == null || trouble.sentence().length() > 700 || trouble.sentence().contains("Exception")) {
                    throw new IllegalStateException("row told badly: " + trouble.sentence());
                }
            }
        }, true));
        targets.add(new Target("photo", List.of(photo("png"), photo("jpg")),
                bytes -> PhotoFile.read(Files.write(folder.resolve("photo.png"), bytes)), false));
        List<byte[]> fonts = new ArrayList<>();
        for (String name : List.of("PatrickHand_400Regular", "AlfaSlabOne_400Regular", "Fredoka_700Bold")) {
            try (InputStream in = BuiltIn.class.getResourceAsStream("fonts/" + name + ".ttf")) {
                fonts.add(in.readAllBytes());
            }
        }
        targets.add(new Target("font", fonts, bytes -> OwnFiles.read(Files.write(folder.resolve("hand.ttf"), bytes)), false));
        targets.add(new Target("studio document", documents(), this::document, false));
        targets.add(new Target("studio file", List.of(Files.readAllBytes(studio())), this::studioFile, false));
        return targets;
    }

    private static List<byte[]> cases(String kind) throws IOException {
        List<byte[]> found = new ArrayList<>();
        for (int i = 1;; i++) {
            try (InputStream in = Fuzz.class.getResourceAsStream("cases/" + kind + "-" + i)) {
                if (in == null) {
                    return found;
                }
                found.add(in.readAllBytes());
            }
        }
    }

    private static byte[] photo(String format) throws IOException {
        BufferedImage image = new BufferedImage(160, 120, BufferedImage.TYPE_INT_RGB);
        Random grain = new Random(3);
        for (int y = 0; y < 120; y++) {
            for (int x = 0; x < 160; x++) {
                image.setRGB(x, y, Math.hypot(x - 80, y - 60) < 40 ? 0x6e6a62 + grain.nextInt(9) : 0xf2efe6);
            }
        }
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        ImageIO.write(image, format, out);
        return out.toByteArray();
    }

    // --- studios

    private Path studio() throws FileTrouble {
        Path file = folder.resolve("good.pebble");
        if (!Files.exists(file)) {
            StudioStore.open(file, Child.fresh()).close();
        }
        return file;
    }

    private Connection sql(Path file) throws Exception {
        return DriverManager.getConnection("jdbc:sqlite:" + file.toAbsolutePath());
    }

    private List<byte[]> documents() throws Exception {
        List<byte[]> documents = new ArrayList<>(cases("document"));
        try (Connection connection = sql(studio()); Statement statement = connection.createStatement();
                ResultSet rows = statement.executeQuery("SELECT document FROM project")) {
            while (rows.next()) {
                documents.add(rows.getString(1).getBytes(StandardCharsets.UTF_8));
            }
        }
        return documents;
    }

    private void document(byte[] bytes) throws Exception {
        Path file = fresh("document.pebble");
        try (Connection connection = sql(file); Statement clear = connection.createStatement();
                PreparedStatement put = connection.prepareStatement(
                        "INSERT INTO project SELECT CASE WHEN json_valid(d) THEN coalesce(json_extract(d, '$.id'), 'x') ELSE 'x' END, 0, "
                                + "d FROM (SELECT ? AS d)")) {
            clear.execute("DELETE FROM project");
            put.setString(1, new String(bytes, StandardCharsets.UTF_8));
            put.executeUpdate();
        }
        StudioStore.open(file, Child.fresh()).close();
    }

    private void studioFile(byte[] bytes) throws Exception {
        Path file = fresh("mutated.pebble");
        Files.write(file, bytes);
        try {
            StudioStore.open(file, Child.fresh()).close();
        } catch (FileTrouble e) {
            if (!java.util.Arrays.equals(bytes, Files.readAllBytes(file))) {
                throw new IllegalStateException("refused and yet changed: " + e.getMessage(), e);
            }
            throw e;
        }
    }

    private Path fresh(String name) throws Exception {
        Path at = folder.resolve("one");
        Processes.clear(at);
        Files.createDirectories(at);
        return Files.copy(studio(), at.resolve(name));
    }
}
