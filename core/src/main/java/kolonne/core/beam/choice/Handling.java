package kolonne.core.beam.choice;

import java.util.List;
import kolonne.core.basis.part.HandlingCost;
import kolonne.core.beam.cage.BarFit;
import kolonne.core.code.Bar;

/** What bars cost on a site, their mass and what comes beside it [kg]. */
final class Handling {
    /** Pairs are for where single bars do not fit. */
    private static final double PAIRED = 1000;

    /** For each hook that does not stand upright in the beam. */
    private static final double LAID_OVER = 10;
    /** A lap, in diameters. */
    private static final double LAP = 50;

    /** Costs that differ by less differ by rounding, which depends on the order of members in a file [kg]. */
    private static final double ROUNDING = 1e-6;

    private final HandlingCost cost;

    Handling(HandlingCost cost) {
        this.cost = cost;
    }

    /** Whether a cost is below another; of equal ones the first that was tried stays. */
    static boolean below(double cost, double other) {
        return cost < other - ROUNDING;
    }

    /** Of some bars. @param length of each [mm]; @param delivered longest bar that is [mm] */
    double bars(int count, Bar bar, double length, double delivered) {
        double pieces = Math.max(1, Math.ceil(length / delivered - 1e-9));
        double laps = (pieces - 1) * LAP * bar.diameter();
        return count * (bar.mass() * (length + laps) / 1000 + cost.piece() * pieces);
    }

    /** Of a size that is one too many. */
    double size() {
        return cost.size();
    }

    /** Of hooks that must be laid over, since they are higher than the beam. */
    double laidOver(int hooks) {
        return hooks * LAID_OVER;
    }

    /** Of the layers of a face, those of the through bars first, beside the bars. */
    double of(List<BarFit.Layer> layers) {
        double out = 0;
        int below = layers.get(0).count();
        int number = 1;
        int inLayer = below;
        for (BarFit.Layer l : layers.subList(1, layers.size())) {
            if (l.number() != number) {
                out += cost.layer();
                number = l.number();
                below = inLayer;
                inLayer = 0;
            }
            inLayer += l.count();
            out += l.pairs() ? PAIRED : 0;
            boolean beside = l.number() == 1;
            // an odd bar finds the middle free only where an even number lies beside it, or an odd one below
            boolean middle = l.count() % 2 == 0 || (beside ? layers.get(0).count() % 2 == 0 : below % 2 == 1);
            out += middle ? 0 : cost.offMiddle();
            out += l.count() == 1 && !(beside && middle) ? cost.alone() : 0;
        }
        return out;
    }
}
