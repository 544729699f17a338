package kolonne.core.beam.line;

import kolonne.core.basis.Basis;
import kolonne.core.explain.Trace;

/** The torque at which the spans of a line crack. */
public final class CrackingTorque {
    private CrackingTorque() {}

    /** The least of the spans, as design torque [Nmm]. */
    public static double least(BeamLine line, Basis basis) {
        return line.spans().stream()
                .mapToDouble(s -> basis.designCode()
                        .torsion()
                        .cracking(
                                BeamTorsion.section(s, basis, basis.smallestStirrup(), BeamTorsion.largest(basis)),
                                Trace.OFF))
                .min()
                .orElseThrow();
    }
}
