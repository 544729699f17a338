package kolonne.server.guard;

import io.javalin.http.Context;
import io.javalin.http.HandlerType;
import java.net.URI;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;

/**
 * Pages elsewhere may not read or change anything through the user's browser: the host is one of ours, the page that asks came from it, and what
 * is sent has a type that a form of another page cannot send.
 */
public final class SameSite {
    private static final List<String> LOOPBACK = List.of("localhost", "127.0.0.1", "[::1]");
    /** What a form, or a script without leave, can send anywhere. */
    private static final Set<String> FORMS =
            Set.of("text/plain", "application/x-www-form-urlencoded", "multipart/form-data");

    private static final Map<String, String> HEADERS = Map.of(
            "Content-Security-Policy",
                    "default-src 'self'; script-src 'self'; style-src 'self' 'unsafe-inline'; img-src 'self' data: blob:; font-src 'self' data:; "
                            + "connect-src 'self'; object-src 'none'; base-uri 'none'; form-action 'none'; frame-ancestors 'none'",
            "X-Content-Type-Options", "nosniff",
            "X-Frame-Options", "DENY",
            "Referrer-Policy", "no-referrer",
            "Cross-Origin-Opener-Policy", "same-origin",
            "Cross-Origin-Resource-Policy", "same-origin");

    private final Set<String> hosts = new HashSet<>(LOOPBACK);

    /** @param others host names, besides those of loopback, under which the server is reached */
    public SameSite(List<String> others) {
        others.forEach(h -> hosts.add(h.toLowerCase(Locale.ROOT)));
    }

    /** Headers of every answer. */
    public static Map<String, String> headers() {
        return HEADERS;
    }

    /** @throws Refusal for a request that did not come from our own pages, or from a program on purpose */
    public void check(Context c) {
        String host = name(c.header("Host"));
        if (!hosts.contains(host)) {
            throw new Refusal(
                    421,
                    "host",
                    "This server is not " + (host.isEmpty() ? "reached without a host name" : shown(host)) + ".",
                    "Use the address that Kolonne printed when it started.");
        }
        String origin = c.header("Origin");
        String site = c.header("Sec-Fetch-Site");
        boolean navigates = "navigate".equals(c.header("Sec-Fetch-Mode"))
                && c.method() == HandlerType.GET
                && !c.path().startsWith("/api/");
        boolean elsewhere = origin != null && !sameOrigin(origin, c.header("Host"))
                || site != null && !site.equals("same-origin") && !site.equals("none") && !navigates;
        if (elsewhere) {
            throw new Refusal(403, "origin", "A page of another site asked for this.", "Open Kolonne itself.");
        }
    }

    /** @param json whether the route reads JSON rather than a file. @throws Refusal for content of a type that it does not take */
    public static void checkContent(Context c, boolean json) {
        String type = c.contentType() == null
                ? ""
                : c.contentType().split(";")[0].strip().toLowerCase(Locale.ROOT);
        if (json ? !type.equals("application/json") : FORMS.contains(type)) {
            throw new Refusal(
                    415,
                    "content-type",
                    "The content is " + (type.isEmpty() ? "of no type" : shown(type)) + ".",
                    json
                            ? "Send JSON with Content-Type: application/json."
                            : "Send the file with Content-Type: application/octet-stream.");
        }
    }

    private static String shown(String s) {
        return s.length() > 80 ? s.substring(0, 80) + "…" : s;
    }

    /** Host without its port. */
    private static String name(String host) {
        String h = host == null ? "" : host.toLowerCase(Locale.ROOT);
        int colon = h.lastIndexOf(':');
        return colon > h.lastIndexOf(']') ? h.substring(0, colon) : h;
    }

    private static boolean sameOrigin(String origin, String host) {
        try {
            String authority = URI.create(origin).getRawAuthority();
            return authority != null && authority.equalsIgnoreCase(host);
        } catch (IllegalArgumentException e) {
            return false;
        }
    }
}
