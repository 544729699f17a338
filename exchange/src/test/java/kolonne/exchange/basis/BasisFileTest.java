package kolonne.exchange.basis;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertNull;
import static org.junit.jupiter.api.Assertions.assertTrue;

import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.nio.charset.StandardCharsets;
import java.util.List;
import kolonne.core.basis.Basis;
import kolonne.core.basis.BeamRules;
import kolonne.core.code.DuctileFrame;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class BasisFileTest {
    private static final ObjectMapper JSON = new ObjectMapper();

    private static ObjectNode node(Basis b) throws Exception {
        return (ObjectNode) JSON.readTree(BasisFile.write(b));
    }

    private static BasisFile.Read read(ObjectNode n) {
        return BasisFile.read(n.toString().getBytes(StandardCharsets.UTF_8));
    }

    @ParameterizedTest
    @ValueSource(strings = {"aci-318m-19", "aci-318-19", "en-1992-1-1"})
    void whatIsWrittenIsReadAgain(String code) {
        Basis s = Basis.standard(code);
        BeamRules r = s.rules().withSlabFlanges(true).withBundles(true).withStockLength(9000).with(new BeamRules.SectionLimits(0.6, 0.9, 300, 900, 250, 500, 25));
        Basis b = s.with(code.startsWith("en") ? r : r.with(DuctileFrame.Kind.SPECIAL));
        Basis again = BasisFile.read(BasisFile.write(b).getBytes(StandardCharsets.UTF_8)).basis();
        assertEquals(b.rules(), again.rules());
        assertEquals(b.beamBars(), again.beamBars());
        assertEquals(b.fy(), again.fy(), 1e-5);
    }

    /** Files of before these fields were there mean what they meant then. */
    @Test
    void fieldsThatOlderFilesDoNotHaveTakeTheStandardsValue() throws Exception {
        ObjectNode n = node(Basis.standard(true));
        n.remove(List.of("slabFlanges", "bundles", "stockLengthMm", "ductility", "bandFrom", "bandTo", "depthLeastMm", "depthMostMm", "widthLeastMm", "widthMostMm",
            "sizeStepMm", "national", "redistribution", "liveDeflection", "lastingDeflection", "roofDeflection"));
        Basis b = read(n).basis();
        assertEquals(BeamRules.standard(true), b.rules());
        assertEquals(Basis.standard(true).deflection(), b.deflection());
        assertEquals(0, b.redistribution());
    }

    @ParameterizedTest(name = "{0} = {1}")
    @CsvSource({"stockLengthMm, 100, basis.stockLength", "bandTo, 1.2, basis.bandTo", "bandFrom, 1.1, basis.bandFrom", "depthMostMm, 150, basis.depthMost",
        "widthLeastMm, 5, basis.widthLeast", "sizeStepMm, 0, basis.sizeStep", "ductility, '\"strong\"', basis.word", "bundles, '\"maybe\"', basis.field",
        "stockLengthMm, '\"long\"', basis.field"})
    void aBadValueIsNamedWithItsPlace(String field, String value, String code) throws Exception {
        ObjectNode n = node(Basis.standard(false));
        n.set(field, JSON.readTree(value));
        BasisFile.Read r = read(n);
        assertNull(r.basis());
        assertEquals(code, r.findings().get(0).code(), r.findings().toString());
        assertTrue(r.findings().get(0).where().startsWith("basis") && !r.findings().get(0).mend().isBlank());
    }

    @Test
    void ductileFramesOfACodeWithoutThemAreRefused() throws Exception {
        ObjectNode n = node(Basis.standard("en-1992-1-1"));
        n.put("ductility", "special");
        assertEquals("basis.ductility", read(n).findings().get(0).code());
    }
}
