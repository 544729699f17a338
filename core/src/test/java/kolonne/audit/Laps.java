package kolonne.audit;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;

/** Whether the bars of a lift have bars beneath to lap with: each its own, no thinner, no more than 150 mm beside it (ACI 318-19 25.5.1.3). */
final class Laps {
    private static final double BESIDE = 150;

    private Laps() {}

    static void read(Sheet.Lift below, Sheet.Lift above, Findings out) {
        List<Sheet.Dot> free = new ArrayList<>(below.bars());
        List<Sheet.Dot> bars = new ArrayList<>(above.bars());
        // the thickest have the fewest to choose from
        bars.sort(Comparator.comparingDouble(Sheet.Dot::d).reversed());
        int alone = 0;
        for (Sheet.Dot bar : bars) {
            Sheet.Dot partner = free.stream()
                    .filter(o -> o.d() > bar.d() - 0.1 && apart(o, bar) <= BESIDE)
                    .min(Comparator.comparingDouble(o -> apart(o, bar)))
                    .orElse(null);
            alone += partner == null ? 1 : 0;
            free.remove(partner);
        }
        out.add("lap", alone > 0 ? 99 : 0, alone + " bars of the lift above");
    }

    private static double apart(Sheet.Dot a, Sheet.Dot b) {
        return Math.hypot(a.x() - b.x(), a.y() - b.y());
    }
}
