package mosspebble.torture;

public final class Torture {
    public static void main(String[] args) {
        Tally tally = new Tally("plans");
        Plans.run(tally, Long.parseLong(args[0]), System.currentTimeMillis() + 60_000L * Integer.parseInt(args[1]), 1_000_000);
        System.out.println(tally.table() + tally.line());
    }
}
