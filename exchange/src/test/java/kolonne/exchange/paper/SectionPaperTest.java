package kolonne.exchange.paper;

import static org.junit.jupiter.api.Assertions.assertArrayEquals;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import com.fasterxml.jackson.databind.JsonNode;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.Locale;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import kolonne.core.work.Progress;
import kolonne.exchange.single.SectionFile;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.Test;

/** Sections on paper, read back: every set with the use that the answers tell, calculations with their clauses, the same bytes each time. */
class SectionPaperTest {
    private static final String LIST = """
            [{"id":"Corner","use":"column","units":"SI","code":"en-1992-1-1","shape":{"shape":"ell","bw":300,"h":700,"bf":700,"hf":300},"fc":30,"fy":500,
              "bars":[{"bar":"T20","count":4,"x":-290,"z":60,"x2":-290,"z2":640},{"bar":"T20","count":3,"x":-110,"z":640,"x2":290,"z2":640}],
              "forces":[{"name":"U1","n":-2600,"my":120,"mz":-60},{"name":"Q1","kind":"quasi-permanent","n":-600,"my":210,"mz":-80}]},
             {"id":"Ring","use":"column","units":"US","shape":{"shape":"circle","d":24},"fc":4,"fy":60,
              "bars":[{"bar":"#8","x":9,"z":12},{"bar":"#8","x":-9,"z":12},{"bar":"#8","x":0,"z":21},{"bar":"#8","x":0,"z":3}],
              "forces":[FORCES]}]""";

    private static SectionFile.Read read(int sets) {
        String forces = IntStream.range(0, sets)
                .mapToObj(i -> "{\"name\":\"S" + i + "\",\"n\":-" + (100 + i) + ",\"my\":20}")
                .collect(Collectors.joining(","));
        return SectionFile.read(LIST.replace("FORCES", forces).getBytes(StandardCharsets.UTF_8));
    }

    private static byte[] written(SectionFile.Read r) throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        SectionPaper.write(r.ready(), out, Progress.NONE);
        return out.toByteArray();
    }

    private static String text(byte[] pdf) throws IOException {
        try (PDDocument d = Loader.loadPDF(pdf)) {
            return new PDFTextStripper().getText(d);
        }
    }

    @Test
    void everySetWithItsUse() throws IOException {
        SectionFile.Read r = read(2);
        assertTrue(r.findings().isEmpty(), r.findings().toString());
        String text = text(written(r));
        for (JsonNode section : SectionFile.answers(r.ready(), false)) {
            assertTrue(text.contains("Section " + section.get("id").asText()), text);
            for (JsonNode set : section.get("sets")) {
                String use = String.format(
                        Locale.ROOT, "%.2f", set.get("utilisation").asDouble());
                boolean found = text.lines()
                        .anyMatch(l -> l.startsWith(set.get("name").asText() + " ") && l.contains(" " + use + " "));
                assertTrue(found, set + " in " + text);
            }
        }
        for (String word : new String[] {"7.3.4(1)", "22.4.2", "concrete 30.0 MPa", "4 Ø 1.00 in", "quasi-permanent"}) {
            assertTrue(text.contains(word), word + " in " + text);
        }
    }

    @Test
    void ofManySetsThoseThatUseMost() throws IOException {
        String text = text(written(read(45)));
        assertTrue(text.contains("of the 30 sets that use most"));
        assertEquals(
                45, text.lines().filter(l -> l.matches("S\\d+ strength .*")).count());
    }

    @Test
    void theSameBytes() throws IOException {
        assertArrayEquals(written(read(3)), written(read(3)));
    }
}
