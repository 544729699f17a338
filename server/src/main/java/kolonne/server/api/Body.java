package kolonne.server.api;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.json.JsonMapper;
import io.javalin.http.Context;
import java.util.List;
import kolonne.exchange.json.StrictJson;

/** The JSON body of a request. */
final class Body {
    private static final JsonMapper JSON = new JsonMapper();

    private Body() {}

    /** @throws BadRequest where the body is empty, null or no such JSON; it says where */
    static <T> T of(Context c, Class<T> type) {
        try {
            T read = c.body().isBlank() ? null : JSON.readValue(c.body(), type);
            if (read == null) {
                throw new BadRequest(400, "json", "The body is empty.", "Send what /api/openapi.json describes.");
            }
            return read;
        } catch (JsonProcessingException e) {
            throw new BadRequest(Problem.of(
                    400,
                    "json",
                    "The body is not the JSON that was expected.",
                    List.of(StrictJson.trouble(e, "json", "body", "/api/openapi.json"))));
        }
    }
}
