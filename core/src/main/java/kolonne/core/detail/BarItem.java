package kolonne.core.detail;

import java.util.List;
import kolonne.core.code.Bar;

/**
 * Like bars of one member.
 *
 * @param what      where they are, in words
 * @param shape     shape code of ISO 3766
 * @param dims      A, B, C, ... of the shape, outside dimensions [mm]; of a spiral diameter, pitch [mm] and number of turns
 * @param cutLength length to cut, rounded up to 5 mm [mm]
 */
public record BarItem(String what, String shape, Bar bar, int number, List<Double> dims, double cutLength) {
    public BarItem {
        dims = List.copyOf(dims);
    }

    /** What bars have in common that are cut and bent alike, wherever they lie. */
    public record Kind(String shape, Bar bar, List<Double> dims, double cutLength) {}

    public Kind kind() {
        return new Kind(shape, bar, dims, cutLength);
    }

    /** Whether it is bent from a coil instead of a bar of the length delivered: a spiral. */
    public boolean fromCoil() {
        return shape.equals("77");
    }

    /** Whether a dimension is a number of turns and no length. */
    public boolean isCount(int dim) {
        return fromCoil() && dim == 2;
    }

    /** Mass of all of them [kg]. */
    public double mass() {
        return number * cutLength / 1000 * bar.mass();
    }
}
