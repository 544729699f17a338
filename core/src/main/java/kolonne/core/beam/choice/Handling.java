package kolonne.core.beam.choice;

import java.util.List;
import kolonne.core.basis.part.HandlingCost;
import kolonne.core.beam.cage.BarFit;

/**
 * What bars cost on a site beside their mass, as area of steel: additional bars count with three fifths of a region of 8 m, where 1 kg is about
 * 27 mm2.
 */
final class Handling {
    private static final double KG = 27;
    /** Pairs are for where single bars do not fit. */
    private static final double PAIRED = 1000 * KG;

    private static final double DENSITY = 7.85e-6;

    private final HandlingCost cost;

    Handling(HandlingCost cost) {
        this.cost = cost;
    }

    /** Of a piece [mm2]. */
    double piece() {
        return cost.piece() * KG;
    }

    /** Of a further size in a line, as volume of bars [mm3]. */
    double size() {
        return cost.size() / DENSITY;
    }

    /** Of the layers of a face, those of the through bars first, beside the pieces [mm2]. */
    double of(List<BarFit.Layer> layers) {
        double out = 0;
        int below = layers.get(0).count();
        int number = 1;
        int inLayer = below;
        for (BarFit.Layer l : layers.subList(1, layers.size())) {
            if (l.number() != number) {
                out += cost.layer() * KG;
                number = l.number();
                below = inLayer;
                inLayer = 0;
            }
            inLayer += l.count();
            out += l.pairs() ? PAIRED : 0;
            boolean beside = l.number() == 1;
            // an odd bar finds the middle free only where an even number lies beside it, or an odd one below
            boolean middle = l.count() % 2 == 0 || (beside ? layers.get(0).count() % 2 == 0 : below % 2 == 1);
            out += middle ? 0 : cost.offMiddle() * KG;
            out += l.count() == 1 && !(beside && middle) ? cost.alone() * KG : 0;
        }
        return out;
    }
}
