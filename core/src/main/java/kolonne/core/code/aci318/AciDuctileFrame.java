package kolonne.core.code.aci318;

import kolonne.core.basis.part.Ductility;
import kolonne.core.code.Bar;
import kolonne.core.code.DuctileColumns;
import kolonne.core.code.DuctileFrame;
import kolonne.core.explain.Clause;

/**
 * Beams of ordinary, intermediate and special moment frames, ACI 318-19 18.3.2, 18.4.2 and 18.6; and of members outside the system that resists
 * earthquakes whose moments under its drift nobody computes: 18.14.3.3(b) asks for 18.6.3.1, 18.6.5 and stirrups no farther apart than d/2.
 */
record AciDuctileFrame(Ductility kind, UnitForm form) implements DuctileFrame {
    private boolean special() {
        return kind == Ductility.SPECIAL;
    }

    private boolean outside() {
        return kind == Ductility.OUTSIDE;
    }

    private boolean ordinary() {
        return kind == Ductility.ORDINARY;
    }

    /** Grade 420 (60 ksi) or less. */
    private boolean lowGrade(double fy) {
        return fy <= form.stress(420, 60_000) * 1.0001;
    }

    private String clause(String ordinary, String intermediate, String special) {
        return outside() ? "18.14.3.3, " + special : ordinary() ? ordinary : special() ? special : intermediate;
    }

    /** A clause of special frames. */
    private Clause special(String clause) {
        return Clause.of(outside() ? "18.14.3.3, " + clause : clause);
    }

    @Override
    public DuctileColumns columns() {
        return new AciDuctileColumns(kind, form);
    }

    @Override
    public String name() {
        return outside()
                ? "member outside the seismic system"
                : clause("ordinary", "intermediate", "special") + " moment frame";
    }

    /** A quarter, but special frames have the least steel of 18.6.3.1 and the strengths of 18.6.3.2 instead. */
    @Override
    public double continuousBottom() {
        return special() || outside() ? 0 : 0.25;
    }

    @Override
    public Clause continuousClause() {
        return Clause.of(clause("18.3.2", "18.4.2.1", "18.6.3.1"));
    }

    @Override
    public double saggingAtFace() {
        return ordinary() || outside() ? 0 : special() ? 1.0 / 2 : 1.0 / 3;
    }

    @Override
    public double anywhere() {
        return ordinary() || outside() ? 0 : special() ? 1.0 / 4 : 1.0 / 5;
    }

    @Override
    public Clause strengthClause() {
        return Clause.of(clause("18.3.2", "18.4.2.2", "18.6.3.2"));
    }

    @Override
    public boolean leastSteelOnBothFaces() {
        return special() || outside();
    }

    @Override
    public double mostRatio(double fy) {
        return special() || outside() ? lowGrade(fy) ? 0.025 : 0.02 : Double.POSITIVE_INFINITY;
    }

    @Override
    public Clause ratioClause() {
        return special("18.6.3.1");
    }

    /** Nominal strength in 18.4.2.3(a); the probable strength of 18.6.5.1 has 1.25 fy. */
    @Override
    public double steelFactor() {
        return ordinary() ? 0 : special() || outside() ? 1.25 : 1;
    }

    /** Twice the earthquake of the combinations (18.4.2.3(b)). */
    @Override
    public double earthquakeFactor() {
        return kind == Ductility.INTERMEDIATE ? 2 : Double.POSITIVE_INFINITY;
    }

    @Override
    public boolean concreteMayBeLost() {
        return special() || outside();
    }

    @Override
    public Clause capacityShearClause() {
        return Clause.of(clause("", "18.4.2.3", "18.6.5.1"));
    }

    @Override
    public Clause withoutConcreteClause() {
        return special("18.6.5.2");
    }

    /** The lengths of 18.6.4.1: outside the system only what 18.6.5.2 says of them holds. */
    @Override
    public double hoopDepths() {
        return ordinary() ? 0 : 2;
    }

    @Override
    public double hoopSpacing(double d, Bar thinnest, Bar hoop, double fy) {
        if (outside()) {
            return spacingElsewhere(d);
        }
        if (special()) {
            return Math.min(Math.min(d / 4, form.length(150, 6)), (lowGrade(fy) ? 6 : 5) * thinnest.diameter());
        }
        return Math.min(Math.min(d / 4, 8 * thinnest.diameter()), Math.min(24 * hoop.diameter(), form.length(300, 12)));
    }

    @Override
    public double lapHoops(double d) {
        return special() ? Math.min(d / 4, form.length(100, 4)) : Double.POSITIVE_INFINITY;
    }

    @Override
    public boolean lapsAwayFromColumns() {
        return special();
    }

    @Override
    public Clause lapClause() {
        return Clause.of("18.6.3.3");
    }

    @Override
    public Clause hoopClause() {
        return outside() ? spacingElsewhereClause() : Clause.of(clause("", "18.4.2.4", "18.6.4.4"));
    }

    @Override
    public boolean hoopsHoldBars() {
        return special();
    }

    @Override
    public double heldDistance() {
        return form.length(350, 14);
    }

    @Override
    public Clause heldClause() {
        return Clause.of("18.6.4.2");
    }

    @Override
    public double spacingElsewhere(double d) {
        return ordinary() ? Double.POSITIVE_INFINITY : d / 2;
    }

    @Override
    public Clause spacingElsewhereClause() {
        return outside() ? Clause.of("18.14.3.2(a)") : Clause.of(clause("", "18.4.2.5", "18.6.4.6"));
    }

    @Override
    public double leastSpanToDepth() {
        return special() ? 4 : 0;
    }

    @Override
    public double leastWidth(double h) {
        return special() ? Math.min(0.3 * h, form.length(250, 10)) : 0;
    }

    @Override
    public double mostProjection(double along, double across) {
        return special() ? Math.min(across, 0.75 * along) : Double.POSITIVE_INFINITY;
    }

    @Override
    public Clause proportionsClause() {
        return Clause.of("18.6.2.1");
    }

    @Override
    public double columnDepthInBars(double fy) {
        return special() ? lowGrade(fy) ? 20 : 26 : 0;
    }

    @Override
    public Clause columnDepthClause() {
        return Clause.of("18.8.2.3");
    }

    /** Equation (18.8.5.1); at least 8 db and 150 mm (6 in). */
    @Override
    public double hookLength(Bar bar, double fc, double fy) {
        if (!special()) {
            return 0;
        }
        double root = form == UnitForm.SI ? 5.4 * form.root(fc) : 65 * form.root(fc) * UnitForm.PSI;
        return Math.max(fy * bar.diameter() / root, Math.max(8 * bar.diameter(), form.length(150, 6)));
    }

    @Override
    public Clause hookClause() {
        return Clause.of("18.8.5.1");
    }
}
