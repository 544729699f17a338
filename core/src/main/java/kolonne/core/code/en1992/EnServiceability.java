package kolonne.core.code.en1992;

import static kolonne.core.explain.Trace.in;

import kolonne.core.code.Serviceability;
import kolonne.core.explain.Clause;
import kolonne.core.explain.Quantity;
import kolonne.core.explain.Trace;

/** Deflection by EN 1992-1-1 section 7.4.3, cracked by the distribution coefficient ζ, creep by the effective modulus, shrinkage by its curvature. */
final class EnServiceability implements Serviceability {
    /** β for sustained or repeated load (7.19). */
    private static final double BETA = 0.5;

    private final EnParameters p;

    EnServiceability(EnParameters p) {
        this.p = p;
    }

    @Override
    public double rupture(double fc) {
        return EnConcrete.fctm(fc);
    }

    /** Curvature ζ M/EIcr + (1 − ζ) M/EIg with ζ = 1 − β (Mcr / M)², as one stiffness. */
    @Override
    public double effectiveInertia(double moment, double cracking, double gross, double cracked, Trace t) {
        double zeta = moment <= cracking ? 0 : 1 - BETA * (cracking / moment) * (cracking / moment);
        double ie = 1 / (zeta / cracked + (1 - zeta) / gross);
        if (t.on()) {
            t.step(
                    "ζ",
                    "1 − β (Mcr / M)², 0 uncracked",
                    "1 − 0.5 × ({0} / {1})²",
                    zeta,
                    Quantity.NUMBER,
                    Clause.of("7.4.3(3)"),
                    in(cracking, Quantity.MOMENT),
                    in(moment, Quantity.MOMENT));
            t.step(
                    "Ie",
                    "1 / (ζ / III + (1 − ζ) / II)",
                    "III = {0}, II = {1}",
                    ie,
                    Quantity.SECOND_MOMENT,
                    immediateClause(),
                    in(cracked, Quantity.SECOND_MOMENT),
                    in(gross, Quantity.SECOND_MOMENT));
        }
        return ie;
    }

    @Override
    public Clause immediateClause() {
        return Clause.of("7.4.3(3)");
    }

    @Override
    public double creep() {
        return p.get("creep");
    }

    @Override
    public double shrinkage() {
        return p.get("shrinkage") / 1000;
    }

    @Override
    public Clause shrinkageClause() {
        return Clause.of("7.4.3(6)");
    }

    /** Not used: creep stands in the effective modulus Ecm / (1 + φ) (7.20). */
    @Override
    public double longTermFactor(double ratio, Trace t) {
        return 0;
    }

    @Override
    public Clause longTermClause() {
        return Clause.of("7.4.3(5)");
    }

    @Override
    public Clause limitClause() {
        return Clause.of("7.4.1");
    }

    /** Span / 250 under quasi-permanent load (7.4.1(4)). */
    @Override
    public double totalDivisor() {
        return 250;
    }

    @Override
    public boolean limitsLive() {
        return false;
    }
}
