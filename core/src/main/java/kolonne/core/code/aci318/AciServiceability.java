package kolonne.core.code.aci318;

import static kolonne.core.explain.Trace.in;

import kolonne.core.code.Serviceability;
import kolonne.core.explain.Clause;
import kolonne.core.explain.Quantity;
import kolonne.core.explain.Trace;

/** Deflection by ACI 318-19 section 24.2. */
final class AciServiceability implements Serviceability {
    /** ξ for five years or more (table 24.2.4.1.3). */
    private static final double FIVE_YEARS = 2.0;

    private final UnitForm form;

    AciServiceability(UnitForm form) {
        this.form = form;
    }

    /** fr = 0.62 λ √f'c (7.5 λ √f'c in psi), 19.2.3.1. */
    @Override
    public double rupture(double fc) {
        return form == UnitForm.SI ? 0.62 * Math.sqrt(fc) : 7.5 * Math.sqrt(fc / UnitForm.PSI) * UnitForm.PSI;
    }

    /** Table 24.2.3.5: Ig up to 2/3 Mcr, then Icr / (1 − (2/3 Mcr / Ma)² (1 − Icr / Ig)). */
    @Override
    public double effectiveInertia(double moment, double cracking, double gross, double cracked, Trace t) {
        double part = 2.0 / 3 * cracking / moment;
        double ie = part >= 1 ? gross : Math.min(gross, cracked / (1 - part * part * (1 - cracked / gross)));
        if (t.on()) {
            t.step(
                    "Ie",
                    part >= 1 ? "Ig, since Ma ≤ 2/3 Mcr" : "Icr / (1 − (2/3 Mcr / Ma)² (1 − Icr / Ig))",
                    "Icr = {0}, Ig = {1}, Mcr = {2}, Ma = {3}",
                    ie,
                    Quantity.SECOND_MOMENT,
                    immediateClause(),
                    in(cracked, Quantity.SECOND_MOMENT),
                    in(gross, Quantity.SECOND_MOMENT),
                    in(cracking, Quantity.MOMENT),
                    in(moment, Quantity.MOMENT));
        }
        return ie;
    }

    @Override
    public Clause immediateClause() {
        return Clause.of("24.2.3.5");
    }

    /** λΔ = ξ / (1 + 50 ρ′), 24.2.4.1.1. */
    @Override
    public double longTermFactor(double ratio, Trace t) {
        double factor = FIVE_YEARS / (1 + 50 * ratio);
        if (t.on()) {
            t.step(
                    "λΔ",
                    "ξ / (1 + 50 ρ′)",
                    "2.0 / (1 + 50 × {0})",
                    factor,
                    Quantity.NUMBER,
                    longTermClause(),
                    in(ratio, Quantity.NUMBER));
        }
        return factor;
    }

    @Override
    public Clause longTermClause() {
        return Clause.of("24.2.4.1.1");
    }

    @Override
    public Clause limitClause() {
        return Clause.of("24.2.2");
    }

    @Override
    public double creep() {
        return 0;
    }

    @Override
    public double shrinkage() {
        return 0;
    }

    @Override
    public Clause shrinkageClause() {
        return Clause.of("24.2.4.1");
    }

    @Override
    public double totalDivisor() {
        return Double.POSITIVE_INFINITY;
    }

    @Override
    public boolean limitsLive() {
        return true;
    }
}
