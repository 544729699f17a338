package kolonne.server.api;

import io.javalin.http.Context;
import java.net.URLDecoder;
import java.nio.charset.StandardCharsets;
import kolonne.server.project.Author;

/** Who sends a request: the account that is signed in; as they call themselves while Kolonne runs for one person on their own machine. */
final class People {
    private static final String PERSON = "Kolonne-Person";
    private static final String WINDOW = "Kolonne-Window";
    private static final int LONGEST = 60;

    private People() {}

    static Author of(Context c) {
        return author(c, text(c.header(PERSON)), text(c.header(WINDOW)));
    }

    /** Whoever is signed in is called as their account is, whatever they say. */
    private static Author author(Context c, String person, String window) {
        return Doors.caller(c)
                .map(w -> new Author(w.name(), window, w.account(), Doors.origin(c)))
                .orElseGet(() -> new Author(person, window, null, Doors.origin(c)));
    }

    /** Streams of events are asked for without headers of one's own: who follows one stands in its query. */
    static Author following(Context c) {
        return author(c, clean(c.queryParam("person")), clean(c.queryParam("window")));
    }

    /** A header of percent-encoded UTF-8, without what would break a line. */
    private static String text(String header) {
        if (header == null) {
            return "";
        }
        String s;
        try {
            s = URLDecoder.decode(header.replace("+", "%2B"), StandardCharsets.UTF_8);
        } catch (IllegalArgumentException e) {
            throw new BadRequest(400, "header", "The name in a header cannot be read.", "Percent-encode it (UTF-8).");
        }
        return clean(s);
    }

    private static String clean(String text) {
        String clean = text == null ? "" : text.replaceAll("\\p{Cntrl}", " ").strip();
        return clean.codePointCount(0, clean.length()) <= LONGEST
                ? clean
                : clean.substring(0, clean.offsetByCodePoints(0, LONGEST));
    }
}
