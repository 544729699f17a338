package kolonne.core.beam;

import java.util.ArrayList;
import java.util.List;
import kolonne.core.basis.Basis;
import kolonne.core.code.Bar;
import kolonne.core.code.DesignCode;

/** Whether bars fit between the stirrup legs of a beam, and at which depth each layer lies. */
final class BarFit {
    private BarFit() {}

    /** Bars of one size in one layer; {@code offset} from the face to their centre [mm]. */
    record Layer(int number, int count, Bar bar, double offset) {}

    /** Clear width between stirrup legs [mm]. */
    static double clearWidth(double bw, Basis basis, Bar stirrup) {
        return bw - 2 * (basis.beamCover() + stirrup.diameter());
    }

    /** Clear gap between bars of a layer [mm], for bars of given total diameter. */
    static double gap(double clearWidth, int count, double diameters) {
        return count < 2 ? Double.POSITIVE_INFINITY : (clearWidth - diameters) / (count - 1);
    }

    /** How many bars of {@code extra} fit beside {@code n} bars of {@code main} in one layer. */
    private static int fits(double width, int n, Bar main, Bar extra, double aggregate, DesignCode code, int wanted) {
        int k = 0;
        while (k < wanted) {
            double largest = n > 0 ? Math.max(main.diameter(), extra.diameter()) : extra.diameter();
            double sum = n * main.diameter() + (k + 1) * extra.diameter();
            if (gap(width, n + k + 1, sum) < code.beamClearSpacing(largest, aggregate) - 1e-6 || sum > width) {
                break;
            }
            k++;
        }
        return k;
    }

    /**
     * Places through bars in the first layer and additional bars beside them, then in further layers.
     *
     * @return the layers (through bars first), or null if the bars do not fit
     */
    static List<Layer> place(double bw, Basis basis, Bar stirrup, int through, Bar throughBar, int added, Bar addedBar) {
        DesignCode code = basis.designCode();
        double width = clearWidth(bw, basis, stirrup);
        double start = basis.beamCover() + stirrup.diameter();
        if (fits(width, 0, throughBar, throughBar, basis.aggregate(), code, through) < through) {
            return null;
        }
        List<Layer> out = new ArrayList<>();
        out.add(new Layer(1, through, throughBar, start + throughBar.diameter() / 2));
        int rest = added;
        int inFirst = fits(width, through, throughBar, addedBar, basis.aggregate(), code, rest);
        if (inFirst > 0) {
            out.add(new Layer(1, inFirst, addedBar, start + addedBar.diameter() / 2));
            rest -= inFirst;
        }
        double level = start + Math.max(throughBar.diameter(), added > 0 ? addedBar.diameter() : 0);
        int below = through + inFirst;
        for (int n = 2; rest > 0; n++) {
            if (n > basis.layersMost()) {
                return null;
            }
            int k = Math.min(below, fits(width, 0, addedBar, addedBar, basis.aggregate(), code, rest));
            if (k == 0) {
                return null;
            }
            level += Math.max(code.layerClearSpacing(basis.aggregate()), addedBar.diameter());
            out.add(new Layer(n, k, addedBar, level + addedBar.diameter() / 2));
            level += addedBar.diameter();
            below = k;
            rest -= k;
        }
        return out;
    }
}
