package kolonne.core.beam.cage;

import java.util.Comparator;
import kolonne.core.basis.Basis;
import kolonne.core.code.Bar;

/** The clear distance from one layer of bars to the next. */
final class LayerGap {
    private static final double ROUNDING = 1e-6;

    private LayerGap() {}

    /**
     * What the code asks, and the bars of the next layer at least; where spacers lie between, what the next size of bar is thick.
     *
     * @param next diameter of those bars [mm]
     */
    static double of(double next, Basis basis) {
        double least = Math.max(basis.designCode().detailing().layerClearSpacing(basis.aggregate()), next);
        if (basis.practice().spacersEvery() <= 0) {
            return least;
        }
        return basis.entry().catalogue().bars().stream()
                .mapToDouble(Bar::diameter)
                .filter(d -> d >= least - ROUNDING)
                .min()
                .orElse(least);
    }

    /** The thickest bar that finds room in a gap; null where none does. */
    static Bar filling(double gap, Basis basis) {
        return basis.entry().catalogue().bars().stream()
                .filter(b -> b.diameter() <= gap + ROUNDING)
                .max(Comparator.comparingDouble(Bar::diameter))
                .orElse(null);
    }
}
