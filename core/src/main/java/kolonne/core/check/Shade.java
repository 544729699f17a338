package kolonne.core.check;

import java.util.List;
import kolonne.core.explain.Quantity;

/** What the colour of a member in a view may stand for: how far one kind of requirement is used. Pass or fail is told apart from it. */
public enum Shade {
    /** The strengths: bending, shear with torsion, axial force with bending. */
    STRENGTH,
    BENDING,
    SHEAR_TORSION,
    AXIAL_BENDING,
    DEFLECTION,
    /** Spacings, least steel, anchorage, cracks: often near their limit because a detailer goes there. */
    DETAILING,
    /** Clear distances between bars. */
    CONGESTION;

    /** Greatest use of this kind among some checks; 0 where none is of it. */
    public double of(List<CheckResult> checks) {
        double most = 0;
        for (CheckResult c : checks) {
            most = holds(c) ? Math.max(most, c.utilisation()) : most;
        }
        return most;
    }

    private boolean holds(CheckResult c) {
        Shade s = kind(c);
        return switch (this) {
            case STRENGTH -> s == BENDING || s == SHEAR_TORSION || s == AXIAL_BENDING;
            case DETAILING -> s == DETAILING || s == CONGESTION;
            default -> s == this;
        };
    }

    /** The one kind that a check belongs to. */
    private static Shade kind(CheckResult c) {
        // sizes and strains are limits that a section or a spacing keeps, not strengths
        boolean strength = c.quantity() != Quantity.LENGTH && c.quantity() != Quantity.STRAIN;
        return switch (c.kind().cause()) {
            case FLEXURE -> strength ? BENDING : DETAILING;
            case SHEAR, SHEAR_LIMIT, TORSION, SHEAR_TORSION_LIMIT -> strength ? SHEAR_TORSION : DETAILING;
            case AXIAL_BENDING, AXIAL_LIMIT -> AXIAL_BENDING;
            case DEFLECTION -> DEFLECTION;
            case BARS_DO_NOT_FIT -> CONGESTION;
            default -> DETAILING;
        };
    }
}
