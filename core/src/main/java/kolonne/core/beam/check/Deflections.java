package kolonne.core.beam.check;

import java.util.List;

/**
 * Deflections of a span, downwards, against the chord between the middles of its supports (a cantilever against the face of its support).
 *
 * @param x        places along the line [mm]
 * @param live     immediate deflection under live load, of the combination with the largest [mm]
 * @param lasting  what comes after the partitions: long-term under sustained load and immediate under live load [mm]
 * @param total    largest long-term deflection under sustained load by size [mm]
 * @param length   of the span that limits refer to [mm]
 * @param liveAt   index of the largest live deflection by size; lastingAt of the largest lasting one
 * @param service  number of the service combination; sustained of the sustained one
 */
public record Deflections(
        int span,
        List<Double> x,
        List<Double> live,
        List<Double> lasting,
        double total,
        double length,
        int liveAt,
        int lastingAt,
        int service,
        int sustained) {
    public Deflections {
        x = List.copyOf(x);
        live = List.copyOf(live);
        lasting = List.copyOf(lasting);
    }

    public double mostLive() {
        return Math.abs(live.get(liveAt));
    }

    double mostLasting() {
        return Math.abs(lasting.get(lastingAt));
    }
}
