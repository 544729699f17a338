package kolonne.exchange.basis;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertNull;
import static org.junit.jupiter.api.Assertions.assertTrue;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Map;
import java.util.Set;
import kolonne.core.basis.Basis;
import kolonne.core.basis.local.LocalSettings;
import kolonne.core.basis.local.LocalValues;
import kolonne.core.basis.part.Ductility;
import kolonne.exchange.edit.BasisPatch;
import kolonne.exchange.edit.BasisWords;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.FieldSource;
import org.junit.jupiter.params.provider.ValueSource;

class LocalFormTest {
    private static final ObjectMapper JSON = new ObjectMapper();
    private static final List<String> KEYS =
            LocalValues.KEYS.stream().filter(k -> !k.equals("outsideFrame")).toList();
    private static final String BASEMENT =
            "{'local':{'Basement / L0':{'role':'column','storeys':['L0'],'members':['C1','C2'],'set':{'columnCoverMm':50}}}}";

    private static byte[] bytes(String s) {
        return s.replace('\'', '"').getBytes(StandardCharsets.UTF_8);
    }

    private static ObjectNode tree(Basis b) throws Exception {
        return (ObjectNode) JSON.readTree(BasisFile.write(b));
    }

    private static Basis patched(Basis b, String patch) {
        BasisPatch.Read r = BasisPatch.read(bytes(patch), b);
        assertEquals(List.of(), r.findings());
        return r.basis();
    }

    private static JsonNode other(JsonNode v) {
        return JSON.valueToTree(
                v.isBoolean()
                        ? (Object) !v.asBoolean()
                        : v.isArray()
                                ? List.of(v.get(0).asText())
                                : v.isInt()
                                        ? Integer.valueOf(v.asInt() == 1 ? 2 : v.asInt() - 1)
                                        : v.isNumber()
                                                ? Double.valueOf(Math.round(v.asDouble() * 1.02e6) / 1e6)
                                                : otherWord(v.asText()));
    }

    private static String otherWord(String word) {
        return switch (word) {
            case "braced" -> "from-model";
            case "from-model" -> "braced";
            case "given" -> "from-ends";
            default -> "least-steel";
        };
    }

    /** Every value that can be local changes the field of its key for the members, and no other. */
    @ParameterizedTest
    @FieldSource("KEYS")
    void aValueUnderItsOwnKey(String key) throws Exception {
        Basis b = Basis.standard(false);
        ObjectNode file = tree(b);
        JsonNode value = other(file.get(key));
        file.putObject("local").putObject("here").putObject("set").set(key, value);
        ((ObjectNode) file.at("/local/here")).putArray("storeys").add("L1");
        BasisFile.Read r = BasisFile.read(JSON.writeValueAsBytes(file));
        assertEquals(List.of(), r.findings());
        ObjectNode expected = tree(b);
        assertTrue(!expected.get(key).equals(value));
        expected.set(key, value);
        assertEquals(expected, tree(r.basis().of(r.basis().local())));
        assertEquals(tree(b), tree(r.basis().with(List.of())));
        assertEquals(file.get("local").get("here").get("set"), tree(r.basis()).at("/local/here/set"));
    }

    /** No field of the project has this key: it makes of special frames what 18.14 asks of members outside them. */
    @Test
    void membersOutsideTheFrame() throws Exception {
        Basis b = patched(Basis.standard(false), "{'ductility':'special'}");
        String patch = "{'local':{'here':{'storeys':['L1'],'set':{'outsideFrame':true}}}}";
        Basis with = patched(b, patch);
        assertEquals(Ductility.OUTSIDE, with.of(with.local()).ductility());
        assertEquals(Ductility.SPECIAL, with.ductility());
        assertTrue(tree(with).at("/local/here/set/outsideFrame").asBoolean());
    }

