package kolonne.exchange.json;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import com.fasterxml.jackson.databind.json.JsonMapper;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Map;
import kolonne.core.finding.Finding;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Everything that can be wrong with a text is told in words of the trade: none of the reader's own. */
class StrictJsonTest {
    record Bar(String size, int count, double z, Boolean hook, List<Double> at, Map<String, Bar> more) {}

    private static Finding trouble(JsonMapper m, byte[] text) {
        IOException e = assertThrows(IOException.class, () -> m.readValue(text, Bar.class));
        return StrictJson.trouble(e, "code", "file", "docs/page.md");
    }

    private static Finding trouble(String text) {
        return trouble(StrictJson.READER, text.getBytes(StandardCharsets.UTF_8));
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "{\"size\":            | file, line 1, column 9 | The text ends in the middle.",
                "{\"count\":\"4\"}     | file.count             | The value is not a whole number.",
                "{\"count\":2.5}       | file.count             | The value is 2.5, not a whole number.",
                "{\"z\":\"far\"}       | file.z                 | The value is not a number.",
                "{\"z\":NaN}           | file, line 1, column 9 | NaN is not a number.",
                "{\"hook\":[]}         | file.hook              | The value is not true or false.",
                "{\"at\":7}            | file.at                | The value is not a list.",
                "{\"at\":[1,\"x\"]}    | file.at[1]             | The value is not a number.",
                "{\"more\":{\"a\":5}}  | file.more.a            | The value is not an object with fields.",
                "{\"colour\":1}        | file.colour            | There is no field colour here.",
                "{\"z\":1,\"z\":2}     | file, line 1, column 11 | The field z is given twice.",
                "[1]                   | file                   | The value is not an object with fields.",
                "{\"z\":1} {           | file                   | There is more text after the end.",
            })
    void saysWhatAndWhere(String text, String where, String what) {
        Finding f = trouble(text);
        assertEquals(what, f.what());
        assertEquals(where.replaceAll(", column.*", ""), f.where().replaceAll(", column.*", ""));
        assertFalse(f.mend().isBlank());
    }

    @Test
    void anUnknownFieldIsAnsweredWithThoseThatThereAre() {
        assertTrue(trouble("{\"colour\":1}").mend().contains("at, count, hook, more, size, z"));
    }

    @Test
    void emptyTextOtherEncodingsAndDeepNests() {
        assertEquals("The text is empty.", trouble("").what());
        assertEquals(
                "The text is not UTF-8.",
                trouble(StrictJson.READER, new byte[] {'{', '"', (byte) 0xe4, '"', ':', '1', '}'})
                        .what());
        assertTrue(trouble("{\"more\":{\"a\":".repeat(1500)).what().contains("nested too deeply"));
    }

    @Test
    void noWordOfTheReaderReachesAPerson() {
        for (String text : List.of(
                "{\"count\":\"4\"}",
                "{\"at\":{}}",
                "{a:1}",
                "{\"z\":1,}",
                "{\"z\":01}",
                "hello",
                "{\"z\":1e}",
                "{\"size\":\"a",
                "{\"count\":99999999999}",
                "{\"z\":[1]}")) {
            Finding f = trouble(text);
            assertFalse(
                    (f.what() + f.mend())
                            .matches("(?s).*(kolonne|fasterxml|Feature|java|constructor|deseriali|factory|Creator).*"),
                    text + ": " + f);
        }
    }

    @Test
    void aNumberThatMustBeGivenIsMissed() {
        Finding f = trouble(StrictJson.WHOLE, "{\"size\":\"T16\"}".getBytes(StandardCharsets.UTF_8));
        assertTrue(
                f.where().contains("count")
                        || f.where().contains("z")
                        || f.what().contains("count")
                        || f.what().contains("z"),
                f.toString());
    }
}
