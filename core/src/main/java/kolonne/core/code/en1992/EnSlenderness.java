package kolonne.core.code.en1992;

import static kolonne.core.explain.Trace.in;

import kolonne.core.code.Bound;
import kolonne.core.code.ColumnEnd;
import kolonne.core.code.Slenderness;
import kolonne.core.code.Steel;
import kolonne.core.explain.Clause;
import kolonne.core.explain.Quantity;
import kolonne.core.explain.Trace;

/** Second order by EN 1992-1-1 section 5.8: slenderness limit 5.8.3.1, then nominal curvature 5.8.8 or nominal stiffness 5.8.7, as the nation chooses. */
final class EnSlenderness implements Slenderness {
    /** Curvature distribution, c ≈ π² (5.8.8.2(4)). */
    private static final double CURVATURE = 10;
    /** β = π² / c0 with c0 = 8 of first-order moments that are the same all along, M0e among them (5.8.7.3(2), (3)). */
    private static final double CONSTANT = Math.PI * Math.PI / 8;

    private final En1992 code;
    /** φ(∞, t0). */
    private final double creepAtEnd;
    /** The nation's 20 in λlim. */
    private final double limitFactor;

    private final double gammaCE;
    private final boolean byStiffness;

    EnSlenderness(En1992 code, EnParameters p) {
        this.code = code;
        creepAtEnd = p.get("creep");
        limitFactor = p.get("slenderness");
        gammaCE = p.get("gammaCE");
        byStiffness = p.get("secondOrder") == EnParameters.STIFFNESS;
    }

    @Override
    public Magnified braced(Lift l, Trace t) {
        double l0 = l.k() * l.lu();
        double lambda = l0 / l.r();
        double n = l.pu() / (l.ag() * code.fcd(l.fc()));
        if (n <= 0) {
            return new Magnified(l.m2(), 1, false);
        }
        double omega = l.bars().area() * code.designSteel(l.fy()) / (l.ag() * code.fcd(l.fc()));
        double creep = creepAtEnd * l.sustainedMoment();
        // m1 is negative in single curvature here, rm = M01 / M02 positive there; loads between the ends and sidesway
        // take rm = 1
        double rm = l.transverse() || l.sways() || l.m2() <= 0 ? 1 : -l.m1() / l.m2();
        double limit = limitFactor / (1 + 0.2 * creep) * Math.sqrt(1 + 2 * omega) * (1.7 - rm) / Math.sqrt(n);
        if (t.on()) {
            t.step(
                    "φef",
                    "φ(∞,t0) M0Eqp / M0Ed",
                    "{0} × {1}",
                    creep,
                    Quantity.NUMBER,
                    Clause.of("5.8.4(2)"),
                    in(creepAtEnd, Quantity.NUMBER),
                    in(l.sustainedMoment(), Quantity.NUMBER));
            t.step(
                    "λ",
                    "l0 / i",
                    "{0} / {1}",
                    lambda,
                    Quantity.NUMBER,
                    Clause.of("5.8.3.2(1)"),
                    in(l0, Quantity.LENGTH),
                    in(l.r(), Quantity.LENGTH));
            t.step(
                    "λlim",
                    "20 A B C / √n",
                    "φef = {0}, ω = {1}, rm = {2}, n = {3}",
                    limit,
                    Quantity.NUMBER,
                    Clause.of("5.8.3.1(1)"),
                    in(creep, Quantity.NUMBER),
                    in(omega, Quantity.NUMBER),
                    in(rm, Quantity.NUMBER),
                    in(n, Quantity.NUMBER));
        }
        if (Bound.within(lambda, limit)) {
            return new Magnified(l.m2(), 1, false);
        }
        return byStiffness ? stiffness(l, l0, lambda, n, creep, t) : curvature(l, l0, lambda, n, omega, creep, t);
    }

    @Override
    public double lengthFactor(ColumnEnd foot, ColumnEnd head, boolean moves, Trace t) {
        return EnLengthFactor.of(foot, head, moves, t);
    }

