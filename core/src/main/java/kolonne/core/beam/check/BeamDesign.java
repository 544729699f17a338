package kolonne.core.beam.check;

import java.util.List;
import kolonne.core.basis.Basis;
import kolonne.core.beam.cage.BeamCage;
import kolonne.core.beam.cage.HandCage;
import kolonne.core.beam.line.BeamLine;
import kolonne.core.check.CheckResult;
import kolonne.core.check.Governing;
import kolonne.core.finding.Finding;
import kolonne.core.finding.Severity;

/**
 * A designed or checked beam line.
 *
 * @param basis    that it answers to
 * @param checks   worst result of every kind
 * @param profile  demand and capacity at the stations, for drawing
 * @param hand     what of it a person has set
 * @param deflections of every span; empty where the model has no service combinations
 */
public record BeamDesign(
        BeamLine line,
        BeamCage cage,
        Basis basis,
        HandCage hand,
        List<CheckResult> checks,
        List<Point> profile,
        List<Deflections> deflections,
        List<Finding> findings) {
    /**
     * Demand and capacity at a station.
     *
     * @param mPos   greatest sagging moment demanded, at least 0 [Nmm]; comboPos its combination
     * @param mNeg   greatest hogging moment demanded, at most 0 [Nmm]
     * @param capPos design strength in sagging, positive; capNeg in hogging, negative
     * @param vMax   greatest and {@code vMin} least shear [N]
     * @param vc     design strength of the concrete; vn with stirrups; vLimit of the section [N]
     * @param ve     shear by size that comes with the strength of the ends of a ductile span, else 0 [N]
     * @param t      greatest torque by size [Nmm]
     * @param limitUse how far shear, with torque where it counts, uses up the concrete; 1 is the limit
     * @param tn     torque that the outer legs carry beside the shear that comes with t; the threshold where torsion does not count
     */
    public record Point(
            double x,
            int span,
            double mPos,
            int comboPos,
            double mNeg,
            int comboNeg,
            double capPos,
            double capNeg,
            double vMax,
            int comboVMax,
            double vMin,
            int comboVMin,
            double vc,
            double vn,
            double vLimit,
            double ve,
            double t,
            int comboT,
            double tn,
            double limitUse) {}

    public BeamDesign {
        checks = List.copyOf(checks);
        profile = List.copyOf(profile);
        deflections = List.copyOf(deflections);
        findings = List.copyOf(findings);
    }

    /** The check that decides: the worst unmet one, otherwise the strength used most. */
    public CheckResult governing() {
        return Governing.of(checks);
    }

    public boolean satisfied() {
        return findings.stream().noneMatch(f -> f.severity() == Severity.FAILS);
    }

    /** Whether a strength utilisation exceeds 1.00. */
    public boolean overstressed() {
        return checks.stream().anyMatch(c -> !c.satisfied() && c.cause().isStrength());
    }
}
