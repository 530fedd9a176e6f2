package mosspebble.files;

import java.io.ByteArrayInputStream;
import java.io.DataInputStream;
import java.io.DataOutputStream;
import java.nio.BufferUnderflowException;
import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.HexFormat;
import java.util.List;
import java.util.Optional;
import java.util.zip.DeflaterOutputStream;
import java.util.zip.InflaterInputStream;
import mosspebble.core.area.Grid;
import mosspebble.core.project.Project;

/**
 * The picture of the bare stone that a window begins with, kept beside the studio so that the next one can show it before anything is
 * worked out. It is no part of the studio: whoever throws it away loses nothing.
 *
 * @param grid where it lies on the stone
 * @param pixels premultiplied ARGB, row by row
 */
public record LastPicture(Grid grid, int[] pixels) {

    private static final int MARK = 0x6D705031;
    private static final int MOST_BYTES = 32 << 20;
    private static final int MOST_PIXELS = 4_000_000;

    /** Where it is kept. */
    public static Path file(Path studio) {
        String name = studio.getFileName().toString();
        return studio.resolveSibling("." + name.replaceAll("\\.pebble$", "") + ".last-picture");
    }

    /** What the picture of a bare stone depends on, as one number: the stone, the light on it, and the program that draws. */
    static String key(Project project, String version) {
        try {
            MessageDigest sum = MessageDigest.getInstance("SHA-256");
            for (Object each : List.of(version, project.stone(), project.habits().light())) {
                sum.update(StudioJson.write(each).getBytes(StandardCharsets.UTF_8));
                sum.update((byte) 0);
            }
            return HexFormat.of().formatHex(sum.digest());
        } catch (NoSuchAlgorithmException e) {
            throw new AssertionError("every Java has it", e);
        }
    }

    /**
     * The picture that was kept, if it is that of this stone as it is now.
     *
     * @param version of the program
     */
    public static Optional<LastPicture> read(Path studioFile, Project project, String version) {
        Path file = file(studioFile);
        if (!Files.isRegularFile(file)) {
            return Optional.empty();
        }
        try {
            return InFile.read(file, MOST_BYTES, "Throw it away.", (bytes, place) -> {
                DataInputStream in = new DataInputStream(new InflaterInputStream(new ByteArrayInputStream(bytes)));
                if (in.readInt() != MARK) {
                    return Optional.empty();
                }
                if (!in.readUTF().equals(key(project, version))) {
                    return Optional.empty();
                }
                Grid grid = new Grid(in.readDouble(), in.readDouble(), in.readDouble(), in.readInt(), in.readInt());
                if (grid.cells() > MOST_PIXELS) {
                    return Optional.empty();
                }
                byte[] raw = in.readNBytes(grid.cells() * Integer.BYTES);
                if (in.read() >= 0) { // besides, only here the checksum is compared
                    return Optional.empty();
                }
                int[] pixels = new int[grid.cells()];
                ByteBuffer.wrap(raw).asIntBuffer().get(pixels);
                return Optional.of(new LastPicture(grid, pixels));
            });
        } catch (FileTrouble | IllegalArgumentException | BufferUnderflowException e) { // half of it, or something else of that name
            return Optional.empty();
        }
    }

    /**
     * Keeps it for the next start.
     *
     * @param project as it was when the picture was drawn
     * @throws FileTrouble if it cannot be written; a picture that is too large is not
     */
    public void write(Path studioFile, Project project, String version) throws FileTrouble {
        if (pixels.length > MOST_PIXELS) {
            return;
        }
        SafeWrite.write(file(studioFile), to -> {
            DataOutputStream out = new DataOutputStream(new DeflaterOutputStream(to));
            out.writeInt(MARK);
            out.writeUTF(key(project, version));
            out.writeDouble(grid.left());
            out.writeDouble(grid.top());
            out.writeDouble(grid.cellMm());
            out.writeInt(grid.columns());
            out.writeInt(grid.rows());
            ByteBuffer raw = ByteBuffer.allocate(pixels.length * Integer.BYTES);
            raw.asIntBuffer().put(pixels);
            out.write(raw.array());
            out.close();
        });
    }
}
