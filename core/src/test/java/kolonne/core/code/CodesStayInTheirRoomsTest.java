package kolonne.core.code;

import static org.junit.jupiter.api.Assertions.assertEquals;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

/**
 * No name, key or clause of one code outside its own package: sources of the core, of files and of the server are read. Comments may say where a
 * rule comes from.
 */
class CodesStayInTheirRoomsTest {
    private static final Pattern STRING = Pattern.compile("\"((?:\\\\.|[^\"\\\\])*)\"");
    /** Keys and names of codes; clauses as 9.7.3.8, (5.2(8)) and 18.7; no version, address or measure. */
    private static final Pattern OF_A_CODE = Pattern.compile(
            "aci-318|en-1992|\\bACI\\b|\\bEN \\d|Eurocode|(?<![\\d.])\\d{1,2}\\.\\d{1,2}\\.\\d{1,2}(\\.\\d)*(?![\\d.])|\\d\\.\\d\\(\\d\\)");

    private static final List<String> NO_CLAUSES =
            List.of("127.0.0.1", "3.1.0", "kolonne 0.1.0", "0.1.0", "version=0.0.4");

    private static Stream<Path> sources() {
        return Stream.of("../core", "../exchange", "../server")
                .flatMap(m -> {
                    try {
                        return Files.walk(Path.of(m, "src/main/java"));
                    } catch (IOException e) {
                        throw new UncheckedIOException(e);
                    }
                })
                .filter(f -> f.toString().endsWith(".java")
                        && !f.toString().matches(".*/core/(code/(aci318|en1992)|demo)/.*"));
    }

    private static List<String> words(String line) {
        List<String> out = new ArrayList<>();
        Matcher m = STRING.matcher(line);
        while (m.find()) {
            out.add(m.group(1));
        }
        return out;
    }

    @Test
    void noStringIsOfACode() throws IOException {
        List<String> found = new ArrayList<>();
        for (Path f : sources().toList()) {
            for (String line : Files.readAllLines(f)) {
                String code = line.strip();
                if (code.startsWith("*") || code.startsWith("//") || code.startsWith("/*")) {
                    continue;
                }
                words(line).stream()
                        .filter(w -> OF_A_CODE.matcher(w).find()
                                && NO_CLAUSES.stream().noneMatch(w::contains))
                        .forEach(w -> found.add(f + ": " + w));
            }
        }
        assertEquals(List.of(), found);
    }

    @Test
    void nobodyImportsTheRulesOfOneCode() throws IOException {
        List<String> found = new ArrayList<>();
        for (Path f : sources().toList()) {
            Files.readAllLines(f).stream()
                    .filter(l -> l.matches("import .*core\\.code\\.(aci318|en1992)\\..*"))
                    .forEach(l -> found.add(f + ": " + l));
        }
        assertEquals(List.of(), found);
    }
}
