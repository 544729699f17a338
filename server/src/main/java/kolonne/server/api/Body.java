package kolonne.server.api;

import io.javalin.http.Context;

/** The JSON body of a request. */
final class Body {
    private Body() {}

    /** @throws BadRequest where the body is empty or null; what is no such JSON is told by its place */
    static <T> T of(Context c, Class<T> type) {
        T read = c.body().isBlank() ? null : c.bodyAsClass(type);
        if (read == null) {
            throw new BadRequest(400, "json", "The body is empty.", "Send what /api/openapi.json describes.");
        }
        return read;
    }
}
