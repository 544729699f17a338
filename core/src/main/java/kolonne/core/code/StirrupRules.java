package kolonne.core.code;

import kolonne.core.explain.Clause;

/** Spacing of stirrups, and stirrups that hold bars in compression. Lengths [mm]. */
public interface StirrupRules {
    SpacingLimits beamStirrupSpacing(double d, boolean highVs);

    /** Largest spacing of stirrups round bars that are needed in compression in a beam [mm]. @param least side of the beam */
    double compressionTieSpacing(Bar bar, Bar stirrup, double least);

    /** Whether their legs and size are those of ties. */
    boolean compressionBarsHeld();

    /** Least diameter of theirs [mm]; 0 where none is asked for. @param bar the thickest of the bars; @param bundled whether some touch others */
    double compressionStirrup(Bar bar, boolean bundled);

    Clause compressionTieClause();
}
