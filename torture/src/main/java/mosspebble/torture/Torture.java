package mosspebble.torture;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.concurrent.Callable;
import picocli.CommandLine;
import picocli.CommandLine.Command;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;

/** The harness: one kind of torture, or all; a table of what came of it and one line that a script can read. */
@Command(name = "torture", description = "kills, disk, fuzz, long, files: what must not hurt a studio", mixinStandardHelpOptions = true)
public final class Torture implements Callable<Integer> {

    /** The kinds. */
    enum Kind { KILLS, WINDOW, DISK, FUZZ, LONG, FILES }

    @Parameters(arity = "0..1", paramLabel = "KIND", description = "${COMPLETION-CANDIDATES}; all if none is named")
    private Kind kind;

    @Option(names = "--minutes", paramLabel = "N", defaultValue = "10", description = "time for each kind (default: ${DEFAULT-VALUE})")
    private double minutes;

    @Option(names = "--seed", paramLabel = "S", defaultValue = "1", description = "the same seed does the same again, as far as the "
            + "machine lets it")
    private long seed;

    @Option(names = "--runs", paramLabel = "N", defaultValue = "1000000", description = "most runs of each sort within a kind")
    private int runs;

    public static void main(String[] args) {
        System.setProperty("java.awt.headless", "true");
        System.exit(new CommandLine(new Torture()).setCaseInsensitiveEnumValuesAllowed(true).execute(args));
    }

    @Override
    public Integer call() throws Exception {
        boolean clean = true;
        for (Kind each : kind == null ? Kind.values() : new Kind[] {kind}) {
            clean &= run(each, seed, runs, minutes).clean();
        }
        return clean ? 0 : 1;
    }

    /** Runs one kind and prints what came of it. */
    static Tally run(Kind kind, long seed, int runs, double minutes) throws Exception {
        Tally tally = new Tally(kind.name().toLowerCase(java.util.Locale.ROOT) + ", seed " + seed);
        Path folder = Files.createTempDirectory("torture");
        long until = System.currentTimeMillis() + (long) (60_000 * minutes);
        try {
            switch (kind) {
                case KILLS -> new Kills(tally, seed, folder).run(runs, until);
                case WINDOW -> new WindowKills(tally, seed, folder).run(runs, until);
                case DISK -> new Disk(tally, seed, folder).run(Math.min(runs, 100), until);
                case FUZZ -> new Fuzz(tally, seed, folder).run(runs, until);
                case LONG -> new LongRun(tally, seed, folder).run(Math.min(runs, 5000), until);
                case FILES -> new ForeignFiles(tally, seed, folder).run(runs, until);
            }
        } finally {
            Processes.clear(folder);
        }
        System.out.print(tally.table());
        System.out.println(tally.line());
        return tally;
    }
}
