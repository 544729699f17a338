package kolonne.server.api;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.core.type.TypeReference;
import com.fasterxml.jackson.databind.json.JsonMapper;
import io.javalin.http.Context;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.LinkedHashMap;
import java.util.Map;

/**
 * A file that is asked for, here or where another server goes on with it.
 *
 * @param project that it is of
 * @param query   parameters by name
 */
record FileAsked(String project, Map<String, String> query) {
    private static final JsonMapper JSON = new JsonMapper();

    static FileAsked of(Context c, String... names) {
        Map<String, String> query = new LinkedHashMap<>();
        for (String name : names) {
            if (c.queryParam(name) != null) {
                query.put(name, c.queryParam(name));
            }
        }
        return new FileAsked(c.pathParam("id"), query);
    }

    /** As {@link #bytes} wrote it. */
    static FileAsked read(String project, byte[] query) {
        try {
            return new FileAsked(project, JSON.readValue(query, new TypeReference<Map<String, String>>() {}));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** The parameters, for whoever goes on. */
    byte[] bytes() {
        try {
            return JSON.writeValueAsBytes(query);
        } catch (JsonProcessingException e) {
            throw new IllegalStateException(e);
        }
    }

    /** A parameter; what is usual where it is not given. */
    String query(String name, String usual) {
        return query.getOrDefault(name, usual);
    }
}
