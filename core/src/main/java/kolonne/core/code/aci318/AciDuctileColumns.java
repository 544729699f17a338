package kolonne.core.code.aci318;

import static kolonne.core.explain.Trace.in;

import kolonne.core.basis.part.Ductility;
import kolonne.core.code.Bar;
import kolonne.core.code.DuctileColumns;
import kolonne.core.code.JointRules;
import kolonne.core.explain.Clause;
import kolonne.core.explain.Quantity;
import kolonne.core.explain.Trace;

/**
 * Columns of ordinary, intermediate and special moment frames, ACI 318-19 18.3.3, 18.4.3 and 18.7; and of members outside the system that resists
 * earthquakes whose moments under its drift nobody computes: 18.14.3.3(c) asks for 18.7.4 to 18.7.6 of them, not for 18.7.2 and 18.7.3.
 */
record AciDuctileColumns(Ductility kind, UnitForm form) implements DuctileColumns {
    /** Overstrength of concrete moment frames, all three kinds (ASCE/SEI 7-16 table 12.2-1). */
    private static final double OVERSTRENGTH = 3;

    /** Whether it has the steel, the hoops and the shear strength of a special frame's column. */
    private boolean special() {
        return frame() || outside();
    }

    private boolean frame() {
        return kind == Ductility.SPECIAL;
    }

    private boolean outside() {
        return kind == Ductility.OUTSIDE;
    }

    /** A clause of special frames. */
    private Clause clause(String special) {
        return Clause.of(outside() ? "18.14.3.3, " + special : special);
    }

    private boolean ordinary() {
        return kind == Ductility.ORDINARY;
    }

    private Clause clause(String ordinary, String intermediate, String special) {
        return special() ? clause(special) : Clause.of(ordinary() ? ordinary : intermediate);
    }

    /** Grade 420 (60 ksi) or less. */
    private boolean lowGrade(double fy) {
        return fy <= form.stress(420, 60_000) * 1.0001;
    }

    @Override
    public double leastSide() {
        return frame() ? form.length(300, 12) : 0;
    }

    @Override
    public double leastSideRatio() {
        return frame() ? 0.4 : 0;
    }

    @Override
    public Clause proportionsClause() {
        return clause("18.7.2.1");
    }

    @Override
    public double mostRatio() {
        return special() ? 0.06 : Double.POSITIVE_INFINITY;
    }

    @Override
    public Clause ratioClause() {
        return clause("18.7.4.1");
    }

    @Override
    public int fewestRoundBars() {
        return special() ? 6 : 0;
    }

    @Override
    public Clause roundBarsClause() {
        return clause("18.7.4.2");
    }

    @Override
    public double reach(double side, double clear) {
        return ordinary() ? 0 : Math.max(Math.max(side, clear / 6), form.length(450, 18));
    }

    @Override
    public Clause reachClause() {
        return clause("", "18.4.3.3", "18.7.5.1");
    }

    @Override
    public double hoopSpacing(Bar thinnest, double side, double held, double fy) {
        if (ordinary()) {
            return Double.POSITIVE_INFINITY;
        }
        double d = thinnest.diameter();
        if (special()) {
            double so = form.length(100, 4) + (form.length(350, 14) - held) / 3;
            double bounded = Math.max(form.length(100, 4), Math.min(form.length(150, 6), so));
            return Math.min(Math.min(side / 4, bounded), (lowGrade(fy) ? 6 : 5) * d);
        }
        double byBar = lowGrade(fy) ? Math.min(8 * d, form.length(200, 8)) : Math.min(6 * d, form.length(150, 6));
        return Math.min(byBar, side / 2);
    }

    @Override
    public Clause hoopClause() {
        return clause("", "18.4.3.3", "18.7.5.3");
    }

    @Override
    public double spacingElsewhere(Bar thinnest, double fy) {
        return special()
                ? Math.min(form.length(150, 6), (lowGrade(fy) ? 6 : 5) * thinnest.diameter())
                : Double.POSITIVE_INFINITY;
    }

    @Override
    public Clause spacingElsewhereClause() {
        return clause("", "18.4.3.5", "18.7.5.5");
    }

    @Override
    public Clause jointSpacingClause() {
        return outside() ? Clause.of("18.14.3.3, 18.4.4.4") : clause("15.3.1.4", "18.4.4.4", "18.8.3.1");
    }

