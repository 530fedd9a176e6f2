package mosspebble.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;
import mosspebble.core.plan.Step;
import org.junit.jupiter.api.Test;
import org.objectweb.asm.ClassReader;
import org.objectweb.asm.ClassVisitor;
import org.objectweb.asm.Handle;
import org.objectweb.asm.MethodVisitor;
import org.objectweb.asm.Opcodes;

/**
 * Prose is never data: whoever plans, judges or lays paint holds no sentence; they all stand in {@code words}. What a constructor says when
 * it refuses stays where it is, and the names of the ways to lay a colour.
 */
class ProseTest {

    private static final List<String> SPEECHLESS = List.of("area", "blend", "care", "coats", "drying", "timetable", "supplies", "finding",
            "plan", "rules", "advice", "photo");

    @Test
    void noSentenceStandsOutsideTheWords() throws Exception {
        Path classes = Path.of(Step.class.getProtectionDomain().getCodeSource().getLocation().toURI());
        List<String> found = new ArrayList<>();
        int read = 0;
        for (String name : SPEECHLESS) {
            try (Stream<Path> files = Files.list(folder(classes, name))) {
                for (Path file : files.filter(f -> f.toString().endsWith(".class") && !f.endsWith("BlendKind.class")).toList()) {
                    found.addAll(sentences(file));
                    read++;
                }
            }
        }
        assertThat(read).isGreaterThan(100);
        assertThat(found).isEmpty();
        try (Stream<Path> words = Files.list(folder(classes, "words"))) {
            assertThat(words.filter(f -> f.toString().endsWith(".class")).flatMap(f -> sentences(f).stream()).count())
                    .as("the scan does find sentences where they are").isGreaterThan(80);
        }
    }

    private static Path folder(Path classes, String name) throws IOException {
        Path root = Files.isDirectory(classes) ? classes : java.nio.file.FileSystems.newFileSystem(classes).getPath("/");
        return root.resolve("mosspebble/core/" + name);
    }

    private static List<String> sentences(Path file) {
        List<String> found = new ArrayList<>();
        try (InputStream in = Files.newInputStream(file)) {
            new ClassReader(in).accept(new ClassVisitor(Opcodes.ASM9) {
                @Override
                public MethodVisitor visitMethod(int access, String method, String descriptor, String signature, String[] exceptions) {
                    return new Strings(file.getFileName() + " " + method + ": ", found);
                }
            }, 0);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return found;
    }

    /** Text of a method, less what goes into an exception. */
    private static final class Strings extends MethodVisitor {
        private final String where;
        private final List<String> found;
        private int refusing;

        Strings(String where, List<String> found) {
            super(Opcodes.ASM9);
            this.where = where;
            this.found = found;
        }

        @Override
        public void visitTypeInsn(int opcode, String type) {
            refusing += opcode == Opcodes.NEW && type.endsWith("Exception") ? 1 : 0;
        }

        @Override
        public void visitMethodInsn(int opcode, String owner, String name, String descriptor, boolean isInterface) {
            refusing -= opcode == Opcodes.INVOKESPECIAL && owner.endsWith("Exception") && name.equals("<init>") && refusing > 0 ? 1 : 0;
        }

        @Override
        public void visitLdcInsn(Object value) {
            look(value);
        }

        @Override
        public void visitInvokeDynamicInsn(String name, String descriptor, Handle bootstrap, Object... arguments) {
            for (Object each : arguments) {
                look(each);
            }
        }

        /** Three words in a row are a sentence, or a piece of one. */
        private void look(Object value) {
            if (refusing == 0 && value instanceof String text && text.matches("(?s).*[a-z]+ [a-z]+ [a-z]+.*")) {
                found.add(where + text);
            }
        }
    }
}
