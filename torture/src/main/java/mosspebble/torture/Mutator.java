package mosspebble.torture;

import java.io.ByteArrayOutputStream;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.List;
import java.util.SplittableRandom;

/**
 * Changes files at random: bits, bytes, pieces cut, doubled, moved or spliced from another file, numbers and words put in that readers
 * dislike.
 */
final class Mutator {

    private static final List<String> NASTY = List.of("0", "-1", "1e308", "-1e308", "1e-308", "NaN", "Infinity", "99999999999999999999",
            "0.0000001", "1e5", "2147483648", "-0", "\"", "'", ";", ",", "\t", "\n", "\r\n", "<", ">", "&amp;", "&nbsp;",
            "&#0;", "<!--", "-->", "<![CDATA[", "]]>", "</svg>", "<g>", "<g transform=\"scale(1e9)\">",
            "<g transform=\"matrix(0 0 0 0 0 0)\">", "<path data-part=\"x\" d=\"M0 0L9 9\"/>", "A1 1 0 1 1 9 9", "C1 1 2 2 3 3", "Z", "M",
            "mm", "null", "true",
            "{}", "[]", "[[[[[[[[", "{\"a\":", "\uFEFF", "\u0000", "\uD83C\uDF19", "é", "../../", "%s%n", "=1+1", "#ffffff", "#zzzzzz",
            "viewBox=\"0 0 0.001 0.001\"", "viewBox=\"0 0 1 1e5\"", "data-clip=\"yes\"", "<!DOCTYPE a [<!ENTITY b \"c\">]>&b;");

    private final SplittableRandom random;

    Mutator(long seed) {
        random = new SplittableRandom(seed);
    }

    /** @param corpus what pieces are taken from */
    byte[] next(List<byte[]> corpus) {
        byte[] bytes = corpus.get(random.nextInt(corpus.size())).clone();
        int changes = 1 + random.nextInt(random.nextInt(4) == 0 ? 24 : 4);
        for (int i = 0; i < changes; i++) {
            bytes = once(bytes, corpus);
        }
        return bytes;
    }

    private byte[] once(byte[] bytes, List<byte[]> corpus) {
        if (bytes.length == 0) {
            return new byte[] {(byte) random.nextInt(256)};
        }
        int at = random.nextInt(bytes.length);
        int length = Math.min(bytes.length - at, 1 + random.nextInt(random.nextInt(3) == 0 ? 400 : 12));
        switch (random.nextInt(9)) {
            case 0 -> bytes[at] ^= (byte) (1 << random.nextInt(8));
            case 1 -> bytes[at] = (byte) random.nextInt(256);
            case 2 -> {
                return joined(Arrays.copyOf(bytes, at), Arrays.copyOfRange(bytes, at + length, bytes.length));
            }
            case 3 -> {
                byte[] piece = Arrays.copyOfRange(bytes, at, at + length);
                byte[] all = joined(Arrays.copyOf(bytes, at), piece);
                for (int i = random.nextInt(random.nextInt(4) == 0 ? 200 : 3); i > 0 && all.length < 400_000; i--) {
                    all = joined(all, piece);
                }
                return joined(all, Arrays.copyOfRange(bytes, at, bytes.length));
            }
            case 4 -> {
                byte[] other = corpus.get(random.nextInt(corpus.size()));
                int from = random.nextInt(Math.max(1, other.length));
                byte[] piece = Arrays.copyOfRange(other, from, Math.min(other.length, from + 1 + random.nextInt(200)));
                return joined(joined(Arrays.copyOf(bytes, at), piece),
                        Arrays.copyOfRange(bytes, Math.min(bytes.length, at + length), bytes.length));
            }
            case 5 -> {
                return joined(joined(Arrays.copyOf(bytes, at), nasty()), Arrays.copyOfRange(bytes, at, bytes.length));
            }
            case 6, 7 -> {
                return number(bytes, at);
            }
            default -> {
                return random.nextInt(4) == 0 ? Arrays.copyOf(bytes, at) : bytes;
            }
        }
        return bytes;
    }

    /** Puts something else in the place of the next number. */
    private byte[] number(byte[] bytes, int at) {
        int from = at;
        while (from < bytes.length && !(bytes[from] >= '0' && bytes[from] <= '9')) {
            from++;
        }
        int to = from;
        while (to < bytes.length && (bytes[to] >= '0' && bytes[to] <= '9' || bytes[to] == '.')) {
            to++;
        }
        byte[] other = random.nextBoolean() ? nasty()
                : String.valueOf(Math.pow(10, random.nextInt(-3, 8)) * random.nextDouble()).getBytes(StandardCharsets.US_ASCII);
        return joined(joined(Arrays.copyOf(bytes, from), other), Arrays.copyOfRange(bytes, to, bytes.length));
    }

    private byte[] nasty() {
        return NASTY.get(random.nextInt(NASTY.size())).getBytes(StandardCharsets.UTF_8);
    }

    private static byte[] joined(byte[] one, byte[] other) {
        ByteArrayOutputStream out = new ByteArrayOutputStream(one.length + other.length);
        out.writeBytes(one);
        out.writeBytes(other);
        return out.toByteArray();
    }
}
