package kolonne.exchange.model;

import static org.junit.jupiter.api.Assertions.assertArrayEquals;
import static org.junit.jupiter.api.Assertions.assertEquals;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import kolonne.core.demo.DemoBuilding;
import kolonne.core.demo.DemoOptions;
import org.junit.jupiter.api.Test;

/** What is shipped is what the code makes and reads. */
class ShippedFilesTest {
    @Test
    void theShippedModelIsTheGenerators() throws IOException {
        assertArrayEquals(
                Files.readAllBytes(Path.of("../samples/veldhaven.json")),
                ModelWriter.json(DemoBuilding.generate(DemoOptions.VELDHAVEN)),
                "run ./kolonne demo samples/veldhaven.json");
    }

    @Test
    void theSchemaKnowsEveryTableAndField() throws IOException {
        JsonNode tables = new ObjectMapper()
                .readTree(Files.readAllBytes(Path.of("../docs/formats/model.schema.json")))
                .get("properties");
        for (Map.Entry<String, List<String>> t : Tables.FIELDS.entrySet()) {
            List<String> fields = new ArrayList<>();
            tables.get(t.getKey()).get("items").get("properties").fieldNames().forEachRemaining(fields::add);
            assertEquals(t.getValue(), fields, t.getKey());
        }
    }
}
