package kolonne.server.watch;

import io.javalin.http.Context;
import java.security.SecureRandom;
import java.time.Duration;
import java.util.HexFormat;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.slf4j.MDC;

/**
 * Gives every request an id, counts it and writes it into the access log: method, path, status, time. Neither the query, which may hold what a person
 * searches for, nor headers, bodies or names of persons are written.
 */
public final class RequestWatch {
    /** Header of every answer; who reports a fault can name it. */
    public static final String HEADER = "Kolonne-Request";

    private static final Logger ACCESS = LoggerFactory.getLogger(Logs.ACCESS);
    private static final String ROUTE = "kolonne.route";
    private static final String OTHER = "other";
    /** Of a path in the log. */
    private static final int LONGEST = 200;

    private final Metrics metrics;
    private final SecureRandom random = new SecureRandom();

    public RequestWatch(Metrics metrics) {
        this.metrics = metrics;
    }

    /** A request has come. */
    public void begins(Context c) {
        byte[] id = new byte[6];
        random.nextBytes(id);
        String hex = HexFormat.of().formatHex(id);
        c.header(HEADER, hex);
        c.attribute(Logs.REQUEST, hex);
        MDC.put(Logs.REQUEST, hex);
    }

    /** Id of a request that has begun. */
    public static String id(Context c) {
        return c.attribute(Logs.REQUEST);
    }

    /** It is of a route of the API. */
    public static void of(Context c, String route) {
        c.attribute(ROUTE, route);
    }

    /** It has been answered. @param milliseconds that it took */
    public void ends(Context c, float milliseconds) {
        String route = c.attribute(ROUTE);
        metrics.answered(c.method().name(), route == null ? OTHER : route, c.statusCode(), Duration.ofNanos((long)
                (milliseconds * 1e6)));
        String id = id(c);
        if (id != null) {
            MDC.put(Logs.REQUEST, id);
        }
        ACCESS.info("{} {} {} {} ms", c.method(), path(c), c.statusCode(), Math.round(milliseconds));
        MDC.remove(Logs.REQUEST);
    }

    /** A path from outside must not begin lines of its own. */
    private static String path(Context c) {
        String p = c.path().replaceAll("\\p{Cntrl}", "?");
        return p.length() <= LONGEST ? p : p.substring(0, LONGEST) + "…";
    }
}
