package kolonne.server.api;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import com.fasterxml.jackson.databind.JsonNode;
import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import kolonne.core.demo.DemoOptions;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** Columns that end at different heights in one type, through the HTTP API. */
class NestedTypesTest {
    private Served s;

    @BeforeEach
    void start() throws IOException, InterruptedException {
        s = new Served(new DemoOptions(7, 2, 3, 2, true));
    }

    @AfterEach
    void stop() {
        s.close();
    }

    private JsonNode lifts(String mark) throws IOException, InterruptedException {
        return s.get("/members/" + mark).get("column").get("lifts");
    }

    /** Marks of satisfied columns with so many lifts. */
    private List<String> columns(int lifts) throws IOException, InterruptedException {
        List<String> out = new ArrayList<>();
        for (JsonNode r : s.get("/results?q=column").get("rows")) {
            String mark = r.get("mark").asText();
            if (r.get("satisfied").asBoolean() && lifts(mark).size() == lifts) {
                out.add(mark);
            }
        }
        return out;
    }

    private JsonNode merge(int status, String one, String other) throws IOException, InterruptedException {
        String members = "[\"" + one + "\",\"" + other + "\"]";
        return s.change(status, s.version(), "PUT", "/types", "{\"action\":\"merge\",\"members\":" + members + "}");
    }

    private List<String> identical(String mark) throws IOException, InterruptedException {
        List<String> out = new ArrayList<>();
        s.get("/members/" + mark + "/identical")
                .get("lines")
                .forEach(l -> out.add(l.get("mark").asText()));
        return out;
    }

    @Test
    void theLowerOneHasTheLowestLiftsOfTheOther() throws IOException, InterruptedException {
        String high = columns(3).get(0);
        String low = null;
        for (String mark : columns(2)) {
            boolean same =
                    lifts(mark).get(0).get("section").equals(lifts(high).get(0).get("section"));
            low = low == null && same ? mark : low;
        }
        assertFalse(
                identical(high).contains(low) || identical(low).contains(high), "a cage is copied to whole columns");
        merge(200, high, low);
        JsonNode type = null;
        for (JsonNode t : s.get("/types").get("types")) {
            type = t.get("id").asText().isEmpty() ? type : t;
        }
        assertEquals(2, type.get("members").size());
        assertTrue(type.get("satisfied").asBoolean() && type.get("sound").asBoolean());
        JsonNode top = lifts(high).get(2);
        assertTrue(type.get("storeys").asText().endsWith(top.get("storey").asText()), type.toString());
        assertTrue(type.get("section").asText().endsWith(top.get("section").asText()), type.toString());
        for (int i = 0; i < 2; i++) {
            assertEquals(lifts(high).get(i).get("whole"), lifts(low).get(i).get("whole"));
        }
        assertEquals(3, lifts(high).size());
        assertEquals(2, lifts(low).size());
    }
}