    /** (5.32): end moments as one that is the same all along; opposite signs make M01 negative. */
    private static double equivalent(Lift l, Trace t) {
        double m0e = l.transverse() ? l.m2() : Math.max(0.6 * l.m2() - 0.4 * l.m1(), 0.4 * l.m2());
        if (t.on()) {
            t.step(
                    "M0e",
                    "0.6 M02 + 0.4 M01 ≥ 0.4 M02",
                    "M02 = {0}",
                    m0e,
                    Quantity.MOMENT,
                    Clause.of("5.8.8.2(2)"),
                    in(l.m2(), Quantity.MOMENT));
        }
        return m0e;
    }

    private Magnified curvature(Lift l, double l0, double lambda, double n, double omega, double creep, Trace t) {
        double beta = 0.35 + l.fc() / 200 - lambda / 150;
        double factor = Math.max(1, 1 + beta * creep);
        double yield = code.designSteel(l.fy()) / Steel.ES;
        // (5.36), nbal = 0.4
        double axial = Math.max(0, Math.min(1, (1 + omega - n) / (1 + omega - 0.4)));
        double curvature = axial * factor * yield / (0.45 * l.bars().depth());
        double e2 = curvature * l0 * l0 / CURVATURE;
        double m0e = equivalent(l, t);
        double m = Math.max(l.m2(), m0e + l.pu() * e2);
        if (t.on()) {
            t.step("d", "h/2 + is", "", l.bars().depth(), Quantity.LENGTH, Clause.of("5.8.8.3(2)"));
            t.step(
                    "Kr",
                    "(nu − n) / (nu − nbal) ≤ 1",
                    "(1 + {0} − {1}) / (1 + {0} − 0.4)",
                    axial,
                    Quantity.NUMBER,
                    Clause.of("5.8.8.3(3)"),
                    in(omega, Quantity.NUMBER),
                    in(n, Quantity.NUMBER));
            t.step(
                    "1/r",
                    "Kr Kφ εyd / (0.45 d)",
                    "{0} × {1} × {2} / (0.45 d)",
                    curvature * 1000,
                    Quantity.NUMBER,
                    Clause.of("5.8.8.3(1), per m"),
                    in(axial, Quantity.NUMBER),
                    in(factor, Quantity.NUMBER),
                    in(yield, Quantity.STRAIN));
            t.step(
                    "e2",
                    "(1/r) l0² / 10",
                    "l0 = {0}",
                    e2,
                    Quantity.LENGTH,
                    Clause.of("5.8.8.2(3)"),
                    in(l0, Quantity.LENGTH));
            t.step(
                    "MEd",
                    "M0e + NEd e2",
                    "{0} + {1} × {2}",
                    m,
                    Quantity.MOMENT,
                    Clause.of("5.8.8.2(1)"),
                    in(m0e, Quantity.MOMENT),
                    in(l.pu(), Quantity.FORCE),
                    in(e2, Quantity.LENGTH));
        }
        return new Magnified(m, l.m2() > 0 ? m / l.m2() : 1, true);
    }

