package kolonne.core.code;

/** How bars are bent. Lengths [mm]. */
public interface Bends {
    /** Inside radius of a bend of a longitudinal bar. */
    double barRadius(Bar b);

    /** Inside radius of a bend of a stirrup. */
    double stirrupRadius(Bar b);

    /** Straight end of a longitudinal bar after a bend of 90°. */
    double barTail(Bar b);

    /** Straight end of a stirrup after a hook of 135°. */
    double stirrupTail(Bar b);
}