    /** Pu above 0.3 Ag f'c, or f'c above 70 MPa (18.7.5.2(f)). */
    @Override
    public boolean everyBarHeld(double compression, double ag, double fc) {
        return special() && (compression > 0.3 * ag * fc || fc > form.stress(70, 10_000));
    }

    @Override
    public double heldDistance(boolean everyBar) {
        return !special() ? Double.POSITIVE_INFINITY : everyBar ? form.length(200, 8) : form.length(350, 14);
    }

    @Override
    public Clause heldClause() {
        return clause("18.7.5.2");
    }

    /** Table 18.7.5.4. */
    @Override
    public double confinement(Confinement c, Trace t) {
        if (!special()) {
            return 0;
        }
        double fyt = Math.min(c.fyt(), form.stress(700, 100_000));
        double shell = (c.round() ? 0.45 : 0.3) * (c.ag() / c.ach() - 1) * c.fc() / fyt;
        double core = (c.round() ? 0.12 : 0.09) * c.fc() / fyt;
        boolean high = everyBarHeld(c.p(), c.ag(), c.fc());
        double kf = Math.max(1, c.fc() / form.stress(175, 25_000) + 0.6);
        double kn = c.heldBars() > 2 ? (double) c.heldBars() / (c.heldBars() - 2) : 1;
        double axial = high ? (c.round() ? 0.35 * kf : 0.2 * kf * kn) * Math.max(0, c.p()) / (fyt * c.ach()) : 0;
        if (t.on()) {
            String what = c.round() ? "ρs" : "Ash / (s bc)";
            t.step(
                    what,
                    (c.round() ? "0.45" : "0.3") + " (Ag / Ach − 1) f′c / fyt",
                    "Ag / Ach = {0}",
                    shell,
                    Quantity.RATIO,
                    confinementClause(),
                    in(c.ag() / c.ach(), Quantity.NUMBER));
            t.step(
                    what,
                    (c.round() ? "0.12" : "0.09") + " f′c / fyt",
                    "{0} / {1}",
                    core,
                    Quantity.RATIO,
                    confinementClause(),
                    in(c.fc(), Quantity.STRESS),
                    in(fyt, Quantity.STRESS));
            if (high) {
                t.step(
                        what,
                        c.round() ? "0.35 kf Pu / (fyt Ach)" : "0.2 kf kn Pu / (fyt Ach)",
                        "kf = {0}, kn = {1}, Pu = {2}",
                        axial,
                        Quantity.RATIO,
                        confinementClause(),
                        in(kf, Quantity.NUMBER),
                        in(kn, Quantity.NUMBER),
                        in(c.p(), Quantity.FORCE));
            }
        }
        return Math.max(Math.max(shell, core), axial);
    }

    @Override
    public Clause confinementClause() {
        return clause("18.7.5.4");
    }

    @Override
    public boolean lapsInMiddle() {
        return special();
    }

    @Override
    public Clause lapClause() {
        return clause("18.7.4.4");
    }

    /** 1.25 ℓd no longer than half the clear height (18.7.4.3(a)). */
    @Override
    public double developmentFactor() {
        return special() ? 1.25 : 0;
    }

    @Override
    public Clause developmentClause() {
        return clause("18.7.4.3");
    }

    @Override
    public double steelFactor() {
        return special() ? 1.25 : 1;
    }

    /** Of ordinary frames only columns no longer than five depths (18.3.3). */
    @Override
    public double shortest() {
        return ordinary() ? 5 : Double.POSITIVE_INFINITY;
    }

    @Override
    public boolean limitedByBeams() {
        return special();
    }

    @Override
    public double overstrength() {
        return special() ? Double.POSITIVE_INFINITY : OVERSTRENGTH;
    }

    @Override
    public Clause capacityShearClause() {
        return clause("18.3.3", "18.4.3.1", "18.7.6.1");
    }

    @Override
    public boolean withoutConcrete(double compression, double ag, double fc) {
        return special() && compression < ag * fc / 20;
    }

    @Override
    public Clause withoutConcreteClause() {
        return clause("18.7.6.2.1");
    }

    @Override
    public JointRules joints() {
        return new AciJoints(kind, form);
    }
}