    @Test
    void byPatchesOneByOne() throws Exception {
        Basis b = Basis.standard(false);
        Basis one = patched(b, BASEMENT);
        LocalSettings s = one.local().get(0);
        assertEquals("Basement / L0", s.name());
        assertEquals(Set.of("C1", "C2"), s.scope().members());
        assertEquals(50, one.of(one.local()).columnCover());
        assertEquals(
                "Local settings “Basement / L0” none → columns of L0 and 2 single members: Cover of columns 50 mm",
                BasisPatch.words(b, one));
        // another's settings are kept, a value is changed, a value is taken away, all are taken away
        Basis two = patched(one, "{'local':{'Roof':{'storeys':['R'],'set':{'beamBars':['T16','T20']}}}}");
        assertEquals(2, two.local().size());
        Basis more = patched(two, "{'local':{'Basement / L0':{'set':{'columnCoverMm':null,'fyMpa':500}}}}");
        assertEquals(500, more.of(List.of(more.local().get(0))).fy());
        assertEquals(b.columnCover(), more.of(List.of(more.local().get(0))).columnCover());
        Basis gone = patched(more, "{'local':{'Basement / L0':null}}");
        assertEquals(
                List.of("Roof"), gone.local().stream().map(LocalSettings::name).toList());
        // a stored basis is the same again, settings in their order
        assertEquals(
                two.local(),
                BasisFile.read(BasisFile.write(two).getBytes(StandardCharsets.UTF_8))
                        .basis()
                        .local());
    }

    /** Two people change settings of one name: refused with both; of two names: both hold. */
    @Test
    void clashesAreOfOneName() throws Exception {
        Basis seen = patched(Basis.standard(false), BASEMENT);
        Basis now = patched(seen, "{'local':{'Basement / L0':{'set':{'columnCoverMm':60}}}}");
        ObjectNode mine = (ObjectNode) JSON.readTree(bytes("{'local':{'Basement / L0':{'set':{'columnCoverMm':40}}}}"));
        assertEquals(1, BasisPatch.clashes(seen, now, mine).size());
        assertTrue(BasisPatch.clashes(seen, now, mine).get(0).what().contains("60 mm now; you set"));
        ObjectNode other =
                (ObjectNode) JSON.readTree(bytes("{'local':{'Roof':{'storeys':['R'],'set':{'beamCoverMm':40}}}}"));
        assertEquals(List.of(), BasisPatch.clashes(seen, now, other));
    }

    /** A number that no field can hold clashes like any other, and is refused in words. */
    @Test
    void aClashTellsOfNumbersWithoutBounds() throws Exception {
        Basis seen = Basis.standard(false);
        Basis now = patched(seen, "{'beamCoverMm':45}");
        for (String odd : List.of("4e400", "-4e400", "1e300")) {
            ObjectNode mine = (ObjectNode) JSON.readTree(bytes("{'beamCoverMm':" + odd + "}"));
            assertTrue(BasisPatch.clashes(seen, now, mine).get(0).what().contains("you set a number without bounds"));
        }
    }

    @Test
    void areWordsOfTheBasis() {
        Map<String, String> words = BasisWords.all(patched(Basis.standard(true), BASEMENT));
        assertEquals(
                "columns of L0 and 2 single members: Cover of columns 1.969 in",
                words.get("Local settings “Basement / L0”"));
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "{'local':{'a':null,'b':{'storeys':['L1']}}}",
                "{'local':{'a':{'storeys':['L1'],'set':{'preference':'cheap'}}}}",
                "{'local':{'a':{'storeys':['L1'],'set':{'swayX':'maybe'}}}}",
                "{'local':{'a':{'role':'slab','storeys':['L1'],'set':{'fyMpa':500}}}}",
                "{'local':{'a':{'storeys':[null],'set':{'fyMpa':500}}}}",
                "{'local':{'a':{'storeys':['L1'],'set':{'beamBars':['T16',null]}}}}",
                "{'local':{'a':{'storeys':['L1'],'set':{'code':'en-1992-1-1'}}}}",
                "{'local':{'a':{'storeys':['L1'],'set':{'fyMpa':'x'}}}}",
                "{'local':{'a':{'storeys':['L1'],'set':{'fyMpa':1e9}}}}",
                "{'local':{'a':{'storeys':'L1','set':{'fyMpa':500}}}}",
                "{'local':{'a':[]}}",
                "{'local':[]}",
                "{'local':{'a':{'set':{'fyMpa':500}}}}",
                "{'local':{'a':{'storeys':['L1'],'set':{}}}}"
            })
    void whatIsWrongIsRefused(String patch) {
        BasisPatch.Read r = BasisPatch.read(bytes(patch), Basis.standard(false));
        assertNull(r.basis(), patch);
        assertTrue(!r.findings().isEmpty() && !r.findings().get(0).mend().isBlank(), patch);
        assertTrue(r.findings().stream()
                .noneMatch(f -> f.what().contains("kolonne") || f.what().contains("jackson")));
    }
}
