package kolonne.core.beam.choice;

import java.util.List;
import kolonne.core.beam.cage.BarFit;

/**
 * What bars cost on a site beside their mass, as mass: cutting, carrying and tying every piece, a second layer, a bar alone, a bar off the web's
 * middle, a further size in a line. Additional bars count with three fifths of a region of 8 m, where 1 kg is about 27 mm2 of area.
 */
final class Handling {
    private static final double KG = 27;
    /** Every piece: 1.5 kg. */
    static final double PIECE = 1.5 * KG;

    private static final double LAYER = 3 * KG;
    private static final double ALONE = 3 * KG;
    private static final double OFF_MIDDLE = 4 * KG;
    /** Pairs are for where single bars do not fit. */
    private static final double PAIRED = 1000 * KG;
    /** A further size in a line: 10 kg of bars [mm3]. */
    static final double SIZE = 10 / 7.85e-6;

    private Handling() {}

    /** Of the layers of a face, those of the through bars first, beside the pieces [mm2]. */
    static double of(List<BarFit.Layer> layers) {
        double out = 0;
        int below = layers.get(0).count();
        int number = 1;
        int inLayer = below;
        for (BarFit.Layer l : layers.subList(1, layers.size())) {
            if (l.number() != number) {
                out += LAYER;
                number = l.number();
                below = inLayer;
                inLayer = 0;
            }
            inLayer += l.count();
            out += l.pairs() ? PAIRED : 0;
            boolean beside = l.number() == 1;
            // an odd bar finds the middle free only where an even number lies beside it, or an odd one below
            boolean middle = l.count() % 2 == 0 || (beside ? layers.get(0).count() % 2 == 0 : below % 2 == 1);
            out += middle ? 0 : OFF_MIDDLE;
            out += l.count() == 1 && !(beside && middle) ? ALONE : 0;
        }
        return out;
    }
}
