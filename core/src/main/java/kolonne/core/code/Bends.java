package kolonne.core.code;

/** How bars are bent. Lengths [mm]. */
public interface Bends {
    /** Inside radius of a bend of a longitudinal bar. */
    double barRadius(Bar b);

    /** Inside radius of a bend of a stirrup. */
    double stirrupRadius(Bar b);

    /** Straight end of a longitudinal bar after a bend of 90°. */
    double barTail(Bar b);

    /** Height of a 90° hook, outside: bend and straight end. */
    default double hook(Bar b) {
        return barRadius(b) + b.diameter() + barTail(b);
    }

    /** What a 90° hook adds to the outside length along the member, by ISO 3766:2003, table 4. */
    default double hookBeyondRun(Bar b) {
        return hook(b) - 0.5 * barRadius(b) - b.diameter();
    }

    /** Straight end of a stirrup after a hook of 135°. */
    double stirrupTail(Bar b);
}
