package kolonne.core.code;

import kolonne.core.explain.Clause;
import kolonne.core.explain.Trace;

/** Shear, and loads that hang on a beam or stand near its supports. Units N, mm, MPa. */
public interface ShearRules {
    /** Shear strength of a section with given stirrups. */
    ShearStrength shear(ShearInput s, Trace t);

    Clause shearClause();

    Clause shearLimitClause();

    Clause shearMinimumClause();

    /** Legs that a shear needs, Av/s, without the code's minimum; infinite past the limit of the concrete [mm2/mm]. */
    double shearSteel(ShearInput s, double v);

    /** The same where torsion acts beside the shear. */
    double shearSteelBesideTorsion(ShearInput s, double v);

    /** Legs that a shear needs where the concrete carries nothing of it, beside torsion or alone; infinite past the limit of what stirrups carry [mm2/mm]. */
    default double shearSteelWithoutConcrete(ShearInput s, double v) {
        double avs = shear(s, Trace.OFF).minimumAvs();
        ShearStrength with = shear(s.with(avs), Trace.OFF);
        return v > with.limit() - with.concrete()
                ? Double.POSITIVE_INFINITY
                : v / (with.total() - with.concrete()) * avs;
    }

    /** Stress with which stirrups hang up a load [MPa]. */
    double hangerStress(double fyt);

    Clause hangerClause();

    /** Distance from a support within which a concentrated load may reach it through a strut [mm]. */
    double nearLoadReach(double h);

    /** What the code says of such loads, for a reader. */
    String nearLoadWords();

    Clause nearLoadClause();
}
