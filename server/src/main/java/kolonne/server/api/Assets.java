package kolonne.server.api;

import io.javalin.http.Context;
import io.javalin.http.NotFoundResponse;
import java.io.InputStream;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * Scripts, styles and fonts of the pages. They were packed when the pages were built, harder than there is time for at a request; a browser gets the smallest form
 * that it reads. Their names hold a hash of what is in them, so that it may keep them for a year.
 */
final class Assets {
    private static final Map<String, String> TYPES = Map.of(
            "js", "text/javascript; charset=utf-8",
            "css", "text/css; charset=utf-8",
            "woff2", "font/woff2",
            "woff", "font/woff",
            "svg", "image/svg+xml");
    /** Names of packings as browsers ask for them, with what their files end in; the smallest first. */
    private static final List<Packing> PACKINGS = List.of(new Packing("br", ".br"), new Packing("gzip", ".gz"));

    private record Packing(String name, String ending) {
        /** Whether a browser's header names it and does not rule it out. */
        boolean readBy(String accepts) {
            return Arrays.stream(accepts.split(","))
                    .map(String::strip)
                    .anyMatch(a -> a.equals(name) || a.startsWith(name + ";") && !a.matches(".*;\\s*q=0(\\.0*)?"));
        }
    }

    private Assets() {}

    static void serve(Context c) {
        String name = c.pathParam("name");
        String type = TYPES.get(name.substring(name.lastIndexOf('.') + 1));
        if (type == null || !name.matches("[\\w.-]+") || Assets.class.getResource("/web/assets/" + name) == null) {
            throw new NotFoundResponse();
        }
        c.header("Cache-Control", "public, max-age=31536000, immutable");
        c.header("Vary", "Accept-Encoding");
        c.contentType(type);
        String accepts = Optional.ofNullable(c.header("Accept-Encoding")).orElse("");
        for (Packing p : PACKINGS) {
            InputStream packed = p.readBy(accepts) ? resource(name + p.ending()) : null;
            if (packed != null) {
                c.header("Content-Encoding", p.name());
                c.result(packed);
                return;
            }
        }
        c.result(resource(name));
    }

    private static InputStream resource(String name) {
        return Assets.class.getResourceAsStream("/web/assets/" + name);
    }
}
