package kolonne.core.code;

import java.util.Optional;
import kolonne.core.explain.Clause;
import kolonne.core.explain.Trace;

/** Strength of sections in bending and axial force. Units N, mm, MPa; strengths are design strengths, after reduction. */
public interface SectionRules {
    /** Stress block of a concrete. */
    StressBlock block(double fc);

    /** Clause of the stress block. */
    Clause blockClause();

    /** Strength of bars that sections are computed with [MPa]. */
    double designSteel(double fy);

    /** Stress and strain of concrete for columns, where the code has more than the block. */
    Optional<ConcreteCurve> curve(double fc);

    /** Reduction factor for axial force and bending from the net tensile strain of the outermost tension bar. */
    double reduction(double tensionStrain, double yieldStrain);

    /** Clause of that factor; empty where partial factors stand in the strengths of the materials instead. */
    Optional<Clause> reductionClause();

    Clause flexureClause();

    Clause axialBendingClause();

    /** Least net tensile strain of a beam at its nominal strength. */
    double beamTensionStrain(double yieldStrain, double fc, Trace t);

    Clause beamTensionStrainClause();

    /** Design strength in pure compression, with the code's cap [N]. */
    double axialCap(double fc, double fy, double ag, double ast, Trace t);

    Clause axialCapClause();
}
