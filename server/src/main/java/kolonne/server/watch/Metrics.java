package kolonne.server.watch;

import io.micrometer.core.instrument.Gauge;
import io.micrometer.core.instrument.Timer;
import io.micrometer.core.instrument.binder.jvm.JvmGcMetrics;
import io.micrometer.core.instrument.binder.jvm.JvmMemoryMetrics;
import io.micrometer.core.instrument.binder.jvm.JvmThreadMetrics;
import io.micrometer.core.instrument.binder.system.ProcessorMetrics;
import io.micrometer.core.instrument.binder.system.UptimeMetrics;
import io.micrometer.prometheusmetrics.PrometheusConfig;
import io.micrometer.prometheusmetrics.PrometheusMeterRegistry;
import java.time.Duration;
import java.util.function.IntSupplier;

/** Figures of a running server. Requests are told by their routes, never by their addresses: no name of a project is in them. */
public final class Metrics implements AutoCloseable {
    /** Of the text form. */
    public static final String CONTENT_TYPE = "text/plain; version=0.0.4; charset=utf-8";

    private final PrometheusMeterRegistry registry = new PrometheusMeterRegistry(PrometheusConfig.DEFAULT);
    private final JvmGcMetrics collections = new JvmGcMetrics();

    public Metrics() {
        new JvmMemoryMetrics().bindTo(registry);
        collections.bindTo(registry);
        new JvmThreadMetrics().bindTo(registry);
        new ProcessorMetrics().bindTo(registry);
        new UptimeMetrics().bindTo(registry);
    }

    /** Asked whenever the figures are read. @param name with points, as {@code kolonne.jobs.waiting} */
    public void gauge(String name, String says, IntSupplier value) {
        Gauge.builder(name, value::getAsInt).description(says).register(registry);
    }

    /** Counts a request that was answered. @param route with its parameters' names, as {@code /api/projects/{id}} */
    public void answered(String method, String route, int status, Duration took) {
        Timer.builder("kolonne.requests")
                .description("Requests that were answered")
                .tag("method", method)
                .tag("route", route)
                .tag("status", Integer.toString(status))
                .publishPercentileHistogram(false)
                .register(registry)
                .record(took);
    }

    /** All figures, a line each. */
    public String text() {
        return registry.scrape();
    }

    @Override
    public void close() {
        collections.close();
        registry.close();
    }
}
