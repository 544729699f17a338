package kolonne.exchange.model;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.nio.charset.StandardCharsets;
import kolonne.core.shape.Shape;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Every shape there and back through the model file, and sizes that make none. */
class SectionShapesTest {
    private static final String MODEL = """
        {"format":"kolonne-model","version":1,"name":"s","units":"SI","materials":[{"id":"C","fc":30}],"sections":[%s],
         "joints":[{"id":"a","x":0,"y":0,"z":0},{"id":"b","x":5,"y":0,"z":0}],
         "members":[{"id":"m","role":"beam","start":"a","end":"b","section":"S","material":"C"}],
         "supports":[{"joint":"a","held":["ux","uy","uz","rx","ry","rz"]},{"joint":"b","held":["ux","uy","uz","rx","ry","rz"]}],
         "loadCases":[{"id":"D","name":"dead","kind":"dead","selfWeight":1}],
         "combinations":[{"id":"U","name":"1.4D","purpose":"strength","terms":{"D":1.4}}]}""";

    private static ModelReader.Read read(String section) {
        return ModelReader.read(MODEL.formatted(section).getBytes(StandardCharsets.UTF_8));
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "rectangle|\"b\":300,\"h\":600",
                "circle|\"d\":450",
                "tee|\"bw\":300,\"h\":600,\"bf\":1200,\"hf\":150",
                "ell|\"bw\":300,\"h\":600,\"bf\":800,\"hf\":150",
                "inverted-tee|\"bw\":350,\"h\":700,\"bf\":750,\"hf\":250"
            })
    void aShapeIsReadAndWrittenByItsWord(String word, String sizes) {
        ModelReader.Read r = read("{\"id\":\"S\",\"shape\":\"" + word + "\"," + sizes + "}");
        assertTrue(r.sound(), r.findings().toString());
        Shape shape = r.building().sections().get(0).shape();
        assertEquals(word, shape.word());
        ModelReader.Read again = ModelReader.read(ModelWriter.json(r.building()));
        assertEquals(
                shape,
                again.building().sections().get(0).shape(),
                again.findings().toString());
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "inverted-tee|\"bw\":350,\"h\":700,\"bf\":300,\"hf\":250",
                "inverted-tee|\"bw\":350,\"h\":700,\"bf\":750,\"hf\":800",
                "inverted-tee|\"bw\":350,\"h\":700,\"bf\":750",
                "upside-down|\"bw\":350,\"h\":700,\"bf\":750,\"hf\":250"
            })
    void sizesThatMakeNoShapeAreNamed(String word, String sizes) {
        ModelReader.Read r = read("{\"id\":\"S\",\"shape\":\"" + word + "\"," + sizes + "}");
        assertTrue(
                !r.sound()
                        && r.findings().stream()
                                .anyMatch(f ->
                                        f.where().contains("S") && !f.mend().isBlank()),
                r.findings().toString());
    }

    @Test
    void theTopOfAnInvertedTeeIsItsNarrowSide() {
        Shape s = new Shape.InvertedTee(350, 700, 750, 250);
        assertEquals(750 * 250 + 350 * 450, s.A(), 1e-9);
        assertEquals((750 * 250 * 125 + 350 * 450 * 475) / s.A(), s.centroid(), 1e-9);
        assertEquals(new Shape.Tee(350, 700, 750, 250).Iy(), s.Iy(), 1e-3, "the same area upside down");
    }
}
