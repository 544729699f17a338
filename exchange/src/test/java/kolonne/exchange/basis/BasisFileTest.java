package kolonne.exchange.basis;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertNull;
import static org.junit.jupiter.api.Assertions.assertTrue;

import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.nio.charset.StandardCharsets;
import java.util.List;
import kolonne.core.basis.Basis;
import kolonne.core.basis.part.Bars;
import kolonne.core.basis.part.BeamRules;
import kolonne.core.basis.part.DeflectionLimits;
import kolonne.core.basis.part.Ductility;
import kolonne.core.basis.part.EffectiveLengths;
import kolonne.core.basis.part.Frame;
import kolonne.core.basis.part.Preference;
import kolonne.core.basis.part.SectionLimits;
import kolonne.core.basis.part.Stirrups;
import kolonne.core.basis.part.Sway;
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
        Bars r = s.bars();
        Basis b = s.with(new Bars(r.beams(), r.columns(), r.stirrups(), 1, 0.03, Preference.FEWEST_SIZES, 9000))
                .with(new Frame(
                        Sway.BRACED,
                        Sway.FROM_MODEL,
                        0.1,
                        code.startsWith("en") ? Ductility.NONE : Ductility.SPECIAL,
                        EffectiveLengths.FROM_ENDS,
                        1.4,
                        0.8))
                .with(new BeamRules(
                        true,
                        true,
                        new DeflectionLimits(300, 200, 480),
                        new SectionLimits(0.6, 0.9, 300, 900, 250, 500, 25)))
                .with(new Stirrups(50, 100, 250, 2, 4))
                .with(s.practice().withSpacers(900));
        Basis again = BasisFile.read(BasisFile.write(b).getBytes(StandardCharsets.UTF_8))
                .basis();
        assertEquals(b.bars(), again.bars());
        assertEquals(b.beams(), again.beams());
        assertEquals(b.frame(), again.frame());
        assertEquals(b.stirrups(), again.stirrups());
        assertEquals(900, again.practice().spacersEvery());
        assertEquals(b.fy(), again.fy(), 1e-5);
    }

    /** Files of before these fields were there mean what they meant then. */
    @Test
    void fieldsThatOlderFilesDoNotHaveTakeTheStandardsValue() throws Exception {
        ObjectNode n = node(Basis.standard(true));
        n.remove(List.of(
                "slabFlanges",
                "bundles",
                "stockLengthMm",
                "ductility",
                "bandFrom",
                "bandTo",
                "depthLeastMm",
                "depthMostMm",
                "widthLeastMm",
                "widthMostMm",
                "sizeStepMm",
                "national",
                "redistribution",
                "liveDeflection",
                "lastingDeflection",
                "roofDeflection"));
        Basis b = read(n).basis();
        assertEquals(Basis.standard(true).beams(), b.beams());
        assertEquals(Basis.standard(true).bars(), b.bars());
        assertEquals(Basis.standard(true).deflection(), b.deflection());
        assertEquals(0, b.redistribution());
    }

    @ParameterizedTest(name = "{0} = {1}")
    @CsvSource({
        "stockLengthMm, 100, basis.stockLength",
        "bandTo, 1.2, basis.bandTo",
        "bandFrom, 1.1, basis.bandFrom",
        "depthMostMm, 150, basis.depthMost",
        "widthLeastMm, 5, basis.widthLeast",
        "sizeStepMm, 0, basis.sizeStep",
        "spacersEveryMm, 250, basis.spacersEvery",
        "spacersEveryMm, 2500, basis.spacersEvery",
        "spacersEveryMm, -1, basis.spacersEvery",
        "ductility, '\"strong\"', basis.word",
        "bundles, '\"maybe\"', basis.field",
        "stockLengthMm, '\"long\"', basis.field"
    })
    void aBadValueIsNamedWithItsPlace(String field, String value, String code) throws Exception {
        ObjectNode n = node(Basis.standard(false));
        n.set(field, JSON.readTree(value));
        BasisFile.Read r = read(n);
        assertNull(r.basis());
        assertEquals(code, r.findings().get(0).code(), r.findings().toString());
        assertTrue(r.findings().get(0).where().startsWith("basis")
                && !r.findings().get(0).mend().isBlank());
    }

    @Test
    void ductileFramesOfACodeWithoutThemAreRefused() throws Exception {
        ObjectNode n = node(Basis.standard("en-1992-1-1"));
        n.put("ductility", "special");
        assertEquals("basis.ductility", read(n).findings().get(0).code());
    }
}
