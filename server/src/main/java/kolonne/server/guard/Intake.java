package kolonne.server.guard;

import io.javalin.http.Context;
import io.javalin.http.HttpResponseException;
import java.time.Duration;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.ScheduledFuture;
import java.util.concurrent.Semaphore;
import java.util.concurrent.TimeUnit;
import org.eclipse.jetty.ee10.servlet.ServletContextRequest;
import org.eclipse.jetty.io.EndPoint;

/**
 * Takes in what requests send, before a route works on it: only so many at a time, each at a least rate, so that slow clients hold no more than
 * a part of the server's threads and short requests are always answered.
 */
public final class Intake implements AutoCloseable {
    /**
     * @param small bodies at a time up to {@code smallBytes}; @param large bodies at a time above that
     * @param grace time that a body has whatever its size; @param rate and for its size [bytes/s]
     * @param largest body that is taken [bytes]
     */
    public record Limits(int small, int large, long smallBytes, Duration grace, long rate, long largest) {
        public static Limits of(long largest) {
            return new Limits(48, 4, 1 << 20, Duration.ofSeconds(15), 256 << 10, largest);
        }
    }

    private final Limits limits;
    private final Semaphore small;
    private final Semaphore large;
    private final ScheduledExecutorService clock = Executors.newSingleThreadScheduledExecutor(r -> {
        Thread t = new Thread(r, "intake");
        t.setDaemon(true);
        return t;
    });

    public Intake(Limits limits) {
        this.limits = limits;
        this.small = new Semaphore(limits.small());
        this.large = new Semaphore(limits.large());
    }

    /** Whether a request has a body. */
    public static boolean sends(Context c) {
        return c.req().getContentLengthLong() > 0 || c.header("Transfer-Encoding") != null;
    }

    /** Reads the body of a request; it is kept with the request. @throws Refusal while too many others send */
    public void take(Context c) {
        if (!sends(c)) {
            return;
        }
        long length = c.req().getContentLengthLong();
        if (length < 0) {
            throw new Refusal(411, "length", "The request does not say how much it sends.", "Send Content-Length.");
        }
        boolean few = length <= limits.smallBytes();
        Semaphore places = few ? small : large;
        if (!places.tryAcquire()) {
            c.header("Retry-After", "3");
            throw new Refusal(503, "busy", "The server is taking in as much as it can.", "Try again in a moment.");
        }
        ScheduledFuture<?> end = clock.schedule(
                () -> cut(c),
                limits.grace().toMillis() + Math.min(length, limits.largest()) * 1000 / limits.rate(),
                TimeUnit.MILLISECONDS);
        try {
            c.bodyAsBytes();
        } catch (HttpResponseException e) {
            throw e; // too large
        } catch (Exception e) {
            throw new Refusal(
                    408, "slow", "The request did not arrive whole.", "Send it again, over a better connection.");
        } finally {
            end.cancel(false);
            places.release();
        }
    }

    /** Ends the connection: the read that waits on it fails, and its thread is free. */
    private static void cut(Context c) {
        EndPoint end = ServletContextRequest.getServletContextRequest(c.req())
                .getConnectionMetaData()
                .getConnection()
                .getEndPoint();
        end.close();
    }

    @Override
    public void close() {
        clock.shutdownNow();
    }
}