    /** 5.8.7: the moment without its imperfection, which is added where the section is checked, though magnified with the rest. */
    private Magnified stiffness(Lift l, double l0, double lambda, double n, double creep, Trace t) {
        double k1 = Math.sqrt(l.fc() / 20);
        double k2 = Math.min(0.20, n * lambda / 170);
        double kc = k1 * k2 / (1 + creep);
        // below (5.21)'s least steel the bars do not count
        double ks = l.bars().area() >= 0.002 * l.ag() ? 1 : 0;
        double ei = kc * l.ei() / gammaCE + ks * Steel.ES * l.bars().inertia();
        double buckling = Math.PI * Math.PI * ei / (l0 * l0);
        double rest = buckling / l.pu() - 1;
        double factor = rest <= 0 ? Double.POSITIVE_INFINITY : 1 + CONSTANT / rest;
        double m0e = equivalent(l, t);
        double m = Math.max(l.m2(), factor * (m0e + l.imperfection()) - l.imperfection());
        if (t.on()) {
            t.step(
                    "Kc",
                    "√(fck / 20) (n λ / 170 ≤ 0.20) / (1 + φef)",
                    "{0} × {1} / (1 + {2})",
                    kc,
                    Quantity.NUMBER,
                    Clause.of("5.8.7.2(2)"),
                    in(k1, Quantity.NUMBER),
                    in(k2, Quantity.NUMBER),
                    in(creep, Quantity.NUMBER));
            t.step(
                    "NB",
                    "π² (Kc Ecd Ic + Ks Es Is) / l0²",
                    "Ks = {0}, Is / Ic = {1}, l0 = {2}",
                    buckling,
                    Quantity.FORCE,
                    Clause.of("5.8.7.2(1)"),
                    in(ks, Quantity.NUMBER),
                    in(l.bars().inertia() / (l.r() * l.r() * l.ag()), Quantity.NUMBER),
                    in(l0, Quantity.LENGTH));
            t.step(
                    "MEd / M0Ed",
                    "1 + β / (NB / NEd − 1), β = π² / 8",
                    "1 + 1.234 / ({0} / {1} − 1)",
                    factor,
                    Quantity.NUMBER,
                    Clause.of("5.8.7.3(1)"),
                    in(buckling, Quantity.FORCE),
                    in(l.pu(), Quantity.FORCE));
            t.step(
                    "MEd",
                    "M0Ed · MEd / M0Ed, less the imperfection that is added where the section is checked",
                    "{0} × ({1} + {2}) − {2}",
                    m,
                    Quantity.MOMENT,
                    Clause.of("5.8.7.3(1)"),
                    in(factor, Quantity.NUMBER),
                    in(m0e, Quantity.MOMENT),
                    in(l.imperfection(), Quantity.MOMENT));
        }
        return new Magnified(m, Double.isInfinite(m) ? m : l.m2() > 0 ? m / l.m2() : 1, true);
    }

    @Override
    public double greatestFactor() {
        return Double.POSITIVE_INFINITY;
    }

    @Override
    public Clause bracedClause() {
        return Clause.of(byStiffness ? "5.8.7" : "5.8.8");
    }

    @Override
    public Clause greatestFactorClause() {
        return Clause.of("5.8");
    }

    /** 1 / (1 − NEd / NB), the storey's index standing for NEd / NB (5.8.7.3(1), annex H). */
    @Override
    public double sway(double q) {
        return q >= 1 ? Double.POSITIVE_INFINITY : Math.max(1, 1 / (1 - q));
    }

    /** Second-order effects under a tenth may be left out (5.8.2(6)). */
    @Override
    public double bracedIndex() {
        return 0.10 / 1.10;
    }

    @Override
    public Clause swayClause() {
        return Clause.of("5.8.7.3");
    }

    @Override
    public Clause stiffnessClause() {
        return Clause.of("5.8.7.2");
    }

    @Override
    public Clause swayBeamClause() {
        return Clause.of("5.8.7.3");
    }

    /** θi = θ0 αh αm (5.2(5), (5.1)): θ0 = 1/200, αh = 2/√l between 2/3 and 1, αm = √(0.5 (1 + 1/m)). */
    @Override
    public double inclination(double height, int columns) {
        double ofHeight = Math.max(2.0 / 3, Math.min(1, 2 / Math.sqrt(height / 1000)));
        double ofColumns = Math.sqrt(0.5 * (1 + 1.0 / Math.max(1, columns)));
        return ofHeight * ofColumns / 200;
    }

    @Override
    public Clause inclinationClause() {
        return Clause.of("5.2(5)");
    }

    /** ei = l0 / 400 (5.2(7)). */
    @Override
    public double imperfection(double l0) {
        return l0 / 400;
    }

    /** e0 = h / 30, at least 20 mm (6.1(4)). */
    @Override
    public double leastEccentricity(double h) {
        return Math.max(h / 30, 20);
    }
}
