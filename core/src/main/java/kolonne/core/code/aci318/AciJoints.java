package kolonne.core.code.aci318;

import static kolonne.core.explain.Trace.in;

import kolonne.core.basis.part.Ductility;
import kolonne.core.code.JointRules;
import kolonne.core.explain.Clause;
import kolonne.core.explain.Quantity;
import kolonne.core.explain.Trace;

/**
 * Joints of frames without ductility and of ordinary, intermediate and special moment frames, ACI 318-19 15.4, 18.3.4, 18.4.4 and 18.8; those of members
 * outside the system that resists earthquakes are those of intermediate frames (18.14.3.3(d)).
 */
record AciJoints(Ductility kind, UnitForm form) implements JointRules {
    /** Of joints of special frames (21.2.4.4), and of shear elsewhere (table 21.2.1). */
    private static final double PHI_SPECIAL = 0.85;

    private boolean special() {
        return kind == Ductility.SPECIAL;
    }

    private boolean plain() {
        return kind == Ductility.NONE;
    }

    /** Whether the strength is that of chapter 15. */
    private boolean ordinary() {
        return plain() || kind == Ductility.ORDINARY;
    }

    @Override
    public double strongColumn() {
        return special() ? 6.0 / 5 : 0;
    }

    @Override
    public boolean topIsFree(double compression, double ag, double fc) {
        return compression < ag * fc / 10;
    }

    @Override
    public Clause strongColumnClause() {
        return Clause.of("18.7.3.2");
    }

    @Override
    public double steelFactor() {
        return special() ? 1.25 : 1;
    }

    @Override
    public Clause forcesClause() {
        return Clause.of(
                plain()
                        ? "15.4.1.1(a)"
                        : ordinary()
                                ? "18.3.4"
                                : special()
                                        ? "18.8.2.1, 18.8.4.1"
                                        : kind == Ductility.OUTSIDE ? "18.14.3.3, 18.4.4.7.2" : "18.4.4.7.2");
    }

    /** Coefficient of √f'c: table 15.4.2.3 of ordinary frames, table 18.8.4.3 of the others; 15 psi is taken as 1.2 MPa, the lower rounding. */
    private double coefficient(Joint j) {
        int good = (j.column() ? 1 : 0) + (j.beam() ? 1 : 0) + (j.confined() ? 1 : 0);
        double[] si = ordinary() ? new double[] {1.0, 1.2, 1.7, 2.0} : new double[] {0.7, 1.0, 1.2, 1.7};
        double[] us = ordinary() ? new double[] {12, 15, 20, 24} : new double[] {8, 12, 15, 20};
        return form == UnitForm.SI ? si[good] : us[good];
    }

    @Override
    public double shear(Joint j, Trace t) {
        double c = coefficient(j);
        double stress = form.plainStress(c, c, j.fc());
        double aj = j.h() * j.width();
        double phi = special() ? PHI_SPECIAL : Aci318.PHI_SHEAR;
        double out = phi * stress * aj;
        if (t.on()) {
            t.step(
                    "Aj",
                    "h bj",
                    "{0} × {1}",
                    aj,
                    Quantity.AREA,
                    Clause.of("15.4.2.4"),
                    in(j.h(), Quantity.LENGTH),
                    in(j.width(), Quantity.LENGTH));
            t.step(
                    "φVn",
                    "φ " + (form == UnitForm.SI ? String.valueOf(c) : String.valueOf((int) c)) + " λ √f′c Aj",
                    phi + " × {0} × {1}, column " + (j.column() ? "runs on" : "ends") + ", beams from "
                            + (j.beam() ? "both sides" : "one side") + ", "
                            + (j.confined() ? "held across" : "not held across"),
                    out,
                    Quantity.FORCE,
                    shearClause(),
                    in(stress, Quantity.STRESS),
                    in(aj, Quantity.AREA));
        }
        return out;
    }

    /** Of a beam on the column's axis: twice the distance to its nearest side is the column's width (15.4.2.4). */
    @Override
    public double width(double bw, double h, double b) {
        return bw >= b ? b : Math.min(bw + h, b);
    }

    @Override
    public Clause shearClause() {
        return Clause.of(ordinary() ? "15.4.2.3" : "18.8.4.3");
    }

    @Override
    public double confiningWidth() {
        return 0.75;
    }

    @Override
    public double columnOverBeam() {
        return special() ? 0.5 : 0;
    }

    @Override
    public Clause columnOverBeamClause() {
        return Clause.of("18.8.2.3");
    }

    @Override
    public double deepBeam() {
        return kind == Ductility.INTERMEDIATE || kind == Ductility.OUTSIDE ? 2 : Double.POSITIVE_INFINITY;
    }

    @Override
    public Clause deepBeamClause() {
        return Clause.of("18.4.4.2");
    }
}
