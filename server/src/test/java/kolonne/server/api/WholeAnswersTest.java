package kolonne.server.api;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import com.fasterxml.jackson.databind.JsonNode;
import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import kolonne.core.demo.DemoOptions;
import org.junit.jupiter.api.Test;

/** Where nothing is enough a page still needs numbers: an answer with a word in the place of one could not be drawn. */
class WholeAnswersTest {
    private static final Pattern NO_NUMBER = Pattern.compile("\"[a-zA-Z0-9]+\":\"(NaN|-?Infinity)\"");

    @Test
    void everyMemberIsToldInNumbers() throws IOException, InterruptedException {
        try (Served s = new Served(new DemoOptions(7, 5, 4, 3, true))) {
            List<String> wrong = new ArrayList<>();
            JsonNode rows = s.get("/results").get("rows");
            assertTrue(rows.size() > 100);
            for (JsonNode r : rows) {
                String mark = r.get("mark").asText();
                Matcher m = NO_NUMBER.matcher(s.file("/members/" + mark).body());
                if (m.find()) {
                    wrong.add(mark + " " + m.group());
                }
            }
            assertEquals(List.of(), wrong);
        }
    }
}
