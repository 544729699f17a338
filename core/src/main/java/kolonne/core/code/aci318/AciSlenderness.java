package kolonne.core.code.aci318;

import static kolonne.core.explain.Trace.in;

import kolonne.core.code.Bound;
import kolonne.core.code.ColumnEnd;
import kolonne.core.code.Slenderness;
import kolonne.core.code.Steel;
import kolonne.core.explain.Clause;
import kolonne.core.explain.Quantity;
import kolonne.core.explain.Trace;

/** Moment magnification, ACI 318-19 sections 6.2.5, 6.6.4.5 and 6.6.4.6. */
final class AciSlenderness implements Slenderness {
    /** Stiffness reduction factor in 1 − Pu / 0.75 Pc (6.6.4.5.2). */
    private static final double STIFFNESS_REDUCTION = 0.75;

    private final UnitForm form;

    AciSlenderness(UnitForm form) {
        this.form = form;
    }

    @Override
    public Magnified braced(Lift l, Trace t) {
        double slenderness = l.k() * l.lu() / l.r();
        // loads between the ends bend the column like equal end moments in single curvature
        double ratio = l.m2() > 0 && !l.transverse() ? l.m1() / l.m2() : -1;
        double limit = Math.min(40, 34 + 12 * ratio);
        if (t.on()) {
            t.step(
                    "k lu / r",
                    "k lu / r",
                    "{0} × {1} / {2}",
                    slenderness,
                    Quantity.NUMBER,
                    Clause.of("6.2.5.1"),
                    in(l.k(), Quantity.NUMBER),
                    in(l.lu(), Quantity.LENGTH),
                    in(l.r(), Quantity.LENGTH));
            t.step(
                    "limit",
                    "min(34 + 12 M1/M2, 40)",
                    "min(34 + 12 × {0}, 40)",
                    limit,
                    Quantity.NUMBER,
                    Clause.of("6.2.5.1 (b)"),
                    in(ratio, Quantity.NUMBER));
        }
        if (Bound.within(slenderness, limit) || l.pu() <= 0) {
            return new Magnified(l.m2(), 1, false);
        }
        return magnify(l, ratio, t);
    }

    @Override
    public double lengthFactor(ColumnEnd foot, ColumnEnd head, boolean moves, Trace t) {
        return AciLengthFactor.of(foot, head, moves, t);
    }

