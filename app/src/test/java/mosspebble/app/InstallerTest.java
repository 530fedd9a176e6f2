package mosspebble.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.awt.image.BufferedImage;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import javax.imageio.ImageIO;
import javax.xml.parsers.DocumentBuilderFactory;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.w3c.dom.Element;
import picocli.CommandLine;

/** What lies beside the program when it is installed. */
class InstallerTest {

    private static final Path FOLDER = Path.of("installer");

    private static String file(String name) throws IOException {
        return Files.readString(FOLDER.resolve(name));
    }

    @Test
    void theManualNamesAllThatCanBeAskedForAndNothingElse() throws IOException {
        String manual = file("moss-pebble.1").replace("\\-", "-");
        CommandLine line = Main.commandLine();
        List<String> options = new ArrayList<>();
        List<CommandLine> all = new ArrayList<>(line.getSubcommands().values());
        all.add(line);
        all.forEach(c -> c.getCommandSpec().options().forEach(o -> options.addAll(Arrays.asList(o.names()))));
        line.getSubcommands().keySet().forEach(name -> assertThat(manual).contains("\n.B " + name + "\n"));
        assertThat(options).hasSizeGreaterThan(15)
                .allSatisfy(name -> assertThat(manual).containsPattern("(?<![\\w-])" + name + "(?![\\w-])"));
        List<String> named = Arrays.stream(manual.split("[^\\w-]+")).filter(w -> w.startsWith("--")).distinct().toList();
        assertThat(options).containsAll(named);
        assertThat(manual).contains("STUDIO").contains("MOSS_PEBBLE_HOME");
    }

    @Test
    // Desktop Entry Specification 1.5: required keys, reserved categories, lists that end in a semicolon
    @Tag("outside")
    void theMenuEntryIsAsTheSpecificationHasIt() throws IOException {
        List<String> lines = file("moss-pebble.desktop").lines().toList();
        assertThat(lines.get(0)).isEqualTo("[Desktop Entry]");
        Map<String, String> keys = lines.stream().skip(1).map(l -> l.split("=", 2))
                .collect(Collectors.toMap(k -> k[0], k -> k[1], (a, b) -> a, LinkedHashMap::new));
        assertThat(keys).containsEntry("Type", "Application").containsKeys("Name", "Exec").containsEntry("Terminal", "false");
        assertThat(keys.get("Exec")).isEqualTo("moss-pebble %f");
        for (String list : List.of("Categories", "Keywords", "MimeType")) {
            assertThat(keys.get(list)).endsWith(";");
        }
        assertThat(keys.get("Categories").split(";")).containsAnyOf("Graphics", "Education", "Office");
        assertThat(keys.get("StartupWMClass")).isEqualTo(MossPebbleApp.class.getName());
    }

    @Test
    void aStudioIsKnownByItsNameAndOpenedByTheProgram() throws Exception {
        DocumentBuilderFactory factory = DocumentBuilderFactory.newInstance();
        factory.setNamespaceAware(true);
        Element type = (Element) factory.newDocumentBuilder().parse(FOLDER.resolve("moss-pebble.xml").toFile())
                .getElementsByTagName("mime-type").item(0);
        assertThat(file("moss-pebble.desktop")).contains("MimeType=" + type.getAttribute("type") + ";");
        String glob = ((Element) type.getElementsByTagName("glob").item(0)).getAttribute("pattern");
        assertThat(Main.plain(new String[] {glob.replace("*", "mine")}).orElseThrow().studio()).isEqualTo(Path.of("mine.pebble"));
    }

    @Test
    void theCommandHandsOnAllItIsGivenAndSetsOnlyWhatNobodySet(@TempDir Path folder) throws Exception {
        Path program = folder.resolve("program");
        Files.writeString(program, "#!/bin/sh\necho \"$GDK_GL\"\nfor each; do echo \"<$each>\"; done\nexit 3\n");
        assertThat(program.toFile().setExecutable(true)).isTrue();
        Path command = folder.resolve("command");
        String ours = file("moss-pebble");
        assertThat(ours).contains("/opt/moss-pebble/bin/moss-pebble");
        Files.writeString(command, ours.replace("/opt/moss-pebble/bin/moss-pebble", program.toString()));
        for (String set : new String[] {null, "always"}) {
            ProcessBuilder builder = new ProcessBuilder("sh", command.toString(), "demo", "a name with spaces.pebble");
            builder.environment().remove("GDK_GL");
            if (set != null) {
                builder.environment().put("GDK_GL", set);
            }
            Process process = builder.start();
            assertThat(new String(process.getInputStream().readAllBytes()).lines())
                    .containsExactly(set == null ? "disable" : set, "<demo>", "<a name with spaces.pebble>");
            assertThat(process.waitFor()).as("how it ended").isEqualTo(3);
        }
    }

    @Test
    void theIconIsAPictureOfAStoneOnNothing() throws IOException {
        BufferedImage icon = ImageIO.read(InstallerTest.class.getResource("icon.png"));
        assertThat(icon.getWidth()).isEqualTo(256);
        assertThat(icon.getHeight()).isEqualTo(256);
        assertThat(icon.getRGB(2, 2) >>> 24).as("clear corners").isZero();
        assertThat(icon.getRGB(128, 128) >>> 24).isEqualTo(255);
    }

    @Test
    void takingItOffTouchesNothingOfTheOwner() throws IOException {
        assertThat(file("prerm").lines().filter(l -> l.contains("rm "))).containsExactly("rm -f /opt/moss-pebble/lib/app/classes.jsa");
        assertThat(file("postinst")).startsWith("#!/bin/sh").contains("/opt/moss-pebble").doesNotContain("HOME");
    }
}
