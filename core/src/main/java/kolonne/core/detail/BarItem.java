package kolonne.core.detail;

import java.util.List;
import kolonne.core.code.Bar;

/**
 * Like bars of one member.
 *
 * @param what      where they are, in words
 * @param shape     shape code of ISO 3766
 * @param dims      A, B, C, ... of the shape, outside dimensions [mm]
 * @param cutLength length to cut, rounded up to 5 mm [mm]
 */
public record BarItem(String what, String shape, Bar bar, int number, List<Double> dims, double cutLength) {
    public BarItem {
        dims = List.copyOf(dims);
    }

    /** Mass of all of them [kg]. */
    public double mass() {
        return number * cutLength / 1000 * bar.mass();
    }
}