    private Magnified magnify(Lift l, double ratio, Trace t) {
        double minimum = l.pu() * (form.length(15, 0.6) + 0.03 * l.h());
        // Where the minimum governs, Cm is 1.0 (6.6.4.5.4); a load between the ends means Cm 1.0 (6.6.4.5.3)
        boolean least = minimum > l.m2();
        double own = l.transverse() ? 1 : 0.6 - 0.4 * ratio;
        double cm = least ? 1 : own;
        double ei = stiffness(l);
        double pc = Math.PI * Math.PI * ei / (l.k() * l.lu() * l.k() * l.lu());
        double m2 = Math.max(l.m2(), minimum);
        double rest = 1 - l.pu() / (STIFFNESS_REDUCTION * pc);
        double delta = larger(cm, rest);
        double plain = larger(own, rest);
        if (t.on()) {
            t.step(
                    "M2,min",
                    form.shown("Pu (15 + 0.03 h)", "Pu (0.6 + 0.03 h)"),
                    "{0} × (" + form.shown("15", "0.6") + " + 0.03 × {1})",
                    minimum,
                    Quantity.MOMENT,
                    Clause.of("6.6.4.5.4"),
                    in(l.pu(), Quantity.FORCE),
                    in(l.h(), Quantity.LENGTH));
            t.step(
                    "Cm",
                    "0.6 − 0.4 M1/M2",
                    cm == 1 ? "1.0" : "0.6 − 0.4 × {0}",
                    cm,
                    Quantity.NUMBER,
                    Clause.of("6.6.4.5.3"),
                    in(ratio, Quantity.NUMBER));
            t.step(
                    "Pc",
                    withBars(l) > concreteAlone(l)
                            ? "π² (EI)eff / (k lu)², (EI)eff = (0.2 Ec Ig + Es Ise) / (1 + βdns)"
                            : "π² (EI)eff / (k lu)², (EI)eff = 0.4 Ec Ig / (1 + βdns)",
                    "βdns = {0}, k lu = {1}, Ise / Ig = {2}",
                    pc,
                    Quantity.FORCE,
                    Clause.of(withBars(l) > concreteAlone(l) ? "6.6.4.4.2, 6.6.4.4.4 (b)" : "6.6.4.4.2, 6.6.4.4.4 (a)"),
                    in(l.sustained(), Quantity.NUMBER),
                    in(l.k() * l.lu(), Quantity.LENGTH),
                    in(l.bars().inertia() / (l.r() * l.r() * l.ag()), Quantity.NUMBER));
            t.step(
                    "δ",
                    "Cm / (1 − Pu / 0.75 Pc) ≥ 1",
                    "{0} / (1 − {1} / (0.75 × {2}))",
                    delta,
                    Quantity.NUMBER,
                    Clause.of("6.6.4.5.2"),
                    in(cm, Quantity.NUMBER),
                    in(l.pu(), Quantity.FORCE),
                    in(pc, Quantity.FORCE));
            t.step(
                    "Mc",
                    "δ M2",
                    "{0} × {1}",
                    delta * m2,
                    Quantity.MOMENT,
                    Clause.of("6.6.4.5.1"),
                    in(delta, Quantity.NUMBER),
                    in(m2, Quantity.MOMENT));
            if (least) {
                t.step(
                        "Mc without M2,min",
                        "max(1, Cm / (1 − Pu / 0.75 Pc)) M2",
                        "{0} × {1}",
                        plain * l.m2(),
                        Quantity.MOMENT,
                        Clause.of("R6.6.4.5.4"),
                        in(plain, Quantity.NUMBER),
                        in(l.m2(), Quantity.MOMENT));
            }
        }
        return new Magnified(delta * m2, delta, true, plain * l.m2(), plain);
    }

    private static double larger(double cm, double rest) {
        return rest <= 0 ? Double.POSITIVE_INFINITY : Math.max(1, cm / rest);
    }

    /** (EI)eff by whichever of 6.6.4.4.4 (a) and (b) gives more: the code leaves the choice [Nmm2]. */
    private static double stiffness(Lift l) {
        return Math.max(concreteAlone(l), withBars(l)) / (1 + l.sustained());
    }

    private static double concreteAlone(Lift l) {
        return 0.4 * l.ei();
    }

    private static double withBars(Lift l) {
        return 0.2 * l.ei() + Steel.ES * l.bars().inertia();
    }

    /** Second-order moments at most 1.4 times the first-order ones (6.2.5.3). */
    @Override
    public double greatestFactor() {
        return 1.4;
    }

    @Override
    public Clause bracedClause() {
        return Clause.of("6.6.4.5");
    }

    @Override
    public Clause greatestFactorClause() {
        return Clause.of("6.2.5.3");
    }

    /** δs = 1 / (1 − Q) ≥ 1 (6.6.4.6.2 a). */
    @Override
    public double sway(double q) {
        return q >= 1 ? Double.POSITIVE_INFINITY : Math.max(1, 1 / (1 - q));
    }

    /** A storey is nonsway if Q ≤ 0.05 (6.6.4.3 b). */
    @Override
    public double bracedIndex() {
        return 0.05;
    }

    @Override
    public Clause swayClause() {
        return Clause.of("6.6.4.6.2");
    }

    @Override
    public Clause stiffnessClause() {
        return Clause.of("6.6.3.1.1");
    }

    @Override
    public Clause swayBeamClause() {
        return Clause.of("6.6.4.6.3");
    }

    @Override
    public double inclination(double height, int columns) {
        return 0;
    }

    @Override
    public Clause inclinationClause() {
        return Clause.of("6.6.4");
    }

    @Override
    public double imperfection(double effectiveLength) {
        return 0;
    }

    /** The cap on the axial force (22.4.2.1) stands for it. */
    @Override
    public double leastEccentricity(double h) {
        return 0;
    }
}
